import { gt, isNull, lte, or, type SQL } from 'drizzle-orm';
import type { AnyPgColumn } from 'drizzle-orm/pg-core';
import { MS } from '@escale/core/units';
import { codeOf } from './db/transact';

/**
 * How what fails is tried again. Our own choices, class *common practice*: a doubling wait, so that a stumble costs a second and
 * a broken thing does not keep the watch from the others.
 */

/** So many are done in one go; requests and other servers come in between. */
export const SLICE = 25;
/** Who takes a message has this long to carry it out; after that another may. */
export const LEASE = MS.minute;
/** A call that is not through by then has failed. */
export const RING_PATIENCE = 20 * MS.second;
const FIRST_WAIT = MS.second;
/** What is set aside is still tried this often: nothing that concerns a life is given up. */
export const MOST_WAIT = 10 * MS.minute;
/** After so many attempts it is set aside, and loud: about a minute. */
export const ATTEMPTS = 6;

/** How long to wait after the n-th attempt that failed, ms, and whether it is set aside. */
const tryAfter = (attempts: number): { wait: number; aside: boolean } => ({
  wait: attempts >= ATTEMPTS ? MOST_WAIT : FIRST_WAIT * 2 ** (attempts - 1),
  aside: attempts >= ATTEMPTS,
});

/** Is it time to try a row again? What a clock that was wrong put off is: nothing waits longer than the longest wait. */
export const mayBeTried = (nextTryAt: AnyPgColumn, now: number): SQL | undefined =>
  or(isNull(nextTryAt), lte(nextTryAt, new Date(now)), gt(nextTryAt, new Date(now + MOST_WAIT)));

/** What is written on a row that failed: when it is tried again, and that it is set aside once it failed often enough. */
export function afterFailure(
  row: { attempts: number; setAsideAt: Date | null },
  error: unknown,
  now: number,
) {
  const attempts = row.attempts + 1;
  const { wait, aside } = tryAfter(attempts);
  const newly = aside && row.setAsideAt === null;
  return {
    aside,
    /** Set aside by this failure, and not before. */
    newly,
    set: {
      attempts,
      // In the words of the code: nothing of what was in it.
      trouble: codeOf(error) ?? (error instanceof Error ? error.name : 'Error'),
      nextTryAt: new Date(now + wait),
      ...(newly ? { setAsideAt: new Date(now) } : {}),
    },
  };
}
