import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { inputOf } from '../../test/demo';
import type { EventKind, PlanEvent, PlanTimes, Sheet, Trip } from '../model';
import { alarmAt, asRead, chosenLate, fold, homeAt, inTurn, isDialled, isIdentity, isMail } from '.';
import { planFindings, sheetChanges, stepsOf, STEPS, type Sooner } from '.';

const H = 3_600_000,
  MIN = 60_000;
const times: PlanTimes = { leave: 0, home: 4 * H, overdue: 4.5 * H, alarm: 5 * H, checkIns: [] };
const event = (kind: EventKind, at: number, more: Partial<PlanEvent> = {}): PlanEvent => ({
  seq: at,
  plan: 'p',
  kind,
  at,
  ...more,
});
const filed = event('filed', -H, { times });

describe('steps', () => {
  test.each<[Pick<Trip, 'graceMinutes' | 'alarmMinutes'>, Sooner[], number, number]>([
    [{}, [], 30, 60],
    [{}, ['child'], 15, 30],
    [{}, ['cold', 'dusk'], 15, 30],
    // Shortened freely, lengthened to the bound only.
    [{ graceMinutes: 15 }, [], 15, 30],
    [{ graceMinutes: 60 }, [], 60, 120],
    [{ graceMinutes: 1440 }, [], 60, 120],
    [{ graceMinutes: 60, alarmMinutes: 30 }, [], 60, 60],
    [{ alarmMinutes: 120 }, [], 30, 120],
    [{ graceMinutes: 20, alarmMinutes: 45 }, ['cold'], 20, 45],
  ])('%j with %j: told after %d, asked to ring after %d', (wants, why, told, alarm) =>
    expect(stepsOf(wants, why)).toEqual({ told, alarm }),
  );
  test('whatever is chosen, nobody is asked to ring before they were told, and both lie within their bounds', () => {
    const minutes = fc.option(fc.integer({ min: 1, max: 2000 }), { nil: undefined });
    fc.assert(
      fc.property(
        minutes,
        minutes,
        fc.subarray<Sooner>(['child', 'cold', 'dusk']),
        (graceMinutes, alarmMinutes, why) => {
          const { told, alarm } = stepsOf({ graceMinutes, alarmMinutes } as object, why);
          expect(alarm).toBeGreaterThanOrEqual(told);
          for (const [step, value] of [
            ['told', told],
            ['alarm', alarm],
          ] as const) {
            expect(value).toBeGreaterThanOrEqual(STEPS[step].least);
            expect(value).toBeLessThanOrEqual(STEPS[step].most);
          }
          // A reason never makes anything later.
          const plain = stepsOf({ graceMinutes, alarmMinutes } as object, []);
          expect(told).toBeLessThanOrEqual(plain.told);
          expect(alarm).toBeLessThanOrEqual(plain.alarm);
        },
      ),
    );
  });
  test('what is chosen beyond a bound, or later than a reason bears, is told', () => {
    expect(chosenLate({ graceMinutes: 61 }, [])).toEqual({ bound: 60 });
    expect(chosenLate({ graceMinutes: 60 }, [])).toEqual({});
    expect(chosenLate({ graceMinutes: 30 }, ['child'])).toEqual({ soon: 15 });
    expect(chosenLate({ graceMinutes: 15 }, ['child'])).toEqual({});
    expect(chosenLate({ alarmMinutes: 45 }, ['cold'])).toEqual({ soon: 15 });
  });
  test('home put off takes both steps along; what was filed before has its alarm an hour after overdue', () => {
    expect(homeAt(times, 5 * H)).toMatchObject({ overdue: 5.5 * H, alarm: 6 * H });
    expect(alarmAt({ overdue: 7 * H })).toBe(8 * H);
    expect(fold([filed], 5 * H - 1).state).toBe('overdue');
    expect(fold([filed], 5 * H).state).toBe('alarm');
  });
});

describe('what is sealed', () => {
  const open = (events: PlanEvent[], now: number) => fold([filed, ...events], now).unsealed;
  test('opens at overdue, at an alarm, by the crew’s tap, when somebody says that they are in trouble, and not before', () => {
    expect(open([], 4.5 * H - 1)).toBe(false);
    expect(open([], 4.5 * H)).toBe(true);
    expect(open([event('unsealed', H)], 2 * H)).toBe(true);
    expect(open([event('trouble', H, { contact: 'c' })], 2 * H)).toBe(true);
    expect(open([event('trouble', H)], 2 * H)).toBe(true);
    for (const kind of ['heard', 'acting', 'rung', 'accepted', 'check-in-missed', 'soon', 'late'] as const)
      expect([kind, open([event(kind, H, { contact: 'c' })], 2 * H)]).toEqual([kind, false]);
  });
  test('a sign of life from aboard settles trouble and shuts it; a contact’s word does not; the end shuts all', () => {
    const trouble = event('trouble', H, { contact: 'c' });
    expect(open([trouble, event('check-in', 2 * H)], 3 * H)).toBe(false);
    expect(open([trouble, event('heard', 2 * H, { contact: 'd' })], 3 * H)).toBe(true);
    expect(open([event('unsealed', H), event('closed', 2 * H)], 3 * H)).toBe(false);
    expect(fold([filed, trouble], 2 * H)).toMatchObject({ state: 'alarm', trouble });
    expect(fold([filed, trouble, event('check-in', 2 * H)], 3 * H).state).toBe('under-way');
    expect(fold([filed, trouble, event('closed', 2 * H)], 3 * H).state).toBe('found');
  });
  const sheet: Sheet = {
    title: 'A',
    filedAt: '2026-05-12T00:00:00Z',
    zone: 'UTC',
    lines: [
      {
        head: 'P',
        rows: [
          { label: 'Ada', text: 'swims', late: 'born 1990' },
          { label: 'The way', text: 'sealed', late: 'to the bar', instead: true },
        ],
      },
    ],
    expect: [],
    ifLate: ['first', 'ring'],
    read: 'to a sealed place',
    late: { ifLate: ['first', 'ring for the bar'], read: 'to the bar' },
  };
  test('is read in its place once it is open, and stands nowhere before', () => {
    expect(JSON.stringify(asRead(sheet, false))).not.toMatch(/1990|the bar/);
    const whole = asRead(sheet, true);
    expect(whole.lines[0].rows.map((r) => r.text)).toEqual(['swims · born 1990', 'to the bar']);
    expect([whole.read, whole.ifLate[1]]).toEqual(['to the bar', 'ring for the bar']);
    expect(whole.late).toBeUndefined();
  });
  test('what a change changed is told without it', () => {
    const rows = [
      { label: 'Home', text: '12:00' },
      { label: 'The way', text: 'sealed', late: 'to the reef', instead: true as const },
    ];
    const after = { ...sheet, lines: [{ head: 'P', rows }] };
    const changes = sheetChanges(sheet, after);
    expect(changes).toEqual(['Ada: no longer (it was: swims)', 'Home: 12:00 (new)']);
    expect(sheetChanges(sheet, sheet)).toEqual([]);
    const moved = { ...after, lines: [{ head: 'P', rows: [{ label: 'Home', text: '13:00' }] }] };
    expect(sheetChanges(after, moved)).toContain('Home: 13:00 (it was: 12:00)');
  });
});

