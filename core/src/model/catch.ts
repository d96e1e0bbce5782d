import * as z from 'zod';
import { CivilDate, Text, choice, measure, ref, titled } from './common';
import { AT_LIMIT, MEASURED } from './lists';

/** One fish or shellfish. */
export const Catch = z.strictObject({
  species: titled(Text, 'What it is'),
  length: measure('catchLength', 'Length', 0.005, 6).optional(),
  measured: choice('Measured', MEASURED).optional(),
  kept: titled(z.boolean(), 'Kept'),
  by: ref('person', 'Caught by').optional(),
  /** The day, where a trip has several: limits count by the day. */
  on: titled(CivilDate.optional(), 'Day', { hidden: true }),
});
export type Catch = z.infer<typeof Catch>;

/** What may be kept of one kind on a water, as the text of its limit says, with where it was read and when. */
export const CatchLimit = z
  .strictObject({
    species: titled(Text, 'What it is for'),
    measured: choice('Measured as its text says', MEASURED).optional(),
    least: measure('catchLength', 'Kept from this length', 0.01, 6).optional(),
    most: measure('catchLength', 'Kept up to this length', 0.01, 6, 'The upper end of a slot.').optional(),
    atLimit: choice('One of exactly such a length', AT_LIMIT).optional(),
    over: measure(
      'catchLength',
      'Over this length only a few',
      0.01,
      6,
      'A person may keep so many over it; say how many below.',
    ).optional(),
    overBag: measure('count', 'How many over it, a person', 0, 50).int().optional(),
    bag: measure('count', 'How many in all, a person and day', 0, 500).int().optional(),
    source: titled(z.string().trim().min(2).max(200).optional(), 'Where it was read'),
    on: titled(CivilDate.optional(), 'Read on', { past: true }),
  })
  .refine(({ least, most }) => least === undefined || most === undefined || least <= most, {
    message: 'the lower length stands above the upper',
    path: ['least'],
  });
export type CatchLimit = z.infer<typeof CatchLimit>;
