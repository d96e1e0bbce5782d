import { describe, expect, test } from '@jest/globals';
import Papa from 'papaparse';
import { aBoat, aPerson, aWater, inputOf } from '../../test/demo';
import type { Debrief, ProcedureRow, Run, Trip } from '../model';
import { PROCEDURES } from '../procedure/library';
import { render } from '../say';
import { KNOT, NAUTICAL_MILE } from '../units';
import { entriesOf, forgottenWhen, groupedBy, speedAgainstWind, sumsOf, tookOf } from './entries';
import { logbookTable } from './logbook-csv';

const READER = { units: 'metric', zone: 'UTC', locale: 'en-GB' } as const;
const ada = aPerson({ name: 'Ada' });
const [sprat, plover] = [aBoat({ name: 'Sprat' }), aBoat({ name: 'Plover' })];
const sound = aWater({ name: 'Tern Sound', zone: 'Atlantic/Azores' });
let n = 0;
const ID = () => `01890000-0000-7000-a000-${String((n += 1)).padStart(12, '0')}`;
const { trip: ANY } = inputOf(0);
const trip = (more: Partial<Trip> = {}): Trip => ({
  ...ANY,
  id: ID(),
  status: 'done',
  boat: sprat.id,
  water: sound.id,
  crew: [{ person: ada.id, role: 'skipper' }],
  ...more,
});
const debrief = (of: Trip, on: string, more: Partial<Debrief> = {}): Debrief => ({
  id: ID(),
  trip: of.id,
  on,
  boat: sprat.id,
  who: [ada.id],
  forgotten: [],
  broken: [],
  ...more,
});
const books = (debriefs: Debrief[], trips: Trip[] = []) =>
  entriesOf({ debriefs, trips, boats: [sprat, plover], people: [ada], waters: [sound] });

describe('the logbook', () => {
  const [a, b, c] = [trip({ title: 'A' }), trip({ title: 'B' }), trip({ title: 'C' })];
  const told = debrief(a, '2026-05-01', {
    left: '2026-05-01T22:30:00Z',
    home: '2026-05-02T01:00:00Z',
    met: { metres: 2 * NAUTICAL_MILE, moving: 3600, wind: 4 },
    forgotten: ['Hat'],
    caught: { x: { species: 'Bass', kept: true }, y: { species: 'Bass', kept: false } },
  });
  test('over midnight, with figures; a trip that was removed stays; one that was not told of stands as that', () => {
    const [first, second, third] = books([told, debrief(trip(), '2026-04-01')], [a, c]);
    expect(first).toMatchObject({ title: 'C', untold: true, who: ['Ada'], boat: 'Sprat' });
    expect(second).toMatchObject({ title: 'A', out: 9000, kept: 1, caught: 2, water: 'Tern Sound' });
    expect(second.speed).toBeCloseTo(2 * KNOT, 9);
    expect(third).not.toHaveProperty('title');
    expect(third).not.toHaveProperty('out');
  });
  test('ashore before one left is no time out', () => {
    const wrong = debrief(a, '2026-05-01', { left: '2026-05-01T10:00:00Z', home: '2026-05-01T09:00:00Z' });
    expect(books([wrong])[0]).not.toHaveProperty('out');
    expect(sumsOf(books([wrong]))).toMatchObject({ trips: 1, seconds: 0, withoutHours: 1, withoutWay: 1 });
  });
  test('sums by hand, by boat and by water', () => {
    const more = debrief(b, '2026-05-03', {
      boat: plover.id,
      left: '2026-05-03T08:00:00Z',
      home: '2026-05-03T10:00:00Z',
      met: { metres: 5 * NAUTICAL_MILE },
    });
    const all = books([told, more], [a, b]);
    expect(sumsOf(all)).toEqual({
      trips: 2,
      seconds: 9000 + 7200,
      metres: 7 * NAUTICAL_MILE,
      kept: 1,
      withoutHours: 0,
      withoutWay: 0,
    });
    expect(groupedBy(all, 'boat').map(({ name, sums }) => [name, sums.seconds])).toEqual([
      ['Plover', 7200],
      ['Sprat', 9000],
    ]);
    expect(groupedBy(all, 'water')).toEqual([{ name: 'Tern Sound', sums: sumsOf(all) }]);
  });
  test('as a table another reader takes: a row a trip, no cell a formula', () => {
    const odd = debrief(b, '2026-05-03', { forgotten: ['=1+1', 'a, "b"'], met: { waterTemperature: -1.5 } });
    const { data } = Papa.parse<Record<string, string>>(logbookTable(books([told, odd], [a])), {
      header: true,
    });
    expect(data).toHaveLength(2);
    expect(data[0].forgotten).toBe('\'=1+1; a, "b"');
    // Below zero it stays a number.
    expect(data[0]['water (°C)']).toBe('-1.5');
    expect(data[1]).toMatchObject({
      date: '2026-05-01',
      trip: 'A',
      'out (h)': '2.5',
      'way (nm)': '2',
      'speed (kn)': '2',
      'wind (kn)': '7.8',
      'water (°C)': '',
      dark: '',
      told: 'yes',
    });
  });
  test('what is forgotten, by boat and by the hour on the clock of its water', () => {
    const early = debrief(b, '2026-05-03', {
      boat: plover.id,
      // The clock there stands at UTC in summer.
      left: '2026-05-03T04:30:00Z',
      forgotten: ['hat ', 'Knife'],
    });
    const [hat, knife] = forgottenWhen(books([told, early], [a, b]), 'Asia/Tokyo');
    expect(hat).toEqual({
      what: 'hat ',
      times: 2,
      on: '2026-05-03',
      parts: { night: 2 },
      boats: [
        { name: 'Sprat', times: 1 },
        { name: 'Plover', times: 1 },
      ],
    });
    expect(knife).toMatchObject({ times: 1, parts: { night: 1 } });
  });
  test('speed against wind leaves out guesses and what was not said', () => {
    const guess = { ...told, basis: { '/met/wind': 'guessed' as const } };
    expect(speedAgainstWind([told, guess, debrief(b, '2026-05-03')], sprat.id)).toEqual([
      { id: told.id, on: '2026-05-01', wind: 4, speed: expect.closeTo(2 * KNOT, 9) },
    ]);
  });
  test('two thousand trips in well under a second', () => {
    const trips = Array.from({ length: 2000 }, () => trip());
    const all = trips.map((one, i) =>
      debrief(one, `20${String(10 + (i % 16))}-05-01`, { ...told, id: ID(), trip: one.id }),
    );
    const from = performance.now();
    const entries = books(all, trips);
    const sums = sumsOf(entries);
    forgottenWhen(entries, 'UTC');
    groupedBy(entries, 'boat');
    logbookTable(entries);
    expect(sums.trips).toBe(2000);
    expect(performance.now() - from).toBeLessThan(1000);
  });
});

