import { describe, expect, test } from '@jest/globals';
import { KNOT } from '../units';
import { readStreamHours, readStreamTurns } from './typed-stream';

const on = { date: '2026-05-12', zone: 'UTC' };

describe('turns of a stream as they are typed', () => {
  test('slack, flood and ebb, in knots or m/s, past midnight, or with a day', () => {
    const { rows, faults } = readStreamTurns(
      '18:10 slack\n21:05 flood 1,2\n\n0:20 Slack\n3:30 ebb 0.8 m/s\n2026-05-14 06:00 slack',
      on,
    );
    expect(faults).toEqual([]);
    expect(rows).toEqual([
      { at: '2026-05-12T18:10:00.000Z', speed: 0 },
      { at: '2026-05-12T21:05:00.000Z', speed: expect.closeTo(1.2 * KNOT, 9) },
      { at: '2026-05-13T00:20:00.000Z', speed: 0 },
      { at: '2026-05-13T03:30:00.000Z', speed: -0.8 },
      { at: '2026-05-14T06:00:00.000Z', speed: 0 },
    ]);
  });
  test.each([
    ['flood without a speed', '03:10 slack\n06:00 flood'],
    ['slack with one', '03:10 slack 1\n06:00 flood 1'],
    ['faster than any', '03:10 slack\n06:00 flood 44'],
    ['no hour', 'slack\n06:00 flood 1'],
    ['one line', '03:10 slack'],
    ['nothing', ''],
  ])('%s is told', (_what, text) => {
    expect(readStreamTurns(text, on).faults).toHaveLength(1);
  });
  test('an hour that the clocks leave out', () => {
    const { faults } = readStreamTurns('02:30 slack\n05:00 ebb 1', {
      date: '2026-03-29',
      zone: 'Europe/Berlin',
    });
    expect(faults).toHaveLength(1);
  });
});

describe('hours of a stream as they are typed', () => {
  test('hours from high water, towards, springs and neaps', () => {
    const { rows, faults } = readStreamHours('-3 045 1.4 0.7\nHW 60 0.9\nHW+1 70° 0,5 m/s');
    expect(faults).toEqual([]);
    expect(rows).toEqual([
      {
        hour: -3,
        direction: 45,
        springs: expect.closeTo(1.4 * KNOT, 9),
        neaps: expect.closeTo(0.7 * KNOT, 9),
      },
      { hour: 0, direction: 60, springs: expect.closeTo(0.9 * KNOT, 9) },
      { hour: 1, direction: 70, springs: 0.5 },
    ]);
  });
  test.each([
    ['an hour twice', '-3 045 1\n-3 045 2'],
    ['a direction that is none', '-3 400 1\n1 20 1'],
    ['an hour beyond a tide', '-9 40 1\n1 20 1'],
    ['words', 'north, strong\n1 20 1'],
  ])('%s is told', (_what, text) => {
    expect(readStreamHours(text).faults).toHaveLength(1);
  });
});
