import { describe, expect, test } from '@jest/globals';
import { stations as dataset } from '@neaps/tide-database';
import { createTidePredictor } from '@neaps/tide-predictor';
import { check } from '../../test/check';
import rows from '../../data/water/stations.json';
import { distance } from '../earth';
import { TideStation } from '../model';
import { tideOf } from '.';
import { ATTRIBUTION, findStations, stationOf } from './stations';

const FROM = Date.UTC(2026, 5, 1),
  DAY = 86_400_000,
  MONTH = 30 * DAY;
const byId = new Map(dataset.map((s) => [s.id, s]));
const ids = (list: (string | number)[][]) => list.map(([id]) => id as string);
const REFERENCE = ids(rows.reference as (string | number)[][]),
  OFFSETS = ids(rows.offsets as (string | number)[][]);
/** Every n-th: stations of all coasts. */
/** Stations that are held against the library one by one: thirty of each kind when all is proved, fewer each time. */
const FEW = process.env.ESCALE_RUNS === undefined ? 10 : 30;
const some = (list: string[], n: number) => list.filter((_, i) => i % Math.floor(list.length / n) === 0);
const tideAt = (id: string) => tideOf(stationOf(id)!);

describe('the stations that are carried', () => {
  check(
    'run here',
    { title: 'the open dataset @neaps/tide-database' },
    'are those of it that are in the public domain',
    () => {
      for (const id of [...REFERENCE, ...OFFSETS])
        expect(byId.get(id)?.license).toMatchObject({ type: 'public domain', commercial_use: true });
      expect([REFERENCE.length, OFFSETS.length]).toEqual([1245, 2241]);
      expect(rows.dataset).toContain('0.10.20260924');
    },
  );
  check(
    'run here',
    { title: 'the open dataset @neaps/tide-database' },
    'have its constants, to half a millimetre and a twentieth of a degree',
    () => {
      for (const id of REFERENCE) {
        const station = stationOf(id)!;
        const { harmonic_constituents: all, datums, latitude, longitude } = byId.get(id)!;
        if (station.kind !== 'constants') throw new Error(`${id} has no constants of its own`);
        const kept = all.filter((c) => c.amplitude >= 0.0005);
        expect(station.constituents.map((c) => c.name)).toEqual(kept.map((c) => c.name));
        station.constituents.forEach(({ amplitude, phase }, i) => {
          expect(Math.abs(amplitude - kept[i].amplitude)).toBeLessThanOrEqual(0.000501);
          const turn = Math.abs(phase - kept[i].phase) % 360;
          expect(Math.min(turn, 360 - turn)).toBeLessThanOrEqual(0.0501);
        });
        expect(station.z0).toBeCloseTo((datums.MSL ?? NaN) - (datums.MLLW ?? NaN), 2.9);
        expect(distance(station.station!.position, { lat: latitude, lon: longitude }).metres).toBeLessThan(
          10,
        );
      }
    },
  );
  test('are stations as a water keeps them, with whose figures they are', () => {
    for (const id of [...some(REFERENCE, 40), ...some(OFFSETS, 40)]) {
      const station = stationOf(id);
      expect(TideStation.safeParse(station).error).toBeUndefined();
      expect(station).toMatchObject({ datum: 'MLLW', station: { id, source: ATTRIBUTION } });
    }
    expect(stationOf('nowhere/1')).toBeUndefined();
  });
});

describe('heights by constants', () => {
  check(
    'run here',
    'tide',
    'thirty stations, hour by hour over eight months: within 3 mm of the package’s own, a millimetre of root mean square',
    () => {
      let squares = 0,
        n = 0;
      for (const id of some(REFERENCE, FEW)) {
        const station = stationOf(id)!;
        if (station.kind !== 'constants') throw new Error(id);
        const own = createTidePredictor(station.constituents, {
          nodeCorrections: 'schureman',
          offset: station.z0,
        });
        // From a multiple of the step on: elsewhere the package reckons from another instant than it says. And from after its M1
        // has jumped, which it does within a day of August 2026.
        const points = own.getTimelinePrediction({
          start: new Date('2026-09-01T00:00:00Z'),
          end: new Date('2027-05-01T00:00:00Z'),
          timeFidelity: 3600,
        });
        const tide = tideOf(station);
        for (const { time, level } of points) {
          const off = Math.abs(tide.heightAt(time.getTime())! - level);
          expect(off).toBeLessThan(0.003);
          squares += off * off;
          n += 1;
        }
      }
      expect(Math.sqrt(squares / n)).toBeLessThan(0.001);
    },
  );
  test('the curve is smooth where one stretch of days ends and the next begins, and where the knots are', () => {
    const height = (at: number) => tideAt('noaa/8443970').heightAt(at)!;
    for (let edge = FROM; edge < FROM + 2 * MONTH; edge += DAY) {
      const [a, b, c] = [-60_000, 0, 60_000].map((by) => height(edge + by));
      expect(Math.abs(a - 2 * b + c)).toBeLessThan(0.004);
    }
  });
  test('a name that nobody knows moves nothing', () => {
    const station = {
      kind: 'constants' as const,
      name: 'x',
      datum: 'MLLW',
      z0: 1.5,
      constituents: ['toString', 'XX9', 'Z0'].map((name) => ({ name, amplitude: 1, phase: 0 })),
    };
    expect(tideOf(station).heightAt(FROM)).toBe(1.5);
  });
});

