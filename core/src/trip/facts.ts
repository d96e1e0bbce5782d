import { ageRange, darkWithin, daysBetween } from '../earth';
import { CRAFT, TIDAL, UNPOWERED } from '../model/lists';
import { drives, hullOf, isMotor, onHatchOf, placed } from '../boat';
import type { Boat, Schedule } from '../model';
import { ASKED_ABOARD, QUESTION, type Facts, type Person as RulePerson, type World } from '../rules';
import { lastRecovery } from '../logbook';
import { onTrailer } from '../ramp';
import type { Piece } from '../kit';
import { guessed, sure } from '../verdict';
import { isPoor, worstWithin } from '../water';
import { notedOf, type Context } from './context';
import { TRIP } from './limits';

/** A hull that can't fill: by its kind, or because its owner said so. Nobody's word leaves it open, and so does a guess. */
const CLOSED_HULL: ReadonlySet<string> = new Set(['sit-on-top', 'paddleboard']);
function sealed(boat: Boat): boolean | undefined {
  if (CLOSED_HULL.has(boat.kind)) return true;
  const flotation = guessed(boat, '/flotation') ? undefined : boat.flotation;
  return flotation === undefined ? undefined : flotation === 'sealed-hull';
}

/** Kinds that are open by nature; whether a trailer boat has a cabin has to be said. */
const OPEN_BY_KIND: ReadonlySet<string> = new Set(
  Object.keys(CRAFT).filter((kind) => kind !== 'trailer-boat'),
);
function open(boat: Boat): boolean | undefined {
  if (boat.cabin !== undefined && !guessed(boat, '/cabin')) return !boat.cabin;
  return OPEN_BY_KIND.has(boat.kind) ? true : undefined;
}

/** Does she float on at both ends when she is full? Bulkheads do that, and so do parts at both ends. */
function endFlotation(boat: Boat): boolean | undefined {
  if (boat.flotation === undefined || guessed(boat, '/flotation')) return undefined;
  if (boat.flotation === 'bulkheads' || boat.flotation === 'sealed-hull') return true;
  const parts = (boat.reserve ?? [])
    .filter((_, i) => !guessed(boat, `/reserve/${i}/where`))
    .map((r) => r.where);
  const both = (end: 'bow' | 'stern') =>
    parts.some((where) => where === end || where === 'all' || where === 'sides');
  if (both('bow') && both('stern')) return true;
  return boat.flotation === 'none' ? false : undefined;
}

function allWorn(crew: Context['trip']['crew']): boolean | undefined {
  if (crew.some((c) => c.wearsJacket === false)) return false;
  return crew.every((c) => c.wearsJacket === true) ? true : undefined;
}

/** How far a guessed length or power may be off, as a share: the same as for the boat's own sums. */
const GUESS = TRIP.limit('guess-spread');
/** A guess is no answer: a number becomes a range, a word stays unknown. */
function known<T extends string | number | boolean>(
  thing: { basis?: Record<string, string> } | undefined,
  pointer: string,
  value: T | undefined,
): T | { low: number; high: number } | undefined {
  if (value === undefined || !guessed(thing, pointer)) return value;
  return typeof value === 'number' ? { low: value * (1 - GUESS), high: value * (1 + GUESS) } : undefined;
}

/** How she is moved, as far as it is more than a guess. */
function driveFacts(boat: Boat | undefined): Facts {
  if (!boat) return {};
  const guess = boat.propulsion.some((_, i) => guessed(boat, `/propulsion/${i}/kind`));
  // That a kayak is paddled is no guess of hers, but what a kayak is.
  const byNature = UNPOWERED.has(boat.kind) && boat.propulsion.every(({ kind }) => !isMotor(kind));
  if (guess && !byNature) return {};
  const { motor, sail, manual, combustion, inboard, power } = drives(boat);
  const roughly =
    power !== undefined && boat.propulsion.some((_, i) => guessed(boat, `/propulsion/${i}/power`));
  return {
    'boat.motor': motor,
    'boat.sail': sail,
    'boat.manual': manual,
    'boat.combustion': combustion,
    'boat.inboard': inboard,
    'boat.power': roughly ? { low: power * (1 - GUESS), high: power * (1 + GUESS) } : power,
  };
}

/** What a place is to whoever launches or lands there. */
export const placeFacts = (place: Context['launch']): Facts => ({
  'launch.from': known(place, '/launchFrom', place?.launchFrom),
  'launch.jetty': known(place, '/jetty', place?.jetty),
  'launch.surface': known(place, '/surface', place?.surface),
});

