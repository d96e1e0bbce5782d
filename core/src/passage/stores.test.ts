import { describe, expect, test } from '@jest/globals';
import { check } from '../../test/check';
import { aBoat, aPerson } from '../../test/demo';
import { world } from '../../test/afloat';
import type { Boat, Schedule } from '../model';
import { storeOf } from '../boat';
import { render } from '../say';
import { assess } from '../trip';
import { HOUR, HORSEPOWER, US_GALLON } from '../units';
import { motored, storesOn } from '.';

const reader = { units: 'metric', zone: 'UTC', locale: 'en-GB' } as const;

type Drive = Boat['propulsion'][number];
const LITRE = 0.001;
const outboard = (more: Partial<Drive> = {}): Drive => ({
  kind: 'outboard',
  cruise: 5,
  tank: 20 * LITRE,
  burn: (6 * LITRE) / HOUR,
  ...more,
});
/** Out for an hour, home for an hour. */
const schedule: Schedule = {
  leave: 0,
  legs: [
    { from: 'a', to: 'b', departs: 0, arrives: 3_600_000, metres: 18_000, bearing: 0 },
    { from: 'b', to: 'a', departs: 7_200_000, arrives: 10_800_000, metres: 18_000, bearing: 180 },
  ],
  halts: [{ place: 'b', from: 3_600_000, until: 7_200_000 }],
  home: 10_800_000,
  checkIns: [],
};

describe('what the way takes of her store', () => {
  check('closed form', 'thirds', '6 L/h for two hours under way out of 20 L leave 14 and 8', () => {
    const stores = storesOn(
      { boat: aBoat({ propulsion: [outboard()] }), said: '', fuel: 20 * LITRE },
      5,
      schedule,
    )!;
    expect(stores.legs.map(({ left = NaN }) => Math.round(left / LITRE))).toEqual([14, 8]);
    expect(stores.used! / LITRE).toBeCloseTo(12, 6);
  });
  check('recalled', 'battery', '100 Ah of 12 V at half, 30 A: 1.67 h', () => {
    const drive: Drive = { kind: 'electric', cruise: 1.5, battery: 1200 * HOUR, draw: 360 };
    const { held, usable, rate } = storeOf(drive, 1.5)!;
    expect((held! * usable) / rate!.value / HOUR).toBeCloseTo(1.67, 2);
  });
  check(
    'recalled',
    'fuel-burn',
    'a four-stroke of 40 hp burns 3.3 gal/h at full throttle, 60 % of it cruising',
    () => {
      const rate = storeOf(outboard({ burn: undefined, power: 40 * HORSEPOWER }), 5)!.rate!;
      expect([(rate.value * HOUR) / US_GALLON / 0.6, rate.known]).toEqual([expect.closeTo(3.28, 2), 'rule']);
    },
  );
  test('at other speeds it is told from the log: between two, no cheaper an hour when slower, by the cube when faster', () => {
    const drive = outboard({ cruise: 4, burn: 4, log: [{ speed: 8, burn: 8 }] });
    const at = (speed: number) => storeOf(drive, speed)!.rate!;
    expect([at(4), at(6), at(2), at(16)]).toEqual([
      { value: 4, known: 'said' },
      { value: 6, known: 'between' },
      { value: 4, known: 'near' },
      { value: 64, known: 'near' },
    ]);
  });
  test('every boat that a motor moves is looked at; what was loaded as fuel is in her tank', () => {
    const [own, other] = [aBoat({ propulsion: [outboard()] }), aBoat({ propulsion: [outboard()] })];
    const canoe = aBoat({ propulsion: [{ kind: 'paddle' }] });
    const trip = world(own, [aPerson()], {
      trip: {
        load: [{ name: 'Petrol', liquid: 'petrol', volume: 0.012 }],
        company: [
          { boat: other.id, people: [], fuel: 0.005 },
          { boat: canoe.id, people: [] },
        ],
      },
    }).input.trip;
    expect(motored(trip, [own, other, canoe]).map(({ boat, fuel }) => [boat.id, fuel])).toEqual([
      [own.id, 0.012],
      [other.id, 0.005],
    ]);
  });
});

