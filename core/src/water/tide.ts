import { createTidePredictor } from '@neaps/tide-predictor';
import type { TideStation } from '../model';
import { MS } from '../units';
import { WATER } from './limits';

export interface TideExtreme {
  at: number;
  height: number;
  high: boolean;
}

/** A tide that can be asked. Heights in metres above the station's datum; instants epoch ms. */
export interface Tide {
  datum: string;
  source: 'tide' | 'tide-cosine';
  /** Undefined where a typed table has no two neighbouring turns around the instant. */
  heightAt(at: number): number | undefined;
  extremes(from: number, until: number): TideExtreme[];
}

/** Heights between samples are read off a straight line: with 6 min and an amplitude of 3 m the error stays under 1 mm. */
const SAMPLE = 6 * MS.minute;
/** A station is predicted one stretch at a time and the stretch is kept. */
const STRETCH = 2 * MS.day;

/** Tides by station: a document is never changed in place, so a predictor is made once for each and keeps its stretches. */
const known = new WeakMap<TideStation, Tide>();

/** The tide of a station, from harmonic constants by library or from typed high and low waters by cosine. */
export function tideOf(station: TideStation): Tide {
  let tide = known.get(station);
  if (!tide) known.set(station, (tide = station.kind === 'constants' ? harmonic(station) : typed(station)));
  return tide;
}

function harmonic(station: Extract<TideStation, { kind: 'constants' }>): Tide {
  const predictor = createTidePredictor(station.constituents, { nodeCorrections: 'schureman' });
  const stretches = new Map<number, number[]>();
  const stretch = (n: number): number[] => {
    let levels = stretches.get(n);
    if (!levels) {
      // One sample past the end, so that the last interval has both its ends.
      const points = predictor.getTimelinePrediction({
        start: new Date(n * STRETCH),
        end: new Date((n + 1) * STRETCH + SAMPLE),
        timeFidelity: SAMPLE / MS.second,
      });
      stretches.set(n, (levels = points.map((p) => p.level + station.z0)));
    }
    return levels;
  };
  return {
    datum: station.datum,
    source: 'tide',
    heightAt(at) {
      const n = Math.floor(at / STRETCH),
        levels = stretch(n);
      const x = (at - n * STRETCH) / SAMPLE,
        i = Math.floor(x);
      return levels[i] + (x - i) * (levels[i + 1] - levels[i]);
    },
    extremes: (from, until) =>
      predictor
        .getExtremesPrediction({ start: new Date(from), end: new Date(until) })
        .map((e) => ({ at: e.time.getTime(), height: e.level + station.z0, high: e.high })),
  };
}

/**
 * Two turns of a typed table are neighbours when nothing can lie between them. Where the rows say which is high and which
 * is low they must differ, and a tide of one high a day takes half a lunar day and some hours at most. Where they don't, only
 * a semidiurnal tide can be told from a table with a missing row (`limits/water.json`).
 */
const NEIGHBOURS = {
  told: WATER.limit('turns-apart') * MS.second,
  untold: WATER.limit('untold-apart') * MS.second,
};

interface Turn {
  at: number;
  height: number;
  turn?: 'high' | 'low';
}

function neighbours(a: Turn, b: Turn): boolean {
  const apart = b.at - a.at;
  if (a.turn === undefined || b.turn === undefined) return apart <= NEIGHBOURS.untold;
  return a.turn !== b.turn && a.height > b.height === (a.turn === 'high') && apart <= NEIGHBOURS.told;
}

/** Heights between neighbouring rows; what is not between neighbours is not known. */
function typed(station: Extract<TideStation, { kind: 'table' }>): Tide {
  const rows: Turn[] = station.rows
    .map((r) => ({ at: Date.parse(r.at), height: r.height, ...(r.turn ? { turn: r.turn } : {}) }))
    .sort((a, b) => a.at - b.at);
  return {
    datum: station.datum,
    source: 'tide-cosine',
    heightAt(at) {
      const i = rows.findIndex((r) => r.at > at);
      const before = i < 0 ? rows.at(-1) : rows[i - 1];
      if (before?.at === at) return before.height;
      if (before === undefined || i < 0 || !neighbours(before, rows[i])) return undefined;
      return cosineHeight(before, rows[i], at);
    },
    extremes: (from, until) =>
      rows
        .filter((r) => r.at >= from && r.at <= until)
        .map(({ at, height, turn }) => ({
          at,
          height,
          high: turn ? turn === 'high' : isHigh(rows, at, height),
        })),
  };
}

const isHigh = (rows: Turn[], at: number, height: number) =>
  rows.every((o) => Math.abs(o.at - at) > NEIGHBOURS.untold || o.height <= height);

/**
 * Height between two neighbouring turns of the tide: h = a + (b − a)·½(1 − cos(π·t/T)), source `tide-cosine`.
 * Wrong by decimetres and more where the tide is double or diurnal.
 * @example low 0 m, high 3.6 m after 6.2 h: after 2 h 0.848 m
 */
export function cosineHeight(
  from: { at: number; height: number },
  to: { at: number; height: number },
  at: number,
): number {
  const part = (at - from.at) / (to.at - from.at);
  return from.height + ((to.height - from.height) * (1 - Math.cos(Math.PI * part))) / 2;
}

/** Spans within [from, until] in which the tide stands at `level` or above; edges by straight line between samples. */
export function spansAbove(
  tide: Tide,
  level: number,
  from: number,
  until: number,
): { from: number; until: number }[] {
  const spans: { from: number; until: number }[] = [];
  let open: number | undefined;
  let before: number | undefined;
  for (let at = from; ; at = Math.min(at + SAMPLE, until)) {
    const height = tide.heightAt(at);
    const edge =
      before === undefined || height === undefined
        ? at
        : at - (SAMPLE * (height - level)) / (height - before || 1);
    if (height !== undefined && height >= level) open ??= before === undefined ? at : edge;
    else if (open !== undefined) {
      spans.push({ from: open, until: height === undefined ? at : edge });
      open = undefined;
    }
    if (at >= until) break;
    before = height;
  }
  if (open !== undefined) spans.push({ from: open, until });
  return spans;
}
