import { createHash, randomBytes } from 'node:crypto';
import { and, desc, eq, isNotNull, isNull } from 'drizzle-orm';
import { MS } from '@escale/core/units';
import { session } from '../db/schema';
import type { Db } from '../db/open';

/** 256 bits, in letters that a cookie takes. */
const BYTES = 32;
/** Who was thrown out by another process is out here after so long; and when somebody was last here is written down so often. */
const ASKED_EVERY = 5 * MS.second,
  SEEN_EVERY = 10 * MS.minute;

const hashOf = (secret: string) => createHash('sha256').update(secret).digest('base64url');
export type SessionRow = typeof session.$inferSelect;

/**
 * Browsers that were let in. That one was is in its own cookie, signed, so that it holds on a full disk and without the database;
 * what is written here is its name, and that it was thrown out.
 */
export interface Sessions {
  /** Lets a browser in. @returns the secret that its cookie carries; here only its hash is kept */
  open(household: string, name: string): Promise<string>;
  /** Was it thrown out? By what was last known, where the database does not answer. */
  isOut(secret: string): Promise<boolean>;
  /** The same of the hash of one. */
  isHashOut(hash: string): Promise<boolean>;
  /** It asked for something just now, as this device. */
  seen(secret: string, device: string | undefined): void;
  list(household: string): Promise<SessionRow[]>;
  rename(household: string, hash: string, name: string): Promise<boolean>;
  /** Throws it out, at once here and within seconds elsewhere. */
  end(household: string, hash: string): Promise<boolean>;
  hashOf(secret: string): string;
}

/** @param now the machine's own clock: what a household's clock is set to lets nobody in or out */
export function sessionsOf(db: Db, now: () => number = Date.now): Sessions {
  let out = new Set<string>();
  let askedAt = -Infinity;
  let asking: Promise<void> | undefined;
  const seenAt = new Map<string, number>();
  const ask = () =>
    (asking ??= db
      .select({ hash: session.hash })
      .from(session)
      .where(isNotNull(session.endedAt))
      .then(
        (rows) => {
          out = new Set(rows.map((row) => row.hash));
        },
        // The database is away: who was out is out.
        () => undefined,
      )
      .finally(() => {
        askedAt = now();
        asking = undefined;
      }));
  const isHashOut = async (hash: string) => {
    if (Math.abs(now() - askedAt) > ASKED_EVERY) await ask();
    return out.has(hash);
  };
  const mine = (household: string, hash: string) =>
    and(eq(session.household, household), eq(session.hash, hash));
  return {
    hashOf,
    open: async (household, name) => {
      const secret = randomBytes(BYTES).toString('base64url');
      const at = new Date(now());
      await db.insert(session).values({ hash: hashOf(secret), household, name, createdAt: at, seenAt: at });
      return secret;
    },
    isOut: (secret) => isHashOut(hashOf(secret)),
    isHashOut,
    seen: (secret, device) => {
      const hash = hashOf(secret);
      if (Math.abs(now() - (seenAt.get(hash) ?? -Infinity)) < SEEN_EVERY) return;
      seenAt.set(hash, now());
      db.update(session)
        .set({ seenAt: new Date(now()), ...(device ? { device } : {}) })
        .where(eq(session.hash, hash))
        // When somebody was last here is told and no more: it keeps nobody waiting.
        .catch(() => seenAt.delete(hash));
    },
    list: (household) =>
      db
        .select()
        .from(session)
        .where(and(eq(session.household, household), isNull(session.endedAt)))
        .orderBy(desc(session.seenAt), desc(session.createdAt)),
    rename: async (household, hash, name) =>
      (await db.update(session).set({ name }).where(mine(household, hash)).returning()).length > 0,
    end: async (household, hash) => {
      const rows = await db
        .update(session)
        .set({ endedAt: new Date(now()) })
        .where(mine(household, hash))
        .returning();
      if (rows.length > 0) out.add(hash);
      return rows.length > 0;
    },
  };
}
