import { rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { pino } from 'pino';
import { httpApp } from './api/app';
import { demoKeeper } from './demo';
import { simulatedClock, systemClock, type Clock } from './clock';
import { addressFile } from './db/lock';
import { openDb } from './db/open';
import { ensureHousehold, seedDemo } from './db/seed';
import { simulatedTelephone } from './standins/telephone';
import { simulatedWeather } from './standins/weather';
import { watch } from './watch/watcher';

/** How long open connections get to finish before they are cut, ms. */
const PATIENCE = 5000;

interface Settings {
  port: number;
  folder: string;
  url?: string;
  demo: boolean;
  standIns: boolean;
  appFolder: string;
  clock: Clock;
  seed: number;
  level: string;
}

function settingsFrom(env: NodeJS.ProcessEnv): Settings {
  const here = dirname(fileURLToPath(import.meta.url));
  const host = env.HOST ?? '127.0.0.1';
  if (!['127.0.0.1', 'localhost', '::1'].includes(host))
    throw new Error(
      `Escale answers on this machine only for now (HOST=${host} was asked for). ` +
        `Off it the application needs TLS, and that is not built yet.`,
    );
  return {
    port: Number(env.PORT ?? 4280),
    folder: resolve(env.ESCALE_DATA ?? '.data/escale'),
    ...(env.DATABASE_URL ? { url: env.DATABASE_URL } : {}),
    demo: env.ESCALE_DEMO === '1',
    standIns: env.ESCALE_DEMO === '1' || env.ESCALE_STANDINS === '1',
    appFolder: resolve(env.ESCALE_APP ?? join(here, '..', '..', 'app', 'dist')),
    seed: Number(env.ESCALE_SEED ?? 7),
    level: env.LOG_LEVEL ?? 'info',
    clock: env.ESCALE_CLOCK
      ? simulatedClock(Date.parse(env.ESCALE_CLOCK), env.ESCALE_CLOCK_RUNS === '1')
      : systemClock,
  };
}

async function start(): Promise<void> {
  const settings = settingsFrom(process.env);
  const log = pino({ level: settings.level, base: null });
  const { clock } = settings;
  const { db, close } = await openDb(settings);
  const household = await ensureHousehold(db, clock.now());
  const base = `http://localhost:${settings.port}`;
  const services = {
    db,
    clock,
    household,
    log,
    base,
    ...(settings.standIns
      ? { weather: simulatedWeather(settings.seed), telephone: simulatedTelephone() }
      : {}),
  };
  if (settings.demo && (await seedDemo(services)))
    log.info('demo data made: an invented coast, not for navigation');
  const watcher = watch(services);
  const demo = demoKeeper(services, settings.seed);
  const server = createServer(httpApp(services, { kick: watcher.kick, appFolder: settings.appFolder, demo }));
  await new Promise<void>((ready, failed) =>
    server.once('error', failed).listen(settings.port, '127.0.0.1', ready),
  );
  if (!settings.url) writeFileSync(addressFile(settings.folder), base);
  log.info({ address: base }, 'Escale is ready');

  let stopping = false;
  const stop = async () => {
    if (stopping) return;
    stopping = true;
    log.info('stopping');
    const closed = new Promise<void>((done) => server.close(() => done()));
    server.closeIdleConnections();
    const cut = setTimeout(() => server.closeAllConnections(), PATIENCE);
    await closed;
    clearTimeout(cut);
    await demo.end();
    await watcher.stop();
    rmSync(addressFile(settings.folder), { force: true });
    await close();
    process.exit(0);
  };
  process.on('SIGTERM', () => void stop());
  process.on('SIGINT', () => void stop());
}

start().catch((error: unknown) => {
  console.error(error instanceof Error ? `Escale could not start: ${error.message}` : error);
  process.exit(1);
});
