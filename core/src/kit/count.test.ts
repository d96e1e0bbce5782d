import { describe, expect, test } from '@jest/globals';
import { aBoat, anItem, aPerson } from '../../test/demo';
import type { Debrief, Demand, GearItem, GearKind, Requirement, Rule } from '../model';
import { render } from '../say';
import type { RuleResult } from '../rules';
import { dueOn, indexCatalogue, matchKit, packGroups, packList, testPatch } from '.';
import { demandFaults, piecesOf, reaches, settle, stowages, type Wearing } from './count';

/** A catalogue of our own, one kind for each thing that can stand against it. */
const KINDS: GearKind[] = (
  [
    { id: 'plain', supplies: [{ capability: 'knife' }] },
    { id: 'ends', supplies: [{ capability: 'pyro-night' }], dated: true },
    { id: 'lasts', supplies: [{ capability: 'extinguisher-5b' }], lastsMonths: 144 },
    {
      id: 'tested',
      supplies: [{ capability: 'sound' }],
      test: { how: 'Blow it.', passes: 'It sounds.', everyMonths: 12, mustHavePassed: true },
    },
    {
      id: 'looked-at',
      supplies: [{ capability: 'repair' }],
      test: { how: 'Open it.', passes: 'All there.', everyMonths: 12, mustHavePassed: false },
    },
    { id: 'battery', supplies: [{ capability: 'pump-power' }], charged: 0.5 },
    { id: 'needy', supplies: [{ capability: 'bail' }], needs: ['pump-power'] },
    { id: 'beacon', supplies: [{ capability: 'locate', within: 'on-body' }], registered: true },
    { id: 'rope', supplies: [{ capability: 'heaving-line' }], lined: true },
    { id: 'blown', supplies: [{ capability: 'wearable' }], sized: true, cylinder: true },
  ] as const
).map((k) => ({ title: k.id, group: 'tool', source: 'practice', ...k }) as unknown as GearKind);
const catalogue = indexCatalogue({ kinds: KINDS });
const boat = aBoat();
const thing = (kind: string, more: Partial<GearItem> = {}): GearItem => ({
  ...anItem(kind),
  inspected: undefined,
  approval: undefined,
  ...more,
});
const pieces = (gear: GearItem[], endsOn = '2026-05-12') =>
  settle(piecesOf({ boat, people: [], gear, catalogue, endsOn }, stowages(gear, { stow: [] })), {
    worn: new Map(),
  });
const faults = (kind: string, more: Partial<GearItem> = {}, endsOn?: string) =>
  pieces([thing(kind, more)], endsOn)[0].faults.map((f) => `${f.code}${f.unknown ? '?' : ''}`);

