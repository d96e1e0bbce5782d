import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { check } from '../../test/check';
import type { Boat, Person } from '../model';
import { FOOT, HORSEPOWER, HOUR, INCH, KNOT, NAUTICAL_MILE, US_GALLON } from '../units';
import {
  crouch,
  drives,
  emptyWeight,
  freeboardBand,
  fullBurn,
  hullOf,
  hullSpeed,
  leaning,
  loadOf,
  massOf,
  maximumDisplacement,
  personsFromPounds,
  personsRule,
  placed,
  plated,
  powering,
  speedLoaded,
  towingSpeed,
  waysHome,
  weightCapacity,
  afloat,
  PADDLER,
  HULLS,
} from '.';
import { boxOf } from '../../test/hulls';
import { inputOf } from '../../test/demo';

const boat = (more: Partial<Boat>): Boat => ({
  id: 'b',
  name: 'B',
  kind: 'skiff',
  propulsion: [],
  openings: [],
  ...more,
});
const person = (id: string, mass?: number): Person => ({
  id,
  name: id,
  ...(mass === undefined ? {} : { mass }),
});

describe('persons', () => {
  for (const [l, b, n] of [
    [12, 4, 3],
    [14, 5, 4],
    [16, 5.8, 6],
    [18, 7, 8],
    [20, 8, 10],
    [15, 4, 4],
    [14.9, 4, 3],
  ] as const)
    check('recalled', 'no-plate-rule', `${l} by ${b} ft carries ${n}`, () =>
      expect(personsRule('skiff', l * FOOT, b * FOOT)).toBe(n),
    );
  for (const [pounds, n] of [
    [250, 2],
    [320, 2],
    [420, 3],
    [500, 4],
    [700, 5],
    [900, 7],
  ] as const)
    check('recalled', 'cfr-33-183', `${pounds} lb of persons are ${n}`, () =>
      expect(personsFromPounds(pounds)).toBe(n),
    );
  test('the rule says nothing of kayaks, canoes, inflatables and the like', () => {
    for (const kind of [
      'sit-on-top',
      'sit-inside',
      'canoe',
      'paddleboard',
      'inflatable',
      'personal-watercraft',
      'catamaran',
      'raft',
    ] as const)
      expect(personsRule(kind, 5, 2)).toBeUndefined();
  });
  test('a bigger boat never carries fewer', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 2, max: 8, noNaN: true }),
        fc.double({ min: 1, max: 3, noNaN: true }),
        fc.double({ min: 0, max: 2, noNaN: true }),
        (l, b, more) =>
          expect(personsRule('skiff', l + more, b)!).toBeGreaterThanOrEqual(personsRule('skiff', l, b)!),
      ),
    );
  });
});

