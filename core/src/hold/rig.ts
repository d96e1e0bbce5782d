import { afloat, breadthAt, leaning, placed, sheerAt, type Hull } from '../boat';
import type { Boat, Person, Trip } from '../model';
import type { Band } from '../numeric';
import { HOLD } from './limits';

/** A point of her edge, metres: forward of the stern, out from the middle, and up. */
export interface EdgePoint {
  x: number;
  y: number;
  z: number;
}

const edgeAt = (hull: Hull, x: number): EdgePoint => ({
  x,
  y: (breadthAt(hull.form, x / hull.length) * hull.beam) / 2,
  z: sheerAt(hull.form, hull.depth, x / hull.length),
});
const apart = (a: EdgePoint, b: EdgePoint) => Math.hypot(a.x - b.x, a.y - b.y, a.z - b.z);

/** From bow and stern the end points keep off so far, m; a line may lie over her deck so far inside of her edge. */
const END = HOLD.limit('rig-end'),
  RIDES = HOLD.limit('rig-rides'),
  LOOKS = 40,
  MOST = 12;

/** How far inside of her edge a straight line between two points of it runs at most, metres. */
function inside(hull: Hull, a: EdgePoint, b: EdgePoint): number {
  return Math.max(
    ...Array.from({ length: LOOKS - 1 }, (_, i) => {
      const share = (i + 1) / LOOKS;
      return edgeAt(hull, a.x + share * (b.x - a.x)).y - (a.y + share * (b.y - a.y));
    }),
  );
}

/** A running rig along one side of a hull. */
export interface Rig {
  /** Where it is fixed to her, from the stern on: four at least, more where the line would ride up over her deck. */
  points: EdgePoint[];
  /** The loop: there and back, with what knots and the ring take, metres. */
  loop: Band;
}

/**
 * Fixed points and line of a running rig: a loop along her edge from near the bow to near the stern with a ring in it. Between two
 * points the line is straight and her edge is not, so points are added where it would ride up further than a hand’s breadth.
 */
export function rigOn(hull: Hull): Rig {
  let points = [END, hull.length / 3, (2 * hull.length) / 3, hull.length - END].map((x) => edgeAt(hull, x));
  while (points.length < MOST) {
    const spans = points.slice(1).map((b, i) => ({ i, in: inside(hull, points[i], b) }));
    const worst = spans.reduce((bad, each) => (each.in > bad.in ? each : bad));
    if (worst.in <= RIDES) break;
    const middle = (points[worst.i].x + points[worst.i + 1].x) / 2;
    points = [...points.slice(0, worst.i + 1), edgeAt(hull, middle), ...points.slice(worst.i + 1)];
  }
  const along = points.slice(1).reduce((sum, b, i) => sum + apart(points[i], b), 0);
  const knots = HOLD.limit('rig-knots');
  return { points, loop: { low: 2 * along + knots, high: 2 * along + 2 * knots } };
}

/** How far from whoever holds her the ring is when it stands at an end, and whether arms reach it. */
export interface Reach {
  /** From the shoulders to the ring at the bow and at the stern, metres. */
  bow: number;
  stern: number;
  /** What arms reach sitting, metres. */
  arm: Band;
  /** Heel while leaning over the edge for it, radians; absent where she goes over. */
  heel?: number;
  /** Freeboard that is left, metres. */
  free?: number;
}

/**
 * Both ways of clipping want other reaches: to the ring itself, or to a clip by the seat. From the shoulders of who sits furthest
 * aft (alone: of who is in her) to the rig’s ends; and how far she heels while they lean over the edge for it.
 */
export function reachOn(
  boat: Boat,
  hull: Hull,
  trip: Pick<Trip, 'crew' | 'load' | 'comingHome'>,
  people: readonly Person[],
  density: number,
): Reach | undefined {
  const spots = placed(trip, people, hull);
  const [who] = spots.filter(({ is }) => is === 'person').sort((a, b) => a.x - b.x);
  if (!who) return undefined;
  const { points } = rigOn(hull);
  const shoulders = { x: who.x, y: 0, z: who.z + HOLD.limit('shoulder') };
  const { outcome, free } = afloat(boat, hull, leaning(hull, spots, 1), density);
  return {
    bow: apart(shoulders, points[points.length - 1]),
    stern: apart(shoulders, points[0]),
    arm: { low: HOLD.limit('arm-short'), high: HOLD.limit('arm-long') },
    ...(outcome.state === 'floats' ? { heel: Math.abs(outcome.at.heel) } : {}),
    ...(free ? { free: free.lowest } : {}),
  };
}
