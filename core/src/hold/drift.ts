import table from '../../data/hold/leeway.json';
import { shoreOf } from '../chart';
import { distance, onward, type LatLon } from '../earth';
import type { Boat, LeewayData, Place } from '../model';
import type { Band } from '../numeric';
import { KNOT, MS } from '../units';
import { weatherAt, type Flow } from '../water';
import { HOLD } from './limits';
import { flowAt, type Around } from './stay';

const LEEWAY = table as unknown as LeewayData;

/** What drifts: the boat with nothing out, with a sock or sea anchor, full of water, or somebody in the water. */
export type Drifter = 'afloat' | 'sock' | 'swamped' | 'person';

/** How a thing is blown along, out of tests or guessed. */
export interface Leeway {
  /** Which row of the table it is, in words. */
  name: string;
  /** No test of such a craft is known: it is our own estimate. */
  own: boolean;
  /** m/s in a wind at ten metres, m/s. */
  speed: (wind: number) => Band & { middle: number };
  /** To either side of straight downwind, radians. */
  divergence: number;
}

/** Knots by slope and offset; never backwards. */
const inWind = (slope: number, offset: number, wind: number) => Math.max(0, slope * wind + offset * KNOT);

/**
 * Leeway of a craft in a state, or of a person by what they wear: slope × wind + offset (source `leeway`), give or take what the
 * tests scattered. A sock leaves between a third of it and all of it.
 * @param suit whether who is in the water wears a dry or a survival suit
 */
export function leewayOf(kind: Boat['kind'], as: Drifter, suit = false): Leeway {
  const { rows, crafts, person, sock } = LEEWAY;
  const id =
    as === 'person'
      ? suit
        ? person.suit
        : person.jacket
      : crafts[kind][as === 'swamped' ? 'swamped' : 'afloat'];
  const { name, slope, offset, divergence, error, source } = rows[id];
  const [low, high] = as === 'sock' ? sock.share : [1, 1];
  return {
    name,
    own: source === 'own-estimate' || as === 'sock',
    divergence: (divergence * Math.PI) / 180,
    speed: (wind) => {
      const [least, most] = slope.map((each) => inWind(each, offset, wind));
      const band = { low: low * Math.max(0, least - error), high: high * (most + error) };
      return { ...band, middle: ((least + most) / 2) * ((low + high) / 2) };
    },
  };
}

/** Does what somebody wears keep them higher in the water? */
export const isSuit = (clothing: string | undefined): boolean =>
  clothing !== undefined && LEEWAY.person.suits.includes(clothing);

/** Where it is at an instant, epoch ms. */
export interface Drifted {
  at: number;
  position: LatLon;
}

/** One way it may go: where it comes ashore it ends. */
export interface Track {
  points: Drifted[];
  ashore?: Drifted;
}

export interface Drift {
  /** Straight downwind at the middle of the leeway; to either side at its slow and its fast end. */
  middle: Track;
  sides: Track[];
  /** How far off the middle it may be besides, metres: where it began, and currents that are not as told. */
  spread: (at: number) => number;
  /** Up to when wind and stream are known, epoch ms; before the end of what is looked at where they are not. */
  until: number;
  /** The stream is not known: it was left out. */
  streamless: boolean;
}

const STEP = HOLD.limit('drift-step') * MS.second,
  AHEAD = HOLD.limit('drift-hours') * MS.second,
  CURRENT = HOLD.limit('drift-current'),
  START = HOLD.limit('drift-start');
const RAD = Math.PI / 180,
  HALF = 180;

/**
 * Where wind and stream take something from a position: the sum of leeway and stream, in steps of ten minutes, until it comes ashore
 * or the forecast ends. A current that the wind itself raises over hours is not in it.
 * @param start epoch ms
 * @returns undefined where no wind is known at the start
 */
