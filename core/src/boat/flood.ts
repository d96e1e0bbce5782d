import flooding from '../../data/boat/flooding.json';
import type { Boat, FloodData } from '../model';
import { bisect, rk4, simpson } from '../numeric';
import { G } from '../units';
import { equilibrium, freeboards, pooled, whole, type Body, type Floating, type Weight } from './float';
import { sheerAt, type Hull } from './hull';
import { BOAT } from './limits';

export type { FloodData };
export const FLOODING = flooding as unknown as FloodData;

/**
 * Water through a hole under a head: Q = Cd·A·√(2gh), m³/s (Torricelli with a coefficient of discharge). Source `orifice`.
 * @param diameter, head metres; no head, no flow
 * @example orifice(0.025, 0.3, 0.6) // 0.000714 m³/s, 42.9 L/min
 */
export function orifice(diameter: number, head: number, discharge: number): number {
  return head > 0 ? discharge * (Math.PI / 4) * diameter ** 2 * Math.sqrt(2 * G * head) : 0;
}

/** Water over a low edge: Q = 1.7·b·h^1.5, m³/s (broad-crested weir). Source `weir`. @example overEdge(1, 0.05) // 0.019 */
export const overEdge = (width: number, depth: number) => (depth > 0 ? 1.7 * width * depth ** 1.5 : 0);

/**
 * Mean flow over an edge that waves reach now and then: the weir above with the water's height over the edge as a normal
 * variate about −free with a spread of a quarter of the significant height, m³/s. No waves, no flow over an edge above water.
 * @param free metres of the edge over the mean water, sea significant height in metres as the boat feels it
 */
export function washOver(width: number, free: number, sea: number): number {
  const spread = sea / 4;
  if (spread <= 0) return overEdge(width, -free);
  const from = Math.max(free / spread, -TAIL);
  // Beyond six spreads nothing comes.
  const density = (u: number) => Math.exp((-u * u) / 2) / Math.sqrt(2 * Math.PI);
  const flow = (u: number) => overEdge(width, u * spread - free) * density(u);
  return simpson(flow, from, Math.max(from, TAIL), WASH_STEPS);
}
const TAIL = 6,
  WASH_STEPS = 40;

export interface Hole {
  name: string;
  kind: Boat['openings'][number]['kind'];
  diameter: number;
  x: number;
  y: number;
  z: number;
  where?: Boat['openings'][number]['where'];
  guessed: boolean;
}

/** Where each opening stands in the hull and how wide it is; what nobody entered is taken from its kind, and said. */
export function holesOf(
  boat: Pick<Boat, 'openings' | 'basis'>,
  hull: Hull,
  data: FloodData = FLOODING,
): Hole[] {
  const along = { bow: 0.8, middle: 0.5, stern: 0.06 } as const;
  // Two hulls: the hole is in one of them.
  const across = hull.form.hulls ? (hull.beam * (1 - hull.form.hulls.share)) / 2 : 0;
  return boat.openings.map(({ name, kind, diameter, where }, i) => {
    const usual = data.openings[kind];
    const guess = diameter === undefined || boat.basis?.[`/openings/${i}/diameter`] === 'guessed';
    const x = where ? along[where] : usual.x;
    return {
      name,
      kind,
      diameter: diameter ?? usual.diameter,
      x: x * hull.length,
      y: across,
      z: kind === 'hatch' ? sheerAt(hull.form, hull.depth, x) * usual.z : usual.z * hull.depth,
      ...(where ? { where } : {}),
      guessed: guess,
    };
  });
}

/** Who or what throws water out. */
export interface Relief {
  /** Rated flow of pumps, m³/s. */ pump: number;
  /** People with a bailer. */ bailers: number;
}

export interface Leak {
  /** m³/s when it begins. */
  inflow: number;
  /** Seconds until a third of her is full, and until she is swamped or can't be kept upright; absent: it never comes to that. */
  third?: number;
  swamped?: number;
  end: 'swamped' | 'capsized' | 'holds';
  /** Trim and heel (radians) with a third of her full. */
  atThird?: Pick<Floating, 'trim' | 'heel'>;
  /** Water aboard when the sum ends, m³. */
  aboard: number;
}

/** How she lies with so much water in her. */
interface Stage {
  volume: number;
  /** Water outside over the hole, and over what stands inside above it, metres. */
  outside: number;
  head: number;
  trim: number;
  heel: number;
}
const STAGES = 14,
  HALVINGS = 5;
/** Nobody waits longer for an answer. */
const HOURS = BOAT.limit('leak-hours');

/** What a leak is reckoned from. */
export interface Leaking {
  hull: Hull;
  hole: Hole;
  /** The space that it floods (`spaceOf`). */
  space: readonly Body[];
  /** Everything that weighs, once. */
  weight: Weight;
  /** kg/m³ */
  density: number;
  relief: Relief;
  /** Significant height of the waves, metres; a small boat rides a part of it. */
  sea: number;
}

