import { distance, partWay, type LatLon } from '../earth';
import { LANDABLE } from '../model/lists';
import type { Phrase, Place, Schedule, Trip } from '../model';
import { phrase } from '../say';
import { guessed } from '../verdict';
import { asPrinted, MS } from '../units';
import { PASSAGE } from './limits';

/**
 * Where the plan has the boat at an instant (epoch ms): along a leg by the share of its time, at a halt, or at the launch
 * before leaving and after coming home. On legs of a day trip a straight line in latitude and longitude is off by metres.
 * @returns undefined when a place it needs is not known
 */
export function plannedPosition(
  schedule: Schedule,
  launch: string,
  places: Place[],
  at: number,
): LatLon | undefined {
  const position = (id: string) => places.find((p) => p.id === id)?.position;
  const leg = schedule.legs.find((l) => at >= l.departs && at <= l.arrives);
  if (!leg) return position(schedule.halts.find((h) => at >= h.from && at <= h.until)?.place ?? launch);
  const from = position(leg.from),
    to = position(leg.to);
  if (!from || !to) return undefined;
  const part = (at - leg.departs) / Math.max(1, leg.arrives - leg.departs);
  return partWay(from, to, part);
}

/**
 * The same for who asks where they are now: after the hour home a plan tells no more, because who is late is out there and not at the
 * launch.
 */
export const plannedNow = (
  schedule: Schedule,
  launch: string,
  places: Place[],
  now: number,
): LatLon | undefined =>
  schedule.home !== undefined && now > schedule.home
    ? undefined
    : plannedPosition(schedule, launch, places, now);

export interface Landing {
  place: Place;
  metres: number;
  /** Degrees true. */
  bearing: number;
  /** At `speed`, if one is known. */
  seconds?: number;
  /** What is not known about landing there; none: one can. */
  doubts: Phrase[];
}

/** A landing nearer than this is where one stands, m. */
export const ARRIVED = PASSAGE.limit('arrived');

export interface Seeking {
  /** The water one is on: places of another can't be reached by boat. */
  water?: string;
  /** Where the trip itself begins and ends (`endsOwn`): reached by boat, whatever water it was entered for. */
  own?: readonly string[];
  /** Speed still to be had, m/s, above 0. */
  speed?: number;
  /** Now, epoch ms, and the height of tide above chart datum at a place and an instant, as far as it is known. */
  now: number;
  tideAt?: (at: number, place: Place) => number | undefined;
}

/** The launch and the landing of a trip. */
export const endsOwn = ({ launch, return: back }: Pick<Trip, 'launch' | 'return'>): string[] =>
  [launch, back].filter((id) => id !== undefined);

/** What a launch is left from is landed at as well. */
const LANDED: Partial<Record<NonNullable<Place['launchFrom']>, true>> = {
  ramp: true,
  jetty: true,
  beach: true,
  bank: true,
};

/**
 * Places one can land at, over the ellipsoid: the sure ones first, nearest first, then those of which something is not
 * known. Places of another water, shores that are no help, and launches that are dry when one gets there are left out.
 */
export function landingsFrom(
  here: LatLon,
  places: Place[],
  { water, own, speed, now, tideAt }: Seeking,
): Landing[] {
  return places
    .filter(
      (p) =>
        (p.kind === 'haven' || p.kind === 'launch') &&
        (p.water === undefined || water === undefined || p.water === water || own?.includes(p.id) === true),
    )
    .flatMap((place): Landing[] => {
      const there = distance(here, place.position);
      const seconds = speed ? there.metres / speed : undefined;
      const doubts = doubtsOf(place, now + (seconds ?? 0) * MS.second, { water, tideAt });
      return doubts ? [{ place, ...there, doubts, ...(seconds === undefined ? {} : { seconds }) }] : [];
    })
    .sort(
      (a, b) =>
        Math.sign(a.doubts.length) - Math.sign(b.doubts.length) ||
        a.metres - b.metres ||
        (a.place.id < b.place.id ? -1 : 1),
    );
}

/** A leg is looked at in so many places, its ends among them. */
const LOOKS = 9;

/** Where on a straight leg the nearest landing is farthest, as far as landings are known; undefined where there is none. */
export function farthestFrom(
  from: LatLon,
  to: LatLon,
  places: Place[],
  seeking: Omit<Seeking, 'now'> & { departs: number; arrives: number },
): Landing | undefined {
  const { departs, arrives, ...more } = seeking;
  const found = Array.from({ length: LOOKS }, (_, i) => {
    const part = i / (LOOKS - 1);
    const here = partWay(from, to, part);
    return landingsFrom(here, places, { ...more, now: departs + part * (arrives - departs) })[0];
  });
  if (found.some((landing) => landing === undefined)) return undefined;
  return found.reduce((far, landing) => (landing.metres > far.metres ? landing : far));
}

/** Can one land there, as far as its shore tells? Unknown where nobody said of what kind that is. */
const landable = ({ shore, launchFrom }: Place): boolean | undefined =>
  shore === undefined ? (launchFrom && LANDED[launchFrom]) || undefined : LANDABLE.has(shore);

/**
 * Does one land there where it is not dry, coming from a water? Unknown where its shore, its water or the tide that it needs was not
 * said, or only guessed.
 */
export function landsAt(place: Place, water: string | undefined): boolean | undefined {
  if (place.kind !== 'haven' && place.kind !== 'launch') return false;
  if (place.water !== undefined && place.water !== water) return false;
  const can = landable(place);
  return can === true && (isGuess(place) || place.water === undefined) ? undefined : can;
}

/** Is something of what makes it a landing only guessed? */
const isGuess = (place: Place): boolean =>
  ['/shore', '/launchFrom', '/works'].some((pointer) => guessed(place, pointer));

/** What is not known about landing there, or undefined where one can't. */
function doubtsOf(
  place: Place,
  at: number,
  { water, tideAt }: Pick<Seeking, 'water' | 'tideAt'>,
): Phrase[] | undefined {
  const doubts: Phrase[] = [];
  const can = landable(place);
  if (can === false) return undefined;
  if (can === undefined) doubts.push(phrase('landing.shore'));
  else if (isGuess(place)) doubts.push(phrase('landing.guess'));
  if (place.works !== undefined) {
    const height = tideAt?.(at, place);
    if (height === undefined) doubts.push(phrase('landing.tide'));
    else if (asPrinted(height, 'height') < asPrinted(place.works, 'height')) return undefined;
  }
  if (place.water === undefined && water !== undefined) doubts.push(phrase('landing.water'));
  return doubts;
}
