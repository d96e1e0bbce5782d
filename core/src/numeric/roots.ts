/** Steps after which a search that does not close is given up; a double has 53 bits to halve. */
const MOST_STEPS = 100;

/**
 * A root of f between two ends of unlike sign, by Brent's method (Brent, Algorithms for Minimization without Derivatives,
 * 1973, ch. 4): inverse quadratic steps where they help, halving where they don't, so it never does worse than halving.
 * @param within the root is known this well
 * @throws RangeError when both ends have one sign, or an end is no number
 * @example brent((x) => x * x - 2, 0, 2) // 1.41421356
 */
export function brent(f: (x: number) => number, from: number, to: number, within = 1e-12): number {
  let [a, b, fa, fb] = [from, to, f(from), f(to)];
  if (!(fa * fb <= 0)) throw new RangeError('the ends of a bracket need unlike signs');
  let [c, fc, step, before] = [a, fa, b - a, b - a];
  for (let i = 0; i < MOST_STEPS; i += 1) {
    if (Math.abs(fc) < Math.abs(fb)) [a, b, c, fa, fb, fc] = [b, c, b, fb, fc, fb];
    const tolerance = 2 * Number.EPSILON * Math.abs(b) + within / 2;
    const half = (c - b) / 2;
    if (Math.abs(half) <= tolerance || fb === 0) return b;
    const found =
      Math.abs(before) >= tolerance && Math.abs(fa) > Math.abs(fb)
        ? interpolated({ a, b, c, fa, fb, fc, half, before, tolerance })
        : undefined;
    before = found === undefined ? half : step;
    step = found ?? half;
    [a, fa] = [b, fb];
    b += Math.abs(step) > tolerance ? step : Math.sign(half) * tolerance;
    fb = f(b);
    if (fb > 0 === fc > 0) {
      [c, fc] = [a, fa];
      step = b - a;
      before = step;
    }
  }
  return b;
}

interface Bracket {
  a: number;
  b: number;
  c: number;
  fa: number;
  fb: number;
  fc: number;
  half: number;
  before: number;
  tolerance: number;
}

/** The step of a secant or of an inverse parabola, where it stays well inside the bracket. */
function interpolated({ a, b, c, fa, fb, fc, half, before, tolerance }: Bracket): number | undefined {
  const s = fb / fa;
  let p: number, q: number;
  if (a === c) [p, q] = [2 * half * s, 1 - s];
  else {
    const [r, t] = [fb / fc, fa / fc];
    p = s * (2 * half * t * (t - r) - (b - a) * (r - 1));
    q = (t - 1) * (r - 1) * (s - 1);
  }
  if (p > 0) q = -q;
  else p = -p;
  const inside = 2 * p < Math.min(3 * half * q - Math.abs(tolerance * q), Math.abs(before * q));
  return inside ? p / q : undefined;
}

/**
 * Between a value at which something holds and one at which it does not, the pair after so many halvings.
 * @param holds is asked only between the two
 * @example bisect((x) => x < 3, 0, 16, 4) // [2, 3]
 */
export function bisect(
  holds: (x: number) => boolean,
  yes: number,
  no: number,
  times: number,
): [number, number] {
  let [held, not] = [yes, no];
  for (let i = 0; i < times; i += 1) {
    const middle = (held + not) / 2;
    if (holds(middle)) held = middle;
    else not = middle;
  }
  return [held, not];
}

/** Steps of `reach`, and how far it looks ahead for its first slope, in the unit of x. */
const REACH_STEPS = 60,
  AHEAD = 1e-4;

/**
 * Where a function that grows reaches a value: secant steps from a start that is nearly right, kept inside a bracket that
 * halves where they leave it. Fewer calls than a bracketing search where the start is the answer of the last question.
 * @param close the value is met this well, in the unit of f
 * @returns the nearest it came, at an end where the value lies outside what f takes between them
 */
export function reach(
  f: (x: number) => number,
  value: number,
  from: number,
  to: number,
  start: number,
  close: number,
): number {
  let [low, high, x] = [from, to, start];
  let is = f(x);
  let slope = 0;
  for (let i = 0; i < REACH_STEPS && Math.abs(is - value) > close; i += 1) {
    if (is < value) low = x;
    else high = x;
    if (slope <= 0) slope = (f(x + AHEAD) - is) / AHEAD;
    const next = slope > 0 ? x + (value - is) / slope : NaN;
    const step = next > low && next < high ? next : (low + high) / 2;
    const then = f(step);
    slope = (then - is) / (step - x);
    [x, is] = [step, then];
  }
  return x;
}
