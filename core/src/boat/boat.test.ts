import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { check } from '../../test/check';
import type { Boat, Person } from '../model';
import { FOOT } from '../units';
import { drives, loadOf, personsFromPounds, personsRule } from '.';

const boat = (more: Partial<Boat>): Boat => ({ id: 'b', name: 'B', kind: 'skiff', propulsion: [], openings: [], ...more });
const person = (id: string, mass?: number): Person => ({ id, name: id, ...(mass === undefined ? {} : { mass }) });

describe('persons', () => {
  for (const [l, b, n] of [[12, 4, 3], [14, 5, 4], [16, 5.8, 6], [18, 7, 8], [20, 8, 10], [15, 4, 4], [14.9, 4, 3]] as const)
    check('recalled', 'no-plate-rule', `${l} by ${b} ft carries ${n}`, () => expect(personsRule('skiff', l * FOOT, b * FOOT)).toBe(n));
  for (const [pounds, n] of [[250, 2], [320, 2], [420, 3], [500, 4], [700, 5], [900, 7]] as const)
    check('recalled', 'cfr-33-183', `${pounds} lb of persons are ${n}`, () => expect(personsFromPounds(pounds)).toBe(n));
  test('the rule says nothing of kayaks, canoes, inflatables and the like', () => {
    for (const kind of ['sit-on-top', 'sit-inside', 'canoe', 'paddleboard', 'inflatable', 'personal-watercraft', 'catamaran', 'raft'] as const) expect(personsRule(kind, 5, 2)).toBeUndefined();
  });
  test('a bigger boat never carries fewer', () => {
    fc.assert(fc.property(fc.double({ min: 2, max: 8, noNaN: true }), fc.double({ min: 1, max: 3, noNaN: true }), fc.double({ min: 0, max: 2, noNaN: true }), (l, b, more) => expect(personsRule('skiff', l + more, b)!).toBeGreaterThanOrEqual(personsRule('skiff', l, b)!)));
  });
});

describe('load', () => {
  const load = [{ name: 'kit', mass: 20 }, { name: 'water', mass: 5 }];
  test('people and things are summed; the plate stands before the maker’s figure', () => {
    const sum = loadOf(boat({ plate: { persons: 3, totalMass: 300 }, advisedLoad: 200 }), [person('a', 80), person('c', 60)], { load });
    expect([sum.total, sum.people, sum.gear]).toEqual([165, 140, 25]);
    expect(sum.limit).toMatchObject({ mass: 300, from: 'plate' });
    expect(sum.personsLimit).toEqual({ count: 3, from: 'plate' });
  });
  test('a known lack of a plate falls to the maker’s figure; nothing known is no limit', () => {
    expect(loadOf(boat({ plate: 'none', advisedLoad: 172 }), [], { load }).limit).toMatchObject({ mass: 172, from: 'advised' });
    expect(loadOf(boat({}), [], { load }).limit).toBeUndefined();
  });
  test('who has no weight is named, and guesses are said', () => {
    expect(loadOf(boat({}), [person('a'), person('c', 60)], { load })).toMatchObject({ unknown: ['a'], people: 60, guessed: false });
    expect(loadOf(boat({ advisedLoad: 100, basis: { '/advisedLoad': 'guessed' } }), [], { load }).guessed).toBe(true);
  });
});

test('how she moves: unknown when nobody said', () => {
  expect(drives(boat({}))).toEqual({});
  expect(drives(boat({ propulsion: [{ kind: 'paddle' }, { kind: 'electric' }] }))).toMatchObject({ motor: true, combustion: false, manual: false, human: true });
  expect(drives(boat({ propulsion: [{ kind: 'outboard' }, { kind: 'oars' }] }))).toMatchObject({ motor: true, combustion: true, human: false });
});
