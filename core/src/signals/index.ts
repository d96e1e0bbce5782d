import type { Boat, Phrase } from '../model';
import { CRAFT } from '../model/lists';
import { phrase } from '../say';

/**
 * signals: the words to say. Distress wording follows the radiotelephone form (source family: radio handbooks, recalled):
 * MAYDAY three times, name three times, then position, nature, help wanted, persons, over.
 */
export function mayday(boat: Boat, persons: number, position: string, signals: string[]): Phrase[] {
  const name = boat.marks || boat.name;
  const colours = boat.hullColour ?? boat.deckColour;
  return [
    phrase('mayday.open', { name }),
    phrase('mayday.body', { name, position, kind: CRAFT[boat.kind], n: persons, colours: colours ? `, ${colours}` : '' }),
    phrase('mayday.gear', { signals: signals.length > 0 ? phrase('mayday.signals', { signals }) : '' }),
  ];
}
