import { createHash, randomBytes } from 'node:crypto';
import { and, eq, gt, isNull } from 'drizzle-orm';
import { contactToken } from '../db/schema';
import type { Db } from '../db/open';
import { MS } from '@escale/core/units';

/** How long a link works once its plan has ended. */
export const LINK_AFTER_END = 2 * MS.day;

const hashOf = (token: string) => createHash('sha256').update(token).digest('hex');

/** A link of its own for each message: 32 random bytes, of which only the hash is kept. */
export function mintLink(
  base: string,
  plan: string,
  contact: string,
  message: string,
  now: number,
): { url: string; token: typeof contactToken.$inferInsert } {
  const token = randomBytes(32).toString('base64url');
  return {
    url: `${base}/c/${token}`,
    token: { hash: hashOf(token), plan, contact, message, createdAt: new Date(now) },
  };
}

/** The plan and contact behind a link, or undefined for one that was withdrawn, has ended or never was. */
export async function findLink(
  db: Db,
  token: string,
  now: number,
): Promise<{ plan: string; contact: string } | undefined> {
  const [row] = await db
    .select()
    .from(contactToken)
    .where(eq(contactToken.hash, hashOf(token)));
  if (!row || (row.endsAt && row.endsAt.getTime() <= now)) return undefined;
  if (!row.openedAt)
    await db
      .update(contactToken)
      .set({ openedAt: new Date(now) })
      .where(eq(contactToken.hash, row.hash));
  return { plan: row.plan, contact: row.contact };
}

/** Links of a plan end by themselves some time after it; those of one contact can be withdrawn together, at once. */
export async function endLinks(tx: Db, plan: string, at: number, contact?: string): Promise<void> {
  await tx
    .update(contactToken)
    .set({ endsAt: new Date(at) })
    .where(
      and(
        eq(contactToken.plan, plan),
        isNull(contactToken.endsAt),
        ...(contact ? [eq(contactToken.contact, contact)] : []),
      ),
    );
}

/** A plan that goes on: the links that its ending let run out work again; those that were withdrawn do not. */
export async function reviveLinks(tx: Db, plan: string, now: number): Promise<void> {
  await tx
    .update(contactToken)
    .set({ endsAt: null })
    .where(and(eq(contactToken.plan, plan), gt(contactToken.endsAt, new Date(now))));
}