describe('a station whose turns are told from those of another', () => {
  check(
    'closed form',
    'tide-offsets',
    'thirty of them: each turn is the other’s, moved in time and height',
    () => {
      for (const id of some(OFFSETS, FEW)) {
        const station = stationOf(id)!;
        if (station.kind !== 'offsets') throw new Error(`${id} has constants of its own`);
        const { high, low, heights } = station;
        const moved = tideOf(station.of)
          .extremes(FROM - DAY, FROM + MONTH + DAY)
          .map((turn) => {
            const by = turn.high ? high : low;
            return {
              at: turn.at + by.later * 1000,
              height: heights === 'times' ? turn.height * by.height : turn.height + by.height,
              high: turn.high,
            };
          })
          .filter(({ at }) => at >= FROM && at <= FROM + MONTH);
        const told = tideOf(station).extremes(FROM, FROM + MONTH);
        expect([id, told.length]).toEqual([id, moved.length]);
        told.forEach((turn, i) => {
          expect(turn.high).toBe(moved[i].high);
          expect(Math.abs(turn.at - moved[i].at)).toBeLessThan(60_000);
          expect(turn.height).toBeCloseTo(moved[i].height, 2);
        });
      }
    },
  );
  test('between two turns it rises or falls from the one to the other, and meets them', () => {
    for (const id of some(OFFSETS, FEW)) {
      const tide = tideAt(id);
      const turns = tide.extremes(FROM, FROM + 5 * DAY);
      turns.slice(1).forEach((turn, i) => {
        const before = turns[i];
        expect(tide.heightAt(turn.at)).toBeCloseTo(turn.height, 1);
        const least = Math.min(before.height, turn.height),
          most = Math.max(before.height, turn.height);
        for (let share = 0; share <= 1; share += 0.1) {
          const height = tide.heightAt(before.at + share * (turn.at - before.at))!;
          expect(height).toBeGreaterThan(least - 0.05);
          expect(height).toBeLessThan(most + 0.05);
        }
      });
    }
  });
  test('the curve has no step where one stretch of days ends and the next begins', () => {
    for (const id of some(OFFSETS, FEW)) {
      const tide = tideAt(id);
      for (let n = 0; n < 10; n += 1) {
        const edge = FROM + n * 2 * DAY;
        expect(Math.abs(tide.heightAt(edge)! - tide.heightAt(edge - 1000)!)).toBeLessThan(0.02);
      }
    }
  });
});

describe('a station is found', () => {
  const BOSTON = { lat: 42.355, lon: -71.05 };
  const names = (words: string, here?: { lat: number; lon: number }) =>
    findStations(words, here, 8).map((s) => s.name);
  test('by nearness: the nearest of all by the ellipsoid stands first', () => {
    const others = [
      { lat: -14.2, lon: -170.7 },
      // On both sides of the date line.
      { lat: 51.9, lon: 179.98 },
      { lat: 51.9, lon: -179.98 },
    ];
    for (const here of [BOSTON, ...others]) {
      const found = findStations('', here, 8);
      const nearest = dataset
        .filter((s) => [...REFERENCE, ...OFFSETS].includes(s.id))
        .map((s) => distance(here, { lat: s.latitude, lon: s.longitude }).metres)
        .sort((a, b) => a - b);
      expect(found[0].metres!).toBeCloseTo(nearest[0], -2);
      expect(found.map((s) => s.metres)).toEqual([...found.map((s) => s.metres!)].sort((a, b) => a - b));
    }
  });
  test('by its name, whatever its accents and case, by the beginning of words, and by where it lies', () => {
    expect(names('boston')[0]).toBe('Boston');
    expect(names('FRANC san')).toContain('San Francisco (Golden Gate)');
    expect(findStations('golden gate', undefined, 3).every((s) => /Golden Gate/.test(s.name + s.where))).toBe(
      true,
    );
    expect(names('mayagüez')).toEqual(names('Mayaguez'));
    expect(names('zzz')).toEqual([]);
    expect(names('')).toEqual([]);
    expect(names('...', BOSTON)[0]).toBe(names('', BOSTON)[0]);
  });
  test('those named so before those that lie there; then the nearest', () => {
    const found = findStations('portland', BOSTON, 8);
    expect(found[0]).toMatchObject({ name: 'Portland', where: expect.stringContaining('ME') as unknown });
    expect(found[0].metres).toBeLessThan(found[1].metres!);
  });
});
