import { Router, type Response } from 'express';
import { MS } from '@escale/core/units';
import type { NewsDesk } from '../watch/news';
import { Problem } from './problem';
import { sessionOf, whoOf } from './who';

/** A line without news, so that what stands between does not shut the stream, and so that one that is gone is noticed. */
const BEAT = 20 * MS.second;
/** A browser comes back so soon after a stream ended, ms. */
const RETRY = 3000;
/** So many streams a household, and in all: what goes beyond asks now and then, as without a stream. */
const MOST_OF_ONE = 100,
  MOST = 2000;
const TOO_MANY = 429;

export interface Streams {
  routes: Router;
  /** Says goodbye to all of them, so that the server can end. */
  end(): void;
}

/**
 * News as they happen (server-sent events): that plans or things of one's household changed, no more; whoever hears reads them anew.
 * @param isOut was this session thrown out? Its stream ends with the next beat
 */
export function streams(desk: NewsDesk, isOut: (session: string) => Promise<boolean>): Streams {
  const open = new Map<Response, string>();
  const routes = Router();
  routes.get('/stream', (req, res) => {
    const { household } = whoOf(req);
    const mine = [...open.values()].filter((of) => of === household).length;
    if (open.size >= MOST || mine >= MOST_OF_ONE)
      throw new Problem(TOO_MANY, 'Too many devices listen just now. They are told by asking, as before.');
    const session = sessionOf(req);
    res.set({
      'Content-Type': 'text/event-stream',
      // Not kept, and not pressed together: each line leaves at once.
      'Cache-Control': 'no-cache, no-transform',
      'X-Accel-Buffering': 'no',
    });
    res.flushHeaders();
    res.write(`retry: ${RETRY}\n: here\n\n`);
    open.set(res, household);
    const stop = desk.listen(household, ({ id, about }) => {
      res.write(`id: ${id}\nevent: ${about}\ndata: {}\n\n`);
    });
    const beat = setInterval(() => void beats(), BEAT);
    const beats = async () => {
      if (session !== undefined && (await isOut(session))) return void res.end();
      res.write(': here\n\n');
    };
    res.on('close', () => {
      clearInterval(beat);
      stop();
      open.delete(res);
    });
  });
  return {
    routes,
    end: () => {
      for (const res of open.keys()) res.end('event: bye\ndata: {}\n\n');
      desk.stop();
    },
  };
}
