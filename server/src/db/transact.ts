import { setTimeout as after } from 'node:timers/promises';
import pRetry from 'p-retry';
import type { Db } from './open';

/** What PostgreSQL says when two transactions were in each other's way: done again, one of them goes through. */
const IN_THE_WAY = new Set(['40001', '40P01', '55P03']);
/** What it, or the way to it, says when the database is restarted or can't be reached for a moment. */
const AWAY = new Set([
  '57P01',
  '57P02',
  '57P03',
  '08000',
  '08001',
  '08003',
  '08006',
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ENOENT',
  'ETIMEDOUT',
]);
const LOST =
  /Connection terminated|connection is closed|Client has encountered a connection error|timeout exceeded/i;

interface Wrapped {
  message?: unknown;
  code?: unknown;
  cause?: unknown;
  errors?: unknown[];
}
/** An error and what it wraps, from the outside in; a connection refused by two addresses comes as one error of several. */
function* layers(error: unknown): Generator<Wrapped> {
  for (let e = error; typeof e === 'object' && e !== null; e = (e as Wrapped).cause) {
    yield e;
    const [first] = (e as Wrapped).errors ?? [];
    if (first) yield* layers(first);
  }
}

/** The database's own word for what went wrong, through whatever wrapped it. */
export function codeOf(error: unknown): string | undefined {
  for (const { code } of layers(error)) if (typeof code === 'string') return code;
  return undefined;
}

/** The database is not there now; it may be in a moment. */
export function isAway(error: unknown): boolean {
  const code = codeOf(error);
  if (code !== undefined) return AWAY.has(code);
  for (const { message } of layers(error)) if (typeof message === 'string' && LOST.test(message)) return true;
  return false;
}

const again = (error: unknown) => IN_THE_WAY.has(codeOf(error) ?? '') || isAway(error);

/** Tries, and waits between them: about six seconds in all, so that a restart of the database is waited for. */
const TRIES = { retries: 7, minTimeout: 50, maxTimeout: 2000, factor: 2, randomize: true };

/**
 * One transaction, done again when another was in its way or the database went away meanwhile. What is written carries ids of
 * its own, so that a commit whose answer was lost is not done twice.
 */
export const transact = <T>(db: Db, work: (tx: Db) => Promise<T>): Promise<T> =>
  tryAgain(() => db.transaction((tx) => work(tx)), again);

/** A statement by itself, asked again while the database is away. */
export const whileAway = <T>(ask: () => Promise<T>): Promise<T> => tryAgain(ask, isAway);

function tryAgain<T>(work: () => Promise<T>, may: (error: unknown) => boolean): Promise<T> {
  const asError = (cause: unknown) => (cause instanceof Error ? cause : new Error('failed', { cause }));
  return pRetry(() => work().catch((error: unknown) => Promise.reject(asError(error))), {
    ...TRIES,
    shouldRetry: ({ error }) => may(error),
  });
}

/** Wait for a database that is not there yet, and say so. */
export async function whenThere<T>(
  work: () => Promise<T>,
  say: (error: unknown) => void,
  everyMs = 2000,
): Promise<T> {
  for (;;) {
    try {
      return await work();
    } catch (error) {
      if (!isAway(error)) throw error;
      say(error);
      await after(everyMs);
    }
  }
}
