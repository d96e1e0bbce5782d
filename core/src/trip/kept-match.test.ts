import { describe, expect, test } from '@jest/globals';
import { inputOf, steady } from '../../test/demo';
import { prepare } from '.';

/** Of most departures the matching is the one before, told with other reasons: what is swept in a row is what is asked alone. */
describe('matching kept from one departure to the next', () => {
  const HOUR = 3_600_000;
  // By day and by night, in calm and in a wind that asks for helmets, over midnight and into another year.
  const input = inputOf(3, { forecast: steady({ wind: 9, gust: 12 }, 30) });
  const start = Date.UTC(2026, 4, 11);
  const hours = Array.from({ length: 60 }, (_, i) => start + i * 2.6 * HOUR);
  test('sixty departures in a row, forwards and back, are those of sixty trips asked by themselves', () => {
    const swept = prepare(input);
    const there = hours.map((leave) => swept.at(leave));
    const back = hours
      .toReversed()
      .map((leave) => swept.at(leave))
      .reverse();
    hours.forEach((leave, i) => {
      const alone = prepare(input).at(leave);
      expect(there[i]).toEqual(alone);
      expect(back[i]).toEqual(alone);
    });
  }, 60_000);
});
