import { describe, expect, test } from '@jest/globals';
import { inputOf, steady } from '../../test/demo';
import type { Boat, Place, Trip, Water } from '../model';
import { render } from '../say';
import { assess, prepare, type AssessInput } from '.';
import { contextOf } from './context';
import { farOffOn } from './find-limits';
import { fitOf, NEAR } from './fit';

const MILE = 1852;
const input = inputOf();
const boatId = input.trip.boat!;
const launch = input.shed.places.find((p) => p.id === input.trip.launch)!;
const HALT = '01900000-0000-7000-8000-00000000c001';
/** So far east of the launch, metres, where no landing is nearer. */
const out = (metres: number): Place => ({
  id: HALT,
  name: 'Out there',
  kind: 'waypoint',
  position: {
    lat: launch.position.lat,
    lon: launch.position.lon + metres / (111_195 * Math.cos((launch.position.lat * Math.PI) / 180)),
  },
  water: input.trip.water!,
});

interface Asked {
  off?: number;
  boat?: Partial<Boat>;
  practised?: string | 'never';
  water?: number;
  trip?: Partial<Trip>;
}
const KNOWN: Partial<Boat> = { foreDry: true, headSea: 'rides', rudder: { kind: 'none' }, basis: {} };
const BAGS: Partial<Boat> = {
  reserve: [
    { what: 'bag', where: 'bow', litres: 40 },
    { what: 'bag', where: 'stern', litres: 40 },
  ],
};
function world({
  off = MILE,
  boat = {},
  practised = '2026-04-01',
  water = 18,
  trip = {},
}: Asked): AssessInput {
  const { boats, people, places } = input.shed;
  return {
    ...input,
    conditions: { forecast: steady({ water }) },
    trip: { ...input.trip, halts: [{ place: HALT, minutes: 10 }], ...trip },
    shed: {
      ...input.shed,
      // What was practised is only what each said of themselves here.
      drills: [],
      places: [
        { ...launch, shore: 'beach' },
        out(off),
        ...places.filter((p) => p.id !== launch.id && p.kind !== 'haven' && p.kind !== 'launch'),
      ],
      boats: boats.map((b) => (b.id === boatId ? { ...b, ...KNOWN, ...boat } : b)),
      people: people.map((p) => ({
        ...p,
        skills: [
          {
            craft: 'sit-on-top' as const,
            level: 'sure' as const,
            ...(practised === 'never' ? {} : { practised }),
          },
        ],
      })),
    },
  };
}
const found = (asked: Asked) => assess(world(asked)).findings.filter((f) => f.id.startsWith('trip/fit'));
const words = (asked: Asked) =>
  found(asked)
    .flatMap((f) => [f.title, ...f.because])
    .map((p) => render(p, { units: 'metric', zone: 'UTC', locale: 'en-GB' }))
    .join(' ');
const fit = (asked: Asked) => {
  const all = world(asked);
  const context = contextOf(all);
  const prepared = prepare(all);
  const { world: facts, schedule } = prepared.match();
  return fitOf(context, schedule, schedule && farOffOn(context)(schedule), facts)!;
};

describe('is this boat for this water', () => {
  test('a kayak without bulkheads a mile off is a Fix; with a bag at each end it is not; along the shore nothing is said', () => {
    expect(found({}).map((f) => f.level)).toEqual(['fix']);
    expect(words({})).toMatch(/near the shore only .*1\.0 nm .*An air bag at each end/);
    expect(found({ boat: BAGS }).map((f) => f.level)).toEqual(['know']);
    expect(words({ boat: BAGS })).toContain('No rudder');
    expect(
      found({ boat: { ...BAGS, rudder: { kind: 'lifts', beach: true, jams: false } } }).map((f) => f.level),
    ).toEqual(['ready']);
    expect(found({ off: 300, boat: BAGS })).toEqual([]);
    expect(found({ off: 300 })).toEqual([]);
  });
  test('the answer stands without a finding too: near the shore only, or fit', () => {
    expect([fit({ off: 300 }).answer, fit({}).answer, fit({ off: 300, boat: BAGS }).answer]).toEqual([
      'near',
      'beyond',
      'fit',
    ]);
    expect(fit({ boat: BAGS }).answer).toBe('against');
  });
  test('up to the bound it is near, beyond it is out there', () => {
    expect(NEAR).toBe(500);
    expect([fit({ off: 495 }).out, fit({ off: 515 }).out]).toEqual(['no', 'yes']);
  });
  test.each<[string, Asked, RegExp]>([
    [
      'a fore hatch that lets water in',
      { boat: { ...BAGS, foreDry: false } },
      /fore hatch does not stay dry/,
    ],
    ['nobody practised for a year', { boat: BAGS, practised: '2025-01-01' }, /not practised/],
    ['bulkheads and a wet hatch', { boat: { flotation: 'bulkheads', foreDry: false } }, /fore hatch/],
  ])('%s is a Fix out there', (_name, asked, says) => {
    expect(found(asked).map((f) => f.level)).toEqual(['fix']);
    expect(words(asked)).toMatch(says);
    expect(found({ ...asked, off: 300 })).toEqual([]);
  });
  test.each<[string, Asked]>([
    ['air bags, nobody said where', { boat: { flotation: 'air-bags' } }],
    ['nothing said of what keeps her up', { boat: { flotation: undefined } }],
    ['a guess', { boat: { flotation: 'bulkheads', basis: { '/flotation': 'guessed' } } }],
    ['the fore hatch not said', { boat: { ...BAGS, foreDry: undefined } }],
    ['practice not said', { boat: BAGS, practised: 'never' }],
  ])('%s is open out there, never Ready', (_name, asked) => {
    expect(found(asked).map((f) => [f.level, f.open])).toEqual([['know', true]]);
  });
  test('how far off is not known: a boat for near the shore is a Fix that is open', () => {
    const unknown = world({ trip: { halts: [] } });
    expect(assess(unknown).findings.find((f) => f.id.startsWith('trip/fit'))).toMatchObject({
      level: 'fix',
      open: true,
    });
  });
  test('the cheapest change stands first, and leads to its field', () => {
    const { changes } = fit({ boat: { foreDry: false } });
    expect(changes.map((c) => c.cost)).toEqual([...changes.map((c) => c.cost)].sort());
    const mend = found({ boat: { foreDry: false } })[0].mend!;
    expect('go' in mend && mend.go.pointer).toBe('/foreDry');
  });
  test('a board and a river raft are not for open water; on a pond a raft is not told so', () => {
    const kind = (k: Boat['kind'], more: Asked = {}) => words({ boat: { kind: k }, ...more });
    expect(kind('paddleboard')).toContain('A board goes where the wind goes');
    const raft = world({ boat: { kind: 'raft' } });
    const on = (kind: Water['class']) => {
      const waters = raft.shed.waters.map((w) => ({ ...w, class: kind }));
      const { findings } = assess({ ...raft, shed: { ...raft.shed, waters } });
      return findings.find((f) => f.id.startsWith('trip/fit'))?.level;
    };
    expect([on('coastal'), on('great-lake'), on('lake')]).toEqual(['fix', 'fix', 'ready']);
  });
  test('each reason has its source, and cold water and a long way home are told, not forbidden', () => {
    for (const { row } of fit({}).reasons) expect(row.source).toMatch(/practice|own-estimate/);
    expect(words({ boat: BAGS, water: 9 })).toContain('Cold water');
    expect(
      found({ boat: { ...BAGS, rudder: { kind: 'lifts', beach: true, jams: false } }, water: 9 }).map(
        (f) => f.level,
      ),
    ).toEqual(['know']);
  });
});
