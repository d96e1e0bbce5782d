import { eq } from 'drizzle-orm';
import { isOpen } from '@escale/core/floatplan';
import type { PlanContact } from '@escale/core/model';
import { plan } from '../db/schema';
import { transact } from '../db/transact';
import { compose, writeAll } from '../messages/write';
import type { Services } from '../services';
import { appendEvent } from './events';
import { toldOf } from './stored';
import { viewPlan } from './view';

/** What a contact can say of a plan on their page. */
export type Answer = 'accepted' | 'declined' | 'rung';

/** Was this said already? Said twice, it stands once. */
const SAID: Record<Answer, (me: PlanContact) => boolean> = {
  accepted: (me) => me.accepted,
  declined: (me) => me.declined === true,
  rung: (me) => me.rung !== undefined,
};

/** A contact answers: it is on record, and the crew hear of what they have to act on. A plan that has ended takes no answer. */
export async function answerAs(
  { db, base, clock }: Services,
  link: { plan: string; contact: string },
  kind: Answer,
): Promise<void> {
  const now = clock.now();
  await transact(db, async (tx) => {
    const [row] = await tx.select().from(plan).where(eq(plan.id, link.plan)).for('update');
    if (!row) return;
    const view = await viewPlan(tx, row, now);
    const me = view.contacts.find((c) => c.id === link.contact);
    if (!me || !isOpen(view.state) || SAID[kind](me)) return;
    const { skipper } = await toldOf(tx, row.id);
    const { household, zone, title } = row;
    const context = { plan: row.id, household, base, zone, title, skipper, times: view.times, now };
    const crew = kind === 'accepted' ? [] : [{ name: skipper }];
    const written = compose(kind === 'declined' ? kind : 'rung', crew, context, { contact: me.name });
    await appendEvent(tx, { plan: row.id, kind, at: now, contact: me.id }, written);
    await writeAll(tx, written);
  });
}
