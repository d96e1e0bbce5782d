import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { check } from '../../test/check';
import { runs } from '../../test/runs';
import { aBoat, anItem, aPerson } from '../../test/demo';
import type { Demand, GearItem, Person, Requirement, Rule, Trip, Water } from '../model';
import type { RuleResult } from '../rules';
import { forgottenBefore, forgottenKey, matchKit, packGroups, packList, CATALOGUE } from '.';
import type { Piece } from './count';
import { liftLacking, toThrow } from './jackets';
import type { KitInput } from './match';

const ruleOf = (anyOf: Demand[][], more: Partial<Rule> = {}): RuleResult => ({
  rule: {
    id: 'R',
    layer: 'law',
    title: 'R',
    text: '',
    source: 's',
    section: '1',
    confidence: 'H',
    verified: false,
    noted: '2026-01-01',
    when: { always: true },
    anyOf,
    ...more,
  },
  pack: { id: 'p' } as RuleResult['pack'],
  applies: 'yes',
  because: [],
  missing: [],
  anyOf,
});

function match(
  anyOf: Demand[][],
  gear: GearItem[],
  more: Partial<KitInput> & { stow?: Trip['stow'] } = {},
): Requirement {
  const people = more.people ?? [aPerson()];
  const crew = people.map((p) => ({ person: p.id, role: 'crew' as const }));
  return matchKit({
    rules: [ruleOf(anyOf)],
    trip: { stow: more.stow ?? [], crew },
    people,
    gear,
    catalogue: CATALOGUE,
    on: '2026-05-12',
    endsOn: '2026-05-12',
    boat: aBoat(),
    ...more,
  }).requirements[0];
}
const codes = (r: Requirement) => r.nearMisses.flatMap((m) => m.reasons.map((x) => x.code)).sort();
const NIGHT: Demand[][] = [
  [{ capability: 'electric-night', within: 'in-reach', approved: true }],
  [{ capability: 'pyro-night', count: 3, within: 'in-reach', approved: true }],
];
const flare = (more: Partial<GearItem> = {}) => anItem('hand-flare', { expires: '2027-01-01', ...more });

