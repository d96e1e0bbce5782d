import { existsSync } from 'node:fs';
import { join } from 'node:path';
import compression from 'compression';
import expressStaticGzip from 'express-static-gzip';
import express, { type Express, type Request, type RequestHandler } from 'express';
import helmet from 'helmet';
import { pinoHttp } from 'pino-http';
import * as z from 'zod';
import { errorOf } from '../log';
import type { Services } from '../services';
import { DEMO_PATH, type Demo, type DemoKeeper } from '../demo/keeper';
import { countsOf } from '../backup/copy';
import { channelsOf } from '../channels/state';
import type { Keeper } from '../backup/keeper';
import type { Door } from '../door/door';
import { sessionsOf, type Sessions } from '../door/sessions';
import { HOME } from '../db/household';
import { ROOM_FOR_DEEDS, roomIn } from '../db/room';
import type { GuardedClock } from '../watch/guard';
import { asideOf, tryAgain } from '../watch/aside';
import { healthOf } from '../watch/health';
import { newsDesk } from '../watch/news';
import type { Watch } from '../watch/watcher';
import { backdropOf, originsOf, type Backdrop } from './backdrop';
import { barePage } from './bare-page';
import { clubs } from './clubs';
import { contactPage } from './contact-page';
import { door, doorKeeping, entrance } from './door';
import { erasing } from './erasing';
import { exchange } from './exchange';
import { onlyHere } from './only-here';
import { openApi } from './openapi';
import { plans } from './plans';
import { push } from './push';
import { guestPage, guests } from './guests';
import { households } from './households';
import { notFound, onError, parse, Problem } from './problem';
import { photos } from './photos';
import { streams } from './stream';
import { stylesIn, stylesOf } from './styles';
import { things } from './things';
import { unchanged } from './unchanged';
import { clockOf, isKeeper, isLetIn, notLetIn, whoOf } from './who';

const writesAreJson: RequestHandler = (req, _res, next) => {
  if (req.method !== 'GET' && req.method !== 'HEAD' && !req.is('application/json'))
    throw new Problem(415, 'Writes are JSON.');
  next();
};

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;
/** Longer than any word of a path: a link's own part, wherever somebody put it. */
const SECRET = /[\w-]{20,}/g;
const pathOf = (url: string) =>
  url.replace(/\?.*$/, '').replace(SECRET, (word) => (UUID.test(word) ? word : '…'));

/** What the HTTP face stands on beside the services. */
export interface Below {
  watch: Watch;
  /** Who is let in, and how. */
  door: Door;
  appFolder?: string;
  demo?: DemoKeeper;
  /** What charts are drawn over. */
  backdrop?: Backdrop;
  guard?: GuardedClock;
  /** Where the memory lies, when it lies on this machine. */
  folder?: string;
  /** What keeps the memory safe. */
  keeper?: Keeper;
  /** A device said what its clock shows. */
  heard?: GuardedClock['heard'];
  /** The proxy that stands before it. */
  proxy?: string;
  /** Until when its certificate is good, epoch ms. */
  certificate?: number;
  /** The simulated clock was set. */
  clockSet?: (at: number) => void;
}

