import geomagnetism from 'geomagnetism';
import type { LatLon } from './geodesic';

/**
 * Magnetic variation, degrees, east positive, by the World Magnetic Model (source `wmm`): what a compass shows is the true bearing
 * less this. Iron and magnets aboard are another matter.
 * @param at epoch ms @param kilometres above the ellipsoid
 * @returns undefined where no model holds for that day
 * @example variation({ lat: 80, lon: 0 }, Date.UTC(2015, 0, 1)) // −3.85
 */
export function variation({ lat, lon }: LatLon, at: number, kilometres = 0): number | undefined {
  try {
    return geomagnetism.model(new Date(at)).point([lat, lon, kilometres]).decl;
  } catch {
    return undefined; // The library throws for a day outside the years of its models.
  }
}

/** What a compass shows for a true bearing, degrees, 0 ≤ … < 360. */
export const byCompass = (bearing: number, variation: number): number => (bearing - variation + 720) % 360;
