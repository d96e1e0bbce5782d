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
/** The sun's centre is so far below the horizon, degrees, when its upper edge is seen on it: 34' of refraction and 16' of its own. */
const EDGE = -50 / 60;
/** Mean noon and true noon differ by up to a quarter of an hour: a crossing is looked for so much beyond its half of the day. */
const SLACK = 20 * MS.minute;
const HALF_DAY = (MS.day / 2 + 2 * SLACK) / MS.day;
const remembered = new Map<string, DayLight>();
const MOST_REMEMBERED = 400;

/** The solar day at a longitude that holds the instant: its noon, epoch ms, good to a quarter of an hour (equation of time). */
export function solarNoon(at: number, lon: number): number {
  const shift = (lon / 360) * MS.day;
  return Math.floor((at + shift) / MS.day) * MS.day + MS.day / 2 - shift;
}

/** Altitude of the sun's centre without refraction, degrees: near the horizon refraction is part of the limit, not of the altitude. */
export function sunAltitude({ lat, lon }: LatLon, at: number): number {
  return altitude(new Observer(lat, lon, 0), new Date(at));
}

/** Where the sun's centre stands, degrees: altitude without refraction, azimuth from true north. */
export function sunAt({ lat, lon }: LatLon, at: number): { altitude: number; azimuth: number } {
  const observer = new Observer(lat, lon, 0);
  const date = new Date(at);
  const equator = Equator(Body.Sun, date, observer, true, true);
  const { altitude: height, azimuth } = Horizon(date, observer, equator.ra, equator.dec);
  return { altitude: height, azimuth };
}

function altitude(observer: Observer, at: Date): number {
  const equator = Equator(Body.Sun, at, observer, true, true);
  return Horizon(at, observer, equator.ra, equator.dec).altitude;
}

/**
 * Dawn, sunrise, sunset and dusk of the solar day that holds `at`: the sun climbs from midnight to noon and falls from noon
 * to midnight, so each half holds one crossing or none. astronomy-engine, source `sun`; against a second library the mean
 * difference is 1.3 s. The result depends on the day and the place alone, so it is remembered.
 */
export function dayLight(position: LatLon, at: number): DayLight {
  const noon = solarNoon(at, position.lon);
  const key = `${position.lat} ${position.lon} ${noon}`;
  const known = remembered.get(key);
  if (known) return known;
  const observer = new Observer(position.lat, position.lon, 0);
  const climb = new Date(noon - MS.day / 2 - SLACK);
  const fall = new Date(noon - SLACK);
  const ms = (found: { date: Date } | null) => found?.date.getTime();
  const light: DayLight = {
    dawn: ms(SearchAltitude(Body.Sun, observer, 1, climb, HALF_DAY, CIVIL)),
    sunrise: ms(SearchRiseSet(Body.Sun, observer, 1, climb, HALF_DAY)),
    sunset: ms(SearchRiseSet(Body.Sun, observer, -1, fall, HALF_DAY)),
    dusk: ms(SearchAltitude(Body.Sun, observer, -1, fall, HALF_DAY, CIVIL)),
    noonAltitude: altitude(observer, new Date(noon)),
  };
  if (remembered.size >= MOST_REMEMBERED) remembered.clear();
  remembered.set(key, light);
  return light;
}

/**
 * Is the sun up, within civil twilight, or deeper, at an instant (epoch ms)? Told by its altitude, so polar
 * days and nights are no exception.
 */
export function skyAt(position: LatLon, at: number): Sky {
  const height = sunAltitude(position, at);
  return height >= EDGE ? 'day' : height >= CIVIL ? 'twilight' : 'night';
}

export interface SkySpan {
  sky: Sky;
  from: number;
  until: number;
}

/** The sky over a span, as runs without gaps, across midnights, clock changes and the date line: instants have none of them. */
export function skySpans(position: LatLon, from: number, until: number): SkySpan[] {
  const edges = new Set([from, until]);
  for (let at = from - MS.day; at <= until + MS.day; at += MS.day) {
    const { dawn, sunrise, sunset, dusk } = dayLight(position, at);
    for (const edge of [dawn, sunrise, sunset, dusk]) {
      if (edge !== undefined && edge > from && edge < until) edges.add(edge);
    }
  }
  const sorted = [...edges].sort((a, b) => a - b);
  const spans: SkySpan[] = [];
  for (let i = 0; i + 1 < sorted.length; i += 1) {
    const sky = skyAt(position, (sorted[i] + sorted[i + 1]) / 2);
    const last = spans.at(-1);
    if (last?.sky === sky) last.until = sorted[i + 1];
    else spans.push({ sky, from: sorted[i], until: sorted[i + 1] });
  }
  return spans;
}

/** Stretches of a span outside sunrise to sunset, twilight and night as one: where lights and night signals are asked for. */
export function darkSpans(position: LatLon, from: number, until: number): { from: number; until: number }[] {
  const dark: { from: number; until: number }[] = [];
  for (const span of skySpans(position, from, Math.max(until, from + 1))) {
    if (span.sky === 'day') continue;
    const last = dark.at(-1);
    if (last?.until === span.from) last.until = span.until;
    else dark.push({ from: span.from, until: span.until });
  }
  return dark;
}

/** Is any part of the span outside sunrise to sunset? */
export const darkWithin = (position: LatLon, from: number, until: number) =>
  darkSpans(position, from, until).length > 0;

/** Days forward or back in which a rising or setting is looked for: beyond it the sun stays up or down. */
const LOOK = 2;

/** The first sunrise or sunset after an instant, epoch ms; undefined where the sun neither rises nor sets within two days. */
export function sunAfter(position: LatLon, at: number, which: 'sunrise' | 'sunset'): number | undefined {
  return sunsAround(position, at, which).find((found) => found > at);
}

/** The last sunrise or sunset before an instant or at it. */
export function sunBefore(position: LatLon, at: number, which: 'sunrise' | 'sunset'): number | undefined {
  return sunsAround(position, at, which).findLast((found) => found <= at);
}

function sunsAround(position: LatLon, at: number, which: 'sunrise' | 'sunset'): number[] {
  const found: number[] = [];
  for (let day = -LOOK; day <= LOOK; day += 1) {
    const event = dayLight(position, at + day * MS.day)[which];
    if (event !== undefined) found.push(event);
  }
  return found;
}
