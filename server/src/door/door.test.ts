import { chmodSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { MS } from '@escale/core/units';
import { makeWorld, uuid, type World } from '../../test/world';
import { HOME } from '../db/household';
import { makeDoor } from './door';

let world: World, folder: string, file: string;
beforeAll(async () => {
  world = await makeWorld();
});
afterAll(() => world.close());
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'escale-door-'));
  file = join(folder, 'key');
});
afterEach(() => rmSync(folder, { recursive: true }));
const mode = () => statSync(file).mode & 0o777;
const doorOf = (key?: string, now?: () => number) => makeDoor(world.db, key, now);

describe('the key', () => {
  test('is made once, is the owner’s alone, and nothing else is left in the folder', () => {
    const first = doorOf(file);
    expect(doorOf(file).key()).toBe(first.key());
    expect(first.isKey(readFileSync(file, 'utf8').trim())).toBe(true);
    expect(mode()).toBe(0o600);
    expect(readdirSync(folder)).toEqual(['key']);
  });
  test('that others could read is closed to them', () => {
    doorOf(file);
    chmodSync(file, 0o644);
    doorOf(file);
    expect(mode()).toBe(0o600);
  });
  test.each(['', 'short', 'two words'])('in place of which stands “%s” is refused, and stays', (text) => {
    writeFileSync(file, text);
    expect(() => doorOf(file)).toThrow(/holds no key/);
    expect(readFileSync(file, 'utf8')).toBe(text);
  });
  test('of one memory opens no other', () => {
    expect(doorOf(file).isKey(doorOf().key())).toBe(false);
    expect(doorOf(file).isKey('')).toBe(false);
  });
});

describe('a code', () => {
  test('lets in once, at whichever of several processes, and after a restart', async () => {
    const [door, beside] = [doorOf(), doorOf()];
    const [one, other] = [await door.code(), await door.code()];
    expect(await beside.take(one)).toBe(HOME);
    expect(await door.take(one)).toBeUndefined();
    expect(await door.take(other)).toBe(HOME);
    expect(await door.take('')).toBeUndefined();
  });
  test('two who open it at one instant: one of them is let in', async () => {
    const [door, beside] = [doorOf(), doorOf()];
    const code = await door.code();
    const both = await Promise.all([door.take(code), beside.take(code)]);
    expect(both.filter((household) => household !== undefined)).toEqual([HOME]);
  });
  test('is good for a day', async () => {
    let now = 0;
    const door = doorOf(undefined, () => now);
    const [early, late] = [await door.code(), await door.code()];
    now = MS.day - 1;
    expect(await door.take(early)).toBe(HOME);
    now = MS.day;
    expect(await door.take(late)).toBeUndefined();
  });
  test('makes way for newer ones of its household when very many were asked for', async () => {
    let now = Date.now();
    const door = doorOf(undefined, () => (now += 1));
    const others = await door.code(uuid());
    const codes: string[] = [];
    for (let i = 0; i < 21; i += 1) codes.push(await door.code());
    expect(await door.take(codes[0])).toBeUndefined();
    expect(await door.take(codes[1])).toBe(HOME);
    expect(await door.take(codes[20])).toBe(HOME);
    expect(await door.take(others)).toBeDefined();
  });
  test('of a club opens no household, and the other way round; neither is used up by it', async () => {
    const door = doorOf();
    const [word, address] = [await door.code(HOME, 'club'), await door.code()];
    expect(await door.take(word)).toBeUndefined();
    expect(await door.take(address, 'club')).toBeUndefined();
    expect([await door.take(word, 'club'), await door.take(address)]).toEqual([HOME, HOME]);
  });
  test('is kept as a hash only', async () => {
    const code = await doorOf().code();
    const { rows } = (await world.db.execute('SELECT * FROM entry_code')) as unknown as { rows: object[] };
    expect(rows.length).toBeGreaterThan(0);
    expect(JSON.stringify(rows)).not.toContain(code);
  });
});

test('another lock: the key of before and its codes are good for nothing', async () => {
  const door = doorOf(file);
  const [key, code] = [door.key(), await door.code()];
  await door.lock();
  expect(door.isKey(key)).toBe(false);
  expect(await door.take(code)).toBeUndefined();
  expect(door.isKey(readFileSync(file, 'utf8').trim())).toBe(true);
  expect(mode()).toBe(0o600);
});
