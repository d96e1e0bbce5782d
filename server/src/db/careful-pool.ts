import pg from 'pg';
import { whileAway } from './transact';

type Taken = (
  error: Error | undefined,
  client: pg.PoolClient | undefined,
  release: pg.PoolClient['release'],
) => void;

/**
 * A pool that waits for a database that is restarted, and takes back a client whose connection broke while somebody had it.
 * Drizzle does not give one back whose `BEGIN` failed, so that each restart of the database would cost connections until none
 * was left.
 */
export class CarefulPool extends pg.Pool {
  override connect(): Promise<pg.PoolClient>;
  override connect(taken: Taken): void;
  override connect(taken?: Taken): Promise<pg.PoolClient> | void {
    return taken ? super.connect(taken) : this.take();
  }

  /** What stands by itself is asked again while the database is away: a statement that is in doubt does the same twice as once. */
  override query: pg.Pool['query'] = ((...asked: Parameters<pg.Pool['query']>) => {
    const ask = () => (super.query as (...all: unknown[]) => Promise<unknown>).apply(this, asked);
    return typeof asked.at(-1) === 'function' ? ask() : whileAway(ask);
  }) as pg.Pool['query'];

  private async take(): Promise<pg.PoolClient> {
    const client = await super.connect();
    const release = client.release.bind(client);
    let back = false;
    const giveBack: pg.PoolClient['release'] = (broken) => {
      if (back) return;
      back = true;
      client.off('end', broke);
      release(broken);
    };
    const broke = () => giveBack(true);
    client.once('end', broke);
    client.release = giveBack;
    return client;
  }
}
