import { and, eq, gt, lte } from 'drizzle-orm';
import { deadline, watchState } from '../db/schema';
import type { Db } from '../db/open';
import type { Remembered } from './guard';

const ONE = 'watch';

/** What the watch remembered when it last wrote it down. */
export async function readState(db: Db): Promise<(Remembered & { sweptAt?: number }) | undefined> {
  const [row] = await db.select().from(watchState).where(eq(watchState.id, ONE));
  if (!row) return undefined;
  return {
    seenAt: row.seenAt.getTime(),
    leap: row.leap,
    ...(row.sweptAt ? { sweptAt: row.sweptAt.getTime() } : {}),
  };
}

export async function writeState(db: Db, { seenAt, leap }: Remembered): Promise<void> {
  const values = { seenAt: new Date(seenAt), sweptAt: new Date(seenAt), leap };
  await db
    .insert(watchState)
    .values({ id: ONE, ...values })
    .onConflictDoUpdate({ target: watchState.id, set: values });
}

/** Is anything due between two instants? */
export async function dueBetween(db: Db, after: number, until: number): Promise<boolean> {
  const [row] = await db
    .select({ id: deadline.id })
    .from(deadline)
    .where(
      and(eq(deadline.open, true), gt(deadline.dueAt, new Date(after)), lte(deadline.dueAt, new Date(until))),
    )
    .limit(1);
  return row !== undefined;
}
