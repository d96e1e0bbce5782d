import { statfsSync } from 'node:fs';

/** Room left on the disk of a folder, bytes. */
export function roomIn(folder: string): number {
  const { bavail, bsize } = statfsSync(folder);
  return bavail * bsize;
}

/**
 * Kept for what is said of a plan: with less room than this nothing else is written down any more, so that “we’re home” still
 * is. A database of this size takes a few kB for it, and now and then a segment of its log of 16 MB.
 */
export const ROOM_FOR_DEEDS = 24_000_000;
/** With less than this a person has to look, and no copies are made: a day of writing and a copy, bytes. */
export const ROOM_ENOUGH = 200_000_000;
