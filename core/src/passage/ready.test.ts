import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import ICAL from 'ical.js';
import { inputOf, NOW } from '../../test/demo';
import { readyCalendar } from '../formats/calendar';
import { CRAFT, type Craft } from '../model/lists';
import { render } from '../say';
import { assess, changesAt } from '../trip';
import { minutesOf, READY, readyTasks, taskKey, upAt, type GettingReady } from './ready';

const MIN = 60_000;
const LEAVE = Date.UTC(2026, 4, 12, 9);
const none = new Set<string>();
const said = (more: Partial<NonNullable<GettingReady['said']>>) => ({
  done: none,
  later: none,
  out: none,
  ...more,
});
const tasks = (more: Partial<GettingReady> = {}) =>
  readyTasks(READY, LEAVE, 'UTC', { has: none, driveMinutes: 30, ...more });
const ids = (more: Partial<GettingReady>) => tasks(more).map(({ id }) => id);
const of = (id: string, more: Partial<GettingReady> = {}) => tasks(more).find((t) => t.id === id)!;

describe('tasks by craft', () => {
  test.each<[string, Partial<GettingReady>, string[], string[]]>([
    [
      'on a trailer',
      { has: new Set(['trailer', 'combustion']), craft: 'trailer-boat' },
      ['hitch', 'make-ready', 'fuel', 'cord', 'run-engine'],
      ['roof', 'unload', 'mast'],
    ],
    [
      'a kayak',
      { has: new Set(['by-hand']), craft: 'sit-inside' },
      ['roof', 'unload'],
      ['hitch', 'fuel', 'inflate'],
    ],
    [
      'an inflatable',
      { has: new Set(['by-hand', 'inflate', 'combustion']), craft: 'inflatable' },
      ['inflate-overnight', 'inflate', 'unload'],
      ['roof', 'hitch'],
    ],
    [
      'a catamaran',
      { has: new Set(['sail', 'by-hand']), craft: 'catamaran' },
      ['mast', 'rig-bag'],
      ['roof', 'fuel'],
    ],
    [
      'a raft',
      { has: new Set(['by-hand', 'inflate']), craft: 'raft' },
      ['frame', 'frame-straps', 'inflate'],
      ['mast', 'roof'],
    ],
  ])('%s', (_name, more, has, not) => {
    expect(ids(more)).toEqual(expect.arrayContaining(has));
    for (const id of not) expect(ids(more)).not.toContain(id);
  });
  test('what leans on something names what is there, and never itself', () => {
    const known = new Set(READY.map(({ id }) => id));
    for (const { id, leansOn = [] } of READY) {
      expect(leansOn).not.toContain(id);
      for (const other of leansOn) expect(known.has(other)).toBe(true);
    }
  });
});

describe('done, later, left out', () => {
  test('put off: one stage later, first there, with its minutes; one gets up earlier by them', () => {
    const before = upAt(tasks())!;
    const later = tasks({ said: said({ later: new Set(['pack']) }) });
    expect(later.find((t) => t.id === 'pack')).toMatchObject({ group: 'morning', said: 'later' });
    expect(upAt(later)).toBe(before - 30 * MIN);
    expect(later.filter((t) => t.group === 'morning')[0].id).toBe('pack');
  });
  test('put off and done all the same: where it stood; left out: it takes no time, and nothing waits for it', () => {
    const both = said({ later: new Set(['pack']), done: new Set(['pack']) });
    expect(of('pack', { said: both })).toMatchObject({ group: 'evening', said: 'done' });
    const out = { said: said({ out: new Set(['breakfast', 'pack', 'charge']) }) };
    expect(upAt(tasks(out))).toBe(upAt(tasks())! + 30 * MIN);
    expect(of('load-car').waitsFor).toBe('Charge batteries, light, phone and radio');
    expect(of('load-car', out).waitsFor).toBeUndefined();
    expect(
      of('load-car', { said: said({ later: new Set(['charge']), done: new Set(['pack']) }) }).waitsFor,
    ).toMatch(/Charge/);
  });
  test('a hull that was not left overnight is blown up at last at the water, in its true minutes', () => {
    const more = { has: new Set(['inflate']), craft: 'inflatable' as const };
    const off = (...later: string[]) =>
      of('inflate-overnight', { ...more, said: said({ later: new Set(later) }) });
    expect(off('inflate-overnight').group).toBe('evening');
    expect(
      of('inflate', { ...more, said: said({ later: new Set(['inflate-overnight']) }) }).waitsFor,
    ).toMatch(/Inflate and leave/);
  });
  test('whatever is put off and left out, morning and launch stand one behind the other and end at leaving', () => {
    const some = fc.subarray(READY.map(({ id }) => id)).map((all) => new Set(all));
    const craft = fc.constantFrom(...(Object.keys(CRAFT) as Craft[]));
    fc.assert(
      fc.property(some, some, some, craft, (later, out, done, kind) => {
        const all = tasks({
          said: { later, out, done },
          craft: kind,
          has: new Set(['inflate', 'sail', 'trailer', 'combustion', 'company', 'by-hand']),
        });
        const day = all.filter((t) => t.group === 'morning' || t.group === 'launch');
        day.slice(1).forEach((t, i) => expect(t.starts).toBe(day[i].ends));
        expect(day.at(-1)?.ends).toBe(LEAVE);
        expect(new Set(all.map((t) => t.id)).size).toBe(all.length);
      }),
    );
  });
});

