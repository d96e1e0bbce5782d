import { and, asc, eq, inArray, isNull, or, sql } from 'drizzle-orm';
import { endedWith, isOpen } from '@escale/core/floatplan';
import { schemaOf, type ThingType } from '@escale/core/model';
import { HOME } from '../db/household';
import { erased, message, plan, planVersion, thing, tick, tripConditions, type PlanRow } from '../db/schema';
import type { Db } from '../db/open';
import { transact } from '../db/transact';
import { NOT_ABOARD } from '../plans/frozen';
import { lockPlan } from '../plans/lock';
import type { Principal } from '../principal';
import { Refusal } from '../refusal';
import type { Services } from '../services';
import { dropUnused } from '../things/photo';
import { bare, isBare, standing, type Standing } from './bare';

/** Something that is erased, as it is noted outside the database. */
export interface Gone {
  id: string;
  type: ThingType;
}

type Row = typeof thing.$inferSelect;

/**
 * Erase a removed thing for good: what it held, and, of a person, a contact or a trip, all that is somebody's in the ended float
 * plans that name it. Done twice, it is done once.
 * @param note called before it stands, with what is erased: it is erased again in whatever copy is put back
 * @throws Refusal absent; conflict while it is not removed, or a plan that names it is open, may still be taken up, or has words on
 *   their way
 */
export async function erase(
  { db, clock, channels }: Services,
  who: Principal,
  id: string,
  note: (gone: Gone[]) => void,
): Promise<void> {
  await transact(db, async (tx) => {
    const now = clock.now();
    const mine = and(eq(thing.id, id), eq(thing.household, who.household));
    const [seen] = await tx.select({ type: thing.type }).from(thing).where(mine);
    if (!seen) throw new Refusal('absent', 'This thing is not here.');
    const [done] = await tx.select().from(erased).where(eq(erased.thing, id));
    if (done) return;
    // Plans first and the thing last, as whoever ends a plan and then marks its trip.
    const named: [PlanRow, Standing][] = [];
    for (const plan of await plansNaming(tx, who.household, { id, type: seen.type as ThingType })) {
      const held = await lockPlan(tx, who, plan);
      if (held) named.push([held, await standing(tx, held, now)]);
    }
    const [row] = await tx.select().from(thing).where(mine).for('update');
    if (!row?.deletedAt) throw new Refusal('conflict', 'This is in use. Remove it first.');
    for (const [held, stands] of named) await refuseLive(tx, held, stands, now, channels.length > 0);
    for (const [held, { rows }] of named) if (!isBare(rows)) await bare(tx, held, rows, now);
    const gone = [row, ...(await under(tx, row))];
    for (const one of gone) await empty(tx, one, now);
    note(gone.map((one) => ({ id: one.id, type: one.type as ThingType })));
  });
}

/** Nobody is forgotten whom somebody may have to look for. */
async function refuseLive(
  tx: Db,
  row: PlanRow,
  { state, events }: Standing,
  now: number,
  tells: boolean,
): Promise<void> {
  if (isOpen(state))
    throw new Refusal(
      'conflict',
      'A float plan that is open names this. It can be erased when the plan has ended.',
    );
  if (endedWith(events, now))
    throw new Refusal(
      'conflict',
      'A float plan that names this ended just now and can still be taken up again. Erase it in an hour.',
    );
  const [waits] = tells
    ? await tx
        .select({ id: message.id })
        .from(message)
        .where(and(eq(message.plan, row.id), isNull(message.deliveredAt), isNull(message.setAsideAt)))
        .limit(1)
    : [];
  if (waits)
    throw new Refusal(
      'conflict',
      'Somebody has still to hear how a float plan that names this ended. Try again later.',
    );
}

