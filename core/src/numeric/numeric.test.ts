import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { Solver } from 'odex';
import { check } from '../../test/check';
import { runs } from '../../test/runs';
import { addUnder, bisect, brent, reach, rk4, simpson, solve3 } from '.';

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });

/** y at `until` by so many steps from y(0). */
function march(f: (t: number, y: number) => number, y0: number, until: number, steps: number): number {
  let y = y0;
  for (let i = 0; i < steps; i += 1) y = rk4(f, (i * until) / steps, y, until / steps);
  return y;
}

describe('the step of Runge and Kutta', () => {
  check(
    'closed form',
    { title: 'dy/dt = −y gives e^−t' },
    'a tenth of the step is ten thousand times as near',
    () => {
      const off = (n: number) => Math.abs(march((_t, v) => -v, 1, 1, n) - Math.exp(-1));
      expect(off(2) / off(20)).toBeGreaterThan(8_000);
    },
  );
  check(
    'closed form',
    { title: 'A tank that empties: √h falls evenly' },
    'dh/dt = −k√h reaches (√h0 − kt/2)²',
    () => {
      expect(march((_t, h) => -0.5 * Math.sqrt(Math.max(0, h)), 1, 1, 100)).toBeCloseTo((1 - 0.25) ** 2, 6);
    },
  );
  for (const [name, f, y0] of [
    ['a pendulum’s decay', (t: number, y: number) => Math.sin(3 * t) - 0.4 * y, 1],
    ['growth with a limit', (_t: number, y: number) => y * (1 - y / 5), 0.2],
    [
      'water through a hole with a pump',
      (_t: number, y: number) => 0.8 * Math.sqrt(Math.max(0, 2 - y)) - 0.3,
      0,
    ],
  ] as const)
    check('run here', { title: 'odex 2.0.4, extrapolation by Hairer and Wanner' }, name, () => {
      const solver = new Solver(1);
      solver.absoluteTolerance = solver.relativeTolerance = 1e-12;
      const { y } = solver.solve((t, [v]) => [f(t, v)], 0, [y0], 4);
      expect(march(f, y0, 4, 400)).toBeCloseTo(y[0], 8);
    });
});

describe('areas under a curve', () => {
  check('closed form', { title: 'Simpson’s rule is exact for cubics' }, 'any cubic between any ends', () => {
    fc.assert(
      fc.property(
        number(-3, 3),
        number(-3, 3),
        number(-3, 3),
        number(-2, 2),
        number(-2, 2),
        (p, q, r, a, b) => {
          const whole = (x: number) => (p * x ** 4) / 4 + (q * x ** 3) / 3 + (r * x ** 2) / 2 + x;
          expect(simpson((x) => p * x ** 3 + q * x ** 2 + r * x + 1, a, b, 2)).toBeCloseTo(
            whole(b) - whole(a),
            9,
          );
        },
      ),
      { numRuns: runs(100) },
    );
  });
  check('closed form', { title: 'The normal law: Φ(1) − Φ(−1)' }, '0.6826895', () => {
    const bell = (x: number) => Math.exp((-x * x) / 2) / Math.sqrt(2 * Math.PI);
    expect(simpson(bell, -1, 1, 40)).toBeCloseTo(0.6826894921, 6);
  });
});

describe('three equations', () => {
  test('what comes out goes back in', () => {
    const row = fc.tuple(number(-5, 5), number(-5, 5), number(-5, 5));
    fc.assert(
      fc.property(row, row, row, row, (a, b, c, x) => {
        const rows = [a, b, c].map((r) => [...r]);
        const right = rows.map((r) => r[0] * x[0] + r[1] * x[1] + r[2] * x[2]);
        const found = solve3(rows, right);
        if (!found) return;
        for (const [i, r] of rows.entries())
          expect(Math.abs(r[0] * found[0] + r[1] * found[1] + r[2] * found[2] - right[i])).toBeLessThan(1e-3);
      }),
      { numRuns: runs(200) },
    );
  });
  test('rows that hang together have no answer', () => {
    expect(
      solve3(
        [
          [1, 2, 3],
          [2, 4, 6],
          [0, 1, 1],
        ],
        [1, 2, 3],
      ),
    ).toBeUndefined();
  });
  check('closed form', { title: 'A diagonal matrix divides' }, '[2, 4, 10] by [2, 4, 5]', () =>
    expect(
      solve3(
        [
          [2, 0, 0],
          [0, 4, 0],
          [0, 0, 5],
        ],
        [2, 4, 10],
      ),
    ).toEqual([1, 1, 2]),
  );
});

