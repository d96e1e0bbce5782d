import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { check } from '../../test/check';
import { runs } from '../../test/runs';
import { boxOf } from '../../test/hulls';
import type { Boat } from '../model';
import {
  below,
  equilibrium,
  floaters,
  holesOf,
  hullOf,
  leak as leakOf,
  orifice,
  overEdge,
  shutHull,
  spaceOf,
  washOver,
  whole,
  type Body,
  type Hole,
  type Hull,
  type Relief,
  type Weight,
  FLOODING,
} from '.';

/** A leak of a hull that is one open space, in flat water. */
const leak = (
  hull: Hull,
  hole: Hole,
  weight: Weight,
  density: number,
  relief: Relief,
  sea = 0,
  space: readonly Body[] = shutHull(hull),
) => leakOf({ hull, hole, space, weight, density, relief, sea });

const LITRES_A_MINUTE = 60_000;

describe('water through a hole', () => {
  // numbers of a hydraulics table: bore mm, then L/min under 0.1, 0.2, 0.3, 0.5 and 1 m.
  const HEADS = [0.1, 0.2, 0.3, 0.5, 1];
  const TABLE: [number, number[]][] = [
    [10, [4, 5.6, 6.9, 8.9, 12.5]],
    [20, [15.8, 22.4, 27.4, 35.4, 50.1]],
    [25, [24.8, 35, 42.9, 55.3, 78.3]],
    [32, [40.6, 57.4, 70.2, 90.7, 128]],
    [38, [57, 81, 99, 128, 181]],
    [50, [99, 140, 171, 221, 313]],
    [75, [223, 315, 386, 498, 705]],
    [100, [396, 560, 686, 886, 1252]],
  ];
  for (const [bore, flows] of TABLE)
    for (const [i, flow] of flows.entries())
      check('closed form', 'orifice', `${bore} mm under ${HEADS[i]} m lets in ${flow} L/min`, () => {
        const got = orifice(bore / 1000, HEADS[i], FLOODING.discharge.value) * LITRES_A_MINUTE;
        // The table is rounded to its last digit.
        expect(Math.abs(got - flow)).toBeLessThanOrEqual(flow < 10 ? 0.055 : flow < 60 ? 0.3 : flow * 0.006);
      });
  check(
    'closed form',
    'orifice',
    'a 25 mm drain under 0.3 m lets 400 L in in 9.3 min, 38 mm in 4.0 min',
    () => {
      expect(0.4 / orifice(0.025, 0.3, 0.6) / 60).toBeCloseTo(9.3, 1);
      expect(0.4 / orifice(0.038, 0.3, 0.6) / 60).toBeCloseTo(4, 1);
    },
  );
  for (const [width, depth, litres] of [
    [1, 0.05, 19],
    [1, 0.1, 54],
    [2, 0.05, 38],
  ] as const)
    check('recalled', 'weir', `${width} m of edge ${depth} m under takes ${litres} L/s`, () =>
      expect(overEdge(width, depth) * 1000).toBeCloseTo(litres, 0),
    );
  // E[max(0, Z)^1.5] of a standard normal is 2^(−1/4)·Γ(5/4)/√π = 0.4300.
  for (const [width, sea] of [
    [1, 0.3],
    [0.4, 0.6],
    [2, 1],
  ] as const)
    check(
      'closed form',
      { title: 'Moments of the normal distribution' },
      `an edge at the mean water, ${width} m in waves of ${sea} m`,
      () => expect(washOver(width, 0, sea) / (1.7 * width * (sea / 4) ** 1.5 * 0.42997)).toBeCloseTo(1, 3),
    );
  for (const under of [0.1, 0.2, 0.3])
    check(
      'closed form',
      'weir',
      `waves far smaller than an edge ${under} m under do not change its flow`,
      () => expect(washOver(1, -under, 0.02) / overEdge(1, under)).toBeCloseTo(1, 2),
    );
  test('waves over an edge: none without waves, never less in more sea or over a lower edge', () => {
    expect(washOver(1, 0.1, 0)).toBe(0);
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.5, noNaN: true }),
        fc.double({ min: 0.05, max: 1, noNaN: true }),
        (free, sea) => {
          expect(washOver(1, free, sea)).toBeGreaterThanOrEqual(washOver(1, free + 0.05, sea) - 1e-12);
          expect(washOver(1, free, sea + 0.1)).toBeGreaterThanOrEqual(washOver(1, free, sea) - 1e-12);
        },
      ),
      { numRuns: runs(60) },
    );
  });
  test('no head, no flow', () =>
    expect([orifice(0.1, 0, 0.6), orifice(0.1, -1, 0.6), overEdge(1, -0.1)]).toEqual([0, 0, 0]));
});

