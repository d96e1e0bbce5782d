import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { runs } from '../../test/runs';
import { check } from '../../test/check';
import demo from '../../data/formats/demo.json';
import type { TideStation } from '../model';
import rows from './tide.check.json';
import { cosineHeight, sortForecast, spansAbove, tideOf, weatherAt, worstWithin } from '.';

const HOUR = 3_600_000;
const station = demo.shed.waters[0].tide as unknown as Extract<TideStation, { kind: 'constants' }>;

describe('tide', () => {
  type Year = keyof typeof rows.years;
  type Name = keyof typeof rows.speed;
  /** h(t) = Z0 + Σ f·A·cos(speed·hours since 1 January + (V0+u) − G), by hand from published rows. */
  const byHand = (at: number) => {
    const year = String(new Date(at).getUTCFullYear()) as Year;
    const hours = (at - Date.UTC(Number(year), 0, 1)) / HOUR;
    return station.constituents.reduce((sum, { name, amplitude, phase }) => {
      const { v0u, f } = rows.years[year][name as Name];
      return (
        sum + f * amplitude * Math.cos(((rows.speed[name as Name] * hours + v0u - phase) * Math.PI) / 180)
      );
    }, station.z0);
  };
  for (const year of Object.keys(rows.years) as Year[]) {
    check(
      'run here',
      { title: 'xtide-data 20191229 of Debian' },
      `the demo station through ${year}, hour by hour`,
      () => {
        const tide = tideOf(station);
        let worst = 0,
          squares = 0,
          n = 0;
        for (let at = Date.UTC(Number(year), 5, 1); at < Date.UTC(Number(year), 7, 1); at += HOUR) {
          const off = Math.abs((tide.heightAt(at) ?? NaN) - byHand(at));
          worst = Math.max(worst, off);
          squares += off * off;
          n += 1;
        }
        // The rows hold f and u for the middle of the year; the library moves them daily.
        expect(Math.sqrt(squares / n)).toBeLessThan(0.01);
        expect(worst).toBeLessThan(0.025);
      },
    );
  }
  test('turns are turns: no height within a tide stands above its high or below its low', () => {
    const tide = tideOf(station);
    const from = Date.UTC(2026, 4, 12),
      until = from + 48 * HOUR;
    const turns = tide.extremes(from, until);
    expect(turns.length).toBeGreaterThanOrEqual(7);
    turns.slice(1).forEach((turn, i) => {
      expect(turn.high).toBe(!turns[i].high);
      for (let at = turns[i].at; at <= turn.at; at += HOUR / 4) {
        const h = tide.heightAt(at)!;
        expect(h).toBeLessThanOrEqual(Math.max(turn.height, turns[i].height) + 0.005);
        expect(h).toBeGreaterThanOrEqual(Math.min(turn.height, turns[i].height) - 0.005);
      }
    });
  });
  check(
    'closed form',
    'tide-cosine',
    'range 3.6 m in 6.2 h stands at 0.848 m after 2 h; sixths .067 .25 .5 .75 .933',
    () => {
      expect(cosineHeight({ at: 0, height: 0 }, { at: 6.2 * HOUR, height: 3.6 }, 2 * HOUR)).toBeCloseTo(
        0.848,
        2,
      );
      const sixths = [1, 2, 3, 4, 5].map((n) => cosineHeight({ at: 0, height: 0 }, { at: 6, height: 1 }, n));
      [0.067, 0.25, 0.5, 0.75, 0.933].forEach((share, i) => expect(sixths[i]).toBeCloseTo(share, 3));
    },
  );
  // Low water 0.4 m at 0 h and high water 4.6 m at 6.2 h, typed; heights by h = mean − half range · cos(π t / 6.2).
  for (const [hours, height] of [
    [0, 0.4],
    [1.55, 1.015],
    [2.0667, 1.45],
    [3.1, 2.5],
    [4.65, 3.985],
    [6.2, 4.6],
  ]) {
    check(
      'closed form',
      'tide-cosine',
      `a typed tide of 4.2 m stands at ${height} m after ${hours} h`,
      () => {
        const rows = [
          { at: '2026-05-12T00:00:00Z', height: 0.4 },
          { at: '2026-05-12T06:12:00Z', height: 4.6 },
        ];
        const tide = tideOf({ kind: 'table', name: 't', datum: 'd', rows });
        expect(tide.heightAt(Date.UTC(2026, 4, 12) + hours * HOUR)).toBeCloseTo(height, 2);
      },
    );
  }
  check(
    'common practice',
    'practice',
    'the rule of twelfths stays within two hundredths of the cosine',
    () => {
      [1, 3, 6, 9, 11].forEach((twelfths, i) =>
        expect(
          Math.abs(twelfths / 12 - cosineHeight({ at: 0, height: 0 }, { at: 6, height: 1 }, i + 1)),
        ).toBeLessThan(0.02),
      );
    },
  );
  test('a typed table answers between its rows and nothing outside', () => {
    const table = tideOf({
      kind: 'table',
      name: 'typed',
      datum: 'chart datum',
      rows: [
        { at: '2026-05-12T12:12:00Z', height: 3.6 },
        { at: '2026-05-12T06:00:00Z', height: 0 },
      ],
    });
    expect(table.heightAt(Date.UTC(2026, 4, 12, 8))).toBeCloseTo(0.848, 2);
    expect(table.heightAt(Date.UTC(2026, 4, 12, 12, 12))).toBe(3.6);
    expect(table.heightAt(Date.UTC(2026, 4, 12, 5, 59))).toBeUndefined();
    expect(table.heightAt(Date.UTC(2026, 4, 12, 12, 13))).toBeUndefined();
  });
  test('inside a span the level is reached, outside it is not', () => {
    const tide = tideOf(station);
    fc.assert(
      fc.property(
        fc.double({ min: 0.3, max: 3, noNaN: true }),
        fc.integer({ min: 0, max: 700 }),
        (level, day) => {
          const from = Date.UTC(2026, 0, 1) + day * 24 * HOUR,
            until = from + 24 * HOUR;
          const spans = spansAbove(tide, level, from, until);
          for (let at = from; at <= until; at += 20 * 60_000) {
            const inside = spans.some((s) => at >= s.from && at <= s.until);
            const height = tide.heightAt(at)!;
            // At the very edge a straight line between samples may be off by a millimetre.
            if (Math.abs(height - level) > 0.003) expect(inside).toBe(height >= level);
          }
        },
      ),
      { numRuns: runs(40) },
    );
  });
});

