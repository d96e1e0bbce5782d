import type { Request } from 'express';
import { Id } from '@escale/core/model';
import type { Principal } from '../principal';
import { Problem } from './problem';

/** A device says with each request which it is. */
export const DEVICE_HEADER = 'x-escale-device';

/** Where somebody was let in, and by which session; whoever comes with the key has none. */
interface Admitted {
  household: string;
  session?: string;
  /** They came with the key of the memory. */
  keeper?: true;
}
/** By their request: only the door writes here. */
const admitted = new WeakMap<Request, Admitted>();

export function letIn(req: Request, as: Admitted): void {
  admitted.set(req, as);
}
export const isLetIn = (req: Request): boolean => admitted.has(req);
/** Did they come with the key of the memory? */
export const isKeeper = (req: Request): boolean => admitted.get(req)?.keeper === true;
export const sessionOf = (req: Request): string | undefined => admitted.get(req)?.session;

const NOT_IN = 401;
/** Whoever was not let in is told nothing but how one is. */
export const notLetIn = () =>
  new Problem(NOT_IN, 'This browser has not been let in.', [
    'On the machine that runs Escale, in its folder, say: npm run escale -- enter',
  ]);

/**
 * On whose behalf a request asks.
 * @throws Problem 401 for one that the door did not let in
 */
export function whoOf(req: Request): Principal {
  const household = admitted.get(req)?.household;
  if (household === undefined) throw notLetIn();
  const device = Id.safeParse(req.get(DEVICE_HEADER));
  return { household, ...(device.success ? { device: device.data } : {}) };
}

/** A device says with each request what its clock shows: the watch asks them when ours has leapt. */
export const CLOCK_HEADER = 'x-escale-clock';

/** What the clock of the device that asks shows, epoch ms, as far as it said so. */
export function clockOf(req: Request): { shows?: number } {
  const shows = Number(req.get(CLOCK_HEADER));
  return Number.isFinite(shows) && shows > 0 ? { shows } : {};
}
