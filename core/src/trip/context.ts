import type {
  Boat,
  Catalogue,
  Channel,
  Conditions,
  GearKind,
  Limits,
  Person,
  Place,
  RulePack,
  Shed,
  Trip,
  Water,
} from '../model';
import { civilDate, wallToInstant } from '../earth';
import { drives, fellows } from '../boat';
import type { FiledPlan } from '../floatplan';
import { indexCatalogue } from '../kit';
import { doneBy, type Lessons, type Noted } from '../logbook';
import { armsOf, routeOf, REST_FACTOR, type Route } from '../passage';
import { guessed, type Pace } from '../verdict';
import { learntIn } from './learnt';
import { blowsOver, strictest, type Crewed, type Whose } from './own-limits';
import {
  conditionsFor,
  sortForecast,
  streamOf,
  tideOf,
  type SortedForecast,
  type Stream,
  type Tide,
} from '../water';

export interface AssessInput {
  trip: Trip;
  shed: Shed;
  conditions: Conditions;
  packs: RulePack[];
  catalogue: Catalogue;
  /** Epoch ms. */
  now: number;
  /** The filed plan of this trip, where there is one. */
  plan?: FiledPlan;
  /** How messages leave the machine, as far as it is known. */
  channels?: readonly Channel[];
  /** Keys ticked on the packing list, and when (epoch ms). */
  ticks?: ReadonlyMap<string, number>;
}

/** Everything a trip leans on, looked up once. What can't be found is absent. */
export interface Context extends AssessInput {
  boat?: Boat;
  /** The crew, in its order. Whoever is no longer in the shed stands here with nothing known, so that all stays open about them. */
  people: Person[];
  /** Ids of the crew who are no longer in the shed. */
  gone: ReadonlySet<string>;
  /** The zone of the water; without a water no wall time is an instant. */
  zone?: string;
  water?: Water;
  launch?: Place;
  back?: Place;
  halts: (Place | undefined)[];
  route?: Route;
  speed?: Pace;
  /** The boats that go together with who is in them, the trip's own first. */
  crewed: Crewed[];
  /** What one’s own trips taught of them, by boat; `shed` and `boat` have it in them already. */
  lessons: ReadonlyMap<string, Lessons>;
  /** The limits that were set for the trip itself; `trip.limits` are the strictest of these and of everyone's own. */
  ownLimits: Limits;
  /** Whose limits those of the trip are, where they are somebody's own. */
  whose: Whose;
  /** The wind and the gusts at which the trip stops, m/s. */
  blowsOver: Pick<Limits, 'wind' | 'gust'>;
  tide?: Tide;
  stream?: Stream;
  forecast?: SortedForecast;
  kinds: Map<string, GearKind>;
}

/** What is called who is in the crew and no longer in the shed. */
export const NOBODY = 'Someone no longer in the shed';

export function contextOf(input: AssessInput): Context {
  const find = <T extends { id: string }>(list: readonly T[], id: string | undefined) =>
    id === undefined ? undefined : list.find((thing) => thing.id === id);
  const water = find(input.shed.waters, input.trip.water);
  const launch = find(input.shed.places, input.trip.launch);
  const told = conditionsFor(input.trip, input.conditions).forecast;
  const forecast = told && sortForecast(told, water?.forecastAt ?? launch?.position);
  const said = crewedOf(input.trip, find(input.shed.boats, input.trip.boat), input.shed);
  const { lessons, boats } = learntIn(input.shed, input.trip, said, forecast, leaveOf(input.trip, water));
  const shed: Shed = { ...input.shed, boats: [...boats] };
  const boat = find(shed.boats, input.trip.boat);
  const all = crewedOf(input.trip, boat, shed);
  const { limits, whose } = strictest(input.trip, all);
  const trip = { ...input.trip, limits };
  const back = trip.return === undefined ? launch : find(shed.places, trip.return);
  const halts = trip.halts.map((halt) => find(shed.places, halt.place));
  const speed = speedOf(trip, boat, all, lessons);
  const tide = water?.tide && tideOf(water.tide);
  const stream = streamOf(water, tide);
  return {
    ...input,
    shed,
    trip,
    crewed: all,
    lessons,
    ownLimits: input.trip.limits,
    blowsOver: blowsOver(trip, input.trip.limits, all),
    whose,
    boat,
    water,
    launch,
    back,
    halts,
    kinds: indexCatalogue(input.catalogue),
    people: trip.crew.map((c) => find(shed.people, c.person) ?? { id: c.person, name: NOBODY }),
    gone: new Set(trip.crew.flatMap((c) => (find(shed.people, c.person) ? [] : [c.person]))),
    ...(water ? { zone: water.zone } : {}),
    ...(speed ? { speed } : {}),
    ...(tide ? { tide } : {}),
    ...(stream ? { stream } : {}),
    ...(forecast ? { forecast } : {}),
    ...withRoute(trip, all, launch, back, halts, speed?.value),
  };
}

