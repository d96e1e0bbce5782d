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
export function sweep(input: AssessInput, from: number, until: number, step = 10 * MS.minute): Departure[] {
  const prepared = prepare(input);
  const rows: { leave: number; found: Map<string, Finding> }[] = [];
  for (let leave = from; leave <= until; leave += step) {
    const varying = prepared.at(leave).findings.filter((f) => f.varies === 'hour');
    rows.push({ leave, found: new Map(varying.map((f) => [f.id, f])) });
  }
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
