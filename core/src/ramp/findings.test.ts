import { describe, expect, test } from '@jest/globals';
import type { Boat, Place, Schedule, Trip } from '../model';
import { render, type Reader } from '../say';
import type { Figures } from '../verdict';
import { tideOf } from '../water';
import { edgeFindings, onRamp, onTrailer, rampFigures, rampFindings, rampNeeds, type OnLaunch } from '.';

const reader: Reader = { units: 'metric', zone: 'UTC', locale: 'en-GB' };
const SIX = Date.UTC(2026, 4, 12, 6),
  HOUR = 3_600_000;
const at = (hours: number) => new Date(SIX + hours * HOUR).toISOString();
// Low water 0.5 m at 06:00, high 4.5 m at 12:00, low again at 18:00; at 09:00 and 15:00 it stands at 2.5 m.
const tide = (datum = 'chart datum') =>
  tideOf({
    kind: 'table',
    name: 'North slip',
    datum,
    rows: [
      { at: at(0), height: 0.5, turn: 'low' },
      { at: at(6), height: 4.5, turn: 'high' },
      { at: at(12), height: 0.5, turn: 'low' },
    ],
  });
const boat = {
  id: 'b',
  name: 'Plover',
  kind: 'trailer-boat',
  length: 5,
  beam: 2,
  depth: 0.9,
  mass: 450,
  propulsion: [],
  trailer: { support: 0.6, drawbar: 4.5 },
} as unknown as Boat;
const slip = {
  id: 'p',
  name: 'North slip',
  kind: 'launch',
  launchFrom: 'ramp',
  slope: 0.13,
  foot: 1,
} as unknown as Place;
const trip = { id: 't', crew: [], load: [] } as unknown as Trip;
const SALT = 1025;

const found = (more: Partial<OnLaunch> = {}, leave = 3, home = 8) => {
  const figures: Figures = {};
  const on = { trip, boat, launch: slip, back: slip, tide: tide(), ...more };
  const needs = on.boat && rampNeeds(on.boat, trip, SALT);
  const schedule = { leave: SIX + leave * HOUR, home: SIX + home * HOUR } as unknown as Schedule;
  return { findings: rampFindings(on, needs, schedule, rampFigures(on, needs, figures)), figures, needs };
};
const levels = (all: ReturnType<typeof found>) => all.findings.map(({ id, level }) => [id, level]);

describe('who comes on a trailer', () => {
  test.each<[Boat['kind'], object | undefined, boolean | undefined]>([
    ['trailer-boat', undefined, true],
    ['personal-watercraft', undefined, true],
    ['canoe', undefined, false],
    ['canoe', {}, true],
    ['inflatable', undefined, undefined],
  ])('%s with %j: %s', (kind, trailer, is) =>
    expect(onTrailer({ kind, trailer } as Pick<Boat, 'kind' | 'trailer'>)).toBe(is),
  );
});

describe('what she asks of the ramp', () => {
  test('the height of her supports and what 450 kg of her hull draw, with a band; known where all was stated', () => {
    const { draught, support, depth, known } = found().needs!;
    expect(support).toEqual({ low: 0.6, high: 0.6 });
    // Archimedes: a box of 5 × 2 m would draw 450 / (1025 · 10) = 4.4 cm; a hull is finer, so deeper, and less than her depth.
    expect(draught.low).toBeGreaterThan(0.044);
    expect(draught.high).toBeLessThan(0.4);
    expect(depth.high).toBeCloseTo(0.6 + draught.high, 9);
    expect(known).toBe(true);
  });
  test('supports of which nobody said how high they stand are taken for usual ones, and are no knowledge', () => {
    const plain = { ...boat, trailer: {} } as unknown as Boat;
    const needs = rampNeeds(plain, trip, SALT)!;
    expect([needs.support, needs.known]).toEqual([{ low: 0.5, high: 0.8 }, false]);
    const craft = { ...plain, kind: 'personal-watercraft' } as unknown as Boat;
    expect(rampNeeds(craft, trip, SALT)!.support).toEqual({ low: 0.3, high: 0.5 });
  });
  test('without measures nothing is drawn from the air; without a slope nobody says how far in', () => {
    const { length: _length, ...unmeasured } = boat;
    expect(rampNeeds(unmeasured as Boat, trip, SALT)).toBeUndefined();
    const { slope: _slope, ...flat } = slip;
    expect(onRamp(boat, flat as Place, found().needs!)).toBeUndefined();
  });
});

