import { existsSync, mkdirSync, readFileSync, renameSync, rmSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { PGlite } from '@electric-sql/pglite';
import { sql, type ExtractTablesWithRelations } from 'drizzle-orm';
import type { PgDatabase, PgQueryResultHKT } from 'drizzle-orm/pg-core';
import * as schema from './schema';
import { DURABLE_PARAMS, DurableFS } from './durable-fs';
import { lockFolder } from './lock';

/** The one database type: PGlite in a folder and a PostgreSQL server both are one. Inside a transaction use only its `tx`. */
export type Db = PgDatabase<PgQueryResultHKT, typeof schema, ExtractTablesWithRelations<typeof schema>>;

export interface OpenDb {
  db: Db;
  close(): Promise<void>;
}

/** Found from the source and from the bundle alike: the folder that holds `migrations`. */
function migrationsFolder(): string {
  let folder = dirname(fileURLToPath(import.meta.url));
  while (!existsSync(join(folder, 'migrations', 'meta', '_journal.json'))) {
    const up = dirname(folder);
    if (up === folder) throw new Error('The folder of migrations was not found beside the server.');
    folder = up;
  }
  return join(folder, 'migrations');
}

/** Open the memory: a PostgreSQL server when `url` is given, else PGlite in `folder` (made on first use). */
export async function openDb({ folder, url }: { folder: string; url?: string }): Promise<OpenDb> {
  return url ? openPostgres(url) : openFolder(resolve(folder));
}

async function openFolder(folder: string): Promise<OpenDb> {
  const unlock = lockFolder(folder);
  try {
    if (!existsSync(join(folder, 'PG_VERSION'))) await makeFolder(folder);
    const client = await openPglite(folder);
    const { drizzle } = await import('drizzle-orm/pglite');
    const { migrate } = await import('drizzle-orm/pglite/migrator');
    const db = drizzle(client, { schema });
    await migrate(db, { migrationsFolder: migrationsFolder() });
    return {
      db,
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
  const client = await PGlite.create();
  const { drizzle } = await import('drizzle-orm/pglite');
  const { migrate } = await import('drizzle-orm/pglite/migrator');
  const db = drizzle(client, { schema });
  await migrate(db, { migrationsFolder: migrationsFolder() });
  return { db, close: () => client.close() };
}

/** Made beside its place and renamed, so that a kill while making leaves nothing half made. */
async function makeFolder(folder: string): Promise<void> {
  const making = `${folder}.tmp`;
  rmSync(making, { recursive: true, force: true });
  mkdirSync(making, { recursive: true });
  const client = await openPglite(making);
  await client.exec('CHECKPOINT');
  await client.close();
  if (existsSync(folder)) rmSync(folder, { recursive: true });
  renameSync(making, folder);
}

async function openPglite(folder: string): Promise<PGlite> {
  try {
    return await PGlite.create({ fs: new DurableFS(folder), startParams: DURABLE_PARAMS });
  } catch (error) {
    const made = existsSync(join(folder, 'PG_VERSION'))
      ? readFileSync(join(folder, 'PG_VERSION'), 'utf8').trim()
      : 'none';
    throw new Error(
      `The database in ${folder} could not be opened (version file: ${made}). Nothing was changed. ` +
        `Put it aside, copy a backup in its place or start with an empty folder.`,
      { cause: error },
    );
  }
}

/** One number for all Escale servers: whoever holds it migrates, the others wait. */
const MIGRATION_LOCK = 7_313_529;

async function openPostgres(url: string): Promise<OpenDb> {
  const { default: pg } = await import('pg');
  const { drizzle } = await import('drizzle-orm/node-postgres');
  const { migrate } = await import('drizzle-orm/node-postgres/migrator');
  const pool = new pg.Pool({ connectionString: url });
  const one = await pool.connect();
  try {
    await one.query('SELECT pg_advisory_lock($1)', [MIGRATION_LOCK]);
    await migrate(drizzle(one, { schema }), { migrationsFolder: migrationsFolder() });
    await one.query('SELECT pg_advisory_unlock($1)', [MIGRATION_LOCK]);
  } finally {
    one.release();
  }
  return { db: drizzle(pool, { schema }), close: () => pool.end() };
}

/** A row count that is a number on both drivers. */
export const countAll = sql<number>`count(*)::int`;