describe('capacity by 33 CFR 183', () => {
  for (const [driven, md, bw, w] of [
    ['outboard', 2600, 450, 430],
    ['outboard', 1800, 300, 300],
    ['manual', 900, 120, 234],
  ] as const)
    check(
      'recalled',
      'cfr-33-183',
      `${driven}: ${md} lb of displacement, ${bw} lb of boat carry ${w} lb`,
      () => expect(weightCapacity(driven, md, bw)).toBeCloseTo(w, 9),
    );
  check(
    'recalled',
    'cfr-33-183',
    'inboard: the greater of the two, where machinery weighs much and where little',
    () => {
      expect(weightCapacity('inboard', 3000, 900, 300)).toBeCloseTo(300, 9);
      expect(weightCapacity('inboard', 3000, 900, 50)).toBeCloseTo(380, 9);
    },
  );
  const hp = (l: number, w: number, more: object = {}) =>
    Math.round((powering({ length: l * FOOT, width: w * FOOT, ...more }) / HORSEPOWER) * 10) / 10;
  const remote = { remote: true, transom: 20 * INCH },
    flat = { flat: true };
  for (const [l, w, more, power] of [
    [12, 3.5, {}, 7.5],
    [12, 3.5, flat, 5],
    [10, 4, {}, 7.5],
    [14, 3.7, {}, 15],
    [14, 4.5, remote, 40],
    [14, 4.5, {}, 30],
    [14, 4.5, flat, 20],
    [16, 5.5, remote, 90],
    [16, 5.5, {}, 50],
    [16, 5.5, flat, 30],
    [18, 6.5, remote, 145],
  ] as const)
    check(
      'recalled',
      'cfr-33-183',
      `${l} × ${w} ft ${'remote' in more ? 'remote, 20 in' : 'flat' in more ? 'flat' : ''}: ${power} hp`,
      () => expect(hp(l, w, more)).toBe(power),
    );
  // Every step of the table from both sides.
  for (const [factor, power] of [
    [35, 3],
    [36, 5],
    [39, 5],
    [40, 7.5],
    [42, 7.5],
    [43, 10],
    [45, 10],
    [46, 15],
    [52, 15],
    [53, 20],
  ] as const)
    check('recalled', 'cfr-33-183', `factor ${factor}: ${power} hp`, () => expect(hp(factor, 1)).toBe(power));
  test('a low transom does not earn the remote formula; the lowest row has no lower one', () => {
    expect(hp(14, 4.5, { remote: true, transom: 15 * INCH })).toBe(30);
    expect(hp(7, 5, flat)).toBe(3);
  });
  test('who carries a plate: monohulls under 20 ft, no sailboat, no canoe', () => {
    expect([
      plated({ kind: 'skiff', length: 19.99 * FOOT, propulsion: [] }),
      plated({ kind: 'skiff', length: 20 * FOOT, propulsion: [] }),
      plated({ kind: 'skiff', propulsion: [] }),
      plated({ kind: 'canoe', length: 4, propulsion: [] }),
      plated({ kind: 'skiff', length: 4, propulsion: [{ kind: 'sail' }] }),
    ]).toEqual([true, false, undefined, false, false]);
  });
  check('closed form', 'archimedes', 'a box displaces up to its edge L·B·D', () =>
    expect(maximumDisplacement(boxOf(4, 1.5, 0.5))).toBeCloseTo(3000, 6),
  );
});