describe('forecast', () => {
  const hour = (h: number, more: object) => ({
    at: new Date(Date.UTC(2026, 4, 12, h)).toISOString(),
    wind: 4,
    gust: 6,
    from: 200,
    ...more,
  });
  test('between 350° and 10° the wind is north, whichever way the clock runs', () => {
    const f = sortForecast({
      issuedAt: '2026-05-12T00:00:00Z',
      source: 't',
      hours: [hour(7, { from: 10 }), hour(6, { from: 350 })],
    })!;
    expect(weatherAt(f, Date.UTC(2026, 4, 12, 6, 30))!.from % 360).toBeCloseTo(0, 6);
  });
  test('the worst hour counts even between the ends, and what nobody forecast stays unknown', () => {
    const f = sortForecast({
      issuedAt: '2026-05-12T00:00:00Z',
      source: 't',
      hours: [hour(6, {}), hour(7, { wind: 9, gust: 14, water: 9 }), hour(8, { water: 12 })],
    })!;
    const worst = worstWithin(f, Date.UTC(2026, 4, 12, 6, 10), Date.UTC(2026, 4, 12, 7, 50))!;
    expect([worst.wind.wind, worst.gust.gust, worst.coldest?.water]).toEqual([9, 14, 9]);
    expect(weatherAt(f, Date.UTC(2026, 4, 12, 6, 30))!.water).toBeUndefined();
    expect(weatherAt(f, Date.UTC(2026, 4, 12, 9))).toBeUndefined();
    expect(sortForecast({ issuedAt: '2026-05-12T00:00:00Z', source: 't', hours: [] })).toBeUndefined();
  });
});
