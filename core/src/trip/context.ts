import type {
  Boat,
  Catalogue,
  Conditions,
  Figure,
  Finding,
  GearKind,
  Level,
  Mend,
  Person,
  Phrase,
  Place,
  PlanView,
  RulePack,
  SectionId,
  Shed,
  Trip,
  Water,
} from '../model';
import { drives } from '../boat';
import { indexCatalogue } from '../kit';
import { routeOf, REST_FACTOR, type Route } from '../passage';
import { phrase } from '../say';
import type { SourceId } from '../sources';
import { sortForecast, tideOf, type SortedForecast, type Tide } from '../water';

export interface AssessInput {
  trip: Trip;
  shed: Shed;
  conditions: Conditions;
  packs: RulePack[];
  catalogue: Catalogue;
  /** Epoch ms. */
  now: number;
  /** The filed plan of this trip, where there is one. */
  plan?: Pick<PlanView, 'state' | 'times' | 'contacts' | 'channel'>;
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
  speed?: { value: number; guessed: boolean };
  tide?: Tide;
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
  const forecast = input.conditions.forecast && sortForecast(input.conditions.forecast);
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
    ...(water?.tide ? { tide: tideOf(water.tide) } : {}),
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

export interface FindingParts {
  id: string;
  level: Level;
  section: SectionId;
  title: Phrase;
  because: Phrase[];
  figures?: string[];
  source?: SourceId;
  assumed?: Phrase[];
  mend?: Mend;
}

export function finding({ figures = [], assumed = [], source, ...rest }: FindingParts): Finding {
  return { ...rest, figures, assumed, ...(source ? { source: { id: source } } : {}) };
}

export type Figures = Record<string, Figure>;
export const instant = (value: number) => ({ value, quantity: 'instant' as const });

/** Is a field only guessed? */
export const guessed = (thing: { basis?: Record<string, string> } | undefined, pointer: string) =>
  thing?.basis?.[pointer] === 'guessed';

/** A thing without what is only guessed of it: for rules and kit a guess is no answer. */
export function sure<T extends { basis?: Record<string, string> }>(thing: T): T {
  const guesses = Object.keys(thing.basis ?? {}).filter((pointer) => guessed(thing, pointer));
  if (guesses.length === 0) return thing;
  const left: Record<string, unknown> = { ...thing };
  for (const pointer of guesses) {
    const [, field, ...deeper] = pointer.split('/');
    if (deeper.length > 0) continue;
    if (field === 'state') left.state = 'unknown';
    else delete left[field];
  }
  return left as T;
}

/** A finding about hours that follow from a speed: where the speed is a guess, nothing is settled. */
export function leanOnSpeed({ trip, speed }: Pick<Context, 'trip' | 'speed'>, found: Finding): Finding {
  if (!speed?.guessed || found.level !== 'ready') return found;
  return {
    ...found,
    level: 'know',
    assumed: [...found.assumed, phrase('speed.guess', { speed: speed.value })],
    mend: { label: phrase('speed.none.mend'), go: { type: 'trip', id: trip.id, pointer: '/speed' } },
  };
}

/** A sentence that leans on the forecast: where that was invented for show, it says so. */
export const leansOnWeather = ({ forecast }: Pick<Context, 'forecast'>, said: Phrase): Phrase =>
  forecast?.invented ? phrase('weather.invented', { said }) : said;
