import { describe, expect, test } from '@jest/globals';
import { figureNamed } from '../verdict';
import { aBoat, aPerson, aPlace, aWater, inputOf, steady } from '../../test/demo';
import { lastLook } from '../kit';
import { Boat, Person, Trip, type CrewMember } from '../model';
import type * as z from 'zod';
import { render } from '../say';
import { HORSEPOWER, KNOT } from '../units';
import fc from 'fast-check';
import { runs } from '../../test/runs';
import { emptyWeight, floaters, holesOf, hullOf, leak, spaceOf, startCard, swamped, FLOODING, HULLS, towing } from '../boat';
import { CRAFT, type Craft } from '../model/lists';
import { assess, sweep, type AssessInput } from '.';
import { standingFacts } from './facts';
import { contextOf } from './context';
import { THINGS } from '../model';
import { startBoat, STARTING_POINTS } from '../boat/start';
import { HANDOVER } from '../boat/handover';

type Member = Partial<z.infer<typeof CrewMember>>;
const reader = { units: 'metric', zone: 'UTC', locale: 'en-GB' } as const;

/** A boat with people in it on a coast, and nothing else; the wind as told. */
function world(boat: Boat, people: Person[], more: { crew?: Member[]; trip?: Partial<Trip>; wind?: number; boats?: Boat[]; water?: Parameters<typeof aWater>[0] } = {}) {
  const launch = aPlace({ works: 0 }), halt = aPlace({ kind: 'ground', position: { lat: 41.21, lon: -29.5 } }), water = aWater(more.water);
  const crew = people.map((p, i) => ({ person: p.id, role: i === 0 ? 'skipper' as const : 'crew' as const, ...more.crew?.[i] }));
  const trip: Trip = { ...inputOf().trip, boat: boat.id, crew, water: water.id, launch: launch.id, halts: [{ place: halt.id, minutes: 10 }], leave: { date: '2026-05-12', time: '12:00' }, stow: [], load: [], ...more.trip };
  const shed = { ...inputOf().shed, boats: [boat, ...(more.boats ?? [])], people, gear: [], places: [launch, halt], waters: [water], debriefs: [] };
  const input: AssessInput = { ...inputOf(0, { shed, forecast: steady({ wind: more.wind ?? 3, gust: (more.wind ?? 3) + 1 }) }), trip };
  const { findings, figures } = assess(input);
  const find = (id: string) => findings.find((f) => f.id.startsWith(id));
  return { findings, figures, find, level: (id: string) => find(id)?.level, say: (id: string) => find(id)?.because.map((b) => render(b, reader)) ?? [], input };
}
const skiff = (more: Partial<Boat> = {}) => aBoat({ beam: 1.6, depth: 0.55, mass: 110, plate: { persons: 4, totalMass: 400, personsMass: 320 }, propulsion: [{ kind: 'outboard', cruise: 5, power: 15 * HORSEPOWER }, { kind: 'oars', cruise: 0.9 }], ...more });

