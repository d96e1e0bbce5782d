import type { Request } from 'express';
import { Id } from '@escale/core/model';
import type { Principal } from '../principal';
import { Problem } from './problem';

/** A device says with each request which it is. */
export const DEVICE_HEADER = 'x-escale-device';

/** The household in which somebody was let in, by their request: only the door writes here. */
const households = new WeakMap<Request, string>();

export function letIn(req: Request, household: string): void {
  households.set(req, household);
}
export const isLetIn = (req: Request): boolean => households.has(req);

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
  const household = households.get(req);
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
