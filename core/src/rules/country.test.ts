import { describe, expect, test } from '@jest/globals';
import { inputOf } from '../../test/demo';
import type { Water } from '../model';
import { assess } from '../trip';
import { PACKS } from './library';
import { countryFindings, countryOf } from './country';

describe('whose rules hold', () => {
  const water = (more: Partial<Water>): Water => ({
    id: '01890000-0000-7000-8000-0000000000a1',
    name: 'The sound',
    class: 'coastal',
    zone: 'Europe/Dublin',
    jurisdiction: [],
    ...more,
  });
  test.each<[string, Partial<Water>, [string, boolean | undefined][]]>([
    ['nobody said', {}, [['fix', true]]],
    ['said', { jurisdiction: ['IE'] }, []],
    ['guessed', { jurisdiction: ['IE'], basis: { '/jurisdiction': 'guessed' } }, [['fix', true]]],
    ['said to be none of ours', { basis: { '/jurisdiction': 'stated' } }, [['know', true]]],
  ])('%s', (_what, more, wanted) =>
    expect(countryFindings(water(more)).map((f) => [f.level, f.open])).toEqual(wanted),
  );

  const laws = PACKS.filter((p) => p.jurisdiction !== '*' && !('layer' in p)).map((p) => p.id);
  const under = (basis?: Water['basis']) => {
    const input = inputOf();
    const waters = input.shed.waters.map((w) => ({ ...w, ...(basis ? { basis } : {}) }));
    return assess({ ...input, shed: { ...input.shed, waters } });
  };
  test('under a guessed country no law is kept and none is broken: what would hold stays open', () => {
    const [sure, guess] = [under(), under({ '/jurisdiction': 'guessed' })];
    const law = ({ requirements }: typeof sure) =>
      requirements.filter((r) => r.layer === 'law' && laws.includes(r.pack));
    expect(law(sure).some((r) => r.applies === 'yes')).toBe(true);
    expect(law(guess).length).toBeGreaterThan(0);
    expect(law(guess).filter((r) => r.applies === 'yes')).toEqual([]);
    const kept = new Set(law(guess).map((r) => `kit/${r.rule}`));
    const found = guess.findings.filter((f) => kept.has(f.id.split('/').slice(0, 2).join('/')));
    expect(found.filter((f) => f.level === 'ready' || f.level === 'stop')).toEqual([]);
    expect(guess.findings.some((f) => f.id.startsWith('rules/country/') && f.level === 'fix')).toBe(true);
    // What practice advises holds everywhere and is not touched.
    const advice = ({ requirements }: typeof sure) =>
      requirements.filter((r) => r.pack === 'practice').map((r) => [r.rule, r.applies]);
    expect(advice(guess)).toEqual(advice(sure));
  });
});

test('a time zone tells of a country where a list ships, of no other', () => {
  expect(
    ['Europe/Dublin', 'Europe/London', 'America/Los_Angeles', 'America/Halifax', 'Pacific/Auckland'].map(
      countryOf,
    ),
  ).toEqual(['IE', 'GB', 'US', 'CA', 'NZ']);
  expect(['Europe/Paris', 'UTC', 'nowhere'].map(countryOf)).toEqual([undefined, undefined, undefined]);
  const countries = new Set(PACKS.map((p) => p.jurisdiction.slice(0, 2)).filter((c) => c !== '*'));
  for (const country of countries)
    expect(Intl.supportedValuesOf('timeZone').some((zone) => countryOf(zone) === country)).toBe(true);
});
