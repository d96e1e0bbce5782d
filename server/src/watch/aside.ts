import { and, asc, eq, isNotNull, isNull } from 'drizzle-orm';
import type { Aside } from '@escale/core/model';
import { deadline, message, plan } from '../db/schema';
import type { Db } from '../db/open';
import type { Principal } from '../principal';

/** So many are shown; their number stands beside them. */
const SHOWN = 20;

/**
 * Deadlines and messages that were set aside, as a part of a query. They are few, whatever the plans: a limit inside keeps the database
 * from beginning with all open plans and looking for each one's anew, which it does where it has not counted its rows.
 */
const MANY = 100_000;
export const lateAside = (db: Db) =>
  db
    .select()
    .from(deadline)
    .where(and(eq(deadline.open, true), isNotNull(deadline.setAsideAt)))
    .limit(MANY)
    .as('late_aside');
export const unheardAside = (db: Db) =>
  db
    .select()
    .from(message)
    .where(and(isNotNull(message.setAsideAt), isNull(message.deliveredAt)))
    .limit(MANY)
    .as('unheard_aside');

/** What could not be acted on or delivered, of plans that are open. */
export async function asideOf(db: Db, { household }: Principal): Promise<Aside[]> {
  const open = and(eq(plan.household, household), eq(plan.open, true));
  const [late, unheard] = [lateAside(db), unheardAside(db)];
  const dues = await db
    .select({ plan: plan.id, title: plan.title, kind: late.kind, trouble: late.trouble, at: late.setAsideAt })
    .from(late)
    .innerJoin(plan, eq(plan.id, late.plan))
    .where(open)
    .orderBy(asc(late.setAsideAt))
    .limit(SHOWN);
  const words = await db
    .select({
      plan: plan.id,
      title: plan.title,
      kind: unheard.kind,
      to: unheard.to,
      trouble: unheard.trouble,
      at: unheard.setAsideAt,
    })
    .from(unheard)
    .innerJoin(plan, eq(plan.id, unheard.plan))
    .where(open)
    .orderBy(asc(unheard.setAsideAt))
    .limit(SHOWN);
  return [...dues, ...words].map(({ at, trouble, ...row }) => ({
    ...row,
    trouble: trouble ?? '',
    since: at?.getTime() ?? 0,
  }));
}

/** Somebody mended what was wrong: all that was set aside is tried in the next round. */
export async function tryAgain(db: Db): Promise<void> {
  const now = { nextTryAt: null };
  await db
    .update(deadline)
    .set(now)
    .where(and(eq(deadline.open, true), isNotNull(deadline.setAsideAt)));
  await db
    .update(message)
    .set(now)
    .where(and(isNull(message.deliveredAt), isNotNull(message.setAsideAt)));
}
