import { describe, expect, test } from '@jest/globals';
import { anItem, id, inputOf } from '../../test/demo';
import { applyPatch } from '../formats';
import { GearItem } from '../model';
import { assess } from '../trip';
import { CATALOGUE, dueBy, toLookAt } from '.';
import { copiesOf, locker } from './locker';
import { reminders } from './round';

const people = [{ id: id(), name: 'Ada Tölley' }];
const boats = [{ id: id(), name: 'Heron' }];
const of = (gear: GearItem[]) => locker({ gear, catalogue: CATALOGUE, people, boats, today: '2026-05-11' });
const names = (gear: GearItem[], asked: Parameters<ReturnType<typeof of>['found']>[0]) =>
  of(gear)
    .found(asked)
    .map((g) => g.name);

const GEAR = [
  anItem('foam-jacket', {
    name: 'Red jacket',
    inspected: '2025-05-01',
    owner: people[0].id,
    stowage: 'on-body',
  }),
  anItem('foam-jacket', { name: 'Blue jacket', inspected: '2026-05-01', stowage: 'home' }),
  anItem('hand-flare', { name: 'Old flare', expires: '2026-05-10', fittedTo: boats[0].id }),
  anItem('whistle', { name: 'Whistle', state: 'failed' }),
  anItem('horn', { name: 'Horn', lentTo: 'Bram', backBy: '2026-05-20', inspected: '2026-05-01' }),
  anItem('knife', { name: 'Knife', state: 'unknown' }),
  anItem('anchor', { name: 'Grapnel', borrowedFrom: 'the club' }),
];

describe('looked through', () => {
  test('by words of its name, its kind, whose it is and who has it; accents and order don’t matter', () => {
    expect(names(GEAR, { find: 'jacket red' })).toEqual(['Red jacket']);
    expect(names(GEAR, { find: 'TOLLEY' })).toEqual(['Red jacket']);
    expect(names(GEAR, { find: 'heron' })).toEqual(['Old flare']);
    expect(names(GEAR, { find: 'bram' })).toEqual(['Horn']);
    expect(names(GEAR, { find: 'the club' })).toEqual(['Grapnel']);
    expect(names(GEAR, { find: 'nothing like it' })).toEqual([]);
  });
  test('by how it is: to look at, due, failed, ended, lent, borrowed; with how many of each', () => {
    const state = (s: Parameters<typeof names>[1]['state']) => names(GEAR, { state: s });
    expect(state('look')).toEqual(['Knife']);
    expect(state('due')).toEqual(expect.arrayContaining(['Red jacket']));
    expect(state('due')).not.toContain('Blue jacket');
    expect([state('failed'), state('ended'), state('lent'), state('borrowed')]).toEqual([
      ['Whistle'],
      ['Old flare'],
      ['Horn'],
      ['Grapnel'],
    ]);
    const { counts } = of(GEAR);
    expect([counts.all, counts.failed, counts.lent]).toEqual([7, 1, 1]);
  });
  test('by where it travels and on whom; both at once', () => {
    expect(names(GEAR, { where: 'on-body' })).toEqual(['Red jacket']);
    expect(names(GEAR, { whose: people[0].id })).toEqual(['Red jacket']);
    expect(names(GEAR, { whose: boats[0].id })).toEqual(['Old flare']);
    expect(names(GEAR, { whose: 'nobody' })).toHaveLength(5);
    expect(names(GEAR, { where: 'home', whose: people[0].id })).toEqual([]);
  });
});

