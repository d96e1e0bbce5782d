import * as z from 'zod';
import { Catch } from './catch';
import { CivilDate, Id, Instant, Note, Text, choice, measure, ref, thing, titled } from './common';
import {
  BECAME,
  CLOSE_CALL_DEEDS,
  INCIDENT_KINDS,
  MOST_BECAME,
  MOST_CAUGHT,
  type CloseCallDeed,
  type IncidentKind,
} from './lists';
import { PartKey } from './parts';

const DEEDS = Object.keys(CLOSE_CALL_DEEDS) as [CloseCallDeed, ...CloseCallDeed[]];
const INCIDENTS = Object.keys(INCIDENT_KINDS) as [IncidentKind, ...IncidentKind[]];

/** A real near miss: what it was, when it began, and what came then. */
export const CloseCall = z.strictObject({
  incident: z.enum(INCIDENTS),
  at: Instant,
  deeds: z.array(z.strictObject({ what: z.enum(DEEDS), at: Instant })).max(20),
});
export type CloseCall = z.infer<typeof CloseCall>;

/** What became of a thing, of how many of it, and as it stood before, so that it can be taken back. */
export const Became = z.strictObject({
  became: choice('What became of it', BECAME),
  of: z.number().int().min(1).max(500),
  was: z.strictObject({ count: z.number().int().min(0).max(500), state: z.string().max(20) }),
});
export type Became = z.infer<typeof Became>;

/** What was really met out there, the worst of each. What nobody said is not known. */
export const Met = z.strictObject({
  wind: measure('speed', 'Wind at its most', 0, 40).optional(),
  gust: measure('speed', 'Gusts at their most', 0, 60).optional(),
  waves: measure('height', 'Waves at their highest', 0, 10).optional(),
  waterTemperature: measure('temperature', 'Water at its coldest', -2, 40).optional(),
  off: measure('distance', 'Farthest from a landing', 0, 100_000).optional(),
  metres: measure('distance', 'Way over the ground', 0, 1_000_000).optional(),
  moving: measure('duration', 'Under way, without halts and rests', 0, 1_209_600).optional(),
  load: measure('mass', 'People and load aboard', 0, 20_000).optional(),
  dark: titled(z.boolean().optional(), 'In the dark'),
  company: titled(z.boolean().optional(), 'Another boat along'),
});
export type Met = z.infer<typeof Met>;

/** A track as it was recorded, thinned: an encoded polyline of five decimals. */
export const Track = z.strictObject({
  from: Instant,
  until: Instant,
  metres: measure('distance', 'Way', 0, 1_000_000),
  moving: measure('duration', 'Under way', 0, 1_209_600),
  line: z.string().max(4000),
});
export type Track = z.infer<typeof Track>;

/** By ids of their own, so that two phones may each add one; no more than so many. */
const fewOf = <S extends z.ZodType>(schema: S, most: number) =>
  z.record(Id, schema).refine((all) => Object.keys(all).length <= most, `at most ${most}`);

/** How a trip was. What it says of boat and people stands by itself, so that nothing learnt of it hangs on the trip. */
export const Debrief = z.strictObject({
  ...thing,
  trip: ref('trip', 'Trip'),
  on: CivilDate,
  boat: ref('boat', 'Boat').optional(),
  who: titled(z.array(Id).max(50).optional(), 'Who went', { ref: 'person' }),
  left: titled(Instant.optional(), 'Left'),
  home: titled(Instant.optional(), 'Ashore'),
  forgotten: titled(z.array(Text).max(30), 'Forgotten'),
  broken: titled(z.array(Text).max(30), 'Broken or used up', {
    help: 'For what does not stand in the shed.',
  }),
  things: titled(fewOf(Became, MOST_BECAME).optional(), 'What became of which thing', { hidden: true }),
  parts: titled(z.array(PartKey).max(60).optional(), 'Parts of her that failed', { hidden: true }),
  fuel: measure('volume', 'Fuel used', 0, 2).optional(),
  charge: measure('percent', 'Of the battery used', 0, 1).optional(),
  met: titled(Met.optional(), 'As it was', { hidden: true }),
  track: titled(Track.optional(), 'Track', { hidden: true }),
  caught: titled(fewOf(Catch, MOST_CAUGHT).optional(), 'Catch', { hidden: true }),
  well: titled(z.array(Id).max(50).optional(), 'Who did well', { ref: 'person' }),
  note: titled(Note.optional(), 'What to remember', { long: true }),
  /** What nearly went wrong, told as times and deeds. */
  miss: titled(CloseCall.optional(), 'A near miss', { hidden: true }),
  /** Said no: nothing is learnt of this trip. */
  learn: titled(z.boolean().optional(), 'Learn from this trip', { hidden: true }),
});
export type Debrief = z.infer<typeof Debrief>;
