import { createHash } from 'node:crypto';
import { asc, desc, eq, inArray } from 'drizzle-orm';
import { v7 as uuidv7 } from 'uuid';
import { evolve, schemaOf, type EventKind, type PlanEvent, type PlanTimes } from '@escale/core/model';
import { planEvent } from '../db/schema';
import type { Db } from '../db/open';
import { stableJson } from '../stable-json';

export interface NewEvent {
  id?: string;
  plan: string;
  kind: EventKind;
  at: number;
  madeAt?: number;
  note?: string;
  contact?: string;
  position?: { lat: number; lon: number };
  times?: PlanTimes;
  /** Of the request that it came with. */
  bodyHash?: string;
}

export type EventRow = typeof planEvent.$inferSelect;
type Inserted = typeof planEvent.$inferInsert;

/** The row of an event, chained to the one before by a hash over what is written. */
export function chained(
  before: string,
  { id = uuidv7(), plan, kind, at, madeAt, bodyHash, ...data }: NewEvent,
): Inserted {
  return {
    id,
    plan,
    kind,
    at: new Date(at),
    madeAt: madeAt === undefined ? null : new Date(madeAt),
    data,
    hash: eventHash(before, { id, plan, kind, at, data }),
    schema: schemaOf('plan-event'),
    bodyHash: bodyHash ?? null,
  };
}

/** Append one event. The caller holds the plan's row. */
export async function appendEvent(tx: Db, event: NewEvent): Promise<void> {
  const [last] = await tx
    .select({ hash: planEvent.hash })
    .from(planEvent)
    .where(eq(planEvent.plan, event.plan))
    .orderBy(desc(planEvent.seq))
    .limit(1);
  await tx.insert(planEvent).values(chained(last?.hash ?? '', event));
}

export function eventHash(
  before: string,
  event: { id: string; plan: string; kind: string; at: number; data: unknown },
): string {
  return createHash('sha256')
    .update(`${before}\n${event.id} ${event.plan} ${event.kind} ${event.at} ${stableJson(event.data)}`)
    .digest('hex');
}

/** An event as core folds it, grown to today; what is stored stays as it was written. */
const eventOf = ({ seq, plan, kind, at, madeAt, data, schema }: EventRow): PlanEvent => ({
  ...(evolve('plan-event', data, schema) as Partial<PlanEvent>),
  seq,
  plan,
  kind: kind as EventKind,
  at: at.getTime(),
  ...(madeAt ? { madeAt: madeAt.getTime() } : {}),
});
export const eventsIn = (rows: EventRow[]): PlanEvent[] => rows.map(eventOf);

/** The events of a plan in their order. */
export async function eventsOf(db: Db, plan: string): Promise<PlanEvent[]> {
  return eventsIn(
    await db.select().from(planEvent).where(eq(planEvent.plan, plan)).orderBy(asc(planEvent.seq)),
  );
}

/** The rows of many plans' events, in one reading; one that can't be read is the affair of its own plan. */
export async function eventRows(db: Db, plans: string[]): Promise<Map<string, EventRow[]>> {
  const of = new Map<string, EventRow[]>(plans.map((plan) => [plan, []]));
  if (plans.length === 0) return of;
  const rows = await db
    .select()
    .from(planEvent)
    .where(inArray(planEvent.plan, plans))
    .orderBy(asc(planEvent.seq));
  for (const row of rows) of.get(row.plan)?.push(row);
  return of;
}

/** Is the chain whole? The first event whose hash does not follow, or undefined. */
export async function brokenAt(db: Db, plan: string): Promise<number | undefined> {
  const rows = await db.select().from(planEvent).where(eq(planEvent.plan, plan)).orderBy(asc(planEvent.seq));
  let before = '';
  for (const row of rows) {
    if (
      row.hash !==
      eventHash(before, { id: row.id, plan, kind: row.kind, at: row.at.getTime(), data: row.data })
    )
      return row.seq;
    before = row.hash;
  }
  return undefined;
}
