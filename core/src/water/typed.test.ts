import { describe, expect, test } from '@jest/globals';
import { Forecast, TideStation } from '../model';
import { render } from '../say';
import { KNOT, MS } from '../units';
import { readClock, readDirection, readWind, tideOf, typedForecast, typedTide, type ForecastRow } from '.';

const reader = { units: 'metric' as const, zone: 'UTC', locale: 'en-GB' };
const row = (
  time: string,
  wind: string,
  gust: string,
  from: string,
  more: Partial<ForecastRow> = {},
): ForecastRow => ({ time, wind, gust, from, waves: '', visibility: '', thunder: false, ...more });
const head = {
  date: '2026-05-12',
  zone: 'Europe/London',
  issuedAt: '2026-05-12T04:00:00Z',
  source: 'Radio',
  air: '',
  water: '',
};

describe('what people write', () => {
  test.each<[string, number | undefined]>([
    ['14', 14 * KNOT],
    ['14 kn', 14 * KNOT],
    ['7 m/s', 7],
    ['7,5 m/s', 7.5],
    ['F4', 16 * KNOT],
    ['force 4', 16 * KNOT],
    ['4 Bft', 16 * KNOT],
    ['4bf', 16 * KNOT],
    ['F0', KNOT],
    ['F13', undefined],
    ['SW', undefined],
    ['', undefined],
    ['-3', undefined],
    ['14 mph', undefined],
    ['10-15', undefined],
  ])('wind “%s”', (text, wanted) => {
    const found = readWind(text);
    if (wanted === undefined) expect(found).toBeUndefined();
    else expect(found).toBeCloseTo(wanted, 9);
  });
  // [recalled] {WMO code table 1100} upper ends of the forces, knots.
  test.each([1, 3, 6, 10, 16, 21, 27, 33, 40, 47, 55, 63].map((kn, force) => [force, kn]))(
    'force %i blows up to %i kn',
    (force, kn) => expect(readWind(`F${force}`)! / KNOT).toBeCloseTo(kn, 9),
  );
  test.each<[string, number | undefined]>([
    ['N', 0],
    ['sw', 225],
    ['WNW', 292.5],
    ['225°', 225],
    ['360', 0],
    ['361', undefined],
    ['-10', undefined],
    ['up', undefined],
    ['', undefined],
  ])('direction “%s”', (text, wanted) => expect(readDirection(text)).toBe(wanted));
  test.each<[string, string | undefined]>([
    ['6', '06:00'],
    ['06:30', '06:30'],
    ['0630', '06:30'],
    ['6.30', '06:30'],
    ['6h30', '06:30'],
    ['24:00', undefined],
    ['6:60', undefined],
    ['noon', undefined],
    ['', undefined],
  ])('hour “%s”', (text, wanted) => expect(readClock(text)).toBe(wanted));
});

