import { and, eq } from 'drizzle-orm';
import { plan, type PlanRow } from '../db/schema';
import type { Db } from '../db/open';
import type { Principal } from '../principal';

/**
 * A plan of a household, held by this transaction until it ends. Whoever changes anything of a plan takes the plan first: one
 * order, so that nobody waits for each other.
 */
export async function lockPlan(
  tx: Db,
  { household }: Pick<Principal, 'household'>,
  id: string,
): Promise<PlanRow | undefined> {
  const [row] = await tx
    .select()
    .from(plan)
    .where(and(eq(plan.id, id), eq(plan.household, household)))
    .for('update');
  return row;
}
