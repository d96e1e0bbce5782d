import type { Finding, Level } from '../model';
import { MS } from '../units';
import { worstLevel } from '../verdict';
import { Alike, ofTheHour, type Standing } from './alike';
import { prepare } from './assess';
import type { AssessInput } from './context';

export interface Departure {
  leave: number;
  worst: Level;
  /** Findings at that level, so that a reader sees what limits it. */
  count: number;
  /** The first of them, in the order of the day; absent where nothing varies. */
  reason?: Pick<Finding, 'id' | 'title' | 'because'>;
}

/**
 * The worst level that each departure would give, every `step` ms over [from, until]. A departure is judged by what changes
 * with the hour: what is wrong at every hour would hide every difference, and the row would show the kit instead of the hours.
 * What the hours themselves stop counts always, even from the first to the last.
 * @param from, until epoch ms
 */
export function sweep(input: AssessInput, from: number, until: number, step = STEP): Departure[] {
  const steps = sweepSteps(input, from, until, step);
  let next = steps.next();
  while (!next.done) next = steps.next();
  return next.value;
}
const STEP = 10 * MS.minute;

/** How far a piece of long work is. */
export interface Progress {
  done: number;
  of: number;
}

/** The same, one departure a step, so that it can be shown where it is and stopped. The row itself comes at the end. */
export function* sweepSteps(
  input: AssessInput,
  from: number,
  until: number,
  step = STEP,
): Generator<Progress, Departure[]> {
  return departuresOf(yield* rowsAt(input, leavesOf({ from, until }, step)));
}

/** A span of departures, epoch ms. */
export interface Span {
  from: number;
  until: number;
}

/**
 * The same over several days held against each other: what is alike at every hour of all of them is left out, so that a day
 * on which it blows from dawn to dusk is worse than one on which it does not. One row of departures a span.
 */
export function* sweepDays(
  input: AssessInput,
  spans: readonly Span[],
  step = STEP,
): Generator<Progress, Departure[][]> {
  const lists = spans.map((span) => leavesOf(span, step));
  const all = departuresOf(yield* rowsAt(input, lists.flat()));
  let done = 0;
  return lists.map(({ length }) => all.slice(done, (done += length)));
}

const leavesOf = ({ from, until }: Span, step: number): number[] =>
  Array.from({ length: Math.max(0, Math.floor((until - from) / step) + 1) }, (_, i) => from + i * step);

function* rowsAt(input: AssessInput, leaves: readonly number[]): Generator<Progress, Row[]> {
  const prepared = prepare(input);
  const rows: Row[] = [];
  for (const leave of leaves) {
    rows.push({ leave, found: ofTheHour(prepared.at(leave).findings) });
    yield { done: rows.length, of: leaves.length };
  }
  return rows;
}

interface Row {
  leave: number;
  found: Standing[];
}

function departuresOf(rows: Row[]): Departure[] {
  const alike = new Alike();
  for (const { found } of rows) alike.add(found);
  const always = new Set(alike.all.map(({ id }) => id));
  return rows.map(({ leave, found }) => {
    const counted = found.filter(({ id }) => !always.has(id));
    const worst = worstLevel(counted);
    const limiting = counted.filter((f) => f.level === worst);
    const [first] = limiting;
    return {
      leave,
      worst,
      count: limiting.length,
      ...(first ? { reason: { id: first.id, title: first.title, because: first.because } } : {}),
    };
  });
}
