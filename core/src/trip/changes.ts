import type { Boat, Person, Requirement } from '../model';
import { MS } from '../units';
import { solarNoon } from '../earth';
import { prepare, type Prepared } from './assess';
import type { AssessInput } from './context';
import { TRIP } from './limits';

export interface Change {
  id: 'night' | 'day' | 'one-more' | `boat-${string}` | 'further';
  title: string;
  /** What comes or is asked for more often, and what goes; what stays is not named. */
  comes: Asked[];
  goes: Asked[];
}

/** One thing that is asked for: by which rule of which pack, and for how many. */
export interface Asked {
  key: string;
  title: string;
  layer: Requirement['layer'];
  times: number;
}

/** What is or may be asked for, of so many people aboard. Plain data, so that a device can remember it. */
export function asksOf(requirements: Requirement[], people: number): Asked[] {
  return requirements
    .filter((r) => r.applies !== 'no')
    .map((r) => ({
      key: `${r.pack}/${r.rule}`,
      title: r.title,
      layer: r.layer,
      times: r.anyOf.flat().some((d) => d.forWhom === 'each') ? people : 1,
    }));
}

/** One nautical mile of latitude in degrees: near enough to ask "a mile further out". */
const ONE_MILE = 1 / 60;
const ONE_MORE: Person = {
  id: '01890000-0000-7000-8000-0000000000e1',
  name: 'One more',
  mass: TRIP.limit('one-more'),
  born: '1990',
};
/** A departure in the other light: round noon for a trip that is dark somewhere, round midnight for one that is not. */
function otherLight(
  { trip, shed }: AssessInput,
  prepared: Prepared,
): { dark: boolean; leave: number } | undefined {
  const launch = shed.places.find((p) => p.id === trip.launch);
  const { world, schedule } = prepared.match();
  const dark = world.facts['day.dark'];
  if (!launch || !schedule?.home || typeof dark !== 'boolean') return undefined;
  const noon = solarNoon(schedule.leave, launch.position.lon);
  return { dark, leave: noon + (dark ? 0 : MS.day / 2) - (schedule.home - schedule.leave) / 2 };
}

/**
 * What the requirement set would be by night instead of by day (or the other way), with one more person, in another of the
 * shed's boats, and a nautical mile further out: beside what it is.
 */
export function whatChanges(input: AssessInput): Change[] {
  const { trip, shed } = input;
  const prepared = prepare(input);
  const now = asksOf(prepared.whole().requirements, trip.crew.length);
  const with_ = (change: Partial<AssessInput>) =>
    asksOf(prepare({ ...input, ...change }).whole().requirements, (change.trip ?? trip).crew.length);
  const found: Change[] = [];
  const say = (id: Change['id'], title: string, then: Asked[]) =>
    found.push({ id, title, ...compare(now, then) });
  const other = otherLight(input, prepared);
  if (other)
    say(
      other.dark ? 'day' : 'night',
      other.dark ? 'By day' : 'By night',
      asksOf(prepared.at(other.leave).requirements, trip.crew.length),
    );
  say(
    'one-more',
    'One more person',
    with_({
      trip: { ...trip, crew: [...trip.crew, { person: ONE_MORE.id, role: 'crew' }] },
      shed: { ...shed, people: [...shed.people, ONE_MORE] },
    }),
  );
  for (const boat of shed.boats.filter((b: Boat) => b.id !== trip.boat))
    say(`boat-${boat.id}`, `In ${boat.name}`, with_({ trip: { ...trip, boat: boat.id } }));
  const furthest = trip.halts.at(-1)?.place;
  if (furthest)
    say(
      'further',
      'A mile further out',
      with_({
        shed: {
          ...shed,
          places: shed.places.map((p) =>
            p.id === furthest
              ? {
                  ...p,
                  position: {
                    ...p.position,
                    lat: p.position.lat + (p.position.lat >= 89 ? -ONE_MILE : ONE_MILE),
                  },
                }
              : p,
          ),
        },
      }),
    );
  return found;
}

/** What comes and what goes between two sets. What is asked for more people than before comes; for fewer, it goes. */
export function compare(now: Asked[], then: Asked[]): Pick<Change, 'comes' | 'goes'> {
  const more = (list: Asked[], than: Asked[]) => {
    const times = new Map(than.map((a) => [a.key, a.times]));
    return list.filter((a) => a.times > (times.get(a.key) ?? 0));
  };
  return { comes: more(then, now), goes: more(now, then) };
}