describe('minutes at the ramp', () => {
  const row = {
    id: 'hand-launch',
    title: 'Launch by hand',
    steps: [
      { id: 'carry', what: 'Carry her' },
      { id: 'plug', what: 'Plug in' },
      { id: 'look', what: 'Look' },
    ],
  } as unknown as ProcedureRow;
  const at = (minute: number) => new Date(Date.UTC(2026, 4, 1, 8, minute)).toISOString();
  const run = (
    minutes: [string, number, boolean?][],
    ended: number | undefined,
    more: Partial<Run> = {},
  ): Run => ({
    id: ID(),
    procedure: 'hand-launch',
    trip: ID(),
    startedAt: at(0),
    ...(ended === undefined ? {} : { endedAt: at(ended) }),
    ticks: minutes.map(([step, minute, skipped]) => ({
      step,
      at: at(minute),
      ...(skipped ? { skipped } : {}),
    })),
    ...more,
  });
  test('by hand: a step counts from the tick before it; what was skipped, unended or walked at home does not', () => {
    const runs = [
      run(
        [
          ['carry', 10],
          ['plug', 12],
          ['look', 13],
        ],
        // Closed in the evening.
        600,
      ),
      run(
        [
          ['plug', 2],
          ['carry', 8],
          ['look', 9, true],
        ],
        10,
      ),
      run([['carry', 50]], undefined),
      run([['carry', 50]], 55, { trip: undefined }),
      run([['carry', 50]], 55, { procedure: 'other' }),
    ];
    const told = tookOf(runs, [row]).map(({ steps, ...rest }) => ({
      ...rest,
      steps: steps.map(({ what, ...step }) => ({ ...step, what: render(what, READER) })),
    }));
    expect(told).toEqual([
      {
        procedure: 'hand-launch',
        title: 'Launch by hand',
        runs: expect.arrayContaining([
          // Thirteen minutes to the last tick, and eight: the last step of the second was skipped.
          expect.objectContaining({ seconds: 780 }),
          expect.objectContaining({ seconds: 480 }),
        ]),
        mean: 630,
        steps: [
          { id: 'carry', what: 'Carry her', mean: 480, times: 2 },
          { id: 'plug', what: 'Plug in', mean: 120, times: 2 },
          { id: 'look', what: 'Look', mean: 60, times: 1 },
        ],
      },
    ]);
    expect(tookOf([], [row])).toEqual([]);
  });
  test('no step of any procedure is told with a gap where a figure belongs', () => {
    for (const each of PROCEDURES) {
      const walked = run(
        each.steps.map(({ id }, i): [string, number] => [id, i + 1]),
        600,
        { procedure: each.id },
      );
      const [told] = tookOf([walked], [each]);
      expect(told.steps).toHaveLength(each.steps.length);
      for (const { what } of told.steps) expect(render(what, READER)).not.toMatch(/[{}]|undefined/);
    }
  });
});
