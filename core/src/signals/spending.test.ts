import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { check } from '../../test/check';
import { runs } from '../../test/runs';
import { record, replayed, type Tape } from '../numeric';
import { KNOT, NAUTICAL_MILE } from '../units';
import { luminousRange } from './ranges';
import {
  bestSpent,
  BURNS,
  noticed,
  offBow,
  overSwell,
  seenBy,
  seesOf,
  spend,
  SPEND_SCENES,
  spendScore,
  threshold,
  waiting,
  whereAt,
  type Lights,
  type Passes,
} from './spending';

const DT = 1 / 60;
const dusk = SPEND_SCENES[0];
const boat: Passes = { what: 'boat', eye: 2, shows: 2, closest: 1, bearing: 90, course: 0, speed: 6, at: 10 };

describe('who passes', () => {
  test('closest at their minute, from there straight on: by hand', () => {
    expect(whereAt(boat, 600)).toMatchObject({ bearing: 90, distance: NAUTICAL_MILE });
    // Ten minutes later at six knots: a mile north, so √2 miles to the north-east.
    const later = whereAt(boat, 1200);
    expect(later.distance).toBeCloseTo(Math.SQRT2 * NAUTICAL_MILE, 0);
    expect(later.bearing).toBeCloseTo(45, 1);
    expect(6 * KNOT * 600).toBeCloseTo(NAUTICAL_MILE, 6);
  });
  test('heading north with the one who waits to the west: on her port beam, red; astern later, ahead before', () => {
    expect(offBow(whereAt(boat, 600))).toBeCloseTo(-90, 6);
    expect(seesOf(boat, 600)).toMatchObject({ sees: true, lights: 'red' });
    expect(seesOf({ ...boat, bearing: 270 }, 600)).toMatchObject({ lights: 'green' });
    expect(seesOf({ ...boat, closest: 0.001, shows: 3 }, 0)).toMatchObject({ lights: 'both' });
    expect(seesOf({ ...boat, closest: 0.001, shows: 3 }, 1500)).toMatchObject({ lights: 'stern' });
    expect(seesOf({ ...boat, shows: 0.5 }, 600).sees).toBe(false);
  });
});

describe('when a flare is seen', () => {
  check(
    'closed form',
    'light-range',
    'by night as far as Allard’s law says; by day a five-thousandfold of light is needed',
    () => {
      expect(threshold(dusk, 40 * 60)).toBeCloseTo(2e-7, 12);
      expect(threshold(dusk, 0)).toBeCloseTo(1e-3, 9);
      // Half way through dusk the geometric mean of both.
      expect(threshold(dusk, 20 * 60)).toBeCloseTo(Math.sqrt(1e-3 * 2e-7), 9);
      const far = luminousRange(15000, 10 * NAUTICAL_MILE);
      expect(far / NAUTICAL_MILE).toBeCloseTo(15.2, 0);
      // At that range the light at the eye is the threshold.
      expect((15000 / far ** 2) * 0.05 ** (far / (10 * NAUTICAL_MILE))).toBeCloseTo(2e-7, 9);
    },
  );
  check(
    'closed form',
    { title: 'Share of a sine’s period above a level' },
    'two metres up: always over a swell of two, 0.44 of the time over five, half over twice as high and more',
    () => {
      expect(overSwell(2, 2)).toBe(1);
      expect(overSwell(2, 5)).toBeCloseTo(0.436, 3);
      expect(overSwell(2, 4)).toBeCloseTo(0.5, 9);
      // Counted over a period.
      const counted = Array.from(
        { length: 10000 },
        (_, i) => 2 + 2.5 * Math.sin((2 * Math.PI * i) / 10000) >= 2.5,
      );
      expect(counted.filter(Boolean).length / 10000).toBeCloseTo(overSwell(2, 5), 3);
    },
  );
  test('nobody beyond the light or the curve of the water; ahead more than abeam, and that more than astern', () => {
    const scene = { ...dusk, sunset: -200, dark: -100, swell: 0 };
    const at = (who: Partial<Passes>, seconds = 600) => noticed(scene, { ...boat, ...who }, seconds);
    expect(at({ closest: 30 })).toBe(0);
    const [ahead, abeam, astern] = [0, 600, 1500].map((s) => at({ closest: s === 600 ? 1 : 0.01 }, s));
    expect(ahead).toBeGreaterThan(abeam);
    expect(abeam).toBeGreaterThan(astern);
    expect(astern).toBeGreaterThan(0);
  });
});

