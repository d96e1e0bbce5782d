import { existsSync, readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import type { Bundle } from '@escale/core/model';
import { inFolder } from '../db/folder';
import { ensureHousehold } from '../db/household';
import { FolderTaken } from '../db/lock';
import { exportBundle, importBundle } from '../exchange/bundle';
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
