import { describe, expect, test } from '@jest/globals';
import { aPerson, inputOf } from '../../test/demo';
import { Boat, Trip, THINGS } from '../model';
import { render } from '../say';
import fc from 'fast-check';
import { runs } from '../../test/runs';
import {
  emptyWeight,
  floaters,
  holesOf,
  hullOf,
  leak,
  spaceOf,
  startCard,
  swamped,
  FLOODING,
  HULLS,
} from '../boat';
import { CRAFT, type Craft } from '../model/lists';
import { standingFacts } from './facts';
import { contextOf } from './context';
import { startBoat, STARTING_POINTS } from '../boat/start';
import { HANDOVER } from '../boat/handover';
import { skiff, world } from '../../test/afloat';

const reader = { units: 'metric', zone: 'UTC', locale: 'en-GB' } as const;

describe('starting points', () => {
  test('ten kinds, two or three sizes each; each a valid boat, every value a guess, none that a law turns on', () => {
    const kinds = new Map<string, number>();
    for (const point of STARTING_POINTS) {
      kinds.set(point.kind, (kinds.get(point.kind) ?? 0) + 1);
      const boat = startBoat(point, '01890000-0000-7000-8000-000000000099', 'New');
      expect(Boat.safeParse(boat).error).toBeUndefined();
      expect(Object.values(boat.basis ?? {}).every((how) => how === 'guessed')).toBe(true);
      expect(boat.basis?.['/length']).toBe('guessed');
      for (const field of ['fuelTank', 'closedSpaces', 'cutOffSwitch', 'appliance', 'modelYear'] as const)
        expect(boat[field]).toBeUndefined();
      expect(typeof boat.plate).not.toBe('object');
    }
    expect(kinds.size).toBe(10);
    for (const n of kinds.values()) expect([2, 3]).toContain(n);
  });
  test('each floats upright with her usual crew aboard, with freeboard left', () => {
    for (const point of STARTING_POINTS) {
      const n = Math.min(2, HULLS[point.kind].seats.length);
      const boat = startBoat(point, '01890000-0000-7000-8000-000000000099', 'New');
      const { findings } = world(
        boat,
        Array.from({ length: n }, () => aPerson({ mass: 75 })),
      );
      expect({ id: point.id, upright: findings.some((f) => f.id.startsWith('lie/upright')) }).toEqual({
        id: point.id,
        upright: false,
      });
    }
  });
  test('a guessed length is no answer to a law: sixteen feet guessed leaves it open', () => {
    const at = (basis: Boat['basis']) =>
      standingFacts(contextOf(world(skiff({ length: 16 * 0.3048, basis }), [aPerson()]).input))[
        'boat.length'
      ];
    expect(at({})).toBeCloseTo(4.8768, 6);
    expect(at({ '/length': 'guessed' })).toMatchObject({ low: expect.any(Number), high: expect.any(Number) });
  });
});

