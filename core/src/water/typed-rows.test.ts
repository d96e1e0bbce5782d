import { describe, expect, test } from '@jest/globals';
import { KNOT } from '../units';
import { momentsOf, saysWeather, typedForecast, type ForecastRow } from './typed';
import {
  clockHour,
  forecastRows,
  forecastSoFar,
  fromBy,
  gustBy,
  heightBy,
  rowAt,
  tideRows,
  tideSoFar,
  turnLater,
  timesOf,
  windBy,
  withHour,
  withTurn,
} from './typed-rows';

const days = { date: '2026-05-12', zone: 'Europe/London' };
const row = (time: string, wind = '', gust = '', from = ''): ForecastRow => ({
  time,
  wind,
  gust,
  from,
  waves: '',
  visibility: '',
  thunder: false,
});
const hour = (text: string) => Date.parse(text);

describe('hours as they would be typed', () => {
  test('an hour alone, and with its day where the day does not follow', () =>
    expect(
      timesOf(
        ['2026-05-12T05:00Z', '2026-05-12T22:30Z', '2026-05-13T00:00Z', '2026-05-14T11:00Z'].map(hour),
        days,
      ),
    ).toEqual(['06:00', '23:30', '2026-05-13 01:00', '2026-05-14 12:00']));
  // The clocks go back at 01:00 UTC on 2026-10-25 in London and at 06:00 UTC on 2026-11-01 in New York (tz database).
  test.each([
    ['Europe/London', '2026-10-24T22:00Z', 8],
    ['America/New_York', '2026-11-01T03:00Z', 8],
    ['America/New_York', '2026-03-08T04:00Z', 8],
    ['Pacific/Auckland', '2026-04-04T11:00Z', 30],
  ])('in %s from %s on, read again they are the same moments', (zone, from, n) => {
    const moments = Array.from({ length: n }, (_, i) => hour(from) + i * 3_600_000);
    const here = { date: '2026-01-01', zone };
    const rows = timesOf(moments, here).map((time) => row(time, '5', '8', 'W'));
    expect(momentsOf(rows, here, saysWeather)).toEqual(moments);
  });
  test('a forecast that was kept is typed again as the same forecast', () => {
    const rows = [
      row('06', '12', '18', 'SW'),
      row('23', 'F4', '20', '350'),
      row('02', '7 m/s', '9 m/s', 'N'),
    ];
    const head = { ...days, issuedAt: '2026-05-12T04:00Z', source: 'Radio', air: '', water: '' };
    const read = typedForecast(head, rows);
    if (!('ok' in read)) throw new Error('not read');
    const again = typedForecast(head, forecastRows(read.ok, days));
    if (!('ok' in again)) throw new Error('not read again');
    again.ok.hours.forEach((each, i) => {
      expect(each.at).toBe(read.ok.hours[i].at);
      expect(each.from).toBe(read.ok.hours[i].from);
      // Typed again to a tenth of a knot.
      expect(Math.abs(each.wind - read.ok.hours[i].wind)).toBeLessThanOrEqual(0.05 * KNOT + 1e-9);
    });
  });
});

describe('the hours of a clock', () => {
  test.each([
    ['Europe/London', '2026-05-12T06:20:30Z', '2026-05-12T06:00Z'],
    ['America/St_Johns', '2026-05-12T06:20:30Z', '2026-05-12T05:30Z'],
    ['Asia/Kathmandu', '2026-05-12T06:20:30Z', '2026-05-12T06:15Z'],
  ])('in %s', (zone, at, begins) => expect(clockHour(hour(at), zone)).toBe(hour(begins)));
});

