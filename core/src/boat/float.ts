import { addUnder, reach, solve3, type Moments } from '../numeric';
import type { Hull, Strip } from './hull';
import { BOAT } from './limits';

/** The sea as seen from the boat: height of the water over the keel at (0, 0), and its slopes forward and to port. */
export interface Plane {
  h: number;
  t: number;
  s: number;
}

/** Something that displaces water: strips, of which a share keeps the water out. */
export interface Body {
  strips: readonly Strip[];
  share: number;
}

export interface Displaced {
  volume: number;
  x: number;
  y: number;
  z: number;
}

/** Volume below a plane (m³) and its first moments, added to `sum`: what of each outline is under water. */
function addBelow(strips: readonly Strip[], share: number, { h, t, s }: Plane, sum: Displaced): void {
  for (const { x, width, rings } of strips) {
    const surface = h + t * x;
    for (const ring of rings) {
      cut.area = cut.y = cut.z = 0;
      addUnder(ring, surface, s, cut);
      const volume = cut.area * width * share;
      sum.volume += volume;
      sum.x += volume * x;
      sum.y += cut.y * width * share;
      sum.z += cut.z * width * share + volume * surface;
    }
  }
}
/** One for all rings: a balance looks at tens of thousands. */
const cut: Moments = { area: 0, y: 0, z: 0 };

/** Volume of bodies below a plane and where its centre lies. */
export function below(bodies: readonly Body[], plane: Plane): Displaced {
  const sum = { volume: 0, x: 0, y: 0, z: 0 };
  for (const { strips, share } of bodies) addBelow(strips, share, plane, sum);
  const v = sum.volume || 1;
  return { volume: sum.volume, x: sum.x / v, y: sum.y / v, z: sum.z / v };
}

/** Higher than any small boat, metres. */
const OVER_ALL = 100;
/** All of it: the plane above everything. */
export const whole = (bodies: readonly Body[]) => below(bodies, { h: OVER_ALL, t: 0, s: 0 });

export interface Weight {
  mass: number;
  x: number;
  y: number;
  z: number;
}

/** Sum of weights and their common centre. */
export function together(weights: readonly Weight[]): Weight {
  const mass = weights.reduce((sum, w) => sum + w.mass, 0);
  const mean = (pick: (w: Weight) => number) =>
    mass > 0 ? weights.reduce((sum, w) => sum + w.mass * pick(w), 0) / mass : 0;
  return { mass, x: mean((w) => w.x), y: mean((w) => w.y), z: mean((w) => w.z) };
}

export interface Floating {
  plane: Plane;
  /** Radians: bow up positive, port down positive. */
  trim: number;
  heel: number;
  /** Metacentric heights over the common centre, metres; what is left of them with all free surfaces. */
  gm: number;
  gmLong: number;
  volume: number;
}
/** `sinks`: more weight than all of it can bear; `capsizes`: no upright balance; `on-end`: none along its length. */
export type Outcome =
  { state: 'floats'; at: Floating } | { state: 'sinks' } | { state: 'capsizes' } | { state: 'on-end' };

export interface Bearing {
  bodies: readonly Body[];
  /** Everything that weighs, once. */
  weight: Weight;
  /** kg/m³ */
  density: number;
  /** Water inside, m³, free to run in this space: bodies added up, those with a negative share keep it out. */
  inside?: { space: readonly Body[]; volume: number };
  /** Length and beam, to scale steps and residuals. */
  length: number;
  beam: number;
}

const MOST_STEPS = 25,
  CLOSE = 1e-7,
  STEP = 1e-6,
  TINY = 1e-12;
/** Slopes are measured anew when a step leaves more than this share of what was wrong. */
const KEEP = 0.2;
/** Slopes beyond which she is over or on end: 45° of heel, 30° of trim. */
const OVER = Math.tan(BOAT.limit('over')),
  ON_END = Math.tan(BOAT.limit('on-end'));
/** Heel and trim from which the search starts: upright first; from a nudge where upright balances on a knife's edge. */
const NUDGES = [0, 0.08, 0.35];

/**
 * How a loaded hull floats: the plane at which displaced water weighs as much as she does and both centres stand over each
 * other, by Newton's method on height and two slopes, the plane of free water inside found along the way. Nothing is
 * linearised, so heel, trim and free surface come out of one balance. About 0.3 ms dry.
 * Closed forms for a box: draught m/(ρLB), BM B²/12T, loss by free surface i/V (Rawson and Tupper, Basic Ship Theory, recalled).
 */
export function equilibrium(bearing: Bearing): Outcome {
  const { bodies, weight, density, inside } = bearing;
  if ((weight.mass + (inside?.volume ?? 0) * density) / density > whole(bodies).volume)
    return { state: 'sinks' };
  let end: Outcome = { state: 'capsizes' };
  for (const nudge of NUDGES) {
    const found = balance(bearing, nudge * (weight.y < 0 ? -1 : 1));
    if (found.state === 'floats' && found.at.gm > 0 && found.at.gmLong > 0) return found;
    // A nudge to the side does not lay down again what stands on end.
    if (found.state === 'on-end') return found;
    if (found.state !== 'floats') end = found;
  }
  return end;
}

