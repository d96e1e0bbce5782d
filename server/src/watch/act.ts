import { checkInKept, fold, inTurn, isOpen, stillContacts } from '@escale/core/floatplan';
import type { EventKind, PlanEvent } from '@escale/core/model';
import type { deadline, planEvent, PlanRow } from '../db/schema';
import { compose, type Leapt, type MessageContext, type Written } from '../messages/write';
import { chained, eventsIn, type EventRow, type NewEvent } from '../plans/events';
import { toldIn, type Told, type ToldRow } from '../plans/stored';
import { firstAndCall } from '../plans/words';

export type DueRow = typeof deadline.$inferSelect;

/** A plan with what is due, and all that has to be known to act on it. */
export interface Due {
  row: PlanRow;
  due: DueRow[];
  events: EventRow[];
  told: ToldRow | undefined;
}

/** What follows: rows to be written, all of them or none. */
export interface Deed extends Written {
  events: (typeof planEvent.$inferInsert)[];
}

interface Now {
  now: number;
  base: string;
  leapt?: Leapt;
}

const ORDER = ['check-in-due', 'check-in', 'soon', 'late', 'overdue', 'alarm'];
/** What only the crew hears: they are reminded before anybody ashore is worried. */
const REMINDS = new Set(['check-in-due', 'soon']);
/** States in which a smaller hour is no news any more. */
const WORRIED: ReadonlySet<string> = new Set(['late', 'overdue', 'alarm']);
const gravest = (state: string) => (state === 'alarm' || state === 'overdue' ? state : 'late');

/**
 * What is to be said and put on record for one plan, from its rows alone: nothing is read or written here, so that a plan that
 * can't be read fails by itself.
 * @throws Error when its rows make no sense
 */
export function actOn(plan: Due, { now, base, leapt }: Now): Deed {
  const { row, due } = plan;
  const deed: Deed = { events: [], messages: [], tokens: [] };
  if (!row.open) return deed;
  const chain = recordOf(plan);
  const told = stillTold(plan.told, chain.events);
  const inOrder = [...due].sort((a, b) => ORDER.indexOf(a.kind) - ORDER.indexOf(b.kind));
  for (const { kind, promisedAt } of inOrder) {
    const { state, times } = fold(chain.events, now);
    if (![times.leave, times.home, times.overdue].every(Number.isFinite))
      throw new Error('a plan whose times are none');
    if (!isOpen(state)) break;
    const context = { ...contextOf(plan, told, base, now), times };
    const say = (happened: EventKind, written: Written) => {
      chain.add({ plan: row.id, kind: happened, at: now }, written);
      deed.messages.push(...written.messages);
      deed.tokens.push(...written.tokens);
    };
    if (REMINDS.has(kind)) {
      const reminds = kind as 'check-in-due' | 'soon';
      const at = promisedAt?.getTime();
      const kept = at !== undefined && checkInKept(chain.events, times, at);
      const missed = inOrder.some((d) => d.kind === 'check-in' && d.promisedAt?.getTime() === at);
      if (WORRIED.has(state) || kept || (at !== undefined && missed)) continue;
      const crew = [{ name: told.skipper }];
      say(reminds, compose(reminds, crew, context, at === undefined ? {} : { at }, leapt));
      continue;
    }
    if (kind === 'check-in') {
      // Once the plan is overdue a missed check-in is no news any more.
      const kept = promisedAt === null || checkInKept(chain.events, times, promisedAt.getTime());
      if (state === 'overdue' || state === 'alarm' || kept) continue;
      const to = [{ name: told.skipper }, ...told.contacts];
      const at = promisedAt.getTime();
      say('check-in-missed', compose('check-in-missed', to, context, { at }, leapt));
      continue;
    }
    const grave = kind as 'late' | 'overdue' | 'alarm';
    // A server that slept wakes to several at once: only the gravest is said, all are on record.
    if (gravest(state) !== grave) say(grave, { messages: [], tokens: [] });
    else if (grave === 'late') say(grave, compose('late', [{ name: told.skipper }], context, {}, leapt));
    else {
      // Overdue is told to one after the other; an alarm to all of them at once.
      const turn = inTurn(told.contacts, fold(chain.events, now));
      const to = grave === 'overdue' ? turn.slice(0, 1) : told.contacts;
      say(grave, compose(grave, to, context, firstAndCall(told.sheet, chain.events), leapt));
    }
  }
  deed.events = chain.added;
  return deed;
}

/** Of these somebody outside the crew was told. */
const HEARD = new Set(['check-in', 'overdue', 'alarm']);

/**
 * What came early, by a clock that was wrong, is taken back with the words for whoever acted on it. They say what is so now:
 * that nobody is overdue, or that they are and only the next step came too soon. A plan that has ended was stood down already.
 */
export function takeBack(plan: Due, { now, base }: Now): Deed {
  const deed: Deed = { events: [], messages: [], tokens: [] };
  if (!plan.row.open) return deed;
  const chain = recordOf(plan);
  const told = stillTold(plan.told, chain.events);
  const { state, times } = fold(chain.events, now);
  const kind = state === 'overdue' || state === 'alarm' ? 'early.overdue' : 'early';
  const to = plan.due.some((d) => HEARD.has(d.kind)) ? told.contacts : [];
  const written = compose(kind, to, { ...contextOf(plan, told, base, now), times });
  chain.add({ plan: plan.row.id, kind: 'early', at: now }, written);
  return { events: chain.added, ...written };
}

/** What is heard of a plan that can't be read: whose it is, and that its hour is past. */
export function lastWords({ row, told, due }: Due, { now, base, leapt }: Now): Written {
  const none: Written = { messages: [], tokens: [] };
  if (!row.open || !due.some((d) => d.kind === 'overdue' || d.kind === 'alarm') || !told) return none;
  const { contacts, skipper } = told;
  const people = (Array.isArray(contacts) ? contacts : []).filter(
    (c: unknown): c is Told['contacts'][number] =>
      typeof (c as { id?: unknown })?.id === 'string' && typeof (c as { name?: unknown }).name === 'string',
  );
  const { id, household, title, zone } = row;
  const times = { leave: now, home: now, overdue: now, checkIns: [] };
  return compose(
    'unread',
    people,
    { plan: id, household, base, zone, title, skipper, times, now },
    {},
    leapt,
  );
}

/** The part of a version that people see, for those who still hear of it. */
function stillTold(row: ToldRow | undefined, events: PlanEvent[]): Told {
  const told = toldIn(row);
  return { ...told, contacts: stillContacts(told.contacts, events) };
}

const contextOf = ({ row }: Due, told: Told, base: string, now: number): Omit<MessageContext, 'times'> => ({
  plan: row.id,
  household: row.household,
  base,
  zone: row.zone,
  title: row.title,
  skipper: told.skipper,
  now,
});

/** The plan's record as it grows: each event chained to the one before. */
function recordOf({ events: rows }: Due) {
  const events = eventsIn(rows);
  let hash = rows.at(-1)?.hash ?? '';
  let seq = rows.at(-1)?.seq ?? 0;
  const added: Deed['events'] = [];
  return {
    events,
    added,
    add: (event: NewEvent & { kind: EventKind }, written: Written) => {
      const row = chained(hash, event, written);
      hash = row.hash;
      seq += 1;
      added.push(row);
      events.push({ seq, plan: event.plan, kind: event.kind, at: event.at });
    },
  };
}
