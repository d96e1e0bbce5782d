import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { Temporal } from 'temporal-polyfill';
import { check } from '../../test/check';
import { runs } from '../../test/runs';
import { aBoat, aPerson, aPlace, aWater, inputOf, NOW, steady } from '../../test/demo';
import { Drill, type Drill as ADrill, type DrillKind } from '../model';
import { DRILLS } from '../model/lists';
import { render } from '../say';
import { assess } from '../trip';
import { sortForecast } from '../water';
import {
  askedOf,
  doneBy,
  DRILL_ROWS,
  drillFindings,
  type OnDrills,
  lastRecovery,
  practised,
  rowOf,
  whoCan,
} from '.';
import { proposals } from './propose';

const READER = { units: 'metric', zone: 'UTC', locale: 'en-GB' } as const;
const kayak = aBoat({ kind: 'sit-on-top' });
const skiff = aBoat({ kind: 'skiff' });
const [ada, ben] = [aPerson({ name: 'Ada' }), aPerson({ name: 'Ben' })];
let n = 0;
const drill = (kind: DrillKind, on: string, more: Partial<ADrill> = {}): ADrill => ({
  id: `01890000-0000-7000-a000-${String((n += 1)).padStart(12, '0')}`,
  kind,
  on,
  who: [ada.id],
  boat: kayak.id,
  went: 'well',
  ...more,
});
const boats = [kayak, skiff];
const at = (
  kind: DrillKind,
  on: string,
  drills: ADrill[],
  craft: 'sit-on-top' | 'skiff' = 'sit-on-top',
  who = ada.id,
) => practised(rowOf(kind), who, on, { drills, boats }, craft);

describe('a drill that is noted', () => {
  test('by nobody: a message that says what to do', () => {
    const { error } = Drill.safeParse(drill('float', '2026-05-01', { who: [] }));
    expect(error?.issues.map(({ message }) => message)).toEqual(['Somebody did it: choose who.']);
    expect(Drill.safeParse(drill('float', '2026-05-01')).error).toBeUndefined();
    expect(Drill.safeParse(drill('float', '2026-05-01', { minutes: -4 })).success).toBe(false);
  });
  test('each kind has a row, and each row a kind', () =>
    expect(DRILL_ROWS.map(({ id }) => id).sort()).toEqual(Object.keys(DRILLS).sort()));
});

describe('how it ages', () => {
  test('to the day: fresh on the last, stale on the next; the newest counts, later ones do not', () => {
    const drills = [
      drill('reenter', '2024-06-01'),
      drill('reenter', '2025-05-12'),
      drill('reenter', '2026-08-01'),
    ];
    expect(at('reenter', '2026-05-11', drills)).toMatchObject({ state: 'fresh', until: '2026-05-12' });
    expect(at('reenter', '2026-05-12', drills).state).toBe('stale');
    expect(at('reenter', '2024-05-31', drills).state).toBe('never');
  });
  check(
    'run here',
    { title: 'temporal-polyfill 1.0.8' },
    'months over leap days as the calendar library adds them',
    () => {
      expect(at('reenter', '2025-02-27', [drill('reenter', '2024-02-29')])).toMatchObject({
        state: 'fresh',
        until: '2025-02-28',
      });
      const day = fc.date({ min: new Date('2019-01-01'), max: new Date('2030-12-31'), noInvalidDate: true });
      fc.assert(
        fc.property(day, fc.constantFrom(...DRILL_ROWS), (date, row) => {
          const on = date.toISOString().slice(0, 10);
          const until = Temporal.PlainDate.from(on).add({ months: row.months });
          const before = until.subtract({ days: 1 }).toString();
          const noted = [drill(row.id, on)];
          expect(at(row.id, until.toString(), noted).state).toBe('stale');
          expect(at(row.id, before, noted).state).toBe('fresh');
        }),
        { numRuns: runs(200), seed: 1 },
      );
    },
  );
  test('what did not work the last time is no longer known, however young', () => {
    const drills = [drill('reenter', '2026-04-01'), drill('reenter', '2026-05-01', { went: 'failed' })];
    expect(at('reenter', '2026-05-02', drills).state).toBe('failed');
    expect(at('reenter', '2026-05-02', [...drills, drill('reenter', '2026-05-02')]).state).toBe('fresh');
  });
  test('in her kind of boat where the boat matters, in any where it does not', () => {
    const drills = [
      drill('reenter', '2026-05-01', { boat: skiff.id }),
      drill('float', '2026-05-01', { boat: skiff.id }),
    ];
    expect(at('reenter', '2026-05-02', drills).state).toBe('never');
    expect(at('float', '2026-05-02', drills).state).toBe('fresh');
    const { boat: _, ...none } = drill('reenter', '2026-05-01');
    expect(at('reenter', '2026-05-02', [none]).state).toBe('never');
  });
});

