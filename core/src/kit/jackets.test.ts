import { describe, expect, test } from '@jest/globals';
import { aBoat, anItem, aPerson } from '../../test/demo';
import type { Boat, GearItem, Person, Trip, Water } from '../model';
import { render } from '../say';
import { indexCatalogue, CATALOGUE } from '.';
import { piecesOf, settle, stowages } from './count';
import { liftFindings } from './find-jackets';
import { fitFaults, matchJackets, toThrow, type JacketContext } from './jackets';

const reader = { units: 'metric', zone: 'UTC', locale: 'en-GB' } as const;
const catalogue = indexCatalogue(CATALOGUE);
const jacket = (
  name: string,
  minMass: number | undefined,
  maxMass: number | undefined,
  more: Partial<GearItem> = {},
) =>
  anItem('foam-jacket', {
    name,
    stowage: 'on-body',
    ...(minMass === undefined ? {} : { minMass }),
    ...(maxMass === undefined ? {} : { maxMass }),
    ...more,
  });
const blown = (more: Partial<GearItem> = {}) =>
  anItem('inflatable-jacket', {
    name: 'Blown',
    minMass: 40,
    maxMass: 150,
    cylinder: 'green',
    stowage: 'on-body',
    ...more,
  });

interface More {
  crew?: Trip['crew'];
  boat?: Boat;
  water?: Pick<Water, 'class' | 'rapids'>;
  approved?: boolean;
  stow?: Trip['stow'];
}
function setting(
  people: Person[],
  gear: GearItem[],
  { crew, stow = [], approved = false, ...more }: More = {},
) {
  const context: JacketContext = {
    people,
    crew: crew ?? people.map((p) => ({ person: p.id, role: 'crew' })),
    on: '2026-05-12',
    approved,
    openWater: CATALOGUE.openWater,
    ...more,
  };
  const pieces = settle(
    piecesOf(
      { people, gear, catalogue, endsOn: '2026-05-12', ...(more.boat ? { boat: more.boat } : {}) },
      stowages(gear, { stow }),
    ),
    { worn: new Map() },
  );
  const plan = matchJackets(context, pieces);
  return {
    context,
    pieces,
    plan,
    wears: (p: Person) => plan.fits.get(p.id)?.piece.item.name,
    misses: (p: Person) =>
      (plan.misses.get(p.id) ?? []).map(
        (m) => `${m.piece.item.name}: ${m.faults.map((f) => render(f.phrase, reader)).join('; ')}`,
      ),
  };
}
const sentences = (person: Person, item: GearItem, more: More = {}) => {
  const { context, pieces } = setting([person], [item], more);
  return fitFaults(person, pieces[0], context).map(
    (f) => `${f.unknown ? '? ' : ''}${render(f.phrase, reader)}`,
  );
};

