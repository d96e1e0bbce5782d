import type { PlanEvent, PlanState, PlanTimes } from '../model';
import { MS } from '../units';
import { FLOATPLAN } from './limits';

/**
 * An hour of silence after overdue and the sheet goes out with the number to ring (source `overdue`: 30 to
 * 60 minutes; our careful step).
 */
export const ALARM_AFTER = FLOATPLAN.limit('alarm-after') * MS.second;
/** How long a check-in may be late before the contact hears of it. Our own choice, source `own-estimate`. */
export const CHECK_IN_GRACE = FLOATPLAN.limit('check-in-grace') * MS.second;

export interface Folded {
  state: PlanState;
  times: PlanTimes;
  /** Contacts who accepted the plan as it stands now. */
  accepted: Set<string>;
  version: number;
  lastHeard?: number;
}

/** Times that hold: those of the last filing or change. */
export function timesOf(events: PlanEvent[]): PlanTimes | undefined {
  return events.findLast((e) => (e.kind === 'filed' || e.kind === 'amended') && e.times)?.times;
}

/**
 * State of a plan from its events and the clock, nothing else. Late, overdue and alarm follow from the times even when
 * no timer ran, so that a server that slept tells the truth when it wakes.
 * @throws Error when the events hold no filing
 */
export function fold(events: PlanEvent[], now: number): Folded {
  const times = timesOf(events);
  if (!times) throw new Error('a plan without a filing has no state');
  const accepted = new Set<string>();
  let home = -Infinity;
  for (const event of events) {
    if (event.kind === 'accepted' && event.contact) accepted.add(event.contact);
    if (event.times) {
      // A later home than the one agreed to has to be agreed to again.
      if (event.times.home > home && home > -Infinity) accepted.clear();
      home = event.times.home;
    }
  }
  const heard = events.findLast(
    (e) => e.kind === 'check-in' || e.kind === 'under-way' || e.kind === 'closed',
  )?.at;
  return {
    state: stateOf(events, times, now),
    times,
    accepted,
    version: events.filter((e) => e.times).length,
    ...(heard === undefined ? {} : { lastHeard: heard }),
  };
}

function stateOf(events: PlanEvent[], times: PlanTimes, now: number): PlanState {
  if (events.some((e) => e.kind === 'cancelled')) return 'cancelled';
  const closed = events.find((e) => e.kind === 'closed');
  if (closed) return closed.at >= times.overdue + ALARM_AFTER ? 'found' : 'closed';
  if (now >= times.overdue + ALARM_AFTER) return 'alarm';
  if (now >= times.overdue) return 'overdue';
  if (now >= times.home) return 'late';
  return events.some((e) => e.kind === 'under-way' || e.kind === 'check-in') ? 'under-way' : 'filed';
}

export type DeadlineKind = 'check-in' | 'late' | 'overdue' | 'alarm';
export interface Deadline {
  kind: DeadlineKind;
  at: number;
  /** Of a check-in: the time promised. */ promised?: number;
}

/** What has to happen when, if nobody says anything. */
export function deadlinesOf(times: PlanTimes): Deadline[] {
  return [
    ...times.checkIns.map((promised): Deadline => ({
      kind: 'check-in',
      at: promised + CHECK_IN_GRACE,
      promised,
    })),
    { kind: 'late', at: times.home },
    { kind: 'overdue', at: times.overdue },
    { kind: 'alarm', at: times.overdue + ALARM_AFTER },
  ];
}

/** Was a promised check-in kept? Anything heard from half an interval before it counts. */
export function checkInKept(events: PlanEvent[], times: PlanTimes, promised: number): boolean {
  const before = Math.max(times.leave, ...times.checkIns.filter((t) => t < promised));
  const since = promised - (promised - before) / 2;
  return events.some((e) => (e.kind === 'check-in' || e.kind === 'closed') && e.at >= since);
}

export function isOpen(state: PlanState): boolean {
  return state !== 'closed' && state !== 'cancelled' && state !== 'found';
}
