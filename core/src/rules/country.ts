import ZONES from '../../data/rules/zones.json';
import type { Finding, Water } from '../model';
import { phrase } from '../say';
import { goTo, guessed } from '../verdict';
import { PACKS } from './library';
import { RULES } from './limits';
import type { RuleResult } from './packs';

const POINTER = '/jurisdiction';

const BY_ZONE = new Map(
  Object.entries(ZONES).flatMap(([country, zones]) => zones.map((zone) => [zone, country] as const)),
);
/** The country of a time zone, of those for which a list ships. It is a guess: a border may lie nearer than the zone’s city. */
export const countryOf = (zone: string): string | undefined => BY_ZONE.get(zone);

const REGION = 2;
let names: Intl.DisplayNames | undefined;
/** Countries and states by name: a state by the title of its list. */
export function countryNames(jurisdiction: readonly string[]): string[] {
  names ??= new Intl.DisplayNames(['en-GB'], { type: 'region' });
  return jurisdiction.map((code) => {
    if (code.length === REGION) return names?.of(code) ?? code;
    return PACKS.find((pack) => pack.jurisdiction === code)?.title.split(',')[0] ?? code;
  });
}

/** Whose rules hold: said, said to be none of ours, only guessed, or never said. */
export function countryFindings(water: Water): Finding[] {
  const { jurisdiction, basis } = water;
  const mend = { label: phrase('country.mend'), ...goTo.water(water.id, POINTER) };
  if (guessed(water, POINTER) && jurisdiction.length > 0)
    return [
      RULES.finding('rules/country', 'guess', water.id, {
        title: phrase('country.guess.title'),
        because: [phrase('country.guess.why', { country: countryNames(jurisdiction) })],
        mend,
      }),
    ];
  if (jurisdiction.length > 0) return [];
  const said = basis?.[POINTER] === 'stated';
  return [
    RULES.finding('rules/country', said ? 'foreign' : 'none', water.id, {
      title: phrase(said ? 'country.foreign.title' : 'country.none.title'),
      because: [phrase(said ? 'country.foreign.why' : 'country.none.why')],
      ...(said ? {} : { mend }),
    }),
  ];
}

/** Rules of a country that is only guessed: what would hold stays open, so that no law is kept or broken by a guess. */
export function underGuess(found: RuleResult[], water: Water | undefined): RuleResult[] {
  if (!water || !guessed(water, POINTER)) return found;
  return found.map((result): RuleResult => {
    const { jurisdiction } = result.pack;
    if (jurisdiction === '*' || result.applies === 'no') return result;
    const because = phrase('because.country', { country: countryNames([jurisdiction]) });
    return {
      ...result,
      applies: 'unknown',
      because: [{ phrase: because, truth: 'unknown' }, ...result.because],
      missing: [...result.missing, 'water.country'],
    };
  });
}
