import { depthNumbers } from './depth-numbers';
import type { Corner } from './drawn';

const box = (south: number, west: number, north: number, east: number): Corner[] => [
  [south, west],
  [south, east],
  [north, east],
  [north, west],
  [south, west],
];

test('the number of an area stands where it is broadest: not in its middle where that is a hole', () => {
  const [one] = depthNumbers([{ least: 2, rings: [box(50, -5, 50.02, -4.96)] }]);
  expect([one.least, one.at[0]]).toEqual([2, expect.closeTo(50.01, 2)]);
  // Twelve hundred metres high and more than twice as wide: as broad as it is high.
  expect(one.broad).toBeCloseTo(0.02, 3);
  const [holed] = depthNumbers([
    { least: 5, rings: [box(50, -5, 50.03, -4.97), box(50.004, -4.996, 50.026, -4.99)] },
  ]);
  const [lat, lon] = holed.at;
  expect(lat > 50.004 && lat < 50.026 && lon > -4.996 && lon < -4.99).toBe(false);
});
test('a line, a dot and nothing carry no number', () =>
  expect(
    depthNumbers([
      {
        least: 1,
        rings: [
          [
            [50, -5],
            [50, -4],
          ],
        ],
      },
      { least: 1, rings: [] },
    ]),
  ).toEqual([]));
