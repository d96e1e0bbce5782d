import { chmodSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { MS } from '@escale/core/units';
import { simulatedClock } from '../clock';
import { HOME } from '../db/household';
import { makeDoor } from './door';

let folder: string, file: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'escale-door-'));
  file = join(folder, 'key');
});
afterEach(() => rmSync(folder, { recursive: true }));
const mode = () => statSync(file).mode & 0o777;

describe('the key', () => {
  test('is made once, is the owner’s alone, and nothing else is left in the folder', () => {
    const first = makeDoor(file);
    expect(makeDoor(file).key()).toBe(first.key());
    expect(first.isKey(readFileSync(file, 'utf8').trim())).toBe(true);
    expect(mode()).toBe(0o600);
    expect(readdirSync(folder)).toEqual(['key']);
  });
  test('that others could read is closed to them', () => {
    makeDoor(file);
    chmodSync(file, 0o644);
    makeDoor(file);
    expect(mode()).toBe(0o600);
  });
  test.each(['', 'short', 'two words'])('in place of which stands “%s” is refused, and stays', (text) => {
    writeFileSync(file, text);
    expect(() => makeDoor(file)).toThrow(/holds no key/);
    expect(readFileSync(file, 'utf8')).toBe(text);
  });
  test('of one memory opens no other', () => {
    expect(makeDoor(file).isKey(makeDoor().key())).toBe(false);
    expect(makeDoor(file).isKey('')).toBe(false);
  });
});

describe('a code', () => {
  test('lets in once', () => {
    const door = makeDoor();
    const [one, other] = [door.code(), door.code()];
    expect(door.take(one)).toBe(HOME);
    expect(door.take(one)).toBeUndefined();
    expect(door.take(other)).toBe(HOME);
    expect(door.take('')).toBeUndefined();
  });
  test('is good for a day', () => {
    const clock = simulatedClock(0, false);
    const door = makeDoor(undefined, clock);
    const [early, late] = [door.code(), door.code()];
    clock.set?.(MS.day - 1);
    expect(door.take(early)).toBe(HOME);
    clock.set?.(MS.day);
    expect(door.take(late)).toBeUndefined();
  });
  test('makes way for newer ones when very many were asked for', () => {
    const door = makeDoor();
    const codes = Array.from({ length: 50 }, () => door.code());
    expect(door.take(codes[0])).toBeUndefined();
    expect(door.take(codes[49])).toBe(HOME);
  });
});

test('another lock: the key of before and its codes are good for nothing', () => {
  const door = makeDoor(file);
  const [key, code] = [door.key(), door.code()];
  door.lock();
  expect(door.isKey(key)).toBe(false);
  expect(door.take(code)).toBeUndefined();
  expect(door.isKey(readFileSync(file, 'utf8').trim())).toBe(true);
  expect(mode()).toBe(0o600);
});
