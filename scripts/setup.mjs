// What every command needs first: packages, a built application, a bundled server. Each step is skipped when its inputs are
// those of last time, and says so.
import { createHash } from 'node:crypto';
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = fileURLToPath(new URL('..', import.meta.url));
const CACHE = join(ROOT, '.cache');
const SKIPPED = /(^|\/)(node_modules|dist|\.expo|coverage)(\/|$)|\.test\.tsx?$/;

export const say = (text) => console.log(`· ${text}`);

/** Run a command, show what it prints, and stop with its code when it fails. */
export async function run(command, args, { cwd = ROOT, env = {}, quiet = false } = {}) {
  const output = [];
  const code = await new Promise((done, failed) => {
    const child = spawn(command, args, {
      cwd,
      env: { ...process.env, ...env },
      stdio: quiet ? ['ignore', 'pipe', 'pipe'] : ['ignore', 'inherit', 'inherit'],
    });
    child.stdout?.on('data', (d) => output.push(d));
    child.stderr?.on('data', (d) => output.push(d));
    child.once('error', failed).once('exit', done);
  });
  if (code !== 0) {
    if (quiet) process.stdout.write(Buffer.concat(output));
    throw new Error(`${command} ${args.join(' ')} ended with ${code}`);
  }
}

function files(path) {
  if (!existsSync(path) || SKIPPED.test(relative(ROOT, path))) return [];
  return statSync(path).isDirectory()
    ? readdirSync(path)
        .sort()
        .flatMap((name) => files(join(path, name)))
    : [path];
}

function hashOf(paths) {
  const hash = createHash('sha256');
  for (const file of paths.flatMap((p) => files(join(ROOT, p))))
    hash.update(relative(ROOT, file)).update(readFileSync(file));
  return hash.digest('hex');
}

/** Do a step unless its inputs are unchanged and its result is there. */
async function once(name, inputs, result, work) {
  const stamp = join(CACHE, `${name}.hash`),
    hash = hashOf(inputs);
  if (existsSync(join(ROOT, result)) && existsSync(stamp) && readFileSync(stamp, 'utf8') === hash)
    return say(`${name}: unchanged`);
  const began = Date.now();
  say(`${name} …`);
  rmSync(stamp, { force: true });
  await work();
  mkdirSync(CACHE, { recursive: true });
  writeFileSync(stamp, hash);
  say(`${name}: ${((Date.now() - began) / 1000).toFixed(0)} s`);
}

export const install = () =>
  once('packages', ['package-lock.json'], 'node_modules/.package-lock.json', () =>
    run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error']),
  );

export const buildApp = () =>
  once(
    'application',
    [
      'app',
      'core/src',
      'core/data',
      'core/package.json',
      'package-lock.json',
      'scripts/service-worker.mjs',
      'scripts/compress.mjs',
    ],
    'app/dist/sw.js',
    async () => {
      rmSync(join(ROOT, 'app/dist'), { recursive: true, force: true });
      await run(
        process.execPath,
        [join(ROOT, 'node_modules/.bin/expo'), 'export', '-p', 'web', '--output-dir', 'dist'],
        {
          cwd: join(ROOT, 'app'),
          env: { CI: '1', EXPO_OFFLINE: '1', EXPO_NO_TELEMETRY: '1', NODE_ENV: 'production' },
          quiet: true,
        },
      );
      await run(process.execPath, ['scripts/service-worker.mjs'], { quiet: true });
      await run(process.execPath, ['scripts/compress.mjs'], { quiet: true });
    },
  );

/** The server and the threads beside it. */
const PROGRAMS = {
  main: 'server/src/main.ts',
  escale: 'server/src/cli/main.ts',
  'pglite-worker': 'server/src/db/pglite-worker.ts',
  'reckon-worker': 'server/src/reckon/worker.ts',
};

export const buildServer = () =>
  once('server', ['server/src', 'core/src', 'core/data', 'package-lock.json'], 'server/dist/main.js', () =>
    run(
      'node_modules/.bin/esbuild',
      [
        ...Object.entries(PROGRAMS).map(([name, file]) => `${name}=${file}`),
        '--bundle',
        '--platform=node',
        '--format=esm',
        '--target=node20',
        '--outdir=server/dist',
        '--packages=external',
        '--alias:@escale/core=./core/src',
        '--log-level=warning',
      ],
      { quiet: true },
    ),
  );

const mayInstall = () => process.getuid?.() === 0 && spawnSync('apt-get', ['--version']).status === 0;
async function debian(name) {
  await run('apt-get', ['update', '-qq'], { quiet: true });
  await run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', name], {
    env: { DEBIAN_FRONTEND: 'noninteractive' },
    quiet: true,
  });
}

/** Debian's Chromium for the end-to-end tests: installed where we may, otherwise said plainly. */
export async function chromium() {
  if (existsSync('/usr/bin/chromium')) return say('browser: Debian’s Chromium is here');
  if (!mayInstall())
    throw new Error(
      'The end-to-end tests need Debian’s Chromium at /usr/bin/chromium. ' +
        'Install the package "chromium" (as root: apt-get install chromium) and start again.',
    );
  say('browser: installing Debian’s Chromium …');
  await debian('chromium');
}

/** What reads a PDF back, for the test of the sheet: where it can't be had that test is left out. */
export async function pdfReader() {
  if (existsSync('/usr/bin/pdftotext') || !mayInstall()) return;
  await debian('poppler-utils').catch((error) =>
    say(`paper: poppler-utils could not be installed, what reads a PDF back is left out (${error.message})`),
  );
}

/** Debian's PostgreSQL for the tests of the second driver: where it can't be had they are left out, and that is said. */
export async function postgres() {
  if (existsSync('/usr/lib/postgresql')) return say('database: Debian’s PostgreSQL is here');
  if (!mayInstall())
    return say('database: no PostgreSQL here (package "postgresql"): its tests are left out');
  say('database: installing Debian’s PostgreSQL …');
  await debian('postgresql').catch((error) =>
    say(`database: PostgreSQL could not be installed, its tests are left out (${error.message})`),
  );
}
