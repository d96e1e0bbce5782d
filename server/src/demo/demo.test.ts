import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { sql } from 'drizzle-orm';
import request from 'supertest';
import { makeWorld, NOW, TRIP, uuid, type World } from '../../test/world';
import { httpApp } from '../api/app';
import { demoKeeper, type DemoKeeper } from './keeper';

let world: World, keeper: DemoKeeper, http: ReturnType<typeof request.agent>;
beforeAll(async () => {
  world = await makeWorld({ standIns: false });
  await world.tamper(sql`TRUNCATE thing, command, plan, plan_version, plan_event, deadline, message`);
  keeper = demoKeeper(world.services, 7);
  const { onCall: watch, door } = world;
  http = request
    .agent(httpApp(world.services, { watch, door, demo: keeper }))
    .set('Authorization', `Bearer ${door.key()}`);
});
afterAll(async () => {
  await keeper.end();
  await world.close();
});
const ask = (path: string, demo: boolean) =>
  http
    .get(path)
    .set('Host', 'localhost:4280')
    .set(demo ? { 'X-Escale-Memory': 'demo' } : {});
const titles = async (demo: boolean) =>
  ((await ask('/api/things', demo)).body as { things: { type: string; doc: { title?: string } }[] }).things
    .filter((t) => t.type === 'trip')
    .map((t) => t.doc.title);
const post = (path: string, body: object, demo: boolean) =>
  http
    .post(path)
    .set('Host', 'localhost:4280')
    .set('Content-Type', 'application/json')
    .set(demo ? { 'X-Escale-Memory': 'demo' } : {})
    .send(JSON.stringify(body));

test('the demo is a memory of its own: what is done in it is not done to the household, and it is gone when it is left', async () => {
  expect(await titles(false)).toEqual([]);
  expect(await titles(true)).toContain('Tern Holm, at dawn');
  const filed = await post('/api/plans', { id: uuid(), trip: TRIP }, true);
  expect(filed.body).toMatchObject({ state: 'filed', channel: 'stand-in' });
  expect((await ask('/api/plans', false)).body).toMatchObject({ plans: [] });
  await (await keeper.open()).watch.kick();
  const { calls } = (await ask('/api/standins/telephone', true)).body as { calls: { text: string }[] };
  const link = /http:\/\/localhost:4280(\/demo\/c\/[\w-]+)/.exec(calls[0].text)![1];
  expect((await ask(link, false)).text).toContain('I accept');
  const said = await http.post(`${link}/accept`).set('Host', 'localhost:4280').type('form').send('');
  expect(new URL(said.headers.location, `http://localhost${link}/accept`).pathname).toBe(link);
  expect((await ask(link, false)).text).toContain('You have accepted');
  // A file that the browser fetches by itself says it behind the question mark.
  expect((await ask('/api/export?memory=demo', false)).text).toContain('Tern Holm');
  expect((await ask('/api/export', false)).text).not.toContain('Tern Holm');
  expect((await post('/api/demo/end', {}, false)).status).toBe(200);
  expect((await ask(link, false)).status).toBe(404);
  expect(await keeper.here()).toBeUndefined();
  // Asked for again it is laid out anew, as on the first day.
  expect((await ask('/api/plans', true)).body.plans).toHaveLength(1);
  expect(world.clock.now()).toBe(NOW);
}, 60_000);
test('from another site it can’t be ended', async () => {
  const from = await post('/api/demo/end', {}, false).set('Origin', 'http://elsewhere.example');
  expect(from.status).toBe(403);
});