describe('true minutes', () => {
  const took = (...minutes: [number, number?][]) => ({
    rig: minutes.map(([m, people], i) => ({
      on: `2026-04-0${i + 1}`,
      minutes: m,
      ...(people ? { people } : {}),
    })),
  });
  const rig = READY.find(({ id }) => id === 'rig')!;
  test('never timed: the usual; then the middle of the last five, with as many people where it was done so', () => {
    expect(minutesOf(rig, undefined, 1)).toEqual({ minutes: 20, own: false });
    expect(minutesOf(rig, took([35]), 1)).toEqual({ minutes: 35, own: true });
    expect(minutesOf(rig, took([90], [30], [35], [40], [33], [31]), 1).minutes).toBe(33);
    expect(minutesOf(rig, took([50, 1], [20, 2], [22, 2]), 2).minutes).toBe(22);
    expect(minutesOf(rig, took([50, 1]), 2).minutes).toBe(50);
  });
  test('the hour to get up follows', () => {
    expect(upAt(tasks({ took: took([45]) }))).toBe(upAt(tasks())! - 25 * MIN);
  });
});

describe('what a trip is told', () => {
  const input = inputOf();
  const told = (now: number, ticks: [string, number][] = []) =>
    assess({ ...input, now, ticks: new Map(ticks) }).findings.find((f) => f.id.startsWith('ready/tasks'));
  const words = (f: ReturnType<typeof told>) =>
    [f!.title, ...f!.because]
      .map((p) => render(p, { units: 'metric', zone: 'UTC', locale: 'en-GB' }))
      .join(' ');
  const { ready, leave } = assess(input);
  const packed = ready.find((t) => t.id === 'pack')!;
  test('before their hour nothing; who ticks nothing is told once', () => {
    expect(told(NOW)).toBeUndefined();
    expect(told(packed.ends)).toMatchObject({ level: 'know', open: true });
    expect(told(packed.ends)?.id).toContain('ready/tasks');
  });
  test('a battery not charged by leaving is a Fix that names it; ticked it is gone', () => {
    const others = ready
      .filter((t) => t.id !== 'charge' && t.id !== 'drive')
      .map((t): [string, number] => [taskKey('task', t.id), NOW]);
    expect(told(leave!, others)?.level).toBe('fix');
    expect(words(told(leave!, others))).toContain('Charge batteries');
    expect(told(leave!, [...others, [taskKey('task', 'charge'), NOW]])?.level).toBe('ready');
    expect(told(leave!, [...others, [taskKey('out', 'charge'), NOW]])?.level).toBe('know');
  });
  test('one is told again when the hour of a task has gone by', () => {
    expect(changesAt(input, leave, ready)).toBeLessThanOrEqual(ready[0].ends);
    expect(changesAt({ ...input, now: packed.ends }, leave, ready)).toBeGreaterThan(packed.ends);
  });
});

test('as a calendar: what is open, each with an alarm when it begins; the same entry when the hour moves', () => {
  const { trip } = inputOf();
  const file = (more: Partial<GettingReady>, now = NOW) =>
    new ICAL.Component(
      ICAL.parse(readyCalendar(trip, tasks(more), now)) as unknown as string,
    ).getAllSubcomponents('vevent');
  const all = file({ said: said({ done: new Set(['charge']), out: new Set(['look']) }) });
  const names = all.map((e) => String(e.getFirstPropertyValue('summary')));
  expect(names).toContain('Pack against the list');
  expect(names.some((n) => n.startsWith('Charge') || n.startsWith('Look'))).toBe(false);
  for (const event of all) {
    expect(event.getAllSubcomponents('valarm')).toHaveLength(1);
    expect(String(event.getFirstSubcomponent('valarm')!.getFirstPropertyValue('trigger'))).toMatch(
      /^P?T?0S|^PT0S/,
    );
  }
  const pack = all.find((e) => e.getFirstPropertyValue('summary') === 'Pack against the list')!;
  expect(String(pack.getFirstPropertyValue('uid'))).toBe(`${trip.id}-pack@escale`);
  expect(String(pack.getFirstPropertyValue('dtstart'))).toBe(
    new Date(of('pack').starts).toISOString().replace('.000', ''),
  );
});
