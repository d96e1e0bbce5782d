import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { aBoat } from '../../test/demo';
import { check } from '../../test/check';
import { runs } from '../../test/runs';
import type { AirReading, AirTest } from '../model';
import { render } from '../say';
import { airTestAge, airFindings, airLossOf } from '.';

const MBAR = 100;
const reading = (gauge: number, tubes: number | undefined, more: Partial<AirReading> = {}): AirReading => ({
  on: '2026-05-10',
  time: '20:00',
  gauge: gauge * MBAR,
  air: 1013 * MBAR,
  ...(tubes === undefined ? {} : { tubes }),
  ...more,
});
const morning = (gauge: number, tubes: number | undefined, more: Partial<AirReading> = {}) =>
  reading(gauge, tubes, { on: '2026-05-11', time: '07:00', ...more });
const night = (gauge: number, tubes: number | undefined, more: Partial<AirReading> = {}): AirTest => ({
  first: reading(250, 20),
  second: morning(gauge, tubes, more),
  shaded: true,
});
const said = (test: AirTest) => {
  const { answer, why } = airLossOf(test);
  return why ? `${answer}: ${why}` : answer;
};
/** (p + b)·T₂/T₁ − b, of 250 mbar at 20 °C under 1013 hPa. */
const tight = (celsius: number, air = 1013) => ((250 + 1013) * (celsius + 273.15)) / 293.15 - air;

describe('the gas law', () => {
  check(
    'closed form',
    'gas-law',
    'from 20 to 10 °C a tight tube falls from 250 to 207 mbar, and holds',
    () => {
      expect(tight(10)).toBeCloseTo(206.9, 1);
      const { answer, lost, tight: band } = airLossOf(night(tight(10), 10));
      expect(answer).toBe('holds');
      expect(Math.abs(lost!.low + lost!.high)).toBeLessThan(0.01);
      expect((band!.low + band!.high) / 2 / MBAR).toBeCloseTo(206.9, 0);
    },
  );
  check('closed form', 'gas-law', 'a barometer that rises by 20 hPa takes as much off the gauge', () => {
    expect(tight(20, 1033)).toBeCloseTo(230, 6);
    expect(airLossOf(night(tight(20, 1033), 20, { air: 1033 * MBAR })).answer).toBe('holds');
    // Without either barometer a night may change it by ten: twenty is more than that.
    const blind = night(tight(20, 1033), 20);
    delete blind.first!.air;
    delete blind.second!.air;
    expect(said(blind)).toBe('cant-tell: between');
  });
  check('closed form', 'gas-law', 'the share that is gone: 100 mbar of 1263 at one warmth is 7.9 %', () => {
    const { answer, lost } = airLossOf(night(150, 20));
    expect(answer).toBe('leaks');
    expect(lost!.low).toBeLessThan(100 / 1263);
    expect(lost!.high).toBeGreaterThan(100 / 1263);
    expect(lost!.high - lost!.low).toBeLessThan(0.06);
  });
  test('the same fall on the gauge is a leak in the warm and none in the cold', () => {
    expect([said(night(207, 20)), said(night(207, 10))]).toEqual(['leaks', 'holds']);
  });
  test('a gauge that stands while the tubes grew warm has lost air', () => {
    expect(said(night(250, 32))).toBe('leaks');
  });
});

describe('what can’t be told', () => {
  test.each([
    ['nothing', {}, 'first'],
    ['no pressure', { ...night(250, 20), first: { on: '2026-05-10', time: '20:00', tubes: 20 } }, 'first'],
    ['an empty second', { first: reading(250, 20), second: {}, shaded: true }, 'second'],
    ['no second reading', { first: reading(250, 20), shaded: true }, 'second'],
    [
      'a second before the first',
      { ...night(250, 20), second: reading(250, 20, { time: '19:59' }) },
      'order',
    ],
    ['at the same minute', { ...night(250, 20), second: reading(250, 20) }, 'order'],
    ['under eight hours', { ...night(250, 20), second: morning(250, 20, { time: '03:59' }) }, 'short'],
    ['in the sun', { ...night(250, 20), shaded: false }, 'sun'],
    ['nobody said where she lay', { ...night(250, 20), shaded: undefined }, 'sun'],
    ['no warmth', night(250, undefined), 'temperature'],
    ['what errors explain', night(230, 20), 'between'],
  ] as [string, AirTest, string][])('%s', (_name, given, why) => {
    expect(said(given)).toBe(`cant-tell: ${why}`);
  });
  test('eight hours are enough', () =>
    expect(said({ ...night(250, 20), second: morning(250, 20, { time: '04:00' }) })).toBe('holds'));
});

