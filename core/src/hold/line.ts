import lines from '../../data/hold/lines.json';
import type { GearItem, HoldLines } from '../model';
import { brent, type Band } from '../numeric';
import { G } from '../units';
import { guessed } from '../verdict';

export const LINES = lines as unknown as HoldLines;

/** What leads from an anchor to a boat: chain first, then line. */
export interface Rode {
  /** Metres of line and of chain. */
  line: number;
  chain: number;
  /** Of a metre of chain in water, newtons. */
  weight: number;
  /** EA of the line, newtons; absent where neither its kind nor its thickness was said. */
  stiff?: Band;
}

/** A link's thickness to take where nobody said, m: thin, so that little is counted on. */
const MILLIMETRE = 1e-3;

/**
 * Weight of a metre of chain in water: 0.0219 kg per mm² of its links, of which water takes an eighth.
 * @param thick of the steel of a link, m
 * @example chainWeight(0.008) // 12.0 N, 1.4 kg in air
 */
export const chainWeight = (thick: number): number =>
  LINES.chain.perSquare * (thick / MILLIMETRE) ** 2 * LINES.chain.submerged * G;

/** What a thing's line and chain are, as far as it was stated or measured; undefined while nobody said how long. */
export function rodeOf(item: GearItem): Rode | undefined {
  const said = <T>(value: T | undefined, pointer: string) => (guessed(item, pointer) ? undefined : value);
  const line = said(item.line, '/line');
  if (line === undefined) return undefined;
  const { thin, stiff } = LINES;
  const kind = said(item.lineOf, '/lineOf'),
    thick = said(item.lineThick, '/lineThick');
  const ea = kind === undefined || thick === undefined ? undefined : stiff[kind];
  const square = ((thick ?? 0) / MILLIMETRE) ** 2;
  return {
    line,
    chain: said(item.chain, '/chain') ?? 0,
    weight: chainWeight(said(item.chainThick, '/chainThick') ?? thin * MILLIMETRE),
    ...(ea ? { stiff: { low: ea[0] * square, high: ea[1] * square } } : {}),
  };
}

/** How a line lies from the ground to the boat. */
export interface Lead {
  /** Angle by which it leads up, radians: at the anchor and at the boat. */
  anchor: number;
  boat: number;
  /** Level distance from the anchor to the boat, metres, without stretch. */
  reach: number;
  /** Of the chain that lies on the ground, and that hangs, metres. */
  lying: number;
  hanging: number;
}

/** Height and level length of a hanging chain between two slopes (catenary: y = (H/w)·cosh, in slopes √(1 + t²) and asinh t). */
const rise = (a: number, from: number, until: number) =>
  a * (Math.sqrt(1 + until * until) - Math.sqrt(1 + from * from));
const run = (a: number, from: number, until: number) => a * (Math.asinh(until) - Math.asinh(from));

/** No steeper than this, radians: a line that hangs straight down. */
const PLUMB = Math.PI / 2 - 1e-6,
  CLOSE = 1e-9;

/**
 * How chain and line lie under a level pull: chain as a catenary, on the ground as far as it is not lifted; line as a straight one,
 * for it hardly weighs in water. With chain alone and some of it on the ground, pull and hanging length S over a height h go by
 * H = w·(S² − h²)/2h (closed form).
 * @param height from the ground to where it is made fast, metres, above 0
 * @param pull level, newtons, 0 or more
 * @returns undefined where all of it does not reach up
 * @example chain of 12 N/m, height 5.8 m, pull 377 N: 20 m of it hang
 */
export function leadOf({ line, chain, weight }: Rode, height: number, pull: number): Lead | undefined {
  if (line + chain <= height) return undefined;
  if (chain === 0 || weight === 0) {
    // Without a pull it hangs, and the rest of it lies about.
    if (pull <= 0) return slack(line + chain, height);
    const angle = Math.asin(height / (line + chain));
    return { anchor: angle, boat: angle, reach: (line + chain) * Math.cos(angle), lying: 0, hanging: 0 };
  }
  if (pull <= 0) return slack(line + chain, height);
  const a = pull / weight;
  /** Height of the boat over the ground with a slope at the anchor and so much chain off the ground. */
  const up = (foot: number, hanging: number) => {
    const top = foot + hanging / a;
    return rise(a, foot, top) + (line * top) / Math.hypot(1, top);
  };
  if (up(0, chain) >= height) {
    const hanging = brent((s) => up(0, s) - height, 0, chain, CLOSE);
    return ledBy(0, hanging, chain - hanging);
  }
  const lifted = (angle: number) => up(Math.tan(angle), chain) - height;
  if (lifted(PLUMB) < 0) return undefined;
  return ledBy(Math.tan(brent(lifted, 0, PLUMB, CLOSE)), chain, 0);

  function ledBy(foot: number, hanging: number, lying: number): Lead {
    const top = foot + hanging / a;
    return {
      anchor: Math.atan(foot),
      boat: Math.atan(top),
      reach: lying + run(a, foot, top) + line / Math.hypot(1, top),
      lying,
      hanging,
    };
  }
}

const slack = (all: number, height: number): Lead => ({
  anchor: 0,
  boat: Math.PI / 2,
  reach: all - height,
  lying: all - height,
  hanging: 0,
});

/** Points of a line to draw, from the anchor at (0, 0) to the boat, metres: level and up. */
export function shapeOf(rode: Rode, { anchor, lying, hanging, reach }: Lead, height: number, pull: number) {
  const a = pull / (rode.weight || 1);
  const foot = Math.tan(anchor);
  const chain = Array.from({ length: hanging > 0 ? HANGING + 1 : 1 }, (_, i) => {
    const top = foot + (hanging * i) / HANGING / (a || 1);
    return { x: lying + (hanging > 0 ? run(a, foot, top) : 0), z: hanging > 0 ? rise(a, foot, top) : 0 };
  });
  return [{ x: 0, z: 0 }, ...chain, { x: reach, z: height }];
}
const HANGING = 12;

/**
 * How much longer a line gets under a pull, metres: T·L/EA (Hooke), no more than a fifth of it. Of a line of which nothing is known it
 * may be nothing or that fifth.
 */
export function stretch({ line, stiff }: Rode, pull: Band): Band {
  const most = line * LINES.most;
  if (!stiff) return { low: 0, high: most };
  return {
    low: Math.min(most, (pull.low * line) / stiff.high),
    high: Math.min(most, (pull.high * line) / stiff.low),
  };
}

export type School = keyof HoldLines['scopes']['rows'];
/** Line and chain to let out: so many times the height from the ground to the bow at high water. */
export const needed = (school: School, height: number): number => LINES.scopes.rows[school] * height;
