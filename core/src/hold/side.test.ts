import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { check } from '../../test/check';
import { boxOf } from '../../test/hulls';
import { runs } from '../../test/runs';
import { brent } from '../numeric';
import { goesOverAt, heeledBy, onEdge, type SidePull } from '.';

const [L, B, D] = [4, 1.5, 0.6];
const hull = boxOf(L, B, D);
const weight = { mass: 900, x: L / 2, y: 0, z: 0.35 };
const T = weight.mass / (1000 * L * B);
const G = 9.80665;
const edge = onEdge(hull, 0.5, 1);
const pulled = (across: number, more: Partial<SidePull> = {}): SidePull => ({
  at: edge,
  across,
  air: 0,
  airAt: D,
  waterAt: T / 2,
  down: 0,
  ...more,
});
const heel = (pull: SidePull, w = weight) => {
  const found = heeledBy(hull, w, 1000, pull);
  if (!found) throw new Error('over');
  return found.heel;
};

/**
 * A wall-sided box: with s = tan φ the centre of buoyancy stands at y = BM·s, z = T/2 + BM·s²/2 (Rawson and Tupper, ch. 4), so that
 * level couples and hanging weights balance where y_B + s·z_B = y_G + s·z_G.
 */
function wallSided({ at, across, air, airAt, waterAt, down }: SidePull, { mass, z } = weight): number {
  const hangs = (across * Math.tan(down)) / G;
  const m = mass + hangs;
  const t = m / (1000 * L * B),
    bm = (B * B) / (12 * t);
  const g = { y: (at.y * hangs) / m, z: (z * mass + at.z * hangs) / m };
  const arm = (s: number) =>
    mg(across * (at.z - at.y * s) - air * airAt - (across - air) * waterAt) +
    g.y +
    s * g.z -
    bm * s -
    s * (t / 2 + (bm * s * s) / 2);
  function mg(moment: number) {
    return moment / (m * G);
  }
  return Math.atan(brent(arm, -0.9, 0.9));
}

describe('heel of a box, against the wall-sided formula', () => {
  for (const [name, pull] of [
    ['level, in a stream', pulled(200)],
    ['steep, in a stream', pulled(200, { down: 0.7 })],
    ['level, in a wind', pulled(200, { air: 200 })],
    [
      'half of each, from the middle of the side',
      pulled(350, { air: 150, down: 0.2, at: { ...edge, z: 0.3 } }),
    ],
  ] as const)
    check('closed form', 'ship-theory', name, () => expect(heel(pull)).toBeCloseTo(wallSided(pull), 5));
  test('to starboard it is the same', () => {
    const pull = pulled(300, { down: 0.3 });
    expect(heel({ ...pull, at: onEdge(hull, 0.5, -1) })).toBeCloseTo(heel(pull), 6);
  });
  test('a stream pulls her edge down, a wind over a low line lifts it', () => {
    expect(heel(pulled(200))).toBeGreaterThan(0);
    expect(heel(pulled(200, { air: 200, airAt: D + 0.6 }))).toBeLessThan(0);
  });
  test('the load that takes her over is where she still stays a newton before and not a newton behind', () => {
    const { across: _across, air: _air, ...rest } = pulled(0, { down: 0.2 });
    const over = goesOverAt(hull, weight, 1000, rest, 0) ?? 0;
    const stays = (n: number) =>
      (heeledBy(hull, weight, 1000, { ...rest, across: n, air: 0 })?.free.lowest ?? 0) > 0;
    expect(over).toBeGreaterThan(100);
    expect(stays(over * 0.999)).toBe(true);
    expect(stays(over * 1.002)).toBe(false);
  });
});

describe('which way it goes', () => {
  const force = fc.double({ min: 5, max: 250, noNaN: true });
  const share = fc.double({ min: 0, max: 1, noNaN: true });
  test('in stream alone, nearer to the centre of the water never heels more; in wind alone, higher up to its centre never', () =>
    fc.assert(
      fc.property(force, share, share, (across, a, b) => {
        const heights = [Math.min(a, b), Math.max(a, b)];
        const [low, high] = heights.map((u) => T / 2 + u * (D - T / 2));
        const at = (z: number) => ({ ...edge, z });
        expect(heel(pulled(across, { at: at(low) }))).toBeLessThanOrEqual(
          heel(pulled(across, { at: at(high) })) + 1e-9,
        );
        const inWind = (z: number) =>
          Math.abs(heel(pulled(across, { air: across, airAt: D + 0.3, at: at(z) })));
        expect(inWind(high)).toBeLessThanOrEqual(inWind(low) + 1e-9);
      }),
      { numRuns: runs(40) },
    ));
  test('a steeper line at her edge never heels her less', () =>
    fc.assert(
      fc.property(force, fc.double({ min: 0, max: 0.5, noNaN: true }), (across, down) => {
        expect(heel(pulled(across, { down: down + 0.1 }))).toBeGreaterThanOrEqual(
          heel(pulled(across, { down })) - 1e-9,
        );
      }),
      { numRuns: runs(40) },
    ));
});
