import { Body, Equator, Horizon, Illumination, Observer, SearchRiseSet } from 'astronomy-engine';
import { MS } from '../units';
import type { LatLon } from './geodesic';

/** The moon's upper edge stands on the horizon: 34' of refraction and 15.5' of its own, degrees. */
const EDGE = -49.5 / 60;

/** Share of the moon's disc that is lit, 0 to 1. */
export const moonLit = (at: number): number => Illumination(Body.Moon, new Date(at)).phase_fraction;

/** Altitude of the moon's centre as seen from the place (her parallax is a degree), without refraction, degrees. */
export function moonAltitude({ lat, lon }: LatLon, at: number): number {
  const observer = new Observer(lat, lon, 0);
  const equator = Equator(Body.Moon, new Date(at), observer, true, true);
  return Horizon(new Date(at), observer, equator.ra, equator.dec).altitude;
}

/** When the moon is above the horizon within a span (epoch ms), in order. astronomy-engine. */
export function moonUp(position: LatLon, from: number, until: number): { from: number; until: number }[] {
  const observer = new Observer(position.lat, position.lon, 0);
  const next = (direction: 1 | -1, after: number) =>
    SearchRiseSet(Body.Moon, observer, direction, new Date(after), (until - after) / MS.day)?.date.getTime();
  const spans: { from: number; until: number }[] = [];
  let rise: number | undefined = moonAltitude(position, from) >= EDGE ? from : next(1, from);
  while (rise !== undefined && rise < until) {
    const set: number = Math.min(next(-1, rise) ?? until, until);
    spans.push({ from: rise, until: set });
    rise = set < until ? next(1, set) : undefined;
  }
  return spans;
}
