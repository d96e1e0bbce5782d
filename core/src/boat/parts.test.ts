import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import texts from '../../data/boat/part-tests.json';
import { inputOf } from '../../test/demo';
import { plusDays } from '../earth';
import { applyPatch } from '../formats';
import { CATALOGUE } from '../kit';
import { mendedPatch, partPatch, reminders, roundOf, saidOfPart } from '../kit/round';
import { Boat, type Finding } from '../model';
import { CRAFT, type Craft } from '../model/lists';
import { phrase, render } from '../say';
import { assess } from '../trip';
import { failedParts, partFindings, pressedFindings } from './find-parts';
import { keyOf, partStands, partsOf, PART_ROWS, type HerPart } from './parts';
import { startBoat, STARTING_POINTS } from './start';

const ID = '01900000-0000-7000-8000-00000000a001';
const WORK = '01900000-0000-7000-8000-00000000a002';
const boatOf = (kind: Craft, more: Partial<Boat> = {}): Boat => ({
  ...startBoat(
    STARTING_POINTS.find((s) => s.kind === kind)!,
    ID,
    'Heron',
  ),
  ...more,
});
const keys = (boat: Boat) => partsOf(boat).map(({ key }) => key);
const part = (boat: Boat, key: string): HerPart => partsOf(boat).find((p) => p.key === key)!;
const said = (finding: Finding) =>
  [finding.title, ...finding.because].map((p) =>
    render(p, { units: 'metric', zone: 'UTC', locale: 'en-GB' }),
  );
const tested = (boat: Boat, on: string, passed = true): Boat =>
  partsOf(boat).reduce((b, p) => applyPatch(b, partPatch(p, b, { on, passed })), boat);

/** Common practice, written down from the list of what is tested on which craft before the data was. */
const CARRIES: Record<Craft, { has: string[]; not: string[] }> = {
  'sit-on-top': {
    has: ['plug-drain-plug', 'hatch-front-hatch', 'hull', 'handles'],
    not: ['halyard', 'engine-oil', 'straps', 'valves'],
  },
  'sit-inside': { has: ['hull', 'handles'], not: ['cord-stops', 'thwarts', 'lacing'] },
  canoe: { has: ['hull', 'handles', 'thwarts'], not: ['pedal-drive', 'valves'] },
  paddleboard: { has: ['leash', 'handles'], not: ['valves', 'thwarts'] },
  inflatable: {
    has: [
      'valves',
      'seams',
      'lifelines',
      'engine-oil',
      'cooling',
      'cord-stops',
      'motor-starts',
      'clamps',
      'flush',
      'service',
    ],
    not: ['halyard', 'jet', 'frame'],
  },
  skiff: {
    has: ['engine-oil', 'cooling', 'cord-stops', 'clamps', 'fuel-line', 'propeller'],
    not: ['valves', 'jet', 'lacing'],
  },
  'trailer-boat': {
    has: [
      'straps',
      'winch',
      'chain',
      'lights',
      'bearings',
      'tyres',
      'jack',
      'motor-lock',
      'hitch',
      'steering',
      'cooling',
      'plug-drain-plug',
    ],
    not: ['leash', 'pins'],
  },
  'personal-watercraft': {
    has: ['jet', 'tethers', 'cord-stops', 'cooling'],
    not: ['propeller', 'clamps', 'thwarts'],
  },
  catamaran: {
    has: ['halyard', 'pins', 'shackles', 'lacing', 'rudders', 'bolts', 'wires', 'wires-age'],
    not: ['rudder', 'engine-oil', 'valves'],
  },
  raft: { has: ['valves', 'seams', 'frame', 'lifelines'], not: ['clamps', 'halyard'] },
};

