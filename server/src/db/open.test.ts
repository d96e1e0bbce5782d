import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { eq, sql } from 'drizzle-orm';
import { FolderTaken } from './lock';
import { openDb, openInMemory, type OpenDb } from './open';
import { household } from './schema';
import { inFolder } from './folder';
import { HOME, ensureHousehold } from './household';

let root: string, folder: string, memory: OpenDb;
beforeAll(async () => {
  root = mkdtempSync(join(tmpdir(), 'escale-'));
  folder = join(root, 'memory');
  memory = await openDb({ folder });
}, 90_000);
afterAll(async () => {
  await memory.close();
  rmSync(root, { recursive: true });
});
const made = (path: string, files: Record<string, string>) => {
  for (const [name, text] of Object.entries(files)) {
    mkdirSync(dirname(join(path, name)), { recursive: true });
    writeFileSync(join(path, name), text);
  }
  return path;
};

describe('a memory in a folder', () => {
  test('is made beside its place and renamed', () => {
    const { db, making, mark } = inFolder(folder);
    expect([join(db, 'PG_VERSION'), mark, making].map((path) => existsSync(path))).toEqual([
      true,
      true,
      false,
    ]);
  });
  test('is nobody’s but the owner’s: folders 0700, files 0600', () => {
    const modes = readdirSync(folder, { recursive: true, withFileTypes: true }).map(
      (e) => statSync(join(e.parentPath, e.name)).mode & 0o077,
    );
    expect(modes.length).toBeGreaterThan(500);
    expect(modes.filter((mode) => mode !== 0)).toEqual([]);
    expect(statSync(folder).mode & 0o777).toBe(0o700);
  });
  test('a commit is forced to disk before it is acknowledged', async () => {
    const before = await memory.syncs();
    await memory.db
      .insert(household)
      .values({ id: '01890000-0000-7000-8000-00000000aaaa', name: 'x', createdAt: new Date() });
    expect(await memory.syncs()).toBeGreaterThan(before);
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
  test('a lock that is deleted lets nobody else in: there is no file to delete', async () => {
    for (const name of readdirSync(folder)) expect(name).not.toMatch(/lock/);
    await expect(openDb({ folder })).rejects.toThrow(FolderTaken);
  });
});

describe('what is not its own', () => {
  test('files of somebody else’s are left, and the way out is said', async () => {
    const theirs = made(join(root, 'theirs'), { 'letter.txt': 'dear', 'photos/a.jpg': 'x' });
    await expect(openDb({ folder: theirs })).rejects.toThrow(
      /not Escale’s. Nothing was touched.*ESCALE_DATA/,
    );
    expect(readdirSync(theirs).sort()).toEqual(['letter.txt', 'photos']);
    expect(readFileSync(join(theirs, 'letter.txt'), 'utf8')).toBe('dear');
  });
  test('a memory without its version file is damaged, not empty', async () => {
    const broken = made(join(root, 'bare'), { 'escale.json': '{}', 'db/base/1': 'rows' });
    await expect(openDb({ folder: broken })).rejects.toThrow(/no PG_VERSION.*Nothing was touched.*restore/);
    expect(readFileSync(join(broken, 'db/base/1'), 'utf8')).toBe('rows');
  });
  test('a folder that can’t be opened is said and left alone', async () => {
    const broken = made(join(root, 'broken'), {
      'escale.json': '{}',
      'db/PG_VERSION': '18\n',
      'db/global/x': '',
    });
    await expect(openDb({ folder: broken })).rejects.toThrow(/could not be opened.*backup/s);
    expect(existsSync(join(broken, 'db/PG_VERSION'))).toBe(true);
  }, 60_000);
  test('a memory of before, which lay in the folder itself, is put in order and goes on where a kill ended that', async () => {
    await memory.close();
    const older = join(root, 'older');
    renameSync(inFolder(folder).db, older);
    mkdirSync(join(older, 'db.moving'));
    renameSync(join(older, 'base'), join(older, 'db.moving', 'base'));
    writeFileSync(join(older, 'escale.json'), '{}');
    memory = await openDb({ folder: older });
    expect(await memory.db.select().from(household).where(eq(household.id, HOME))).toHaveLength(1);
    expect(existsSync(join(older, 'db', 'base'))).toBe(true);
  }, 60_000);
});

describe('the thread of the database', () => {
  test('one that dies is started again by the next who asks, with what was committed', async () => {
    const memory = await openInMemory();
    await expect(memory.db.execute(sql`SELECT 1/0`)).rejects.toThrow();
    await expect(
      memory.db.transaction(async (tx) => {
        await ensureHousehold(tx, 0);
        throw new Error('undone');
      }),
    ).rejects.toThrow('undone');
    expect(await memory.db.select().from(household)).toEqual([]);
    await memory.close();
    await expect(memory.db.select().from(household)).rejects.toThrow();
  }, 60_000);
});
