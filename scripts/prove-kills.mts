// Under the knife: a hundred kills under four writers on each driver; four servers on one PostgreSQL, killed and cut off.
import { setTimeout as after } from 'node:timers/promises';
import { sql } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import { openDb } from '../server/src/db/open';
import { HAS_POSTGRES, startPostgres } from '../server/test/postgres';
import { copies, freePort, Proved, tamper, TRIP } from './proving.mjs';

const KILLS = Number(process.env.ESCALE_KILLS ?? 100);
const WRITERS = 4;
const say = (text: string) => console.log(text);
const must = (ok: boolean, what: string) => {
  if (ok) return;
  console.error(`NOT MET: ${what}`);
  process.exitCode = 1;
};
const only = process.argv[2];
const wanted = (part: string) => only === undefined || only === part;
const postgres = HAS_POSTGRES ? await startPostgres() : undefined;
if (!postgres) say('PostgreSQL is not installed: its figures are missing');

/** Sends until it is answered, with the same id, as a phone does. */
async function insist(
  servers: Proved[],
  path: string,
  body: unknown,
  ended: () => boolean,
): Promise<number | undefined> {
  for (let i = 0; !ended(); i += 1) {
    try {
      const { status } = await servers[i % servers.length].ask(path, body);
      return status;
    } catch {
      await after(20);
    }
  }
  return undefined;
}

async function kills(name: string, url?: string): Promise<void> {
  const server = new Proved(await freePort(), { ...(url ? { DATABASE_URL: url } : {}), LOG_LEVEL: 'info' });
  await server.start('real');
  let over = false;
  const acknowledged: string[] = [];
  let others = 0;
  const write = async () => {
    const device = uuid();
    while (!over) {
      const thing = uuid();
      const status = await insist(
        [server],
        '/api/commands',
        {
          id: uuid(),
          device,
          type: 'contact',
          thing,
          baseVersion: 0,
          deed: { kind: 'create', doc: { id: thing, name: 'Written' } },
        },
        () => over,
      );
      if (status === 200) acknowledged.push(thing);
      else if (status !== undefined) others += 1;
    }
  };
  const writing = Promise.all(Array.from({ length: WRITERS }, write));
  for (let i = 0; i < KILLS; i += 1) {
    await after((i * 37) % 400);
    await server.stop('SIGKILL');
    await server.start('real');
  }
  over = true;
  await writing;
  const { body } = await server.ask('/api/things');
  const there = new Map((body.things as { id: string; version: number }[]).map((t) => [t.id, t.version]));
  const lost = acknowledged.filter((id) => !there.has(id)).length;
  const doubled = acknowledged.filter((id) => (there.get(id) ?? 1) > 1).length;
  say(
    `${KILLS} kills under ${WRITERS} writers on ${name}: ${acknowledged.length.toLocaleString('en')} writes ` +
      `acknowledged, ${lost} lost, ${doubled} doubled, ${others} other answers`,
  );
  must(lost === 0 && doubled === 0 && others === 0, `${name}: nothing lost or doubled`);
  await server.end();
}
if (wanted('pglite')) await kills('PGlite');
if (wanted('postgres') && postgres) await kills('PostgreSQL', postgres.fresh());

/** Four servers share 2,000 deadlines, while servers are killed and the database is restarted. */
async function four(): Promise<void> {
  const N = 2000;
  const url = postgres!.fresh();
  const servers: Proved[] = [];
  for (let i = 0; i < 4; i += 1) servers.push(new Proved(await freePort(), { DATABASE_URL: url }));
  await servers[0].start('real');
  const { body: plan } = await servers[0].ask('/api/plans', { id: uuid(), trip: TRIP });
  const times = plan.times as { overdue: number };
  must(typeof times?.overdue === 'number', 'a plan is filed');
  const memory = await openDb({ folder: '', url });
  // Spread over the next seconds, so that kills fall in between.
  const ids = await copies(memory.db, plan.id as string, N, Date.now());
  await tamper(
    memory.db,
    sql`UPDATE plan_event SET data = jsonb_set(data, '{times,overdue}',
    to_jsonb(${Date.now() - 1000}::bigint)) WHERE plan IN (SELECT plan FROM deadline WHERE due_at < now() + interval '1 minute')`,
  );
  await memory.db.execute(sql`UPDATE deadline SET due_at = now() + (random() * 20) * interval '1 second'
    WHERE due_at < now() + interval '1 minute'`);
  await memory.close();
  await Promise.all(servers.slice(1).map((s) => s.start('real')));
  let over = false,
    answered = 0,
    failed = 0;
  const users = Promise.all(
    Array.from({ length: 4 }, async () => {
      while (!over) {
        const status = await insist(servers, '/api/plans', undefined, () => over);
        answered += 1;
        if (status !== undefined && status >= 500) failed += 1;
        await after(50);
      }
    }),
  );
  for (let i = 0; i < 8; i += 1) {
    await after(2000);
    if (i % 3 === 2) postgres!.restart();
    const victim = servers[i % servers.length];
    await victim.stop('SIGKILL');
    await victim.start('real');
  }
  await after(15_000);
  over = true;
  await users;
  const check = await openDb({ folder: '', url });
  const { rows } = (await check.db.execute(sql`
    SELECT (SELECT count(*)::int FROM message WHERE kind = 'overdue' AND delivered_at IS NOT NULL) AS told,
      (SELECT count(DISTINCT plan)::int FROM message WHERE kind = 'overdue') AS plans,
      (SELECT count(*)::int FROM phone_call WHERE text LIKE '%overdue: plan%') AS rung`)) as unknown as {
    rows: { told: number; plans: number; rung: number }[];
  };
  await check.close();
  const { told, plans, rung } = rows[0];
  say(
    `four servers on one PostgreSQL, ${N.toLocaleString('en')} deadlines, 8 kills and 2 restarts ` +
      `of the database: ${told} told, of ${plans} plans, ${rung} calls; ${answered} requests answered, ${failed} with an error`,
  );
  must(told === ids.length && plans === ids.length && rung === ids.length, 'each told once');
  must(failed === 0, 'no errors to users');
  for (const server of servers) await server.end();
}
if (wanted('four') && postgres) await four();
postgres?.end();