describe('one more hour', () => {
  const rows = [row('06:00', '10', '16', 'W'), row('09:00', '16', '22', 'N'), row('nine?', '9', '9', 'W')];
  test('between two it says what lies between, and what is drawn does not change', () => {
    const more = withHour(rows, days, hour('2026-05-12T07:00Z'));
    expect(more[1]).toEqual(row('08:00', '14', '20', '330'));
    expect(more.map((each) => each.time)).toEqual(['06:00', '08:00', '09:00', 'nine?']);
  });
  test('outside it says what the nearest says; before the first day it bears its day', () => {
    const after = withHour(rows, days, hour('2026-05-12T23:00Z'));
    expect(after[2]).toEqual(row('2026-05-13 00:00', '16', '22', '0'));
    const before = withHour(rows, days, hour('2026-05-11T20:00Z'));
    expect(before.slice(0, 3).map((each) => each.time)).toEqual([
      '2026-05-11 21:00',
      '2026-05-12 06:00',
      '09:00',
    ]);
    expect(rowAt(before, days, saysWeather, hour('2026-05-12T08:00Z'))).toBe(2);
  });
  test('where nothing was typed it is empty, and rows that wait for their figures move nobody’s day', () => {
    const blank = [row('21:00'), row('2026-05-13 00:00'), row('2026-05-13 03:00')];
    const more = withHour(blank, days, hour('2026-05-12T20:30Z'));
    expect(more[1]).toEqual(row('21:30'));
    const typed = more.map((each, i) => (i === 3 ? { ...each, wind: '5', gust: '8', from: 'W' } : each));
    expect(forecastSoFar(typed, days)?.hours[0].at).toBe('2026-05-13T02:00:00.000Z');
  });
});

describe('by steps', () => {
  test('wind by knots, never under none; the gust goes with it where it would be less', () => {
    expect(windBy(row('06', '12', '13', 'W'), 2)).toMatchObject({ wind: '14', gust: '14' });
    expect(windBy(row('06', '12', '18', 'W'), -1)).toMatchObject({ wind: '11', gust: '18' });
    expect(windBy(row('06', '0', '3', 'W'), -1)).toMatchObject({ wind: '0', gust: '3' });
    expect(windBy(row('06'), 1)).toMatchObject({ wind: '1', gust: '' });
    // A force counts to its upper end: force 4 is 11 to 16 kn (WMO, Beaufort scale).
    expect(windBy(row('06', 'F4', '20', 'W'), 1).wind).toBe('17');
  });
  test('gust never less than the wind', () => {
    expect(gustBy(row('06', '12', '13', 'W'), -2).gust).toBe('12');
    expect(gustBy(row('06', '12', '', 'W'), 1).gust).toBe('13');
  });
  test('from, a point of sixteen at a time, round north both ways', () => {
    expect(fromBy(row('06', '', '', 'NNW'), 1).from).toBe('N');
    expect(fromBy(row('06', '', '', 'N'), -1).from).toBe('NNW');
    expect(fromBy(row('06', '', '', '355'), -1).from).toBe('NNW');
    expect(fromBy(row('06'), 1).from).toBe('NNE');
  });
});

describe('turns of the tide', () => {
  const rows = [
    { time: '04:10', height: '4.6', turn: 'high' as const },
    { time: '10:20', height: '0.9', turn: 'low' as const },
  ];
  test('one more takes its place and the turn that follows; its height is asked for', () => {
    const more = withTurn(rows, days, hour('2026-05-12T15:45Z'));
    expect(more[2]).toEqual({ time: '16:45', height: '', turn: 'high' });
    expect(tideSoFar(more, days)?.rows).toHaveLength(2);
    expect(heightBy(more[2], 0.1).height).toBe('0.1');
    expect(heightBy({ ...more[2], height: '4.6' }, 0.1).height).toBe('4.7');
  });
  test('a turn moved past its neighbour stands behind it; over midnight it bears its day', () => {
    expect(turnLater(rows, days, 0, 5 * 60_000)[0].time).toBe('04:15');
    expect(turnLater(rows, days, 0, 7 * 3_600_000).map((each) => each.time)).toEqual(['10:20', '11:10']);
    expect(turnLater(rows, days, 1, 15 * 3_600_000)[1]).toEqual({ ...rows[1], time: '2026-05-13 01:20' });
  });
  test('one turn alone is no tide; two are, and typed again they are the same', () => {
    expect(tideSoFar(rows.slice(0, 1), days)).toBeUndefined();
    expect(tideRows(tideSoFar(rows, days)!, days)).toEqual(rows);
  });
});