describe('what counts', () => {
  test('three flares in date, of several packets', () => {
    expect(match(NIGHT, [flare({ count: 2 }), flare()]).met).toBe('yes');
    const short = match(NIGHT, [flare({ count: 2 }), flare({ expires: '2026-05-11' })]);
    expect(short).toMatchObject({ met: 'no', missing: [{ capability: expect.any(String) }] });
    expect(codes(short)).toContain('expired');
  });
  test('a date ends with its day', () => {
    expect(match(NIGHT, [flare({ count: 3, expires: '2026-05-12' })]).met).toBe('yes');
    expect(match(NIGHT, [flare({ count: 3, expires: '2026-05-12' })], { endsOn: '2026-05-13' }).met).toBe(
      'no',
    );
  });
  test('a light instead of flares', () =>
    expect(match(NIGHT, [anItem('sos-light', { charge: 1, expires: '2030-01-01' })]).met).not.toBe('no'));
  test('no end date is open, never a pass', () =>
    expect(match(NIGHT, [flare({ count: 3, expires: undefined })])).toMatchObject({ met: 'unknown' }));
  test('what stays at home, lies too deep, failed or belongs to another boat does not count, and says so', () => {
    const demand: Demand[][] = [[{ capability: 'sound', within: 'in-reach' }]];
    const horn = anItem('horn');
    expect(match(demand, [horn]).met).toBe('yes');
    expect(codes(match(demand, [horn], { stow: [{ item: horn.id, place: 'home' }] }))).toContain(
      'stays-home',
    );
    expect(codes(match(demand, [anItem('horn', { stowage: 'buried' })]))).toContain('out-of-reach');
    expect(codes(match(demand, [anItem('horn', { state: 'failed' })]))).toContain('failed');
    expect(codes(match(demand, [anItem('horn', { fittedTo: aBoat().id })]))).toContain('other-boat');
    expect(codes(match(demand, [anItem('horn', { count: 0 })]))).toContain('none-left');
  });
  test('a whistle travels with the jacket it is fixed to', () => {
    const worn = anItem('foam-jacket', { minMass: 50, maxMass: 100, stowage: 'on-body' }),
      spare = anItem('foam-jacket', { minMass: 20, maxMass: 40, stowage: 'home' });
    const demand: Demand[][] = [[{ capability: 'sound', within: 'on-body' }]];
    const person = aPerson();
    const said = (wearsJacket?: boolean) => ({
      people: [person],
      trip: {
        stow: [],
        crew: [
          { person: person.id, role: 'crew' as const, ...(wearsJacket === undefined ? {} : { wearsJacket }) },
        ],
      },
    });
    const onWorn = [worn, spare, anItem('whistle', { on: worn.id })];
    expect([
      match(demand, onWorn, said(true)).met,
      match(demand, onWorn, said()).met,
      match(demand, onWorn, said(false)).met,
    ]).toEqual(['yes', 'unknown', 'no']);
    expect(codes(match(demand, [worn, spare, anItem('whistle', { on: spare.id })]))).toContain('host-stays');
  });
  test('a pump without its battery is nothing', () => {
    const demand: Demand[][] = [[{ capability: 'bail' }]];
    const boat = aBoat();
    expect(codes(match(demand, [anItem('electric-pump')], { boat }))).toContain('companion');
    expect(
      match(demand, [anItem('electric-pump'), anItem('pump-battery', { charge: 0.9 })], { boat }).met,
    ).toBe('yes');
    expect(
      match(demand, [anItem('electric-pump'), anItem('pump-battery', { charge: 0.1 })], { boat }).met,
    ).toBe('no');
  });
  test('a wearable is not the throwable', () =>
    expect(match([[{ capability: 'throwable' }]], [anItem('foam-jacket', { minMass: 50 })]).met).toBe('no'));
  test('a worn jacket is nobody’s spare', () => {
    const demand: Demand[][] = [[{ capability: 'spare-jacket' }]];
    const jacket = () => anItem('foam-jacket', { minMass: 40, maxMass: 120, stowage: 'in-reach' });
    expect(match(demand, [jacket()]).met).toBe('no');
    expect(match(demand, [jacket(), jacket()]).met).toBe('yes');
  });
});

