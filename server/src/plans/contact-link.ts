import { fold, isOpen } from '@escale/core/floatplan';
import { v7 as uuidv7 } from 'uuid';
import { contactToken } from '../db/schema';
import { transact } from '../db/transact';
import { mintLink } from '../messages/links';
import type { Principal } from '../principal';
import { reachesOthers } from '../reached';
import { Refusal } from '../refusal';
import type { Services } from '../services';
import { eventsOf } from './events';
import { lockPlan } from './lock';
import { toldOf } from './stored';

/**
 * A link that the crew hands over itself: shown as a code, or sent by whatever their phone has. Each is its own; all of one contact
 * are withdrawn together.
 */
export async function contactLink(
  { db, clock, base }: Services,
  who: Principal,
  id: string,
  contact: string,
): Promise<{ url: string; reaches: boolean }> {
  const now = clock.now();
  return transact(db, async (tx) => {
    const row = await lockPlan(tx, who, id);
    if (!row) throw new Refusal('absent', 'This plan is not here.');
    const { state, withdrawn } = fold(await eventsOf(tx, id), now);
    if (!isOpen(state)) throw new Refusal('conflict', 'This plan has ended.');
    const { contacts } = await toldOf(tx, id);
    if (!contacts.some((c) => c.id === contact) || withdrawn.has(contact))
      throw new Refusal('absent', 'They are no contact of this plan.');
    const { url, token } = mintLink(base, id, contact, uuidv7(), now);
    await tx.insert(contactToken).values(token);
    return { url, reaches: reachesOthers(url) };
  });
}
