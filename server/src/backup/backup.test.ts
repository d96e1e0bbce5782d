import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { sql } from 'drizzle-orm';
import type { PlanView } from '@escale/core/model';
import { openDb, openInMemory, type OpenDb } from '../db/open';
import { brokenAt } from '../plans/chain';
import { HAS_POSTGRES, startPostgres, type Postgres } from '../../test/postgres';
import { makeWorld, TRIP, uuid, type World } from '../../test/world';
import { copiesIn, roll } from './roll';
import { CopyRefused, countsOf, fillFrom, readCopy, writeCopy } from './copy';

const DAY = 86_400_000;
let world: World, folder: string, copy: string, plan: PlanView, postgres: Postgres | undefined;
beforeAll(async () => {
  postgres = HAS_POSTGRES ? await startPostgres() : undefined;
  world = await makeWorld();
  await world.reset();
  plan = await world.file();
  await world.watchOnce();
  await world.deed(plan.id, 'under-way');
  await world.post('/api/ticks', {
    list: 'l',
    item: 'horn “loud”\n2nd line',
    device: world.device,
    at: new Date(world.clock.now()).toISOString(),
    on: true,
  });
  world.set(plan.times.overdue + 1000);
  await world.watchOnce();
  folder = mkdtempSync(join(tmpdir(), 'escale-copy-'));
  copy = join(folder, 'one.ndjson.gz');
}, 90_000);
afterAll(async () => {
  await world.close();
  postgres?.end();
  rmSync(folder, { recursive: true });
});

describe('a copy', () => {
  test('holds every row, is its owner’s alone, and says itself that it is whole', async () => {
    const counts = await writeCopy(world.db, copy, world.clock.now());
    expect(counts).toEqual(await countsOf(world.db));
    expect(counts).toMatchObject({ plan: 1, plan_version: 1, tick: 1, watch_state: 0 });
    expect(counts.plan_event).toBeGreaterThan(3);
    expect(counts.message).toBeGreaterThan(1);
    expect(await readCopy(copy)).toMatchObject({ counts });
    expect(readdirSync(folder)).toEqual(['one.ndjson.gz']);
  });
  test.each([
    ['cut', (text: string) => text.slice(0, text.length / 2), /cut off|damaged/],
    [
      'without its last line',
      (text: string) => `${text.trimEnd().split('\n').slice(0, -1).join('\n')}\n`,
      /cut off/,
    ],
    ['with a row changed', (text: string) => text.replace('Tern Holm', 'Tern Hulm'), /was changed/],
    ['with a row taken out', (text: string) => text.split('\n').toSpliced(5, 1).join('\n'), /was changed/],
    ['of something else', () => '{"name":"x"}\n', /no copy of a memory/],
    ['that is text', () => 'hello\n', /no copy of a memory/],
    ['of a newer program', (text: string) => text.replace('"format":1', '"format":9'), /newer Escale/],
    [
      'with a table nobody knows',
      (text: string) => text.replace('"t":"plan"', '"t":"pg_authid"'),
      /not known/,
    ],
  ])('%s is refused', async (_, spoil, words) => {
    const file = join(folder, 'spoilt.gz');
    writeFileSync(file, gzipSync(spoil(gunzipSync(readFileSync(copy)).toString())));
    await expect(readCopy(file)).rejects.toThrow(words);
    await expect(readCopy(file)).rejects.toThrow(CopyRefused);
  });
  test('cut in its compressed bytes, or no such file, is refused', async () => {
    const file = join(folder, 'half.gz');
    const bytes = readFileSync(copy);
    writeFileSync(file, bytes.subarray(0, bytes.length / 2));
    await expect(readCopy(file)).rejects.toThrow(CopyRefused);
  });
});

describe('put back', () => {
  const places: [string, () => Promise<OpenDb>][] = [
    ['into a folder’s memory', () => openInMemory()],
    ...(HAS_POSTGRES
      ? [
          ['into a PostgreSQL', () => openDb({ folder: '', url: postgres!.fresh() })] as [
            string,
            () => Promise<OpenDb>,
          ],
        ]
      : []),
  ];
  test.each(places)(
    '%s: everything is there, the chain is whole, and the watch goes on from there',
    async (_, open) => {
      const memory = await open();
      const { counts } = await fillFrom(memory.db, copy);
      expect(await countsOf(memory.db)).toEqual(counts);
      expect(await brokenAt(memory.db, plan.id)).toBeUndefined();
      // What goes on counting goes on after what was.
      const seq = sql`INSERT INTO tick (household, list, item, device, at, is_on, count)
      VALUES (${uuid()}, 'x', 'y', ${uuid()}, now(), true, 1) RETURNING seq::int`;
      const { rows } = (await memory.db.execute(seq)) as unknown as { rows: { seq: number }[] };
      expect(rows[0].seq).toBeGreaterThan(1);
      await expect(fillFrom(memory.db, copy)).rejects.toThrow(/something in this memory already/);
      await memory.close();
    },
    60_000,
  );
  test('a spoilt copy leaves an empty memory empty', async () => {
    const file = join(folder, 'changed.gz');
    writeFileSync(
      file,
      gzipSync(gunzipSync(readFileSync(copy)).toString().replace('Tern Holm', 'Tern Hulm')),
    );
    const memory = await openInMemory();
    const before = await countsOf(memory.db);
    await expect(fillFrom(memory.db, file)).rejects.toThrow(/was changed/);
    expect(await countsOf(memory.db)).toEqual(before);
    await memory.close();
  }, 60_000);
});

test('copies roll: a day of hours, a week of days, five weeks, and no more', async () => {
  const rolling = join(folder, 'rolling');
  const start = Date.UTC(2026, 0, 1);
  // Two months, three copies a day.
  for (let at = start; at < start + 60 * DAY; at += DAY / 3) await roll(world.db, rolling, at);
  expect(['hourly', 'daily', 'weekly'].map((kind) => copiesIn(rolling, kind as 'daily').length)).toEqual([
    24, 7, 5,
  ]);
  expect(await roll(world.db, rolling, start + 60 * DAY - DAY / 3 + 1000)).toBeUndefined();
  expect(copiesIn(rolling, 'daily').at(-1)).toContain('2026-03-01');
  await readCopy(join(rolling, copiesIn(rolling, 'weekly')[0]));
  expect(TRIP).toBe(plan.trip);
}, 60_000);
