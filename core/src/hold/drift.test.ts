import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { aPlace, aWater, steady } from '../../test/demo';
import { check } from '../../test/check';
import { runs } from '../../test/runs';
import { lineOf } from '../chart';
import { distance } from '../earth';
import { CRAFT, type Craft } from '../model/lists';
import { KNOT, MS, NAUTICAL_MILE } from '../units';
import { sortForecast } from '../water';
import { driftFrom, endsOf, isSuit, leewayOf, spreadAfter, type Drifter } from '.';

const START = Date.UTC(2026, 4, 12, 10);
const FROM = { lat: 41.2, lon: -29.5 };
const crafts = Object.keys(CRAFT) as Craft[];
const knots = (kind: Craft, as: Drifter, wind: number, suit = false) =>
  leewayOf(kind, as, suit).speed(wind * KNOT).middle / KNOT;

describe('leeway', () => {
  for (const [name, kind, as, suit, told] of [
    ['person in a jacket', 'skiff', 'person', false, [0.18, 0.29, 0.4]],
    ['person in a survival suit', 'skiff', 'person', true, [0.24, 0.38, 0.52]],
    ['sea kayak', 'sit-inside', 'afloat', false, [0.35, 0.46, 0.57]],
    ['skiff swamped', 'skiff', 'swamped', false, [0.17, 0.34, 0.51]],
    ['skiff, between flat and V', 'skiff', 'afloat', false, [0.38, 0.7, 1.02]],
    ['motorboat, between open and cuddy', 'trailer-boat', 'afloat', false, [0.56, 1.205, 1.85]],
  ] as const)
    check('recalled', 'leeway', `${name}: at 10, 20 and 30 knots`, () =>
      expect(
        [10, 20, 30].map((wind) => Math.abs(knots(kind, as, wind, suit) - told[wind / 10 - 1]) < 0.011),
      ).toEqual([true, true, true]),
    );
  check('recalled', 'search-error', 'E = √(X² + De²): an hour 0.316 nm, two 0.608', () => {
    expect(spreadAfter(3600) / NAUTICAL_MILE).toBeCloseTo(Math.hypot(0.1, 0.3), 6);
    expect(spreadAfter(7200) / NAUTICAL_MILE).toBeCloseTo(0.608, 3);
  });
  test('where no test is known it is said to be our own, and wide; a sock is never more than without', () => {
    for (const kind of crafts)
      for (const as of ['afloat', 'sock', 'swamped'] as const) {
        const way = leewayOf(kind, as);
        const { low, high, middle } = way.speed(8);
        expect([low >= 0, low <= middle, middle <= high]).toEqual([true, true, true]);
        if (way.own) expect(high / middle).toBeGreaterThan(1.2);
        if (as === 'sock') expect(high).toBeLessThanOrEqual(leewayOf(kind, 'afloat').speed(8).high);
      }
    expect(crafts.filter((kind) => leewayOf(kind, 'afloat').own)).toEqual([
      'canoe',
      'paddleboard',
      'inflatable',
      'personal-watercraft',
      'catamaran',
      'raft',
    ]);
  });
  test('a suit is one by its name', () =>
    expect(['dry-suit', 'flotation-suit', 'light', undefined].map(isSuit)).toEqual([
      true,
      true,
      false,
      false,
    ]));
  test('more wind never less', () =>
    fc.assert(
      fc.property(fc.constantFrom(...crafts), fc.double({ min: 0, max: 20, noNaN: true }), (kind, wind) => {
        const { speed } = leewayOf(kind, 'afloat');
        expect(speed(wind + 1).middle).toBeGreaterThanOrEqual(speed(wind).middle);
        expect(speed(wind).low).toBeGreaterThanOrEqual(0);
      }),
      { numRuns: runs(100) },
    ));
});

const blows = (wind: number, from: number) =>
  sortForecast(steady({ wind: wind * KNOT, gust: wind * KNOT, from }));
const pond = aWater({ class: 'lake' });