describe('spending them', () => {
  const played = (lit: readonly number[], pace = 30) => {
    let now = waiting(dusk);
    while (now.state !== 'over') {
      const { seconds } = now;
      const light = lit.some((at) => seconds >= at && seconds < at + pace * DT + 1e-9);
      now = spend(dusk, now, { light, pace }, DT);
    }
    return now;
  };
  test('the best moments, played, have nearly all points; none lit has none; each scene’s best is of use', () => {
    for (const scene of SPEND_SCENES) expect(seenBy(bestSpent(scene).sum)).toBeGreaterThan(0.3);
    const { lit } = bestSpent(dusk);
    expect(lit).toHaveLength(3);
    expect(spendScore(dusk, played(lit)).points).toBeGreaterThan(97);
    expect(spendScore(dusk, played([])).points).toBe(0);
    expect(spendScore(dusk, played([0, 61, 122])).points).toBeLessThan(30);
  });
  test('no way of spending them beats the best', () => {
    const { sum } = bestSpent(dusk);
    const at = fc.integer({ min: 0, max: 3500 });
    fc.assert(
      fc.property(fc.tuple(at, at, at), (lit) => {
        // Its grain is five seconds: what lies between may be a little better.
        expect(played(lit).sum).toBeLessThanOrEqual(sum * 1.05);
      }),
      { numRuns: runs(40), seed: 9 },
    );
  });
  test('the best of three places by trying all of them, on a coarse grain', () => {
    const { sum } = bestSpent(dusk);
    const each = Array.from({ length: 59 }, (_, minute) => played([minute * 60]).sum);
    let best = 0;
    for (let a = 0; a < 59; a += 1)
      for (let b = a + 1; b < 59; b += 1)
        for (let c = b + 1; c < 59; c += 1) best = Math.max(best, each[a] + each[b] + each[c]);
    expect(best).toBeGreaterThan(0.8 * sum);
    expect(best).toBeLessThanOrEqual(1.02 * sum);
  });
  test('one burns for its time and no second one is lit meanwhile; there are no more than there are', () => {
    let now = spend(dusk, waiting(dusk), { light: true, pace: 1 }, DT);
    for (let i = 0; i < 30 * 60; i += 1) now = spend(dusk, now, { light: true, pace: 1 }, DT);
    expect([now.left, now.lit.length]).toEqual([2, 1]);
    for (let i = 0; i < 400 * 60; i += 1) now = spend(dusk, now, { light: true, pace: 1 }, DT);
    expect([now.left, now.lit.length]).toEqual([0, 3]);
    expect(now.lit[1] - now.lit[0]).toBeGreaterThanOrEqual(BURNS - DT);
  });
  test('a recorded run, run again, has the same score', () => {
    const input = fc.record({ light: fc.boolean(), pace: fc.constantFrom(1, 10, 30) });
    const held = fc.array(fc.tuple(fc.integer({ min: 1, max: 600 }), input), { maxLength: 12 });
    fc.assert(
      fc.property(fc.constantFrom(...SPEND_SCENES), held, (scene, parts) => {
        let live = waiting(scene);
        const tape: Tape<Lights> = [];
        for (const [ticks, hands] of parts)
          for (let i = 0; i < ticks; i += 1) {
            record(tape, { ...hands });
            live = spend(scene, live, hands, DT);
          }
        const again = replayed(tape, waiting(scene), (now, hands: Lights) => spend(scene, now, hands, DT));
        expect(again).toEqual(live);
        expect(live.by.reduce((all, each) => all + each, 0)).toBeCloseTo(live.sum, 9);
      }),
      { numRuns: runs(15), seed: 10 },
    );
  });
});
