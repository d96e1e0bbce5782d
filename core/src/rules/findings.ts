import type { Boat, CrewRow, Finding, Person, Phrase, Trip, Water } from '../model';
import { phrase } from '../say';
import type { SourceId } from '../sources';
import { goTo, sure } from '../verdict';
import { CREW } from './crew';
import { evaluate, type World } from './evaluate';
import { RULES } from './limits';
import { mendFact } from './mend';

/** Who goes, in what, on which water. */
export interface Aboard {
  trip: Trip;
  boat?: Boat;
  people: Person[];
  water?: Water;
}
type PlainWorld = Omit<World, 'questions'>;

/** People as they meet this boat, water and wind. @param fellow they sit in another boat of the company */
export function crewFindings(aboard: Aboard, world: PlainWorld, fellow = false): Finding[] {
  const { trip, people } = aboard;
  const alone = people.length === 1 && !fellow && (trip.company ?? []).length === 0;
  const rows = CREW.filter((row) => row.each || !fellow);
  return [
    ...(alone ? [aloneFinding(trip)] : []),
    ...people.map(sure).flatMap(swimFindings),
    ...rows.flatMap((row) =>
      row.each
        ? people.flatMap((person) => rowFinding(row, aboard, world, person))
        : rowFinding(row, aboard, world),
    ),
    ...people.flatMap((person) => unsaidFinding(rows, aboard, world, person)),
  ];
}

const aloneFinding = ({ id }: Trip) =>
  RULES.finding('crew/alone', 'alone', id, {
    title: phrase('crew.alone.title'),
    because: [phrase('crew.alone.why')],
  });

function swimFindings({ id, name: person, swimming }: Person): Finding[] {
  if (swimming === undefined) {
    return [
      RULES.finding('crew/swimming', 'unknown', id, {
        title: phrase('crew.swim.unknown.title', { person }),
        because: [phrase('crew.swim.unknown.why')],
        mend: { label: phrase('crew.swim.mend'), ...goTo.person(id, '/swimming') },
      }),
    ];
  }
  if (swimming !== 'none' && swimming !== 'weak') return [];
  return [
    RULES.finding('crew/swimming', 'weak', id, {
      title: phrase(`crew.swims.${swimming}`, { person }),
      because: [phrase('crew.swim.why')],
    }),
  ];
}

/** What can be unsaid of a person, in few words. */
const UNSAID: Record<string, Phrase> = {
  'person.age': phrase('crew.unsaid.age'),
  'person.inWater': phrase('crew.unsaid.inWater'),
  'person.today': phrase('crew.unsaid.today'),
  'person.skill': phrase('crew.unsaid.skill'),
  'person.sincePractice': phrase('crew.unsaid.practice'),
  'person.weakArm': phrase('crew.unsaid.weakArm'),
};

/** What a person has not said of themselves and a row turns on: one finding for all of it, so that nothing is passed in silence. */
function unsaidFinding(rows: CrewRow[], { trip }: Aboard, world: PlainWorld, person: Person): Finding[] {
  const facts = world.crew.find((p) => p.id === person.id);
  const missing = rows
    .filter((row) => row.each && row.unknown === undefined)
    .map((row) => evaluate(row.when, world, facts))
    .filter(({ truth }) => truth === 'unknown')
    .flatMap((found) => found.missing.filter((fact) => fact.endsWith(`@${person.id}`)));
  const unsaid = [...new Set(missing)].filter((fact) => !fact.startsWith('person.swims'));
  if (unsaid.length === 0) return [];
  const what = unsaid.map((fact) => UNSAID[fact.split('@')[0]] ?? phrase('crew.unsaid.other'));
  const mend = mendFact(unsaid[0], { trip });
  return [
    RULES.finding('crew/unsaid', 'unsaid', person.id, {
      title: phrase('crew.unsaid.title', { person: person.name }),
      because: [phrase('crew.unsaid.why', { what })],
      mend: mend && { ...mend, label: phrase('crew.unsaid.mend', { person: person.name }) },
    }),
  ];
}

function rowFinding(
  row: CrewRow,
  { trip, boat, water }: Aboard,
  world: PlainWorld,
  person?: Person,
): Finding[] {
  const facts = person && world.crew.find((p) => p.id === person.id);
  const { truth, because, missing } = evaluate(row.when, world, facts);
  const level = truth === 'yes' ? row.level : truth === 'unknown' ? row.unknown : undefined;
  // Before there is a boat and somebody in her, that is what is said.
  if (level === undefined || !boat || trip.crew.length === 0) return [];
  const subject = person?.id ?? trip.id;
  const id = row.at.type === 'person' ? person?.id : trip.id;
  const title = person
    ? phrase('crew.row.person', { person: person.name, title: row.title })
    : phrase('crew.row', { title: row.title });
  const on = { trip, boatId: boat.id, ...(water ? { waterId: water.id } : {}) };
  const settle = truth === 'unknown' && missing[0] ? mendFact(missing[0], on) : undefined;
  return [
    RULES.finding('crew/row', 'row', subject, {
      id: `crew/${row.id}/${subject}`,
      level,
      open: truth === 'unknown',
      title: truth === 'unknown' ? phrase('crew.row.open', { title }) : title,
      because: [phrase('crew.row', { title: row.why }), ...because.map((b) => b.phrase)],
      source: row.source as SourceId,
      mend: settle ?? { label: phrase('crew.row.mend'), go: { ...row.at, ...(id ? { id } : {}) } },
    }),
  ];
}
