import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { check } from '../../test/check';
import { runs } from '../../test/runs';
import { BOX, boxOf } from '../../test/hulls';
import { CRAFT, type Craft } from '../model/lists';
import {
  below,
  equilibrium,
  freeboards,
  hullFrom,
  planCoefficient,
  together,
  whole,
  type Bearing,
  type Body,
  type Floating,
  type Strip,
  type Weight,
  HULLS,
} from '.';

const L = 4,
  B = 1.5,
  D = 0.5;
const box = boxOf(L, B, D);
const float = (weights: Weight[], more: Partial<Bearing> = {}): Floating => {
  const found = equilibrium({
    bodies: [{ strips: box.strips, share: 1 }],
    weight: together(weights),
    density: 1000,
    length: L,
    beam: B,
    ...more,
  });
  if (found.state !== 'floats') throw new Error(found.state);
  return found.at;
};
const at = (mass: number, x = L / 2, y = 0, z = 0.2): Weight => ({ mass, x, y, z });

/** What a litre or so of water costs of GM when it may run, beside the same water frozen where it lies. */
function loss(strips: Strip[]): number {
  const volume = 0.001,
    lies = whole([{ strips, share: 1 }]);
  const hung = at(1199, 2, 0, -0.5),
    tilt = { mass: volume * 1000, x: lies.x, y: lies.y, z: volume / 12 };
  return float([hung, tilt]).gm - float([hung], { inside: { space: [{ strips, share: 1 }], volume } }).gm;
}

describe('a box, against closed forms', () => {
  for (const [mass, density] of [
    [300, 1000],
    [1200, 1000],
    [1200, 1025],
    [2400, 1000],
  ] as const)
    check('closed form', 'ship-theory', `${mass} kg in water of ${density} draw m/(ρLB)`, () =>
      expect(float([at(mass, 2, 0, 0.02)], { density }).plane.h).toBeCloseTo(mass / (density * L * B), 6),
    );
  check('closed form', 'ship-theory', 'GM = T/2 + B²/12T − KG; with T 0.2 m BM is 0.9375 m', () =>
    expect(float([at(1200)]).gm).toBeCloseTo(0.1 + 0.9375 - 0.2, 5),
  );
  // Thirty strips see the moment along 1/900 short.
  check('closed form', 'ship-theory', 'longitudinal BM L²/12T = 6.67 m', () =>
    expect(float([at(1200)]).gmLong).toBeCloseTo(0.1 + (L ** 2 / (12 * 0.2)) * (1 - 1 / 900) - 0.2, 3),
  );
  check(
    'closed form',
    'ship-theory',
    'an off-centre weight heels to tan φ = m·y/(M·GM) while φ is small',
    () => {
      const heel = Math.tan(float([at(1190), at(10, 2, 0.3)]).heel);
      expect(heel).toBeCloseTo((10 * 0.3) / (1200 * 0.8375), 5);
    },
  );
  check(
    'closed form',
    'ship-theory',
    '80 kg moved 1.5 m along: 9.0 cm of trim, moment to change trim 20.0 kg·m/cm by B1.4 with GM_L for BM_L',
    () => {
      const trim = Math.tan(float([at(1120), at(80, 3.5)]).trim) * L;
      expect(Math.abs(trim)).toBeCloseTo(((80 * 1.5) / (1200 * 6.567)) * L, 3);
      expect((1200 * (L ** 2 / (12 * 0.2))) / (100 * L)).toBeCloseTo(20, 6);
    },
  );
  check('closed form', 'ship-theory', 'wall-sided: GZ = sin φ·(GM + ½·BM·tan²φ), checked at 12°', () => {
    const phi = (12 * Math.PI) / 180,
      gm = 0.8375,
      bm = 0.9375;
    const arm = Math.sin(phi) * (gm + 0.5 * bm * Math.tan(phi) ** 2);
    // The weight across that holds her at that angle: its arm is y·cos φ.
    const y = arm / Math.cos(phi);
    expect(float([at(1200, 2, y)]).heel).toBeCloseTo(phi, 5);
  });
  check(
    'closed form',
    'ship-theory',
    'a thin free layer over the full width costs i/V of GM: 0.94 m for 4 m, which cancels BM',
    () => {
      expect(loss(box.strips)).toBeCloseTo((L * B ** 3) / 12 / 1.2, 3);
      expect((L * B ** 3) / 12 / 1.2).toBeCloseTo(0.9375, 4);
    },
  );
  check(
    'closed form',
    'ship-theory',
    'in 3 m of cockpit 0.70 m, and one division along the middle leaves a quarter',
    () => {
      expect((3 * B ** 3) / 12 / 1.2).toBeCloseTo(0.703, 3);
      const cockpit = box.strips.filter((s) => s.x > 0.5 && s.x < 3.5);
      const length = cockpit.reduce((sum, s) => sum + s.width, 0);
      expect(loss(cockpit)).toBeCloseTo((length * B ** 3) / 12 / 1.2, 3);
      const half = (low: number, high: number) => Float64Array.from([low, 0, high, 0, high, D, low, D]);
      const divided =
        loss(cockpit.map((s) => ({ ...s, rings: [half(-B / 2, 0)] }))) +
        loss(cockpit.map((s) => ({ ...s, rings: [half(0, B / 2)] })));
      expect(divided).toBeCloseTo((length * B ** 3) / 12 / 1.2 / 4, 3);
    },
  );
});

