import { distance, type LatLon } from '../earth';
import type { Place, Schedule } from '../model';

/**
 * Where the plan has the boat at an instant (epoch ms): along a leg by the share of its time, at a halt, or at the launch
 * before leaving and after coming home. On legs of a day trip a straight line in latitude and longitude is off by metres.
 * @returns undefined when a place it needs is not known
 */
export function plannedPosition(schedule: Schedule, launch: string, places: Place[], at: number): LatLon | undefined {
  const position = (id: string) => places.find((p) => p.id === id)?.position;
  const leg = schedule.legs.find((l) => at >= l.departs && at <= l.arrives);
  if (!leg) return position(schedule.halts.find((h) => at >= h.from && at <= h.until)?.place ?? launch);
  const from = position(leg.from), to = position(leg.to);
  if (!from || !to) return undefined;
  const part = (at - leg.departs) / Math.max(1, leg.arrives - leg.departs);
  return { lat: from.lat + part * (to.lat - from.lat), lon: from.lon + part * (to.lon - from.lon) };
}

export interface Landing { place: Place; metres: number; /** Degrees true. */ bearing: number; /** At `speed`, if one is known. */ seconds?: number }

/** A landing nearer than this is where one stands, m. */
export const ARRIVED = 50;

/**
 * Places one can land at, nearest first, over the ellipsoid.
 * @param speed m/s that is still to be had, above 0
 */
export function landingsFrom(here: LatLon, places: Place[], speed?: number): Landing[] {
  return places.filter((p) => p.kind === 'haven' || p.kind === 'launch')
    .map((place) => ({ place, ...distance(here, place.position) }))
    .map((l) => ({ ...l, ...(speed ? { seconds: l.metres / speed } : {}) }))
    .sort((a, b) => a.metres - b.metres || (a.place.id < b.place.id ? -1 : 1));
}
