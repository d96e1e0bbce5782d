import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { check } from '../../test/check';
import { runs } from '../../test/runs';
import type { Boat } from '../model';
import {
  equilibrium,
  floaters,
  FOAM_DENSITY,
  foamLitres,
  hullOf,
  shutHull,
  submergedShare,
  swamped,
  together,
} from '.';

describe('swamped', () => {
  for (const [gravity, share] of [
    [2.7, 0.63],
    [1.5, 0.33],
    [7.8, 0.872],
    [0.55, -0.82],
    [0.95, -0.05],
  ] as const)
    check('recalled', 'cfr-33-183', `SG ${gravity}: under water ${share} of the weight is left to bear`, () =>
      expect(submergedShare(gravity)).toBeCloseTo(share, 2),
    );
  check('closed form', 'archimedes', '180 kg of bare aluminium want 114.1 kg borne, 118 L of foam', () => {
    // The handbook figure uses the rounded factor 0.63 (SG 2.73).
    expect(180 * submergedShare(2.73)).toBeCloseTo(114.1, 0);
    expect(foamLitres(114.1, 1000)).toBeCloseTo(118, 0);
    expect(FOAM_DENSITY).toBe(32);
  });
  const skiff = (more: Partial<Boat> = {}): Boat => ({
    id: 'b',
    name: 'B',
    kind: 'skiff',
    length: 4,
    beam: 1.5,
    depth: 0.5,
    mass: 180,
    material: 'alloy',
    propulsion: [],
    openings: [],
    ...more,
  });
  const full = (boat: Boat, crew = [80, 80]) => {
    const hull = hullOf(boat)!;
    return swamped(
      hull,
      floaters(boat, hull),
      { mass: boat.mass!, x: 1.7, y: 0, z: 0.2 },
      [],
      crew.map((mass, i) => ({ mass, x: 1.2 + 0.8 * (i % 3), y: 0, z: 0.35 })),
      1000,
    );
  };
  check('closed form', 'archimedes', 'bare aluminium sinks, and lacks the 118 L that the factor says', () => {
    const found = full(skiff());
    expect(found.outcome.state).toBe('sinks');
    expect(found.spare).toBeCloseTo(-180 * submergedShare(2.7), 0);
    expect(found.lacking).toBeCloseTo(foamLitres(180 * submergedShare(2.7), 1000), 0);
  });
  test('with foam along both sides she lies level; all of it in the bow stands her on end or throws her', () => {
    const level = full(skiff({ reserve: [{ what: 'foam', where: 'sides', litres: 300 }] }));
    expect(level.outcome.state).toBe('floats');
    expect(level.seated).toBe(true);
    const bow = full(skiff({ reserve: [{ what: 'foam', where: 'bow', litres: 200 }] }));
    expect([bow.outcome.state === 'floats', bow.seated]).toEqual([false, false]);
  });
  test('how many she still carries follows from what is left, each counted at half (33 CFR 183.105, recalled)', () => {
    const boat = skiff({ reserve: [{ what: 'foam', where: 'sides', litres: 200 }] });
    const { spare, carries } = full(boat, [80, 80, 80]);
    expect(carries).toBe(Math.min(3, Math.floor(spare / 40)));
  });
  test('more foam never leaves less to spare', () => {
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 250 }), fc.integer({ min: 0, max: 100 }), (litres, more) => {
        const spare = (n: number) =>
          full(skiff({ reserve: [{ what: 'foam', where: 'sides', litres: n }] })).spare;
        expect(spare(litres + more)).toBeGreaterThanOrEqual(spare(litres) - 1e-9);
      }),
      { numRuns: runs(25) },
    );
  });
  test('a sealed hull floats high; tubes of an inflatable bear her and her crew', () => {
    const sot: Boat = {
      ...skiff(),
      kind: 'sit-on-top',
      beam: 0.8,
      mass: 29,
      material: 'polyethylene',
      flotation: 'sealed-hull',
    };
    const shut = swamped(
      hullOf(sot)!,
      shutHull(hullOf(sot)!),
      { mass: 29, x: 1.9, y: 0, z: 0.15 },
      [],
      [{ mass: 80, x: 1.8, y: 0, z: 0.4 }],
      1000,
    );
    expect(shut.seated).toBe(true);
    // Full through an open hatch she has her own stuff left, and no more.
    expect(full(sot).seated).toBe(false);
    const rib = {
      ...skiff(),
      kind: 'inflatable' as const,
      length: 3.4,
      beam: 1.6,
      mass: 62,
      flotation: 'air-bags' as const,
      depth: 0.42,
    };
    expect(full(rib, [80, 80, 80]).carries).toBe(3);
  });
  test('a sit-inside without bags fills and hangs; with bags fore and aft she lies level', () => {
    const kayak: Boat = {
      ...skiff(),
      kind: 'sit-inside',
      beam: 0.62,
      length: 4.2,
      mass: 25,
      material: 'fibreglass',
      depth: 0.31,
    };
    expect(full(kayak).outcome.state).toBe('sinks');
    const hull = hullOf(kayak)!;
    const bags = floaters(kayak, hull, [
      { what: 'bag', where: 'bow', litres: 50 },
      { what: 'bag', where: 'stern', litres: 50 },
    ]);
    const found = equilibrium({
      bodies: bags,
      weight: together([{ mass: 25, x: 2.1, y: 0, z: 0.14 }]),
      density: 1000,
      length: 4.2,
      beam: 0.62,
    });
    expect(found.state).toBe('floats');
  });
});
