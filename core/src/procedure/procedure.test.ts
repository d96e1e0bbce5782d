import { describe, expect, test } from '@jest/globals';
import { PROCEDURES } from '../trip';
import { procedureOf, proceduresFor, stepStates, type StepRow } from '.';

const world = (facts: Record<string, boolean | string>) => ({ facts, crew: [] });
const launch = PROCEDURES.find((p) => p.id === 'hand-launch')!;
const ids = (facts: Record<string, boolean | string>) => procedureOf(launch, world(facts)).steps.map((s) => s.id);

describe('steps made for the facts', () => {
  test('the light in the dark, not by day; what can’t be told stays in', () => {
    expect(ids({ 'day.dark': true })).toContain('light');
    expect(ids({ 'day.dark': false })).not.toContain('light');
    expect(ids({})).toContain('light');
  });
  test('what was forgotten before is asked first', () => expect(procedureOf(launch, world({}), ['Hat']).steps[0].what).toContain('Hat'));
  test('a procedure is offered only to boats it was written for', () => {
    expect(proceduresFor(PROCEDURES, world({ 'boat.kind': 'sit-on-top' })).map((p) => p.id)).toContain('hand-launch');
    expect(proceduresFor(PROCEDURES, world({ 'boat.kind': 'trailer-boat' })).map((p) => p.id)).not.toContain('hand-launch');
  });
  test('steps are numbered without gaps', () => {
    const made = procedureOf(launch, world({ 'day.dark': false }));
    expect(made.steps.map((s) => s.n)).toEqual(made.steps.map((_, i) => i + 1));
    expect(new Set(made.steps.map((s) => s.of))).toEqual(new Set([made.steps.length]));
  });
});

describe('where a step stands', () => {
  const steps: StepRow[] = [{ id: 'plug', what: '', why: '', second: true }, { id: 'float', what: '', why: '', after: ['plug'] }, { id: 'wave', what: '', why: '', after: ['not-there'] }];
  test('a second look is asked for and makes it done', () => {
    expect(stepStates(steps, []).get('plug')).toEqual({ done: false, wantsSecond: false, blockedBy: [] });
    expect(stepStates(steps, [{ step: 'plug' }]).get('plug')).toMatchObject({ done: false, wantsSecond: true });
    expect(stepStates(steps, [{ step: 'plug' }, { step: 'plug', second: true }]).get('plug')).toMatchObject({ done: true, wantsSecond: false });
  });
  test('"not now" keeps a step open and blocks what leans on it; a step that was left out blocks nothing', () => {
    const states = stepStates(steps, [{ step: 'plug', skipped: true }]);
    expect(states.get('plug')?.done).toBe(false);
    expect(states.get('float')?.blockedBy).toEqual(['plug']);
    expect(states.get('wave')?.blockedBy).toEqual([]);
  });
});
