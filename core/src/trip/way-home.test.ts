import { describe, expect, test } from '@jest/globals';
import { aPerson, inputOf, NOW, steady } from '../../test/demo';
import { skiff, world } from '../../test/afloat';
import { lineOf } from '../chart';
import { distance, sunAfter } from '../earth';
import type { Forecast, Trip } from '../model';
import { render } from '../say';
import { assess, type AssessInput } from '.';
import { wayHomeSteps, type WayHome } from './way-home';

const MIN = 60_000,
  HOUR = 60 * MIN,
  STEP = 10 * MIN;
const reader = { units: 'metric', zone: 'UTC', locale: 'en-GB' } as const;
const HERE = { lat: 41.25, lon: -29.5 };
/** Noon on the day of this world's trip: three miles north of where she lands, nineteen minutes at five metres a second. */
const NOON = Date.UTC(2026, 4, 12, 12);

const found = (input: AssessInput, here = HERE): WayHome => {
  const steps = wayHomeSteps(input, here, assess(input).schedule);
  let next = steps.next();
  while (!next.done) next = steps.next();
  return next.value;
};
const on = (trip: Partial<Trip> = {}, forecast: Forecast = steady({ wind: 2, gust: 3 }), now = NOON) => {
  const { input } = world(skiff(), [aPerson()], {
    trip: { leave: { date: '2026-05-12', time: '10:00' }, limits: {}, ...trip },
  });
  return { ...input, conditions: { forecast }, now };
};
const seconds = distance(HERE, { lat: 41.2, lon: -29.5 }).metres / 5;

