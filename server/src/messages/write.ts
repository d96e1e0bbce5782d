import { v7 as uuidv7 } from 'uuid';
import type { PhraseValue, PlanTimes } from '@escale/core/model';
import { phrase, phraseOf, render, type WordKey } from '@escale/core/say';
import { contactToken, message } from '../db/schema';
import type { Db } from '../db/open';
import { mintLink } from './links';

export interface Addressee {
  id?: string;
  name: string;
  phone?: string;
  mail?: string;
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
  | 'soon'
  | 'check-in-due'
  | 'late'
  | 'check-in-missed'
  | 'trouble'
  | 'trouble.crew'
  | 'trouble.by'
  | 'heard'
  | 'heard.home'
  | 'unsealed'
  | 'unanswered'
  | 'unanswered.again'
  | 'unanswered.crew'
  | 'unanswered.alone'
  | 'overdue'
  | 'alarm'
  | 'early'
  | 'early.overdue'
  | 'unread'
  | 'unreached'
  | 'unreached.crew'
  | 'closed'
  | 'closed.alarmed'
  | 'closed.by'
  | 'closed.by.alarmed'
  | 'declined'
  | 'acting'
  | 'rung'
  | 'rung.others'
  | 'reopened'
  | 'cancelled'
  | 'cancelled.alarmed'
  | 'amended.alarmed'
  | 'heard.home.alarmed';

const WITH_LINK: ReadonlySet<MessageKind> = new Set([
  'filed',
  'amended',
  'amended.alarmed',
  'later',
  'later.alarmed',
  'reopened',
  'overdue',
  'alarm',
  'unreached',
  'unanswered',
  'unanswered.again',
  'trouble',
  'trouble.by',
  'heard.home',
  'heard.home.alarmed',
  'unsealed',
]);

/** Kinds from the most urgent: in a storm these go first. What is not named is news and waits for them. */
export const URGENT: readonly MessageKind[] = [
  'trouble',
  'trouble.by',
  'trouble.crew',
  'alarm',
  'unreached',
  'unanswered',
  'overdue',
  'unread',
  'early',
  'early.overdue',
  'rung',
  'rung.others',
  'unreached.crew',
  'unanswered.crew',
  'unanswered.alone',
  'check-in-missed',
  'late',
  'later.alarmed',
  'closed.alarmed',
  'closed.by.alarmed',
  'cancelled.alarmed',
  'amended.alarmed',
  'heard.home.alarmed',
];

/** Of these somebody has to hear: where the contact can't be reached, the next is told. */
export const ALARMING: ReadonlySet<string> = new Set<MessageKind>([
  'overdue',
  'alarm',
  'unread',
  'unreached',
  'unanswered',
  'trouble',
  'trouble.by',
]);

/** Of these an answer is waited for. */
export const ANSWERED_KINDS: MessageKind[] = [
  'overdue',
  'alarm',
  'unreached',
  'unanswered',
  'trouble',
  'trouble.by',
];

/** How far our clock is to be believed just now: what is sent says so. */
export type Leapt = 'unconfirmed' | 'agreed';
const LEAPT = {
  unconfirmed: 'message.leapt',
  agreed: 'message.leapt.agreed',
} as const satisfies Record<Leapt, WordKey>;

/** Why a message can't go: no way to reach them was entered. */
export const NO_WAY = 'no-way';
/** Why a message can't go: the address itself refused it. */
export const BOUNCED = 'bounced';
/** By no way out: it stands on the crew's own pages. */
export const HERE = 'here';
/** Why a message is told to nobody any more: its words were erased. */
export const ERASED = 'erased';

/** Messages and their links, ready to be written in the transaction of what caused them. */
export interface Written {
  messages: (typeof message.$inferInsert)[];
  tokens: (typeof contactToken.$inferInsert)[];
}

/** A message to each addressee, in words. A contact without a phone can't be told: that stands on it from the start. */
export function compose(
  kind: MessageKind,
  to: Addressee[],
  context: MessageContext,
  more: Record<string, PhraseValue> = {},
  leapt?: Leapt,
): Written {
  const written: Written = { messages: [], tokens: [] };
  const reader = { units: 'metric', zone: context.zone, locale: 'en-GB' } as const;
  const madeAt = new Date(context.now);
  for (const { id, name, phone, mail } of to) {
    const key = uuidv7();
    const link =
      id && WITH_LINK.has(kind) ? mintLink(context.base, context.plan, id, key, context.now) : undefined;
    const words = phraseOf(`message.${kind}` satisfies WordKey, {
      title: context.title,
      skipper: context.skipper,
      home: context.times.home,
      overdue: context.times.overdue,
      link: LINK,
      ...more,
    });
    // A reason that nobody gave leaves no hole.
    const said = render(words, reader).replace(/ {2,}/g, ' ');
    written.messages.push({
      id: key,
      household: context.household,
      plan: context.plan,
      contact: id ?? null,
      to: name,
      phone: phone ?? null,
      mail: mail ?? null,
      kind,
      text: leapt ? render(phrase(LEAPT[leapt], { text: said }), reader) : said,
      link: link?.url ?? null,
      madeAt,
      ...(id && !phone && !mail ? { setAsideAt: madeAt, trouble: NO_WAY } : {}),
    });
    if (link) written.tokens.push(link.token);
  }
  return written;
}

export const both = (a: Written, b: Written): Written => ({
  messages: [...a.messages, ...b.messages],
  tokens: [...a.tokens, ...b.tokens],
});

/** The watcher carries them out once the transaction stands. */
export async function writeAll(tx: Db, { messages, tokens }: Written): Promise<void> {
  if (tokens.length > 0) await tx.insert(contactToken).values(tokens);
  if (messages.length > 0) await tx.insert(message).values(messages);
}

/** Write a message to each addressee in the transaction of what caused it. */
export const writeMessages = (
  tx: Db,
  kind: MessageKind,
  to: Addressee[],
  context: MessageContext,
  more: Record<string, PhraseValue> = {},
): Promise<void> => writeAll(tx, compose(kind, to, context, more));

/** What a mail or a notice is headed with: the first of its sentences. */
export function subjectOf(kind: string, text: string): string {
  const first = /^[^.:\n]{1,90}(?=[.:\n])/.exec(text)?.[0] ?? text.slice(0, SUBJECT_MOST);
  const head = render(phrase('message.subject', { first }), {
    units: 'metric',
    zone: 'UTC',
    locale: 'en-GB',
  });
  return ALARMING.has(kind)
    ? render(phrase('message.subject.urgent', { head }), { units: 'metric', zone: 'UTC', locale: 'en-GB' })
    : head;
}
const SUBJECT_MOST = 90;

/** Stands in a stored message where the link goes: the link itself is not kept here once it has left. */
const LINK = '[link]';
/** The link is in the last place that is called so: what a person wrote stands before it, and may say the same. */
export function withLink(text: string, link: string): string {
  const at = text.lastIndexOf(LINK);
  return at < 0 ? text : text.slice(0, at) + link + text.slice(at + LINK.length);
}