describe('how she lies', () => {
  test('freeboard, trim and list are figures; enough of it is Ready', () => {
    const { figures, level } = world(skiff(), [aPerson()]);
    expect(level('lie/edge')).toBe('ready');
    expect(figureNamed(figures, 'boat/freeboard')!.value).toBeGreaterThan(0.2);
    expect(figureNamed(figures, 'boat/freeboard-bow')!.value).toBeGreaterThan(figureNamed(figures, 'boat/freeboard-stern')!.value);
  });
  test('two at the stern bring her down by the stern, one at the side lists her, and the mend opens the plan', () => {
    const people = [aPerson({ mass: 95 }), aPerson({ mass: 95 })];
    const aft = world(skiff(), people, { crew: [{ seat: { x: 0.02, y: 0.1 } }, { seat: { x: 0.02, y: -0.1 } }] });
    expect(aft.say('lie/trim')[0]).toMatch(/down by the stern/);
    const side = world(skiff(), [aPerson({ mass: 70 })], { crew: [{ seat: { x: 0.45, y: 0.8 } }] });
    expect(side.say('lie/heel')[0]).toMatch(/to port/);
    expect(side.find('lie/heel')?.mend).toMatchObject({ open: 'pack/load' });
  });
  test('guessed measures never make a Stop, however heavy; stated ones do where the edge is at the water', () => {
    const crowd = Array.from({ length: 12 }, () => aPerson({ mass: 170 }));
    const lies = (basis?: Boat['basis']) => world(skiff({ plate: 'none', advisedLoad: undefined, basis }), crowd).findings.filter((f) => f.id.startsWith('lie/'));
    expect(lies({ '/depth': 'guessed' }).filter((f) => f.level === 'stop')).toEqual([]);
    expect(lies({ '/depth': 'guessed' }).find((f) => f.id.startsWith('lie/awash'))?.level).toBe('fix');
    expect(lies().find((f) => f.id.startsWith('lie/awash'))?.level).toBe('stop');
  });
  test('without beam nothing is drawn from the air: the measure is asked for', () => expect(world(skiff({ beam: undefined }), [aPerson()]).find('lie/measures')?.mend).toMatchObject({ go: { type: 'boat', pointer: '/beam' } }));
  test('what rests on a guess, or leaves somebody out, is said and is no pass', () => {
    const guessed = world(skiff({ depth: undefined, mass: undefined }), [aPerson()]).find('lie/edge')!;
    expect(guessed.level).toBe('know');
    expect(guessed.assumed.map((a) => render(a, reader))).toEqual(['2 measures of her only guessed.']);
    const unweighed = world(skiff(), [aPerson(), aPerson({ name: 'Bo', mass: undefined })]).find('lie/edge')!;
    expect([unweighed.level, unweighed.assumed.map((a) => render(a, reader))]).toEqual(['know', ['Bo left out: no weight was entered.']]);
    expect([guessed.mend, unweighed.mend]).toMatchObject([{ go: { type: 'boat', pointer: '/depth' } }, { go: { type: 'person', pointer: '/mass' } }]);
  });
});

describe('plates', () => {
  test('people heavier than the plate allows, and a motor stronger than it, are Stops of the maker', () => {
    const heavy = world(skiff(), [aPerson({ mass: 170 }), aPerson({ mass: 170 })]);
    expect(heavy.level('load/people')).toBe('stop');
    expect(world(skiff({ plate: { persons: 4, totalMass: 400, power: 10 * HORSEPOWER } }), [aPerson()]).level('load/power')).toBe('stop');
    expect(world(skiff({ plate: { persons: 4, totalMass: 400, power: 15 * HORSEPOWER } }), [aPerson()]).level('load/power')).toBeUndefined();
  });
  test('without any limit the federal formula gives an estimate, never a Stop; over it a Fix', () => {
    const bare = (people: number) => world(skiff({ plate: 'none' }), Array.from({ length: people }, () => aPerson({ mass: 90 })));
    expect(bare(1).level('load/limit')).toBe('know');
    expect(figureNamed(bare(1).figures, 'boat/estimate')!.guessed).toBe(true);
    expect(bare(6).level('load/limit')).toBe('fix');
  });
  test('a plate that allows more than the hull could float with is called a contradiction', () => {
    expect(world(skiff({ plate: { persons: 4, totalMass: 9000 } }), [aPerson()]).level('lie/contradiction')).toBe('know');
    expect(world(skiff(), [aPerson()]).level('lie/contradiction')).toBeUndefined();
  });
  test('without a plate the federal table speaks, as a Fix; never for an inflatable', () => {
    const strong = { propulsion: [{ kind: 'outboard' as const, cruise: 5, power: 60 * HORSEPOWER }], plate: 'none' as const };
    const tiller = { controls: { steering: 'tiller' as const }, bottom: 'other' as const };
    expect(world(skiff({ ...strong, ...tiller }), [aPerson()]).find('load/power')).toMatchObject({ level: 'fix', assumed: [] });
    // What hangs on steering and transom that nobody entered is open, and says so.
    expect(world(skiff(strong), [aPerson()]).find('load/power')).toMatchObject({ level: 'know', assumed: [{ say: 'load.power.assumed' }] });
    expect(world(skiff({ ...strong, kind: 'inflatable' }), [aPerson()]).level('load/power')).toBeUndefined();
  });
  test('a trailer over its plate is a Stop; a light hitch a Fix, a fair one Ready', () => {
    const trailer = (more: object) => world(skiff({ trailer: { mass: 150, most: 400, tongue: 26, ...more } }), [aPerson()]);
    expect(trailer({}).level('trailer/tongue')).toBe('ready');
    expect(trailer({ tongue: 10 }).say('trailer/tongue')[0]).toMatch(/snakes/);
    expect(trailer({ tongue: 60 }).say('trailer/tongue')[0]).toMatch(/lifts/);
    expect(trailer({ most: 200 }).level('trailer/most')).toBe('stop');
    expect(trailer({ car: 200 }).level('trailer/car')).toBe('stop');
  });
});