describe('a cylinder on its side', () => {
  const r = 0.4,
    CORNERS = 720;
  const ring = Float64Array.from(
    Array.from({ length: CORNERS }, (_, i) => [
      r * Math.cos((2 * Math.PI * i) / CORNERS),
      r + r * Math.sin((2 * Math.PI * i) / CORNERS),
    ]).flat(),
  );
  const body: Body[] = [
    {
      strips: Array.from({ length: 30 }, (_, i) => ({ x: (i + 0.5) / 10, width: 0.1, rings: [ring] })),
      share: 1,
    },
  ];
  check(
    'closed form',
    'ship-theory',
    'half sunk displaces half its volume, centred 4r/3π under the surface',
    () => {
      const d = below(body, { h: r, t: 0, s: 0 });
      expect(d.volume).toBeCloseTo((Math.PI * r * r * 3) / 2, 3);
      expect(r - d.z).toBeCloseTo((4 * r) / (3 * Math.PI), 4);
    },
  );
  check('closed form', 'ship-theory', 'its metacentre is its axis at every draught: GM = r − KG', () => {
    for (const share of [0.2, 0.5, 0.8]) {
      const found = equilibrium({
        bodies: body,
        weight: { mass: share * Math.PI * r * r * 3 * 1000, x: 1.5, y: 0, z: 0.15 },
        density: 1000,
        length: 3,
        beam: 0.8,
      });
      if (found.state !== 'floats') throw new Error(found.state);
      expect(found.at.gm).toBeCloseTo(r - 0.15, 3);
    }
  });
});

describe('what does not stay upright', () => {
  test('more weight than all of it bears sinks', () =>
    expect(
      equilibrium({
        bodies: [{ strips: box.strips, share: 1 }],
        weight: at(L * B * D * 1000 + 1),
        density: 1000,
        length: L,
        beam: B,
      }).state,
    ).toBe('sinks'));
  test('top-heavy: she lolls or goes over, and is never said to float upright', () => {
    const found = equilibrium({
      bodies: [{ strips: box.strips, share: 1 }],
      weight: at(1200, 2, 0, 1.3),
      density: 1000,
      length: L,
      beam: B,
    });
    if (found.state === 'floats') expect(Math.abs(found.at.heel)).toBeGreaterThan(0.05);
    else expect(found.state).toBe('capsizes');
  });
  test('all of it at one end stands on end', () => {
    const found = equilibrium({
      bodies: [{ strips: box.strips.filter((s) => s.x < 1), share: 1 }],
      weight: at(100, 3, 0, 0.1),
      density: 1000,
      length: L,
      beam: B,
    });
    expect(['on-end', 'capsizes']).toContain(found.state);
  });
});

