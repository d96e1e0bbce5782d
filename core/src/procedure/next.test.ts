import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { runs } from '../../test/runs';
import { LOOK_AGAIN, nextStep, stepStates, type StepTick } from '.';
import { PROCEDURES } from './library';

const steps = [
  { id: 'plug', second: true, who: 'Helper' },
  { id: 'back', who: 'Driver' },
  { id: 'line', who: 'Helper' },
  { id: 'afloat', who: 'Driver', after: ['plug', 'line'] },
];
const NINE = Date.UTC(2026, 4, 12, 9);
const tick = (step: string, seconds = 0, more: Partial<StepTick> = {}): StepTick => ({
  step,
  at: new Date(NINE + seconds * 1000).toISOString(),
  by: 'a',
  ...more,
});
const at = (
  ticks: StepTick[],
  more: { now?: number; skipped?: string[]; chosen?: string; hand?: string } = {},
) =>
  nextStep(steps, {
    states: stepStates(steps, ticks),
    skipped: new Set(more.skipped ?? []),
    now: more.now ?? NINE,
    chosen: more.chosen,
    ...(more.hand ? { mine: ({ who }) => who === more.hand } : {}),
  })?.id;

describe('which step stands next', () => {
  test('what was never touched first, second looks when they are due, then what was put off', () => {
    expect(at([])).toBe('plug');
    expect(at([tick('plug')])).toBe('back');
    expect(at([tick('plug'), tick('back'), tick('line')])).toBe('plug');
    expect(at([tick('plug'), tick('line')], { skipped: ['back'], now: NINE + LOOK_AGAIN })).toBe('plug');
    expect(at([tick('plug'), tick('line')], { skipped: ['back'] })).toBe('back');
  });
  test('what is locked is never offered, though it was chosen; what is chosen comes first where it may', () => {
    expect(at([], { chosen: 'afloat' })).toBe('plug');
    expect(at([], { chosen: 'line' })).toBe('line');
  });
  test('each phone its own hands; nothing for one is not nothing at all', () => {
    expect(at([], { hand: 'Driver' })).toBe('back');
    expect(at([tick('back')], { hand: 'Driver' })).toBeUndefined();
    expect(at([tick('back')])).toBe('plug');
  });
  test('all done: none', () => {
    const all = [tick('plug'), tick('plug', 1000), tick('back'), tick('line'), tick('afloat', 1001)];
    expect(at(all)).toBeUndefined();
  });
  test('over every procedure, walked by two phones in any order, each comes to its end and never to what is locked', () => {
    const row = fc.constantFrom(...PROCEDURES.filter((p) => p.steps.some((s) => s.who)));
    fc.assert(
      fc.property(row, fc.infiniteStream(fc.boolean()), (p, turns) => {
        const ticks: StepTick[] = [];
        let now = NINE;
        for (const first of turns) {
          const states = stepStates(p.steps, ticks);
          const walk = { states, skipped: new Set<string>(), now };
          const mine = ({ who }: { who?: string | undefined }) => (who === 'Helper') !== first;
          const step = nextStep(p.steps, { ...walk, mine }) ?? nextStep(p.steps, walk);
          if (!step) break;
          expect(states.get(step.id)?.blockedBy).toEqual([]);
          ticks.push({ step: step.id, at: new Date(now).toISOString(), by: first ? 'a' : 'b' });
          now += LOOK_AGAIN;
        }
        expect([...stepStates(p.steps, ticks).values()].every((s) => s.done)).toBe(true);
      }),
      { numRuns: runs(60), seed: 4 },
    );
  });
});