test('tight tubes never leak, and less air is never told as more', () =>
  fc.assert(
    fc.property(
      fc.double({ min: 5, max: 30, noNaN: true }),
      fc.double({ min: 980, max: 1040, noNaN: true }),
      fc.double({ min: 0, max: 0.2, noNaN: true }),
      (celsius, air, share) => {
        const gauge = (gone: number) => (1 - gone) * (tight(celsius, air) + air) - air;
        fc.pre(gauge(share) > 0);
        const of = (gone: number) => airLossOf(night(gauge(gone), celsius, { air: air * MBAR }));
        expect(of(0).answer).not.toBe('leaks');
        expect(of(share).lost!.low).toBeGreaterThanOrEqual(of(0).lost!.low - 1e-9);
        expect(of(share).lost!.low).toBeLessThanOrEqual(share + 0.02);
        expect(of(share).lost!.high).toBeGreaterThanOrEqual(share - 1e-9);
      },
    ),
    { numRuns: runs(80) },
  ));

describe('what is found of it', () => {
  const found = (airTest: AirTest | undefined, on: string | undefined = '2026-05-12') =>
    airFindings(aBoat({ kind: 'inflatable', name: 'Gull', ...(airTest ? { airTest } : {}) }), on)[0];
  const level = (...given: Parameters<typeof found>) => {
    const { level: at, open } = found(...given);
    return `${at}${open ? ', open' : ''}`;
  };
  const says = (...given: Parameters<typeof found>) =>
    found(...given)
      .because.map((b) => render(b, { units: 'metric', zone: 'UTC', locale: 'en-GB' }))
      .join(' ');
  test('ready only where it holds, was read whole and is fresh', () => {
    expect(level(night(207, 10))).toBe('ready');
    expect(says(night(207, 10))).toMatch(
      /^The gauge shows 207 mbar; .* would show 18\d mbar to 23\d mbar\. She holds\.$/,
    );
    expect(level(undefined)).toBe('know, open');
    expect(level(night(230, 20))).toBe('know, open');
    expect(says(night(230, 20))).toMatch(/Read again at the same warmth/);
  });
  test('a week is fresh, eight days are not; what leaked leaks until it is read again', () => {
    expect(level(night(207, 10), '2026-05-18')).toBe('ready');
    expect(level(night(207, 10), '2026-05-19')).toBe('know, open');
    expect(level(night(150, 20))).toBe('fix');
    expect(level(night(150, 20), '2026-08-01')).toBe('fix');
    expect(airTestAge(night(207, 10), '2026-05-18')).toBe(7);
  });
  test('without a day of leaving it is not fresh; a guess is no test', () => {
    expect(airFindings(aBoat({ kind: 'inflatable', airTest: night(207, 10) }), undefined)[0].level).toBe(
      'know',
    );
    const guessed = aBoat({
      kind: 'raft',
      airTest: night(207, 10),
      basis: { '/airTest': 'guessed' },
    });
    expect(airFindings(guessed, '2026-05-12')[0].id).toBe(`boat/leak/${guessed.id}`);
    expect(airFindings(guessed, '2026-05-12')[0].level).toBe('know');
  });
  test('of hulls that nobody blows up nothing is asked', () => {
    expect(airFindings(aBoat({ kind: 'skiff' }), '2026-05-12')).toEqual([]);
  });
});
