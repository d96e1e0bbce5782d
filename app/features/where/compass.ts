import type { LatLon } from '@escale/core/earth';
import { byCompass, variation } from '@escale/core/earth/variation';
import { plainly } from '../../data/settings';
import { COMPASS } from './words';

/** What a compass shows there for a true bearing, in words; nothing where no model holds for that day. */
export function compassWords(bearing: number, position: LatLon, at: number): string {
  const east = variation(position, at);
  return east === undefined
    ? ''
    : plainly(COMPASS.shows, { bearing: Math.round(byCompass(bearing, east)) % 360 });
}

/** How far a compass is off there, for a page of bearings. */
export function variationWords(position: LatLon, at: number): string {
  const east = variation(position, at);
  if (east === undefined) return COMPASS.unknown;
  const by = Math.abs(east);
  return plainly(east < 0 ? COMPASS.west : COMPASS.east, { by: Math.round(by * 10) / 10 });
}
