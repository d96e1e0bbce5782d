import { eq } from 'drizzle-orm';
import { v7 as uuidv7 } from 'uuid';
import { deadlinesLeft } from '@escale/core/floatplan';
import type { PlanTimes } from '@escale/core/model';
import { deadline } from '../db/schema';
import type { Db } from '../db/open';
import { eventsOf } from './events';

/**
 * The deadlines of a plan for the times that hold now; those of before count no more. The caller has appended the event that
 * set the times, and holds the plan's row.
 */
export async function setDeadlines(tx: Db, plan: string, times: PlanTimes, now: number): Promise<void> {
  await tx.update(deadline).set({ open: false }).where(eq(deadline.plan, plan));
  const left = deadlinesLeft(await eventsOf(tx, plan), times, now);
  if (left.length === 0) return;
  await tx.insert(deadline).values(
    left.map(({ kind, at, promised }) => ({
      id: uuidv7(),
      plan,
      kind,
      dueAt: new Date(at),
      promisedAt: promised === undefined ? null : new Date(promised),
      open: true,
    })),
  );
}
