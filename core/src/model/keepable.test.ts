import { describe, expect, test } from '@jest/globals';
import { BOUNDS, CivilDate, Instant, keepable, unkeepable } from '.';

describe('what can be kept', () => {
  test.each([
    ['a\0b', 'ab'],
    ['half \ud83d', 'half '],
    ['\ude00 half', ' half'],
    ['whole \ud83d\ude00', 'whole \ud83d\ude00'],
    [
      { name: 'a\0', list: ['\ud83d'] },
      { name: 'a', list: [''] },
    ],
    [7, 7],
    [null, null],
  ])('%j is kept as %j, and only the first may be refused', (value, kept) => {
    expect(keepable(value)).toEqual(kept);
    expect(unkeepable(kept)).toBeUndefined();
    expect(unkeepable(value) === undefined).toBe(JSON.stringify(value) === JSON.stringify(kept));
  });
  test('neither a key nor a depth nor a number of parts gets past; a hundred thousand deep is looked at, not fallen into', () => {
    expect(unkeepable({ 'a\0': 1 })).toMatch(/character/);
    let deep: unknown = 1;
    for (let i = 0; i < 100_000; i += 1) deep = [deep];
    expect(unkeepable(deep)).toMatch(/deeper/);
    expect(unkeepable(Array(BOUNDS.parts).fill(0))).toMatch(/more parts/);
  });
  test.each([
    ['2026-02-30', false],
    ['2024-02-29', true],
    ['1899-12-31', false],
    ['0000-01-01', false],
    ['9999-12-31', false],
    ['2199-12-31', true],
  ])('the day %s is one: %s', (day, ok) => expect(CivilDate.safeParse(day).success).toBe(ok));
  test('an instant has a year that somebody lives in', () => {
    expect(Instant.safeParse('2026-05-12T04:10:00Z').success).toBe(true);
    expect(Instant.safeParse('0000-01-01T00:00:00Z').success).toBe(false);
  });
});
