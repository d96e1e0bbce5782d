// The drill: a server is filled and copied, its folder is lost, and the copy is put back, into a folder and into a PostgreSQL.
import { execFileSync } from 'node:child_process';
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { v7 as uuid } from 'uuid';
import { restoreFolder, restoreServer } from '../server/src/backup/restore';
import { HAS_POSTGRES, startPostgres } from '../server/test/postgres';
import { freePort, Proved, TRIP } from './proving.mjs';

const say = (text: string) => console.log(text);
const must = (ok: boolean, what: string) => {
  if (ok) return;
  console.error(`NOT MET: ${what}`);
  process.exitCode = 1;
};

const server = new Proved(await freePort());
await server.start('real');
const plan = (await server.ask('/api/plans', { id: uuid(), trip: TRIP })).body;
await server.ask(`/api/plans/${String(plan.id)}/deeds`, {
  id: uuid(),
  kind: 'under-way',
  madeAt: new Date().toISOString(),
});
const copy = (await server.ask('/api/backup', {})).body as { file: string; counts: Record<string, number> };
const kept = join(server.root, 'copy.gz');
execFileSync('cp', [copy.file, kept]);
await server.stop('SIGKILL');
const folder = join(server.root, 'memory');
rmSync(join(folder, 'db'), { recursive: true });

const same = (counts: Record<string, number>) => JSON.stringify(counts) === JSON.stringify(copy.counts);
const back = await restoreFolder(folder, kept, Date.now());
must(same(back.counts), 'the folder holds what the copy held');
await server.start('real');
const plans = (await server.ask('/api/plans')).body.plans as { id: string; state: string }[];
const { broken } = (await server.ask('/api/verify')).body as { broken: unknown[] };
must(plans.find((p) => p.id === plan.id)?.state === 'under-way', 'the plan is under way again');
must(broken.length === 0, 'its record holds together');
await server.end();
const rows = Object.values(copy.counts).reduce((sum, n) => sum + n, 0);
say(
  `a lost folder put back from its copy: ${rows} rows in ${Object.keys(copy.counts).length} tables, ` +
    'all counts the same, every record whole',
);
if (HAS_POSTGRES) {
  const again = new Proved(await freePort());
  await again.start('real');
  const { file, counts } = (await again.ask('/api/backup', {})).body as typeof copy;
  const postgres = await startPostgres();
  const there = await restoreServer(postgres.fresh(), file, folder, Date.now());
  must(JSON.stringify(there.counts) === JSON.stringify(counts), 'the PostgreSQL holds what the copy held');
  say('a folder’s copy put into a PostgreSQL: all counts the same');
  postgres.end();
  await again.end();
}
