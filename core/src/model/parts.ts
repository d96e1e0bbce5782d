import * as z from 'zod';
import { CivilDate, Id, Text, choice, measure, titled } from './common';
import { MOST_TAKEN, MOST_TESTS } from './lists';

/** Name of a part in the record: of the shipped list, of an opening, or of its owner's own. */
export const PartKey = z.string().regex(/^[a-z0-9-]{2,80}$/, 'small letters, figures and dashes');

export const PartTest = z.strictObject({
  on: CivilDate,
  passed: z.boolean(),
  by: z.string().max(120).optional(),
  note: z.string().max(400).optional(),
  /** What the motor's meter showed, seconds. */
  meter: measure('duration', 'Motor’s hours', 0, 360_000_000).optional(),
});

/** What is on record of a part of a boat or of her trailer. Nothing on record: nobody looked. */
export const Part = z.strictObject({
  name: titled(Text.optional(), 'Part'),
  how: titled(z.string().max(300).optional(), 'How it is tested'),
  state: choice('State', {
    ready: 'In order',
    failed: 'Failed its test',
    none: 'Not on her',
  }).optional(),
  inspected: titled(CivilDate.optional(), 'Last tested', { past: true }),
  everyMonths: measure('count', 'Tested every so many months', 1, 120).int().optional(),
  tests: z.array(PartTest).max(MOST_TESTS).optional(),
});
export type Part = z.infer<typeof Part>;
/** A part that its owner adds: it has a name. */
export const OwnPart = Part.extend({ name: titled(Text, 'Part') });
export const Parts = z.record(PartKey, Part);

/** Of a task of getting ready: how many minutes it took, and with how many people. */
export const Took = z.strictObject({
  on: CivilDate,
  minutes: z.number().int().min(1).max(600),
  people: z.number().int().min(1).max(50).optional(),
});
export type Took = z.infer<typeof Took>;
export const MinutesTaken = z.record(PartKey, z.array(Took).max(MOST_TAKEN));

/** A repair or a service, as it was done. Kept by ids of their own, so that two phones may each add one. */
export const Work = z.strictObject({
  on: titled(CivilDate, 'Day', { past: true }),
  what: titled(Text, 'What was done'),
  part: PartKey.optional(),
  meter: measure('duration', 'Motor’s hours then', 0, 360_000_000).optional(),
  by: titled(z.string().max(120).optional(), 'By'),
});
export type Work = z.infer<typeof Work>;
export const Works = z.record(Id, Work);
