import { once } from 'node:events';
import { createHmac } from 'node:crypto';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import request from 'supertest';
import { demoBundle } from '@escale/core/formats';
import type { KeptPlan, PlanView } from '@escale/core/model';
import { ADA, BOAT, makeWorld, NOW, TRIP, uuid, type World } from '../../test/world';
import { copies } from '../../test/copies';
import { makeDoor, type Door } from '../door/door';
import { httpApp } from './app';
import { openApi } from './openapi';

const HOST = 'localhost:4280';
let world: World, door: Door, server: Server;
beforeAll(async () => {
  world = await makeWorld();
});
beforeEach(async () => {
  await world.reset();
  door = makeDoor(world.db);
  server?.close();
  server?.closeAllConnections();
  server = httpApp(world.services, { watch: world.onCall, door }).listen(0, '127.0.0.1');
  await once(server, 'listening');
});
afterAll(async () => {
  server.close();
  server.closeAllConnections();
  await world.close();
});

type Agent = ReturnType<typeof request.agent>;
const agent = (): Agent => request.agent(server);
/** A browser that was let in by an address. */
async function inBy(path: string): Promise<Agent> {
  const browser = agent();
  await browser.get(path).set('Host', HOST);
  return browser;
}
const enter = async () => inBy(`/enter/${await door.code()}`);
const get = (who: Agent, path: string) => who.get(path).set('Host', HOST);
const post = (who: Agent, path: string, body: object = {}) => who.post(path).set('Host', HOST).send(body);
interface Device {
  id: string;
  name: string;
  here?: boolean;
}
const devices = async (who: Agent) =>
  ((await get(who, '/api/door/devices')).body as { devices: Device[] }).devices;
const keeper = () => agent().set('Authorization', `Bearer ${door.key()}`);

describe('phones of a household', () => {
  test('a new one joins by an address that one makes that is in; each is named, and knows itself', async () => {
    const first = await enter();
    const { address, reaches } = (await post(first, '/api/door/address')).body as {
      address: string;
      reaches: boolean;
    };
    expect(reaches).toBe(false);
    const second = await inBy(new URL(address).pathname);
    const [mine] = (await devices(second)).filter((d) => d.here);
    expect(mine.name).toBe('A computer');
    await post(second, `/api/door/devices/${mine.id}`, { name: 'Rowan’s phone' });
    expect((await devices(first)).map((d) => [d.name, d.here ?? false])).toEqual(
      expect.arrayContaining([
        ['Rowan’s phone', false],
        ['A computer', true],
      ]),
    );
  });
  test('a lost one is thrown out at once, and what it still wants to write is not taken', async () => {
    const [first, lost] = [await enter(), await enter()];
    const plan = await world.file();
    const id = (await devices(lost)).find((d) => d.here)!.id;
    expect((await post(first, `/api/door/devices/${id}/end`)).status).toBe(200);
    const deed = { id: uuid(), kind: 'closed', madeAt: new Date(NOW).toISOString() };
    expect((await post(lost, `/api/plans/${plan.id}/deeds`, deed)).status).toBe(401);
    expect((await get(lost, '/api/things')).status).toBe(401);
    expect((await world.view(plan.id)).state).toBe('filed');
    expect((await get(first, '/api/things')).status).toBe(200);
    expect(await devices(first)).toHaveLength(1);
  });
  test('it stays out after a restart, and another process hears of it too', async () => {
    const lost = await enter();
    const id = (await devices(lost)).find((d) => d.here)!.id;
    const other = httpApp(world.services, { watch: world.onCall, door });
    await post(await enter(), `/api/door/devices/${id}/end`);
    const cookie = (await get(lost, '/api/things')).request.get('Cookie');
    const answer = await request(other)
      .get('/api/things')
      .set({ Host: HOST, Cookie: String(cookie) });
    expect(answer.status).toBe(401);
  });
  test('a session is kept as a hash: what lies in the memory lets nobody in', async () => {
    const browser = await enter();
    const [{ id }] = await devices(browser);
    const { port } = server.address() as AddressInfo;
    for (const secret of [id, `${id}.01890000-0000-7000-8000-00000000ffff.${Date.now()}`]) {
      const forged = `s:${secret}.${createHmac('sha256', 'guessed').update(secret).digest('base64')}`;
      const answer = await request(server)
        .get('/api/things')
        .set({ Host: HOST, Cookie: `escale-${port}=${encodeURIComponent(forged)}` });
      expect(answer.status).toBe(401);
    }
  });
  test('nobody is let into a session that was laid for them: an address gives a new one', async () => {
    const laid = await enter();
    const before = (await devices(laid)).length;
    await get(laid, `/enter/${await door.code()}`);
    expect((await devices(laid)).length).toBe(before + 1);
    expect((await devices(laid)).filter((d) => d.here)).toHaveLength(1);
  });
});

