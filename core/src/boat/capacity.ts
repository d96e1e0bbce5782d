import type { Boat } from '../model';
import { FOOT } from '../units';

/** Craft for which length × beam says nothing (source `no-plate-rule`; the maker's word is the only one). */
const NO_PERSONS_RULE: ReadonlySet<Boat['kind']> = new Set(['sit-on-top', 'sit-inside', 'canoe', 'paddleboard', 'personal-watercraft', 'inflatable', 'catamaran', 'raft']);
/** Divisor of the rule, ft² a person. */
const SQUARE_FEET_EACH = 15;

/**
 * Persons a monohull without a plate carries in calm water: floor(L·B / 15), feet. Source `no-plate-rule`.
 * Some handbooks round to nearest; rounding down is the careful choice.
 * @param length, beam metres, above 0
 * @returns undefined for craft to which the rule does not apply
 * @example personsRule('skiff', 14 * FOOT, 5 * FOOT) // 4
 */
export function personsRule(kind: Boat['kind'], length: number, beam: number): number | undefined {
  if (NO_PERSONS_RULE.has(kind)) return undefined;
  // A length typed as 12 ft comes back as 11.999…: a ten-millionth of a person is rounding, not a rule.
  return Math.floor((length / FOOT) * (beam / FOOT) / SQUARE_FEET_EACH + 1e-7);
}

/**
 * Persons from persons' capacity in pounds: round((P + 32) / 141), 33 CFR 183.39 to .43, source `cfr-33-183`.
 * @example personsFromPounds(420) // 3
 */
export function personsFromPounds(pounds: number): number {
  return Math.floor((pounds + 32) / 141 + 0.5);
}
