import { RAMP } from './limits';

/** Where wind comes from for whoever looks down a ramp at the water. */
export type Cross = 'left' | 'right' | 'on' | 'off';

const ASIDE = RAMP.limit('cross-angle');
const ROUND = 2 * Math.PI,
  DEGREE = Math.PI / 180;

/**
 * From which side wind comes, looking down the ramp; `on` blows up it at the shore, `off` down it and out.
 * @param faces which way the ramp falls, degrees true
 * @param from where the wind comes from, degrees true
 */
export function crossOf(faces: number, from: number): Cross {
  const turn = ((((from - faces) * DEGREE) % ROUND) + ROUND) % ROUND;
  const off = Math.min(turn, ROUND - turn);
  if (off < ASIDE) return 'on';
  if (off > Math.PI - ASIDE) return 'off';
  return turn < Math.PI ? 'right' : 'left';
}
