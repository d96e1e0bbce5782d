import { lineOf } from '@escale/core/chart';
import { shaping, type Drawing, type NamedPoint } from '@escale/core/formats/drawing';
import { THINGS, type Chart, type Place } from '@escale/core/model';
import { plainly } from '../../data/settings';
import { CHART } from './words';

/** So many points become places at once, and a way has so many halts. */
export const MOST_PLACES = 200,
  MOST_HALTS = 30;
/** Tracks that a chart keeps. */
const MOST_TRACKS = 50;

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
export function waysOf({ routes, tracks }: Drawing): Ways[] {
  const ways = (
    said: typeof CHART.route | typeof CHART.track,
    list: { name?: string; of?: number; points: NamedPoint[] }[],
    least: number,
  ): Ways[] =>
    list
      .filter(({ points }) => points.length >= least)
      .map(({ name, points, of = points.length }) => ({
        said: plainly(said, { name: name ?? CHART.unnamedWay, n: of }),
        of,
        points: shaping(points, MOST_HALTS),
      }));
  const plain = tracks.map((track) => ({ ...track, points: track.points.map((position) => ({ position })) }));
  return [...ways(CHART.route, routes, 1), ...ways(CHART.track, plain, 2)];
}

/** What of a point’s own words a place can have: what is out of its range is left out. */
export function fitting(point: NamedPoint): Partial<Place> {
  const told = { ...point.place, ...(point.note ? { rules: point.note } : {}) };
  return Object.fromEntries(
    Object.entries(told).filter(
      ([field, value]) => THINGS.place.shape[field as keyof Place]?.safeParse(value).success === true,
    ),
  );
}

export type Areas = 'land' | 'water' | 'leave';

/** Shore, depths and tracks of a file over what is drawn already: tracks come beside, the rest takes its place. */
export function chartOf(
  { file, drawing }: Read,
  before: Chart | undefined,
  areas: Areas,
  withTracks: boolean,
): Chart | undefined {
  const { shore: told, depths, areas: unsaid, tracks, off = 0 } = drawing;
  const asked = areas === 'leave' ? [] : unsaid.map(({ rings }) => ({ inside: areas, rings }));
  const shore = [...told, ...asked];
  const lines = withTracks ? tracks.filter(({ points }) => points.length > 1) : [];
  const drawn = shore.length > 0 || depths.length > 0;
  if (!drawn && lines.length === 0) return undefined;
  const all = [
    ...(before?.tracks ?? []),
    ...lines.map(({ name, points }) => ({ ...(name ? { name } : {}), line: lineOf(points) })),
  ].slice(-MOST_TRACKS);
  // What of before stays may be off as it was.
  const stays = shore.length === 0 || depths.length === 0 ? (before?.off ?? 0) : 0;
  const most = Math.ceil(Math.max(drawn ? off : 0, stays));
  return {
    source: drawn || !before ? file.trim().slice(0, LONGEST) || CHART.someFile : before.source,
    shore: shore.length > 0 ? shore : (before?.shore ?? []),
    depths: depths.length > 0 ? depths : (before?.depths ?? []),
    ...(all.length > 0 ? { tracks: all } : {}),
    ...(most > 0 ? { off: most } : {}),
  };
}
/** Letters of a source. */
const LONGEST = 120;
