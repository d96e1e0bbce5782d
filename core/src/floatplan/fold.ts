import type { EventKind, PlanEvent, PlanState, PlanTimes } from '../model';
import { MS } from '../units';
import { FLOATPLAN } from './limits';

/**
 * An hour of silence after overdue and the sheet goes out with the number to ring (source `overdue`: 30 to
 * 60 minutes; our careful step).
 */
export const ALARM_AFTER = FLOATPLAN.limit('alarm-after') * MS.second;
/** How long a check-in may be late before the contact hears of it. Our own choice, source `own-estimate`. */
export const CHECK_IN_GRACE = FLOATPLAN.limit('check-in-grace') * MS.second;

/** Half an hour later: what one tap gives, and how often it is to be had without a word why. */
export const LATER_STEP = FLOATPLAN.limit('later-step') * MS.second;
export const LATER_MOST = FLOATPLAN.limit('later-most');
/** A time home that is put off by more than this is a changed plan and no “later”. */
export const LATER_WITHIN = FLOATPLAN.limit('later-within') * MS.second;
/** How long an ending can be taken back. */
export const REOPEN_WITHIN = FLOATPLAN.limit('reopen-within') * MS.second;

export interface Folded {
  state: PlanState;
  times: PlanTimes;
  /** Contacts who accepted the plan as it stands now. */
  accepted: Set<string>;
  /** Contacts who said that they can't. */
  declined: Set<string>;
  /** Contacts whom the crew took off the plan. */
  withdrawn: Set<string>;
  /** Contacts who said that they have rung for help, and when, epoch ms. */
  rung: Map<string, number>;
  version: number;
  lastHeard?: number;
}

/** A version is what was filed or changed with its sheet; a later time home is said within one. */
const isVersion = ({ kind, times }: PlanEvent) =>
  (kind === 'filed' || kind === 'amended') && times !== undefined;
/** What tells that they have left. */
const LEFT: ReadonlySet<EventKind> = new Set(['check-in', 'under-way', 'later']);
/** What a person aboard said, which tells that they were well then. */
const SAID: ReadonlySet<EventKind> = new Set(['check-in', 'under-way', 'later', 'closed', 'reopened']);

/** Times that hold: those of the last filing or change, or the time home that was said since. */
export function timesOf(events: PlanEvent[]): PlanTimes | undefined {
  return events.findLast((e) => e.times)?.times;
}

/** Times of the last filing or change, whatever was said since. */
export function filedTimes(events: PlanEvent[]): PlanTimes | undefined {
  return events.findLast(isVersion)?.times;
}

/** How often home was put off since the last filing or change. */
export function timesLater(events: PlanEvent[]): number {
  return events.slice(events.findLastIndex(isVersion) + 1).filter((e) => e.kind === 'later').length;
}

/** The times with another time home: overdue keeps its distance, and no check-in is promised for after it. */
export function homeAt(times: PlanTimes, home: number): PlanTimes {
  return {
    ...times,
    home,
    overdue: home + (times.overdue - times.home),
    checkIns: times.checkIns.filter((at) => at < home),
  };
}

/** Half an hour after the time home that stands, or after now, to the next five minutes, when that is past. */
export function halfHourLater({ home }: PlanTimes, now: number): number {
  return Math.max(home, Math.ceil(now / FIVE) * FIVE) + LATER_STEP;
}
const FIVE = 5 * MS.minute;

/**
 * State of a plan from its events and the clock, nothing else. Late, overdue and alarm follow from the times even when
 * no timer ran, so that a server that slept tells the truth when it wakes.
 * @throws Error when the events hold no filing
 */
export function fold(events: PlanEvent[], now: number): Folded {
  const times = timesOf(events);
  if (!times) throw new Error('a plan without a filing has no state');
  const accepted = new Set<string>(),
    declined = new Set<string>(),
    withdrawn = new Set<string>();
  const rung = new Map<string, number>();
  let home = -Infinity;
  for (const event of events) {
    const { kind, contact } = event;
    if (contact && kind === 'withdrawn') withdrawn.add(contact);
    if (contact && kind === 'rung') rung.set(contact, event.at);
    if (contact && kind === 'accepted') {
      accepted.add(contact);
      declined.delete(contact);
    }
    if (contact && kind === 'declined') {
      declined.add(contact);
      accepted.delete(contact);
    }
    // A later home than the one agreed to has to be agreed to again; one that the crew put off under way was agreed to by nobody.
    if (isVersion(event) && event.times) {
      if (event.times.home > home && home > -Infinity) accepted.clear();
      home = event.times.home;
    }
  }
  const heard = events.findLast((e) => SAID.has(e.kind))?.at;
  return {
    state: stateOf(events, times, now),
    times,
    accepted,
    declined,
    withdrawn,
    rung,
    version: events.filter(isVersion).length,
    ...(heard === undefined ? {} : { lastHeard: heard }),
  };
}

/** What ended the plan, unless it was taken back. */
function ending(events: PlanEvent[]): PlanEvent | undefined {
  const last = events.findLast((e) => e.kind === 'closed' || e.kind === 'cancelled' || e.kind === 'reopened');
  return last?.kind === 'reopened' ? undefined : last;
}

function stateOf(events: PlanEvent[], times: PlanTimes, now: number): PlanState {
  const ended = ending(events);
  if (ended?.kind === 'cancelled') return 'cancelled';
  if (ended) return ended.at >= times.overdue + ALARM_AFTER ? 'found' : 'closed';
  if (now >= times.overdue + ALARM_AFTER) return 'alarm';
  if (now >= times.overdue) return 'overdue';
  if (now >= times.home) return 'late';
  return events.some((e) => LEFT.has(e.kind)) ? 'under-way' : 'filed';
}

/** Who of a version's contacts still hears: those taken off the plan do not, whatever is filed or alarmed afterwards. */
export function stillContacts<C extends { id?: string }>(contacts: C[], events: PlanEvent[]): C[] {
  const off = new Set(events.flatMap((e) => (e.kind === 'withdrawn' && e.contact ? [e.contact] : [])));
  return contacts.filter((c) => c.id === undefined || !off.has(c.id));
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

const KEEPS: ReadonlySet<EventKind> = new Set(['check-in', 'later', 'closed', 'reopened']);

/** Was a promised check-in kept? Anything heard from half an interval before it counts. */
export function checkInKept(events: PlanEvent[], times: PlanTimes, promised: number): boolean {
  const before = Math.max(times.leave, ...times.checkIns.filter((t) => t < promised));
  const since = promised - (promised - before) / 2;
  return events.some((e) => KEEPS.has(e.kind) && e.at >= since);
}

export function isOpen(state: PlanState): boolean {
  return state !== 'closed' && state !== 'cancelled' && state !== 'found';
}

/** Can an ending still be taken back? The event that ended it, with its hour. */
export function endedWith(events: PlanEvent[], now: number): PlanEvent | undefined {
  const ended = ending(events);
  return ended && now - ended.at <= REOPEN_WITHIN ? ended : undefined;
}

/**
 * What still has to happen: of the deadlines those to come, and those past that nobody was told of since the times
 * hold. A check-in whose hour is past is no news any more.
 */
export function deadlinesLeft(events: PlanEvent[], times: PlanTimes, now: number): Deadline[] {
  const since = events.slice(events.findLastIndex((e) => e.times));
  return deadlinesOf(times).filter(
    ({ kind, at }) => at > now || (kind !== 'check-in' && !since.some((e) => e.kind === kind)),
  );
}
