import { and, asc, count, desc, eq, inArray, isNotNull, sql } from 'drizzle-orm';
import { deadlinesOf, filedTimes, fold, isOpen, SAID, sheetNow } from '@escale/core/floatplan';
import type { PlanView } from '@escale/core/model';
import { contactToken, deadline, message, plan, type PlanRow } from '../db/schema';
import type { Db } from '../db/open';
import { eventRows, eventsIn, type EventRow } from './events';
import { toldIn, toldRows, type ToldRow } from './stored';

interface Parts {
  told: ToldRow | undefined;
  events: EventRow[];
  opened: Set<string>;
  unreached: Set<string>;
}

/** A plan as pages show it: the stored sheet, the state folded now. Nothing is reckoned again. */
function viewOf(row: PlanRow, { told, events: rows, opened, unreached }: Parts, now: number): PlanView {
  const { sheet, contacts } = toldIn(told);
  const events = eventsIn(rows);
  const { state, times, accepted, declined, withdrawn, rung, acting, trouble, unsealed } = fold(events, now);
  const changes = events.findLast((e) => e.kind === 'amended')?.changes;
  const next = isOpen(state)
    ? deadlinesOf(times)
        .filter((d) => d.at > now && d.kind !== 'soon')
        .sort((a, b) => a.at - b.at)[0]
    : undefined;
  return {
    id: row.id,
    trip: row.trip,
    version: row.version,
    title: row.title,
    state,
    zone: row.zone,
    times,
    filed: filedTimes(events) ?? times,
    ...(changes ? { changed: changes } : {}),
    ...(row.club ? { shared: true as const } : {}),
    ...(unsealed ? { unsealed } : {}),
    ...(trouble ? { trouble: { at: trouble.at, ...(trouble.contact ? { by: trouble.contact } : {}) } } : {}),
    sheet: sheetNow(sheet, events),
    events,
    contacts: contacts.map((c) => ({
      id: c.id,
      name: c.name,
      accepted: accepted.has(c.id),
      opened: opened.has(c.id),
      ...(declined.has(c.id) ? { declined: true } : {}),
      ...(withdrawn.has(c.id) ? { withdrawn: true } : {}),
      ...(acting.has(c.id) ? { acting: acting.get(c.id) ?? now } : {}),
      ...(rung.has(c.id) ? { rung: rung.get(c.id) ?? now } : {}),
      ...(unreached.has(c.id) ? { unreached: true } : {}),
    })),
    ...(next
      ? {
          nextDeadline: {
            kind: next.kind === 'check-in-due' ? 'check-in' : next.kind,
            at: next.promised ?? next.at,
          },
        }
      : {}),
  };
}

/** Many plans in four readings, whatever their number. One that can't be read is passed to `spoilt` and is no reason to show none. */
export async function viewRows(
  db: Db,
  rows: PlanRow[],
  now: number,
  spoilt?: (row: PlanRow, error: unknown) => void,
): Promise<PlanView[]> {
  const ids = rows.map((row) => row.id);
  if (ids.length === 0) return [];
  const told = await toldRows(db, ids);
  const events = await eventRows(db, ids);
  const opened = await contactsIn(
    db
      .select({ plan: contactToken.plan, contact: contactToken.contact })
      .from(contactToken)
      .where(and(inArray(contactToken.plan, ids), isNotNull(contactToken.openedAt))),
  );
  const unreached = await contactsIn(
    db
      .select({ plan: message.plan, contact: message.contact })
      .from(message)
      .where(and(inArray(message.plan, ids), isNotNull(message.setAsideAt))),
  );
  return rows.flatMap((row) => {
    try {
      const none = new Set<string>();
      const parts = {
        told: told.get(row.id),
        events: events.get(row.id) ?? [],
        opened: opened.get(row.id) ?? none,
        unreached: unreached.get(row.id) ?? none,
      };
      return [viewOf(row, parts, now)];
    } catch (error) {
      if (!spoilt) throw error;
      spoilt(row, error);
      return [];
    }
  });
}

async function contactsIn(reading: PromiseLike<{ plan: string; contact: string | null }[]>) {
  const of = new Map<string, Set<string>>();
  for (const { plan: id, contact } of await reading)
    if (contact) of.set(id, (of.get(id) ?? new Set()).add(contact));
  return of;
}

export async function viewPlan(db: Db, row: PlanRow, now: number): Promise<PlanView> {
  return (await viewRows(db, [row], now))[0];
}

/** Somebody says that they are in trouble, and no word from aboard came since: the same as the fold says, for many at once. */
const inTrouble = sql`EXISTS (SELECT 1 FROM plan_event t WHERE t.plan = ${plan.id} AND t.kind = 'trouble'
  AND NOT EXISTS (SELECT 1 FROM plan_event s WHERE s.plan = t.plan AND s.seq > t.seq
    AND s.kind IN (${sql.join(
      [...SAID].map((kind) => sql`${kind}`),
      sql`, `,
    )}) AND s.data->>'contact' IS NULL))`;

/**
 * Open plans before others; of those first who is in trouble, then whose hour is over already, then the soonest overdue. What ended
 * last comes first of the rest.
 */
export const soonestFirst = [
  desc(plan.open),
  sql`${inTrouble} DESC`,
  sql`(SELECT min(${deadline.dueAt}) FROM ${deadline} WHERE ${deadline.plan} = ${plan.id}
    AND ${deadline.open} AND ${deadline.kind} = 'overdue') ASC NULLS FIRST`,
  desc(plan.updatedAt),
  asc(plan.id),
];

/** The same of open plans that were read: who is in trouble, then the soonest overdue. */
export const sooner = (a: Urgent, b: Urgent): number =>
  Number(b.trouble !== undefined) - Number(a.trouble !== undefined) || a.times.overdue - b.times.overdue;
type Urgent = Pick<PlanView, 'trouble' | 'times'>;

export interface Page {
  plans: PlanView[];
  /** Plans in all, and from where the next page goes on. */
  total: number;
  next?: number;
}

/** Open plans, the first overdue before the others, then what ended last. */
export async function viewPlans(
  db: Db,
  {
    household,
    trip,
    from = 0,
    most = PAGE,
  }: { household: string; trip?: string; from?: number; most?: number },
  now: number,
  spoilt?: (row: PlanRow, error: unknown) => void,
): Promise<Page> {
  const which = and(eq(plan.household, household), ...(trip ? [eq(plan.trip, trip)] : []));
  const [{ n }] = await db.select({ n: count() }).from(plan).where(which);
  const rows = await db
    .select()
    .from(plan)
    .where(which)
    .orderBy(...soonestFirst)
    .limit(most)
    .offset(from);
  const views = await viewRows(db, rows, now, spoilt);
  return {
    plans: views.sort(
      (a, b) =>
        Number(isOpen(b.state)) - Number(isOpen(a.state)) ||
        (isOpen(a.state) ? sooner(a, b) : b.times.overdue - a.times.overdue),
    ),
    total: n,
    ...(from + rows.length < n ? { next: from + rows.length } : {}),
  };
}
/** Plans on a page. */
export const PAGE = 50;
