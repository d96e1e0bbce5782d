import { describe, expect, test } from '@jest/globals';
import { typedForecast } from '../water';
import { readForecastText, readTideText } from './forecast-text';

describe('a forecast that is pasted', () => {
  test.each([
    ['with a head', 'Time,Wind,Gust,Dir,Waves,Weather\n06:00,12,18,SW,1.2,fair\n09:00,16,24,WSW,1.5,thunder'],
    ['semicolons, other order', 'dir;time;gusts;wind;sea\nSW;06:00;18;12;1.2\nWSW;09:00;24;16;1.5'],
    ['tabs, no head', '06:00\t12\t18\tSW\t1.2\n09:00\t16\t24\tWSW\t1.5'],
    ['blanks', '06:00 12 18 SW 1.2\n\n09:00   16 24 WSW 1.5'],
  ])('%s', (_what, text) => {
    const rows = readForecastText(text);
    expect(rows.map((r) => [r.time, r.wind, r.gust, r.from])).toEqual([
      ['06:00', '12', '18', 'SW'],
      ['09:00', '16', '24', 'WSW'],
    ]);
  });
  test('a day and a zone that stand with the hour stay with it: a forecast of another day is not taken for this one', () => {
    const read = (text: string) => {
      const found = typedForecast(
        {
          date: '2026-05-12',
          zone: 'America/Halifax',
          issuedAt: '2026-05-12T04:00:00Z',
          source: 'x',
          air: '',
          water: '',
        },
        readForecastText(text),
      );
      if (!('ok' in found)) throw new Error(JSON.stringify(found.faults));
      return found.ok.hours.map((h) => h.at);
    };
    expect(read('time,wind,gust,from\n2026-05-14 06:00,12,18,SW\n2026-05-14T09:00:00Z,16,24,W')).toEqual([
      '2026-05-14T09:00:00.000Z',
      '2026-05-14T09:00:00.000Z',
    ]);
    expect(read('UTC,wind,gust,from\n06:00,12,18,SW')).toEqual(['2026-05-12T06:00:00.000Z']);
    expect(read('time,wind,gust,from\n2026-05-12T06:00+02:00,12,18,SW')).toEqual([
      '2026-05-12T04:00:00.000Z',
    ]);
    expect(read('06:00 12 18 SW\n06:00 16 24 W')).toEqual([
      '2026-05-12T09:00:00.000Z',
      '2026-05-13T09:00:00.000Z',
    ]);
  });
  test('units of a head go to its cells; words of the weather are taken for what they say', () => {
    const [row] = readForecastText(
      'time,wind m/s,gust m/s,from,visibility,weather\n06,6,9,200,poor,rain then thunderstorms',
    );
    expect(row).toMatchObject({ wind: '6 m/s', gust: '9 m/s', visibility: 'poor', thunder: true });
    expect(readForecastText('time;force;gusts;dir\n06;4;22;SW')[0]).toMatchObject({
      wind: '4 bft',
      gust: '22',
    });
  });
  test('what is no forecast gives rows that are refused, not taken', () => {
    const head = {
      date: '2026-05-12',
      zone: 'UTC',
      issuedAt: '2026-05-12T04:00:00Z',
      source: 'x',
      air: '',
      water: '',
    };
    for (const text of ['', 'hello', '=1+1,<b>', '{"a":1}'])
      expect(typedForecast(head, readForecastText(text))).toHaveProperty('faults');
    expect(readForecastText('1 2\n'.repeat(5000)).length).toBeLessThanOrEqual(5000);
  });
});

describe('a tide table that is pasted', () => {
  test.each([
    ['with words', 'LW 04:00 0.8\nHW 10:12 4.6\nLW 16:20 0.9'],
    ['with commas', '04:00,0.8 m,Low\n10:12,4.6 m,High\n16:20,0.9 m,Low'],
    ['without', '04:00 0.8\n10:12 4.6\n16:20 0.9'],
  ])('%s', (_what, text) =>
    expect(readTideText(text)).toEqual([
      { time: '04:00', height: '0.8', turn: 'low' },
      { time: '10:12', height: '4.6', turn: 'high' },
      { time: '16:20', height: '0.9', turn: 'low' },
    ]),
  );
});
