import { existsSync, readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import type { Bundle } from '@escale/core/model';
import { exportBundle, importBundle } from '../api/exchange';
import { ensureHousehold } from '../db/seed';
import { addressFile, FolderTaken } from '../db/lock';
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
    const at = addressFile(folder);
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
    (db, household) => exportBundle({ db, household, clock: systemClock }),
    async (address) => asked<Bundle>(await fetch(`${address}/api/export`)),
  );

export const importMemory = (bundle: Bundle) =>
  withMemory(
    (db, household) => db.transaction((tx) => importBundle(tx, bundle, household, systemClock.now())),
    async (address) =>
      asked<{ added: number; changed: number; same: number }>(
        await fetch(`${address}/api/import`, {
          method: 'POST',
          headers: { 'Content-Type': 'application/json' },
          body: JSON.stringify(bundle),
        }),
      ),
  );