describe('why a jacket does not fit', () => {
  const ash = aPerson({ name: 'Ash', mass: 75, born: '1990-01-01' });
  test.each<[string, GearItem, Person, More, string[]]>([
    ['it fits', jacket('J', 70, 90), ash, {}, []],
    ['at its lower end', jacket('J', 75, 90), ash, {}, []],
    ['at its upper end', jacket('J', 40, 75), ash, {}, []],
    ['too big', jacket('J', 76, 90), ash, {}, ['made for 76 kg and more; Ash weighs 75 kg']],
    ['no upper end on the label', jacket('J', 70, undefined), ash, {}, ['? its size is not known']],
    [
      'no upper end, yet surely too big',
      jacket('J', 80, undefined),
      ash,
      {},
      ['made for 80 kg and more; Ash weighs 75 kg'],
    ],
    ['no lower end', jacket('J', undefined, 90), ash, {}, ['? its size is not known']],
    ['no lower end on the label of a kind that has one', blown({ minMass: undefined }), ash, {}, []],
    [
      'an upper end alone, and no weight',
      jacket('J', undefined, 90),
      aPerson({ name: 'Bo', mass: undefined }),
      {},
      ['? its size is not known', '? weight of Bo is not known'],
    ],
    [
      'the kind’s lower end alone, and no weight',
      blown({ minMass: undefined, maxMass: undefined }),
      aPerson({ name: 'Bo', mass: undefined }),
      {},
      ['? its size is not known', '? weight of Bo is not known'],
    ],
    [
      'an inflatable on a river whose rapids nobody spoke of',
      blown(),
      ash,
      { water: { class: 'river' } },
      ['? whether there are rapids on this water is not said'],
    ],
    [
      'an inflatable on a river without rapids',
      blown(),
      ash,
      { water: { class: 'river', rapids: false } },
      [],
    ],
    [
      'weight not known',
      jacket('J', 70, 90),
      aPerson({ name: 'Bo', mass: undefined }),
      {},
      ['? weight of Bo is not known'],
    ],
    [
      'neither label nor weight',
      jacket('J', undefined, undefined),
      aPerson({ name: 'Bo', mass: undefined }),
      {},
      ['? its size is not known'],
    ],
    [
      'a child in an inflatable',
      blown(),
      aPerson({ name: 'Cy', mass: 45, born: '2012-05-12' }),
      {},
      ['made for 16 years and older; Cy is 14'],
    ],
    ['sixteen that day', blown(), aPerson({ name: 'Cy', mass: 45, born: '2010-05-12' }), {}, []],
    [
      'a year of birth that may be sixteen',
      blown(),
      aPerson({ name: 'Cy', mass: 45, born: '2010' }),
      {},
      ['? age of Cy is not known'],
    ],
    [
      'no age at all',
      blown(),
      aPerson({ name: 'Cy', mass: 45, born: undefined }),
      {},
      ['? age of Cy is not known'],
    ],
    [
      'a foam one asks for no age',
      jacket('J', 40, 90),
      aPerson({ name: 'Cy', mass: 45, born: undefined }),
      {},
      [],
    ],
    [
      'an age on the label',
      jacket('J', 40, 90, { minAge: 18 }),
      aPerson({ name: 'Cy', mass: 45, born: '2010-01-01' }),
      {},
      ['made for 18 years and older; Cy is 16'],
    ],
    [
      'on a watercraft',
      blown(),
      ash,
      { boat: aBoat({ kind: 'personal-watercraft' }) },
      ['it is not made for this craft'],
    ],
    [
      'on a watercraft, allowed by its label',
      blown({ hardUse: true }),
      ash,
      { boat: aBoat({ kind: 'personal-watercraft' }) },
      [],
    ],
    ['on a skiff', blown(), ash, { boat: aBoat() }, []],
    ['left at home', jacket('J', 70, 90, { stowage: 'home' }), ash, {}, ['it stays at home']],
    [
      'buried, and worn',
      jacket('J', 70, 90, { stowage: 'buried' }),
      ash,
      { crew: [{ person: ash.id, role: 'crew', wearsJacket: true }] },
      [],
    ],
    [
      'buried, and wearing not said',
      jacket('J', 70, 90, { stowage: 'buried' }),
      ash,
      {},
      ['? it is on a body only while the jacket is worn, and nobody said so'],
    ],
    [
      'buried, and not worn',
      jacket('J', 70, 90, { stowage: 'buried' }),
      ash,
      { crew: [{ person: ash.id, role: 'crew', wearsJacket: false }] },
      ['it travels buried; it counts only in reach of the seat'],
    ],
    [
      'usually on the body, and not worn',
      jacket('J', 70, 90),
      ash,
      { crew: [{ person: ash.id, role: 'crew', wearsJacket: false }] },
      ['? it usually travels on a body, and who should wear it does not: where it is, nobody said'],
    ],
    [
      'approval asked for and not entered',
      jacket('J', 70, 90, { approval: undefined }),
      ash,
      { approved: true },
      ['? what its label says is not known'],
    ],
  ])('%s', (_name, item, person, more, expected) => expect(sentences(person, item, more)).toEqual(expected));
});