describe('a forecast typed in', () => {
  test('hours in SI at their instants, past midnight on the next day, temperatures on every hour', () => {
    const read = typedForecast({ ...head, air: '14,5', water: '12' }, [
      row('21', 'F4', '22', 'SW', { waves: '1.5', visibility: 'poor' }),
      row('0000', '8', '12', '250', { thunder: true, waves: '3 ft' }),
      row('', '', '', ''),
    ]);
    if (!('ok' in read)) throw new Error(JSON.stringify(read.faults));
    expect(Forecast.safeParse(read.ok).error).toBeUndefined();
    expect(read.ok).toEqual({
      issuedAt: '2026-05-12T04:00:00.000Z',
      source: 'Radio',
      hours: [
        {
          at: '2026-05-12T20:00:00.000Z',
          wind: 16 * KNOT,
          gust: 22 * KNOT,
          from: 225,
          waves: 1.5,
          visibility: 1000,
          thunder: false,
          air: 14.5,
          water: 12,
        },
        {
          at: '2026-05-12T23:00:00.000Z',
          wind: 8 * KNOT,
          gust: 12 * KNOT,
          from: 250,
          waves: expect.closeTo(0.9144, 6),
          thunder: true,
          air: 14.5,
          water: 12,
        },
      ],
    });
  });
  test('what was not given stays unknown: no visibility, no temperature', () => {
    const read = typedForecast(head, [row('06', '8', '12', 'W')]);
    if (!('ok' in read)) throw new Error('faults');
    for (const name of ['visibility', 'air', 'water', 'waves'])
      expect(read.ok.hours[0]).not.toHaveProperty(name);
  });
  test('every fault stands at its field, and nothing is taken', () => {
    const read = typedForecast({ ...head, source: ' ', issuedAt: 'x', air: 'mild' }, [
      row('25', 'breezy', '', 'up', { waves: 'some' }),
      row('06', '20', '10', 'W'),
    ]);
    if (!('faults' in read)) throw new Error('taken');
    expect(Object.keys(read.faults).sort()).toEqual([
      'air',
      'issuedAt',
      'rows/0/from',
      'rows/0/gust',
      'rows/0/time',
      'rows/0/waves',
      'rows/0/wind',
      'rows/1/gust',
      'source',
    ]);
    for (const fault of Object.values(read.faults)) expect(render(fault, reader)).toMatch(/[.?]$/);
    expect(typedForecast(head, [])).toEqual({ faults: { rows: { say: 'typed.rows' } } });
  });
  test('a row with thunder alone is not passed over: its wind is asked for', () => {
    const read = typedForecast(head, [row('06', '8', '12', 'W'), row('09', '', '', '', { thunder: true })]);
    expect('faults' in read && Object.keys(read.faults)).toEqual([
      'rows/1/wind',
      'rows/1/gust',
      'rows/1/from',
    ]);
  });
  test('an hour that the clock change leaves out is no hour', () => {
    const read = typedForecast({ ...head, date: '2026-03-29' }, [row('01:30', '8', '12', 'W')]);
    expect('faults' in read && Object.keys(read.faults)).toEqual(['rows/0/time']);
  });
});

describe('a tide table typed in', () => {
  const typed = { date: '2026-05-12', zone: 'UTC', name: 'North slip', datum: 'chart datum' };
  test('turns in order, and heights between them by the cosine', () => {
    const read = typedTide(typed, [
      { time: '0400', height: '0.8', turn: 'low' },
      { time: '1012', height: '4,6', turn: 'high' },
      { time: '', height: '', turn: 'low' },
    ]);
    if (!('ok' in read)) throw new Error(JSON.stringify(read.faults));
    expect(TideStation.safeParse(read.ok).error).toBeUndefined();
    // Half way in time is half way in height, whatever the range: a property of the cosine.
    expect(tideOf(read.ok).heightAt(Date.UTC(2026, 4, 12, 4) + 186 * MS.minute)).toBeCloseTo(2.7, 3);
  });
  test('past midnight a row is of the next day', () => {
    const read = typedTide(typed, [
      { time: '22:00', height: '0.8', turn: 'low' },
      { time: '04:10', height: '15 ft', turn: 'high' },
    ]);
    expect('ok' in read && read.ok.rows[1]).toEqual({
      at: '2026-05-13T04:10:00.000Z',
      height: expect.closeTo(4.572, 6),
      turn: 'high',
    });
  });
  test.each<[string, Parameters<typeof typedTide>[1], string]>([
    [
      'two highs in a row',
      [
        { time: '4', height: '1', turn: 'high' },
        { time: '10', height: '4', turn: 'high' },
      ],
      'rows/1/height',
    ],
    [
      'a high below its low',
      [
        { time: '4', height: '3', turn: 'low' },
        { time: '10', height: '1', turn: 'high' },
      ],
      'rows/1/height',
    ],
    ['one row', [{ time: '4', height: '3', turn: 'low' }], 'rows'],
    [
      'no height',
      [
        { time: '4', height: '', turn: 'low' },
        { time: '10', height: '1', turn: 'high' },
      ],
      'rows/0/height',
    ],
  ])('%s is told', (_what, rows, where) => {
    const read = typedTide(typed, rows);
    expect('faults' in read && Object.keys(read.faults)).toContain(where);
  });
  test('a table is of some place', () =>
    expect('faults' in typedTide({ ...typed, name: '' }, [])).toBe(true));
});
