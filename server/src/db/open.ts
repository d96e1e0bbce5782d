import { existsSync, mkdirSync, renameSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { sql, type ExtractTablesWithRelations } from 'drizzle-orm';
import { drizzle } from 'drizzle-orm/pglite';
import { migrate } from 'drizzle-orm/pglite/migrator';
import type { PgDatabase, PgQueryResultHKT } from 'drizzle-orm/pg-core';
import { FolderRefused, inFolder, ownersOnly, takeFolder } from './folder';
import { lockFolder } from './lock';
import { asPglite, openThread, type PgliteClient } from './pglite-client';
import { grantRights, ROLE, takeRole } from './role';
import * as schema from './schema';
import { whenThere } from './transact';
import { upwards } from './worker-file';

/** The one database type: PGlite in a folder and a PostgreSQL server both are one. Inside a transaction use only its `tx`. */
export type Db = PgDatabase<PgQueryResultHKT, typeof schema, ExtractTablesWithRelations<typeof schema>>;

export interface OpenDb {
  db: Db;
  /** How often a commit was forced to disk, where this process does it. */
  syncs(): Promise<number>;
  close(): Promise<void>;
}

/** What opens a memory is told what it has to wait for, and what went wrong beside. */
export interface Telling {
  waits?: (error: unknown) => void;
  fails?: (error: unknown) => void;
  /** The database gave no role without rights over what is on record: triggers alone refuse to change it. */
  unguarded?: () => void;
}

const migrationsFolder = () => join(upwards('migrations', 'meta', '_journal.json'), '..', '..');

/** Open the memory: a PostgreSQL server when `url` is given, else PGlite in `folder` (made on first use). */
export async function openDb(
  { folder, url }: { folder: string; url?: string },
  telling: Telling = {},
): Promise<OpenDb> {
  return url ? openPostgres(url, telling) : openFolder(resolve(folder));
}

/** Makes the folder where it is not there, and locks it for this process. What is written in it is nobody's but the owner's. */
export function holdFolder(folder: string): () => void {
  process.umask(0o077);
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  return lockFolder(folder);
}

/** The database at a path inside a folder that is held, brought up to today. */
export async function openAt(folder: string, path: string): Promise<{ db: Db; client: PgliteClient }> {
  const client = await openIn(folder, path);
  const db = drizzle(asPglite(client), { schema });
  await migrate(db, { migrationsFolder: migrationsFolder() });
  return { db, client };
}

async function openFolder(folder: string): Promise<OpenDb> {
  const unlock = holdFolder(folder);
  try {
    if (!takeFolder(folder)) await makeDatabase(folder);
    const { db, client } = await openAt(folder, inFolder(folder).db);
    await takeRole(db);
    // The engine makes some of its files for all to read, whatever it is told.
    ownersOnly(folder);
    return {
      db,
      syncs: client.syncs,
      close: async () => {
        await client.close();
        unlock();
      },
    };
  } catch (error) {
    unlock();
    throw error;
  }
}

/** A memory that lies in this process alone and goes with it. */
export async function openInMemory(): Promise<OpenDb> {
  const client = await openThread();
  const db = drizzle(asPglite(client), { schema });
  await migrate(db, { migrationsFolder: migrationsFolder() });
  await takeRole(db);
  return { db, syncs: client.syncs, close: client.close };
}

/** Made beside its place and renamed, so that a kill while making leaves nothing half made. */
async function makeDatabase(folder: string): Promise<void> {
  const { making, db } = inFolder(folder);
  mkdirSync(making, { mode: 0o700 });
  const client = await openIn(folder, making);
  await client.exec('CHECKPOINT');
  await client.close();
  renameSync(making, db);
}

async function openIn(folder: string, path: string): Promise<PgliteClient> {
  try {
    return await openThread({ folder: path });
  } catch (error) {
    if (!existsSync(path)) throw error;
    throw new FolderRefused(
      `The database in ${folder} could not be opened. Nothing was changed. ` +
        `Put a backup in its place (npm run escale -- restore), or start with an empty folder.`,
      { cause: error },
    );
  }
}

/** One number for all Escale servers: whoever holds it migrates, the others wait. */
const MIGRATION_LOCK = 7_313_529;
/** Statements that hang are ended; a request has long given up by then. */
const PG_PATIENCE = { connectionTimeoutMillis: 5_000, statement_timeout: 60_000 };

async function openPostgres(url: string, { waits, fails, unguarded }: Telling): Promise<OpenDb> {
  const { CarefulPool } = await import('./careful-pool');
  const { drizzle } = await import('drizzle-orm/node-postgres');
  const { migrate } = await import('drizzle-orm/node-postgres/migrator');
  const settings = { connectionString: url, ...PG_PATIENCE };
  const owner = new CarefulPool({ ...settings, max: 1 });
  const one = await whenThere(
    () => owner.connect(),
    (error) => waits?.(error),
  );
  let guarded: boolean;
  try {
    const db = drizzle(one, { schema });
    await one.query('SELECT pg_advisory_lock($1)', [MIGRATION_LOCK]);
    await migrate(db, { migrationsFolder: migrationsFolder() });
    guarded = await grantRights(db);
    await one.query('SELECT pg_advisory_unlock($1)', [MIGRATION_LOCK]);
  } finally {
    one.release();
    await owner.end();
  }
  if (!guarded) unguarded?.();
  const pool = new CarefulPool({ ...settings, ...(guarded ? { options: `-c role=${ROLE}` } : {}) });
  // A connection that breaks while nobody uses it is replaced by the next who asks; without a listener it would end the process.
  pool.on('error', (error) => fails?.(error));
  // One that breaks between two statements of a transaction tells its own client only; the next statement fails and is told.
  pool.on('connect', (client) => client.on('error', (error) => fails?.(error)));
  return { db: drizzle(pool, { schema }), syncs: async () => 0, close: () => pool.end() };
}

/** A row count that is a number on both drivers. */
export const countAll = sql<number>`count(*)::int`;
