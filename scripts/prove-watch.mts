// The watch under load: thousands due at once, one that is poisoned, a hundred thousand that are not due, and how quickly pages come.
import { sql } from 'drizzle-orm';
import { pino } from 'pino';
import { v7 as uuid } from 'uuid';
import { assess } from '@escale/core/trip';
import { simulatedClock } from '../server/src/clock';
import { HOME } from '../server/src/db/household';
import { openDb, openInMemory, type OpenDb } from '../server/src/db/open';
import { simulatedTelephone } from '../server/src/standins/telephone';
import { sweepDue } from '../server/src/watch/sweep';
import { HAS_POSTGRES, startPostgres } from '../server/test/postgres';
import { copies, freePort, part, Proved, START, tamper, TRIP } from './proving.mjs';

const say = (text: string) => console.log(text);
const must = (ok: boolean, what: string) => {
  if (ok) return;
  console.error(`NOT MET: ${what}`);
  process.exitCode = 1;
};
const postgres = HAS_POSTGRES ? await startPostgres() : undefined;
if (!postgres) say('PostgreSQL is not installed: its figures are missing');

/** The server’s memory is filled while it is down: a folder has one process. */
async function filled(server: Proved, url: string | undefined, fill: (memory: OpenDb) => Promise<void>) {
  await server.stop();
  const memory = await openDb({ folder: `${server.root}/memory`, ...(url ? { url } : {}) });
  await fill(memory);
  await memory.close();
}

const file = async (server: Proved) => {
  const { body } = await server.ask('/api/plans', { id: uuid(), trip: TRIP });
  return body as { id: string; times: { overdue: number } };
};

/** Thousands due at once. Health and pages are asked all the while. */
async function storm(name: string, url?: string): Promise<void> {
  const N = 5000;
  const server = new Proved(await freePort(), url ? { DATABASE_URL: url } : {});
  await server.start();
  const plan = await file(server);
  const due = plan.times.overdue;
  await filled(server, url, async ({ db }) => {
    await copies(db, plan.id, N, due);
    // Ten of them are overdue for an hour already: theirs is the alarm.
    await tamper(
      db,
      sql`WITH ten AS (
        UPDATE deadline SET kind = 'alarm' WHERE plan IN (
          SELECT plan FROM deadline WHERE kind = 'overdue' AND is_open ORDER BY id DESC LIMIT 10) RETURNING plan)
      UPDATE plan_event SET data = jsonb_set(data, '{times,overdue}',
        to_jsonb((data #>> '{times,overdue}')::bigint - 3600000)) FROM ten WHERE plan_event.plan = ten.plan`,
    );
  });
  await server.start();
  const from = performance.now();
  const asked: number[] = [],
    looked: number[] = [];
  let over = false;
  const watching = (async () => {
    while (!over) {
      const at = performance.now();
      await server.ask('/api/health');
      asked.push(performance.now() - at);
      await new Promise((next) => setTimeout(next, 20));
    }
  })();
  // Answered only when all is told; the server may be stopped before.
  let acted = false;
  const acting = server.setClock(due + 1000).then(() => {
    acted = true;
  });
  let first: number | undefined;
  let last = 0;
  const calls = async () =>
    (await server.ask('/api/standins/telephone')).body as unknown as { calls: { text: string }[] };
  const before = (await calls()).calls[0]?.text;
  let firstText = '';
  for (;;) {
    const body = await calls();
    const at = performance.now();
    await server.ask('/api/watch');
    looked.push(performance.now() - at);
    const told = body.calls.filter((c) => /overdue:|still not back/.test(c.text));
    if (first === undefined && told.length > 0 && body.calls[0].text !== before) {
      first = performance.now() - from;
      firstText = told.at(-1)!.text;
    }
    last = performance.now() - from;
    if (acted || last > 300_000) break;
    await new Promise((next) => setTimeout(next, 50));
  }
  over = true;
  await watching;
  await acting;
  await filled(server, url, async ({ db }) => {
    const { rows } = (await db.execute(
      sql`SELECT count(*)::int AS n, count(DISTINCT plan)::int AS plans FROM message
        WHERE kind IN ('overdue', 'alarm') AND delivered_at IS NOT NULL`,
    )) as unknown as { rows: { n: number; plans: number }[] };
    must(
      rows[0].n === N + 1 && rows[0].plans === N + 1,
      `${name}: each of ${N + 1} told once, not ${JSON.stringify(rows[0])}`,
    );
  });
  const p99 = part(asked, 0.99);
  say(
    `${N.toLocaleString('en')} due at once on ${name}: the first told after ${((first ?? 0) / 1000).toFixed(1)} s ` +
      `(${/still not/.test(firstText) ? 'an alarm' : 'not the most urgent'}), the last after ${(last / 1000).toFixed(0)} s; ` +
      `health meanwhile ${part(asked, 0.5).toFixed(0)} ms median, ${p99.toFixed(0)} ms p99; ` +
      `the page of the watch ${part(looked, 0.5).toFixed(0)} ms median, ${part(looked, 0.99).toFixed(0)} ms p99`,
  );
  must(p99 < 50, `${name}: health within 50 ms`);
  must(/still not/.test(firstText), `${name}: the most urgent first`);
  must(last < (url ? 40_000 : 90_000), `${name}: the last within ${url ? 40 : 90} s`);
  await server.end();
}