describe('full of water', () => {
  test('nobody said: asked; foam without litres: asked how much; nothing at all and heavy stuff: she sinks', () => {
    expect(world(skiff({ flotation: undefined }), [aPerson()]).find('lie/swamped')?.mend).toMatchObject({ go: { pointer: '/flotation' } });
    expect(world(skiff({ flotation: 'foam', material: 'alloy' }), [aPerson()]).find('lie/swamped')?.mend).toMatchObject({ go: { pointer: '/reserve' } });
    expect(world(skiff({ flotation: 'none', material: 'alloy' }), [aPerson()]).level('lie/swamped')).toBe('fix');
  });
  test('foam along both sides keeps her level in the end; that she may roll over while she fills is said, and is no pass', () => {
    const { level, say } = world(skiff({ flotation: 'foam', material: 'alloy', reserve: [{ what: 'foam', where: 'sides', litres: 220 }] }), [aPerson(), aPerson()]);
    expect([level('lie/swamped'), say('lie/swamped').join(' ')]).toEqual(['know', expect.stringMatching(/level\..*carries everyone.*roll over first/)]);
  });
  test('tubes carry her crew level, on stated facts alone; a guess is no pass', () => {
    const tubes = (basis?: Boat['basis']) => world(aBoat({ kind: 'inflatable', length: 3.8, beam: 1.8, depth: 0.45, mass: 70, material: 'fabric', flotation: 'air-bags', basis }), [aPerson(), aPerson()], { crew: [{ seat: { x: 0.45, y: 0.2 } }, { seat: { x: 0.5, y: -0.2 } }] }).level('lie/swamped');
    expect(tubes()).toBe('ready');
    for (const pointer of ['/flotation', '/mass', '/length', '/beam', '/depth', '/material']) expect(tubes({ [pointer]: 'guessed' })).toBe('know');
  });
  test('a sealed hull is as good as its hatches: with them she is never Ready, and both halves are said', () => {
    const kayak = (more: Partial<Boat> = {}) => world(aBoat({ kind: 'sit-on-top', length: 3.9, beam: 0.8, depth: 0.33, mass: 30, material: 'polyethylene', flotation: 'sealed-hull', seats: 1, ...more }), [aPerson()]);
    expect(kayak().level('lie/swamped')).toBe('ready');
    const hatch = kayak({ openings: [{ name: 'Front hatch', kind: 'hatch', where: 'bow' }] });
    expect([hatch.level('lie/swamped'), hatch.say('lie/swamped').join(' ')]).toEqual(['know', expect.stringMatching(/With Front hatch shut: She floats.*With her hull full.*bears nobody/)]);
    expect(kayak({ basis: { '/flotation': 'guessed' } }).level('lie/swamped')).toBe('know');
  });
  test('one bag in the bow alone is no seat for anybody', () => {
    const bag = world(aBoat({ kind: 'sit-inside', length: 4.2, beam: 0.62, depth: 0.32, mass: 25, material: 'polyethylene', flotation: 'air-bags', reserve: [{ what: 'bag', where: 'bow', litres: 60 }] }), [aPerson()]);
    expect([bag.level('lie/swamped'), bag.say('lie/swamped').join(' ')]).toEqual(['know', expect.stringMatching(/Nobody can sit in her/)]);
  });
  test('foam in the bow alone: she stands on end, and nobody is promised a seat', () => {
    const { level, say } = world(skiff({ flotation: 'foam', material: 'alloy', reserve: [{ what: 'foam', where: 'bow', litres: 300 }] }), [aPerson(), aPerson()]);
    expect([level('lie/swamped'), say('lie/swamped').join(' ')]).toEqual(['know', expect.stringMatching(/one end.*Nobody can sit in her/)]);
  });
});

