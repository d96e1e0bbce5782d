import geographiclib from 'geographiclib-geodesic';

export interface LatLon {
  lat: number;
  lon: number;
}

const { Geodesic } = geographiclib;
const wgs84 = Geodesic.WGS84;

/**
 * Shortest way between two positions on the WGS 84 ellipsoid, to nanometres (Karney 2013, source `geodesic`).
 * @returns metres, and the bearing at the start in degrees true, 0 ≤ bearing < 360.
 * @example distance({lat: 50.06632, lon: -5.71475}, {lat: 58.64402, lon: -3.07009}).metres // 969 954.166
 */
export function distance(from: LatLon, to: LatLon): { metres: number; bearing: number } {
  const r = wgs84.Inverse(from.lat, from.lon, to.lat, to.lon, Geodesic.DISTANCE | Geodesic.AZIMUTH);
  return { metres: r.s12 ?? 0, bearing: ((r.azi1 ?? 0) + 360) % 360 };
}

/**
 * A part of the way from one position to another, along a straight line in latitude and longitude, by the shorter way round the date
 * line: on the legs of a day that is off by metres. @param part 0 to 1
 */
export function partWay(from: LatLon, to: LatLon, part: number): LatLon {
  const turn = ((to.lon - from.lon + 540) % 360) - 180;
  const lon = from.lon + part * turn;
  return { lat: from.lat + part * (to.lat - from.lat), lon: ((lon + 540) % 360) - 180 };
}

/**
 * Where one comes to on the ellipsoid from a position, on a bearing (degrees true) and so many metres on.
 * @example onward({lat: 50.06632, lon: -5.71475}, 9.141877, 969_954.166).lat // 58.64402
 */
export function onward(from: LatLon, bearing: number, metres: number): LatLon {
  const r = wgs84.Direct(from.lat, from.lon, bearing, metres);
  return { lat: r.lat2 ?? from.lat, lon: r.lon2 ?? from.lon };
}
