import simplify from 'simplify-js';
import { lineOf, pointsOf } from '../chart/line';
import { metresAt, spotOf } from '../chart/mercator';
import type { LatLon } from '../earth';
import type { DepthArea, Place, ShorePiece } from '../model';

/** A point with what was written beside it. */
export interface NamedPoint {
  name?: string;
  position: LatLon;
  note?: string;
  /** What it is, where the file says it in our words; with it a place may be whole. */
  place?: Partial<Omit<Place, 'id' | 'name' | 'position' | 'water' | 'basis'>>;
}

/** What a file of positions holds, whatever its format: read as a whole, or refused. */
export interface Drawing {
  /** As it calls itself. */
  name?: string;
  points: NamedPoint[];
  /** With how many points stood in the file, where there are fewer now. */
  routes: { name?: string; of?: number; points: NamedPoint[] }[];
  tracks: { name?: string; of?: number; points: LatLon[] }[];
  shore: ShorePiece[];
  depths: DepthArea[];
  /** Areas of which the file doesn’t say whether they are land, water or a depth. */
  areas: { name?: string; rings: string[] }[];
  /** Parts that can’t be used, in words that say why, and how many. */
  leftOut: { why: LeftOut; n: number }[];
  /** Metres by which shore and depths may be off because they were thinned. */
  off?: number;
}
export type LeftOut = 'position' | 'kind' | 'short' | 'many';

export type DrawingResult = { ok: true; drawing: Drawing } | { ok: false; faults: string[] };

/** Largest file that is read: twenty thousand points with their times are a seventh of it. */
export const MOST_TEXT = 20_000_000;

/** Counts what was left out, by why. */
export function counter() {
  const counts = new Map<LeftOut, number>();
  return {
    add: (why: LeftOut, n = 1) => void counts.set(why, (counts.get(why) ?? 0) + n),
    all: (): Drawing['leftOut'] => [...counts].map(([why, n]) => ({ why, n })),
  };
}

export const emptyDrawing = (): Drawing => ({
  points: [],
  routes: [],
  tracks: [],
  shore: [],
  depths: [],
  areas: [],
  leftOut: [],
});

/** A position out of two texts or numbers; undefined where it is none. */
export function positionFrom(lat: unknown, lon: unknown): LatLon | undefined {
  const north = asNumber(lat),
    east = asNumber(lon);
  if (north === undefined || east === undefined || Math.abs(north) > 90 || Math.abs(east) > 180)
    return undefined;
  return { lat: north, lon: east };
}
function asNumber(value: unknown): number | undefined {
  if (typeof value === 'string' && value.trim() === '') return undefined;
  const n = typeof value === 'string' || typeof value === 'number' ? Number(value) : NaN;
  return Number.isFinite(n) ? n : undefined;
}

/** As many points as a drawing is kept with: more are thinned, and by how much is kept with it. */
export const MOST_POINTS = 20_000;
/** Metres by which a line may be moved at first, and how much more each time that was not enough. */
const THIN = { from: 2, by: 1.6 };

/** Rings of a drawing, all together: each keeps three points at least, so that thinning comes to an end. */
const MOST_RINGS = 5000;
/** Points of a track, and of a route. */
const OF_WAY = 500;

type Ringed = Pick<Drawing, 'shore' | 'depths' | 'areas'>;
const KINDS = ['shore', 'depths', 'areas'] as const;

/**
 * A drawing no heavier than a water can keep: shore and depths are thinned (Douglas and Peucker) by as little as does it, and by how
 * much is told; tracks and routes keep the points that shape them. Of more pieces than can be kept the largest are, and that is told.
 */
export function lightened(drawing: Drawing): Drawing {
  const left = counter();
  for (const { why, n } of drawing.leftOut) left.add(why, n);
  const few = largest(drawing, left.add);
  const { off, ...ringed } = thinned(few);
  return {
    ...drawing,
    ...ringed,
    routes: drawing.routes.map((route) => ({
      ...route,
      of: route.points.length,
      points: shaping(route.points, OF_WAY),
    })),
    tracks: drawing.tracks.map((track) => ({
      ...track,
      of: track.points.length,
      points: wayOf(track.points, OF_WAY),
    })),
    leftOut: left.all(),
    ...(off > 0 ? { off } : {}),
  };
}

/** Of a long route no more than so many points, those that shape it; each keeps its name. */
export function shaping(points: NamedPoint[], most: number): NamedPoint[] {
  const kept = new Set(
    wayOf(
      points.map(({ position }) => position),
      most,
    ),
  );
  return points.filter(({ position }) => kept.has(position));
}

function largest({ shore, depths, areas }: Ringed, leave: (why: LeftOut, n: number) => void): Ringed {
  const size = ({ rings }: { rings: string[] }) => rings.reduce((sum, ring) => sum + ring.length, 0);
  const all = [...shore, ...depths, ...areas].sort((a, b) => size(b) - size(a));
  const kept = new Set<object>();
  let rings = 0;
  for (const piece of all) {
    if (rings + piece.rings.length > MOST_RINGS || kept.size >= MOST_PIECES) continue;
    rings += piece.rings.length;
    kept.add(piece);
  }
  if (kept.size < all.length) leave('many', all.length - kept.size);
  const of = <P extends object>(pieces: P[]) => pieces.filter((piece) => kept.has(piece));
  return { shore: of(shore), depths: of(depths), areas: of(areas) };
}
/** No more pieces than the model lets a chart have of its fewest kind. */
const MOST_PIECES = 1000;

function thinned(ringed: Ringed): Ringed & { off: number } {
  const lines = KINDS.flatMap((kind) => ringed[kind].flatMap(({ rings }) => rings)).map(pointsOf);
  const count = (all: LatLon[][]) => all.reduce((sum, line) => sum + line.length, 0);
  let off = 0,
    kept = lines;
  for (let metres = THIN.from; count(kept) > MOST_POINTS; metres *= THIN.by) {
    off = metres;
    kept = kept.map((line) => areaLeft(line, thin(line, metres)));
  }
  if (off === 0) return { ...ringed, off };
  let next = 0;
  const again = <P extends { rings: string[] }>(piece: P): P => ({
    ...piece,
    rings: piece.rings.map(() => lineOf(kept[next++])),
  });
  // In the order in which they were taken apart.
  const [shore, depths, areas] = [ringed.shore.map(again), ringed.depths.map(again), ringed.areas.map(again)];
  return { shore, depths, areas, off };
}

/** A ring that would vanish keeps a third point, so that it stays an area. */
const areaLeft = (line: LatLon[], left: LatLon[]) =>
  left.length < 3 && line.length > 2 ? [left[0], line[line.length >> 1], line[line.length - 1]] : left;

/** Its first and its last point stay. */
function thin(line: LatLon[], metres: number): LatLon[] {
  const [first] = line;
  if (!first) return line;
  const spots = line.map((p, i) => ({ ...spotOf(p, first.lon), i }));
  const left = simplify(spots, metres / metresAt(first.lat), true) as typeof spots;
  return left.map(({ i }) => line[i]);
}

/** A track as a way that can be planned: as few points as keep it within so many metres, no more than `most`. */
export function wayOf(track: LatLon[], most: number): LatLon[] {
  let way = track;
  for (let metres = THIN.from * 10; way.length > most; metres *= THIN.by) way = thin(track, metres);
  return way;
}
