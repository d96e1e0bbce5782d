import type { StepState } from './gates';

/** What is asked of who walks a procedure. */
export interface Walk {
  states: ReadonlyMap<string, StepState>;
  /** Steps that were put off. */
  skipped: ReadonlySet<string>;
  /** Epoch ms. */
  now: number;
  /** A step that was chosen out of the list of open ones. */
  chosen?: string | undefined;
  /** Is a step in these hands? Absent: all are. */
  mine?: (step: { who?: string | undefined }) => boolean;
}

/**
 * The step that stands next: of those that nothing locks first what was never touched, then second looks that are due, which
 * what can’t be undone waits for, then what was put off. Another’s steps are not offered; what is locked never is, whatever
 * was chosen.
 */
export function nextStep<T extends { id: string; who?: string | undefined }>(
  steps: readonly T[],
  { states, skipped, now, chosen, mine = () => true }: Walk,
): T | undefined {
  const of = (step: T) => states.get(step.id);
  const open = steps.filter((step) => of(step)?.done === false && of(step)?.blockedBy.length === 0);
  const picked = open.find((step) => step.id === chosen);
  const ready = open.filter(mine);
  const wants = (step: T) => of(step)?.wantsSecond === true;
  const due = (step: T) => (of(step)?.againFrom ?? 0) <= now;
  return (
    picked ??
    ready.find((step) => !wants(step) && !skipped.has(step.id)) ??
    ready.find((step) => wants(step) && due(step)) ??
    ready.find((step) => !wants(step)) ??
    ready.find(wants)
  );
}
