import { pino, type DestinationStream, type Logger } from 'pino';
import { codeOf } from './db/transact';

/**
 * An error without what was in it: its kind, the database's code and names, and where in the program it came from. Messages of
 * the database quote rows, and those of its driver whole documents.
 */
export function errorOf(error: unknown) {
  if (!(error instanceof Error)) return { kind: typeof error };
  const { constraint, table } = rootOf(error) as { constraint?: string; table?: string };
  const at = (error.stack ?? '').split('\n').filter((line) => /^\s+at /.test(line));
  const code = codeOf(error);
  return {
    kind: error.name,
    ...(code ? { code } : {}),
    ...(constraint ? { constraint } : {}),
    ...(table ? { table } : {}),
    at: at.slice(0, DEEP).map((line) => line.trim()),
  };
}
/** Lines of where it came from that are kept. */
const DEEP = 12;

function rootOf(error: Error): Error {
  return error.cause instanceof Error ? rootOf(error.cause) : error;
}

/** Nothing of anybody's is in a log line. */
export const makeLog = (level: string, to?: DestinationStream): Logger => {
  const options = { level, base: null, serializers: { err: errorOf, error: errorOf } };
  return to ? pino(options, to) : pino(options);
};
