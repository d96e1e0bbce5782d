import { afloat, hullOf, placed } from '../boat';
import type { Boat, Place, Trip } from '../model';
import { TRAILED, UNPOWERED } from '../model/lists';
import { guessed } from '../verdict';
import { carFromWater, floatDepth, OVERHANG, wheelsIn, type Band } from './geometry';
import { RAMP } from './limits';

/** Does she come on a trailer that goes into the water? Undefined where nobody said and her kind does not tell. */
export function onTrailer({ trailer, kind }: Pick<Boat, 'trailer' | 'kind'>): boolean | undefined {
  if (trailer || TRAILED.has(kind)) return true;
  // What arms or the wind move is carried or rolled by hand, unless a trailer of hers was entered.
  return UNPOWERED.has(kind) ? false : undefined;
}

/** What a boat on her trailer asks of a ramp, metres. */
export interface RampNeeds {
  /** Of what lies in her, with nobody aboard. */
  draught: Band;
  /** Of the supports over the ground at the axle. */
  support: Band;
  /** Of the water at the trailer’s wheels when she lifts. */
  depth: Band;
  /** All of it was stated or measured. */
  known: boolean;
}

/** Supports of which nobody said how high they stand. */
const USUAL = { low: RAMP.limit('support-low'), high: RAMP.limit('support-high') };
const OF_CRAFT = { low: RAMP.limit('support-craft-low'), high: RAMP.limit('support-craft-high') };
/** How far the reckoned draught may be off, as a share: forms of hulls are ours. */
const OFF = RAMP.limit('draught-off');

/**
 * How deep the water must be for her to lift off her trailer; undefined where her measures are missing, or she would not
 * float upright.
 * @param density of the water, kg/m³
 */
export function rampNeeds(
  boat: Boat,
  trip: Pick<Trip, 'crew' | 'load' | 'comingHome'>,
  density: number,
): RampNeeds | undefined {
  const hull = hullOf(boat);
  if (!hull) return undefined;
  const { outcome } = afloat(boat, hull, placed({ ...trip, crew: [] }, [], hull), density);
  if (outcome.state !== 'floats') return undefined;
  const { h, t } = outcome.at.plane;
  const deepest = Math.max(h, h + t * hull.length);
  const draught = { low: deepest * (1 - OFF), high: deepest * (1 + OFF) };
  const stated = guessed(boat, '/trailer/support') ? undefined : boat.trailer?.support;
  const usual = boat.kind === 'personal-watercraft' ? OF_CRAFT : USUAL;
  const support = stated === undefined ? usual : { low: stated, high: stated };
  const known =
    stated !== undefined && hull.guessed.length === 0 && boat.mass !== undefined && !guessed(boat, '/mass');
  return { draught, support, depth: floatDepth(support, draught), known };
}

/** Where the trailer’s wheels and the car’s stand on a ramp when she lifts, level from the edge of the water, m. */
export interface OnRamp {
  run: Band;
  /** Absent where the length of the drawbar was not said. */
  car?: Band;
  /** Slope and depth were stated or measured. */
  known: boolean;
}

export function onRamp(boat: Boat, place: Place | undefined, needs: RampNeeds): OnRamp | undefined {
  if (place?.slope === undefined) return undefined;
  const run = wheelsIn(needs.depth, place.slope);
  const drawbar = guessed(boat, '/trailer/drawbar') ? undefined : boat.trailer?.drawbar;
  return {
    run,
    ...(drawbar === undefined ? {} : { car: carFromWater(run, drawbar, OVERHANG) }),
    known: needs.known && !guessed(place, '/slope'),
  };
}
