import { describe, expect, test } from '@jest/globals';
import { check } from '../../test/check';
import type { Capability, RulePack, Truth } from '../model';
import canada from './canada.table.json';
import { exampleFaults } from './examples';
import type { Facts } from './facts';
import federal from './us-federal.table.json';
import { applyPacks, type RuleResult, PACKS } from '.';

type Row = (typeof federal.rows)[number] | (typeof canada.rows)[number];
const packOf = (id: string): RulePack => PACKS.find((p) => p.id === id)!;

function resultsOf(pack: RulePack, row: Row): RuleResult[] {
  const { crew, ...facts } = row.facts as Facts & { crew?: Facts[] };
  const people = crew ?? [{ 'person.age': { low: 40, high: 40 } }];
  return applyPacks([pack], {
    facts: { ...facts, 'crew.count': people.length },
    crew: people.map((f, i) => ({ id: `p${i}`, name: `P${i}`, facts: f })),
  });
}

/** What the pack asks of a thing, whatever its rules are called: yes as soon as one rule does, open when one may. */
const strongest = (results: RuleResult[]): Truth =>
  results.some((r) => r.applies === 'yes')
    ? 'yes'
    : results.some((r) => r.applies === 'unknown')
      ? 'unknown'
      : 'no';
const asking = (results: RuleResult[], ...capabilities: Capability[]) =>
  results.filter((r) => capabilities.every((c) => r.anyOf.flat().some((d) => d.capability === c)));
const only = (results: RuleResult[], capability: Capability) =>
  results.filter((r) => r.anyOf.some((all) => all.length === 1 && all[0].capability === capability));
const counted = (results: RuleResult[], capability: Capability) =>
  asking(results, capability)
    .filter((r) => r.applies === 'yes')
    .reduce((sum, r) => sum + (r.anyOf[0].find((d) => d.capability === capability)?.count ?? 1), 0);
/** May it serve: no where its own condition fails, open where that or the rule is. */
const serves = (results: RuleResult[], capability: Capability): Truth => {
  const found = asking(results, capability);
  const open = (r: RuleResult) =>
    r.applies === 'unknown' || r.anyOf.flat().some((d) => d.capability === capability && d.hangsOn);
  return found.length === 0 ? 'no' : found.every(open) ? 'unknown' : 'yes';
};

/** The words of the tables, each told by capabilities. */
const TOPICS: Record<string, (results: RuleResult[]) => Truth | number> = {
  jackets: (r) => strongest(asking(r, 'wearable')),
  throwable: (r) => strongest(asking(r, 'throwable')),
  childWear: (r) => strongest(r.filter((x) => x.rule.declared && x.rule.id.includes('PFD'))),
  daySignals: (r) => strongest(asking(r, 'pyro-day')),
  nightSignals: (r) => strongest(asking(r, 'pyro-night')),
  sound: (r) => strongest(asking(r, 'sound')),
  powerLights: (r) => strongest(r.filter((x) => x.rule.id === 'NAV-23D')),
  handLight: (r) => strongest(asking(r, 'white-light')),
  sailLights: (r) => strongest(asking(r, 'tricolour').filter((x) => asking([x], 'white-light').length === 0)),
  lights: (r) => strongest(asking(r, 'sidelights')),
  extinguishers: (r) => counted(r, 'extinguisher-5b'),
  oldExtinguisher: (r) => serves(r, 'extinguisher-b1'),
  cutOff: (r) => strongest(asking(r, 'kill-cord')),
  heavingLine: (r) => strongest(asking(r, 'heaving-line')),
  bailer: (r) => strongest(asking(r, 'bail')),
  compass: (r) => strongest(asking(r, 'direction')),
  propel: (r) => strongest(asking(r, 'anchor')),
  reboard: (r) => strongest(asking(r, 're-board')),
  flares: (r) =>
    counted(
      r.filter((x) => asking([x], 'light-watertight').length === 0),
      'pyro-not-smoke',
    ),
  flashlight: (r) => strongest(only(r, 'light-watertight').filter((x) => x.anyOf.length === 1)),
  lightOrFlares: (r) => strongest(asking(r, 'light-watertight', 'pyro-not-smoke')),
};

const wanted = (value: boolean | number | null): Truth | number =>
  value === null ? 'unknown' : typeof value === 'number' ? value : value ? 'yes' : 'no';

for (const [name, table, pack, source] of [
  ['33 CFR 175 and the Navigation Rules', federal, 'us-federal', 'cfr-33-175-b'],
  ['the Canadian table', canada, 'canada', 'ca-svr'],
] as const)
  describe(name, () => {
    test('is as long as was asked for', () =>
      expect(table.rows.length).toBeGreaterThanOrEqual(pack === 'canada' ? 60 : 120));
    for (const row of table.rows as Row[])
      check('recalled', source, `${row.section}: ${row.title}`, () => {
        const results = resultsOf(packOf(pack), row);
        // `flares` is null where they are only one of two ways: then `lightOrFlares` says it.
        const expected = Object.entries(
          row.expect as unknown as Record<string, boolean | number | null>,
        ).filter(([topic, value]) => !(topic === 'flares' && value === null));
        expect(Object.fromEntries(expected.map(([topic]) => [topic, TOPICS[topic](results)]))).toEqual(
          Object.fromEntries(expected.map(([topic, value]) => [topic, wanted(value)])),
        );
      });
  });

describe('each pack proves itself', () => {
  for (const pack of PACKS)
    test(`${pack.id}: ${pack.examples?.length ?? 0} examples`, () => expect(exampleFaults(pack)).toEqual([]));
  test('an example that does not hold is said: which, what was expected, what came', () => {
    const pack = packOf('ireland');
    const broken: RulePack = {
      ...pack,
      examples: [{ title: 'Wrong', facts: { 'boat.length': 7 }, applies: ['IE-WORN-7'], not: ['NOBODY'] }],
    };
    expect(exampleFaults(broken)).toEqual([
      'Wrong: IE-WORN-7 should be yes and is no',
      'Wrong: there is no rule NOBODY',
    ]);
  });
});
