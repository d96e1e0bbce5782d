import { describe, expect, test } from '@jest/globals';
import { aBoat, anItem, aPerson } from '../../test/demo';
import type { Boat, Finding, GearItem, Person } from '../model';
import { CRAFT, type Craft } from '../model/lists';
import { render } from '../say';
import { piecesOf, settle, stowages } from './count';
import { suitFindings } from './find-jackets';
import { CATALOGUE, indexCatalogue } from '.';
import { matchJackets, type JacketContext } from './jackets';

const ON = '2026-05-12';
const catalogue = indexCatalogue(CATALOGUE);
const GOOD = { rearmBy: '2027-01-01', trigger: 'hydrostatic' } as const;

interface Case {
  jacket?: Partial<GearItem>;
  kind?: string;
  person?: Partial<Person>;
  boat?: Partial<Boat>;
  /** Others who come along, without a jacket. */
  others?: number;
  company?: boolean;
}
/** What is found of the jacket of the first person aboard, by its kind. */
function found({
  jacket = {},
  kind = 'inflatable-jacket',
  person,
  boat,
  others = 0,
  company = false,
}: Case): Record<string, Finding> {
  const who = aPerson({ name: 'Ada', mass: 70, swimming: 'strong', ...person });
  const rest = Array.from({ length: others }, (_, i) => aPerson({ name: `B${i}`, mass: 70 }));
  const people = [who, ...rest];
  const gear = [
    anItem(kind, {
      name: 'Jacket',
      minMass: 5,
      maxMass: 150,
      cylinder: 'green',
      stowage: 'on-body',
      owner: who.id,
      ...(kind === 'inflatable-jacket' ? GOOD : {}),
      ...jacket,
    }),
  ];
  const trip = {
    id: 'trip',
    stow: [],
    crew: people.map(({ id }) => ({ person: id, role: 'crew' as const, wearsJacket: true })),
    ...(company ? { company: [{ boat: 'b', people: [] }] } : {}),
  };
  const context: JacketContext = { people, crew: trip.crew, on: ON, approved: false };
  const pieces = settle(piecesOf({ people, gear, catalogue, endsOn: ON }, stowages(gear, trip)), {
    worn: new Map(),
  });
  const plan = matchJackets(context, pieces);
  const all = suitFindings(
    { trip, boat: aBoat({ kind: 'skiff', maxSpeed: 5, ...boat }), on: ON },
    plan,
    context,
  );
  return Object.fromEntries(all.map((each) => [each.id.split('/').slice(0, 2).join('/'), each]));
}
const levels = (given: Case) =>
  Object.fromEntries(
    Object.entries(found(given)).map(([kind, { level, open }]) => [kind, [level, open === true]]),
  );
const why = (given: Case, kind: string) =>
  render(found(given)[kind].because[0], { units: 'metric', zone: 'UTC', locale: 'en-GB' });
const manual = { trigger: 'manual' } as const;

