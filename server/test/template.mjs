// A database made once for all test files, keyed by its migrations: opening a copy takes a second instead of ten.
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { buildServer } from '../../scripts/setup.mjs';

const root = fileURLToPath(new URL('../..', import.meta.url));
const migrations = join(root, 'server/migrations');

export const templatePath = () => {
  const hash = createHash('sha256');
  for (const name of readdirSync(migrations)
    .filter((n) => n.endsWith('.sql'))
    .sort())
    hash.update(readFileSync(join(migrations, name)));
  return join(root, '.cache', `template-${hash.digest('hex').slice(0, 16)}.tar`);
};

export default async function makeTemplate() {
  // Threads run what was built.
  await buildServer();
  const path = templatePath();
  if (existsSync(path)) return;
  const { PGlite } = await import('@electric-sql/pglite');
  const { drizzle } = await import('drizzle-orm/pglite');
  const { migrate } = await import('drizzle-orm/pglite/migrator');
  const client = await PGlite.create();
  await migrate(drizzle(client), { migrationsFolder: migrations });
  mkdirSync(join(root, '.cache'), { recursive: true });
  writeFileSync(path, Buffer.from(await (await client.dumpDataDir('none')).arrayBuffer()));
  await client.close();
}
