import { describe, expect, test } from '@jest/globals';
import { anItem, aPerson } from '../../test/demo';
import type { Demand, GearItem, Requirement, Rule, Truth } from '../model';
import type { RuleResult } from '../rules';
import { matchKit, CATALOGUE } from '.';
import type { KitInput } from './match';
import { officersCheck } from './officer';

const rule = (id: string, anyOf: Demand[][], more: Partial<Rule> & { applies?: Truth } = {}): RuleResult => {
  const { applies = 'yes', ...rest } = more;
  return {
    rule: {
      id,
      layer: 'law',
      title: id,
      text: 'words',
      source: 'practice',
      section: '4',
      confidence: 'M',
      verified: false,
      noted: '2026-01-01',
      when: { always: true },
      anyOf,
      ...rest,
    },
    pack: { id: 'p' } as RuleResult['pack'],
    applies,
    because: [],
    missing: [],
    anyOf: applies === 'no' ? [] : anyOf,
  };
};
function run(rules: RuleResult[], gear: GearItem[], more: Partial<KitInput> = {}): Requirement[] {
  const people = more.people ?? [aPerson()];
  return matchKit({
    rules,
    trip: { stow: [], crew: people.map((p) => ({ person: p.id, role: 'crew' as const })) },
    people,
    gear,
    catalogue: CATALOGUE,
    on: '2026-05-12',
    endsOn: '2026-05-12',
    ...more,
  }).requirements;
}
const flare = (more: Partial<GearItem> = {}) => anItem('hand-flare', { expires: '2027-01-01', ...more });
const jacket = (more: Partial<GearItem> = {}) =>
  anItem('foam-jacket', { minMass: 50, maxMass: 100, stowage: 'on-body', ...more });
const FLARES: Demand = { capability: 'pyro-night', count: 3 },
  LIGHT: Demand = { capability: 'electric-night' },
  HORN: Demand = { capability: 'sound' };
const EACH: Demand = { capability: 'wearable', forWhom: 'each' },
  EXTINGUISHER: Demand = { capability: 'extinguisher-5b', pool: 'fire' };

describe('what is lacking', () => {
  const lacks = (anyOf: Demand[][], gear: GearItem[]) => run([rule('R-1', anyOf)], gear)[0].missing;
  test('how many are there of how many: what failed is not among them', () =>
    expect(lacks([[FLARES]], [flare({ count: 2 }), flare({ count: 5, state: 'failed' })])).toEqual([
      { capability: 'pyro-night', need: 3, have: 2 },
    ]));
  test('of several ways the one that lacks least, the first of equals', () => {
    expect(lacks([[FLARES], [LIGHT]], [flare()])).toEqual([
      { capability: 'electric-night', need: 1, have: 0 },
    ]);
    expect(lacks([[FLARES], [LIGHT]], [flare({ count: 2 })])).toEqual([
      { capability: 'pyro-night', need: 3, have: 2 },
    ]);
    expect(lacks([[LIGHT], [FLARES]], [flare({ count: 2 })])).toEqual([
      { capability: 'electric-night', need: 1, have: 0 },
    ]);
  });
  test('only what is short of a list is named', () =>
    expect(lacks([[HORN, LIGHT, FLARES]], [anItem('horn'), flare({ count: 3 })])).toEqual([
      { capability: 'electric-night', need: 1, have: 0 },
    ]));
  test('one extinguisher is not two of one pool: both are there to see, one is short', () => {
    const one = [anItem('extinguisher', { made: '2024-01-01', expires: '2030-01-01' })];
    expect(run([rule('R-1', [[EXTINGUISHER, EXTINGUISHER]])], one)[0]).toMatchObject({
      met: 'no',
      missing: [{ capability: 'extinguisher-5b', need: 1, have: 0 }],
    });
    expect(run([rule('R-1', [[EXTINGUISHER, { capability: 'extinguisher-5b' }]])], one)[0].met).toBe('yes');
  });
  test('jackets are told of people, the rest of things', () => {
    const [ann, ben] = [aPerson({ mass: 60 }), aPerson({ mass: 120 })];
    const [r] = run([rule('R-1', [[EACH, HORN]])], [jacket()], { people: [ann, ben] });
    expect(r).toMatchObject({
      met: 'no',
      missing: [
        { capability: 'wearable', need: 2, have: 1, persons: [ben.id] },
        { capability: 'sound', need: 1, have: 0 },
      ],
    });
    expect(r.metBy).toEqual([expect.objectContaining({ person: ann.id })]);
  });
  test('what stands twice against one thing is told once, the shorter way', () => {
    const deep = anItem('horn', { stowage: 'buried', approval: undefined });
    const strict: Demand = { capability: 'sound', within: 'in-reach', approved: true },
      plain: Demand = { capability: 'sound', within: 'in-reach' };
    for (const anyOf of [
      [[strict], [plain]],
      [[plain], [strict]],
    ])
      expect(
        run([rule('R-1', anyOf)], [deep])[0].nearMisses.map((m) => m.reasons.map((r) => r.code)),
      ).toEqual([['out-of-reach']]);
  });
});

