import * as z from 'zod';
import { CRAFT, type Craft } from './lists';
import { Condition, CONFIDENCE } from './rules';
import { THING_TYPES } from './common';

// What ships of the way over the water, held against its schemas by a test alone.

const kinds = Object.keys(CRAFT) as [Craft, ...Craft[]];

const LimitRow = z.strictObject({
  wind: z.number(),
  gust: z.number(),
  waves: z.number(),
  waterTemperature: z.number(),
  off: z.number(),
  hours: z.number(),
});
/** Cautious limits by craft and skill (`trip/usual-limits.json`), in the units named. */
export const UsualLimits = z.strictObject({
  source: z.string().max(60),
  confidence: z.enum(CONFIDENCE),
  note: z.string().max(500),
  /** Of these nobody goes beyond what is usual for somebody sure of such a boat, but knowingly. */
  stops: z.array(LimitRow.keyof()),
  units: z.record(LimitRow.keyof(), z.string().max(4)),
  rows: z.array(
    z.strictObject({ craft: z.array(z.enum(kinds)).min(1), new: LimitRow, some: LimitRow, sure: LimitRow }),
  ),
});

/** What speaks for or against a boat away from the shore (`trip/fit.json`), by kind. */
export const FitRow = z.strictObject({
  id: z.string().max(40),
  craft: z.array(z.enum(kinds)).min(1),
  /** Only where this holds; absent: always. */
  if: Condition.optional(),
  /** Then it speaks against her. */
  when: Condition,
  against: z.strictObject({
    title: z.string().max(120),
    why: z.string().max(300),
    level: z.enum(['fix', 'know']),
    /** What would change it, and how dear that is beside the others. */
    change: z
      .strictObject({
        title: z.string().max(120),
        cost: z.number().int().min(1).max(9),
        at: z.strictObject({ type: z.enum(THING_TYPES), pointer: z.string().max(60) }),
      })
      .optional(),
  }),
  for: z.string().max(120).optional(),
  /** What is said where nobody knows; absent: nothing. */
  unsaid: z.string().max(120).optional(),
  source: z.string().max(60),
});
export type FitRow = z.infer<typeof FitRow>;
export const FitData = z.strictObject({
  near: z.strictObject({
    value: z.number().positive(),
    unit: z.string().max(4),
    source: z.string().max(60),
    confidence: z.enum(CONFIDENCE),
    note: z.string().max(300),
  }),
  rows: z.array(FitRow).min(1),
});
export type FitData = z.infer<typeof FitData>;

/** What the wind ahead pushes on (`passage/windage.json`), m² by kind of boat, from least to most. */
export const Windage = z.strictObject({
  source: z.string().max(60),
  confidence: z.enum(CONFIDENCE),
  note: z.string().max(300),
  metres2: z.record(z.enum(kinds), z.tuple([z.number().positive(), z.number().positive()])),
});