/** The whole HTTP face: API, the contact's page, and the application's files from `appFolder`. */
export function httpApp(services: Services, below: Below): Express {
  const { demo, appFolder } = below;
  const app = express();
  app.disable('x-powered-by');
  app.enable('case sensitive routing');
  app.use(
    pinoHttp({
      logger: services.log,
      // As they are: wrapped, an error would come with its query and its parameters.
      wrapSerializers: false,
      // Neither bodies nor links: a contact's token and a person's name have no place in a log.
      serializers: {
        req: (req: { id: unknown; method: string; url: string }) => ({
          id: req.id,
          method: req.method,
          path: pathOf(req.url),
        }),
        res: (res: { statusCode: number }) => ({ status: res.statusCode }),
        err: errorOf,
      },
    }),
  );
  const { proxy } = below;
  if (proxy !== undefined) app.set('trust proxy', proxy);
  app.use(onlyHere({ base: services.base, ...(proxy === undefined ? {} : { proxy }) }));
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          'upgrade-insecure-requests': null,
          'script-src': ["'self'"],
          'style-src': [
            "'self'",
            ...stylesOf(barePage('', '')),
            ...(appFolder ? stylesIn(join(appFolder, INDEX)) : []),
          ],
          'img-src': ["'self'", 'data:', 'blob:', ...originsOf(below.backdrop)],
          'font-src': ["'self'"],
          'worker-src': ["'self'", 'blob:'],
        },
      },
      crossOriginEmbedderPolicy: false,
    }),
  );
  app.use(compression());
  const sessions = sessionsOf(services.db);
  app.use(contactPage(services, below.watch.kick));
  app.use(guestPage(services));
  app.use(entrance(below.door, sessions));
  app.use('/api', neverKept, door(below.door, sessions), onlyLetIn, clocksOf(below), writesAreJson);
  app.use('/api/door', express.json({ limit: '4kb' }));
  app.use('/api', doorKeeping(below.door, sessions, services.base));
  // Streams stay open: who ends the server says goodbye to them first.
  const ends: (() => void)[] = [];
  app.locals.endStreams = () => ends.forEach((end) => end());
  if (demo) besides(app, demo, below, sessions, ends);
  app.use('/api', apiOf(services, below, sessions, ends));

  if (appFolder) files(app, appFolder);
  app.use(notFound);
  app.use(onError);
  return app;
}

const neverKept: RequestHandler = (_req, res, next) => {
  res.set('Cache-Control', 'no-store');
  next();
};

/** Who looks from outside hears whether the server is well; all else is for those who were let in. */
const HEALTH = '/health';
const onlyLetIn: RequestHandler = (req, _res, next) => {
  if (!isLetIn(req) && req.path !== HEALTH) throw notLetIn();
  next();
};

function clocksOf({ heard }: Below): RequestHandler {
  return (req, _res, next) => {
    const { shows } = clockOf(req);
    if (heard && shows !== undefined && isLetIn(req))
      heard(whoOf(req).device ?? 'unnamed', shows, HERE.test(req.socket.remoteAddress ?? ''));
    next();
  };
}
const HERE = /^(::1|(::ffff:)?127\.)/;

const FULL = 507;
/** On a disk that is nearly full only what is said of a plan is still written down. */
function roomForHome({ folder }: Below): RequestHandler {
  return (req, _res, next) => {
    const deed = /^\/plans\/[^/]+\/deeds$/.test(req.path);
    if (folder && req.method === 'POST' && !deed && roomIn(folder) < ROOM_FOR_DEEDS)
      throw new Problem(FULL, 'The server’s disk is full. Nothing was changed; it will be sent again.');
    next();
  };
}

/** What is of all households is for who holds the key, and for the one that the server was made with. */
const ofTheServer: RequestHandler = (req, _res, next) => {
  if (!isKeeper(req) && whoOf(req).household !== HOME)
    throw new Problem(403, 'Only who runs the server may.');
  next();
};

const UNHEALTHY = 503;

