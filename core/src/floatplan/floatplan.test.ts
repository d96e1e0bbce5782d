import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { inputOf } from '../../test/demo';
import type { EventKind, PlanEvent, PlanState, PlanTimes } from '../model';
import { assess } from '../trip';
import {
  ALARM_AFTER,
  asRead,
  CHECK_IN_GRACE,
  checkInKept,
  deadlinesLeft,
  deadlinesOf,
  endedWith,
  filedTimes,
  fold,
  hasSeals,
  halfHourLater,
  homeAt,
  isOpen,
  planFindings,
  planReminders,
  positionText,
  sheetNow,
  sheetOf,
  sheetShort,
  sheetText,
  timesLater,
} from '.';

const H = 3_600_000;
const times: PlanTimes = { leave: 0, home: 4 * H, overdue: 5 * H, checkIns: [2 * H] };
const event = (kind: EventKind, at: number, more: Partial<PlanEvent> = {}): PlanEvent => ({
  seq: at,
  plan: 'p',
  kind,
  at,
  ...more,
});
const filed = event('filed', -H, { times });

describe('state', () => {
  test.each<[PlanEvent[], number, PlanState]>([
    [[], -1, 'filed'],
    [[event('under-way', 0)], H, 'under-way'],
    [[], 4 * H - 1, 'filed'],
    [[event('under-way', 0)], 4 * H, 'late'],
    [[], 5 * H - 1, 'late'],
    [[], 5 * H, 'overdue'],
    [[], 5 * H + ALARM_AFTER, 'alarm'],
    [[event('closed', 3 * H)], 9 * H, 'closed'],
    [[event('closed', 5 * H + ALARM_AFTER)], 9 * H, 'found'],
    [[event('cancelled', 0)], 9 * H, 'cancelled'],
  ])('%j at %d is %s', (more, now, state) => expect(fold([filed, ...more], now).state).toBe(state));
  test('a later home has to be accepted again; an earlier one does not', () => {
    const accepted = event('accepted', 0, { contact: 'c' });
    expect(
      fold([filed, accepted, event('amended', H, { times: { ...times, home: 3 * H } })], H).accepted.has('c'),
    ).toBe(true);
    expect(
      fold([filed, accepted, event('amended', H, { times: { ...times, home: 4 * H + 1 } })], H).accepted.has(
        'c',
      ),
    ).toBe(false);
  });
  test('while nobody speaks a plan only ever grows graver', () => {
    const order = ['filed', 'late', 'overdue', 'alarm'];
    fc.assert(
      fc.property(fc.integer({ min: -H, max: 9 * H }), fc.integer({ min: 0, max: 9 * H }), (now, later) =>
        expect(order.indexOf(fold([filed], now + later).state)).toBeGreaterThanOrEqual(
          order.indexOf(fold([filed], now).state),
        ),
      ),
    );
  });
  test('nothing without a filing', () =>
    expect(() => fold([event('closed', 0)], 0)).toThrow(/without a filing/));
  test('what is open', () =>
    expect((['filed', 'late', 'alarm', 'closed', 'found', 'cancelled'] as const).map(isOpen)).toEqual([
      true,
      true,
      true,
      false,
      false,
      false,
    ]));
});

test('deadlines: a check-in with its grace, a quarter of an hour before home, home, overdue, and an hour later the alarm', () => {
  expect(deadlinesOf(times)).toEqual([
    { kind: 'check-in-due', at: 2 * H, promised: 2 * H },
    { kind: 'check-in', at: 2 * H + CHECK_IN_GRACE, promised: 2 * H },
    { kind: 'soon', at: 4 * H - 15 * 60_000 },
    { kind: 'late', at: 4 * H },
    { kind: 'overdue', at: 5 * H },
    { kind: 'alarm', at: 5 * H + ALARM_AFTER },
  ]);
});
test('a check-in is kept by what was heard from half an interval before it', () => {
  expect(checkInKept([event('check-in', H)], times, 2 * H)).toBe(true);
  expect(checkInKept([event('check-in', H - 1)], times, 2 * H)).toBe(false);
  expect(checkInKept([], times, 2 * H)).toBe(false);
});

test.each([
  [{ lat: 41.2, lon: -29.5 }, '41° 12.000′ N, 29° 30.000′ W'],
  [{ lat: -0.5, lon: 179.99999999 }, '0° 30.000′ S, 180° 00.000′ E'],
])('%j is said %s', (position, text) => expect(positionText(position)).toBe(text));