const only = process.argv[2];
const wanted = (part: string) => only === undefined || only === part;
if (wanted('storm')) await storm('PGlite');
if (wanted('storm') && postgres) await storm('PostgreSQL', postgres.fresh());

/** How quickly pages come, and a filing. */
async function pages(name: string, url?: string): Promise<void> {
  const server = new Proved(await freePort(), url ? { DATABASE_URL: url } : {});
  await server.start();
  const plan = await file(server);
  await filled(server, url, async ({ db }) => {
    await copies(db, plan.id, 60, plan.times.overdue);
    await db.execute(sql`
      INSERT INTO thing (id, household, type, version, schema, doc, created_at, updated_at)
      SELECT gen_random_uuid(), household, type, version, schema, doc, created_at, updated_at
      FROM thing, generate_series(1, 30) WHERE type = 'gear' LIMIT 600`);
  });
  await server.start();
  const timed = async (path: string) => {
    const took: number[] = [];
    for (let i = 0; i < 40; i += 1) {
      const from = performance.now();
      await server.ask(path);
      took.push(performance.now() - from);
    }
    return part(took, 0.5);
  };
  const plans = await timed('/api/plans'),
    things = await timed('/api/things');
  const filing: number[] = [];
  for (let i = 0; i < 10; i += 1) {
    const from = performance.now();
    await server.ask('/api/plans', { id: uuid(), trip: TRIP, amends: plan.id });
    filing.push(performance.now() - from);
  }
  say(
    `${name}: a page of 50 plans ${plans.toFixed(0)} ms, over 600 things ${things.toFixed(0)} ms, ` +
      `a filing ${part(filing, 0.5).toFixed(0)} ms (medians)`,
  );
  await server.end();
}
if (wanted('pages')) await pages('PGlite');
if (wanted('pages') && postgres) await pages('PostgreSQL', postgres.fresh());

/** A hundred thousand open plans, nothing due. */
async function many(name: string, { db, close }: OpenDb): Promise<void> {
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
    log: pino({ level: 'silent' }),
    base: '',
    reckon: async (input: Parameters<typeof assess>[0]) => assess(input),
    channels: [simulatedTelephone(db)],
  };
  const took: number[] = [];
  for (let i = 0; i < 50; i += 1) {
    const from = performance.now();
    await sweepDue(services);
    took.push(performance.now() - from);
  }
  say(
    `100,000 open plans on ${name}, nothing due: a sweep takes ` +
      `${part(took, 0.5).toFixed(1)} ms median, ${part(took, 0.95).toFixed(1)} ms p95`,
  );
  await close();
}
if (wanted('many')) await many('PGlite', await openInMemory());
if (wanted('many') && postgres) await many('PostgreSQL', await openDb({ folder: '', url: postgres.fresh() }));

/** One that can't be read, before a thousand others. */
if (wanted('poison')) {
  const server = new Proved(await freePort());
  await server.start(START);
  const plan = await file(server);
  const due = plan.times.overdue;
  await filled(server, undefined, async ({ db }) => {
    const [bad] = await copies(db, plan.id, 1000, due);
    await tamper(db, sql`UPDATE plan_version SET schema = 999 WHERE plan = ${bad}`);
    await db.execute(sql`UPDATE deadline SET due_at = due_at - interval '1 hour' WHERE plan = ${bad}`);
  });
  await server.start();
  await server.setClock(due + 1000);
  await server.stop();
  await filled(server, undefined, async ({ db }) => {
    const { rows } = (await db.execute(
      sql`SELECT count(DISTINCT plan)::int AS n FROM message WHERE kind = 'overdue' AND delivered_at IS NOT NULL`,
    )) as unknown as { rows: { n: number }[] };
    say(`one that can’t be read before 999 others and the first: ${rows[0].n} told on time`);
    must(rows[0].n === 1000, 'a poisoned plan holds up no other');
  });
  await server.end();
}
postgres?.end();