describe('openings', () => {
  const LEAVE = Date.UTC(2026, 4, 12, 12);
  const with_ = (worked: 'inside' | 'underneath' | undefined, felt?: number) => { const { input } = world(skiff({ openings: [{ name: 'Plug', kind: 'plug', ...(worked ? { worked } : {}) }] }), [aPerson()]); return assess({ ...input, ...(felt === undefined ? {} : { ticks: new Map([['last:plug', felt]]) }) }).findings.find((f) => f.id.startsWith('openings/')); };
  test('not felt shut is a Know, only reached from underneath a Fix, ticked at the last look Ready; none listed, none asked', () => {
    expect([with_('inside')?.level, with_(undefined)?.level, with_('underneath')?.level, with_('underneath', LEAVE - 20 * 60_000)?.level]).toEqual(['know', 'know', 'fix', 'ready']);
    // Felt shut the evening before is not shut at the water.
    expect(with_('underneath', LEAVE - 15 * 3_600_000)?.because.map((b) => render(b, reader)).join(' ')).toMatch(/too long before you leave/);
    expect([4, 4.02].map((h) => with_('inside', LEAVE - h * 3_600_000)?.level)).toEqual(['ready', 'know']);
    expect(with_('underneath')?.because.map((b) => render(b, reader))[1]).toMatch(/^Plug: only reached from underneath/);
    expect(lastLook(new Set()).map((row) => `last:${row.id}`)).toContain('last:plug');
    expect(world(skiff(), [aPerson()]).find('openings/')).toBeUndefined();
  });
});

describe('ways home', () => {
  test('one is a finding, two are Ready; a tank too small for the way is a Fix', () => {
    expect(world(skiff({ propulsion: [{ kind: 'outboard', cruise: 5 }] }), [aPerson()]).level('ways/count')).toBe('know');
    expect(world(skiff(), [aPerson()]).level('ways/count')).toBe('ready');
    expect(world(skiff({ propulsion: [{ kind: 'outboard', cruise: 5, tank: 0.0002, burn: 0.01 / 3600 }, { kind: 'oars' }] }), [aPerson()]).level('ways/range')).toBe('fix');
    expect(world(skiff({ propulsion: [{ kind: 'oars', cruise: 0.1 }] }), [aPerson()]).say('ways/range')).toEqual([expect.stringMatching(/5.5 h with the oars/)]);
  });
});

describe('the crew meets this water and wind', () => {
  const kayak = aBoat({ kind: 'sit-on-top', propulsion: [{ kind: 'paddle', cruise: 1.4 }] });
  test.each<[string, Partial<Person>, Member, number, string, string | undefined]>([
    ['a weak swimmer in a light wind', { swimming: 'weak' }, {}, 3, 'crew/swim-wind', undefined],
    ['a weak swimmer at Beaufort 4', { swimming: 'weak' }, {}, 5.5, 'crew/swim-wind', 'fix'],
    ['a strong one at Beaufort 4', { swimming: 'strong' }, {}, 5.5, 'crew/swim-wind', undefined],
    ['a child at Beaufort 4', { born: '2016-01-01' }, {}, 5.5, 'crew/child-wind', 'fix'],
    ['thirteen years old that day', { born: '2013-05-12' }, {}, 5.5, 'crew/child-wind', undefined],
    ['a hangover', {}, { today: 'hung-over' }, 3, 'crew/unfit', 'fix'],
    ['tired', {}, { today: 'tired' }, 3, 'crew/tired', 'know'],
    ['a bad shoulder', { weakArm: true }, {}, 3, 'crew/weak-arm', 'know'],
    ['never in the water', { inWater: 'never' }, {}, 3, 'crew/never-in', 'know'],
    ['new to it, on the coast', { skills: [{ craft: 'sit-on-top', level: 'new' }] }, {}, 3, 'crew/new-skipper', 'fix'],
    ['new to another craft', { skills: [{ craft: 'canoe', level: 'new' }] }, {}, 3, 'crew/new-skipper', undefined],
    ['a recovery practised last week', { skills: [{ craft: 'sit-on-top', level: 'sure', practised: '2026-05-05' }] }, {}, 3, 'crew/stale', undefined],
    ['one practised two years ago', { skills: [{ craft: 'sit-on-top', level: 'sure', practised: '2024-05-05' }] }, {}, 3, 'crew/stale', 'know'],
  ])('%s', (_name, person, member, wind, id, level) => expect(world(kayak, [aPerson({ swimming: 'fair', ...person })], { wind, crew: [member] }).level(id)).toBe(level));
  test('somebody keeps an eye on the weak swimmer, or it is said that nobody does', () => {
    const [a, b] = [aPerson({ swimming: 'strong' }), aPerson({ name: 'Bo', swimming: 'none' })];
    expect(world(kayak, [a, b]).level('crew/swim-near')).toBe('know');
    expect(world(kayak, [a, b], { crew: [{ buddy: b.id }] }).level('crew/swim-near')).toBeUndefined();
    const seats = (x: number) => world(skiff(), [a, b], { crew: [{ seat: { x: 0.3, y: 0 } }, { seat: { x, y: 0 } }] }).level('crew/swim-near');
    expect([seats(0.5), seats(0.9)]).toEqual([undefined, 'know']);
  });
  test('a second driver: named, able, unable, and nobody said', () => {
    const pair = (more: Partial<Person>, member: Member = {}) => world(skiff(), [aPerson(), aPerson({ name: 'Bo', ...more })], { crew: [{}, member] }).level('crew/second-driver');
    expect([pair({}, { role: 'driver' }), pair({ drives: true }), pair({ drives: false }), pair({})]).toEqual([undefined, undefined, 'fix', 'know']);
    expect(world(skiff(), [aPerson()]).level('crew/second-driver')).toBeUndefined();
  });
});

