import { and, eq } from 'drizzle-orm';
import { v7 as uuidv7 } from 'uuid';
import {
  endedWith,
  filedTimes,
  fold,
  homeAt,
  isOpen,
  LATER_MOST,
  LATER_WITHIN,
  positionText,
  stillContacts,
  timesLater,
  wereTold,
} from '@escale/core/floatplan';
import {
  schemaOf,
  type EventKind,
  type Phrase,
  type PlanDeed,
  type PlanEvent,
  type PlanTimes,
  type Trip,
} from '@escale/core/model';
import { phrase } from '@escale/core/say';
import { MS } from '@escale/core/units';
import { endLinks, LINK_AFTER_END, reviveLinks } from '../messages/links';
import { callOf } from './words';
import { compose, writeAll, type Addressee, type MessageContext, type Written } from '../messages/write';
import { bodyHash, refuseOther } from '../once';
import type { Principal } from '../principal';
import { Refusal } from '../refusal';
import { doCommand } from '../things/command';
import { deadline, plan, planEvent, thing } from '../db/schema';
import type { Db } from '../db/open';
import { transact } from '../db/transact';
import type { Services } from '../services';
import { setDeadlines } from './deadlines';
import { appendEvent, eventsOf } from './events';
import { lockPlan } from './lock';
import { refuseSecond } from './file';
import { toldOf } from './stored';

type Row = typeof plan.$inferSelect;

/** The server's own device id for the changes it makes to a trip's state. */
const SERVER_DEVICE = '01890000-0000-7000-8000-0000000000ff';
/** A device whose clock is this far off is told so; deadlines use the server's clock in any case. */
export const CLOCK_SKEW = 2 * MS.minute;

/** What a trip is after a deed about its plan. */
const STATUS: Partial<Record<EventKind, Trip['status']>> = {
  'under-way': 'on',
  closed: 'done',
  cancelled: 'planned',
};

/** What a trip is again whose ending was none. */
const statusAgain = (events: PlanEvent[]) => (events.some((e) => e.kind === 'under-way') ? 'on' : 'planned');

/** A deed about a plan, with what stood before it. */
interface Doing {
  row: Row;
  deed: PlanDeed;
  events: PlanEvent[];
  context: MessageContext;
  /** Whom to ring, in the words of the sheet. */
  call: string;
}

/**
 * What a device says about its plan: under way, all well, home later, home, not going, or that an ending was none. Said
 * twice, done once.
 */
export async function doDeed(
  { db, clock, base }: Services,
  { household }: Principal,
  id: string,
  deed: PlanDeed,
): Promise<{ skew: number }> {
  const now = clock.now();
  const madeAt = Date.parse(deed.madeAt);
  await transact(db, async (tx) => {
    const row = await lockPlan(tx, { household }, id);
    if (!row) throw new Refusal('absent', 'This plan is not here.');
    const [known] = await tx
      .select({ plan: planEvent.plan, bodyHash: planEvent.bodyHash })
      .from(planEvent)
      .where(eq(planEvent.id, deed.id));
    if (known) return refuseOther(known.plan === id ? known : { bodyHash: '' }, bodyHash(deed));
    const events = await eventsOf(tx, id);
    const { state, times } = fold(events, now);
    const open = isOpen(state);
    // Home twice is no quarrel, nor is taking back what was taken back; anything else about a plan that has ended is.
    if (open ? deed.kind === 'reopened' : deed.kind === 'closed') return;
    if (!open && deed.kind !== 'reopened') throw new Refusal('conflict', 'This plan has ended.');
    const { kind } = deed;
    // Check-ins are those that were filed: one that an earlier home let fall away is promised again by a later one.
    const { checkIns } = filedTimes(events) ?? times;
    const moved = kind === 'later' ? homeAt({ ...times, checkIns }, homeOf(deed, events, now)) : undefined;
    if (kind === 'reopened') await refuseReopening(tx, row, events, now);
    const { skipper, contacts, sheet } = await toldOf(tx, row.id);
    const { zone, title } = row;
    const context = { plan: id, household, base, zone, title, skipper, times: moved ?? times, now };
    const doing = { row, deed, events, context, call: callOf(sheet, events) };
    const written = wordsOf(doing, stillContacts(contacts, events));
    await appendEvent(
      tx,
      {
        id: deed.id,
        plan: id,
        kind,
        at: now,
        madeAt,
        ...(deed.note ? { note: deed.note } : {}),
        ...(deed.position ? { position: deed.position } : {}),
        ...(moved ? { times: moved } : {}),
        bodyHash: bodyHash(deed),
      },
      written,
    );
    if (kind === 'closed' || kind === 'cancelled') await endPlan(tx, row, now);
    if (kind === 'later') await moveHome(tx, row, context.times, now);
    if (kind === 'reopened') await reopen(tx, doing);
    await writeAll(tx, written);
    const status = kind === 'reopened' ? statusAgain(events) : STATUS[kind];
    if (status) await setTripStatus(tx, row.trip, status, household, now);
  });
  return { skew: now - madeAt };
}

