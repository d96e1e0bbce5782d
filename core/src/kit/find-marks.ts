import type { Finding, Trip } from '../model';
import { phrase } from '../say';
import { goTo, sure } from '../verdict';
import type { Piece } from './count';
import { KIT } from './limits';

/** Comes along, and nobody else has it. */
const goes = ({ place, item }: Piece) => place !== 'home' && item.count > 0 && item.lentTo === undefined;

/** What is left in the water by itself carries a number that reads from both sides: else it is taken for anybody’s. */
export function markFindings(pieces: readonly Piece[]): Finding[] {
  return pieces
    .filter((piece) => piece.kind.marked === true && goes(piece))
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

/** What comes along and does harm where it is used carelessly is told with its rules. */
export function useFindings(pieces: readonly Piece[]): Finding[] {
  return pieces.filter(goes).flatMap(({ kind, item }): Finding[] =>
    kind.use
      ? [
          KIT.finding('kit/use', 'rules', item.id, {
            title: phrase('use.title', { item: item.name }),
            because: kind.use.map((rule) => phrase('use.rule', { rule })),
          }),
        ]
      : [],
  );
}

/** The tick that says that one flare is outside its bag. */
export const FLARE_OUT = 'flare-out';
const FLARES: ReadonlySet<string> = new Set(['pyro-day', 'pyro-night']);

/** One flare is out of the bag, the rest stays dry: asked wherever there is more than one that counts. */
export function flareFindings(
  trip: Pick<Trip, 'id'>,
  pieces: readonly Piece[],
  ticks: ReadonlyMap<string, number> | undefined,
): Finding[] {
  const flares = pieces.filter(
    ({ kind, place, faults }) =>
      place !== 'home' &&
      faults.every(({ unknown }) => unknown) &&
      kind.supplies.some(({ capability }) => FLARES.has(capability)),
  );
  if (flares.reduce((sum, { item }) => sum + item.count, 0) <= 1) return [];
  const out = ticks?.has(FLARE_OUT) === true;
  return [
    KIT.finding('kit/flare-out', out ? 'out' : 'open', trip.id, {
      title: phrase('flare.title'),
      because: [phrase(out ? 'flare.out' : 'flare.open')],
      mend: out ? undefined : { label: phrase('flare.mend'), ...goTo.section('pack/kit') },
    }),
  ];
}
