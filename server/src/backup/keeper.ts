import { sql } from 'drizzle-orm';
import type { Logger } from 'pino';
import { MS } from '@escale/core/units';
import { inFolder } from '../db/folder';
import type { Db } from '../db/open';
import { ROOM_ENOUGH, roomIn } from '../db/room';
import { eraseAgain, type Gone } from '../erase/erase';
import { brokenChains, brokenVersions, type Broken } from '../plans/chain';
import { erasedIn, noteErased } from './erased-file';
import { HeadsFile } from './heads';
import type { Counts } from './copy';
import { copyNow, latestCopy, roll, STALE } from './roll';

/** What is known of how the memory is kept. Instants are epoch ms of this machine. */
export interface Kept {
  /** When the latest copy was made. */
  backup?: { at: number };
  stale: boolean;
  /** Records that do not hold together, as of the last look. */
  broken: number;
}

export interface Keeper {
  /** The first look at all records, when it is through. */
  first: Promise<void>;
  kept(): Kept;
  /** A copy beside the rolling ones, now. */
  copy(): Promise<{ file: string; counts: Counts }>;
  /** Noted outside the database before it stands: this is erased for good. */
  erased(gone: readonly Gone[]): void;
  /** Look through all records now. */
  verify(): Promise<Broken[]>;
  stop(): Promise<void>;
}

const HEADS_EVERY = MS.second;
const COPIES_EVERY = 5 * MS.minute;
const VERIFIED_EVERY = MS.hour;
const TIDIED_EVERY = MS.day;

/** Done again and again, one at a time; a failure is told and tried again. */
function repeat(work: () => Promise<unknown>, every: number, failed: (error: unknown) => void) {
  let going: Promise<unknown> = Promise.resolve();
  let over = false;
  let waits = false;
  const once = () => {
    // What takes longer than its turn is not queued up behind itself.
    if (over || waits) return going;
    waits = true;
    going = going
      .then(work)
      .catch(failed)
      .finally(() => {
        waits = false;
      });
    return going;
  };
  const timer = setInterval(once, every);
  return {
    once,
    stop: async () => {
      over = true;
      clearInterval(timer);
      await going;
    },
  };
}

/**
 * Keeps a memory safe while the server runs: notes its heads outside the database, copies it each hour, and looks each hour, and
 * once at the start, whether every record still holds together. Nobody waits for it: the watch comes first.
 * @param folder is there, and held by this process: two that keep one folder would write over each other
 * @param tidies does what a server of a database does by itself: counts its rows, without which it looks for few things in long
 *   ways, and takes back the room of what was changed
 */
export function keepMemory(
  { db, log }: { db: Db; log: Logger },
  folder: string,
  { now = Date.now, tidies = false }: { now?: () => number; tidies?: boolean } = {},
): Keeper {
  const { backups, heads: file, erased } = inFolder(folder);
  const heads = new HeadsFile(file);
  const began = now();
  let broken: Broken[] = [];
  let versions: Broken[] = [];
  /** Filed versions are large: of plans that nothing has happened to since, what was found before stands. */
  const ending = new AbortController();
  const look = async (since?: Date) => {
    const { signal } = ending;
    const found = await brokenVersions(db, { ...(since ? { since } : {}), signal });
    const before = since ? versions.filter((v) => !found.some((f) => f.plan === v.plan)) : [];
    versions = [...before, ...found];
    broken = [...(await brokenChains(db, heads.heads(), { signal })), ...versions];
    for (const one of broken) log.error(one, 'the record of a plan does not hold together');
    return broken;
  };
  const said = (what: string) => (error: unknown) => {
    if (!ending.signal.aborted) log.error({ err: error }, what);
  };
  // What was erased and is there again came by a copy; a plan that was open in it may have ended since.
  const forget = () => eraseAgain(db, erasedIn(erased), now());
  // Before anything is noted anew: what is missing now was there when it was noted.
  let interrupted = false;
  const first = look()
    .then(() => heads.note(db))
    .catch((error: unknown) => {
      interrupted = ending.signal.aborted;
      said('the records could not be looked through')(error);
    })
    .then(forget)
    .then(() => undefined, said('what was erased could not be erased again'));
  const noting = repeat(
    () => first.then(() => (interrupted ? undefined : heads.note(db))),
    HEADS_EVERY,
    said('the heads could not be noted'),
  );
  const copy = async () => {
    // The last of a disk is not for copies.
    if (roomIn(folder) >= ROOM_ENOUGH) await roll(db, backups, now());
  };
  const copying = repeat(copy, COPIES_EVERY, said('the memory could not be copied'));
  const looking = repeat(
    async () => {
      await look(new Date(now() - 2 * VERIFIED_EVERY));
      await forget();
    },
    VERIFIED_EVERY,
    said('the records could not be looked through'),
  );
  void copying.once();
  const tidying = repeat(
    async () => {
      if (tidies) await db.execute(sql`VACUUM (ANALYZE)`);
    },
    TIDIED_EVERY,
    said('the memory could not be tidied'),
  );
  void first.then(tidying.once);
  return {
    first,
    kept: () => {
      const at = latestCopy(backups);
      return {
        ...(at === undefined ? {} : { backup: { at } }),
        stale: now() - (at ?? began) > STALE,
        broken: broken.length,
      };
    },
    copy: () => copyNow(db, backups, now()),
    erased: (gone) => noteErased(erased, gone),
    verify: () => look(),
    stop: async () => {
      ending.abort();
      await Promise.all([first, noting.stop(), copying.stop(), looking.stop(), tidying.stop()]);
      if (!interrupted) await heads.note(db);
    },
  };
}
