import { once } from 'node:events';
import { get, type IncomingMessage, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, beforeEach, describe, expect, jest, test } from '@jest/globals';
import request from 'supertest';
import { makeWorld, TRIP, uuid, type World } from '../../test/world';
import { makeDoor, type Door } from '../door/door';
import { newsDesk, type News } from '../watch/news';
import { httpApp } from './app';

const HOST = 'localhost:4280';
let world: World, door: Door, server: Server;
let app: ReturnType<typeof httpApp>;
beforeAll(async () => {
  world = await makeWorld();
});
beforeEach(async () => {
  await world.reset();
  door = makeDoor(world.db);
  app = httpApp(world.services, { watch: world.onCall, door });
  server = app.listen(0, '127.0.0.1');
  await once(server, 'listening');
});
afterAll(() => world.close());

const end = async () => {
  (app.locals as { endStreams: () => void }).endStreams();
  server.close();
  server.closeAllConnections();
};

/** What a stream said so far, and a wait for a word in it. */
async function stream(headers: Record<string, string>) {
  const { port } = server.address() as AddressInfo;
  const asked = get({ port, path: '/api/stream', headers: { Host: HOST, ...headers } });
  const [answer] = (await once(asked, 'response')) as [IncomingMessage];
  let text = '';
  const waiting = new Set<() => void>();
  const told = () => {
    for (const each of waiting) each();
  };
  let ended = false;
  answer.on('data', (part: Buffer) => {
    text += part.toString();
    told();
  });
  answer.on('close', () => {
    ended = true;
    told();
  });
  answer.on('error', told);
  const until = (there: () => boolean) =>
    new Promise<void>((done) => {
      const look = () => {
        if (!there()) return;
        waiting.delete(look);
        done();
      };
      waiting.add(look);
      look();
    });
  return {
    answer,
    said: () => text,
    hears: (word: string) => until(() => text.includes(word)),
    ends: () => until(() => ended),
    close: () => asked.destroy(),
  };
}
const key = () => ({ Authorization: `Bearer ${door.key()}` });

/** Looked only when it is asked to. */
const NEVER = 1e9;

describe('news as they happen', () => {
  test('a plan that is filed and a thing that is changed are told, without what is in them', async () => {
    const heard = await stream(key());
    expect(heard.answer.headers).toMatchObject({
      'content-type': expect.stringContaining('text/event-stream'),
      'cache-control': 'no-cache, no-transform',
    });
    expect(heard.answer.headers['content-encoding']).toBeUndefined();
    await heard.hears(': here');
    // The desk has taken its place once a first change is told; what lay there before is no news.
    await world.command(TRIP, 'trip', 1, {
      kind: 'patch',
      patch: [{ op: 'set', pointer: '/title', value: 'A secret place' }],
    });
    await world.file();
    await heard.hears('event: plans');
    expect(heard.said()).not.toMatch(/secret|Tern|Ada/);
    expect(heard.said()).toMatch(/id: \d+\.\d+\nevent: plans\ndata: \{\}\n/);
    heard.close();
    await end();
  }, 20_000);
  test('who was not let in hears nothing; another household neither', async () => {
    const shut = await request(server).get('/api/stream').set('Host', HOST);
    expect(shut.status).toBe(401);
    const heard: News[] = [];
    const ours: News[] = [];
    const desk = newsDesk(world.db, NEVER);
    desk.listen('01890000-0000-7000-8000-0000000000ee', (news) => heard.push(news));
    desk.listen('01890000-0000-7000-8000-00000000ffff', (news) => ours.push(news));
    await desk.look();
    expect(ours).toEqual([]);
    await world.file();
    await desk.look();
    expect(ours[0].about).toBe('plans');
    expect(heard).toEqual([]);
    desk.stop();
    await end();
  }, 20_000);
  test('each row is told once, though it is looked back for what came late', async () => {
    const ours: string[] = [];
    const desk = newsDesk(world.db, NEVER);
    const plan = await world.file();
    desk.listen('01890000-0000-7000-8000-00000000ffff', ({ id, about }) => ours.push(`${about} ${id}`));
    await desk.look();
    for (let i = 0; i < 3; i += 1) await world.deed(plan.id, 'check-in', { id: uuid() });
    await desk.look();
    await desk.look();
    const plans = ours.filter((one) => one.startsWith('plans'));
    expect(plans).toHaveLength(3);
    expect(new Set(plans).size).toBe(3);
    desk.stop();
    await end();
  }, 20_000);
  test('what was written here is told at once, in one look however much it was; where nobody listens nothing is asked', async () => {
    const desk = newsDesk(world.db, NEVER);
    const plan = await world.file();
    const asked = jest.spyOn(world.db, 'select');
    desk.hurry();
    expect(asked).not.toHaveBeenCalled();
    asked.mockRestore();
    const told = new Promise((heard) => desk.listen('01890000-0000-7000-8000-00000000ffff', heard));
    await desk.look();
    await world.deed(plan.id, 'check-in', { id: uuid() });
    for (let i = 0; i < 5; i += 1) desk.hurry();
    expect(await told).toMatchObject({ about: 'plans' });
    desk.stop();
    await end();
  }, 20_000);
  test('the server says goodbye when it ends', async () => {
    const heard = await stream(key());
    await heard.hears(': here');
    (app.locals as { endStreams: () => void }).endStreams();
    await heard.hears('event: bye');
    await heard.ends();
    await end();
  });
});