test('a crew is reminded of turning, check-ins, home and overdue, in their order; never of a plan that has ended', () => {
  const plan = {
    id: 'p',
    title: 'Tern Holm',
    state: 'under-way' as const,
    times: { ...times, turnBack: 3 * H },
  };
  const list = planReminders(plan);
  expect(list.map(({ name, at }) => [name, at])).toEqual([
    ['check-in-1', 2 * H],
    ['turn', 3 * H],
    ['home', 4 * H],
    ['overdue', 5 * H],
  ]);
  expect(planReminders({ ...plan, state: 'closed' })).toEqual([]);
  const later = planReminders({ ...plan, times: homeAt(plan.times, 5 * H) });
  expect(later.find((r) => r.name === 'home')?.key).not.toBe(list.find((r) => r.name === 'home')?.key);
});

describe('home later', () => {
  const later = (home: number, at = H) => event('later', at, { times: homeAt(times, home) });
  test('overdue keeps its distance, check-ins after home fall away, the version and who accepted stay', () => {
    expect(homeAt(times, 6 * H)).toEqual({ ...times, home: 6 * H, overdue: 7 * H });
    expect(homeAt(times, 1.5 * H).checkIns).toEqual([]);
    const accepted = event('accepted', 0, { contact: 'c' });
    const said = fold([filed, accepted, later(6 * H)], 5.5 * H);
    expect(said).toMatchObject({ state: 'under-way', version: 1, times: { home: 6 * H } });
    expect(said.accepted.has('c')).toBe(true);
    expect(filedTimes([filed, later(6 * H)])).toEqual(times);
  });
  test('half an hour after what stands; where that is past, after now to the next five minutes', () => {
    expect(halfHourLater(times, 3 * H)).toBe(4.5 * H);
    expect(halfHourLater(times, 4 * H + 61_000)).toBe(4.5 * H + 5 * 60_000);
  });
  test('counted since the last filing or change', () => {
    const changed = event('amended', 3, { times });
    expect(timesLater([filed, later(5 * H, 1), later(6 * H, 2)])).toBe(2);
    expect(timesLater([filed, later(5 * H, 1), changed, later(6 * H, 4)])).toBe(1);
  });
  test('the sheet that was frozen says beside every old hour which holds now', () => {
    const { trip, shed } = inputOf();
    const sheet = sheetOf({
      trip,
      boat: shed.boats.find((b) => b.id === trip.boat)!,
      people: [shed.people[0]],
      water: shed.waters.find((w) => w.id === trip.water)!,
      places: shed.places,
      gear: shed.gear,
      contacts: shed.contacts.slice(0, 1),
      assessment: assess(inputOf()),
      filedAt: inputOf().now,
    });
    const home = Date.UTC(2026, 4, 12, 12, 25);
    const now = sheetNow(sheet, [
      filed,
      event('later', Date.UTC(2026, 4, 12, 9), {
        times: { ...times, leave: home - 6 * H, home, overdue: home + H },
      }),
    ]);
    expect(now.expect[0]).toContain('Tue 12 May 12:25');
    expect(now.ifLate[1]).toMatch(/were due at .*they said that they would be home at 12:25/);
    expect(now.read).toMatch(/overdue only from 13:25/);
    expect(sheetNow(sheet, [filed])).toBe(sheet);
    // As text it stands by itself: days with the hours, whom to ring, and that no machine tells.
    const text = sheetText(now);
    for (const part of ['Count on no machine', 'Tue 12 May 12:25', '555', 'TO READ ALOUD'])
      expect(text).toContain(part);
    expect(text).not.toMatch(/https?:|undefined|\[link\]/);
    expect(new TextEncoder().encode(sheetShort(now)).length).toBeLessThan(2000);
  });
});

describe('an ending that was none', () => {
  const left = event('under-way', 1),
    closed = event('closed', 3 * H);
  test('the watch goes on as if it had not been said, and can be ended again', () => {
    expect(fold([filed, left, closed, event('reopened', 3.1 * H)], 3.2 * H).state).toBe('under-way');
    expect(fold([filed, left, closed, event('reopened', 3.1 * H)], 5 * H).state).toBe('overdue');
    expect(fold([filed, left, closed, event('reopened', 3.1 * H), event('closed', 4 * H)], 9 * H).state).toBe(
      'closed',
    );
  });
  test('for an hour, and only the last word counts', () => {
    expect(endedWith([filed, closed], 4 * H)?.kind).toBe('closed');
    expect(endedWith([filed, closed], 4 * H + 1)).toBeUndefined();
    expect(endedWith([filed, closed, event('reopened', 3.1 * H)], 3.2 * H)).toBeUndefined();
  });
  test('what its contacts were told is not said again; what is to come is', () => {
    const kinds = (events: PlanEvent[], now: number) => deadlinesLeft(events, times, now).map((d) => d.kind);
    expect(kinds([filed], H)).toEqual(['check-in-due', 'check-in', 'soon', 'late', 'overdue', 'alarm']);
    expect(kinds([filed, event('late', 4 * H), event('overdue', 5 * H)], 5.5 * H)).toEqual(['alarm']);
    expect(kinds([filed], 9 * H)).toEqual(['late', 'overdue', 'alarm']);
  });
});