describe('many households on one server', () => {
  const another = async (name = 'The Terns') => {
    const made = (await post(keeper(), '/api/households', { name })).body as { id: string; address: string };
    return { ...made, browser: await inBy(new URL(made.address).pathname) };
  };
  test('each has its own data and its own name; only who holds the key makes or lists them', async () => {
    const { browser } = await another();
    expect((await get(browser, '/api/household')).body).toMatchObject({ name: 'The Terns' });
    expect(((await get(browser, '/api/things')).body as { things: unknown[] }).things).toEqual([]);
    expect((await get(browser, '/api/households')).status).toBe(403);
    expect((await post(browser, '/api/households', { name: 'x' })).status).toBe(403);
    expect((await post(browser, '/api/door/lock')).status).toBe(403);
    const mine = await enter();
    expect((await post(mine, '/api/households', { name: 'x' })).status).toBe(403);
  });
  test('nobody lets anybody into a household of others, nor throws anybody out there', async () => {
    const { browser } = await another();
    const mine = await enter();
    const home = ((await get(mine, '/api/household')).body as { id: string }).id;
    expect((await post(browser, '/api/door/address', { household: home })).status).toBe(403);
    const [{ id }] = await devices(mine);
    expect((await post(browser, `/api/door/devices/${id}/end`)).status).toBe(404);
    expect((await post(browser, `/api/door/devices/${id}`, { name: 'x' })).status).toBe(404);
    expect((await devices(browser)).map((d) => d.id)).not.toContain(id);
    expect((await get(mine, '/api/things')).status).toBe(200);
  });
  test('another household’s ids are of no use in any route', async () => {
    const plan = await world.file();
    await world.deed(plan.id, 'check-in', { position: { lat: 41.19, lon: -29.47 } });
    const before = await world.view(plan.id);
    const { browser } = await another();
    const now = new Date(NOW).toISOString();
    const command = (deed: object) => ({
      id: uuid(),
      device: uuid(),
      type: 'trip',
      thing: TRIP,
      baseVersion: 1,
      deed,
    });
    /** What each route is sent that takes an id; what takes none is looked through for anything of ours. */
    const bodies: Record<string, object[]> = {
      '/api/commands': [
        command({ kind: 'patch', patch: [{ op: 'set', pointer: '/title', value: 'mine' }] }),
        command({ kind: 'remove' }),
        command({ kind: 'restore' }),
      ],
      '/api/plans': [
        { id: uuid(), trip: TRIP },
        { id: uuid(), trip: TRIP, amends: plan.id },
      ],
      '/api/plans/{id}/deeds': [
        { id: uuid(), kind: 'closed', madeAt: now },
        { id: uuid(), kind: 'trouble', madeAt: now },
      ],
      '/api/plans/{id}/withdraw': [{ contact: ADA }],
      '/api/plans/{id}/link': [{ contact: ADA }],
      '/api/erase': [{ id: BOAT }],
      '/api/guests': [{ person: '01890000-0000-7000-8000-000000000001' }],
      '/api/ticks': [{ list: `pack:${TRIP}`, item: 'x', on: true, at: now, device: uuid() }],
    };
    const { paths } = openApi() as { paths: Record<string, Record<string, unknown>> };
    const skip = new Set([
      '/api/stream',
      '/api/households',
      '/api/household',
      '/api/door/address',
      '/api/door/lock',

      '/api/import',
      '/api/push',
      '/api/push/end',
    ]);
    let tried = 0;
    for (const [path, methods] of Object.entries(paths)) {
      if (skip.has(path)) continue;
      const to = path
        .replace('{list}', encodeURIComponent(`pack:${TRIP}`))
        .replace('{trip}', TRIP)
        .replace('{kind}', 'txt')
        .replace('{hash}', 'a'.repeat(64))
        .replace('{id}', plan.id);
      for (const method of Object.keys(methods)) {
        const sent = method === 'get' ? [undefined] : (bodies[path] ?? [{}]);
        for (const body of sent) {
          const answer = body === undefined ? await get(browser, to) : await post(browser, to, body);
          tried += 1;
          const text = JSON.stringify(answer.body ?? '') + (answer.text ?? '');
          const told = path === '/api/openapi.json' ? '' : text;
          expect([path, /Tern Holm|Ada Tolley|Rowan Pike|555 01/.test(told)]).toEqual([path, false]);
          if (path.includes('{id}') && method === 'get' && path !== '/api/photos/{hash}')
            expect([path, answer.status]).toEqual([path, 404]);
        }
      }
    }
    expect(tried).toBeGreaterThan(30);
    // What is of the whole server is for who runs it.
    for (const path of ['/api/clock', '/api/backup', '/api/watch/again'])
      expect([path, (await post(browser, path, { at: now })).status]).toEqual([path, 403]);
    expect((await get(browser, '/api/verify')).status).toBe(403);
    expect((await get(browser, `/api/plans?trip=${TRIP}`)).body).toMatchObject({ plans: [], total: 0 });
    expect((await get(browser, `/api/messages?plan=${plan.id}`)).body).toEqual({ messages: [] });
    const after = await world.view(plan.id);
    expect(after).toEqual(before);
    const things = (await world.get<{ things: { id: string; doc: { title?: string } }[] }>('/api/things'))
      .things;
    expect(things.find((t) => t.id === TRIP)?.doc.title).toBe('Tern Holm, at dawn');
  });
  test('the same ids in two households are two things', async () => {
    const { browser } = await another();
    const bundle = demoBundle(NOW);
    const answer = await post(browser, '/api/import', bundle);
    // An id is of one household: what is taken is refused, and nothing of ours is changed by it.
    expect(answer.status).toBeGreaterThanOrEqual(400);
    expect((await world.get<{ things: unknown[] }>('/api/things')).things.length).toBeGreaterThan(10);
  });
});

