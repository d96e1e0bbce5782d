import type { Boat, Finding, GearItem, Person, Trip } from '../model';
import { stowages } from '../kit';
import { phrase } from '../say';
import { goTo, guessed } from '../verdict';
import { RECOVER } from './limits';
import { righting, type Given, type Righting } from './righting';

/** What a trip says of righting her. */
export interface OnRighting {
  trip: Pick<Trip, 'id' | 'stow'>;
  boat?: Boat;
  people: readonly Person[];
  gear: readonly GearItem[];
}

/** What is not there any more, or does not hold. */
const GONE: ReadonlySet<string> = new Set(['failed', 'used-up']);
const STRAPS: ReadonlySet<string> = new Set(['re-entry-strap', 'drag-strap']);

/** What is aboard to right her with: the length of the line, as far as it is known, and whether there is a strap. */
export function aboardToRight({ trip, gear, boat }: OnRighting): Given {
  const places = stowages([...gear], trip);
  const here = gear.filter(
    (item) =>
      places.get(item.id) !== 'home' &&
      !GONE.has(item.state) &&
      (item.fittedTo === undefined || item.fittedTo === boat?.id),
  );
  const lines = here.flatMap((g) =>
    g.kind === 'righting-line' && g.line !== undefined && !guessed(g, '/line') ? [g.line] : [],
  );
  return {
    side: 'bow',
    water: 0,
    bag: false,
    strap: here.some((g) => STRAPS.has(g.kind)),
    ...(lines.length > 0 ? { line: Math.max(...lines) } : {}),
  };
}

/** Craft whose crew has to right her to get home: there it is told where it is open, too. */
const TOLD: ReadonlySet<string> = new Set(['catamaran', 'raft']);

/** Can they right her, all together and each alone? Asked of the craft that are righted by their crews. */
export function rightingFindings(on: OnRighting): Finding[] {
  const { boat, people, trip } = on;
  const found = boat && people.length > 0 ? righting(boat, people, aboardToRight(on)) : undefined;
  if (!boat || !found) return [];
  const told = TOLD.has(boat.kind);
  const made = (as: 'no' | 'alone' | 'may') =>
    RECOVER.finding('recover/crew', as, trip.id, {
      title: phrase(`recover.${as}.title`),
      because: [because(found)],
      assumed: [phrase('recover.estimate')],
      source: 'own-estimate',
      mend: { label: phrase('recover.mend'), ...goTo.section('go/trouble') },
    });
  if (found.unweighed.length > 0)
    return told
      ? [
          RECOVER.finding('recover/crew', 'unknown', trip.id, {
            title: phrase('recover.unknown.title'),
            because: [phrase('load.unknown.why', { who: found.unweighed })],
            source: 'own-estimate',
            mend: {
              label: phrase('load.unknown.mend'),
              ...goTo.person(people.find((p) => p.mass === undefined)?.id, '/mass'),
            },
          }),
        ]
      : [];
  if (found.together?.can === 'no') return [made('no')];
  if (!told) return [];
  if (people.length > 1 && found.people.some((p) => p.can === 'no')) return [made('alone')];
  return found.together?.can === 'may' ? [made('may')] : [];
}

function because({ need, together, people }: Righting) {
  const names = (ids: readonly string[]) => people.flatMap((p) => (ids.includes(p.id) ? [p.name] : []));
  return phrase('recover.why', {
    from: need.low,
    until: need.high,
    who: names(together?.ids ?? []),
    least: together?.gives.low ?? 0,
    most: together?.gives.high ?? 0,
  });
}
