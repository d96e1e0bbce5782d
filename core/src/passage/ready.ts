import ready from '../../data/passage/ready.json';
import type { ReadyRow, ReadyTask, Took } from '../model';
import type { Craft } from '../model/lists';
import { MS } from '../units';
import { wallToInstant, civilDate, plusDays } from '../earth';
import { PASSAGE } from './limits';

export type { ReadyRow };
export const READY = ready as unknown as ReadyRow[];

/** What was said of tasks on a trip, by their ids. */
export interface ReadySaid {
  done: ReadonlySet<string>;
  /** Put off: it is still to be done, one stage later. */
  later: ReadonlySet<string>;
  /** Left out: nothing waits for it. */
  out: ReadonlySet<string>;
}
const NOTHING: ReadySaid = { done: new Set(), later: new Set(), out: new Set() };

/** The tick of a task on a trip's own list: done, later or left out, and when it was begun. */
export const taskKey = (what: 'task' | 'later' | 'out' | 'begun', id: string) => `${what}:${id}`;

/** What was ticked of the tasks on a trip's list. */
export function saidOf(ticks: ReadonlyMap<string, number> | undefined): ReadySaid {
  const of = (what: 'task' | 'later' | 'out') =>
    new Set(READY.filter(({ id }) => ticks?.has(taskKey(what, id))).map(({ id }) => id));
  return ticks === undefined || ticks.size === 0
    ? NOTHING
    : { done: of('task'), later: of('later'), out: of('out') };
}

/** What tasks took before, in one boat, by their ids. */
type TakenBefore = Readonly<Record<string, readonly Took[]>>;

/**
 * How long a task takes: the middle of the last five times, with as many people where it was done so; before it was ever timed,
 * what is usual.
 */
export function minutesOf(
  row: Pick<ReadyRow, 'id' | 'minutes'>,
  took: TakenBefore | undefined,
  people: number,
): { minutes: number; own: boolean } {
  const all = took?.[row.id] ?? [];
  const alike = all.filter((one) => one.people === people);
  const last = (alike.length > 0 ? alike : all).slice(-LAST).map(({ minutes }) => minutes);
  if (last.length === 0) return { minutes: row.minutes, own: false };
  return { minutes: last.sort((a, b) => a - b)[Math.floor(last.length / 2)], own: true };
}
const LAST = PASSAGE.limit('ready-last');

/** Who goes, in what, and what is known and said of getting ready. */
export interface GettingReady {
  /** What the trip has (`combustion`, `battery`, `inflate`, …). */
  has: ReadonlySet<string>;
  craft?: Craft;
  /** Absent when nobody said: then the morning before the drive can't be placed and is left out. */
  driveMinutes?: number | undefined;
  people?: number;
  took?: TakenBefore | undefined;
  said?: ReadySaid;
}

const GROUPS = ['before', 'evening', 'morning', 'launch'] as const;

/**
 * Reckon backwards from leaving. Morning and launch tasks stand one behind the other and end at `leave`; the drive is put
 * between them; evening and earlier tasks stand at their own hour, one behind the other, on the last evening that is over
 * before the first of the others begins: who leaves at midnight packs that same evening, who leaves at noon the day before.
 * What is put off stands one stage later and takes its minutes there; what is left out takes none.
 * @param leave epoch ms; the last task ends then
 */