export function driftFrom(around: Around, from: LatLon, start: number, leeway: Leeway): Drift | undefined {
  const { water, stream, forecast } = around;
  if (!forecast || !weatherAt(forecast, start, from)) return undefined;
  let until = start + AHEAD;
  let streamless = false;
  const shore = shoreOf(water?.chart);
  const steps = Math.floor(AHEAD / STEP);
  const track = (turn: -1 | 0 | 1, end: 'low' | 'middle' | 'high'): Track => {
    const points: Drifted[] = [{ at: start, position: from }];
    for (let i = 0; i < steps; i += 1) {
      const { at, position } = points[i];
      const weather = weatherAt(forecast, at, position);
      if (!weather) {
        until = Math.min(until, at);
        break;
      }
      const flow = flowAt(water, stream, at);
      if (!flow) streamless = true;
      const blown = leeway.speed(weather.wind)[end];
      const towards = weather.from + HALF + (turn * leeway.divergence) / RAD;
      const { speed, direction } = together({ speed: blown, direction: towards }, flow);
      const next = onward(position, direction, (speed * STEP) / MS.second);
      const met = speed > 0 ? shore?.meets(position, next)[0] : undefined;
      if (met !== undefined) {
        const ashore = {
          at: at + met * STEP,
          position: onward(position, direction, (met * speed * STEP) / MS.second),
        };
        return { points: [...points, ashore], ashore };
      }
      points.push({ at: at + STEP, position: next });
    }
    return { points };
  };
  const middle = track(0, 'middle');
  const sides = ([-1, 1] as const).flatMap((turn) =>
    (['low', 'high'] as const).map((end) => track(turn, end)),
  );
  return {
    middle,
    sides,
    until,
    streamless,
    spread: (at) => spreadAfter((at - start) / MS.second),
  };
}

/** Two flows as one: both towards where they go. */
function together(a: Flow, b: Flow | undefined): Flow {
  const east = a.speed * Math.sin(a.direction * RAD) + (b ? b.speed * Math.sin(b.direction * RAD) : 0),
    north = a.speed * Math.cos(a.direction * RAD) + (b ? b.speed * Math.cos(b.direction * RAD) : 0);
  return { speed: Math.hypot(east, north), direction: (Math.atan2(east, north) / RAD + 360) % 360 };
}

/**
 * How far off a drifted position may be besides its leeway: √(start² + (0.3 kn × time)²) (source `search-error`).
 * @param seconds since it began
 * @example an hour: √(0.1² + 0.3²) nm = 586 m
 */
export const spreadAfter = (seconds: number): number => Math.hypot(START, CURRENT * seconds);

/** Where and when it comes ashore, of all the ways it may go. */
export interface Ends {
  earliest: Drifted;
  latest?: Drifted;
  /** The nearest place to where each way ends that tells what kind of shore it is. */
  places: Place[];
  /** Some way ends where nothing tells what the shore is like. */
  unsaid: boolean;
}

const NEAR = HOLD.limit('shore-near');

/** @returns undefined where none of the ways comes ashore within what is looked at */
export function endsOf({ middle, sides }: Drift, places: readonly Place[]): Ends | undefined {
  const all = [middle, ...sides];
  const ends = all.flatMap(({ ashore }) => ashore ?? []).sort((a, b) => a.at - b.at);
  if (ends.length === 0) return undefined;
  const told = ends.map(({ position }) => {
    const near = places
      .filter(({ shore }) => shore !== undefined)
      .map((place) => ({ place, metres: distance(position, place.position).metres }))
      .filter(({ metres }) => metres <= NEAR)
      .sort((a, b) => a.metres - b.metres)[0];
    return near?.place;
  });
  const latest = ends.length === all.length ? ends.at(-1) : undefined;
  return {
    earliest: ends[0],
    ...(latest ? { latest } : {}),
    places: [...new Set(told.flatMap((place) => place ?? []))],
    unsaid: told.some((place) => place === undefined),
  };
}
