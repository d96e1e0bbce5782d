import { createHash } from 'node:crypto';
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { demoBundle } from '@escale/core/formats';
import { debriefIdOf } from '@escale/core/logbook/debrief-id';
import type { Merged } from '@escale/core/model';
import { barePage } from './bare-page';
import { BOAT, makeWorld, NOW, uuid, TRIP, WHISTLE, type World } from '../../test/world';

let world: World;
beforeAll(async () => {
  world = await makeWorld();
});
beforeEach(() => world.reset());
afterAll(() => world.close());

interface Held {
  id: string;
  version: number;
  doc: Record<string, unknown>;
}
const things = async () => (await world.get<{ things: Held[] }>('/api/things')).things;
const trip = async () => (await things()).find((t) => t.id === TRIP)!;
const title = (value: string) => ({ kind: 'patch', patch: [{ op: 'set', pointer: '/title', value }] });

describe('commands', () => {
  test('sent twice, done once', async () => {
    const id = uuid();
    for (let i = 0; i < 2; i += 1)
      expect((await world.command(TRIP, 'trip', 1, title('Once'), { id })).status).toBe(200);
    expect(await trip()).toMatchObject({ version: 2, doc: { title: 'Once' } });
  });
  test('two devices may change different fields; the same field is a quarrel, and neither word is lost', async () => {
    expect((await world.command(TRIP, 'trip', 1, title('Mine'))).status).toBe(200);
    const other = { device: uuid() };
    expect(
      (
        await world.command(
          TRIP,
          'trip',
          1,
          { kind: 'patch', patch: [{ op: 'set', pointer: '/parked', value: 'by the church' }] },
          other,
        )
      ).status,
    ).toBe(200);
    const quarrel = await world.command(TRIP, 'trip', 1, title('Theirs'), other);
    expect(quarrel.status).toBe(409);
    expect(quarrel.type).toBe('application/problem+json');
    expect((quarrel.body as { current: Held }).current.doc).toMatchObject({
      title: 'Mine',
      parked: 'by the church',
    });
  });
  test('who put a change beside those of others is told of theirs, by whom, and the same when it is sent again', async () => {
    const other = { device: uuid() };
    const merged = async (base: number, pointer: string, more: object = {}) => {
      const patch = [{ op: 'set', pointer, value: 'x' }];
      const { body } = await world.command(TRIP, 'trip', base, { kind: 'patch', patch }, more);
      return (body as { merged?: Merged }).merged;
    };
    expect(await merged(1, '/title')).toBeUndefined();
    expect(await merged(2, '/parked', other)).toBeUndefined();
    const id = uuid();
    const theirs = { by: ['A browser'], fields: ['parked'] };
    expect(await merged(2, '/ifLate', { id })).toEqual(theirs);
    // Others went on since: of what came later it was not told, and is not now.
    await merged(4, '/notes', other);
    expect(await merged(2, '/ifLate', { id })).toEqual(theirs);
    expect(await merged(5, '/title')).toBeUndefined();
  });
  test('two devices may each test another part of one boat; the same part, or all of them at once, is a quarrel', async () => {
    const part = (pointer: string, value: unknown = 'ready') => ({
      kind: 'patch',
      patch: [{ op: 'set', pointer, value }],
    });
    const other = { device: uuid() };
    expect((await world.command(BOAT, 'boat', 1, part('/parts/hull/state'))).status).toBe(200);
    expect((await world.command(BOAT, 'boat', 1, part('/parts/handles/state'), other)).status).toBe(200);
    expect((await world.command(BOAT, 'boat', 1, part('/parts/hull/state', 'failed'), other)).status).toBe(
      409,
    );
    expect((await world.command(BOAT, 'boat', 1, part('/parts', {}), other)).status).toBe(409);
    const boat = (await things()).find((t) => t.id === BOAT)!;
    expect(boat.doc.parts).toMatchObject({ hull: { state: 'ready' }, handles: { state: 'ready' } });
  });
  test('two phones that both begin the debrief of one trip begin the same; what each says of it stands', async () => {
    const id = debriefIdOf(TRIP);
    const begun = { id, trip: TRIP, on: '2026-05-12', forgotten: [], broken: [] };
    const other = { device: uuid() };
    const begin = (more: object, by: object = {}) =>
      world.command(id, 'debrief', 0, { kind: 'create', doc: { ...begun, ...more } }, by);
    const put = (base: number, pointer: string, value: unknown, by: object = {}) =>
      world.command(id, 'debrief', base, { kind: 'patch', patch: [{ op: 'set', pointer, value }] }, by);
    const held = async () => (await things()).find((t) => t.id === id)!;
    expect((await begin({ left: '2026-05-12T06:00:00Z' })).status).toBe(200);
    expect((await put(1, '/fuel', 0.01)).status).toBe(200);
    // The second was without a signal: it has another day, knows when they were ashore, and goes on from its own first version.
    const home = '2026-05-12T11:00:00Z';
    expect((await begin({ on: '2026-05-13', home }, other)).status).toBe(200);
    expect((await put(1, '/note', 'fog', other)).status).toBe(200);
    expect((await put(2, '/forgotten', ['hat'])).status).toBe(200);
    expect((await held()).doc).toEqual({
      ...begun,
      left: '2026-05-12T06:00:00Z',
      home,
      fuel: 0.01,
      note: 'fog',
      forgotten: ['hat'],
    });
    // One field on both is a quarrel still; beginning once more changes nothing.
    expect((await put(1, '/fuel', 0.02, other)).status).toBe(409);
    const before = await held();
    expect((await begin({}, other)).status).toBe(200);
    expect((await held()).doc).toEqual(before.doc);
    const { version } = await held();
    // Taken away and begun again it is a new one.
    expect((await world.command(id, 'debrief', version, { kind: 'remove' })).status).toBe(200);
    expect((await begin({})).status).toBe(200);
    expect((await held()).doc).toEqual(begun);
    // Of another trip, or with other words, it is a quarrel.
    expect((await begin({ trip: uuid() })).status).toBe(409);
    expect((await begin({ forgotten: ['hat'] })).status).toBe(409);
    expect((await held()).doc).toEqual(begun);
    // Of anything else an id that is there is refused as before.
    expect((await world.command(id, 'gear', 0, { kind: 'create', doc: begun })).status).toBe(409);
  });
  test('a part with an interval of nought, or a key that is none, is refused in words and nothing is lost', async () => {
    for (const patch of [
      { op: 'set', pointer: '/parts/hull/everyMonths', value: 0 },
      { op: 'set', pointer: '/parts/Hull!', value: { state: 'ready' } },
      { op: 'set', pointer: '/parts/hull/state', value: 'broken' },
    ]) {
      const refused = await world.command(BOAT, 'boat', 1, { kind: 'patch', patch: [patch] });
      expect([refused.status, JSON.stringify(refused.body)]).toEqual([422, expect.stringMatching(/parts/)]);
    }
    expect((await things()).find((t) => t.id === BOAT)).toMatchObject({ version: 1 });
  });
  test('what one device wrote offline, in order, goes through though another wrote beside it', async () => {
    expect(
      (
        await world.command(
          TRIP,
          'trip',
          1,
          { kind: 'patch', patch: [{ op: 'set', pointer: '/parked', value: 'x' }] },
          { device: uuid() },
        )
      ).status,
    ).toBe(200);
    expect((await world.command(TRIP, 'trip', 1, title('One'))).status).toBe(200);
    expect((await world.command(TRIP, 'trip', 2, title('Two'))).status).toBe(200);
    expect(await trip()).toMatchObject({ doc: { title: 'Two', parked: 'x' } });
  });
  test('removed, gone from the list, put back as it was', async () => {
    await world.command(WHISTLE, 'gear', 1, { kind: 'remove' });
    expect((await things()).some((t) => t.id === WHISTLE)).toBe(false);
    expect(
      (
        await world.command(WHISTLE, 'gear', 2, {
          kind: 'patch',
          patch: [{ op: 'set', pointer: '/name', value: 'x' }],
        })
      ).status,
    ).toBe(409);
    expect((await world.command(WHISTLE, 'gear', 2, { kind: 'restore' })).status).toBe(200);
    expect((await things()).find((t) => t.id === WHISTLE)?.doc.name).toBe('Whistle');
  });
  test.each([
    [
      'a negative mass',
      'person',
      '01890000-0000-7000-8000-000000000001',
      { kind: 'patch', patch: [{ op: 'set', pointer: '/mass', value: -3 }] },
      '/mass',
    ],
    ['a text over its length', 'trip', TRIP, title('x'.repeat(5000)), '/title: at most 120 characters'],
    [
      'a jacket upside down',
      'gear',
      '01890000-0000-7000-8000-000000000008',
      {
        kind: 'patch',
        patch: [
          { op: 'set', pointer: '/minMass', value: 200 },
          { op: 'set', pointer: '/maxMass', value: 50 },
        ],
      },
      '/minMass: the lower weight',
    ],
    [
      'a field nobody knows',
      'trip',
      TRIP,
      { kind: 'patch', patch: [{ op: 'set', pointer: '/colour', value: 'red' }] },
      'colour',
    ],
    [
      'a prototype',
      'trip',
      TRIP,
      { kind: 'patch', patch: [{ op: 'set', pointer: '/__proto__/x', value: 1 }] },
      'no field is called',
    ],
    [
      'another id',
      'trip',
      TRIP,
      {
        kind: 'patch',
        patch: [{ op: 'set', pointer: '/id', value: '01890000-0000-7000-8000-000000000001' }],
      },
      '',
    ],
  ])('%s is refused with the field, and nothing is changed', async (_name, type, thing, deed, fault) => {
    const before = await things();
    const answer = await world.command(thing, type, 1, deed);
    expect(answer.status).toBe(422);
    expect(JSON.stringify(answer.body)).toContain(fault);
    expect(await things()).toEqual(before);
  });
  test('a thing of another kind under the same id is not here', async () =>
    expect((await world.command(TRIP, 'boat', 1, title('x'))).status).toBe(404));
});