describe('what is really done', () => {
  test('neither what is dated after today nor what is a guess counts', () => {
    const kept = drill('float', '2026-05-11');
    const all = [
      kept,
      drill('float', '2026-05-12'),
      { ...drill('float', '2026-05-01'), basis: { '/on': 'guessed' as const } },
    ];
    expect(doneBy(all, '2026-05-11')).toEqual([kept]);
    // Asked of a trip in June, what is noted for tomorrow is not done yet.
    const base = inputOf(0);
    const who = base.trip.crew[0].person;
    const of = (on: string, more = {}) =>
      assess({
        ...base,
        shed: {
          ...base.shed,
          drills: (['float', 'reenter', 'right'] as const).map((kind) => ({
            ...drill(kind, on, { who: [who], boat: base.trip.boat }),
            ...more,
          })),
        },
      }).findings.find(({ id }) => id.startsWith('drill/'));
    expect(of('2026-05-01')?.level).toBe('ready');
    expect(of('2026-05-12')).toMatchObject({ level: 'know', open: true });
    expect(of('2026-05-01', { basis: { '/went': 'guessed' } })).toMatchObject({ level: 'know', open: true });
  });
});

describe('what a trip asks for', () => {
  const find = (drills: ADrill[], people = [ada], boat = kayak) =>
    drillFindings({ trip: { id: 't' }, crewed: [{ boat, people }], on: '2026-05-12', drills, boats })[0];
  const said = (drills: ADrill[], people = [ada], boat = kayak) =>
    find(drills, people, boat).because.map((why) => render(why, READER));
  test('never noted is open, too long ago and failed say when; all of it fresh is ready', () => {
    expect(find([])).toMatchObject({ level: 'know', open: true, id: 'drill/stale/t' });
    expect(said([])).toContain('Back aboard from deep water: Ada, never noted.');
    const old = [drill('float', '2024-05-01'), drill('reenter', '2025-04-01'), drill('right', '2026-05-01')];
    expect(said(old)).toEqual([
      'Floating in the jacket: Ada, last on 1 May 2024; it goes stale after 12 months.',
      'Back aboard from deep water: Ada, last on 1 Apr 2025; it goes stale after 12 months.',
    ]);
    expect(find(old)).toMatchObject({
      level: 'know',
      mend: { go: { type: 'drill', pointer: '/kind/float' } },
    });
    const failed = [...old, drill('right', '2026-05-10', { went: 'failed' })];
    expect(find(failed)).toMatchObject({ level: 'fix', mend: { go: { pointer: '/kind/right' } } });
    const fresh = (['float', 'reenter', 'right'] as const).map((kind) => drill(kind, '2026-05-01'));
    expect(find(fresh).level).toBe('ready');
  });
  test('each aboard where each must, one where one is enough; alone nobody is asked to lift another', () => {
    const one = (['float', 'restart', 'lift'] as const).map((kind) =>
      drill(kind, '2026-05-01', { boat: skiff.id }),
    );
    expect(said(one, [ada, ben], skiff)).toEqual(['Floating in the jacket: Ben, never noted.']);
    expect(askedOf('skiff', 1).map(({ id }) => id)).toEqual(['float']);
    expect(askedOf('skiff', 2).map(({ id }) => id)).toEqual(['float', 'restart', 'lift']);
  });
  test('without a boat or a crew nothing is asked', () => {
    const of = (crewed: OnDrills['crewed']) =>
      drillFindings({ trip: { id: 't' }, crewed, on: '2026-05-12', drills: [], boats });
    expect(of([])).toEqual([]);
    expect(of([{ boat: kayak, people: [] }])).toEqual([]);
  });
  test('of boats in company each is asked what her own kind and crew need', () => {
    const drills = [
      ...(['float', 'reenter', 'right'] as const).map((kind) => drill(kind, '2026-05-01')),
      drill('float', '2026-05-01', { who: [ben.id] }),
    ];
    const of = (...crewed: OnDrills['crewed']) =>
      drillFindings({ trip: { id: 't' }, crewed, on: '2026-05-12', drills, boats })[0];
    expect(of({ boat: kayak, people: [ada] }).level).toBe('ready');
    expect(of({ boat: skiff, people: [ben] }).level).toBe('ready');
    expect(of({ boat: kayak, people: [ada] }, { boat: skiff, people: [] })).toBeUndefined();
    const both = of({ boat: kayak, people: [ada] }, { boat: kayak, people: [ben] });
    expect(both).toMatchObject({ level: 'know', open: true });
    expect(both.because.map((why) => render(why, READER))).toEqual([
      'Back aboard from deep water: Ben, never noted.',
      'Turning her upright: Ben, never noted.',
    ]);
  });
  test('two sentences about one person agree: a drill that worked renews what they said of themselves', () => {
    const noted = { drills: [drill('right', '2026-05-01')], boats };
    expect(lastRecovery('2024-01-01', ada.id, 'sit-on-top', '2026-05-12', noted)).toBe('2026-05-01');
    expect(lastRecovery('2026-05-03', ada.id, 'sit-on-top', '2026-05-12', noted)).toBe('2026-05-03');
    expect(lastRecovery(undefined, ada.id, 'skiff', '2026-05-12', noted)).toBeUndefined();
    // On the demo: the rule that asks for a practice within a year falls silent once one is noted.
    const base = inputOf(0);
    const who = base.trip.crew[0].person;
    const people = base.shed.people.map((p) =>
      p.id === who
        ? {
            ...p,
            skills: [{ craft: 'sit-on-top' as const, level: 'some' as const, practised: '2024-01-01' }],
          }
        : p,
    );
    const asks = (drills: ADrill[]) =>
      assess({ ...base, shed: { ...base.shed, people, drills } }).findings.some(({ title }) =>
        render(title, READER).includes('has not practised getting back aboard'),
      );
    const mine = drill('reenter', '2026-05-01', { who: [who], boat: base.trip.boat });
    expect([asks([]), asks([mine])]).toEqual([true, false]);
  });
});

