// Set up, build, start the server and print its address. Ctrl-C ends it; what is changed is kept in .data.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { buildApp, buildServer, install, ROOT, say } from './setup.mjs';

export async function serve({ env, says }) {
  const began = Date.now();
  await install();
  await buildApp();
  await buildServer();
  say('opening the memory (the first time makes it, which takes ten seconds) …');
  const server = spawn(process.execPath, ['server/dist/main.js'], {
    cwd: ROOT,
    stdio: ['ignore', 'pipe', 'inherit'],
    env: { ...process.env, ...env, ESCALE_APP: join(ROOT, 'app/dist'), NODE_ENV: 'production' },
  });
  let told = false;
  server.stdout.on('data', (chunk) => {
    const ready = /"address":"([^"]+)"/.exec(String(chunk));
    if (ready && !told) {
      told = true;
      console.log(
        `\n  Escale is ready: ${ready[1]}\n  ${says} (${((Date.now() - began) / 1000).toFixed(0)} s)\n`,
      );
    } else if (/"level":(50|60)/.test(String(chunk))) process.stdout.write(chunk);
  });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
  server.on('exit', (code) => process.exit(code ?? 0));
}
