import { distance, type LatLon } from '../earth';
import type { Leg, Schedule } from '../model';
import { HOUR, MS } from '../units';
import type { Flow } from '../water';
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
  seconds: number;
  /** From the last halt home. */
  backSeconds: number;
}

/**
 * Legs over the ellipsoid at a speed (m/s, above 0). `restFactor` stretches the going time of people who paddle.
 * Points are launch, halts…, return: at least two.
 */
export function routeOf(points: RoutePoint[], speed: number, restFactor: number): Route {
  const legs = points.slice(1).map((point, i) => {
    const { metres, bearing } = distance(points[i].position, point.position);
    return {
      from: points[i].id,
      to: point.id,
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

/** A leg on which the stream is faster than she goes, and when. */
export interface Stuck {
  stuck: { from: string; to: string; at: number; flow: Flow };
}
export const isStuck = (timed: Schedule | Stuck): timed is Stuck => 'stuck' in timed;

/** What takes a boat along over the ground: m/s and degrees true, as far as it is known. */
export type StreamAt = (at: number) => Flow | undefined;

/**
 * Put a route on the clock. Instants are epoch ms.
 * @param streamAt where nothing is known of a stream the water stands still
 */
export function scheduleOf(
  route: Route,
  leave: number,
  graceMinutes: number,
  checkInMinutes?: number,
  streamAt?: StreamAt,
): Schedule | Stuck {
  let at = leave;
  const legs: Leg[] = [];
  const halts: Schedule['halts'] = [];
  for (const [i, leg] of route.legs.entries()) {
    const seconds = streamAt ? throughStream(leg, route, at, streamAt) : leg.seconds;
    if (typeof seconds !== 'number') return { stuck: { from: leg.from, to: leg.to, ...seconds } };
    const arrives = Math.round(at + seconds * MS.second);
    legs.push({ from: leg.from, to: leg.to, departs: at, arrives, metres: leg.metres, bearing: leg.bearing });
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
    overdue: home + graceMinutes * MS.minute,
    checkIns,
  };
}

/** A leg is gone in pieces of about so many metres, each in the stream of its hour, but in no more than so many. */
const PIECE = 500,
  MOST_PIECES = 24;

/**
 * Seconds for a leg in a stream, or when and in what stream she makes no way. While one rests the stream takes her along or back:
 * over an hour of going and its rest she makes v_ground + (rest − 1)·u_along.
 */
function throughStream(
  { metres, bearing }: Route['legs'][number],
  { speed, rest }: Route,
  departs: number,
  streamAt: StreamAt,
): number | { at: number; flow: Flow } {
  const pieces = Math.min(MOST_PIECES, Math.max(1, Math.ceil(metres / PIECE)));
  let gone = 0;
  for (let i = 0; i < pieces; i += 1) {
    const at = departs + gone * MS.second;
    const flow = streamAt(at) ?? STILL;
    const over = ground(speed, bearing, flow)?.speed ?? 0;
    const made = over + (rest - 1) * flow.speed * Math.cos(((flow.direction - bearing) * Math.PI) / 180);
    if (over <= 0 || made <= 0) return { at, flow };
    gone += ((metres / pieces) * rest) / made;
  }
  return gone;
}
const STILL: Flow = { speed: 0, direction: 0 };

/**
 * How long to go out before turning when a time E is to be spent and home is slower than out: E·H / (O + H).
 * Source `turn-time`. Speeds in one unit, both above 0; the result in the unit of `endurance`.
 * @example turnTime(4, 3.5, 2.5) // 1.667
 */
export function turnTime(endurance: number, out: number, home: number): number {
  return (endurance * home) / (out + home);
}
