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
