import type { Boat, Finding, Phrase } from '../model';
import { TRAILED } from '../model/lists';
import { phrase } from '../say';
import { asPrinted } from '../units';
import { goTo, guessed } from '../verdict';
import { BOAT } from './limits';
import type { LoadSum } from './load';

/** Weight on the hitch, as a share of what is towed. */
const TONGUE = { low: BOAT.at('trailer/tongue', 'light'), high: BOAT.at('trailer/tongue', 'heavy') };

const mendOf = (boat: Boat) => ({ label: phrase('trailer.mend'), ...goTo.boat(boat.id, '/trailer') });

/** On the road: trailer, boat, motor and what rides in her, against the plates; the weight on the hitch. What is missing is said. */
export function trailerFindings(boat: Boat, sum: LoadSum): Finding[] {
  const { trailer } = boat;
  const unknown = (why: Phrase) =>
    BOAT.finding('trailer/unknown', 'missing', boat.id, {
      title: phrase('trailer.unknown.title'),
      because: [why],
      mend: mendOf(boat),
    });
  if (!trailer) return TRAILED.has(boat.kind) ? [unknown(phrase('trailer.unknown.none'))] : [];
  const lacks = [
    ...(trailer.mass === undefined ? [phrase('trailer.what.mass')] : []),
    ...(boat.mass === undefined ? [phrase('trailer.what.boat')] : []),
    ...(trailer.most === undefined ? [phrase('trailer.what.most')] : []),
    ...(trailer.car === undefined ? [phrase('trailer.what.car')] : []),
    ...(trailer.tongue === undefined ? [phrase('trailer.what.tongue')] : []),
  ];
  const missing = lacks.length > 0 ? [unknown(phrase('trailer.unknown', { what: lacks }))] : [];
  if (trailer.mass === undefined || boat.mass === undefined) return missing;
  const mass = trailer.mass + boat.mass + sum.gear;
  const rough = guessed(boat, '/mass') || guessed(boat, '/trailer/mass');
  const over = (['most', 'car'] as const).flatMap((key) => {
    const most = trailer[key];
    if (most === undefined || asPrinted(mass, 'mass') <= asPrinted(most, 'mass')) return [];
    const guess = rough || guessed(boat, `/trailer/${key}`);
    return [
      BOAT.finding(`trailer/${key}`, guess ? 'guess' : 'over', boat.id, {
        title: phrase('trailer.over.title'),
        because: [phrase(key === 'most' ? 'trailer.over.plate' : 'trailer.over.car', { mass, most })],
        mend: mendOf(boat),
      }),
    ];
  });
  const tongue = trailer.tongue === undefined ? [] : [tongueFinding(boat, trailer.tongue / mass, rough)];
  return [...missing, ...over, ...tongue];
}

function tongueFinding(boat: Boat, share: number, rough: boolean): Finding {
  const title = phrase('trailer.tongue.title');
  if (share < TONGUE.low || share > TONGUE.high) {
    const as = share < TONGUE.low ? 'light' : 'heavy';
    const because = [phrase(`trailer.tongue.${as}`, { share, ...TONGUE })];
    return BOAT.finding('trailer/tongue', as, boat.id, { title, because, mend: mendOf(boat) });
  }
  const open = rough || guessed(boat, '/trailer/tongue');
  return BOAT.finding('trailer/tongue', open ? 'guess' : 'within', boat.id, {
    title,
    because: [phrase('trailer.tongue.ok', { share, ...TONGUE })],
    mend: open ? mendOf(boat) : undefined,
  });
}
