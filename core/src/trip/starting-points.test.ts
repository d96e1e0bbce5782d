import { describe, expect, test } from '@jest/globals';
import { figureNamed } from '../verdict';
import { check } from '../../test/check';
import { household } from '../../test/households';
import {
  afloat,
  emptyWeight,
  holesOf,
  hullOf,
  leak,
  maximumDisplacement,
  placed,
  planCoefficient,
  plateOf,
  spaceOf,
  together,
  FLOODING,
} from '../boat';
import { assess, type AssessInput } from '.';
import { startBoat, STARTING_POINTS } from '../boat/start';

/** Kilograms aboard, of kit beside them, and the two waters that a trip knows. */
const PEOPLE = [60, 80, 110];
const KIT = [10, 15];
const WATERS = [{ class: 'lake' }, { class: 'coastal' }] as const;

/** One person of this mass in a boat from this starting point, everything else stated. */
function with1(n: number, mass: number, kit: number, water: (typeof WATERS)[number]) {
  const base = household(n);
  const input: AssessInput = {
    ...base,
    trip: {
      ...base.trip,
      crew: base.trip.crew.slice(0, 1),
      load: [{ name: 'Kit', mass: kit, place: 'middle' }],
    },
    shed: {
      ...base.shed,
      people: base.shed.people.slice(0, 1).map((p) => ({ ...p, mass })),
      waters: base.shed.waters.map((w) => ({ ...w, ...water })),
    },
  };
  const { findings, figures } = assess(input);
  const level = (id: string) => findings.find((f) => f.id.startsWith(`${id}/`))?.level;
  return { figures, level, findings };
}

/**
 * What boats of a kind do with somebody of 80 kg and some kit aboard: metacentric height and least freeboard in metres, list
 * and trim at rest in degrees, waterplane and block of the form. Handbook ranges, from memory: initial stability of sea
 * kayaks some centimetres, of open boats half a metre to a metre, of rafts and two hulls metres.
 */
const TABLE: Record<string, { gm: [number, number]; free: [number, number]; heel: number; trim: number }> = {
  'sit-on-top': { gm: [0.12, 0.45], free: [0.12, 0.32], heel: 1, trim: 2 },
  'sit-inside': { gm: [0.03, 0.25], free: [0.12, 0.3], heel: 1, trim: 2 },
  canoe: { gm: [0.1, 0.6], free: [0.15, 0.35], heel: 1, trim: 2 },
  paddleboard: { gm: [0.05, 0.7], free: [0.04, 0.14], heel: 1, trim: 2 },
  inflatable: { gm: [0.8, 3.5], free: [0.15, 0.5], heel: 6, trim: 3 },
  skiff: { gm: [0.5, 1.6], free: [0.2, 0.5], heel: 1, trim: 3 },
  'trailer-boat': { gm: [0.4, 1.4], free: [0.3, 0.8], heel: 6, trim: 3 },
  'personal-watercraft': { gm: [0.15, 0.7], free: [0.2, 0.5], heel: 1, trim: 3 },
  catamaran: { gm: [3, 12], free: [0.1, 0.4], heel: 6, trim: 3 },
  raft: { gm: [2, 9], free: [0.3, 0.6], heel: 1, trim: 2 },
};
/**
 * Minutes in which one opening left open fills a boat of a kind, with one aboard and nobody bailing. From
 * memory: a kayak’s plug minutes, an open boat’s half an hour, a trailer boat’s an hour or two, a slim hull
 * of two the quickest.
 */
const FILLS: Record<string, [number, number]> = {
  'sit-on-top': [4, 25],
  'sit-inside': [4, 25],
  skiff: [15, 45],
  'trailer-boat': [40, 150],
  'personal-watercraft': [15, 60],
  catamaran: [2, 20],
};
const degrees = (angle: number) => (angle * 180) / Math.PI;
const within = (value: number, [low, high]: readonly [number, number]) => {
  expect(value).toBeGreaterThanOrEqual(low);
  expect(value).toBeLessThanOrEqual(high);
};

test('there are 24 starting points of ten kinds', () => {
  expect(STARTING_POINTS).toHaveLength(24);
  expect(new Set(STARTING_POINTS.map((s) => s.kind))).toEqual(new Set(Object.keys(TABLE)));
});

