import type { GearItem } from '@escale/core/model';
import { STOWAGE, type Stowage } from '@escale/core/model/lists';
import { plainly } from '../../data/settings';
import { SHED } from './words';

const STATE_WORD: Partial<Record<GearItem['state'], string>> = {
  due: 'due for a test',
  failed: 'failed its test',
  'used-up': 'used up',
  unknown: 'not checked',
};

/** In what state a thing is on a day (`YYYY-MM-DD`), in a few words: what is wrong with it, else when it was checked. */
export const gearState = (g: GearItem, on: string): string =>
  beside(
    STATE_WORD[g.state] ??
      (g.inspected === undefined ? undefined : plainly(SHED.checked, { on: g.inspected })),
    ...lasts(g, on),
  );

const beside = (...facts: (string | undefined)[]) => facts.filter(Boolean).join(' · ');

/** How long it is good for: its end and its charge. */
const lasts = (g: GearItem, on: string) => [
  endOf(g, on),
  g.charge === undefined ? undefined : plainly(SHED.charge, { share: g.charge }),
];

const endOf = ({ expires }: GearItem, on: string) =>
  expires && plainly(expires < on ? SHED.ended : SHED.ends, { on: expires });

export const placeWord = (place: Stowage): string => STOWAGE[place].toLowerCase();

/** How many, where, and in what state. */
export const gearNote = (g: GearItem, on: string): string =>
  beside(
    g.count === 1 ? undefined : String(g.count),
    placeWord(g.stowage),
    STATE_WORD[g.state],
    ...lasts(g, on),
  );