describe('ticks', () => {
  test('of two phones are merged; the latest word on each thing holds, whatever order it came in', async () => {
    const tick = (item: string, on: boolean, at: number, device = world.device) =>
      world.post('/api/ticks', { list: 'pack:1', item, on, device, at: new Date(at).toISOString() });
    const other = uuid(),
      now = world.clock.now();
    await tick('a', true, now - 3000);
    await tick('b', true, now - 3000, other);
    await tick('a', false, now - 2000, other);
    await tick('a', true, now - 2500);
    expect((await world.get<{ items: string[] }>('/api/ticks/pack:1')).items).toEqual([
      { item: 'b', at: expect.any(Number) },
    ]);
  });
  test('ticked and unticked in one instant: the device’s own count decides, sent twice or in disorder', async () => {
    const at = new Date(world.clock.now()).toISOString();
    const say = (on: boolean, count: number) =>
      world.post('/api/ticks', { list: 'l', item: 'horn', device: world.device, at, on, count });
    const ticked = async () => (await world.get<{ items: unknown[] }>('/api/ticks/l')).items.length;
    await say(true, 1);
    await say(false, 2);
    expect(await ticked()).toBe(0);
    await say(true, 1);
    expect(await ticked()).toBe(0);
    await say(true, 3);
    expect(await ticked()).toBe(1);
  });
  test('a phone that is ten minutes slow is heard, and what waited for signal is as old as it is', async () => {
    const now = world.clock.now();
    const slow = now - 10 * 60_000;
    const from = (device: string, shows: number, age: number, on: boolean) =>
      world
        .post('/api/ticks', {
          list: 's',
          item: 'horn',
          device,
          at: new Date(shows - age).toISOString(),
          on,
          count: shows - age,
        })
        .set('X-Escale-Clock', String(shows));
    const ticked = async () => (await world.get<{ items: unknown[] }>('/api/ticks/s')).items.length;
    const one = uuid(),
      other = uuid();
    await from(one, now, 0, true);
    await from(other, slow, 0, false);
    expect(await ticked()).toBe(0);
    // An hour old when it came: what was said since holds.
    await from(uuid(), slow, 3_600_000, true);
    expect(await ticked()).toBe(0);
  });
  test('a clock that runs ahead can’t hold a tick for ever', async () => {
    const tick = (on: boolean, at: number) =>
      world.post('/api/ticks', { list: 'l', item: 'a', on, device: uuid(), at: new Date(at).toISOString() });
    await tick(true, world.clock.now() + 864e5);
    world.set(world.clock.now() + 1000);
    await tick(false, world.clock.now());
    expect((await world.get<{ items: string[] }>('/api/ticks/l')).items).toEqual([]);
  });
});