describe('cards and walks', () => {
  const card = (more: Partial<Boat>) =>
    startCard({ propulsion: [{ kind: 'outboard' }], ...more })?.map((s) => render(s, reader)) ?? [];
  test('what was entered is told, what was not is asked for; no motor, no card', () => {
    expect(card({}).filter((s) => /Not entered|not entered/.test(s)).length).toBe(4);
    const full = card({
      controls: {
        start: 'pull',
        cord: 'lanyard',
        gear: 'lever',
        choke: 'choke',
        steering: 'tiller',
        tilt: 'red lever, port side',
        stop: 'pull the fuel line',
      },
    });
    expect(full.join(' ')).toMatch(
      /spare kill cord.*neutral.*red lever.*choke out.*Pull slowly.*opposite way.*pull the fuel line/,
    );
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
  const boats = fc.record({
    kind: fc.constantFrom(...(Object.keys(CRAFT) as Craft[])),
    length: number(1, 15),
    beam: number(0.2, 6),
    depth: fc.option(number(0.05, 3), { nil: undefined }),
    mass: fc.option(number(3, 10_000), { nil: undefined }),
    foam: fc.integer({ min: 0, max: 2000 }),
  });
  const seats = fc.array(fc.record({ mass: number(2, 250), x: number(0, 1), y: number(-1, 1) }), {
    minLength: 1,
    maxLength: 6,
  });
  test('every figure is a number, every finding renders, and no guess is a Stop', () => {
    fc.assert(
      fc.property(boats, seats, ({ foam, ...measures }, where) => {
        const boat = skiff({
          plate: undefined,
          ...measures,
          basis: { '/length': 'guessed' },
          flotation: 'foam',
          ...(foam > 0
            ? { reserve: [{ what: 'foam' as const, where: 'sides' as const, litres: foam }] }
            : {}),
        });
        const { figures, findings } = world(
          boat,
          where.map(({ mass }) => aPerson({ mass })),
          { crew: where.map(({ x, y }) => ({ seat: { x, y } })) },
        );
        for (const [name, f] of Object.entries(figures))
          expect({ name, finite: Number.isFinite(f.value) }).toEqual({ name, finite: true });
        for (const f of findings)
          for (const line of [f.title, ...f.because, ...f.assumed])
            expect(render(line, reader)).not.toMatch(/NaN|undefined|Infinity/);
        expect(findings.filter((f) => f.level === 'stop' && /^(lie|ways|crew)\//.test(f.id))).toEqual([]);
      }),
      { numRuns: runs(60) },
    );
  });
  test('what the leak, the swamping and the leaning give is a number or said in words', () => {
    fc.assert(
      fc.property(boats, number(0.005, 0.3), ({ foam, ...measures }, diameter) => {
        const boat = skiff({
          ...measures,
          openings: [{ name: 'Hole', kind: 'plug', diameter }],
          reserve: [{ what: 'foam', where: 'bow', litres: Math.max(1, foam) }],
        });
        const hull = hullOf(boat)!,
          weight = emptyWeight(boat, hull);
        const hole = holesOf(boat, hull)[0];
        const found = leak({
          hull,
          hole,
          space: spaceOf(boat, hull, hole),
          weight,
          density: 1000,
          relief: { pump: 0, bailers: 1 },
          sea: FLOODING.wash.usual,
        });
        for (const n of [found.inflow, found.aboard, found.third ?? 0, found.swamped ?? 0])
          expect(Number.isFinite(n) && n >= 0).toBe(true);
        if (found.third !== undefined && found.swamped !== undefined)
          expect(found.third).toBeLessThanOrEqual(found.swamped + 1e-6);
        const full = swamped(
          hull,
          floaters(boat, hull),
          weight,
          [],
          [{ mass: 80, x: hull.length / 2, y: 0, z: hull.depth }],
          1000,
        );
        expect([
          Number.isFinite(full.spare),
          full.carries === 0 || full.carries === 1,
          full.lacking >= 0,
        ]).toEqual([true, true, true]);
        if (full.spare < 0) expect(full.outcome.state).toBe('sinks');
      }),
      {
        numRuns: runs(40),
        examples: [[{ kind: 'sit-on-top', length: 1, beam: 2.59, depth: 0.05, mass: 77.4, foam: 0 }, 0.005]],
      },
    );
  });
});

describe('bad input', () => {
  test.each<[string, object]>([
    ['zero length', { length: 0 }],
    ['a hull a kilometre long', { length: 1000 }],
    ['a depth of nothing', { depth: 0 }],
    ['an opening of no bore', { openings: [{ name: 'P', kind: 'plug', diameter: 0 }] }],
    ['a floating part of no litres', { reserve: [{ what: 'foam', where: 'bow', litres: 0 }] }],
    ['a kind nobody knows', { kind: 'submarine' }],
  ])('%s is refused by its field', (_name, more) => {
    const read = Boat.safeParse({ ...skiff(), ...more });
    expect(read.success).toBe(false);
    expect(read.error?.issues[0].path[0]).toBe(Object.keys(more)[0]);
  });
  test('a load entry needs a weight, or a liquid with its volume', () => {
    const entry = (item: object) => Trip.safeParse({ ...inputOf().trip, load: [item] }).success;
    expect([
      entry({ name: 'Bag' }),
      entry({ name: 'Bag', mass: 3 }),
      entry({ name: 'Fuel', liquid: 'petrol' }),
      entry({ name: 'Fuel', liquid: 'petrol', volume: 0.02 }),
    ]).toEqual([false, true, false, true]);
  });
  test('a seat outside the boat is refused; two who watch each other, or one who watches himself, break nothing', () => {
    const person = aPerson({ swimming: 'weak' });
    expect(
      Trip.safeParse({
        ...inputOf().trip,
        crew: [{ person: person.id, role: 'crew', seat: { x: 1.2, y: 0 } }],
      }).success,
    ).toBe(false);
    expect(world(skiff(), [person], { crew: [{ buddy: person.id }] }).findings.length).toBeGreaterThan(0);
  });
});
