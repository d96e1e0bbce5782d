import { and, eq, isNull, isNotNull } from 'drizzle-orm';
import { fold, isOpen, stillContacts } from '@escale/core/floatplan';
import { message, plan } from '../db/schema';
import { isAway, transact } from '../db/transact';
import { ALARMING, both, compose, writeAll } from '../messages/write';
import { appendEvent, eventsOf } from '../plans/events';
import { toldOf } from '../plans/stored';
import type { Services } from '../services';
import { SLICE } from '../tries';

/**
 * Alarms that could not be brought to their contact: it goes on record, the crew is told, and the next contact who can be
 * reached hears that it is their turn. Done once for each message that was set aside.
 * @returns how many were dealt with
 */
export async function passOn(services: Services): Promise<number> {
  const { db } = services;
  const rows = await db
    .select({ id: message.id, plan: message.plan })
    .from(message)
    .where(and(isNotNull(message.setAsideAt), isNull(message.passedOnAt)))
    .limit(SLICE);
  for (const row of rows)
    try {
      await passOne(services, row);
    } catch (error) {
      if (isAway(error)) throw error;
      // A plan that can't be read: its message stays set aside and loud, and keeps nobody else's waiting.
      services.log.error({ plan: row.plan, err: error }, 'an alarm can’t be passed on to the next contact');
      await db
        .update(message)
        .set({ passedOnAt: new Date(services.clock.now()) })
        .where(eq(message.id, row.id));
    }
  return rows.length;
}

async function passOne(
  { db, clock, base, log }: Services,
  which: { id: string; plan: string },
): Promise<void> {
  const now = clock.now();
  await transact(db, async (tx) => {
    const [row] = await tx.select().from(plan).where(eq(plan.id, which.plan)).for('update');
    const [failed] = await tx
      .update(message)
      .set({ passedOnAt: new Date(now) })
      .where(and(eq(message.id, which.id), isNull(message.passedOnAt)))
      .returning();
    if (!row || !failed?.contact || !ALARMING.has(failed.kind)) return;
    const events = await eventsOf(tx, row.id);
    const { state, times } = fold(events, now);
    if (!isOpen(state)) return;
    const told = await toldOf(tx, row.id);
    const contacts = stillContacts(told.contacts, events);
    log.error(
      { plan: row.id, kind: failed.kind, trouble: failed.trouble },
      'an alarm did not reach its contact',
    );
    const { household, zone, title } = row;
    const context = { plan: row.id, household, base, zone, title, skipper: told.skipper, times, now };
    const name = { contact: failed.to };
    // The next in the crew's own order who can be reached and was not found out of reach before.
    const out = new Set(events.flatMap((e) => (e.kind === 'unreached' ? (e.contact ?? []) : [])));
    const after = contacts.slice(contacts.findIndex((c) => c.id === failed.contact) + 1);
    const next = [...after, ...contacts].find(
      (c) => (c.phone ?? c.mail) && c.id !== failed.contact && !out.has(c.id),
    );
    const written = both(
      compose('unreached.crew', [{ name: told.skipper }], context, name),
      compose('unreached', next ? [next] : [], context, name),
    );
    await appendEvent(tx, { plan: row.id, kind: 'unreached', at: now, contact: failed.contact }, written);
    await writeAll(tx, written);
  });
}
