import { Temporal } from 'temporal-polyfill';
import { MS } from '../units';

export type WallResult = { at: number; twice: boolean } | { gap: true };

/**
 * Wall time in a zone → epoch ms. On a clock-change night a time may not exist (`gap`) or come twice (the first is taken
 * and said). Other date libraries shift such a time silently.
 * @example wallToInstant('2026-05-12', '06:10', 'Atlantic/Azores') // { at: Date.UTC(2026, 4, 12, 6, 10), twice: false }
 */
export function wallToInstant(date: string, time: string, zone: string): WallResult {
  const key = `${date} ${time} ${zone}`;
  let result = remembered.get(key);
  if (!result) {
    if (remembered.size >= MOST_REMEMBERED) remembered.clear();
    remembered.set(key, (result = reckon(date, time, zone)));
  }
  return result;
}

/** A wall time is asked for at every departure of a sweep; the zone's rules are slow to read. */
const remembered = new Map<string, WallResult>();
const MOST_REMEMBERED = 500;

function reckon(date: string, time: string, zone: string): WallResult {
  const wall = Temporal.PlainDateTime.from(`${date}T${time}`);
  const earlier = wall.toZonedDateTime(zone, { disambiguation: 'earlier' });
  const later = wall.toZonedDateTime(zone, { disambiguation: 'later' });
  if (earlier.epochMilliseconds === later.epochMilliseconds)
    return { at: earlier.epochMilliseconds, twice: false };
  // Of an ambiguous pair both ends keep the wall time; in a gap neither does.
  return earlier.toPlainDateTime().equals(wall)
    ? { at: earlier.epochMilliseconds, twice: true }
    : { gap: true };
}

/**
 * When a clock in the zone next shows this time after `now` (epoch ms): today or tomorrow; a time that a clock change leaves
 * out, on the day after.
 * @param time hours and minutes, `HH:MM`
 */
export function nextAt(time: string, zone: string, now: number): number {
  const today = civilDate(now, zone);
  for (let day = 0; ; day += 1) {
    const wall = wallToInstant(plusDays(today, day), time, zone);
    if ('at' in wall && wall.at > now) return wall.at;
  }
}

/** Civil date of an instant in a zone, `2026-05-12`. */
export function civilDate(at: number, zone: string): string {
  return Temporal.Instant.fromEpochMilliseconds(Math.floor(at))
    .toZonedDateTimeISO(zone)
    .toPlainDate()
    .toString();
}

/** Wall time of an instant in a zone, `06:10`. */
export function wallTime(at: number, zone: string): string {
  return Temporal.Instant.fromEpochMilliseconds(Math.floor(at))
    .toZonedDateTimeISO(zone)
    .toPlainTime()
    .toString({ smallestUnit: 'minute' });
}

/** Add days to a civil date. Civil days have no zone, so UTC's calendar serves. */
export function plusDays(date: string, days: number): string {
  return new Date(Date.parse(`${date}T00:00:00Z`) + days * MS.day).toISOString().slice(0, 10);
}

/** Days from one civil date to another, of UTC's calendar: civil days have no zone. */
export function daysBetween(from: string, to: string): number {
  return Math.round((Date.parse(to) - Date.parse(from)) / MS.day);
}

/**
 * Whole months between two civil dates, rounded down. Plain arithmetic on the parts: 20 times as quick as a
 * calendar library, and held against one in the tests.
 */
export function monthsBetween(from: string, to: string): number {
  const months =
    (Number(to.slice(0, 4)) - Number(from.slice(0, 4))) * 12 +
    Number(to.slice(5, 7)) -
    Number(from.slice(5, 7));
  return to.slice(8) < from.slice(8) ? months - 1 : months;
}

/**
 * Some months after a civil date; a day that the month lacks becomes its last.
 * @example plusMonths('2026-01-31', 1) // '2026-02-28'
 */
export function plusMonths(date: string, months: number): string {
  return Temporal.PlainDate.from(date).add({ months }).toString();
}

/**
 * Age on a day from a birth date known as year, month or day: a range, since `2014` may be 11 or 12.
 * Who was born on 29 February is a year older on 1 March of a common year.
 * @example ageRange('2014', '2026-05-12') // [11, 12]
 */
export function ageRange(born: string, on: string): [number, number] {
  const years = (birthday: string) =>
    Math.max(0, Number(on.slice(0, 4)) - Number(born.slice(0, 4)) - (on.slice(5) < birthday ? 1 : 0));
  const known = born.slice(5);
  return [
    years(known.length === 5 ? known : `${known || '12'}-31`),
    years(known.length === 5 ? known : `${known || '01'}-01`),
  ];
}
