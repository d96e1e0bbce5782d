import { describe, expect, test } from '@jest/globals';
import { aBoat, anItem, aPerson, aPlace, aWater, inputOf } from '../../test/demo';
import { applyPatch } from '../formats';
import type { Finding, GearItem, Mend, Person, Trip } from '../model';
import { render } from '../say';
import { assess } from '../trip';
import { packsFor } from '../rules';

const reader = { units: 'metric', zone: 'UTC', locale: 'en-GB' } as const;
const say = (f: Finding | undefined) => (f ? f.because.map((b) => render(b, reader)) : []);

/** One person in a skiff of 14 ft on a coast at noon, with this kit and nothing else. */
function world(gear: GearItem[], more: { people?: Person[]; trip?: Partial<Trip>; feet?: number } = {}) {
  const boat = aBoat({ length: (more.feet ?? 14) * 0.3048 }),
    launch = aPlace({ works: 0 }),
    halt = aPlace({ kind: 'ground', position: { lat: 41.21, lon: -29.5 } }),
    water = aWater();
  const people = more.people ?? [aPerson()];
  const trip: Trip = {
    ...inputOf().trip,
    boat: boat.id,
    crew: people.map((p) => ({ person: p.id, role: 'crew' })),
    water: water.id,
    launch: launch.id,
    halts: [{ place: halt.id, minutes: 10 }],
    leave: { date: '2026-05-12', time: '12:00' },
    stow: [],
    ...more.trip,
  };
  const shed = {
    ...inputOf().shed,
    boats: [boat],
    people,
    gear,
    places: [launch, halt],
    waters: [water],
    debriefs: [],
  };
  const input = { ...inputOf(0, { shed }), trip, packs: packsFor(['US']) };
  const find = (rule: string, trip2 = trip, gear2 = gear) =>
    assess({ ...input, trip: trip2, shed: { ...shed, gear: gear2 } }).findings.find((f) =>
      f.id.startsWith(`kit/${rule}/`),
    );
  return { trip, boat, find, people };
}
const label = (mend: Mend | undefined) => (mend ? render(mend.label, reader) : undefined);

describe('levels', () => {
  test('law unmet is a Stop, law that can’t be told a Fix, advice by its weight, advice that can’t be told a Know', () => {
    expect(world([]).find('NAV-33')?.level).toBe('stop');
    expect(world([anItem('horn', { state: 'unknown' })]).find('NAV-33')?.level).toBe('fix');
    expect(world([]).find('P-CALL')?.level).toBe('fix');
    expect(world([]).find('P-KNIFE')?.level).toBe('know');
    expect(world([anItem('phone', { stowage: 'on-body', charge: undefined })]).find('P-CALL')?.level).toBe(
      'know',
    );
    expect(world([anItem('horn')]).find('NAV-33')?.level).toBe('ready');
  });
  test('a child who said nothing about wearing leaves the law open; one who will not is a Stop; one who will is Ready', () => {
    const child = aPerson({ born: '2018-01-01', mass: 25 });
    const jacket = anItem('child-jacket', { minMass: 15, maxMass: 30, stowage: 'on-body' });
    const wears = (wearsJacket: boolean | undefined) =>
      world([jacket], {
        people: [child],
        trip: {
          crew: [{ person: child.id, role: 'crew', ...(wearsJacket === undefined ? {} : { wearsJacket }) }],
        },
      }).find('US-PFD-05');
    expect([wears(undefined)?.level, wears(false)?.level, wears(true)?.level]).toEqual([
      'fix',
      'stop',
      'ready',
    ]);
    expect(say(wears(undefined))[0]).toBe('Not said yet: Ash.');
  });
});

describe('what is said', () => {
  test('what nearly counts stands first, cheapest to mend first, then what was asked', () => {
    const lines = say(
      world([
        anItem('horn', { name: 'Old horn', state: 'failed' }),
        anItem('horn', { name: 'Horn', stowage: 'buried' }),
      ]).find('NAV-33'),
    );
    expect(lines[0]).toBe('Horn doesn’t count: it travels buried; it counts only in reach of the seat.');
    expect(lines[1]).toBe('Old horn doesn’t count: it failed its test.');
    expect(lines[2]).toBe('Asked for: 1 × whistle or horn. Counted: 0.');
  });
  test('nothing in the shed is said as such', () =>
    expect(say(world([]).find('NAV-33'))[0]).toBe('Nothing in the shed supplies it.'));
  test('alternatives are all named', () => {
    const [, asked] = say(
      world([], { trip: { leave: { date: '2026-05-12', time: '03:00' } } }).find('US-VDS-03'),
    );
    expect(asked).toBe('Asked for: 1 × electric distress light or 3 × flare good by night. Counted: 0.');
  });
  test('who has no jacket is named, and each who has', () => {
    const [a, b] = [aPerson({ name: 'Ann', mass: 60 }), aPerson({ name: 'Ben', mass: 110 })];
    const one = anItem('foam-jacket', { name: 'Red', minMass: 50, maxMass: 90, stowage: 'on-body' });
    expect(say(world([one], { people: [a, b] }).find('US-PFD-03'))).toEqual(
      expect.arrayContaining(['Nothing counts for Ben.']),
    );
    const two = anItem('foam-jacket', { name: 'Big', minMass: 90, maxMass: 140, stowage: 'on-body' });
    expect(say(world([one, two], { people: [a, b] }).find('US-PFD-03'))[0]).toBe(
      'Red for Ann and Big for Ben.',
    );
  });
});

