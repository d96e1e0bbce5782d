import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { fromSI, unitOf, type Quantity, type UnitSystem } from '.';
import { readMeasure, typedMeasure } from './read';

describe('a measure as people type it', () => {
  // Exact by definition: pound and foot of 1959, nautical mile of 1929, degrees Fahrenheit from Celsius.
  test.each<[string, Quantity, UnitSystem, number]>([
    ['28', 'mass', 'metric', 28],
    ['28 kg', 'mass', 'metric', 28],
    ['28kg', 'mass', 'us', 28],
    ['12,5', 'mass', 'metric', 12.5],
    ['60 lbs', 'mass', 'metric', 27.2155422],
    ['60', 'mass', 'us', 27.2155422],
    ['16 ft', 'length', 'metric', 4.8768],
    ['6 ft 2 in', 'length', 'metric', 1.8796],
    ['6\' 2"', 'length', 'metric', 1.8796],
    ['390 cm', 'length', 'us', 3.9],
    ['12 knots', 'speed', 'metric', (12 * 1852) / 3600],
    ['68 F', 'temperature', 'metric', 20],
    ['68', 'temperature', 'us', 20],
    ['-1.5', 'temperature', 'metric', -1.5],
    ['20 hp', 'power', 'metric', 14913.997431645404],
    ['5 kW', 'power', 'us', 5000],
    ['40 %', 'percent', 'metric', 0.4],
    ['11', 'age', 'metric', 11],
    ['11 years', 'age', 'metric', 11],
    ['4', 'count', 'metric', 4],
  ])('%s as %s for %s', (text, quantity, system, si) =>
    expect(readMeasure(text, quantity, system)).toBeCloseTo(si, 9),
  );
  test.each<[string, Quantity]>([
    ['', 'mass'],
    ['heavy', 'mass'],
    ['28 m', 'mass'],
    ['3 kg', 'length'],
    ['28 28', 'mass'],
    ['1e3', 'mass'],
    ['4 people', 'count'],
    ['NaN', 'mass'],
    ['6 ft 2 in', 'mass'],
  ])('%s is no %s', (text, quantity) => expect(readMeasure(text, quantity, 'metric')).toBeUndefined());
  test('what stands in a field reads back as itself', () => {
    const some: Quantity[] = [
      'mass',
      'length',
      'speed',
      'temperature',
      'power',
      'percent',
      'litres',
      'volume',
    ];
    fc.assert(
      fc.property(
        fc.constantFrom(...some),
        fc.constantFrom<UnitSystem>('metric', 'us'),
        fc.double({ min: 0, max: 500, noNaN: true }),
        (quantity, system, value) => {
          const back = readMeasure(typedMeasure(value, quantity, system), quantity, system) ?? NaN;
          const unit = unitOf(quantity, system);
          expect(Math.abs(fromSI(back, unit) - fromSI(value, unit))).toBeLessThanOrEqual(0.0051);
        },
      ),
    );
  });
});
