import { describe, expect, test } from '@jest/globals';
import { stations } from '@neaps/tide-database';
import { createTidePredictor } from '@neaps/tide-predictor';
import fc from 'fast-check';
import { check } from '../../test/check';
import { inputOf, steady } from '../../test/demo';
import type { Finding, StreamStation, Water } from '../model';
import { render } from '../say';
import { assess } from '../trip';
import { conditionsAt, sortForecast, streamOf, tideOf, type Flow } from '../water';
import { ground, isStuck, REST_FACTOR, routeOf, scheduleOf } from '.';

const HOUR = 3_600_000,
  MIN = 60_000,
  AT = Date.UTC(2026, 4, 12);
const iso = (ms: number) => new Date(ms).toISOString();
const reader = { units: 'metric', zone: 'UTC', locale: 'en-GB' } as const;
const said = ({ title, because, assumed }: Finding) =>
  [title, ...because, ...assumed].map((p) => render(p, reader)).join(' ');
const water = (stream: StreamStation, more: Partial<Water> = {}): Water => ({
  id: 'w',
  name: 'W',
  class: 'coastal',
  jurisdiction: [],
  zone: 'UTC',
  stream,
  ...more,
});

describe('the triangle of speeds', () => {
  check('recalled', { title: 'worked examples of handbooks of navigation' }, 'five of them, in knots', () => {
    // Course, speed; towards, stream; to steer, made good.
    const rows: [number, number, number, number, number, number][] = [
      [90, 3, 180, 1, 70.5, 2.83],
      [0, 3, 90, 1.5, 330, 2.6],
      [90, 3, 225, 1, 76.4, 2.21],
      [45, 4, 225, 1, 45, 3],
    ];
    for (const [course, speed, direction, stream, steer, made] of rows) {
      const found = ground(speed, course, { speed: stream, direction })!;
      expect(Math.abs(found.steer - steer)).toBeLessThan(0.06);
      expect(Math.abs(found.speed - made)).toBeLessThan(0.006);
    }
  });
  check(
    'recalled',
    { title: 'ferry angles across a river: 3 knots against 1, 1½, 2, 2½' },
    'across it',
    () => {
      for (const [stream, angle, made] of [
        [1, 19.5, 2.83],
        [1.5, 30, 2.6],
        [2, 41.8, 2.24],
        [2.5, 56, 1.66],
      ]) {
        const found = ground(3, 90, { speed: stream, direction: 180 })!;
        expect(Math.abs(90 - found.steer - angle)).toBeLessThan(0.5);
        expect(Math.abs(found.speed - made)).toBeLessThan(0.006);
      }
      expect(ground(3, 90, { speed: 3, direction: 180 })).toBeUndefined();
    },
  );
  check('closed form', 'triangle', 'steered so, her speed and the stream add up to the course', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 5, noNaN: true }),
        fc.double({ min: 0, max: 360, noNaN: true }),
        fc.double({ min: 0, max: 4, noNaN: true }),
        fc.double({ min: 0, max: 360, noNaN: true }),
        (v, course, u, set) => {
          const found = ground(v, course, { speed: u, direction: set });
          if (!found) return;
          const rad = (d: number) => (d * Math.PI) / 180;
          const east = v * Math.sin(rad(found.steer)) + u * Math.sin(rad(set)),
            north = v * Math.cos(rad(found.steer)) + u * Math.cos(rad(set));
          expect(east).toBeCloseTo(found.speed * Math.sin(rad(course)), 9);
          expect(north).toBeCloseTo(found.speed * Math.cos(rad(course)), 9);
        },
      ),
    );
  });
});