describe('fuel over a trip', () => {
  /** The way of this world is 2.2 km, 7.4 minutes at 5 m/s. */
  const on = (drive: Partial<Drive>, trip = {}, more: Partial<Boat> = {}) =>
    world(aBoat({ propulsion: [outboard(drive)], ...more }), [aPerson()], { trip });
  test.each<[string, Partial<Drive>, object, string]>([
    ['a third kept', {}, { fuel: 0.02 }, 'ready'],
    ['nobody said what is in the tank', {}, {}, 'know'],
    ['more than two thirds of it', { burn: 0.016 / 400 }, { fuel: 0.02 }, 'fix'],
    ['more than all of it', { burn: 0.03 / 400 }, { fuel: 0.02 }, 'stop'],
    ['more than a full tank', { burn: 0.03 / 400 }, {}, 'stop'],
    ['more than all of it by a rule of thumb', { burn: undefined, power: 5e5, tank: 0.001 }, {}, 'fix'],
    ['nothing known of the tank', { tank: undefined }, {}, 'know'],
    ['nothing known of what she burns', { burn: undefined }, { fuel: 0.02 }, 'know'],
  ])('%s', (_, drive, trip, level) => expect(on(drive, trip).level('day/fuel')).toBe(level));
  test('a guess makes neither a Ready nor a Stop', () => {
    const basis = { '/propulsion/0/burn': 'guessed' as const };
    expect(on({}, { fuel: 0.02 }, { basis }).level('day/fuel')).toBe('know');
    expect(on({ burn: 0.03 / 400 }, { fuel: 0.02 }, { basis }).level('day/fuel')).toBe('fix');
    expect(on({}, { fuel: 0.02, basis: { '/fuel': 'guessed' } }).level('day/fuel')).toBe('know');
    expect(on({}, { fuel: 0.02, speed: 5, basis: { '/speed': 'guessed' } }).level('day/fuel')).toBe('know');
  });
  test('enough is enough only if it is so with the motor running at halts too', () => {
    // 2.2 km out and home take 442 s, and burn 22 L/h there; halts of 10 min and of 2 h.
    const stay = (minutes: number) => {
      const w = on({ burn: 22e-3 / 3600 }, { fuel: 0.02 });
      const halts = w.input.trip.halts.map((halt) => ({ ...halt, minutes }));
      return assess({ ...w.input, trip: { ...w.input.trip, halts } }).findings.find(({ id }) =>
        id.startsWith('day/fuel'),
      )!;
    };
    expect(stay(10).level).toBe('ready');
    const long = stay(120);
    // 442 s and 7,200 s at 22 L/h are 46.7 L.
    expect([long.level, long.assumed.map((p) => render(p, reader))]).toEqual([
      'know',
      [
        'Her motor is taken to rest where you stay, 2 h 00 in all. Running all that time as well she would burn 46.7 L.',
      ],
    ]);
  });
  test('it says what is left at each place', () =>
    expect(on({}, { fuel: 0.02 }).say('day/fuel').join(' ')).toMatch(
      /What is left: 19\.\d L at Slip.*19\.\d L at Slip/,
    ));
});

describe('water to drink', () => {
  /** The way takes 7 minutes and the halt ten: so planned, 0.14 L each; for two hours longer, 1.14 L each. */
  const level = (volume: number | undefined, n: number) => {
    const load = volume === undefined ? [] : [{ name: 'Water', liquid: 'drink' as const, volume }];
    const people = Array.from({ length: n }, () => aPerson());
    return world(aBoat({ propulsion: [outboard()] }), people, { trip: { load } }).level('day/water');
  };
  test.each<[volume: number | undefined, people: number, level: string]>([
    [undefined, 1, 'know'],
    [0.0001, 1, 'fix'],
    [0.0002, 1, 'know'],
    [0.0012, 1, 'ready'],
    [0.0012, 2, 'know'],
    [0.0012, 9, 'fix'],
  ])('%s m³ for %i', (volume, people, as) => expect(level(volume, people)).toBe(as));
});
