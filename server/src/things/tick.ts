import { and, asc, eq, lt } from 'drizzle-orm';
import * as z from 'zod';
import { Id } from '@escale/core/model';
import { tick } from '../db/schema';
import type { Db } from '../db/open';
import type { Principal } from '../principal';

export const Tick = z.strictObject({
  list: z.string().min(1).max(120),
  item: z.string().min(1).max(120),
  device: Id,
  at: z.iso.datetime(),
  on: z.boolean(),
});
export type Tick = z.infer<typeof Tick>;

/** What is ticked on a list: the latest word on each thing holds, whichever device said it. */
export async function ticksOf(
  db: Db,
  { household }: Principal,
  list: string,
): Promise<{ item: string; at: number }[]> {
  const rows = await db
    .select()
    .from(tick)
    .where(and(eq(tick.household, household), eq(tick.list, list)))
    .orderBy(asc(tick.at));
  const latest = new Map(rows.map((row) => [row.item, row]));
  return [...latest.values()].filter((row) => row.on).map(({ item, at }) => ({ item, at: at.getTime() }));
}

export async function setTick(
  db: Db,
  { household }: Principal,
  { list, item, device, at, on }: Tick,
  now: number,
): Promise<void> {
  const when = new Date(Math.min(Date.parse(at), now));
  await db
    .insert(tick)
    .values({ household, list, item, device, at: when, on })
    .onConflictDoUpdate({
      target: [tick.household, tick.list, tick.item, tick.device],
      set: { at: when, on },
      setWhere: lt(tick.at, when),
    });
}
