// A club's server: a hundred thousand open plans in two thousand households, and two hundred browsers that listen.
import { get, type IncomingMessage } from 'node:http';
import { sql } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import { openDb, type OpenDb } from '../server/src/db/open';
import { HAS_POSTGRES, startPostgres } from '../server/test/postgres';
import { copies, freePort, part, Proved, START, tamper, TRIP } from './proving.mjs';

const PLANS = 100_000,
  HOUSEHOLDS = 2000,
  LISTENING = 200;
/** Rows are made so many at a time. */
const AT_ONCE = 5000;

/** Every household with its plans, all of them shared with a club; nothing is due for a week. */
async function fill(
  { db }: OpenDb,
  plan: string,
  due: number,
): Promise<{ households: string[]; club: string }> {
  const households = Array.from({ length: HOUSEHOLDS }, () => uuid());
  const club = uuid();
  const made = sql`unnest(${sql.param(`{${[club, ...households].join(',')}}`)}::uuid[]) WITH ORDINALITY AS made (id, n)`;
  await db.execute(sql`INSERT INTO household (id, name, club, created_at)
    SELECT made.id, 'household ' || n, CASE WHEN n > 1 THEN ${club}::uuid END, now() FROM ${made}`);
  for (let i = 0; i < PLANS; i += AT_ONCE)
    await copies(db, plan, AT_ONCE, (n) => due + ((i + n) % PLANS) * 1000, { club, households, bare: true });
  await tamper(db, sql`ANALYZE`);
  return { households, club };
}

/** A browser of a household, that listens. */
interface Listener {
  cookie: string;
  household: string;
  /** When it was last told of a plan. */
  told: number;
  wake?: () => void;
}

async function listen(server: Proved, household: string, streams: IncomingMessage[]): Promise<Listener> {
  const { body } = await server.ask('/api/door/address', { household });
  const entered = await fetch(String(body.address), { redirect: 'manual' });
  const cookie = entered.headers.get('set-cookie')!.split(';')[0];
  const listener: Listener = { cookie, household, told: 0 };
  const answer = await new Promise<IncomingMessage>((done, failed) =>
    get(`${server.base}/api/stream`, { headers: { Cookie: cookie } }, done).on('error', failed),
  );
  streams.push(answer);
  answer.on('data', (part: Buffer) => {
    if (!part.includes('event: plans')) return;
    listener.told = performance.now();
    listener.wake?.();
  });
  return listener;
}

async function crowd(name: string, url?: string): Promise<void> {
  const server = new Proved(await freePort(), url ? { DATABASE_URL: url } : {});
  await server.start();
  const { id, times } = (await server.ask('/api/plans', { id: uuid(), trip: TRIP })).body as {
    id: string;
    times: { overdue: number };
  };
  await server.stop();
  const memory = await openDb({ folder: `${server.root}/memory`, ...(url ? { url } : {}) });
  const { households, club } = await fill(memory, id, times.overdue + 7 * 86_400_000);
  await memory.close();
  const began = performance.now();
  await server.start();
  const started = performance.now() - began;

  const streams: IncomingMessage[] = [];
  const listeners: Listener[] = [];
  for (const household of households.slice(0, LISTENING))
    listeners.push(await listen(server, household, streams));
  const asked = async (who: Listener, path: string, body?: unknown) => {
    const from = performance.now();
    const headers = { Cookie: who.cookie, 'Content-Type': 'application/json' };
    const answer = await fetch(
      server.base + path,
      body === undefined ? { headers } : { method: 'POST', headers, body: JSON.stringify(body) },
    );
    const text = await answer.text();
    if (!answer.ok) throw new Error(`${path}: ${answer.status} ${text.slice(0, 200)}`);
    return { took: performance.now() - from, body: JSON.parse(text) as { plans?: { id: string }[] } };
  };
  const lists: number[] = [];
  const firsts = new Map<Listener, string>();
  for (const one of listeners) {
    const { took, body } = await asked(one, '/api/plans');
    lists.push(took);
    firsts.set(one, body.plans![0].id);
  }
  // From the tap of one browser of a household to the line that another of it hears.
  const checkIn = (who: Listener) => {
    who.told = 0;
    const heard = new Promise<void>((wake) => (who.wake = wake));
    const from = performance.now();
    const deed = { id: uuid(), kind: 'check-in', madeAt: new Date(START).toISOString() };
    const sent = asked(who, `/api/plans/${firsts.get(who)!}/deeds`, deed);
    return { sent, screen: heard.then(() => who.told - from) };
  };
  const deeds: number[] = [],
    screens: number[] = [];
  for (const one of listeners.slice(0, 60)) {
    const { sent, screen } = checkIn(one);
    deeds.push((await sent).took);
    screens.push(await screen);
  }
  const burst = listeners.map(checkIn);
  const together = await Promise.all(burst.map(({ screen }) => screen));
  await Promise.all(burst.map(({ sent }) => sent));
  const leader = await listen(server, club, streams);
  const kept: number[] = [];
  for (let i = 0; i < 10; i += 1) kept.push((await asked(leader, '/api/kept')).took);
  const filings: number[] = [];
  for (let i = 0; i < 10; i += 1) {
    const from = performance.now();
    await server.ask('/api/plans', { id: uuid(), trip: TRIP, amends: id });
    filings.push(performance.now() - from);
  }
  const health: number[] = [];
  for (let i = 0; i < 50; i += 1) {
    const from = performance.now();
    await server.ask('/api/health');
    health.push(performance.now() - from);
  }
  const ms = (of: number[]) => `${part(of, 0.5).toFixed(0)} ms median, ${part(of, 0.95).toFixed(0)} ms p95`;
  console.log(
    `${PLANS.toLocaleString('en')} open plans in ${HOUSEHOLDS.toLocaleString('en')} households on ${name}, ` +
      `${LISTENING} browsers listening: started in ${(started / 1000).toFixed(1)} s; a household’s page of plans ${ms(lists)}; ` +
      `a check-in ${ms(deeds)}; from the tap to the line that another browser hears ${ms(screens)}, ` +
      `${LISTENING} at once ${ms(together)}; a filing ${ms(filings)}; a club’s page of 100 ${ms(kept)}; health ${ms(health)}`,
  );
  const slow = part(screens, 0.95) > 1500;
  if (slow) {
    console.error(`NOT MET: ${name}: on the screen within a second and a half`);
    process.exitCode = 1;
  }
  for (const stream of streams) stream.destroy();
  await server.end();
}

await crowd('PGlite');
if (HAS_POSTGRES) {
  const postgres = await startPostgres();
  await crowd('PostgreSQL', postgres.fresh());
  postgres.end();
} else console.log('PostgreSQL is not installed: its figures are missing');
