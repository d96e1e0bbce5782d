import type { Boat, Person, Requirement } from '../model';
import { MS } from '../units';
import { solarNoon } from '../earth';
import { prepare, type Prepared } from './assess';
import type { AssessInput } from './context';

export interface Change {
  id: 'night' | 'day' | 'one-more' | `boat-${string}` | 'further';
  title: string;
  /** Requirements that come, and that go; those that stay are not named. */
  comes: Requirement[];
  goes: Requirement[];
}

/** One nautical mile of latitude in degrees: near enough to ask "a mile further out". */
const ONE_MILE = 1 / 60;
const ONE_MORE: Person = { id: '01890000-0000-7000-8000-0000000000e1', name: 'One more', mass: 75, born: '1990' };
/** A departure in the other light: round noon for a trip that is dark somewhere, round midnight for one that is not. */
function otherLight({ trip, shed }: AssessInput, prepared: Prepared): { dark: boolean; leave: number } | undefined {
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
  const now = prepared.whole().requirements;
  const with_ = (change: Partial<AssessInput>) => prepare({ ...input, ...change }).whole().requirements;
  const found: Change[] = [];
  const say = (id: Change['id'], title: string, then: Requirement[]) => found.push({ id, title, ...compare(now, then) });
  const other = otherLight(input, prepared);
  if (other) say(other.dark ? 'day' : 'night', other.dark ? 'By day' : 'By night', prepared.at(other.leave).requirements);
  say('one-more', 'One more person', with_({ trip: { ...trip, crew: [...trip.crew, { person: ONE_MORE.id, role: 'crew' }] }, shed: { ...shed, people: [...shed.people, ONE_MORE] } }));
  for (const boat of shed.boats.filter((b: Boat) => b.id !== trip.boat)) say(`boat-${boat.id}`, `In ${boat.name}`, with_({ trip: { ...trip, boat: boat.id } }));
  const furthest = trip.halts.at(-1)?.place;
  if (furthest) say('further', 'A mile further out', with_({ shed: { ...shed, places: shed.places.map((p) => (p.id === furthest ? { ...p, position: { ...p.position, lat: p.position.lat + (p.position.lat >= 89 ? -ONE_MILE : ONE_MILE) } } : p)) } }));
  return found;
}

/** Which requirements come and which go between two sets; whether the same one asks for more counts as coming. */
export function compare(now: Requirement[], then: Requirement[]): Pick<Change, 'comes' | 'goes'> {
  const asks = (list: Requirement[]) => new Map(list.filter((r) => r.applies !== 'no').map((r) => [`${r.pack}/${r.rule}`, r]));
  const a = asks(now), b = asks(then);
  return { comes: [...b].filter(([key]) => !a.has(key)).map(([, r]) => r), goes: [...a].filter(([key]) => !b.has(key)).map(([, r]) => r) };
}

