import type { Lying } from './held';
import type { Fastening, Pull } from './pull';
import { goesOverAt, heeledBy, type Heeled, type SidePull } from './side';

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

/**
 * The level load from the side at which her edge goes under, newtons.
 * @returns undefined where nothing looked at does it
 */
export const overAt = (lying: Lying, at: Fastening, pull: Pull, down: number): number | undefined =>
  goesOverAt(lying.hull, lying.weight, lying.density, sideOf(lying, at, down), acrossOf(pull).air);
