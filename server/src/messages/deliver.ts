import { setTimeout as after } from 'node:timers/promises';
import { and, asc, eq, inArray, isNull, notInArray, or, sql } from 'drizzle-orm';
import { Bounced, type Channel, type Outgoing } from '../channels/channel';
import { noteChannels, type Fared } from '../channels/state';
import { message } from '../db/schema';
import { transact } from '../db/transact';
import type { Services } from '../services';
import { afterFailure, LEASE, mayBeTried, RING_PATIENCE, SLICE } from '../tries';
import { BOUNCED, ERASED, HERE, NO_WAY, subjectOf, URGENT, withLink } from './write';

type Row = typeof message.$inferSelect;

/** Urgent kinds first, as one number to order by. */
const urgency = sql`array_position(ARRAY[${sql.join(
  URGENT.map((kind) => sql`${kind}`),
  sql`, `,
)}]::text[], ${message.kind})`;

/** How a message ended: by which way it went, or why it went by none. */
type End = { channel: string } | { failed: unknown };

/**
 * Carry out written messages, a slice of them. Each is taken for a while (a lease, so that several servers share them), sent
 * outside of any transaction by the first way that takes it, and marked by itself: one that can't go holds up no other. At least
 * once towards what carries it, whose key makes it once; the link leaves with the message and is forgotten.
 * @returns how many were dealt with
 */
export async function deliver(services: Services): Promise<number> {
  const { db, clock, channels } = services;
  // Without any way out messages wait where they can be read; pages say that nobody heard of them.
  if (channels.length === 0) return 0;
  const taken = await take(services);
  const fared: Fared[] = [];
  const ends = await Promise.all(taken.map((row) => send(services, row, fared)));
  const went = new Map<string, string[]>();
  for (const [i, end] of ends.entries())
    if ('channel' in end) went.set(end.channel, [...(went.get(end.channel) ?? []), taken[i].id]);
    else await putBack(services, taken[i], end.failed);
  for (const [channel, ids] of went)
    await db
      .update(message)
      .set({
        deliveredAt: new Date(clock.now()),
        channel,
        link: null,
        nextTryAt: null,
        setAsideAt: null,
        trouble: null,
      })
      .where(inArray(message.id, ids));
  await noteChannels(db, fared, clock.now());
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
          or(isNull(message.trouble), notInArray(message.trouble, [NO_WAY, BOUNCED, ERASED])),
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

/** By the first way that takes it; where one fails the next is tried at once. */
async function send({ clock, channels }: Services, row: Row, fared: Fared[]): Promise<End> {
  const going: Outgoing = {
    key: row.id,
    household: row.household,
    to: row.to,
    phone: row.phone,
    mail: row.mail,
    subject: subjectOf(row.kind, row.text),
    text: row.link ? withLink(row.text, row.link) : row.text,
    at: clock.now(),
    ashore: row.contact !== null,
  };
  let failed: unknown;
  for (const channel of channels) {
    if (row.via !== null && channel.name !== row.via) continue;
    try {
      if (!(await channel.reaches(going))) continue;
      await patiently(channel, going);
      fared.push({ name: channel.name });
      return { channel: channel.name };
    } catch (error) {
      // An address that refuses is no fault of what carries.
      if (!(error instanceof Bounced)) fared.push({ name: channel.name, error });
      if (failed === undefined || failed instanceof Bounced) failed = error;
    }
  }
  if (failed !== undefined) return { failed };
  // What is for the crew stands on their own pages; somebody ashore has no such page.
  return going.ashore ? { failed: new NoWay('nothing reaches them from here') } : { channel: HERE };
}

/** Nothing that is set up here takes such a message. */
class NoWay extends Error {
  override name = NO_WAY;
}

/** What does not answer carries nothing: the others wait for it no longer than this. */
async function patiently(channel: Channel, going: Outgoing): Promise<void> {
  const over = new AbortController();
  try {
    await Promise.race([channel.send(going), giveUpAfter(RING_PATIENCE, over.signal)]);
  } finally {
    over.abort();
  }
}

async function giveUpAfter(ms: number, signal: AbortSignal): Promise<never> {
  await after(ms, undefined, { signal, ref: false });
  throw new Error('It did not answer.');
}

/** It failed: tried again after a while, and set aside after some; at once where trying is of no use. */
async function putBack({ db, clock, log }: Services, row: Row, error: unknown): Promise<void> {
  const now = clock.now();
  const final = error instanceof NoWay || error instanceof Bounced;
  const { aside, set } = afterFailure(row, error, now);
  const { id, plan, kind } = row;
  log[aside || final ? 'error' : 'warn'](
    { message: id, plan, kind, attempts: set.attempts, err: error },
    aside || final ? 'a message can’t be delivered and is set aside' : 'a message could not be delivered',
  );
  const trouble = error instanceof NoWay ? NO_WAY : BOUNCED;
  const kept = final ? { ...set, trouble, setAsideAt: row.setAsideAt ?? new Date(now) } : set;
  await db.update(message).set(kept).where(eq(message.id, id));
}
