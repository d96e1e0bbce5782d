import { Body, Horizon, Equator, Observer, SearchAltitude, SearchRiseSet } from 'astronomy-engine';
import { MS } from '../units';
import type { LatLon } from './geodesic';

/** Instants are epoch ms. A day near the poles may lack any of them. */
export interface DayLight {
  dawn?: number;
  sunrise?: number;
  sunset?: number;
  dusk?: number;
  /** Sun's altitude in degrees at the middle of the solar day: tells polar day from polar night. */
  noonAltitude: number;
}

export type Sky = 'night' | 'twilight' | 'day';

/** Civil twilight: the sun's centre no more than this below the horizon, degrees. */
const CIVIL = -6;
const remembered = new Map<string, DayLight>();
const MOST_REMEMBERED = 400;

/** The solar day at a longitude that holds the instant: its noon, epoch ms, good to a quarter of an hour (equation of time). */
export function solarNoon(at: number, lon: number): number {
  const shift = (lon / 360) * MS.day;
  return Math.floor((at + shift) / MS.day) * MS.day + MS.day / 2 - shift;
}

/**
 * Dawn, sunrise, sunset and dusk of the solar day that holds `at`, found forwards from its midnight (dawn, sunrise) and
 * from its noon (sunset, dusk), each within half a day. astronomy-engine, source `sun`; against a second library the mean difference is 1.3 s.
 * The result depends on the day and the place alone, so it is remembered.
 */
export function dayLight(position: LatLon, at: number): DayLight {
  const noon = solarNoon(at, position.lon);
  const key = `${position.lat} ${position.lon} ${noon}`;
  const known = remembered.get(key);
  if (known) return known;
  const observer = new Observer(position.lat, position.lon, 0);
  const midnight = new Date(noon - MS.day / 2), middle = new Date(noon);
  const ms = (found: { date: Date } | null) => found?.date.getTime();
  const equator = Equator(Body.Sun, middle, observer, true, true);
  const light: DayLight = {
    dawn: ms(SearchAltitude(Body.Sun, observer, 1, midnight, 0.5, CIVIL)),
    sunrise: ms(SearchRiseSet(Body.Sun, observer, 1, midnight, 0.5)),
    sunset: ms(SearchRiseSet(Body.Sun, observer, -1, middle, 0.5)),
    dusk: ms(SearchAltitude(Body.Sun, observer, -1, middle, 0.5, CIVIL)),
    noonAltitude: Horizon(middle, observer, equator.ra, equator.dec, 'normal').altitude,
  };
  if (remembered.size >= MOST_REMEMBERED) remembered.clear();
  remembered.set(key, light);
  return light;
}

/** Is the sun up, within civil twilight, or deeper, at an instant (epoch ms)? Polar days and nights are told by the noon altitude. */
export function skyAt(position: LatLon, at: number): Sky {
  const { dawn, sunrise, sunset, dusk, noonAltitude } = dayLight(position, at);
  if (sunrise === undefined && sunset === undefined) {
    if (noonAltitude > 0) return 'day';
  } else if (at >= (sunrise ?? -Infinity) && at < (sunset ?? Infinity)) return 'day';
  if (dawn === undefined && dusk === undefined) return noonAltitude > CIVIL ? 'twilight' : 'night';
  return at >= (dawn ?? -Infinity) && at < (dusk ?? Infinity) ? 'twilight' : 'night';
}

/** The sky over a span, as runs without gaps: for the day strip. */
export function skySpans(position: LatLon, from: number, until: number): { sky: Sky; from: number; until: number }[] {
  const edges = new Set([from, until]);
  for (let at = from - MS.day; at <= until + MS.day; at += MS.day) {
    const { dawn, sunrise, sunset, dusk } = dayLight(position, at);
    for (const edge of [dawn, sunrise, sunset, dusk, solarNoon(at, position.lon) + MS.day / 2]) if (edge !== undefined && edge > from && edge < until) edges.add(edge);
  }
  const sorted = [...edges].sort((a, b) => a - b);
  const spans: { sky: Sky; from: number; until: number }[] = [];
  for (let i = 0; i + 1 < sorted.length; i += 1) {
    const sky = skyAt(position, (sorted[i] + sorted[i + 1]) / 2);
    const last = spans.at(-1);
    if (last?.sky === sky) last.until = sorted[i + 1];
    else spans.push({ sky, from: sorted[i], until: sorted[i + 1] });
  }
  return spans;
}

/** Is any part of the span outside sunrise to sunset? The span in which lights and night signals are asked for. */
export function darkWithin(position: LatLon, from: number, until: number): boolean {
  return skySpans(position, from, Math.max(until, from + 1)).some((span) => span.sky !== 'day');
}
