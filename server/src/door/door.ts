import { createHash, randomBytes, timingSafeEqual } from 'node:crypto';
import { MS } from '@escale/core/units';
import type { Clock } from '../clock';
import { HOME } from '../db/household';
import { changeKey, keyIn, newKey } from './key';

/** How long an address that nobody used stays good, and how many are good at once. Class *common practice*. */
const CODE_LIFE = MS.day,
  MOST_CODES = 20;
const CODE_BYTES = 18;

/**
 * The door of a memory. The key is the owner’s: it lies in a file that only they can read. A code stands in an address that they
 * asked for and lets one browser in, once.
 */
export interface Door {
  /** What a session is signed with. */
  key(): string;
  isKey(word: string): boolean;
  /** A new code, for a household. */
  code(household?: string): string;
  /** Whose code this is, where it is good; it is not good a second time. */
  take(code: string): string | undefined;
  /** Another key: every session and every code of before is out. */
  lock(): void;
}

/**
 * @param file where the key lies; without one it is of this process alone
 * @param clock the machine’s own, in ms that only rise: what the household’s clock is set to opens and shuts nothing
 */
export function makeDoor(file?: string, clock: Clock = { now: () => performance.now() }): Door {
  let key = file === undefined ? newKey() : keyIn(file);
  const codes = new Map<string, { until: number; household: string }>();
  return {
    key: () => key,
    isKey: (word) => timingSafeEqual(hashOf(word), hashOf(key)),
    code: (household = HOME) => {
      const code = randomBytes(CODE_BYTES).toString('base64url');
      codes.set(code, { until: clock.now() + CODE_LIFE, household });
      for (const old of [...codes.keys()].slice(0, -MOST_CODES)) codes.delete(old);
      return code;
    },
    take: (code) => {
      const found = codes.get(code);
      codes.delete(code);
      return found && clock.now() < found.until ? found.household : undefined;
    },
    lock: () => {
      key = file === undefined ? newKey() : changeKey(file);
      codes.clear();
    },
  };
}

const hashOf = (word: string) => createHash('sha256').update(word).digest();
