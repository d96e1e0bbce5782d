import file from '../../data/signals/seen.json';
import type { SeenData } from '../model';
import type { Band } from '../numeric';
import { KNOT } from '../units';
import { geographicRange, luminousRange } from './ranges';

const SEEN = file as unknown as SeenData;
/** Heights of what can be seen, metres: somebody who sits, a head in the water, a flag on a short mast, an eye in a boat that comes. */
export const { seated: SEATED, inWater: IN_WATER, mast: MAST, eye: EYE, clear: CLEAR } = SEEN;
const ARC = Math.PI / 180 / 60;

export interface Seen {
  /** From where it is noticed, metres. */
  from: Band;
  /** Before it is here, seconds, at the speed of who comes. */
  seconds: Band;
  /** Waves higher than this hide it in their troughs, metres; absent where that does not matter. */
  hidden?: number;
}

const toSeconds = ({ low, high }: Band, speed: number): Band => ({ low: low / speed, high: high / speed });
/** Of a boat that comes, m/s. */
export const COMES_AT = SEEN.knots * KNOT;

/**
 * From where a boat that comes sees something that stands so high over the water: as far as it fills the angle that a lookout notices,
 * and no further than air and the curve of the water let it. It vanishes in the troughs of waves as high as itself.
 * @param height metres, over 0
 * @param visibility metres
 * @param speed of who comes, m/s, over 0
 * @example seenByDay(1, 18520, 12.86).from // 230 to 690 m: 18 to 53 seconds
 */
export function seenByDay(height: number, visibility: number, speed: number): Seen {
  const most = Math.min(visibility, geographicRange(height, EYE));
  const [few, many] = SEEN.arcMinutes;
  const from = {
    low: Math.min(most, height / Math.tan(many * ARC)),
    high: Math.min(most, height / Math.tan(few * ARC)),
  };
  return { from, seconds: toSeconds(from, speed), hidden: height };
}

/** From where a lamp of the law, two miles bright, is seen by night; the low end for one a quarter as bright. */
export function seenByNight(height: number, visibility: number, speed: number): Seen {
  const most = geographicRange(height, EYE);
  const far = (candela: number) => Math.min(most, luminousRange(candela, visibility));
  const from = { low: far(SEEN.lamp / 4), high: far(SEEN.lamp) };
  return { from, seconds: toSeconds(from, speed), hidden: height };
}
