import { eq } from 'drizzle-orm';
import { v7 as uuidv7 } from 'uuid';
import { wallToInstant } from '@escale/core/earth';
import { fold, homeAt, filedTimes, isOpen, stillContacts, wereTold } from '@escale/core/floatplan';
import type { EventKind, PlanContact, PlanEvent, PlanTimes } from '@escale/core/model';
import { plan, type PlanRow } from '../db/schema';
import type { Db } from '../db/open';
import { transact } from '../db/transact';
import {
  both,
  compose,
  writeAll,
  type Addressee,
  type MessageContext,
  type Written,
} from '../messages/write';
import { Refusal } from '../refusal';
import type { Services } from '../services';
import { endPlan, fitHome, moveHome, setTripStatus } from './deeds';
import { appendEvent, eventsOf } from './events';
import { toldOf } from './stored';
import { viewPlan } from './view';
import { callOf } from './words';

/** What a contact can say of a plan on their page. */
export type Answer = 'accepted' | 'declined' | 'acting' | 'rung' | 'heard' | 'trouble' | 'closed';

/** What comes with it. */
export interface Said {
  /** Of `heard`: when they will be home, as a wall time of the plan's zone. */
  home?: string;
  note?: string;
  /** Of `closed`: all are ashore, and they were spoken to. */
  ashore?: boolean;
  self?: boolean;
}

/** Was this said already? Said twice, it stands once. */
const SAID: Partial<Record<Answer, (me: PlanContact) => boolean>> = {
  accepted: (me) => me.accepted,
  declined: (me) => me.declined === true,
  rung: (me) => me.rung !== undefined,
};

/** The same words again within so long are the same press. Class *common practice*. */
const AGAIN = 60_000;

interface Saying {
  row: PlanRow;
  me: PlanContact;
  events: PlanEvent[];
  others: Addressee[];
  call: string;
  context: MessageContext;
  said: Said;
}

/**
 * A contact answers: it is on record, and the crew and the other contacts hear of what they have to act on. A plan that has ended
 * takes no answer.
 * @throws Refusal where what came with it can't be
 */
export async function answerAs(
  { db, base, clock }: Services,
  link: { plan: string; contact: string },
  kind: Answer,
  said: Said = {},
): Promise<void> {
  const now = clock.now();
  await transact(db, async (tx) => {
    const [row] = await tx.select().from(plan).where(eq(plan.id, link.plan)).for('update');
    if (!row) return;
    const view = await viewPlan(tx, row, now);
    const me = view.contacts.find((c) => c.id === link.contact);
    if (!me || me.withdrawn || !isOpen(view.state) || SAID[kind]?.(me)) return;
    const events = await eventsOf(tx, row.id);
    if (saidJustNow(events, kind, me.id, said, now)) return;
    const { skipper, contacts, sheet } = await toldOf(tx, row.id);
    const { household, zone, title } = row;
    const times = kind === 'heard' ? movedBy(said, row, events, now) : undefined;
    const context = { plan: row.id, household, base, zone, title, skipper, times: times ?? view.times, now };
    const others = stillContacts(contacts, events).filter((c) => c.id !== me.id);
    const saying: Saying = { row, me, events, others, call: callOf(sheet, events), context, said };
    if (kind === 'closed' && !(said.ashore && said.self)) throw new Refusal('unfit', NOT_HOME);
    const written = WORDS[kind](saying, times !== undefined);
    await appendEvent(
      tx,
      {
        id: uuidv7(),
        plan: row.id,
        kind: kind satisfies EventKind,
        at: now,
        contact: me.id,
        ...(said.note ? { note: said.note } : {}),
        ...(times ? { times } : {}),
      },
      written,
    );
    if (times) await moveHome(tx, row, times, now);
    if (kind === 'closed') await close(tx, row, now);
    await writeAll(tx, written);
  });
}

const NOT_HOME = 'Close it only when everybody is ashore and you heard so from them yourself.';

async function close(tx: Db, row: PlanRow, now: number): Promise<void> {
  await endPlan(tx, row, now);
  await setTripStatus(tx, row.trip, 'done', row.household, now);
}

/** Pressed twice, or sent again by a browser: one word. */
function saidJustNow(events: PlanEvent[], kind: Answer, contact: string, { note }: Said, now: number) {
  const last = events.findLast((e) => e.contact === contact);
  return last?.kind === kind && (last.note ?? '') === (note ?? '') && now - last.at < AGAIN;
}

/** The times that hold when home was named; without it nothing moves. */
function movedBy({ home }: Said, { zone }: PlanRow, events: PlanEvent[], now: number): PlanTimes | undefined {
  if (!home) return undefined;
  const [date, time] = home.split('T');
  const at = wallToInstant(date, time, zone);
  if ('gap' in at) throw new Refusal('unfit', 'The clocks leave that hour out: say another.');
  const { times } = fold(events, now);
  const { checkIns } = filedTimes(events) ?? times;
  return homeAt({ ...times, checkIns }, fitHome(at.at, now, events, now));
}

const reasonOf = ({ note }: Said) => note ?? '';

/** Who hears what of an answer. */
const WORDS: Record<Answer, (saying: Saying, moved: boolean) => Written> = {
  accepted: () => ({ messages: [], tokens: [] }),
  declined: ({ me, context }) => compose('declined', [crewOf(context)], context, { contact: me.name }),
  rung: ({ me, context, others }) =>
    both(
      compose('rung', [crewOf(context)], context, { contact: me.name }),
      compose('rung.others', others, context, { contact: me.name }),
    ),
  acting: ({ me, context, others }) =>
    compose('acting', [crewOf(context), ...others], context, { contact: me.name }),
  heard: ({ me, context, others, said, events }, moved) =>
    moved
      ? compose(
          wereTold(events) ? 'heard.home.alarmed' : 'heard.home',
          [crewOf(context), ...others],
          context,
          {
            contact: me.name,
            reason: reasonOf(said),
            was: fold(events, context.now).times.home,
          },
        )
      : compose('heard', [crewOf(context)], context, { contact: me.name, reason: reasonOf(said) }),
  trouble: ({ me, context, others, said, call }) =>
    both(
      compose('trouble.crew', [crewOf(context)], context, { contact: me.name }),
      compose('trouble.by', others, context, { contact: me.name, reason: reasonOf(said), call }),
    ),
  closed: ({ me, context, others, events }) =>
    compose(wereTold(events) ? 'closed.by.alarmed' : 'closed.by', [crewOf(context), ...others], context, {
      contact: me.name,
    }),
};

const crewOf = ({ skipper }: MessageContext): Addressee => ({ name: skipper });