describe('a leak', () => {
  const box = boxOf(4, 1.5, 0.5);
  const hole = (more: Partial<Hole> = {}): Hole => ({
    name: 'Plug',
    kind: 'plug',
    diameter: 0.025,
    x: 2,
    y: 0,
    z: 0,
    guessed: false,
    ...more,
  });
  const weight = { mass: 1200, x: 2, y: 0, z: 0.05 };
  const none = { pump: 0, bailers: 0 };
  check(
    'closed form',
    'orifice',
    'the head stays at the draught of the dry box while it fills: a third full after V/3Q',
    () => {
      // As water comes in, outside and inside levels rise together: w/(LB) each, so the head is the dry draught, 0.2 m, throughout.
      const found = leak(box, hole(), weight, 1000, none);
      expect(found.inflow * LITRES_A_MINUTE).toBeCloseTo(35, 1);
      expect(found.third! / (1 / orifice(0.025, 0.2, 0.6))).toBeCloseTo(1, 2);
    },
  );
  check(
    'closed form',
    'ship-theory',
    'swamped when draught with the water reaches the edge: 0.3 m × 6 m² = 1.8 m³',
    () => {
      const found = leak(box, hole(), weight, 1000, none);
      expect(found.end).toBe('swamped');
      expect(found.swamped! / (1.8 / orifice(0.025, 0.2, 0.6))).toBeGreaterThan(0.9);
      expect(found.swamped! / (1.8 / orifice(0.025, 0.2, 0.6))).toBeLessThan(1.1);
    },
  );
  for (const share of [0.25, 0.5, 0.75]) {
    check(
      'closed form',
      'orifice',
      `a pump that throws out ${share * 100} % of what comes in: a third full after V/3(Q − P)`,
      () => {
        const q = orifice(0.025, 0.2, 0.6);
        const found = leak(box, hole(), weight, 1000, {
          pump: (share * q) / FLOODING.pumpReal.value,
          bailers: 0,
        });
        expect(found.third! / (1 / (q - share * q))).toBeCloseTo(1, 2);
      },
    );
  }
  test('a pump that gives more than comes in holds her; one that gives less gains time', () => {
    const q = orifice(0.025, 0.2, 0.6),
      real = FLOODING.pumpReal.value;
    expect(leak(box, hole(), weight, 1000, { pump: (1.5 * q) / real, bailers: 0 })).toMatchObject({
      end: 'holds',
    });
    const slow = leak(box, hole(), weight, 1000, { pump: (0.5 * q) / real, bailers: 0 }),
      fast = leak(box, hole(), weight, 1000, none);
    expect(slow.third!).toBeGreaterThan(1.9 * fast.third!);
  });
  test('a bailer tires: what held at first is lost later', () => {
    const wide = hole({ diameter: 0.038 });
    const { fresh, tired, seconds } = FLOODING.bailer,
      q = orifice(0.038, 0.2, 0.6);
    expect(fresh).toBeGreaterThan(q);
    expect(tired).toBeLessThan(q);
    expect(leak(box, wide, weight, 1000, { pump: 0, bailers: 1 }).third!).toBeGreaterThan(seconds);
  });
  test('a wider hole, a deeper one, a heavier boat: never slower', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 0.06, noNaN: true }),
        fc.double({ min: 0, max: 0.1, noNaN: true }),
        fc.double({ min: 400, max: 1500, noNaN: true }),
        (diameter, z, mass) => {
          const third = (d: number, height: number, m: number) =>
            leak(box, hole({ diameter: d, z: height }), { ...weight, mass: m }, 1000, none).third ?? Infinity;
          // The last place of a sum may differ.
          const plain = third(diameter, z, mass) + 1e-6;
          expect(third(diameter * 1.2, z, mass)).toBeLessThanOrEqual(plain);
          expect(third(diameter, Math.max(0, z - 0.02), mass)).toBeLessThanOrEqual(plain);
          expect(third(diameter, z, mass + 100)).toBeLessThanOrEqual(plain);
        },
      ),
      { numRuns: runs(12) },
    );
  });
  test('a hole over the water lets nothing in; a hatch over it takes what the waves throw', () => {
    expect(leak(box, hole({ z: 0.4 }), weight, 1000, none)).toMatchObject({ inflow: 0, end: 'holds' });
    const hatch = (z: number, sea: number) =>
      leak(box, hole({ kind: 'hatch', diameter: 0.25, z }), weight, 1000, none, sea).inflow;
    expect(hatch(0.25, 0)).toBe(0);
    expect(hatch(0.25, 0.6)).toBeGreaterThan(0);
    // The lower it stands and the higher the sea, the more comes in.
    expect(hatch(0.25, 0.6)).toBeGreaterThan(hatch(0.3, 0.6));
    expect(hatch(0.25, 0.6)).toBeGreaterThan(hatch(0.25, 0.3));
  });
  test('of a catamaran one hull fills, and she heels to it', () => {
    const boat = {
      kind: 'catamaran',
      length: 4.8,
      beam: 2.4,
      mass: 145,
      openings: [{ name: 'Bung', kind: 'bung' }],
      propulsion: [],
    } as unknown as Boat;
    const hull = hullOf(boat)!;
    const bung = holesOf(boat, hull)[0];
    const found = leak(
      hull,
      bung,
      { mass: 295, x: 2.1, y: 0, z: 0.4 },
      1025,
      none,
      0,
      spaceOf(boat, hull, bung),
    );
    expect(found.atThird?.heel ?? 1).toBeGreaterThan(0);
  });
  test('openings nobody measured are taken from their kind, and said', () => {
    const boat = {
      kind: 'skiff',
      length: 4,
      beam: 1.5,
      openings: [
        { name: 'A', kind: 'plug' },
        { name: 'B', kind: 'hatch', diameter: 0.4, where: 'bow' },
      ],
    } as unknown as Boat;
    expect(holesOf(boat, hullOf(boat)!)).toMatchObject([
      { diameter: 0.025, guessed: true },
      { diameter: 0.4, x: 3.2, guessed: false },
    ]);
  });
});

