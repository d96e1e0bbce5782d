import type { RequestHandler } from 'express';
import type { Reached } from '../reached';
import { Problem } from './problem';

const LOOPBACK = /^(localhost|127\.0\.0\.1|\[::1\])(:\d+)?$/;
const FROM_HERE = /^(::1|(::ffff:)?127\.)/;

/**
 * A page elsewhere must not reach this server through the browser: names other than its own are refused, and so are writes from
 * another origin. Behind a proxy nobody but that proxy, and this machine, is spoken with.
 */
export function onlyHere({ base, proxy }: Pick<Reached, 'base' | 'proxy'>): RequestHandler {
  const named = new URL(base).host;
  return (req, _res, next) => {
    const from = req.socket.remoteAddress ?? '';
    if (proxy !== undefined && !FROM_HERE.test(from) && bare(from) !== bare(proxy))
      throw new Problem(403, 'This server speaks with its proxy only.');
    const host = req.headers.host ?? '';
    // This machine's own names lead from this machine only.
    const known = host === named || (LOOPBACK.test(host) && FROM_HERE.test(from));
    if (!known) throw new Problem(421, 'This server answers to its own name only.');
    const { origin } = req.headers;
    if (origin !== undefined && origin !== 'null' && (!URL.canParse(origin) || new URL(origin).host !== host))
      throw new Problem(403, 'This came from another site.');
    if (origin === 'null' && req.method !== 'GET') throw new Problem(403, 'This came from another site.');
    next();
  };
}

const bare = (address: string) => address.replace(/^::ffff:/, '');
