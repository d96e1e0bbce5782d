import { eq, inArray, sql } from 'drizzle-orm';
import { fold } from '@escale/core/floatplan';
import { schemaOf, type PlanEvent, type PlanState, type Sheet } from '@escale/core/model';
import { contactToken, message, phoneCall, plan, planVersion, type Bared, type PlanRow } from '../db/schema';
import type { Db } from '../db/open';
import { ERASED } from '../messages/write';
import {
  appendEvent,
  baredHash,
  eventRows,
  eventsIn,
  messageHash,
  versionHash,
  type EventRow,
} from '../plans/events';

/** What stands where something was erased. */
const NOTHING = '';
export const ERASED_TITLE = 'Erased';

const erasedSheet = (zone: string): Sheet => ({
  title: ERASED_TITLE,
  filedAt: NOTHING,
  zone,
  lines: [],
  expect: [],
  ifLate: [],
  read: NOTHING,
});

/** Was everything that is somebody's erased in it already? */
export const isBare = (rows: EventRow[]): boolean => rows.some((row) => row.kind === 'erased');

/**
 * Erase from an ended plan all that is somebody's: what was filed, who was told and what was said, notes and positions. That it
 * was filed, when it was to end and how it ended stays on record, and the chain holds: an event of its own says what is left.
 * The caller holds the plan.
 */
export async function bare(tx: Db, row: PlanRow, rows: EventRow[], now: number): Promise<void> {
  const bared: Bared = {
    versions: await bareVersions(tx, row),
    messages: await bareMessages(tx, row, now),
    events: await bareEvents(tx, rows),
  };
  await tx.update(plan).set({ title: ERASED_TITLE }).where(eq(plan.id, row.id));
  await tx.delete(contactToken).where(eq(contactToken.plan, row.id));
  await appendEvent(tx, { plan: row.id, kind: 'erased', at: now }, { bared });
}

async function bareVersions(tx: Db, { id, zone }: PlanRow): Promise<Bared['versions']> {
  const left = { inputs: {}, assessment: {}, sheet: erasedSheet(zone), contacts: [], skipper: NOTHING };
  await tx.execute(sql`SELECT escale_bare_versions(${id}, ${schemaOf('plan-version')})`);
  const versions = await tx
    .select({ version: planVersion.version })
    .from(planVersion)
    .where(eq(planVersion.plan, id));
  return Object.fromEntries(versions.map(({ version }) => [version, versionHash(left)]));
}

/** Who has not heard by now will not: nobody is told a message without words. */
async function bareMessages(tx: Db, { id }: PlanRow, now: number): Promise<Bared['messages']> {
  const at = new Date(now);
  const left = { to: NOTHING, phone: null, mail: null, text: NOTHING, link: null };
  await tx.execute(sql`SELECT set_config('escale.erasing', 'on', true)`);
  const messages = await tx.update(message).set(left).where(eq(message.plan, id)).returning();
  await tx.execute(sql`SELECT set_config('escale.erasing', '', true)`);
  const ids = messages.map((one) => one.id);
  if (ids.length > 0) await tx.delete(phoneCall).where(inArray(phoneCall.key, ids));
  const untold = messages.filter((one) => !one.deliveredAt).map((one) => one.id);
  if (untold.length > 0)
    await tx
      .update(message)
      .set({ setAsideAt: at, passedOnAt: at, nextTryAt: null, trouble: ERASED })
      .where(inArray(message.id, untold));
  return Object.fromEntries(messages.map((one) => [one.id, messageHash(one)]));
}

async function bareEvents(tx: Db, rows: EventRow[]): Promise<Bared['events']> {
  const bared: Bared['events'] = {};
  for (const row of rows) {
    const { note, position, changes, ...data } = row.data;
    if ([note, position, changes].every((one) => one === undefined)) continue;
    await tx.execute(sql`SELECT escale_bare_event(${row.seq})`);
    bared[row.id] = baredHash({ ...row, data });
  }
  return bared;
}

/** A plan's events, and where it stands by them. */
export interface Standing {
  rows: EventRow[];
  events: PlanEvent[];
  state: PlanState;
}
export async function standing(tx: Db, { id }: PlanRow, now: number): Promise<Standing> {
  const rows = (await eventRows(tx, [id])).get(id) ?? [];
  const events = eventsIn(rows);
  return { rows, events, state: fold(events, now).state };
}
