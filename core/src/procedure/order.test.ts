import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import orders from '../../data/practice/orders.json';
import { runs } from '../../test/runs';
import { chance, shuffled } from '../numeric/chance';
import { ASKED_ABOARD } from '../rules';
import { procedureOf, stepStates } from '.';
import { PROCEDURES } from './library';
import {
  deal,
  elsewhere,
  hasOrder,
  isOrdered,
  lawsOf,
  orderScore,
  take,
  unordered,
  USUAL_FACTS,
} from './order';

const facts = (kind: string, alone: boolean) => ({
  ...USUAL_FACTS,
  ...Object.fromEntries(ASKED_ABOARD.map((what) => [`kit.${what}`, true])),
  'boat.kind': kind,
  'boat.motor': true,
  'boat.combustion': true,
  'boat.inboard': false,
  'crew.alone': alone,
});
const made = (id: string, alone = false, kind = 'trailer-boat') =>
  procedureOf(
    PROCEDURES.find((row) => row.id === id)!,
    { facts: facts(kind, alone), crew: [] },
  );
const all = PROCEDURES.flatMap((row) => [true, false].map((alone) => made(row.id, alone)));

describe('laws of order', () => {
  test('each names steps that are there, of a procedure that is there', () => {
    const ids = new Map(PROCEDURES.map((row) => [row.id, new Set(row.steps.map(({ id }) => id))]));
    for (const { of, first, then } of orders.rows as { of?: string[]; first: string[]; then: string[] }[]) {
      const where = of ?? [...ids.keys()];
      for (const id of of ?? []) expect([id, ids.has(id)]).toEqual([id, true]);
      for (const step of [...first, ...then])
        expect([step, where.some((id) => ids.get(id)?.has(step))]).toEqual([step, true]);
    }
  });
  test('none goes against another: in the order of the list nothing is broken, for whoever it is made', () => {
    for (const procedure of all) {
      const ids = procedure.steps.map(({ id }) => id);
      for (const { first, then } of lawsOf(procedure.id))
        if (ids.includes(first) && ids.includes(then))
          expect([procedure.id, first, then, ids.indexOf(first) < ids.indexOf(then)]).toEqual([
            procedure.id,
            first,
            then,
            true,
          ]);
    }
  });
});

describe('put into order', () => {
  test('a re-entry, an overboard and a launch of each kind can be practised', () => {
    for (const [id, kind] of [
      ['capsize-sit-on-top', 'sit-on-top'],
      ['capsize-sit-inside', 'sit-inside'],
      ['capsize-catamaran', 'catamaran'],
      ['overboard', 'trailer-boat'],
      ['driver-gone', 'trailer-boat'],
      ['ramp-launch', 'trailer-boat'],
      ['ramp-retrieve', 'trailer-boat'],
      ['hand-launch', 'sit-on-top'],
      ['swamped', 'skiff'],
    ])
      expect([id, hasOrder(made(id, false, kind))]).toEqual([id, true]);
  });
  test('taken in the list’s order nothing is wrong, and all points are kept', () => {
    fc.assert(
      fc.property(fc.constantFrom(...all), fc.integer(), (procedure, seed) => {
        const puzzle = deal(procedure, chance(seed));
        expect(puzzle.steps.length).toBeLessThanOrEqual(8);
        expect(puzzle.dealt.map(({ id }) => id).sort()).toEqual(puzzle.steps.map(({ id }) => id).sort());
        const end = puzzle.steps.reduce((now, { id }) => take(puzzle, now, id), unordered);
        expect([end.wrong, isOrdered(puzzle, end), elsewhere(puzzle, end)]).toEqual([[], true, 0]);
        expect(orderScore(puzzle, end, puzzle.par).points).toBe(100);
      }),
      { numRuns: runs(150), seed: 12 },
    );
  });
  test('what is taken too soon stays, names what was missing and what it costs; whatever is tried, it can be finished', () => {
    fc.assert(
      fc.property(fc.constantFrom(...all), fc.integer(), (procedure, seed) => {
        const draw = chance(seed);
        const puzzle = deal(procedure, draw);
        let now = unordered;
        for (let round = 0; round < 20 && !isOrdered(puzzle, now); round += 1)
          for (const { id } of shuffled(puzzle.dealt, draw)) {
            const next = take(puzzle, now, id);
            if (next.wrong.length > now.wrong.length) {
              const { step, missing } = next.wrong.at(-1)!;
              expect([next.done.includes(step.id), next.done.includes(missing.id)]).toEqual([false, false]);
            }
            now = next;
          }
        expect(isOrdered(puzzle, now)).toBe(true);
      }),
      { numRuns: runs(100), seed: 13 },
    );
  });
  test('an engine still on beside a swimmer, by hand', () => {
    const overboard = made('overboard');
    const puzzle = { steps: overboard.steps, dealt: overboard.steps, laws: lawsOf('overboard'), par: 60 };
    const now = ['shout', 'neutral', 'back', 'line'].reduce(
      (state, id) => take(puzzle, state, id),
      unordered,
    );
    expect(now.wrong.map(({ missing, price }) => [missing.id, price])).toEqual([
      ['engine-off', 'A propeller that turns, beside a swimmer and a line.'],
    ]);
    expect(orderScore(puzzle, now, 60).points).toBe(88);
    expect(orderScore(puzzle, now, 80).points).toBe(78);
  });
  test('a gate of the steps themselves is a law too: what a run blocks is wrong here', () => {
    const launch = made('ramp-launch');
    const gated = launch.steps.find(({ after }) => (after?.length ?? 0) > 0)!;
    expect(stepStates(launch.steps, []).get(gated.id)?.blockedBy.length).toBeGreaterThan(0);
    const puzzle = deal(
      { ...launch, steps: launch.steps.filter(({ id }) => id === gated.id || gated.after?.includes(id)) },
      chance(1),
    );
    expect(take(puzzle, unordered, gated.id).wrong).toHaveLength(1);
  });
});