describe('streams', () => {
  const turns = streamOf(
    water({
      kind: 'turns',
      name: 'T',
      flood: 45,
      ebb: 230,
      rows: [
        { at: iso(AT), speed: 0 },
        { at: iso(AT + 3 * HOUR), speed: 1.5 },
        { at: iso(AT + 6 * HOUR), speed: 0 },
        { at: iso(AT + 9 * HOUR), speed: -1.2 },
        { at: iso(AT + 15 * HOUR), speed: 0.8 },
      ],
    }),
    undefined,
  )!;
  check(
    'closed form',
    'stream-turns',
    'v = v_max·sin(½π·t/T): 0.75 and 1.30 m/s one and two hours after slack',
    () => {
      expect(turns.at(AT + HOUR)).toEqual({ speed: expect.closeTo(0.75, 9), direction: 45 });
      expect(turns.at(AT + 2 * HOUR)!.speed).toBeCloseTo(1.5 * Math.sin(Math.PI / 3), 9);
      expect(turns.at(AT + 7 * HOUR)).toEqual({ speed: expect.closeTo(0.6, 9), direction: 230 });
    },
  );
  check(
    'recalled',
    { title: 'the rule of 50 and 90' },
    'half after one hour, nine tenths after two, within four hundredths',
    () => {
      const share = (hours: number) => turns.at(AT + hours * HOUR)!.speed / 1.5;
      [0.5, 0.9, 1, 0.9, 0.5].forEach((told, i) => expect(Math.abs(share(i + 1) - told)).toBeLessThan(0.04));
    },
  );
  test('between two rows with one missing, before the first and after the last, nothing is known', () => {
    for (const hour of [-1, 10, 12, 16]) expect(turns.at(AT + hour * HOUR)).toBeUndefined();
  });

  const tide = tideOf({
    kind: 'table',
    name: 'T',
    datum: 'chart datum',
    rows: [
      { at: iso(AT - 6 * HOUR), height: 0, turn: 'low' },
      { at: iso(AT), height: 4, turn: 'high' },
      { at: iso(AT + 6 * HOUR), height: 1, turn: 'low' },
    ],
  });
  const rows = Array.from({ length: 7 }, (_, i) => ({ hour: i - 3, direction: 90, springs: 2, neaps: 1 }));
  const hours = (more: Partial<StreamStation> = {}) =>
    streamOf(water({ kind: 'hours', name: 'H', rows, ...more } as StreamStation), tide)!;
  test('by hours after high water: at springs, at neaps, between them by the range', () => {
    const at = (ranges: object) => hours(ranges).at(AT + HOUR / 2)!.speed;
    expect(at({})).toBeCloseTo(2, 9);
    // Four metres over a mean of half a metre: a range of three and a half.
    expect(at({ springRange: 4, neapRange: 2 })).toBeCloseTo(1.75, 9);
    expect(at({ springRange: 6, neapRange: 2 })).toBeCloseTo(1.375, 9);
    expect(at({ springRange: 6, neapRange: 4.5 })).toBeCloseTo(1, 9);
  });
  test('an hour without a row, and one without a high water near, is not known', () => {
    expect(hours().at(AT + 3.5 * HOUR)).toBeUndefined();
    expect(hours().at(AT + 30 * HOUR)).toBeUndefined();
    expect(streamOf(water({ kind: 'hours', name: 'H', rows }), undefined)!.at(AT)).toBeUndefined();
  });
  test('between a row to the north and one to the east it goes to the north-east, slower', () => {
    const turning = streamOf(
      water({
        kind: 'hours',
        name: 'H',
        rows: [
          { hour: 0, direction: 0, springs: 1 },
          { hour: 1, direction: 90, springs: 1 },
        ],
      }),
      tide,
    )!.at(AT + HOUR / 2)!;
    expect(turning.direction).toBeCloseTo(45, 6);
    expect(turning.speed).toBeCloseTo(Math.SQRT1_2, 6);
  });
  check(
    'run here',
    { title: 'heights of @neaps/tide-predictor for constants of real current stations' },
    'by constants: as the library adds them up, at eight stations over ten days',
    () => {
      const real = stations.filter((s) => s.kind === 'current' && s.harmonic_constituents.length > 8);
      for (let i = 0; i < real.length; i += Math.ceil(real.length / 8)) {
        const constituents = real[i].harmonic_constituents
          .filter(({ name }) => name !== 'M1')
          .map(({ name, amplitude, phase }) => ({ name, amplitude, phase }));
        const stream = streamOf(
          water({ kind: 'constants', name: real[i].name, flood: 10, ebb: 190, mean: 0.1, constituents }),
          undefined,
        )!;
        const theirs = createTidePredictor(constituents, { nodeCorrections: 'schureman', offset: 0.1 });
        const points = theirs.getTimelinePrediction({
          start: new Date(AT),
          end: new Date(AT + 240 * HOUR),
          timeFidelity: 3600,
        });
        for (const { time, level } of points) {
          const flow = stream.at(time.getTime())!;
          expect(Math.abs((flow.direction === 10 ? 1 : -1) * flow.speed - level)).toBeLessThan(0.006);
        }
      }
    },
  );
  test('a river of which the speed was only guessed is no stream', () => {
    const guess = water({} as StreamStation, {
      stage: { speed: 1, downstream: 120 },
      basis: { '/stage/speed': 'guessed' },
    });
    delete (guess as { stream?: unknown }).stream;
    expect(streamOf(guess, undefined)).toBeUndefined();
  });
  test('a river runs as it was seen, and a stream is one of the conditions', () => {
    const river = water({} as StreamStation, { stage: { speed: 1, downstream: 120 } });
    delete (river as { stream?: unknown }).stream;
    const stream = streamOf(river, undefined)!;
    expect(stream.at(AT)).toEqual({ speed: 1, direction: 120 });
    const known = conditionsAt({ stream, forecast: sortForecast(steady())! })({ lat: 50, lon: -5 }, AT);
    expect(known.stream?.value).toEqual({ speed: 1, direction: 120 });
    expect(known.lacks.map((p) => render(p, reader))).not.toContain('stream');
  });
});

