import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { check } from '../../test/check';
import { lineOf, shoreOf } from '../chart';
import { onward } from '../earth';
import { fetchesAt, fetchOf } from './fetch';
import { windAtHeight } from './air';
import { cem, jonswap, onStream, seaOf, smb, spm, spmDuration, spmShallow, steepness, wilson } from './waves';

/** To the last figure that was written down. */
const near = (value: number, told: number, digits: number) =>
  expect(Math.abs(value - told)).toBeLessThanOrEqual(0.51 * 10 ** -digits + told * 0.003);

describe('waves over a fetch', () => {
  // Wind m/s, fetch km; height m and period s by each method, the Manual's least duration in minutes.
  const rows: [number, number, ...[number, number][]][] = [
    [5, 2, [0.117, 1.36], [0.105, 1.01], [0.146, 1.31], [0.146, 1.49], [0.114, 1.31]],
    [8, 5, [0.331, 2.23], [0.277, 1.62], [0.371, 2.09], [0.37, 2.36], [0.289, 2.09]],
    [10, 5, [0.436, 2.45], [0.355, 1.76], [0.477, 2.31], [0.482, 2.67], [0.361, 2.25]],
    [10, 10, [0.616, 3.08], [0.502, 2.22], [0.643, 2.79], [0.64, 3.12], [0.511, 2.83]],
    [12, 10, [0.771, 3.32], [0.617, 2.38], [0.793, 3.04], [0.794, 3.45], [0.613, 3.01]],
    [15, 20, [1.43, 4.58], [1.13, 3.26], [1.38, 4.06], [1.37, 4.56], [1.08, 4.08]],
    [20, 20, [2.04, 5.16], [1.58, 3.65], [1.91, 4.63], [1.93, 5.34], [1.45, 4.5]],
  ];
  check(
    'recalled',
    'spm-1984',
    'seven winds and fetches by five methods, as handbooks of coastal engineering work them out',
    () => {
      for (const [wind, km, ...told] of rows)
        [spm, cem, wilson, smb, jonswap].forEach((method, i) => {
          const { height, period } = method(wind, km * 1000);
          near(height, told[i][0], told[i][0] < 1 ? 3 : 2);
          near(period, told[i][1], 2);
        });
    },
  );
  check('recalled', 'spm-1984', 'least durations: 49, 75, 68, 108, 146 and 130 minutes', () => {
    for (const [wind, km, minutes] of [
      [5, 2, 49],
      [8, 5, 75],
      [10, 5, 68],
      [10, 10, 108],
      [15, 20, 146],
      [20, 20, 130],
    ])
      near(spmDuration(wind, km * 1000) / 60, minutes, 0);
  });
  check('recalled', 'spm-1984', 'in knots and kilometres: 10 to 30 knots over 1, 5 and 20 km', () => {
    const table: [number, ...[number, number][]][] = [
      [10, [0.09, 1.1], [0.19, 1.9], [0.39, 3.0]],
      [15, [0.14, 1.3], [0.32, 2.2], [0.63, 3.5]],
      [20, [0.2, 1.4], [0.45, 2.5], [0.9, 3.9]],
      [25, [0.27, 1.6], [0.59, 2.7], [1.19, 4.3]],
      [30, [0.33, 1.7], [0.74, 2.9], [1.49, 4.6]],
    ];
    for (const [knots, ...told] of table)
      [1, 5, 20].forEach((km, i) => {
        const { height, period } = spm(knots * 0.514444, km * 1000);
        near(height, told[i][0], 2);
        near(period, told[i][1], 1);
      });
  });
  check('recalled', 'spm-1984', 'over a bottom: 10 m/s, 5 km, 1 to 10 m; 12 m/s, 10 km, 2 to 5 m', () => {
    const rows: [number, number, number, number, number][] = [
      [10, 5, 1, 0.265, 1.95],
      [10, 5, 2, 0.349, 2.11],
      [10, 5, 3, 0.382, 2.18],
      [10, 5, 5, 0.408, 2.24],
      [10, 5, 10, 0.424, 2.31],
      [12, 10, 2, 0.488, 2.65],
      [12, 10, 3, 0.579, 2.78],
      [12, 10, 5, 0.663, 2.91],
    ];
    for (const [wind, km, depth, height, period] of rows) {
      const sea = spmShallow(wind, km * 1000, depth);
      near(sea.height, height, 3);
      near(sea.period, period, 2);
    }
  });
  const wind = fc.double({ min: 1, max: 30, noNaN: true }),
    fetch = fc.double({ min: 50, max: 300_000, noNaN: true }),
    depth = fc.double({ min: 0.1, max: 60, noNaN: true });
  test('more wind, more fetch and more depth never make them less; the band holds every method', () => {
    fc.assert(
      fc.property(wind, fetch, depth, (u, f, d) => {
        const here = seaOf(u, f, d);
        for (const more of [seaOf(u * 1.2, f, d), seaOf(u, f * 1.2, d), seaOf(u, f, d * 1.2)]) {
          expect(more.height[0]).toBeGreaterThanOrEqual(here.height[0] - 1e-12);
          expect(more.height[1]).toBeGreaterThanOrEqual(here.height[1] - 1e-12);
        }
        expect(here.height[0]).toBeLessThanOrEqual(here.height[1]);
        expect(here.height[1]).toBeLessThanOrEqual(0.78 * d + 1e-12);
        const deep = seaOf(u, f);
        for (const method of [spm, cem, wilson, smb, jonswap]) {
          expect(method(u, f).height).toBeGreaterThanOrEqual(deep.height[0] - 1e-12);
          expect(method(u, f).height).toBeLessThanOrEqual(deep.height[1] + 1e-12);
        }
      }),
    );
  });
  test('no wind or no fetch, no waves', () => {
    for (const sea of [seaOf(0, 5000), seaOf(10, 0)]) expect(sea.height).toEqual([0, 0]);
  });
});