/** The new time home, as far as it can be one. What waited long for signal may name an hour that is past: it holds. */
function homeOf({ home, note, madeAt }: PlanDeed, events: PlanEvent[], now: number): number {
  if (home === undefined) throw new Refusal('unfit', 'Say when you will be home.');
  const at = fitHome(Date.parse(home), Date.parse(madeAt), events, now);
  if (timesLater(events) >= LATER_MOST && !note)
    throw new Refusal('unfit', 'Home was put off several times: say why, for your contacts.');
  return at;
}

/** An hour that can be one of coming home. @throws Refusal where it is past, or too far off */
export function fitHome(at: number, said: number, events: PlanEvent[], now: number): number {
  if (at <= said) throw new Refusal('unfit', 'That hour was past when it was said.');
  if (at > Math.max(now, fold(events, now).times.home) + LATER_WITHIN)
    throw new Refusal('unfit', 'That is more than a day off: change the plan and send the change.');
  return at;
}

/** A sign of life is as old as when it was made: what waited for signal must not sound as if it were said now. */
function heardOf({ madeAt }: PlanDeed, { skipper, now }: MessageContext): Phrase {
  const said = Date.parse(madeAt);
  return now - said > CLOCK_SKEW
    ? phrase('heard.waited', { skipper, said, now })
    : phrase('heard.now', { skipper, now });
}

/** Where they said that they are. */
const whereOf = ({ position }: PlanDeed): Phrase | string =>
  position ? phrase('message.where', { position: positionText(position) }) : '';

/** What contacts hear of a deed; of leaving and of a check-in nothing. */
function wordsOf(doing: Doing, contacts: Addressee[]): Written {
  const { deed, events, context } = doing;
  const told = wereTold(events);
  switch (deed.kind) {
    case 'closed':
      return compose(told ? 'closed.alarmed' : 'closed', contacts, context);
    case 'cancelled':
      return compose(told ? 'cancelled.alarmed' : 'cancelled', contacts, context);
    case 'reopened':
    case 'unsealed':
      return compose(deed.kind, contacts, context);
    case 'trouble':
      return compose('trouble', contacts, context, {
        now: context.now,
        where: whereOf(deed),
        reason: deed.note ?? '',
        call: doing.call,
      });
    case 'later':
      return compose(told ? 'later.alarmed' : 'later', contacts, context, {
        heard: heardOf(deed, context),
        was: fold(events, context.now).times.home,
        reason: deed.note ?? '',
      });
    default:
      return { messages: [], tokens: [] };
  }
}

/** Home is put off: the alarm moves, the plan and who accepted it stay. */
export async function moveHome(tx: Db, row: Row, times: PlanTimes, now: number): Promise<void> {
  await tx
    .update(plan)
    .set({ updatedAt: new Date(now) })
    .where(eq(plan.id, row.id));
  await setDeadlines(tx, row.id, times, now);
}

async function refuseReopening(tx: Db, row: Row, events: PlanEvent[], now: number): Promise<void> {
  if (!endedWith(events, now))
    throw new Refusal('conflict', 'This plan ended too long ago to be taken up again. File a new one.');
  await refuseSecond(tx, row.trip);
}

/** An ending was none: the watch goes on with the times that held, and everybody hears of it. */
async function reopen(tx: Db, { row, context }: Doing): Promise<void> {
  await tx
    .update(plan)
    .set({ open: true, updatedAt: new Date(context.now) })
    .where(eq(plan.id, row.id));
  await reviveLinks(tx, row.id, context.now);
  await setDeadlines(tx, row.id, context.times, context.now);
}

export async function endPlan(tx: Db, row: Row, now: number): Promise<void> {
  await tx
    .update(plan)
    .set({ open: false, updatedAt: new Date(now) })
    .where(eq(plan.id, row.id));
  await tx.update(deadline).set({ open: false }).where(eq(deadline.plan, row.id));
  await endLinks(tx, row.id, now + LINK_AFTER_END);
}

export async function setTripStatus(
  tx: Db,
  trip: string,
  status: Trip['status'],
  household: string,
  now: number,
): Promise<void> {
  const [row] = await tx
    .select()
    .from(thing)
    .where(and(eq(thing.id, trip), eq(thing.household, household)));
  if (!row || row.deletedAt || row.doc.status === status) return;
  await doCommand(
    tx,
    { household },
    {
      id: uuidv7(),
      device: SERVER_DEVICE,
      type: 'trip',
      thing: trip,
      baseVersion: row.version,
      schema: schemaOf('trip'),
      deed: { kind: 'patch', patch: [{ op: 'set', pointer: '/status', value: status }] },
    },
    now,
  );
}
