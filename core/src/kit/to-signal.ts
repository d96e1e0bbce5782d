import { isBox, LAYERS, type Signal } from '../signals';
import type { Piece } from './count';

const SIGNALS: ReadonlySet<string> = new Set(LAYERS.flatMap(({ capabilities }) => capabilities));

/** What of the kit may be noticed: all that is in order and comes along, with where it travels and whether it lies in a box. */
export function toSignal(pieces: readonly Piece[]): Signal[] {
  const boxes = new Set(pieces.filter(({ item }) => isBox(item.kind)).map(({ item }) => item.id));
  return pieces
    .filter(
      ({ kind, place, faults }) =>
        place !== 'home' &&
        faults.every(({ unknown }) => unknown) &&
        kind.supplies.some(({ capability }) => SIGNALS.has(capability)),
    )
    .map(({ item, kind, place, faults }) => ({
      sure: faults.length === 0,
      name: item.name,
      count: item.count,
      place,
      boxed: item.on !== undefined && boxes.has(item.on),
      supplies: kind.supplies.map(({ capability }) => capability),
    }));
}