describe('lent', () => {
  const lent = (more: Partial<GearItem>) => {
    const input = inputOf();
    const red = input.shed.gear.find((g) => g.name === 'Red jacket')!;
    const gear = input.shed.gear.map((g) => (g.id === red.id ? { ...g, ...more } : g));
    return { red: red.id, assessed: assess({ ...input, shed: { ...input.shed, gear } }) };
  };
  const counts = ({ red, assessed }: ReturnType<typeof lent>) =>
    assessed.requirements.some((r) => r.met === 'yes' && r.metBy.some((use) => use.item === red));
  test('it counts for nothing, and one tap says that it is back', () => {
    expect(counts(lent({}))).toBe(true);
    const gone = lent({ lentTo: 'Bram' });
    expect(counts(gone)).toBe(false);
    const mend = gone.assessed.findings
      .flatMap((f) => [f.mend, ...(f.others ?? [])])
      .find((m) => m && 'do' in m && m.do.id === gone.red && m.do.patch.some((p) => p.pointer === '/lentTo'));
    expect(mend).toBeDefined();
    const item = { ...anItem('foam-jacket', { lentTo: 'Bram', lentOn: '2026-05-01', backBy: '2026-05-20' }) };
    const back = applyPatch(item, mend && 'do' in mend ? mend.do.patch : []);
    expect(GearItem.safeParse(back).success).toBe(true);
    expect(back).not.toHaveProperty('lentTo');
    expect(back).not.toHaveProperty('backBy');
  });
  test('to be back before the trip: nobody said that it is, so it is open, and counts for nothing', () => {
    const back = lent({ lentTo: 'Bram', backBy: '2026-05-11' });
    expect(counts(back)).toBe(false);
    const miss = back.assessed.requirements.flatMap((r) => r.nearMisses).find((m) => m.item === back.red);
    expect(miss?.reasons.find((r) => r.code === 'lent')).toMatchObject({ unknown: true });
  });
  test('nobody is asked to test or to look at what is not here; the day it is to be back stands in the calendar', () => {
    const horn = anItem('horn', { lentTo: 'Bram', backBy: '2026-06-01', inspected: undefined, state: 'due' });
    expect([dueBy([horn], CATALOGUE, '2027-01-01'), toLookAt([horn])]).toEqual([[], []]);
    expect(
      reminders({ gear: [horn], boats: [] }, CATALOGUE, '2026-05-11', 12).map((r) => [r.what, r.on]),
    ).toEqual([['back', '2026-06-01']]);
  });
});

describe('a set once more', () => {
  test('what is printed stays; tests, dates, charge, photos and who has it don’t; nobody has looked at it yet', () => {
    const host = anItem('foam-jacket', {
      name: 'Jacket',
      minMass: 40,
      maxMass: 90,
      approval: 'X',
      inspected: '2026-05-01',
      made: '2020-01-01',
      owner: people[0].id,
    });
    const on = anItem('whistle', { name: 'Whistle', on: host.id, lentTo: 'Bram', charge: 0.5 });
    const alone = anItem('sos-light', { name: 'Light', on: id() });
    const [jacket, whistle, light] = copiesOf([host, on, alone], { fittedTo: boats[0].id }, id);
    expect(jacket).toMatchObject({
      name: 'Jacket',
      minMass: 40,
      approval: 'X',
      state: 'unknown',
      fittedTo: boats[0].id,
    });
    for (const field of ['inspected', 'made', 'owner', 'tests']) expect(jacket).not.toHaveProperty(field);
    expect(whistle).toMatchObject({ on: jacket.id });
    expect(whistle).not.toHaveProperty('lentTo');
    expect(whistle).not.toHaveProperty('charge');
    // What it was fixed to is not of the set: the copy hangs on nothing.
    expect(light).not.toHaveProperty('on');
    for (const copy of [jacket, whistle, light]) expect(GearItem.safeParse(copy).error).toBeUndefined();
    expect(new Set([host, on, alone, jacket, whistle, light].map((g) => g.id)).size).toBe(6);
  });
});

test('five hundred things are looked through faster than one types', () => {
  const gear = Array.from({ length: 500 }, (_, i) =>
    anItem(CATALOGUE.kinds[i % CATALOGUE.kinds.length].id, { name: `Thing ${i}` }),
  );
  const all = of(gear);
  expect(all.found({ find: 'thing 49' }).map((g) => g.name)).toEqual(
    expect.arrayContaining(['Thing 49', 'Thing 490']),
  );
  expect(all.found({})).toHaveLength(500);
});