describe('jackets', () => {
  const EACH: Demand[][] = [
    [{ capability: 'wearable', forWhom: 'each', within: 'in-reach', approved: true }],
  ];
  const jacket = (minMass: number, maxMass: number, more: Partial<GearItem> = {}) =>
    anItem('foam-jacket', { minMass, maxMass, stowage: 'on-body', ...more });
  test('one body each: the only one that fits the child is left to the child', () => {
    const child = aPerson({ name: 'Child', mass: 38, born: '2016' }),
      adult = aPerson({ mass: 60 });
    const r = match(EACH, [jacket(30, 70), jacket(50, 100)], { people: [child, adult] });
    expect(r.met).toBe('yes');
    expect(new Map(r.metBy.map((u) => [u.person, u.item])).size).toBe(2);
  });
  test('too big, too small, unapproved, size not known', () => {
    expect(codes(match(EACH, [jacket(80, 120)]))).toContain('too-big');
    expect(codes(match(EACH, [jacket(20, 40)]))).toContain('too-small');
    expect(codes(match(EACH, [jacket(50, 100, { approval: 'none' })]))).toContain('not-approved');
    expect(match(EACH, [anItem('foam-jacket', { stowage: 'on-body' })]).met).toBe('unknown');
    expect(match(EACH, [jacket(50, 100)], { people: [aPerson({ mass: undefined })] }).met).toBe('unknown');
  });
  test('an approved inflatable asks for sixteen years and 80 lb (46 CFR 160.076, recalled)', () => {
    const inflatable = () =>
      anItem('inflatable-jacket', { minMass: 30, maxMass: 150, stowage: 'on-body', cylinder: 'green' });
    const on = { on: '2026-05-12', endsOn: '2026-05-12' };
    expect(
      match(EACH, [inflatable()], { people: [aPerson({ born: '2010-05-12', mass: 60 })], ...on }).met,
    ).toBe('yes');
    expect(
      codes(match(EACH, [inflatable()], { people: [aPerson({ born: '2010-05-13', mass: 60 })], ...on })),
    ).toContain('too-young');
    expect(match(EACH, [inflatable()], { people: [aPerson({ born: '2010', mass: 60 })], ...on }).met).toBe(
      'unknown',
    );
    expect(codes(match(EACH, [inflatable()], { people: [aPerson({ mass: 36 })], ...on }))).toContain(
      'too-big',
    );
  });
  test('a cylinder that is fired does not count, one nobody looked at is open', () => {
    const with_ = (cylinder: GearItem['cylinder']) =>
      match(EACH, [anItem('inflatable-jacket', { minMass: 30, maxMass: 150, stowage: 'on-body', cylinder })]);
    expect([with_('green').met, with_(undefined).met, with_('fired').met]).toEqual(['yes', 'unknown', 'no']);
  });
  describe('rapids', () => {
    const inflatable = (more: Partial<GearItem> = {}) => [
      anItem('inflatable-jacket', {
        minMass: 30,
        maxMass: 150,
        stowage: 'on-body',
        cylinder: 'green',
        ...more,
      }),
    ];
    const on = (rapids: boolean | undefined, gear = inflatable()) =>
      match(EACH, gear, { water: { class: 'river', ...(rapids === undefined ? {} : { rapids }) } });
    check(
      'recalled',
      'cfr-33-175-b',
      'an inflatable jacket does not count in rapids; where nobody said, it may',
      () => {
        expect([on(true).met, on(undefined).met, on(false).met]).toEqual(['no', 'unknown', 'yes']);
        expect(codes(on(true))).toContain('not-for-rapids');
      },
    );
    test('a label that allows it makes it count; foam always counts', () => {
      expect(on(true, inflatable({ hardUse: true })).met).toBe('yes');
      expect(on(true, [jacket(50, 100)]).met).toBe('yes');
    });
    test('elsewhere than on a river nobody has to say it', () =>
      expect(match(EACH, inflatable(), { water: { class: 'lake' } }).met).toBe('yes'));
  });
  describe('lift on open water', () => {
    const { openWater } = CATALOGUE;
    const lacking = (mass: number, buoyancy: number | undefined, water: Water['class'] = 'coastal') =>
      liftLacking(aPerson({ mass }), { item: anItem('foam-jacket', { buoyancy }) } as Piece, {
        water: { class: water },
        openWater,
      });
    for (const [mass, newtons] of [
      [20, 30],
      [21, 40],
      [30, 40],
      [31, 50],
      [40, 50],
      [50, 60],
      [60, 70],
      [70, 80],
      [71, 100],
      [110, 100],
    ] as const)
      check('recalled', 'iso-12402', `level 100 lifts a wearer of ${mass} kg with ${newtons} N`, () => {
        expect(lacking(mass, newtons)).toBeUndefined();
        expect(lacking(mass, newtons - 1)).toEqual({ has: newtons - 1, least: newtons });
      });
    test('sheltered water asks for no more than the label; what nobody entered is not held against it', () => {
      expect(lacking(80, 50, 'lake')).toBeUndefined();
      expect(lacking(80, undefined)).toBeUndefined();
    });
    test('of two that fit, the one that lifts enough is taken, though it is somebody else’s', () => {
      const person = aPerson({ mass: 80 });
      const own = jacket(70, 90, { owner: person.id, buoyancy: 55 }),
        other = jacket(60, 120, { owner: aPerson().id, buoyancy: 150 });
      const takes = (cls: Water['class']) =>
        match(EACH, [own, other], { people: [person], water: { class: cls }, openWater }).metBy[0].item;
      expect([takes('coastal'), takes('lake')]).toEqual([other.id, own.id]);
    });
  });
  test('what could be thrown: a jacket nobody wears, a cushion in reach; what stands against the others is told', () => {
    const person = aPerson({ mass: 80 }),
      worn = jacket(70, 90),
      loose = jacket(60, 120, { stowage: 'in-reach' }),
      cushion = anItem('throw-cushion', { stowage: 'buried' });
    const kit = matchKit({
      rules: [ruleOf(EACH)],
      trip: { stow: [], crew: [{ person: person.id, role: 'crew' }] },
      people: [person],
      gear: [worn, loose, cushion],
      catalogue: CATALOGUE,
      on: '2026-05-12',
      endsOn: '2026-05-12',
    });
    const { spare, throwable } = toThrow(kit.jackets, kit.pieces, { approved: true });
    expect(spare.map((f) => [f.piece.item.id, f.faults.length])).toEqual([[loose.id, 0]]);
    expect(throwable[0].faults.map((f) => f.code)).toEqual(['out-of-reach']);
  });
  test('a stated jacket binds', () => {
    const person = aPerson({ mass: 80 });
    const small = jacket(20, 40),
      right = jacket(60, 100);
    const crew = [{ person: person.id, role: 'skipper' as const, jacket: small.id }];
    expect(match(EACH, [small, right], { people: [person], trip: { stow: [], crew } }).met).toBe('no');
  });
  test('as many people are served as brute force can serve, and the answer does not hang on the order', () => {
    const range = fc
      .tuple(fc.integer({ min: 20, max: 100 }), fc.integer({ min: 0, max: 60 }))
      .map(([low, wide]) => [low, low + wide] as const);
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 20, max: 120 }), { minLength: 1, maxLength: 4 }),
        fc.array(range, { maxLength: 5 }),
        (masses, ranges) => {
          const people = masses.map((mass) => aPerson({ mass })),
            gear = ranges.map(([low, high]) => jacket(low, high));
          const r = match(EACH, gear, { people });
          expect(r.metBy.length).toBe(most(people, gear));
          for (const use of r.metBy) {
            const item = gear.find((g) => g.id === use.item)!,
              mass = people.find((p) => p.id === use.person)!.mass!;
            expect(mass >= item.minMass! && mass <= item.maxMass!).toBe(true);
          }
          expect(new Set(r.metBy.map((u) => u.item)).size).toBe(r.metBy.length);
          const again = match(EACH, [...gear].reverse(), { people: [...people].reverse() });
          const key = (uses: Requirement['metBy']) => uses.map((u) => `${u.person} ${u.item}`).sort();
          expect(key(again.metBy)).toEqual(key(r.metBy));
        },
      ),
      { numRuns: runs(150) },
    );
  });
  /** Brute force: the most people that can have a jacket of their own. */
  function most(people: Person[], gear: GearItem[]): number {
    if (people.length === 0) return 0;
    const [first, ...rest] = people;
    let best = most(rest, gear);
    gear.forEach((g, i) => {
      if (first.mass! >= g.minMass! && first.mass! <= g.maxMass!)
        best = Math.max(
          best,
          1 +
            most(
              rest,
              gear.filter((_, j) => j !== i),
            ),
        );
    });
    return best;
  }
});

describe('packing list', () => {
  test('what was forgotten stands first, once, newest note first', () => {
    const note = (on: string, ...forgotten: string[]) => ({
      id: 'd' + on,
      trip: 't',
      on,
      forgotten,
      broken: [],
    });
    expect(
      forgottenBefore([note('2026-04-01', 'Hat', 'Licence'), note('2026-05-01', 'hat ')]).map((f) => [
        f.what,
        f.on,
      ]),
    ).toEqual([
      ['hat ', '2026-05-01'],
      ['Licence', '2026-04-01'],
    ]);
    expect(forgottenKey('Fishing licence')).toBe('forgotten:fishing-licence');
    const groups = packGroups(packList([], [], [note('2026-05-01', 'Hat')], new Map()));
    expect(groups[0].title).toBe('Forgotten before');
  });
});