test('the row of departures shows the hours at which a rising wind meets a weak swimmer', () => {
  const { input } = world(aBoat({ kind: 'canoe', propulsion: [{ kind: 'paddle', cruise: 1.2 }] }), [aPerson({ swimming: 'weak' }), aPerson({ swimming: 'fair' })]);
  const noon = Date.UTC(2026, 4, 12, 12);
  const forecast = { ...input.conditions.forecast!, hours: input.conditions.forecast!.hours.map((h) => (Date.parse(h.at) >= noon ? { ...h, wind: 7, gust: 9 } : h)) };
  const rows = sweep({ ...input, conditions: { forecast } }, Date.UTC(2026, 4, 12, 7), Date.UTC(2026, 4, 12, 14), 36e5);
  const fix = rows.filter((r) => r.worst === 'fix').map((r) => new Date(r.leave).getUTCHours());
  expect(fix).toContain(13);
  expect(fix).not.toContain(8);
});

describe('in company', () => {
  const [tern, gull, wren] = [aBoat({ name: 'Tern', kind: 'sit-on-top', propulsion: [{ kind: 'paddle', cruise: 1.6 }] }), aBoat({ name: 'Gull', kind: 'canoe', propulsion: [{ kind: 'paddle', cruise: 1.2 }] }), aBoat({ name: 'Wren', kind: 'sit-inside', propulsion: [{ kind: 'paddle', cruise: 1.7 }] })];
  const [a, b, c] = [aPerson({ name: 'Ann' }), aPerson({ name: 'Bo' }), aPerson({ name: 'Cy' })];
  const together = (company: Trip['company'], more: Partial<Trip> = {}) => {
    const w = world(tern, [a, b, c], { boats: [gull, wren], trip: { company, ...more, crew: [{ person: a.id, role: 'skipper' }] } });
    return w;
  };
  test('heads are counted; the slowest sets the pace of the plan', () => {
    const w = together([{ boat: gull.id, people: [b.id] }]);
    expect(w.say('company/count')[0]).toBe('2 heads in 2 boats. Count them at every halt.');
    expect(figureNamed(w.figures, 'passage/speed')!.value).toBe(1.2);
    expect(together([{ boat: gull.id, people: [b.id] }], { speed: 1.5 }).level('company/pace')).toBe('fix');
  });
  test('somebody in two boats, a boat with nobody, a boat without a pair', () => {
    expect(together([{ boat: gull.id, people: [a.id] }]).say('company/twice')[0]).toBe('Ann.');
    expect(together([{ boat: gull.id, people: [] }]).level('company/empty')).toBe('fix');
    expect(together([{ boat: gull.id, people: [b.id], with: tern.id }, { boat: wren.id, people: [c.id] }]).say('company/pairs')[0]).toMatch(/^Wren/);
    expect(together([{ boat: gull.id, people: [b.id] }]).level('company/pairs')).toBeUndefined();
  });
  test('who can tow: a paddler makes way in a calm, none in a gale; a motor her slow speed; nobody said, not known', () => {
    expect(towing(tern, 0)!).toBeGreaterThan(towing(tern, 8)!);
    expect(towing(tern, 60 * KNOT)).toBe(0);
    expect(towing(skiff({ propulsion: [{ kind: 'outboard', slow: 2 }] }), 8)).toBe(2);
    expect(towing(aBoat({ propulsion: [] }), 0)).toBeUndefined();
  });
  test('a boat that left the shed breaks nothing', () => expect(together([{ boat: '01890000-0000-7000-8000-00000000dead', people: [b.id] }]).findings.length).toBeGreaterThan(0));
});

