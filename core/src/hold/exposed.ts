import loads from '../../data/hold/loads.json';
import type { Hull, Outcome, Placed } from '../boat';
import type { HoldLoads } from '../model';
import { plus, times, type Band } from '../numeric';

export const LOADS = loads as unknown as HoldLoads;

const band = ([low, high]: readonly [number, number]): Band => ({ low, high });
const flat = (area: number): Band => ({ low: area, high: area });

/** Where wind or water has hold of a boat: areas times coefficients, m², seen from ahead and from the side; its centre. */
export interface Face {
  bow: Band;
  beam: Band;
  /** Forward of the stern, and up from the lowest point of the hull, metres. */
  x: number;
  z: number;
}

/** All that wind and stream have to push on of a boat as she lies loaded. */
export interface Exposed {
  air: Face;
  water: Face;
  /** Height of the wind's centre over the water, metres. */
  height: number;
  /** Of the water's plane over the lowest point of the hull, amidships, metres. */
  waterline: number;
}

/** Least height over the water for which a wind is told, m: lower down the air is waves. */
const LOWEST = 0.3;

/** What of a hull stands over and under its waterline: areas seen from ahead and from the side, and their centres. */
function sides(hull: Hull, { h, t }: { h: number; t: number }) {
  const over = { end: 0, side: 0, x: 0, z: 0 },
    under = { end: 0, side: 0, x: 0, z: 0 };
  for (const { x, width, rings } of hull.strips) {
    const water = h + t * x;
    let [top, keel, breadth] = [-Infinity, Infinity, 0];
    for (const ring of rings) {
      let [left, right] = [Infinity, -Infinity];
      for (let i = 0; i < ring.length; i += 2) {
        left = Math.min(left, ring[i]);
        right = Math.max(right, ring[i]);
        top = Math.max(top, ring[i + 1]);
        keel = Math.min(keel, ring[i + 1]);
      }
      breadth += right - left;
    }
    put(over, x, width, breadth, Math.max(water, keel), top);
    put(under, x, width, breadth, keel, Math.min(water, top));
  }
  return { over: centred(over), under: centred(under) };
}

function put(
  sum: { end: number; side: number; x: number; z: number },
  x: number,
  width: number,
  breadth: number,
  from: number,
  until: number,
): void {
  const high = Math.max(0, until - from);
  sum.end = Math.max(sum.end, breadth * high);
  sum.side += width * high;
  sum.x += width * high * x;
  sum.z += (width * high * (from + until)) / 2;
}

const centred = <S extends { side: number; x: number; z: number }>(sum: S): S => ({
  ...sum,
  x: sum.side > 0 ? sum.x / sum.side : 0,
  z: sum.side > 0 ? sum.z / sum.side : 0,
});

/**
 * What wind and stream have to push on, from the hull as she floats, who sits in her and what usually stands on such a boat. A
 * trailer boat's hull is a box from ahead; bodies stand behind each other there, so that at least one counts and at most all.
 * No such areas are published for small boats (`own-estimate`).
 * @returns undefined where she does not float upright
 */
export function exposedOf(
  hull: Hull,
  kind: keyof HoldLoads['top'],
  outcome: Outcome,
  spots: readonly Placed[],
): Exposed | undefined {
  if (outcome.state !== 'floats') return undefined;
  const { plane } = outcome.at;
  const { over, under } = sides(hull, plane);
  const people = spots.filter(({ is }) => is === 'person');
  const body = band(LOADS.body[LOADS.standing.includes(kind) ? 'standing' : 'seated']);
  const bodies = (least: number): Band => ({ low: least * body.low, high: people.length * body.high });
  const top = LOADS.top[kind];
  const above = band(LOADS.air.above);
  const air = {
    bow: plus(
      times(flat(over.end), band(LOADS.air.hullBow)),
      times(plus(bodies(Math.min(1, people.length)), band(top.bow)), above),
    ),
    beam: plus(
      times(flat(over.side), band(LOADS.air.hullBeam)),
      times(plus(bodies(people.length), band(top.beam)), above),
    ),
  };
  const waterline = plane.h + (plane.t * hull.length) / 2;
  // Heads and hands are higher than the middle of a body, and knees lower: its middle is where the wind has hold of it.
  const parts = [
    { area: over.side, x: over.x, z: over.z },
    ...people.map(({ x, z }) => ({ area: (body.low + body.high) / 2, x, z: Math.max(z, waterline) })),
  ];
  const all = parts.reduce((sum, { area }) => sum + area, 0);
  const mean = (pick: (part: { x: number; z: number }) => number) =>
    parts.reduce((sum, part) => sum + part.area * pick(part), 0) / (all || 1);
  const z = mean((part) => part.z);
  return {
    air: { ...air, x: mean((part) => part.x), z },
    water: {
      bow: times(flat(under.end), band(LOADS.water.bow)),
      beam: times(flat(under.side), band(LOADS.water.beam)),
      x: under.x,
      z: under.z,
    },
    height: Math.max(LOWEST, z - waterline),
    waterline,
  };
}
