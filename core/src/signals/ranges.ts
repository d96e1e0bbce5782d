import { bisect } from '../numeric';
import { NAUTICAL_MILE } from '../units';

/** Miles for each root of a metre: of light, which the air bends a little, and of radio on very high frequency, which it bends more. */
const LIGHT = 2.08,
  RADIO = 2.22;

/**
 * How far two heights over the water see each other over its curve, metres (source `geographic-range`).
 * @param heights metres over the water, not below it
 * @example geographicRange(2, 1) // 9,300: a flare in a raised hand, five miles
 */
export const geographicRange = (a: number, b: number): number =>
  LIGHT * (Math.sqrt(Math.max(0, a)) + Math.sqrt(Math.max(0, b))) * NAUTICAL_MILE;

/** The same for radio between two aerials (source `radio-horizon`). */
export const radioHorizon = (a: number, b: number): number =>
  RADIO * (Math.sqrt(Math.max(0, a)) + Math.sqrt(Math.max(0, b))) * NAUTICAL_MILE;

/** Light at the eye of which a lookout becomes aware, lux; what is left of it after the distance at which one still sees by day. */
const THRESHOLD = 2e-7,
  LEFT = 0.05;
const FARTHEST = 60 * NAUTICAL_MILE,
  HALVINGS = 40;

/**
 * How far a light is seen at night through air of some visibility, metres (Allard’s law, E = I/D²·0.05^(D/V), source `light-range`).
 * @param candela intensity, over 0
 * @param visibility meteorological, metres, over 0
 * @param threshold light at the eye from which it is noticed, lux; left out: by night
 * @example luminousRange(4.3, 13 * NAUTICAL_MILE) // two miles
 */
export function luminousRange(candela: number, visibility: number, threshold = THRESHOLD): number {
  if (!(candela > 0) || !(visibility > 0)) return 0;
  const seen = (metres: number) => (candela / metres ** 2) * LEFT ** (metres / visibility) >= threshold;
  return bisect(seen, 1, FARTHEST, HALVINGS)[0];
}
