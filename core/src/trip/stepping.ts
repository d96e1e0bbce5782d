import { colder, farther, forceEnds, standsTo, windier, AXES } from '../logbook/envelope';
import type { Axis, Outing, Stands } from '../logbook/envelope';
import { recordsOf, type OnRecord } from '../logbook/find-proven';
import type { Limits, Place, Trip } from '../model';
import { LIMIT_RANGES } from '../model/lists';
import { distance } from '../earth';
import { prepare } from './assess';
import { contextOf, type AssessInput } from './context';
import { farOffOn } from './find-limits';
import { plannedOuting } from './outing';
import { repeatOf } from './repeat';

/** How a plan stands against what one person has done in their boat. */
export interface PersonStands extends Stands, OnRecord {}

/** A smaller trip that goes further along one line alone. */
export interface Stone {
  axis: Axis;
  /** What it stays within. */
  limits: Pick<Limits, 'off' | 'wind' | 'waterTemperature'>;
  /** Another boat is along, and one is home before dark. */
  company: boolean;
  light: boolean;
  /** Where it goes: the planned way, a nearer place of one’s own, or nowhere that is known. */
  goes: { same: true } | { place: Place; off: number } | { nowhere: true };
}

/** How the trip will be, and how that stands against what each of them has done. */
export function standsOf(input: AssessInput): { planned: Outing; people: PersonStands[] } {
  const context = contextOf(input);
  const ready = prepare(input);
  const { schedule, world } = ready.match();
  const far = farOffOn(context);
  const planned = plannedOuting(context, world.facts, schedule && far(schedule));
  const asked = { ...context, debriefs: input.shed.debriefs, on: input.trip.leave.date };
  const people = recordsOf(asked).map((record) => ({ ...record, ...standsTo(record.proven, planned) }));
  return { planned, people };
}

/** The least that those with a record have done: what a trip for all may lean on. Of whoever has none company and light are asked. */
function leastOf(people: readonly PersonStands[]): Outing {
  const all = people.map(({ proven }) => proven ?? {});
  const numbers = (axis: 'off' | 'wind' | 'cold') =>
    all.map((one: Outing) => one[axis]).filter((value) => value !== undefined);
  const least = (axis: 'off' | 'wind') => (numbers(axis).length > 0 ? Math.min(...numbers(axis)) : undefined);
  return {
    off: least('off'),
    wind: least('wind'),
    cold: numbers('cold').length > 0 ? Math.max(...numbers('cold')) : undefined,
    alone: all.every((one: Outing) => one.alone === true),
    dark: all.every((one: Outing) => one.dark === true),
  };
}

/**
 * The stepping-stone trip for a plan that is a leap: further along the line in which the plan goes furthest, and within what all of
 * them have done along the others. @returns undefined where the plan is no leap for anybody
 */
export function steppingStone(
  input: AssessInput,
  { planned, people }: ReturnType<typeof standsOf> = standsOf(input),
): Stone | undefined {
  const leaps = people.filter(({ is }) => is === 'leap');
  if (leaps.length === 0) return undefined;
  const steps = (axis: Axis) =>
    Math.max(
      0,
      ...leaps.flatMap(({ beyond }) => beyond.filter((b) => b.axis === axis).map((b) => b.steps ?? 0)),
    );
  const axis = AXES.reduce((best, one) => (steps(one) > steps(best) ? one : best));
  const least = leastOf(people);
  const on = (one: Axis) => one === axis;
  const limits = {
    ...(least.off === undefined ? {} : { off: on('off') ? farther(least.off) : least.off }),
    ...(least.wind === undefined ? {} : { wind: on('wind') ? windier(least.wind) : forceEnds(least.wind) }),
    ...(least.cold === undefined ? {} : { waterTemperature: on('cold') ? colder(least.cold) : least.cold }),
  };
  return {
    axis,
    limits,
    company: planned.alone === true && least.alone !== true && !on('alone'),
    light: planned.dark !== false && least.dark !== true && !on('dark'),
    goes: placeWithin(input, planned, limits.off),
  };
}

/** So many of the places are tried, the nearest to the launch first. */
const MOST_TRIED = 20;

/** The planned way where it is near enough; else the farthest of one’s own places that is. */
function placeWithin(input: AssessInput, planned: Outing, most: number | undefined): Stone['goes'] {
  if (most === undefined || (planned.off !== undefined && planned.off <= most)) return { same: true };
  const { trip, shed } = input;
  const launch = shed.places.find(({ id }) => id === trip.launch);
  if (!launch) return { nowhere: true };
  const off = ({ position }: Place) => distance(launch.position, position).metres;
  const minutes = trip.halts[0]?.minutes ?? 0;
  const found = shed.places
    .filter(({ id, kind, water }) => id !== launch.id && water === trip.water && GOALS.has(kind))
    .sort((a, b) => off(a) - off(b))
    .slice(0, MOST_TRIED)
    .flatMap((place) => {
      const tried = { ...input, trip: { ...trip, halts: [{ place: place.id, minutes }] } };
      const { schedule } = prepare(tried).match();
      const far = schedule && farOffOn(contextOf(tried))(schedule);
      return far !== undefined && far !== 'unknown' && far.metres <= most ? [{ place, off: far.metres }] : [];
    });
  return (
    found.reduce<{ place: Place; off: number } | undefined>(
      (best, one) => (best && best.off >= one.off ? best : one),
      undefined,
    ) ?? { nowhere: true }
  );
}
const GOALS: ReadonlySet<Place['kind']> = new Set(['ground', 'haven', 'waypoint']);

/** The stepping-stone trip as a plan, on a day: the same with its limits, and its way where that is nearer. */
export function stoneTrip(
  trip: Trip,
  { limits, goes }: Stone,
  made: { id: string; date: string; title: string; notes: string },
): Trip {
  const again = repeatOf(trip, made);
  const mine = again.limits;
  const tight = (name: keyof Stone['limits'], stricter: (a: number, b: number) => number) => {
    const limit = limits[name];
    return limit === undefined
      ? {}
      : { [name]: stricter(inRange(name, limit), mine[name] ?? inRange(name, limit)) };
  };
  return {
    ...again,
    title: made.title,
    notes: made.notes,
    ...('place' in goes
      ? { halts: [{ place: goes.place.id, minutes: trip.halts[0]?.minutes ?? 0 }] }
      : 'nowhere' in goes
        ? { halts: [] }
        : {}),
    limits: {
      ...mine,
      ...tight('off', Math.min),
      ...tight('wind', Math.min),
      ...tight('waterTemperature', Math.max),
    },
  };
}

/** A limit as far as a trip can hold it. */
function inRange(name: keyof Stone['limits'], limit: number): number {
  const [least, most] = LIMIT_RANGES[name];
  return Math.min(most, Math.max(least, limit));
}
