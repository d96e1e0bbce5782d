import { describe, expect, test } from '@jest/globals';
import { Forecast } from '@escale/core/model';
import { simulatedClock } from '../clock';
import { stableJson } from '../stable-json';
import { simulatedWeather } from './weather';

const H = 3_600_000,
  there = { lat: 41.2, lon: -29.5 },
  NOW = Date.UTC(2026, 4, 11, 15);

describe('the stand-in for weather', () => {
  const ask = (seed: number, now = NOW, from = NOW, until = NOW + 48 * H) =>
    simulatedWeather(seed).forecast(there, from, until, now);
  test('the same for the same seed, another for another; valid by the schema of a real one', async () => {
    expect(await ask(7)).toEqual(await ask(7));
    expect(await ask(7)).not.toEqual(await ask(8));
    expect(Forecast.safeParse(await ask(7)).error).toBeUndefined();
  });
  test('issued every six hours, reaching ten days ahead and no further', async () => {
    expect((await ask(7))?.issuedAt).toBe('2026-05-11T12:00:00.000Z');
    expect(await ask(7, NOW, NOW + 11 * 24 * H, NOW + 12 * 24 * H)).toBeUndefined();
    const edge = await ask(7, NOW, NOW + 9 * 24 * H, NOW + 12 * 24 * H);
    expect(Date.parse(edge!.hours.at(-1)!.at)).toBeLessThanOrEqual(Date.UTC(2026, 4, 11, 12) + 10 * 24 * H);
  });
  test('weather of this world: gusts above the wind, water that follows the season, no jumps from hour to hour', async () => {
    const winter = await ask(7, Date.UTC(2026, 1, 10), Date.UTC(2026, 1, 10), Date.UTC(2026, 1, 12)),
      summer = await ask(7, Date.UTC(2026, 7, 20), Date.UTC(2026, 7, 20), Date.UTC(2026, 7, 22));
    for (const { hours } of [winter!, summer!])
      hours.forEach((h, i) => {
        expect(h.gust).toBeGreaterThanOrEqual(h.wind);
        if (i > 0) expect(Math.abs(h.wind - hours[i - 1].wind)).toBeLessThan(2.5);
      });
    expect(summer!.hours[0].water!).toBeGreaterThan(winter!.hours[0].water! + 3);
  });
});

test('a simulated clock stands or runs, and can be set', async () => {
  const still = simulatedClock(NOW, false),
    running = simulatedClock(NOW, true);
  await new Promise((done) => setTimeout(done, 15));
  expect(still.now()).toBe(NOW);
  expect(running.now()).toBeGreaterThan(NOW);
  still.set?.(5);
  expect(still.now()).toBe(5);
});

test('JSON with sorted keys, all the way down; lists keep their order', () =>
  expect(stableJson({ b: [{ d: 1, c: 2 }], a: null })).toBe('{"a":null,"b":[{"c":2,"d":1}]}'));
