import { createHash } from 'node:crypto';
import { asc, desc, eq, inArray } from 'drizzle-orm';
import { v7 as uuidv7 } from 'uuid';
import { evolve, schemaOf, type EventKind, type PlanEvent, type PlanTimes } from '@escale/core/model';
import { planEvent, type Bared, type message, type planVersion, type Sealed } from '../db/schema';
import type { Db } from '../db/open';
import { bodyHash } from '../once';
import { stableJson } from '../stable-json';

export interface NewEvent {
  id?: string;
  plan: string;
  kind: EventKind;
  at: number;
  madeAt?: number;
  note?: string;
  changes?: string[];
  contact?: string;
  position?: { lat: number; lon: number };
  times?: PlanTimes;
  /** Of the request that it came with. */
  bodyHash?: string;
}

export type EventRow = typeof planEvent.$inferSelect;
type Inserted = typeof planEvent.$inferInsert;

type Message = Pick<
  typeof message.$inferInsert,
  'id' | 'plan' | 'contact' | 'to' | 'phone' | 'mail' | 'kind' | 'text' | 'madeAt'
>;
/** Of a message as it was written; what becomes of it on its way is not in it, nor the link that it carries. */
export const messageHash = ({ id, plan, contact, to, phone, mail, kind, text, madeAt }: Message): string =>
  bodyHash({
    id,
    plan,
    contact: contact ?? null,
    to,
    phone: phone ?? null,
    // Before there was mail no message had any.
    ...(mail ? { mail } : {}),
    kind,
    text,
    madeAt,
  });

type Version = Pick<
  typeof planVersion.$inferInsert,
  'inputs' | 'assessment' | 'sheet' | 'contacts' | 'skipper'
>;
/** Of a filed version: all that it was reckoned from and said. */
export const versionHash = ({ inputs, assessment, sheet, contacts, skipper }: Version): string =>
  bodyHash({ inputs, assessment, sheet, contacts, skipper });

/** Of an event from which something was erased: what is left of it, and the hash by which the next one follows. */
export const baredHash = ({ id, plan, kind, at, madeAt, data, hash }: EventRow): string =>
  bodyHash([id, plan, kind, at, madeAt ?? null, data, hash]);

/** What is written in the same transaction as an event. */
export interface With {
  messages?: Message[];
  version?: Version;
  bared?: Bared;
}

const sealOf = ({ messages = [], version, bared }: With): Sealed | null =>
  messages.length === 0 && !version && !bared
    ? null
    : {
        ...(version ? { version: versionHash(version) } : {}),
        ...(messages.length > 0
          ? { messages: Object.fromEntries(messages.map((m) => [m.id, messageHash(m)])) }
          : {}),
        ...(bared ? { bared } : {}),
      };

/** The row of an event, chained to the one before by a hash over what is written, and over what is written with it. */
export function chained(
  before: string,
  { id = uuidv7(), plan, kind, at, madeAt, bodyHash, ...data }: NewEvent,
  beside: With = {},
): Inserted {
  const row = {
    id,
    plan,
    kind,
    at: new Date(at),
    madeAt: madeAt === undefined ? null : new Date(madeAt),
    data,
    sealed: sealOf(beside),
  };
  return {
    ...row,
    hash: eventHash(before, row),
    schema: schemaOf('plan-event'),
    bodyHash: bodyHash ?? null,
  };
}

/** Append one event. The caller holds the plan's row. */
export async function appendEvent(tx: Db, event: NewEvent, beside: With = {}): Promise<void> {
  const [last] = await tx
    .select({ hash: planEvent.hash })
    .from(planEvent)
    .where(eq(planEvent.plan, event.plan))
    .orderBy(desc(planEvent.seq))
    .limit(1);
  await tx.insert(planEvent).values(chained(last?.hash ?? '', event, beside));
}

type Hashed = Pick<EventRow, 'id' | 'plan' | 'kind' | 'at' | 'madeAt' | 'data' | 'sealed'>;

/** The second way of hashing, marked as such: with the device's own time and what was written beside. */
export const MARK = '2:';
export function eventHash(before: string, { id, plan, kind, at, madeAt, data, sealed }: Hashed): string {
  return MARK + bodyHash([before, id, plan, kind, at, madeAt ?? null, data, sealed ?? null]);
}

/** The first way, of events of before. */
export function olderHash(before: string, { id, plan, kind, at, data }: Hashed): string {
  return createHash('sha256')
    .update(`${before}\n${id} ${plan} ${kind} ${at.getTime()} ${stableJson(data)}`)
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
