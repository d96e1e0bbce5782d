import { rmSync, utimesSync, writeFileSync } from 'node:fs';
import { createServer, type RequestListener, type Server } from 'node:http';
import { createServer as createTlsServer } from 'node:https';
import type { AddressInfo } from 'node:net';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { Logger } from 'pino';
import { httpApp } from './api/app';
import { backdropFrom, type Backdrop } from './api/backdrop';
import { countsOf } from './backup/copy';
import { keepMemory, type Keeper } from './backup/keeper';
import { simulatedClock, type Clock } from './clock';
import { claim, inFolder } from './db/folder';
import { ensureHousehold } from './db/household';
import { FolderTaken } from './db/lock';
import { holdFolder, openDb, type OpenDb } from './db/open';
import { makeDoor } from './door/door';
import { demoKeeper } from './demo/keeper';
import { seedDemo } from './demo/seed';
import { makeLog } from './log';
import { reachedBy, saidIn, type Reached } from './reached';
import { reckoner } from './reckon/thread';
import type { Services } from './services';
import { channelsFrom } from './channels/settings';
import { probeChannels } from './channels/state';
import { simulatedWeather } from './standins/weather';
import { answerBeside, isWatchProcess, watchBeside } from './watch/beside';
import { healthOf } from './watch/health';
import { heartbeat } from './watch/heartbeat';
import { guardedClock, machineHands, type GuardedClock } from './watch/guard';
import { leaptBy } from './watch/leapt';
import { dueBetween, readState } from './watch/state';
import { sweepAll, watch, type Watch } from './watch/watcher';

/** A request that is not whole by then is cut: half-open ones would hold all that a machine has. */
const HALF_OPEN = { headersTimeout: 10_000, requestTimeout: 60_000, connectionsCheckingInterval: 5_000 };

/** How long open connections get to finish before they are cut, ms. */
const PATIENCE = 5000;

interface Settings {
  port: number;
  reached: Reached;
  folder: string;
  url?: string;
  demo: boolean;
  standIns: boolean;
  appFolder: string;
  /** A clock that is set by hand; without it the machine’s. */
  simulated?: Clock;
  seed: number;
  level: string;
  watchOnly: boolean;
  backdrop?: Backdrop;
}

function settingsFrom(env: NodeJS.ProcessEnv): Settings {
  const here = dirname(fileURLToPath(import.meta.url));
  const backdrop = backdropFrom(env.ESCALE_BACKDROP);
  const port = Number(env.PORT ?? 4280);
  return {
    ...(backdrop ? { backdrop } : {}),
    port,
    reached: reachedBy(env, port),
    folder: resolve(env.ESCALE_DATA ?? '.data/escale'),
    ...(env.DATABASE_URL ? { url: env.DATABASE_URL } : {}),
    demo: env.ESCALE_DEMO === '1',
    standIns: env.ESCALE_DEMO === '1' || env.ESCALE_STANDINS === '1',
    appFolder: resolve(env.ESCALE_APP ?? join(here, '..', '..', 'app', 'dist')),
    seed: Number(env.ESCALE_SEED ?? 7),
    level: env.LOG_LEVEL ?? 'info',
    watchOnly: isWatchProcess(env),
    ...(env.ESCALE_CLOCK
      ? { simulated: simulatedClock(Date.parse(env.ESCALE_CLOCK), env.ESCALE_CLOCK_RUNS === '1') }
      : {}),
  };
}