describe('a route in a stream', () => {
  const there = { lat: 50, lon: -5 },
    east = { lat: 50, lon: -4.9 };
  const route = (speed: number, rest = 1) =>
    routeOf(
      [
        { id: 'a', position: there, minutes: 0 },
        { id: 'b', position: east, minutes: 0 },
        { id: 'a', position: there, minutes: 0 },
      ],
      speed,
      rest,
    );
  const timed = (speed: number, flow: Flow | undefined, rest = 1) => {
    const s = scheduleOf(route(speed, rest), AT, undefined, { streamAt: () => flow });
    return isStuck(s) ? undefined : s.legs.map(({ departs, arrives }) => (arrives - departs) / MIN);
  };
  const metres = route(1).legs[0].metres;
  check('closed form', 'triangle', 'with it and against it: L/(v + u) and L/(v − u)', () => {
    const [out, back] = timed(2, { speed: 0.5, direction: 90 })!;
    expect(out).toBeCloseTo(metres / 2.5 / 60, 2);
    expect(back).toBeCloseTo(metres / 1.5 / 60, 2);
  });
  check('closed form', 'triangle', 'while one rests it takes one along or back: L·r/(v ± r·u)', () => {
    const [out, back] = timed(2, { speed: 0.5, direction: 90 }, REST_FACTOR)!;
    expect(out).toBeCloseTo((metres * REST_FACTOR) / (2 + REST_FACTOR * 0.5) / 60, 2);
    expect(back).toBeCloseTo((metres * REST_FACTOR) / (2 - REST_FACTOR * 0.5) / 60, 2);
  });
  test('still or unknown water is as before; faster than she goes, no hours are told', () => {
    const still = route(2).legs[0].seconds / 60;
    expect(timed(2, undefined)![0]).toBeCloseTo(still, 2);
    expect(timed(2, { speed: 0, direction: 77 })![0]).toBeCloseTo(still, 2);
    expect(timed(1, { speed: 1.2, direction: 270 })).toBeUndefined();
    // While resting she loses what she won.
    expect(timed(1, { speed: 0.95, direction: 270 }, REST_FACTOR)).toBeUndefined();
  });
});

