import type {
  Boat,
  Catalogue,
  Conditions,
  GearKind,
  Person,
  Place,
  RulePack,
  Shed,
  Trip,
  Water,
} from '../model';
import { drives } from '../boat';
import type { FiledPlan } from '../floatplan';
import { indexCatalogue } from '../kit';
import { routeOf, REST_FACTOR, type Route } from '../passage';
import { guessed, type Pace } from '../verdict';
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
  tide?: Tide;
  stream?: Stream;
  forecast?: SortedForecast;
  kinds: Map<string, GearKind>;
}

/** What is called who is in the crew and no longer in the shed. */
export const NOBODY = 'Someone no longer in the shed';

export function contextOf(input: AssessInput): Context {
  const { trip, shed } = input;
  const find = <T extends { id: string }>(list: T[], id: string | undefined) =>
    id === undefined ? undefined : list.find((thing) => thing.id === id);
  const boat = find(shed.boats, trip.boat);
  const water = find(shed.waters, trip.water);
  const launch = find(shed.places, trip.launch);
  const back = trip.return === undefined ? launch : find(shed.places, trip.return);
  const halts = trip.halts.map((halt) => find(shed.places, halt.place));
  const speed = speedOf(trip, boat, shed.boats);
  const told = conditionsFor(trip, input.conditions).forecast;
  const forecast = told && sortForecast(told);
  const tide = water?.tide && tideOf(water.tide);
  const stream = streamOf(water, tide);
  return {
    ...input,
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
    ...withRoute(trip, boat, launch, back, halts, speed?.value),
  };
}

/** The speed of the day as stated; otherwise the slowest of the boats that go together. */
function speedOf(trip: Trip, boat: Boat | undefined, boats: Boat[]): Context['speed'] {
  if (trip.speed !== undefined) return { value: trip.speed, guessed: guessed(trip, '/speed') };
  const all = [boat, ...(trip.company ?? []).map((c) => boats.find((b) => b.id === c.boat))].flatMap((b) =>
    b?.propulsion[0]?.cruise === undefined
      ? []
      : [{ value: b.propulsion[0].cruise, guessed: b.basis?.['/propulsion/0/cruise'] === 'guessed' }],
  );
  return boat?.propulsion[0]?.cruise === undefined
    ? undefined
    : all.reduce((slow, s) => (s.value < slow.value ? s : slow));
}

function withRoute(
  trip: Trip,
  boat: Boat | undefined,
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
  return { route: routeOf(points, speed, boat && drives(boat).human ? REST_FACTOR : 1) };
}
