import type { Band } from '../numeric';
import { spansAbove, type Tide } from '../water';
import { RAMP } from './limits';

export type { Band };

// A ramp is a plane that falls by `slope`, rise over run, from above the water down to its foot. Metres throughout.

/**
 * How deep the water must stand over the ground at the trailer’s wheels until the hull lifts off her supports: their height
 * there and what she draws. Her stern, behind the wheels, floats before that; her bow after it.
 * @param support height of the supports over the ground at the axle, m
 * @param draught of her lowest part, m
 */
export const floatDepth = (support: Band, draught: Band): Band => ({
  low: support.low + draught.low,
  high: support.high + draught.high,
});

/**
 * How far in the wheels stand where the water is that deep, measured level from its edge, m: depth over slope.
 * @param slope rise over run, above 0
 * @throws RangeError for a slope that does not fall
 */
export function wheelsIn(depth: Band, slope: number): Band {
  falls(slope);
  return { low: depth.low / slope, high: depth.high / slope };
}

/**
 * How far the car’s rear wheels still stand from the edge of the water, m; below 0 they are in it.
 * @param run level distance of the trailer’s wheels from the edge
 * @param drawbar from the hitch to the trailer’s axle
 * @param overhang from the car’s rear axle to the hitch
 */
export const carFromWater = (run: Band, drawbar: number, overhang: Band): Band => ({
  low: drawbar + overhang.low - run.high,
  high: drawbar + overhang.high - run.low,
});

/** Of small cars and vans, from the rear axle to the ball, m. */
export const OVERHANG: Band = { low: RAMP.limit('overhang-low'), high: RAMP.limit('overhang-high') };

/** The angle of a slope, radians. */
export const slopeAngle = (slope: number): number => Math.atan(slope);

/** How far the edge of the water moves on a slope as the tide changes by that much, m; away from the shore below 0. */
export function runOut(change: number, slope: number): number {
  falls(slope);
  return change / slope;
}

/** Water that is left over the ramp’s foot when she floats, m: past the foot the wheels drop off. */
export const OVER_FOOT = RAMP.limit('over-foot');

/**
 * The hours (epoch ms) in which a ramp carries a boat on her trailer: the tide stands so high that the wheels come to their
 * depth before they come to the foot.
 * @param foot height of the ramp’s foot over the tide’s datum, m
 * @param depth at the wheels; its deeper end counts
 */
export const rampHours = (
  tide: Tide,
  foot: number,
  depth: Band,
  from: number,
  until: number,
): { from: number; until: number }[] => spansAbove(tide, foot + depth.high + OVER_FOOT, from, until);

function falls(slope: number): void {
  if (!(slope > 0)) throw new RangeError(`a ramp falls: its slope is above 0, not ${slope}`);
}
