import { civilDate, distance, type LatLon } from '../earth';
import { lineOf } from '../chart';
import { wayOf } from '../formats/drawing';
import { readTimes, type TimedPoint } from '../formats/gpx';
import type { Track } from '../model';
import { MS } from '../units';
import { LOGBOOK } from './limits';

// A recorded track, read, measured and thinned: how far it led, for how long it moved.

const MOVES = LOGBOOK.limit('track-moving'),
  SLIP = LOGBOOK.limit('track-most'),
  WINDOW = LOGBOOK.limit('track-window') * MS.second;

/** Points that a kept track has at most: a debrief stays small, and a bend of a few metres is no news. */
const MOST_POINTS = 150;

/** What came of a file. `another`: a sound track, of other days than was asked for; `outside`: of other hours. */
export type ReadTrack =
  | { is: 'read'; track: Track }
  | { is: 'another'; from: string; until: string }
  | { is: 'outside'; from: number; until: number }
  | { is: 'refused'; fault: string }
  | { is: 'empty' };

/** When one left and was ashore, epoch ms, as far as it was told. */
export interface Hours {
  left?: number | undefined;
  home?: number | undefined;
}

/**
 * A track out of a GPX file, for a trip on these days. Of a receiver that ran on the road as well, what was recorded between these
 * hours counts.
 * @param days the first and the last civil date of the trip, in its zone
 */
export function readTrack(
  text: string,
  days: readonly [string, string],
  zone: string,
  { left = -Infinity, home = Infinity }: Hours = {},
): ReadTrack {
  const points = readTimes(text);
  if (typeof points === 'string') return { is: 'refused', fault: points };
  if (points.length < 2) return { is: 'empty' };
  const mine = points.filter(({ at }) => {
    const day = civilDate(at, zone);
    return day >= days[0] && day <= days[1];
  });
  if (mine.length < 2)
    return {
      is: 'another',
      from: civilDate(points[0].at, zone),
      until: civilDate(points[points.length - 1].at, zone),
    };
  const out = mine.filter(({ at }) => at >= left && at <= home);
  if (out.length < 2) return { is: 'outside', from: mine[0].at, until: mine[mine.length - 1].at };
  return { is: 'read', track: trackOf(out) };
}

/**
 * The sums of a track. It is cut into stretches of a window or longer; one that led away fast enough counts whole, with its way over
 * the ellipsoid and its time, any other not at all, so that way over time is a speed. How one moved within a silence is not known: it
 * counts like any stretch, and makes the speed slower, never faster.
 * @param all in the order of time, two or more
 */
export function trackOf(all: readonly TimedPoint[]): Track {
  // Of a first point from which the second is out of reach, and the third is not out of reach of the second, the first is the slip.
  const points = all.length > 2 && isSlip(all[0], all[1]) && !isSlip(all[1], all[2]) ? all.slice(1) : all;
  let [metres, moving, way] = [0, 0, 0];
  const kept: LatLon[] = [points[0].position];
  let [begins, last] = [points[0], points[0]];
  const close = () => {
    const { ms, speed } = stretch(begins, last);
    if (ms > 0 && speed >= MOVES) {
      metres += way;
      moving += ms / MS.second;
    }
    begins = last;
    way = 0;
  };
  for (const point of points.slice(1)) {
    if (isSlip(last, point)) continue;
    way += stretch(last, point).way;
    kept.push(point.position);
    last = point;
    if (last.at - begins.at >= WINDOW) close();
  }
  close();
  return {
    from: new Date(points[0].at).toISOString(),
    until: new Date(last.at).toISOString(),
    metres,
    moving,
    line: lineOf(wayOf(kept, MOST_POINTS)),
  };
}

/** From one point to the next: milliseconds, metres, m/s. */
function stretch(a: TimedPoint, b: TimedPoint): { ms: number; way: number; speed: number } {
  const ms = b.at - a.at;
  const way = distance(a.position, b.position).metres;
  return { ms, way, speed: ms > 0 ? way / (ms / MS.second) : Infinity };
}

const isSlip = (a: TimedPoint, b: TimedPoint): boolean => {
  const { way, speed } = stretch(a, b);
  return way > 0 && speed > SLIP;
};