describe('ways home', () => {
  for (const [feet, knots] of [
    [8, 3.79],
    [10, 4.24],
    [12, 4.64],
    [14, 5.01],
    [16, 5.36],
    [20, 5.99],
  ] as const)
    check('recalled', 'hull-speed', `${feet} ft of waterline: ${knots} kn`, () =>
      expect(hullSpeed(feet * FOOT) / KNOT).toBeCloseTo(knots, 2),
    );
  for (const [power, gallons] of [
    [40, 3.3],
    [90, 7.4],
    [150, 12.3],
  ] as const)
    check('recalled', 'fuel-burn', `${power} hp burn ${gallons} gal/h wide open`, () =>
      expect((fullBurn(power * HORSEPOWER) * HOUR) / US_GALLON).toBeCloseTo(gallons, 1),
    );
  check('recalled', 'thirds', '20 gal: two thirds may be burnt', () => {
    const [way] = waysHome(
      boat({
        propulsion: [{ kind: 'outboard', cruise: 10 * KNOT, tank: 20 * US_GALLON, burn: US_GALLON / HOUR }],
      }),
      0,
    );
    expect(way.range![0] / NAUTICAL_MILE).toBeCloseTo(133.3, 1);
  });
  check('recalled', 'battery', '100 Ah of 12 V at half, 30 A: 1.67 h', () => {
    const [way] = waysHome(
      boat({ propulsion: [{ kind: 'electric', cruise: 1, battery: 1200 * HOUR, draw: 360 }] }),
      0,
    );
    expect(way.range![0] / HOUR).toBeCloseTo(1.67, 2);
  });
  test('a log of speeds names the one that carries furthest, and only where it is further', () => {
    const with_ = (burn: number) =>
      waysHome(
        boat({
          propulsion: [
            { kind: 'outboard', cruise: 10, tank: 0.03, burn: 10e-3 / HOUR, log: [{ speed: 3, burn }] },
          ],
        }),
        0,
      )[0].furthest;
    expect(with_(1e-3 / HOUR)).toMatchObject({ speed: 3 });
    expect(with_(1e-3 / HOUR)!.range).toBeCloseTo(0.02 * 1000 * HOUR * 3, 3);
    expect(with_(9e-3 / HOUR)).toBeUndefined();
  });
  test('what would tell more is named by its field', () => {
    const ways = waysHome(
      boat({
        propulsion: [{ kind: 'outboard' }, { kind: 'electric', cruise: 1 }, { kind: 'oars', cruise: 1 }],
      }),
      100,
    );
    expect(ways.map((w) => w.lacks)).toEqual([
      ['/propulsion/0/cruise', '/propulsion/0/tank', '/propulsion/0/burn'],
      ['/propulsion/1/battery', '/propulsion/1/draw'],
      [],
    ]);
    expect(ways[2].range![1]).toBeGreaterThan(ways[2].range![0]);
  });
  check(
    'recalled',
    'crouch',
    'planing: twice the weight, 0.71 of the speed; and 2,000 lb with 50 hp make 26 mph at C 165',
    () => {
      expect(speedLoaded(10, 500, 1000, 5) / 10).toBeCloseTo(Math.SQRT1_2, 6);
      expect(crouch(2000 * 0.45359237, 50 * HORSEPOWER) / 0.44704).toBeCloseTo(26.1, 1);
    },
  );
  test('in displacement weight costs little; a light boat is not faster than she was seen', () => {
    expect(speedLoaded(1.5, 100, 200, 4) / 1.5).toBeCloseTo(0.857, 3);
    expect(speedLoaded(1.5, 200, 100, 4)).toBe(1.5);
  });
  // Our own model of a paddler against wind, worked through by hand elsewhere: knots of headwind, knots made good.
  for (const [wind, speed] of [
    [0, 3.9],
    [5, 3.52],
    [10, 2.91],
    [15, 2.22],
    [20, 1.59],
    [25, 1.13],
    [30, 0.83],
  ] as const)
    check('common practice', 'own-estimate', `33 W into ${wind} kn: ${speed} kn`, () =>
      expect(towingSpeed(PADDLER, wind * KNOT, 1) / KNOT).toBeCloseTo(speed, 1),
    );
  test('with a boat in tow always slower, and never made where nothing is left', () => {
    for (const wind of [0, 5, 10])
      expect(towingSpeed(PADDLER, wind, 2)).toBeLessThan(towingSpeed(PADDLER, wind, 1));
    expect(towingSpeed(5, 30, 3)).toBe(0);
  });
});

