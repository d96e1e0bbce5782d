import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { household } from './schema';
import { ensureHousehold, HOME } from './household';
import { openDb, type OpenDb } from './open';
import { isAway, transact } from './transact';
import { HAS_POSTGRES, startPostgres, type Postgres } from '../../test/postgres';
import { makeWorld, type World } from '../../test/world';

const where = HAS_POSTGRES ? describe : describe.skip;

where('a PostgreSQL that is restarted', () => {
  let postgres: Postgres, memory: OpenDb, url: string;
  const broke: unknown[] = [];
  beforeAll(async () => {
    postgres = await startPostgres();
    url = postgres.fresh();
    memory = await openDb({ folder: '', url }, { fails: (error) => broke.push(error) });
    await ensureHousehold(memory.db, 0);
  }, 60_000);
  afterAll(async () => {
    await memory.close();
    postgres.end();
  });

  test('breaks idle connections, which is told and ends nothing; the next who asks is answered', async () => {
    await Promise.all([1, 2, 3].map(() => memory.db.select().from(household)));
    postgres.restart();
    const rows = await transact(memory.db, (tx) => tx.select().from(household));
    expect(rows.map((r) => r.id)).toEqual([HOME]);
    expect(broke.length).toBeGreaterThan(0);
    expect(broke.every(isAway)).toBe(true);
  }, 30_000);
  test('in the middle of a transaction, which is done again', async () => {
    let tries = 0;
    await transact(memory.db, async (tx) => {
      tries += 1;
      await ensureHousehold(tx, 0);
      if (tries === 1) postgres.restart();
      await tx.select().from(household);
    });
    expect(tries).toBeGreaterThan(1);
  }, 30_000);
  test('costs no connections: after many of them as many can be had as before', async () => {
    for (let i = 0; i < 3; i += 1) {
      let up = true;
      await Promise.all(
        Array.from({ length: 10 }, (_, n) =>
          transact(memory.db, async (tx) => {
            await tx.select().from(household);
            if (n === 0 && up) {
              up = false;
              postgres.restart();
            }
            await tx.select().from(household);
          }),
        ),
      );
    }
    const all = Promise.all(
      Array.from({ length: 10 }, () => transact(memory.db, (tx) => tx.select().from(household))),
    );
    expect(await all).toHaveLength(10);
  }, 60_000);
  test('who opens one that is not there yet waits, and says so', async () => {
    postgres.stopNow();
    let waited = 0;
    const opening = openDb(
      { folder: '', url },
      {
        waits: () => {
          waited += 1;
          if (waited === 1) postgres.start();
        },
      },
    );
    const other = await opening;
    await other.close();
    expect(waited).toBeGreaterThan(0);
  }, 30_000);
  test('a request meanwhile waits; when it lasts it is told to come again, and not that it failed for good', async () => {
    const world: World = await makeWorld({ url: postgres.fresh(), standIns: false });
    postgres.restart();
    expect((await world.http.get('/api/things').set('Host', 'localhost:4280')).status).toBe(200);
    postgres.stopNow();
    const answer = await world.http.get('/api/things').set('Host', 'localhost:4280');
    expect([answer.status, answer.headers['retry-after']]).toEqual([503, '5']);
    postgres.start();
    expect((await world.http.get('/api/things').set('Host', 'localhost:4280')).status).toBe(200);
    await world.close();
  }, 60_000);
});
