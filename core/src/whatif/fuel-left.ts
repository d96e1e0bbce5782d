import { storeOf } from '../boat';
import type { Schedule } from '../model';
import { motored, storesOn } from '../passage';
import type { Context } from '../trip/context';
import { MS } from '../units';
import { guessed } from '../verdict';
import { WHATIF } from './limits';

/** How a store stands against a way home. */
export type FuelFor = 'enough' | 'short' | 'unknown' | 'none-needed';

const TIMES = WHATIF.limit('fuel-times');

/**
 * Is there fuel, or charge, for twice the way? By what was said to be in her as she left, less what the plan has used by now. A rule
 * of thumb, a guess or a tank that was only taken to be full is no answer.
 * @param way how long it takes, s, at a speed through the water, m/s
 */
export function fuelFor(
  { trip, boat, shed, speed: planned }: Context,
  schedule: Schedule | undefined,
  now: number,
  way: { seconds: number; speed: number },
): FuelFor {
  const own = motored(trip, shed.boats).find((each) => each.boat.id === boat?.id);
  const drive = boat?.propulsion[0];
  if (!own || !drive) return 'none-needed';
  const takes = storeOf(drive, way.speed)?.rate;
  if (!schedule || !planned || !takes) return 'unknown';
  const stores = storesOn(own, planned.value, schedule);
  if (!stores?.rate || stores.held === undefined) return 'unknown';
  const left = stores.held - (motoredUntil(schedule, now) / MS.second) * stores.rate.value;
  const needs = TIMES * way.seconds * takes.value;
  const known =
    !guessed(trip, `${stores.said}/${stores.kind}`) &&
    !stores.guessed &&
    !stores.full &&
    [stores.rate, takes].every(({ known: how }) => SAID.has(how));
  if (left < needs) return 'short';
  return known ? 'enough' : 'unknown';
}
const SAID: ReadonlySet<string> = new Set(['said', 'between']);

/** How long she has been under way by the plan, ms. */
const motoredUntil = ({ legs }: Schedule, now: number): number =>
  legs.reduce((sum, { departs, arrives }) => sum + Math.max(0, Math.min(now, arrives) - departs), 0);
