import { bisect } from '../numeric';
import { G } from '../units';
import type { Lying } from './held';
import { HOLD } from './limits';
import { pullOn, type Comes, type Fastening, type Pull } from './pull';
import { withStream } from './tried';
import { heeledBy, type Heeled, type SidePull } from './side';

/** How far she is pulled over, under the least and the most of a load; absent where she goes over. */
export interface PulledOver {
  least?: Heeled;
  most?: Heeled;
  /** What of the load comes from the side, newtons, at its least and its most. */
  across: { least: number; most: number };
}

/** What of a pull lies across her, and what of that the wind does, as shares. */
function acrossOf({ lies }: Pull): { share: number; air: number } {
  const { air, water } = lies.across;
  const all = air + water;
  if (lies.force === 0 || all === 0) return { share: 0, air: 0 };
  return { share: Math.abs(all) / lies.force, air: Math.min(1, Math.max(0, air / all)) };
}

const sideOf = ({ exposed }: Lying, at: Fastening, down: number): Omit<SidePull, 'across' | 'air'> => ({
  at,
  down,
  airAt: exposed.air.z,
  waterAt: exposed.water.z,
});

/**
 * How high a stream heaps up against a side that stands across it, metres: v²/2g, all of its speed turned into height.
 * @example heap(1) // 0.051
 */
export const heap = (stream: number): number => (stream * stream) / (2 * G);

/**
 * What a load does to her, from where it pulls.
 * @param down by which the line leads down from her, radians
 */
export function pulledOver(lying: Lying, at: Fastening, pull: Pull, down: number): PulledOver {
  const { share, air } = acrossOf(pull);
  const heeled = (load: number) => {
    const across = share * load;
    const side = { ...sideOf(lying, at, down), across, air: across * air };
    return heeledBy(lying.hull, lying.weight, lying.density, side);
  };
  const [least, most] = [heeled(pull.load.low), heeled(pull.load.high)];
  return {
    across: { least: share * pull.load.low, most: share * pull.load.high },
    ...(least ? { least } : {}),
    ...(most ? { most } : {}),
  };
}

/** A stream in which water comes over her edge, m/s, and the load of it, newtons. */
export interface Rolls {
  stream: number;
  load: number;
}

const MOST = HOLD.limit('most-stream'),
  HALVINGS = 8;

/**
 * The stream from which on it goes over her edge, made fast where she is, with wind and waves as they are: what is left of her
 * freeboard at the most of the load is less than it heaps up. From there on an open boat fills, and on a closed one it presses on her
 * deck and rolls her; no balance of ours holds beyond it. Ten balances.
 * @returns undefined where no stream that is looked at does it
 */
export function rollsIn(lying: Lying, at: Fastening, comes: Comes, down: number): Rolls | undefined {
  const pulled = (speed: number) => pullOn(lying.exposed, at, withStream(comes, speed), lying.density);
  const stays = (speed: number) => {
    const { most } = pulledOver(lying, at, pulled(speed), down);
    return most !== undefined && most.free.lowest > heap(speed);
  };
  if (stays(MOST)) return undefined;
  const stream = stays(0) ? bisect(stays, 0, MOST, HALVINGS)[1] : 0;
  return { stream, load: pulled(stream).load.high };
}
