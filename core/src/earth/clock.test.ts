import { expect } from '@jest/globals';
import { Temporal } from 'temporal-polyfill';
import { check } from '../../test/check';
import { ageRange, civilDate, daysBetween, plusDays, plusMonths, wallTime, wallToInstant } from '.';

const TEMPORAL = { title: 'temporal-polyfill 1.0.8' };
const HOUR = 3_600_000;
/** Zones whose clocks change at midnight, by half an hour, near the date line, in the southern summer, and never. */
const ZONES: [zone: string, change: string][] = [
  ['Europe/London', '2026-03-29'],
  ['America/New_York', '2026-11-01'],
  ['Atlantic/Azores', '2026-10-25'],
  ['Australia/Lord_Howe', '2026-04-05'],
  ['Pacific/Auckland', '2026-09-27'],
  ['Pacific/Chatham', '2026-04-05'],
  ['America/Santiago', '2026-09-06'],
  ['Asia/Beirut', '2026-03-29'],
  ['Asia/Kathmandu', '2026-03-29'],
  ['Pacific/Apia', '2011-12-29'],
];

for (const [zone, change] of ZONES) {
  check(
    'run here',
    TEMPORAL,
    `every quarter of an hour of three days around the change of ${change} in ${zone}`,
    () => {
      for (let day = -1; day <= 1; day += 1)
        for (let quarter = 0; quarter < 96; quarter += 1) {
          const date = plusDays(change, day);
          const time = `${String(Math.floor(quarter / 4)).padStart(2, '0')}:${String((quarter % 4) * 15).padStart(2, '0')}`;
          const wall = Temporal.PlainDateTime.from(`${date}T${time}`);
          const [early, late] = (['earlier', 'later'] as const).map((d) =>
            wall.toZonedDateTime(zone, { disambiguation: d }),
          );
          const ours = wallToInstant(date, time, zone);
          const missing = !early.toPlainDateTime().equals(wall) && !late.toPlainDateTime().equals(wall);
          if (missing) expect(ours).toEqual({ gap: true });
          else expect(ours).toEqual({ at: early.epochMilliseconds, twice: !early.equals(late) });
        }
    },
  );
  check(
    'run here',
    TEMPORAL,
    `the date and the hand of the clock, hour by hour around ${change} in ${zone}`,
    () => {
      const from = Date.parse(`${change}T00:00:00Z`) - 36 * HOUR;
      for (let at = from; at < from + 96 * HOUR; at += HOUR / 2) {
        const there = Temporal.Instant.fromEpochMilliseconds(at).toZonedDateTimeISO(zone);
        expect(`${civilDate(at, zone)} ${wallTime(at, zone)}`).toBe(
          there.toString().slice(0, 16).replace('T', ' '),
        );
      }
    },
  );
}

check(
  'run here',
  TEMPORAL,
  'age on the eve, the day and the morrow of a birthday, born on any day of four years',
  () => {
    for (let i = 0; i < 1461; i += 1) {
      const born = plusDays('2012-01-01', i);
      if (born.endsWith('02-29')) continue;
      const birthday = `2026${born.slice(4)}`;
      for (const day of [-1, 0, 1]) {
        const on = plusDays(birthday, day);
        const { years } = Temporal.PlainDate.from(born).until(on, { largestUnit: 'years' });
        expect(ageRange(born, on)).toEqual([years, years]);
      }
    }
  },
);
check('run here', TEMPORAL, 'days between, over leap days and centuries', () => {
  for (const [from, to] of [
    ['1999-12-31', '2000-03-01'],
    ['2100-02-28', '2100-03-01'],
    ['2026-05-12', '2027-05-12'],
    ['2028-02-28', '2028-03-01'],
    ['2027-05-12', '2026-05-12'],
  ]) {
    expect(daysBetween(from, to)).toBe(Temporal.PlainDate.from(from).until(to, { largestUnit: 'days' }).days);
  }
});
check(
  'run here',
  TEMPORAL,
  'a service every so many months falls on the day, or on the last of a shorter month',
  () => {
    for (let i = 0; i < 1461; i += 1)
      for (const months of [1, 6, 12, 24, 36]) {
        const from = plusDays('2024-01-01', i);
        expect(plusMonths(from, months)).toBe(Temporal.PlainDate.from(from).add({ months }).toString());
      }
  },
);
