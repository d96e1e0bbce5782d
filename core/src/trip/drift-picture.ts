import { metresAt, near, pointsOf, spotOf } from '../chart';
import { distance, type LatLon } from '../earth';
import { driftFrom, isSuit, leewayOf, type Drift, type Drifter } from '../hold';
import { positionText } from '../floatplan';
import type { Phrase } from '../model';
import { NAUTICAL_MILE, MS } from '../units';
import { phrase } from '../say';
import { contextOf, type AssessInput } from './context';

/** A place in the picture: right and down from its upper left corner. */
export type Dot = [number, number];

/**
 * Where wind and stream may have taken somebody from where they were last known to be, to scale and north up. An estimate for
 * those who search, never a search area.
 */
export interface DriftPicture {
  as: Drifter;
  /** In words, in order; the last says what it rests on. */
  says: Phrase[];
  width: number;
  height: number;
  /** Shore that is drawn on the water; rings of land are closed. */
  land: Dot[][];
  shore: Dot[][];
  fan: Dot[];
  middle: Dot[];
  /** What it may be off besides, at each hour. */
  rings: { at: Dot; radius: number }[];
  from: Dot;
  /** A length that tells the scale. */
  bar: { metres: number; length: number };
}

const WIDTH = 340,
  HEIGHT = 240;
/** How much of the picture the way takes to either side of its middle; nothing is drawn nearer than this, metres. */
const SEEN = 0.8,
  LEAST = 400;
const BARS = [10, 5, 2, 1, 0.5, 0.2, 0.1].map((miles) => miles * NAUTICAL_MILE);
const BAR = 1 / 3;

/** What may be adrift there. */
export const DRIFTERS: readonly Drifter[] = ['afloat', 'swamped', 'person'];

/** @returns undefined where no wind is known for that instant */
export function driftPicture(
  input: AssessInput,
  as: Drifter,
  from: LatLon,
  at: number,
): DriftPicture | undefined {
  const context = contextOf(input);
  const { trip, boat, water, forecast } = context;
  const suit = trip.crew.length > 0 && trip.crew.every(({ clothing }) => isSuit(clothing));
  const leeway = leewayOf(boat?.kind ?? 'skiff', as, suit);
  const drift = driftFrom(context, from, at, leeway);
  if (!drift) return undefined;
  const hours = drift.middle.points.filter((p) => p.at > at && (p.at - at) % MS.hour === 0);
  const told = hours.length > 0 ? hours : drift.middle.points.slice(-1);
  const says: Phrase[] = [
    phrase('drift.from', { position: positionText(from), at }),
    ...told.map(({ at: then, position }) => {
      const { metres, bearing } = distance(from, position);
      const values = { at: then, metres, bearing: Math.round(bearing), position: positionText(position) };
      return phrase('drift.at', { ...values, spread: drift.spread(then) });
    }),
    ...ashoreOf(drift),
    ...(drift.streamless ? [phrase('drift.streamless')] : []),
    ...(forecast?.invented ? [phrase('drift.invented')] : []),
    phrase(leeway.own ? 'drift.own' : 'drift.tested', { name: leeway.name }),
  ];
  const picture = drawn(drift, from, told, water?.chart?.shore ?? []);
  return { as, says: [...says, phrase('drift.bar', { metres: picture.bar.metres })], ...picture };
}

function ashoreOf({ middle, sides }: Drift): Phrase[] {
  const ends = [middle, ...sides].flatMap(({ ashore }) => ashore?.at ?? []);
  return ends.length === 0 ? [] : [phrase('drift.ashore', { at: Math.min(...ends) })];
}

type Rings = readonly { inside?: string | undefined; rings: readonly string[] }[];

function drawn(
  drift: Drift,
  from: LatLon,
  told: readonly { at: number; position: LatLon }[],
  shore: Rings,
): Omit<DriftPicture, 'as' | 'says'> {
  const all = [drift.middle, ...drift.sides].flatMap(({ points }) => points);
  const far = Math.max(LEAST, ...all.map(({ position }) => distance(from, position).metres));
  const centre = drift.middle.points[Math.floor(drift.middle.points.length / 2)].position;
  const scale = HEIGHT / 2 / (far * SEEN);
  const here = spotOf(centre, centre.lon);
  const perUnit = metresAt(centre.lat) * scale;
  const put = ({ lat, lon }: LatLon): Dot => {
    const spot = spotOf({ lat, lon: near(lon, centre.lon) }, centre.lon);
    return [WIDTH / 2 + (spot.x - here.x) * perUnit, HEIGHT / 2 - (spot.y - here.y) * perUnit];
  };
  const line = (points: readonly { position: LatLon }[]) => points.map(({ position }) => put(position));
  const ring = (text: string) => pointsOf(text).map(put);
  const metres = BARS.find((m) => m * scale < WIDTH * BAR) ?? BARS[BARS.length - 1];
  return {
    width: WIDTH,
    height: HEIGHT,
    land: shore.flatMap(({ inside, rings }) => (inside === 'land' ? rings.map(ring) : [])),
    shore: shore.flatMap(({ inside, rings }) => (inside === 'land' ? [] : rings.map(ring))),
    fan: [...line(drift.sides[1].points), ...line(drift.sides[3].points).reverse()],
    middle: line(drift.middle.points),
    rings: told.map(({ at, position }) => ({ at: put(position), radius: drift.spread(at) * scale })),
    from: put(from),
    bar: { metres, length: metres * scale },
  };
}
