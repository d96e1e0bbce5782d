import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { check } from '../../test/check';
import { NAUTICAL_MILE, KNOT } from '../units';
import type { Place } from '../model';
import { inputOf } from '../../test/demo';
import { assess } from '../trip';
import {
  landingsFrom,
  manyCheckIns,
  plannedPosition,
  readyTasks,
  routeOf,
  isStuck,
  scheduleOf,
  type Route,
  turnTime,
  upAt,
  REST_FACTOR,
  type ReadyRow,
} from '.';

const MIN = 60_000,
  HOUR = 60 * MIN;
/** Ten nautical miles along a meridian near 45°, where a minute of latitude is 1 852 m within a metre. */
const points = [
  { id: 'a', position: { lat: 45, lon: 0 }, minutes: 0 },
  { id: 'b', position: { lat: 45 + 10 / 60, lon: 0 }, minutes: 30, doing: 'fish' },
  { id: 'a', position: { lat: 45, lon: 0 }, minutes: 0 },
];

/** A route on the clock that nothing holds up. */
const clocked = (...[route, leave, every]: [Route, number, number?]) => {
  const timed = scheduleOf(route, leave, every);
  if (isStuck(timed)) throw new Error('stuck');
  return timed;
};

describe('route', () => {
  check(
    'recalled',
    'paddle-pace',
    'ten miles at three knots with ten minutes of rest an hour take 3.89 h',
    () => {
      const route = routeOf(points, 3 * KNOT, REST_FACTOR);
      expect(route.legs[0].metres / NAUTICAL_MILE).toBeCloseTo(10, 1);
      expect(route.legs[0].seconds / 3600).toBeCloseTo(3.89, 1);
    },
  );
  for (const [e, o, h, t] of [
    [4, 3.5, 2.5, 1.667],
    [6, 4, 2, 2],
  ] as const)
    check('closed form', 'turn-time', `E ${e}, out ${o}, home ${h}: turn after ${t}`, () =>
      expect(turnTime(e, o, h)).toBeCloseTo(t, 3),
    );
  test('time out and time home fill the time there is', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 12, noNaN: true }),
        fc.double({ min: 0.5, max: 8, noNaN: true }),
        fc.double({ min: 0.5, max: 8, noNaN: true }),
        (e, o, h) => {
          const out = turnTime(e, o, h);
          expect(out + (out * o) / h).toBeCloseTo(e, 9);
        },
      ),
    );
  });
  test('the clock runs on through legs and halts', () => {
    const route = routeOf(points, 5 * KNOT, 1);
    const s = clocked(route, 1_000_000_000_000, 60);
    expect(s.legs[0].departs).toBe(s.leave);
    expect(s.halts).toEqual([
      { place: 'b', from: s.legs[0].arrives, until: s.legs[0].arrives + 30 * MIN, doing: 'fish' },
    ]);
    expect(s.turnBack).toBe(s.halts[0].until);
    expect(s.home).toBe(s.legs[1].arrives);
    expect(s.home! - s.leave).toBeCloseTo(route.seconds * 1000, -1);
    expect(s.checkIns).toEqual([1, 2, 3, 4].map((n) => s.leave + n * HOUR));
    expect(clocked(route, 0, 0).checkIns).toEqual([]);
  });
});

