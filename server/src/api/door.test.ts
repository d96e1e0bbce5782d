import { once } from 'node:events';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, beforeEach, describe, expect, jest, test } from '@jest/globals';
import request from 'supertest';
import { ADA, makeWorld, NOW, TRIP, uuid, type World } from '../../test/world';
import { makeDoor, type Door } from '../door/door';
import { httpApp } from './app';
import { openApi } from './openapi';

let world: World, folder: string, door: Door;
const heard = jest.fn();
beforeAll(async () => {
  world = await makeWorld();
  folder = mkdtempSync(join(tmpdir(), 'escale-files-'));
  writeFileSync(join(folder, 'index.html'), '<title>the application</title>');
});
beforeEach(async () => {
  await world.reset();
  heard.mockClear();
  door = makeDoor(world.db);
  const app = httpApp(world.services, { watch: world.onCall, door, appFolder: folder, heard });
  // One port for all that is asked, as a server has it: a session is of one port.
  const server = app.listen(0, '127.0.0.1');
  await once(server, 'listening');
  servers.push(server);
  stranger = request(server);
  browser = request.agent(server);
});
const servers: ReturnType<ReturnType<typeof httpApp>['listen']>[] = [];
let stranger: ReturnType<typeof request>, browser: ReturnType<typeof request.agent>;
afterAll(async () => {
  for (const server of servers) {
    server.close();
    // What a browser keeps open would keep the tests from ending.
    server.closeAllConnections();
  }
  rmSync(folder, { recursive: true });
  await world.close();
});

const HOST = 'localhost:4280';
const enter = (code: string) => browser.get(`/enter/${code}`).set('Host', HOST);
const things = () => browser.get('/api/things').set('Host', HOST);

describe('somebody who was not let in', () => {
  const routes = Object.entries((openApi() as { paths: Record<string, object> }).paths).flatMap(
    ([path, methods]) => Object.keys(methods).map((method) => [method, path] as const),
  );
  test.each(routes.filter(([, path]) => path !== '/api/health'))(
    'is told nothing: %s %s',
    async (how, to) => {
      const path = to.replace('{list}', 'kit').replace('{trip}', TRIP).replace('{id}', uuid());
      const asked = how === 'get' ? stranger.get(path) : stranger.post(path).send({});
      const { status, body } = await asked.set('Host', HOST);
      expect({ status, keys: Object.keys(body as object) }).toEqual({
        status: 401,
        keys: ['type', 'title', 'status', 'faults'],
      });
    },
  );
  test('is told nothing by another way of writing a path, nor in the demo', async () => {
    for (const path of [
      '/api/things/',
      '/api//things',
      '/api/./things',
      '/api/%74hings',
      '/api/health/../things',
    ])
      expect((await stranger.get(path).set('Host', HOST)).text).not.toContain('Ada');
    for (const path of ['/api/things?memory=demo', '/api/health?memory=demo', '/api/nothing'])
      expect(JSON.stringify((await stranger.get(path).set('Host', HOST)).body)).not.toContain('things');
  });
  test('closes no plan, and withdraws nobody', async () => {
    const { id } = await world.file();
    const home = { id: uuid(), kind: 'closed', madeAt: new Date(NOW).toISOString() };
    expect((await stranger.post(`/api/plans/${id}/deeds`).set('Host', HOST).send(home)).status).toBe(401);
    const off = await stranger.post(`/api/plans/${id}/withdraw`).set('Host', HOST).send({ contact: ADA });
    expect(off.status).toBe(401);
    expect((await world.view(id)).events.map((e) => e.kind)).toEqual(['filed']);
  });
  test('has no word in what time it is', async () => {
    const clock = { Host: HOST, 'X-Escale-Clock': '1000' };
    await stranger.get('/api/health').set(clock);
    await stranger.get('/api/things').set(clock);
    expect(heard).not.toHaveBeenCalled();
    await stranger.get('/api/things').set({ ...clock, Authorization: `Bearer ${door.key()}` });
    expect(heard).toHaveBeenCalledTimes(1);
  });
  test('hears one bare word of health', async () => {
    const { status, body } = await stranger.get('/api/health').set('Host', HOST);
    expect([status, body]).toEqual([200, { ok: true }]);
  });
  test('has the application’s own files, and the contact’s page by its link', async () => {
    await world.file();
    expect((await stranger.get('/trips').set('Host', HOST)).text).toContain('the application');
    const page = await stranger.get(await world.linkFor('Ada Tolley')).set('Host', HOST);
    expect(page.status).toBe(200);
    expect(page.text).toContain('Ada Tolley, you are the contact');
  });
  test('is not let in by a key or a session that is not one', async () => {
    const other = makeDoor(world.db).key();
    for (const said of [`Bearer ${other}`, 'Bearer ', 'Bearer', `Basic ${door.key()}`, door.key()])
      expect((await stranger.get('/api/things').set({ Host: HOST, Authorization: said })).status).toBe(401);
    await enter(await door.code());
    const port = (servers.at(-1)!.address() as { port: number }).port;
    for (const value of [`${Date.now()}`, `s:${Date.now()}.AAAA`, 's:', 'j:{"a":1}'])
      expect(
        (
          await stranger
            .get('/api/things')
            .set({ Host: HOST, Cookie: `escale-${port}=${encodeURIComponent(value)}` })
        ).status,
      ).toBe(401);
  });
});