describe('properties', () => {
  const spot = fc.record({
    mass: fc.double({ min: 5, max: 90, noNaN: true }),
    x: fc.double({ min: 1, max: 3, noNaN: true }),
    y: fc.double({ min: -0.3, max: 0.3, noNaN: true }),
    z: fc.constant(0.25),
  });
  const boat = at(150, 2, 0, 0.2);
  test('volume and moments are kept: displaced weight is the weight, and the centres stand over each other', () => {
    fc.assert(
      fc.property(fc.array(spot, { minLength: 1, maxLength: 5 }), (weights) => {
        const all = together([boat, ...weights]);
        const found = equilibrium({
          bodies: [{ strips: box.strips, share: 1 }],
          weight: all,
          density: 1025,
          length: L,
          beam: B,
        });
        if (found.state !== 'floats') return;
        const { plane } = found.at,
          d = below([{ strips: box.strips, share: 1 }], plane);
        expect(d.volume * 1025).toBeCloseTo(all.mass, 1);
        expect(d.x - all.x + plane.t * (d.z - all.z)).toBeCloseTo(0, 4);
        expect(d.y - all.y + plane.s * (d.z - all.z)).toBeCloseTo(0, 4);
      }),
      { numRuns: runs(60) },
    );
  });
  test('more weight low in the middle never raises the lowest freeboard', () => {
    fc.assert(
      fc.property(
        fc.array(spot, { maxLength: 4 }),
        fc.double({ min: 1, max: 80, noNaN: true }),
        (weights, more) => {
          const low = (extra: number) => {
            const found = equilibrium({
              bodies: [{ strips: box.strips, share: 1 }],
              weight: together([boat, ...weights, at(extra, 2, 0, 0.05)]),
              density: 1000,
              length: L,
              beam: B,
            });
            return found.state === 'floats' ? freeboards(box, found.at.plane).lowest : -1;
          };
          // Ballast amidships may bring a listing boat upright; as much as it sinks her stays in force for a level one.
          const level = together([boat, ...weights]);
          if (Math.abs(level.y) < 0.01 && Math.abs(level.x - 2) < 0.01)
            expect(low(more)).toBeLessThanOrEqual(low(0) + 1e-6);
          expect(whole([{ strips: box.strips, share: 1 }]).volume).toBeCloseTo(L * B * D, 9);
        },
      ),
      { numRuns: runs(40) },
    );
  });
  test('port and starboard are the same sum', () => {
    fc.assert(
      fc.property(spot, (w) => {
        const left = float([boat, w]),
          right = float([boat, { ...w, y: -w.y }]);
        expect(left.heel).toBeCloseTo(-right.heel, 6);
        expect(left.trim).toBeCloseTo(right.trim, 6);
      }),
      { numRuns: runs(40) },
    );
  });
});

describe('the forms that stand in for hulls', () => {
  const RANGE: Partial<Record<Craft, [number, number]>> = {
    'sit-on-top': [0.62, 0.72],
    'sit-inside': [0.62, 0.72],
    canoe: [0.62, 0.72],
    paddleboard: [0.8, 0.85],
    skiff: [0.78, 0.85],
    'trailer-boat': [0.78, 0.85],
  };
  for (const [kind, [low, high]] of Object.entries(RANGE) as [Craft, [number, number]][])
    check(
      'recalled',
      'waterplane-range',
      `${kind}: waterplane coefficient between ${low} and ${high}`,
      () => {
        expect(planCoefficient(HULLS[kind])).toBeGreaterThanOrEqual(low);
        expect(planCoefficient(HULLS[kind])).toBeLessThanOrEqual(high);
      },
    );
  // kg a centimetre by B1.4's table, fresh: from the outline at the sheer, so an upper bound that a flaring side stays under.
  for (const [kind, length, beam, perCm] of [
    ['sit-inside', 4.2, 0.62, 16.9],
    ['sit-on-top', 3.6, 0.8, 20.7],
    ['paddleboard', 3.4, 0.8, 22.3],
    ['canoe', 4.9, 0.86, 28.7],
    ['skiff', 4, 1.5, 49.2],
    ['trailer-boat', 5.8, 2.1, 97.4],
  ] as const)
    check(
      'recalled',
      'waterplane-range',
      `${kind} ${length} × ${beam} m sinks a centimetre for about ${perCm} kg`,
      () => {
        const hull = hullFrom({ length, beam, depth: beam * HULLS[kind].guess.depth }, HULLS[kind]);
        const volume = (h: number) => below([{ strips: hull.strips, share: 1 }], { h, t: 0, s: 0 }).volume;
        const h = hull.depth * 0.5;
        expect(((volume(h + 0.005) - volume(h - 0.005)) * 1000) / perCm).toBeGreaterThan(0.75);
        expect(((volume(h + 0.005) - volume(h - 0.005)) * 1000) / perCm).toBeLessThan(1.1);
      },
    );
  test('every kind of craft has one, with seats and holds inside the boat', () => {
    for (const kind of Object.keys(CRAFT) as Craft[]) {
      const form = HULLS[kind];
      for (const { x, y } of [...form.seats, ...form.holds])
        expect([x >= 0 && x <= 1, Math.abs(y) <= 1]).toEqual([true, true]);
      expect(new Set(form.holds.map((h) => h.id))).toEqual(new Set(['bow', 'middle', 'stern', 'deck']));
    }
  });
  test('a box form is a box', () => expect(planCoefficient(BOX)).toBeCloseTo(1, 9));
});
