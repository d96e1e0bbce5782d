import { and, asc, eq, lt, sql } from 'drizzle-orm';
import * as z from 'zod';
import { Id, Instant } from '@escale/core/model';
import { MS } from '@escale/core/units';
import { tick } from '../db/schema';
import type { Db } from '../db/open';
import type { Principal } from '../principal';

export const Tick = z.strictObject({
  list: z.string().min(1).max(120),
  item: z.string().min(1).max(120),
  device: Id,
  at: Instant,
  on: z.boolean(),
  /** The device's own count, rising; without it the instant counts, as it did before. */
  count: z.number().int().min(0).max(Number.MAX_SAFE_INTEGER).optional(),
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
    .orderBy(asc(tick.at), asc(tick.seq));
  const latest = new Map(rows.map((row) => [row.item, row]));
  return [...latest.values()].filter((row) => row.on).map(({ item, at }) => ({ item, at: at.getTime() }));
}

/** What waited longer than this for signal is as old as its device says. */
const LONGEST_WAIT = 30 * MS.day;

/**
 * When it was said, by our clock: as long ago as the device says by its own, so that one that is ten minutes slow is not
 * ten minutes late; never later than now.
 * @param shows what the device's clock showed when it sent this, epoch ms
 */
function saidAt(at: number, shows: number | undefined, now: number): number {
  const age = shows === undefined ? -1 : shows - at;
  return Math.min(age >= 0 && age <= LONGEST_WAIT ? now - age : at, now);
}

export async function setTick(
  db: Db,
  { household }: Principal,
  { list, item, device, at, on, count = Date.parse(at) }: Tick,
  { now, shows }: { now: number; shows?: number },
): Promise<void> {
  const when = new Date(saidAt(Date.parse(at), shows, now));
  const said = { at: when, on, count };
  await db
    .insert(tick)
    .values({ household, list, item, device, ...said })
    .onConflictDoUpdate({
      target: [tick.household, tick.list, tick.item, tick.device],
      set: { ...said, seq: sql`nextval(pg_get_serial_sequence('tick', 'seq'))` },
      setWhere: lt(tick.count, count),
    });
}
