import type { Boat, DrillKind, Finding, Person, Phrase } from '../model';
import { DRILLS } from '../model/lists';
import { phrase } from '../say';
import { askedOf, practised, type Noted, type Practised } from './drills';
import { LOGBOOK } from './limits';

/** What a trip says of drills. */
export interface OnDrills extends Noted {
  trip: { id: string };
  /** The boats that go together with who is in them. */
  crewed: readonly { boat: Pick<Boat, 'kind'>; people: readonly Pick<Person, 'id' | 'name'>[] }[];
  /** The day of the trip. */
  on: string;
}

/** One drill that the trip asks for: what is wrong with it, and of whom. */
interface Lack {
  kind: DrillKind;
  state: Practised['state'];
  why: Phrase;
}
const ORDER: readonly Practised['state'][] = ['failed', 'never', 'stale', 'fresh'];
const worst = (states: readonly Practised['state'][]) =>
  ORDER.find((state) => states.includes(state)) ?? 'fresh';

/** What the trip asks for, of every boat that goes, and nobody has practised, or long ago; one finding for all of it. */
export function drillFindings({ trip, crewed, ...asked }: OnDrills): Finding[] {
  const manned = crewed.filter(({ people }) => people.length > 0);
  if (manned.length === 0) return [];
  const lacks = manned.flatMap((each) => lacksIn(each, asked));
  const as = worst(lacks.map(({ state }) => state));
  // Of a boat in which nobody is named nothing is known: then it is not said that all of it was practised.
  if (as === 'fresh' && manned.length < crewed.length) return [];
  const told = [...lacks].sort((a, b) => ORDER.indexOf(a.state) - ORDER.indexOf(b.state));
  const first = told.at(0);
  return [
    LOGBOOK.finding('drill/stale', as, trip.id, {
      title: phrase(`drill.${as}.title`),
      because: first ? told.map(({ why }) => why) : [phrase('drill.fresh')],
      ...(first
        ? {
            mend: {
              label: phrase('drill.mend'),
              go: { type: 'drill' as const, pointer: `/kind/${first.kind}` },
            },
          }
        : {}),
    }),
  ];
}

/** What those in one boat lack. */
function lacksIn(
  { boat, people }: OnDrills['crewed'][number],
  { on, drills, boats }: Pick<OnDrills, 'on' | 'drills' | 'boats'>,
): Lack[] {
  return askedOf(boat.kind, people.length).flatMap((row): Lack[] => {
    const each = people.map((person) => ({
      person,
      at: practised(row, person.id, on, { drills, boats }, boat.kind),
    }));
    // Where one is enough, the best of them counts.
    if (row.of === 'any' && each.some(({ at }) => at.state === 'fresh')) return [];
    const state = worst(each.map(({ at }) => at.state));
    if (state === 'fresh') return [];
    const open = each.filter(({ at }) => at.state === state);
    const who = open.map(({ person }) => person.name);
    const what = DRILLS[row.id];
    const last = open.map(({ at }) => at.last?.on ?? '').reduce((a, b) => (a > b ? a : b));
    const why =
      state === 'never'
        ? phrase('drill.never', { what, who })
        : state === 'failed'
          ? phrase('drill.failed', { what, who, on: last })
          : phrase('drill.stale', { what, who, on: last, months: row.months });
    return [{ kind: row.id, state, why }];
  });
}
