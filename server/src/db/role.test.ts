import { afterAll, beforeAll, describe, expect, jest, test } from '@jest/globals';
import { sql } from 'drizzle-orm';
import pg from 'pg';
import { makeWorld, type World } from '../../test/world';
import { HAS_POSTGRES, startPostgres, type Postgres } from '../../test/postgres';
import { openDb } from './open';
import { codeOf } from './transact';
import { ROLE } from './role';

const REFUSED = '42501';
/** What somebody would say who wants another past, each as if it were an erasing. */
const CHANGES = [
  `UPDATE plan_event SET data = '{}'`,
  `UPDATE plan_event SET at = now()`,
  'DELETE FROM plan_event',
  'TRUNCATE plan_event',
  `UPDATE plan_version SET sheet = '{}'`,
  'DELETE FROM plan_version',
  'DELETE FROM message',
  'ALTER TABLE plan_event DISABLE TRIGGER ALL',
  'DROP TRIGGER append_only ON plan_event',
  'SET LOCAL session_replication_role = replica',
];

const suite = (name: string, url?: () => string) =>
  describe(name, () => {
    let world: World;
    beforeAll(async () => {
      world = await makeWorld(url ? { url: url() } : {});
      await world.reset();
      await world.file();
    });
    afterAll(() => world.close());
    const record = async () =>
      (await world.db.execute(sql`SELECT * FROM plan_event ORDER BY seq`)) as unknown as { rows: object[] };

    test.each(CHANGES)('has no right to: %s', async (statement) => {
      const before = await record();
      const asked = world.db.transaction(async (tx) => {
        await tx.execute(sql`SELECT set_config('escale.erasing', 'on', true)`);
        await tx.execute(sql.raw(statement));
      });
      expect(codeOf(await asked.catch((error: unknown) => error))).toBe(REFUSED);
      expect((await record()).rows).toEqual(before.rows);
    });
    test('may take notes and positions out of an event, and nothing else', async () => {
      const [{ seq }] = (await record()).rows as { seq: number }[];
      await world.tamper(
        sql`UPDATE plan_event SET data = data || '{"note": "n", "position": {"lat": 1}}' WHERE seq = ${seq}`,
      );
      const { note, position, ...rest } = (await record()).rows.map(
        (row) => (row as { data: object }).data,
      )[0] as Record<string, unknown>;
      expect([note, position]).toEqual(['n', { lat: 1 }]);
      await world.db.execute(sql`SELECT escale_bare_event(${seq})`);
      expect((await record()).rows.map((row) => (row as { data: object }).data)[0]).toEqual(rest);
    });
  });
suite('a memory in a folder');

(HAS_POSTGRES ? describe : describe.skip)('PostgreSQL', () => {
  let postgres: Postgres;
  beforeAll(async () => {
    postgres = await startPostgres();
  });
  afterAll(() => postgres.end());
  suite('whose owner may make roles', () => postgres.fresh());

  /** A database whose owner has the rights that a hoster gives, and no more. */
  const hosted = async (name: string, given: boolean) => {
    const url = new URL(postgres.fresh());
    const admin = new pg.Client({ connectionString: url.href });
    await admin.connect();
    await admin.query(`CREATE ROLE ${name} LOGIN`);
    if (given) {
      await admin.query(
        `DO $$ BEGIN CREATE ROLE ${ROLE} NOLOGIN; EXCEPTION WHEN duplicate_object THEN NULL; END $$`,
      );
      await admin.query(`GRANT ${ROLE} TO ${name}`);
    }
    await admin.query(`GRANT ALL ON DATABASE ${url.pathname.slice(1)} TO ${name}`);
    await admin.query(`ALTER SCHEMA public OWNER TO ${name}`);
    await admin.end();
    url.username = name;
    return url.href;
  };
  const mayChange = async (url: string) => {
    const unguarded = jest.fn();
    const { db, close } = await openDb({ folder: '', url }, { unguarded });
    const error: unknown = await db.execute(sql`UPDATE plan_event SET data = '{}'`).then(
      () => undefined,
      (e: unknown) => e,
    );
    await db.execute(sql`SELECT count(*) FROM plan`);
    await close();
    return { refused: codeOf(error) === REFUSED, told: unguarded.mock.calls.length };
  };
  test('a database that gives no such role is served all the same, and it is told', async () => {
    const url = await hosted('plain_owner', false);
    expect(await mayChange(url)).toEqual({ refused: false, told: 1 });
  });
  test('one whose administrator gave it is guarded, also when it is opened again', async () => {
    const url = await hosted('given_owner', true);
    expect(await mayChange(url)).toEqual({ refused: true, told: 0 });
    expect(await mayChange(url)).toEqual({ refused: true, told: 0 });
  });
});
