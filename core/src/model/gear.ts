import * as z from 'zod';
import { CivilDate, Text, choice, measure, ref, thing, titled } from './common';
import { PhotoNotes } from './photo';
import { ANCHORS, LINES, MOST_TESTS, POLES, RELEASES, STOWAGE, TRIGGERS } from './lists';

export const GearItem = z
  .strictObject({
    ...thing,
    kind: titled(z.string().regex(/^[a-z0-9-]{2,40}$/), 'Kind', { catalogue: true }),
    name: titled(Text, 'What you call it'),
    count: measure('count', 'How many', 0, 500).int(),
    stowage: choice('Travels', STOWAGE),
    on: ref('gear', 'Fixed to').optional(),
    fittedTo: ref('boat', 'Fitted to boat').optional(),
    owner: ref('person', 'Belongs to').optional(),
    state: choice('State', {
      ready: 'Checked',
      due: 'Due for a test',
      failed: 'Failed its test',
      'used-up': 'Used up',
      unknown: 'Not known',
    }),
    approval: titled(z.string().max(60).optional(), 'Approval on the label', {
      help: 'As printed, or "none".',
    }),
    made: titled(CivilDate.optional(), 'Made', { past: true }),
    expires: titled(CivilDate.optional(), 'Ends'),
    inspected: titled(CivilDate.optional(), 'Last tested', { past: true }),
    everyMonths: measure('count', 'Tested every so many months', 1, 120).int().optional(),
    tests: titled(
      z
        .array(
          z.strictObject({
            on: CivilDate,
            passed: z.boolean(),
            by: z.string().max(120).optional(),
            note: z.string().max(400).optional(),
          }),
        )
        .max(MOST_TESTS)
        .optional(),
      'Tests',
      { hidden: true },
    ),
    photos: titled(PhotoNotes.optional(), 'Photos', { hidden: true }),
    charge: measure('percent', 'Charge', 0, 1).optional(),
    lasts: measure(
      'duration',
      'Runs for, when full',
      0,
      3_600_000,
      'As you use it: a radio that listens, a lamp that burns.',
    ).optional(),
    minMass: measure('mass', 'Fits from', 0, 250).optional(),
    maxMass: measure('mass', 'Fits to', 1, 400).optional(),
    minAge: measure('age', 'From age', 0, 99).optional(),
    line: measure('length', 'Length of its line', 0, 500).optional(),
    anchor: choice('Kind of anchor', ANCHORS).optional(),
    weighs: measure(
      'mass',
      'Weight of the anchor',
      0.1,
      200,
      'Of the anchor alone, without its chain.',
    ).optional(),
    chain: measure('length', 'Chain on it', 0, 200, 'None: write 0.').optional(),
    chainThick: measure(
      'shortLength',
      'Thickness of the chain',
      0.002,
      0.03,
      'Of the steel of one link.',
    ).optional(),
    lineOf: choice('Line made of', LINES).optional(),
    lineThick: measure('shortLength', 'Thickness of the line', 0.001, 0.06).optional(),
    poleOf: choice('Pole made of', POLES).optional(),
    long: measure('length', 'Length', 0.3, 8).optional(),
    thick: measure('shortLength', 'Thickness', 0.005, 0.12).optional(),
    across: measure('length', 'Width across its mouth', 0.1, 10).optional(),
    release: choice('How it is let go', RELEASES).optional(),
    float: titled(z.boolean().optional(), 'A float on its line', {
      help: 'It marks what was let go, so that one can come back for it.',
    }),
    cylinder: choice('Cylinder', {
      green: 'Full, tight, indicator green',
      fired: 'Fired or loose',
    }).optional(),
    trigger: choice('How it fires', TRIGGERS).optional(),
    rearmBy: titled(CivilDate.optional(), 'Trigger and cylinder to be renewed by'),
    crotch: titled(z.boolean().optional(), 'Crotch strap', { help: 'It keeps the jacket from riding up.' }),
    headUp: titled(z.boolean().optional(), 'Holds up the head', {
      help: 'A collar that floats, for infants.',
    }),
    paddleCut: titled(z.boolean().optional(), 'Cut for paddling', { help: 'Wide at the arms, short.' }),
    floatedIn: titled(CivilDate.optional(), 'Last floated in by who wears it', { past: true }),
    tether: titled(z.boolean().optional(), 'On a tether'),
    lentTo: titled(z.string().trim().min(1).max(80).optional(), 'Lent to'),
    lentOn: titled(CivilDate.optional(), 'Lent on', { past: true }),
    backBy: titled(CivilDate.optional(), 'Back by'),
    borrowedFrom: titled(z.string().max(80).optional(), 'Borrowed from'),
    buoyancy: measure('force', 'Buoyancy', 10, 500).optional(),
    hardUse: titled(z.boolean().optional(), 'Label allows watercraft, towing and rapids', {
      help: 'Most inflatable jackets say that they are not for these.',
    }),
    wornToCount: titled(z.boolean().optional(), 'Label: counts only when worn', {
      help: 'Printed on many inflatable jackets.',
    }),
    cased: titled(z.boolean().optional(), 'In a case that floats and keeps water out'),
    holds: measure('volume', 'Fuel in it', 0, 0.2).optional(),
    filledOn: titled(CivilDate.optional(), 'Filled on', { past: true }),
    marks: choice('Number on its buoy', {
      both: 'Reads from both sides',
      one: 'Reads from one side only',
      none: 'None',
    }).optional(),
    registered: choice('Registered', { yes: 'Yes, and current', no: 'No' }).optional(),
    identity: titled(z.string().trim().min(1).max(40).optional(), 'Its number', {
      help: 'Of a beacon the 15 signs on its label, of a radio its call sign or nine digits.',
    }),
    colour: titled(z.string().trim().min(1).max(40).optional(), 'Colour'),
  })
  .refine((g) => g.minMass === undefined || g.maxMass === undefined || g.minMass <= g.maxMass, {
    message: 'the lower weight stands above the upper',
    path: ['minMass'],
  });
export type GearItem = z.infer<typeof GearItem>;
