import { copyFileSync, existsSync, readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import type { Bundle } from '@escale/core/model';
import { countsOf, readCopy, type Counts } from '../backup/copy';
import { copyNow } from '../backup/roll';
import { restoreFolder, restoreServer, type Restored } from '../backup/restore';
import { inFolder } from '../db/folder';
import { ensureHousehold } from '../db/household';
import { FolderTaken } from '../db/lock';
import { exportBundle, importBundle, type Imported } from '../exchange/bundle';
import { readKey } from '../door/key';
import { brokenChains, type Broken } from '../plans/chain';
import { openDb, type Db } from '../db/open';
import { systemClock } from '../clock';
import { Refused } from './refused';

/** The folder's own lock is taken; where a server holds it, the work goes through that server. */
async function withMemory<T>(
  direct: (db: Db, household: string) => Promise<T>,
  through: (server: Server) => Promise<T>,
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
    const server = error instanceof FolderTaken && serverAt(folder);
    if (server) return through(server);
    throw error;
  }
}

/** The server that has a folder, asked by whoever can read its key. */
type Server = <T>(path: string, body?: object) => Promise<T>;

function serverAt(folder: string): Server | undefined {
  const { address, key } = inFolder(folder);
  if (!existsSync(address) || !existsSync(key)) return undefined;
  const base = readFileSync(address, 'utf8').trim();
  const headers = { Authorization: `Bearer ${readKey(key)}` };
  return async <T>(path: string, body?: object) =>
    asked<T>(
      await fetch(
        base + path,
        body === undefined
          ? { headers }
          : {
              method: 'POST',
              headers: { ...headers, 'Content-Type': 'application/json' },
              body: JSON.stringify(body),
            },
      ),
    );
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
    (server) => server<Bundle>('/api/export'),
  );

export const importMemory = (bundle: Bundle) =>
  withMemory(
    (db, household) => db.transaction((tx) => importBundle(tx, { household }, bundle, systemClock.now())),
    (server) => server<Imported>('/api/import', bundle),
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
    (server) => server<{ file: string; counts: Counts }>('/api/backup', {}),
  );
  if (!to) return made;
  copyFileSync(made.file, to);
  return { ...made, file: to };
}

export async function restore(file: string): Promise<Restored> {
  const { folder, url } = here();
  return url
    ? restoreServer(url, file, folder, systemClock.now())
    : restoreFolder(folder, file, systemClock.now());
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
    (server) => server('/api/verify'),
  );
}

/** Where memories lie that `npm start` and `npm run demo` make. */
const USUAL = ['.data/escale', '.data/demo'];

/** Asked of each server that runs, of the memory named or of the usual ones: its door is opened or shut by the key beside it. */
async function atDoors<T>(path: string, body: object = {}, usual: readonly string[] = USUAL): Promise<T[]> {
  const named = process.env.ESCALE_DATA;
  const answers: T[] = [];
  for (const folder of named === undefined ? usual : [named]) {
    const server = serverAt(resolve(folder));
    try {
      if (server) answers.push(await server<T>(path, body));
    } catch (error) {
      // An address that was left by a server that is no more.
      if (error instanceof Refused) throw error;
    }
  }
  if (answers.length === 0)
    throw new Refused(['No server of this memory runs. Start it first: npm start (or npm run demo)']);
  return answers;
}

/** Addresses that let one browser in, once: of each server that runs. */
export const enter = async (): Promise<string[]> =>
  (await atDoors<{ address: string }>('/api/door/address')).map(({ address }) => address);

/** Another household on the server that runs. */
export const newHousehold = async (name: string): Promise<{ name: string; address: string }> =>
  (await atDoors<{ name: string; address: string }>('/api/households', { name }, USUAL.slice(0, 1)))[0];

/** Every browser is out; each comes in again by an address of its own. */
export const lock = (): Promise<object[]> => atDoors<object>('/api/door/lock');
