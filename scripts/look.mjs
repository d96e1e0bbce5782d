// What a script needs that looks at the application: the demo on a fixed day, and the browser that the tests use.
import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium as browserHere, ROOT } from './setup.mjs';

/** Debian's Chromium, without a word to anybody outside. */
export async function openBrowser() {
  await browserHere();
  const { chromium } = createRequire(new URL('../e2e/package.json', import.meta.url))('@playwright/test');
  return chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
    ],
  });
}

/** The built server with the demo, on a clock that stands still until it is set, in a memory that goes with `end`. */
export async function openDemo(port) {
  const folder = mkdtempSync(join(tmpdir(), 'escale-look-'));
  const server = spawn(process.execPath, ['server/dist/main.js'], {
    cwd: ROOT,
    stdio: ['ignore', 'pipe', 'inherit'],
    env: {
      ...process.env,
      NODE_ENV: 'production',
      PORT: String(port),
      ESCALE_DEMO: '1',
      ESCALE_DATA: join(folder, 'memory'),
      ESCALE_CLOCK: '2026-05-11T15:00:00Z',
    },
  });
  await new Promise((ready, failed) => {
    server.stdout.on('data', (chunk) => String(chunk).includes('Escale is ready') && ready());
    server.once('exit', (code) => failed(new Error(`the server ended with ${code}`)));
  });
  const base = `http://localhost:${port}`;
  const key = readFileSync(join(folder, 'memory', 'key'), 'utf8').trim();
  /** As whoever can read the key of the memory. */
  const ask = async (path, body) => {
    const headers = { Authorization: `Bearer ${key}`, 'Content-Type': 'application/json' };
    const answer = await fetch(
      base + path,
      body === undefined ? { headers } : { method: 'POST', headers, body: JSON.stringify(body) },
    );
    return answer.json();
  };
  return {
    base,
    ask,
    /** Lets a browser in. */
    async letIn(context) {
      const { address } = await ask('/api/door/address', {});
      await context.request.get(address, { maxRedirects: 0 });
      return context;
    },
    end() {
      server.removeAllListeners('exit');
      server.kill();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
