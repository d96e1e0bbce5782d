import type { Sending } from './store';
import { COMMANDS, type Command } from './things';

/** Where photos are sent. */
export const PHOTOS = '/api/photos';

type Answer = {
  id?: unknown;
  version?: unknown;
  state?: unknown;
  item?: unknown;
  list?: unknown;
  hash?: unknown;
} | null;

/**
 * Is this what our server answers to that write? An empty or odd answer, of a page that wants one to log in or a server that
 * was cut off, is none: what was sent may not be there.
 */
export function answersTo({ path, body }: Pick<Sending, 'path' | 'body'>, answer: unknown): boolean {
  if (typeof answer !== 'object' || answer === null) return false;
  const { id, version, state, item, list, hash } = answer as NonNullable<Answer>;
  if (path === COMMANDS) return id === (body as Command).thing && typeof version === 'number';
  if (path === '/api/ticks') {
    const said = body as { item: string; list: string };
    return item === said.item && list === said.list;
  }
  if (path === PHOTOS) return hash === (body as { hash: string }).hash;
  const plan = /^\/api\/plans\/([^/]+)\//.exec(path)?.[1];
  return typeof id === 'string' && typeof state === 'string' && (plan === undefined || id === plan);
}
