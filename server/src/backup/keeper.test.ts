import { appendFileSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, beforeEach, expect, jest, test } from '@jest/globals';
import { sql } from 'drizzle-orm';
import { copies } from '../../test/copies';
import { makeWorld, type World } from '../../test/world';
import { keepMemory, type Keeper } from './keeper';

let world: World, folder: string, keeper: Keeper | undefined;
beforeAll(async () => {
  world = await makeWorld();
});
beforeEach(async () => {
  await world.reset();
  folder = mkdtempSync(join(tmpdir(), 'escale-kept-'));
});
afterAll(() => world.close());
const open = async () => {
  keeper = keepMemory(world.services, folder);
  await keeper.first;
  return keeper;
};

test('heads are noted outside; a record whose end was cut while nobody looked is found at the start', async () => {
  const first = await open();
  const plan = await world.file();
  await world.deed(plan.id, 'under-way');
  await first.stop();
  expect(readFileSync(join(folder, 'heads'), 'utf8').trim().split('\n').at(-1)).toMatch(
    new RegExp(`^${plan.id} \\d+ 2:[0-9a-f]{64}$`),
  );
  // A line that a kill cut short is no word on anything.
  appendFileSync(join(folder, 'heads'), '0189');
  const again = await open();
  expect(again.kept().broken).toBe(0);
  await again.stop();
  await world.tamper(sql`DELETE FROM plan_event WHERE kind = 'under-way'`);
  const third = await open();
  expect(third.kept().broken).toBe(1);
  expect(await third.verify()).toEqual([{ plan: plan.id, what: 'its end is missing' }]);
  await third.stop();
  rmSync(folder, { recursive: true });
});
test('who ends the server does not wait for a look through all records, and what was not looked at is not noted', async () => {
  const plan = await world.file();
  const ids = await copies(world.db, plan.id, 500, plan.times.overdue);
  const asked = jest.spyOn(world.db, 'select');
  const errors = jest.spyOn(world.services.log, 'error');
  await keepMemory(world.services, folder).stop();
  // A look at each of them asks at least once.
  expect(asked.mock.calls.length).toBeLessThan(ids.length / 10);
  expect(errors).not.toHaveBeenCalled();
  expect(readFileSync(join(folder, 'heads'), 'utf8')).toBe('');
  asked.mockRestore();
  errors.mockRestore();
  rmSync(folder, { recursive: true });
});
test('a memory is copied at the start, and one that could not be for a day is stale', async () => {
  let now = Date.now();
  const kept = keepMemory(world.services, folder, { now: () => now });
  const asked = await kept.copy();
  expect(asked.counts.thing).toBeGreaterThan(50);
  expect(kept.kept()).toMatchObject({ stale: false, broken: 0, backup: { at: expect.any(Number) } });
  now += 27 * 3_600_000;
  expect(kept.kept().stale).toBe(true);
  await kept.stop();
  rmSync(folder, { recursive: true });
});
test('a memory in a folder is tidied: its rows are counted, and what was changed leaves no room behind', async () => {
  const counted = async () => {
    const { rows } = (await world.db.execute(
      sql`SELECT reltuples::int AS n FROM pg_class WHERE relname = 'thing'`,
    )) as unknown as { rows: { n: number }[] };
    return rows[0].n;
  };
  const kept = keepMemory(world.services, folder, { tidies: true });
  await kept.first;
  await kept.stop();
  const { counts } = await copyOf();
  expect(await counted()).toBe(counts.thing);
  rmSync(folder, { recursive: true });
});
const copyOf = async () => {
  const other = keepMemory(world.services, folder);
  const made = await other.copy();
  await other.stop();
  return made;
};