describe('who wears which', () => {
  const [ann, ben] = [aPerson({ name: 'Ann', mass: 60 }), aPerson({ name: 'Ben', mass: 80 })];
  test('one’s own, then nobody’s, then another’s; then the tightest', () => {
    const wide = { min: 40, max: 120 };
    // The one that is least preferred has the lowest id: no tie may decide.
    const bens = jacket('Ben’s', wide.min, wide.max, { owner: ben.id }),
      free = jacket('Free', wide.min, wide.max),
      own = jacket('Own', wide.min, wide.max, { owner: ann.id });
    const alone = (gear: GearItem[]) => setting([ann], gear).wears(ann);
    expect([alone([bens, free, own]), alone([bens, free]), alone([bens])]).toEqual(['Own', 'Free', 'Ben’s']);
    expect(alone([jacket('Wide', 40, 120), jacket('Tight', 55, 70), jacket('Open', 55, 119)])).toBe('Tight');
    expect(alone([jacket('From forty', 40, 90), jacket('From fifty', 50, 90)])).toBe('From fifty');
  });
  test('of equal ones the lowest id, however they are listed', () => {
    const [first, second] = [jacket('First', 50, 90), jacket('Second', 50, 90)];
    expect(
      [
        [first, second],
        [second, first],
      ].map((gear) => {
        const { wears } = setting([ann, ben], gear);
        return [wears(ann), wears(ben)];
      }),
    ).toEqual([
      ['First', 'Second'],
      ['First', 'Second'],
    ]);
  });
  test('what surely fits goes before what only may, even another’s', () =>
    expect(
      setting(
        [ann],
        [jacket('May', 50, undefined, { owner: ann.id }), jacket('Sure', 40, 120, { owner: ben.id })],
      ).wears(ann),
    ).toBe('Sure'));
  test('everyone is served before anyone is served well', () => {
    const both = jacket('Both', 55, 85, { owner: ann.id }),
      anns = jacket('Ann’s only', 50, 65, { owner: ben.id });
    const { wears } = setting([ann, ben], [both, anns]);
    expect([wears(ann), wears(ben)]).toEqual(['Ann’s only', 'Both']);
  });
  test('two of one kind serve two; one serves one, and the other hears who has it', () => {
    const pair = setting([ann, ben], [jacket('Pair', 50, 90, { count: 2 })]);
    expect([pair.wears(ann), pair.wears(ben)]).toEqual(['Pair', 'Pair']);
    const one = setting([ann, ben], [jacket('One', 50, 90, { owner: ben.id })]);
    expect(one.wears(ben)).toBe('One');
    expect(one.misses(ann)).toEqual(['One: Ben wears it']);
    expect(one.misses(ben)).toEqual([]);
  });
  test('each jacket is named once among the misses, with what stands against it', () => {
    const { misses } = setting([ben], [jacket('Small', 20, 40, { count: 3 }), jacket('Smaller', 10, 20)]);
    expect(misses(ben)).toEqual([
      'Small: made for up to 40 kg; Ben weighs 80 kg',
      'Smaller: made for up to 20 kg; Ben weighs 80 kg',
    ]);
  });
  test('what does not fit is told before who wears it', () => {
    const cy = aPerson({ name: 'Cy', mass: 30, born: '2016' });
    expect(setting([ben, cy], [jacket('Small', 20, 40)]).misses(ben)).toEqual([
      'Small: made for up to 40 kg; Ben weighs 80 kg',
    ]);
  });
  test('a stated jacket is theirs alone, even when it does not fit', () => {
    const small = jacket('Small', 20, 40),
      right = jacket('Right', 50, 90);
    const { wears } = setting([ann, ben], [small, right], {
      crew: [
        { person: ann.id, role: 'crew', jacket: small.id },
        { person: ben.id, role: 'crew' },
      ],
    });
    expect([wears(ann), wears(ben)]).toEqual([undefined, 'Right']);
    const taken = setting([ann, ben], [right], {
      crew: [
        { person: ann.id, role: 'crew', jacket: right.id },
        { person: ben.id, role: 'crew' },
      ],
    });
    expect([taken.wears(ann), taken.wears(ben)]).toEqual(['Right', undefined]);
  });
  test('unsettled while a fit hangs on a missing fact, settled when none does', () => {
    expect(setting([ann], [jacket('May', 50, undefined)]).plan.unsettled).toBe(true);
    expect(setting([ann], [jacket('Sure', 50, 90)]).plan.unsettled).toBe(false);
    expect(setting([ann, ben], [jacket('Sure', 50, 65), jacket('May', 70, undefined)]).plan.unsettled).toBe(
      true,
    );
    expect(setting([], [jacket('Sure', 50, 90)]).plan.fits.size).toBe(0);
    expect(setting([ann], [anItem('horn')]).plan.fits.size).toBe(0);
  });
});