/** The ended and open plans in which somebody or something stands, in one order. */
export async function plansNaming(db: Db, household: string, { id, type }: Gone): Promise<string[]> {
  const naming = NAMING[type]?.(id);
  if (!naming) return [];
  const rows = await db
    .selectDistinct({ id: plan.id })
    .from(plan)
    .leftJoin(planVersion, eq(planVersion.plan, plan.id))
    .where(and(eq(plan.household, household), naming))
    .orderBy(asc(plan.id));
  return rows.map((row) => row.id);
}

const has = (column: typeof planVersion.inputs | typeof planVersion.contacts, path: string, id: string) =>
  sql`jsonb_path_exists(${column}, ${path}::jsonpath, ${JSON.stringify({ id, none: NOT_ABOARD })}::jsonb)`;
/** Where each kind stands in a plan. What a plan says of a boat or a place is nobody’s: it goes with its trip. */
const NAMING: Partial<Record<ThingType, (id: string) => ReturnType<typeof sql> | ReturnType<typeof or>>> = {
  person: (id) => has(planVersion.inputs, '$.shed.people[*] ? (@.id == $id && @.name != $none)', id),
  contact: (id) =>
    or(
      has(planVersion.inputs, '$.shed.contacts[*] ? (@.id == $id)', id),
      has(planVersion.contacts, '$[*] ? (@.id == $id)', id),
    ),
  trip: (id) => eq(plan.trip, id),
};

/** What is only of a trip goes with it. */
async function under(tx: Db, { id, type, household }: Row): Promise<Row[]> {
  if (type !== 'trip') return [];
  return tx
    .select()
    .from(thing)
    .where(
      and(
        eq(thing.household, household),
        inArray(thing.type, ['debrief', 'run']),
        sql`${thing.doc} ->> 'trip' = ${id}`,
      ),
    )
    .for('update');
}

async function empty(tx: Db, { id, type, household, deletedAt, doc }: Row, now: number): Promise<void> {
  const at = new Date(now);
  await tx
    .update(thing)
    .set({ doc: {}, schema: schemaOf(type as ThingType), deletedAt: deletedAt ?? at, updatedAt: at })
    .where(eq(thing.id, id));
  await tx.delete(tripConditions).where(eq(tripConditions.trip, id));
  await tx.delete(tick).where(and(eq(tick.household, household), sql`${tick.list} LIKE ${`%${id}%`}`));
  await dropUnused(tx, household, now, Object.keys((doc as { photos?: object }).photos ?? {}));
  await tx.insert(erased).values({ thing: id, household, type, at }).onConflictDoNothing();
}

/**
 * What was erased before and came back by a copy is erased again. A plan that is open in the copy keeps who is in it until it has
 * ended.
 * @returns how many things
 * @throws what one of them failed with, once all others were dealt with
 */
export async function eraseAgain(db: Db, all: readonly Gone[], now: number): Promise<number> {
  let again = 0;
  let failed: unknown;
  for (const gone of all)
    try {
      again += Number(await transact(db, (tx) => eraseOne(tx, gone, now)));
    } catch (error) {
      failed = error;
    }
  if (failed !== undefined) throw failed;
  return again;
}

/** @returns whether there was anything of it */
async function eraseOne(tx: Db, gone: Gone, now: number): Promise<boolean> {
  const its = eq(thing.id, gone.id);
  const [seen] = await tx.select({ household: thing.household }).from(thing).where(its);
  const household = seen?.household ?? HOME;
  let found = false;
  for (const named of await plansNaming(tx, household, gone)) {
    const held = await lockPlan(tx, { household }, named);
    if (!held) continue;
    const { rows, state } = await standing(tx, held, now);
    if (isOpen(state) || isBare(rows)) continue;
    await bare(tx, held, rows, now);
    found = true;
  }
  const [row] = await tx.select().from(thing).where(its).for('update');
  if (row && Object.keys(row.doc).length > 0) {
    await empty(tx, row, now);
    found = true;
  }
  await tx
    .insert(erased)
    .values({ thing: gone.id, household, type: gone.type, at: new Date(now) })
    .onConflictDoNothing();
  return found;
}
