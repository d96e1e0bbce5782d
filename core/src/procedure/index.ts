/**
 * procedure: steps made for the facts of a trip. A step whose condition does not hold is left out; one that can't be told stays in.
 */
import type { Condition } from '../model';
import { evaluate, type World } from '../rules';
import { MS } from '../units';

export interface StepRow {
  id: string;
  what: string;
  why: string;
  danger?: string;
  who?: string;
  /** Must be looked at again, by another eye or later: it has sunk boats. */
  second?: boolean;
  when?: Condition;
  /** For whom it is, in words, where that can't be told: "In the dark". */
  only?: string;
  /** Steps that must be done first, with their second looks: what follows can't be undone. */
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

export interface Step extends StepRow {
  n: number;
  of: number;
}
export interface Procedure extends Omit<ProcedureRow, 'steps'> {
  steps: Step[];
}

/** The procedures that suit a boat: those whose condition is not refuted. */
export function proceduresFor(rows: ProcedureRow[], world: World): Procedure[] {
  return rows.filter((row) => evaluate(row.for, world).truth !== 'no').map((row) => procedureOf(row, world));
}

/** Identity of what was forgotten: by its words, so that it stays itself when the list changes. */
const forgottenId = (what: string) =>
  `forgotten:${what
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .slice(0, 48)}`;

/** The steps for these facts, with what was forgotten on earlier trips asked first. */
export function procedureOf(row: ProcedureRow, world: World, forgotten: string[] = []): Procedure {
  const asked: StepRow[] =
    row.group === 'go'
      ? forgotten.map((what) => ({
          id: forgottenId(what),
          what: `Hold it in your hand: ${what}.`,
          why: 'You forgot it before.',
        }))
      : [];
  const unsettled: StepRow[] = row.steps.flatMap((step) => {
    const truth = step.when ? evaluate(step.when, world).truth : 'yes';
    if (truth === 'no') return [];
    // What can't be told stays in, and says for whom it is.
    return [truth === 'unknown' && step.only ? { ...step, what: `${step.only}: ${lower(step.what)}` } : step];
  });
  const chosen = [...asked, ...unsettled];
  return { ...row, steps: chosen.map((step, i) => ({ ...step, n: i + 1, of: chosen.length })) };
}

const lower = (text: string) => text[0].toLowerCase() + text.slice(1);

/** A tick as a run keeps it; `by` is the device or the person whose eye it was. */
export interface StepTick {
  step: string;
  at: string;
  second?: boolean;
  skipped?: boolean;
  by?: string;
}

export interface StepState {
  done: boolean;
  /** It was looked at once, and wants another look. */
  wantsSecond: boolean;
  /** When one's own eye may look again, epoch ms; another's may at any time. */
  againFrom?: number;
  /** Steps that must be done first, their second looks included. */
  blockedBy: string[];
}

/** One's own second look counts so much later: by then one comes back to it, instead of pressing twice. Our own choice. */
export const LOOK_AGAIN = 2 * MS.minute;
/** Two presses closer than this are one, whoever's name is on the second. */
const ONE_PRESS = 2 * MS.second;

/**
 * Where each step stands, folded from the ticks in the order of their times, so that no order of taps, devices or reloads
 * passes a gate: a tick on a step that was blocked then is no tick; a second look counts when it is another's, or later.
 */
export function stepStates(steps: StepRow[], ticks: readonly StepTick[]): Map<string, StepState> {
  const rows = new Map(steps.map((step) => [step.id, step]));
  const first = new Map<string, { at: number; by?: string }>();
  const again = new Set<string>();
  const done = (id: string) => {
    const step = rows.get(id);
    return !step || (first.has(id) && (!step.second || again.has(id)));
  };
  const blockers = (step: StepRow) => (step.after ?? []).filter((id) => !done(id));
  const inTime = ticks.map((tick) => ({ ...tick, ms: Date.parse(tick.at) })).sort((a, b) => a.ms - b.ms);
  for (const { step: id, ms, by, skipped } of inTime) {
    const step = rows.get(id);
    if (!step || skipped || blockers(step).length > 0) continue;
    const seen = first.get(id);
    if (!seen) first.set(id, { at: ms, ...(by === undefined ? {} : { by }) });
    else if (ms - seen.at >= LOOK_AGAIN || (by !== undefined && by !== seen.by && ms - seen.at >= ONE_PRESS))
      again.add(id);
  }
  return new Map(
    steps.map((step): [string, StepState] => {
      const seen = first.get(step.id);
      const wantsSecond = Boolean(step.second) && seen !== undefined && !again.has(step.id);
      return [
        step.id,
        {
          done: done(step.id),
          wantsSecond,
          ...(wantsSecond ? { againFrom: seen.at + LOOK_AGAIN } : {}),
          blockedBy: blockers(step),
        },
      ];
    }),
  );
}
