import { and, desc, eq, ne } from 'drizzle-orm';
import { Router, type Request } from 'express';
import * as z from 'zod';
import { FileRequest, Id, PlanDeed, type MessageView, type PlanView } from '@escale/core/model';
import { channelsOf } from '../channels/state';
import { contactToken, message, phoneCall, plan, type PlanRow } from '../db/schema';
import { CLOCK_SKEW, doDeed } from '../plans/deeds';
import { filePlan } from '../plans/file';
import { withdraw } from '../plans/withdraw';
import { viewPlan, viewPlans } from '../plans/view';
import type { Services } from '../services';
import { papers } from './papers';
import { parse, Problem } from './problem';
import { whoOf } from './who';

/** By what those ashore hear of a plan: by something real, by a stand-in that reaches nobody, or not at all. */
const howOut = (channels: Services['channels']): NonNullable<PlanView['channel']> => {
  const ashore = channels.filter((c) => c.name !== 'push');
  if (ashore.length === 0) return 'none';
  return ashore.every((c) => c.simulated === true) ? 'stand-in' : 'real';
};

/** All plans, or those of one trip; from which on. */
const Asked = z.object({ trip: Id.optional(), from: z.coerce.number().int().min(0).max(1e6).default(0) });

export function plans(services: Services, kick: () => Promise<void>): Router {
  const { db, clock } = services;
  const routes = Router();
  const channel = howOut(services.channels);

  const rowOf = async (req: Request, id: unknown): Promise<PlanRow> => {
    const [row] = await db
      .select()
      .from(plan)
      .where(and(eq(plan.id, parse(Id, id)), eq(plan.household, whoOf(req).household)));
    if (!row) throw new Problem(404, 'This plan is not here.');
    return row;
  };
  const one = async (req: Request, id: unknown) => ({
    ...(await viewPlan(db, await rowOf(req, id), clock.now())),
    channel,
  });
  routes.use(papers(services, rowOf));
  // A plan that can't be read is told, and hides no other.
  const spoilt = (row: PlanRow, error: unknown) =>
    services.log.error({ plan: row.id, err: error }, 'a plan can’t be read');

  routes.get('/plans', async (req, res) => {
    const { trip, from } = parse(Asked, req.query);
    const now = clock.now();
    const which = { household: whoOf(req).household, ...(trip ? { trip } : {}), from };
    const { plans, ...page } = await viewPlans(db, which, now, spoilt);
    const channels = await channelsOf(db, services.channels);
    res.json({ now, channels, plans: plans.map((plan) => ({ ...plan, channel })), ...page });
  });

  routes.get('/plans/:id', async (req, res) => {
    res.json(await one(req, req.params.id));
  });

  routes.post('/plans', async (req, res) => {
    const id = await filePlan(services, whoOf(req), parse(FileRequest, req.body));
    void kick();
    res.status(201).json(await one(req, id));
  });

  routes.post('/plans/:id/deeds', async (req, res) => {
    const id = parse(Id, req.params.id);
    const { skew } = await doDeed(services, whoOf(req), id, parse(PlanDeed, req.body));
    void kick();
    res.json({ ...(await one(req, id)), ...(Math.abs(skew) > CLOCK_SKEW ? { skew } : {}) });
  });

  routes.post('/plans/:id/withdraw', async (req, res) => {
    const id = parse(Id, req.params.id);
    const { contact } = parse(z.strictObject({ contact: Id }), req.body);
    await withdraw(services, whoOf(req), id, contact);
    res.json(await one(req, id));
  });

  routes.get('/messages', async (req, res) => {
    const of = parse(z.object({ plan: Id.optional() }), req.query).plan;
    const rows = await db
      .select({ row: message, opened: contactToken.openedAt })
      .from(message)
      .leftJoin(contactToken, eq(contactToken.message, message.id))
      // Of those whose words were erased there is nothing to tell.
      .where(
        and(
          eq(message.household, whoOf(req).household),
          ne(message.text, ''),
          ...(of ? [eq(message.plan, of)] : []),
        ),
      )
      .orderBy(desc(message.madeAt), desc(message.id))
      .limit(100);
    res.json({
      messages: rows.map(({ row, opened }): MessageView => ({
        id: row.id,
        plan: row.plan,
        ...(row.contact ? { contact: row.contact } : {}),
        to: row.to,
        kind: row.kind,
        text: row.text,
        made: row.madeAt.getTime(),
        ...(row.deliveredAt ? { delivered: row.deliveredAt.getTime() } : {}),
        ...(row.channel ? { channel: row.channel } : {}),
        ...(opened ? { opened: opened.getTime() } : {}),
        ...(row.setAsideAt ? { setAside: row.setAsideAt.getTime() } : {}),
        ...(row.trouble ? { trouble: row.trouble } : {}),
      })),
    });
  });

  // What lies on the simulated phones; a real telephone service would have no such page.
  routes.get('/standins/telephone', async (req, res) => {
    const calls = await db
      .select({ key: phoneCall.key, to: phoneCall.to, text: phoneCall.text, at: phoneCall.at })
      .from(phoneCall)
      // Of a household what was said of its own plans.
      .innerJoin(message, and(eq(message.id, phoneCall.key), eq(message.household, whoOf(req).household)))
      .orderBy(desc(phoneCall.at), desc(phoneCall.key))
      .limit(100);
    res.json({
      simulated: services.channels.some((c) => c.simulated === true),
      calls: calls.map((c) => ({ key: c.key, to: c.to, text: c.text, at: c.at.getTime() })),
    });
  });

  return routes;
}
