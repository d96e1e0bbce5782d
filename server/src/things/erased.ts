import { eq, inArray } from 'drizzle-orm';
import { erased } from '../db/schema';
import type { Db } from '../db/open';
import { Refusal } from '../refusal';

/** Which of these were erased for good. */
export async function erasedOf(db: Db, ids: string[]): Promise<Set<string>> {
  if (ids.length === 0) return new Set();
  const rows = await db.select({ id: erased.thing }).from(erased).where(inArray(erased.thing, ids));
  return new Set(rows.map((row) => row.id));
}

/** What was erased does not come back by a device that has it still. */
export async function refuseErased(db: Db, id: string): Promise<void> {
  const [gone] = await db.select().from(erased).where(eq(erased.thing, id));
  if (gone) throw new Refusal('unfit', 'This was erased for good. It can be entered anew.');
}
