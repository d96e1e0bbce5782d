import type { Boat, Debrief, Finding, Person, Phrase } from '../model';
import { phrase } from '../say';
import {
  provenBy,
  standsTo,
  wholeForce,
  type Beyond,
  type Outing,
  type Proven,
  type Stands,
} from './envelope';
import { LOGBOOK } from './limits';

/** What a trip says of how it goes beyond what was done. */
export interface OnProven {
  trip: { id: string };
  /** The boats that go together with who is in them. */
  crewed: readonly { boat: Boat; people: readonly Pick<Person, 'id' | 'name'>[] }[];
  debriefs: readonly Debrief[];
  /** The day of the trip. */
  on: string;
}

/** What one of them has done in their boat. */
export interface OnRecord {
  boat: Boat;
  person: Pick<Person, 'id' | 'name'>;
  proven: Proven | undefined;
}

const ORDER: readonly Stands['is'][] = ['leap', 'never', 'unknown', 'step', 'within'];

/** What each of those who go has done in their boat, on other trips. */
export function recordsOf({ trip, crewed, debriefs, on }: OnProven): OnRecord[] {
  const others = debriefs.filter((d) => d.trip !== trip.id);
  return crewed.flatMap(({ boat, people }) =>
    people.map((person) => ({ boat, person, proven: provenBy(others, person, boat, on) })),
  );
}

/** How a plan goes beyond what each of them has done in their boat: what was done is looked up once, the hours bring the rest. */
export function provenFinder(asked: OnProven): (planned: Outing) => Finding[] {
  const { trip } = asked;
  const all = recordsOf(asked);
  if (all.length === 0) return () => [];
  return (planned) => {
    const stands = all.map((record) => ({ record, ...standsTo(record.proven, planned) }));
    const as = ORDER.find((one) => stands.some(({ is }) => is === one)) ?? 'within';
    const lacking = stands.filter(({ is }) => is !== 'within');
    const because = [
      ...neverSaid(lacking.filter(({ is }) => is === 'never').map(({ record }) => record)),
      ...lacking.flatMap(({ record, beyond }) => beyond.map((each) => saidOf(record, each, planned))),
      ...(as === 'within'
        ? [phrase('proven.within', { boats: [...new Set(all.map(({ boat }) => boat.name))] })]
        : []),
    ];
    const further = as === 'leap' || as === 'step';
    return [
      LOGBOOK.finding('proven/beyond', as, trip.id, {
        title: phrase(`proven.${as}.title`),
        because,
        assumed: further ? [phrase('proven.estimate')] : [],
        ...(as === 'leap' ? { mend: { label: phrase('proven.mend'), go: stepsBefore(trip.id) } } : {}),
      }),
    ];
  };
}

const stepsBefore = (id: string) => ({ type: 'debrief' as const, id, pointer: '/met' });

/** Those of whom nothing is on record, a sentence for each boat. */
function neverSaid(records: OnRecord[]): Phrase[] {
  const boats = [...new Set(records.map(({ boat }) => boat))];
  return boats.map((boat) =>
    phrase('proven.never', {
      who: records.filter((r) => r.boat === boat).map(({ person }) => person.name),
      boat: boat.name,
    }),
  );
}

function saidOf({ boat, person, proven }: OnRecord, { axis, steps: n }: Beyond, planned: Outing): Phrase {
  const names = { who: person.name, boat: boat.name };
  if (n === undefined) return phrase(`proven.${axis}.unknown`, names);
  if (axis === 'alone' || axis === 'dark') return phrase(`proven.${axis}`, names);
  const [was, will] = [proven?.[axis] ?? 0, planned[axis] ?? 0];
  if (axis === 'wind')
    return phrase('proven.wind', { ...names, n, was: wholeForce(was), will: wholeForce(will) });
  return phrase(`proven.${axis}`, { ...names, n, was, will });
}