/**
 * Water runs in through one hole while pumps and bailers throw it out: dV/dt = Q(head) − relief(t). The head follows from
 * how she lies with the water inside her, balanced at fourteen amounts and read between; the sum is by Runge and Kutta.
 * She is swamped when her edge goes under or all of her can't bear it. About 15 ms: asked for when its section is open.
 */
export function leak(
  { hull, hole, space, weight, density, relief, sea }: Leaking,
  data: FloodData = FLOODING,
): Leak {
  // Her own stuff and floating parts may be more than the hull holds: then nothing is left to fill.
  const room = Math.max(0, whole(space).volume);
  const bodies = [{ strips: hull.strips, share: 1 }];
  const staged = (volume: number): Stage | Leak['end'] => {
    const inside = volume > 0 ? { inside: { space, volume } } : {};
    const found = equilibrium({ bodies, weight, density, length: hull.length, beam: hull.beam, ...inside });
    if (found.state !== 'floats') return found.state === 'capsizes' ? 'capsized' : 'swamped';
    const { plane, trim, heel } = found.at;
    const over = (h: number) => h + plane.t * hole.x + plane.s * hole.y - hole.z;
    const outside = over(plane.h);
    const level = volume > 0 ? over(pooled({ space, volume }, plane, plane.h, hull.length).h) : 0;
    if (hull.form.deck === 'open' && freeboards(hull, plane).lowest <= 0) return 'swamped';
    return { volume, outside, head: outside - Math.max(0, level), trim, heel };
  };
  const stages: Stage[] = [];
  let end: Leak['end'] = 'holds';
  for (let i = 0; i < STAGES; i += 1) {
    const stage = staged((room * i) / (STAGES - 1));
    if (typeof stage === 'string') {
      end = stage;
      break;
    }
    stages.push(stage);
  }
  if (stages.length === 0) return { inflow: 0, third: 0, swamped: 0, end, aboard: 0 };
  if (room === 0) return { inflow: 0, end, aboard: 0 };
  // Between the last amount that she bears and the first that she does not, by halving.
  const bears = (volume: number) => {
    const stage = staged(volume);
    if (typeof stage === 'string') end = stage;
    else stages.push(stage);
    return typeof stage !== 'string';
  };
  const most = stages[stages.length - 1].volume;
  if (end !== 'holds') bisect(bears, most, (room * stages.length) / (STAGES - 1), HALVINGS);
  return fill(stages, { hole, room, relief, sea: sea * data.wash.rides }, data, end);
}

function fill(
  stages: Stage[],
  { hole, room, relief, sea }: Pick<Leaking, 'hole' | 'relief' | 'sea'> & { room: number },
  data: FloodData,
  end: Leak['end'],
): Leak {
  const last = stages[stages.length - 1];
  const between = (volume: number, pick: (s: Stage) => number): number => {
    const k = Math.max(
      1,
      stages.findIndex((s) => s.volume >= volume),
    );
    const a = stages[k - 1],
      b = stages[k] ?? a;
    const f = b.volume > a.volume ? Math.min(1, (volume - a.volume) / (b.volume - a.volume)) : 0;
    return pick(a) + f * (pick(b) - pick(a));
  };
  const inflow = (volume: number) => {
    if (volume >= room) return 0;
    const head = between(volume, (s) => s.head);
    if (head > 0) return orifice(hole.diameter, head, data.discharge.value);
    // What stands over the water takes what waves throw over its rim, the more the lower it is and the higher they are.
    const free = -between(volume, (s) => s.outside);
    return hole.kind === 'hatch' && free >= 0 ? washOver((Math.PI * hole.diameter) / 2, free, sea) : 0;
  };
  const thrown = (at: number) =>
    relief.pump * data.pumpReal.value +
    relief.bailers * (at < data.bailer.seconds ? data.bailer.fresh : data.bailer.tired);
  const rate = (at: number, volume: number) =>
    volume <= 0 ? Math.max(0, inflow(0) - thrown(at)) : inflow(volume) - thrown(at);
  const first = inflow(0);
  const result: Leak = { inflow: first, end: 'holds', aboard: 0 };
  // Where she is swamped before she is a third full, it never comes to a third.
  const third = end === 'holds' || last.volume >= room / 3 ? room / 3 : Infinity;
  // A two-hundredth of the time that the first flow would need, but never coarser than half a minute.
  const step = Math.min(30, Math.max(0.2, room / Math.max(first, 1e-9) / 200));
  let volume = 0;
  for (let at = 0; at < HOURS; at += step) {
    const next = Math.min(room, Math.max(0, rk4(rate, at, volume, step)));
    if (result.third === undefined && next >= third) {
      result.third = crossing(at, step, volume, next, third);
      result.atThird = { trim: between(third, (s) => s.trim), heel: between(third, (s) => s.heel) };
    }
    if (end !== 'holds' && next >= last.volume)
      return { ...result, swamped: crossing(at, step, volume, next, last.volume), end, aboard: last.volume };
    if (Math.abs(next - volume) < 1e-9 && at > data.bailer.seconds) break;
    volume = next;
  }
  return { ...result, aboard: volume };
}

const crossing = (at: number, step: number, from: number, to: number, level: number) =>
  at + (to > from ? ((level - from) / (to - from)) * step : 0);
