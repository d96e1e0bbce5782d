import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { eq } from 'drizzle-orm';
import type { PlanView } from '@escale/core/model';
import { planEvent, planVersion } from '../db/schema';
import { makeWorld, uuid, ADA, TRIP, type World } from '../../test/world';
import { brokenAt } from './events';

const MIN = 60_000,
  H = 60 * MIN;
let world: World;
beforeAll(async () => {
  world = await makeWorld();
});
beforeEach(() => world.reset());
afterAll(() => world.close());

const view = (id: string) => world.get<PlanView>(`/api/plans/${id}`);
const kinds = (plan: PlanView) => plan.events.map((e) => e.kind);
const linkFor = async (to: string) =>
  /\/c\/([\w-]+)/.exec((await world.calls()).find((c) => c.to === to && c.text.includes('/c/'))!.text)![0];
const page = (path: string) => world.http.get(path).set('Host', 'localhost:4280');
const accept = async () =>
  world.http
    .post(`${await linkFor('Ada Tolley')}/accept`)
    .set('Host', 'localhost:4280')
    .type('form')
    .send('');
const silentUntil = async (at: number) => {
  world.set(at);
  await world.watchOnce();
};

describe('filing', () => {
  test('freezes times and sheet; the same filing twice files once and rings once', async () => {
    const id = uuid();
    const plan = await world.file({ id });
    const again = await world.file({ id });
    await world.watchOnce();
    expect(again.id).toBe(plan.id);
    expect(plan.state).toBe('filed');
    expect(plan.times.overdue - plan.times.home).toBe(H);
    expect((await world.calls()).map((c) => c.to)).toEqual(['Ada Tolley']);
    // What is changed afterwards does not change what was filed.
    await world.command(TRIP, 'trip', 1, {
      kind: 'patch',
      patch: [{ op: 'set', pointer: '/title', value: 'Other' }],
    });
    expect((await view(plan.id)).title).toBe('Tern Holm, at dawn');
    const [version] = await world.db.select().from(planVersion).where(eq(planVersion.plan, plan.id));
    expect(version.inputs).toMatchObject({
      trip: { id: TRIP },
      core: expect.any(String),
      packs: expect.arrayContaining([
        expect.objectContaining({ id: 'us-federal', hash: expect.any(String) }),
      ]),
    });
  });
  test('a second plan for the same trip is refused; a change is sent instead and is accepted anew when home is later', async () => {
    const plan = await world.file();
    await world.watchOnce();
    await accept();
    expect((await view(plan.id)).contacts[0]).toMatchObject({ id: ADA, accepted: true, opened: true });
    expect((await world.post('/api/plans', { id: uuid(), trip: TRIP })).status).toBe(409);
    await world.command(TRIP, 'trip', 1, {
      kind: 'patch',
      patch: [{ op: 'set', pointer: '/halts/0/minutes', value: 170 }],
    });
    const changed = await world.file({ amends: plan.id, reason: 'the tide is kind' });
    expect(changed).toMatchObject({ id: plan.id, version: 2 });
    expect(changed.times.home - plan.times.home).toBe(90 * MIN);
    expect(changed.contacts[0].accepted).toBe(false);
    await world.watchOnce();
    expect((await world.calls())[0].text).toContain('the tide is kind');
  });
  test.each([
    ['no contact', { op: 'set', pointer: '/contacts', value: [] }, 'no contact ashore'],
    ['no halt', { op: 'set', pointer: '/halts', value: [] }, 'no time home'],
    ['nobody aboard', { op: 'set', pointer: '/crew', value: [] }, 'nobody is aboard'],
    ['a time past', { op: 'set', pointer: '/leave/date', value: '2026-05-01' }, 'overdue already'],
  ])('%s: refused with what is lacking', async (_name, patch, lack) => {
    await world.command(TRIP, 'trip', 1, { kind: 'patch', patch: [patch] });
    const answer = await world.post('/api/plans', { id: uuid(), trip: TRIP });
    expect(answer.status).toBe(422);
    expect(JSON.stringify(answer.body)).toContain(lack);
    expect((await world.get<{ plans: unknown[] }>('/api/plans')).plans).toEqual([]);
  });
});

