import type { Condition, Person, Trip, Truth } from '../model';
import { evaluate, type RuleResult, type World } from '../rules';
import { jacketAnswer, worst, type BodyAnswer } from './bodies';
import type { JacketPlan } from './jackets';

/** Where the crew says what it does: a jacket on from launch to landing, the cord on whoever drives. */
export const SAID = { worn: 'wearsJacket', cord: 'cord' } as const;

/** Who is asked, and what is known of them. */
interface Vouching {
  trip: Pick<Trip, 'crew'>;
  people: Person[];
  crew?: World['crew'];
}

export interface Deed {
  met: Truth;
  deeds: (keyof typeof SAID)[];
  concerns: string[];
  /** A jacket is worn only where there is one that counts. */
  jackets?: BodyAnswer;
}

/** Deeds that only the crew can vouch for: yes only when everyone whom it concerns, or may concern, said so and has what it takes. */
export function deedOf(
  declared: NonNullable<RuleResult['rule']['declared']>,
  input: Vouching,
  jackets: JacketPlan,
): Deed {
  const mets: Truth[] = [];
  const deeds: Deed['deeds'] = [];
  const concerns = new Set<string>();
  let worn: BodyAnswer | undefined;
  for (const deed of ['worn', 'cord'] as const) {
    const said = SAID[deed];
    const whom = declared[deed];
    if (whom === undefined) continue;
    const members = concernedBy(whom, input);
    deeds.push(deed);
    for (const c of members) concerns.add(c.person);
    mets.push(
      members.some((c) => c[said] === false)
        ? 'no'
        : members.length > 0 && members.every((c) => c[said] === true)
          ? 'yes'
          : 'unknown',
    );
    if (deed === 'worn') {
      const people = input.people.filter((p) => members.some((c) => c.person === p.id));
      if (people.length > 0) worn = jacketAnswer(people, jackets);
    }
  }
  return { met: worst(mets), deeds, concerns: [...concerns], ...(worn ? { jackets: worn } : {}) };
}

function concernedBy(whom: Condition, { trip, people, crew }: Vouching): Trip['crew'] {
  const facts = new Map(crew?.map((p) => [p.id, p]));
  return trip.crew.filter((c) => {
    const person = people.find((p) => p.id === c.person);
    const known = person && (facts.get(person.id) ?? { id: person.id, name: person.name, facts: {} });
    return known && evaluate(whom, { facts: {}, crew: [] }, known).truth !== 'no';
  });
}
