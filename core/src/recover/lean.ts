import { brent, type Band } from '../numeric';
import { RECOVER } from './limits';

// A person who stands on an edge and leans out is a straight body that turns about the feet. Metres, kilograms, radians
// from upright, newton metres; g to five places.

export const G = 9.80665;

/** Legs, and the rest above the hips at half the height: so the middle of the body lies at 0.55 of it. */
const LEGS = RECOVER.limit('legs');
const HIPS = 0.5;
/** From the middle of the body to its back. */
const BACK = RECOVER.limit('half-thick');
const GRIP = RECOVER.limit('grip');
export const LEAN_END = RECOVER.limit('lean-end');

export interface Leaner {
  mass: number;
  height: number;
}

/** How much of the body above the hips is out of the water: from where to where, as lengths from the feet. */
function dry(height: number, lean: number, feet: number): [from: number, to: number] {
  const [from, to, up] = [HIPS * height, height, Math.cos(lean)];
  const touches = (BACK - feet) / up;
  if (Math.abs(up) < Number.EPSILON) return feet < BACK ? [to, to] : [from, to];
  if (up > 0) return [Math.min(to, Math.max(from, touches)), to];
  return [from, Math.max(from, Math.min(to, touches))];
}

/**
 * What somebody who leans out gives about the edge on which they stand, N·m. What lies in the water weighs nothing, so from
 * there on leaning further gives less; legs, which stand near the edge, are wetted as the rest is.
 * @param lean from upright, 0 to `LEAN_END`
 * @param feet over the water, m
 * @example leanMoment({ mass: 85, height: 1.75 }, Math.PI / 3, 0.2) / 9.80665 // 70.9: 85 kg at 0.83 m
 */
export function leanMoment({ mass, height }: Leaner, lean: number, feet: number): number {
  const [from, to] = dry(height, lean, feet);
  const legs = (LEGS * mass * (HIPS / 2) * (to - from)) / (1 - HIPS);
  const above = ((1 - LEGS) * mass) / ((1 - HIPS) * height);
  return G * Math.sin(lean) * (legs + (above * (to ** 2 - from ** 2)) / 2);
}

/** Does the body above the hips touch the water? */
export const touches = ({ height }: Pick<Leaner, 'height'>, lean: number, feet: number): boolean => {
  const [from, to] = dry(height, lean, feet);
  return to - from < (1 - HIPS) * height;
};

/** Where a righting line starts, seen from the feet: across towards the mast, and up. */
export interface Fastening {
  across: number;
  up: number;
}

/** From the hands to where the line is made fast, m, for a body that leans so far. */
export const lineAt = ({ across, up }: Fastening, height: number, lean: number): number =>
  Math.hypot(across + GRIP * height * Math.sin(lean), up - GRIP * height * Math.cos(lean));

/**
 * How far a line of a length lets somebody lean, radians: upright where it is shorter, as far as anybody hangs where it is
 * longer.
 */
export function leanOn(line: number, at: Fastening, height: number): number {
  const over = (lean: number) => lineAt(at, height, lean) - line;
  if (over(0) >= 0) return 0;
  return over(LEAN_END) <= 0 ? LEAN_END : brent(over, 0, LEAN_END, 1e-6);
}

const { limit } = RECOVER;
const SMALL = limit('small'),
  MIDDLE = limit('middle');
const HEIGHTS = {
  small: { low: limit('height-small-low'), high: limit('height-small-high') },
  middle: { low: limit('height-middle-low'), high: limit('height-middle-high') },
  tall: { low: limit('height-tall-low'), high: limit('height-tall-high') },
};

/** The height of somebody of whom only the mass is known, m. */
export const usualHeight = (mass: number): Band =>
  mass < SMALL ? HEIGHTS.small : mass < MIDDLE ? HEIGHTS.middle : HEIGHTS.tall;