/** The memory, the clock that is gone by, and the services on top of them. */
async function open(settings: Settings, log: Logger) {
  const memory = await openDb(settings, {
    waits: (error) => log.warn({ err: error }, 'the database is not there yet: waiting for it'),
    fails: (error) => log.warn({ err: error }, 'a connection to the database broke and is replaced'),
    unguarded: () =>
      log.warn(
        'the database gives no role that may only add to what is on record: triggers alone refuse to change it',
      ),
  });
  const guard = settings.simulated ? undefined : await guardOf(memory);
  const { db } = memory;
  const { simulated } = settings;
  // A simulated time goes on from where it was: started again, nothing that was done lies in the future.
  const before = simulated && (await readState(db));
  if (before && before.seenAt > simulated.now()) simulated.set?.(before.seenAt);
  const clock = simulated ?? guard!;
  const { reckon, end } = reckoner();
  const services: Services & { leapt: () => ReturnType<typeof leaptBy> } = {
    db,
    clock,
    log,
    reckon,
    base: settings.reached.base,
    leapt: () => leaptBy(guard?.standing()),
    channels: channelsFrom(env, db, clock.now, settings.standIns),
    ...(settings.standIns ? { weather: simulatedWeather(settings.seed) } : {}),
  };
  return { memory, guard, services, endReckoning: end };
}

/** The machine's clock, held against when it was last seen. */
async function guardOf({ db }: OpenDb): Promise<GuardedClock> {
  const before = await readState(db);
  const atStake = before !== undefined && (await dueBetween(db, before.seenAt, machineHands.wall()));
  return guardedClock(machineHands, before, atStake);
}

/** Ends once, in order, on either signal. */
function endOn(log: Logger, end: () => Promise<void>): () => void {
  let stopping = false;
  const stop = () => {
    if (stopping) return;
    stopping = true;
    log.info('stopping');
    void end().then(() => process.exit(0));
  };
  process.on('SIGTERM', stop);
  process.on('SIGINT', stop);
  return stop;
}

/** Only the watch, for the process that serves: where the database lets several in. */
async function watchOnly(settings: Settings, log: Logger): Promise<void> {
  // A server that is killed while this one still opens leaves nobody to answer to.
  const alone = () => process.exit(0);
  process.once('disconnect', alone);
  const { memory, guard, services, endReckoning } = await open(settings, log);
  const watcher = watch(services, { ...(guard ? { guard } : {}) });
  const stop = endOn(log, async () => {
    await watcher.stop();
    await endReckoning();
    await memory.close();
  });
  process.off('disconnect', alone);
  answerBeside(
    watcher,
    {
      heard: (device, shows, sameMachine) => guard?.heard(device, shows, sameMachine),
      set: (at) => settings.simulated?.set?.(at),
    },
    stop,
  );
}

