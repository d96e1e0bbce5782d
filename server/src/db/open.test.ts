import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { eq } from 'drizzle-orm';
import { syncCount } from './durable-fs';
import { FolderTaken } from './lock';
import { openDb, type OpenDb } from './open';
import { household } from './schema';
import { HOME, ensureHousehold } from './seed';

let root: string, folder: string, memory: OpenDb;
beforeAll(async () => {
  root = mkdtempSync(join(tmpdir(), 'escale-'));
  folder = join(root, 'memory');
  // Left over from a making that was killed: it must not be taken for a memory.
  spawnSync('mkdir', ['-p', `${folder}.tmp/half`]);
  memory = await openDb({ folder });
}, 90_000);
afterAll(async () => {
  await memory.close();
  rmSync(root, { recursive: true });
});

describe('a memory in a folder', () => {
  test('is made beside its place and renamed', () =>
    expect([existsSync(join(folder, 'PG_VERSION')), existsSync(`${folder}.tmp`)]).toEqual([true, false]));
  test('a commit is forced to disk before it is acknowledged', async () => {
    const before = syncCount();
    await memory.db
      .insert(household)
      .values({ id: '01890000-0000-7000-8000-00000000aaaa', name: 'x', createdAt: new Date() });
    expect(syncCount()).toBeGreaterThan(before);
  });
  test('a second server on the same folder is refused with what to do', async () => {
    await expect(openDb({ folder })).rejects.toThrow(FolderTaken);
    await expect(openDb({ folder })).rejects.toThrow(/Another Escale already uses.*ESCALE_DATA/);
  });
  test('what was written is there after closing and opening', async () => {
    await ensureHousehold(memory.db, 0);
    await memory.close();
    memory = await openDb({ folder });
    expect(await memory.db.select().from(household).where(eq(household.id, HOME))).toHaveLength(1);
  }, 30_000);
  test('a folder that can’t be opened is said and left alone', async () => {
    const broken = join(root, 'broken');
    spawnSync('mkdir', ['-p', join(broken, 'global')]);
    writeFileSync(join(broken, 'PG_VERSION'), '18\n');
    await expect(openDb({ folder: broken })).rejects.toThrow(/could not be opened.*backup/s);
    expect(existsSync(join(broken, 'PG_VERSION'))).toBe(true);
  }, 60_000);
});
