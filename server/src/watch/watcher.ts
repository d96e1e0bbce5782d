import { and, asc, eq, isNull, lte } from 'drizzle-orm';
import { checkInKept, fold, isOpen, sheetNow } from '@escale/core/floatplan';
import type { PlanEvent } from '@escale/core/model';
import { deadline, message, plan } from '../db/schema';
import type { Db } from '../db/open';
import { appendEvent, eventsOf } from '../plans/events';
import { LINK, writeMessages, type MessageContext } from '../plans/messages';
import { storedVersion } from '../plans/stored';
import type { Services } from '../services';

const AT_ONCE = 50;

/**
 * Act on what is due. Rows are taken with SKIP LOCKED, so several servers share the work; the effect (event and messages)
 * and the mark that it is done stand in one transaction, so a kill in between does it neither twice nor not at all.
 * @returns how many deadlines were dealt with
 */
export async function sweepDeadlines(services: Services): Promise<number> {
  const { db, clock } = services;
  const now = clock.now();
  return db.transaction(async (tx) => {
    const due = await tx
      .select()
      .from(deadline)
      .where(and(eq(deadline.open, true), lte(deadline.dueAt, new Date(now))))
      .orderBy(asc(deadline.dueAt), asc(deadline.id))
      .limit(AT_ONCE)
      .for('update', { skipLocked: true });
    for (const row of due) {
      await actOn(tx, services, row, now);
      await tx
        .update(deadline)
        .set({ open: false, doneAt: new Date(now) })
        .where(eq(deadline.id, row.id));
    }
    return due.length;
  });
}

async function actOn(
  tx: Db,
  { household, base }: Services,
  due: typeof deadline.$inferSelect,
  now: number,
): Promise<void> {
  const [row] = await tx.select().from(plan).where(eq(plan.id, due.plan)).for('update');
  if (!row?.open) return;
  const events = await eventsOf(tx, row.id);
  const { state, times } = fold(events, now);
  if (!isOpen(state)) return;
  const version = await storedVersion(tx, row.id, row.version);
  if (!version) throw new Error(`plan ${row.id} has no version ${row.version}`);
  const context: MessageContext = {
    plan: row.id,
    household: row.household ?? household,
    base,
    zone: row.zone,
    title: row.title,
    skipper: version.skipper,
    times,
    now,
  };
  const crew = [{ name: version.skipper }];
  const sheet = sheetNow(version.sheet, events);
  if (due.kind === 'check-in') {
    // Once the plan is overdue a missed check-in is no news any more.
    if (state === 'overdue' || state === 'alarm' || wasKept(events, times, due.promisedAt)) return;
    await appendEvent(tx, { plan: row.id, kind: 'check-in-missed', at: now });
    await writeMessages(tx, 'check-in-missed', [...crew, ...version.contacts], context, {
      at: due.promisedAt?.getTime() ?? now,
    });
    return;
  }
  const kind = due.kind as 'late' | 'overdue' | 'alarm';
  await appendEvent(tx, { plan: row.id, kind, at: now });
  // A server that slept wakes to several at once: only the gravest is said, all are on record.
  if (gravest(state) !== kind) return;
  if (kind === 'late') await writeMessages(tx, 'late', crew, context);
  else
    await writeMessages(tx, kind, version.contacts, context, {
      first: sheet.ifLate[0] ?? '',
      call: sheet.ifLate[1] ?? '',
    });
}

const gravest = (state: string) => (state === 'alarm' || state === 'overdue' ? state : 'late');

function wasKept(events: PlanEvent[], times: MessageContext['times'], promised: Date | null): boolean {
  return promised === null || checkInKept(events, times, promised.getTime());
}

/**
 * Carry out written messages. At least once towards the telephone, whose key makes it once; the link leaves
 * with the message and is forgotten.
 */
export async function deliver({ db, clock, telephone }: Services): Promise<number> {
  // Without a telephone messages wait where they can be read; pages say that nobody heard of them.
  if (!telephone) return 0;
  return db.transaction(async (tx) => {
    const waiting = await tx
      .select()
      .from(message)
      .where(isNull(message.deliveredAt))
      .orderBy(asc(message.madeAt), asc(message.id))
      .limit(AT_ONCE)
      .for('update', { skipLocked: true });
    for (const row of waiting) {
      await telephone.ring(
        {
          key: row.id,
          to: row.to,
          phone: row.phone,
          text: row.link ? row.text.replace(LINK, row.link) : row.text,
          at: clock.now(),
        },
        tx,
      );
      await tx
        .update(message)
        .set({ deliveredAt: new Date(clock.now()), link: null })
        .where(eq(message.id, row.id));
    }
    return waiting.length;
  });
}

/** Sweep and deliver until stopped. One round at a time; a failure is logged and tried again in the next round. */
export function watch(services: Services, everyMs = 1000): { stop(): Promise<void>; kick(): Promise<void> } {
  let stopped = false;
  let round: Promise<void> = Promise.resolve();
  const once = async () => {
    while ((await sweepDeadlines(services)) === AT_ONCE);
    while ((await deliver(services)) === AT_ONCE);
  };
  const run = () => {
    round = round
      .then(() => (stopped ? undefined : once()))
      .catch((error: unknown) => services.log.error({ err: error }, 'the watch failed and will try again'));
    return round;
  };
  const timer = setInterval(run, everyMs);
  return {
    stop: async () => {
      stopped = true;
      clearInterval(timer);
      await round;
    },
    kick: run,
  };
}
