import type { EventKind, PlanEvent, PlanState, PlanTimes } from '../model';
import { MS } from '../units';
import { REMINDED_BEFORE } from './escalation';
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
  /** Contacts who said that they act, and that they have rung for help, and when, epoch ms. */
  acting: Map<string, number>;
  rung: Map<string, number>;
  /** Somebody says that they are in trouble, and nothing was heard from aboard since. */
  trouble?: PlanEvent;
  /** May a contact read what is sealed? */
  unsealed: boolean;
  version: number;
  lastHeard?: number;
}

/** A version is what was filed or changed with its sheet; a later time home is said within one. */
const isVersion = ({ kind, times }: PlanEvent) =>
  (kind === 'filed' || kind === 'amended') && times !== undefined;
/** What tells that they have left. */
const LEFT: ReadonlySet<EventKind> = new Set(['check-in', 'under-way', 'later']);
/** What a person aboard said, which tells that they were well then. */
export const SAID: ReadonlySet<EventKind> = new Set([
  'check-in',
  'under-way',
  'later',
  'closed',
  'cancelled',
  'reopened',
]);

/** After which who acts need not act any more. */
const SETTLES: ReadonlySet<EventKind> = new Set(['check-in', 'later', 'closed', 'cancelled']);

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

/** When contacts are asked to ring. */
export const alarmAt = ({ overdue, alarm }: Pick<PlanTimes, 'overdue' | 'alarm'>): number =>
  alarm ?? overdue + ALARM_AFTER;

/** The times with another time home: the steps after it keep their distance, and no check-in is promised for after it. */
export function homeAt(times: PlanTimes, home: number): PlanTimes {
  const later = home - times.home;
  return {
    ...times,
    home,
    overdue: times.overdue + later,
    ...(times.alarm === undefined ? {} : { alarm: times.alarm + later }),
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
  const rung = new Map<string, number>(),
    acting = new Map<string, number>();
  let home = -Infinity;
  for (const event of events) {
    const { kind, contact } = event;
    if (contact && kind === 'withdrawn') withdrawn.add(contact);
    if (contact && kind === 'rung') rung.set(contact, event.at);
    if (contact && kind === 'acting') acting.set(contact, event.at);
    // What was settled from aboard is settled: the next alarm is read anew.
    if (SETTLES.has(kind)) acting.clear();
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
  const state = stateOf(events, times, now);
  const trouble = isOpen(state) ? troubleIn(events) : undefined;
  return {
    state,
    ...(trouble ? { trouble } : {}),
    unsealed: isUnsealed(events, state),
    times,
    accepted,
    declined,
    withdrawn,
    acting,
    rung,
    version: events.filter(isVersion).length,
    ...(heard === undefined ? {} : { lastHeard: heard }),
  };
}

/** Who was told that they are missing may have rung for help, and has to hear how to stand it down. */
export const wereTold = (events: readonly PlanEvent[]): boolean => events.some((e) => TOLD.has(e.kind));
const TOLD: ReadonlySet<EventKind> = new Set(['overdue', 'alarm', 'trouble', 'rung']);

/** What ended the plan, unless it was taken back. */
function ending(events: PlanEvent[]): PlanEvent | undefined {
  const last = events.findLast((e) => e.kind === 'closed' || e.kind === 'cancelled' || e.kind === 'reopened');
  return last?.kind === 'reopened' ? undefined : last;
}

/** Who says that they are in trouble; a sign of life from aboard since then settles it. */
function troubleIn(events: PlanEvent[]): PlanEvent | undefined {
  const last = events.findLast((e) => e.kind === 'trouble' || (SAID.has(e.kind) && e.contact === undefined));
  return last?.kind === 'trouble' ? last : undefined;
}

/**
 * What is sealed opens when they are overdue, at any alarm (somebody says that they are in trouble), and by the crew's own tap; it
 * shuts with the plan.
 */
function isUnsealed(events: PlanEvent[], state: PlanState): boolean {
  if (!isOpen(state)) return false;
  return state === 'overdue' || state === 'alarm' || events.some((e) => e.kind === 'unsealed');
}

function stateOf(events: PlanEvent[], times: PlanTimes, now: number): PlanState {
  const ended = ending(events);
  if (ended?.kind === 'cancelled') return 'cancelled';
  const before = ended && events.slice(0, events.lastIndexOf(ended));
  const alarm = alarmAt(times);
  if (ended) return ended.at >= alarm || troubleIn(before ?? []) ? 'found' : 'closed';
  if (now >= alarm || troubleIn(events)) return 'alarm';
  if (now >= times.overdue) return 'overdue';
  if (now >= times.home) return 'late';
  return events.some((e) => LEFT.has(e.kind)) ? 'under-way' : 'filed';
}

/**
 * In which order contacts are told when it matters: who accepted before who said nothing, who said that they can't last of all; else
 * as the crew named them.
 */
export function inTurn<C extends { id: string }>(contacts: C[], { accepted, declined }: Folded): C[] {
  const rank = ({ id }: C) => (accepted.has(id) ? 0 : declined.has(id) ? 2 : 1);
  return [...contacts].sort((a, b) => rank(a) - rank(b));
}

/** Who of a version's contacts still hears: those taken off the plan do not, whatever is filed or alarmed afterwards. */
export function stillContacts<C extends { id?: string }>(contacts: C[], events: PlanEvent[]): C[] {
  const off = new Set(events.flatMap((e) => (e.kind === 'withdrawn' && e.contact ? [e.contact] : [])));
  return contacts.filter((c) => c.id === undefined || !off.has(c.id));
}

export type DeadlineKind = 'check-in-due' | 'check-in' | 'soon' | 'late' | 'overdue' | 'alarm';
export interface Deadline {
  kind: DeadlineKind;
  at: number;
  /** Of a check-in: the time promised. */ promised?: number;
}

/** What has to happen when, if nobody says anything: the crew is reminded before anybody ashore is worried. */
export function deadlinesOf(times: PlanTimes): Deadline[] {
  return [
    ...times.checkIns.flatMap((promised): Deadline[] => [
      { kind: 'check-in-due', at: promised, promised },
      { kind: 'check-in', at: promised + CHECK_IN_GRACE, promised },
    ]),
    { kind: 'soon', at: Math.max(times.leave, times.home - REMINDED_BEFORE) },
    { kind: 'late', at: times.home },
    { kind: 'overdue', at: times.overdue },
    { kind: 'alarm', at: alarmAt(times) },
  ];
}

/** Whose hour has no news once it is past: nobody is reminded of what is over. */
const ONLY_IN_TIME: ReadonlySet<DeadlineKind> = new Set(['check-in-due', 'check-in', 'soon']);

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
    ({ kind, at }) => at > now || (!ONLY_IN_TIME.has(kind) && !since.some((e) => e.kind === kind)),
  );
}
