// The watch under load and under the knife: kills at random moments, and a hundred thousand open plans.
import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import { openDb } from '../server/src/db/open';
import { HOME } from '../server/src/db/seed';
import { simulatedClock } from '../server/src/clock';
import { simulatedTelephone } from '../server/src/standins/telephone';
import { simulatedWeather } from '../server/src/standins/weather';
import { sweepDeadlines } from '../server/src/watch/watcher';
import { pino } from 'pino';

const PORT = 4288,
  base = `http://localhost:${PORT}`,
  START = Date.UTC(2026, 4, 11, 15),
  ROUNDS = 12;
const root = mkdtempSync(join(tmpdir(), 'escale-prove-'));
const TRIP = '01890000-0000-7000-8000-000000000055';

async function start(at: number): Promise<ChildProcess> {
  const child = spawn(process.execPath, ['server/dist/main.js'], {
    stdio: ['ignore', 'pipe', 'inherit'],
    env: {
      ...process.env,
      PORT: String(PORT),
      ESCALE_DEMO: '1',
      ESCALE_DATA: join(root, 'kill'),
      ESCALE_CLOCK: new Date(at).toISOString(),
    },
  });
  await new Promise<void>((ready, failed) => {
    child.stdout!.on('data', (c: Buffer) => String(c).includes('is ready') && ready());
    child.once('exit', () => failed(new Error('ended')));
  });
  return child;
}
const end = (child: ChildProcess, signal: NodeJS.Signals) =>
  new Promise((done) => {
    child.once('exit', done);
    child.kill(signal);
  });
const ask = async (path: string, body?: unknown) =>
  (
    await fetch(
      base + path,
      body === undefined
        ? {}
        : { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) },
    )
  ).json() as Promise<Record<string, unknown>>;

// Kills spread over the second in which the watch acts: whatever was acknowledged is there, and each message is there once.
let server = await start(START);
const plan = (await ask('/api/plans', { id: uuid(), trip: TRIP })) as { times: { overdue: number } };
let acknowledged = 0;
for (let round = 0; round < ROUNDS; round += 1) {
  const contact = uuid();
  const answer = await ask('/api/commands', {
    id: uuid(),
    device: uuid(),
    type: 'contact',
    thing: contact,
    baseVersion: 0,
    deed: { kind: 'create', doc: { id: contact, name: `Contact ${round}` } },
  });
  if (answer.id === contact) acknowledged += 1;
  const acting = ask('/api/clock', { at: new Date(plan.times.overdue + round * 1000).toISOString() }).catch(
    () => undefined,
  );
  await new Promise((go) => setTimeout(go, round * 7));
  await end(server, 'SIGKILL');
  await acting;
  server = await start(plan.times.overdue + round * 1000);
}
await ask('/api/clock', { at: new Date(plan.times.overdue + 60_000).toISOString() });
const calls = ((await ask('/api/standins/telephone')) as { calls: { text: string }[] }).calls.filter((c) =>
  c.text.includes('is overdue'),
).length;
const things = ((await ask('/api/things')) as { things: { doc: { name?: string } }[] }).things.filter((t) =>
  t.doc.name?.startsWith('Contact '),
).length;
await end(server, 'SIGTERM');
console.log(
  `${ROUNDS} kills around a deadline: the message was sent ${calls} time, ${things} of ${acknowledged} acknowledged writes kept`,
);
if (calls !== 1 || things !== acknowledged) process.exitCode = 1;

// A hundred thousand open plans, a hundred of them due.
const { db, close } = await openDb({ folder: join(root, 'many') });
await db.execute(sql.raw(`INSERT INTO household (id, name, created_at) VALUES ('${HOME}', 'h', now())`));
await db.execute(
  sql.raw(
    `INSERT INTO plan (id, household, trip, title, zone, version, is_open, created_at, updated_at)
     SELECT gen_random_uuid(), '${HOME}', gen_random_uuid(), 'plan ' || n, 'UTC', 1, true, now(), now()
     FROM generate_series(1, 100000) n`,
  ),
);
await db.execute(
  sql.raw(
    `INSERT INTO deadline (id, plan, kind, due_at, is_open)
     SELECT gen_random_uuid(), id, 'late',
       '2030-01-01'::timestamptz + (row_number() OVER ()) * interval '1 second', true FROM plan`,
  ),
);
await db.execute(sql.raw('ANALYZE'));
const services = {
  db,
  clock: simulatedClock(Date.UTC(2029, 0, 1), false),
  household: HOME,
  log: pino({ level: 'silent' }),
  base: '',
  weather: simulatedWeather(1),
  telephone: simulatedTelephone(),
};
const took: number[] = [];
for (let i = 0; i < 50; i += 1) {
  const from = performance.now();
  await sweepDeadlines(services);
  took.push(performance.now() - from);
}
took.sort((a, b) => a - b);
console.log(
  `100,000 open plans, nothing due: a sweep takes ${took[25].toFixed(1)} ms median, ${took[47].toFixed(1)} ms p95`,
);
await close();
rmSync(root, { recursive: true, force: true });
