import { describe, expect, test } from '@jest/globals';
import { inputOf, NOW, steady } from '../../test/demo';
import type { Forecast } from '../model';
import { render } from '../say';
import { assess } from '../trip';
import { afterHeard, conditionsAt, nearestOf, oneWorse, sortForecast, weatherAt, worstWithin } from '.';

const HOUR = 3_600_000;
const reader = { units: 'metric', zone: 'UTC', locale: 'en-GB' } as const;
const MAIN = { lat: 41.2, lon: -29.5 },
  CAPE = { lat: 41.3, lon: -29.5 };
const hours = (wind: number, more: object = {}) => steady({ wind, gust: wind + 2, ...more }).hours;
const bare = (wind: number) => hours(wind).map(({ at, gust, from }) => ({ at, wind, gust, from }));
const forecast = (points: Forecast['points'], more: Partial<Forecast> = {}): Forecast => ({
  ...steady(),
  position: MAIN,
  points,
  ...more,
});
const cape = (wind = 9): NonNullable<Forecast['points']>[number] => ({
  name: 'The cape',
  position: CAPE,
  hours: bare(wind),
});

describe('a forecast at several points', () => {
  const sorted = sortForecast(forecast([cape()]))!;
  test('the nearest stands for where one is; what it does not tell, that of the water does', () => {
    expect(weatherAt(sorted, NOW, MAIN)).toMatchObject({ wind: 4, water: 13.4 });
    expect(weatherAt(sorted, NOW, CAPE)).toMatchObject({ wind: 9, water: 13.4, visibility: 20_000 });
    expect(weatherAt(sorted, NOW, { lat: 41.251, lon: -29.5 })?.wind).toBe(9);
    expect(weatherAt(sorted, NOW, { lat: 41.249, lon: -29.5 })?.wind).toBe(4);
    expect(weatherAt(sorted, NOW)?.wind).toBe(4);
  });
  test('nearest across the date line', () => {
    const two = sortForecast(
      forecast([{ name: 'East', position: { lat: -17, lon: -179.9 }, hours: bare(7) }], {
        position: { lat: -17, lon: 178 },
      }),
    )!;
    expect(nearestOf(two, { lat: -17, lon: 179.9 }).name).toBe('East');
  });
  test('outside the hours of a point that of the water stands', () => {
    const short = { ...cape(), hours: bare(9).slice(0, 2) };
    expect(weatherAt(sortForecast(forecast([short]))!, NOW, CAPE)?.wind).toBe(4);
  });
  test('the worst of all of them counts, and a span is known only where each that tells it tells all of it', () => {
    const worst = worstWithin(sorted, NOW, NOW + 4 * HOUR)!;
    expect([worst.wind.wind, worst.wind.point, worst.whole.wind, worst.whole.water]).toEqual([
      9,
      'The cape',
      true,
      true,
    ]);
    const short = sortForecast(forecast([{ ...cape(), hours: bare(9).slice(0, 80) }]))!;
    expect(worstWithin(short, NOW, NOW + 12 * HOUR)!.whole.wind).toBe(false);
    const calm = worstWithin(sortForecast(forecast([cape(1)]))!, NOW, NOW + HOUR)!;
    expect([calm.wind.wind, calm.wind.point]).toEqual([4, undefined]);
  });
  test('one worse is worse at each; what is heard holds for all of the water', () => {
    const worse = oneWorse(forecast([cape()]));
    expect(worse.points![0].hours[0].wind).toBeGreaterThan(10);
    const heard = afterHeard(forecast([cape()]), { force: 6, from: NOW }, NOW, 'radio')!;
    const after = sortForecast(heard)!;
    expect(weatherAt(after, NOW + HOUR, CAPE)?.wind).toBe(weatherAt(after, NOW + HOUR, MAIN)?.wind);
    expect(weatherAt(after, NOW - HOUR, CAPE)?.wind).toBe(9);
  });
  test('conditions name the point they are told for by its distance', () => {
    const at = conditionsAt({ water: { forecastAt: MAIN }, forecast: sorted })(CAPE, NOW);
    expect(at.wind?.value.speed).toBe(9);
    expect(render(at.wind!.assumed[0], reader)).toMatch(/\b0 m\b|here/i);
  });
});

describe('in a trip', () => {
  const of = (points: Forecast['points'], limits = { wind: 8 }) =>
    assess(inputOf(0, { forecast: forecast(points), trip: { limits } }));
  test('a wind over the limit at the cape is a Stop, and it says where', () => {
    const stop = of([cape()]).findings.find(({ id }) => id.startsWith('day/wind/'))!;
    expect([stop.level, stop.because.map((p) => render(p, reader)).join(' ')]).toEqual([
      'stop',
      expect.stringMatching(/That is forecast for The cape\./),
    ]);
    expect(of([cape(5)]).findings.some(({ id }) => id.startsWith('day/wind/'))).toBe(false);
  });
  test('it is turned before it blows at any of them', () => {
    const rises = bare(4).map((h) => (Date.parse(h.at) > Date.UTC(2026, 4, 12, 12) ? { ...h, wind: 12 } : h));
    const there = of([{ ...cape(), hours: rises }]).schedule!;
    // From 4 at noon to 12 at one: 8 at half past twelve.
    expect(there.latestTurn! + (there.home! - there.turnBack!)).toBe(Date.UTC(2026, 4, 12, 12, 30));
  });
  test('who paddles is slowed by the wind of where they are', () => {
    const far = (wind: number) =>
      of([{ ...cape(), position: { lat: 41.178, lon: -29.44 }, hours: bare(wind) }], { wind: 20 });
    expect(far(10).schedule!.home).toBeGreaterThan(far(4).schedule!.home!);
  });
});
