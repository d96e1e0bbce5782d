import ready from '../../data/passage/ready.json';
import type { ReadyRow, ReadyTask } from '../model';
import { MS } from '../units';
import { wallToInstant, civilDate, plusDays } from '../earth';

export type { ReadyRow };
export const READY = ready as unknown as ReadyRow[];

/**
 * Reckon backwards from leaving. Morning and launch tasks stand one behind the other and end at `leave`; the drive is put
 * between them; evening and earlier tasks stand at their own hour, one behind the other, on the last evening that is over
 * before the first of the others begins: who leaves at midnight packs that same evening, who leaves at noon the day before.
 * @param leave epoch ms; the last task ends then
 * @param has what the trip has (`combustion`, `battery`, `inflate`, …)
 * @param driveMinutes undefined when nobody said: then the morning before the drive can't be placed and is left out
 */
export function readyTasks(
  rows: ReadyRow[],
  leave: number,
  zone: string,
  has: ReadonlySet<string>,
  driveMinutes: number | undefined,
): ReadyTask[] {
  const wanted = rows.filter((row) => (row.needs ?? []).every((need) => has.has(need)));
  const tasks: ReadyTask[] = [];
  let ends = leave;
  const back = (row: ReadyRow) => {
    const starts = ends - row.minutes * MS.minute;
    tasks.push({ id: row.id, title: row.title, why: row.why, group: row.group, starts, ends });
    ends = starts;
  };
  wanted
    .filter((row) => row.group === 'launch')
    .toReversed()
    .forEach(back);
  if (driveMinutes !== undefined) {
    if (driveMinutes > 0)
      back({ id: 'drive', title: 'Drive to the launch', group: 'morning', minutes: driveMinutes });
    wanted
      .filter((row) => row.group === 'morning')
      .toReversed()
      .forEach(back);
  }
  return [...tasks, ...eveningTasks(wanted, ends, zone)].sort(
    (a, b) => a.starts - b.starts || a.id.localeCompare(b.id),
  );
}

/** Tasks of the evening and of days before, each day's one behind the other from the hour of its first. */
function eveningTasks(wanted: ReadyRow[], begins: number, zone: string): ReadyTask[] {
  const evening = wanted.filter((r) => r.group === 'evening');
  const minutes = evening.reduce((sum, row) => sum + row.minutes, 0);
  const today = civilDate(begins, zone);
  const over = startOf(today, evening[0]?.at ?? LATEST_EVENING, zone) + minutes * MS.minute;
  const last = over <= begins ? today : plusDays(today, -1);
  const next = new Map<string, number>();
  return [...evening, ...wanted.filter((r) => r.group === 'before')].map((row): ReadyTask => {
    const date = plusDays(last, 1 - (row.days ?? 1));
    const key = date + row.group;
    const starts = next.get(key) ?? startOf(date, row.at ?? LATEST_EVENING, zone);
    const ends = starts + row.minutes * MS.minute;
    next.set(key, ends);
    return { id: row.id, title: row.title, why: row.why, group: row.group, starts, ends };
  });
}

/** When a task of the evening begins that names no hour. */
const LATEST_EVENING = '20:00';

/** An hour that a clock change leaves out is no evening hour anywhere; midnight UTC of that day is a safe stand-in. */
function startOf(date: string, time: string, zone: string): number {
  const wall = wallToInstant(date, time, zone);
  return 'gap' in wall ? Date.parse(`${date}T00:00:00Z`) : wall.at;
}

/** When to get up: the start of the first task of the morning, epoch ms. */
export function upAt(tasks: ReadyTask[]): number | undefined {
  return tasks.find((t) => t.group === 'morning')?.starts;
}
