import { and, count, eq } from 'drizzle-orm';
import { Router } from 'express';
import * as z from 'zod';
import { asRead } from '@escale/core/floatplan';
import type { KeptPlan, PlanView } from '@escale/core/model';
import { household, plan } from '../db/schema';
import type { Door } from '../door/door';
import { sooner, soonestFirst, viewRows } from '../plans/view';
import type { Services } from '../services';
import { parse, Problem } from './problem';
import { whoOf } from './who';

/** So many plans of others on a page. */
const PAGE = 100;

const Asked = z.object({ from: z.coerce.number().int().min(0).max(1e6).default(0) });

/**
 * A club is a household like any other, to which others belong because they said so. Its leaders see of a plan that was shared with
 * it what a contact sees, and can do nothing to it.
 */
export function clubs({ db, clock, log }: Services, door: Door): Router {
  const routes = Router();

  routes.get('/club', async (req, res) => {
    const [row] = await db
      .select({ club: household.club })
      .from(household)
      .where(eq(household.id, whoOf(req).household));
    const [club] = row?.club
      ? await db.select({ name: household.name }).from(household).where(eq(household.id, row.club))
      : [];
    res.json(club ? { name: club.name } : {});
  });

  // A word that a leader hands out: who says it belongs to the club.
  routes.post('/club/word', async (req, res) => {
    res.status(201).json({ word: await door.code(whoOf(req).household, 'club') });
  });

  routes.post('/club/join', async (req, res) => {
    const { word } = parse(z.strictObject({ word: z.string().trim().min(1).max(60) }), req.body);
    const club = await door.take(word, 'club');
    if (club === undefined) throw new Problem(404, 'This word lets nobody in: it works once, for a day.');
    const mine = whoOf(req).household;
    if (club === mine) throw new Problem(422, 'This is your own household.');
    await db.update(household).set({ club }).where(eq(household.id, mine));
    const [row] = await db.select({ name: household.name }).from(household).where(eq(household.id, club));
    res.json({ name: row?.name ?? '' });
  });

  routes.post('/club/leave', async (req, res) => {
    const mine = whoOf(req).household;
    await db.update(household).set({ club: null }).where(eq(household.id, mine));
    // What was shared is shared no more.
    await db.update(plan).set({ club: null }).where(eq(plan.household, mine));
    res.json({});
  });

  routes.get('/kept', async (req, res) => {
    const { from } = parse(Asked, req.query);
    const which = and(eq(plan.club, whoOf(req).household), eq(plan.open, true));
    const rows = await db
      .select({ row: plan, of: household.name })
      .from(plan)
      .innerJoin(household, eq(household.id, plan.household))
      .where(which)
      .orderBy(...soonestFirst)
      .limit(PAGE)
      .offset(from);
    const [{ total }] = await db.select({ total: count() }).from(plan).where(which);
    const views = await viewRows(
      db,
      rows.map(({ row }) => row),
      clock.now(),
      (row, error) => log.error({ plan: row.id, err: error }, 'a plan can’t be read'),
    );
    const name = new Map(rows.map(({ row, of }) => [row.id, of]));
    const plans = views.map((view) => keptOf(view, name.get(view.id) ?? '')).sort(sooner);
    res.json({ plans, total, ...(from + rows.length < total ? { next: from + rows.length } : {}) });
  });

  return routes;
}

/** A plan as who keeps it for others sees it: no more than a contact. */
const keptOf = (view: PlanView, of: string): KeptPlan => ({
  id: view.id,
  of,
  title: view.title,
  state: view.state,
  zone: view.zone,
  times: view.times,
  ...(view.nextDeadline ? { nextDeadline: view.nextDeadline } : {}),
  ...(view.trouble ? { trouble: view.trouble } : {}),
  contacts: view.contacts.map(({ name, accepted }) => ({ name, accepted })),
  sheet: asRead(view.sheet, view.unsealed === true),
});
