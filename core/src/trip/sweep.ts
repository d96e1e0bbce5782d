import { MS } from '../units';
import type { Level } from '../model';
import { prepare, worstLevel } from './assess';
import type { AssessInput } from './context';

export interface Departure {
  leave: number;
  worst: Level;
  /** Findings at that level, so that a reader sees what limits it. */
  count: number;
}

/** What a departure is judged by: what changes with the hour. What is wrong at every hour would hide every difference. */
const HOURLY = /^(day|kit|ready|crew)\//;

/**
 * The worst level that each departure would give, every `step` ms over [from, until]. Findings that no hour changes are
 * left out, so that the row shows the hours and not the kit.
 */
export function sweep(input: AssessInput, from: number, until: number, step = 10 * MS.minute): Departure[] {
  const prepared = prepare(input);
  const rows: { leave: number; levels: Map<string, Level> }[] = [];
  for (let leave = from; leave <= until; leave += step) {
    rows.push({ leave, levels: new Map(prepared.at(leave).findings.filter((f) => HOURLY.test(f.id)).map((f) => [f.id, f.level])) });
  }
  const always = rows[0] ? [...rows[0].levels].filter(([id, level]) => level !== 'ready' && rows.every((row) => row.levels.get(id) === level)).map(([id]) => id) : [];
  return rows.map(({ leave, levels }) => {
    for (const id of always) levels.delete(id);
    const found = [...levels.values()].map((level) => ({ level }));
    const worst = worstLevel(found);
    return { leave, worst, count: found.filter((f) => f.level === worst).length };
  });
}
