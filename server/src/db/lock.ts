import { spawnSync } from 'node:child_process';
import { closeSync, mkdirSync, openSync } from 'node:fs';
import { dirname } from 'node:path';

/** Somebody else has the folder. */
export class FolderTaken extends Error {}

/** Beside the folder: where the server that holds it is reached. Only worth reading while the lock is held. */
export const addressFile = (folder: string) => `${folder}.address`;

/**
 * One process per folder: two PGlite processes on one folder both open it and silently lose data. The lock is an flock
 * on a descriptor that this process keeps, so the kernel frees it on any death. Linux (and what has `flock`) only.
 * @throws FolderTaken when another process holds it
 */
export function lockFolder(folder: string): () => void {
  mkdirSync(dirname(folder), { recursive: true });
  const fd = openSync(`${folder}.lock`, 'a');
  const { status, error } = spawnSync('flock', ['-n', '-x', '3'], {
    stdio: ['ignore', 'ignore', 'ignore', fd],
  });
  if (error) {
    closeSync(fd);
    throw new Error('The folder could not be locked: the command "flock" is missing (package util-linux).', {
      cause: error,
    });
  }
  if (status !== 0) {
    closeSync(fd);
    throw new FolderTaken(
      `Another Escale already uses ${folder}. End that one first, or name another folder with ESCALE_DATA.`,
    );
  }
  return () => closeSync(fd);
}