describe('who here can', () => {
  test('the gap is the column that fewest can, and who is nearest to it', () => {
    const drills = [
      drill('restart', '2026-05-01', { who: [ada.id, ben.id], boat: skiff.id }),
      drill('tow', '2026-05-01', { who: [ada.id, ben.id] }),
      drill('call', '2026-05-01', { who: [ada.id, ben.id] }),
      drill('lift', '2024-05-01', { who: [ben.id], boat: skiff.id }),
    ];
    const { columns, rows, gap } = whoCan([ada, ben], '2026-05-12', { drills, boats }, 'skiff');
    expect(columns.map(({ id }) => id)).toEqual(['restart', 'lift', 'tow', 'call']);
    expect(rows.map(({ cells }) => cells.map(({ state }) => state))).toEqual([
      ['fresh', 'never', 'fresh', 'fresh'],
      ['fresh', 'stale', 'fresh', 'fresh'],
    ]);
    expect([gap?.row.id, gap?.can, gap?.nearest?.name]).toEqual(['lift', 0, 'Ben']);
  });
  test('everybody can everything: no gap; nobody there: none either', () => {
    const all = DRILL_ROWS.map(({ id }) => drill(id, '2026-05-01'));
    expect(whoCan([ada], '2026-05-12', { drills: all, boats }, 'sit-on-top').gap).toBeUndefined();
    expect(whoCan([], '2026-05-12', { drills: [], boats }).gap).toBeUndefined();
  });
});

describe('where and when to practise', () => {
  const water = aWater({ zone: 'Europe/London' });
  const deep = aPlace({ kind: 'launch', water: water.id, depth: 1.6 });
  const flat = aPlace({ kind: 'haven', water: water.id, depth: 0.4 });
  const warm = (more = {}) => sortForecast(steady({ wind: 2, gust: 3, water: 17, ...more }));
  test('deep, warm, calm and light is all met; by its day in the zone of the water', () => {
    const [best, next] = proposals([flat, deep], [water], () => warm(), NOW);
    expect([best.place.id, best.checks]).toEqual([
      deep.id,
      { light: 'yes', warm: 'yes', calm: 'yes', deep: 'yes' },
    ]);
    expect(next.checks.deep).toBe('no');
    expect(best.from).toBeGreaterThanOrEqual(NOW);
  });
  test('cold or windy is told as not met, no forecast and a guessed depth as not known', () => {
    expect(proposals([deep], [water], () => warm({ water: 9 }), NOW)[0].checks.warm).toBe('no');
    expect(proposals([deep], [water], () => warm({ gust: 9 }), NOW)[0].checks.calm).toBe('no');
    expect(
      proposals([{ ...deep, basis: { '/depth': 'guessed' } }], [water], () => undefined, NOW)[0].checks,
    ).toEqual({
      light: 'yes',
      warm: 'unknown',
      calm: 'unknown',
      deep: 'unknown',
    });
  });
  test('a place of a water that is gone, and a hazard, are no places to practise', () => {
    expect(
      proposals(
        [
          { ...deep, water: 'gone' },
          { ...deep, kind: 'hazard' },
        ],
        [water],
        () => warm(),
        NOW,
      ),
    ).toEqual([]);
  });
});
