import type { Request } from 'express';
import { Id } from '@escale/core/model';
import { HOME } from '../db/household';
import type { Principal } from '../principal';

/** A device says with each request which it is. */
export const DEVICE_HEADER = 'x-escale-device';

/** Who asks. On one machine's loopback there is one household. */
export function whoOf(req: Request): Principal {
  const device = Id.safeParse(req.get(DEVICE_HEADER));
  return { household: HOME, ...(device.success ? { device: device.data } : {}) };
}

/** A device says with each request what its clock shows: the watch asks them when ours has leapt. */
export const CLOCK_HEADER = 'x-escale-clock';

/** What the clock of the device that asks shows, epoch ms, as far as it said so. */
export function clockOf(req: Request): { shows?: number } {
  const shows = Number(req.get(CLOCK_HEADER));
  return Number.isFinite(shows) && shows > 0 ? { shows } : {};
}
