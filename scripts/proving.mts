// What the proofs share: a real server on a port of its own, asked over HTTP, and a database full of plans.
import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
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

export { copies, tamper } from '../server/test/copies';

/** The n-th part of sorted numbers. */
export const part = (numbers: number[], n: number) =>
  [...numbers].sort((a, b) => a - b)[Math.min(numbers.length - 1, Math.floor(numbers.length * n))];
