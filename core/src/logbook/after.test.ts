import { describe, expect, test } from '@jest/globals';
import ICAL from 'ical.js';
import after from '../../data/logbook/after.json';
import { afterCalendar } from '../formats/calendar';
import { CRAFT } from '../model/lists';
import type { Facts } from '../rules';
import { AFTER_GROUPS, afterTrip } from './after';

const rows = after.rows as { id: string; when?: object; unsettled?: string }[];
const HOME = Date.UTC(2026, 4, 12, 14, 30);
const HOURS = 3_600_000;
const made = (facts: Facts, broken: string[] = []) => afterTrip({ facts, crew: [] }, { broken }, HOME);
const keys = (facts: Facts) => made(facts).map(({ key }) => key);

describe('after the trip', () => {
  test('a trailer boat with a motor in salt water is flushed, rinsed, her hubs felt and her plug out', () => {
    const all = keys({
      'boat.kind': 'trailer-boat',
      'boat.trailed': true,
      'boat.combustion': true,
      'water.class': 'coastal',
    });
    expect(all).toEqual(
      expect.arrayContaining(['plug', 'drain', 'hubs', 'vent', 'flush', 'rinse', 'charge', 'jackets']),
    );
    expect(all).not.toEqual(expect.arrayContaining(['tubes', 'hatches']));
  });
  test('a kayak on a lake is not flushed, and has neither hubs nor a fuel vent', () => {
    const all = keys({
      'boat.kind': 'sit-on-top',
      'boat.trailed': false,
      'boat.combustion': false,
      'water.class': 'lake',
    });
    expect(all).toEqual(expect.arrayContaining(['drain', 'clean', 'hatches', 'jackets', 'charge']));
    for (const none of ['plug', 'hubs', 'vent', 'flush', 'rinse', 'tubes']) expect(all).not.toContain(none);
  });
  test('water of which nobody said the kind: what salt asks for stands with its “after salt water”', () => {
    const flush = made({ 'boat.kind': 'skiff', 'boat.combustion': true }).find(({ key }) => key === 'flush');
    expect(flush?.what).toMatch(/^With an engine, after salt water: flush it/);
  });
  test('a boat of which nobody said anything: whatever hangs on something says for whom it is', () => {
    const hangs = rows.filter(({ when }) => when !== undefined);
    expect(hangs.length).toBeGreaterThan(5);
    const all = made({});
    for (const { id, unsettled } of hangs)
      expect([id, all.find(({ key }) => key === id)?.what]).toEqual([id, unsettled]);
  });
  test('what broke has a line of its own, once, within the week', () => {
    const lines = made({ 'boat.kind': 'canoe' }, ['Rod tip', 'rod tip', 'Flare used']).filter(({ key }) =>
      key.startsWith('broken:'),
    );
    expect(lines.map(({ what, due }) => [what, (due - HOME) / HOURS])).toEqual([
      ['Rod tip', 168],
      ['Flare used', 168],
    ]);
  });
  test('what became of things and parts, with its name; what is gone from the shed is not asked for', () => {
    const was = { count: 3, state: 'ready' };
    const things = {
      a: { became: 'used', of: 2, was },
      b: { became: 'due', of: 1, was },
    } as const;
    const tasks = afterTrip(
      { facts: { 'boat.kind': 'canoe' }, crew: [] },
      { broken: [], things, parts: ['bilge-pump', 'gone'] },
      HOME,
      {
        item: (id) => (id === 'a' ? 'Flare' : undefined),
        part: (key) => (key === 'gone' ? undefined : 'Bilge pump'),
      },
    ).filter(({ became }) => became !== undefined);
    expect(tasks.map(({ key, what, became, of }) => [key, what, became, of])).toEqual([
      ['thing:a', 'Flare', 'used', 2],
      ['part:bilge-pump', 'Bilge pump', 'broken', undefined],
    ]);
  });
  test.each(Object.keys(CRAFT))(
    '%s: something for now, for the day; keys once, hours that do not fall',
    (kind) => {
      const tasks = made({ 'boat.kind': kind });
      expect(new Set(tasks.map(({ key }) => key)).size).toBe(tasks.length);
      for (const group of ['now', 'day'] as const)
        expect(tasks.some((task) => task.group === group)).toBe(true);
      const order = tasks.map(({ group }) => AFTER_GROUPS.indexOf(group));
      expect(order).toEqual([...order].sort());
      for (const { due } of tasks) expect(due).toBeGreaterThan(HOME);
    },
  );
  test('as a calendar: each with an alarm at its hour, read back by another library', () => {
    const tasks = made({ 'boat.kind': 'sit-on-top' }, ['Rod tip']);
    const file = afterCalendar({ id: 't', title: 'Dawn' }, tasks, HOME);
    const events = new ICAL.Component(ICAL.parse(file)).getAllSubcomponents('vevent');
    expect(events).toHaveLength(tasks.length);
    const first = new ICAL.Event(events[0]);
    expect([first.summary, first.startDate.toJSDate().getTime()]).toEqual([tasks[0].what, tasks[0].due]);
    for (const event of events) expect(event.getAllSubcomponents('valarm')).toHaveLength(1);
  });
});