describe('where it goes', () => {
  check('recalled', 'leeway', 'a kayak in 20 knots and no current: 852 m in an hour', () => {
    const drift = driftFrom(
      { water: pond, forecast: blows(20, 270) },
      FROM,
      START,
      leewayOf('sit-inside', 'afloat'),
    );
    const hour = drift?.middle.points.find(({ at }) => at === START + MS.hour);
    const { metres, bearing } = distance(FROM, hour!.position);
    expect(metres).toBeCloseTo(852, -1);
    expect(bearing).toBeCloseTo(90, 0);
    const sides = drift!.sides.map(({ points }) => distance(FROM, points[6].position).bearing);
    expect(sides.map(Math.round)).toEqual([75, 75, 105, 105]);
  });
  check('closed form', 'triangle', 'a stream of one knot across a leeway of 0.46: 1.10 kn', () => {
    const stream = { name: '', source: 'your-word' as const, at: () => ({ speed: KNOT, direction: 0 }) };
    const around = { water: aWater({ class: 'coastal' }), stream, forecast: blows(20, 270) };
    const drift = driftFrom(around, FROM, START, leewayOf('sit-inside', 'afloat'));
    const { metres, bearing } = distance(FROM, drift!.middle.points[6].position);
    expect(metres / NAUTICAL_MILE).toBeCloseTo(Math.hypot(0.46, 1), 2);
    expect(bearing).toBeCloseTo((Math.atan2(0.46, 1) * 180) / Math.PI, 0);
  });
  test('without a stream that is known it is left out, and that is said; a lake has none', () => {
    const far = { water: aWater({ class: 'coastal' }), forecast: blows(10, 0) };
    expect(driftFrom(far, FROM, START, leewayOf('canoe', 'afloat'))?.streamless).toBe(true);
    expect(driftFrom({ ...far, water: pond }, FROM, START, leewayOf('canoe', 'afloat'))?.streamless).toBe(
      false,
    );
  });
  test('no wind at the start: nothing is told; where the forecast ends, so does the way', () => {
    const leeway = leewayOf('canoe', 'afloat');
    expect(driftFrom({ water: pond }, FROM, START, leeway)).toBeUndefined();
    const short = sortForecast({
      ...steady(),
      hours: steady().hours.filter(({ at }) => at <= '2026-05-12T12:00:00Z'),
    });
    const drift = driftFrom({ water: pond, forecast: short }, FROM, START, leeway);
    expect(drift?.until).toBeLessThanOrEqual(START + 2 * MS.hour + 10 * MS.minute);
    expect(drift!.middle.points.at(-1)!.at).toBeLessThanOrEqual(START + 2 * MS.hour + 10 * MS.minute);
    expect(driftFrom({ water: pond, forecast: short }, FROM, START + MS.day, leeway)).toBeUndefined();
  });
});

describe('where it ends', () => {
  /** Land east of 29° 29.4′ W. */
  const coast = [
    { lat: 41.1, lon: -29.49 },
    { lat: 41.3, lon: -29.49 },
    { lat: 41.3, lon: -29.4 },
    { lat: 41.1, lon: -29.4 },
    { lat: 41.1, lon: -29.49 },
  ];
  const shored = aWater({
    class: 'lake',
    chart: { source: 'test', depths: [], shore: [{ inside: 'land', rings: [lineOf(coast)] }] },
  });
  const drift = (wind: number) =>
    driftFrom({ water: shored, forecast: blows(wind, 270) }, FROM, START, leewayOf('sit-inside', 'afloat'))!;
  test('836 m to leeward at 0.46 knots is an hour; its fast end sooner, its slow end later', () => {
    const found = endsOf(drift(20), []);
    const straight = distance(FROM, { lat: 41.2, lon: -29.49 }).metres;
    expect(((drift(20).middle.ashore!.at - START) / MS.second) * 0.46 * KNOT).toBeCloseTo(straight, -1);
    expect(found!.earliest.at).toBeLessThan(drift(20).middle.ashore!.at);
    expect(found!.latest!.at).toBeGreaterThan(drift(20).middle.ashore!.at);
    expect(found?.unsaid).toBe(true);
  });
  test('the place nearest to where it comes ashore tells what kind of shore it is', () => {
    const rocks = aPlace({ kind: 'haven', shore: 'rocks', position: { lat: 41.2, lon: -29.4895 } });
    const far = aPlace({ kind: 'haven', shore: 'beach', position: { lat: 41.25, lon: -29.4895 } });
    const found = endsOf(drift(20), [rocks, far]);
    expect(found?.places).toEqual([rocks]);
    expect(found?.unsaid).toBe(false);
  });
  test('off the land it goes out to sea, and no end is told', () => {
    const out = driftFrom(
      { water: shored, forecast: blows(20, 90) },
      FROM,
      START,
      leewayOf('sit-inside', 'afloat'),
    )!;
    expect(endsOf(out, [])).toBeUndefined();
  });
});
