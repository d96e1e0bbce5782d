import { asc, eq } from 'drizzle-orm';
import type { PlanRecord } from '@escale/core/model';
import { planEvent, type PlanRow } from '../db/schema';
import type { Db } from '../db/open';
import { brokenOf } from './chain';

/** Of a hash as much as people compare. */
const SHOWN = 12;

/** The events of a plan as they are chained, and whether the chain holds: reckoned as it is shown. */
export async function recordOf(db: Db, { id }: PlanRow): Promise<PlanRecord> {
  const rows = await db
    .select({ seq: planEvent.seq, kind: planEvent.kind, at: planEvent.at, hash: planEvent.hash })
    .from(planEvent)
    .where(eq(planEvent.plan, id))
    .orderBy(asc(planEvent.seq));
  const broken = await brokenOf(db, id);
  return {
    links: rows.map(({ seq, kind, at, hash }) => ({
      seq,
      kind,
      at: at.getTime(),
      hash: hash.replace(/^\d:/, '').slice(0, SHOWN),
    })),
    ...(broken
      ? { broken: { what: broken.what, ...(broken.seq === undefined ? {} : { seq: broken.seq }) } }
      : {}),
  };
}