describe('an address', () => {
  test('lets a browser in, by a cookie that no script and no other site has', async () => {
    expect((await things()).status).toBe(401);
    const answer = await enter(await door.code());
    expect([answer.status, answer.get('Location'), answer.get('Cache-Control')]).toEqual([
      303,
      '/',
      'no-store',
    ]);
    expect(answer.get('Set-Cookie')![0]).toMatch(
      /^escale-\d+=s%3A[\w-]{43}\.[0-9a-f-]{36}\.\d+\.[^;]+; Max-Age=34560000; Path=\/; Expires=[^;]+; HttpOnly; SameSite=Strict$/,
    );
    expect((await things()).status).toBe(200);
  });
  test('lets in once: another browser is told how one is let in', async () => {
    const code = await door.code();
    await enter(code);
    const second = await stranger.get(`/enter/${code}`).set('Host', HOST);
    expect(second.status).toBe(401);
    expect(second.get('Set-Cookie')).toBeUndefined();
    expect(second.text).toContain('npm run escale -- enter');
    // The browser that is in is not put out by its own old address.
    expect((await enter(code)).status).toBe(303);
  });
  test('is not used up by who only looks whether it is there', async () => {
    const code = await door.code();
    await stranger.head(`/enter/${code}`).set('Host', HOST);
    await enter(code);
    expect((await things()).status).toBe(200);
  });
  test('lets nobody in by another name, from another site, or guessed', async () => {
    const code = await door.code();
    expect((await stranger.get(`/enter/${code}`).set('Host', 'elsewhere.example')).status).toBe(421);
    const framed = { Host: HOST, Origin: 'http://elsewhere.example' };
    expect((await stranger.get(`/enter/${code}`).set(framed)).status).toBe(403);
    expect((await stranger.get('/enter/AAAAAAAAAAAAAAAAAAAAAAAA').set('Host', HOST)).status).toBe(401);
    expect(await door.take(code)).toBeDefined();
  });
  test('is given to whoever is in, for one more browser', async () => {
    await enter(await door.code());
    const { body } = await browser.post('/api/door/address').set('Host', HOST).send({});
    const { address } = body as { address: string };
    expect(address).toMatch(/^http:\/\/localhost:4280\/enter\/[\w-]{24}$/);
    expect((await stranger.get(new URL(address).pathname).set('Host', HOST)).status).toBe(303);
  });
});

test('another lock puts every browser out; the new key lets in', async () => {
  await enter(await door.code());
  await browser.post('/api/door/lock').set('Host', HOST).send({});
  expect((await things()).status).toBe(401);
  await enter(await door.code());
  expect((await things()).status).toBe(200);
});

test('a session is given anew when it is a month old, and whatever the clock says it puts nobody out', async () => {
  const real = Date.now();
  const session = (await enter(await door.code())).get('Set-Cookie')![0].split(';')[0];
  const clock = jest.spyOn(Date, 'now');
  for (const [days, renewed] of [
    [29, false],
    [31, true],
    [4000, true],
    [-4000, true],
  ] as const) {
    clock.mockReturnValue(real + days * 86_400_000);
    const answer = await stranger.get('/api/things').set({ Host: HOST, Cookie: session });
    expect([days, answer.status, answer.get('Set-Cookie') !== undefined]).toEqual([days, 200, renewed]);
  }
  clock.mockRestore();
});
