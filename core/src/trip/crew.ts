import { mendFact } from '../kit';
import type { CrewRow, Finding, Person } from '../model';
import { evaluate, type World, CREW } from '../rules';
import { phrase, type WordKey } from '../say';
import type { SourceId } from '../sources';
import { finding, sure, type Context } from './context';

/** People as they meet this boat, water and wind. */
export function crewFindings(context: Context, world: Omit<World, 'questions'>, fellow = false): Finding[] {
  const { trip, people } = context;
  const found: Finding[] = [];
  if (people.length === 1 && !fellow && (trip.company ?? []).length === 0)
    found.push(
      finding({
        id: `crew/alone/${trip.id}`,
        level: 'know',
        section: 'plan/boat',
        title: phrase('crew.alone.title'),
        because: [phrase('crew.alone.why')],
        source: 'practice',
      }),
    );
  for (const person of people.map(sure)) {
    if (person.swimming === undefined)
      found.push(
        finding({
          id: `crew/swimming/${person.id}`,
          level: 'know',
          section: 'plan/boat',
          title: phrase('crew.swim.unknown.title', { person: person.name }),
          because: [phrase('crew.swim.unknown.why')],
          source: 'practice',
          mend: {
            label: phrase('crew.swim.mend'),
            go: { type: 'person', id: person.id, pointer: '/swimming' },
          },
        }),
      );
    else if (person.swimming === 'none' || person.swimming === 'weak') found.push(swimmer(person));
  }
  const rows = CREW.filter((row) => row.each || !fellow);
  return [
    ...found,
    ...rows.flatMap((row) =>
      row.each
        ? people.flatMap((person) => rowFinding(row, context, world, person))
        : rowFinding(row, context, world),
    ),
    ...people.flatMap((person) => unsaidFinding(rows, context, world, person)),
  ];
}

/** What can be unsaid of a person, in few words. */
const UNSAID = new Map<string, WordKey>([
  ['person.age', 'crew.unsaid.age'],
  ['person.inWater', 'crew.unsaid.inWater'],
  ['person.today', 'crew.unsaid.today'],
  ['person.skill', 'crew.unsaid.skill'],
  ['person.sincePractice', 'crew.unsaid.practice'],
  ['person.weakArm', 'crew.unsaid.weakArm'],
]);

/** What a person has not said of themselves and a row turns on: one finding for all of it, so that nothing is passed in silence. */
function unsaidFinding(rows: CrewRow[], context: Context, world: PlainWorld, person: Person): Finding[] {
  const facts = world.crew.find((p) => p.id === person.id);
  const missing = rows
    .filter((row) => row.each && row.unknown === undefined)
    .map((row) => evaluate(row.when, world, facts))
    .filter(({ truth }) => truth === 'unknown')
    .flatMap((found) => found.missing.filter((fact) => fact.endsWith(`@${person.id}`)));
  const unsaid = [...new Set(missing)].filter((fact) => !fact.startsWith('person.swims'));
  if (unsaid.length === 0) return [];
  const words = unsaid.map((fact) => UNSAID.get(fact.split('@')[0]) ?? 'crew.unsaid.other');
  const mend = mendFact(unsaid[0], { trip: context.trip });
  return [
    finding({
      id: `crew/unsaid/${person.id}`,
      level: 'know',
      section: 'plan/boat',
      title: phrase('crew.unsaid.title', { person: person.name }),
      because: [
        phrase('crew.unsaid.why', {
          what: words.map((word) => phrase(word)),
        }),
      ],
      source: 'practice',
      ...(mend ? { mend: { ...mend, label: phrase('crew.unsaid.mend', { person: person.name }) } } : {}),
    }),
  ];
}

type PlainWorld = Omit<World, 'questions'>;

function rowFinding(
  row: CrewRow,
  context: Context,
  world: Omit<World, 'questions'>,
  person?: Person,
): Finding[] {
  const { trip, boat, water } = context;
  const { truth, because, missing } = evaluate(
    row.when,
    world,
    person && world.crew.find((p) => p.id === person.id),
  );
  const level = truth === 'yes' ? row.level : truth === 'unknown' ? row.unknown : undefined;
  // Before there is a boat and somebody in her, that is what is said.
  if (level === undefined || !boat || trip.crew.length === 0) return [];
  const id = row.at.type === 'person' ? person?.id : trip.id;
  const title = person
    ? phrase('crew.row.person', { person: person.name, title: row.title })
    : phrase('crew.row', { title: row.title });
  const settle =
    truth === 'unknown' && missing[0]
      ? mendFact(missing[0], {
          trip,
          boatId: boat.id,
          ...(water ? { waterId: water.id } : {}),
        })
      : undefined;
  return [
    finding({
      id: `crew/${row.id}/${person?.id ?? trip.id}`,
      level,
      section: 'plan/boat',
      title: truth === 'unknown' ? phrase('crew.row.open', { title }) : title,
      because: [phrase('crew.row', { title: row.why }), ...because.map((b) => b.phrase)],
      source: row.source as SourceId,
      mend: settle ?? {
        label: phrase('crew.row.mend'),
        go: { type: row.at.type, ...(id ? { id } : {}), pointer: row.at.pointer },
      },
    }),
  ];
}

const swimmer = (person: Person) =>
  finding({
    id: `crew/swimming/${person.id}`,
    level: 'know',
    section: 'plan/boat',
    title: phrase('crew.swim.title', {
      person: person.name,
      how: phrase(person.swimming === 'none' ? 'crew.swims.none' : 'crew.swims.weak'),
    }),
    because: [phrase('crew.swim.why')],
    source: 'practice',
  });
