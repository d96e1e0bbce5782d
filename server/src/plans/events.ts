import { createHash } from 'node:crypto';
import { asc, desc, eq } from 'drizzle-orm';
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
}

/** Append one event, chained to the one before by a hash over what was written. The caller holds the plan's row. */
export async function appendEvent(
  tx: Db,
  { id = uuidv7(), plan, kind, at, madeAt, ...data }: NewEvent,
): Promise<void> {
  const [last] = await tx
    .select({ hash: planEvent.hash })
    .from(planEvent)
    .where(eq(planEvent.plan, plan))
    .orderBy(desc(planEvent.seq))
    .limit(1);
  const hash = eventHash(last?.hash ?? '', { id, plan, kind, at, data });
  await tx.insert(planEvent).values({
    id,
    plan,
    kind,
    at: new Date(at),
    madeAt: madeAt === undefined ? null : new Date(madeAt),
    data,
    hash,
    schema: schemaOf('plan-event'),
  });
}

export function eventHash(
  before: string,
  event: { id: string; plan: string; kind: string; at: number; data: unknown },
): string {
  return createHash('sha256')
    .update(`${before}\n${event.id} ${event.plan} ${event.kind} ${event.at} ${stableJson(event.data)}`)
    .digest('hex');
}

/** The events of a plan in their order, each grown to today; what is stored stays as it was written. */
export async function eventsOf(db: Db, plan: string): Promise<PlanEvent[]> {
  const rows = await db.select().from(planEvent).where(eq(planEvent.plan, plan)).orderBy(asc(planEvent.seq));
  return rows.map(({ seq, plan: of, kind, at, madeAt, data, schema }) => ({
    ...(evolve('plan-event', data, schema) as Partial<PlanEvent>),
    seq,
    plan: of,
    kind: kind as EventKind,
    at: at.getTime(),
    ...(madeAt ? { madeAt: madeAt.getTime() } : {}),
  }));
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