describe('waves on a stream', () => {
  check('recalled', 'waves-on-stream', 'nine periods and streams: height, length and steepness', () => {
    // Period s, stream m/s, height ×, length from and to m, steepness ×.
    const rows: [number, number, number, number, number, number][] = [
      [3, -0.5, 1.31, 14.05, 10.84, 1.7],
      [3, -1, 2.34, 14.05, 6.71, 4.9],
      [4, -0.5, 1.21, 24.98, 20.8, 1.45],
      [4, -1, 1.615, 24.98, 15.98, 2.52],
      [4, -1.25, 2.07, 24.98, 13.07, 3.96],
      [5, -1, 1.41, 39, 28.1, 1.96],
      [6, -1, 1.31, 56.2, 43.4, 1.7],
      [4, 0.5, 0.868, 24.98, 28.8, 0.75],
    ];
    for (const [period, stream, height, from, to, steep] of rows) {
      const on = onStream(period, stream)!;
      near(on.height, height, 2);
      near(on.length * from, to, 1);
      near(on.steepness, steep, 2);
    }
  });
  check(
    'recalled',
    'waves-on-stream',
    'a stream of c0/4 stops them: 1.17, 1.56, 1.95, 2.34 m/s at 3 to 6 s',
    () => {
      for (const [period, stops] of [
        [3, 1.17],
        [4, 1.56],
        [5, 1.95],
        [6, 2.34],
      ]) {
        expect(onStream(period, -(stops + 0.01))).toBeUndefined();
        expect(onStream(period, -(stops - 0.01))).toBeDefined();
      }
    },
  );
  check(
    'closed form',
    'waves-on-stream',
    'without a stream nothing changes, and the flow of energy is one: H²·c·(c + 2U)',
    () => {
      expect(onStream(4, 0)).toEqual({ height: 1, length: 1, steepness: 1 });
      const c0 = (9.80665 * 4) / (2 * Math.PI);
      for (const u of [-1.2, -0.4, 0.3, 2]) {
        const { height, length } = onStream(4, u)!;
        const c = c0 * Math.sqrt(length);
        expect(height ** 2 * c * (c + 2 * u)).toBeCloseTo(c0 ** 2, 9);
      }
    },
  );
  check('recalled', { title: 'L0 = 1.56·T²; Miche: a deep wave breaks at H/L 0.142' }, 'steepness', () => {
    expect(steepness(1, 4)).toBeCloseTo(1 / 24.98, 4);
  });
});

check('recalled', 'drag-flat', 'wind at 0.7 m is three quarters, at 2 m five sixths of that at 10 m', () => {
  expect(windAtHeight(10, 0.7)).toBeCloseTo(7.5, 1);
  expect(windAtHeight(10, 2)).toBeCloseTo(8.4, 1);
});

describe('fetch over a shore', () => {
  const here = { lat: 50, lon: -5 };
  /** A round lake of so many metres around a point. */
  const lake = (metres: number, corners = 360) =>
    shoreOf({
      source: 'x',
      depths: [],
      shore: [
        {
          inside: 'water',
          rings: [
            lineOf(Array.from({ length: corners }, (_, i) => onward(here, (360 * i) / corners, metres))),
          ],
        },
      ],
    })!;
  check(
    'closed form',
    { title: 'a round lake: from its middle every fetch is its radius' },
    'is the radius',
    () => {
      for (let from = 0; from < 360; from += 10) {
        const { metres, open } = fetchOf(lake(4000), here, from);
        expect(open).toBe(false);
        expect(Math.abs(metres - 4000)).toBeLessThan(4);
      }
    },
  );
  check(
    'closed form',
    { title: 'chord of a circle from half-way to its edge: towards it r/2, away 3r/2, across r·√3/2' },
    'and the chord elsewhere, over the nine rays',
    () => {
      const at = onward(here, 90, 2000);
      const chord = (from: number) => {
        const mean = [...Array(9)].reduce((sum: number, _, i) => {
          const turn = ((from - 90 + (i - 4) * 3) * Math.PI) / 180;
          return sum - 2000 * Math.cos(turn) + Math.sqrt(4000 ** 2 - (2000 * Math.sin(turn)) ** 2);
        }, 0);
        return mean / 9;
      };
      for (const from of [0, 90, 180, 270]) {
        expect(Math.abs(fetchOf(lake(4000), at, from).metres - chord(from))).toBeLessThan(8);
      }
    },
  );
  test('where the chart ends before a shore is met, the fetch is open', () => {
    const island = shoreOf({
      source: 'x',
      depths: [],
      shore: [{ inside: 'land', rings: [lineOf([here, onward(here, 0, 500), onward(here, 90, 500)])] }],
    })!;
    expect(fetchOf(island, onward(here, 270, 2000), 270).open).toBe(true);
  });
  test('a direction is reckoned once for all winds within it', () => {
    const fetches = fetchesAt(lake(4000), here);
    expect(fetches(221)).toBe(fetches(219));
    expect(fetches(356)).toBe(fetches(4));
  });
});