describe('bundles', () => {
  test('out and in again changes nothing', async () => {
    const bundle = await world.get<Record<string, unknown>>('/api/export');
    const again = await world.post('/api/import', bundle);
    expect(again.body).toMatchObject({ added: 0, changed: 0 });
    expect(again.body.same).toBeGreaterThan(50);
  });
  test('what it would change is told before anything is: a contact’s phone first', async () => {
    const bundle = demoBundle(NOW);
    const [ada] = bundle.shed.contacts;
    const people = bundle.shed.people.map((p, i) => (i === 0 ? { ...p, name: 'Someone else' } : p));
    const extra = { ...ada, id: uuid(), name: 'New one' };
    const shed = { ...bundle.shed, people, contacts: [{ ...ada, phone: '555 9999' }, extra] };
    const { body } = await world.post('/api/import/preview', { ...bundle, shed });
    expect(body.changes).toMatchObject([
      { type: 'contact', name: ada.name, what: 'changed', fields: [{ field: 'phone', is: '555 9999' }] },
      { type: 'person', what: 'changed', fields: [{ field: 'name', is: 'Someone else' }] },
      { type: 'contact', name: 'New one', what: 'added', fields: [] },
    ]);
    const { things } = await world.get<{ things: { id: string; doc: { phone?: string } }[] }>('/api/things');
    expect(things.find((t) => t.id === ada.id)?.doc.phone).toBe(ada.phone);
    expect((await world.post('/api/import/preview', demoBundle(NOW))).body).toEqual({ changes: [] });
  });
  test('with one fault nothing is taken', async () => {
    const bundle = await world.get<{ shed: { people: Record<string, unknown>[] } }>('/api/export');
    const before = await things();
    bundle.shed.people[0].name = 'Changed';
    bundle.shed.people[1].mass = 'heavy';
    const answer = await world.post('/api/import', bundle);
    expect(answer.status).toBe(422);
    expect((answer.body as { faults: string[] }).faults[0]).toContain('/shed/people/1/mass');
    expect(await things()).toEqual(before);
  });
});