describe('compartments, against closed forms', () => {
  const weigh = (mass: number, x = 2) => ({ mass, x, y: 0, z: 0.05 });
  const part = (hull: Hull, from: number, to: number): Body => ({
    strips: hull.strips.filter((s) => s.x >= from && s.x <= to),
    share: 1,
  });
  const less = (hull: Hull, lost: Body): Body[] => [...shutHull(hull), { ...lost, share: -lost.share }];
  // A box of L × B with a full-width compartment of length l flooded amidships sinks from T to T·L/(L − l): lost buoyancy.
  for (const [mass, from, to] of [
    [600, 1.6, 2.4],
    [900, 1.6, 2.4],
    [600, 1.2, 2.8],
    [900, 1.2, 2.8],
    [1200, 1.2, 2.8],
  ] as const)
    check(
      'closed form',
      'ship-theory',
      `${mass} kg, flooded from ${from} to ${to} m: sinks by lost buoyancy`,
      () => {
        const box = boxOf(4, 1.5, 0.6);
        const found = equilibrium({
          bodies: less(box, part(box, from, to)),
          weight: weigh(mass),
          density: 1000,
          length: 4,
          beam: 1.5,
        });
        if (found.state !== 'floats') throw new Error(found.state);
        expect(found.at.plane.h).toBeCloseTo(((mass / 6000) * 4) / (4 - (to - from)), 2);
        expect(found.at.trim).toBeCloseTo(0, 4);
      },
    );
  // The same as added water: what runs in through a hole there comes to rest at the level of the sea.
  for (const mass of [600, 900])
    check(
      'closed form',
      'orifice',
      `${mass} kg, a hole amidships fills its compartment to the sea and no further`,
      () => {
        const box = boxOf(4, 1.5, 0.6),
          space = [part(box, 1.6, 2.4)];
        const found = leak(
          box,
          { name: 'Hole', kind: 'plug', diameter: 0.05, x: 2, y: 0, z: 0, guessed: false },
          weigh(mass),
          1000,
          { pump: 0, bailers: 0 },
          0,
          space,
        );
        expect(found.end).toBe('holds');
        expect(found.aboard).toBeCloseTo((0.8 * 1.5 * ((mass / 6000) * 4)) / 3.2, 1);
      },
    );
  // A wedge B wide with its edge down: w = ρ·L·B·T²/(2H), so T = H·√(2w/(ρLBH)).
  const wedge = (H: number): Body[] => [
    {
      strips: Array.from({ length: 40 }, (_, i) => ({
        x: (i + 0.5) / 10,
        width: 0.1,
        rings: [Float64Array.from([-0.5, H, 0, 0, 0.5, H])],
      })),
      share: 1,
    },
  ];
  for (const [H, mass] of [
    [0.5, 100],
    [0.5, 250],
    [0.5, 400],
    [0.8, 300],
    [0.8, 700],
  ] as const)
    check('closed form', 'ship-theory', `a wedge ${H} m high with ${mass} kg draws H·√(2w/ρLBH)`, () => {
      const draught = H * Math.sqrt((2 * mass) / (1000 * 4 * 1 * H));
      const found = equilibrium({
        bodies: wedge(H),
        weight: { mass, x: 2, y: 0, z: 0.1 },
        density: 1000,
        length: 4,
        beam: 1,
      });
      if (found.state !== 'floats') throw new Error(found.state);
      expect(found.at.plane.h).toBeCloseTo(draught, 4);
      // BM = b³/12A with b the breadth at the water, KB two thirds of the draught.
      const b = draught / H,
        area = (b * draught) / 2;
      expect(found.at.gm).toBeCloseTo(b ** 3 / 12 / area + (2 / 3) * draught - 0.1, 2);
    });
  // A cylinder on its side: half full it draws its radius; the volume below a chord is r²·acos((r−d)/r) − (r−d)·√(2rd−d²).
  const cylinder = (r: number): Body[] => [
    {
      strips: [
        {
          x: 1,
          width: 2,
          rings: [
            Float64Array.from(
              Array.from({ length: 720 }, (_, i) => [
                r * Math.cos((2 * Math.PI * i) / 720),
                r + r * Math.sin((2 * Math.PI * i) / 720),
              ]).flat(),
            ),
          ],
        },
      ],
      share: 1,
    },
  ];
  for (const [r, d] of [
    [0.2, 0.05],
    [0.2, 0.2],
    [0.2, 0.3],
    [0.4, 0.1],
    [0.4, 0.6],
  ] as const)
    check('closed form', 'ship-theory', `a cylinder of ${r} m ${d} m deep displaces its segment`, () => {
      const segment = r * r * Math.acos((r - d) / r) - (r - d) * Math.sqrt(2 * r * d - d * d);
      expect(below(cylinder(r), { h: d, t: 0, s: 0 }).volume / (2 * segment)).toBeCloseTo(1, 4);
    });
  check('closed form', 'archimedes', 'the space that floods and what keeps it out make up the hull', () => {
    const boat = {
      id: 'b',
      name: 'B',
      kind: 'skiff',
      length: 4,
      beam: 1.5,
      depth: 0.5,
      mass: 120,
      material: 'alloy',
      propulsion: [],
      openings: [],
      flotation: 'foam',
      reserve: [
        { what: 'foam', where: 'sides', litres: 150 },
        { what: 'compartment', where: 'bow', litres: 80 },
      ],
    } as Boat;
    const hull = hullOf(boat)!;
    const all = whole(shutHull(hull)).volume,
      kept = whole(floaters(boat, hull)).volume;
    expect(whole(spaceOf(boat, hull, { y: 0 })).volume).toBeCloseTo(all - kept, 9);
    expect(whole(spaceOf(boat, hull, { y: 0, where: 'bow' })).volume).toBeCloseTo(0.08, 6);
  });
});
