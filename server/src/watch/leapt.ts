import type { Leapt } from '../messages/write';
import type { Standing } from './guard';

const SAID: Partial<Record<Standing, Leapt>> = { unconfirmed: 'unconfirmed', agreed: 'agreed' };

/** What an alarm says of a clock that leapt. */
export const leaptBy = (standing: Standing | undefined): Leapt | undefined =>
  standing === undefined ? undefined : SAID[standing];