/** What of drills is done by now, with the boats that they name. */
export const notedOf = ({ shed, now, zone = 'UTC' }: Pick<Context, 'shed' | 'now' | 'zone'>): Noted => ({
  drills: doneBy(shed.drills, civilDate(now, zone)),
  boats: shed.boats,
});

/** The boats that go together, as far as they are in the shed. */
function crewedOf(trip: Trip, boat: Boat | undefined, { boats, people }: Shed): Crewed[] {
  return fellows(trip, boats, boat && { boat })
    .filter((fellow, i) => i === 0 || fellow.boat.id !== boat?.id)
    .map((fellow) => ({ boat: fellow.boat, people: people.filter(({ id }) => fellow.people.includes(id)) }));
}

/** The instant of leaving that the trip names, where there is one. */
function leaveOf({ leave }: Trip, water: Water | undefined): number | undefined {
  const wall = water && wallToInstant(leave.date, leave.time, water.zone);
  return wall && !('gap' in wall) ? wall.at : undefined;
}

/**
 * The speed of the day as stated; otherwise that of the slowest boat, and in a boat that arms move of the slowest of her people,
 * unless their own trips in her tell how fast they are.
 */
function speedOf(
  trip: Trip,
  boat: Boat | undefined,
  all: Crewed[],
  lessons: Context['lessons'],
): Context['speed'] {
  if (trip.speed !== undefined) return { value: trip.speed, guessed: guessed(trip, '/speed') };
  if (boat?.propulsion[0]?.cruise === undefined) return undefined;
  const paces = all.flatMap((crewed) => pacesOf(crewed, lessons.get(crewed.boat.id)?.speed !== undefined));
  return paces.reduce((slow, s) => (s.value < slow.value ? s : slow));
}

function pacesOf({ boat, people }: Crewed, learnt: boolean): Pace[] {
  const cruise = boat.propulsion[0]?.cruise;
  const own = cruise === undefined ? [] : [{ value: cruise, guessed: guessed(boat, '/propulsion/0/cruise') }];
  const each = drives(boat).human && !learnt ? people.flatMap((person) => ownPace(person, boat) ?? []) : [];
  return [...own, ...each];
}

/** What somebody makes in such a boat, where that was said. */
function ownPace(person: Person, { kind }: Boat): Pace | undefined {
  const at = person.skills?.findIndex((skill) => skill.craft === kind) ?? -1;
  const value = person.skills?.[at]?.speed;
  return value === undefined ? undefined : { value, guessed: guessed(person, `/skills/${at}/speed`) };
}

function withRoute(
  trip: Trip,
  all: Crewed[],
  launch: Place | undefined,
  back: Place | undefined,
  halts: (Place | undefined)[],
  speed: number | undefined,
): { route?: Route } {
  if (!launch || !back || speed === undefined || halts.length === 0 || halts.some((h) => !h)) return {};
  const points = [launch, ...halts, back].map((place, i) => ({
    id: place!.id,
    position: place!.position,
    minutes: trip.halts[i - 1]?.minutes ?? 0,
    doing: trip.halts[i - 1]?.doing,
  }));
  const arms = all.flatMap(({ boat, people }) => {
    // A speed that was said for the day is what they all make in a calm.
    const still = trip.speed ?? boat.propulsion[0]?.cruise ?? speed;
    return armsOf(boat, people.length, still) ?? [];
  });
  return { route: routeOf(points, speed, arms.length > 0 ? REST_FACTOR : 1, arms) };
}
