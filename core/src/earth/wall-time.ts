import { Temporal } from 'temporal-polyfill';

export type WallResult = { at: number; twice: boolean } | { gap: true };

/**
 * Wall time in a zone → epoch ms. On a clock-change night a time may not exist (`gap`) or come twice (the first is taken
 * and said). Other date libraries shift such a time silently.
 * @example wallToInstant('2026-05-12', '06:10', 'Atlantic/Azores') // { at: 1778569800000, twice: false }
 */
export function wallToInstant(date: string, time: string, zone: string): WallResult {
  const wall = Temporal.PlainDateTime.from(`${date}T${time}`);
  const earlier = wall.toZonedDateTime(zone, { disambiguation: 'earlier' });
  const later = wall.toZonedDateTime(zone, { disambiguation: 'later' });
  if (earlier.epochMilliseconds === later.epochMilliseconds) return { at: earlier.epochMilliseconds, twice: false };
  // Of an ambiguous pair both ends keep the wall time; in a gap neither does.
  return earlier.toPlainDateTime().equals(wall) ? { at: earlier.epochMilliseconds, twice: true } : { gap: true };
}

/** Civil date of an instant in a zone, `2026-05-12`. */
export function civilDate(at: number, zone: string): string {
  return Temporal.Instant.fromEpochMilliseconds(Math.floor(at)).toZonedDateTimeISO(zone).toPlainDate().toString();
}

/** Wall time of an instant in a zone, `06:10`. */
export function wallTime(at: number, zone: string): string {
  return Temporal.Instant.fromEpochMilliseconds(Math.floor(at)).toZonedDateTimeISO(zone).toPlainTime().toString({ smallestUnit: 'minute' });
}

/** Add days to a civil date. */
export function plusDays(date: string, days: number): string {
  return Temporal.PlainDate.from(date).add({ days }).toString();
}

/** Whole months between two civil dates, rounded down. */
export function monthsBetween(from: string, to: string): number {
  return Temporal.PlainDate.from(from).until(Temporal.PlainDate.from(to), { largestUnit: 'month' }).months;
}

/**
 * Age on a day from a birth date known as year, month or day: a range, since `2014` may be 11 or 12.
 * @example ageRange('2014', '2026-05-12') // [11, 12]
 */
export function ageRange(born: string, on: string): [number, number] {
  const years = (birth: string) => Math.max(0, Temporal.PlainDate.from(birth).until(Temporal.PlainDate.from(on), { largestUnit: 'year' }).years);
  const [y, m, d] = born.split('-');
  if (d) return [years(born), years(born)];
  const last = m ? Temporal.PlainDate.from({ year: +y, month: +m, day: 31 }) : Temporal.PlainDate.from(`${y}-12-31`);
  return [years(last.toString()), years(m ? `${y}-${m}-01` : `${y}-01-01`)];
}
