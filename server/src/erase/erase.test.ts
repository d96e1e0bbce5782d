import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { sql } from 'drizzle-orm';
import { demoBundle } from '@escale/core/formats';
import type { RemovedThing, Trip } from '@escale/core/model';
import { MS } from '@escale/core/units';
import { TABLES, writeCopy } from '../backup/copy';
import { erasedIn, noteErased } from '../backup/erased-file';
import { keepMemory } from '../backup/keeper';
import { restoreFolder } from '../backup/restore';
import { openDb, type Db } from '../db/open';
import { inFolder } from '../db/folder';
import { brokenChains, brokenVersions } from '../plans/chain';
import { onBothDrivers } from '../../test/drivers';
import { ADA, BOAT, NOW, TRIP, uuid, type World } from '../../test/world';
import { eraseAgain, type Gone } from './erase';

const trip = demoBundle(NOW).trips.find((t) => t.id === TRIP) as Trip;
const SKIPPER = trip.crew[0].person;
/** What is somebody's and is looked for in every table afterwards. */
const SKIPPERS = ['Quillon Marrow', 'Quillon', '555 0777', 'twisted an ankle', '50.1234'];
const ADAS = ['Ada Tolley', '0190 555'];

/** All that a memory holds, as text. */
async function everything(db: Db): Promise<string> {
  const tables = await Promise.all(
    TABLES.map(
      async (table) => (await db.execute(sql`SELECT * FROM ${sql.identifier(table)}`)) as { rows: unknown[] },
    ),
  );
  return JSON.stringify(tables.map(({ rows }) => rows));
}
const wholeness = async (db: Db) =>
  [...(await brokenChains(db)), ...(await brokenVersions(db))].map((b) => b.what);

/** A day of the demo's skipper under another name: filed, changed, overdue, home, with words and places in it. */
async function aDay(world: World): Promise<string> {
  const patch = Object.entries({ name: 'Quillon Marrow', phone: '555 0777', medical: 'wasp stings' });
  await world.command(SKIPPER, 'person', 1, {
    kind: 'patch',
    patch: patch.map(([field, value]) => ({ op: 'set', pointer: `/${field}`, value })),
  });
  const plan = await world.file();
  await world.accept();
  await world.deed(plan.id, 'under-way', { position: { lat: 50.1234, lon: -1.5 } });
  await world.post('/api/plans', {
    id: uuid(),
    trip: TRIP,
    amends: plan.id,
    reason: 'Quillon twisted an ankle',
  });
  await world.silentUntil(plan.times.overdue + MS.minute);
  await world.deed(plan.id, 'closed', { note: 'Quillon is home' });
  await world.watchOnce();
  return plan.id;
}
const remove = async (world: World, id: string, type: string) => {
  const { body } = await world.http.get('/api/things').set('Host', 'localhost:4280');
  const { version } = (body as { things: { id: string; version: number }[] }).things.find(
    (t) => t.id === id,
  )!;
  return world.command(id, type, version, { kind: 'remove' });
};
const erased = (world: World, thing: string) => world.post('/api/erase', { thing });
const later = (world: World) => world.set(world.clock.now() + 2 * MS.hour);

