import { createHash } from 'node:crypto';
import type { RequestHandler } from 'express';

const NOT_MODIFIED = 304;

/**
 * Answers that have not changed are not sent again: each carries a mark of its content, and who names that mark is told that
 * it still holds. Our own, because a browser that asks with a mark of its own adds `Cache-Control: no-cache`, on which
 * Express sends everything.
 */
export const unchanged: RequestHandler = (req, res, next) => {
  if (req.method !== 'GET') return next();
  const json = res.json.bind(res);
  res.json = (body: unknown) => {
    if (res.statusCode !== 200) return json(body);
    const text = JSON.stringify(body);
    const mark = `W/"${createHash('sha256').update(text).digest('base64url').slice(0, 22)}"`;
    res.set('ETag', mark);
    if (req.get('If-None-Match') === mark) return res.status(NOT_MODIFIED).end();
    return res.type('json').send(text);
  };
  next();
};
