import * as z from 'zod';
import { CRAFT, type Craft } from './lists';
import { CONFIDENCE } from './rules';

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

/** What the wind ahead pushes on (`passage/windage.json`), m² by kind of boat, from least to most. */
export const Windage = z.strictObject({
  source: z.string().max(60),
  confidence: z.enum(CONFIDENCE),
  note: z.string().max(300),
  metres2: z.record(z.enum(kinds), z.tuple([z.number().positive(), z.number().positive()])),
});