describe('what stands against a thing, whatever asks for it', () => {
  test.each<[string, string, Partial<GearItem>, string[]]>([
    ['nothing', 'plain', {}, []],
    ['its state is not known', 'plain', { state: 'unknown' }, ['state-unknown?']],
    ['failed', 'plain', { state: 'failed' }, ['failed']],
    ['used up', 'plain', { state: 'used-up' }, ['failed']],
    ['due for a test that nobody demands', 'plain', { state: 'due' }, []],
    ['none left', 'plain', { count: 0 }, ['none-left']],
    ['fitted to this boat', 'plain', { fittedTo: boat.id }, []],
    ['fitted to another', 'plain', { fittedTo: '01890000-0000-7000-8000-00000000beef' }, ['other-boat']],
    ['left at home', 'plain', { stowage: 'home' }, ['stays-home']],
    ['no end entered', 'ends', {}, ['expiry-unknown?']],
    ['ends on the day', 'ends', { expires: '2026-05-12' }, []],
    ['ended the day before', 'ends', { expires: '2026-05-11' }, ['expired']],
    ['an undated kind that ended all the same', 'plain', { expires: '2026-05-11' }, ['expired']],
    ['made twelve years ago to the day', 'lasts', { made: '2014-05-12' }, []],
    ['made a day earlier', 'lasts', { made: '2014-05-11' }, ['expired']],
    ['nobody knows when it was made', 'lasts', {}, ['expiry-unknown?']],
    [
      'the label’s end before the twelve years',
      'lasts',
      { made: '2020-01-01', expires: '2026-01-01' },
      ['expired'],
    ],
    ['never tested', 'tested', {}, ['not-tested?']],
    ['tested eleven months and thirty days ago', 'tested', { inspected: '2025-05-13' }, []],
    ['tested a year ago', 'tested', { inspected: '2025-05-12' }, ['not-tested?']],
    ['tested lately, marked due', 'tested', { inspected: '2026-05-01', state: 'due' }, ['not-tested?']],
    ['a test that need not have passed', 'looked-at', {}, []],
    ['charge not known', 'battery', {}, ['charge-unknown?']],
    ['half charged, half asked for', 'battery', { charge: 0.5 }, []],
    ['just under half', 'battery', { charge: 0.49 }, ['uncharged']],
    ['registration not known', 'beacon', { stowage: 'on-body' }, ['registration-unknown?']],
    ['not registered', 'beacon', { registered: 'no' }, ['unregistered']],
    ['registered', 'beacon', { registered: 'yes' }, []],
    ['cylinder nobody looked at', 'blown', {}, ['cylinder-unknown?']],
    ['cylinder fired', 'blown', { cylinder: 'fired' }, ['cylinder-fired']],
    ['cylinder green', 'blown', { cylinder: 'green' }, []],
  ])('%s', (_name, kind, more, expected) => expect(faults(kind, more)).toEqual(expected));
  test('several at once are all told', () =>
    expect(faults('tested', { state: 'failed', stowage: 'home', expires: '2020-01-01' })).toEqual([
      'stays-home',
      'failed',
      'expired',
      'not-tested?',
    ]));
  test('a kind that the catalogue does not know is left out, not guessed', () =>
    expect(pieces([thing('nothing-of-ours')])).toEqual([]));
  test('each fault has a sentence without a hole', () => {
    const all = ['plain', 'ends', 'lasts', 'tested', 'battery', 'needy', 'beacon', 'blown'].flatMap(
      (kind) =>
        pieces([thing(kind, { state: 'failed', stowage: 'home', count: 0, expires: '2020-01-01' })])[0]
          .faults,
    );
    for (const f of all)
      expect(render(f.phrase, { units: 'metric', zone: 'UTC', locale: 'en-GB' })).toMatch(/^[a-z]/);
  });
});

describe('companions', () => {
  const bails = (gear: GearItem[]) =>
    pieces(gear)
      .find((p) => p.kind.id === 'needy')!
      .faults.map((f) => f.code);
  test('with a good battery it counts, with a flat one, one left at home or none it does not', () => {
    expect(bails([thing('needy'), thing('battery', { charge: 1 })])).toEqual([]);
    expect(bails([thing('needy'), thing('battery', { charge: 0.1 })])).toEqual(['companion']);
    expect(bails([thing('needy'), thing('battery', { charge: 1, stowage: 'home' })])).toEqual(['companion']);
    expect(bails([thing('needy')])).toEqual(['companion']);
  });
  test('one battery serves two pumps: it is there, not used up', () =>
    expect(
      pieces([thing('needy'), thing('needy'), thing('battery', { charge: 1 })]).every(
        (p) => p.faults.length === 0,
      ),
    ).toBe(true));
});