describe('when one must start for home', () => {
  test('started at once, home is the way at her speed', () => {
    const home = found(on());
    expect((home.home! - NOON) / 1000).toBeCloseTo(seconds, 0);
    // Her ramp works from a height of tide that nobody knows here.
    // And nobody knows what runs on a tidal water, so how much light is left is not sure.
    expect(home.already.map((p) => render(p, reader))).toEqual([
      'Tide at the launch is not known',
      'Daylight when you land',
    ]);
  });
  test('daylight is left at home by then, also where nobody knows what runs there: as much as the latest turn keeps', () => {
    const input = on();
    const { by, then } = found(input);
    expect(render(then!.title, reader)).toBe('Little daylight left');
    const sunset = sunAfter(HERE, NOON, 'sunset')!;
    // An hour of it, from there; ten minutes are as fine as it is told.
    expect(sunset - by! - seconds * 1000).toBeGreaterThanOrEqual(3_600_000);
    expect(sunset - by! - seconds * 1000).toBeLessThan(3_600_000 + STEP + 60_000);
  });
  test('before it blows harder than is usual for anybody, where nobody set a limit', () => {
    const calm = steady({ wind: 2, gust: 3 });
    const rising = {
      ...calm,
      hours: calm.hours.map((h) => (h.at >= '2026-05-12T16' ? { ...h, wind: 13 } : h)),
    };
    const { by, then } = found(on({}, rising));
    expect(render(then!.title, reader)).toBe('More wind than is usual for anybody in such a boat');
    expect(by!).toBeLessThan(Date.UTC(2026, 4, 12, 16));
  });
  test('by the hour wanted at home: the last ten minutes that still make it', () => {
    const { by, then } = found(on({ homeBy: '15:00' }));
    const latest = Date.UTC(2026, 4, 12, 15) - seconds * 1000;
    expect(by).toBe(NOON + Math.floor((latest - NOON) / STEP) * STEP);
    expect(render(then!.title, reader)).not.toBe('');
  });
  test('before the wind goes over the limit of whoever goes, and it says so', () => {
    const rises = steady({ wind: 2, gust: 3 });
    const hours = rises.hours.map((h) =>
      Date.parse(h.at) >= NOON + 3 * HOUR ? { ...h, wind: 12, gust: 15 } : h,
    );
    const { by, then } = found(on({ limits: { wind: 8 } }, { ...rises, hours }));
    // Between 14:00 and 15:00 it grows from 2 to 12 m/s: 8 is passed at 14:36.
    expect(by! + seconds * 1000).toBeLessThanOrEqual(NOON + 2.6 * HOUR + MIN);
    expect(by! + STEP + seconds * 1000).toBeGreaterThan(NOON + 2.6 * HOUR - MIN);
    expect([then!.title, ...then!.because].map((p) => render(p, reader)).join(' ')).toMatch(/14:\d\d|wind/i);
  });
  test('by daylight, where nothing else presses', () => {
    const { by } = found(on());
    expect(by).toBeGreaterThan(NOON + 5 * HOUR);
    expect(by).toBeLessThan(NOON + 10 * HOUR);
  });
  test('what stands against starting at once is said, and is no reason to wait', () => {
    const gale = found(on({ limits: { wind: 8 } }, steady({ wind: 12, gust: 15 })));
    expect(gale.already.map((p) => render(p, reader)).join(' ')).toMatch(/wind/i);
  });
  test('what is over later is said with its hour: then waiting is better', () => {
    const eases = steady({ wind: 2, gust: 3 });
    const hours = eases.hours.map((h) =>
      Date.parse(h.at) <= NOON + HOUR ? { ...h, wind: 12, gust: 15 } : h,
    );
    const { better, already } = found(on({ limits: { wind: 8, gust: 20 } }, { ...eases, hours }));
    expect(already.map((p) => render(p, reader)).join(' ')).toMatch(/wind/i);
    // From 12 at one to 2 at two: 8 is passed at 13:24, and the first ten minutes after it are 13:30.
    expect(better!.at).toBe(NOON + 1.5 * HOUR);
    expect(better!.gone.map((p) => render(p, reader)).join(' ')).toMatch(/wind/i);
    expect(found(on()).better).toBeUndefined();
  });
  test('late already for the hour wanted: that is said, not taken for the next day', () => {
    const late = found(on({ homeBy: '11:00' }));
    expect(late.already.length).toBeGreaterThan(0);
  });
  test('round the land by the halts of the plan, and where every way leads over it, that is said', () => {
    const input = on();
    const box = (west: number, east: number) =>
      lineOf([
        { lat: 41.215, lon: west },
        { lat: 41.215, lon: east },
        { lat: 41.235, lon: east },
        { lat: 41.235, lon: west },
      ]);
    const chart = (west: number, east: number) => ({
      source: 'x',
      shore: [{ inside: 'land' as const, rings: [box(west, east)] }],
      depths: [],
    });
    const place = { ...input.shed.places[1], position: { lat: 41.225, lon: -29.45 }, name: 'Round' };
    const shed = (west: number, east: number) => ({
      ...input.shed,
      places: [input.shed.places[0], place],
      waters: input.shed.waters.map((w) => ({ ...w, chart: chart(west, east) })),
    });
    expect(found({ ...input, shed: shed(-29.51, -29.49) })).toMatchObject({
      byWay: ['Round'],
      overLand: false,
    });
    expect(found({ ...input, shed: shed(-29.6, -29.4) })).toMatchObject({ overLand: true });
    expect(found(input)).toMatchObject({ byWay: [], overLand: false });
  });
  test('without a place to come back to there is no hour', () => {
    const input = on({ launch: undefined });
    expect(found(input)).toMatchObject({ already: [], byWay: [] });
    expect(found(input).home).toBeUndefined();
  });
  test('how long one may be out is told from when one left; what was aboard then is not asked', () => {
    // Left at ten, four hours: home at two, which is to start at 13:40.
    const { by, then } = found(on({ limits: { hours: 4 * 3600 }, fuel: 0.0001 }));
    expect(by).toBe(NOON + Math.floor((2 * HOUR - seconds * 1000) / STEP) * STEP);
    expect(render(then!.title, reader)).toMatch(/longer than you set/);
    expect(
      found(on({ fuel: 0.0001 }))
        .already.map((p) => render(p, reader))
        .join(' '),
    ).not.toMatch(/fuel/i);
  });
  test('a forecast that names no point stands for where one left', () => {
    const cape = { lat: 41.24, lon: -29.5 };
    const gale = steady({ wind: 12, gust: 14 }).hours;
    const forecast = {
      ...steady({ wind: 2, gust: 3 }),
      points: [{ name: 'Cape', position: cape, hours: gale }],
    };
    const { already } = found(on({ limits: { wind: 8 } }, forecast));
    expect(already.map((p) => render(p, reader)).join(' ')).toMatch(/wind/i);
  });
  test('without a speed there are no hours, and nothing is called clear', () => {
    const input = on();
    const boats = input.shed.boats.map((boat) => ({ ...boat, propulsion: [{ kind: 'outboard' as const }] }));
    expect(found({ ...input, shed: { ...input.shed, boats } }).home).toBeUndefined();
  });
  test('the demo, from its fishing ground: by daylight, and home within it', () => {
    const input = { ...inputOf(0, { trip: { homeBy: undefined } }), now: NOW + 20 * HOUR };
    const home = found(input, { lat: 41.21, lon: -29.52 });
    expect(home.home!).toBeGreaterThan(input.now);
    expect(home.by!).toBeGreaterThan(input.now);
    expect(home.by!).toBeLessThan(home.until);
  });
});
