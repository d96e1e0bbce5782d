import { setTimeout as after } from 'node:timers/promises';
import { and, asc, eq, inArray, isNull, notInArray, or, sql } from 'drizzle-orm';
import type { OutgoingCall, Telephone } from '../standins/telephone';
import { message } from '../db/schema';
import { transact } from '../db/transact';
import type { Services } from '../services';
import { afterFailure, LEASE, mayBeTried, RING_PATIENCE, SLICE } from '../tries';
import { ERASED, NO_WAY, URGENT, withLink } from './write';

type Row = typeof message.$inferSelect;

/** Urgent kinds first, as one number to order by. */
const urgency = sql`array_position(ARRAY[${sql.join(
  URGENT.map((kind) => sql`${kind}`),
  sql`, `,
)}]::text[], ${message.kind})`;

/**
 * Carry out written messages, a slice of them. Each is taken for a while (a lease, so that several servers share them), rung
 * outside of any transaction, and marked by itself: one that can't go holds up no other. At least once towards the
 * telephone, whose key makes it once; the link leaves with the message and is forgotten.
 * @returns how many were dealt with
 */
export async function deliver(services: Services): Promise<number> {
  const { db, clock, telephone } = services;
  // Without a telephone messages wait where they can be read; pages say that nobody heard of them.
  if (!telephone) return 0;
  const taken = await take(services);
  const rung = await Promise.allSettled(taken.map((row) => ring(services, telephone, row)));
  const heard = taken.filter((_, i) => rung[i].status === 'fulfilled').map((row) => row.id);
  if (heard.length > 0)
    await db
      .update(message)
      .set({
        deliveredAt: new Date(clock.now()),
        link: null,
        nextTryAt: null,
        setAsideAt: null,
        trouble: null,
      })
      .where(inArray(message.id, heard));
  for (const [i, end] of rung.entries())
    if (end.status === 'rejected') await putBack(services, taken[i], end.reason);
  return taken.length;
}

async function take({ db, clock }: Services): Promise<Row[]> {
  const now = clock.now();
  return transact(db, async (tx) => {
    const free = await tx
      .select({ id: message.id })
      .from(message)
      .where(
        and(
          isNull(message.deliveredAt),
          // What has no way to be told is not tried; it is shown.
          or(isNull(message.trouble), notInArray(message.trouble, [NO_WAY, ERASED])),
          mayBeTried(message.nextTryAt, now),
        ),
      )
      .orderBy(asc(urgency), asc(message.madeAt), asc(message.id))
      .limit(SLICE)
      .for('update', { skipLocked: true });
    if (free.length === 0) return [];
    const ids = free.map((f) => f.id);
    const rows = await tx
      .update(message)
      .set({ nextTryAt: new Date(now + LEASE) })
      .where(inArray(message.id, ids))
      .returning();
    return rows.sort((a, b) => ids.indexOf(a.id) - ids.indexOf(b.id));
  });
}

/** A telephone that does not answer is no telephone: the others wait for it no longer than this. */
async function ring({ clock }: Services, telephone: Telephone, row: Row): Promise<void> {
  const call: OutgoingCall = {
    key: row.id,
    to: row.to,
    phone: row.phone,
    text: row.link ? withLink(row.text, row.link) : row.text,
    at: clock.now(),
  };
  const over = new AbortController();
  try {
    await Promise.race([telephone.ring(call), giveUpAfter(RING_PATIENCE, over.signal)]);
  } finally {
    over.abort();
  }
}

async function giveUpAfter(ms: number, signal: AbortSignal): Promise<never> {
  await after(ms, undefined, { signal, ref: false });
  throw new Error('The telephone did not answer.');
}

/** It failed: tried again after a while, and set aside after some. */
async function putBack({ db, clock, log }: Services, row: Row, error: unknown): Promise<void> {
  const { aside, set } = afterFailure(row, error, clock.now());
  const { id, plan, kind } = row;
  log[aside ? 'error' : 'warn'](
    { message: id, plan, kind, attempts: set.attempts, err: error },
    aside ? 'a message can’t be delivered and is set aside' : 'a message could not be delivered',
  );
  await db.update(message).set(set).where(eq(message.id, id));
}
