import * as z from 'zod';
import { HARMS, LEVELS } from './lists';
import { CONFIDENCE } from './rules';

/** Sections of a trip, in the order of the day: each finding belongs to one. */
export const SECTION_IDS = [
  'plan/boat',
  'plan/water',
  'plan/day',
  'pack/kit',
  'pack/load',
  'pack/ready',
  'pack/float-plan',
  'go/launch',
  'go/under-way',
  'go/hold',
  'go/trouble',
  'home/retrieve',
  'home/close',
  'home/debrief',
  'home/after',
] as const;
export type SectionId = (typeof SECTION_IDS)[number];

/** What a kind of finding varies with. A sweep of departures counts only what the hour changes. */
export const VARIES = ['hour', 'place', 'never'] as const;
export type Varies = (typeof VARIES)[number];

/** A threshold, with its unit as the source writes it, where it comes from and how sure that is. */
const threshold = {
  value: z.number(),
  unit: z.string().max(8),
  source: z.string().max(60),
  confidence: z.enum(CONFIDENCE),
};
const note = z.string().max(300).optional();

/**
 * One case of a kind: what it weighs, and whether it is `open`: nobody has said or measured what would settle it. A case
 * that a threshold decides has it, with its source.
 */
export const KindCase = z
  .strictObject({
    level: z.enum(LEVELS),
    open: z.literal(true).optional(),
    note,
    ...z.strictObject(threshold).partial().shape,
  })
  .refine(
    (c) => c.value === undefined || (c.unit && c.source && c.confidence),
    'a value has a unit, a source and a confidence',
  );

export const LimitsFile = z.strictObject({
  /** Kinds of finding, by the first two parts of their ids. */
  kinds: z.record(
    z.string().regex(/^[a-z]+\/[a-z-]+$/),
    z.strictObject({
      section: z.enum(SECTION_IDS),
      varies: z.enum(VARIES),
      harm: z.enum(HARMS),
      note,
      cases: z.record(z.string(), KindCase),
    }),
  ),
  /** Thresholds and measures that no single case owns. */
  limits: z.record(z.string().regex(/^[a-z-]+$/), z.strictObject({ ...threshold, note })),
});