describe('roots', () => {
  // Golden section of the unit, ln 2, the root of cos x = x, a cube root, a triple root that every secant is slow on.
  for (const [name, f, from, to, root] of [
    ['x² + x = 1', (x: number) => x * x + x - 1, 0, 1, 0.6180339887498949],
    ['eˣ = 2', (x: number) => Math.exp(x) - 2, -4, 4, Math.LN2],
    ['cos x = x', (x: number) => Math.cos(x) - x, 0, 1, 0.7390851332151607],
    ['x³ = 10, from the far side', (x: number) => x ** 3 - 10, 9, -1, 2.154434690031884],
    ['a jump', (x: number) => (x < 0.3 ? -1 : 2), 0, 1, 0.3],
  ] as const)
    check('closed form', { title: 'Roots known in closed form or tabled' }, name, () =>
      expect(brent(f, from, to)).toBeCloseTo(root, 9),
    );
  test('of any polynomial with a root inside: no worse than the tolerance, and always in the bracket', () => {
    fc.assert(
      fc.property(number(-2, 2), number(0.1, 4), number(-3, 3), (root, up, bend) => {
        const f = (x: number) => (x - root) * (up + (bend * (x - root)) ** 2);
        const found = brent(f, -3, 3);
        expect(Math.abs(found - root)).toBeLessThan(1e-9);
      }),
      { numRuns: runs(200) },
    );
  });
  test('ends of one sign, and no numbers, are refused; a root at an end is found', () => {
    for (const f of [(x: number) => x * x + 1, () => NaN]) expect(() => brent(f, -1, 1)).toThrow(RangeError);
    expect([brent((x) => x, 0, 1), brent((x) => x - 1, 0, 1)]).toEqual([0, 1]);
  });
  test('halving keeps what holds on one side', () => {
    const [yes, no] = bisect((x) => x < Math.PI, 0, 16, 40);
    expect([yes < Math.PI, no >= Math.PI, no - yes]).toEqual([true, true, 16 / 2 ** 40]);
    expect(bisect((x) => x > 3, 16, 0, 4)).toEqual([4, 3]);
  });
  test('a value of a growing function is reached from any start, an end where it lies outside', () => {
    fc.assert(
      fc.property(number(0.05, 8), number(0, 2), (value, start) => {
        expect(reach((x) => x ** 3, value, 0, 2, start, 1e-10)).toBeCloseTo(Math.cbrt(value), 6);
      }),
      { numRuns: runs(200) },
    );
    expect(reach((x) => x, 9, 0, 2, 1, 1e-9)).toBeCloseTo(2, 9);
  });
});

describe('under a line', () => {
  const under = (points: [number, number][], lift: number, slope: number) => {
    const sum = { area: 0, y: 0, z: 0 };
    addUnder(Float64Array.from(points.flat()), lift, slope, sum);
    return sum;
  };
  const square: [number, number][] = [
    [0, 0],
    [1, 0],
    [1, 1],
    [0, 1],
  ];
  check('closed form', { title: 'Half a square' }, 'area ½, moments ¼ and −⅛ about the line', () =>
    expect(under(square, 0.5, 0)).toEqual({ area: 0.5, y: 0.25, z: -0.125 }),
  );
  check(
    'closed form',
    { title: 'Corners cut off a square' },
    'a line through two corners leaves half',
    () => {
      const { area, y } = under(square, 0, 1);
      expect(area).toBeCloseTo(0.5, 12);
      // The triangle under z = y has its centre at two thirds.
      expect(y / area).toBeCloseTo(2 / 3, 12);
    },
  );
  check('run here', { title: 'Counting small squares' }, 'a crooked outline under a slope', () => {
    const crooked: [number, number][] = [
      [-1, 0.2],
      [0, -0.6],
      [1.2, 0.1],
      [0.8, 0.9],
      [0.2, 0.3],
      [-0.7, 1],
    ];
    const [lift, slope] = [0.25, 0.35];
    const inside = (y: number, z: number) =>
      crooked.reduce((odd, [ay, az], i) => {
        const [by, bz] = crooked[(i + 1) % crooked.length];
        return az > z !== bz > z && y < ((by - ay) * (z - az)) / (bz - az) + ay ? !odd : odd;
      }, false);
    const n = 600;
    let area = 0,
      my = 0,
      mz = 0;
    for (let i = 0; i < n; i += 1)
      for (let j = 0; j < n; j += 1) {
        const y = -1.5 + (3 * (i + 0.5)) / n,
          z = -1 + (2.5 * (j + 0.5)) / n;
        if (z > lift + slope * y || !inside(y, z)) continue;
        const cell = (3 / n) * (2.5 / n);
        area += cell;
        my += y * cell;
        mz += (z - lift) * cell;
      }
    const sum = under(crooked, lift, slope);
    for (const [ours, counted] of [
      [sum.area, area],
      [sum.y, my],
      [sum.z, mz],
    ])
      expect(ours).toBeCloseTo(counted, 2);
  });
  test('all over it, nothing; all under it, all of it', () => {
    expect(under(square, -1, 0)).toEqual({ area: 0, y: 0, z: 0 });
    expect(under(square, 2, 0).area).toBe(1);
  });
});
