import { spawnSync } from 'node:child_process';
import { closeSync, openSync } from 'node:fs';

/** Somebody else has the folder. */
export class FolderTaken extends Error {}

/**
 * One process per folder: two PGlite processes on one folder both open it and silently lose data. The lock is an flock on the
 * folder itself, by a descriptor that this process keeps: the kernel frees it on any death, and there is no file that
 * somebody could delete under it. Linux (and what has `flock`) only.
 * @param folder is there
 * @throws FolderTaken when another process holds it
 */
export function lockFolder(folder: string): () => void {
  const fd = openSync(folder, 'r');
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
