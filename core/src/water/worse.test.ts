import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { check } from '../../test/check';
import { steady } from '../../test/demo';
import { Forecast } from '../model';
import { KNOT } from '../units';
import { afterHeard, forceOf, oneWorse } from './worse';

const HOUR = 3_600_000;

describe('one worse', () => {
  check(
    'recalled',
    'beaufort',
    'v = 0.836·B^1.5: forces 3 to 8 by the middle of their winds, within a third',
    () => {
      // Means of each force in m/s, by the table of the WMO.
      for (const [force, low, high] of [
        [3, 3.4, 5.4],
        [4, 5.5, 7.9],
        [5, 8, 10.7],
        [6, 10.8, 13.8],
        [7, 13.9, 17.1],
        [8, 17.2, 20.7],
      ])
        expect(Math.abs(forceOf((low + high) / 2) - force)).toBeLessThan(0.34);
    },
  );
  test('a force more, two hours earlier, and as long as it reaches; what is not wind stays', () => {
    const before = steady({ wind: 6, gust: 9, waves: 0.5 });
    const worse = oneWorse(before);
    expect(Date.parse(worse.hours[0].at)).toBe(Date.parse(before.hours[0].at) - 2 * HOUR);
    expect(worse.hours.at(-1)!.at).toBe(before.hours.at(-1)!.at);
    expect(forceOf(worse.hours[0].wind)).toBeCloseTo(forceOf(6) + 1, 9);
    const times = worse.hours[0].wind / 6;
    expect(worse.hours[0].gust).toBeCloseTo(9 * times, 9);
    expect(worse.hours[0].waves).toBeCloseTo(0.5 * times ** 2, 9);
    expect(worse.hours[0]).toMatchObject({ air: 15, water: 13.4, visibility: 20_000, from: 220 });
  });
  test('it is a forecast still, whatever the wind, and never weaker', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 100, noNaN: true }), (wind) => {
        const before = steady({ wind, gust: Math.min(150, wind * 1.3), waves: 2 }, 1);
        const worse = oneWorse(before);
        expect(Forecast.safeParse(worse).error).toBeUndefined();
        expect(worse.hours[0].wind).toBeGreaterThanOrEqual(Math.min(100, wind));
        expect(worse.hours[0].gust).toBeGreaterThanOrEqual(worse.hours[0].wind);
      }),
    );
    expect(oneWorse({ ...steady(), hours: [] }).hours).toEqual([]);
  });
});

describe('heard on the radio', () => {
  const now = Date.UTC(2026, 4, 12, 9);
  test('until then as before, from then on the upper end of the force with its gusts; waves are not known any more', () => {
    const after = afterHeard(steady({ waves: 0.4 }), { force: 6, from: now + 2 * HOUR }, now, 'Heard')!;
    expect(Forecast.safeParse(after).error).toBeUndefined();
    const at = (ms: number) => after.hours.find((h) => Date.parse(h.at) === ms)!;
    expect(at(now + HOUR)).toMatchObject({ wind: 4, waves: 0.4 });
    expect(at(now + 2 * HOUR).wind).toBeCloseTo(27 * KNOT, 9);
    expect(at(now + 2 * HOUR).gust).toBeCloseTo(27 * KNOT * 1.4, 9);
    expect(at(now + 2 * HOUR)).not.toHaveProperty('waves');
    expect(at(now + 14 * HOUR).from).toBe(220);
    expect(after.hours.at(-1)!.at).toBe(new Date(now + 14 * HOUR).toISOString());
    // Two hours of the old forecast lie ahead: it is as old as that.
    expect(after.issuedAt).toBe(steady().issuedAt);
    const atOnce = afterHeard(steady(), { force: 6, from: now }, now, 'Heard')!;
    expect(atOnce.issuedAt).toBe(new Date(now).toISOString());
  });
  test('what else was forecast stands for its own hours, and beyond them nothing is known', () => {
    const short = {
      ...steady({ thunder: false }),
      hours: steady({ thunder: false }).hours.filter((h) => Date.parse(h.at) <= now + 3 * HOUR),
    };
    const after = afterHeard(short, { force: 6, from: now }, now, 'Heard')!;
    const at = (hours: number) => after.hours.find((h) => Date.parse(h.at) === now + hours * HOUR)!;
    expect(at(3)).toMatchObject({ thunder: false, visibility: 20_000 });
    expect(Object.keys(at(6)).sort()).toEqual(['at', 'from', 'gust', 'wind']);
  });
  test('where nothing was known a direction is wanted', () => {
    expect(afterHeard(undefined, { force: 5, from: now }, now, 'Heard')).toBeUndefined();
    expect(afterHeard(undefined, { force: 5, from: now, direction: 270 }, now, 'Heard')!.hours[0].from).toBe(
      270,
    );
    expect(afterHeard(steady(), { force: 13, from: now }, now, 'Heard')).toBeUndefined();
  });
});