describe('starting points', () => {
  test('ten kinds, two or three sizes each; each a valid boat, every value a guess, none that a law turns on', () => {
    const kinds = new Map<string, number>();
    for (const point of STARTING_POINTS) {
      kinds.set(point.kind, (kinds.get(point.kind) ?? 0) + 1);
      const boat = startBoat(point, '01890000-0000-7000-8000-000000000099', 'New');
      expect(Boat.safeParse(boat).error).toBeUndefined();
      expect(Object.values(boat.basis ?? {}).every((how) => how === 'guessed')).toBe(true);
      expect(boat.basis?.['/length']).toBe('guessed');
      for (const field of ['fuelTank', 'closedSpaces', 'cutOffSwitch', 'appliance', 'modelYear'] as const) expect(boat[field]).toBeUndefined();
      expect(typeof boat.plate).not.toBe('object');
    }
    expect(kinds.size).toBe(10);
    for (const n of kinds.values()) expect([2, 3]).toContain(n);
  });
  test('each floats upright with her usual crew aboard, with freeboard left', () => {
    for (const point of STARTING_POINTS) {
      const n = Math.min(2, HULLS[point.kind].seats.length);
      const boat = startBoat(point, '01890000-0000-7000-8000-000000000099', 'New');
      const { findings } = world(boat, Array.from({ length: n }, () => aPerson({ mass: 75 })));
      expect({ id: point.id, upright: findings.some((f) => f.id.startsWith('lie/upright')) }).toEqual({ id: point.id, upright: false });
    }
  });
  test('a guessed length is no answer to a law: sixteen feet guessed leaves it open', () => {
    const at = (basis: Boat['basis']) => standingFacts(contextOf(world(skiff({ length: 16 * 0.3048, basis }), [aPerson()]).input))['boat.length'];
    expect(at({})).toBeCloseTo(4.8768, 6);
    expect(at({ '/length': 'guessed' })).toMatchObject({ low: expect.any(Number), high: expect.any(Number) });
  });
});

describe('cards and walks', () => {
  const card = (more: Partial<Boat>) => startCard({ propulsion: [{ kind: 'outboard' }], ...more })?.map((s) => render(s, reader)) ?? [];
  test('what was entered is told, what was not is asked for; no motor, no card', () => {
    expect(card({}).filter((s) => /Not entered|not entered/.test(s)).length).toBe(4);
    const full = card({ controls: { start: 'pull', cord: 'lanyard', gear: 'lever', choke: 'choke', steering: 'tiller', tilt: 'red lever, port side', stop: 'pull the fuel line' } });
    expect(full.join(' ')).toMatch(/spare kill cord.*neutral.*red lever.*choke out.*Pull slowly.*opposite way.*pull the fuel line/);
    expect(full.some((s) => /entered/.test(s))).toBe(false);
    expect(startCard({ propulsion: [{ kind: 'paddle' }] })).toBeUndefined();
    expect(card({ propulsion: [{ kind: 'electric' }] }).join(' ')).toMatch(/Switch key in/);
  });
  test('the handover fills fields that a boat has', () => {
    const fields = Object.keys((THINGS.boat as unknown as { shape: object }).shape);
    for (const step of HANDOVER) for (const field of step.fields) expect(fields).toContain(field);
  });
});

