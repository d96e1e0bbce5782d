/**
 * Units: SI inside, the person's own units only at the edges.
 * Constants are exact by definition (international yard and pound 1959, nautical mile 1929), source `si-brochure`.
 */

/** What a number measures. Inside Escale the number is always in the SI unit named in `SI_UNIT`. */
export type Quantity =
  | 'length'
  | 'height'
  | 'distance'
  | 'mass'
  | 'speed'
  | 'temperature'
  | 'duration'
  | 'minutes'
  | 'volume'
  | 'litres'
  | 'flow'
  | 'energy'
  | 'angle'
  | 'shortLength'
  | 'catchLength'
  | 'power'
  | 'bearing'
  | 'force'
  | 'moment'
  | 'pressure'
  | 'barometer'
  | 'ratio'
  | 'percent'
  | 'count'
  | 'age'
  | 'days'
  | 'year';

export type UnitSystem = 'metric' | 'us';

export interface Unit {
  /** What is printed behind the number. */
  symbol: string;
  /** Size of one of this unit in SI units. */
  size: number;
  /** Added after scaling: only temperature scales need it. */
  offset?: number;
  /** Decimals that mean something in this trade. */
  digits: number;
}

export const FOOT = 0.3048;
export const INCH = 0.0254;
export const POUND = 0.45359237;
export const NAUTICAL_MILE = 1852;
export const KNOT = 1852 / 3600;
export const MILES_AN_HOUR = 1609.344 / 3600;
export const US_GALLON = 0.003785411784;
export const FATHOM = 1.8288;
export const HORSEPOWER = 745.69987158227022;
export const POUND_FORCE = 4.4482216152605;
export const MINUTE = 60;
/** Standard gravity, m/s²: exact by definition. */
export const G = 9.80665;
export const HOUR = 3600;
/** Milliseconds, for instants. */
export const MS = { second: 1000, minute: 60_000, hour: 3_600_000, day: 86_400_000 } as const;

const metre: Unit = { symbol: 'm', size: 1, digits: 2 };
const plain = (symbol: string, digits = 0): Unit => ({ symbol, size: 1, digits });

// prettier-ignore
const UNITS: Record<Quantity, Record<UnitSystem, Unit>> = {
  length: { metric: metre, us: { symbol: 'ft', size: FOOT, digits: 1 } },
  height: { metric: { ...metre, digits: 1 }, us: { symbol: 'ft', size: FOOT, digits: 1 } },
  distance: both({ symbol: 'nm', size: NAUTICAL_MILE, digits: 1 }),
  mass: { metric: plain('kg'), us: { symbol: 'lb', size: POUND, digits: 0 } },
  speed: both({ symbol: 'kn', size: KNOT, digits: 1 }),
  temperature: { metric: plain('°C', 1), us: { symbol: '°F', size: 5 / 9, offset: 32, digits: 0 } },
  duration: both({ symbol: 'h', size: HOUR, digits: 1 }),
  minutes: both({ symbol: 'min', size: MINUTE, digits: 0 }),
  volume: { metric: { symbol: 'L', size: 0.001, digits: 1 }, us: { symbol: 'gal', size: US_GALLON, digits: 1 } },
  /** Volumes that people of both worlds read in litres: bags, foam. */
  litres: both(plain('L')),
  flow: { metric: { symbol: 'L/h', size: 0.001 / 3600, digits: 1 }, us: { symbol: 'gal/h', size: US_GALLON / 3600, digits: 1 } },
  energy: both({ symbol: 'Wh', size: 3600, digits: 0 }),
  angle: both({ symbol: '°', size: Math.PI / 180, digits: 1 }),
  shortLength: { metric: { symbol: 'cm', size: 0.01, digits: 0 }, us: { symbol: 'in', size: INCH, digits: 1 } },
  /** Of a fish, whose fate hangs on a millimetre. */
  catchLength: { metric: { symbol: 'cm', size: 0.01, digits: 1 }, us: { symbol: 'in', size: INCH, digits: 2 } },
  power: { metric: { symbol: 'kW', size: 1000, digits: 1 }, us: { symbol: 'hp', size: HORSEPOWER, digits: 1 } },
  bearing: both(plain('°')),
  force: { metric: plain('N'), us: { symbol: 'lbf', size: POUND_FORCE, digits: 1 } },
  moment: { metric: plain('N·m'), us: { symbol: 'lbf·ft', size: POUND_FORCE * FOOT, digits: 0 } },
  pressure: { metric: { symbol: 'mbar', size: 100, digits: 0 }, us: { symbol: 'psi', size: POUND_FORCE / INCH ** 2, digits: 2 } },
  /** Of the air: in hectopascals, or inches of mercury. */
  barometer: { metric: { symbol: 'hPa', size: 100, digits: 0 }, us: { symbol: 'inHg', size: 3386.389, digits: 2 } },
  ratio: both(plain('', 2)),
  percent: both({ symbol: '%', size: 0.01, digits: 0 }),
  count: both(plain('')),
  age: both(plain('years')),
  days: both(plain('days')),
  year: both(plain('')),
};

function both(unit: Unit): Record<UnitSystem, Unit> {
  return { metric: unit, us: unit };
}

/** The unit in which a person who thinks in `system` reads `quantity`. */
export function unitOf(quantity: Quantity, system: UnitSystem): Unit {
  return UNITS[quantity][system];
}