onBothDrivers((at) => {
  let world: World;
  beforeEach(() => {
    world = at();
  });

  test('a person: nothing of theirs is left in any table, the record holds, and what is left can’t be changed either', async () => {
    const id = await aDay(world);
    const link = await world.linkFor('Ada Tolley');
    await remove(world, SKIPPER, 'person');
    later(world);
    const before = await everything(world.db);
    for (const word of SKIPPERS) expect(before).toContain(word);
    expect((await erased(world, SKIPPER)).status).toBe(200);
    const after = await everything(world.db);
    for (const word of [...SKIPPERS, 'wasp stings']) expect(after).not.toContain(word);
    expect(await wholeness(world.db)).toEqual([]);
    const view = await world.view(id);
    expect(view).toMatchObject({
      title: 'Erased',
      state: 'closed',
      contacts: [],
      sheet: { lines: [], read: '' },
    });
    expect(view.events.map((e) => e.kind)).toEqual([
      'filed',
      'accepted',
      'under-way',
      'amended',
      'late',
      'overdue',
      'closed',
      'erased',
    ]);
    expect((await world.page(link)).status).toBe(404);
    expect(await world.get('/api/messages')).toEqual({ messages: [] });
    // Of what is broken in a plan's own chain the first is told: the last goes first.
    for (const [change, what] of [
      [sql`UPDATE plan_version SET skipper = 'Somebody' WHERE version = 2`, 'the filed version was changed'],
      [sql`UPDATE message SET text = 'All is well' WHERE kind = 'overdue'`, 'a message was changed'],
      [
        sql`UPDATE plan_event SET at = at - interval '1 hour' WHERE kind = 'under-way'`,
        'an event was changed',
      ],
    ] as const) {
      await expect(world.db.execute(change)).rejects.toThrow();
      await world.tamper(change);
      expect(await wholeness(world.db)).toContain(what);
    }
  });

  test('a contact: their name and phone are gone from shed, plans and messages', async () => {
    const id = await aDay(world);
    await remove(world, ADA, 'contact');
    later(world);
    expect(await everything(world.db)).toContain(ADAS[0]);
    await erased(world, ADA);
    const after = await everything(world.db);
    for (const word of ADAS) expect(after).not.toContain(word);
    expect((await world.view(id)).state).toBe('closed');
    expect(await wholeness(world.db)).toEqual([]);
  });

  test('a trip: with its plans, what was noted after it, its runs, ticks and weather', async () => {
    const id = await aDay(world);
    const [debrief, run] = [uuid(), uuid()];
    await world.command(debrief, 'debrief', 0, {
      kind: 'create',
      doc: { id: debrief, trip: TRIP, on: '2026-05-12', forgotten: ['the blue flask'], broken: [] },
    });
    await world.command(run, 'run', 0, {
      kind: 'create',
      doc: {
        id: run,
        trip: TRIP,
        procedure: 'hand-launch',
        startedAt: new Date(NOW).toISOString(),
        ticks: [],
      },
    });
    const tick = { item: 'hat', device: world.device, at: new Date(NOW).toISOString(), on: true };
    await world.post('/api/ticks', { ...tick, list: `kit:${TRIP}` });
    await world.post('/api/ticks', { ...tick, list: 'shed' });
    await remove(world, TRIP, 'trip');
    later(world);
    await erased(world, TRIP);
    const after = await everything(world.db);
    for (const word of ['the blue flask', 'hand-launch', 'Quillon is home', `kit:${TRIP}`])
      expect(after).not.toContain(word);
    // The skipper is still in the shed, and was nobody's to erase.
    expect(after).toContain('Quillon Marrow');
    expect((await world.view(id)).title).toBe('Erased');
    expect(await world.get<{ items: unknown[] }>('/api/ticks/shed')).toMatchObject({
      items: [{ item: 'hat' }],
    });
  });

  test('a boat, or somebody who was not aboard: gone from the shed, and no plan is touched', async () => {
    const id = await aDay(world);
    const other = uuid();
    await world.command(other, 'person', 0, { kind: 'create', doc: { id: other, name: 'Zebedee' } });
    for (const [thing, type] of [
      [BOAT, 'boat'],
      [other, 'person'],
    ]) {
      await remove(world, thing, type);
      later(world);
      expect((await erased(world, thing)).status).toBe(200);
    }
    const view = await world.view(id);
    expect(view.title).toBe(trip.title);
    expect(view.sheet.lines.length).toBeGreaterThan(0);
    expect(await everything(world.db)).not.toContain('Zebedee');
  });

  describe('is refused, and nothing is erased,', () => {
    const refused = async (thing: string, words: RegExp) => {
      const before = await everything(world.db);
      const { status, body } = await erased(world, thing);
      expect([status, (body as { title: string }).title]).toEqual([409, expect.stringMatching(words)]);
      expect(await everything(world.db)).toBe(before);
    };
    test('while it is in use', () => refused(SKIPPER, /in use/));
    test('while a plan that names it is open, overdue or not', async () => {
      const plan = await world.file();
      await remove(world, SKIPPER, 'person');
      await refused(SKIPPER, /open names this/);
      await world.silentUntil(plan.times.overdue + 5 * MS.hour);
      await refused(SKIPPER, /open names this/);
    });
    test('while its ending can be taken back', async () => {
      await aDay(world);
      await remove(world, SKIPPER, 'person');
      await refused(SKIPPER, /taken up again/);
    });
    test('while somebody has still to hear that they are home', async () => {
      await aDay(world);
      await world.db.execute(sql`UPDATE message SET delivered_at = NULL WHERE kind = 'closed.alarmed'`);
      await remove(world, SKIPPER, 'person');
      later(world);
      await refused(SKIPPER, /still to hear/);
    });
    test('of nobody, and of another household', async () => {
      expect((await erased(world, uuid())).status).toBe(404);
      await world.db.execute(
        sql`UPDATE thing SET household = ${uuid()}, deleted_at = now() WHERE id = ${SKIPPER}`,
      );
      expect((await erased(world, SKIPPER)).status).toBe(404);
    });
  });

  test('does not come back by undoing, by another device, or by a file; done twice it is done once', async () => {
    await aDay(world);
    const file = await world.get<{ shed: { people: unknown[] } }>('/api/export');
    await remove(world, SKIPPER, 'person');
    const removed = async () => (await world.get<{ removed: RemovedThing[] }>('/api/removed')).removed;
    expect(await removed()).toMatchObject([{ id: SKIPPER, type: 'person', name: 'Quillon Marrow' }]);
    // One that this version can't read is listed all the same, and can be erased.
    await world.db.execute(sql`UPDATE thing SET schema = 999 WHERE id = ${SKIPPER}`);
    expect(await removed()).toMatchObject([{ name: 'Quillon Marrow' }]);
    later(world);
    await erased(world, SKIPPER);
    expect(await removed()).toEqual([]);
    const once = await everything(world.db);
    expect((await erased(world, SKIPPER)).status).toBe(200);
    expect(await everything(world.db)).toBe(once);
    const doc = { id: SKIPPER, name: 'Quillon Marrow' };
    for (const [version, deed] of [
      [3, { kind: 'restore' }],
      [0, { kind: 'create', doc }],
      [2, { kind: 'patch', patch: [{ op: 'set', pointer: '/name', value: 'Quillon' }] }],
    ] as const)
      expect((await world.command(SKIPPER, 'person', version, deed)).body).toMatchObject({
        status: 422,
        title: expect.stringMatching(/erased for good/) as unknown,
      });
    const preview = await world.post('/api/import/preview', file);
    expect(JSON.stringify(preview.body)).not.toContain('Quillon');
    expect((await world.post('/api/import', file)).body).toMatchObject({ erased: 1 });
    expect(await everything(world.db)).toBe(once);
  });

  test('a plan that is open in a copy keeps who is in it until it has ended; then it is erased', async () => {
    const plan = await world.file();
    const gone: Gone[] = [{ id: SKIPPER, type: 'person' }];
    expect(await eraseAgain(world.db, gone, world.clock.now())).toBe(1);
    expect((await world.view(plan.id)).sheet.lines.length).toBeGreaterThan(0);
    expect(await eraseAgain(world.db, gone, world.clock.now())).toBe(0);
    await world.deed(plan.id, 'closed');
    expect(await eraseAgain(world.db, gone, world.clock.now())).toBe(1);
    expect((await world.view(plan.id)).title).toBe('Erased');
    expect(await wholeness(world.db)).toEqual([]);
  });

  test('one whose plan can’t be read keeps no other from being erased again', async () => {
    await aDay(world);
    later(world);
    await world.tamper(sql`UPDATE plan_event SET schema = 999`);
    const other = uuid();
    await world.command(other, 'contact', 0, { kind: 'create', doc: { id: other, name: 'Zebra Finch' } });
    const all: Gone[] = [
      { id: SKIPPER, type: 'person' },
      { id: other, type: 'contact' },
    ];
    await expect(eraseAgain(world.db, all, world.clock.now())).rejects.toThrow();
    const left = await everything(world.db);
    expect(left).not.toContain('Zebra Finch');
    expect(left).toContain('Quillon Marrow');
  });

  describe('and a copy of before', () => {
    let folder: string;
    beforeEach(() => {
      folder = mkdtempSync(join(tmpdir(), 'escale-erase-'));
    });
    afterEach(() => rmSync(folder, { recursive: true }));
    test('put back, what was erased is erased again', async () => {
      await aDay(world);
      const memory = join(folder, 'memory'),
        copy = join(folder, 'copy.ndjson.gz');
      await writeCopy(world.db, copy, NOW);
      await (await openDb({ folder: memory })).close();
      const keeper = keepMemory(world.services, memory);
      await keeper.first;
      keeper.erased([{ id: SKIPPER, type: 'person' }]);
      await keeper.stop();
      expect((await restoreFolder(memory, copy, NOW + 30 * MS.day)).erased).toBe(1);
      const { db, close } = await openDb({ folder: memory });
      const back = await everything(db);
      for (const word of SKIPPERS) expect(back).not.toContain(word);
      expect(back).toContain('Ada Tolley');
      expect(await wholeness(db)).toEqual([]);
      await close();
    }, 60_000);
    test('the note outlives a line that was cut by a kill', () => {
      const { erased: file } = { erased: join(folder, 'erased') };
      noteErased(file, [{ id: SKIPPER, type: 'person' }]);
      noteErased(file, [{ id: ADA.slice(0, 10), type: 'con' as 'contact' }]);
      noteErased(file, [{ id: ADA, type: 'contact' }]);
      expect(erasedIn(file)).toEqual([
        { id: SKIPPER, type: 'person' },
        { id: ADA, type: 'contact' },
      ]);
      expect(inFolder(folder).erased).toBe(file);
    });
  });
});
