import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { check } from '../../test/check';
import { runs } from '../../test/runs';
import { FOOT, KNOT, NAUTICAL_MILE } from '../units';
import {
  CLEAR,
  geographicRange,
  isBox,
  LAYERS,
  layersLeft,
  layersOf,
  leftOf,
  luminousRange,
  radioHorizon,
  reachOf,
  seenByDay,
  seenByNight,
  type Signal,
} from '.';

const miles = (metres: number) => metres / NAUTICAL_MILE;
const near = (value: number, told: number, share = 0.02) =>
  expect(Math.abs(value / told - 1)).toBeLessThan(share);

describe('ranges', () => {
  check(
    'recalled',
    'geographic-range',
    'a raised hand and an eye at a metre 5.0, 300 m and two metres 39',
    () => {
      near(miles(geographicRange(2, 1)), 5);
      near(miles(geographicRange(300, 2)), 39);
    },
  );
  check('recalled', 'geographic-range', 'in feet 1.17 for each root, to a hundredth and a half', () => {
    near(miles(geographicRange(9 * FOOT, 0)), 1.17 * 3, 0.02);
  });
  check(
    'recalled',
    'radio-horizon',
    'one metre to one 4.45, to thirty 14.4, to a hundred 24.5; two to four 7.6; three feet to a hundred 14.4',
    () => {
      for (const [a, b, told] of [
        [1, 1, 4.45],
        [1, 30, 14.4],
        [1, 100, 24.5],
        [2, 4, 7.6],
        [3 * FOOT, 100 * FOOT, 14.4],
      ])
        near(miles(radioHorizon(a, b)), told);
    },
  );
  check('recalled', 'light-range', 'Annex I: 0.9, 4.3, 12 and 52 candela are 1, 2, 3 and 5 miles', () => {
    for (const [candela, told] of [
      [0.9, 1],
      [4.3, 2],
      [12, 3],
      [52, 5],
    ])
      near(miles(luminousRange(candela, 13.4 * NAUTICAL_MILE)), told, 0.03);
  });
  check(
    'recalled',
    'light-range',
    'Allard at ten miles of visibility: 0.5, 10, 15 and 30 thousand candela; at two miles 15 thousand',
    () => {
      for (const [candela, told] of [
        [500, 8.1],
        [10_000, 14.3],
        [15_000, 15.2],
        [30_000, 16.8],
      ])
        near(miles(luminousRange(candela, 10 * NAUTICAL_MILE)), told);
      near(miles(luminousRange(15_000, 2 * NAUTICAL_MILE)), 4.6);
    },
  );
  test('no light, no air, no range', () => {
    expect([luminousRange(0, 1000), luminousRange(5, 0), luminousRange(Number.NaN, 1000)]).toEqual([0, 0, 0]);
    expect(geographicRange(-1, 0)).toBe(0);
  });
  test('brighter and clearer never less far', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 1e5, noNaN: true }),
        fc.double({ min: 100, max: 4e4, noNaN: true }),
        (candela, visibility) => {
          const far = luminousRange(candela, visibility);
          expect(luminousRange(candela * 1.5, visibility)).toBeGreaterThanOrEqual(far);
          expect(luminousRange(candela, visibility * 1.5)).toBeGreaterThanOrEqual(far);
        },
      ),
      { numRuns: runs(60) },
    ));
});

describe('time to be seen', () => {
  check(
    'closed form',
    { title: 'h / tan of the angle' },
    'one metre at five and fifteen minutes of arc',
    () => {
      const { from, seconds, hidden } = seenByDay(1, CLEAR, 25 * KNOT);
      near(from.low, 1 / Math.tan((15 / 60) * (Math.PI / 180)));
      near(from.high, 687.5);
      // 25 knots are 12.86 m/s.
      near(seconds.low, 17.8);
      near(seconds.high, 53.5);
      expect(hidden).toBe(1);
    },
  );
  test('fog and the curve of the water bound it', () => {
    expect(seenByDay(1, 100, 10).from).toEqual({ low: 100, high: 100 });
    expect(seenByDay(1, 100, 10).seconds).toEqual({ low: 10, high: 10 });
    expect(seenByNight(1, CLEAR, 10).from.high).toBeLessThanOrEqual(geographicRange(1, 2));
  });
  test('by night a lamp of the law is seen nearly two miles, one a quarter as bright one', () => {
    const { from } = seenByNight(1.5, CLEAR, 25 * KNOT);
    near(miles(from.high), 1.9, 0.05);
    near(miles(from.low), 1.05, 0.05);
  });
  test('what stands higher is seen sooner, and who comes faster leaves less time', () =>
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 5, noNaN: true }), (height) => {
        expect(seenByDay(height * 1.5, CLEAR, 10).from.low).toBeGreaterThan(
          seenByDay(height, CLEAR, 10).from.low,
        );
        expect(seenByDay(height, CLEAR, 12).seconds.low).toBeLessThan(
          seenByDay(height, CLEAR, 10).seconds.low,
        );
      }),
      { numRuns: runs(40) },
    ));
});

