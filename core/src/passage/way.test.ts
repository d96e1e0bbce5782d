import { describe, expect, test } from '@jest/globals';
import { check } from '../../test/check';
import { demo, inputOf, NOW } from '../../test/demo';
import { lineOf } from '../chart';
import type { Boat, Finding, Place, Schedule, Trip, Water } from '../model';
import { render } from '../say';
import { assess, type AssessInput } from '../trip';
import { tideOf } from '../water';
import { routeFindings, type OnWay } from './find-way';
import { openFindings, placeFindings } from './find-place';

const reader = { units: 'metric', zone: 'UTC', locale: 'en-GB' } as const;
const said = ({ title, because, assumed }: Finding) =>
  [title, ...because, ...assumed].map((p) => render(p, reader)).join(' ');
const by = (found: Finding[], kind: string) => found.filter((f) => f.id.startsWith(`${kind}/`));

const HOUR = 3_600_000;
const NOON = Date.UTC(2026, 4, 12, 12);
const corner = (lat: number, lon: number) => ({ lat, lon });
const box = (south: number, west: number, north: number, east: number) =>
  lineOf([corner(south, west), corner(south, east), corner(north, east), corner(north, west)]);

let count = 0;
const place = (name: string, lat: number, lon: number, more: Partial<Place> = {}): Place => ({
  id: `p${(count += 1)}`,
  name,
  kind: 'waypoint',
  position: { lat, lon },
  water: 'w',
  ...more,
});
const A = place('A', 50, -5.2, { kind: 'launch' }),
  B = place('B', 50, -5);
const water = (more: Partial<Water> = {}): Water => ({
  id: 'w',
  name: 'W',
  class: 'coastal',
  jurisdiction: [],
  zone: 'UTC',
  ...more,
});
const boat = (more: Partial<Boat> = {}): Boat => ({
  id: 'b',
  name: 'B',
  kind: 'skiff',
  propulsion: [{ kind: 'outboard' }],
  openings: [],
  draught: 0.5,
  ...more,
});
const trip = (more: Partial<Trip> = {}): Trip => ({ ...demo().trips[0], water: 'w', ...more });
const on = (more: Partial<OnWay> = {}): OnWay => ({
  trip: trip(),
  boat: boat(),
  people: [],
  water: water(),
  launch: A,
  back: A,
  halts: [B],
  places: [],
  ...more,
});
/** Leaves at noon, an hour out and an hour back. */
const schedule: Schedule = {
  leave: NOON,
  legs: [
    { from: A.id, to: B.id, departs: NOON, arrives: NOON + HOUR, metres: 14_330, bearing: 90 },
    { from: B.id, to: A.id, departs: NOON + HOUR, arrives: NOON + 2 * HOUR, metres: 14_330, bearing: 270 },
  ],
  halts: [],
  home: NOON + 2 * HOUR,
  overdue: NOON + 3 * HOUR,
  checkIns: [],
};
/** A tide that falls from four metres at noon to nought at six. */
const falling = tideOf({
  kind: 'table',
  name: 'T',
  datum: 'chart datum',
  rows: [
    { at: new Date(NOON).toISOString(), height: 4, turn: 'high' },
    { at: new Date(NOON + 6 * HOUR).toISOString(), height: 0, turn: 'low' },
  ],
});
const island = (rings = [box(49.99, -5.12, 50.01, -5.08)]) =>
  water({ chart: { source: 'x', shore: [{ inside: 'land', rings }], depths: [] } });
const bank = (least: number, west = -5.12, east = -5.08) =>
  water({ chart: { source: 'x', shore: [], depths: [{ least, rings: [box(49.99, west, 50.01, east)] }] } });

