import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { get } from 'node:http';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { v7 as uuid } from 'uuid';
import { keyed } from '../../test/keyed';
import { TRIP } from '../../test/world';

const AT = '2026-05-11T15:00:00Z';
let root: string;
beforeAll(() => {
  root = mkdtempSync(join(tmpdir(), 'escale-cli-'));
});
afterAll(() => rmSync(root, { recursive: true, force: true }));

const cli = (args: string[], input?: string) =>
  spawnSync(process.execPath, ['--import', 'tsx', 'server/src/cli/main.ts', ...args], {
    encoding: 'utf8',
    env: { ...process.env, ESCALE_DATA: join(root, 'memory') },
    ...(input === undefined ? {} : { input }),
  });

describe('the headless door', () => {
  test('assess prints requirements, findings and figures under stable names; the same twice', () => {
    const bundle = cli(['demo', '--at', AT]).stdout;
    writeFileSync(join(root, 'demo.json'), bundle);
    const run = () => cli(['assess', join(root, 'demo.json'), '--json']).stdout;
    const result = JSON.parse(run()) as {
      schema: string;
      verdict: string;
      requirements: Record<string, unknown>[];
      findings: { id: string; level: string; because: string[] }[];
      figures: Record<string, { value: number; text: string }>;
    };
    expect(result).toMatchObject({ schema: 'v1', verdict: 'stop' });
    for (const r of result.requirements)
      for (const name of ['rule', 'layer', 'applies', 'anyOf', 'source', 'because', 'metBy', 'missing'])
        expect(r).toHaveProperty(name);
    expect(result.findings[0]).toMatchObject({ id: `kit/NAV-33/${TRIP}`, level: 'stop' });
    const load = Object.entries(result.figures).find(([id]) => id.startsWith('boat/load/'));
    expect(load?.[1]).toMatchObject({ text: '113 kg', label: 'carried' });
    expect(run()).toBe(`${JSON.stringify(result, null, 2)}\n`);
    expect(cli(['assess', '-', '--units', 'us'], bundle).stdout).toContain('249 lb');
  });
  test.each([
    ['no such file', ['assess', '/nowhere.json'], 1, 'can’t be read'],
    ['no call', ['assemble'], 2, 'There is no "assemble"'],
    ['no file', ['assess'], 2, 'Which file?'],
    ['no instant', ['assess', 'x', '--at', 'noon'], 2, '--at wants an instant'],
    ['no option', ['assess', '--loud'], 2, 'loud'],
  ])('%s: one clear line and a code', (_name, args, code, words) => {
    const run = cli(args);
    expect(run.status).toBe(code);
    expect(run.stderr).toContain(words);
    expect(run.stderr).not.toMatch(/\n\s+at /);
  });
  test('a broken bundle is refused with the place of each fault', () => {
    const run = cli(
      ['assess', '-'],
      JSON.stringify({ escale: 'bundle', schema: 1, asOf: AT, shed: {}, trips: [{ id: 'x' }] }),
    );
    expect(run.status).toBe(1);
    expect(run.stderr).toMatch(/\/shed\/boats[\s\S]*\/trips\/0\/id/);
  });
});

/** Whatever port is free. */
const freePort = () =>
  new Promise<number>((done) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number };
      probe.close(() => done(port));
    });
  });

/** A real server process on a simulated clock. */
async function start(
  port: number,
  clock: string,
): Promise<{
  kill: (signal: NodeJS.Signals) => Promise<void>;
  ask: (path: string, body?: unknown) => Promise<Record<string, unknown>>;
}> {
  const child = spawn(process.execPath, ['--import', 'tsx', 'server/src/main.ts'], {
    env: {
      ...process.env,
      PORT: String(port),
      ESCALE_DEMO: '1',
      ESCALE_DATA: join(root, 'memory'),
      ESCALE_CLOCK: clock,
      ESCALE_APP: root,
    },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const gone = new Promise<void>((done) => child.once('exit', () => done()));
  await new Promise<void>((ready, failed) => {
    child.stdout.on('data', (chunk: Buffer) => String(chunk).includes('Escale is ready') && ready());
    child.once('exit', () => failed(new Error('the server ended before it was ready')));
  });
  const ask = async (path: string, body?: unknown) =>
    (await (
      await fetch(
        `http://localhost:${port}${path}`,
        body === undefined
          ? { headers: keyed(join(root, 'memory')) }
          : {
              method: 'POST',
              headers: { ...keyed(join(root, 'memory')), 'Content-Type': 'application/json' },
              body: JSON.stringify(body),
            },
      )
    ).json()) as Record<string, unknown>;
  return {
    ask,
    kill: async (signal) => {
      child.kill(signal);
      await gone;
    },
  };
}

describe('a server that is killed', () => {
  test('rings once, after a kill before the deadline and a kill after it; export and import go through it', async () => {
    const port = await freePort();
    let server = await start(port, AT);
    const plan = (await server.ask('/api/plans', { id: uuid(), trip: TRIP })) as {
      id: string;
      times: { overdue: number };
    };
    // The command line finds the folder taken and goes through the server.
    expect(cli(['export', join(root, 'out.json')]).status).toBe(0);
    expect(cli(['import', join(root, 'out.json')]).stdout).toMatch(/^0 added, 0 changed/);
    // An address of its own for each that asks; the lock changed, what was given before is good for nothing.
    const [one, other] = [cli(['enter']), cli(['enter'])].map((run) => run.stdout.trim());
    // On a connection of its own: while the command line runs here, one that was kept open would be closed.
    const asks = (address: string) =>
      new Promise((status, failed) =>
        get(address, { agent: false }, (answer) => {
          answer.resume();
          status(answer.statusCode);
        }).on('error', failed),
      );
    expect([await asks(one), await asks(one)]).toEqual([303, 401]);
    expect(cli(['lock']).status).toBe(0);
    expect(await asks(other)).toBe(401);
    expect(await asks(cli(['enter']).stdout.trim())).toBe(303);
    const terns = cli(['household', 'The Terns']).stdout.trim();
    expect(await asks(terns.replace('The Terns: ', ''))).toBe(303);
    expect(cli(['household', ' '])).toMatchObject({ status: 2 });
    await server.kill('SIGKILL');
    expect(cli(['enter'])).toMatchObject({ status: 1, stdout: '' });
    expect(cli(['enter']).stderr).toContain('No server of this memory runs');

    const overdue = new Date(plan.times.overdue + 60_000).toISOString();
    for (let round = 0; round < 2; round += 1) {
      server = await start(port, overdue);
      await server.ask('/api/clock', { at: overdue });
      const { calls } = (await server.ask('/api/standins/telephone')) as { calls: { text: string }[] };
      expect(calls.filter((c) => c.text.includes('is overdue'))).toHaveLength(1);
      await server.kill(round === 0 ? 'SIGKILL' : 'SIGTERM');
    }
    // Nobody holds the folder now: the same command opens it itself.
    expect(cli(['export', join(root, 'again.json')]).status).toBe(0);
    const trips = (name: string) =>
      (JSON.parse(readFileSync(join(root, name), 'utf8')) as { trips: { id: string }[] }).trips
        .map((t) => t.id)
        .sort();
    expect(trips('again.json')).toEqual(trips('out.json'));
  }, 120_000);
});
