import type { Red, WatchHealth } from '@escale/core/model';
import { MS } from '@escale/core/units';
import type { Kept } from '../backup/keeper';
import type { Clock } from '../clock';
import { ROOM_ENOUGH, roomIn } from '../db/room';
import type { GuardedClock, Standing } from './guard';
import type { Watch } from './watcher';

/** Class *common practice*: beyond these something is wrong that a person has to look at. */
export const HEALTHY = {
  /** A round goes through each second. */
  round: 15 * MS.second,
  /** What is due, or written, is dealt with within seconds; in a storm of thousands within this. */
  waits: 2 * MS.minute,
  /** A certificate is renewed before so little is left of it. */
  certificate: 7 * MS.day,
} as const;

/**
 * A leap that was gone along with is told and marks what is sent, but is no red: a laptop that woke looks like that for a day, and
 * what is red each morning is soon read by nobody.
 */
const STEADY: ReadonlySet<Standing> = new Set<Standing>(['steady', 'agreed', 'unconfirmed']);

export interface Looked {
  watch: Pick<Watch, 'pulse'>;
  clock: Clock;
  guard?: GuardedClock;
  /** Where the memory lies, when it lies on this machine. */
  folder?: string;
  /** How the memory is kept. */
  kept?: () => Kept;
  /** Until when the certificate is good by which others reach it, epoch ms. */
  certificate?: number;
}

/** How the watch is, from what it counted last: nothing is asked of the database, so that this answers when it does not. */
export function healthOf({ watch, clock, guard, folder, kept, certificate }: Looked): WatchHealth {
  const { began, counted, sweptAt } = watch.pulse();
  const mono = performance.now();
  const now = clock.now();
  const since = (at: number | undefined) => (at === undefined ? undefined : Math.max(0, now - at));
  const lastSweep = sweptAt === undefined ? undefined : mono - sweptAt;
  const oldestDue = since(counted?.oldestDue),
    oldestUntold = since(counted?.oldestUntold);
  const standing = guard?.standing() ?? 'steady';
  const disk = folder ? { free: roomIn(folder) } : undefined;
  const beyond = (value: number | undefined, most: number) => value !== undefined && value > most;
  const red: Red[] = [];
  // A watch that has just begun is given the time of a round.
  const silent = (at: number | undefined) => mono - (at ?? began) > HEALTHY.round;
  if (silent(sweptAt) || silent(counted?.at)) red.push('silent');
  if (beyond(oldestDue, HEALTHY.waits)) red.push('late');
  if (beyond(oldestUntold, HEALTHY.waits)) red.push('untold');
  if ((counted?.setAside ?? 0) > 0) red.push('set-aside');
  if (!STEADY.has(standing)) red.push('clock');
  if (disk && disk.free < ROOM_ENOUGH) red.push('disk');
  const memory = kept?.();
  if (memory?.stale) red.push('backup');
  if (memory && memory.broken > 0) red.push('chain');
  // By the machine's own clock: browsers go by theirs.
  if (certificate !== undefined && certificate - Date.now() < HEALTHY.certificate) red.push('certificate');
  return {
    ok: red.length === 0,
    red,
    now,
    simulated: clock.set !== undefined,
    ...(lastSweep === undefined ? {} : { lastSweep: Math.round(lastSweep) }),
    ...(oldestDue === undefined ? {} : { oldestDue }),
    ...(oldestUntold === undefined ? {} : { oldestUntold }),
    setAside: counted?.setAside ?? 0,
    clock: { standing, off: guard?.off() ?? 0 },
    ...(disk ? { disk } : {}),
    ...(memory?.backup ? { backup: memory.backup } : {}),
    ...(certificate === undefined ? {} : { certificate }),
  };
}
