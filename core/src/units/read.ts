import { fromSI, siOf, toSI, unitOf, type Quantity, type UnitSystem } from '.';

/** What people write behind a number, and the unit that is meant by it. */
const WRITTEN: Record<string, string> = {
  metre: 'm',
  metres: 'm',
  meters: 'm',
  "'": 'ft',
  '′': 'ft',
  feet: 'ft',
  foot: 'ft',
  '"': 'in',
  '″': 'in',
  inch: 'in',
  inches: 'in',
  kilo: 'kg',
  kilos: 'kg',
  kgs: 'kg',
  lbs: 'lb',
  pound: 'lb',
  pounds: 'lb',
  kt: 'kn',
  kts: 'kn',
  knots: 'kn',
  c: '°C',
  f: '°F',
  hours: 'h',
  hour: 'h',
  hrs: 'h',
  minutes: 'min',
  mins: 'min',
  litre: 'L',
  litres: 'L',
  liter: 'L',
  liters: 'L',
  l: 'L',
  kw: 'kW',
  w: 'W',
  ps: 'hp',
  n: 'N',
  year: 'years',
  y: 'years',
};
/** Which units measure a quantity. */
const OF: Partial<Record<Quantity, readonly string[]>> = {
  length: ['m', 'cm', 'ft', 'in'],
  height: ['m', 'cm', 'ft', 'in'],
  shortLength: ['m', 'cm', 'ft', 'in'],
  catchLength: ['m', 'cm', 'ft', 'in'],
  distance: ['nm', 'm'],
  mass: ['kg', 'lb'],
  speed: ['kn', 'm/s'],
  temperature: ['°C', '°F'],
  duration: ['h', 'min'],
  minutes: ['min', 'h'],
  volume: ['L'],
  power: ['kW', 'hp', 'W'],
  force: ['N'],
  age: ['years'],
  percent: ['%'],
};

const NUMBER = /^([+-]?\d+(?:[.,]\d+)?)\s*(.*)$/;
const FEET_INCHES = /^(\d+)\s*(?:ft|feet|foot|'|′)\s*(\d+(?:[.,]\d+)?)\s*(?:in|inch|inches|"|″)?$/i;
const numberOf = (text: string) => Number(text.replace(',', '.'));

/**
 * A measure as people type it, in SI: `28`, `28 kg`, `12,5`, `6 ft 2 in`, `60 lbs`. A bare number is in the person's own
 * unit. Undefined for what is no number, or has a unit that does not measure this.
 * @example readMeasure('60 lb', 'mass', 'metric') // 27.2155422
 */
export function readMeasure(text: string, quantity: Quantity, system: UnitSystem): number | undefined {
  const plain = text.trim();
  const both = FEET_INCHES.exec(plain);
  if (both && OF[quantity]?.includes('ft')) {
    const [feet, inches] = [
      siOf({ value: Number(both[1]), unit: 'ft' }),
      siOf({ value: numberOf(both[2]), unit: 'in' }),
    ];
    return feet === undefined || inches === undefined ? undefined : feet + inches;
  }
  const found = NUMBER.exec(plain);
  if (!found) return undefined;
  const value = numberOf(found[1]);
  const word = found[2].trim().replace(/\.$/, '');
  const own = unitOf(quantity, system);
  if (word === '' || word.toLowerCase() === own.symbol.toLowerCase()) return toSI(value, own);
  const unit = WRITTEN[word.toLowerCase()] ?? word;
  if (OF[quantity]?.includes(unit)) return siOf({ value, unit });
  const named = OF[quantity]?.find((known) => known.toLowerCase() === unit.toLowerCase());
  return named === undefined ? undefined : siOf({ value, unit: named });
}

/** A measure as it stands in a field, to be typed over: the number alone, in the person's unit. */
export function typedMeasure(value: number, quantity: Quantity, system: UnitSystem): string {
  const unit = unitOf(quantity, system);
  return String(Number(fromSI(value, unit).toFixed(Math.max(unit.digits, 2))));
}
