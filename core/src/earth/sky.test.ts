import { describe, expect, test } from '@jest/globals';
import { getMoonIllumination, getMoonPosition, getMoonTimes, getPosition, getTimes } from 'suncalc';
import { check } from '../../test/check';
import { dayLight, moonAltitude, moonLit, moonUp, skyAt, solarNoon, sunAltitude, sunAt } from '.';

const DAY = 86_400_000;
const SUNCALC = { title: 'suncalc 2.0.2' };
/** High latitudes, both ends, and places on either side of the date line. */
const PLACES = [
  [64.1, -21.9],
  [66.6, 25.7],
  [70, 20],
  [78.2, 15.6],
  [-54.8, -68.3],
  [-67.6, 62.9],
  [-77.8, 166.7],
  [52.9, 172.9],
  [-43.9, -176.5],
] as const;
/** The 21st of each month from December on: both solstices, both equinoxes. */
const MONTHS = Array.from({ length: 12 }, (_, m) => Date.UTC(2026, m, 21, 12));

/** Theirs stands higher by refraction, half a degree on the horizon and little above 15 degrees; ours is without. */
function expectLifted(theirs: number, ours: number) {
  expect(theirs - ours).toBeGreaterThan(-0.05);
  expect(theirs - ours).toBeLessThan(ours > 15 ? 0.12 : 0.65);
}

describe('the sun where it grazes', () => {
  for (const [lat, lon] of PLACES) {
    check('run here', SUNCALC, `rising, setting and twilight through the year at ${lat}, ${lon}`, () => {
      for (const at of MONTHS) {
        const noon = solarNoon(at, lon);
        const theirs = getTimes(new Date(noon), lat, lon);
        const ours = dayLight({ lat, lon }, at);
        for (const name of ['dawn', 'sunrise', 'sunset', 'dusk'] as const) {
          const them = theirs[name]?.getTime() ?? NaN;
          const us = ours[name] ?? NaN;
          if (Number.isNaN(them) && Number.isNaN(us)) continue;
          const edge = name === 'dawn' || name === 'dusk' ? -6 : -50 / 60;
          // One finds a crossing the other does not, or minutes away: only where the sun hardly crosses at all.
          if (Math.abs(us - them) < 90_000) continue;
          const there = sunAltitude({ lat, lon }, Number.isNaN(them) ? us : them);
          const middle = sunAltitude(
            { lat, lon },
            name === 'dawn' || name === 'sunrise' ? noon - DAY / 2 : noon + DAY / 2,
          );
          expect(Math.min(Math.abs(there - edge), Math.abs(middle - edge))).toBeLessThan(0.15);
        }
      }
    });
    check(
      'run here',
      SUNCALC,
      `day, twilight or night each hour over five midnights at ${lat}, ${lon}`,
      () => {
        for (const month of [2, 5, 8, 11])
          for (let at = Date.UTC(2026, month, 19); at < Date.UTC(2026, month, 24); at += DAY / 24) {
            const theirs = getPosition(new Date(at), lat, lon).altitude;
            const ours = sunAltitude({ lat, lon }, at);
            expectLifted(theirs, ours);
            const clear = Math.min(Math.abs(theirs + 6), Math.abs(theirs + 50 / 60)) > 1;
            if (clear)
              expect(skyAt({ lat, lon }, at)).toBe(
                theirs > -50 / 60 ? 'day' : theirs > -6 ? 'twilight' : 'night',
              );
          }
      },
    );
  }
});

describe('the moon', () => {
  for (const [lat, lon] of [[41.2, -29.5], [0, 0], ...PLACES] as const) {
    check('run here', SUNCALC, `altitude of the moon, hour by hour over a month at ${lat}, ${lon}`, () => {
      for (let at = Date.UTC(2026, 4, 1); at < Date.UTC(2026, 5, 1); at += DAY / 24) {
        const theirs = getMoonPosition(new Date(at), lat, lon).altitude;
        expectLifted(theirs, moonAltitude({ lat, lon }, at));
      }
    });
    check('run here', SUNCALC, `moonrise and moonset over a month at ${lat}, ${lon}`, () => {
      const spans = moonUp({ lat, lon }, Date.UTC(2026, 4, 1), Date.UTC(2026, 5, 1));
      for (let day = 1; day < 30; day += 1) {
        const { rise, set } = getMoonTimes(new Date(Date.UTC(2026, 4, day)), lat, lon);
        if (rise)
          expect(Math.min(...spans.map((s) => Math.abs(s.from - rise.getTime())))).toBeLessThan(20 * 60_000);
        if (set)
          expect(Math.min(...spans.map((s) => Math.abs(s.until - set.getTime())))).toBeLessThan(20 * 60_000);
      }
    });
  }
  check('run here', SUNCALC, 'how much of it is lit, day by day through a year', () => {
    for (let at = Date.UTC(2026, 0, 1); at < Date.UTC(2027, 0, 1); at += DAY) {
      expect(Math.abs(moonLit(at) - getMoonIllumination(new Date(at)).fraction)).toBeLessThan(0.01);
    }
  });
  test('stretches with the moon up lie within the span, in order, and the moon is up in the middle of each and down between', () => {
    const place = { lat: 70, lon: 20 };
    const from = Date.UTC(2026, 0, 1);
    const spans = moonUp(place, from, from + 60 * DAY);
    spans.forEach((span, i) => {
      expect(span.from).toBeGreaterThanOrEqual(i === 0 ? from : spans[i - 1].until);
      expect(span.until).toBeGreaterThan(span.from);
      expect(moonAltitude(place, (span.from + span.until) / 2)).toBeGreaterThan(-1);
      if (i > 0) expect(moonAltitude(place, (spans[i - 1].until + span.from) / 2)).toBeLessThan(0);
    });
    expect(moonUp(place, from, from + 1)).toEqual(
      moonAltitude(place, from) > -0.825 ? [{ from, until: from + 1 }] : [],
    );
  });
});

describe('where the sun stands', () => {
  check('run here', SUNCALC, 'its bearing each three hours through the year, to half a degree', () => {
    for (const [lat, lon] of PLACES)
      for (const month of MONTHS)
        for (let at = month; at < month + DAY; at += DAY / 8) {
          const theirs = getPosition(new Date(at), lat, lon).azimuth;
          const { altitude, azimuth } = sunAt({ lat, lon }, at);
          const off = ((azimuth - theirs + 540) % 360) - 180;
          // Near the zenith a bearing means little.
          expect(Math.abs(off) * Math.cos((altitude * Math.PI) / 180)).toBeLessThan(0.5);
        }
  });
});
