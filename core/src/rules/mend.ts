import type { Mend } from '../model';
import { phrase, phraseOf } from '../say';
import { FACTS, QUESTION } from './facts';

/** The things of a trip on which a missing fact may be settled. */
export interface Settling {
  trip: { id: string; launch?: string | undefined };
  boatId?: string;
  waterId?: string;
}

/** Where a person settles a missing fact. `person.age@ID` names whose. */
export function mendFact(fact: string, { trip, boatId, waterId }: Settling): Mend | undefined {
  const [name, who] = fact.split('@');
  if (name.startsWith(QUESTION)) {
    if (!waterId) return undefined;
    return {
      label: phrase('mend.fact', { fact: phrase('fact.answer') }),
      go: { type: 'water', id: waterId, pointer: `/answers/${name.slice(QUESTION.length)}` },
    };
  }
  const spec = FACTS[name];
  if (!spec) return undefined;
  const id = { boat: boatId, trip: trip.id, person: who, place: trip.launch }[spec.at.type as string];
  const what = phraseOf(spec.word, { person: phrase('person.nobody'), ask: name });
  return { label: phrase('mend.fact', { fact: what }), go: { ...spec.at, ...(id ? { id } : {}) } };
}
