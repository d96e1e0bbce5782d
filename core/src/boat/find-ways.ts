import type { Finding, Phrase } from '../model';
import { phrase } from '../say';
import { goTo, guessed } from '../verdict';
import { ENDURANCE, waysHome } from './energy';
import type { Laden } from './laden';
import { hullOf } from './hull';
import { BOAT } from './limits';
import { loadOf } from './load';
import { emptyWeight } from './stow';

/** Ways home, counted; a kind that nobody says can move her far enough is named. */
export function wayFindings({ trip, boat, people, metres: far }: Laden): Finding[] {
  if (!boat || boat.propulsion.length === 0) return [];
  const hull = hullOf(boat);
  const loaded = (hull ? emptyWeight(boat, hull).mass : (boat.mass ?? 0)) + loadOf(boat, people, trip).total;
  const ways = waysHome(boat, loaded);
  const mend = { label: phrase('ways.mend'), ...goTo.boat(boat.id, '/propulsion') };
  const many = ways.length >= BOAT.at('ways/count', 'few');
  // A way that somebody only guessed is no way to count on.
  const guess = boat.propulsion.some((_, i) => guessed(boat, `/propulsion/${i}/kind`));
  const assumed: Phrase[] = guess ? [phrase('ways.guess')] : [];
  const [first] = ways;
  const drive = phrase(`drive.${first.kind}`);
  const enough = many && !guess;
  const count = BOAT.finding('ways/count', enough ? 'enough' : 'few', boat.id, {
    title: phrase('ways.title'),
    because: [many ? phrase('ways.enough', { n: ways.length }) : phrase('ways.one', { first: drive })],
    assumed,
    mend: enough ? undefined : mend,
  });
  if (far === undefined || !first.range || first.range[1] >= far) return [count];
  // How far a tank or a battery carries is told with the hours of the way.
  const [least, range] = first.range;
  if (least === range) return [count];
  return [
    count,
    BOAT.finding('ways/range', 'arms', trip.id, {
      title: phrase('ways.range.arms.title'),
      because: [phrase('ways.range.arms', { range, far, drive, hours: ENDURANCE.high })],
      mend,
    }),
  ];
}
