import {
  accessSync,
  chmodSync,
  constants,
  existsSync,
  lstatSync,
  mkdirSync,
  readdirSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';

/** What stands in a memory's folder. */
export const inFolder = (folder: string) => ({
  /** Says that this folder is ours to make and change files in. */
  mark: join(folder, 'escale.json'),
  db: join(folder, 'db'),
  making: join(folder, 'db.making'),
  /** A copy that is being put back: in its place once it is whole. */
  restoring: join(folder, 'db.restoring'),
  /** The last event of each plan, noted outside the database. */
  heads: join(folder, 'heads'),
  /** The owner’s key: who can read it comes in. */
  key: join(folder, 'key'),
  /** What was erased for good, noted outside the database: it stays so when a copy is put back. */
  erased: join(folder, 'erased'),
  /** Rolling copies of it. */
  backups: join(folder, 'backups'),
  /** Where the server that holds it is reached. Only worth reading while the lock is held. */
  address: join(folder, 'address'),
  /** Written at each round of the watch: who looks from outside sees by its age whether the watch goes on. */
  heartbeat: join(folder, 'heartbeat'),
});

const MARK = `${JSON.stringify({ escale: 'memory', layout: 2 })}\n`;
/** Nobody but the owner reads what lies here: phones, illnesses, and who is not at home. */
const OWNER = { folder: 0o700, file: 0o600 };

/** The folder is not ours, or not whole: nothing in it was touched. */
export class FolderRefused extends Error {}

/**
 * Make ready a memory's folder: an absent or empty one is taken as ours, one that is ours is checked, one from before is put in
 * order. Anything else is refused as it stands.
 * @returns whether a database lies in it already
 * @throws FolderRefused with the way out
 */
export function takeFolder(folder: string): boolean {
  const parts = inFolder(folder);
  claim(folder);
  moveOlder(folder);
  rmSync(parts.making, { recursive: true, force: true });
  if (!existsSync(parts.db)) return false;
  if (!existsSync(join(parts.db, 'PG_VERSION')))
    throw new FolderRefused(
      `The database in ${folder} has no PG_VERSION: it is damaged. Nothing was touched. ` +
        `Put a copy in its place: npm run escale -- restore (copies lie in ${parts.backups})`,
    );
  return true;
}

/** @throws FolderRefused where the folder is somebody else's */
export function claim(folder: string): void {
  try {
    accessSync(folder, constants.W_OK);
  } catch (error) {
    throw new FolderRefused(
      `${folder} can’t be written to: its disk is read-only, or it is somebody else’s. ` +
        `Nothing was touched. Make it writable, or name another with ESCALE_DATA.`,
      { cause: error },
    );
  }
  const parts = inFolder(folder);
  const there = existsSync(folder) ? readdirSync(folder) : [];
  if (!existsSync(parts.mark)) {
    const older = there.includes('PG_VERSION') && there.includes('global') && there.includes('base');
    if (there.length > 0 && !older)
      throw new FolderRefused(
        `${folder} has files in it that are not Escale’s. Nothing was touched. ` +
          `Name a folder that is empty or not there yet with ESCALE_DATA.`,
      );
    writeFileSync(parts.mark, MARK, { mode: OWNER.file });
  }
}

/** A memory of before lay in the folder itself: it goes into `db`, file by file, and goes on where a kill ended it. */
function moveOlder(folder: string): void {
  const { db } = inFolder(folder);
  const moving = join(folder, 'db.moving');
  if (existsSync(db)) return;
  if (!existsSync(join(folder, 'PG_VERSION')) && !existsSync(moving)) return;
  const ours = new Set(['escale.json', 'db.moving', 'db.making']);
  mkdirSync(moving, { recursive: true, mode: OWNER.folder });
  // The version file goes last: until then the folder is known for what it is.
  const rest = readdirSync(folder).filter((name) => !ours.has(name));
  for (const name of rest.sort((a, b) => Number(a === 'PG_VERSION') - Number(b === 'PG_VERSION')))
    renameSync(join(folder, name), join(moving, name));
  renameSync(moving, db);
}

/** Files 0600, folders 0700, whatever made them. */
export function ownersOnly(path: string): void {
  const entry = lstatSync(path);
  if (entry.isSymbolicLink()) return;
  const mode = entry.isDirectory() ? OWNER.folder : OWNER.file;
  if ((entry.mode & 0o777) !== mode) chmodSync(path, mode);
  if (entry.isDirectory()) for (const name of readdirSync(path)) ownersOnly(join(path, name));
}
