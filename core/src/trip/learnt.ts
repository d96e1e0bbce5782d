import { loadOf } from '../boat';
import { asLearnt, learntFindings, lessonsOf, type Lessons } from '../logbook';
import type { Boat, Finding, Person, Shed, Trip } from '../model';
import { guessed } from '../verdict';
import { weatherAt, type SortedForecast } from '../water';
import type { Context } from './context';
import type { Crewed } from './own-limits';

/** What was learnt of the boats that go together, by their ids, and those boats as they are by it. */
export interface LearntBoats {
  lessons: ReadonlyMap<string, Lessons>;
  boats: readonly Boat[];
}

const NOTHING: ReadonlyMap<string, Lessons> = new Map<string, Lessons>();

/**
 * What the trips before this one teach of each of the boats that go together: for these people, this load and the wind at the hour
 * of leaving. Invented weather chooses nothing.
 */
export function learntIn(
  { debriefs, boats }: Pick<Shed, 'debriefs' | 'boats'>,
  trip: Trip,
  crewed: readonly Crewed[],
  forecast: SortedForecast | undefined,
  leave: number | undefined,
): LearntBoats {
  const before = debriefs.filter((d) => d.trip !== trip.id);
  if (before.length === 0) return { lessons: NOTHING, boats };
  const blows =
    forecast && !forecast.invented && leave !== undefined ? weatherAt(forecast, leave) : undefined;
  const lessons = new Map(
    crewed.map(({ boat, people }) => {
      const load = boat.id === trip.boat ? loadKnown(boat, people, trip) : undefined;
      return [boat.id, lessonsOf(boat, before, trip.leave.date, { people, wind: blows?.wind, load })];
    }),
  );
  return {
    lessons,
    boats: boats.map((boat) => {
      const hers = lessons.get(boat.id);
      return hers ? asLearnt(boat, hers) : boat;
    }),
  };
}

/** What she carries with her people, kg, where all of it is known. */
export function loadKnown(boat: Boat, people: Person[], trip: Pick<Trip, 'load'>): number | undefined {
  const { total, unknown } = loadOf(boat, people, trip);
  return unknown.length > 0 || people.some((person) => guessed(person, '/mass')) ? undefined : total;
}

/** What the plan goes by that was learnt, of each boat. @param said the boats as they were said to be */
export function learntOn(
  { trip, lessons, route, crewed }: Pick<Context, 'trip' | 'lessons' | 'route' | 'crewed'>,
  said: readonly Boat[],
): Finding[] {
  const going = route?.legs.reduce((sum, { seconds }) => sum + seconds, 0);
  return crewed.flatMap(({ boat }) =>
    learntFindings({
      trip,
      boat: said.find(({ id }) => id === boat.id),
      lessons: lessons.get(boat.id) ?? {},
      going,
    }),
  );
}
