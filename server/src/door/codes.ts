import { createHash, randomBytes } from 'node:crypto';
import { and, desc, eq, gt, inArray } from 'drizzle-orm';
import { MS } from '@escale/core/units';
import { entryCode } from '../db/schema';
import type { Db } from '../db/open';

/** How long a code that nobody used stays good, and how many of a household are good at once. Class *common practice*. */
const LIFE = MS.day,
  MOST = 20;
const BYTES = 18;

/** What a code opens: a household to a browser, or the club of one to another household. */
export type Opens = 'household' | 'club';

/** Codes that stand in addresses and are said aloud; each lets somebody in once. Only their hashes are kept. */
export interface Codes {
  make(household: string, opens?: Opens): Promise<string>;
  /** Whose code this is, where it is good; it is not good a second time, at whichever process. */
  take(code: string, opens?: Opens): Promise<string | undefined>;
  /** None of before is good any more. */
  forget(): Promise<void>;
}

const hashOf = (code: string) => createHash('sha256').update(code).digest('base64url');

/** @param now the machine’s own clock: what a household’s clock is set to opens and shuts nothing */
export function codesOf(db: Db, now: () => number = Date.now): Codes {
  return {
    make: async (household, opens = 'household') => {
      const code = randomBytes(BYTES).toString('base64url');
      const at = now();
      await db.insert(entryCode).values({
        hash: hashOf(code),
        household,
        opens,
        createdAt: new Date(at),
        endsAt: new Date(at + LIFE),
      });
      const older = await db
        .select({ hash: entryCode.hash })
        .from(entryCode)
        .where(eq(entryCode.household, household))
        .orderBy(desc(entryCode.createdAt), desc(entryCode.hash))
        .offset(MOST);
      const hashes = older.map((row) => row.hash).filter((hash) => hash !== hashOf(code));
      if (hashes.length > 0) await db.delete(entryCode).where(inArray(entryCode.hash, hashes));
      return code;
    },
    take: async (code, opens = 'household') => {
      const is = and(eq(entryCode.hash, hashOf(code)), eq(entryCode.opens, opens));
      const [found] = await db
        .delete(entryCode)
        .where(and(is, gt(entryCode.endsAt, new Date(now()))))
        .returning({ household: entryCode.household });
      return found?.household;
    },
    forget: async () => void (await db.delete(entryCode)),
  };
}