describe('people and things at their spots', () => {
  const { trip, shed } = inputOf(1);
  const plover = shed.boats.find((b) => b.kind === 'trailer-boat')!;
  const hull = hullOf(plover)!;
  const people = trip.crew.map((c) => shed.people.find((p) => p.id === c.person)!);
  test('everyone has a seat inside the boat, a hand-given one first; who has no weight is left out', () => {
    const spots = placed(
      { ...trip, crew: trip.crew.map((c, i) => (i === 0 ? { ...c, seat: { x: 0.9, y: -0.1 } } : c)) },
      people,
      hull,
    );
    expect(spots[0].spot).toEqual({ x: 0.9, y: -0.1 });
    for (const { x, y } of spots)
      expect([x >= 0 && x <= hull.length, Math.abs(y) <= hull.beam / 2]).toEqual([true, true]);
    expect(
      placed({ ...trip, load: [] }, [{ ...people[0], mass: undefined }, ...people.slice(1)], hull).map(
        (p) => p.name,
      ),
    ).not.toContain(people[0].name);
  });
  test('home: fuel burnt, water drunk, the catch aboard', () => {
    const load = [
      { name: 'Fuel', liquid: 'petrol' as const, volume: 0.04 },
      { name: 'Water', liquid: 'drink' as const, volume: 0.01 },
      { name: 'Ice', mass: 20 },
    ];
    const mass = (way: 'out' | 'home') =>
      Object.fromEntries(
        placed({ crew: [], load, comingHome: { catch: 15, fuelLeft: 0.25 } }, [], hull, way).map((p) => [
          p.name,
          Math.round(p.mass * 10) / 10,
        ]),
      );
    expect(mass('out')).toEqual({ Fuel: 29.8, Water: 10, Ice: 20 });
    expect(mass('home')).toEqual({ Fuel: 7.5, Ice: 20, Catch: 15 });
    expect(massOf({ liquid: 'bait', volume: 0.1 })).toBeCloseTo(102.5, 6);
  });
  test('two at one gunwale heel her more than one, and lower the edge', () => {
    const all = placed(trip, people, hull);
    const [none, one, two] = [0, 1, 2].map((n) => afloat(plover, hull, leaning(hull, all, n), 1025));
    const heel = (a: typeof none) => (a.outcome.state === 'floats' ? Math.abs(a.outcome.at.heel) : Infinity);
    expect(heel(one)).toBeGreaterThan(heel(none));
    expect(heel(two)).toBeGreaterThan(heel(one));
    expect(two.free?.lowest ?? -1).toBeLessThan(one.free!.lowest);
  });
  test('the range is wider the more is guessed, and names the measure worth taking', () => {
    const band = (basis: Record<string, 'guessed' | 'stated' | 'measured'>) =>
      freeboardBand({ ...plover, depth: 0.95, basis }, HULLS, trip, people, 1025)!;
    const guessed = band({ '/depth': 'guessed', '/mass': 'guessed' }),
      measured = band({
        '/length': 'measured',
        '/beam': 'measured',
        '/depth': 'measured',
        '/mass': 'measured',
      });
    expect(guessed.high - guessed.low).toBeGreaterThan(measured.high - measured.low);
    expect(guessed.by[0].pointer).toBe('/depth');
    expect(guessed.low).toBeLessThan(guessed.high);
  });
  test('a boat nobody weighed is guessed from her measures', () =>
    expect(emptyWeight({}, hull).mass).toBeCloseTo(44 * hull.length * hull.beam, 6));
});

describe('load', () => {
  const load = [
    { name: 'kit', mass: 20 },
    { name: 'water', mass: 5 },
  ];
  test('people and things are summed; the plate stands before the maker’s figure', () => {
    const sum = loadOf(
      boat({ plate: { persons: 3, totalMass: 300 }, advisedLoad: 200 }),
      [person('a', 80), person('c', 60)],
      { load },
    );
    expect([sum.total, sum.people, sum.gear]).toEqual([165, 140, 25]);
    expect(sum.limit).toMatchObject({ mass: 300, from: 'plate' });
    expect(sum.personsLimit).toEqual({ count: 3, from: 'plate' });
  });
  test('a known lack of a plate falls to the maker’s figure; nothing known is no limit', () => {
    expect(loadOf(boat({ plate: 'none', advisedLoad: 172 }), [], { load }).limit).toMatchObject({
      mass: 172,
      from: 'advised',
    });
    expect(loadOf(boat({}), [], { load }).limit).toBeUndefined();
  });
  check('recalled', 'iso-14946', 'a builder’s plate for four counts 300 kg of people', () =>
    expect(loadOf(boat({ plate: { persons: 4, iso: true } }), [], { load }).personsMass).toBe(300),
  );
  test('who has no weight is named, and guesses are said', () => {
    expect(loadOf(boat({}), [person('a'), person('c', 60)], { load })).toMatchObject({
      unknown: ['a'],
      people: 60,
      guessed: false,
    });
    expect(
      loadOf(boat({ advisedLoad: 100, basis: { '/advisedLoad': 'guessed' } }), [], { load }).guessed,
    ).toBe(true);
  });
});

test('how she moves: unknown when nobody said', () => {
  expect(drives(boat({}))).toEqual({});
  expect(drives(boat({ propulsion: [{ kind: 'paddle' }, { kind: 'electric' }] }))).toMatchObject({
    motor: true,
    combustion: false,
    manual: false,
    human: true,
  });
  expect(drives(boat({ propulsion: [{ kind: 'outboard' }, { kind: 'oars' }] }))).toMatchObject({
    motor: true,
    combustion: true,
    human: false,
  });
});
