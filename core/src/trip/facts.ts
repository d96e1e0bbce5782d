import { ageRange, darkWithin, daysBetween } from '../earth';
import { drives, hullOf, placed } from '../boat';
import type { Boat, Schedule } from '../model';
import { QUESTION, type Facts, type Person as RulePerson, type World } from '../rules';
import { worstWithin } from '../water';
import type { Context } from './context';
import { POOR_VISIBILITY, TIDAL } from './limits';
import { HULLS } from './shipped';

/** A hull that can't fill: by its kind, or because its owner said so. Nobody's word leaves it open. */
const CLOSED_HULL: ReadonlySet<string> = new Set(['sit-on-top', 'paddleboard']);
function sealed(boat: NonNullable<Context['boat']>): boolean | undefined {
  if (CLOSED_HULL.has(boat.kind) || boat.flotation === 'sealed-hull') return true;
  return boat.flotation === undefined ? undefined : false;
}

function allWorn(crew: Context['trip']['crew']): boolean | undefined {
  if (crew.some((c) => c.wearsJacket === false)) return false;
  return crew.every((c) => c.wearsJacket === true) ? true : undefined;
}

/** How far a guessed length or power may be off, as a share: the same as for the boat's own sums. */
const GUESS = 0.12;
/** A guess is no answer: a number becomes a range, a word stays unknown. */
function known<T extends string | number | boolean>(boat: Boat | undefined, pointer: string, value: T | undefined): T | { low: number; high: number } | undefined {
  if (value === undefined || boat?.basis?.[pointer] !== 'guessed') return value;
  return typeof value === 'number' ? { low: value * (1 - GUESS), high: value * (1 + GUESS) } : undefined;
}

/** Facts that don't change with the hour of leaving. A field nobody filled is left out: absent is unknown. */
export function standingFacts(context: Context): Facts {
  const { boat, trip, water, people, route } = context;
  const moves = boat ? drives(boat) : {};
  const complete = people.length === trip.crew.length && people.length > 0;
  const answers = Object.entries(water?.answers ?? {}).map(([id, answer]) => [`${QUESTION}${id}`, answer] as const);
  return {
    'boat.kind': boat?.kind, 'boat.length': known(boat, '/length', boat?.length), 'boat.modelYear': boat?.modelYear,
    'boat.motor': moves.motor, 'boat.sail': moves.sail, 'boat.manual': moves.manual, 'boat.combustion': moves.combustion, 'boat.inboard': moves.inboard, 'boat.power': boat?.propulsion.some((_, i) => boat.basis?.[`/propulsion/${i}/power`] === 'guessed') && moves.power !== undefined ? { low: moves.power * (1 - GUESS), high: moves.power * (1 + GUESS) } : moves.power,
    'boat.maxSpeed': known(boat, '/maxSpeed', boat?.maxSpeed), 'boat.freeboard': known(boat, '/freeboard', boat?.freeboard), 'boat.fixedTank': boat?.fuelTank && boat.fuelTank === 'fixed', 'boat.closedSpaces': boat?.closedSpaces, 'boat.appliance': boat?.appliance, 'boat.cutOff': boat?.cutOffSwitch,
    'boat.sealed': boat && sealed(boat), 'crew.allWorn': complete ? allWorn(trip.crew) : undefined,
    'crew.count': complete ? people.length : undefined, 'crew.alone': complete ? people.length === 1 : undefined, 'crew.secondDriver': complete ? secondDriver(context) : undefined,
    'water.class': water?.class, 'water.tidal': water && TIDAL.has(water.class),
    'day.furthest': route && Math.max(...route.legs.map((leg) => leg.metres)), 'day.hours': route?.seconds,
    ...Object.fromEntries(answers),
  };
}

export function crewFacts(context: Context, on: string): RulePerson[] {
  const { people, trip, boat } = context;
  const nearLeader = inReachOfLeader(context);
  return people.map((p) => {
    const age = p.born === undefined ? undefined : ageRange(p.born, on);
    const member = trip.crew.find((c) => c.person === p.id);
    const skill = p.skills?.find((s) => s.craft === boat?.kind);
    return {
      id: p.id, name: p.name,
      facts: {
        'person.age': age && { low: age[0], high: age[1] }, 'person.swims': p.swimming, 'person.inWater': p.inWater, 'person.weakArm': p.weakArm, 'person.today': member?.today, 'person.role': member?.role,
        'person.skill': skill?.level, 'person.sincePractice': skill?.practised && daysBetween(skill.practised, on), 'person.watched': trip.crew.some((c) => c.buddy === p.id && c.person !== p.id) || nearLeader.has(p.id),
      },
    };
  });
}

/** As far as a leader can reach from the seat, metres: an arm and a lean. */
const REACH = 1.2;
/** Who sits within reach of the skipper, by where everyone sits in the boat. */
function inReachOfLeader({ trip, people, boat }: Context): ReadonlySet<string> {
  const hull = boat && hullOf(boat, HULLS);
  const skipper = trip.crew.findIndex((c) => c.role === 'skipper');
  if (!hull || skipper < 0) return new Set();
  const spots = new Map(placed({ ...trip, load: [] }, people, hull).map((s) => [s.id, s]));
  const lead = spots.get(`crew/${skipper}`);
  return new Set(trip.crew.flatMap((c, i) => {
    const at = spots.get(`crew/${i}`);
    return lead && at && i !== skipper && Math.hypot(at.x - lead.x, at.y - lead.y) <= REACH ? [c.person] : [];
  }));
}

/** Can somebody besides the skipper drive her? A second driver that the trip names can; otherwise it hangs on what each said. */
function secondDriver({ trip, people }: Context): boolean | undefined {
  const others = trip.crew.filter((c) => c.role !== 'skipper');
  if (others.some((c) => c.role === 'driver')) return true;
  const can = others.map((c) => people.find((p) => p.id === c.person)?.drives);
  return can.includes(true) ? true : can.includes(undefined) ? undefined : false;
}

/** Facts of the hours on the water. Light needs a place; weather needs a forecast that covers the hours. */
export function dayFacts({ launch, forecast }: Context, schedule: Schedule | undefined): Facts {
  if (!schedule?.home) return {};
  const worst = forecast && worstWithin(forecast, schedule.leave, schedule.home);
  const dimmest = worst?.dimmest?.visibility;
  return {
    'day.dark': launch && darkWithin(launch.position, schedule.leave, schedule.home),
    'day.water': worst?.coldest?.water, 'day.wind': worst?.wind.wind,
    'day.poorVisibility': dimmest === undefined ? undefined : dimmest < POOR_VISIBILITY.value,
  };
}

/** 1 November is 1101: a season is a span of such numbers. */
const monthDay = (on: string) => Number(on.slice(5, 7) + on.slice(8));

export function worldOf(context: Context, schedule: Schedule | undefined, on: string, standing: Facts): Omit<World, 'questions'> {
  return { facts: { ...standing, 'day.monthDay': monthDay(on), ...dayFacts(context, schedule) }, crew: crewFacts(context, on) };
}