describe.each(STARTING_POINTS.map((s, n) => [s.id, n] as const))('%s', (_id, n) => {
  const start = STARTING_POINTS[n];
  const row = TABLE[start.kind];
  test('floats upright with anybody, in any water and off the middle, or says that she is too small', () => {
    for (const mass of PEOPLE)
      for (const kit of KIT)
        for (const water of WATERS) {
          const { figures, level } = with1(n, mass, kit, water);
          // Off the middle by three centimetres is tried for each narrow boat in her own finding.
          const small = ['lie/upright', 'lie/tender', 'load/over', 'load/share'].some((id) =>
            ['fix', 'stop'].includes(level(id) ?? ''),
          );
          if (small) continue;
          expect(figureNamed(figures, 'boat/freeboard')!.value).toBeGreaterThan(0);
          expect(figureNamed(figures, 'boat/gm')!.value).toBeGreaterThan(0);
          expect(Math.abs(degrees(figureNamed(figures, 'boat/heel')!.value))).toBeLessThan(8);
          expect([level('lie/awash'), level('lie/opening'), level('lie/upright')]).toEqual([
            undefined,
            undefined,
            undefined,
          ]);
        }
  });
  test('nobody of 60 kg is too heavy for her', () => {
    const { level } = with1(n, 60, 10, WATERS[1]);
    expect([level('load/over'), level('load/share'), level('lie/upright')]).toEqual([
      undefined,
      undefined,
      undefined,
    ]);
    expect(level('lie/tender')).not.toBe('fix');
  });
  check('recalled', 'ship-theory', 'freeboard, trim, list and metacentric height of her kind', () => {
    const { figures } = with1(n, 80, 12, WATERS[1]);
    within(figureNamed(figures, 'boat/gm')!.value, row.gm);
    within(figureNamed(figures, 'boat/freeboard')!.value, row.free);
    expect(Math.abs(degrees(figureNamed(figures, 'boat/heel')!.value))).toBeLessThan(row.heel);
    expect(Math.abs(degrees(figureNamed(figures, 'boat/trim')!.value))).toBeLessThan(row.trim);
  });
  test('heavier: deeper; saltier, over brackish to the sea: higher', () => {
    const boat = startBoat(start, '01890000-0000-7000-8000-00000000b0a7', start.title);
    const hull = hullOf(boat)!;
    const { trip, shed } = household(n);
    const free = (mass: number, density: number) => {
      const crew = shed.people.slice(0, 1).map((p) => ({ ...p, mass }));
      return afloat(boat, hull, placed({ ...trip, crew: trip.crew.slice(0, 1) }, crew, hull), density).free!
        .lowest;
    };
    expect(free(60, 1025)).toBeGreaterThan(free(80, 1025));
    expect(free(80, 1012)).toBeGreaterThan(free(80, 1000));
    expect(free(80, 1025)).toBeGreaterThan(free(80, 1012));
  });
  test('a narrow boat tells a band that holds the figure', () => {
    const { figures, level } = with1(n, 80, 12, WATERS[1]);
    const narrow = start.boat.beam! < 1;
    expect(level('lie/tender') !== undefined).toBe(narrow);
    if (narrow)
      for (const name of ['boat/gm', 'boat/freeboard']) {
        const figure = figureNamed(figures, name)!;
        within(figure.value, figure.range!);
      }
  });
  test('swamped: one answer, and never sitting in a boat that does not bear them', () => {
    for (const mass of PEOPLE) {
      const found = with1(n, mass, 12, WATERS[1]).findings.filter((f) => f.id.startsWith('lie/swamped'));
      expect(found).toHaveLength(1);
      expect(found[0].because.length + (found[0].assumed?.length ?? 0)).toBeGreaterThan(0);
      if (found[0].level === 'ready') expect(start.boat.flotation).not.toBe('none');
    }
  });
  test('what leaks and what is swamped agree: who may sit in her when she is full is not rolled over by an opening', () => {
    const boat = startBoat(start, '01890000-0000-7000-8000-00000000b0a7', start.title);
    const hull = hullOf(boat)!;
    const { trip, shed } = household(n);
    for (const mass of PEOPLE) {
      const crew = shed.people.slice(0, 1).map((p) => ({ ...p, mass }));
      const weight = together([
        emptyWeight(boat, hull),
        ...placed({ ...trip, crew: trip.crew.slice(0, 1) }, crew, hull),
      ]);
      const swamped = with1(n, mass, 12, WATERS[1]).level('lie/swamped');
      for (const hole of holesOf(boat, hull)) {
        const space = spaceOf(boat, hull, hole);
        const found = leak(
          { hull, hole, space, weight, density: 1025, relief: { pump: 0, bailers: 0 }, sea: 0.3 },
          FLOODING,
        );
        expect({
          hole: hole.name,
          mass,
          ...(found.end === 'capsized' ? { set: swamped === 'ready' } : {}),
        }).not.toMatchObject({ set: true });
        if (found.swamped !== undefined) within(found.swamped / 60, FILLS[start.kind]);
      }
    }
  });
  test('her form bears more than anybody and kit that her plate lets in', () => {
    const boat = startBoat(start, '01890000-0000-7000-8000-00000000b0a7', start.title);
    const hull = hullOf(boat)!;
    expect(maximumDisplacement(hull)).toBeGreaterThan(
      (boat.mass ?? 0) + (plateOf(boat)?.totalMass ?? boat.advisedLoad ?? 0),
    );
    within(planCoefficient(hull.form), start.kind === 'catamaran' ? [0.55, 0.95] : [0.6, 0.95]);
  });
});

describe('how she is driven, guessed from a starting point', () => {
  const engine = (id: string, motor?: 'stated') => {
    const n = STARTING_POINTS.findIndex((s) => s.id === id);
    const base = household(n, { guessed: true });
    const boats = base.shed.boats.map((b) =>
      motor ? { ...b, propulsion: [...b.propulsion, { kind: 'outboard' as const, power: 1500 }] } : b,
    );
    const found = assess({ ...base, shed: { ...base.shed, boats } });
    return found.requirements.find((r) => r.title === 'Spares for the engine')?.applies;
  };
  test('a kayak, a board, a raft and a catamaran have no engine unless somebody says so; of others it is open', () => {
    for (const id of ['sot-long', 'sink-sea', 'canoe-two', 'sup-all', 'raft-12', 'cat-16'])
      expect([id, engine(id)]).toEqual([id, 'no']);
    for (const id of ['inf-mid', 'skiff-12', 'tb-16', 'pwc-two'])
      expect([id, engine(id)]).toEqual([id, 'unknown']);
    expect(engine('sot-long', 'stated')).not.toBe('no');
  });
});
