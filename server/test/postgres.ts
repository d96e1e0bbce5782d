import { execFileSync, spawnSync } from 'node:child_process';
import { chownSync, existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir, userInfo } from 'node:os';
import { join } from 'node:path';

/** Debian's PostgreSQL, where it is installed. */
function programs(): string | undefined {
  const root = '/usr/lib/postgresql';
  if (!existsSync(root)) return undefined;
  const newest = readdirSync(root).sort((a, b) => Number(b) - Number(a))[0];
  const folder = join(root, newest, 'bin');
  return existsSync(join(folder, 'initdb')) ? folder : undefined;
}
export const HAS_POSTGRES = programs() !== undefined;

export interface Postgres {
  /** A fresh, empty database. */
  fresh(): string;
  /** As an administrator does it: connections are cut. */
  restart(): void;
  stopNow(): void;
  start(): void;
  end(): void;
}

export const freePort = () =>
  new Promise<number>((done) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number };
      probe.close(() => done(port));
    });
  });

/** A PostgreSQL of its own, in a folder that goes with it. It refuses to run as root: there it runs as `postgres`. */
export async function startPostgres(): Promise<Postgres> {
  const bin = programs();
  if (!bin) throw new Error('PostgreSQL is not installed (package postgresql).');
  const folder = mkdtempSync(join(tmpdir(), 'escale-pg-'));
  const port = await freePort();
  const asRoot = userInfo().uid === 0;
  if (asRoot) {
    const id = (of: string) => Number(execFileSync('id', [of, 'postgres'], { encoding: 'utf8' }));
    chownSync(folder, id('-u'), id('-g'));
  }
  const run = (program: string, ...args: string[]) => {
    const [command, ...rest] = asRoot
      ? ['runuser', '-u', 'postgres', '--', join(bin, program), ...args]
      : [join(bin, program), ...args];
    const { status, stderr } = spawnSync(command, rest, {
      encoding: 'utf8',
      stdio: ['ignore', 'ignore', 'pipe'],
      cwd: folder,
    });
    if (status !== 0) throw new Error(`${program}: ${stderr}`);
  };
  const data = join(folder, 'data');
  run('initdb', '-D', data, '-U', 'escale', '-A', 'trust', '-E', 'UTF8', '--no-sync');
  const log = join(folder, 'log');
  const options = `-p ${port} -k ${folder} -c listen_addresses=127.0.0.1 -c max_connections=200`;
  const control = (...what: string[]) => run('pg_ctl', '-D', data, '-w', '-l', log, ...what);
  const server: Omit<Postgres, 'fresh'> = {
    start: () => control('-o', options, 'start'),
    restart: () => control('-m', 'fast', '-o', options, 'restart'),
    stopNow: () => control('-m', 'immediate', 'stop'),
    end: () => {
      try {
        control('-m', 'immediate', 'stop');
      } finally {
        rmSync(folder, { recursive: true, force: true });
      }
    },
  };
  server.start();
  let made = 0;
  return {
    ...server,
    fresh: () => {
      const name = `escale_${(made += 1)}`;
      run('createdb', '-h', '127.0.0.1', '-p', String(port), '-U', 'escale', name);
      return `postgres://escale@127.0.0.1:${port}/${name}`;
    },
  };
}
