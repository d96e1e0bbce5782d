import type { Boat, Phrase } from '../model';
import { CRAFT } from '../model/lists';
import { phrase } from '../say';

/**
 * The words to say: distress wording follows the radiotelephone form (source family: radio handbooks, recalled):
 * MAYDAY three times, name three times, then position, nature, help wanted, persons, over.
 */
export interface Spot {
  /** As a radio operator reads it. */
  text: string;
  /** Where it comes from: this device, the plan for this hour, or the launch when nothing else is known. */
  from: 'device' | 'plan' | 'launch' | 'none';
}

/** How it is called, and what is the matter where that is known. */
export interface Matter {
  call: 'mayday' | 'pan';
  nature?: string;
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
  { call, nature }: Matter = { call: 'mayday' },
): Phrase[] {
  const name = boat.marks || boat.name;
  const colours = boat.hullColour ?? boat.deckColour;
  const worn = phrase(`mayday.jackets.${jackets}`);
  // A crew that nobody entered is counted by whoever calls.
  const aboard = persons > 0 ? phrase('mayday.aboard', { n: persons }) : phrase('mayday.aboard.unsaid');
  const who = { name, position: positionOf(spot), kind: CRAFT[boat.kind], aboard };
  return [
    phrase(call === 'pan' ? 'pan.open' : 'mayday.open', { name }),
    phrase(call === 'pan' ? 'pan.where' : 'mayday.where', who),
    nature === undefined
      ? phrase(`${call}.help`)
      : phrase('mayday.matter', { nature, help: phrase(`${call}.help`) }),
    colours ? phrase('mayday.body.colours', { ...who, colours }) : phrase('mayday.body', who),
    signals.length > 0
      ? phrase('mayday.gear.signals', { jackets: worn, signals })
      : phrase('mayday.gear', { jackets: worn }),
  ];
}

const positionOf = ({ from, text }: Spot): Phrase =>
  from === 'none' ? phrase('mayday.position.none') : phrase(`mayday.position.${from}`, { position: text });