describe('a club', () => {
  const another = async (name: string) => {
    const made = (await post(keeper(), '/api/households', { name })).body as { address: string };
    return inBy(new URL(made.address).pathname);
  };
  const kept = async (who: Agent) => ((await get(who, '/api/kept')).body as { plans: KeptPlan[] }).plans;
  const share = (patch: object[] = []) =>
    world.command(TRIP, 'trip', 1, {
      kind: 'patch',
      patch: [{ op: 'set', pointer: '/toClub', value: true }, ...patch],
    });
  test('its leaders see only what was shared with it, as a contact does, and can do nothing to it', async () => {
    const leader = await another('The club');
    const mine = await enter();
    await world.file();
    expect(await kept(leader)).toEqual([]);
    const { word } = (await post(leader, '/api/club/word')).body as { word: string };
    expect((await post(mine, '/api/club/join', { word })).body).toEqual({ name: 'The club' });
    // Joined, but this trip says nothing of the club.
    expect(await kept(leader)).toEqual([]);
    await share([{ op: 'set', pointer: '/sealSpot', value: true }]);
    const [open] = (await world.get<{ plans: PlanView[] }>('/api/plans')).plans;
    await world.file({ amends: open.id });
    const [seen] = await kept(leader);
    expect(seen).toMatchObject({ of: 'Household', contacts: [{ name: 'Ada Tolley', accepted: false }] });
    expect(JSON.stringify(seen)).not.toMatch(/Tern Holm|1984|82 kg/);
    const deed = { id: uuid(), kind: 'closed', madeAt: new Date(NOW).toISOString() };
    expect((await post(leader, `/api/plans/${open.id}/deeds`, deed)).status).toBe(404);
    expect((await get(leader, `/api/plans/${open.id}`)).status).toBe(404);
    world.set(open.times.overdue);
    expect(JSON.stringify(await kept(leader))).toMatch(/Tern Holm/);
    await post(mine, '/api/club/leave');
    expect(await kept(leader)).toEqual([]);
  });
  test('very many plans come by pages, the soonest overdue first, and before them whose hour is over', async () => {
    const leader = await another('The club');
    const mine = await enter();
    const { word } = (await post(leader, '/api/club/word')).body as { word: string };
    await post(mine, '/api/club/join', { word });
    const plan = await world.file();
    const due = (i: number) => plan.times.overdue + ((i * 7) % 120) * 60_000;
    const { rows } = (await world.db.execute(
      'SELECT club FROM household WHERE club IS NOT NULL',
    )) as unknown as {
      rows: { club: string }[];
    };
    const ids = await copies(world.db, plan.id, 120, due, { club: rows.at(-1)!.club });
    await world.db.execute(`UPDATE deadline SET is_open = false WHERE plan = '${ids[5]}'`);
    const page = async (path: string) =>
      (await get(leader, path)).body as { plans: KeptPlan[]; next?: number; total: number };
    const first = await page('/api/kept');
    expect([first.plans.length, first.next, first.total]).toEqual([100, 100, 120]);
    const second = await page(`/api/kept?from=${first.next}`);
    expect([second.plans.length, second.next]).toEqual([20, undefined]);
    const by = ids.map((id, i) => ({ id, at: i === 5 ? 0 : due(i) })).sort((a, b) => a.at - b.at);
    expect([...first.plans, ...second.plans].map((p) => p.id)).toEqual(by.map(({ id }) => id));
    // The household’s own watch begins the same way, whatever was written last; the first of all is due with one of them.
    const own = (await world.get<{ plans: PlanView[] }>('/api/plans')).plans.map((p) => p.id);
    expect(own).toContain(plan.id);
    expect(own.filter((id) => id !== plan.id)).toEqual(by.slice(0, 49).map(({ id }) => id));
  });
  test('who says that they are in trouble stands first, however far off their hour is', async () => {
    const plan = await world.file();
    await copies(world.db, plan.id, 60, plan.times.overdue - 3_600_000);
    const first = async () => (await world.get<{ plans: PlanView[] }>('/api/plans')).plans[0].id;
    expect(await first()).not.toBe(plan.id);
    await world.deed(plan.id, 'trouble');
    expect(await first()).toBe(plan.id);
    world.set(NOW + 60_000);
    await world.deed(plan.id, 'check-in');
    expect(await first()).not.toBe(plan.id);
  });
  test('a word joins once, lets no browser in, and an address of a household is no word', async () => {
    const leader = await another('The club');
    const [one, two] = [await another('One'), await another('Two')];
    const { word } = (await post(leader, '/api/club/word')).body as { word: string };
    expect((await post(one, '/api/club/join', { word })).status).toBe(200);
    expect((await post(two, '/api/club/join', { word })).status).toBe(404);
    const { word: next } = (await post(leader, '/api/club/word')).body as { word: string };
    expect((await request(server).get(`/enter/${next}`).set('Host', HOST)).get('Set-Cookie')).toBeUndefined();
    expect((await post(two, '/api/club/join', { word: await door.code() })).status).toBe(404);
    const { word: own } = (await post(leader, '/api/club/word')).body as { word: string };
    expect((await post(leader, '/api/club/join', { word: own })).status).toBe(422);
  });
});

