import type { Mend, Phrase } from '../model';
import type { Band } from '../numeric';
import type { SourceId } from '../sources';

/** One thing that happens, seconds after the incident within limits; what has no time of its own stands without one. */
export interface Told {
  id: string;
  after?: Band;
  says: Phrase[];
  /** Does it harm, help, or is it not known? */
  tone: 'harm' | 'help' | 'fact' | 'open';
  /** From what it was reckoned. */
  why?: Phrase[];
  source?: SourceId;
  mend?: Mend;
}

/** As it happens. */
export const AT_ONCE: Band = { low: 0, high: 0 };
/** Bearings are told in whole degrees. */
export const degrees = (bearing: number): number => Math.round(bearing) % ROUND;
const ROUND = 360;
