import cookieParser from 'cookie-parser';
import { Router, type Request, type RequestHandler, type Response } from 'express';
import { MS } from '@escale/core/units';
import { HOME } from '../db/household';
import type { Door } from '../door/door';
import { letIn } from './who';
import { barePage } from './bare-page';

/**
 * The door over HTTP: an address with a code gives a browser a session, once; a program comes with the key itself. A session is a
 * signed cookie and needs nothing written, so that who was let in is let in on a full disk and after a restart.
 */

/** A browser keeps no cookie for longer; at sea nobody is put out by a clock, so the server itself asks for no age. */
const KEPT = 400 * MS.day;
/** A session older than this is given anew. */
const RENEWED = 30 * MS.day;

/** Cookies of one machine are shared by all its ports: two servers must not put out each other’s browsers. */
const cookieOf = (req: Request) => `escale-${req.socket.localPort}`;

/** The session is the instant it was given, signed. */
function give(req: Request, res: Response): void {
  res.cookie(cookieOf(req), String(Date.now()), {
    signed: true,
    httpOnly: true,
    sameSite: 'strict',
    path: '/',
    maxAge: KEPT,
  });
}

/** Whoever is known is let in; who is not is asked nothing and told nothing. */
export function door(keeper: Door): RequestHandler {
  const cookies = readingCookies(keeper);
  return (req, res, next) => {
    const key = /^Bearer (\S+)$/.exec(req.get('authorization') ?? '')?.[1];
    if (key !== undefined && keeper.isKey(key)) {
      letIn(req, HOME);
      return next();
    }
    cookies(req, res, () => {
      const given = Number((req.signedCookies as Record<string, unknown>)[cookieOf(req)]);
      if (given > 0) {
        letIn(req, HOME);
        if (Math.abs(Date.now() - given) > RENEWED) give(req, res);
      }
      next();
    });
  };
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

/** An address that lets a browser in. */
export function entrance(keeper: Door): Router {
  const routes = Router();
  const cookies = readingCookies(keeper);
  routes.get('/enter/:code', cookies, (req, res) => {
    res.set('Cache-Control', 'no-store');
    // Who only looks whether the address is there does not use it up.
    if (req.method === 'HEAD') return void res.end();
    if (keeper.take(String(req.params.code))) give(req, res);
    else if (!(req.signedCookies as Record<string, unknown>)[cookieOf(req)])
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
  '<p>An address works once, for a day, and until the server is started again. On the machine that runs Escale, in its folder, ' +
  'say <code>npm run escale -- enter</code> and open the address that it prints.</p>';

/** What only who is in may ask of the door. */
export function doorKeeping(keeper: Door, base: string): Router {
  const routes = Router();
  routes.post('/door/address', (_req, res) => {
    res.json({ address: `${base}/enter/${keeper.code()}` });
  });
  routes.post('/door/lock', (_req, res) => {
    keeper.lock();
    res.json({});
  });
  return routes;
}
