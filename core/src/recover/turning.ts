import data from '../../data/recover/turning.json';
import type { Boat, Person } from '../model';
import { around, type Band } from '../numeric';
import { guessed } from '../verdict';
import { HAND_LEVER } from './edge';
import { G, leanMoment, lineAt, LEAN_END, usualHeight } from './lean';
import { RECOVER } from './limits';
import { holdsDown, restAngle, windMoment, type Rigged } from './mast';
import { edgeOf, rigOf, wayOf, type Given, type Way } from './righting';

// A boat that is being turned upright, moment by moment: what holds her down and what her crew gives, at every angle. Where the
// model has a band, one value of it holds for a whole try, drawn by a seed: *may* is then sometimes yes and sometimes no.
// Newton metres, radians, seconds.

const { limit } = RECOVER;
const RAD = Math.PI / 180;
const SLOWS = data.waterSlows,
  RUNS_OUT = data.runsOut,
  LIFTED = data.lifted * RAD,
  TURTLE = { after: data.turtle.after, rate: data.turtle.rate * RAD, at: data.turtle.at * RAD },
  UP = data.up * RAD,
  OVER = data.overEdge * RAD,
  LULL = data.lull,
  STILL = data.still;
const MOST_LEAN: Readonly<Record<Way, number>> = { mast: LEAN_END, edge: limit('edge-lean-most'), hand: 1 };
const BAG = limit('bag-mass');

/** Where in its band each thing lies in this try, from 0 to 1. */
export interface Drawn {
  need: number;
  feet: number;
  share: number;
  wind: number;
  /** Of weights that are only guessed. */
  mass: number;
}
const within = ({ low, high }: Band, at: number) => low + at * (high - low);

/** What is turned, by whom, and how. */
export interface Task {
  way: Way;
  boat: Boat;
  /** Of a catamaran. */
  rig?: Rigged;
  /** What holds her on her edge, wide where her measures are guesses. */
  edge?: Band;
  people: readonly { mass: number; height: number }[];
  given: Given;
  drawn: Drawn;
}

/** How it stands: how far she was turned from where she lay, and how fast. */
export interface Turning {
  seconds: number;
  /** From where she lay, up above 0; below it she goes on over. */
  turned: number;
  rate: number;
  /** How far out the crew is, of all that it can: 0 to 1. */
  hand: number;
  /** Water in the sail, kg. */
  water: number;
  /** For how long nothing moved though they leaned. */
  still: number;
  state: 'down' | 'rising' | 'up' | 'turtle';
}

/** What the crew does: how far it leans, from upright 0 to as far as it can 1. */
export interface Leaning {
  lean: number;
}

/**
 * A try with this boat and these people; who has no known weight is not on the line.
 * @returns undefined for craft that are not righted so, of which measures are missing, or when nobody is on the line
 */
export function taskOf(
  boat: Boat,
  people: readonly Pick<Person, 'mass' | 'height' | 'basis'>[],
  given: Given,
  drawn: Drawn,
): Task | undefined {
  const way = wayOf(boat.kind, given.strap);
  const rig = way === 'mast' ? rigOf(boat) : undefined;
  const on = people.flatMap((person) => {
    const { mass, height } = person;
    if (mass === undefined) return [];
    const weighs = guessed(person, '/mass') ? within(around(mass, MASS_OFF), drawn.mass) : mass;
    const stated = guessed(person, '/height') ? undefined : height;
    return [{ mass: weighs, height: stated ?? within(usualHeight(weighs), 0.5) }];
  });
  if (!way || on.length === 0) return undefined;
  const edge = way === 'mast' ? undefined : edgeOf(boat)?.need;
  if (!rig && !edge) return undefined;
  return { way, boat, people: on, given, drawn, ...(rig ? { rig } : {}), ...(edge ? { edge } : {}) };
}

/** A weight that is only guessed lies within this share, as the statics have it. */
const MASS_OFF = limit('mass-off');

export const lying = ({ given }: Task): Turning => ({
  seconds: 0,
  turned: 0,
  rate: 0,
  hand: 0,
  water: given.water,
  still: 0,
  state: 'down',
});

/** How her platform leans past upright, as `holdsDown` takes it: at rest with the mast on the water, 0 with it level. */
const overOf = (rig: Rigged, turned: number) => restAngle(rig) - turned;
const OFF = { low: limit('rig-off'), stated: limit('rig-off-stated') };

/** What holds her down at an angle; below 0 she comes by herself. */
export function holds(task: Task, turned: number, water: number): number {
  const { way, rig, edge, given, drawn } = task;
  if (way !== 'mast' || !rig) {
    return edge ? within(edge, drawn.need) * Math.cos(turned) : 0;
  }
  const off = 'stated' in rig && rig.stated === true ? OFF.stated : OFF.low;
  const share = within(around(1, off), drawn.need);
  const over = overOf(rig, turned);
  const blows = within({ low: LULL, high: 1 }, drawn.wind) * (given.wind ?? 0);
  const side = given.side === 'bow' ? 0 : given.side === 'mast-down' ? 1 : -1;
  // Her platform stands across the wind while she lies, and along it once she is up.
  return share * holdsDown(rig, over, water) + side * windMoment(rig, blows) * Math.cos(over) ** 2;
}

