import file from '../../data/practice/orders.json';
import { shuffled } from '../numeric/chance';
import type { Facts } from '../rules';
import type { Procedure, Step } from './steps';

// The steps of a procedure out of their order, to be put into it against the clock. What is wrong is what the procedure itself
// forbids: its gates, and what must never be turned round. What merely stands in another order than in its list is no mistake.

/** Of two steps the first one, and what it costs to turn them round. */
export interface Law {
  first: string;
  then: string;
  price: string;
}
const { rows, facts, par: PAR, most: MOST, score: COSTS } = file;

/** What must not be turned round in a procedure, whatever the facts. */
export const lawsOf = (procedure: string): Law[] =>
  (rows as { of?: string[]; first: string[]; then: string[]; price: string }[])
    .filter(({ of }) => of === undefined || of.includes(procedure))
    .flatMap(({ first, then, price }) =>
      first.flatMap((one) => then.map((other) => ({ first: one, then: other, price }))),
    );

/** The facts for which an order is practised: a usual day at a usual place, so that no step says “if”. */
export const USUAL_FACTS: Facts = facts;

/** So many steps of a procedure, in their order, and as they were dealt. */
export interface Puzzle {
  steps: Step[];
  dealt: Step[];
  laws: Law[];
  /** Seconds in which it can be done by who knows it. */
  par: number;
}

/** The gates of the steps that are there, as laws without words of their own. */
const gates = (steps: readonly Step[]): Law[] =>
  steps.flatMap((step) => [
    ...(step.after ?? []).map((first) => ({ first, then: step.id, price: '' })),
    ...(step.locks ?? []).map((then) => ({ first: step.id, then, price: '' })),
  ]);

/**
 * Deals a procedure: those steps first that something hangs on, then others, eight at most.
 * @param draw chance, 0 up to 1
 */
export function deal(procedure: Procedure, draw: () => number): Puzzle {
  const ids = new Set(procedure.steps.map(({ id }) => id));
  const all = [...lawsOf(procedure.id), ...gates(procedure.steps)].filter(
    ({ first, then }) => ids.has(first) && ids.has(then),
  );
  const chosen = new Set<string>();
  for (const { first, then } of shuffled(all, draw)) {
    const next = new Set([...chosen, first, then]);
    if (next.size <= MOST) for (const id of next) chosen.add(id);
  }
  for (const { id } of shuffled(procedure.steps, draw)) if (chosen.size < MOST) chosen.add(id);
  const steps = procedure.steps.filter(({ id }) => chosen.has(id));
  const laws = all.filter(({ first, then }) => chosen.has(first) && chosen.has(then));
  return { steps, dealt: shuffled(steps, draw), laws, par: PAR * steps.length };
}

/** Is there an order to practise in it? */
export const hasOrder = (procedure: Procedure): boolean => deal(procedure, () => 0).laws.length > 1;

/** Taken too soon: what had to come first, and what it costs. */
export interface Wrong {
  step: Step;
  missing: Step;
  price: string;
}
export interface Ordered {
  done: readonly string[];
  wrong: readonly Wrong[];
}
export const unordered: Ordered = { done: [], wrong: [] };

/** Takes a step as the next one; one that is taken too soon stays where it is, and its price is told. */
export function take({ steps, laws }: Puzzle, now: Ordered, id: string): Ordered {
  const step = steps.find((each) => each.id === id);
  if (!step || now.done.includes(id)) return now;
  const broken = laws.filter(({ first, then }) => then === id && !now.done.includes(first));
  const law = broken.find(({ price }) => price !== '') ?? broken.at(0);
  const missing = law && steps.find((each) => each.id === law.first);
  if (!law || !missing) return { ...now, done: [...now.done, id] };
  return { ...now, wrong: [...now.wrong, { step, missing, price: law.price }] };
}

export const isOrdered = ({ steps }: Puzzle, { done }: Ordered): boolean => done.length === steps.length;

/** Steps that stand elsewhere than in the list, though nothing hangs on it. */
export const elsewhere = ({ steps }: Puzzle, { done }: Ordered): number =>
  steps.filter(({ id }, i) => done[i] !== id).length;

/** Out of a hundred; a wrong step costs more than a slow one. */
export function orderScore({ par }: Puzzle, { wrong }: Ordered, seconds: number) {
  const lost = { wrong: COSTS.wrong * wrong.length, slow: COSTS.slow * Math.max(0, seconds - par) };
  return { points: Math.max(0, Math.round(100 - lost.wrong - lost.slow)), lost };
}