describe('ready', () => {
  const rows: ReadyRow[] = [
    {
      id: 'inflate-night',
      title: 'i',
      group: 'before',
      minutes: 30,
      days: 2,
      at: '18:00',
      needs: ['inflate'],
    },
    { id: 'charge', title: 'c', group: 'evening', minutes: 15, at: '19:30' },
    { id: 'pack', title: 'p', group: 'evening', minutes: 30, at: '19:30' },
    { id: 'eat', title: 'e', group: 'morning', minutes: 30 },
    { id: 'car', title: 'l', group: 'morning', minutes: 20 },
    { id: 'rig', title: 'r', group: 'launch', minutes: 25 },
    { id: 'go', title: 'g', group: 'launch', minutes: 10 },
  ];
  const leave = Date.UTC(2026, 4, 12, 6, 10);
  const at = (tasks: ReturnType<typeof readyTasks>, id: string) => tasks.find((t) => t.id === id)?.starts;
  test('backwards from leaving: launch, drive, morning', () => {
    const tasks = readyTasks(rows, leave, 'UTC', { has: new Set(), driveMinutes: 35 });
    expect(at(tasks, 'go')).toBe(leave - 10 * MIN);
    expect(at(tasks, 'rig')).toBe(leave - 35 * MIN);
    expect(at(tasks, 'drive')).toBe(leave - 70 * MIN);
    expect(upAt(tasks)).toBe(leave - (70 + 20 + 30) * MIN);
    expect(at(tasks, 'pack')).toBe(Date.UTC(2026, 4, 11, 19, 45));
    expect(at(tasks, 'inflate-night')).toBeUndefined();
  });
  test('the evening is the last one that is over before the morning begins', () => {
    const evening = (hour: number, minute: number, drive: number) => {
      const tasks = readyTasks(rows, Date.UTC(2026, 4, 12, hour, minute), 'UTC', {
        has: new Set(),
        driveMinutes: drive,
      });
      return [
        new Date(at(tasks, 'charge')!).toISOString().slice(0, 10),
        upAt(tasks)! >= at(tasks, 'pack')! + 30 * MIN,
      ];
    };
    // At midnight and forty the same evening serves; with a long drive the one before; by day the one before as well.
    expect(evening(0, 40, 35)).toEqual(['2026-05-11', true]);
    expect(evening(0, 10, 180)).toEqual(['2026-05-10', true]);
    expect(evening(22, 0, 0)).toEqual(['2026-05-12', true]);
    expect(evening(21, 0, 35)).toEqual(['2026-05-11', true]);
    expect(evening(6, 10, 35)).toEqual(['2026-05-11', true]);
  });
  test('what the trip has brings its tasks; without a drive the morning can’t be placed', () => {
    const tasks = readyTasks(rows, leave, 'UTC', { has: new Set(['inflate']) });
    expect(at(tasks, 'inflate-night')).toBe(Date.UTC(2026, 4, 10, 18));
    expect(upAt(tasks)).toBeUndefined();
  });
  test('tasks of one morning never overlap, whatever the leave and the drive', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: Date.UTC(2026, 0, 1), max: Date.UTC(2027, 0, 1) }),
        fc.integer({ min: 0, max: 300 }),
        (when, drive) => {
          const tasks = readyTasks(rows, when, 'America/New_York', {
            has: new Set(),
            driveMinutes: drive,
          }).filter((t) => t.group === 'morning' || t.group === 'launch');
          tasks.slice(1).forEach((t, i) => expect(t.starts).toBe(tasks[i].ends));
          expect(tasks.at(-1)?.ends).toBe(when);
        },
      ),
    );
  });
});

