import type { Sending } from './store';
import { COMMANDS, type Command } from './things';

type Answer = { id?: unknown; version?: unknown; state?: unknown; item?: unknown; list?: unknown } | null;

/**
 * Is this what our server answers to that write? An empty or odd answer, of a page that wants one to log in or a server that
 * was cut off, is none: what was sent may not be there.
 */
export function answersTo({ path, body }: Pick<Sending, 'path' | 'body'>, answer: unknown): boolean {
  if (typeof answer !== 'object' || answer === null) return false;
  const { id, version, state, item, list } = answer as NonNullable<Answer>;
  if (path === COMMANDS) return id === (body as Command).thing && typeof version === 'number';
  if (path === '/api/ticks') {
    const said = body as { item: string; list: string };
    return item === said.item && list === said.list;
  }
  const plan = /^\/api\/plans\/([^/]+)\//.exec(path)?.[1];
  return typeof id === 'string' && typeof state === 'string' && (plan === undefined || id === plan);
}
