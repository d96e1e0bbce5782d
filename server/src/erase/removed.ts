import { and, desc, eq, isNotNull, isNull } from 'drizzle-orm';
import { evolve, type RemovedThing, type ThingType } from '@escale/core/model';
import { erased, thing } from '../db/schema';
import type { Db } from '../db/open';
import type { Principal } from '../principal';
import { plansNaming } from './erase';

/** So many are told, those removed last first. */
const TOLD = 200;

interface Named {
  name?: string;
  title?: string;
  pack?: { title: string };
}

/** What was removed and can be put back, or erased for good, with in how many float plans it stands. */
export async function removedOf(db: Db, { household }: Principal): Promise<RemovedThing[]> {
  const rows = await db
    .select({ row: thing })
    .from(thing)
    .leftJoin(erased, eq(erased.thing, thing.id))
    .where(and(eq(thing.household, household), isNotNull(thing.deletedAt), isNull(erased.thing)))
    .orderBy(desc(thing.deletedAt), desc(thing.id))
    .limit(TOLD);
  const removed: RemovedThing[] = [];
  for (const { row } of rows) {
    const type = row.type as ThingType;
    const doc = evolve(type, row.doc, row.schema) as Named;
    removed.push({
      id: row.id,
      type,
      version: row.version,
      name: doc.name ?? doc.title ?? doc.pack?.title ?? '',
      at: row.deletedAt?.getTime() ?? 0,
      plans: (await plansNaming(db, household, { id: row.id, type })).length,
    });
  }
  return removed;
}