describe('havens', () => {
  const place = (id: string, kind: Place['kind'], lat: number): Place => ({
    id,
    name: id,
    kind,
    position: { lat, lon: 0 },
  });
  const places = [place('a', 'launch', 45), place('b', 'haven', 45 + 10 / 60), place('x', 'hazard', 45.01)];
  const schedule = clocked(routeOf(points, 5 * KNOT, 1), 0);
  test('half way along a leg the plan has the boat half way', () => {
    const half = plannedPosition(schedule, 'a', places, schedule.legs[0].arrives / 2)!;
    expect(half.lat).toBeCloseTo(45 + 5 / 60, 4);
    expect(plannedPosition(schedule, 'a', places, -1)).toEqual(places[0].position);
    expect(plannedPosition(schedule, 'a', places, schedule.halts[0].from + 1)).toEqual(places[1].position);
    expect(plannedPosition(schedule, 'gone', [], 5)).toBeUndefined();
  });
  const here = { lat: 45 + 2 / 60, lon: 0 };
  const found = (places_: Place[], more: Partial<Parameters<typeof landingsFrom>[2]> = {}) =>
    landingsFrom(here, places_, { now: 0, ...more }).map((l) => l.place.id);
  test('landings nearest first; a hazard is none', () => {
    const list = landingsFrom(here, places, { speed: 1, now: 0 });
    expect(list.map((l) => l.place.id)).toEqual(['a', 'b']);
    expect(list[0].seconds).toBeCloseTo(list[0].metres, 6);
    expect(list[0].bearing).toBeCloseTo(180, 6);
  });
  test('places of another water, cliffs and rocks, and ramps that are dry then do not count', () => {
    const far = { ...place('far', 'haven', 45.5), shore: 'beach' as const, water: 'w' };
    const near = { ...place('near', 'haven', 45.04), shore: 'beach' as const };
    expect(found([far, { ...near, water: 'other' }], { water: 'w' })).toEqual(['far']);
    for (const shore of ['rocks', 'cliff'] as const)
      expect(found([far, { ...near, water: 'w', shore }], { water: 'w' })).toEqual(['far']);
    const ramp = { ...place('ramp', 'launch', 45.04), water: 'w', launchFrom: 'ramp' as const, works: 1 };
    const tide = (height: number) => ({ water: 'w', speed: 1, tideAt: () => height });
    expect(found([far, ramp], tide(0.9))).toEqual(['far']);
    expect(found([far, ramp], tide(1))).toEqual(['ramp', 'far']);
  });
  test('the tide is asked for the hour of arriving', () => {
    const ramp = { ...place('ramp', 'launch', 45.04), water: 'w', launchFrom: 'ramp' as const, works: 1 };
    const asked: number[] = [];
    landingsFrom(here, [ramp], {
      now: 1000,
      speed: 1,
      water: 'w',
      tideAt: (at) => {
        asked.push(at);
        return 2;
      },
    });
    expect(asked[0]).toBeCloseTo(1000 + (45.04 - here.lat) * 60 * NAUTICAL_MILE * 1000, -5);
  });
  test('what is not known about a shore is said, and stands behind what is', () => {
    const sure = { ...place('sure', 'haven', 45.4), shore: 'harbour' as const, water: 'w' };
    const unsure = { ...place('unsure', 'haven', 45.04), water: 'w' };
    const list = landingsFrom(here, [unsure, sure], { now: 0, water: 'w' });
    expect(list.map((l) => [l.place.id, l.doubts.length])).toEqual([
      ['sure', 0],
      ['unsure', 1],
    ]);
    expect(
      landingsFrom(here, [{ ...unsure, launchFrom: 'ramp', works: 1 }], { now: 0, water: 'w' })[0].doubts.map(
        (d) => d.say,
      ),
    ).toEqual(['landing.tide']);
  });
});

describe('bounds', () => {
  const legs = (speed: number) => routeOf(points, speed, 1);
  test('check-ins are at most two hundred; beyond that the fewest minutes between them are told', () => {
    const route = legs(3 * KNOT);
    const minutes = route.seconds / 60;
    expect(clocked(route, 0, Math.ceil(minutes / 200)).checkIns.length).toBeGreaterThan(100);
    expect(manyCheckIns(route.seconds, 1)).toEqual({ most: 200, every: Math.ceil(minutes / 200) });
    expect(clocked(route, 0, 1).checkIns).toEqual([]);
    expect(manyCheckIns(route.seconds, Math.ceil(minutes / 200))).toBeUndefined();
    expect(manyCheckIns(route.seconds)).toBeUndefined();
  });
  test('thirty halts between antipodes at a crawl have no time home, and are told so', () => {
    const input = inputOf();
    const far = (lat: number, lon: number) => ({
      ...input.shed.places[0],
      id: `${lat}`,
      position: { lat, lon },
    });
    const ends = [far(40, 0), far(-40, 179.9)];
    const { schedule, findings } = assess({
      ...input,
      shed: { ...input.shed, places: [...input.shed.places, ...ends] },
      trip: {
        ...input.trip,
        speed: 0.1,
        checkInMinutes: 1,
        halts: Array.from({ length: 30 }, (_, i) => ({ place: ends[i % 2].id, minutes: 5 })),
      },
    });
    expect(schedule?.home).toBeUndefined();
    expect(findings.map((f) => f.id.split('/').slice(0, 2).join('/'))).toEqual(
      expect.arrayContaining(['day/long', 'day/check-ins']),
    );
  });
});
