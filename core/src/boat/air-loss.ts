import { daysBetween } from '../earth';
import type { AirReading, AirTest } from '../model';
import type { Band } from '../numeric';
import { MS } from '../units';
import { BOAT } from './limits';

/** Nought of the absolute scale, °C. */
const ZERO = 273.15;
/** How far readings may be off: gauge and barometer, pascals; the tubes themselves, kelvin. */
const GAUGE = BOAT.limit('leak-gauge'),
  AIR = BOAT.limit('leak-air'),
  TUBES = BOAT.limit('leak-tubes');
/** By how much of their volume tubes stretch at most for each pascal of pressure: fabric gives, or hardly. */
const STRETCH = BOAT.limit('leak-stretch') / BOAT.limit('leak-stretch-at');
/** So much of the air may be gone at most for it to hold, so long it has to stand, hours in ms. */
const TIGHT = BOAT.limit('leak-tight'),
  LEAST = BOAT.limit('leak-least') * MS.second;

/** What an overnight test says: `cant-tell` never settles anything. */
export type AirAnswer = 'holds' | 'leaks' | 'cant-tell';
/** Why it can't be told. */
export type AirDoubt = 'first' | 'order' | 'short' | 'sun' | 'temperature' | 'between' | 'second';

export interface AirLoss {
  answer: AirAnswer;
  why?: AirDoubt;
  /** What of the air is gone, as shares; below nought where reading errors alone would have it so. */
  lost?: Band;
  /** What the gauge should show at the second reading if nothing is gone, pascals. */
  tight?: Band;
}

/** A reading with what no test can do without. */
type Read = AirReading & { on: string; time: string; gauge: number };
const isRead = (reading: AirReading | undefined): reading is Read =>
  reading?.on !== undefined && reading.time !== undefined && reading.gauge !== undefined;

/** A reading with how far each part of it may be off. */
interface Spread {
  gauge: Band;
  air: Band;
  kelvin: Band;
}
const within = (value: number, off: number): Band => ({ low: value - off, high: value + off });

/** The barometer is the same for both where nobody read it, give or take what a night changes. */
const STANDARD = 101_325;
function spreadOf({ gauge, air, tubes }: Read, drifts: number): Spread | undefined {
  if (tubes === undefined) return undefined;
  return {
    gauge: within(gauge, GAUGE),
    air: air === undefined ? within(STANDARD, drifts) : within(air, AIR),
    kelvin: within(tubes + ZERO, TUBES),
  };
}

/** Air in the tubes by the gas law, (p + b)·V/T, up to a factor that both readings share; V grows with the gauge by `stretch`. */
const amount = (gauge: number, air: number, kelvin: number, stretch: number) =>
  ((gauge + air) * (1 + stretch * gauge)) / kelvin;

const most = (of: Spread, stretch: number) => amount(of.gauge.high, of.air.high, of.kelvin.low, stretch);
const fewest = (of: Spread, stretch: number) => amount(of.gauge.low, of.air.low, of.kelvin.high, stretch);

/**
 * Does an inflated hull hold its air overnight? By the gas law in absolute pressure: a gauge that fell in a cold morning may have lost
 * nothing. Bands by the errors of gauge, barometer and thermometer and by the stretch of the fabric.
 * @param test two readings, with the instants of both
 * @returns `holds` where even the worst of the readings leaves the loss under the limit, `leaks` where even the best of them shows
 * one, else `cant-tell` with why
 */
export function airLossOf({ first, second, shaded }: AirTest): AirLoss {
  if (!isRead(first)) return { answer: 'cant-tell', why: 'first' };
  if (!isRead(second)) return { answer: 'cant-tell', why: 'second' };
  const stood = instantOf(second) - instantOf(first);
  if (!(stood > 0)) return { answer: 'cant-tell', why: 'order' };
  const drifts = BOAT.limit('leak-weather');
  const [before, after] = [spreadOf(first, drifts), spreadOf(second, drifts)];
  if (!before || !after) return { answer: 'cant-tell', why: 'temperature' };
  const stretches = [0, STRETCH];
  const lost: Band = {
    low: Math.min(...stretches.map((s) => 1 - most(after, s) / fewest(before, s))),
    high: Math.max(...stretches.map((s) => 1 - fewest(after, s) / most(before, s))),
  };
  const told = { lost, tight: tightAt(before, after) };
  if (shaded !== true) return { answer: 'cant-tell', why: 'sun', ...told };
  if (stood < LEAST) return { answer: 'cant-tell', why: 'short', ...told };
  if (lost.low > 0) return { answer: 'leaks', ...told };
  return lost.high <= TIGHT ? { answer: 'holds', ...told } : { answer: 'cant-tell', why: 'between', ...told };
}

/** The gauge of the second reading with all of the air still there, stiff tubes: (p₁ + b₁)·T₂/T₁ − b₂. */
const tightAt = (before: Spread, after: Spread): Band => ({
  low: ((before.gauge.low + before.air.low) * after.kelvin.low) / before.kelvin.high - after.air.high,
  high: ((before.gauge.high + before.air.high) * after.kelvin.high) / before.kelvin.low - after.air.low,
});

/** Both were read at one place: a clock that was changed in between is an hour at most. */
const instantOf = ({ on, time }: Read): number => Date.parse(`${on}T${time}:00Z`);

/** Days from the second reading to a civil date; undefined before both are there. */
export const airTestAge = ({ second }: AirTest, on: string): number | undefined =>
  isRead(second) ? daysBetween(second.on, on) : undefined;
