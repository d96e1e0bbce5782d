import type { ReadyTask } from '../model';
import { MS } from '../units';
import { wallToInstant, civilDate, plusDays } from '../earth';

/** A task of getting ready, as data (`core/data/ready.json`). */
export interface ReadyRow {
  id: string;
  title: string;
  why?: string;
  group: ReadyTask['group'];
  minutes: number;
  /** Only where the trip has this: all of them. */
  needs?: string[];
  /** For `before`: days ahead. */
  days?: number;
  /** For `before` and `evening`: wall time at which it begins. */
  at?: string;
}

/**
 * Reckon backwards from leaving. Morning and launch tasks stand one behind the other and end at `leave`; the drive is put
 * between them; evening and earlier tasks stand at their own hour, one behind the other.
 * @param leave epoch ms; the last task ends then
 * @param has what the trip has (`combustion`, `battery`, `inflate`, …)
 * @param driveMinutes undefined when nobody said: then the morning before the drive can't be placed and is left out
 */
export function readyTasks(rows: ReadyRow[], leave: number, zone: string, has: ReadonlySet<string>, driveMinutes: number | undefined): ReadyTask[] {
  const wanted = rows.filter((row) => (row.needs ?? []).every((need) => has.has(need)));
  const day = civilDate(leave, zone);
  const tasks: ReadyTask[] = [];
  let ends = leave;
  const back = (row: ReadyRow) => {
    const starts = ends - row.minutes * MS.minute;
    tasks.push({ id: row.id, title: row.title, why: row.why, group: row.group, starts, ends });
    ends = starts;
  };
  wanted.filter((row) => row.group === 'launch').toReversed().forEach(back);
  if (driveMinutes !== undefined) {
    if (driveMinutes > 0) back({ id: 'drive', title: 'Drive to the launch', group: 'morning', minutes: driveMinutes });
    wanted.filter((row) => row.group === 'morning').toReversed().forEach(back);
  }
  const evening = new Map<string, number>();
  for (const row of wanted.filter((r) => r.group === 'evening' || r.group === 'before')) {
    const date = plusDays(day, -(row.days ?? 1));
    const starts = evening.get(date + row.group) ?? startOf(date, row.at ?? '20:00', zone);
    const done = starts + row.minutes * MS.minute;
    evening.set(date + row.group, done);
    tasks.push({ id: row.id, title: row.title, why: row.why, group: row.group, starts, ends: done });
  }
  return tasks.sort((a, b) => a.starts - b.starts || a.id.localeCompare(b.id));
}

/** An hour that a clock change leaves out is no evening hour anywhere; midnight UTC of that day is a safe stand-in. */
function startOf(date: string, time: string, zone: string): number {
  const wall = wallToInstant(date, time, zone);
  return 'gap' in wall ? Date.parse(`${date}T00:00:00Z`) : wall.at;
}

/** When to get up: the start of the first task of the morning, epoch ms. */
export function upAt(tasks: ReadyTask[]): number | undefined {
  return tasks.find((t) => t.group === 'morning')?.starts;
}
