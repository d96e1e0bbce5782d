import { v7 as uuidv7 } from 'uuid';
import type { PhraseValue, PlanTimes } from '@escale/core/model';
import { render, type WordKey, phraseOf } from '@escale/core/say';
import { message } from '../db/schema';
import type { Db } from '../db/open';
import { mintLink } from './tokens';

export interface Addressee {
  id?: string;
  name: string;
  phone?: string;
}

export interface MessageContext {
  plan: string;
  household: string;
  base: string;
  zone: string;
  title: string;
  skipper: string;
  times: PlanTimes;
  now: number;
}

export type MessageKind =
  | 'filed'
  | 'amended'
  | 'later'
  | 'later.alarmed'
  | 'late'
  | 'check-in-missed'
  | 'overdue'
  | 'alarm'
  | 'closed'
  | 'closed.alarmed'
  | 'declined'
  | 'rung'
  | 'reopened'
  | 'cancelled';

const WITH_LINK: ReadonlySet<MessageKind> = new Set([
  'filed',
  'amended',
  'later',
  'later.alarmed',
  'reopened',
  'overdue',
  'alarm',
]);

/** Write a message to each addressee in the transaction of what caused it; the watcher carries them out afterwards. */
export async function writeMessages(
  tx: Db,
  kind: MessageKind,
  to: Addressee[],
  context: MessageContext,
  more: Record<string, PhraseValue> = {},
): Promise<void> {
  for (const { id, name, phone } of to) {
    const link =
      id && WITH_LINK.has(kind) ? await mintLink(tx, context.base, context.plan, id, context.now) : undefined;
    const words = phraseOf(`message.${kind}` satisfies WordKey, {
      title: context.title,
      skipper: context.skipper,
      home: context.times.home,
      overdue: context.times.overdue,
      link: LINK,
      ...more,
    });
    const said = render(words, { units: 'metric', zone: context.zone, locale: 'en-GB' });
    // A reason that nobody gave leaves no hole.
    const text = said.replace(/ {2,}/g, ' ');
    await tx.insert(message).values({
      id: uuidv7(),
      household: context.household,
      plan: context.plan,
      contact: id ?? null,
      to: name,
      phone: phone ?? null,
      kind,
      text,
      link: link ?? null,
      madeAt: new Date(context.now),
    });
  }
}

/** Stands in a stored message where the link goes: the link itself is not kept here once it has left. */
export const LINK = '[link]';
