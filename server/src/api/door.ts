import cookieParser from 'cookie-parser';
import { Router, type Request, type RequestHandler, type Response } from 'express';
import * as z from 'zod';
import { Id } from '@escale/core/model';
import { MS } from '@escale/core/units';
import { HOME } from '../db/household';
import type { Door } from '../door/door';
import type { Sessions } from '../door/sessions';
import { reachesOthers } from '../reached';
import { DEVICE_HEADER, isKeeper, letIn, sessionOf, whoOf } from './who';
import { barePage } from './bare-page';
import { parse, Problem } from './problem';

/**
 * The door over HTTP: an address with a code gives a browser a session, once; a program comes with the key itself. A session is a
 * signed cookie, so that who was let in is let in on a full disk and after a restart, until it is thrown out.
 */

/** A browser keeps no cookie for longer; at sea nobody is put out by a clock, so the server itself asks for no age. */
const KEPT = 400 * MS.day;
/** A session older than this is given anew. */
const RENEWED = 30 * MS.day;

/** Cookies of one machine are shared by all its ports: two servers must not put out each other’s browsers. */
const cookieOf = (req: Request) => `escale-${req.socket.localPort}`;

/** What a cookie says: which session, of which household, given when. */
interface Given {
  secret: string;
  household: string;
  at: number;
}
const WRITTEN = /^([\w-]{43})\.([0-9a-f-]{36})\.(\d+)$/;
/** Before sessions had names a cookie was the instant alone, of the one household. */
const BARE = /^\d+$/;

function givenIn(req: Request): Given | undefined {
  const value: unknown = (req.signedCookies as Record<string, unknown>)[cookieOf(req)];
  const [, secret, household, at] = (typeof value === 'string' && WRITTEN.exec(value)) || [];
  if (secret) return { secret, household, at: Number(at) };
  return typeof value === 'string' && BARE.test(value) ? { secret: '', household: HOME, at: 0 } : undefined;
}

function give(req: Request, res: Response, { secret, household }: Omit<Given, 'at'>): void {
  res.cookie(cookieOf(req), `${secret}.${household}.${Date.now()}`, {
    signed: true,
    httpOnly: true,
    sameSite: 'strict',
    secure: req.secure,
    path: '/',
    maxAge: KEPT,
  });
}

/** What a browser is called until somebody gives it a name. */
const calledBy = (req: Request) =>
  /Mobi|Android|iP(hone|ad)/.test(req.get('user-agent') ?? '') ? PHONE : COMPUTER;
const PHONE = 'A phone',
  COMPUTER = 'A computer';

/** Whoever is known is let in; who is not is asked nothing and told nothing. */
export function door(keeper: Door, sessions: Sessions): RequestHandler {
  const cookies = readingCookies(keeper);
  return (req, res, next) => {
    const key = /^Bearer (\S+)$/.exec(req.get('authorization') ?? '')?.[1];
    if (key !== undefined && keeper.isKey(key)) {
      letIn(req, { household: HOME, keeper: true });
      return next();
    }
    cookies(req, res, () => void admit(req, res).then(() => next(), next));
  };

  async function admit(req: Request, res: Response): Promise<void> {
    const given = givenIn(req);
    if (!given) return;
    const { household } = given;
    // One of before gets a session of its own, as far as it can be written down.
    const secret = given.secret || (await sessions.open(household, calledBy(req)).catch(() => ''));
    if (secret && (await sessions.isOut(secret))) return;
    letIn(req, { household, ...(secret ? { session: sessions.hashOf(secret) } : {}) });
    if (!secret) return;
    const device = Id.safeParse(req.get(DEVICE_HEADER));
    sessions.seen(secret, device.success ? device.data : undefined);
    if (Math.abs(Date.now() - given.at) > RENEWED) give(req, res, { secret, household });
  }
}

/** Cookies read by the key as it is now. */
function readingCookies(keeper: Door): RequestHandler {
  let key: string | undefined;
  let parser: RequestHandler | undefined;
  return (req, res, next) => {
    if (!parser || key !== keeper.key()) {
      key = keeper.key();
      parser = cookieParser(key);
    }
    parser(req, res, next);
  };
}

/**
 * An address that lets a browser in. A session that is there is never taken up: another is given, so that nobody is let into one that
 * was laid for them.
 */
export function entrance(keeper: Door, sessions: Sessions): Router {
  const routes = Router();
  const cookies = readingCookies(keeper);
  routes.get('/enter/:code', cookies, async (req, res) => {
    res.set('Cache-Control', 'no-store');
    // Who only looks whether the address is there does not use it up.
    if (req.method === 'HEAD') return void res.end();
    const household = await keeper.take(String(req.params.code));
    if (household !== undefined)
      give(req, res, { secret: await sessions.open(household, calledBy(req)), household });
    else if (!givenIn(req))
      return void res
        .status(NOT_IN)
        .type('html')
        .send(barePage(ENDED, `<h1>${ENDED}</h1>${USED}`));
    res.redirect(303, '/');
  });
  return routes;
}
const NOT_IN = 401;
const ENDED = 'This address lets nobody in any more';
const USED =
  '<p>An address works once, for a day. Somebody who is in can make another (Shed, Who ' +
  'may come in). ' +
  'Or on the machine that runs Escale, in its folder, say <code>npm run escale -- enter</code> and open the address that it prints.</p>';

const Name = z.string().trim().min(1).max(60);
const Hash = z.string().regex(/^[\w-]{43}$/);

/** What only who is in may ask of the door. */
export function doorKeeping(keeper: Door, sessions: Sessions, base: string): Router {
  const routes = Router();

  routes.post('/door/address', async (req, res) => {
    // Whoever holds the key may let somebody into any household of this server; who is in, into their own.
    const wanted = parse(z.object({ household: Id.optional() }), req.body ?? {}).household;
    const { household } = whoOf(req);
    if (wanted !== undefined && wanted !== household && !isKeeper(req))
      throw new Problem(403, 'That is another household.');
    const address = `${base}/enter/${await keeper.code(wanted ?? household)}`;
    res.json({ address, reaches: reachesOthers(address) });
  });

  routes.get('/door/devices', async (req, res) => {
    const rows = await sessions.list(whoOf(req).household);
    res.json({
      devices: rows.map(({ hash, name, createdAt, seenAt }) => ({
        id: hash,
        name,
        since: createdAt.getTime(),
        seen: seenAt.getTime(),
        ...(hash === sessionOf(req) ? { here: true } : {}),
      })),
    });
  });

  routes.post('/door/devices/:id', async (req, res) => {
    const { name } = parse(z.strictObject({ name: Name }), req.body);
    const known = await sessions.rename(whoOf(req).household, parse(Hash, req.params.id), name);
    if (!known) throw new Problem(404, 'No such device is in.');
    res.json({});
  });

  routes.post('/door/devices/:id/end', async (req, res) => {
    if (!(await sessions.end(whoOf(req).household, parse(Hash, req.params.id))))
      throw new Problem(404, 'No such device is in.');
    res.json({});
  });

  routes.post('/door/lock', async (req, res) => {
    // Another lock is for all households of this server: in one of many only who holds the key turns it.
    if (!isKeeper(req) && whoOf(req).household !== HOME)
      throw new Problem(403, 'Only who runs the server may.');
    await keeper.lock();
    res.json({});
  });
  return routes;
}
