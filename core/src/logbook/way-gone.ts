import { metresAt, pointsOf, spotOf } from '../chart';
import type { LatLon } from '../earth';
import type { Place, Schedule, Track } from '../model';

// A way that was gone beside the one that was planned.

interface Flat {
  x: number;
  y: number;
}

/**
 * Points on a plane in metres around the first point: right to a part in a thousand over twenty miles (Mercator with
 * the scale of one latitude).
 */
function plane(lines: readonly (readonly LatLon[])[]): Flat[][] {
  const origin = lines.find((line) => line.length > 0)?.[0];
  if (!origin) return lines.map(() => []);
  const scale = metresAt(origin.lat);
  const base = spotOf(origin, origin.lon);
  return lines.map((line) =>
    line.map((point) => {
      const spot = spotOf(point, origin.lon);
      return { x: (spot.x - base.x) * scale, y: (base.y - spot.y) * scale };
    }),
  );
}

/** How far a point lies from a piece of a line. */
function fromPiece({ x, y }: Flat, a: Flat, b: Flat): number {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const long = dx * dx + dy * dy;
  const part = long === 0 ? 0 : Math.min(1, Math.max(0, ((x - a.x) * dx + (y - a.y) * dy) / long));
  return Math.hypot(x - a.x - part * dx, y - a.y - part * dy);
}

/** Farthest that a way which was gone led from a planned one, m; undefined where either is no way. */
export function astrayFrom(gone: readonly LatLon[], planned: readonly LatLon[]): number | undefined {
  if (gone.length === 0 || planned.length < 2) return undefined;
  const [was, will] = plane([gone, planned]);
  return Math.max(
    ...was.map((point) => Math.min(...will.slice(1).map((end, i) => fromPiece(point, will[i], end)))),
  );
}

/** A track beside the plan: both ways, how long the planned one is, by which share more was gone, and how far astray. */
export interface BesidePlan {
  gone: LatLon[];
  planned: LatLon[];
  metres: number;
  /** Below 0 less was gone; absent without a plan. */
  by?: number;
  astray?: number;
}

export function besidePlan(
  track: Track,
  schedule: Pick<Schedule, 'legs'> | undefined,
  places: readonly Pick<Place, 'id' | 'position'>[],
): BesidePlan {
  const legs = schedule?.legs ?? [];
  const at = new Map(places.map(({ id, position }) => [id, position]));
  const planned = [legs.at(0)?.from, ...legs.map(({ to }) => to)].flatMap((id) => at.get(id ?? '') ?? []);
  const gone = pointsOf(track.line);
  const metres = legs.reduce((sum, leg) => sum + leg.metres, 0);
  const astray = astrayFrom(gone, planned);
  return {
    gone,
    planned,
    metres,
    ...(metres > 0 ? { by: track.metres / metres - 1 } : {}),
    ...(astray === undefined ? {} : { astray }),
  };
}

/** Lines as they are drawn, north up, within a square of so many pixels: each as `x,y x,y`. */
export function flatOf(
  lines: readonly (readonly LatLon[])[],
  side: number,
): { lines: string[]; width: number; height: number } {
  const flat = plane(lines);
  const all = flat.flat();
  const [xs, ys] = [all.map(({ x }) => x), all.map(({ y }) => y)];
  const [left, top] = [Math.min(...xs, 0), Math.min(...ys, 0)];
  const [wide, high] = [Math.max(...xs, 1) - left, Math.max(...ys, 1) - top];
  const scale = (side - 2 * MARGIN) / Math.max(wide, high);
  const px = (value: number) => (value * scale + MARGIN).toFixed(1);
  return {
    lines: flat.map((line) => line.map(({ x, y }) => `${px(x - left)},${px(y - top)}`).join(' ')),
    width: side,
    height: Math.ceil(high * scale + 2 * MARGIN),
  };
}
const MARGIN = 8;
