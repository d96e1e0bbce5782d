import { createHash } from 'node:crypto';
import type { Agent } from 'node:https';
import { and, eq, isNull } from 'drizzle-orm';
import webpush, { WebPushError } from 'web-push';
import { MS } from '@escale/core/units';
import { pushSubscription } from '../db/schema';
import type { Db } from '../db/open';
import { RING_PATIENCE } from '../tries';
import { Bounced, type Channel } from './channel';

/** Whoever may push by this server: a pair of keys of its own, and whom a push service may ask. */
export interface PushKeys {
  publicKey: string;
  privateKey: string;
  /** `mailto:…` or an address of a page. */
  subject: string;
}

/** A browser's own word of where it is told, as its Push API gives it. */
export interface Subscription {
  endpoint: string;
  keys: { p256dh: string; auth: string };
}

export const hashOfEndpoint = (endpoint: string) => createHash('sha256').update(endpoint).digest('hex');

/** The browser has gone: 404 and 410 end a subscription (RFC 8030, 7.3). */
const GONE: ReadonlySet<number> = new Set([404, 410]);
/** A warning of yesterday warns nobody. */
const KEPT = MS.hour / MS.second;

const living = (db: Db, household: string) =>
  db
    .select()
    .from(pushSubscription)
    .where(and(eq(pushSubscription.household, household), isNull(pushSubscription.endedAt)));

/**
 * The crew's own browsers, told even with the application shut. It goes through the service that a browser came with: delivery by
 * those of the world is not in our hands.
 * @param agent where a service has a certificate of its own
 */
export function pushTo(db: Db, keys: PushKeys, now: () => number, agent?: Agent): Channel {
  const vapidDetails = { subject: keys.subject, publicKey: keys.publicKey, privateKey: keys.privateKey };
  return {
    name: 'push',
    publicKey: keys.publicKey,
    reaches: async ({ ashore, household }) => !ashore && (await living(db, household)).length > 0,
    send: async ({ key, household, subject, text }) => {
      const all = await living(db, household);
      const body = JSON.stringify({ title: subject, body: text, tag: key });
      const told = await Promise.allSettled(
        all.map(({ endpoint, p256dh, auth }) =>
          webpush.sendNotification({ endpoint, keys: { p256dh, auth } }, body, {
            vapidDetails,
            TTL: KEPT,
            urgency: 'high',
            timeout: RING_PATIENCE,
            ...(agent ? { agent } : {}),
          }),
        ),
      );
      for (const [i, end] of told.entries())
        if (end.status === 'rejected' && isGone(end.reason))
          await db
            .update(pushSubscription)
            .set({ endedAt: new Date(now()) })
            .where(eq(pushSubscription.hash, all[i].hash));
      if (told.some((end) => end.status === 'fulfilled')) return;
      const failed = told.find((end) => end.status === 'rejected' && !isGone(end.reason));
      if (failed?.status === 'rejected') throw failed.reason;
      throw new Bounced('no browser of this household is there any more');
    },
  };
}

const isGone = (error: unknown) => error instanceof WebPushError && GONE.has(error.statusCode);
