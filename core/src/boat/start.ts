import type { Boat } from '../model';
import type { Craft } from '../model/lists';

/** A usual boat of a kind, to start from (`core/data/starting-points.json`). Nothing in it that a law turns on is answered: that is asked. */
export interface StartingPoint { id: string; kind: Craft; title: string; note: string; boat: Omit<Partial<Boat>, 'id' | 'name' | 'kind'> & Pick<Boat, 'propulsion' | 'openings'> }

/** Pointers of every number and word in a document. */
function leaves(value: unknown, pointer = ''): string[] {
  if (typeof value !== 'object' || value === null) return [pointer];
  return Object.entries(value).flatMap(([key, inner]) => leaves(inner, `${pointer}/${key}`));
}

/** A boat from a starting point: every value in it is a guess until it is stated or measured. */
export function startBoat({ kind, boat }: StartingPoint, id: string, name: string): Boat {
  return { id, name, kind, ...structuredClone(boat), basis: Object.fromEntries(leaves(boat).map((pointer) => [pointer, 'guessed' as const])) };
}
