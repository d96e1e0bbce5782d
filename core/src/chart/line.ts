import polyline from '@mapbox/polyline';
import type { LatLon } from '../earth';

/**
 * Lines as they are kept: the encoded polyline of five decimals, a metre, in two to six letters a point. A shore of ten
 * thousand points travels with every answer of the server; as numbers it would be five times as long.
 * A line that crosses the antimeridian goes on counting beyond 180°, so that it stays one.
 */

/** @param points in order; a ring needs not say its first point again */
export function lineOf(points: readonly LatLon[]): string {
  let before: number | undefined;
  return polyline.encode(
    points.map(({ lat, lon }): [number, number] => {
      before = before === undefined ? lon : near(lon, before);
      return [lat, before];
    }),
  );
}

/** The points of a line. What is torn gives the points before the tear. Longitudes may lie beyond ±180. */
export function pointsOf(line: string): LatLon[] {
  return polyline.decode(line).flatMap(([lat, lon]) => (isThere(lat, lon) ? [{ lat, lon }] : []));
}

/** A longitude, by whole turns, within half a turn of another. */
export const near = (lon: number, other: number) => lon - Math.round((lon - other) / TURN) * TURN;
const TURN = 360;

const isThere = (lat: number, lon: number) => Math.abs(lat) <= 90 && Math.abs(lon) <= 2 * TURN;
