import clothing from '../../data/body/clothing.json';
import table from '../../data/body/cold.json';
import type { ClothingKind, ClothingTable, ColdTable } from '../model';
import { MINUTE, toSI, unitOf } from '../units';
import { BODY } from './limits';

export type Clothing = ClothingKind;

export interface ColdRow {
  /** Row holds below this water temperature, °C (the published limits are whole °F). */
  below: number;
  /** Until exhaustion or unconsciousness, s. */
  exhausted: [number, number];
  /** Expected survival with a jacket, s; the upper end may be open. */
  survives: [number, number | undefined];
}

const celsius = (fahrenheit: number) => toSI(fahrenheit, unitOf('temperature', 'us'));
const { rows } = table as unknown as ColdTable;

/** Source `cold-table`. */
export const COLD_TABLE: ColdRow[] = rows.map(
  ({ below, exhausted: [soon, late], survives: [low, high] }) => ({
    below: celsius(below),
    exhausted: [soon * MINUTE, late * MINUTE],
    survives: [low * MINUTE, high === undefined ? undefined : high * MINUTE],
  }),
);

/** Water at or above this is not spoken of as cold, °C. */
export const NOT_COLD = BODY.limit('not-cold');

/** Useful hands, s, stated for water up to so many °C and for no other. */
export const HANDS = { seconds: BODY.limit('hands'), upTo: BODY.limit('hands-up-to') } as const;
/** Water up to this takes the breath for about a minute, °C. */
export const BREATH = { upTo: BODY.limit('breath-up-to') } as const;

/** The table's row for a water temperature in °C, or undefined where the water is not cold. */
export function coldRow(water: number): ColdRow | undefined {
  return COLD_TABLE.find((row) => water < row.below);
}

/** Where Hayward's formula was fitted, °C. */
const HAYWARD = { from: BODY.limit('mean-from'), to: BODY.limit('mean-to') };

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

const { rows: dress, warmth } = clothing as unknown as ClothingTable;

/** The least clothing for a water temperature in °C, or undefined when light clothes will do. */
export function dressFor(water: number): Clothing | undefined {
  return dress.find((row) => water < row.below)?.least;
}

/** Does what somebody wears keep out as much as what is wanted? */
export function warmEnough(wears: Clothing, wanted: Clothing): boolean {
  return warmth[wears] >= warmth[wanted];
}

/** Air warmer than the water by this, °C, is a trap for how people dress. */
export const AIR_WATER_TRAP = BODY.limit('air-water-trap');
