import type { Boat, Debrief, Person } from '../model';
import { asPrinted } from '../units';
import { guessed } from '../verdict';
import { forceOf, windOf } from '../water';
import { LOGBOOK } from './limits';

// What each person has really done in each boat, and by how many steps a plan goes beyond it. A step is a stepping-stone, not a limit
// of nature: our own estimate, as data.

/** Along what somebody goes further than before. */
export const AXES = ['off', 'wind', 'cold', 'alone', 'dark'] as const;
export type Axis = (typeof AXES)[number];

/** How a trip was, or will be: off a landing (m), the wind (m/s) and the water (°C) at their worst, alone, in the dark. */
export interface Outing {
  off?: number | undefined;
  wind?: number | undefined;
  cold?: number | undefined;
  alone?: boolean | undefined;
  dark?: boolean | undefined;
}

/** The farthest that somebody has been along each axis in a boat; absent where no trip says. */
export interface Proven extends Outing {
  trips: number;
  /** Civil date. */
  last: string;
}

/** A whole force of a wind, m/s. @example wholeForce(5.5) // 4 */
export const wholeForce = (wind: number): number => Math.round(forceOf(wind));

/** What counts of how a trip was: what was said or measured. */
function outingOf(debrief: Debrief): Outing {
  const { met } = debrief;
  const sure = <V>(name: keyof NonNullable<Debrief['met']>, value: V): V | undefined =>
    guessed(debrief, `/met/${name}`) ? undefined : value;
  const company = sure('company', met?.company);
  return {
    off: sure('off', met?.off),
    wind: sure('wind', met?.wind),
    cold: sure('waterTemperature', met?.waterTemperature),
    alone: company === undefined ? undefined : !company,
    dark: sure('dark', met?.dark),
  };
}

const known = (values: readonly (number | undefined)[]) => values.filter((value) => value !== undefined);
const most = (values: readonly (number | undefined)[]) =>
  known(values).length > 0 ? Math.max(...known(values)) : undefined;
/** Once is enough; never, only where all the others say so. */
const ever = (values: readonly (boolean | undefined)[]) =>
  values.includes(true) ? true : values.some((value) => value === undefined) ? undefined : false;

/** The trips of somebody in a boat, up to a day. */
const tripsOf = (
  debriefs: readonly Debrief[],
  person: Pick<Person, 'id'>,
  boat: Pick<Boat, 'id'>,
  on: string,
): Debrief[] =>
  debriefs.filter(
    (d) =>
      d.boat === boat.id &&
      d.who?.includes(person.id) === true &&
      d.on <= on &&
      !['/boat', '/who', '/on'].some((pointer) => guessed(d, pointer)),
  );

/** @returns undefined where no trip of theirs in her is on record */
export function provenBy(
  debriefs: readonly Debrief[],
  person: Pick<Person, 'id'>,
  boat: Pick<Boat, 'id'>,
  on: string,
): Proven | undefined {
  const trips = tripsOf(debriefs, person, boat, on);
  if (trips.length === 0) return undefined;
  const outings = trips.map(outingOf);
  const cold = most(outings.map((o) => (o.cold === undefined ? undefined : -o.cold)));
  return {
    trips: trips.length,
    last: trips.map((d) => d.on).reduce((a, b) => (a > b ? a : b)),
    off: most(outings.map((o) => o.off)),
    wind: most(outings.map((o) => o.wind)),
    cold: cold === undefined ? undefined : -cold,
    alone: ever(outings.map((o) => o.alone)),
    dark: ever(outings.map((o) => o.dark)),
  };
}

const TIMES = LOGBOOK.limit('step-off-times'),
  MORE = LOGBOOK.limit('step-off-more'),
  FORCE = LOGBOOK.limit('step-force'),
  COLDER = LOGBOOK.limit('step-colder'),
  MOST = LOGBOOK.limit('steps-most');

/** A force reaches half of one up and down. */
const HALF = 0.5;

/** How far one step leads. @example farther(1852) // 2778: half a mile more, or one and a half times as far */
export const farther = (off: number): number => Math.max(off * TIMES, off + MORE);
/** The force that is one step more. @example nextForce(4) // 4 */
export const nextForce = (wind: number): number => wholeForce(wind) + FORCE;
/** The most wind of one step, m/s: to the upper end of the force. */
export const windier = (wind: number): number => windOf(nextForce(wind) + HALF);
/** The upper end of the force of a wind, m/s. @example forceEnds(4) // 5.4 */
export const forceEnds = (wind: number): number => windOf(wholeForce(wind) + HALF);
export const colder = (cold: number): number => cold - COLDER;

/** How many steps a plan goes further along an axis; as far as it is told to the reader. Absent: not known. */
export function stepsAlong(axis: Axis, proven: Outing, planned: Outing): number | undefined {
  if (axis === 'alone' || axis === 'dark') {
    if (planned[axis] === false || proven[axis] === true) return 0;
    return planned[axis] === undefined || proven[axis] === undefined ? undefined : 1;
  }
  const [was, will] = [proven[axis], planned[axis]];
  if (was === undefined || will === undefined) return undefined;
  if (axis === 'wind') return Math.max(0, Math.ceil((wholeForce(will) - wholeForce(was)) / FORCE));
  if (axis === 'cold') {
    const by = asPrinted(was, 'temperature') - asPrinted(will, 'temperature');
    return Math.max(0, Math.ceil(by / COLDER));
  }
  let steps = 0;
  for (let reach = was; asPrinted(will, 'distance') > asPrinted(reach, 'distance'); steps += 1)
    reach = farther(reach);
  return steps;
}

/** One axis along which a plan goes further, or of which nothing is known. */
export interface Beyond {
  axis: Axis;
  /** Absent: not known. */
  steps?: number;
}

export interface Stands {
  is: 'never' | 'leap' | 'step' | 'unknown' | 'within';
  beyond: Beyond[];
}

/** How a plan stands against what somebody has done: two axes at once are more than one step. */
export function standsTo(proven: Proven | undefined, planned: Outing): Stands {
  if (!proven) return { is: 'never', beyond: [] };
  const beyond = AXES.flatMap((axis): Beyond[] => {
    const steps = stepsAlong(axis, proven, planned);
    if (steps === undefined) return [{ axis }];
    return steps > 0 ? [{ axis, steps }] : [];
  });
  const sum = beyond.reduce((all, { steps = 0 }) => all + steps, 0);
  const is =
    sum > MOST
      ? 'leap'
      : beyond.some(({ steps }) => steps === undefined)
        ? 'unknown'
        : sum > 0
          ? 'step'
          : 'within';
  return { is, beyond };
}
