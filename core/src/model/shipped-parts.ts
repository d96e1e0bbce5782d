import * as z from 'zod';
import { Text } from './common';
import { CRAFT, type Craft } from './lists';
import { PartKey } from './parts';

const kinds = Object.keys(CRAFT) as [Craft, ...Craft[]];
/** Where on her a part is. */
export const PART_GROUPS = ['openings', 'hull', 'drive', 'tubes', 'rig', 'trailer'] as const;
/** What a boat has, in the words by which her parts are chosen. */
export const PART_NEEDS = [
  'plug',
  'hatch',
  'scupper',
  'dry-ends',
  'wheel',
  'rudder',
  'pedals',
  'combustion',
  'corded',
  'hung',
  'screw',
  'electric',
  'tubes',
  'sail',
  'trailer',
] as const;
export type PartNeed = (typeof PART_NEEDS)[number];

/** A part that boats have, and how often it is tested (`boat/parts.json`): a bare word is before a trip or a tow, or after a trip. */
export const PartRow = z.strictObject({
  id: PartKey,
  title: Text,
  of: z.enum(PART_GROUPS),
  /** Only where she has all of these. */
  needs: z.array(z.enum(PART_NEEDS)).min(1).optional(),
  craft: z.array(z.enum(kinds)).min(1).optional(),
  each: z.union([
    z.enum(['trip', 'tow', 'after']),
    // Or sooner, when the motor has run so many hours since.
    z.strictObject({
      months: z.number().int().min(1).max(120),
      hours: z.number().int().min(1).max(2000).optional(),
    }),
  ]),
  /** What it weighs when it failed. */
  weight: z.enum(['fix', 'know']),
  source: z.string().max(60).optional(),
});
export type PartRow = z.infer<typeof PartRow>;
export const PartsData = z.strictObject({
  source: z.string().max(60),
  /** Craft that air holds up: always, or where they are of fabric. */
  blownUp: z.strictObject({ always: z.array(z.enum(kinds)), ofFabric: z.array(z.enum(kinds)) }),
  parts: z.array(PartRow).min(1),
});
export type PartsData = z.infer<typeof PartsData>;

/** How a part is tested and what passes (`boat/part-tests.json`), read where a round is walked. */
export const PartTestRow = z.strictObject({
  id: PartKey,
  how: z.string().max(300),
  passes: z.string().max(200),
  why: z.string().max(300),
});
export type PartTestRow = z.infer<typeof PartTestRow>;
