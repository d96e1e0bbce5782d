import { STARTING_POINTS, startBoat } from '@escale/core/boat/start';
import type { Boat } from '@escale/core/model';
import { CRAFT, type Craft } from '@escale/core/model/lists';

/** A usual boat of each of these kinds, for whoever has none of their own: the first starting point of the kind. */
export const usualBoats = (fits: (kind: Craft) => boolean): readonly Boat[] =>
  (Object.keys(CRAFT) as Craft[]).filter(fits).flatMap((kind) => {
    const start = STARTING_POINTS.find((each) => each.kind === kind);
    return start ? [startBoat(start, `usual-${kind}`, CRAFT[kind])] : [];
  });

/** One’s own boats, then usual ones of the kinds that are not among them. */
export const withUsual = (own: readonly Boat[], usual: readonly Boat[]): Boat[] => [
  ...own,
  ...usual.filter(({ kind }) => own.every((mine) => mine.kind !== kind)),
];
