import { applyPatch } from '../src/formats';
import { THINGS, type Finding, type ThingType } from '../src/model';
import { assess, type AssessInput } from '../src/trip';

/** A fact of a thing that may be left out: its removal leaves a valid thing. */
export interface Field {
  type: ThingType;
  id: string;
  pointer: string;
}

const SHELVES = {
  boats: 'boat',
  people: 'person',
  gear: 'gear',
  places: 'place',
  waters: 'water',
  contacts: 'contact',
  debriefs: 'debrief',
  drills: 'drill',
} as const;

/**
 * What a thing hangs on or belongs to, a speed of the day in whose place the boat’s own comes, and steps in whose place the usual
 * ones come: taken away it is another fact, not less knowledge.
 */
const RELATIONS: ReadonlySet<string> = new Set([
  '/on',
  '/fittedTo',
  '/owner',
  '/borrowedFrom',
  '/speed',
  '/graceMinutes',
  '/alarmMinutes',
]);

/** Every pointer of a document, objects and leaves alike; how things came to be known is no fact of its own. */
function pointers(value: unknown, pointer = ''): string[] {
  if (typeof value !== 'object' || value === null) return [pointer];
  const inner = Object.entries(value).flatMap(([key, v]) =>
    pointer === '' && key === 'basis' ? [] : pointers(v, `${pointer}/${key}`),
  );
  return pointer === '' || Array.isArray(value) ? inner : [pointer, ...inner];
}

const without = <D extends object>(doc: D, pointer: string): D => applyPatch(doc, [{ op: 'unset', pointer }]);
const valid = (type: ThingType, doc: object) => THINGS[type].safeParse(doc).success;

/** Every optional field of what a trip leans on, and of the trip itself, as a place from which it can be taken away. */
export function fieldsOf(input: AssessInput): Field[] {
  const docs = [
    ...(Object.entries(SHELVES) as [keyof typeof SHELVES, ThingType][]).flatMap(([shelf, type]) =>
      input.shed[shelf].map((doc) => ({ type, doc })),
    ),
    { type: 'trip' as const, doc: input.trip },
  ];
  return docs.flatMap(({ type, doc }) =>
    pointers(doc)
      // An entry of a list is no field; a list is asked for by what it holds.
      .filter(
        (pointer) => !/\/\d+$/.test(pointer) && !RELATIONS.has(pointer) && valid(type, without(doc, pointer)),
      )
      .map((pointer) => ({ type, id: doc.id, pointer })),
  );
}

export function takeAway(input: AssessInput, gone: readonly Field[]): AssessInput {
  const strip = <D extends { id: string }>(doc: D): D =>
    gone.filter((g) => g.id === doc.id).reduce((d, g) => without(d, g.pointer), doc);
  const { shed } = input;
  return {
    ...input,
    trip: strip(input.trip),
    shed: {
      ...shed,
      boats: shed.boats.map(strip),
      people: shed.people.map(strip),
      gear: shed.gear.map(strip),
      places: shed.places.map(strip),
      waters: shed.waters.map(strip),
      contacts: shed.contacts.map(strip),
      debriefs: shed.debriefs.map(strip),
      drills: shed.drills.map(strip),
    },
  };
}

const text = (f: Finding) => JSON.stringify([f.title, f.because, f.assumed]);

/**
 * What is wrong with an answer once facts are gone: a finding that became Ready, or a worse one that went without anything
 * open in its place. Something open stands in its place where another finding of the same section came, or says another thing.
 */
export function faultsWithout(before: Finding[], after: Finding[]): string[] {
  const was = new Map(before.map((f) => [f.id, f]));
  const is = new Map(after.map((f) => [f.id, f]));
  const faults: string[] = [];
  for (const f of after) {
    if (f.level === 'ready' && was.get(f.id)?.level !== 'ready')
      faults.push(`${f.id}: ${was.get(f.id)?.level ?? 'absent'} → set`);
  }
  const opened = after.filter(
    (f) => f.level !== 'ready' && (!was.has(f.id) || text(was.get(f.id)!) !== text(f)),
  );
  for (const f of before) {
    const now = is.get(f.id);
    if (f.level === 'ready' || (now && now.level !== 'ready')) continue;
    // A trip that lost its boat or its water says so once, wherever it was leant on.
    if (!opened.some((o) => o.id.startsWith('trip/') || o.section.split('/')[0] === f.section.split('/')[0]))
      faults.push(`${f.id}: ${f.level} went, and nothing is open in its place`);
  }
  return faults;
}

/** Take each field away alone: what went wrong, by field. */
export function tryEach(input: AssessInput, fields: readonly (readonly Field[])[]): string[] {
  const before = assess(input).findings;
  return fields.flatMap((gone) =>
    faultsWithout(before, assess(takeAway(input, gone)).findings).map(
      (fault) => `${gone.map((g) => `${g.type}${g.pointer}`).join(' + ')}: ${fault}`,
    ),
  );
}

/** Pairs of fields that meet in a finding: both, taken away alone, change it. So many of them, spread over all. */
export function meeting(input: AssessInput, fields: readonly Field[], most: number): [Field, Field][] {
  const before = new Map(assess(input).findings.map((f) => [f.id, text(f) + f.level]));
  const touches = fields.map((field) => {
    const after = new Map(assess(takeAway(input, [field])).findings.map((f) => [f.id, text(f) + f.level]));
    const ids = [...new Set([...before.keys(), ...after.keys()])].filter(
      (id) => before.get(id) !== after.get(id),
    );
    return { field, ids: new Set(ids) };
  });
  const pairs = touches.flatMap((a, i) =>
    touches
      .slice(i + 1)
      .filter((b) => [...a.ids].some((id) => b.ids.has(id)))
      .map((b): [Field, Field] => [a.field, b.field]),
  );
  const step = Math.max(1, Math.ceil(pairs.length / most));
  return pairs.filter((_, i) => i % step === 0);
}
