import type { Boat, Phrase } from '../model';
import { CRAFT } from '../model/lists';
import { phrase } from '../say';

/**
 * signals: the words to say. Distress wording follows the radiotelephone form (source family: radio handbooks, recalled):
 * MAYDAY three times, name three times, then position, nature, help wanted, persons, over.
 */
export interface Spot {
  /** As a radio operator reads it. */
  text: string;
  /** Where it comes from: this device, the plan for this hour, or the launch when nothing else is known. */
  from: 'device' | 'plan' | 'launch' | 'none';
}

/** What was said of jackets: by all, by some, by nobody. */
export type Jackets = 'all' | 'some' | 'none' | 'unsaid';

/** What the crew declared of wearing its jackets. */
export function jacketsOf(crew: readonly { wearsJacket?: boolean }[]): Jackets {
  if (crew.length > 0 && crew.every((c) => c.wearsJacket === true)) return 'all';
  if (crew.some((c) => c.wearsJacket === true)) return 'some';
  return crew.length > 0 && crew.every((c) => c.wearsJacket === false) ? 'none' : 'unsaid';
}

/** The words, filled in with what is known and no more: a position says where it comes from, jackets what was declared. */
export function mayday(
  boat: Boat,
  persons: number,
  spot: Spot,
  jackets: Jackets,
  signals: string[],
): Phrase[] {
  const name = boat.marks || boat.name;
  const colours = boat.hullColour ?? boat.deckColour;
  const worn = phrase(`mayday.jackets.${jackets}`);
  const who = { name, position: positionOf(spot), kind: CRAFT[boat.kind], n: persons };
  return [
    phrase('mayday.open', { name }),
    colours ? phrase('mayday.body.colours', { ...who, colours }) : phrase('mayday.body', who),
    signals.length > 0
      ? phrase('mayday.gear.signals', { jackets: worn, signals })
      : phrase('mayday.gear', { jackets: worn }),
  ];
}

const positionOf = ({ from, text }: Spot): Phrase =>
  from === 'none' ? phrase('mayday.position.none') : phrase(`mayday.position.${from}`, { position: text });
