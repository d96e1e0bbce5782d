import { createTidePredictor } from '@neaps/tide-predictor';
import { distance, type LatLon } from '../earth';
import type { Phrase, Place, TideConstants, TideOffsets, TideStation } from '../model';
import { CHART_DATUMS } from '../model/lists';
import { phrase } from '../say';
import { MS } from '../units';
import { heights } from './harmonic';
import { WATER } from './limits';

export interface TideExtreme {
  at: number;
  height: number;
  high: boolean;
}

/** A tide that can be asked. Heights in metres above the station's datum; instants epoch ms. */
export interface Tide {
  datum: string;
  /** Which station, and where it lies, as far as that was said. */
  name: string;
  position?: LatLon;
  source: 'tide' | 'tide-cosine' | 'tide-offsets';
  /** Undefined where a typed table has no two neighbouring turns around the instant. */
  heightAt(at: number): number | undefined;
  extremes(from: number, until: number): TideExtreme[];
}

/**
 * A station that lies far off tells of another shore: what it says of a place settles nothing.
 * @returns the words for it, or undefined where it is near, or nobody said where it lies
 */
export function farStation(
  { name, position }: Pick<Tide, 'name' | 'position'>,
  place: Pick<Place, 'name' | 'position'>,
): Phrase | undefined {
  const metres = position && distance(position, place.position).metres;
  return metres !== undefined && metres > FAR
    ? phrase('tide.far', { station: name, metres, place: place.name })
    : undefined;
}
const FAR = WATER.limit('station-far');

/** Heights above chart datum at places, as far as the tide tells of them. */
export const heightsAt =
  (tide: Tide | undefined) =>
  (at: number, place: Pick<Place, 'name' | 'position'>): number | undefined =>
    tide && CHART_DATUMS.has(tide.datum) && !farStation(tide, place) ? tide.heightAt(at) : undefined;

/** Heights between samples are read off a straight line: with 6 min and an amplitude of 3 m the error stays under 1 mm. */
const SAMPLE = 6 * MS.minute;
/** A station of offsets is predicted one stretch at a time and the stretch is kept. */
const STRETCH = 2 * MS.day;

/** Tides by station: a document is never changed in place, so a predictor is made once for each and keeps its stretches. */
const tides = new WeakMap<TideStation, Tide>();

/**
 * The tide of a station: from harmonic constants by library, from the turns of another station, or from typed high and low waters
 * by cosine.
 */
export function tideOf(station: TideStation): Tide {
  let tide = tides.get(station);
  if (!tide) tides.set(station, (tide = made(station)));
  return tide;
}

/** What a tide says of its station. */
const known = (station: TideStation): Pick<Tide, 'name' | 'datum' | 'position'> => ({
  name: station.name,
  datum: station.datum,
  ...(station.kind !== 'table' && station.station ? { position: station.station.position } : {}),
});

function made(station: TideStation): Tide {
  if (station.kind === 'table') return typed(station);
  return station.kind === 'constants' ? harmonic(station) : byOffsets(station);
}

/** By constants: heights by our own rounds of the library’s constituents, turns by the library. */
function harmonic(station: TideConstants): Tide {
  const { constituents, z0 } = station;
  const predictor = createTidePredictor(constituents, { nodeCorrections: 'schureman', offset: z0 });
  return {
    ...known(station),
    source: 'tide',
    heightAt: heights(station),
    extremes: (from, until) =>
      predictor.getExtremesPrediction({ start: new Date(from), end: new Date(until) }).map(turnOf),
  };
}

/**
 * A station whose turns are told from those of another: each moved in time and height, and between two of them the other’s own
 * curve stretched from turn to turn, so that a stand or a second high keeps its form.
 */
function byOffsets(station: TideOffsets): Tide {
  const { constituents, z0 } = station.of;
  const offsets = offsetsOf(station);
  // Heights over the datum, not over mean level: a share of a height is one over the datum.
  const predictor = createTidePredictor(constituents, { nodeCorrections: 'schureman', offset: z0 });
  const stretches = new Map<number, number[]>();
  const stretch = (n: number): number[] => {
    let levels = stretches.get(n);
    if (!levels) {
      // One sample past the end, so that the last interval has both its ends.
      const points = predictor.getTimelinePrediction({
        start: new Date(n * STRETCH),
        end: new Date((n + 1) * STRETCH + SAMPLE),
        timeFidelity: SAMPLE / MS.second,
        offsets,
      });
      stretches.set(n, (levels = points.map((p) => p.level)));
    }
    return levels;
  };
  return {
    ...known(station),
    source: 'tide-offsets',
    heightAt(at) {
      const n = Math.floor(at / STRETCH),
        levels = stretch(n);
      const x = (at - n * STRETCH) / SAMPLE,
        i = Math.floor(x);
      return levels[i] + (x - i) * (levels[i + 1] - levels[i]);
    },
    extremes: (from, until) =>
      predictor
        // A turn that is moved may come from outside of what is asked for, or go there.
        .getExtremesPrediction({ start: new Date(from - REACH), end: new Date(until + REACH), offsets })
        .map(turnOf)
        .filter(({ at }) => at >= from && at <= until)
        .sort((a, b) => a.at - b.at),
  };
}
const turnOf = ({ time, level, high }: { time: Date; level: number; high: boolean }): TideExtreme => ({
  at: time.getTime(),
  height: level,
  high,
});
/** No turn is moved by more. */
const REACH = MS.day / 2;

const MINUTE = MS.minute / MS.second;
const offsetsOf = ({ high, low, heights }: TideOffsets) => ({
  time: { high: high.later / MINUTE, low: low.later / MINUTE },
  height: { high: high.height, low: low.height, type: OF[heights] },
});
const OF = { times: 'ratio', plus: 'fixed' } as const;

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
    ...known(station),
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
