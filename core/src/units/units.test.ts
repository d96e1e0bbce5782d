import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import Qty from 'js-quantities';
import { check } from '../../test/check';
import {
  asPrinted,
  format,
  fromSI,
  limitInSI,
  spanText,
  toSI,
  unitOf,
  FATHOM,
  FOOT,
  HORSEPOWER,
  INCH,
  KNOT,
  NAUTICAL_MILE,
  POUND,
  POUND_FORCE,
  US_GALLON,
  type Quantity,
  type UnitSystem,
} from '.';

test('what is near is compared in the steps in which it is told', () => {
  expect([asPrinted(504, 'distance'), asPrinted(505, 'distance'), asPrinted(925, 'distance')]).toEqual([
    500, 510, 930,
  ]);
  expect(asPrinted(1852 * 1.04, 'distance')).toBeCloseTo(1852, 6);
});

describe('constants', () => {
  const table: [string, number, string, string][] = [
    ['foot', FOOT, '1 ft', 'm'],
    ['inch', INCH, '1 in', 'm'],
    ['pound', POUND, '1 lb', 'kg'],
    ['nautical mile', NAUTICAL_MILE, '1 nmi', 'm'],
    ['knot', KNOT, '1 kt', 'm/s'],
    ['US gallon', US_GALLON, '1 gal', 'm^3'],
    ['pound-force', POUND_FORCE, '1 lbf', 'N'],
  ];
  for (const [name, ours, from, to] of table)
    check('run here', { title: 'js-quantities 1.8.0' }, `a ${name}`, () =>
      expect(ours / Qty(from).to(to).scalar).toBeCloseTo(1, 6),
    );
  // The oracle rounds some of its own constants at the eighth digit; the definitions are exact.
  check(
    'closed form',
    'si-brochure',
    'a gallon is 231 cubic inches, a knot a nautical mile an hour, a pound-force a pound under 9.80665',
    () => {
      expect(US_GALLON).toBeCloseTo(231 * INCH ** 3, 15);
      expect(KNOT).toBeCloseTo(NAUTICAL_MILE / 3600, 15);
      expect(POUND_FORCE).toBeCloseTo(POUND * 9.80665, 12);
    },
  );
  check('closed form', 'si-brochure', 'a fathom is six feet, a horsepower 550 foot-pounds a second', () => {
    expect(FATHOM).toBeCloseTo(6 * FOOT, 12);
    expect(HORSEPOWER).toBeCloseTo(550 * FOOT * POUND_FORCE, 9);
  });
});

test('a pound on a square inch is 68.9 millibars, an inch of mercury 33.9', () => {
  expect(toSI(1, unitOf('pressure', 'us'))).toBeCloseTo(6894.757, 2);
  expect(toSI(29.92, unitOf('barometer', 'us'))).toBeCloseTo(101_325, -2);
  expect(toSI(250, unitOf('pressure', 'metric'))).toBe(25_000);
});

const QUANTITIES: Quantity[] = [
  'length',
  'distance',
  'mass',
  'speed',
  'temperature',
  'duration',
  'volume',
  'power',
  'force',
  'pressure',
  'barometer',
  'percent',
];

test('there and back is where one was', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...QUANTITIES),
      fc.constantFrom('metric' as const, 'us' as const),
      fc.double({ min: -1e5, max: 1e5, noNaN: true }),
      (quantity, system, value) => {
        const unit = unitOf(quantity, system);
        expect(toSI(fromSI(value, unit), unit)).toBeCloseTo(value, 6);
      },
    ),
  );
});

test.each<[number, Quantity, UnitSystem, string]>([
  [4.8768, 'length', 'us', '16.0 ft'],
  [10, 'temperature', 'us', '50 °F'],
  [-40, 'temperature', 'us', '-40 °F'],
  [82, 'mass', 'us', '181 lb'],
  [0.688, 'percent', 'metric', '69%'],
  [1852, 'distance', 'us', '1.0 nm'],
  [-0.001, 'height', 'metric', '0.0 m'],
])('%p %s in %s reads %s', (value, quantity, system, text) =>
  expect(format(value, quantity, system)).toBe(text),
);

test('a limit in an unknown unit is refused, not misread', () => {
  expect(limitInSI({ value: 16, unit: 'ft' })).toBeCloseTo(4.8768, 9);
  expect(() => limitInSI({ value: 16, unit: 'foot' })).toThrow(/unknown unit "foot"/);
});

test('spans as people say them', () => {
  expect([spanText(0), spanText(3540), spanText(3900), spanText(-3900)]).toEqual([
    '0 min',
    '59 min',
    '1 h 05',
    '1 h 05',
  ]);
});
