import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { check } from '../../test/check';
import { COLD_TABLE, coldRow, dressFor, haywardSurvival, NOT_COLD, HANDS, warmEnough } from '.';

for (const [celsius, minutes] of [
  [0, 107],
  [2, 115],
  [5, 132],
  [8, 155],
  [10, 177],
  [12, 206],
  [15, 277],
  [18, 431],
  [20, 701],
] as const)
  check('recalled', 'hayward', `${celsius} °C: mean ${minutes} min`, () =>
    expect(Math.round(haywardSurvival(celsius)! / 60)).toBe(minutes),
  );

const F = (f: number) => ((f - 32) * 5) / 9;
const h = (hours: number) => hours * 3600;
for (const [fahrenheit, exhausted, survives] of [
  [32, [0, 900], [900, 2700]],
  [35, [900, 1800], [1800, 5400]],
  [45, [1800, 3600], [h(1), h(3)]],
  [55, [h(1), h(2)], [h(1), h(6)]],
  [65, [h(2), h(7)], [h(2), h(40)]],
  [75, [h(3), h(12)], [h(3), undefined]],
] as const)
  check('recalled', 'cold-table', `${fahrenheit} °F`, () =>
    expect(coldRow(F(fahrenheit))).toMatchObject({ exhausted, survives }),
  );

test('on a limit the warmer row holds, and the last limit is no longer cold', () => {
  expect(coldRow(F(50))).toBe(COLD_TABLE[3]);
  expect(coldRow(F(49.99))).toBe(COLD_TABLE[2]);
  expect(coldRow(NOT_COLD)).toBeUndefined();
});
check('recalled', 'cold-1-10-1', 'ten minutes of useful hands up to 10 °C', () =>
  expect(HANDS).toEqual({ seconds: 600, upTo: 10 }),
);
test('warmer water never shortens the mean; outside its range the formula says nothing', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -2, max: 20, noNaN: true }),
      fc.double({ min: -2, max: 20, noNaN: true }),
      (a, b) => expect(haywardSurvival(Math.max(a, b))! >= haywardSurvival(Math.min(a, b))!).toBe(true),
    ),
  );
  expect([haywardSurvival(20.1), haywardSurvival(-2.1)]).toEqual([undefined, undefined]);
});
for (const [celsius, least] of [
  [9.9, 'dry-suit'],
  [10, 'wetsuit-5'],
  [14.9, 'wetsuit-5'],
  [15, 'wetsuit-3'],
  [20.9, 'wetsuit-3'],
  [21, undefined],
] as const)
  check('recalled', 'dress-for-water', `${celsius} °C asks for ${least ?? 'nothing more'}`, () =>
    expect(dressFor(celsius)).toBe(least),
  );
test('more is never less', () => {
  expect(warmEnough('dry-suit', 'wetsuit-5')).toBe(true);
  expect(warmEnough('flotation-suit', 'dry-suit')).toBe(true);
  expect(warmEnough('light', 'wetsuit-3')).toBe(false);
});
