import { distance, partWay, type LatLon } from '../earth';
import type { Leg, Schedule } from '../model';
import { HOUR, MS } from '../units';
import type { Flow } from '../water';
import { hardly, slowed, type Arms } from './arms';
import { ground } from './ground';
import { PASSAGE } from './limits';

/** With its rest an hour of paddling takes so many hours. */
export const REST_FACTOR = (HOUR + PASSAGE.limit('rest-each-hour')) / HOUR;

export interface RoutePoint {
  id: string;
  position: LatLon;
  /** Minutes spent there; nought at launch and return. */ minutes: number;
  doing?: string;
}

/** The part of a route that does not depend on when it starts. Lengths metres, times seconds. */
export interface Route {
  legs: {
    from: string;
    to: string;
    /** Where it begins and ends. */
    ends: [LatLon, LatLon];
    metres: number;
    bearing: number;
    seconds: number;
    haltSeconds: number;
    doing?: string;
  }[];
  metres: number;
  /** Through the water, m/s, and what its rests make an hour of going. */
  speed: number;
  rest: number;
  /** Who of the boats that go together is moved by arms: the wind slows them, and they the others. */
  arms: readonly Arms[];
  seconds: number;
  /** From the last halt home. */
  backSeconds: number;
}

/**
 * Legs over the ellipsoid at a speed (m/s, above 0). `restFactor` stretches the going time of people who paddle.
 * Points are launch, halts…, return: at least two.
 */
export function routeOf(
  points: RoutePoint[],
  speed: number,
  restFactor: number,
  arms: readonly Arms[] = [],
): Route {
  const legs = points.slice(1).map((point, i) => {
    const { metres, bearing } = distance(points[i].position, point.position);
    return {
      from: points[i].id,
      to: point.id,
      ends: [points[i].position, point.position] as [LatLon, LatLon],
      metres,
      bearing,
      seconds: (metres / speed) * restFactor,
      haltSeconds: point.minutes * 60,
      doing: point.doing,
    };
  });
  return {
    legs,
    speed,
    rest: restFactor,
    arms,
    metres: legs.reduce((sum, leg) => sum + leg.metres, 0),
    seconds: legs.reduce((sum, leg) => sum + leg.seconds + leg.haltSeconds, 0),
    backSeconds: legs.at(-1)?.seconds ?? 0,
  };
}

/** A passage longer than is planned as one: it is not put on the clock. */
export const isLong = ({ seconds }: Route): boolean => seconds > LONGEST;
const LONGEST = PASSAGE.at('day/long', 'beyond');

const MOST_CHECK_INS = PASSAGE.at('day/check-ins', 'many');
/** More check-ins than anybody keeps: then none is put on the clock, and the fewest minutes between them are told. */
export function manyCheckIns(seconds: number, everyMinutes = 0): { most: number; every: number } | undefined {
  const every = everyMinutes * MINUTE;
  if (every <= 0 || seconds / every <= MOST_CHECK_INS) return undefined;
  return { most: MOST_CHECK_INS, every: Math.ceil(seconds / MOST_CHECK_INS / MINUTE) };
}
const MINUTE = MS.minute / MS.second;

/** A leg on which she makes no way, when, and against what. */
export interface Stuck {
  stuck: { from: string; to: string } & NoWay;
}
interface NoWay {
  at: number;
  flow: Flow;
  /** Who paddles is slowed by a wind as well, m/s: that is our own estimate. */
  wind?: number;
}
export const isStuck = (timed: Schedule | Stuck): timed is Stuck => 'stuck' in timed;

/** What she meets on the way, m/s and degrees true, as far as it is known: a stream goes to, a wind comes from. */
export interface Meets {
  streamAt?: ((at: number) => Flow | undefined) | undefined;
  /** Plan by the other end of the band of who is moved by arms. */
  soonest?: boolean;
  windAt?: ((at: number, here: LatLon) => { wind: number; from: number } | undefined) | undefined;
}

/**
 * Put a route on the clock. Instants are epoch ms. Who is moved by arms is planned at the slow end of what the wind leaves them, and
 * may be there sooner.
 * @param meets where nothing is known of a stream the water stands still, of a wind the air
 */