describe('a rule that does not hold', () => {
  const gear = [anItem('extinguisher', { made: '2024-01-01', expires: '2030-01-01' })];
  test('asks for nothing, takes nothing, lacks nothing', () => {
    const [off, on] = run(
      [rule('OFF', [[EXTINGUISHER]], { applies: 'no' }), rule('ON', [[EXTINGUISHER]])],
      gear,
    );
    expect(off).toMatchObject({ applies: 'no', met: 'yes', metBy: [], missing: [], nearMisses: [] });
    expect(on).toMatchObject({
      met: 'yes',
      source: { id: 'practice', section: '4', confidence: 'M', verified: false, noted: '2026-01-01' },
    });
  });
  test('two that hold share a pool, and the law goes first', () => {
    const [advice, law] = run(
      [rule('A-1', [[EXTINGUISHER]], { layer: 'advice' }), rule('L-1', [[EXTINGUISHER]])],
      gear,
    );
    expect([advice.met, law.met]).toEqual(['no', 'yes']);
  });
});

describe('a label is asked for where the law that holds asks for one on jackets', () => {
  const bare = jacket({ approval: 'none' }),
    approved: Demand = { ...EACH, approved: true };
  const met = (...rules: RuleResult[]) => run(rules, [bare, flare({ count: 3 }), anItem('horn')])[0].met;
  test.each<[string, RuleResult[], Truth]>([
    ['the law asks', [rule('R-1', [[approved]])], 'no'],
    ['another rule of the law asks', [rule('R-1', [[EACH]]), rule('R-2', [[approved]])], 'no'],
    ['it may hold', [rule('R-1', [[EACH]]), rule('R-2', [[approved]], { applies: 'unknown' })], 'no'],
    ['beside a horn', [rule('R-1', [[EACH, HORN]]), rule('R-2', [[HORN, approved]])], 'no'],
    ['it does not hold', [rule('R-1', [[EACH]]), rule('R-2', [[approved]], { applies: 'no' })], 'yes'],
    [
      'only advice asks',
      [rule('R-1', [[EACH]]), rule('R-2', [[approved]], { layer: 'advice', weight: 'know' })],
      'yes',
    ],
    [
      'the law asks it of flares',
      [rule('R-1', [[EACH]]), rule('R-2', [[{ ...FLARES, approved: true }]])],
      'yes',
    ],
  ])('%s', (_name, rules, expected) => expect(met(...rules)).toBe(expected));
});

describe('jackets that hang on a fact', () => {
  const [ann, bo] = [aPerson({ mass: 60 }), aPerson({ mass: undefined })];
  test('one open fit leaves the rule open, with what is open; nobody aboard leaves it open too', () => {
    const [r] = run([rule('R-1', [[EACH]])], [jacket(), jacket()], { people: [ann, bo] });
    expect(r).toMatchObject({ met: 'unknown', missing: [] });
    expect(r.nearMisses.flatMap((m) => m.reasons.map((x) => x.code))).toContain('mass-unknown');
    expect(run([rule('R-1', [[EACH]])], [jacket()], { people: [] })[0].met).toBe('unknown');
    expect(run([rule('R-1', [[EACH]])], [jacket(), jacket()], { people: [ann] })[0]).toMatchObject({
      met: 'yes',
      nearMisses: [],
    });
  });
  test('what is spare hangs on it, a horn does not', () => {
    const spare: Demand = { capability: 'spare-jacket' };
    const open = run([rule('R-1', [[spare]]), rule('R-2', [[HORN]])], [jacket(), jacket(), anItem('horn')], {
      people: [bo],
    });
    expect(open.map((r) => r.met)).toEqual(['unknown', 'yes']);
    expect(open[0].nearMisses.flatMap((m) => m.reasons.map((x) => x.code))).toContain('unsettled');
    expect(run([rule('R-1', [[spare]])], [jacket({ count: 2 })], { people: [ann] })[0].met).toBe('yes');
    expect(run([rule('R-1', [[spare]])], [jacket({ count: 1 })], { people: [ann] })[0].met).toBe('no');
  });
});

