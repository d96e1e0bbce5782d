import * as z from 'zod';
import { Instant } from './common';
import type { ThingType } from './common';
import { MOST_OF_A_KIND, MOST_PHOTOS } from './lists';
import { PhotoData, PhotoHash } from './photo';
import { OwnPack } from './rules';
import { Place, Water } from './places';
import { GearItem } from './gear';
import { Boat, Contact, Person } from './shed';
import { Drill } from './drill';
import { Debrief } from './debrief';
import { Conditions, Run, Trip } from './trip';

/** The schema behind each type of thing: the one table that form, wire, row and file look in. */
export const THINGS = {
  boat: Boat,
  person: Person,
  gear: GearItem,
  place: Place,
  water: Water,
  contact: Contact,
  trip: Trip,
  debrief: Debrief,
  run: Run,
  drill: Drill,
  pack: OwnPack,
} as const satisfies Record<ThingType, z.ZodType>;
export type ThingOf<T extends ThingType> = z.infer<(typeof THINGS)[T]>;

export const Shed = z.strictObject({
  boats: z.array(Boat).max(MOST_OF_A_KIND),
  people: z.array(Person).max(MOST_OF_A_KIND),
  gear: z.array(GearItem).max(MOST_OF_A_KIND),
  places: z.array(Place).max(MOST_OF_A_KIND),
  waters: z.array(Water).max(MOST_OF_A_KIND),
  contacts: z.array(Contact).max(MOST_OF_A_KIND),
  debriefs: z.array(Debrief).max(MOST_OF_A_KIND),
  runs: z.array(Run).max(MOST_OF_A_KIND),
  /** Absent in files of before. */
  drills: z.array(Drill).max(MOST_OF_A_KIND).default([]),
  packs: z.array(OwnPack).max(100).default([]),
});
export type Shed = z.infer<typeof Shed>;

export const emptyShed = (): Shed => ({
  boats: [],
  people: [],
  gear: [],
  places: [],
  waters: [],
  contacts: [],
  debriefs: [],
  runs: [],
  drills: [],
  packs: [],
});

/** The file in which a shed and its trips travel. Documented in `docs/bundle.md`. */
export const BUNDLE_SCHEMA = 2;
export const Bundle = z.strictObject({
  escale: z.literal('bundle'),
  schema: z.literal(BUNDLE_SCHEMA),
  asOf: Instant,
  shed: Shed,
  trips: z.array(Trip).max(MOST_OF_A_KIND),
  conditions: z.record(z.string(), Conditions).optional(),
  /** By hash, in base64. Absent in files of before. */
  photos: z
    .record(PhotoHash, PhotoData)
    .refine((all) => Object.keys(all).length <= MOST_PHOTOS, `at most ${MOST_PHOTOS} photos`)
    .optional(),
});
export type Bundle = z.infer<typeof Bundle>;