export function scheduleOf(
  route: Route,
  leave: number,
  checkInMinutes?: number,
  meets: Meets = {},
): Schedule | Stuck {
  let at = leave;
  const legs: Leg[] = [];
  const halts: Schedule['halts'] = [];
  for (const [i, leg] of route.legs.entries()) {
    const seconds = throughWater(leg, route, at, meets, meets.soonest ? hardly : slowed);
    if (typeof seconds !== 'number') return { stuck: { from: leg.from, to: leg.to, ...seconds } };
    const arrives = Math.round(at + seconds * MS.second);
    const { from, to, metres, bearing } = leg;
    legs.push({ from, to, departs: at, arrives, metres, bearing, ...soonest(leg, route, at, meets) });
    at = arrives + leg.haltSeconds * MS.second;
    if (i < route.legs.length - 1) halts.push({ place: leg.to, from: arrives, until: at, doing: leg.doing });
  }
  const home = at;
  const checkIns: number[] = [];
  const every = (checkInMinutes ?? 0) * MS.minute;
  if (every > 0 && !manyCheckIns(route.seconds, checkInMinutes))
    for (let t = leave + every; t < home; t += every) checkIns.push(t);
  return {
    leave,
    legs,
    halts,
    turnBack: halts.at(-1)?.until,
    home,
    checkIns,
  };
}

/** A leg is gone in pieces of about so many metres, each in the stream of its hour, but in no more than so many. */
const PIECE = 500,
  MOST_PIECES = 24;

/** Which end of the band of who is moved by arms. */
type End = typeof slowed;

/** When a leg is over at the earliest, where who is moved by arms goes it in a wind. */
function soonest(leg: Route['legs'][number], route: Route, at: number, meets: Meets): { soonest?: number } {
  if (meets.soonest || route.arms.length === 0 || !meets.windAt?.(at, leg.ends[0])) return {};
  const seconds = throughWater(leg, route, at, meets, hardly);
  return typeof seconds === 'number' ? { soonest: Math.round(at + seconds * MS.second) } : {};
}

/**
 * Seconds for a leg in a stream and a wind, or when and in what she makes no way. While one rests the stream takes her along or back:
 * over an hour of going and its rest she makes v_ground + (rest − 1)·u_along.
 */
function throughWater(
  leg: Route['legs'][number],
  route: Route,
  departs: number,
  { streamAt, windAt }: Meets,
  end: End,
): number | NoWay {
  const blows = route.arms.length > 0 ? windAt : undefined;
  if (!streamAt && !blows) return leg.seconds;
  const { metres, bearing } = leg;
  const { rest, arms } = route;
  const pieces = Math.min(MOST_PIECES, Math.max(1, Math.ceil(metres / PIECE)));
  let gone = 0;
  for (let i = 0; i < pieces; i += 1) {
    const at = departs + gone * MS.second;
    const flow = streamAt?.(at) ?? STILL;
    const air = blows?.(at, partWay(...leg.ends, i / pieces));
    const speed = air
      ? Math.min(route.speed, ...arms.map((each) => end(each, air.wind, air.from - bearing)))
      : route.speed;
    const held = speed < Math.min(NO_WAY, route.speed);
    const over = held ? 0 : (ground(speed, bearing, flow)?.speed ?? 0);
    const made = over + (rest - 1) * flow.speed * Math.cos(((flow.direction - bearing) * Math.PI) / 180);
    if (over <= 0 || made <= 0)
      return { at, flow, ...(air && speed < route.speed ? { wind: air.wind } : {}) };
    gone += ((metres / pieces) * rest) / made;
  }
  return gone;
}
const NO_WAY = PASSAGE.limit('arms-no-way');
const STILL: Flow = { speed: 0, direction: 0 };

/**
 * How long to go out before turning when a time E is to be spent and home is slower than out: E·H / (O + H).
 * Source `turn-time`. Speeds in one unit, both above 0; the result in the unit of `endurance`.
 * @example turnTime(4, 3.5, 2.5) // 1.667
 */
export function turnTime(endurance: number, out: number, home: number): number {
  return (endurance * home) / (out + home);
}