describe('the hours', () => {
  test('enough tide at both ends is Ready, with depth, how far in and where the car stands', () => {
    const all = found();
    expect(levels(all)).toEqual([['ramp/carries/t', 'ready']]);
    expect(Object.keys(all.figures)).toEqual(['ramp/depth/t', 'ramp/run/t', 'ramp/car-in/t']);
  });
  test('too little when you return is a Fix that says from when to when she is carried', () => {
    const all = found({}, 3, 11.5);
    expect(levels(all)).toEqual([['ramp/return/t', 'fix']]);
    const said = all.findings[0].because.map((line) => render(line, reader)).join(' ');
    expect(said).toMatch(/^At 17:30 the tide stands at 0\.6 m; at North slip/);
    expect(said).toMatch(/It carries her 0\d:\d\d to 1\d:\d\d\.$/);
  });
  test('a guess alone is no pass, and where its range may just do it is a Know', () => {
    const guess = { ...boat, basis: { '/mass': 'guessed' } } as unknown as Boat;
    expect(levels(found({ boat: guess }))).toEqual([['ramp/carries/t', 'know']]);
    const usual = { ...boat, trailer: {} } as unknown as Boat;
    // The foot at 1 m and 0.5 to 0.8 m of supports: at 08:30 the tide stands at 2.0 m, between what may and what does do.
    expect(levels(found({ boat: usual }, 2.33, 6))).toEqual([['ramp/leave/t', 'know']]);
    expect(levels(found({ boat: usual }, 0.5, 6))).toEqual([['ramp/leave/t', 'fix']]);
  });
  test('no tide, another datum, a beach, no foot: nothing is claimed', () => {
    const { foot: _foot, ...bottomless } = slip;
    const { tide: _tide, ...still } = { trip, boat, launch: slip, back: slip, tide: tide() };
    const schedule = { leave: SIX, home: SIX + HOUR } as unknown as Schedule;
    expect(rampFindings(still, found().needs, schedule, [])).toEqual([]);
    expect(levels(found({ tide: tide('mean sea level') }))).toEqual([]);
    expect(levels(found({ launch: { ...slip, launchFrom: 'beach' } as Place }))).toEqual([]);
    const no = bottomless as Place;
    expect(levels(found({ launch: no, back: no }))).toEqual([]);
  });
});

describe('the edge of the water on a beach', () => {
  const beach = (more: Partial<Place> = {}): Place =>
    ({ ...slip, launchFrom: 'beach', slope: 1 / 50, ...more }) as Place;
  const edge = (leave: number, home: number, place = beach(), more: Partial<OnLaunch> = {}) =>
    edgeFindings({ trip, launch: place, back: place, tide: tide(), ...more }, {
      leave: SIX + leave * HOUR,
      home: SIX + home * HOUR,
      overdue: SIX + (home + 1) * HOUR,
    } as Schedule);
  const said = (all: ReturnType<typeof edge>) =>
    all.map(({ id, open, title, because }) => [
      id.split('/')[1],
      open ?? false,
      [title, ...because].map((p) => render(p, reader)).join(' '),
    ]);
  // Source beach-run, x = Δh / tan β: 2.4 m on 1:50 is 120 m; here 2.0 m are 100.
  test('it runs out by the fall over the slope: 2 m at one in fifty are 100 m', () =>
    expect(said(edge(6, 9))).toEqual([
      ['edge', false, expect.stringMatching(/^A long carry.*At 15:00.*100 m further out.*2\.0 m lower/)],
    ]));
  test('it comes up while one is away: the car stands above that, until overdue', () =>
    expect(said(edge(3, 5, beach({ slope: 1 / 20 })))).toEqual([
      ['car', false, expect.stringMatching(/At 12:00.*40 m further up.*2\.0 m higher/)],
    ]));
  test('without a slope it is told between two, and asked for', () => {
    const open = edge(6, 9, beach({ slope: undefined }));
    expect(said(open)).toEqual([
      ['edge', true, expect.stringMatching(/40 m at one in twenty, 200 m at one in a hundred/)],
    ]);
    expect(open[0].mend).toMatchObject({ go: { type: 'place', pointer: '/slope' } });
    expect(said(edge(6, 9, beach({ basis: { '/slope': 'guessed' } })))[0][1]).toBe(true);
  });
  test('no beach, no tide, another datum, another place to land, hardly any change: nothing is told', () => {
    expect(edge(6, 9, slip)).toEqual([]);
    expect(edge(6, 9, beach(), { tide: undefined })).toEqual([]);
    expect(edge(6, 9, beach(), { tide: tide('mean sea level') })).toEqual([]);
    expect(edge(6, 9, beach(), { back: beach({ id: 'q' }) })).toEqual([]);
    expect(edge(5.9, 6.1)).toEqual([]);
  });
  test('over mud nobody walks', () =>
    expect(said(edge(6, 9, beach({ surface: 'mud' })))[0][2]).toMatch(/mud/));
});