describe('which parts she has', () => {
  test.each(Object.keys(CRAFT) as Craft[])(
    '%s: what practice tests on her, and nothing of another',
    (kind) => {
      const { has, not } = CARRIES[kind];
      expect(keys(boatOf(kind))).toEqual(expect.arrayContaining(has));
      for (const key of not) expect(keys(boatOf(kind))).not.toContain(key);
    },
  );
  test('each row of the list has its test, and no test is without a row', () => {
    const rows = PART_ROWS.map(({ id }) => id);
    expect(texts.map(({ id }) => id).sort()).toEqual([...rows].sort());
    expect(new Set(rows).size).toBe(rows.length);
  });
  test('months as practice has them: bolts, shackles and lacing monthly, bearings and service yearly', () => {
    const months = (id: string) => PART_ROWS.find((r) => r.id === id)?.each;
    for (const id of ['bolts', 'shackles', 'lacing']) expect(months(id)).toEqual({ months: 1 });
    expect(months('bearings')).toEqual({ months: 12 });
    expect(months('service')).toEqual({ months: 12, hours: 100 });
    for (const id of ['halyard', 'engine-oil', 'cord-stops']) expect(months(id)).toBe('trip');
    for (const id of ['straps', 'winch', 'chain', 'lights']) expect(months(id)).toBe('tow');
    expect(months('flush')).toBe('after');
  });
  test('openings by name; two of one name are one line that says so, and what is renamed is looked at anew', () => {
    const bung = { name: 'Bung', kind: 'bung' as const };
    const cat = boatOf('catamaran', { openings: [bung, bung, { name: 'Luke ö', kind: 'hatch' }] });
    expect(part(cat, 'plug-bung')).toMatchObject({ title: 'Bung', count: 2 });
    expect(keys(cat)).toContain('hatch-luke-o');
    const done = tested(cat, '2026-05-01');
    const renamed = { ...done, openings: [bung, bung, { name: 'Port hatch', kind: 'hatch' as const }] };
    expect(partStands(part(renamed, 'hatch-port-hatch'), '2026-05-01').is).toBe('never');
    expect(keys(renamed)).toContain('hatch-luke-o');
  });
  test('any name makes a key that the record takes', () => {
    fc.assert(
      fc.property(fc.string({ minLength: 1, maxLength: 120, unit: 'grapheme' }), (name) => {
        const trimmed = name.trim();
        if (trimmed === '') return;
        const key = `hatch-${keyOf(trimmed)}`;
        const boat = boatOf('skiff', { parts: { [key]: { state: 'ready' } } });
        expect(Boat.safeParse(boat).error).toBeUndefined();
      }),
    );
  });
  test('said: no rudder, a tiller, no cord, a trailer', () => {
    const pedal = STARTING_POINTS.find((s) => s.id === 'sot-pedal')!;
    const pedals = startBoat(pedal, ID, 'Heron');
    expect(keys(pedals)).toEqual(expect.arrayContaining(['pedal-drive', 'rudder']));
    expect(keys({ ...pedals, rudder: { kind: 'none' } })).not.toContain('rudder');
    expect(keys(boatOf('skiff', { controls: { steering: 'tiller', cord: 'none' } }))).not.toEqual(
      expect.arrayContaining(['steering']),
    );
    expect(keys(boatOf('skiff', { controls: { cord: 'none' } }))).not.toContain('cord-stops');
    expect(keys(boatOf('inflatable', { trailer: { mass: 90 } }))).toContain('bearings');
  });
});

describe('how a part stands', () => {
  const monthly = part(boatOf('catamaran'), 'bolts');
  const ready = (p: HerPart, inspected: string): HerPart => ({ ...p, record: { state: 'ready', inspected } });
  test('monthly: fine to the day before, due on its day; the last of January falls due on the last of February', () => {
    expect(partStands(ready(monthly, '2026-04-15'), '2026-05-14').is).toBe('fine');
    expect(partStands(ready(monthly, '2026-04-15'), '2026-05-15')).toEqual({ is: 'over', due: '2026-05-15' });
    expect(partStands(ready(monthly, '2026-01-31'), '2026-02-28').is).toBe('over');
  });
  test('before each trip: that day or the evening before', () => {
    const each = part(boatOf('catamaran'), 'halyard');
    expect(
      ['2026-05-12', '2026-05-11', '2026-05-10'].map((on) => partStands(ready(each, on), '2026-05-12').is),
    ).toEqual(['fine', 'fine', 'before']);
  });
  test('after each trip: due from the day on which she was out', () => {
    const flush = part(boatOf('skiff'), 'flush');
    expect(partStands(ready(flush, '2026-05-10'), '2026-05-12', '2026-05-11').is).toBe('over');
    expect(partStands(ready(flush, '2026-05-11'), '2026-05-12', '2026-05-11').is).toBe('fine');
    expect(partStands(ready(flush, '2026-05-10'), '2026-05-12').is).toBe('fine');
  });
  test('a test of a later day says nothing of this one; a day without a result neither', () => {
    expect(partStands(ready(monthly, '2026-05-13'), '2026-05-12').is).toBe('never');
    expect(partStands({ ...monthly, record: { inspected: '2026-05-12' } }, '2026-05-12').is).toBe('never');
  });
  test('months of its owner stand before ours', () => {
    const boat = applyPatch(
      tested(boatOf('catamaran'), '2026-05-01'),
      saidOfPart('wires-age', { everyMonths: 36 }),
    );
    expect(partStands(part(boat, 'wires-age'), '2029-04-30').is).toBe('fine');
    expect(partStands(part(boat, 'wires-age'), '2029-05-01').is).toBe('over');
  });
  test.each([0, -1, 1.5, 121, Number.NaN])('every %p months is refused in words', (everyMonths) => {
    const fault = Boat.safeParse(boatOf('skiff', { parts: { hull: { everyMonths } } })).error?.issues[0]
      .message;
    expect(fault).toEqual(expect.stringMatching(/\w/));
  });
});

