import { and, desc, eq } from 'drizzle-orm';
import { Router } from 'express';
import * as z from 'zod';
import { FileRequest, Id, PlanDeed, type MessageView } from '@escale/core/model';
import { message, phoneCall, plan } from '../db/schema';
import { CLOCK_SKEW, doDeed } from '../plans/deeds';
import { filePlan } from '../plans/file';
import { endLinks } from '../plans/tokens';
import { viewPlan, viewPlans } from '../plans/view';
import type { Services } from '../services';
import { parse, Problem } from './problem';

export function plans(services: Services, kick: () => Promise<void>): Router {
  const { db, clock, household } = services;
  const routes = Router();
  const channel = services.telephone ? ('stand-in' as const) : ('none' as const);

  const one = async (id: unknown) => {
    const [row] = await db
      .select()
      .from(plan)
      .where(and(eq(plan.id, parse(Id, id)), eq(plan.household, household)));
    if (!row) throw new Problem(404, 'This plan is not here.');
    return { ...(await viewPlan(db, row, clock.now())), channel };
  };

  routes.get('/plans', async (_req, res) => {
    res.json({
      now: clock.now(),
      plans: (await viewPlans(db, household, clock.now())).map((plan) => ({ ...plan, channel })),
    });
  });

  routes.get('/plans/:id', async (req, res) => {
    res.json(await one(req.params.id));
  });

  routes.post('/plans', async (req, res) => {
    const id = await filePlan(services, parse(FileRequest, req.body));
    void kick();
    res.status(201).json(await one(id));
  });

  routes.post('/plans/:id/deeds', async (req, res) => {
    const id = parse(Id, req.params.id);
    const { skew } = await doDeed(services, id, parse(PlanDeed, req.body));
    void kick();
    res.json({ ...(await one(id)), ...(Math.abs(skew) > CLOCK_SKEW ? { skew } : {}) });
  });

  routes.post('/plans/:id/withdraw', async (req, res) => {
    const id = parse(Id, req.params.id);
    const { contact } = parse(z.strictObject({ contact: Id }), req.body);
    await one(id);
    await endLinks(db, id, clock.now(), contact);
    res.json(await one(id));
  });

  routes.get('/messages', async (_req, res) => {
    const rows = await db
      .select()
      .from(message)
      .where(eq(message.household, household))
      .orderBy(desc(message.madeAt), desc(message.id))
      .limit(100);
    res.json({
      messages: rows.map((row): MessageView => ({
        id: row.id,
        plan: row.plan,
        ...(row.contact ? { contact: row.contact } : {}),
        to: row.to,
        kind: row.kind,
        text: row.text,
        made: row.madeAt.getTime(),
        ...(row.deliveredAt ? { delivered: row.deliveredAt.getTime() } : {}),
      })),
    });
  });

  // What lies on the simulated phones; a real telephone service would have no such page.
  routes.get('/standins/telephone', async (_req, res) => {
    const calls = await db
      .select()
      .from(phoneCall)
      .orderBy(desc(phoneCall.at), desc(phoneCall.key))
      .limit(100);
    res.json({
      simulated: services.telephone !== undefined,
      calls: calls.map((c) => ({ key: c.key, to: c.to, text: c.text, at: c.at.getTime() })),
    });
  });

  return routes;
}
