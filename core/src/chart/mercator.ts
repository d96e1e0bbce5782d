import type { LatLon } from '../earth';
import { near } from './line';

/**
 * The plane of a chart: Mercator’s, on the ellipsoid (Snyder, Map Projections: A Working Manual, USGS 1395, eq. 7-6 and 7-7).
 * A straight line on it holds one course, which is how a boat is steered and how the chart on the screen draws it: what
 * looks as if it met the land, meets it. x and y in radians of the equator.
 */
export interface Spot {
  x: number;
  y: number;
}

/** First eccentricity of WGS 84. */
const E = Math.sqrt((2 - 1 / 298.257223563) / 298.257223563);
const RADIAN = Math.PI / 180;
/** Beyond it the plane runs away; nobody paddles there. */
const HIGHEST = 89.5;

/** @param origin longitude, degrees: within half a turn of it longitudes go on without a jump */
export function spotOf({ lat, lon }: LatLon, origin: number): Spot {
  const phi = Math.max(-HIGHEST, Math.min(HIGHEST, lat)) * RADIAN,
    s = Math.sin(phi);
  return { x: near(lon, origin) * RADIAN, y: Math.atanh(s) - E * Math.atanh(E * s) };
}

/** Rounds of the fixed point below: after five the latitude is right to a hundredth of a millimetre. */
const ROUNDS = 5;

/** @returns degrees; longitude within half a turn of nought */
export function positionOf({ x, y }: Spot): LatLon {
  let s = Math.tanh(y);
  for (let i = 0; i < ROUNDS; i += 1) s = Math.tanh(y + E * Math.atanh(E * s));
  return { lat: Math.asin(s) / RADIAN, lon: near(x / RADIAN, 0) };
}

/** Radius of the equator, m. */
const EQUATOR = 6_378_137;

/** Metres on the ground for one unit of the plane at a latitude, degrees: a·cos φ / √(1 − e² sin² φ). */
export function metresAt(lat: number): number {
  const phi = lat * RADIAN,
    s = Math.sin(phi);
  return (EQUATOR * Math.cos(phi)) / Math.sqrt(1 - E * E * s * s);
}

/** The point of a straight way from a to b that lies nearest to a position. */
export function nearestOn(a: LatLon, b: LatLon, position: LatLon): LatLon {
  const [from, to, at] = [a, b, position].map((p) => spotOf(p, a.lon));
  const dx = to.x - from.x,
    dy = to.y - from.y,
    long = dx * dx + dy * dy;
  const share = long === 0 ? 0 : ((at.x - from.x) * dx + (at.y - from.y) * dy) / long;
  const part = Math.max(0, Math.min(1, share));
  return positionOf({ x: from.x + part * dx, y: from.y + part * dy });
}
