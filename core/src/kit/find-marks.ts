import type { Finding } from '../model';
import { phrase } from '../say';
import { goTo, sure } from '../verdict';
import type { Piece } from './count';
import { KIT } from './limits';

/** What is left in the water by itself carries a number that reads from both sides: a trap that nobody can read is taken for anybody’s. */
export function markFindings(pieces: readonly Piece[]): Finding[] {
  return pieces
    .filter(({ kind, place, item }) => kind.marked === true && place !== 'home' && item.count > 0)
    .flatMap(({ item }): Finding[] => {
      const marks = sure(item).marks;
      const as = marks === undefined ? 'open' : marks === 'both' ? 'both' : 'wrong';
      const names = { item: item.name };
      return [
        KIT.finding('kit/marks', as, item.id, {
          title: phrase('marks.title', names),
          because: [phrase(`marks.${marks ?? 'open'}`)],
          mend:
            as === 'both'
              ? undefined
              : { label: phrase('mend.look', names), ...goTo.gear(item.id, '/marks') },
        }),
      ];
    });
}