describe('what fastens to what', () => {
  test('it travels where its host does, stays where its host stays, and goes with a jacket only when somebody wears it', () => {
    const host = thing('plain', { stowage: 'hatch' }),
      on = thing('tested', { on: host.id, inspected: '2026-05-01', stowage: 'on-body' });
    const at = (h: GearItem, worn = new Map<string, Wearing[]>()) =>
      settle(
        piecesOf(
          { boat, people: [], gear: [h, on], catalogue, endsOn: '2026-05-12' },
          stowages([h, on], { stow: [] }),
        ),
        { worn },
      )[1];
    expect(at(host).place).toBe('hatch');
    expect(at({ ...host, stowage: 'home' }).faults.map((f) => f.code)).toEqual(['host-stays']);
    const jacket = { ...thing('blown', { cylinder: 'green' }), id: host.id };
    expect(at(jacket)).toMatchObject({ place: 'in-reach', faults: [] });
    expect(at({ ...jacket, stowage: 'on-body' }).faults.map((f) => f.code)).toEqual(['host-stays']);
    const person = aPerson();
    expect(at(jacket, new Map([[jacket.id, [{ person, wears: true }]]]))).toMatchObject({
      place: 'on-body',
      wearer: person.id,
      faults: [],
    });
    expect(at(jacket, new Map([[jacket.id, [{ person }]]]))).toMatchObject({
      place: 'in-reach',
      maybe: 'on-body',
      faults: [],
    });
    const denied = at(jacket, new Map([[jacket.id, [{ person, wears: false }]]]));
    expect([denied.place, denied.maybe]).toEqual(['in-reach', undefined]);
  });
  test('a host that is gone, or two that hang on each other, leave it open', () => {
    const gone = (g: GearItem[]) =>
      pieces(g).map((p) => p.faults.map((f) => `${f.code}${f.unknown ? '?' : ''}`));
    expect(gone([thing('plain', { on: '01890000-0000-7000-8000-00000000dead', stowage: 'hatch' })])).toEqual([
      ['host-gone?'],
    ]);
    const [a, b] = [thing('plain'), thing('plain')];
    expect(
      gone([
        { ...a, on: b.id },
        { ...b, on: a.id },
      ]),
    ).toEqual([['host-gone?'], ['host-gone?']]);
  });
  test('what hangs on a bag on a crate that stays home stays home, in whatever order they are listed', () => {
    const crate = thing('plain', { stowage: 'home' }),
      bag = thing('plain', { on: crate.id }),
      horn = thing('tested', { on: bag.id, inspected: '2026-05-01' });
    for (const order of [
      [crate, bag, horn],
      [horn, bag, crate],
      [bag, horn, crate],
    ])
      expect(
        pieces(order)
          .find((p) => p.item.id === horn.id)!
          .faults.map((f) => f.code),
      ).toEqual(['host-stays']);
  });
  test('the trip’s word on where it goes stands before the shed’s', () => {
    const horn = thing('plain', { stowage: 'buried' });
    expect(stowages([horn], { stow: [{ item: horn.id, place: 'in-reach' }] }).get(horn.id)).toBe('in-reach');
  });
});

