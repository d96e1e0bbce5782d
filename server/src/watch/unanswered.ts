import { and, eq, inArray, isNotNull, isNull, lte } from 'drizzle-orm';
import { ANSWER_WITHIN, fold, inTurn, stillContacts } from '@escale/core/floatplan';
import { message, plan } from '../db/schema';
import { isAway, transact } from '../db/transact';
import { ANSWERED_KINDS, both, compose, writeAll, type Written } from '../messages/write';
import { appendEvent, eventsOf } from '../plans/events';
import { toldOf } from '../plans/stored';
import { firstAndCall } from '../plans/words';
import type { Services } from '../services';
import { SLICE } from '../tries';

/**
 * Alarms that went out and to which nobody says a word: a page that was fetched is no answer, for machines fetch them too. The
 * same contact is tried by another way, the next one hears that it is their turn, the crew is told. Done once for each message.
 * @returns how many were dealt with
 */
export async function remindUnanswered(services: Services): Promise<number> {
  const { db, clock } = services;
  const now = clock.now();
  const rows = await db
    .select({ id: message.id, plan: message.plan })
    .from(message)
    .where(
      and(
        inArray(message.kind, ANSWERED_KINDS),
        isNotNull(message.contact),
        isNull(message.passedOnAt),
        lte(message.deliveredAt, new Date(now - ANSWER_WITHIN)),
      ),
    )
    .limit(SLICE);
  for (const row of rows)
    try {
      await remindOne(services, row);
    } catch (error) {
      if (isAway(error)) throw error;
      services.log.error({ plan: row.plan, err: error }, 'an alarm without an answer can’t be passed on');
      await db
        .update(message)
        .set({ passedOnAt: new Date(now) })
        .where(eq(message.id, row.id));
    }
  return rows.length;
}

async function remindOne(services: Services, which: { id: string; plan: string }): Promise<void> {
  const { db, clock, base, channels } = services;
  const now = clock.now();
  await transact(db, async (tx) => {
    const [row] = await tx.select().from(plan).where(eq(plan.id, which.plan)).for('update');
    const [silent] = await tx
      .update(message)
      .set({ passedOnAt: new Date(now) })
      .where(and(eq(message.id, which.id), isNull(message.passedOnAt)))
      .returning();
    if (!row || !silent?.contact) return;
    const events = await eventsOf(tx, row.id);
    const folded = fold(events, now);
    const { contact } = silent;
    // Who said that they act goes on acting: the next step of the same alarm asks for no second word.
    const answered =
      folded.acting.has(contact) ||
      events.some((e) => e.contact === contact && e.at >= silent.madeAt.getTime() && SPOKE.has(e.kind));
    // What was said too early, or is settled since, needs no answer.
    if (!LATE.has(folded.state) || answered) return;
    const told = await toldOf(tx, row.id);
    const contacts = stillContacts(told.contacts, events);
    const { household, zone, title } = row;
    const { skipper } = told;
    const context = { plan: row.id, household, base, zone, title, skipper, times: folded.times, now };
    const turn = inTurn(contacts, folded);
    // An alarm was told to all of them: there is nobody else.
    const next = TO_ALL.has(silent.kind) ? undefined : turn[turn.findIndex((c) => c.id === contact) + 1];
    const words = { contact: silent.to, ...firstAndCall(told.sheet, events) };
    const again = anotherWay(
      silent,
      channels,
      compose(
        'unanswered.again',
        contacts.filter((c) => c.id === contact),
        context,
        words,
      ),
    );
    const written = both(
      both(again, compose('unanswered', next ? [next] : [], context, words)),
      compose(
        (next ?? again.messages[0]) ? 'unanswered.crew' : 'unanswered.alone',
        [{ name: skipper }],
        context,
        words,
      ),
    );
    await appendEvent(tx, { plan: row.id, kind: 'unanswered', at: now, contact }, written);
    await writeAll(tx, written);
  });
}

const LATE: ReadonlySet<string> = new Set(['overdue', 'alarm']);
const TO_ALL: ReadonlySet<string> = new Set(['alarm', 'trouble', 'trouble.by']);
const SPOKE: ReadonlySet<string> = new Set(['acting', 'heard', 'trouble', 'rung', 'declined', 'accepted']);

/** The same contact once more, by a way that was not tried: by none where there is no other. */
function anotherWay(
  { channel, phone, mail }: typeof message.$inferSelect,
  channels: Services['channels'],
  written: Written,
): Written {
  const could = { telephone: phone, mail, push: null };
  const other = channels.find(({ name }) => name !== channel && could[name] !== null);
  if (!other) return { messages: [], tokens: [] };
  return { ...written, messages: written.messages.map((m) => ({ ...m, via: other.name })) };
}
