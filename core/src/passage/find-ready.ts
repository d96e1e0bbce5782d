import { wallTime } from '../earth';
import type { Finding, ReadyTask, Schedule, Trip } from '../model';
import { phrase } from '../say';
import { HOUR, MINUTE, MS } from '../units';
import { goTo } from '../verdict';
import { PASSAGE } from './limits';
import { upAt } from './ready';

const NIGHT = { from: PASSAGE.limit('night-from') / HOUR, until: PASSAGE.limit('night-until') / HOUR };

/** When to get up, and whether that leaves a night. */
export function readyFindings(
  { trip, zone }: { trip: Trip; zone?: string },
  schedule: Schedule | undefined,
  ready: ReadyTask[],
): Finding[] {
  if (!schedule || zone === undefined || trip.status === 'done') return [];
  const up = upAt(ready);
  if (trip.driveMinutes === undefined || up === undefined) {
    return [
      PASSAGE.finding('ready/drive', 'unknown', trip.id, {
        title: phrase('ready.drive.title'),
        because: [phrase('ready.drive.why')],
        mend: { label: phrase('ready.drive.mend'), ...goTo.trip(trip.id, '/driveMinutes') },
      }),
    ];
  }
  const { leave } = schedule;
  const drive = trip.driveMinutes * MINUTE;
  const work = (leave - up) / MS.second - drive;
  const hour = Number(wallTime(up, zone).slice(0, 2));
  const early = hour < NIGHT.until || hour >= NIGHT.from;
  return [
    PASSAGE.finding('ready/up', early ? 'early' : 'rested', trip.id, {
      title: phrase('ready.title', { at: up }),
      because: [phrase('ready.why', { leave, work, drive }), ...(early ? [phrase('ready.early.why')] : [])],
    }),
  ];
}

/**
 * Tasks whose hour has gone by and that nobody ticked, what was left out, and that all is done. Who ticks nothing at all is told so
 * once, and no more.
 */
export function taskFindings(
  { trip, now }: { trip: Trip; now: number },
  ready: readonly ReadyTask[],
): Finding[] {
  const tasks = ready.filter(({ id }) => id !== 'drive');
  if (trip.status === 'done' || tasks.length === 0) return [];
  const titles = (some: readonly ReadyTask[]) => some.map(({ title }) => title);
  const mend = { label: phrase('ready.tasks.mend'), ...goTo.section('pack/ready') };
  const settled = (task: ReadyTask) => task.said === 'done' || task.said === 'out';
  const behind = tasks.filter((task) => task.ends <= now && !settled(task));
  const out = tasks.filter((task) => task.said === 'out');
  const made = (as: 'behind' | 'know' | 'unticked' | 'out' | 'done', because: Finding['because']) =>
    PASSAGE.finding('ready/tasks', as, trip.id, {
      title: phrase(`ready.tasks.${as}.title`, { n: behind.length }),
      because,
      mend: as === 'done' ? undefined : mend,
    });
  const left = out.length > 0 ? [phrase('ready.tasks.out', { what: titles(out) })] : [];
  if (behind.length > 0) {
    const late = [phrase('ready.tasks.late', { what: titles(behind) })];
    if (tasks.every(({ said }) => said === undefined)) return [made('unticked', late)];
    return [made(behind.some(({ weight }) => weight === 'fix') ? 'behind' : 'know', [...late, ...left])];
  }
  if (out.length > 0) return [made('out', left)];
  return tasks.every(settled) ? [made('done', [phrase('ready.tasks.done')])] : [];
}
