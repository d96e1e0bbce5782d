import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as after } from 'node:timers/promises';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { workerFile } from '../db/worker-file';
import { keyed } from '../../test/keyed';
import { freePort, HAS_POSTGRES, startPostgres, type Postgres } from '../../test/postgres';

const where = HAS_POSTGRES ? describe : describe.skip;

where('a watch in a process of its own', () => {
  let postgres: Postgres, url: string, folder: string, port: number;
  beforeAll(async () => {
    postgres = await startPostgres();
    url = postgres.fresh();
    port = await freePort();
    folder = mkdtempSync(join(tmpdir(), 'escale-beside-'));
  }, 60_000);
  afterAll(() => {
    postgres.end();
    rmSync(folder, { recursive: true });
  });

  const start = async (): Promise<ChildProcess> => {
    const server = spawn(process.execPath, [workerFile('main')], {
      stdio: ['ignore', 'pipe', 'inherit'],
      env: { ...process.env, PORT: String(port), DATABASE_URL: url, ESCALE_DATA: folder, LOG_LEVEL: 'info' },
    });
    await new Promise<void>((ready, failed) => {
      server.stdout!.on('data', (chunk: Buffer) => String(chunk).includes('is ready') && ready());
      server.once('exit', (code) => failed(new Error(`ended with ${code}`)));
    });
    return server;
  };
  const watchOf = ({ pid }: ChildProcess) =>
    Number(readFileSync(`/proc/${pid}/task/${pid}/children`, 'utf8').trim().split(' ')[0]);
  /** Looks again and again, ten seconds at most. */
  const until = async (what: () => boolean | Promise<boolean>): Promise<boolean> => {
    for (let i = 0; i < 200; i += 1) {
      if (await what()) return true;
      await after(50);
    }
    return false;
  };
  const gone = (pid: number) => until(() => !existsSync(`/proc/${pid}`));
  const looks = () =>
    until(async () => {
      const answer = await fetch(`http://localhost:${port}/api/watch`, { headers: keyed(folder) });
      return ((await answer.json()) as { lastSweep?: number }).lastSweep !== undefined;
    });

  test('goes with a server that is killed while it still opens', async () => {
    const server = await start();
    const watch = watchOf(server);
    server.kill('SIGKILL');
    expect(await gone(watch)).toBe(true);
  }, 60_000);
  test('killed, it is started again; and goes with a server that is killed while it watches', async () => {
    const server = await start();
    expect(await looks()).toBe(true);
    const first = watchOf(server);
    process.kill(first, 'SIGKILL');
    expect(await gone(first)).toBe(true);
    expect(await until(() => ![0, first].includes(watchOf(server)))).toBe(true);
    const again = watchOf(server);
    server.kill('SIGKILL');
    expect(await gone(again)).toBe(true);
  }, 60_000);
});