describe('land on the way', () => {
  test('a fifth of the leg is over an island, out and back', () => {
    const [land] = by(routeFindings(on({ water: island() })).standing, 'way/land');
    expect(land.level).toBe('fix');
    expect(land.because).toHaveLength(2);
    expect(said(land)).toContain('A to B: 1.5 nm over land, 3.1 nm after A.');
  });
  test('the beach one leaves from may be drawn in the land; land in mid-way may not', () => {
    const beach = island([box(49.99, -5.3, 50.01, -5.1985)]);
    expect(by(routeFindings(on({ water: beach })).standing, 'way/land')).toEqual([]);
    const further = island([box(49.99, -5.3, 50.01, -5.19)]);
    expect(by(routeFindings(on({ water: further })).standing, 'way/land')).toHaveLength(1);
    const spit = island([box(49.99, -5.1005, 50.01, -5.1)]);
    expect(by(routeFindings(on({ water: spit })).standing, 'way/land')).toHaveLength(1);
  });
  test('where no shore or no depth is drawn that is said, and nothing is called clear', () => {
    expect(by(routeFindings(on()).standing, 'way/chart').map(said)[0]).toContain(
      'Neither shore nor depths of W',
    );
    expect(by(routeFindings(on({ water: island() })).standing, 'way/chart').map(said)[0]).toContain(
      'No depths',
    );
    expect(by(routeFindings(on({ water: bank(5) })).standing, 'way/chart').map(said)[0]).toContain(
      'The shore of W',
    );
  });
  test('a way without all of its places has none to look at', () => {
    expect(routeFindings(on({ water: island(), halts: [undefined] })).standing).toEqual([]);
    expect(routeFindings(on({ water: island(), halts: [] })).standing).toEqual([]);
  });
  test('a leg of no length and a halt where one is already are passed over', () => {
    expect(
      by(routeFindings(on({ water: island(), halts: [A, { ...A, id: 'twin' }] })).standing, 'way/land'),
    ).toEqual([]);
  });
});

describe('hazards on the way', () => {
  const near = (more: Partial<Place>) =>
    routeFindings(on({ places: [place('The Teeth', 50.0009, -5.1, { kind: 'hazard', ...more })] })).standing;
  check(
    'run here',
    { title: 'geographiclib: 0.0009° of latitude at 50° north is 100.1 m' },
    'how near',
    () => {
      expect(said(by(near({ reach: 150 }), 'way/hazard')[0])).toContain(
        'A to B passes 100 m from The Teeth. You said to keep 150 m off.',
      );
    },
  );
  test('what was said is to be mended; what was not is taken, and only what kills is as grave', () => {
    expect(by(near({ reach: 150 }), 'way/hazard')[0].level).toBe('fix');
    expect(by(near({ reach: 90 }), 'way/hazard')).toEqual([]);
    const usual = by(near({ hazard: 'wreck', position: { lat: 50.0003, lon: -5.1 } }), 'way/hazard')[0];
    expect([usual.level, usual.open]).toEqual(['know', true]);
    expect(said(usual)).toContain('Nobody said how far');
    const weir = by(near({ hazard: 'weir' }), 'way/hazard')[0];
    expect([weir.level, weir.open]).toEqual(['fix', true]);
    expect(by(near({ hazard: 'rock' }), 'way/hazard')).toEqual([]);
    expect(by(near({ reach: 150, water: 'another' }), 'way/hazard')).toEqual([]);
    const guess = by(near({ reach: 150, basis: { '/reach': 'guessed' } }), 'way/hazard')[0];
    expect([guess.level, guess.open]).toEqual(['know', true]);
  });
  test.each([
    [{ clearance: 7 }, { mast: 7 }, 'stop'],
    [{ clearance: 9 }, { mast: 7.5 }, 'fix'],
    [{ clearance: 12 }, { mast: 7 }, undefined],
    [{}, { mast: 7 }, 'fix'],
    [{ clearance: 12 }, {}, 'fix'],
    [{ clearance: 12, basis: { '/clearance': 'guessed' as const } }, { mast: 7 }, 'fix'],
  ])('a line %j over a mast %j', (line, rig, level) => {
    const found = routeFindings(
      on({
        boat: boat({ kind: 'catamaran', rig, depth: 0.4 }),
        places: [place('The line', 50, -5.1, { kind: 'hazard', hazard: 'overhead-line', ...line })],
      }),
    ).standing;
    expect(by(found, 'way/mast')[0]?.level).toBe(level);
  });
});

