import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import Dms from 'geodesy/dms.js';
import { readPosition } from './read-position';

describe('a position as people write it', () => {
  const PLACE = { lat: 50.12345, lon: -4.5678 };
  test.each([
    '50.12345, -4.5678',
    '50.12345,-4.5678',
    '50.12345 -4.5678',
    ' +50.12345 ; −4.5678 ',
    '50.12345N 4.5678W',
    '50.12345° N, 4.5678° W',
    'N50.12345 W4.5678',
    'N 50° 07.407′ W 004° 34.068′',
    "50°07.407'N 4°34.068'W",
    '50 07.407 N / 4 34.068 W',
    '50°07′24.42″N, 004°34′04.08″W',
    '50:07:24.42N 4:34:04.08W',
    '50d07m24.42N 4d34m04.08W',
    '50,12345; -4,5678',
    '50,12345 N 4,5678 O',
    '50 07 24.42, -4 34 04.08',
  ])('%s', (text) => {
    const found = readPosition(text)!;
    expect(found.lat).toBeCloseTo(PLACE.lat, 6);
    expect(found.lon).toBeCloseTo(PLACE.lon, 6);
  });
  test.each([
    '',
    'Plymouth',
    '50.1',
    '50.1, 4.5, 3',
    '91, 4',
    '50, 181',
    '50 60.0 N 4 10 W',
    '50 10 61 N 4 10 W',
    '50.5 30 N 4 10 W',
    '4 W 50 N',
    'N 50 N 4',
    '50N',
    '<script>',
    '1e3, 4',
  ])('“%s” is no place', (text) => expect(readPosition(text)).toBeUndefined());
  test('[run here] {geodesy 2.4.0} any place written in degrees and minutes or seconds comes back', () => {
    const anywhere = fc.record({
      lat: fc.double({ min: -89.9, max: 89.9, noNaN: true }),
      lon: fc.double({ min: -179.9, max: 179.9, noNaN: true }),
      as: fc.constantFrom('d' as const, 'dm' as const, 'dms' as const),
    });
    fc.assert(
      fc.property(anywhere, ({ lat, lon, as }) => {
        const found = readPosition(`${Dms.toLat(lat, as, 6)}, ${Dms.toLon(lon, as, 6)}`)!;
        expect(found.lat).toBeCloseTo(lat, 5);
        expect(found.lon).toBeCloseTo(lon, 5);
      }),
    );
  });
});
