import startingPoints from '../../data/boat/starting-points.json';
import type { Boat, StartingPoint } from '../model';

/** Usual boats to start from; loaded by the one page that offers them. */
export const STARTING_POINTS = startingPoints as unknown as StartingPoint[];

/** Pointers of every number and word in a document. */
function leaves(value: unknown, pointer = ''): string[] {
  if (typeof value !== 'object' || value === null) return [pointer];
  return Object.entries(value).flatMap(([key, inner]) => leaves(inner, `${pointer}/${key}`));
}

/** A boat from a starting point: every value in it is a guess until it is stated or measured. */
export function startBoat({ kind, boat }: StartingPoint, id: string, name: string): Boat {
  return {
    id,
    name,
    kind,
    ...structuredClone(boat),
    basis: Object.fromEntries(leaves(boat).map((pointer) => [pointer, 'guessed' as const])),
  };
}
