import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { test as base, type Page } from '@playwright/test';

const ROOT = fileURLToPath(new URL('..', import.meta.url));
/** The instant at which every journey starts: the afternoon before the demo's dawn. */
export const START = '2026-05-11T15:00:00Z';
export const TRIP = '/trips/01890000-0000-7000-8000-000000000055',
  TRIP_ID = '01890000-0000-7000-8000-000000000055';

const freePort = () =>
  new Promise<number>((done) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number };
      probe.close(() => done(port));
    });
  });

/** The real server, bundled, with the demo on a clock that stands still until it is set. */
export class Server {
  private child?: ChildProcess;
  readonly folder = mkdtempSync(join(tmpdir(), 'escale-e2e-'));
  /**
   * @param demo with the demo's data, or with an empty memory
   * @param stands its clock stands still until it is set; else it goes as the machine's does
   */
  constructor(
    readonly port: number,
    private readonly demo = true,
    private readonly stands = true,
    private readonly env: Record<string, string> = {},
  ) {}
  /** The demo of this day, on the machine's own clock, started. End it with `end`. */
  static async ofToday(): Promise<Server> {
    const server = new Server(await freePort(), true, false);
    await server.start();
    return server;
  }
  /** The demo with more settings, started. End it with `end`. */
  static async with(env: Record<string, string>): Promise<Server> {
    const server = new Server(await freePort(), true, true, env);
    await server.start();
    return server;
  }
  /** A server with nothing in it, started. End it with `end`. */
  static async bare(): Promise<Server> {
    const server = new Server(await freePort(), false);
    await server.start();
    return server;
  }
  get base(): string {
    return `http://localhost:${this.port}`;
  }

  async start(): Promise<void> {
    const child = spawn(process.execPath, ['server/dist/main.js'], {
      cwd: ROOT,
      stdio: ['ignore', 'pipe', 'inherit'],
      env: {
        ...process.env,
        NODE_ENV: 'production',
        PORT: String(this.port),
        ...(this.demo ? { ESCALE_DEMO: '1' } : {}),
        ESCALE_DATA: join(this.folder, 'memory'),
        ...(this.stands ? { ESCALE_CLOCK: START } : {}),
        ...this.env,
      },
    });
    this.child = child;
    await new Promise<void>((ready, failed) => {
      child.stdout.on('data', (chunk: Buffer) => String(chunk).includes('Escale is ready') && ready());
      child.once('exit', (code) => failed(new Error(`the server ended with ${code}`)));
    });
  }

  /** As on the first day: each file of journeys begins with the demo as it was made. */
  async renew(): Promise<void> {
    await this.stop('SIGKILL');
    for (const left of readdirSync(this.folder))
      rmSync(join(this.folder, left), { recursive: true, force: true });
    await this.start();
  }

  async stop(signal: NodeJS.Signals = 'SIGTERM'): Promise<void> {
    const { child } = this;
    if (!child || child.exitCode !== null || child.signalCode !== null) return;
    const gone = new Promise((done) => child.once('exit', done));
    child.kill(signal);
    await gone;
  }

  /** Stopped, and nothing of it left. */
  async end(): Promise<void> {
    await this.stop();
    rmSync(this.folder, { recursive: true, force: true });
  }

  /** As whoever can read the key of the memory. */
  async ask<T>(path: string, body?: unknown): Promise<T> {
    const key = readFileSync(join(this.folder, 'memory', 'key'), 'utf8').trim();
    const headers = { Authorization: `Bearer ${key}`, 'Content-Type': 'application/json' };
    const answer = await fetch(
      this.base + path,
      body === undefined ? { headers } : { method: 'POST', headers, body: JSON.stringify(body) },
    );
    return (await answer.json()) as T;
  }

  /** Lets a browser in, by an address of its own. */
  async letIn(page: Page): Promise<void> {
    const { address } = await this.ask<{ address: string }>('/api/door/address', {});
    // Without opening the page behind it: what a journey sees first is its own first page.
    const answer = await page.context().request.get(address, { maxRedirects: 0 });
    if (answer.status() !== 303) throw new Error(`nobody was let in: ${answer.status()}`);
  }

  async setClock(at: number | string): Promise<void> {
    await this.ask('/api/clock', { at: new Date(at).toISOString() });
  }

  async calls(): Promise<{ to: string; text: string }[]> {
    return (await this.ask<{ calls: { to: string; text: string }[] }>('/api/standins/telephone')).calls;
  }

  async doc(id: string): Promise<Record<string, unknown> | undefined> {
    return (
      await this.ask<{ things: { id: string; doc: Record<string, unknown> }[] }>('/api/things')
    ).things.find((t) => t.id === id)?.doc;
  }
}

/** A server of its own for each file; `go` opens a path and fails the test on any error of the page. */
export const test = base.extend<
  { go: (path: string) => Promise<Page>; faults: string[] },
  { server: Server }
>({
  server: [
    async ({}, use) => {
      const server = new Server(await freePort());
      await server.start();
      await use(server);
      await server.end();
    },
    { scope: 'worker', timeout: 60_000 },
  ],
  faults: async ({ page }, use) => {
    const faults: string[] = [];
    page.on('pageerror', (error) => faults.push(error.message));
    page.on('console', (message) => {
      if (message.type() === 'error' && !/Failed to load resource/.test(message.text()))
        faults.push(message.text());
    });
    await use(faults);
    if (faults.length > 0) throw new Error(`the page complained: ${faults.join(' | ')}`);
  },
  page: async ({ page, server }, use) => {
    await server.letIn(page);
    await use(page);
  },
  go: async ({ page, server, faults: _faults }, use) => {
    await use(async (path) => {
      await page.goto(server.base + path);
      return page;
    });
  },
});
export { expect } from '@playwright/test';
