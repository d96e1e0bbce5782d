import { describe, expect, test } from '@jest/globals';
import { chance, shuffled } from './chance';

describe('chance out of a seed', () => {
  test('the same seed gives the same numbers, another one others; all in their range', () => {
    const row = (seed: number) => {
      const draw = chance(seed);
      return Array.from({ length: 50 }, draw);
    };
    expect(row(7)).toEqual(row(7));
    expect(row(7)).not.toEqual(row(8));
    for (const value of row(9)) expect(value >= 0 && value < 1).toBe(true);
  });
  test('each of the six orders of three things comes about as often', () => {
    const draw = chance(3);
    const counts = new Map<string, number>();
    const throws = 6000;
    for (let i = 0; i < throws; i += 1) {
      const order = shuffled(['a', 'b', 'c'], draw).join('');
      counts.set(order, (counts.get(order) ?? 0) + 1);
    }
    expect(counts.size).toBe(6);
    // Six standard deviations of a binomial: √(6000 · 1/6 · 5/6) = 29.
    for (const n of counts.values()) expect(Math.abs(n - throws / 6)).toBeLessThan(6 * 29);
  });
  test('nothing is lost or doubled', () =>
    expect(shuffled([1, 2, 3, 4, 5], chance(1)).sort()).toEqual([1, 2, 3, 4, 5]));
});