export function readyTasks(
  rows: ReadyRow[],
  leave: number,
  zone: string,
  { has, craft, driveMinutes, people = 1, took, said = NOTHING }: GettingReady,
): ReadyTask[] {
  const wanted = rows
    .filter(
      (row) =>
        (row.needs ?? []).every((need) => has.has(need)) &&
        (row.craft === undefined || craft === undefined || row.craft.includes(craft)),
    )
    .map((row): Wanted => ({ ...row, ...minutesOf(row, took, people) }))
    .map((row) => (said.later.has(row.id) && !said.done.has(row.id) ? putOff(row) : row));
  const order = GROUPS.flatMap((group) => [
    ...wanted.filter((row) => row.group === group && row.wasPutOff),
    ...wanted.filter((row) => row.group === group && !row.wasPutOff),
  ]);
  const tasks: ReadyTask[] = [];
  let ends = leave;
  const back = (row: (typeof order)[number]) => {
    const starts = ends - timeOf(row, said);
    tasks.push(taskOf(row, starts, ends, order, said));
    ends = starts;
  };
  const of = (group: ReadyRow['group']) => order.filter((row) => row.group === group);
  of('launch').toReversed().forEach(back);
  if (driveMinutes !== undefined) {
    const starts = ends - driveMinutes * MS.minute;
    if (driveMinutes > 0)
      tasks.push({ id: 'drive', title: 'Drive to the launch', group: 'morning', starts, ends });
    ends = starts;
    of('morning').toReversed().forEach(back);
  }
  const evening = eveningTasks(order, ends, zone, said);
  return [...evening, ...tasks].sort(
    (a, b) => a.starts - b.starts || a.ends - b.ends || a.id.localeCompare(b.id),
  );
}

type Wanted = ReadyRow & { own: boolean; wasPutOff?: boolean };

/** What is put off stands first in the stage that follows; at the water nothing follows. */
function putOff(row: Wanted): Wanted {
  const next = GROUPS[Math.min(GROUPS.indexOf(row.group) + 1, GROUPS.length - 1)];
  const { days: _days, at: _at, ...rest } = row;
  return next === row.group ? row : { ...rest, group: next, wasPutOff: true };
}

const timeOf = ({ id, minutes }: Wanted, { out }: ReadySaid) => (out.has(id) ? 0 : minutes * MS.minute);

function taskOf(
  row: Wanted,
  starts: number,
  ends: number,
  all: readonly Wanted[],
  said: ReadySaid,
): ReadyTask {
  const { id, title, why, group, own, weight } = row;
  const is = said.done.has(id) ? 'done' : said.out.has(id) ? 'out' : said.later.has(id) ? 'later' : undefined;
  const waits =
    is === 'done' || is === 'out'
      ? undefined
      : all.find(
          (other) => row.leansOn?.includes(other.id) && !said.done.has(other.id) && !said.out.has(other.id),
        );
  return {
    id,
    title,
    group,
    starts,
    ends,
    ...(why === undefined ? {} : { why }),
    ...(is ? { said: is } : {}),
    ...(own ? { own } : {}),
    ...(waits ? { waitsFor: waits.title } : {}),
    ...(weight ? { weight } : {}),
  };
}

/** Tasks of the evening and of days before, each day's one behind the other from the hour of its first. */
function eveningTasks(wanted: readonly Wanted[], begins: number, zone: string, said: ReadySaid): ReadyTask[] {
  const evening = wanted.filter((r) => r.group === 'evening');
  const length = evening.reduce((sum, row) => sum + timeOf(row, said), 0);
  const today = civilDate(begins, zone);
  const first = evening.find((row) => row.at !== undefined)?.at ?? LATEST_EVENING;
  const over = startOf(today, first, zone) + length;
  const last = over <= begins ? today : plusDays(today, -1);
  const next = new Map<string, number>();
  return [...evening, ...wanted.filter((r) => r.group === 'before')].map((row): ReadyTask => {
    const date = plusDays(last, 1 - (row.days ?? 1));
    const key = date + row.group;
    const begin = row.group === 'evening' ? first : (row.at ?? LATEST_EVENING);
    const starts = next.get(key) ?? startOf(date, begin, zone);
    const ends = starts + timeOf(row, said);
    next.set(key, ends);
    return taskOf(row, starts, ends, wanted, said);
  });
}

/** When a task of the evening begins that names no hour. */
const LATEST_EVENING = '20:00';

/** An hour that a clock change leaves out is no evening hour anywhere; midnight UTC of that day is a safe stand-in. */
function startOf(date: string, time: string, zone: string): number {
  const wall = wallToInstant(date, time, zone);
  return 'gap' in wall ? Date.parse(`${date}T00:00:00Z`) : wall.at;
}

/** When to get up: the start of the first task of the morning that takes any time, epoch ms. */
export function upAt(tasks: ReadyTask[]): number | undefined {
  return tasks.find((t) => t.group === 'morning' && t.ends > t.starts)?.starts;
}
