import { existsSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import { claim, inFolder, ownersOnly } from '../db/folder';
import { holdFolder, openAt, openDb } from '../db/open';
import { eraseAgain } from '../erase/erase';
import { fillFrom, readCopy, type Counts } from './copy';
import { erasedIn } from './erased-file';

export interface Restored {
  at: string;
  counts: Counts;
  /** Things in the copy that were erased since it was made, and are erased again. */
  erased: number;
  /** Where what was there before lies now. */
  aside?: string;
}

/**
 * Put a copy back into a folder. It is read whole first, then laid out beside what is there, and only then takes its place; what
 * was there is put aside and never removed.
 * @throws CopyRefused for a copy that is not whole, FolderTaken while a server has the folder, FolderRefused for somebody else's
 */
export async function restoreFolder(folder: string, file: string, now: number): Promise<Restored> {
  await readCopy(file);
  const unlock = holdFolder(folder);
  try {
    claim(folder);
    const { db: place, restoring, heads, erased } = inFolder(folder);
    rmSync(restoring, { recursive: true, force: true });
    mkdirSync(restoring, { mode: 0o700 });
    const { db, client } = await openAt(folder, restoring);
    const filled = await fillFrom(db, file);
    const again = await eraseAgain(db, erasedIn(erased), now);
    await client.exec('CHECKPOINT');
    await client.close();
    const aside = `${place}.aside-${new Date(now).toISOString().replace(/[:.]/g, '-')}`;
    const before = existsSync(place);
    if (before) renameSync(place, aside);
    // What was noted of the one that is put aside is no word on this one.
    if (existsSync(heads)) renameSync(heads, `${aside}.heads`);
    renameSync(restoring, place);
    ownersOnly(folder);
    return { ...filled, erased: again, ...(before ? { aside } : {}) };
  } finally {
    unlock();
  }
}

/** Put a copy into a PostgreSQL that has nothing in it yet. `folder` is where what was erased is noted. */
export async function restoreServer(
  url: string,
  file: string,
  folder: string,
  now: number,
): Promise<Restored> {
  await readCopy(file);
  const { db, close } = await openDb({ folder: '', url });
  try {
    const filled = await fillFrom(db, file);
    return { ...filled, erased: await eraseAgain(db, erasedIn(inFolder(folder).erased), now) };
  } finally {
    await close();
  }
}
