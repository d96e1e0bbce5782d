/**
 * procedure: steps made for the facts of a trip. A step whose condition does not hold is left out; one that can't be told stays in.
 */
import type { Condition } from '../model';
import { evaluate, type World } from '../rules';

export interface StepRow {
  id: string;
  what: string;
  why: string;
  danger?: string;
  who?: string;
  /** Must be looked at again, by another eye or later: it has sunk boats. */
  second?: boolean;
  when?: Condition;
  /** Steps that must be ticked first. */
  after?: string[];
}

export interface ProcedureRow {
  id: string;
  title: string;
  group: 'go' | 'trouble' | 'home';
  /** What a person reads before starting. */
  stopIf?: string;
  for: Condition;
  source: string;
  steps: StepRow[];
  schools?: { question: string; sides: string[] }[];
}

export interface Step extends StepRow { n: number; of: number }
export interface Procedure extends Omit<ProcedureRow, 'steps'> { steps: Step[] }

/** The procedures that suit a boat: those whose condition is not refuted. */
export function proceduresFor(rows: ProcedureRow[], world: World): Procedure[] {
  return rows.filter((row) => evaluate(row.for, world).truth !== 'no').map((row) => procedureOf(row, world));
}

/** The steps for these facts, with what was forgotten on earlier trips asked first. */
export function procedureOf(row: ProcedureRow, world: World, forgotten: string[] = []): Procedure {
  const asked: StepRow[] = row.group === 'go' ? forgotten.map((what, i) => ({ id: `forgotten-${i}`, what: `Hold it in your hand: ${what}.`, why: 'You forgot it before.' })) : [];
  const chosen = [...asked, ...row.steps.filter((step) => !step.when || evaluate(step.when, world).truth !== 'no')];
  return { ...row, steps: chosen.map((step, i) => ({ ...step, n: i + 1, of: chosen.length })) };
}

export interface StepState { done: boolean; wantsSecond: boolean; blockedBy: string[] }

/** Where each step stands: done only when a second look was had where one is asked for; blocked while an earlier step it leans on is open. */
export function stepStates(steps: StepRow[], ticks: { step: string; second?: boolean; skipped?: boolean }[]): Map<string, StepState> {
  const first = new Set(ticks.filter((t) => !t.second && !t.skipped).map((t) => t.step));
  const again = new Set(ticks.filter((t) => t.second).map((t) => t.step));
  const done = (step: StepRow) => first.has(step.id) && (!step.second || again.has(step.id));
  return new Map(steps.map((step) => [step.id, {
    done: done(step),
    wantsSecond: Boolean(step.second) && first.has(step.id) && !again.has(step.id),
    blockedBy: (step.after ?? []).filter((id) => steps.some((s) => s.id === id && !first.has(s.id))),
  }]));
}