/** The API over one memory. */
function apiOf(services: Services, below: Below, sessions: Sessions, ends: (() => void)[]): express.Router {
  const { watch, clockSet } = below;
  const { kick } = watch;
  const api = express.Router();
  const news = newsDesk(services.db, undefined, (error) =>
    services.log.warn({ err: error }, 'no news could be read'),
  );
  const { routes, end } = streams(news, sessions.isHashOut);
  ends.push(end);
  api.use((req, res, next) => {
    if (req.method === 'POST') res.on('finish', news.hurry);
    next();
  });
  // Before what looks at whole answers: a stream has no end to look at.
  api.use(routes);
  api.use(unchanged);
  api.use(roomForHome(below));
  api.use(exchange(services));
  api.use(express.json({ limit: '1mb' }));
  const health = () =>
    healthOf({
      watch,
      clock: services.clock,
      ...(below.guard ? { guard: below.guard } : {}),
      ...(below.folder ? { folder: below.folder } : {}),
      ...(below.keeper ? { kept: below.keeper.kept } : {}),
      ...(below.certificate === undefined ? {} : { certificate: below.certificate }),
    });
  // Red is an error to whoever looks from outside; the page of the watch reads it as it is.
  api.get(HEALTH, (req, res) => {
    const now = health();
    res.status(now.ok ? 200 : UNHEALTHY).json(isLetIn(req) ? now : { ok: now.ok });
  });
  api.get('/watch', async (req, res) => {
    res.json({
      ...health(),
      aside: await asideOf(services.db, whoOf(req)),
      channels: await channelsOf(services.db, services.channels),
    });
  });
  api.post('/watch/again', ofTheServer, async (_req, res) => {
    await tryAgain(services.db);
    void kick();
    res.json({});
  });
  api.post('/backup', ofTheServer, async (_req, res) => {
    if (!below.keeper) throw new Problem(404, 'This memory is not kept: it goes with the process.');
    res.json(await below.keeper.copy());
  });
  api.get('/verify', ofTheServer, async (_req, res) => {
    const broken = (await below.keeper?.verify()) ?? [];
    res.json({ what: 'the memory', counts: await countsOf(services.db), broken });
  });
  api.post('/clock', ofTheServer, async (req, res) => {
    if (!services.clock.set) throw new Problem(404, 'This server keeps real time.');
    const at = Date.parse(parse(z.strictObject({ at: z.iso.datetime() }), req.body).at);
    services.clock.set(at);
    clockSet?.(at);
    await kick();
    res.json({ now: services.clock.now() });
  });
  api.use(backdropOf(below.backdrop));
  api.get('/openapi.json', (_req, res) => void res.json(openApi()));
  api.use(things(services));
  api.use(photos(services));
  api.use(push(services));
  api.use(guests(services));
  api.use(households(services, below.door));
  api.use(clubs(services, below.door));
  api.use(plans(services, kick));
  api.use(erasing(services, (gone) => below.keeper?.erased(gone)));
  api.use(notFound);
  return api;
}

/** Who works in the demo says so with each request; a link that a browser follows says it behind the question mark. */
export const MEMORY_HEADER = 'x-escale-memory';
const wantsDemo = (req: Request) => req.get(MEMORY_HEADER) === 'demo' || req.query.memory === 'demo';

/** The demo beside the household: the same API and the same contact's page over a memory that is thrown away. */
function besides(
  app: Express,
  demo: DemoKeeper,
  { door, ...below }: Below,
  sessions: Sessions,
  ends: (() => void)[],
): void {
  const backdrop = below.backdrop ? { backdrop: below.backdrop } : {};
  const made = new WeakMap<Demo, { api: express.Router; contact: express.Router }>();
  const facesOf = (open: Demo) => {
    const known = made.get(open);
    if (known) return known;
    const faces = {
      api: apiOf(open.services, { watch: open.watch, door, ...backdrop }, sessions, ends),
      contact: contactPage(open.services, open.watch.kick),
    };
    made.set(open, faces);
    return faces;
  };
  app.post('/api/demo/end', async (_req, res) => {
    await demo.end();
    res.json({});
  });
  app.use('/api', async (req, res, next) => {
    if (!wantsDemo(req) || !isLetIn(req)) return next();
    facesOf(await demo.open()).api(req, res, next);
  });
  app.use(DEMO_PATH, async (req, res, next) => {
    const open = await demo.here();
    if (!open) return next();
    facesOf(open).contact(req, res, next);
  });
}

/** Files as they were compressed when the application was built: not again for each who asks. */
const ready = (folder: string, serveStatic: expressStaticGzip.ExpressStaticGzipOptions['serveStatic']) =>
  expressStaticGzip(folder, {
    enableBrotli: true,
    orderPreference: ['br', 'gz'],
    index: false,
    ...(serveStatic ? { serveStatic } : {}),
  });

const INDEX = 'index.html';
function files(app: Express, folder: string): void {
  const forever = { immutable: true, maxAge: '1y', dotfiles: 'allow' as const };
  app.use('/_expo', ready(join(folder, '_expo'), forever));
  app.use('/assets', ready(join(folder, 'assets'), forever));
  app.use(
    ready(folder, {
      setHeaders: (res, path) =>
        void res.setHeader(
          'Cache-Control',
          /sw\.js(\.\w+)?$/.test(path) ? 'no-cache' : 'public, max-age=3600',
        ),
    }),
  );
  const page = join(folder, INDEX);
  app.get('/{*path}', (req, res, next) => {
    // Only a page falls back to the application; a missing file is missing.
    if (!req.accepts('html') || /\.\w+$/.test(req.path) || !existsSync(page)) return next();
    res.set('Cache-Control', 'no-cache').sendFile(page);
  });
}
