// What the proofs share: a real server on a port of its own, asked over HTTP, and a database full of plans.
import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql, type SQL } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import type { Db } from '../server/src/db/open';
import { keyed } from '../server/test/keyed';

export const START = Date.UTC(2026, 4, 11, 15);
export const TRIP = '01890000-0000-7000-8000-000000000055';

export const freePort = () =>
  new Promise<number>((done) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number };
      probe.close(() => done(port));
    });
  });

export interface Answer {
  status: number;
  body: Record<string, unknown>;
}

/** A server in a process, with the demo, on a clock that is set by hand unless `real`. */
export class Proved {
  private child?: ChildProcess;
  readonly root = mkdtempSync(join(tmpdir(), 'escale-prove-'));
  constructor(
    readonly port: number,
    private readonly env: NodeJS.ProcessEnv = {},
  ) {}
  get base() {
    return `http://localhost:${this.port}`;
  }
  async start(at: number | 'real' = START): Promise<void> {
    const child = spawn(process.execPath, ['server/dist/main.js'], {
      stdio: ['ignore', 'pipe', 'inherit'],
      env: {
        ...process.env,
        PORT: String(this.port),
        ESCALE_DEMO: '1',
        ESCALE_DATA: join(this.root, 'memory'),
        LOG_LEVEL: 'info',
        ...(at === 'real' ? {} : { ESCALE_CLOCK: new Date(at).toISOString() }),
        ...this.env,
      },
    });
    this.child = child;
    await new Promise<void>((ready, failed) => {
      child.stdout.on('data', (c: Buffer) => String(c).includes('is ready') && ready());
      child.once('exit', (code) => failed(new Error(`the server ended with ${code}`)));
    });
  }
  async stop(signal: NodeJS.Signals = 'SIGTERM'): Promise<void> {
    const { child } = this;
    if (!child || child.exitCode !== null || child.signalCode !== null) return;
    const gone = new Promise((done) => child.once('exit', done));
    child.kill(signal);
    await gone;
  }
  async end(): Promise<void> {
    await this.stop();
    rmSync(this.root, { recursive: true, force: true });
  }
  async ask(path: string, body?: unknown): Promise<Answer> {
    const headers = { ...keyed(join(this.root, 'memory')), 'Content-Type': 'application/json' };
    const answer = await fetch(
      this.base + path,
      body === undefined ? { headers } : { method: 'POST', headers, body: JSON.stringify(body) },
    );
    return { status: answer.status, body: (await answer.json()) as Record<string, unknown> };
  }
  setClock(at: number) {
    return this.ask('/api/clock', { at: new Date(at).toISOString() });
  }
}

/** Copies of a filed plan under other ids, overdue at an instant. */
export async function copies(db: Db, of: string, n: number, at: number): Promise<string[]> {
  const ids = Array.from({ length: n }, () => uuid());
  const made = sql`unnest(${sql.param(`{${ids.join(',')}}`)}::uuid[]) WITH ORDINALITY AS made (id, n)`;
  await db.execute(sql`
    INSERT INTO plan (id, household, trip, title, zone, version, is_open, created_at, updated_at)
    SELECT made.id, household, gen_random_uuid(), 'plan ' || n, zone, 1, true, created_at, updated_at
    FROM plan, ${made} WHERE plan.id = ${of}`);
  await db.execute(sql`
    INSERT INTO plan_version (plan, version, inputs, assessment, sheet, contacts, skipper, created_at, schema)
    SELECT made.id, 1, inputs, assessment, sheet, contacts, skipper, created_at, schema
    FROM plan_version, ${made} WHERE plan_version.plan = ${of}`);
  await db.execute(sql`
    INSERT INTO plan_event (id, plan, kind, at, data, hash, schema)
    SELECT gen_random_uuid(), made.id, kind, at, data, hash, schema
    FROM plan_event, ${made} WHERE plan_event.plan = ${of} AND kind = 'filed'`);
  await db.execute(sql`
    INSERT INTO deadline (id, plan, kind, due_at, is_open)
    SELECT gen_random_uuid(), made.id, 'overdue', ${new Date(at).toISOString()}::timestamptz, true FROM ${made}`);
  return ids;
}

/** Rows on record are changed past the triggers that refuse it: to see what then happens. */
export const tamper = (db: Db, statement: SQL) =>
  db.transaction(async (tx) => {
    await tx.execute(sql`SET LOCAL ROLE NONE`);
    await tx.execute(sql`SET LOCAL session_replication_role = replica`);
    await tx.execute(statement);
  });

/** The n-th part of sorted numbers. */
export const part = (numbers: number[], n: number) =>
  [...numbers].sort((a, b) => a - b)[Math.min(numbers.length - 1, Math.floor(numbers.length * n))];
