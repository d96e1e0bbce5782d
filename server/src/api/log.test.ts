import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { sql } from 'drizzle-orm';
import { demoBundle } from '@escale/core/formats';
import { makeLog } from '../log';
import { ADA, makeWorld, NOW, type World } from '../../test/world';

const lines: string[] = [];
let world: World;
beforeAll(async () => {
  world = await makeWorld({ log: makeLog('trace', { write: (line) => void lines.push(line) }) });
  await world.reset();
});
afterAll(() => world.close());

/** Every word that is somebody's: names, phones, notes, and the text of messages. */
function personal(): string[] {
  const { shed, trips } = demoBundle(NOW);
  const texts: string[] = [];
  const walk = (value: unknown) => {
    if (typeof value === 'string' && value.length > 5 && !/^[0-9a-f-]{36}$/.test(value)) texts.push(value);
    else if (typeof value === 'object' && value !== null) Object.values(value).forEach(walk);
  };
  walk([shed.people, shed.contacts, trips.map((t) => [t.title, t.notes, t.parked])]);
  return texts.filter((t) => /[A-Z ]/.test(t) && !/^\d{4}-/.test(t));
}

test('the log of a whole journey, with what went wrong in it, holds nothing of anybody’s', async () => {
  const secret = 'Allergic to wasp stings, has an injector';
  await world.command(ADA, 'contact', 1, {
    kind: 'patch',
    patch: [{ op: 'set', pointer: '/relation', value: secret }],
  });
  const plan = await world.file();
  await world.watchOnce();
  const link = /\/c\/([\w-]+)/.exec((await world.calls())[0].text)!;
  const get = (path: string) => world.http.get(path).set('Host', 'localhost:4280');
  for (const path of [link[0], `/C/${link[1]}`, `/x${link[0]}`, `/api/c/${link[1]}`, `/?to=${link[1]}`])
    await get(path);
  const code = await world.door.code();
  for (const path of [`/enter/${code}`, `/enter/${code}`, `/x/enter/${code}`]) await get(path);
  await world.http.post(`${link[0]}/accept`).set('Host', 'localhost:4280').type('form').send('');
  await world.deed(plan.id, 'later', {
    home: new Date(plan.times.home + 3_600_000).toISOString(),
    note: secret,
  });
  // A quarrel, a body that can't be read, and a database that fails in the middle of a write of everything.
  await world.post('/api/commands', { note: secret });
  await world.http
    .post('/api/commands')
    .set('Host', 'localhost:4280')
    .set('Content-Type', 'application/json')
    .send(`{"name": "${secret}`);
  await world.tamper(sql`ALTER TABLE command RENAME TO gone`);
  const failed = await world.command(ADA, 'contact', 2, {
    kind: 'patch',
    patch: [{ op: 'set', pointer: '/name', value: secret }],
  });
  expect(failed.status).toBe(500);
  expect((await world.post('/api/import', demoBundle(NOW))).status).toBe(200);
  await world.tamper(sql`ALTER TABLE gone RENAME TO command`);
  await world.tamper(sql`ALTER TABLE thing RENAME TO gone`);
  expect((await world.post('/api/import', demoBundle(NOW))).status).toBe(500);
  await world.tamper(sql`ALTER TABLE gone RENAME TO thing`);
  await world.tamper(sql`UPDATE plan_version SET schema = 999`);
  world.set(plan.times.overdue + 7_200_000);
  await world.watchOnce();
  await get('/api/plans');

  const all = lines.join('\n');
  expect(lines.length).toBeGreaterThan(12);
  expect(all).toContain('42P01');
  for (const secret of [link[1], code, world.door.key()]) expect(all).not.toContain(secret);
  for (const word of [secret, ...personal()]) expect(all).not.toContain(word);
  expect(all).toContain(`/api/plans/${plan.id}/deeds`);
});
