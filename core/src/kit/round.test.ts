import { describe, expect, test } from '@jest/globals';
import { anItem, inputOf, NOW } from '../../test/demo';
import { applyPatch } from '../formats';
import { GearItem } from '../model';
import { assess, compare, whatChanges, type Asked } from '../trip';
import { dueBy, lastLook, testPatch, CATALOGUE } from '.';
import { reminders as all, type RoundAsked } from './round';
import { OFFICER, officersCheck } from './officer';

const jacket = (more: Partial<GearItem> = {}) => anItem('foam-jacket', { inspected: '2025-05-12', ...more });

const reminders = (gear: GearItem[], ...rest: [RoundAsked['catalogue'], string, number]) =>
  all({ gear, boats: [] }, ...rest);

describe('inspection', () => {
  test('a yearly test is due on its day, not the day before', () => {
    expect(dueBy([jacket()], CATALOGUE, '2026-05-11')).toEqual([]);
    expect(dueBy([jacket()], CATALOGUE, '2026-05-12').map((d) => d.on)).toEqual(['2026-05-12']);
  });
  test('never tested stands before all; failed and used-up things wait for mending', () => {
    const never = anItem('whistle', { inspected: undefined });
    expect(
      dueBy(
        [
          jacket(),
          never,
          jacket({ state: 'failed' }),
          anItem('hand-flare', {}),
          anItem('horn', { count: 0, inspected: undefined }),
        ],
        CATALOGUE,
        '2026-06-01',
      ).map((d) => d.item.id),
    ).toEqual([never.id, expect.any(String)]);
  });
  test('used-up things and kinds nobody knows wait too; of the same day the lowest id, however listed', () => {
    const [first, second] = [jacket(), jacket()];
    const due = (...gear: GearItem[]) => dueBy(gear, CATALOGUE, '2026-06-01').map((d) => d.item.id);
    expect([due(first, second), due(second, first)]).toEqual([
      [first.id, second.id],
      [first.id, second.id],
    ]);
    expect(due(jacket({ state: 'used-up' }), anItem('nothing-known', { inspected: undefined }))).toEqual([]);
    const [never, late] = [anItem('whistle', { inspected: undefined }), jacket({ inspected: '2025-05-20' })];
    expect([due(late, first, never), due(never, late, first)]).toEqual([
      [never.id, first.id, late.id],
      [never.id, first.id, late.id],
    ]);
  });
  test('a result is a day, a state and a line of the record; failed drops out at once', () => {
    const item = jacket();
    const passed = applyPatch(item, testPatch(item, { on: '2026-05-11', passed: true, by: 'Ash' }));
    expect(passed).toMatchObject({
      inspected: '2026-05-11',
      state: 'ready',
      tests: [{ on: '2026-05-11', passed: true, by: 'Ash' }],
    });
    const failed = applyPatch(
      passed,
      testPatch(passed, { on: '2026-05-12', passed: false, note: 'strap torn' }),
    );
    expect(failed).toMatchObject({ inspected: '2026-05-11', state: 'failed' });
    expect(GearItem.safeParse(failed).success).toBe(true);
    const input = inputOf();
    const red = input.shed.gear.find((g) => g.name === 'Red jacket')!;
    const gear = input.shed.gear.map((g) =>
      g.id === red.id ? applyPatch(g, testPatch(g, { on: '2026-05-11', passed: false })) : g,
    );
    const after = assess({ ...input, shed: { ...input.shed, gear } });
    expect(after.requirements.find((r) => r.rule === 'US-PFD-03')?.metBy.some((u) => u.item === red.id)).toBe(
      false,
    );
  });
  test('dates for the calendar: tests that fall due and things that end, from today on, soonest first', () => {
    const flare = anItem('hand-flare', { expires: '2026-08-01' }),
      old = anItem('hand-flare', { expires: '2026-01-01' }),
      bottle = anItem('extinguisher', { made: '2014-07-01', expires: undefined, inspected: '2026-05-01' });
    expect(
      reminders([jacket({ inspected: '2025-06-20' }), flare, old, bottle], CATALOGUE, '2026-05-11', 12).map(
        (r) => [r.what, r.on],
      ),
    ).toEqual([
      ['test', '2026-06-01'],
      ['test', '2026-06-20'],
      ['ends', '2026-07-01'],
      ['ends', '2026-08-01'],
    ]);
  });
  test('from the first day on, up to the last month, of what is there; with how a test is done', () => {
    const dates = (...gear: GearItem[]) => reminders(gear, CATALOGUE, '2026-05-11', 12).map((r) => r.on);
    const flare = (expires: string, more: Partial<GearItem> = {}) =>
      anItem('hand-flare', { expires, ...more });
    expect(
      dates(
        flare('2026-05-11'),
        flare('2026-05-10'),
        flare('2027-05-10'),
        flare('2027-05-11'),
        flare('2026-06-01', { count: 0 }),
        anItem('nothing-known', { expires: '2026-06-01' }),
      ),
    ).toEqual(['2026-05-11', '2027-05-10']);
    expect(
      dates(
        anItem('extinguisher', { made: undefined, expires: undefined, inspected: undefined }),
        anItem('foam-jacket', { made: '2014-06-01', inspected: undefined }),
      ),
    ).toEqual([]);
    const [a, b] = [flare('2026-06-01'), flare('2026-06-01')];
    expect(
      [
        [a, b],
        [b, a],
      ].map((gear) => reminders(gear, CATALOGUE, '2026-05-11', 12).map((r) => r.id)),
    ).toEqual([
      [a.id, b.id],
      [a.id, b.id],
    ]);
    expect(reminders([jacket({ inspected: '2025-06-20' })], CATALOGUE, '2026-05-11', 12)[0]).toMatchObject({
      what: 'test',
      title: 'foam-jacket',
      how: expect.stringMatching(/\w/),
    });
  });
});