test('of equals the one that ends last is taken, however they are listed', () => {
  const [late, soon, middle] = ['2028-01-01', '2026-12-01', '2027-06-01'].map((expires) =>
    flare({ expires }),
  );
  for (const gear of [
    [late, soon, middle],
    [soon, late, middle],
    [middle, soon, late],
  ])
    expect(run([rule('R-1', [[{ capability: 'pyro-night' }]])], gear)[0].metBy).toEqual([
      { item: late.id, count: 1 },
    ]);
});

describe('deeds that only the crew can vouch for', () => {
  const [child, teen, adult] = [
    aPerson({ name: 'Child' }),
    aPerson({ name: 'Teen' }),
    aPerson({ name: 'Adult' }),
  ];
  const ages = new Map([
    [child.id, 8],
    [adult.id, 40],
  ]);
  const under13 = rule('D-1', [], {
    declared: { worn: { fact: 'person.age', under: { value: 13, unit: 'years' } } },
  });
  const all = Array.from({ length: 3 }, () => jacket());
  const said = (...wears: [string, boolean | undefined][]) =>
    run([under13], all, {
      people: [child, teen, adult],
      crew: [child, adult].map((p) => ({ id: p.id, name: p.name, facts: { 'person.age': ages.get(p.id)! } })),
      trip: {
        stow: [],
        crew: wears.map(([person, wearsJacket]) => ({
          person,
          role: 'crew' as const,
          ...(wearsJacket === undefined ? {} : { wearsJacket }),
        })),
      },
    })[0];
  test('whom it concerns, or may concern, and nobody else', () => {
    expect(
      said([child.id, undefined], [teen.id, undefined], [adult.id, undefined], ['gone', undefined]),
    ).toMatchObject({ met: 'unknown', concerns: [child.id, teen.id] });
    expect(said([adult.id, undefined]).concerns).toEqual([]);
  });
  test('yes when all of them said so, no when one will not, open else', () => {
    expect(said([child.id, true], [adult.id, false]).met).toBe('yes');
    expect(said([child.id, true], [teen.id, true]).met).toBe('yes');
    expect(said([child.id, true], [teen.id, undefined]).met).toBe('unknown');
    expect(said([child.id, true], [teen.id, false]).met).toBe('no');
    // A tick is no jacket.
    expect(
      run([under13], [], {
        people: [child],
        crew: [{ id: child.id, name: 'Child', facts: { 'person.age': 8 } }],
        trip: { stow: [], crew: [{ person: child.id, role: 'crew', wearsJacket: true }] },
      })[0],
    ).toMatchObject({ met: 'no', missing: [{ capability: 'wearable', persons: [child.id] }] });
    expect(said([adult.id, true]).met).toBe('unknown');
  });
});

describe('an officer’s check', () => {
  const stops = [
    { id: 'jackets', title: 'Jackets', ask: '', capabilities: ['wearable' as const], worn: true },
    { id: 'sound', title: 'Sound', ask: '', capabilities: ['sound' as const] },
    { id: 'rest', title: 'The rest', ask: '', capabilities: [] },
  ];
  const order = (rules: RuleResult[], gear: GearItem[]) =>
    officersCheck(stops, run(rules, gear)).map((s) => [s.id, s.passes, ...s.requirements.map((r) => r.rule)]);
  test('the law that holds, once, each at its stop; what no stop names comes last', () => {
    expect(
      order(
        [
          rule('FLARES', [[FLARES]]),
          rule('HORN', [[HORN]]),
          rule('BOTH', [[EACH, HORN]]),
          rule('WORN', [], { declared: { worn: { always: true } } }),
          rule('ADVICE', [[HORN]], { layer: 'advice' }),
          rule('OFF', [[HORN]], { applies: 'no' }),
        ],
        [jacket(), anItem('horn')],
      ),
    ).toEqual([
      ['jackets', 'unknown', 'BOTH', 'WORN'],
      ['sound', 'yes', 'HORN'],
      ['rest', 'no', 'FLARES'],
    ]);
  });
  test('a stop without a law is not made; what only may hold is open, not failed', () => {
    expect(order([rule('HORN', [[HORN]])], [])).toEqual([['sound', 'no', 'HORN']]);
    expect(order([rule('HORN', [[HORN]], { applies: 'unknown' })], [])).toEqual([
      ['sound', 'unknown', 'HORN'],
    ]);
    expect(
      order(
        [rule('HORN', [[HORN]]), rule('HORN-2', [[{ ...HORN, within: 'on-body' }]], { applies: 'unknown' })],
        [anItem('horn')],
      ),
    ).toEqual([['sound', 'unknown', 'HORN', 'HORN-2']]);
  });
});