describe('banks on the way', () => {
  const over = (least: number, more: Partial<OnWay> = {}) =>
    routeFindings(on({ water: bank(least), tide: falling, ...more })).at(schedule);
  check(
    'closed form',
    'tide-cosine',
    'h = 4 − 4·½(1 − cos(π·t/6 h)): at 1 h 36 min of the way home 3.34 m stand over datum, and a bank of −3 m has 0.34 m',
    () => {
      const [found] = by(over(-3), 'way/shallow');
      expect(found.level).toBe('fix');
      expect(said(found)).toContain('B to A: at 13:36 there is 0.3 m');
      expect(said(found)).toContain('She needs 0.8 m');
    },
  );
  test('dry at that hour; water enough earlier; deep enough at any tide', () => {
    const dry = by(over(-3.5), 'way/shallow')[0];
    expect(said(dry)).toContain('a bank lies dry, 0.2 m out of the water');
    expect(over(-1)).toEqual([]);
    expect(over(2, { tide: undefined as never })).toEqual([]);
  });
  test('a leg that is gone twice is looked at at both hours', () => {
    const twice: Schedule = {
      ...schedule,
      legs: [0, 1, 2, 3].map((n) => ({
        ...schedule.legs[n % 2],
        departs: NOON + n * HOUR,
        arrives: NOON + (n + 1) * HOUR,
      })),
    };
    // At first there is a metre over it, three hours later it is dry.
    const found = routeFindings(on({ water: bank(-2), tide: falling, halts: [B, A, B] })).at(twice);
    expect(said(by(found, 'way/shallow')[0])).toMatch(/at 15:3\d a bank lies dry/);
  });
  test('without a tide, or with one of a datum of its own, it is open whether there is water', () => {
    for (const tide of [undefined, { ...falling, datum: 'somewhere' }]) {
      const [found] = by(over(0.2, { tide: tide as never }), 'way/depth');
      expect([found.level, found.open]).toEqual(['fix', true]);
    }
  });
  test('a draught that nobody said makes it no more than known, unless it is dry', () => {
    const unsaid = boat({ draught: undefined as never, length: 4, beam: 1.6 });
    const [found] = by(over(-3, { boat: unsaid }), 'way/shallow');
    expect([found.level, found.open]).toEqual(['know', true]);
    expect(said(found)).toMatch(/draught is (reckoned|not known)/);
    expect(by(over(-3.5, { boat: unsaid }), 'way/shallow')[0].level).toBe('fix');
    const guess = boat({ basis: { '/draught': 'guessed' } });
    expect(by(over(-3, { boat: guess }), 'way/shallow')[0].level).toBe('know');
  });
});

describe('a trip that ends elsewhere', () => {
  const elsewhere = place('C', 50.1, -5.1, { kind: 'launch' });
  const found = (more: Partial<Trip>) =>
    by(
      routeFindings(on({ back: elsewhere, trip: trip(more), boat: boat({ trailer: {} }) })).standing,
      'way/car',
    )[0];
  test('asks who brings one back to the car, and the trailer', () => {
    expect(found({}).level).toBe('fix');
    expect(said(found({}))).toContain('Who brings you back to the car? Her trailer stands at A as well.');
    expect(found({ backToCar: { how: 'fetched', who: 'Wren' } }).level).toBe('know');
    expect(said(found({ backToCar: { how: 'fetched', who: 'Wren' } }))).toContain(
      'somebody fetches you. That is Wren.',
    );
  });
});

