import { fold } from '@escale/core/floatplan';
import { transact } from '../db/transact';
import { endLinks } from '../messages/links';
import type { Principal } from '../principal';
import { Refusal } from '../refusal';
import type { Services } from '../services';
import { appendEvent, eventsOf } from './events';
import { lockPlan } from './lock';
import { toldOf } from './stored';

/** A contact is taken off a plan: their links end at once, and nothing that follows reaches them. Done twice, it is done once. */
export async function withdraw(
  { db, clock }: Services,
  who: Principal,
  id: string,
  contact: string,
): Promise<void> {
  const now = clock.now();
  await transact(db, async (tx) => {
    const row = await lockPlan(tx, who, id);
    if (!row) throw new Refusal('absent', 'This plan is not here.');
    const events = await eventsOf(tx, id);
    const { contacts } = await toldOf(tx, id);
    if (!contacts.some((c) => c.id === contact))
      throw new Refusal('absent', 'They are no contact of this plan.');
    await endLinks(tx, id, now, contact);
    if (fold(events, now).withdrawn.has(contact)) return;
    await appendEvent(tx, { plan: id, kind: 'withdrawn', at: now, contact });
  });
}