describe('what fires it', () => {
  test.each([
    ['alone', { jacket: manual }, /alone does not pull/],
    ['swims weakly', { jacket: manual, others: 1, person: { swimming: 'weak' as const } }, /swims little/],
    ['at speed', { jacket: manual, others: 1, boat: { maxSpeed: 8 } }, /15\.0? kn/],
  ] as [string, Case, RegExp][])('by hand alone, %s: a Fix with its reason', (_name, given, reason) => {
    expect(levels(given)).toEqual({ 'jacket/trigger': ['fix', false] });
    expect(why(given, 'jacket/trigger')).toMatch(reason);
  });
  test('by hand alone in company of a strong swimmer in a slow boat: nothing', () => {
    expect(levels({ jacket: manual, others: 1 })).toEqual({});
    expect(levels({ jacket: manual, company: true })).toEqual({});
    expect(levels({ jacket: manual, others: 1, boat: { maxSpeed: 7.7 } })).toEqual({});
  });
  test.each(Object.keys(CRAFT) as Craft[])('a tablet that gets wet, in a %s', (kind) => {
    const wet = ['sit-on-top', 'sit-inside', 'canoe', 'paddleboard', 'catamaran', 'personal-watercraft'];
    const expected = kind === 'raft' ? 'fix' : wet.includes(kind) ? 'know' : undefined;
    // On a watercraft none that is blown up counts at all, unless its label says so.
    const at = levels({ jacket: { trigger: 'automatic', hardUse: true }, others: 1, boat: { kind } });
    expect(at['jacket/trigger']?.[0]).toBe(expected);
    expect(levels({ jacket: { hardUse: true }, others: 1, boat: { kind } })).toEqual({});
  });
  test('unsaid is open where it matters, and a guess says nothing', () => {
    const open = { 'jacket/trigger': ['know', true] };
    expect(levels({ jacket: { trigger: undefined } })).toEqual(open);
    expect(levels({ jacket: { ...manual, basis: { '/trigger': 'guessed' } } })).toEqual(open);
    expect(levels({ jacket: { trigger: undefined }, others: 1 })).toEqual({});
  });
  test('where nobody said how one swims, or how fast a motor drives her, it may matter', () => {
    const open = { 'jacket/trigger': ['know', true] };
    const swims = { jacket: manual, others: 1, person: { swimming: undefined } };
    expect(levels(swims)).toEqual(open);
    expect(why(swims, 'jacket/trigger')).toMatch(/how Ada swims/);
    const motor = { propulsion: [{ kind: 'outboard' as const }] };
    const fast = { jacket: manual, others: 1, boat: { ...motor, maxSpeed: undefined } };
    expect(levels(fast)).toEqual(open);
    expect(why(fast, 'jacket/trigger')).toMatch(/how fast she goes/);
    expect(levels({ ...fast, boat: { ...motor, maxSpeed: 5 } })).toEqual({});
    expect(levels({ jacket: { trigger: undefined }, others: 1, person: { swimming: undefined } })).toEqual(
      open,
    );
  });
  test('foam has nothing to fire', () => expect(levels({ kind: 'foam-jacket' })).toEqual({}));
});

test('to be renewed: past is a Fix, the day itself still holds, unsaid is open', () => {
  expect(levels({ jacket: { rearmBy: '2026-05-11' } })).toEqual({ 'jacket/rearm': ['fix', false] });
  expect(levels({ jacket: { rearmBy: ON } })).toEqual({});
  expect(levels({ jacket: { rearmBy: undefined } })).toEqual({ 'jacket/rearm': ['know', true] });
});

describe('children', () => {
  const child = { born: '2018', mass: 30 };
  const infant = { born: '2024', mass: 11 };
  test('a child needs a strap, an infant a collar as well', () => {
    const kind = 'child-jacket';
    expect(levels({ kind, person: child, jacket: { crotch: true } })).toEqual({});
    expect(levels({ kind, person: child, jacket: { crotch: false } })).toEqual({
      'jacket/strap': ['fix', false],
    });
    expect(levels({ kind, person: child })).toEqual({ 'jacket/strap': ['know', true] });
    expect(levels({ kind, person: infant, jacket: { crotch: true, headUp: false } })).toEqual({
      'jacket/head': ['fix', false],
    });
    expect(levels({ kind, person: infant, jacket: { crotch: true, headUp: true } })).toEqual({});
    expect(levels({ kind: 'foam-jacket' })).toEqual({});
  });
  test('so light and of no known age it may be a child', () => {
    const kind = 'child-jacket';
    expect(levels({ kind, person: { born: undefined, mass: 40 } })).toEqual({
      'jacket/strap': ['know', true],
    });
    expect(levels({ kind, person: { born: undefined, mass: 41 } })).toEqual({});
  });
  test('thirteen is no child any more, and 30 lb no infant', () => {
    const kind = 'child-jacket';
    expect(levels({ kind, person: { born: '2012', mass: 45 } })).toEqual({});
    expect(levels({ kind, person: { born: '2012', mass: 13.7 } })).toEqual({});
    expect(Object.keys(levels({ kind, person: { born: '2012', mass: 13.5 } }))).toEqual([
      'jacket/strap',
      'jacket/head',
    ]);
  });
});

test('a cut that is not for paddling, in boats that are paddled', () => {
  const given = { kind: 'foam-jacket', jacket: { paddleCut: false } };
  expect(levels({ ...given, boat: { kind: 'canoe' } })).toEqual({ 'jacket/cut': ['know', false] });
  expect(levels({ ...given, boat: { kind: 'skiff' } })).toEqual({});
});
test('floated in it longer ago than a season', () => {
  const given = (floatedIn: string) => ({ kind: 'foam-jacket', jacket: { floatedIn } });
  expect(levels(given('2025-05-11'))).toEqual({ 'jacket/floated': ['know', false] });
  expect(levels(given('2025-05-12'))).toEqual({});
});
