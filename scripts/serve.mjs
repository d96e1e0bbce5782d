// Set up, build, start the server and print its address. Ctrl-C ends it; what is changed is kept in .data.
import { spawn, spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { buildApp, buildServer, install, ROOT, say } from './setup.mjs';

export async function serve({ env, says }) {
  const began = Date.now();
  await install();
  await buildApp();
  await buildServer();
  say('opening the memory (the first time makes it, which takes ten seconds) …');
  let ending = false,
    told = false,
    server;
  /** One that was ready and ended by itself is started again: the watch must go on. */
  const start = () => {
    let ready = false;
    server = spawn(process.execPath, ['server/dist/main.js'], {
      cwd: ROOT,
      stdio: ['ignore', 'pipe', 'inherit'],
      env: { ...process.env, ...env, ESCALE_APP: join(ROOT, 'app/dist'), NODE_ENV: 'production' },
    });
    server.stdout.on('data', (chunk) => {
      const itIs = String(chunk).includes('Escale is ready');
      ready ||= itIs;
      if (itIs && !told) {
        told = true;
        console.log(
          `\n  Escale is ready. This address lets one browser in, once:\n\n    ${address(env)}\n\n  ` +
            `For another browser: npm run escale -- enter\n  ${says} (${((Date.now() - began) / 1000).toFixed(0)} s)\n`,
        );
      } else if (/"level":(50|60)/.test(String(chunk))) process.stdout.write(chunk);
    });
    server.on('exit', (code) => {
      if (ending || !ready || code === 0) process.exit(code ?? 0);
      say('the server ended and is started again');
      setTimeout(start, AGAIN);
    });
  };
  start();
  for (const signal of ['SIGINT', 'SIGTERM'])
    process.on(signal, () => {
      ending = true;
      server.kill(signal);
    });
}

/** As the command line prints it: by the key that lies in the memory’s folder. */
function address(env) {
  const { stdout, stderr, status } = spawnSync(process.execPath, ['server/dist/escale.js', 'enter'], {
    cwd: ROOT,
    encoding: 'utf8',
    env: { ...process.env, ...env },
  });
  if (status !== 0) throw new Error(stderr);
  return stdout.trim();
}

/** Before a server that ended is started again, ms. */
const AGAIN = 2000;
