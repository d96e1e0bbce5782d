import { readFileSync } from 'node:fs';
import { PGlite } from '@electric-sql/pglite';
import { sql, type SQL } from 'drizzle-orm';
import { drizzle } from 'drizzle-orm/pglite';
import { pino, type Logger } from 'pino';
import { assess } from '@escale/core/trip';
import request from 'supertest';
import { v7 as uuid } from 'uuid';
import { demoBundle } from '@escale/core/formats';
import type { PlanView } from '@escale/core/model';
import { httpApp } from '../src/api/app';
import { TABLES } from '../src/backup/copy';
import { importBundle } from '../src/exchange/bundle';
import { simulatedClock } from '../src/clock';
import * as schema from '../src/db/schema';
import { ensureHousehold, HOME } from '../src/db/household';
import { takeRole } from '../src/db/role';
import { openDb, type Db, type OpenDb } from '../src/db/open';
import { makeDoor } from '../src/door/door';
import { simulatedTelephone } from '../src/standins/telephone';
import { simulatedWeather } from '../src/standins/weather';
import type { Watching } from '../src/watch/sweep';
import { lookOnce, type Watch } from '../src/watch/watcher';
// @ts-expect-error a plain script: it runs before any transform
import { templatePath } from './template.mjs';

export const NOW = Date.UTC(2026, 4, 11, 15);
export const TRIP = '01890000-0000-7000-8000-000000000055',
  BOAT = '01890000-0000-7000-8000-000000000005',
  WHISTLE = '01890000-0000-7000-8000-000000000013',
  ADA = '01890000-0000-7000-8000-000000000053';

/** PGlite in this process, from the template that was made once. */
async function fromTemplate(): Promise<Pick<OpenDb, 'db' | 'close'>> {
  const client = await PGlite.create({ loadDataDir: new Blob([readFileSync(templatePath() as string)]) });
  const db = drizzle(client, { schema }) as unknown as Db;
  await takeRole(db);
  return { db, close: () => client.close() };
}

const named = (table: string) => sql.identifier(table);
const list = (tables: string[]) => sql.join(tables.map(named), sql`, `);
/** All but the household itself. */
const EMPTIED = [...TABLES.filter((table) => table !== 'household'), 'entry_code'];

/** Rows of now in a schema of their own. @returns the tables that have some */
async function keptBeside(tx: Db): Promise<string[]> {
  const filled: string[] = [];
  await tx.execute(sql`CREATE SCHEMA demo`);
  for (const table of EMPTIED) {
    const rows = await tx.execute(sql`SELECT 1 FROM ${named(table)} LIMIT 1`);
    if ((rows as unknown as { rows: unknown[] }).rows.length === 0) continue;
    await tx.execute(sql`CREATE TABLE demo.${named(table)} AS TABLE ${named(table)}`);
    filled.push(table);
  }
  return filled;
}

