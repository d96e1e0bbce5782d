import type { Run, Schedule } from '../model';
import { MS } from '../units';
import { PROCEDURE } from './limits';

/** A short look at a halt: on arriving or on leaving it. */
export interface Check {
  /** Which halt of the trip, from 0. */
  halt: number;
  place: string;
  procedure: 'halt-arrive' | 'halt-leave';
  /** When it is due, epoch ms. */
  at: number;
}

/** It is offered so long before it is due: people are early. */
const EARLY = PROCEDURE.limit('check-early') * MS.second;
/** … and no longer after that: whoever is home is not asked at a halt. */
const LATE = PROCEDURE.limit('check-late') * MS.second;

/**
 * The short looks of a trip, in their order.
 * @param later by how much the trip left later than planned (earlier below 0), ms
 */
export const checksOf = ({ halts }: Pick<Schedule, 'halts'>, later = 0): Check[] =>
  halts.flatMap(({ place, from, until }, halt): Check[] => [
    { halt, place, procedure: 'halt-arrive', at: from + later },
    { halt, place, procedure: 'halt-leave', at: until + later },
  ]);

export const sameCheck = (check: Check, run: Pick<Run, 'procedure' | 'halt'>): boolean =>
  run.procedure === check.procedure && run.halt === check.halt;

type Kept = Pick<Run, 'procedure' | 'halt' | 'ticks'>;
const doneOf = (check: Check, runs: readonly Kept[]) =>
  runs.some((run) => sameCheck(check, run) && run.ticks.some((tick) => !tick.skipped));
const touched = (check: Check, runs: readonly Kept[]) => runs.some((run) => sameCheck(check, run));

/** The look that is due now: the latest whose time has come and of which nobody said anything. */
export function dueCheck(checks: readonly Check[], runs: readonly Kept[], now: number): Check | undefined {
  const come = checks.filter((check) => check.at - EARLY <= now);
  const last = come.at(-1);
  return last && now < last.at + LATE && !touched(last, runs) ? last : undefined;
}

/** Those that nobody took: put off, or passed by while the next was already due. */
export function missedChecks(checks: readonly Check[], runs: readonly Kept[], now: number): Check[] {
  return checks.filter((check, i) => {
    if (doneOf(check, runs)) return false;
    const next = checks[i + 1];
    return touched(check, runs) || Math.min(next?.at ?? Infinity, check.at + LATE) <= now;
  });
}