describe('strangers', () => {
  const get = (headers: Record<string, string>, path = '/api/things') =>
    Object.entries(headers).reduce((r, [k, v]) => r.set(k, v), world.http.get(path));
  test('another host name, another origin, a form from elsewhere', async () => {
    expect((await get({ Host: 'evil.example' })).status).toBe(421);
    expect((await get({ Host: 'localhost:4280', Origin: 'http://evil.example' })).status).toBe(403);
    expect(
      (
        await world.http
          .post('/api/commands')
          .set('Host', 'localhost')
          .set('Content-Type', 'text/plain')
          .send('{}')
      ).status,
    ).toBe(415);
    expect(
      (
        await world.http
          .post('/api/commands')
          .set('Host', 'localhost')
          .set('Origin', 'null')
          .set('Content-Type', 'application/json')
          .send('{}')
      ).status,
    ).toBe(403);
    expect((await get({ Host: 'localhost', Origin: 'not an address' })).status).toBe(403);
  });
  test('what can’t be read, is too large or is not there', async () => {
    expect(
      (
        await world.http
          .post('/api/commands')
          .set('Host', 'localhost')
          .set('Content-Type', 'application/json')
          .send('{')
      ).status,
    ).toBe(400);
    expect((await world.post('/api/ticks', { list: 'x'.repeat(2e6) })).status).toBe(413);
    expect((await get({ Host: 'localhost' }, '/api/nothing')).body).toMatchObject({
      title: 'There is nothing here.',
      status: 404,
    });
  });
  test('the page can’t be framed or run a stranger’s script, and answers are not cached', async () => {
    const answer = await get({ Host: 'localhost' });
    const policy = String(answer.headers['content-security-policy']);
    expect(policy).toContain("script-src 'self'");
    // No style of anybody else’s: those of our pages stand in it by their hash.
    expect(policy).not.toContain('unsafe-inline');
    const hash = /'sha256-([\w+/=]+)'/.exec(policy)?.[1];
    const [, css] = /<style>([\s\S]*?)<\/style>/.exec(barePage('', '')) ?? [];
    expect(hash).toBe(createHash('sha256').update(css).digest('base64'));
    expect(answer.headers['cache-control']).toBe('no-store');
  });
});

test('the forecast is the same for the same seed, place and hour, and says what it is', async () => {
  const one = await world.get<{ forecast: { source: string; hours: unknown[] } }>(`/api/conditions/${TRIP}`);
  expect(await world.get(`/api/conditions/${TRIP}`)).toEqual(one);
  expect(one.forecast.source).toContain('stand-in');
  expect(one.forecast.hours.length).toBeGreaterThan(48);
});

describe('what has not changed is not sent again', () => {
  const ask = (mark?: string) => {
    const request = world.http
      .get('/api/things')
      .set('Host', 'localhost:4280')
      .set('Cache-Control', 'no-cache');
    return mark === undefined ? request : request.set('If-None-Match', mark);
  };
  test('whoever names the mark is told that it holds, until something is written', async () => {
    world.set(NOW);
    const first = await ask();
    const mark = first.headers.etag;
    expect([first.status, typeof mark]).toEqual([200, 'string']);
    const again = await ask(mark);
    expect([again.status, again.text]).toEqual([304, '']);
    await world.command(TRIP, 'trip', 1, {
      kind: 'patch',
      patch: [{ op: 'set', pointer: '/title', value: 'Other' }],
    });
    const then = await ask(mark);
    expect([then.status, then.headers.etag === mark]).toEqual([200, false]);
  });
  test('a refusal carries no mark, a write is never answered from one', async () => {
    const missing = await world.http
      .get('/api/conditions/x')
      .set('Host', 'localhost:4280')
      .set('If-None-Match', 'W/"x"');
    expect(missing.status).toBe(422);
    expect((await world.post('/api/plans', {})).status).toBe(422);
  });
});
