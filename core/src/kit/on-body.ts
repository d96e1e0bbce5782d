import file from '../../data/kit/purposes.json';
import type { GearItem, Person, Purpose } from '../model';
import type { Piece } from './count';
import type { KitMatch } from './match';

export const PURPOSES = file as unknown as readonly Purpose[];

/** A thing on somebody; not sure where something of it is still open. */
export interface Worn {
  item: GearItem;
  sure: boolean;
}

/** One body with what is on it, by what it is for once the boat is gone. */
export interface OnBody {
  person: Person;
  has: { purpose: Purpose; things: Worn[] }[];
}

export interface OnBodies {
  bodies: OnBody[];
  /** Things on a body, and nobody said on whose. */
  unsaid: GearItem[];
}

const isSure = ({ faults }: Piece) => faults.length === 0;

/**
 * What is on whom: each unit of a thing on one body alone. The jacket by the plan for all bodies; what is fixed to it on its wearer;
 * what belongs to somebody on its owner; the rest as rules that ask for each body gave it out, and where one goes alone, on them.
 */
export function onBodies(
  { requirements, pieces, jackets }: Pick<KitMatch, 'requirements' | 'pieces' | 'jackets'>,
  people: readonly Person[],
): OnBodies {
  const aboard = new Set(people.map(({ id }) => id));
  const given = new Map<string, string[]>();
  for (const { metBy } of requirements)
    for (const { item, person } of metBy) {
      if (person === undefined || !aboard.has(person)) continue;
      const persons = given.get(item) ?? [];
      if (!persons.includes(person)) given.set(item, [...persons, person]);
    }
  const on = new Map<string, Piece[]>(people.map(({ id }) => [id, []]));
  const unsaid: GearItem[] = [];
  const isJacket = new Set([...jackets.fits.values()].map(({ piece }) => piece.item.id));
  for (const [person, { piece, faults }] of jackets.fits)
    on.get(person)?.push({ ...piece, faults: [...piece.faults, ...faults] });
  for (const piece of pieces) {
    const { item } = piece;
    const there = piece.place === 'on-body' && !isJacket.has(item.id) && suppliesAny(piece);
    if (!there || !piece.faults.every(({ unknown }) => unknown)) continue;
    const [alone] = people.length === 1 ? people : [];
    const owner = item.owner !== undefined && aboard.has(item.owner) ? item.owner : undefined;
    const whose =
      piece.wearer !== undefined
        ? [piece.wearer]
        : owner !== undefined
          ? [owner]
          : alone
            ? [alone.id]
            : (given.get(item.id) ?? []).slice(0, item.count);
    for (const id of whose) on.get(id)?.push(piece);
    if (whose.length === 0) unsaid.push(item);
  }
  return { bodies: people.map((person) => bodyOf(person, on.get(person.id) ?? [])), unsaid };
}

const serves = ({ kind }: Piece, { capabilities }: Purpose) =>
  kind.supplies.some(({ capability }) => capabilities.includes(capability));
const suppliesAny = (piece: Piece) => PURPOSES.some((purpose) => serves(piece, purpose));

const bodyOf = (person: Person, pieces: readonly Piece[]): OnBody => ({
  person,
  has: PURPOSES.map((purpose) => ({
    purpose,
    things: pieces
      .filter((piece) => serves(piece, purpose))
      .map((piece) => ({ item: piece.item, sure: isSure(piece) })),
  })),
});
