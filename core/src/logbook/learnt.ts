import { plusMonths } from '../earth';
import { drives } from '../boat';
import type { Boat, Debrief, Person } from '../model';
import { guessed } from '../verdict';
import { forceOf } from '../water';
import { LOGBOOK } from './limits';

// What one’s own trips teach of a boat: means that can be read, each with its spread, how many trips it is from and how old they are.

/** A figure out of one trip. */
export interface Lesson {
  debrief: Debrief;
  value: number;
}

/** A mean with its standard deviation (of a sample, n − 1), and the trips it is from, the newest first. */
export interface Learnt {
  value: number;
  spread: number;
  from: readonly Debrief[];
  /** Trips of about the same load alone. */
  alike: boolean;
}

/** Fewer trips than this are an accident; older ones a memory, in months. */
const LEAST = LOGBOOK.limit('least'),
  FADES = LOGBOOK.limit('fades-months');
/** A way of less than this teaches nothing, s; loads within this share of each other are alike. */
const MOVING = LOGBOOK.limit('moving'),
  ALIKE = LOGBOOK.limit('load-alike');

/** Force from which a wind is another one: trips of one band teach for it alone. */
const BANDS = [LOGBOOK.limit('light-force'), LOGBOOK.limit('fresh-force')];
/** The band of a wind, m/s: 0 light, 1 moderate, 2 fresh and more. */
export const bandOf = (wind: number): number => {
  const force = Math.round(forceOf(wind));
  return BANDS.filter((from) => force >= from).length;
};

/** The band of the wind of a trip; undefined where nobody said it for sure. */
export const bandIn = (debrief: Debrief): number | undefined => {
  const wind = debrief.met?.wind;
  return wind === undefined || guessed(debrief, '/met/wind') ? undefined : bandOf(wind);
};

const isSure = (debrief: Debrief, ...pointers: string[]) =>
  pointers.every((pointer) => !guessed(debrief, pointer));

/** Trips in a boat that count, up to a day, the newest first: not refused, not too old, and nothing guessed of whose they are. */
export function tripsIn(debriefs: readonly Debrief[], boat: Pick<Boat, 'id'>, on: string): Debrief[] {
  const hers = debriefs.filter((d) => d.boat === boat.id && d.learn !== false && d.on <= on);
  if (hers.length === 0) return hers;
  const from = plusMonths(on, -FADES);
  return hers
    .filter((d) => d.on >= from && (d.met?.moving ?? 0) >= MOVING)
    .filter((d) => isSure(d, '/boat', '/who', '/on', '/met/moving'))
    .sort((a, b) => b.on.localeCompare(a.on));
}

/** Speeds over the ground without halts and rests, m/s. @param trips that count */
export const speedsIn = (trips: readonly Debrief[]): Lesson[] =>
  trips.flatMap((debrief) => {
    const { metres, moving } = debrief.met ?? {};
    if (metres === undefined || moving === undefined || metres <= 0) return [];
    return isSure(debrief, '/met/metres') ? [{ debrief, value: metres / moving }] : [];
  });

/** Fuel burnt while under way, m³/s. */
export const burnsIn = (trips: readonly Debrief[]): Lesson[] =>
  trips.flatMap((debrief) => {
    const { fuel, met } = debrief;
    if (fuel === undefined || fuel <= 0 || met?.moving === undefined) return [];
    return isSure(debrief, '/fuel') ? [{ debrief, value: fuel / met.moving }] : [];
  });

/** Power drawn from the battery while under way, W. */
export const drawsIn = (trips: readonly Debrief[], { propulsion }: Pick<Boat, 'propulsion'>): Lesson[] =>
  trips.flatMap((debrief) => {
    const { charge, met } = debrief;
    const battery = propulsion[0]?.battery;
    if (charge === undefined || charge <= 0 || battery === undefined || met?.moving === undefined) return [];
    return isSure(debrief, '/charge') ? [{ debrief, value: (battery * charge) / met.moving }] : [];
  });

/** What the trip at hand is like, as far as it is known: who goes, the wind (m/s) and what she carries (kg). */
export interface Like {
  people: readonly Pick<Person, 'id'>[];
  wind?: number | undefined;
  load?: number | undefined;
}