/** Where she is launched and what carries her there. */
function launchFacts({ boat, launch }: Context): Facts {
  const trailer = boat?.trailer;
  return {
    'boat.trailed': boat && onTrailer(boat),
    'trailer.rests': known(boat, '/trailer/rests', trailer?.rests),
    'trailer.braked': known(boat, '/trailer/braked', trailer?.braked),
    'trailer.winch': known(boat, '/trailer/winch', trailer?.winch),
    'trailer.letsGo': known(boat, '/trailer/letsGo', trailer?.letsGo),
    ...placeFacts(launch),
  };
}

/** What a trip is for and who comes along: it is complete as it stands, so that what nobody entered is not so. */
function tripFacts({ trip, boat, people, shed }: Context): Facts {
  const company = (trip.company ?? []).length > 0;
  const grounds = trip.halts.some(({ place: id }) => shed.places.find((p) => p.id === id)?.kind === 'ground');
  return {
    'trip.fishing': trip.fishing ?? grounds,
    'trip.onHatch': boat && onHatchOf(trip, boat)?.some(() => true),
    'trip.company': company,
    'trip.alone': people.length > 0 ? people.length === 1 && !company : undefined,
  };
}

/** Whether anybody stands is asked where people fish, where a motor drives her, and of a board. */
export const asksWhoStands = (facts: Facts): boolean =>
  facts['trip.fishing'] === true || facts['boat.motor'] === true || facts['boat.kind'] === 'paddleboard';

/** Rapids have to be said of a river; other waters have none unless somebody says so. */
function rapidFacts(water: Context['water']): Facts {
  const said = known(water, '/rapids', water?.rapids) as boolean | undefined;
  const rapids = said ?? (water && water.class !== 'river' ? false : undefined);
  const grade = known(water, '/grade', water?.grade);
  return {
    'water.rapids': rapids,
    'water.grade': rapids === false ? 0 : rapids ? (grade ?? GRADES) : undefined,
  };
}
/** Some grade, and nobody said which. */
const GRADES = { low: 1, high: 6 };

/** Facts that don't change with the hour of leaving. A field nobody filled is left out: absent is unknown. */
export function standingFacts(context: Context): Facts {
  const { boat, trip, water, people, route, gone } = context;
  const complete = people.length > 0;
  const answers = Object.entries(water?.answers ?? {}).map(
    ([id, answer]) => [`${QUESTION}${id}`, answer] as const,
  );
  const tank = known(boat, '/fuelTank', boat?.fuelTank);
  const waterClass = known(water, '/class', water?.class) as string | undefined;
  return {
    'boat.kind': boat?.kind,
    'boat.length': known(boat, '/length', boat?.length),
    'boat.modelYear': known(boat, '/modelYear', boat?.modelYear),
    ...driveFacts(boat),
    'boat.maxSpeed': known(boat, '/maxSpeed', boat?.maxSpeed),
    'boat.freeboard': known(boat, '/freeboard', boat?.freeboard),
    'boat.fixedTank': tank === undefined ? undefined : tank === 'fixed',
    'boat.ownTank': tank === undefined ? undefined : tank === 'motor',
    'boat.trapeze': known(boat, '/trapeze', boat?.trapeze),
    'boat.closedSpaces': known(boat, '/closedSpaces', boat?.closedSpaces),
    'boat.appliance': known(boat, '/appliance', boat?.appliance),
    'boat.cutOff': known(boat, '/cutOffSwitch', boat?.cutOffSwitch),
    'boat.sealed': boat && sealed(boat),
    'boat.open': boat && open(boat),
    'boat.endFlotation': boat && endFlotation(boat),
    ...launchFacts(context),
    'crew.allWorn': complete ? allWorn(trip.crew) : undefined,
    'crew.count': complete ? people.length : undefined,
    'crew.alone': complete ? people.length === 1 : undefined,
    'crew.secondDriver': complete && gone.size === 0 ? secondDriver(context) : undefined,
    ...tripFacts(context),
    ...rapidFacts(water),
    'water.class': waterClass,
    'water.tidal': waterClass === undefined ? undefined : TIDAL.has(waterClass),
    'day.furthest': route && Math.max(...route.legs.map((leg) => leg.metres)),
    'day.hours': route?.seconds,
    ...Object.fromEntries(answers),
  };
}