function balance(bearing: Bearing, nudge: number): Outcome {
  const { bodies, weight, density, inside, length, beam } = bearing;
  const sum = { volume: 0, x: 0, y: 0, z: 0 };
  let pool = 0;
  /** What is left over at a plane: volume, moment along, moment across, each as a share of length, length and beam. */
  const residual = (plane: Plane): [number, number, number] => {
    sum.volume = sum.x = sum.y = sum.z = 0;
    for (const { strips, share } of bodies) addBelow(strips, share, plane, sum);
    let { mass, x, y, z } = weight;
    [x, y, z] = [x * mass, y * mass, z * mass];
    if (inside && inside.volume > 0) {
      const level = pooled(inside, plane, pool, length);
      pool = level.h;
      const m = level.volume * density;
      mass += m;
      x += level.x * m;
      y += level.y * m;
      z += level.z * m;
    }
    const v = sum.volume || 1e-9;
    const up = sum.z / v - z / mass;
    return [
      (v * density - mass) / (density * length * beam),
      (sum.x / v - x / mass + plane.t * up) / length,
      (sum.y / v - y / mass + plane.s * up) / beam,
    ];
  };

  const at: Plane = {
    h: draughtFor(bodies, (weight.mass + (inside?.volume ?? 0) * density) / density),
    t: 0,
    s: nudge,
  };
  pool = at.h;
  let r = residual(at),
    jacobian = slopes(residual, at, r),
    fresh = true;
  for (let step = 0; step < MOST_STEPS; step += 1) {
    if (size(r) < CLOSE) return floating(bearing, at, fresh ? jacobian : slopes(residual, at, r));
    const change = solve3(jacobian, r);
    if (!change) return { state: 'capsizes' };
    // Short steps, of the height amidships and both slopes: the curves bend where the deck goes under.
    const short = Math.min(
      1,
      (0.15 * beam) / Math.abs(change[0] + (change[1] * length) / 2 || TINY),
      0.12 / Math.abs(change[1] || TINY),
      0.2 / Math.abs(change[2] || TINY),
    );
    at.h -= short * change[0];
    at.t -= short * change[1];
    at.s -= short * change[2];
    if (Math.abs(at.t) > 2 * ON_END) return { state: 'on-end' };
    if (Math.abs(at.s) > 2 * OVER) return { state: 'capsizes' };
    const next = residual(at);
    // The slopes are kept while they still serve: most of the work is in them.
    fresh = short < 1 || size(next) > KEEP * size(r);
    r = next;
    if (fresh) jacobian = slopes(residual, at, r);
  }
  return { state: Math.abs(at.t) > ON_END ? 'on-end' : 'capsizes' };
}

const size = (r: number[]) => Math.max(Math.abs(r[0]), Math.abs(r[1]), Math.abs(r[2]));

function floating(
  { bodies, length, beam }: Bearing,
  plane: Plane,
  [byVolume, along, across]: number[][],
): Outcome {
  if (Math.abs(plane.t) > ON_END) return { state: 'on-end' };
  if (Math.abs(plane.s) > OVER) return { state: 'capsizes' };
  // Righting arms by slope with the volume held: the height is eliminated from the balance.
  const gm = (across[2] - (across[0] * byVolume[2]) / byVolume[0]) * beam,
    gmLong = (along[1] - (along[0] * byVolume[1]) / byVolume[0]) * length;
  return {
    state: 'floats',
    at: {
      plane: { ...plane },
      trim: -Math.atan(plane.t),
      heel: Math.atan(plane.s),
      gm,
      gmLong,
      volume: below(bodies, plane).volume,
    },
  };
}

/** Height of a level plane that cuts off a volume: where the search begins, so near is near enough. */
function draughtFor(bodies: readonly Body[], volume: number): number {
  let high = 0;
  for (const { strips } of bodies)
    for (const { rings } of strips)
      for (const ring of rings) for (let i = 1; i < ring.length; i += 2) high = Math.max(high, ring[i]);
  return reach((h) => below(bodies, { h, t: 0, s: 0 }).volume, volume, 0, high, high / 2, volume * 1e-3);
}

/** Water of a volume at rest inside, its surface parallel to the sea: where it stands over (0, 0) and where its centre lies. */
export function pooled(
  { space, volume }: NonNullable<Bearing['inside']>,
  { t, s }: Omit<Plane, 'h'>,
  from: number,
  length: number,
): Displaced & { h: number } {
  const h = reach((at) => below(space, { h: at, t, s }).volume, volume, -length, length, from, 1e-12);
  return { ...below(space, { h, t, s }), h };
}

function slopes(residual: (plane: Plane) => [number, number, number], at: Plane, r: number[]): number[][] {
  const rows = [
    [0, 0, 0],
    [0, 0, 0],
    [0, 0, 0],
  ];
  (['h', 't', 's'] as const).forEach((name, column) => {
    const moved = residual({ ...at, [name]: at[name] + STEP });
    for (let row = 0; row < 3; row += 1) rows[row][column] = (moved[row] - r[row]) / STEP;
  });
  return rows;
}

export interface Freeboards {
  bow: number;
  stern: number;
  lowest: number;
  /** Where the lowest point stands. */ at: { x: number; y: number };
}

/** Height of the edge over the water, square to it, in metres: at bow, stern and where it is least. Below 0 it is under. */
export function freeboards(hull: Hull, { h, t, s }: Plane): Freeboards {
  const square = Math.hypot(1, t, s);
  const over = ({ x, y, z }: { x: number; y: number; z: number }) => (z - h - t * x - s * y) / square;
  const [stern, bow] = hull.edge.slice(-2);
  let lowest = Infinity,
    at = { x: 0, y: 0 };
  for (const point of hull.edge) {
    const free = over(point);
    if (free < lowest) [lowest, at] = [free, { x: point.x, y: point.y }];
  }
  return { bow: over(bow), stern: over(stern), lowest, at };
}
