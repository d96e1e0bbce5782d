import { createHash, timingSafeEqual } from 'node:crypto';
import { HOME } from '../db/household';
import type { Db } from '../db/open';
import { codesOf, type Opens } from './codes';
import { changeKey, keyIn, newKey } from './key';

/**
 * The door of a memory. The key is the owner’s: it lies in a file that only they can read. A code stands in an address that they
 * asked for and lets one browser in, once.
 */
export interface Door {
  /** What a session is signed with. */
  key(): string;
  isKey(word: string): boolean;
  /** A new code, for a household or its club. */
  code(household?: string, opens?: Opens): Promise<string>;
  /** Whose code this is, where it is good; it is not good a second time. */
  take(code: string, opens?: Opens): Promise<string | undefined>;
  /** Another key: every session and every code of before is out. */
  lock(): Promise<void>;
}

/**
 * @param db where codes are kept
 * @param file where the key lies; without one it is of this process alone
 * @param now the machine’s own clock
 */
export function makeDoor(db: Db, file?: string, now?: () => number): Door {
  let key = file === undefined ? newKey() : keyIn(file);
  const codes = codesOf(db, now);
  return {
    key: () => key,
    isKey: (word) => timingSafeEqual(hashOf(word), hashOf(key)),
    code: (household = HOME, opens) => codes.make(household, opens),
    take: codes.take,
    lock: async () => {
      // The key first: it shuts even where the database does not answer.
      key = file === undefined ? newKey() : changeKey(file);
      await codes.forget();
    },
  };
}

const hashOf = (word: string) => createHash('sha256').update(word).digest();