/**
 * The lessons that speak for a trip. In a boat that arms move they are those of these very people in light winds, because wind is
 * reckoned apart there; in another those of the same band of wind. Trips of about the same load alone, where there are enough.
 * @returns undefined for fewer than three
 */
export function learntOf(lessons: readonly Lesson[], boat: Boat, like: Like): Learnt | undefined {
  const arms = drives(boat).human !== false;
  const band = arms ? 0 : like.wind === undefined ? undefined : bandOf(like.wind);
  const fitting = lessons.filter(({ debrief }) => {
    if (band !== undefined && bandIn(debrief) !== band) return false;
    return !arms || like.people.every(({ id }) => debrief.who?.includes(id));
  });
  const { load } = like;
  const alike = load === undefined ? [] : fitting.filter((each) => isAlike(each, load));
  const taken = alike.length >= LEAST ? alike : fitting;
  if (taken.length < LEAST) return undefined;
  return { ...meanOf(taken), alike: taken === alike };
}

const isAlike = ({ debrief }: Lesson, load: number) => {
  const { load: was } = debrief.met ?? {};
  return was !== undefined && isSure(debrief, '/met/load') && Math.abs(was - load) <= ALIKE * load;
};

/** @example three trips of 2, 3 and 4: mean 3, spread 1 */
export function meanOf(lessons: readonly Lesson[]): Omit<Learnt, 'alike'> {
  const values = lessons.map(({ value }) => value);
  const value = values.reduce((sum, each) => sum + each, 0) / values.length;
  const squares = values.reduce((sum, each) => sum + (each - value) ** 2, 0);
  const spread = values.length > 1 ? Math.sqrt(squares / (values.length - 1)) : 0;
  return { value, spread, from: lessons.map(({ debrief }) => debrief) };
}

/** What was learnt of a boat for a trip. */
export interface Lessons {
  speed?: Learnt;
  burn?: Learnt;
  draw?: Learnt;
}

/** @param on the day of the trip */
export function lessonsOf(boat: Boat, debriefs: readonly Debrief[], on: string, like: Like): Lessons {
  if (boat.unlearnt === true || debriefs.length === 0) return {};
  const trips = tripsIn(debriefs, boat, on);
  const of = (lessons: Lesson[]) => learntOf(lessons, boat, like);
  const [speed, burn, draw] = [of(speedsIn(trips)), of(burnsIn(trips)), of(drawsIn(trips, boat))];
  return { ...(speed ? { speed } : {}), ...(burn ? { burn } : {}), ...(draw ? { draw } : {}) };
}

/**
 * The boat with what was learnt of her in place of what was said of her usual speed and what she uses at it. What was said stays
 * in her log of other speeds.
 */
export function asLearnt(boat: Boat, { speed, burn, draw }: Lessons): Boat {
  const [first, ...others] = boat.propulsion;
  if (!first || (!speed && !burn && !draw)) return boat;
  const { burn: saidBurn, draw: saidDraw, ...drive } = first;
  const said = first.cruise;
  const kept =
    speed && said !== undefined && (saidBurn !== undefined || saidDraw !== undefined)
      ? [{ speed: said, ...optional({ burn: saidBurn, draw: saidDraw }) }]
      : [];
  const mine = {
    ...drive,
    ...(speed ? { cruise: speed.value } : {}),
    // Said of another speed than the learnt one it stands in the log; else it stays.
    ...optional({
      burn: burn?.value ?? (speed ? undefined : saidBurn),
      draw: draw?.value ?? (speed ? undefined : saidDraw),
    }),
    ...(kept.length > 0 ? { log: [...(first.log ?? []), ...kept] } : {}),
  };
  const basis = {
    ...boat.basis,
    ...(speed ? { '/propulsion/0/cruise': 'measured' as const } : {}),
    ...(burn ? { '/propulsion/0/burn': 'measured' as const } : {}),
    ...(draw ? { '/propulsion/0/draw': 'measured' as const } : {}),
  };
  return { ...boat, propulsion: [mine, ...others], basis };
}

const optional = <K extends string>(values: Record<K, number | undefined>): Partial<Record<K, number>> =>
  Object.fromEntries(Object.entries(values).filter(([, value]) => value !== undefined)) as Partial<
    Record<K, number>
  >;
