import type { LoadSum } from '../boat';
import type { Boat, Finding, Phrase } from '../model';
import { phrase } from '../say';
import { asPrinted } from '../units';
import { finding, guessed } from './context';
import { TONGUE, TRAILED } from './limits';

const base = { section: 'pack/load' as const };

/** On the road: trailer, boat, motor and what rides in her, against the plates; the weight on the hitch. What is missing is said. */
export function trailerFindings(boat: Boat, sum: LoadSum): Finding[] {
  const { trailer } = boat;
  const at = (pointer: string) => ({
    label: phrase('trailer.mend'),
    go: { type: 'boat' as const, id: boat.id, pointer },
  });
  const unknown = (why: Phrase, pointer: string) =>
    finding({
      ...base,
      id: `trailer/unknown/${boat.id}`,
      level: 'know',
      title: phrase('trailer.unknown.title'),
      because: [why],
      mend: at(pointer),
    });
  if (!trailer) return TRAILED.has(boat.kind) ? [unknown(phrase('trailer.unknown.none'), '/trailer')] : [];
  const lacks = [
    ...(trailer.mass === undefined ? [phrase('trailer.what.mass')] : []),
    ...(boat.mass === undefined ? [phrase('trailer.what.boat')] : []),
    ...(trailer.most === undefined ? [phrase('trailer.what.most')] : []),
    ...(trailer.car === undefined ? [phrase('trailer.what.car')] : []),
    ...(trailer.tongue === undefined ? [phrase('trailer.what.tongue')] : []),
  ];
  const missing = lacks.length > 0 ? [unknown(phrase('trailer.unknown', { what: lacks }), '/trailer')] : [];
  if (trailer.mass === undefined || boat.mass === undefined) return missing;
  const mass = trailer.mass + boat.mass + sum.gear;
  const rough = guessed(boat, '/mass') || guessed(boat, '/trailer/mass');
  const found: Finding[] = [];
  for (const [key, most] of [
    ['most', trailer.most],
    ['car', trailer.car],
  ] as const) {
    if (most === undefined || asPrinted(mass, 'mass') <= asPrinted(most, 'mass')) continue;
    found.push(
      finding({
        ...base,
        id: `trailer/${key}/${boat.id}`,
        level: rough || guessed(boat, `/trailer/${key}`) ? 'fix' : 'stop',
        title: phrase('trailer.over.title'),
        because: [phrase(key === 'most' ? 'trailer.over.plate' : 'trailer.over.car', { mass, most })],
        source: 'plate',
        mend: at('/trailer'),
      }),
    );
  }
  if (trailer.tongue === undefined) return [...missing, ...found];
  const share = trailer.tongue / mass;
  const word = share < TONGUE.low ? 'light' : share > TONGUE.high ? 'heavy' : 'ok';
  const fits = word === 'ok';
  const settled = fits && !rough && !guessed(boat, '/trailer/tongue');
  return [
    ...missing,
    ...found,
    finding({
      ...base,
      id: `trailer/tongue/${boat.id}`,
      level: settled ? 'ready' : fits ? 'know' : TONGUE.level,
      title: phrase('trailer.tongue.title'),
      because: [phrase(`trailer.tongue.${word}`, { share, low: TONGUE.low, high: TONGUE.high })],
      source: TONGUE.source,
      ...(settled ? {} : { mend: at('/trailer') }),
    }),
  ];
}