describe('sheet', () => {
  const input = inputOf();
  const { trip, shed } = input;
  const sheetInput = () => ({
    trip,
    boat: shed.boats.find((b) => b.id === trip.boat)!,
    people: [shed.people[0]],
    water: shed.waters.find((w) => w.id === trip.water)!,
    places: shed.places,
    gear: shed.gear,
    contacts: shed.contacts.slice(0, 1),
    assessment: assess(input),
    filedAt: input.now,
  });
  const make = () => sheetOf(sheetInput());
  const text = JSON.stringify(make());
  test('who, what, where from, where to, when, the car, the contact: all there, nothing left open', () => {
    for (const part of [
      'Rowan Pike',
      'Sit-on-top kayak',
      '3.90 m (12.8 ft)',
      'green',
      'Gannow ramp',
      '41° 12.000′ N',
      'Tern Holm',
      'green van',
      'Ada Tolley',
      'I land at Tern Holm',
    ])
      expect(text).toContain(part);
    expect(text).not.toMatch(/undefined|NaN/);
  });
  test('it can be read aloud within a minute: under 150 words', () =>
    expect(make().read.split(/\s+/).length).toBeLessThan(150));
  test('who goes along in other boats stands in it, and in the words that are read aloud and told', () => {
    const other = { ...shed.boats.find((b) => b.id !== trip.boat)!, name: 'Gull', kind: 'canoe' as const };
    const [, ...others] = shed.people;
    const company = [{ boat: other, people: others.slice(0, 2) }];
    const sheet = sheetOf({ ...sheetInput(), company });
    const rows = sheet.lines.find((part) => part.head === 'In company')!.rows;
    expect(rows[0].text).toContain(others[0].name);
    for (const words of [sheet.read, sheet.ifLate[1]])
      expect(words).toContain('With them: canoe with 2 people.');
    expect(make().read).not.toContain('With them');
  });
  test('notes that somebody seals are theirs: they are no part of what is given out without a word', () => {
    const [who] = shed.people;
    const told = (medicalFor?: 'sealed' | 'contact' | 'nobody') => {
      const person = { ...who, medical: 'wasp stings', ...(medicalFor ? { medicalFor } : {}) };
      return sheetOf({ ...sheetInput(), people: [person] });
    };
    const seen = (sheet: ReturnType<typeof sheetOf>, whole: boolean) => JSON.stringify(asRead(sheet, whole));
    for (const nobody of [told(), told('nobody')]) expect(JSON.stringify(nobody)).not.toContain('wasp');
    expect([hasSeals(told('sealed')), hasSeals(told('contact')), hasSeals(told())]).toEqual([
      true,
      false,
      false,
    ]);
    expect([seen(told('sealed'), false), seen(told('sealed'), true)].map((t) => t.includes('wasp'))).toEqual([
      false,
      true,
    ]);
    expect(seen(told('contact'), false)).toContain('wasp');
  });
  test('medical notes stay out', () => {
    shed.people[0] = { ...shed.people[0], medical: 'a secret' };
    expect(JSON.stringify(make())).not.toContain('a secret');
  });
  test('a trip without a time home makes no sheet', () =>
    expect(() =>
      sheetOf({
        trip,
        boat: shed.boats[0],
        people: [],
        water: shed.waters[0],
        places: [],
        gear: [],
        contacts: [],
        assessment: { ...assess(input), schedule: undefined },
        filedAt: 0,
      }),
    ).toThrow(/time home/));
});

describe('a contact who can’t be reached', () => {
  const { trip, water, contact } = (() => {
    const { trip: t, shed } = inputOf();
    return { trip: t, water: shed.waters[0], contact: shed.contacts[0] };
  })();
  const { phone: _phone, ...silent } = contact;
  const kinds = (contacts: (typeof silent)[], plan?: Parameters<typeof planFindings>[0]['plan']) =>
    planFindings({ trip, water, people: [], contacts, ...(plan ? { plan } : {}) }, undefined).map(
      (f) => `${f.level} ${f.id.split('/').slice(0, 2).join('/')}`,
    );
  const filedPlan = {
    state: 'filed' as const,
    times,
    contacts: [{ id: contact.id, name: contact.name, accepted: true }],
    channel: 'stand-in' as const,
  };
  test('is a Fix before filing and after, and nothing is ready with it', () => {
    expect(kinds([silent])).toContain('fix plan/reach');
    expect(kinds([contact])).not.toContain('fix plan/reach');
    expect(kinds([contact], filedPlan)).toContain('ready plan/filed');
    expect(kinds([silent], filedPlan)).toContain('fix plan/reach');
    expect(kinds([contact, { ...silent, id: 'b' }], filedPlan)).not.toContain('ready plan/filed');
  });
});
