import type { ClothingKind } from '../model';
import { HOUR, MINUTE } from '../units';

export type Clothing = ClothingKind;

interface ColdRow {
  /** Row holds below this water temperature, °C (the published limits are whole °F). */
  below: number;
  /** Until exhaustion or unconsciousness, s. */
  exhausted: [number, number];
  /** Expected survival with a jacket, s; the upper end may be open. */
  survives: [number, number | undefined];
}

const F = (fahrenheit: number) => ((fahrenheit - 32) * 5) / 9;
const h = (hours: number) => hours * HOUR;

/** Source `cold-table`. */
export const COLD_TABLE: ColdRow[] = [
  { below: F(32.5), exhausted: [0, 15 * MINUTE], survives: [15 * MINUTE, 45 * MINUTE] },
  { below: F(40), exhausted: [15 * MINUTE, 30 * MINUTE], survives: [30 * MINUTE, 90 * MINUTE] },
  { below: F(50), exhausted: [30 * MINUTE, h(1)], survives: [h(1), h(3)] },
  { below: F(60), exhausted: [h(1), h(2)], survives: [h(1), h(6)] },
  { below: F(70), exhausted: [h(2), h(7)], survives: [h(2), h(40)] },
  { below: F(80), exhausted: [h(3), h(12)], survives: [h(3), undefined] },
];

/** Water at or above this is not spoken of as cold, °C (the table's last limit). */
export const NOT_COLD = F(80);

/** Useful hands for about ten minutes: stated for water of 0 to 10 °C, and for no other. Source `cold-1-10-1`. */
export const HANDS = { seconds: 10 * MINUTE, upTo: 10 } as const;
/** Water up to this takes the breath for about a minute, °C: control of breathing is lost below 60 °F. Source `dress-for-water`. */
export const BREATH = { upTo: 15 } as const;

/** The table's row for a water temperature in °C, or undefined where the water is not cold. */
export function coldRow(water: number): ColdRow | undefined {
  return COLD_TABLE.find((row) => water < row.below);
}

/** Where Hayward's formula was fitted: °C. Above it the denominator runs to nought (23.1 °C). */
const HAYWARD = { from: -2, to: 20 } as const;

/**
 * Mean survival time holding still in light clothes and a jacket: 15 + 7.2 / (0.0785 − 0.0034·T) minutes, T in °C.
 * Hayward, Eckerson, Collis 1975, source `hayward`. Individuals differ two- to threefold; never the time a person has.
 * @returns seconds, or undefined outside −2 to 20 °C
 * @example haywardSurvival(10) / 60 // 176.8
 */
export function haywardSurvival(water: number): number | undefined {
  if (water < HAYWARD.from || water > HAYWARD.to) return undefined;
  return (15 + 7.2 / (0.0785 - 0.0034 * water)) * MINUTE;
}

/** What practice wears by water temperature, coldest first (source `dress-for-water`: 15 and 21 °C; the coldest limit is our own). */
const DRESS: { below: number; least: Clothing }[] = [
  { below: 10, least: 'dry-suit' },
  { below: 15, least: 'wetsuit-5' },
  { below: 21, least: 'wetsuit-3' },
];
/** How much each keeps out, from least to most; a flotation suit counts with the dry suit. */
const WARMTH: Record<Clothing, number> = { light: 0, 'wetsuit-3': 1, 'wetsuit-5': 2, 'dry-suit': 3, 'flotation-suit': 3 };

/** The least clothing for a water temperature, or undefined when light clothes will do. */
export function dressFor(water: number): Clothing | undefined {
  return DRESS.find((row) => water < row.below)?.least;
}

export function warmEnough(wears: Clothing, wanted: Clothing): boolean {
  return WARMTH[wears] >= WARMTH[wanted];
}

/** Water colder than this by °C than the air is a trap for how people dress (domain: 21 °C air over 10 °C water). */
export const AIR_WATER_TRAP = 10;