/** SI value → the unit's number. `fromSI(4.8768, unitOf('length', 'us'))` is 16. */
export function fromSI(value: number, unit: Unit): number {
  return value / unit.size + (unit.offset ?? 0);
}

/** The unit's number → SI. The inverse of `fromSI`. */
export function toSI(value: number, unit: Unit): number {
  return (value - (unit.offset ?? 0)) * unit.size;
}

/** Units that data files (rule packs) may name beside a limit. */
const NAMED: Record<string, number> = {
  m: 1,
  ft: FOOT,
  in: INCH,
  kg: 1,
  lb: POUND,
  nm: NAUTICAL_MILE,
  kn: KNOT,
  'm/s': 1,
  h: HOUR,
  min: MINUTE,
  kW: 1000,
  hp: HORSEPOWER,
  N: 1,
  '°C': 1,
  years: 1,
  days: 1,
  L: 0.001,
  cm: 0.01,
  s: 1,
  W: 1,
  '°': Math.PI / 180,
  '%': 0.01,
  share: 1,
  count: 1,
  'kg/m3': 1,
  mbar: 100,
  K: 1,
};
/** What each of them measures, so that a length in kilograms is refused. */
const MEASURES: Record<string, string> = {
  ...Object.fromEntries(['m', 'ft', 'in', 'nm', 'cm'].map((unit) => [unit, 'length'])),
  ...Object.fromEntries(['kg', 'lb'].map((unit) => [unit, 'mass'])),
  ...Object.fromEntries(['kn', 'm/s'].map((unit) => [unit, 'speed'])),
  ...Object.fromEntries(['h', 'min', 's'].map((unit) => [unit, 'duration'])),
  ...Object.fromEntries(['kW', 'hp', 'W'].map((unit) => [unit, 'power'])),
  ...Object.fromEntries(['°C', '°F'].map((unit) => [unit, 'temperature'])),
  years: 'age',
  days: 'days',
};
const LENGTHS: ReadonlySet<string> = new Set(['length', 'height', 'distance', 'shortLength', 'catchLength']);

/** May a quantity be written in this unit? */
export const measures = (unit: string, quantity: Quantity): boolean =>
  MEASURES[unit] === (LENGTHS.has(quantity) ? 'length' : quantity);

/** Units that do not start at nought. */
const OFFSET: Record<string, Unit> = { '°F': { symbol: '°F', size: 5 / 9, offset: 32, digits: 0 } };

/** Is this a unit that data may name? */
export const isUnit = (unit: string): boolean => Object.hasOwn(NAMED, unit) || Object.hasOwn(OFFSET, unit);

/** A limit as data writes it (`{value: 16, unit: 'ft'}`) in SI, or undefined for a unit that is not in the list. */
export function siOf({ value, unit }: { value: number; unit: string }): number | undefined {
  if (Object.hasOwn(OFFSET, unit)) return toSI(value, OFFSET[unit]);
  return Object.hasOwn(NAMED, unit) ? value * NAMED[unit] : undefined;
}

/**
 * The same for what ships with Escale.
 * @throws RangeError for a unit that is not in the list, so that a typing error is refused, not misread
 */
export function limitInSI(limit: { value: number; unit: string }): number {
  const value = siOf(limit);
  if (value === undefined)
    throw new RangeError(`unknown unit "${limit.unit}"; known: ${Object.keys(NAMED).join(', ')}`);
  return value;
}

/** What is nearer than this is told in steps: nobody keeps a tenth of a mile off a rock. */
const CLOSE = 0.5 * NAUTICAL_MILE;
const STEPS: Record<UnitSystem, { symbol: string; step: number; size: number }> = {
  metric: { symbol: 'm', step: 10, size: 1 },
  us: { symbol: 'ft', step: 50, size: FOOT },
};
function closeBy(metres: number, system: UnitSystem): string {
  const { symbol, step, size } = STEPS[system];
  return `${Math.round(metres / size / step) * step} ${symbol}`;
}

/** Number and symbol as a person reads them, rounded to what means something: `4.8768, 'length', 'us'` → `16.0 ft`. */
export function format(value: number, quantity: Quantity, system: UnitSystem, digits?: number): string {
  if (quantity === 'distance' && digits === undefined && value < CLOSE) return closeBy(value, system);
  const unit = unitOf(quantity, system);
  const text = fromSI(value, unit)
    .toFixed(digits ?? unit.digits)
    .replace(/^-(0(\.0*)?)$/, '$1');
  if (!unit.symbol) return text;
  return /^[°%]$/.test(unit.symbol) ? `${text}${unit.symbol}` : `${text} ${unit.symbol}`;
}

/**
 * A value as it is printed in metric units, back in SI: what is compared with a limit is compared as it is read, so that no
 * sentence says "0.7 m, and 0.7 m are needed" and means too little.
 * @example asPrinted(0.698, 'height') // 0.7
 */
export function asPrinted(value: number, quantity: Quantity): number {
  if (quantity === 'distance' && value < CLOSE)
    return Math.round(value / STEPS.metric.step) * STEPS.metric.step;
  const unit = unitOf(quantity, 'metric');
  return toSI(Number(fromSI(value, unit).toFixed(unit.digits)), unit);
}

/** A span of time as people say it: 3900 s → `1 h 05`. */
export function spanText(seconds: number): string {
  const minutes = Math.round(Math.abs(seconds) / MINUTE);
  const h = Math.floor(minutes / 60),
    m = minutes % 60;
  return h === 0 ? `${m} min` : `${h} h ${String(m).padStart(2, '0')}`;
}
