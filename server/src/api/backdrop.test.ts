import { once } from 'node:events';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import request from 'supertest';
import { makeWorld, type World } from '../../test/world';
import { makeDoor } from '../door/door';
import { httpApp } from './app';
import { backdropFrom, type Backdrop } from './backdrop';

const folder = mkdtempSync(join(tmpdir(), 'escale-backdrop-'));
const file = join(folder, 'coast.pmtiles');
const TILES = 'https://tiles.example/{z}/{x}/{y}.png';
let world: World;
beforeAll(async () => {
  world = await makeWorld();
  await world.reset();
  writeFileSync(file, 'PMTiles and a hundred bytes of pictures');
});
const servers: ReturnType<ReturnType<typeof httpApp>['listen']>[] = [];
afterAll(async () => {
  for (const server of servers) {
    server.close();
    server.closeAllConnections();
  }
  rmSync(folder, { recursive: true });
  await world.close();
});

/** Somebody who was let in to a server with such a backdrop. */
async function browser(backdrop?: Backdrop) {
  const door = makeDoor(world.db);
  const app = httpApp(world.services, { watch: world.onCall, door, ...(backdrop ? { backdrop } : {}) });
  const server = app.listen(0, '127.0.0.1');
  await once(server, 'listening');
  servers.push(server);
  return (path: string) =>
    request(server).get(path).set('Host', 'localhost:4280').set('Authorization', `Bearer ${door.key()}`);
}

describe('what charts are drawn over', () => {
  test('nothing, unless somebody set it: no picture is asked of anybody outside', async () => {
    const get = await browser();
    const answer = await get('/api/backdrop');
    expect(answer.body).toEqual({ kind: 'none' });
    expect(answer.headers['content-security-policy']).toContain("img-src 'self' data: blob:;");
  });
  test('tiles elsewhere: only their origin may be loaded from', async () => {
    const get = await browser(backdropFrom(TILES));
    const answer = await get('/api/backdrop');
    expect(answer.body).toEqual({ kind: 'tiles', url: TILES });
    expect(answer.headers['content-security-policy']).toContain(
      "img-src 'self' data: blob: https://tiles.example;",
    );
  });
  test('a file here is served piece by piece', async () => {
    const get = await browser(backdropFrom(file));
    expect((await get('/api/backdrop')).body).toEqual({
      kind: 'pmtiles',
      url: '/api/backdrop/file',
      name: 'coast.pmtiles',
    });
    const piece = await get('/api/backdrop/file').set('Range', 'bytes=0-6').buffer(true);
    expect([piece.status, String(piece.body)]).toEqual([206, 'PMTiles']);
  });
  test.each([
    ['https://tiles.example/{z}/{x}.png', '{y}'],
    ['/no/such/file.pmtiles', 'no .pmtiles file'],
    [folder, 'no .pmtiles file'],
  ])('%s is refused in words when the server starts', (set, word) => {
    expect(() => backdropFrom(set)).toThrow(word);
  });
});
