import { and, asc, eq, isNotNull, isNull } from 'drizzle-orm';
import type { Aside } from '@escale/core/model';
import { deadline, message, plan } from '../db/schema';
import type { Db } from '../db/open';
import type { Principal } from '../principal';

/** So many are shown; their number stands beside them. */
const SHOWN = 20;

/** What could not be acted on or delivered, of plans that are open. */
export async function asideOf(db: Db, { household }: Principal): Promise<Aside[]> {
  const open = and(eq(plan.household, household), eq(plan.open, true));
  const late = await db
    .select({ row: deadline, title: plan.title })
    .from(deadline)
    .innerJoin(plan, eq(plan.id, deadline.plan))
    .where(and(open, eq(deadline.open, true), isNotNull(deadline.setAsideAt)))
    .orderBy(asc(deadline.setAsideAt))
    .limit(SHOWN);
  const unheard = await db
    .select({ row: message, title: plan.title })
    .from(message)
    .innerJoin(plan, eq(plan.id, message.plan))
    .where(and(open, isNotNull(message.setAsideAt), isNull(message.deliveredAt)))
    .orderBy(asc(message.setAsideAt))
    .limit(SHOWN);
  return [...late, ...unheard].map(({ row, title }) => ({
    plan: row.plan,
    title,
    kind: row.kind,
    ...('to' in row ? { to: row.to } : {}),
    trouble: row.trouble ?? '',
    since: row.setAsideAt?.getTime() ?? 0,
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
