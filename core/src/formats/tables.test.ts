import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import ICAL from 'ical.js';
import { anItem, demo, id, NOW } from '../../test/demo';
import { check } from '../../test/check';
import { CATALOGUE } from '../kit';
import { reminders } from '../kit/round';
import { GearItem } from '../model';
import { kitCalendar, planCalendar } from './calendar';
import { gearTable, previewGear, suggestColumns } from './gear-csv';
import { readTable } from './table';

const preview = (text: string, existing: GearItem[] = []) => {
  const table = readTable(text);
  return previewGear(table, suggestColumns(table.columns), existing, CATALOGUE, id);
};

describe('a table in', () => {
  test('a byte-order mark, semicolons, decimal commas, words for where it travels', () => {
    const [row] = preview('\uFEFFItem;Type;Qty;Where;Fits to\nRed vest;Foam jacket;2;On the body;92,5\n');
    expect(row).toMatchObject({
      row: 2,
      what: 'new',
      item: { name: 'Red vest', kind: 'foam-jacket', count: 2, stowage: 'on-body', maxMass: 92.5 },
    });
  });
  test('each bad row is refused with its number and what is wrong; the others stand', () => {
    const rows = preview(
      [
        'name,kind,count,expires,minMass,maxMass',
        'Horn,horn,1,,,',
        'Flare,hand-flare,2,August,,',
        'Vest,foam-jacket,1,,90,40',
        'Thing,warp drive,1,,,',
        'Horn,horn,1,,,',
        'Big,horn,many,,,\n',
      ].join('\n'),
    );
    expect(rows.map((r) => [r.row, r.what])).toEqual([
      [2, 'new'],
      [3, 'refused'],
      [4, 'refused'],
      [5, 'refused'],
      [6, 'refused'],
      [7, 'refused'],
    ]);
    expect(rows.slice(1).map((r) => r.faults.join('; '))).toEqual([
      '/expires: a date such as 2026-05-12',
      '/minMass: the lower weight stands above the upper',
      'no kind is called "warp drive"',
      'the same as row 2',
      'count: "many" is no number',
    ]);
  });
  test('a formula stays text, in and out', () => {
    const item = anItem('horn', { name: '=HYPERLINK("http://x")' });
    const text = gearTable([item]);
    expect(text).toContain("'=HYPERLINK");
    expect(preview(text, [item])[0]).toMatchObject({ what: 'same', name: item.name });
  });
  test('torn quotes and rubbish never throw', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        for (const row of preview(`name,kind\n${text}`))
          expect(['new', 'changed', 'same', 'refused']).toContain(row.what);
      }),
    );
    expect(readTable('name,kind\n"torn,horn').faults[0]).toMatch(/row 2/);
  });
});

test('the demo’s locker goes out and comes back the same', () => {
  const { gear } = demo().shed;
  expect(preview(gearTable(gear), gear).filter((r) => r.what !== 'same')).toEqual([]);
});
test('a known thing is changed in the columns that are there and keeps the rest', () => {
  const horn = anItem('horn', { name: 'Horn', approval: 'A-1', stowage: 'hatch' });
  expect(preview('name,kind,count\nhorn ,Horn,3', [horn])[0]).toMatchObject({
    what: 'changed',
    item: { id: horn.id, count: 3, approval: 'A-1', stowage: 'hatch' },
  });
});

describe('the calendar', () => {
  const list = reminders(
    {
      boats: [],
      gear: [
        anItem('foam-jacket', { name: 'Red, the good one; it’s mine', inspected: '2025-06-20' }),
        anItem('hand-flare', { expires: '2026-08-01' }),
      ],
    },
    CATALOGUE,
    '2026-05-11',
    12,
  );
  check(
    'run here',
    { title: 'ical.js 2.2.1' },
    'what is written is read back: whole days, summaries, ids that stay',
    () => {
      const events = new ICAL.Component(ICAL.parse(kitCalendar(list, NOW)) as unknown as string)
        .getAllSubcomponents('vevent')
        .map((c) => new ICAL.Event(c));
      expect(
        events.map((e) => [e.summary, e.startDate.toString(), e.startDate.isDate, e.endDate.toString()]),
      ).toEqual([
        ['Test: Red, the good one; it’s mine', '2026-06-20', true, '2026-06-21'],
        ['Ends: hand-flare', '2026-08-01', true, '2026-08-02'],
      ]);
      expect(events[0].uid).toBe(`${list[0].id}-test@escale`);
    },
  );
  check(
    'run here',
    { title: 'ical.js 2.2.1' },
    'the hours of a plan are read back with an alarm at each; an hour that moved keeps its entry',
    () => {
      const H = 3_600_000;
      const plan = {
        id: 'p1',
        title: 'Tern Holm, at dawn',
        state: 'under-way' as const,
        zone: 'Atlantic/Azores',
        times: {
          leave: NOW,
          turnBack: NOW + H,
          home: NOW + 2 * H,
          overdue: NOW + 3 * H,
          checkIns: [NOW + H / 2],
        },
      };
      const read = (text: string) =>
        new ICAL.Component(ICAL.parse(text) as unknown as string).getAllSubcomponents('vevent');
      const events = read(planCalendar(plan, NOW));
      expect(events.map((c) => new ICAL.Event(c).startDate.toJSDate().getTime() - NOW)).toEqual([
        H / 2,
        H,
        2 * H,
        3 * H,
      ]);
      for (const c of events) {
        const [alarm] = c.getAllSubcomponents('valarm');
        expect(alarm.getFirstPropertyValue('action')).toBe('DISPLAY');
        expect(String(alarm.getFirstPropertyValue('trigger'))).toMatch(/^-?P/);
      }
      const later = read(planCalendar({ ...plan, times: { ...plan.times, home: NOW + 2.5 * H } }, NOW));
      expect(later.map((c) => new ICAL.Event(c).uid)).toEqual(events.map((c) => new ICAL.Event(c).uid));
      expect(read(planCalendar({ ...plan, state: 'closed' }, NOW))).toEqual([]);
    },
  );
  test('lines are no longer than 75 octets and end as they must', () => {
    const text = kitCalendar(list, NOW);
    expect(text.endsWith('\r\n') || text.endsWith('END:VCALENDAR')).toBe(true);
    for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
  });
});

describe('a table that would hold the page up', () => {
  test.each([
    ['a million commas', ','.repeat(1_000_000), /more than 200 columns/],
    ['more rows than a shed holds', `name\n${'x\n'.repeat(5001)}`, /more than 5000 rows/],
    ['a file that is too large', 'x'.repeat(4_000_001), /larger than 4 MB/],
    ['an open quote', `name,count\n"${'a,b\n'.repeat(100_000)}`, /Quoted field unterminated/],
  ])('%s is refused before it does', (_, text, fault) => {
    expect(readTable(text).faults.join(' ')).toMatch(fault);
  });
  test('as many rows as a shed holds are taken', () => {
    const table = readTable(`name\n${'x\n'.repeat(5000)}`);
    expect([table.faults, table.rows.length]).toEqual([[], 5000]);
  });
});
