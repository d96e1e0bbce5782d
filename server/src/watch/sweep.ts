import { and, asc, eq, gt, inArray, lte, notExists, sql, type SQL } from 'drizzle-orm';
import { MS } from '@escale/core/units';
import { deadline, plan, planEvent, type PlanRow } from '../db/schema';
import type { Db } from '../db/open';
import { isAway, transact } from '../db/transact';
import { writeAll, type Leapt, type Written } from '../messages/write';
import { eventRows } from '../plans/events';
import { toldRows } from '../plans/stored';
import type { Services } from '../services';
import { afterFailure, mayBeTried, SLICE } from '../tries';
import { actOn, lastWords, takeBack, type Deed, type Due, type DueRow } from './act';

/** What the watch needs beside the services: how far the clock is to be believed. */
export interface Watching extends Services {
  leapt?: () => Leapt | undefined;
}

/** Alarms first, whatever came due before them; a check-in that was missed before one who is a little late. */
const URGENCY = sql`array_position(ARRAY['alarm', 'overdue', 'check-in', 'late', 'soon', 'check-in-due'], ${deadline.kind})`;
/** Done later than now by this much: by a clock that was wrong. What runs ahead by less was none. */
const EARLY = 5 * MS.second;

type Want = (now: number) => SQL | undefined;
type Work = (due: Due, now: number, services: Watching) => Deed;
interface Chore {
  want: Want;
  work: Work;
  /** What is said of what can't be read, once it is set aside. */
  lastly?: (due: Due, now: number, services: Watching) => Written;
  /** What becomes of the deadlines that were dealt with. */
  done: (now: number) => Partial<typeof deadline.$inferInsert>;
}

/** What is due and may be tried. */
const DUE: Chore = {
  want: (now) =>
    and(eq(deadline.open, true), lte(deadline.dueAt, new Date(now)), mayBeTried(deadline.nextTryAt, now)),
  work: (due, now, { base, leapt }) => actOn(due, { now, base, leapt: leapt?.() }),
  lastly: (due, now, { base, leapt }) => lastWords(due, { now, base, leapt: leapt?.() }),
  done: (now) => ({
    open: false,
    doneAt: new Date(now),
    nextTryAt: null,
    setAsideAt: null,
    trouble: null,
  }),
};

/** What was acted on “in the future”, by a clock that was wrong: it is taken back and stands again. */
const EARLY_DONE: Chore = {
  want: (now) => and(gt(deadline.doneAt, new Date(now + EARLY)), mayBeTried(deadline.nextTryAt, now)),
  work: (due, now, { base }) => takeBack(due, { now, base }),
  done: () => ({ open: true, doneAt: null, nextTryAt: null, setAsideAt: null, trouble: null }),
};

/** @returns how many plans were dealt with */
export const sweepDue = (services: Watching) => chore(services, DUE);
export const reopenEarly = (services: Watching) => chore(services, EARLY_DONE);

/**
 * A slice of what is to be done. Plans are locked first and their deadlines after, as deeds and filings do it, so that nobody
 * waits for each other; locked ones are left to whoever has them. Effect and mark stand in one transaction, so a kill in
 * between does it neither twice nor not at all. A slice that can't be written is done again plan by plan, so that one that
 * can't be is alone with it.
 */
async function chore(services: Watching, task: Chore): Promise<number> {
  const now = services.clock.now();
  let plans: PlanRow[] = [];
  try {
    await transact(services.db, async (tx) => {
      plans = await free(tx, task.want(now));
      await slice(tx, services, task, plans, now);
    });
  } catch (error) {
    if (isAway(error) || plans.length === 0) throw error;
    for (const { id } of plans) await alone(services, task, id, now);
  }
  return plans.length;
}

