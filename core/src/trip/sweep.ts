import type { Finding, Level } from '../model';
import { MS } from '../units';
import { worstLevel } from '../verdict';
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
  const prepared = prepare(input);
  const of = Math.max(0, Math.floor((until - from) / step) + 1);
  const rows: Row[] = [];
  for (let leave = from; leave <= until; leave += step) {
    const varying = prepared.at(leave).findings.filter((f) => f.varies === 'hour');
    rows.push({ leave, found: new Map(varying.map((f) => [f.id, f])) });
    yield { done: rows.length, of };
  }
  return departuresOf(rows);
}

interface Row {
  leave: number;
  found: Map<string, Finding>;
}

function departuresOf(rows: Row[]): Departure[] {
  const always = (found: Finding) =>
    found.level !== worstLevel([]) && rows.every((row) => row.found.get(found.id)?.level === found.level);
  const constant = new Set([...(rows[0]?.found.values() ?? [])].filter(always).map((f) => f.id));
  return rows.map(({ leave, found }) => {
    const counted = [...found.values()].filter((f) => !constant.has(f.id));
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