describe('what one demand asks beyond', () => {
  const against = (kind: string, more: Partial<GearItem>, demand: Partial<Demand>) =>
    demandFaults(pieces([thing(kind, more)])[0], {
      capability: KINDS.find((k) => k.id === kind)!.supplies[0].capability,
      ...demand,
    }).map((f) => `${f.code}${f.unknown ? '?' : ''}`);
  test('reach: nearer is always good, further never; no word, no matter', () => {
    const order = ['on-body', 'in-reach', 'hatch', 'buried', 'home'] as const;
    for (const [i, place] of order.entries())
      for (const [j, within] of order.entries()) expect(reaches(place, within)).toBe(i <= j);
    expect(reaches('buried', undefined)).toBe(true);
  });
  test('the kind’s own reach holds even where the rule is content with more, and the stricter of both counts', () => {
    expect(against('beacon', { stowage: 'in-reach', registered: 'yes' }, { within: 'hatch' })).toEqual([
      'out-of-reach',
    ]);
    expect(against('beacon', { stowage: 'on-body', registered: 'yes' }, { within: 'hatch' })).toEqual([]);
    expect(against('plain', { stowage: 'hatch' }, { within: 'in-reach' })).toEqual(['out-of-reach']);
    expect(against('plain', { stowage: 'hatch' }, {})).toEqual([]);
  });
  test.each([
    ['', 'approval-unknown?'],
    [' none ', 'not-approved'],
    ['No', 'not-approved'],
    ['not approved', 'not-approved'],
    ['not USCG approved', 'not-approved'],
    ['unknown', 'approval-unknown?'],
    ['approved', 'approval-unknown?'],
    ['a blue sticker', 'approval-unread?'],
    ['USCG 160.064', ''],
    ['Approval No. 160.064', ''],
  ])('approval "%s": %s', (approval, code) =>
    expect(against('plain', { approval }, { approved: true })).toEqual(code ? [code] : []),
  );
  test('of approvals only those count that the rule list takes, by capability', () => {
    const label = (approval: string, accepts: Record<string, string[]>) =>
      demandFaults(
        pieces([thing('plain', { approval })])[0],
        { capability: 'knife', approved: true },
        accepts,
      ).map((f) => f.code);
    expect(label('Transport Canada', { '*': ['US', 'UL'] })).toEqual(['not-approved']);
    expect(label('UL 12402-5', { '*': ['US', 'UL'] })).toEqual([]);
    expect(label('USCG 162.028', { '*': ['CA'], knife: ['US'] })).toEqual([]);
  });
  test('approval not entered is open, and only where it is asked for', () => {
    expect(against('plain', {}, { approved: true })).toEqual(['approval-unknown?']);
    expect(against('plain', {}, {})).toEqual([]);
  });
  test('fifteen metres of line: exactly is enough, a centimetre less is not, unknown is open; feet are turned', () => {
    const least = { leastLength: { value: 15, unit: 'm' } };
    expect(against('rope', { line: 15 }, least)).toEqual([]);
    expect(against('rope', { line: 14.99 }, least)).toEqual(['too-short']);
    expect(against('rope', {}, least)).toEqual(['length-unknown?']);
    expect(against('rope', { line: 15.24 }, { leastLength: { value: 50, unit: 'ft' } })).toEqual([]);
  });
});

describe('what is preferred among equals', () => {
  const rule = (capability: Demand['capability']): RuleResult => ({
    rule: {
      id: 'R',
      layer: 'advice',
      title: 'R',
      text: '',
      source: 's',
      section: '1',
      confidence: 'H',
      verified: false,
      noted: '2026-01-01',
      when: { always: true },
      anyOf: [[{ capability }]],
    } as Rule,
    pack: { id: 'p' } as RuleResult['pack'],
    applies: 'yes',
    because: [],
    missing: [],
    anyOf: [[{ capability }]],
  });
  const taken = (gear: GearItem[], capability: Demand['capability'] = 'knife') =>
    matchKit({
      rules: [rule(capability)],
      trip: { stow: [], crew: [] },
      people: [],
      gear,
      catalogue,
      on: '2026-05-12',
      endsOn: '2026-05-12',
      boat,
    }).requirements[0].metBy.map((u) => u.item);
  test('own before borrowed, tested before untested, what ends soonest last, then by id', () => {
    const [a, b] = [thing('plain'), thing('plain')];
    expect(taken([a, b])).toEqual([a.id]);
    expect(taken([b, a])).toEqual([a.id]);
    expect(taken([{ ...a, borrowedFrom: 'Ash' }, b])).toEqual([b.id]);
    expect(taken([a, { ...b, inspected: '2026-01-01' }])).toEqual([b.id]);
    expect(
      taken([
        { ...a, expires: '2026-06-01' },
        { ...b, expires: '2028-06-01' },
      ]),
    ).toEqual([b.id]);
    expect(taken([{ ...a, borrowedFrom: 'Ash', inspected: '2026-01-01', expires: '2030-01-01' }, b])).toEqual(
      [b.id],
    );
  });
  test('what surely counts before what only may, even borrowed', () => {
    const open = thing('ends', {}),
      sure = thing('ends', { expires: '2027-01-01', borrowedFrom: 'Ash' });
    expect(taken([open, sure], 'pyro-night')).toEqual([sure.id]);
  });
});