test('who is told first: who accepted, then who said nothing, last who can’t', () => {
  const events = [filed, event('accepted', 0, { contact: 'c' }), event('declined', 1, { contact: 'a' })];
  const order = inTurn([{ id: 'a' }, { id: 'b' }, { id: 'c' }], fold(events, H));
  expect(order.map((c) => c.id)).toEqual(['c', 'b', 'a']);
});

test.each<['beacon' | 'radio', string, boolean]>([
  ['beacon', '1D0 EA 08 C5 2F FB FF', true],
  ['beacon', '2DCE 3E04 08FF BF', false],
  ['beacon', '2DCE3E0408FFBFZ', false],
  ['radio', '235 899 982', true],
  ['radio', '23589998', false],
  ['radio', 'WDA1234', true],
  ['radio', 'radio', false],
])('a %s called %s: %s', (of, text, good) => expect(isIdentity(of, text)).toBe(good));
test.each([
  ['555 0177', true],
  ['+351 (29) 555-0177', true],
  ['555 CALL', false],
  ['12', false],
])('%s can be dialled: %s', (phone, good) => expect(isDialled(phone)).toBe(good));
test.each([
  ['ada@example.org', true],
  ['ada@example', false],
  ['a@b.org, c@d.org', false],
  ['a@b.org\nBcc: x@y.org', false],
])('mail to %s: %s', (mail, good) => expect(isMail(mail)).toBe(good));

describe('what the sheet lacks', () => {
  const { trip, shed } = inputOf();
  const found = (more: Partial<Parameters<typeof planFindings>[0]> = {}) =>
    planFindings(
      { trip, water: shed.waters[0], people: [], contacts: shed.contacts.slice(0, 1), ...more },
      undefined,
    );
  const kinds = (more: Parameters<typeof found>[0]) =>
    found(more).map((f) => `${f.level} ${f.id.split('/').slice(0, 2).join('/')}`);
  test('stands in one finding with a tap to each', () => {
    const { parked: _parked, ifLate: _ifLate, ...bare } = trip;
    const lacks = found({ trip: bare }).find((f) => f.id.startsWith('plan/sheet/'));
    expect(lacks?.level).toBe('know');
    const taps = [lacks?.mend, ...(lacks?.others ?? [])].map((m) => m && 'go' in m && m.go.pointer);
    expect(taps).toEqual(expect.arrayContaining(['/parked', '/ifLate', '/provisionHours', '/alternatives']));
  });
  test('a phone with letters, an address that is none, a number that can’t be a beacon’s', () => {
    const [contact] = shed.contacts;
    expect(kinds({ contacts: [{ ...contact, phone: 'ask Jo' }] })).toContain('fix plan/dialled');
    expect(kinds({ contacts: [{ ...contact, mail: 'ada at home' }] })).toContain('fix plan/mail');
    expect(kinds({ contacts: [{ ...contact, mail: 'ada@example.org' }] })).not.toContain('fix plan/mail');
  });
  test('where nothing leaves the machine, or what does fails, it is a Fix before anything is filed', () => {
    expect(kinds({ channels: [] })).toContain('fix plan/channel');
    expect(kinds({ channels: [{ name: 'mail', failing: 1 }] })).toContain('fix plan/channel');
    expect(kinds({ channels: [{ name: 'push' }] })).toContain('fix plan/channel');
    expect(kinds({ channels: [{ name: 'telephone', simulated: true }] })).not.toContain('fix plan/channel');
  });
  test('a contact is reached by what is set up: a phone alone is no way where only mail goes', () => {
    const [contact] = shed.contacts;
    const mail = [{ name: 'mail' as const }];
    expect(kinds({ channels: mail })).toContain('fix plan/reach');
    expect(kinds({ channels: mail, contacts: [{ ...contact, mail: 'a@b.org' }] })).not.toContain(
      'fix plan/reach',
    );
  });
});

test('a quarter of an hour before home is never before leaving', () => {
  const short = { ...times, home: 5 * MIN };
  expect(fold([event('filed', -H, { times: short })], 0).state).toBe('filed');
});
