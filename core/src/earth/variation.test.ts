import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { expect, test } from '@jest/globals';
import { check } from '../../test/check';
import { byCompass, variation } from './variation';

/** The rows that the authors of the model publish with it, as the library ships them. */
const rows = () => {
  const library = dirname(createRequire(import.meta.url).resolve('geomagnetism'));
  return readFileSync(join(library, 'test/values.csv'), 'utf8')
    .trim()
    .split('\n')
    .slice(1)
    .map((line) => line.split(',').map(Number))
    .map(([year, altitude, lat, lon, , , , , , , declination]) => ({
      year,
      altitude,
      lat,
      lon,
      declination,
    }));
};
/** Midnight at the beginning of a decimal year, or its middle. */
const instant = (year: number) => {
  const [from, until] = [Date.UTC(Math.floor(year), 0, 1), Date.UTC(Math.floor(year) + 1, 0, 1)];
  return from + (year - Math.floor(year)) * (until - from);
};

check(
  'run here',
  { title: 'World Magnetic Model: its published test values' },
  'all of them, to a fiftieth of a degree',
  () => {
    const all = rows();
    expect(all.length).toBeGreaterThanOrEqual(100);
    for (const { year, altitude, lat, lon, declination } of all)
      expect(Math.abs((variation({ lat, lon }, instant(year), altitude) ?? NaN) - declination)).toBeLessThan(
        0.02,
      );
  },
);
test('a compass shows less where the variation is east, and goes round', () => {
  expect([byCompass(90, 5), byCompass(90, -5), byCompass(2, 5), byCompass(358, -5)]).toEqual([
    85, 95, 357, 3,
  ]);
});
test('beyond the years of the model nothing is told', () => {
  expect(variation({ lat: 50, lon: -5 }, Date.UTC(2045, 0, 1))).toBeUndefined();
});