describe('the watch', () => {
  test('silence: the crew is reminded at home, the contact told at overdue, the sheet sent an hour later; each once', async () => {
    const plan = await world.file();
    await world.watchOnce();
    const before = (await world.calls()).length;
    const told = async (at: number) => {
      await silentUntil(at);
      await world.watchOnce();
      return (await world.calls()).slice(0, -before || undefined).map((c) => c.to);
    };
    // A check-in was promised after two hours; it is missed with its quarter of an hour of grace.
    await silentUntil(plan.times.checkIns[0] + 15 * MIN - 1);
    expect((await world.calls()).length).toBe(before);
    expect((await told(plan.times.checkIns[0] + 15 * MIN)).sort()).toEqual(['Ada Tolley', 'Rowan Pike']);
    expect((await told(plan.times.home)).length).toBe(3);
    expect((await world.calls())[0]).toMatchObject({
      to: 'Rowan Pike',
      text: expect.stringContaining('close the plan'),
    });
    await told(plan.times.overdue);
    expect((await world.calls())[0]).toMatchObject({
      to: 'Ada Tolley',
      text: expect.stringMatching(/is overdue.*\/c\//s),
    });
    await told(plan.times.overdue + H);
    expect((await world.calls())[0].text).toContain('still not back');
    const n = (await world.calls()).length;
    await told(plan.times.overdue + 9 * H);
    expect((await world.calls()).length).toBe(n);
    expect(kinds(await view(plan.id))).toEqual(['filed', 'check-in-missed', 'late', 'overdue', 'alarm']);
  });
  test('a server that slept through it all says only the gravest, and has all on record', async () => {
    const plan = await world.file();
    await world.watchOnce();
    await silentUntil(plan.times.overdue + 3 * H);
    const texts = (await world.calls()).map((c) => c.text);
    expect(texts.filter((t) => t.includes('still not back'))).toHaveLength(1);
    expect(texts.filter((t) => t.includes('due home at'))).toHaveLength(0);
    expect(kinds(await view(plan.id))).toEqual(expect.arrayContaining(['late', 'overdue', 'alarm']));
  });
  test('a check-in in time keeps the promise', async () => {
    const plan = await world.file();
    world.set(plan.times.leave);
    await world.deed(plan.id, 'under-way');
    world.set(plan.times.checkIns[0] - 10 * MIN);
    await world.deed(plan.id, 'check-in', { note: 'at the island' });
    await silentUntil(plan.times.checkIns[0] + 20 * MIN);
    expect(kinds(await view(plan.id))).toEqual(['filed', 'under-way', 'check-in']);
  });
  test('closed in time, nobody is alarmed; closing twice is no quarrel; nothing more can happen to it', async () => {
    const plan = await world.file();
    world.set(plan.times.home - MIN);
    const closing = { id: uuid() };
    expect((await world.deed(plan.id, 'closed', closing)).body).toMatchObject({ state: 'closed' });
    expect((await world.deed(plan.id, 'closed', closing)).status).toBe(200);
    expect((await world.deed(plan.id, 'closed')).status).toBe(200);
    expect((await world.deed(plan.id, 'check-in')).status).toBe(409);
    await silentUntil(plan.times.overdue + 5 * H);
    expect(kinds(await view(plan.id))).toEqual(['filed', 'closed']);
    expect((await world.calls())[0].text).toContain('is home');
    const { things } = await world.get<{ things: { id: string; doc: { status: string } }[] }>('/api/things');
    expect(things.find((t) => t.id === TRIP)?.doc.status).toBe('done');
  });
  test('closed after the alarm, they are found', async () => {
    const plan = await world.file();
    await silentUntil(plan.times.overdue + 2 * H);
    expect((await world.deed(plan.id, 'closed')).body).toMatchObject({ state: 'found' });
  });
  test('a device whose clock is off is told; deadlines keep the server’s', async () => {
    const plan = await world.file();
    const answer = await world.deed(plan.id, 'under-way', {
      madeAt: new Date(world.clock.now() - 10 * MIN).toISOString(),
    });
    expect((answer.body as { skew: number }).skew).toBe(10 * MIN);
    expect((await view(plan.id)).events[1].at).toBe(world.clock.now());
  });
  test('events are chained: one that is edited is found', async () => {
    const plan = await world.file();
    await world.deed(plan.id, 'under-way');
    await world.deed(plan.id, 'check-in');
    expect(await brokenAt(world.db, plan.id)).toBeUndefined();
    const middle = (await view(plan.id)).events[1];
    await world.db.update(planEvent).set({ kind: 'closed' }).where(eq(planEvent.seq, middle.seq));
    expect(await brokenAt(world.db, plan.id)).toBe(middle.seq);
  });
});

describe('the contact’s page', () => {
  test('one plain page: what to expect, when to worry, whom to ring, to read aloud; no script, under 30 kB', async () => {
    await world.file();
    await world.watchOnce();
    const { text, headers } = await page(await linkFor('Ada Tolley'));
    for (const part of [
      'Tern Holm, at dawn',
      'Overdue',
      'I accept',
      'If they are overdue',
      'To read aloud',
      'Gannow ramp',
      'green van',
    ])
      expect(text).toContain(part);
    expect(text).not.toContain('<script');
    expect(Buffer.byteLength(text)).toBeLessThan(30_000);
    expect(headers['referrer-policy']).toBe('same-origin');
  });
  test('what a person typed stays text', async () => {
    await world.command(TRIP, 'trip', 1, {
      kind: 'patch',
      patch: [
        { op: 'set', pointer: '/title', value: '<img src=x onerror=alert(1)>' },
        { op: 'set', pointer: '/parked', value: '"><script>x</script>' },
      ],
    });
    await world.file();
    await world.watchOnce();
    const { text } = await page(await linkFor('Ada Tolley'));
    expect(text).not.toMatch(/<img|<script/);
    expect(text).toContain('&lt;img src=x');
  });
  test('accepted once, shown as accepted; overdue it turns to what to do now', async () => {
    const plan = await world.file();
    await world.watchOnce();
    const link = await linkFor('Ada Tolley');
    await accept();
    await accept();
    expect(kinds(await view(plan.id)).filter((k) => k === 'accepted')).toHaveLength(1);
    expect((await page(link)).text).toContain('You have accepted');
    world.set(plan.times.overdue + MIN);
    expect((await page(link)).text).toMatch(/Act now[\s\S]*Do this now/);
  });
  test('withdrawn, made up, or two days after the end: nothing to see', async () => {
    const plan = await world.file();
    await world.watchOnce();
    const link = await linkFor('Ada Tolley');
    expect((await page('/c/AAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAA')).status).toBe(404);
    await world.deed(plan.id, 'closed');
    expect((await page(link)).text).toContain('They are home');
    world.set(world.clock.now() + 49 * H);
    expect((await page(link)).status).toBe(404);
    await world.reset();
    const other = await world.file();
    await world.watchOnce();
    const second = await linkFor('Ada Tolley');
    await world.post(`/api/plans/${other.id}/withdraw`, { contact: ADA });
    expect((await page(second)).status).toBe(404);
  });
});
