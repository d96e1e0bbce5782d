import { and, asc, desc, eq, isNotNull } from 'drizzle-orm';
import { deadlinesOf, filedTimes, fold, isOpen, sheetNow } from '@escale/core/floatplan';
import type { PlanView } from '@escale/core/model';
import { contactToken, plan } from '../db/schema';
import type { Db } from '../db/open';
import { eventsOf } from './events';
import { storedVersion } from './stored';

/** A plan as pages show it: the stored sheet, the state folded now. Nothing is reckoned again. */
export async function viewPlan(db: Db, row: typeof plan.$inferSelect, now: number): Promise<PlanView> {
  const version = await storedVersion(db, row.id, row.version);
  if (!version) throw new Error(`plan ${row.id} has no version ${row.version}`);
  const events = await eventsOf(db, row.id);
  const { state, times, accepted, declined, rung } = fold(events, now);
  const opened = await db
    .select({ contact: contactToken.contact })
    .from(contactToken)
    .where(and(eq(contactToken.plan, row.id), isNotNull(contactToken.openedAt)));
  const seen = new Set(opened.map((o) => o.contact));
  const next = isOpen(state)
    ? deadlinesOf(times)
        .filter((d) => d.at > now)
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
    sheet: sheetNow(version.sheet, events),
    events,
    contacts: version.contacts.map((c) => ({
      id: c.id,
      name: c.name,
      accepted: accepted.has(c.id),
      opened: seen.has(c.id),
      ...(declined.has(c.id) ? { declined: true } : {}),
      ...(rung.has(c.id) ? { rung: rung.get(c.id) ?? now } : {}),
    })),
    ...(next ? { nextDeadline: { kind: next.kind, at: next.promised ?? next.at } } : {}),
  };
}

/** Open plans, then what ended last. */
export async function viewPlans(db: Db, household: string, now: number, most = 50): Promise<PlanView[]> {
  const rows = await db
    .select()
    .from(plan)
    .where(eq(plan.household, household))
    .orderBy(desc(plan.open), desc(plan.updatedAt), asc(plan.id))
    .limit(most);
  const views: PlanView[] = [];
  for (const row of rows) views.push(await viewPlan(db, row, now));
  return views.sort(
    (a, b) =>
      Number(isOpen(b.state)) - Number(isOpen(a.state)) ||
      (isOpen(a.state) ? a.times.overdue - b.times.overdue : b.times.overdue - a.times.overdue),
  );
}