describe('little lift on open water', () => {
  const ann = aPerson({ name: 'Ann', mass: 60 }),
    ben = aPerson({ name: 'Ben', mass: 80 });
  test('is told of whom it concerns, with both schools and the way to another jacket', () => {
    const gear = [jacket('Light', 70, 90, { buoyancy: 55 }), jacket('Enough', 50, 65, { buoyancy: 75 })];
    const { context, plan } = setting([ann, ben], gear, { water: { class: 'coastal' } });
    const found = liftFindings({ id: 'trip', crew: context.crew }, plan, context);
    expect(found).toHaveLength(1);
    expect(found[0]).toMatchObject({
      id: `kit/lift/${ben.id}`,
      level: 'know',
      source: { id: 'iso-12402' },
      figures: [],
      assumed: [],
      mend: { go: { type: 'trip', id: 'trip', pointer: '/crew/1/jacket' } },
    });
    expect(render(found[0].title, reader)).toBe('Jacket of Ben for this water');
    expect(found[0].because.map((b) => render(b, reader))).toEqual([
      expect.stringMatching(/^Light lifts 55 N.*100 N are advised for 80 kg/),
      expect.stringMatching(/^Paddlers often choose/),
    ]);
    expect(render((found[0].mend as { label: Parameters<typeof render>[0] }).label, reader)).toBe(
      'Choose another jacket',
    );
  });
  test('nothing is told on sheltered water or of who has none', () => {
    const told = (gear: GearItem[], water: Pick<Water, 'class'>, person = ben) => {
      const { context, plan } = setting([person], gear, { water });
      return liftFindings({ id: 't', crew: context.crew }, plan, context).length;
    };
    expect(told([jacket('Light', 70, 90, { buoyancy: 55 })], { class: 'lake' })).toBe(0);
    expect(told([], { class: 'coastal' })).toBe(0);
    // A lift or a weight that nobody knows is open, not enough.
    expect(told([jacket('Light', 70, 90)], { class: 'coastal' })).toBe(1);
    expect(
      told([jacket('Light', 70, 90, { buoyancy: 55 })], { class: 'coastal' }, aPerson({ mass: undefined })),
    ).toBe(1);
  });
});

describe('what can be thrown', () => {
  const ben = aPerson({ mass: 80 });
  const thrown = (gear: GearItem[], approved = false) => {
    const { plan, pieces } = setting([ben], gear);
    const { spare, throwable } = toThrow(plan, pieces, { approved });
    const say = (list: typeof spare) =>
      list.map(
        (f) =>
          `${f.piece.item.name}${f.faults.length > 0 ? ` (${f.faults.map((x) => x.code).join(' ')})` : ''}`,
      );
    return { spare: say(spare), throwable: say(throwable) };
  };
  test('the second of a pair is a spare, the only one is not; what counts stands first', () => {
    expect(thrown([jacket('Pair', 70, 90, { count: 2, stowage: 'in-reach' })]).spare).toEqual(['Pair']);
    expect(thrown([jacket('One', 70, 90)]).spare).toEqual([]);
    const [lower, higher] = [
      jacket('Lower', 40, 60, { stowage: 'in-reach' }),
      jacket('Higher', 40, 60, { stowage: 'in-reach' }),
    ];
    expect([thrown([lower, higher]).spare, thrown([higher, lower]).spare]).toEqual([
      ['Lower', 'Higher'],
      ['Lower', 'Higher'],
    ]);
    expect(
      thrown([
        jacket('One', 70, 90),
        jacket('Deep', 40, 60, { stowage: 'buried' }),
        jacket('Near', 40, 60, { stowage: 'in-reach' }),
      ]).spare,
    ).toEqual(['Near', 'Deep (out-of-reach)']);
  });
  test('a throwable in reach; a jacket is none; the law’s approval is asked where it asks', () => {
    expect(
      thrown([jacket('Pair', 70, 90, { count: 2 }), anItem('throw-cushion', { name: 'Cushion' })]).throwable,
    ).toEqual(['Cushion']);
    expect(thrown([anItem('throw-cushion', { name: 'Cushion', approval: 'none' })], true).throwable).toEqual([
      'Cushion (not-approved)',
    ]);
    expect(thrown([anItem('throw-cushion', { name: 'Cushion', approval: 'none' })]).throwable).toEqual([
      'Cushion',
    ]);
    expect(thrown([anItem('throw-cushion', { name: 'Gone', count: 0 })]).throwable).toEqual([]);
  });
});
