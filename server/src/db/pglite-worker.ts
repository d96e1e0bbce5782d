import { parentPort, workerData } from 'node:worker_threads';
import { PGlite, types, type Transaction } from '@electric-sql/pglite';
import { DURABLE_PARAMS, DurableFS, syncCount } from './durable-fs';
import type { Answer, Ask, Opening, Trouble } from './pglite-wire';

/**
 * PGlite in a thread of its own: a long query, or a transaction of many, holds up this thread and not the one that answers
 * requests. One connection, as PGlite has one.
 */
const port = parentPort!;

const asIs = (value: string) => value;
/** Times come as the text that the database wrote; whoever asked knows what they are. */
const AS_TEXT = Object.fromEntries(
  [types.TIMESTAMP, types.TIMESTAMPTZ, types.INTERVAL, types.DATE, 1231, 1115, 1185, 1187, 1182].map((t) => [
    t,
    asIs,
  ]),
);

const troubleOf = (error: unknown): Trouble => {
  const { message, code, constraint, table } = error as Partial<Trouble>;
  return {
    message: message ?? String(error),
    ...(code ? { code } : {}),
    ...(constraint ? { constraint } : {}),
    ...(table ? { table } : {}),
  };
};

interface Open {
  tx: Transaction;
  end: (how: 'commit' | 'rollback') => void;
  /** Settles when the database has ended it. */
  ended: Promise<void>;
}
const transactions = new Map<number, Open>();
/** Thrown to have a transaction rolled back; not an error of anybody's. */
class RolledBack extends Error {}

/** Begins a transaction that stays open until it is ended by its number. */
async function begin(db: PGlite, id: number): Promise<void> {
  let end: Open['end'] = () => undefined;
  const asked = new Promise<void>((commit, rollback) => {
    end = (how) => (how === 'commit' ? commit() : rollback(new RolledBack()));
  });
  let begun: (tx: Transaction) => void = () => undefined;
  const there = new Promise<Transaction>((resolve) => {
    begun = resolve;
  });
  const ended = db
    .transaction((tx) => {
      begun(tx);
      return asked;
    })
    .catch((error: unknown) => {
      if (!(error instanceof RolledBack)) throw error;
    });
  // One that can't even begin never comes: its error does.
  const tx = await Promise.race([there, ended]);
  if (tx) transactions.set(id, { tx, end, ended });
}

async function finish(id: number, how: 'commit' | 'rollback'): Promise<void> {
  const open = transactions.get(id);
  if (!open) throw new Error('This transaction is over.');
  transactions.delete(id);
  open.end(how);
  await open.ended;
}

async function done(db: PGlite, { what, id, tx, sql = '', params, rowMode }: Ask): Promise<unknown> {
  switch (what) {
    case 'begin':
      return begin(db, id);
    case 'commit':
    case 'rollback':
      return finish(tx ?? 0, what);
    case 'syncs':
      return syncCount();
    case 'close':
      return db.close();
    default: {
      const on = tx === undefined ? db : transactions.get(tx)?.tx;
      if (!on) throw new Error('This transaction is over.');
      if (what === 'exec') return on.exec(sql);
      const { rows, affectedRows } = await on.query(sql, params, { rowMode, parsers: AS_TEXT });
      return { rows, affectedRows };
    }
  }
}

async function main({ folder }: Opening): Promise<void> {
  let db: PGlite;
  try {
    db = folder
      ? await PGlite.create({ fs: new DurableFS(folder), startParams: DURABLE_PARAMS })
      : await PGlite.create();
  } catch (error) {
    port.postMessage({ id: 0, trouble: troubleOf(error) } satisfies Answer);
    return;
  }
  port.on('message', (ask: Ask) => {
    void done(db, ask)
      .then((result): Answer => ({ id: ask.id, result }))
      .catch((error: unknown): Answer => ({ id: ask.id, trouble: troubleOf(error) }))
      .then((answer) => {
        port.postMessage(answer);
        if (ask.what === 'close') port.close();
      });
  });
  port.postMessage({ id: 0 } satisfies Answer);
}

void main(workerData as Opening);