describe('a guest', () => {
  const PERSON = '01890000-0000-7000-8000-000000000001';
  const link = async () =>
    new URL(((await world.post('/api/guests', { person: PERSON })).body as { url: string }).url).pathname;
  const say = (path: string, form: Record<string, string>) =>
    request(server).post(path).set('Host', HOST).type('form').send(form);
  const person = async () =>
    (await world.get<{ things: { id: string; doc: Record<string, unknown> }[] }>('/api/things')).things.find(
      (t) => t.id === PERSON,
    )!.doc;
  test('says a few things of themselves, without an account; what is left empty stays', async () => {
    const path = await link();
    const before = await person();
    const page = await request(server).get(path).set('Host', HOST);
    expect(page.status).toBe(200);
    expect(page.text).not.toContain('<script');
    const answer = await say(path, {
      mass: '158,5',
      unit: 'lb',
      swimming: '',
      weakArm: 'yes',
      medical: 'wasp stings',
      medicalFor: 'sealed',
      jacket: 'foam-jacket',
    });
    expect(answer.status).toBe(200);
    expect(await person()).toEqual({
      ...before,
      mass: 71.9,
      weakArm: true,
      medical: 'wasp stings',
      medicalFor: 'sealed',
      ...(before.basis ? { basis: (await person()).basis } : {}),
    });
    const things = (await world.get<{ things: { doc: { name?: string; owner?: string } }[] }>('/api/things'))
      .things;
    const mine = () => things.filter((t) => t.doc.name?.endsWith(', own jacket'));
    expect(mine().map((t) => t.doc.owner)).toEqual([PERSON]);
    // Said again it is the same jacket.
    await say(path, { jacket: 'inflatable-jacket' });
    expect(mine()).toHaveLength(1);
  });
  test('is shown nothing: not what was said before, not the trip, nobody else', async () => {
    const path = await link();
    await say(path, { medical: 'wasp stings', mass: '72' });
    const { text } = await request(server).get(path).set('Host', HOST);
    expect(text).not.toMatch(/wasp|72|Tern Holm|Ada|Sprat|Maren/);
  });
  test.each([
    ['a weight that is none', { mass: 'heavy' }, /a weight is a number/],
    ['one that nobody has', { mass: '999' }, /more than 250|weight/i],
    ['a word that is no answer', { swimming: 'well' }, /could not be read/],
  ])('%s is refused in words, and changes nothing', async (_name, form, words) => {
    const path = await link();
    const before = await person();
    const answer = await say(path, form as Record<string, string>);
    expect([answer.status, words.test(answer.text)]).toEqual([400, true]);
    expect(await person()).toEqual(before);
  });
  test('their link opens nothing else, ends by itself, and can’t be guessed', async () => {
    const path = await link();
    const token = path.split('/').at(-1)!;
    for (const other of [`/c/${token}`, `/enter/${token}`])
      expect((await request(server).get(other).set('Host', HOST)).status).not.toBe(200);
    for (const how of [{ Authorization: `Bearer ${token}` }, { Cookie: `escale=${token}` }])
      expect(
        (
          await request(server)
            .get('/api/things')
            .set({ Host: HOST, ...how })
        ).status,
      ).toBe(401);
    const contact = await world.linkFor('Ada Tolley').catch(() => undefined);
    expect(contact).toBeUndefined();
    const plan: PlanView = await world.file();
    const { url } = (await world.post(`/api/plans/${plan.id}/link`, { contact: ADA })).body as {
      url: string;
    };
    const theirs = new URL(url).pathname.replace('/c/', '/g/');
    expect((await request(server).get(theirs).set('Host', HOST)).status).toBe(404);
    world.set(NOW + 14 * 86_400_000);
    expect((await request(server).get(path).set('Host', HOST)).status).toBe(404);
    expect((await say(path, { mass: '70' })).status).toBe(404);
  });
});
