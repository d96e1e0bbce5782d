import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { check } from '../../test/check';
import { boxOf } from '../../test/hulls';
import { aBoat, aPerson, inputOf } from '../../test/demo';
import { runs } from '../../test/runs';
import { brent } from '../numeric';
import { fasteningOf, heap, heeledBy, lyingOf, onEdge, pulledOver, pullOn, rollsIn, type SidePull } from '.';

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
});

describe('what of a load comes from the side', () => {
  const who = aPerson({ mass: 80 });
  const trip = { ...inputOf().trip, crew: [{ person: who.id, role: 'skipper' as const }], load: [] };
  const skiff = lyingOf(
    aBoat({ kind: 'skiff', length: 4.2, beam: 1.6, depth: 0.6, mass: 200 }),
    trip,
    [who],
    1000,
  )!;
  const side = fasteningOf(skiff, 'side');
  const still = { wind: { speed: 0, gust: 0, direction: 0 }, stream: { speed: 0, direction: 0 }, wave: 0 };
  test('her edge amidships is half her beam out, at her sheer', () => {
    expect(edge).toEqual({ x: L / 2, y: expect.closeTo(B / 2), z: expect.closeTo(D) });
    expect(onEdge(hull, 0.5, -1).y).toBeCloseTo(-B / 2);
    expect(onEdge(hull, 1, 0)).toMatchObject({ x: L, y: 0 });
  });
  test('in a stream alone all of it, and it pulls her towards it; in a wind alone she leans away', () => {
    const stream = pullOn(skiff.exposed, side, { ...still, stream: { speed: 0.6, direction: 0 } }, 1000);
    const streaming = pulledOver(skiff, side, stream, 0);
    // Nearly: she lies a little askew, as her middle is not that of the water.
    const share = streaming.across.most / stream.load.high;
    expect(share).toBeGreaterThan(0.8);
    expect(share).toBeLessThanOrEqual(1);
    expect(streaming.across.least / stream.load.low).toBeCloseTo(share, 6);
    expect(streaming.most!.heel).toBeGreaterThan(streaming.least!.heel);
    expect(streaming.least!.heel).toBeGreaterThan(0);
    const blown = pullOn(skiff.exposed, side, { ...still, wind: { speed: 8, gust: 10, direction: 0 } }, 1000);
    const windy = pulledOver(skiff, side, blown, 0);
    expect(windy.across.most / blown.load.high).toBeGreaterThan(0.8);
    expect(windy.most!.heel).toBeLessThan(streaming.most!.heel);
  });
  test('nothing pulls in still air and water', () => {
    expect(pulledOver(skiff, side, pullOn(skiff.exposed, side, still, 1000), 0).across).toEqual({
      least: 0,
      most: 0,
    });
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

describe('when it goes over her edge', () => {
  const who = aPerson({ mass: 80 });
  const trip = { ...inputOf().trip, crew: [{ person: who.id, role: 'skipper' as const }], load: [] };
  const kayak = (more = {}) =>
    lyingOf(
      aBoat({ kind: 'sit-on-top', length: 3.9, beam: 0.8, depth: 0.33, mass: 29, ...more }),
      trip,
      [who],
      1025,
    )!;
  const calm = { wind: { speed: 0, gust: 0, direction: 0 }, wave: 0 };
  check('closed form', { title: 'Bernoulli: v²/2g' }, 'one metre a second heaps up 51 mm, two 204', () => {
    expect(heap(1)).toBeCloseTo(0.051, 3);
    expect(heap(2)).toBeCloseTo(0.204, 3);
  });
  check('closed form', { title: 'v = √(2g·freeboard) where nothing heels her' }, 'held by the bow', () => {
    const lying = kayak();
    const bow = fasteningOf(lying, 'bow');
    const free = pulledOver(lying, bow, pullOn(lying.exposed, bow, calm, 1025), 0).most!.free.lowest;
    expect(rollsIn(lying, bow, calm, 0)!.stream).toBeCloseTo(Math.sqrt(2 * 9.80665 * free), 1);
  });
  check(
    'recalled',
    'small-craft-hold',
    'a kayak held by the side rolls between half a metre and two metres a second',
    () => {
      const lying = kayak();
      const side = fasteningOf(lying, 'side');
      const { stream, load } = rollsIn(lying, side, calm, 0.14)!;
      expect(stream).toBeGreaterThan(0.5);
      expect(stream).toBeLessThan(2);
      expect(stream).toBeLessThan(rollsIn(lying, fasteningOf(lying, 'bow'), calm, 0)!.stream);
      expect(load).toBeGreaterThan(65);
    },
  );
  test('waves make it sooner, and a lower boat goes sooner', () => {
    const lying = kayak();
    const side = fasteningOf(lying, 'side');
    const flat = rollsIn(lying, side, calm, 0.14)!.stream;
    expect(rollsIn(lying, side, { ...calm, wave: 1 }, 0.14)!.stream).toBeLessThan(flat);
    const low = kayak({ depth: 0.27 });
    expect(rollsIn(low, fasteningOf(low, 'side'), calm, 0.14)!.stream).toBeLessThan(flat);
  });
});
