import { waitFor } from '@testing-library/react';
import { fresh, type fakeServer, NOW, TRIP, tripOf } from '../test/world';
import { keepingNow, outbox, store } from './store';
import { change, create, deed, file, flush, giveUp, insist, newId, remove, settle, tick } from './outbox';
import { heldOf, overlay } from './things';

let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  server = await fresh();
});
const trip = () => tripOf(server);
const title = (value: string) => [{ op: 'set' as const, pointer: '/title', value }];

describe('the outbox', () => {
  test('with signal a write goes out at once; without, it waits and goes in order, each once', async () => {
    await change(trip(), title('One'), 'title');
    expect(trip().doc.title).toBe('One');
    await settle((await outbox()).map((s) => s.id));
    server.up = false;
    const held = trip();
    await change(held, title('Two'), 'title');
    await change(
      { ...held, version: held.version + 1 },
      [{ op: 'set', pointer: '/parked', value: 'there' }],
      'car',
    );
    await tick('pack:1', 'whistle', true, NOW);
    expect(await outbox()).toHaveLength(3);
    // What waits is already seen.
    expect(
      overlay({ things: server.things, done: [] }, await outbox()).find((h) => h.id === TRIP)?.doc,
    ).toMatchObject({ title: 'Two', parked: 'there' });
    server.up = true;
    await Promise.all([flush(), flush()]);
    // Through, they stay until what is read shows them, and are not done to it twice.
    const through = await outbox();
    expect(through.map((s) => s.sent)).toEqual([true, true]);
    const done = through.map((s) => s.id);
    expect(overlay({ things: server.things, done }, through).find((h) => h.id === TRIP)?.version).toBe(
      trip().version,
    );
    await settle([done[0]]);
    expect(await outbox()).toHaveLength(1);
    await settle(done);
    expect(await outbox()).toHaveLength(0);
    // The server names only the latest; what went through before one of them is there too.
    expect([...heldOf(through, [done[1]])]).toEqual(through.map((s) => s.key));
    expect(server.sent.map((s) => s.path)).toEqual([
      '/api/commands',
      '/api/commands',
      '/api/commands',
      '/api/ticks',
    ]);
    expect(trip().doc).toMatchObject({ title: 'Two', parked: 'there' });
  });
  test('a refused write is kept and put to the person; what stood behind it on the same thing waits, the rest goes on', async () => {
    server.refuse = { status: 409, title: 'Changed on another device.' };
    await change(trip(), title('Mine'), 'title');
    server.refuse = undefined;
    await change({ ...trip(), version: 2 }, [{ op: 'set', pointer: '/parked', value: 'x' }], 'car');
    await tick('pack:1', 'horn', true, NOW);
    const waiting = await outbox();
    expect(waiting.map((s) => [s.said, s.refused?.title])).toEqual([
      ['title', 'Changed on another device.'],
      ['car', undefined],
    ]);
    expect(server.ticks.has('horn')).toBe(true);
    await insist(waiting[0], { ...trip(), version: 7 });
    expect((await outbox()).every((s) => s.sent)).toBe(true);
    const [first, second] = server.sent
      .filter((s) => s.path === '/api/commands')
      .map((s) => s.body as { baseVersion: number; id: string });
    expect([first.baseVersion, second.baseVersion]).toEqual([7, 8]);
    expect(trip().doc).toMatchObject({ title: 'Mine', parked: 'x' });
  });
  test('“keep mine” goes out on top of the version that refused it, where the page has read an older one', async () => {
    server.refuse = { status: 409, title: 'Changed on another device.', current: { version: 9 } };
    await change(trip(), title('Mine'), 'title');
    server.refuse = undefined;
    const [waiting] = await outbox();
    await insist(waiting, { ...trip(), version: 7 });
    const [sent] = server.sent.filter((s) => s.path === '/api/commands').slice(-1);
    expect((sent.body as { baseVersion: number }).baseVersion).toBe(9);
  });
  test('a change of plan is one thing: its filing waits behind a refused change of its trip, and goes or is given up with it', async () => {
    const change_ = async () => {
      server.refuse = { status: 409, title: 'Changed on another device.' };
      await change(trip(), title('Mine'), 'title');
      server.refuse = undefined;
      await file({ id: newId(), trip: TRIP, amends: newId(), reason: 'Mine' }, 'plan');
    };
    const filings = () => server.sent.filter((s) => s.path === '/api/plans').length;
    await change_();
    expect([filings(), (await outbox()).map((s) => s.said)]).toEqual([0, ['title', 'plan']]);
    await giveUp((await outbox())[0]);
    expect([filings(), await outbox()]).toEqual([0, []]);
    await change_();
    await insist((await outbox())[0], { ...trip(), version: 7 });
    expect(filings()).toBe(1);
  });
  test('a deed that was refused holds nothing back: who says that they are home is heard', async () => {
    const say = (kind: 'check-in' | 'closed') =>
      deed(TRIP, { id: newId(), kind, madeAt: new Date(NOW).toISOString() }, kind);
    server.refuse = { status: 422, title: 'No.' };
    await say('check-in');
    server.refuse = undefined;
    await say('closed');
    expect((await outbox()).map((s) => s.said)).toEqual(['check-in']);
    expect(server.sent.at(-1)?.body).toMatchObject({ kind: 'closed' });
    // Nor does letting it go take with it what waits to be said.
    server.up = false;
    await say('closed');
    await giveUp((await outbox())[0]);
    expect((await outbox()).map((s) => s.said)).toEqual(['closed']);
  });
  const home = () =>
    deed(TRIP, { id: newId(), kind: 'closed', madeAt: new Date(NOW).toISOString() }, 'closed');
  test.each([
    [500, 'Something went wrong'],
    [503, 'The database is away'],
    [502, undefined],
    [429, 'Too many'],
    [408, 'Slow'],
    [425, 'Early'],
    [403, undefined],
  ])(
    '%d settles nothing: it is kept, waits twice as long each time, and goes through at last',
    async (status, title) => {
      const clock = jest.spyOn(Date, 'now');
      let now = NOW;
      clock.mockImplementation(() => now);
      server.refuse = { status, ...(title ? { title } : {}) };
      await home();
      const waits: number[] = [];
      for (let i = 0; i < 14; i += 1) {
        const [waiting] = await outbox();
        // A gateway's own word is as if there were no signal: it is not counted.
        if (waiting.notBefore === undefined) break;
        waits.push(waiting.notBefore - now);
        now = waiting.notBefore;
        await flush();
      }
      if (waits.length > 0) {
        expect(waits.slice(0, 4)).toEqual([1000, 2000, 4000, 8000]);
        // Half a minute at most for what is said of a plan.
        expect(waits.at(-1)).toBe(30_000);
      }
      expect((await outbox()).map((s) => [s.said, s.refused])).toEqual([['closed', undefined]]);
      server.refuse = undefined;
      await flush(true);
      expect(await outbox()).toEqual([]);
      expect(server.sent.at(-1)?.body).toMatchObject({ kind: 'closed' });
      clock.mockRestore();
    },
  );
  test.each([[undefined], [{}], [[]], ['<html>'], [{ id: 'another', state: 'closed' }], [null]])(
    'an odd yes (%j) is none: it is sent again',
    async (answer) => {
      server.odd = { answer };
      await home();
      await tick('pack:1', 'horn', true, NOW);
      expect((await outbox()).map((s) => s.said)).toEqual(['closed', 'a tick']);
      server.odd = undefined;
      await flush(true);
      expect(await outbox()).toEqual([]);
    },
  );
  test('home overtakes everything: what was refused, what is tried again, and what hangs', async () => {
    server.refuse = { status: 500, title: 'No.' };
    await change(trip(), title('One'), 'title');
    await tick('pack:1', 'horn', true, NOW);
    server.refuse = undefined;
    const answer = globalThis.fetch;
    let release: () => void = () => undefined;
    globalThis.fetch = ((path: string, init: object) =>
      path === '/api/ticks'
        ? new Promise((done) => {
            release = () => done(answer(path, init));
          })
        : answer(path, init)) as typeof fetch;
    const hanging = flush(true);
    await waitFor(() => expect(server.sent.some((s) => s.path === '/api/commands')).toBe(true));
    void home();
    await waitFor(() => expect(server.sent.at(-1)?.body).toMatchObject({ kind: 'closed' }));
    release();
    await hanging;
    globalThis.fetch = answer;
  });
  test('a deed about a plan whose filing still waits goes after it, and a filing after what it is about', async () => {
    server.up = false;
    const plan = newId();
    await change(trip(), title('One'), 'title');
    await file({ id: plan, trip: TRIP }, 'a filing');
    await deed(plan, { id: newId(), kind: 'under-way', madeAt: new Date(NOW).toISOString() }, 'left');
    server.up = true;
    await flush();
    expect(server.sent.map((s) => s.path)).toEqual([
      '/api/commands',
      '/api/plans',
      `/api/plans/${plan}/deeds`,
    ]);
  });
  test('ticked and unticked in one minute: both go, the later with the higher count', async () => {
    await tick('pack:1', 'horn', true, NOW);
    await tick('pack:1', 'horn', false, NOW);
    const [on, off] = server.sent.map((s) => s.body as { on: boolean; count: number });
    expect([on.on, off.on]).toEqual([true, false]);
    expect(off.count).toBeGreaterThan(on.count);
  });
  test('each request says which device asks and what its clock shows', async () => {
    const spy = jest.spyOn(globalThis, 'fetch');
    await tick('pack:1', 'horn', true, NOW);
    const { headers } = spy.mock.calls[0][1] as { headers: Record<string, string> };
    expect(Math.abs(Number(headers['X-Escale-Clock']) - Date.now())).toBeLessThan(60_000);
    expect(headers['X-Escale-Device']).toMatch(/^[0-9a-f-]{36}$/);
  });
  describe('a store that is full or was cleared', () => {
    const full = () =>
      jest.spyOn(IDBObjectStore.prototype, 'add').mockImplementation(() => {
        throw new DOMException('full', 'QuotaExceededError');
      });
    test('full: what is said is sent directly, and held in the page where there is no signal', async () => {
      const add = full();
      await home();
      expect(server.sent.at(-1)?.body).toMatchObject({ kind: 'closed' });
      expect(keepingNow()).toBe('unkept');
      server.up = false;
      await home();
      expect((await outbox()).map((s) => s.said)).toEqual(['closed']);
      server.up = true;
      await flush();
      expect(await outbox()).toEqual([]);
      expect(server.sent).toHaveLength(2);
      add.mockRestore();
    });
    test('cleared under the page: what waits is put back, told and sent', async () => {
      server.up = false;
      await home();
      const db = await store();
      await db.clear('outbox');
      await db.clear('settings');
      expect((await outbox()).map((s) => s.said)).toEqual(['closed']);
      expect(keepingNow()).toBe('cleared');
      server.up = true;
      await flush();
      expect(server.sent.at(-1)?.body).toMatchObject({ kind: 'closed' });
      expect(await outbox()).toEqual([]);
    });
  });
  test('given up, it and what stood behind it are gone', async () => {
    server.refuse = { status: 422, title: 'No.' };
    await change(trip(), title(''), 'title');
    await giveUp((await outbox())[0]);
    expect(await outbox()).toHaveLength(0);
  });
  test('a new thing can be changed and removed before the server has heard of it', async () => {
    server.up = false;
    const id = newId();
    await create('contact', { id, name: 'Ada' } as { id: string }, 'a contact');
    const held = () =>
      outbox().then((q) => overlay({ things: server.things, done: [] }, q).find((h) => h.id === id));
    expect((await held())?.version).toBe(1);
    await change((await held())!, [{ op: 'set', pointer: '/phone', value: '555 1' }], 'phone');
    expect((await held())?.doc).toMatchObject({ name: 'Ada', phone: '555 1' });
    await remove((await held())!, 'gone');
    expect(await held()).toBeUndefined();
    server.up = true;
    await flush();
    await waitFor(() => expect(server.things.find((h) => h.id === id)?.deleted).toBe(true));
  });
});