const FEET = { low: limit('feet-low'), high: limit('feet-high') };
const SHARE = { low: limit('hand-share-least'), high: limit('hand-share-most') };

/** A lean is looked for in steps of a degree, from as far as anybody hangs. */
const DEGREE = RAD;

/**
 * How far one of them can lean now, from upright: as far as anybody hangs, or as far as the line lets them. As she rises its
 * fastening comes over them, and it gives more room.
 */
export function mostLean({ way, rig, given: { line } }: Task, height: number, turned: number): number {
  if (way !== 'mast' || !rig || line === undefined) return MOST_LEAN[way];
  const over = overOf(rig, turned);
  const at = { across: rig.beam * Math.sin(over), up: rig.beam * Math.cos(over) };
  for (let lean = LEAN_END; lean > 0; lean -= DEGREE) if (lineAt(at, height, lean) <= line) return lean;
  return 0;
}

/** How far the hand leans them, from upright, if the line lets them; by hand the share of what they can put across her. */
export const leanOf = ({ way }: Pick<Task, 'way'>, hand: number): number => hand * MOST_LEAN[way];

/** What the crew gives at an angle, leaning so far of all that it can. */
export function givesNow(task: Task, turned: number, lean: number): number {
  const { way, people, given, drawn } = task;
  if (way === 'hand')
    return people
      .slice(0, 1)
      .reduce(
        (sum, { mass }) =>
          sum + G * mass * within(SHARE, drawn.share) * within(HAND_LEVER, drawn.feet) * lean,
        0,
      );
  return people.reduce((sum, { mass, height }) => {
    const angle = Math.min(leanOf(task, lean), mostLean(task, height, turned));
    const bag = given.bag && way === 'mast' ? (G * BAG * height * Math.sin(angle)) / 2 / people.length : 0;
    return sum + leanMoment({ mass, height }, angle, within(FEET, drawn.feet)) + bag;
  }, 0);
}

/** The hand, in hundredths, with which they give most: further out their backs lie in the water, which bears them. */
export function bestHand(task: Task, turned: number): number {
  const hands = Array.from({ length: 101 }, (_, i) => i / 100);
  return hands.reduce((best, hand) =>
    givesNow(task, turned, hand) > givesNow(task, turned, best) + 1e-9 ? hand : best,
  );
}

/** About the edge on which she turns, kg·m². */
function inertia({ way, rig, boat, people }: Task): number {
  const crew = people.reduce((sum, { mass, height }) => sum + (mass * height ** 2) / 3, 0);
  if (way !== 'mast' || !rig) return (boat.mass! * boat.beam! ** 2) / 3 + crew;
  const { beam, mast, mastMass, sailMass, mass } = rig;
  const at = (share: number) => (beam / 2) ** 2 + (share * mast) ** 2;
  return (
    mastMass * at(Math.sqrt(1 / 3)) +
    sailMass * at(limit('sail-middle')) +
    (mass - mastMass - sailMass) * (beam / 2) ** 2 +
    crew
  );
}

const endOf = (task: Task) => (task.rig ? restAngle(task.rig) + UP : OVER);

/**
 * A moment later: they lean as the hand says, she turns by what is left over of their moment, slowed by the water; a sail that is
 * lifted runs out, a mast without a float fills.
 */
export function turn(task: Task, now: Turning, { lean }: Leaning, dt: number): Turning {
  if (now.state === 'up' || now.state === 'turtle') return now;
  const hand = Math.min(1, Math.max(0, lean));
  const gives = givesNow(task, now.turned, hand);
  const down = holds(task, now.turned, now.water);
  const at = holds(task, 0, task.given.water);
  const mass = inertia(task);
  const rate = (now.rate + ((gives - down) / mass) * dt) / (1 + ((at * SLOWS) / mass) * dt);
  const fills = task.way === 'mast' && !task.rig?.float && now.seconds > TURTLE.after;
  const least = fills ? Math.min(0, now.turned) - TURTLE.rate * dt : Math.min(0, now.turned);
  const turned = Math.max(least, now.turned + rate * dt);
  const rested = turned <= least;
  const tries = hand > 0 && rested;
  const lifted = turned > LIFTED;
  const seconds = now.seconds + dt;
  return {
    seconds,
    turned,
    rate: rested ? 0 : rate,
    hand,
    water: lifted ? now.water * Math.exp(-dt / RUNS_OUT) : now.water,
    still: tries ? now.still + dt : 0,
    state: stateOf(task, turned, rested),
  };
}

function stateOf(task: Task, turned: number, rested: boolean): Turning['state'] {
  if (turned >= endOf(task)) return 'up';
  if (task.rig && restAngle(task.rig) - turned >= TURTLE.at) return 'turtle';
  return rested ? 'down' : 'rising';
}

/** They lean, and she does not move. */
export const isStuck = ({ still }: Turning): boolean => still >= STILL;
/** So far she is turned when it is done. */
export const wholeTurn = endOf;