describe('the officer', () => {
  const stops = officersCheck(OFFICER, assess(inputOf(1)).requirements);
  test('asks in the order in which an inspection is taken; every law that holds is asked once', () => {
    expect(stops.map((s) => s.id)).toEqual(
      OFFICER.map((r) => r.id).filter((id) => stops.some((s) => s.id === id)),
    );
    const law = assess(inputOf(1))
      .requirements.filter((r) => r.layer === 'law' && r.applies !== 'no')
      .map((r) => r.rule)
      .sort();
    expect(stops.flatMap((s) => s.requirements.map((r) => r.rule)).sort()).toEqual(law);
  });
  test('a stop passes only when everything in it is met', () => {
    for (const stop of stops) {
      if (stop.passes === 'yes') expect(stop.requirements.every((r) => r.met === 'yes')).toBe(true);
      if (stop.passes === 'no') expect(stop.requirements.some((r) => r.met === 'no')).toBe(true);
    }
    expect(stops.find((s) => s.id === 'papers')?.passes).toBe('no');
  });
});

describe('what changes it', () => {
  const changes = whatChanges({
    ...inputOf(0, { trip: { leave: { date: '2026-05-12', time: '10:00' } } }),
    now: NOW,
  });
  const rules = (id: string, side: 'comes' | 'goes') =>
    changes.find((c) => c.id === id)?.[side].map(({ key }) => key.slice(key.indexOf('/') + 1)) ?? [];
  test('by night the light comes', () => expect(rules('night', 'comes')).toContain('NAV-25D'));
  test('in the trailer boat the throwable, the papers and the extinguisher’s question come, the spare paddle goes', () => {
    const { id } = changes.find((c) => c.title === 'In Plover')!;
    expect(rules(id, 'comes')).toEqual(expect.arrayContaining(['US-PFD-04', 'US-REG']));
    expect(rules(id, 'goes')).toContain('P-SPARE');
  });
  test('with one more aboard one more jacket is asked for', () =>
    expect(rules('one-more', 'comes')).toContain('US-PFD-03'));
  test('what is asked for fewer people goes; what stays is not named', () => {
    const asked = (key: string, times: number): Asked => ({ key, title: key, layer: 'law', times });
    expect(
      compare(
        [asked('p/a', 2), asked('p/b', 1), asked('p/c', 1)],
        [asked('p/a', 1), asked('p/c', 1), asked('p/d', 1)],
      ),
    ).toEqual({ comes: [asked('p/d', 1)], goes: [asked('p/a', 2), asked('p/b', 1)] });
  });
  test('nothing is said to come and go at once', () => {
    for (const c of changes) expect(c.comes.filter((a) => c.goes.some((g) => g.key === a.key))).toEqual([]);
  });
});

test('the last look has at most ten things, and only what this trip has', () => {
  expect(lastLook(new Set(['motor', 'combustion', 'dark', 'manual'])).length).toBeLessThanOrEqual(10);
  expect(lastLook(new Set()).map((l) => l.id)).not.toContain('cord');
});
