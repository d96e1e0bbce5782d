import { lineOf } from '@escale/core/chart';
import { thinned, wayOf, type Drawing, type NamedPoint } from '@escale/core/formats/drawing';
import type { Chart, Place } from '@escale/core/model';
import { plainly } from '../../data/settings';
import { CHART } from './words';

/** So many points become places at once, and a way has so many halts. */
export const MOST_PLACES = 200,
  MOST_HALTS = 30;
/** Tracks that a chart keeps, and points of each. */
const MOST_TRACKS = 50,
  OF_TRACK = 500;

export interface Read {
  file: string;
  drawing: Drawing;
}

/** What a file would bring, as it was taken. */
export interface Brought {
  file: string;
  places: { point: NamedPoint; kind: Place['kind'] }[];
  /** The way of the trip: points in order. */
  way?: NamedPoint[];
  chart?: Chart;
}

/** The ways of a file: its routes as they are, its tracks as few enough points to be led by. */
export interface Ways {
  said: string;
  /** So many are in the file. */
  of: number;
  points: NamedPoint[];
}
/** Of a long route those that shape it; each keeps its name. */
function fewEnough(points: NamedPoint[]): NamedPoint[] {
  const kept = new Set(
    wayOf(
      points.map(({ position }) => position),
      MOST_HALTS,
    ),
  );
  return points.filter(({ position }) => kept.has(position));
}
export function waysOf({ routes, tracks }: Drawing): Ways[] {
  const called = (name: string | undefined) => name ?? CHART.unnamedWay;
  return [
    ...routes
      .filter(({ points }) => points.length > 0)
      .map(({ name, points }) => ({
        said: plainly(CHART.route, { name: called(name), n: points.length }),
        of: points.length,
        points: fewEnough(points),
      })),
    ...tracks
      .filter(({ points }) => points.length > 1)
      .map(({ name, points }) => ({
        said: plainly(CHART.track, { name: called(name), n: points.length }),
        of: points.length,
        points: wayOf(points, MOST_HALTS).map((position) => ({ position })),
      })),
  ];
}

export type Areas = 'land' | 'water' | 'leave';

/** Shore, depths and tracks of a file over what is drawn already: tracks come beside, the rest takes its place. */
export function chartOf(
  { file, drawing }: Read,
  before: Chart | undefined,
  areas: Areas,
  withTracks: boolean,
): { chart: Chart; off: number } | undefined {
  const { shore, depths, areas: unsaid, tracks } = drawing;
  const asked = areas === 'leave' ? [] : unsaid.map(({ rings }) => ({ inside: areas, rings }));
  const pieces = [...shore, ...asked];
  const lines = withTracks
    ? tracks
        .filter(({ points }) => points.length > 1)
        .map(({ name, points }) => ({
          ...(name ? { name } : {}),
          line: lineOf(wayOf(points, OF_TRACK)),
        }))
    : [];
  if (pieces.length === 0 && depths.length === 0 && lines.length === 0) return undefined;
  const kept: Chart = {
    source: file.slice(0, 120) || 'a file',
    ...(before ?? {}),
    shore: pieces.length > 0 ? pieces : (before?.shore ?? []),
    depths: depths.length > 0 ? depths : (before?.depths ?? []),
    ...(pieces.length > 0 || depths.length > 0 ? { source: file.slice(0, 120) || 'a file' } : {}),
  };
  const { chart, off } = thinned(kept);
  const all = [...(before?.tracks ?? []), ...lines].slice(-MOST_TRACKS);
  return {
    chart: {
      ...chart,
      ...(all.length > 0 ? { tracks: all } : {}),
      ...(off > 0 ? { off: Math.ceil(off) } : {}),
    },
    off,
  };
}