describe('the packing list', () => {
  const debriefs: Debrief[] = [{ id: 'd', trip: 't', on: '2026-04-01', forgotten: ['Hat'], broken: [] }];
  const list = (gear: GearItem[], wornBy = new Map<string, string>(), requirements: Requirement[] = []) =>
    packList(pieces(gear), requirements, debriefs, wornBy);
  test('forgotten-before stands first; what stays at home, is gone or belongs to another boat is left out', () => {
    const titles = list([
      thing('plain', { name: 'Knife' }),
      thing('plain', { name: 'Home', stowage: 'home' }),
      thing('plain', { name: 'Gone', count: 0 }),
      thing('plain', { name: 'Other', fittedTo: '01890000-0000-7000-8000-00000000beef' }),
    ]).map((e) => e.title);
    expect(titles).toEqual(['Hat', 'Knife']);
  });
  test('a jacket goes only on a body or where a rule leans on it; a failed thing still goes on the list, to be seen', () => {
    const jacket = thing('blown', { name: 'Jacket', cylinder: 'green' });
    expect(list([jacket]).map((e) => e.title)).toEqual(['Hat']);
    expect(list([jacket], new Map([[jacket.id, 'p']]))[1]).toMatchObject({
      title: 'Jacket',
      place: 'on-body',
      when: 'body',
    });
    expect(
      list([jacket], new Map(), [
        { applies: 'yes', metBy: [{ item: jacket.id, count: 1 }] } as unknown as Requirement,
      ])[1],
    ).toMatchObject({ title: 'Jacket' });
    expect(
      list([jacket], new Map(), [
        { applies: 'no', metBy: [{ item: jacket.id, count: 1 }] } as unknown as Requirement,
      ]),
    ).toHaveLength(1);
    expect(list([thing('plain', { name: 'Knife', state: 'failed' })]).map((e) => e.title)).toContain('Knife');
  });
  test('groups by where and by when, each thing once, empty groups not at all', () => {
    const entries = list([
      thing('plain', { name: 'A', stowage: 'hatch' }),
      thing('plain', { name: 'B', stowage: 'on-body' }),
    ]);
    for (const by of ['place', 'when'] as const)
      expect(
        packGroups(entries, by)
          .flatMap((g) => g.entries.map((e) => e.title))
          .sort(),
      ).toEqual(['A', 'B', 'Hat']);
    expect(packGroups(entries, 'place').map((g) => g.title)).toEqual([
      'Forgotten before',
      'On the body',
      'In a hatch',
    ]);
    expect(packGroups(entries, 'when').map((g) => g.title)).toEqual([
      'Forgotten before',
      'The evening before',
      'On the body',
    ]);
  });
});

describe('tests and their dates', () => {
  const yearly = KINDS.find((k) => k.id === 'tested')!.test!;
  test('after so many months; a test before each trip on the day itself; marked due, at once', () => {
    expect(dueOn(thing('tested', { inspected: '2026-02-28' }), yearly)).toBe('2027-02-28');
    expect(dueOn(thing('tested', { inspected: '2026-02-28' }), { ...yearly, everyMonths: 0.1 })).toBe(
      '2026-02-28',
    );
    expect(dueOn(thing('tested', { inspected: '2026-02-28', state: 'due' }), yearly)).toBeUndefined();
    expect(dueOn(thing('tested', {}), yearly)).toBeUndefined();
  });
  test('a failed test keeps the date of the last good one and never more than sixty lines', () => {
    const tests = Array.from({ length: 60 }, (_, i) => ({
      on: `2026-01-${String((i % 28) + 1).padStart(2, '0')}`,
      passed: true,
    }));
    const patch = testPatch(thing('tested', { tests }), { on: '2026-05-01', passed: false });
    expect(patch.some((p) => p.pointer === '/inspected')).toBe(false);
    expect((patch.find((p) => p.pointer === '/tests')!.value as unknown[]).length).toBe(60);
    expect(patch.find((p) => p.pointer === '/state')!.value).toBe('failed');
  });
});