export function crewFacts(context: Context, on: string): RulePerson[] {
  const { people, trip, boat } = context;
  const nearLeader = inReachOfLeader(context);
  const noted = notedOf(context);
  return people.map(sure).map((p) => {
    const age = p.born === undefined ? undefined : ageRange(p.born, on);
    const member = trip.crew.find((c) => c.person === p.id);
    const skill = p.skills?.find((s) => s.craft === boat?.kind);
    const recovered = lastRecovery(skill?.practised, p.id, boat?.kind, on, noted);
    return {
      id: p.id,
      name: p.name,
      facts: {
        'person.age': age && { low: age[0], high: age[1] },
        'person.swims': p.swimming,
        'person.inWater': p.inWater,
        'person.weakArm': p.weakArm,
        'person.today': member?.today,
        'person.role': member?.role,
        'person.skill': skill?.level,
        'person.sincePractice': recovered === undefined ? undefined : daysBetween(recovered, on),
        'person.watched':
          trip.crew.some((c) => c.buddy === p.id && c.person !== p.id) || nearLeader.has(p.id),
      },
    };
  });
}

/** As far as a leader can reach from the seat, metres: an arm and a lean. */
const REACH = TRIP.limit('leader-reach');
/** Who sits within reach of the skipper, by where everyone sits in the boat. */
function inReachOfLeader({ trip, people, boat }: Context): ReadonlySet<string> {
  const hull = boat && hullOf(boat);
  const skipper = trip.crew.findIndex((c) => c.role === 'skipper');
  if (!hull || skipper < 0) return new Set();
  const spots = new Map(placed({ ...trip, load: [] }, people, hull).map((s) => [s.id, s]));
  const lead = spots.get(`crew/${skipper}`);
  return new Set(
    trip.crew.flatMap((c, i) => {
      const at = spots.get(`crew/${i}`);
      return lead && at && i !== skipper && Math.hypot(at.x - lead.x, at.y - lead.y) <= REACH
        ? [c.person]
        : [];
    }),
  );
}

/** Can somebody besides the skipper drive her? A second driver that the trip names can; otherwise it hangs on what each said. */
function secondDriver({ trip, people }: Context): boolean | undefined {
  const others = trip.crew.filter((c) => c.role !== 'skipper');
  if (others.some((c) => c.role === 'driver')) return true;
  const can = others.map((c) => people.map(sure).find((p) => p.id === c.person)?.drives);
  return can.includes(true) ? true : can.includes(undefined) ? undefined : false;
}

/**
 * Facts of the hours on the water. Light needs a place; weather needs a forecast, and counts as known where all hours have
 * it. Where the speed is a guess the trip may last longer or less: what that could change is open.
 */
export function dayFacts({ launch, forecast, speed }: Context, schedule: Schedule | undefined): Facts {
  if (schedule?.home === undefined) return {};
  const { leave, home } = schedule;
  const off = speed?.guessed ? (home - leave) * GUESS : 0;
  const worst = forecast && worstWithin(forecast, leave, home + off);
  const dimmest = worst?.dimmest?.visibility;
  const water = worst?.coldest?.water;
  const wind = worst?.wind.wind;
  const dark = (until: number) => (launch ? darkWithin(launch.position, leave, until) : undefined);
  const surely = dark(home - off);
  return {
    'day.dark': off > 0 && surely === false && dark(home + off) ? undefined : surely,
    'day.water': water === undefined || worst?.whole.water ? water : { low: -Infinity, high: water },
    'day.wind': wind === undefined || worst?.whole.wind ? wind : { low: wind, high: Infinity },
    'day.poorVisibility': isPoor(dimmest) ? true : worst?.whole.visibility ? false : undefined,
  };
}

/**
 * What of the gear that steps ask for is aboard: yes where one of it is and in order, no where all of it stays at home.
 * Else it is not known: people carry what nobody entered.
 */
export function aboardFacts(pieces: readonly Piece[]): Facts {
  const of = (kind: string) => {
    const found = pieces.filter((piece) => piece.item.kind === kind);
    if (found.some((piece) => piece.faults.length === 0)) return true;
    return found.length > 0 && found.every((piece) => piece.place === 'home') ? false : undefined;
  };
  return Object.fromEntries(ASKED_ABOARD.map((kind) => [`kit.${kind}`, of(kind)]));
}

/** Facts that lean on the forecast. */
const WEATHER: ReadonlySet<string> = new Set(['day.water', 'day.wind', 'day.poorVisibility']);

/** 1 November is 1101: a season is a span of such numbers. */
const monthDay = (on: string) => Number(on.slice(5, 7) + on.slice(8));

/** The facts of one civil day of the trip. */
export function worldOf(
  context: Context,
  schedule: Schedule | undefined,
  on: string,
  standing: Facts,
): Omit<World, 'questions'> {
  return {
    facts: { ...standing, 'day.monthDay': monthDay(on), ...dayFacts(context, schedule) },
    crew: crewFacts(context, on),
    ...(context.forecast?.invented ? { invented: WEATHER } : {}),
  };
}