describe('the one tap', () => {
  test.each<[string, Partial<GearItem>, string]>([
    ['it stays at home', { stowage: 'home' }, 'Take Horn'],
    ['too deep', { stowage: 'hatch' }, 'Put Horn in reach of the seat'],
    ['state unknown', { state: 'unknown' }, 'Look at Horn'],
    ['failed', { state: 'failed' }, 'Replace Horn'],
  ])('%s', (_name, more, words) =>
    expect(label(world([anItem('horn', { name: 'Horn', ...more })]).find('NAV-33')?.mend)).toBe(words),
  );
  test('a failed thing that would not fit either is not replaced by its like', () => {
    const child = aPerson({ name: 'Child', mass: 30, born: '2017-01-01' });
    expect(
      world([anItem('foam-jacket', { minMass: 70, maxMass: 120, state: 'failed', stowage: 'on-body' })], {
        people: [child],
      }).find('US-PFD-03')?.mend,
    ).toMatchObject({ add: { type: 'gear' } });
  });
  test('every way, the cheapest first: move, test, replace, buy, borrow', () => {
    const buried = anItem('horn', { name: 'Fresh', stowage: 'buried' }),
      broken = anItem('horn', { name: 'Broken', state: 'failed' });
    const all = (gear: GearItem[]) => {
      const f = world(gear).find('NAV-33')!;
      return [f.mend, ...(f.others ?? [])].map(label);
    };
    expect(all([broken, buried])).toEqual([
      'Put Fresh in reach of the seat',
      'Replace Broken',
      'Buy or find: whistle or horn',
      'Borrow: whistle or horn',
    ]);
    expect(all([anItem('horn', { name: 'Untried', state: 'due' }), buried, broken])).toEqual([
      'Put Fresh in reach of the seat',
      'Test Untried',
    ]);
  });
  test('what may count already asks for a look, not for money', () => {
    const f = world([anItem('horn', { state: 'unknown' })]).find('NAV-33')!;
    expect([f.mend, ...(f.others ?? [])].map(label)).toEqual(['Look at horn']);
  });
  test('what is met has no other ways', () =>
    expect(world([anItem('horn')]).find('NAV-33')).not.toHaveProperty('others'));
  test('nothing there: add one, of a kind that supplies it', () =>
    expect(world([]).find('NAV-33')?.mend).toMatchObject({
      add: { type: 'gear', kind: expect.any(String) },
    }));
  test('moving it does what it says: done, the finding is Ready', () => {
    const horn = anItem('horn', { stowage: 'buried' });
    const { find, trip } = world([horn]);
    const { mend } = find('NAV-33')!;
    if (!mend || !('do' in mend)) throw new Error('no tap');
    expect(find('NAV-33', applyPatch(trip, mend.do.patch))?.level).toBe('ready');
  });
  test('moving a thing again changes its one entry instead of adding a second', () => {
    const horn = anItem('horn');
    const { find, trip } = world([horn], { trip: { stow: [{ item: horn.id, place: 'home' }] } });
    const { mend } = find('NAV-33')!;
    if (!mend || !('do' in mend)) throw new Error('no tap');
    expect(applyPatch(trip, mend.do.patch).stow).toEqual([{ item: horn.id, place: 'in-reach' }]);
  });
  test('a missing weight is asked of the person, not of the jacket', () => {
    const person = aPerson({ name: 'Ash', mass: undefined });
    expect(
      world([anItem('foam-jacket', { minMass: 50, maxMass: 90, stowage: 'on-body' })], {
        people: [person],
      }).find('US-PFD-03')?.mend,
    ).toMatchObject({ go: { type: 'person', id: person.id, pointer: '/mass' } });
  });
  test('jackets on: said for everyone at once', () => {
    const [a, b] = [aPerson(), aPerson()];
    const { find, trip } = world([], { people: [a, b] });
    const { mend } = find('P-WEAR')!;
    if (!mend || !('do' in mend)) throw new Error('no tap');
    expect(applyPatch(trip, mend.do.patch).crew.every((c) => c.wearsJacket)).toBe(true);
  });
});

describe('the throwable', () => {
  const cushion = (more: Partial<GearItem> = {}) => anItem('throw-cushion', more);
  test('at sixteen feet it is asked for, must be in reach and approved; a jacket is none', () => {
    expect(world([], { feet: 15.9 }).find('US-PFD-04')).toBeUndefined();
    expect(world([cushion()], { feet: 16 }).find('US-PFD-04')?.level).toBe('ready');
    expect(world([cushion({ stowage: 'hatch' })], { feet: 16 }).find('US-PFD-04')?.level).toBe('stop');
    expect(world([cushion({ approval: 'none' })], { feet: 16 }).find('US-PFD-04')?.level).toBe('stop');
    expect(world([cushion({ approval: undefined })], { feet: 16 }).find('US-PFD-04')?.level).toBe('fix');
    expect(
      world([anItem('foam-jacket', { minMass: 40, maxMass: 120 })], { feet: 16 }).find('US-PFD-04')?.level,
    ).toBe('stop');
  });
});