/** A whole server without a port: a fresh memory with the demo in it, a clock to set, and the watch on call. */
export async function makeWorld({
  standIns = true,
  url,
  log = pino({ level: 'silent' }),
}: { standIns?: boolean; url?: string; log?: Logger } = {}) {
  const { db, close } = url ? await openDb({ folder: '', url }) : await fromTemplate();
  const clock = simulatedClock(NOW, false);
  await ensureHousehold(db, NOW);
  const services: Watching = {
    db,
    clock,
    reckon: async (input) => assess(input),
    log,
    base: 'http://localhost:4280',
    channels: standIns ? [simulatedTelephone(db)] : [],
    ...(standIns ? { weather: simulatedWeather(7) } : {}),
  };
  // One at a time, as the watch itself does it: a route asks for it and does not wait.
  let looking: Promise<void> = Promise.resolve();
  const watchOnce = () => (looking = looking.catch(() => undefined).then(() => lookOnce(services)));
  const onCall: Watch = {
    kick: watchOnce,
    stop: async () => undefined,
    pulse: () => ({ began: 0, counted: { at: performance.now(), setAside: 0 }, sweptAt: performance.now() }),
  };
  const door = makeDoor(db);
  /** What the demo wrote, kept beside: put back in a fifth of the time that reading it in takes. */
  let demo: string[] | undefined;
  const app = httpApp(services, { watch: onCall, door });
  /** Whoever has the key. */
  const http = request.agent(app).set('Authorization', `Bearer ${door.key()}`);
  const device = uuid();
  const world = {
    db,
    clock,
    services,
    door,
    http,
    /** A browser that nobody let in. */
    stranger: request(app),
    device,
    watchOnce,
    onCall,
    set: (at: number) => clock.set?.(at),
    close,
    /** What nobody does from inside: rows on record are changed, past the triggers that refuse it. */
    tamper: (change: SQL | ((tx: Db) => PromiseLike<unknown>)) =>
      db.transaction(async (tx) => {
        await tx.execute(sql`SET LOCAL ROLE NONE`);
        await tx.execute(sql`SET LOCAL session_replication_role = replica`);
        await (typeof change === 'function' ? change(tx) : tx.execute(change));
      }),
    /** Everything forgotten, the demo put back. */
    reset: async () => {
      // What a route woke and nobody waited for is over first: it would be emptied under it.
      await looking.catch(() => undefined);
      clock.set?.(NOW);
      await world.tamper(async (tx) => {
        await tx.execute(sql`TRUNCATE ${list(EMPTIED)}`);
        for (const table of demo ?? [])
          await tx.execute(sql`INSERT INTO ${named(table)} SELECT * FROM demo.${named(table)}`);
      });
      if (demo) return;
      await db.transaction((tx) => importBundle(tx, { household: HOME }, demoBundle(NOW), NOW));
      await world.tamper(async (tx) => {
        demo = await keptBeside(tx);
      });
    },
    get: async <T>(path: string) => (await http.get(path).set('Host', 'localhost:4280')).body as T,
    post: (path: string, body: unknown) =>
      http
        .post(path)
        .set('Host', 'localhost:4280')
        .set('Content-Type', 'application/json')
        .send(JSON.stringify(body)),
    command: (thing: string, type: string, baseVersion: number, deed: unknown, more: object = {}) =>
      world.post('/api/commands', { id: uuid(), device, type, thing, baseVersion, deed, ...more }),
    /** Filed, and the watch that the filing woke has looked: nothing of it goes on under what a test does next. */
    file: async (more: object = {}): Promise<PlanView> => {
      const { body } = await world.post('/api/plans', { id: uuid(), trip: TRIP, ...more });
      await looking;
      return body as PlanView;
    },
    deed: (plan: string, kind: string, more: object = {}) =>
      world.post(`/api/plans/${plan}/deeds`, {
        id: uuid(),
        kind,
        madeAt: new Date(clock.now()).toISOString(),
        ...more,
      }),
    view: (plan: string) => world.get<PlanView>(`/api/plans/${plan}`),
    /** Nobody says anything until then. */
    silentUntil: async (at: number) => {
      world.set(at);
      await watchOnce();
    },
    page: (path: string) => http.get(path).set('Host', 'localhost:4280'),
    /** The path of the latest link that a contact was sent. */
    linkFor: async (to: string) =>
      /\/c\/([\w-]+)/.exec(
        (await world.calls()).find((c) => c.to === to && c.text.includes('/c/'))!.text,
      )![0],
    accept: async (to = 'Ada Tolley') =>
      http
        .post(`${await world.linkFor(to)}/accept`)
        .set('Host', 'localhost:4280')
        .type('form')
        .send(''),
    calls: async () =>
      (await world.get<{ calls: { to: string; text: string; at: number }[] }>('/api/standins/telephone'))
        .calls,
  };
  return world;
}
export type World = Awaited<ReturnType<typeof makeWorld>>;
export { uuid };
