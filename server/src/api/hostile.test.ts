import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { demoBundle } from '@escale/core/formats';
import { ADA, BOAT, makeWorld, NOW, TRIP, uuid, type World } from '../../test/world';

let world: World;
beforeAll(async () => {
  world = await makeWorld();
});
beforeEach(() => world.reset());
afterAll(() => world.close());

const set = (thing: string, type: string, pointer: string, value: unknown) =>
  world.command(thing, type, 1, { kind: 'patch', patch: [{ op: 'set', pointer, value }] });
const deep = (n: number) => {
  let tree: unknown = 1;
  for (let i = 0; i < n; i += 1) tree = [tree];
  return tree;
};
const raw = (path: string, body: string) =>
  world.http.post(path).set('Host', 'localhost:4280').set('Content-Type', 'application/json').send(body);

describe('hostile text is a clear no, and nothing is changed', () => {
  test.each<[string, string, string, string, unknown]>([
    ['NUL', ADA, 'contact', '/name', 'a\u0000b'],
    ['half an emoji', ADA, 'contact', '/name', 'a\ud83d'],
    ['the other half', ADA, 'contact', '/name', '\ude00a'],
    ['NUL in a note', TRIP, 'trip', '/notes', '\u0000'],
    ['the thirtieth of February', TRIP, 'trip', '/leave/date', '2026-02-30'],
    ['the year nought', TRIP, 'trip', '/leave/date', '0000-01-01'],
    ['the end of years', TRIP, 'trip', '/leave/date', '9999-12-31'],
    ['two to the fifty-third', BOAT, 'boat', '/length', 2 ** 53],
    ['more than that', BOAT, 'boat', '/length', 1e308],
    ['no number', BOAT, 'boat', '/length', null],
    ['a tree', BOAT, 'boat', '/length', deep(500)],
    ['a pointer without a slash', BOAT, 'boat', 'length', 4],
    ['a pointer to what all things have', BOAT, 'boat', '/__proto__/x', 4],
    ['a pointer past the end', BOAT, 'boat', '/length/3/4', 4],
  ])('%s', async (_, thing, type, pointer, value) => {
    const before = await world.get('/api/things');
    const answer = await set(thing, type, pointer, value);
    expect([answer.status, typeof answer.body.title]).toEqual([422, 'string']);
    expect(await world.get('/api/things')).toEqual(before);
  });
  test.each([
    [
      'NUL as a tick',
      '/api/ticks',
      { list: 'l\u0000', item: 'x', device: uuid(), at: new Date(NOW).toISOString(), on: true },
    ],
    [
      'an instant of no year',
      '/api/ticks',
      { list: 'l', item: 'x', device: uuid(), at: '0000-01-01T00:00:00Z', on: true },
    ],
    ['a reason with NUL', '/api/plans', { id: uuid(), trip: TRIP, reason: '\u0000' }],
    [
      'a deed of no time',
      `/api/plans/${TRIP}/deeds`,
      { id: uuid(), kind: 'closed', madeAt: '9999-99-99T00:00:00Z' },
    ],
    ['a name that is no id', '/api/plans', { id: 'x', trip: TRIP }],
  ])('%s', async (_, path, body) => {
    const { status } = await world.post(path, body);
    expect(status).toBeGreaterThanOrEqual(400);
    expect(status).toBeLessThan(500);
  });
  test('five thousand deep as a body, as a bundle, and half a file', async () => {
    const nest = `${'['.repeat(5000)}${']'.repeat(5000)}`;
    for (const path of ['/api/commands', '/api/import', '/api/plans'])
      for (const body of [nest, `{"a":${nest}}`, '{"a":', '"\\ud83d"'])
        expect([400, 422]).toContain((await raw(path, body)).status);
  });
  test('a bundle with a name of NUL is refused whole', async () => {
    const bundle = demoBundle(NOW);
    bundle.shed.contacts[0] = { ...bundle.shed.contacts[0], name: 'a\u0000' };
    expect((await world.post('/api/import', bundle)).status).toBe(422);
  });
  test.each([
    '/api/plans/%00',
    '/api/ticks/%00',
    '/api/conditions/%00',
    '/c/%00',
    '/api/plans?trip=%00',
    '/%ff',
  ])('the path %s', async (path) => {
    const { status } = await world.http.get(path).set('Host', 'localhost:4280');
    expect(status).toBeGreaterThanOrEqual(400);
    expect(status).toBeLessThan(500);
  });
  test('a title that says [link] is no place for the link', async () => {
    await set(TRIP, 'trip', '/title', 'Over [link] there');
    await world.file();
    await world.watchOnce();
    const [{ text }] = await world.calls();
    expect(text).toMatch(/Over \[link\] there\..*Open and accept: http:\/\/localhost:4280\/c\/[\w-]+$/);
  });
});
