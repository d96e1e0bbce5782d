import { copyFileSync, existsSync, readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import type { Bundle } from '@escale/core/model';
import { countsOf, readCopy, type Counts } from '../backup/copy';
import { copyNow } from '../backup/roll';
import { restoreFolder, restoreServer, type Restored } from '../backup/restore';
import { inFolder } from '../db/folder';
import { ensureHousehold } from '../db/household';
import { FolderTaken } from '../db/lock';
import { exportBundle, importBundle } from '../exchange/bundle';
import { brokenChains, type Broken } from '../plans/chain';
import { openDb, type Db } from '../db/open';
import { systemClock } from '../clock';
import { Refused } from './refused';

/** The folder's own lock is taken; where a server holds it, the work goes through that server. */
async function withMemory<T>(
  direct: (db: Db, household: string) => Promise<T>,
  through: (address: string) => Promise<T>,
): Promise<T> {
  const folder = resolve(process.env.ESCALE_DATA ?? '.data/escale');
  const url = process.env.DATABASE_URL;
  try {
    const { db, close } = await openDb({ folder, ...(url ? { url } : {}) });
    try {
      return await direct(db, await ensureHousehold(db, systemClock.now()));
    } finally {
      await close();
    }
  } catch (error) {
    const at = inFolder(folder).address;
    if (error instanceof FolderTaken && existsSync(at)) return through(readFileSync(at, 'utf8').trim());
    throw error;
  }
}

async function asked<T>(answer: Response): Promise<T> {
  const body = (await answer.json()) as T & { title?: string; faults?: string[] };
  if (!answer.ok)
    throw new Refused([body.title ?? `The server answered ${answer.status}.`, ...(body.faults ?? [])]);
  return body;
}

export const exportMemory = (): Promise<Bundle> =>
  withMemory(
    (db, household) => exportBundle({ db, clock: systemClock }, { household }),
    async (address) => asked<Bundle>(await fetch(`${address}/api/export`)),
  );

export const importMemory = (bundle: Bundle) =>
  withMemory(
    (db, household) => db.transaction((tx) => importBundle(tx, { household }, bundle, systemClock.now())),
    async (address) =>
      asked<{ added: number; changed: number; same: number }>(
        await fetch(`${address}/api/import`, {
          method: 'POST',
          headers: { 'Content-Type': 'application/json' },
          body: JSON.stringify(bundle),
        }),
      ),
  );

const here = () => ({
  folder: resolve(process.env.ESCALE_DATA ?? '.data/escale'),
  url: process.env.DATABASE_URL,
});

/** A copy of the memory among the rolling ones, and in a file where one is named. */
export async function backup(file: string | undefined): Promise<{ file: string; counts: Counts }> {
  const to = file === undefined ? undefined : resolve(file);
  if (to && existsSync(to)) throw new Refused([`${to} is there already. Nothing was changed.`]);
  const made = await withMemory(
    (db) => copyNow(db, inFolder(here().folder).backups, systemClock.now()),
    async (address) =>
      asked<{ file: string; counts: Counts }>(
        await fetch(`${address}/api/backup`, {
          method: 'POST',
          headers: { 'Content-Type': 'application/json' },
          body: '{}',
        }),
      ),
  );
  if (!to) return made;
  copyFileSync(made.file, to);
  return { ...made, file: to };
}

export async function restore(file: string): Promise<Restored> {
  const { folder, url } = here();
  return url ? restoreServer(url, file) : restoreFolder(folder, file, systemClock.now());
}

/** What a copy holds, or, without one, whether the memory itself is whole. */
export async function verify(
  file: string | undefined,
): Promise<{ what: string; counts: Counts; broken: Broken[] }> {
  if (file !== undefined) {
    const { at, counts } = await readCopy(file);
    return { what: `a copy of ${at}`, counts, broken: [] };
  }
  return withMemory(
    async (db) => ({ what: 'the memory', counts: await countsOf(db), broken: await brokenChains(db) }),
    async (address) => asked(await fetch(`${address}/api/verify`)),
  );
}
