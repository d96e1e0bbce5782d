import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { sql } from 'drizzle-orm';
import type { PlanView } from '@escale/core/model';
import { makeWorld, type World } from '../../test/world';
import { brokenChains, brokenVersions, type Heads } from './chain';
import { olderHash } from './events';

let world: World, plan: PlanView;
beforeAll(async () => {
  world = await makeWorld();
});
beforeEach(async () => {
  await world.reset();
  plan = await world.file();
  await world.deed(plan.id, 'under-way');
  await world.deed(plan.id, 'later', { home: new Date(plan.times.home + 1_800_000).toISOString() });
  world.set(plan.times.overdue + 3_600_000);
  await world.watchOnce();
});
afterAll(() => world.close());

const seen = async (heads?: Heads) => (await brokenChains(world.db, heads)).map((b) => b.what);

describe('the record of a plan', () => {
  test('holds together from the filing to the alarm, with its messages and its version', async () => {
    expect(await seen()).toEqual([]);
    expect(await brokenVersions(world.db)).toEqual([]);
  });
  test.each([
    ['an event was changed', sql`UPDATE plan_event SET kind = 'check-in' WHERE kind = 'under-way'`],
    [
      'an event was changed',
      sql`UPDATE plan_event SET made_at = made_at - interval '1 hour' WHERE kind = 'later'`,
    ],
    ['an event was changed', sql`UPDATE plan_event SET data = data || '{"note":"x"}' WHERE kind = 'later'`],
    ['an event was changed', sql`UPDATE plan_event SET sealed = null WHERE kind = 'filed'`],
    ['an event was changed', sql`DELETE FROM plan_event WHERE kind = 'under-way'`],
    ['a message is missing', sql`DELETE FROM message WHERE kind = 'overdue'`],
    ['a message was changed', sql`UPDATE message SET text = 'All is well' WHERE kind = 'overdue'`],
    ['a message was changed', sql`UPDATE message SET phone = '555 0199' WHERE kind = 'filed'`],
    ['it has no events', sql`DELETE FROM plan_event`],
  ])('%s: it is found, and the database itself refuses it', async (what, change) => {
    await expect(world.db.execute(change)).rejects.toThrow();
    expect(await seen()).toEqual([]);
    await world.tamper(change);
    expect(await seen()).toEqual([what]);
  });
  test('its end is missing: only what was noted outside the database knows', async () => {
    const { rows } = (await world.db.execute(
      sql`SELECT seq::int, hash FROM plan_event ORDER BY seq DESC LIMIT 1`,
    )) as unknown as { rows: { seq: number; hash: string }[] };
    const heads: Heads = new Map([[plan.id, rows[0]]]);
    expect(await seen(heads)).toEqual([]);
    await world.tamper(sql`DELETE FROM plan_event WHERE seq = ${rows[0].seq}`);
    expect(await seen()).toEqual([]);
    expect(await seen(heads)).toEqual(['its end is missing']);
    await world.tamper(sql`DELETE FROM plan`);
    expect(await seen(heads)).toEqual(['its end is missing']);
  });
  test('a filed version that was changed is found', async () => {
    await world.tamper(sql`UPDATE plan_version SET sheet = sheet || '{"read":"All is well"}'`);
    expect((await brokenVersions(world.db)).map((b) => b.what)).toEqual(['the filed version was changed']);
  });
  test('what becomes of a message on its way is no change of it', async () => {
    await world.db.execute(
      sql`UPDATE message SET attempts = 3, trouble = 'x', delivered_at = now(), link = null`,
    );
    expect(await seen()).toEqual([]);
  });
  test('events of before are held against the way in which they were hashed', async () => {
    await world.tamper(sql`UPDATE plan_event SET sealed = null`);
    const events = (await world.db.query.planEvent.findMany({ orderBy: (e, { asc }) => asc(e.seq) })) ?? [];
    let before = '';
    for (const event of events) {
      before = olderHash(before, event);
      await world.tamper(sql`UPDATE plan_event SET hash = ${before} WHERE seq = ${event.seq}`);
    }
    expect(await seen()).toEqual([]);
    await world.deed(plan.id, 'check-in');
    expect(await seen()).toEqual([]);
  });
});
