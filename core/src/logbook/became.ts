import type { Became, BecameKind, GearItem, Patch } from '../model';

// What becomes of a thing on a trip flows back to the shed, and can be taken back.

type Stands = Pick<GearItem, 'count' | 'state'>;

/** What a thing is once all of it became this; of one that is lost nothing is left. */
const STATE: Readonly<Record<Exclude<BecameKind, 'lost'>, GearItem['state']>> = {
  used: 'used-up',
  broken: 'failed',
  due: 'due',
};

const set = (pointer: string, value: unknown): Patch => ({ op: 'set', pointer, value });

/**
 * How a thing stands in the shed after so many of it were used up, broken or lost. Of several the others stay as they were; what
 * only needs looking after is all of it.
 * @param of 1 or more; more than there are counts as all
 */
export function becamePatch({ count }: Stands, became: BecameKind, of: number): Patch[] {
  if (became !== 'due' && of < count) return [set('/count', count - of)];
  return became === 'lost' ? [set('/count', 0)] : [set('/state', STATE[became])];
}

/** The way back: what was taken off is added to what there is now; a state goes back where nobody changed it since. */
export function takenBack({ count, state }: Stands, { became, of, was }: Became): Patch[] {
  if (became !== 'due' && of < was.count) return [set('/count', count + of)];
  if (became === 'lost') return [set('/count', count + was.count)];
  return state === STATE[became] ? [set('/state', was.state)] : [];
}