/** The plans with the most urgent of what is wanted, locked. */
async function free(tx: Db, want: SQL | undefined): Promise<PlanRow[]> {
  const first = tx
    .select({
      plan: deadline.plan,
      urgency: sql<number>`min(${URGENCY})`.as('urgency'),
      dueAt: sql<Date>`min(${deadline.dueAt})`.as('due_at'),
    })
    .from(deadline)
    .where(want)
    .groupBy(deadline.plan)
    .as('first');
  const rows = await tx
    .select({ plan })
    .from(plan)
    .innerJoin(first, eq(first.plan, plan.id))
    .orderBy(asc(first.urgency), asc(first.dueAt), asc(plan.id))
    .limit(SLICE)
    .for('update', { of: plan, skipLocked: true });
  return rows.map((row) => row.plan);
}

async function alone(services: Watching, task: Chore, id: string, now: number): Promise<void> {
  const one = (tx: Db) => tx.select().from(plan).where(eq(plan.id, id)).for('update');
  try {
    await transact(services.db, async (tx) => slice(tx, services, task, await one(tx), now));
  } catch (error) {
    if (isAway(error)) throw error;
    await transact(services.db, async (tx) => {
      await one(tx);
      await putBack(tx, services, await wanted(tx, [id], task.want(now)), error, now);
    });
  }
}

const wanted = (tx: Db, plans: string[], want: SQL | undefined) =>
  tx
    .select()
    .from(deadline)
    .where(and(inArray(deadline.plan, plans), want))
    .orderBy(asc(deadline.id));

async function slice(tx: Db, services: Watching, task: Chore, plans: PlanRow[], now: number): Promise<void> {
  const ids = plans.map((p) => p.id);
  if (ids.length === 0) return;
  const rows = await wanted(tx, ids, task.want(now));
  const events = await eventRows(tx, ids);
  const told = await toldRows(tx, ids);
  const all: Deed = { events: [], messages: [], tokens: [] };
  const done: string[] = [];
  for (const row of plans) {
    const due = rows.filter((d) => d.plan === row.id);
    if (due.length === 0) continue;
    const plan = { row, due, events: events.get(row.id) ?? [], told: told.get(row.id) };
    try {
      const deed = task.work(plan, now, services);
      all.events.push(...deed.events);
      all.messages.push(...deed.messages);
      all.tokens.push(...deed.tokens);
      done.push(...due.map((d) => d.id));
    } catch (error) {
      // A plan that can't be read must not be silent: who can be told is told what is known.
      const aside = await putBack(tx, services, due, error, now);
      if (aside && task.lastly) await writeAll(tx, task.lastly(plan, now, services));
    }
  }
  if (all.events.length > 0) await tx.insert(planEvent).values(all.events);
  await writeAll(tx, all);
  if (done.length > 0) await tx.update(deadline).set(task.done(now)).where(inArray(deadline.id, done));
}

/** Deadlines whose plan is gone: nobody can be told, which is to be seen and not to be tried for ever. */
export async function setAsideLost({ db, clock, log }: Services): Promise<number> {
  const at = new Date(clock.now());
  const lost = await db
    .update(deadline)
    .set({ open: false, setAsideAt: at, trouble: 'no-plan' })
    .where(
      and(
        eq(deadline.open, true),
        lte(deadline.dueAt, at),
        notExists(
          db
            .select({ one: sql`1` })
            .from(plan)
            .where(eq(plan.id, deadline.plan)),
        ),
      ),
    )
    .returning({ id: deadline.id });
  for (const { id } of lost) log.error({ deadline: id }, 'a deadline has no plan and is set aside');
  return lost.length;
}

/**
 * It failed: tried again after a while, out of the way of the others, and loud after some.
 * @returns whether something is set aside that was not before
 */
async function putBack(
  tx: Db,
  { log }: Services,
  rows: DueRow[],
  error: unknown,
  now: number,
): Promise<boolean> {
  let first = false;
  for (const row of rows) {
    const { aside, newly, set } = afterFailure(row, error, now);
    const { id, plan, kind } = row;
    log[aside ? 'error' : 'warn'](
      { deadline: id, plan, kind, attempts: set.attempts, err: error },
      aside ? 'a deadline can’t be acted on and is set aside' : 'a deadline could not be acted on',
    );
    first ||= newly;
    await tx.update(deadline).set(set).where(eq(deadline.id, id));
  }
  return first;
}
