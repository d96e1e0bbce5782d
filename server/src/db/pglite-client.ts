import { Worker } from 'node:worker_threads';
import type { PGlite } from '@electric-sql/pglite';
import type { Answer, Ask, Opening, Trouble } from './pglite-wire';
import { workerFile } from './worker-file';

type Asked = Omit<Ask, 'id'>;
interface Rows {
  rows: unknown[];
  affectedRows?: number;
}
type Options = { rowMode?: 'array' | 'object' };

/** The database's error again, on this side of the threads. */
const errorOf = ({ message, ...more }: Trouble) => Object.assign(new Error(message), more);
/** What waits for an answer of a thread that has gone is told so, and tries again. */
const GONE: Trouble = { message: 'The thread of the database ended.', code: 'ECONNRESET' };

/** One PGlite in a thread. When the thread dies it is started again by the next who asks: what was committed is there. */
class Thread {
  private worker?: Promise<Worker>;
  private last = 0;
  private readonly waiting = new Map<
    number,
    { done: (result: unknown) => void; failed: (e: Error) => void }
  >();
  private closed = false;

  constructor(private readonly opening: Opening) {}

  /** @throws what the database said when it can't be opened */
  open(): Promise<Worker> {
    if (this.closed) return Promise.reject(new Error('The database is closed.'));
    this.worker ??= this.start().catch((error: unknown) => {
      this.worker = undefined;
      throw error;
    });
    return this.worker;
  }

  private start(): Promise<Worker> {
    const worker = new Worker(workerFile('pglite-worker'), { workerData: this.opening });
    return new Promise((ready, failed) => {
      const gone = (error?: Error) => {
        this.worker = undefined;
        const trouble = error ? { ...GONE, message: error.message } : GONE;
        failed(errorOf(trouble));
        for (const { failed: refuse } of this.waiting.values()) refuse(errorOf(trouble));
        this.waiting.clear();
      };
      worker.on('message', ({ id, result, trouble }: Answer) => {
        if (id === 0) return trouble ? failed(errorOf(trouble)) : ready(worker);
        const asked = this.waiting.get(id);
        this.waiting.delete(id);
        if (trouble) asked?.failed(errorOf(trouble));
        else asked?.done(result);
      });
      worker.once('error', gone);
      worker.once('exit', () => gone());
    });
  }

  /** @returns the answer, and the number it was asked under */
  async ask(asked: Asked): Promise<{ id: number; result: unknown }> {
    const worker = await this.open();
    const id = (this.last += 1);
    return new Promise((done, failed) => {
      this.waiting.set(id, { done: (result) => done({ id, result }), failed });
      worker.postMessage({ ...asked, id } satisfies Ask);
    });
  }

  async close(): Promise<void> {
    await this.ask({ what: 'close' });
    this.closed = true;
  }
}

/** The part of PGlite's face that Drizzle looks at. */
export interface PgliteClient {
  query(sql: string, params?: unknown[], options?: Options): Promise<Rows>;
  exec(sql: string): Promise<unknown>;
  transaction<T>(work: (tx: Pick<PgliteClient, 'query' | 'exec'>) => Promise<T>): Promise<T>;
  /** How often a commit was forced to disk since the thread began. */
  syncs(): Promise<number>;
  close(): Promise<void>;
}

/**
 * PGlite in a thread of its own, opened.
 * @param opening the folder it lies in; without one it lies in the thread alone and goes with it
 * @throws when it can't be opened
 */
export async function openThread(opening: Opening = {}): Promise<PgliteClient> {
  const thread = new Thread(opening);
  await thread.open();
  const on = (tx?: number) => ({
    query: async (sql: string, params: unknown[] = [], { rowMode }: Options = {}) =>
      (
        await thread.ask({
          what: 'query',
          sql,
          params,
          ...(rowMode ? { rowMode } : {}),
          ...(tx === undefined ? {} : { tx }),
        })
      ).result as Rows,
    exec: async (sql: string) =>
      (await thread.ask({ what: 'exec', sql, ...(tx === undefined ? {} : { tx }) })).result,
  });
  return {
    ...on(),
    transaction: async (work) => {
      const { id } = await thread.ask({ what: 'begin' });
      let result;
      try {
        result = await work(on(id));
      } catch (error) {
        // Where the thread died, its transaction died with it: what is told is why.
        await thread.ask({ what: 'rollback', tx: id }).catch(() => undefined);
        throw error;
      }
      await thread.ask({ what: 'commit', tx: id });
      return result;
    },
    syncs: async () => (await thread.ask({ what: 'syncs' })).result as number,
    close: () => thread.close(),
  };
}

/** Drizzle takes a whole PGlite and looks at these parts of it only; `open.test.ts` runs everything through it. */
export const asPglite = (client: PgliteClient) => client as unknown as PGlite;