const thing = (
  name: string,
  supplies: Signal['supplies'],
  place: Signal['place'],
  boxed = false,
): Signal => ({
  name,
  supplies,
  place,
  boxed,
  count: 1,
  sure: true,
});
const ALL = [
  thing('Whistle', ['sound'], 'on-body'),
  thing('Horn', ['sound', 'sound-loud'], 'in-reach', true),
  thing('Flares', ['pyro-day', 'pyro-night', 'pyro-not-smoke'], 'in-reach', true),
  thing('Lamp', ['white-light'], 'hatch'),
  thing('Phone', ['call'], 'on-body'),
  thing('Beacon', ['locate'], 'home'),
];
const ids = (lost: 'boat' | 'box', when: 'day' | 'night') => layersLeft(ALL, lost, when).map(({ id }) => id);

describe('layers', () => {
  test('each thing in its layers, by where it travels; what stays at home is nowhere', () => {
    const of = (id: string) => layersOf(ALL).find(({ layer }) => layer.id === id)!;
    expect(of('sound')).toMatchObject({
      onBody: [{ name: 'Whistle' }],
      inReach: [{ name: 'Horn' }],
      stowed: [],
    });
    expect(of('light').stowed).toHaveLength(1);
    expect(of('flare').inReach).toHaveLength(1);
    // A flare is no smoke, a beacon no radio, and a radio no phone.
    expect(of('smoke').inReach).toHaveLength(0);
    const more = layersOf([
      thing('Beacon', ['locate', 'call-beyond-phone'], 'on-body'),
      thing('Radio', ['call', 'call-beyond-phone'], 'on-body'),
      thing('Smoke', ['pyro-day'], 'in-reach'),
    ]).flatMap(({ layer, onBody, inReach }) =>
      [...onBody, ...inReach].map(({ name }) => `${layer.id}: ${name}`),
    );
    expect(more).toEqual(['smoke: Smoke', 'radio: Radio', 'beacon: Beacon']);
    expect(of('beacon')).toMatchObject({ onBody: [], inReach: [], stowed: [] });
  });
  test('the boat gone leaves bodies alone, the box gone all that did not lie in it', () => {
    expect(leftOf(ALL, 'boat').map(({ name }) => name)).toEqual(['Whistle', 'Phone']);
    expect(leftOf(ALL, 'box').map(({ name }) => name)).toEqual(['Whistle', 'Lamp', 'Phone']);
    expect(ids('boat', 'day')).toEqual(['sound', 'phone']);
    expect(ids('box', 'night')).toEqual(['sound', 'light', 'phone']);
    expect(ids('box', 'day')).toEqual(['sound', 'phone']);
    const doubtful = ALL.map((each) => ({ ...each, sure: each.name !== 'Phone' }));
    expect(leftOf(doubtful, 'boat').map(({ name }) => name)).toEqual(['Whistle']);
    expect(isBox('signal-box')).toBe(true);
    expect(isBox('dry-bag')).toBe(false);
  });
  test('a reach only where something is published; lights hang on the air', () => {
    const reach = (id: string, visibility: number) =>
      reachOf(
        LAYERS.find((layer) => layer.id === id)!,
        visibility,
        1,
      );
    expect(reach('phone', CLEAR)).toBeUndefined();
    expect(reach('smoke', CLEAR)).toBeUndefined();
    near(reach('sound', 100)!.high, NAUTICAL_MILE / 2);
    // A hand flare two metres up is bounded by the curve of the water in clear air, and by the air in haze.
    near(miles(reach('flare', CLEAR)!.high), 5);
    expect(miles(reach('flare', 1000)!.high)).toBeLessThan(2.5);
  });
});
