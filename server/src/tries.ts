import { MS } from '@escale/core/units';

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
export const tryAfter = (attempts: number): { wait: number; aside: boolean } => ({
  wait: attempts >= ATTEMPTS ? MOST_WAIT : FIRST_WAIT * 2 ** (attempts - 1),
  aside: attempts >= ATTEMPTS,
});