describe('whatever the measures', () => {
  const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
  const boats = fc.record({ kind: fc.constantFrom(...(Object.keys(CRAFT) as Craft[])), length: number(1, 15), beam: number(0.2, 6), depth: fc.option(number(0.05, 3), { nil: undefined }), mass: fc.option(number(3, 10_000), { nil: undefined }), foam: fc.integer({ min: 0, max: 2000 }) });
  const seats = fc.array(fc.record({ mass: number(2, 250), x: number(0, 1), y: number(-1, 1) }), { minLength: 1, maxLength: 6 });
  test('every figure is a number, every finding renders, and no guess is a Stop', () => {
    fc.assert(fc.property(boats, seats, ({ foam, ...measures }, where) => {
      const boat = skiff({ plate: undefined, ...measures, basis: { '/length': 'guessed' }, flotation: 'foam', ...(foam > 0 ? { reserve: [{ what: 'foam' as const, where: 'sides' as const, litres: foam }] } : {}) });
      const { figures, findings } = world(boat, where.map(({ mass }) => aPerson({ mass })), { crew: where.map(({ x, y }) => ({ seat: { x, y } })) });
      for (const [name, f] of Object.entries(figures)) expect({ name, finite: Number.isFinite(f.value) }).toEqual({ name, finite: true });
      for (const f of findings) for (const line of [f.title, ...f.because, ...f.assumed]) expect(render(line, reader)).not.toMatch(/NaN|undefined|Infinity/);
      expect(findings.filter((f) => f.level === 'stop' && /^(lie|ways|crew)\//.test(f.id))).toEqual([]);
    }), { numRuns: runs(60) });
  });
  test('what the leak, the swamping and the leaning give is a number or said in words', () => {
    fc.assert(fc.property(boats, number(0.005, 0.3), ({ foam, ...measures }, diameter) => {
      const boat = skiff({ ...measures, openings: [{ name: 'Hole', kind: 'plug', diameter }], reserve: [{ what: 'foam', where: 'bow', litres: Math.max(1, foam) }] });
      const hull = hullOf(boat)!, weight = emptyWeight(boat, hull);
      const hole = holesOf(boat, hull)[0];
      const found = leak({ hull, hole, space: spaceOf(boat, hull, hole), weight, density: 1000, relief: { pump: 0, bailers: 1 }, sea: FLOODING.wash.usual });
      for (const n of [found.inflow, found.aboard, found.third ?? 0, found.swamped ?? 0]) expect(Number.isFinite(n) && n >= 0).toBe(true);
      if (found.third !== undefined && found.swamped !== undefined) expect(found.third).toBeLessThanOrEqual(found.swamped + 1e-6);
      const full = swamped(hull, floaters(boat, hull), weight, [], [{ mass: 80, x: hull.length / 2, y: 0, z: hull.depth }], 1000);
      expect([Number.isFinite(full.spare), full.carries === 0 || full.carries === 1, full.lacking >= 0]).toEqual([true, true, true]);
      if (full.spare < 0) expect(full.outcome.state).toBe('sinks');
    }), { numRuns: runs(40), examples: [[{ kind: 'sit-on-top', length: 1, beam: 2.59, depth: 0.05, mass: 77.4, foam: 0 }, 0.005]] });
  });
});

describe('bad input', () => {
  test.each<[string, object]>([
    ['zero length', { length: 0 }], ['a hull a kilometre long', { length: 1000 }], ['a depth of nothing', { depth: 0 }], ['an opening of no bore', { openings: [{ name: 'P', kind: 'plug', diameter: 0 }] }], ['a floating part of no litres', { reserve: [{ what: 'foam', where: 'bow', litres: 0 }] }], ['a kind nobody knows', { kind: 'submarine' }],
  ])('%s is refused by its field', (_name, more) => {
    const read = Boat.safeParse({ ...skiff(), ...more });
    expect(read.success).toBe(false);
    expect(read.error?.issues[0].path[0]).toBe(Object.keys(more)[0]);
  });
  test('a load entry needs a weight, or a liquid with its volume', () => {
    const entry = (item: object) => Trip.safeParse({ ...inputOf().trip, load: [item] }).success;
    expect([entry({ name: 'Bag' }), entry({ name: 'Bag', mass: 3 }), entry({ name: 'Fuel', liquid: 'petrol' }), entry({ name: 'Fuel', liquid: 'petrol', volume: 0.02 })]).toEqual([false, true, false, true]);
  });
  test('a seat outside the boat is refused; two who watch each other, or one who watches himself, break nothing', () => {
    const person = aPerson({ swimming: 'weak' });
    expect(Trip.safeParse({ ...inputOf().trip, crew: [{ person: person.id, role: 'crew', seat: { x: 1.2, y: 0 } }] }).success).toBe(false);
    expect(world(skiff(), [person], { crew: [{ buddy: person.id }] }).findings.length).toBeGreaterThan(0);
  });
});
