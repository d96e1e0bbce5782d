import { and, desc, eq, isNotNull, isNull } from 'drizzle-orm';
import type { RemovedThing, ThingType } from '@escale/core/model';
import { erased, thing } from '../db/schema';
import type { Db } from '../db/open';
import type { Principal } from '../principal';

/** So many are told, those removed last first. */
const TOLD = 200;

/** What was removed and can be put back, or erased for good. */
export async function removedOf(db: Db, { household }: Principal): Promise<RemovedThing[]> {
  const rows = await db
    .select({ row: thing })
    .from(thing)
    .leftJoin(erased, eq(erased.thing, thing.id))
    .where(and(eq(thing.household, household), isNotNull(thing.deletedAt), isNull(erased.thing)))
    .orderBy(desc(thing.deletedAt), desc(thing.id))
    .limit(TOLD);
  return rows.map(({ row }) => ({
    id: row.id,
    type: row.type as ThingType,
    version: row.version,
    name: nameIn(row.doc),
    at: row.deletedAt?.getTime() ?? 0,
  }));
}

interface Named {
  name?: string;
  title?: string;
  pack?: { title?: string };
}

/** As it was written: a document that this version can't read is still listed, to be put back or erased. */
function nameIn({ name, title, pack }: Named): string {
  return [name, title, pack?.title].find((text) => typeof text === 'string') ?? '';
}