describe('what a trip is told', () => {
  const days = { on: '2026-05-12', endsOn: '2026-05-12', towed: true };
  test('nobody looked: one finding that names every part, open; all of them tested: Ready', () => {
    const boat = boatOf('trailer-boat');
    const [open, ...rest] = partFindings(boat)(days);
    expect(rest).toEqual([]);
    expect(open).toMatchObject({ level: 'know', open: true });
    const words = said(open).join(' ');
    for (const { title, each } of partsOf(boat)) if (each !== 'after') expect(words).toContain(title);
    expect(words).not.toContain('Flushed');
    expect(partFindings(tested(boat, '2026-05-11'))(days).map((f) => f.level)).toEqual(['ready']);
  });
  test('without a tow nothing of the tow; over midnight what runs out on the second day is due', () => {
    const boat = tested(boatOf('trailer-boat'), '2026-05-11');
    const words = (d: typeof days) => partFindings(boat)(d).flatMap(said).join(' ');
    expect(words({ ...days, on: '2026-05-20', endsOn: '2026-05-20', towed: false })).not.toContain(
      'Before each tow',
    );
    const monthly = tested(boatOf('catamaran'), '2026-04-13');
    const due = (endsOn: string) =>
      partFindings(monthly)({ ...days, endsOn })
        .flatMap(said)
        .join(' ');
    expect(due('2026-05-12')).not.toContain('Due again');
    expect(due('2026-05-13')).toMatch(/Due again: .*Bolts/);
  });
  test('what failed is a finding on every trip, in company too, until it was mended and passed; what was noted stands there', () => {
    const boat = boatOf('trailer-boat', { id: inputOf().trip.boat! });
    const broken = applyPatch(
      boat,
      partPatch(part(boat, 'lights'), boat, { on: '2026-05-01', passed: false, note: 'left one dark' }),
    );
    const input = inputOf();
    const found = (b: Boat, more: object = {}) =>
      assess({
        ...input,
        trip: { ...input.trip, ...more },
        shed: { ...input.shed, boats: [b, ...input.shed.boats.filter((x) => x.id !== b.id)] },
      }).findings;
    const id = `part/failed/${boat.id}.lights`;
    const one = found(broken).find((f) => f.id === id)!;
    expect(one.level).toBe('fix');
    expect(said(one).join(' ')).toContain('left one dark');
    expect(found(broken, { leave: { date: '2027-01-01', time: '10:00' } }).map((f) => f.id)).toContain(id);
    const asMate = { ...broken, id: ID };
    const company = { company: [{ boat: ID, people: [] }] };
    expect(found(asMate, company).map((f) => f.id)).toContain(`part/failed/${ID}.lights`);
    const mended = applyPatch(
      broken,
      mendedPatch('lights', WORK, { on: '2026-05-02', what: 'New bulb', meter: 3_600 }),
    );
    expect(Boat.safeParse(mended).error).toBeUndefined();
    expect(found(mended).map((f) => f.id)).not.toContain(id);
    expect(partStands(part(mended, 'lights'), '2026-05-02').is).toBe('never');
  });
  test('a failed part stays, where she is said to have it no longer', () => {
    const boat = boatOf('inflatable', { trailer: { mass: 90 } });
    const broken = applyPatch(
      boat,
      partPatch(part(boat, 'straps'), boat, { on: '2026-05-01', passed: false }),
    );
    const { trailer: _gone, ...without } = broken;
    expect(failedParts(without)).toHaveLength(1);
  });
  test('none on her: asked no more', () => {
    const boat = applyPatch(
      tested(boatOf('skiff'), '2026-05-11'),
      saidOfPart('cord-stops', { state: 'none' }),
    );
    expect(partFindings(boat)(days).map((f) => f.level)).toEqual(['ready']);
  });
  test('on a hatch: not said is open, a thing is a Fix that names it, nothing is Ready; without a hatch nothing is asked', () => {
    const { trip } = inputOf();
    const boat = boatOf('sit-on-top');
    const level = (onHatch?: string[]) =>
      pressedFindings({
        boat,
        trip: { ...trip, ...(onHatch ? { onHatch: { boat: boat.id, lies: onHatch } } : {}) },
      }).map((f) => [f.level, f.open === true]);
    expect([level(), level(['Ice box']), level([])]).toEqual([
      [['know', true]],
      [['fix', false]],
      [['ready', false]],
    ]);
    expect(
      said(pressedFindings({ boat, trip: { ...trip, onHatch: { boat: boat.id, lies: ['Ice box'] } } })[0])[0],
    ).toBe('On or against a hatch: Ice box');
    expect(pressedFindings({ boat: { ...boat, openings: [] }, trip })).toEqual([]);
    // Another boat was taken since: nothing was said of hers.
    const other = { ...trip, onHatch: { boat: WORK, lies: [] } };
    expect(pressedFindings({ boat, trip: other })[0]).toMatchObject({ level: 'know', open: true });
  });
});

