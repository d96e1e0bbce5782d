import { and, eq } from 'drizzle-orm';
import { Router } from 'express';
import * as z from 'zod';
import { hashOfEndpoint } from '../channels/push';
import { pushSubscription } from '../db/schema';
import type { Services } from '../services';
import { parse } from './problem';
import { whoOf } from './who';

const Word = z.string().regex(/^[\w+/=-]{10,200}$/);
/** As a browser's Push API gives it. */
const Wanted = z.object({
  endpoint: z.url({ protocol: /^https$/ }).max(1000),
  keys: z.object({ p256dh: Word, auth: Word }),
});

/** Browsers that want to be told with the application shut. */
export function push({ db, clock, channels }: Services): Router {
  const routes = Router();
  const key = channels.find((c) => c.publicKey !== undefined)?.publicKey;

  routes.get('/push', (_req, res) => void res.json(key === undefined ? {} : { key }));

  routes.post('/push', async (req, res) => {
    const { household, device } = whoOf(req);
    const { endpoint, keys } = parse(Wanted, req.body);
    const row = { household, device: device ?? null, endpoint, ...keys, endedAt: null };
    await db
      .insert(pushSubscription)
      .values({ hash: hashOfEndpoint(endpoint), ...row, createdAt: new Date(clock.now()) })
      .onConflictDoUpdate({ target: pushSubscription.hash, set: row });
    res.status(201).json({});
  });

  routes.post('/push/end', async (req, res) => {
    const { endpoint } = parse(Wanted.pick({ endpoint: true }), req.body);
    await db
      .update(pushSubscription)
      .set({ endedAt: new Date(clock.now()) })
      .where(
        and(
          eq(pushSubscription.hash, hashOfEndpoint(endpoint)),
          eq(pushSubscription.household, whoOf(req).household),
        ),
      );
    res.json({});
  });

  return routes;
}