describe('what is allowed where one begins and ends', () => {
  const at = (byLaws: Place['byLaws'], more: Partial<Place> = {}) => ({
    trip: trip(),
    boats: [boat()],
    launch: { ...A, ...(byLaws ? { byLaws } : {}), confirmed: '2026-05-01', ...more },
    back: { ...A, ...(byLaws ? { byLaws } : {}), confirmed: '2026-05-01', ...more },
    halts: [B],
    zone: 'UTC',
    now: NOW,
  });
  test('a kind of boat that is not allowed stops', () => {
    const [found] = by(placeFindings(at({ craft: ['canoe', 'sit-inside'] })), 'place/allowed');
    expect(found.level).toBe('stop');
    expect(said(found)).toContain('allows canoe and sit-inside kayak, and not: skiff');
    expect(by(placeFindings(at({ craft: ['skiff'] })), 'place/allowed')).toEqual([]);
    const company = { ...at({ craft: ['skiff'] }), boats: [boat(), boat({ kind: 'canoe' })] };
    expect(said(by(placeFindings(company), 'place/allowed')[0])).toContain('and not: canoe');
    expect(by(placeFindings(at({ craft: [] })), 'place/allowed')).toEqual([]);
  });
  test.each([
    [{ opens: '08:00', closes: '20:00' }, 0],
    [{ opens: '12:30', closes: '20:00' }, 1],
    [{ opens: '08:00', closes: '13:59' }, 1],
    [{ opens: '22:00', closes: '11:00' }, 2],
    [{ opens: '22:00', closes: '14:00' }, 0],
    [{ closes: '11:00' }, 2],
    [{ opens: '12:00' }, 0],
  ])('open %j, from noon to two: %i ends are shut', (laws, n) => {
    expect(openFindings(at(laws), schedule)).toHaveLength(n);
  });
  test('who comes back after midnight finds shut what shut in the evening', () => {
    const night = { ...schedule, leave: NOON + 10 * HOUR, home: NOON + 12.5 * HOUR };
    const ids = (laws: Place['byLaws']) =>
      openFindings(at(laws), night).map(({ id }) => id.split('-').at(-1));
    expect(ids({ closes: '22:30' })).toEqual(['return']);
    expect(ids({ opens: '05:00', closes: '22:30' })).toEqual(['return']);
    expect(ids({ opens: '20:00', closes: '01:00' })).toEqual([]);
  });
  test('a season makes it old; a day is asked for; of a place nobody looked up that is said', () => {
    const told = (more: Partial<Place>) => by(placeFindings(at({ licence: 'none' }, more)), 'place/told');
    expect(told({ confirmed: '2025-11-12' })).toEqual([]);
    expect(said(told({ confirmed: '2025-11-08' })[0])).toContain('184 days ago');
    expect(said(told({ confirmed: undefined as never })[0])).toContain('No day stands beside it');
    expect(said(by(placeFindings(at(undefined)), 'place/told')[0])).toContain('Nobody looked up');
  });
  test('a number to ring that nobody tried for a season is told', () => {
    const old = water({ rescueNumber: '555 0100', rescueConfirmed: '2025-10-01' });
    const [found] = by(placeFindings({ ...at({}), water: old }), 'water/number');
    expect(said(found)).toContain('555 0100 (the rescue service) was last confirmed 222 days ago');
    const never = water({
      rescueNumber: '555 0100',
      rescueConfirmed: '2026-05-01',
      numbers: [{ who: 'Lock', number: '7' }],
    });
    const [open] = by(placeFindings({ ...at({}), water: never }), 'water/number');
    expect([open.level, open.open, said(open)]).toEqual([
      'know',
      true,
      expect.stringContaining('7 (Lock): no day'),
    ]);
  });
});

describe('in the whole of a trip', () => {
  test('the demo’s own ways are clear of its land and its rocks, and a point on the island is not', () => {
    const kinds = (input: AssessInput) =>
      new Set(assess(input).findings.map((f) => f.id.split('/').slice(0, 2).join('/')));
    for (const n of [0, 1, 2, 3]) {
      expect(kinds(inputOf(n))).not.toContain('way/land');
      expect(kinds(inputOf(n))).not.toContain('way/hazard');
    }
    const { shed } = inputOf(0);
    const onLand = place('Top of the Holm', 41.182, -29.43, { water: shed.waters[0].id });
    const halts = [{ place: onLand.id, minutes: 10 }];
    const input = inputOf(0, { trip: { halts }, shed: { places: [...shed.places, onLand] } });
    expect(kinds(input)).toContain('way/land');
  });
});