describe('a round over her', () => {
  const shed = (boat: Boat) => ({ gear: [], boats: [boat] });
  const asked = { catalogue: CATALOGUE, by: '2026-06-12', today: '2026-05-12' };
  test('from end to end, each test once; what passed drops out, what failed waits for mending', () => {
    let boat = boatOf('trailer-boat');
    const first = roundOf({ ...asked, shed: shed(boat), boat: ID });
    expect(first.map((t) => t.name)).toEqual(
      partsOf(boat)
        .filter((p) => p.each !== 'after')
        .map((p) => p.title),
    );
    for (const t of first) expect([t.how, t.passes].join('')).toMatch(/\w/);
    first.forEach((t, i) => {
      boat = applyPatch(boat, t.patch({ on: '2026-05-12', passed: i !== 3, note: 'seen' }));
    });
    expect(Boat.safeParse(boat).error).toBeUndefined();
    // What is due again within the month asked for is in it; on the day itself nothing is.
    expect(roundOf({ ...asked, by: '2026-05-12', shed: shed(boat), boat: ID })).toEqual([]);
    expect(failedParts(boat)).toHaveLength(1);
  });
  test('over the whole shed only what has months: not what is looked at before each trip; after salt once she was out', () => {
    const boat = tested(boatOf('skiff'), '2026-05-01');
    expect(roundOf({ ...asked, by: '2026-05-12', shed: shed(boat) })).toEqual([]);
    const out = new Map([[ID, '2026-05-10']]);
    expect(roundOf({ ...asked, by: '2026-05-12', shed: shed(boat), out }).map((t) => t.name)).toEqual([
      'Flushed with fresh water',
    ]);
  });
  test('what its owner added is tested like any other; with no way of testing written it still stands', () => {
    const boat = applyPatch(
      boatOf('skiff'),
      saidOfPart('own-winch', { name: 'Pot hauler', how: 'Run it.', everyMonths: 3 }),
    );
    expect(roundOf({ ...asked, shed: shed(boat) }).find((t) => t.name === 'Pot hauler')?.how).toBe('Run it.');
    const gone = applyPatch(boatOf('skiff'), saidOfPart('a-part-of-tomorrow', { state: 'failed' }));
    expect(failedParts(gone)).toHaveLength(1);
  });
  test('dates of the calendar: monthly parts in the year ahead, named with their boat; sixty tests are kept', () => {
    const boat = tested(boatOf('catamaran'), '2026-05-01');
    const dates = reminders(shed(boat), CATALOGUE, '2026-05-12', 12);
    expect(dates.find((d) => d.title.startsWith('Bolts'))).toMatchObject({ on: '2026-06-01', boat: 'Heron' });
    expect(dates.some((d) => d.title.startsWith('Halyard'))).toBe(false);
    let many = boat;
    for (let i = 0; i < 70; i += 1)
      many = applyPatch(
        many,
        partPatch(part(many, 'bolts'), many, { on: plusDays('2026-05-01', i), passed: true }),
      );
    expect(many.parts?.bolts.tests).toHaveLength(60);
    expect(Boat.safeParse(many).error).toBeUndefined();
  });
  test('serviced in time and run too long since: due again by the motor’s hours, whatever the months', () => {
    const HOUR = 3_600;
    const at = (hours: number) =>
      partStands(
        part(
          { ...tested(boatOf('skiff', { meter: 300 * HOUR }), '2026-05-01'), meter: hours * HOUR },
          'service',
        ),
        '2026-05-12',
      ).is;
    expect([at(300), at(399), at(400), at(450)]).toEqual(['fine', 'fine', 'over', 'over']);
    const unread = { ...tested(boatOf('skiff'), '2026-05-01'), meter: 900 * HOUR };
    expect(partStands(part(unread, 'service'), '2026-05-12').is).toBe('fine');
  });
  test('the motor’s hours stand beside the test, where she has a meter', () => {
    const boat = boatOf('skiff', { meter: 360_000 });
    const patched = applyPatch(
      boat,
      partPatch(part(boat, 'service'), boat, { on: '2026-05-01', passed: true }),
    );
    expect(patched.parts?.service.tests).toEqual([{ on: '2026-05-01', passed: true, meter: 360_000 }]);
  });
});

test('two parts alike are named with how many', () =>
  expect(
    render(phrase('part.name.many', { title: 'Bung', n: 2 }), {
      units: 'metric',
      zone: 'UTC',
      locale: 'en-GB',
    }),
  ).toBe('Bung (2, each)'));