async function start(settings: Settings, log: Logger): Promise<void> {
  const { memory, guard, services, endReckoning } = await open(settings, log);
  const { clock } = services;
  await ensureHousehold(services.db, clock.now());
  if (settings.demo && (await seedDemo(services)))
    log.info('demo data made: an invented coast, not for navigation');
  const counts = await countsOf(services.db);
  log.info(
    {
      memory: settings.url ? 'PostgreSQL' : settings.folder,
      things: counts.thing,
      plans: counts.plan,
      events: counts.plan_event,
    },
    'the memory is open',
  );
  const keeper = keeperOf(services, settings, log);
  // What came due while nobody looked is dealt with before anybody is served, and told by the watch's first round; what fails there
  // is tried again by it, and keeps nobody from saying that they are home.
  await sweepAll(services).catch((error: unknown) =>
    log.error({ err: error }, 'the first sweep did not go through'),
  );
  const beside = settings.url ? watchBeside(log) : undefined;
  const parts = inFolder(settings.folder);
  const watcher: Watch =
    beside ?? watch(services, { ...(guard ? { guard } : {}), beat: beating(parts.heartbeat) });
  const looked = {
    watch: watcher,
    clock,
    ...(keeper ? { kept: keeper.kept } : {}),
    ...(guard ? { guard } : {}),
    ...(settings.url ? {} : { folder: settings.folder }),
  };
  const url = env.ESCALE_HEARTBEAT;
  const still = heartbeat({ ...(url ? { url } : {}), log }, () => healthOf(looked));
  const demo = demoKeeper(services, settings.seed);
  const app = httpApp(services, {
    watch: watcher,
    door: makeDoor(services.db, parts.key),
    appFolder: settings.appFolder,
    ...(settings.backdrop ? { backdrop: settings.backdrop } : {}),
    demo,
    ...(keeper ? { keeper } : {}),
    ...(guard ? { guard } : {}),
    ...(settings.url ? {} : { folder: settings.folder }),
    heard: (device, shows, sameMachine) => {
      guard?.heard(device, shows, sameMachine);
      beside?.heard(device, shows, sameMachine);
    },
    clockSet: (at) => beside?.set(at),
    ...(settings.reached.proxy === undefined ? {} : { proxy: settings.reached.proxy }),
    ...(settings.reached.tls ? { certificate: settings.reached.tls.until } : {}),
  });
  const { servers, local } = await listen(app, settings);
  // Of several servers on one folder and one PostgreSQL the one that keeps it is the one to ask.
  if (keeper) writeFileSync(parts.address, local, { mode: 0o600 });
  log.info({ address: services.base }, 'Escale is ready');
  probeChannels(services.db, services.channels, clock.now()).catch((error: unknown) =>
    log.error({ err: error }, 'the ways out could not be asked'),
  );

  endOn(log, async () => {
    const closed = servers.map((server) => new Promise<void>((done) => server.close(() => done())));
    (app.locals as { endStreams: () => void }).endStreams();
    for (const server of servers) server.closeIdleConnections();
    const cut = setTimeout(() => servers.forEach((server) => server.closeAllConnections()), PATIENCE);
    await Promise.all(closed);
    clearTimeout(cut);
    still();
    await demo.end();
    await watcher.stop();
    await keeper?.stop();
    await endReckoning();
    for (const channel of services.channels) channel.close?.();
    if (keeper) rmSync(parts.address, { force: true });
    await memory.close();
  });
}

/**
 * Where it is asked to; from outside over TLS, and then for this machine's own programs by a plain way that only it has.
 * @returns how this machine's programs reach it
 */
async function listen(
  app: RequestListener,
  { port, reached: { host, tls } }: Settings,
): Promise<{ servers: Server[]; local: string }> {
  const at = (server: Server, on: number, where: string) =>
    new Promise<Server>((ready, failed) =>
      server.once('error', failed).listen(on, where, () => ready(server)),
    );
  if (!tls)
    return {
      servers: [await at(createServer(HALF_OPEN, app), port, host)],
      local: `http://localhost:${port}`,
    };
  const { cert, key } = tls;
  const outer = await at(createTlsServer({ ...HALF_OPEN, cert, key }, app), port, host);
  const inner = await at(createServer(HALF_OPEN, app), 0, '127.0.0.1');
  return { servers: [outer, inner], local: `http://localhost:${(inner.address() as AddressInfo).port}` };
}

/** Of several servers on one machine and one PostgreSQL the first keeps it: copies and heads lie in the folder that it holds. */
function keeperOf(services: Services, { url, folder }: Settings, log: Logger): Keeper | undefined {
  if (url)
    try {
      holdFolder(folder);
      claim(folder);
    } catch (error) {
      if (!(error instanceof FolderTaken)) throw error;
      log.info({ folder }, 'another server of this machine keeps this memory');
      return undefined;
    }
  // A server of a database tidies by itself; one in a folder has nobody else.
  return keepMemory(services, folder, { tidies: url === undefined });
}

/** A file that is touched at each round: who looks from outside sees by its age whether the watch goes on. */
function beating(file: string): () => void {
  writeFileSync(file, '', { mode: 0o600 });
  return () => {
    const now = new Date();
    utimesSync(file, now, now);
  };
}

const env = saidIn(process.env);
const settings = settingsFrom(env);
const log = makeLog(settings.level);
(settings.watchOnly ? watchOnly : start)(settings, log).catch((error: unknown) => {
  console.error(error instanceof Error ? `Escale could not start: ${error.message}` : error);
  process.exit(1);
});
