import { civilDate, wallToInstant } from '../earth';
import type { LimitName, Limits, Trip, Water } from '../model';
import { HOUR } from '../units';
import { sortForecast, worstWithin } from '../water';
import { TRIP } from './limits';
import { goesBeyond } from './own-limits';

/** The worst of a day, by the last forecast that this household kept for it; what it does not tell is absent. */
export interface KeptDay {
  /** Civil date at the water. */
  date: string;
  water: string;
  limits: Partial<Record<'wind' | 'gust' | 'waves' | 'waterTemperature', number>>;
}

/** The hours of a day that count, by the clock at the water. */
const FROM = TRIP.limit('kept-from') / HOUR,
  UNTIL = TRIP.limit('kept-until') / HOUR;
const clock = (hour: number) => `${String(hour).padStart(2, '0')}:00`;

/**
 * Days of the forecasts that stand on this household’s trips, each day of a water once. Weather that was made up for show is none,
 * and a day counts for a quantity only where all of its hours are told.
 */
export function keptDays(trips: readonly Trip[], waters: readonly Water[]): KeptDay[] {
  const days = new Map<string, KeptDay & { issued: number }>();
  for (const { forecast, water: id } of trips) {
    const zone = waters.find((water) => water.id === id)?.zone;
    const sorted = forecast && !forecast.invented ? sortForecast(forecast) : undefined;
    if (!sorted || id === undefined || zone === undefined) continue;
    const dates = new Set(sorted.hours.map(({ ms }) => civilDate(ms, zone)));
    for (const date of dates) {
      const [from, until] = [clock(FROM), clock(UNTIL)].map((time) => wallToInstant(date, time, zone));
      if ('gap' in from || 'gap' in until) continue;
      const worst = worstWithin(sorted, from.at, until.at);
      const before = days.get(`${id} ${date}`);
      if (!worst?.whole.wind || (before && before.issued >= sorted.issuedAt)) continue;
      const { wind, gust, highest, coldest, whole } = worst;
      days.set(`${id} ${date}`, {
        date,
        water: id,
        issued: sorted.issuedAt,
        limits: {
          wind: wind.wind,
          gust: gust.gust,
          ...(whole.waves && highest?.waves !== undefined ? { waves: highest.waves } : {}),
          ...(whole.water && coldest?.water !== undefined ? { waterTemperature: coldest.water } : {}),
        },
      });
    }
  }
  return [...days.values()].map(({ date, water, limits }) => ({ date, water, limits }));
}

/** On how many of the days a limit would have said no, of those on which its quantity is told. */
export interface HeldAgainst {
  no: number;
  of: number;
}

/** What each limit would have said. @returns nothing for a limit that no kept forecast tells of */
export function heldAgainst(
  limits: Limits,
  days: readonly KeptDay[],
): Partial<Record<LimitName, HeldAgainst>> {
  const held: Partial<Record<LimitName, HeldAgainst>> = {};
  for (const name of WEATHER) {
    const limit = limits[name];
    const told = days.flatMap((day) => day.limits[name] ?? []);
    if (limit === undefined || told.length === 0) continue;
    const no = told.filter((value) => goesBeyond(name, value, limit)).length;
    held[name] = { no, of: told.length };
  }
  return held;
}
const WEATHER = ['wind', 'gust', 'waves', 'waterTemperature'] as const;