describe('in the whole of a trip', () => {
  const input = (stream: StreamStation | undefined, more: Partial<Water> = {}, forecast = steady()) => {
    const base = inputOf(0, { forecast });
    const waters = base.shed.waters.map((w) => ({ ...w, ...(stream ? { stream } : {}), ...more }));
    return { ...base, shed: { ...base.shed, waters } };
  };
  const found = (i: ReturnType<typeof input>, id: string) =>
    assess(i).findings.find((f) => f.id.startsWith(`${id}/`));
  const always = (speed: number, direction: number): StreamStation => ({
    kind: 'hours',
    name: 'The narrows',
    rows: Array.from({ length: 15 }, (_, i) => ({ hour: i - 7, direction, springs: speed })),
  });
  test('of tidal water without a stream that is said; with one the hours follow it', () => {
    expect(found(input(undefined), 'day/stream')).toMatchObject({ level: 'know', open: true });
    const still = assess(input(undefined)).schedule!,
      with_ = assess(input(always(0.5, 115))).schedule!;
    expect(found(input(always(0.5, 115)), 'day/stream')).toBeUndefined();
    expect(with_.legs[0].arrives).toBeLessThan(still.legs[0].arrives);
    expect(with_.home!).toBeGreaterThan(still.home!);
  });
  test('of a station that lies on another water the hours are told, and that they lean on it', () => {
    const far: StreamStation = {
      kind: 'constants',
      name: 'Elsewhere',
      flood: 115,
      ebb: 295,
      mean: 0.2,
      constituents: [{ name: 'M2', amplitude: 0.1, phase: 0 }],
      station: { id: 'x', where: 'far', position: { lat: 41.2, lon: -29 }, source: 'x' },
    };
    expect(said(found(input(far), 'day/stream')!)).toContain('22.');
    const near = { ...far, station: { ...far.station!, position: { lat: 41.2, lon: -29.48 } } };
    expect(found(input(near), 'day/stream')).toBeUndefined();
  });
  test('a stream faster than she goes gives no hours, and a finding that says where and when', () => {
    const a = assess(input(always(2.5, 115)));
    expect(a.schedule).toBeUndefined();
    const stuck = a.findings.find((f) => f.id.startsWith('way/stuck/'))!;
    // The kayak’s speed is only guessed in the demo: where it is said, it stops.
    expect([stuck.level, stuck.open]).toEqual(['fix', true]);
    const told = input(always(2.5, 115));
    const sure = assess({ ...told, trip: { ...told.trip, speed: 1.5 } });
    expect(sure.findings.find((f) => f.id.startsWith('way/stuck/'))!.level).toBe('stop');
    expect(said(stuck)).toMatch(/From Tern Holm to Gannow ramp at .* it runs 4\.9 kn towards 115°/);
  });
  test('wind against it: not in a light air, more the faster it runs; with it, nothing', () => {
    const level = (speed: number, from: number, wind = 7) =>
      found(input(always(speed, 115), {}, steady({ wind, gust: wind + 2, from })), 'sea/against')?.level;
    expect([level(0.4, 115), level(1, 115)]).toEqual(['know', 'fix']);
    expect([level(0.7, 295), level(0.7, 115, 3), level(0.1, 115)]).toEqual([undefined, undefined, undefined]);
  });
  test('a river: nobody said how it stands, from another day, rising', () => {
    const river = (stage?: Water['stage']) =>
      found(input(undefined, { class: 'river', ...(stage ? { stage } : {}) }), 'day/river')?.level;
    expect(river()).toBe('know');
    expect(river({ trend: 'steady', on: '2026-05-11' })).toBeUndefined();
    expect(river({ trend: 'steady', on: '2026-05-08' })).toBe('know');
    expect(river({ trend: 'rising', on: '2026-05-11' })).toBe('fix');
  });
});

describe('turning back before it blows', () => {
  const rising = (invented = false) => {
    const base = steady();
    const hours = base.hours.map((h) => ({
      ...h,
      wind: Date.parse(h.at) > Date.UTC(2026, 4, 12, 12) ? 12 : 4,
    }));
    return { ...base, hours, ...(invented ? { invented } : {}) };
  };
  const turnOf = (
    forecast: ReturnType<typeof rising>,
    limits: { wind?: number; gust?: number } = { wind: 8 },
  ) => assess(inputOf(0, { forecast, trip: { limits } })).schedule!;
  test('the latest turn is as long before the limit is passed, between two hours, as the way back takes', () => {
    const { latestTurn, turnBack, home } = turnOf(rising());
    // From 4 at noon to 12 at one: 8 at half past twelve.
    expect(latestTurn! + (home! - turnBack!)).toBe(Date.UTC(2026, 4, 12, 12, 30));
  });
  test('weather that was invented, a limit beyond it, and a wind over it from the start set no hour', () => {
    const light = turnOf(rising(), { wind: 20 }).latestTurn;
    expect(turnOf(rising(true)).latestTurn).toBe(turnOf(rising(true), {}).latestTurn);
    expect(turnOf(rising(), { wind: 3 }).latestTurn).toBe(light);
    // Where nobody set one, that of anybody counts.
    expect(turnOf(rising(), {}).latestTurn!).toBeLessThan(light!);
  });
});
