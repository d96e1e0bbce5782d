import type { StepRow } from '../model';
import { MS } from '../units';
import { PROCEDURE } from './limits';

/** What a gate needs to know of a step. */
export type Gated = Pick<StepRow, 'id' | 'second' | 'after' | 'locks'>;

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

/** Which steps stand before each: those it names, and those that say that they lock it. */
function gatesOf(steps: readonly Gated[]): Map<string, string[]> {
  return new Map(
    steps.map(({ id, after = [] }) => {
      const lockedBy = steps.filter((other) => other.locks?.includes(id)).map((other) => other.id);
      return [id, [...new Set([...after, ...lockedBy])]];
    }),
  );
}

/** One's own second look counts so much later: by then one comes back to it, instead of pressing twice. Our own choice. */
export const LOOK_AGAIN = PROCEDURE.limit('look-again') * MS.second;
/** Two presses closer than this are one, whoever's name is on the second. */
const ONE_PRESS = PROCEDURE.limit('one-press') * MS.second;

/**
 * Where each step stands, folded from the ticks in the order of their times, so that no order of taps, devices or reloads
 * passes a gate: a tick on a step that was blocked then is no tick; a second look counts when it is another's, or later.
 */
export function stepStates(steps: readonly Gated[], ticks: readonly StepTick[]): Map<string, StepState> {
  const rows = new Map(steps.map((step) => [step.id, step]));
  const first = new Map<string, { at: number; by?: string }>();
  const again = new Set<string>();
  const done = (id: string) => {
    const step = rows.get(id);
    return !step || (first.has(id) && (!step.second || again.has(id)));
  };
  const before = gatesOf(steps);
  const blockers = (step: Gated) => (before.get(step.id) ?? []).filter((id) => !done(id));
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
