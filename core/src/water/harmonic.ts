import { constituents as MODELS, createTidePredictor } from '@neaps/tide-predictor';
import type { TideConstants } from '../model';
import { HOUR, MS } from '../units';

/**
 * Heights by harmonic constants, a stretch of days at a time. The library reckons the astronomy: what a constituent of one metre
 * and no lag does at the knots of a grid of days, once for all stations; between two knots factor and phase go over by a straight
 * line. From there each goes round by its own speed: samples by the recurrence of the cosine, heights between them by a cubic
 * through four. The library itself takes factor and phase anew each day, and stays the measure (`carried.test.ts`).
 */

/** Knots so far apart: L2 and M1, whose phases move fastest, turn by some degrees in between. */
const BLOCK = 15 * MS.day;
/** A station is predicted one stretch at a time and the stretch is kept. */
const STRETCH = 3 * MS.day;
/** With 20 min and the highest constituent that matters, eight times a day of 5 cm, a cubic is off by a quarter of a millimetre. */
const SAMPLE = 20 * MS.minute;
/** Samples before a stretch and after it, for the cubic at its ends. */
const MORE = 2;
const SAMPLES = STRETCH / SAMPLE + 2 * MORE + 1;

const RADIAN = Math.PI / 180;
/** A quarter of a round. */
const QUARTER = Math.PI / 2;

/** A constituent as it turns: its speed, and what one metre of it with no lag is at the knots, as they are asked for. */
interface Turning {
  /** Radians a millisecond. */
  speed: number;
  knots: Map<number, Knot>;
}
/** At an instant near a knot: f·cos θ and −f·sin θ. */
interface Knot {
  at: number;
  x: number;
  y: number;
}
const turnings = new Map<string, Turning>();

function turningOf(name: string): Turning {
  let turning = turnings.get(name);
  if (!turning) {
    const speed = (MODELS[name].speed * RADIAN) / (HOUR * MS.second);
    turnings.set(name, (turning = { speed, knots: new Map() }));
  }
  return turning;
}

function knotOf(name: string, { speed, knots }: Turning, n: number): Knot {
  let knot = knots.get(n);
  if (!knot) {
    const seconds = Math.round(QUARTER / speed / MS.second);
    // The library begins at a multiple of its step, whatever it was asked for: so it is asked for one.
    const start = Math.floor((n * BLOCK) / MS.second / seconds) * seconds * MS.second;
    const unit = createTidePredictor([{ name, amplitude: 1, phase: 0 }], { nodeCorrections: 'schureman' });
    const [now, later] = unit.getTimelinePrediction({
      start: new Date(start),
      end: new Date(start + seconds * MS.second),
      timeFidelity: seconds,
    });
    const turned = speed * seconds * MS.second;
    const y = (later.level - now.level * Math.cos(turned)) / Math.sin(turned);
    knots.set(n, (knot = { at: start, x: now.level, y }));
  }
  return knot;
}

/** Height over the datum at an instant (epoch ms), metres; of a stream by its constants, its speed, m/s. */
export function heights({
  constituents,
  z0,
}: Pick<TideConstants, 'constituents' | 'z0'>): (at: number) => number {
  const parts = constituents
    .filter(({ name }) => moves(name))
    .map(({ name, amplitude, phase }) => ({
      name,
      amplitude,
      lag: phase * RADIAN,
      turning: turningOf(name),
    }));
  const stretches = new Map<number, Float64Array>();
  const made = (n: number): Float64Array => {
    const levels = new Float64Array(SAMPLES).fill(z0);
    const from = n * STRETCH - MORE * SAMPLE;
    // Factor and phase of the middle of the stretch: by a straight line between the knots on either side.
    const middle = ((n + 0.5) * STRETCH) / BLOCK;
    const left = Math.floor(middle),
      part = middle - left;
    for (const { name, amplitude, lag, turning } of parts) {
      const { speed } = turning;
      const a = knotOf(name, turning, left),
        b = knotOf(name, turning, left + 1);
      // f·cos(θ + ωτ − g) = x·cos(ωτ − g) + y·sin(ωτ − g), from each knot at its own τ.
      const early = speed * (from - a.at) - lag,
        late = speed * (from - b.at) - lag;
      const [p, q, r, t] = [Math.cos(early), Math.sin(early), Math.cos(late), Math.sin(late)];
      const at0 = (1 - part) * (a.x * p + a.y * q) + part * (b.x * r + b.y * t);
      /** A quarter of its period later: what it needs to be told a step back. */
      const at90 = (1 - part) * (a.y * p - a.x * q) + part * (b.y * r - b.x * t);
      const step = speed * SAMPLE,
        twice = 2 * Math.cos(step);
      let before = amplitude * (at0 * Math.cos(step) - at90 * Math.sin(step)),
        level = amplitude * at0;
      for (let i = 0; i < SAMPLES; i += 1) {
        levels[i] += level;
        const next = twice * level - before;
        before = level;
        level = next;
      }
    }
    return levels;
  };
  let last = NaN,
    levels: Float64Array = new Float64Array(0);
  return (at) => {
    const n = Math.floor(at / STRETCH);
    if (n !== last) {
      levels = stretches.get(n) ?? made(n);
      stretches.set(n, levels);
      last = n;
    }
    const x = (at - n * STRETCH) / SAMPLE,
      i = Math.floor(x);
    return cubic(levels, i + MORE, x - i);
  };
}

/** Does the library know it? A name that it does not know it passes over. */
const moves = (name: string) => Object.hasOwn(MODELS, name) && MODELS[name].speed > 0;

/** The cubic through four neighbouring samples (Lagrange), between the second and the third of them. */
function cubic(levels: Float64Array, i: number, part: number): number {
  const p = part + 1,
    q = part - 1,
    r = part - 2;
  return (
    (p * q * r * levels[i] - p * part * r * levels[i + 1]) / 2 +
    (p * part * q * levels[i + 2] - part * q * r * levels[i - 1]) / 6
  );
}
