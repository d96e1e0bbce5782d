import { ageRange } from '../earth';
import type { Boat, Person, Trip } from '../model';
import { phrase } from '../say';
import { demandFaults, isJacket, reason, type Piece, type Reason } from './count';

export interface JacketFit { piece: Piece; faults: Reason[] }

export interface JacketPlan {
  /** Jacket for each person for whom one counts or may count. */
  fits: Map<string, JacketFit>;
  /** Every jacket with what stands against it, for each person who has none that counts. */
  misses: Map<string, JacketFit[]>;
}

type CrewMember = Trip['crew'][number];

/**
 * One jacket for each body: a matching between people and jackets. First every sure fit, as many people as can be
 * served at all (augmenting paths), then fits that hang on a missing fact. A jacket that somebody stated is theirs and
 * nobody else's. Preference: own before others', tightest size first, then by id, so that the answer is always the same.
 */
export function matchJackets(people: Person[], crew: CrewMember[], pieces: Piece[], boat: Boat | undefined, on: string, approved: boolean): JacketPlan {
  const jackets = pieces.filter((piece) => isJacket(piece.kind)).flatMap((piece) => Array.from({ length: Math.min(piece.item.count, people.length) || 1 }, (_, n) => ({ piece, key: `${piece.item.id}#${n}` })));
  const stated = new Map(crew.flatMap((c) => (c.jacket ? [[c.person, c.jacket] as const] : [])));
  const statedItems = new Set(stated.values());
  const options = new Map(people.map((person) => [person.id, jackets
    .filter(({ piece }) => (stated.has(person.id) ? stated.get(person.id) === piece.item.id : !statedItems.has(piece.item.id)))
    .map(({ piece, key }) => ({ piece, key, faults: fitFaults(person, piece, boat, on, approved) }))
    .sort((a, b) => preference(person, a.piece) - preference(person, b.piece) || (a.key < b.key ? -1 : 1))]));

  const holder = new Map<string, string>();
  const serve = (person: string, usable: (faults: Reason[]) => boolean, tried: Set<string>): boolean => {
    for (const option of options.get(person) ?? []) {
      if (tried.has(option.key) || !usable(option.faults)) continue;
      tried.add(option.key);
      const other = holder.get(option.key);
      if (other === undefined || serve(other, usable, tried)) {
        holder.set(option.key, person);
        return true;
      }
    }
    return false;
  };
  const order = people.map((p) => p.id).sort();
  const served = new Set<string>();
  for (const person of order) if (serve(person, (faults) => faults.length === 0, new Set())) served.add(person);
  // With open facts allowed a path may hand a sure fit on, but never leaves anyone worse than "may count".
  for (const person of order) if (!served.has(person) && serve(person, (faults) => faults.every((f) => f.unknown), new Set())) served.add(person);

  const fits = new Map<string, JacketFit>();
  for (const [key, person] of holder) {
    const option = options.get(person)?.find((o) => o.key === key);
    if (option) fits.set(person, option);
  }
  const misses = new Map<string, JacketFit[]>();
  for (const person of people) {
    const fit = fits.get(person.id);
    if (fit && fit.faults.length === 0) continue;
    misses.set(person.id, uniqueByItem(options.get(person.id) ?? []).map((option) => {
      const wearer = [...fits].find(([other, f]) => other !== person.id && f.piece.item.id === option.piece.item.id)?.[0];
      const name = people.find((p) => p.id === wearer)?.name;
      return name && option.faults.length === 0 ? { ...option, faults: [reason('taken', { person: name })] } : option;
    }));
  }
  return { fits, misses };
}

function uniqueByItem<T extends { piece: Piece }>(options: T[]): T[] {
  const seen = new Set<string>();
  return options.filter(({ piece }) => !seen.has(piece.item.id) && seen.add(piece.item.id));
}

/** Lower is better: one's own jacket, then the tightest range that still fits. */
function preference(person: Person, { item }: Piece): number {
  const own = item.owner === person.id ? 0 : item.owner === undefined ? 1000 : 2000;
  return own + (item.maxMass ?? 500) - (item.minMass ?? 0);
}

/** Why a jacket does not count for a body: size by weight, age, craft; label and reach as for any thing. Masses in kg. */
export function fitFaults(person: Person, piece: Piece, boat: Boat | undefined, on: string, approved: boolean): Reason[] {
  const { item, kind } = piece;
  // On the body of its wearer a jacket is where it has to be; the locker it usually rides in does not matter.
  const faults = [...piece.faults, ...demandFaults({ ...piece, place: piece.place === 'home' ? 'home' : 'on-body' }, 'wearable', 'in-reach', approved)];
  const least = Math.max(item.minMass ?? 0, kind.leastMass ?? 0);
  if (item.minMass === undefined && item.maxMass === undefined) faults.push(reason('size-unknown', undefined, true));
  if (person.mass === undefined) {
    if (least > 0 || item.maxMass !== undefined) faults.push(reason('mass-unknown', { person: person.name }, true));
  } else {
    if (item.maxMass !== undefined && person.mass > item.maxMass) faults.push(reason('too-small', { limit: item.maxMass, person: person.name, mass: person.mass }));
    if (person.mass < least) faults.push(reason('too-big', { limit: least, person: person.name, mass: person.mass }));
  }
  const leastAge = Math.max(item.minAge ?? 0, kind.leastAge ?? 0);
  if (leastAge > 0) {
    const age = person.born === undefined ? undefined : ageRange(person.born, on);
    if (age === undefined || (age[0] < leastAge && age[1] >= leastAge)) faults.push(reason('age-unknown', { person: person.name }, true));
    else if (age[1] < leastAge) faults.push(reason('too-young', { limit: leastAge, person: person.name, age: age[1] }));
  }
  if (boat && kind.notOn?.includes(boat.kind)) faults.push(reason('not-approved'));
  return faults;
}

/** People as a list of phrases for a sentence. */
export const named = (people: Person[]) => people.map((p) => p.name);
export const whoLacks = (plan: JacketPlan, people: Person[]) => people.filter((p) => !plan.fits.has(p.id));
export const jacketPhrase = (fit: JacketFit, person: Person) => phrase('kit.use.person', { item: fit.piece.item.name, person: person.name });
