import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { eq, sql } from 'drizzle-orm';
import type { PlanView } from '@escale/core/model';
import { planVersion } from '../db/schema';
import { makeWorld, uuid, ADA, TRIP, type World } from '../../test/world';
import { brokenAt } from './chain';

const MIN = 60_000,
  H = 60 * MIN;
let world: World;
beforeAll(async () => {
  world = await makeWorld();
});
beforeEach(() => world.reset());
afterAll(() => world.close());

const kinds = (plan: PlanView) => plan.events.map((e) => e.kind);

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
    expect((await world.view(plan.id)).title).toBe('Tern Holm, at dawn');
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
    await world.accept();
    expect((await world.view(plan.id)).contacts[0]).toMatchObject({ id: ADA, accepted: true, opened: true });
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
      await world.silentUntil(at);
      await world.watchOnce();
      return (await world.calls()).slice(0, -before || undefined).map((c) => c.to);
    };
    // A check-in was promised after two hours; it is missed with its quarter of an hour of grace.
    expect(await told(plan.times.checkIns[0] - 1)).toEqual([]);
    // The crew is reminded before anybody ashore is worried.
    expect(await told(plan.times.checkIns[0] + 15 * MIN - 1)).toEqual(['Rowan Pike']);
    expect((await told(plan.times.checkIns[0] + 15 * MIN)).sort()).toEqual([
      'Ada Tolley',
      'Rowan Pike',
      'Rowan Pike',
    ]);
    expect((await told(plan.times.home - 15 * MIN - 1)).length).toBe(3);
    expect((await told(plan.times.home - 15 * MIN)).length).toBe(4);
    expect((await world.calls())[0].text).toContain('home is at 10:05. On the way?');
    expect((await told(plan.times.home)).length).toBe(5);
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
    expect((await world.calls()).some((c) => c.text.includes('still not back'))).toBe(true);
    await told(plan.times.overdue + 2 * H);
    const n = (await world.calls()).length;
    await told(plan.times.overdue + 9 * H);
    expect((await world.calls()).length).toBe(n);
    expect(kinds(await world.view(plan.id))).toEqual([
      'filed',
      'check-in-due',
      'check-in-missed',
      'soon',
      'late',
      'overdue',
      'alarm',
      'unanswered',
      'unanswered',
    ]);
  });
  test('a server that slept through it all says only the gravest, and has all on record', async () => {
    const plan = await world.file();
    await world.watchOnce();
    await world.silentUntil(plan.times.overdue + 3 * H);
    const texts = (await world.calls()).map((c) => c.text);
    expect(texts.filter((t) => t.includes('still not back'))).toHaveLength(1);
    expect(texts.filter((t) => t.includes('due home at'))).toHaveLength(0);
    expect(kinds(await world.view(plan.id))).toEqual(expect.arrayContaining(['late', 'overdue', 'alarm']));
  });
  test('a check-in in time keeps the promise', async () => {
    const plan = await world.file();
    world.set(plan.times.leave);
    await world.deed(plan.id, 'under-way');
    world.set(plan.times.checkIns[0] - 10 * MIN);
    await world.deed(plan.id, 'check-in', { note: 'at the island' });
    await world.silentUntil(plan.times.checkIns[0] + 20 * MIN);
    expect(kinds(await world.view(plan.id))).toEqual(['filed', 'under-way', 'check-in']);
  });
  test('closed in time, nobody is alarmed; closing twice is no quarrel; nothing more can happen to it', async () => {
    const plan = await world.file();
    world.set(plan.times.home - MIN);
    const closing = { id: uuid() };
    expect((await world.deed(plan.id, 'closed', closing)).body).toMatchObject({ state: 'closed' });
    expect((await world.deed(plan.id, 'closed', closing)).status).toBe(200);
    expect((await world.deed(plan.id, 'closed')).status).toBe(200);
    expect((await world.deed(plan.id, 'check-in')).status).toBe(409);
    await world.silentUntil(plan.times.overdue + 5 * H);
    expect(kinds(await world.view(plan.id))).toEqual(['filed', 'closed']);
    expect((await world.calls())[0].text).toContain('is home');
    const { things } = await world.get<{ things: { id: string; doc: { status: string } }[] }>('/api/things');
    expect(things.find((t) => t.id === TRIP)?.doc.status).toBe('done');
  });
  test('closed after the alarm, they are found', async () => {
    const plan = await world.file();
    await world.silentUntil(plan.times.overdue + 2 * H);
    expect((await world.deed(plan.id, 'closed')).body).toMatchObject({ state: 'found' });
  });
  test('home later moves the alarm and nothing else: old and new are told, who accepted stays, three times without a word', async () => {
    const plan = await world.file();
    await world.watchOnce();
    await world.accept();
    world.set(plan.times.leave);
    await world.deed(plan.id, 'under-way');
    const later = (n: number, more: object = {}) =>
      world.deed(plan.id, 'later', {
        home: new Date(plan.times.home + n * 30 * MIN).toISOString(),
        ...more,
      });
    const once = { id: uuid() };
    expect((await later(1, once)).body).toMatchObject({
      state: 'under-way',
      version: 1,
      times: { home: plan.times.home + 30 * MIN, overdue: plan.times.overdue + 30 * MIN },
      filed: { home: plan.times.home },
      contacts: [{ accepted: true }],
    });
    expect((await later(1, once)).status).toBe(200);
    expect((await world.view(plan.id)).times.home).toBe(plan.times.home + 30 * MIN);
    await world.watchOnce();
    expect((await world.calls())[0]).toMatchObject({
      to: 'Ada Tolley',
      text: expect.stringMatching(/^Heard from Rowan Pike at 06:20: all well\. Home 10:35 instead of 10:05/),
    });
    const { text } = await world.page(await world.linkFor('Ada Tolley'));
    expect(text).toMatch(/Home<\/dt><dd>[^<]*10:35<\/dd><dd class="was">it was [^<]*10:05/);
    expect(text).toMatch(/Nothing to worry about before Tue 12 May 10:35/);
    // What was due before is due no more; what is due now comes once.
    await world.silentUntil(plan.times.overdue + 29 * MIN);
    expect(kinds(await world.view(plan.id))).not.toContain('overdue');
    await world.silentUntil(plan.times.overdue + 30 * MIN);
    expect((await world.calls())[0].text).toContain('is overdue');
    // Told that they are missing, the contact is told to stand the search down.
    expect((await later(6)).status).toBe(200);
    await world.watchOnce();
    expect((await world.calls())[0].text).toMatch(/ring again and say what you have heard/);
    expect((await later(7)).status).toBe(200);
    const fourth = await later(8);
    expect(fourth.status).toBe(422);
    expect((fourth.body as { title: string }).title).toMatch(/say why/);
    expect((await later(8, { note: 'towing a friend' })).status).toBe(200);
    expect((await later(90, { note: 'a tent' })).status).toBe(422);
    const past = { home: new Date(world.clock.now() - MIN).toISOString(), note: 'x' };
    expect((await world.deed(plan.id, 'later', past)).status).toBe(422);
    expect((await world.deed(plan.id, 'later', { note: 'no hour' })).status).toBe(422);
  });
  test('what waited for signal says when it was said, and never sounds as if it were said now', async () => {
    const plan = await world.file();
    await world.watchOnce();
    const said = plan.times.home - 20 * MIN;
    await world.silentUntil(plan.times.overdue + MIN);
    await world.deed(plan.id, 'later', {
      madeAt: new Date(said).toISOString(),
      home: new Date(plan.times.overdue + H).toISOString(),
    });
    await world.watchOnce();
    const { text } = (await world.calls())[0];
    expect(text).toMatch(
      /^Rowan Pike said on Tue 12 May at 09:45 that all was well\. It waited for signal and came only at 11:06/,
    );
    expect(text).not.toMatch(/Heard from/);
    const contact = (await world.page(await world.linkFor('Ada Tolley'))).text;
    expect(contact).toMatch(/11:06, said Tue 12 May 09:45: all well/);
    expect(contact).toMatch(/At 09:45 on Tue 12 May they said that they would be home/);
  });
  test('a check-in that fell away is promised again by a later home; a change is agreed to by what was filed', async () => {
    const plan = await world.file();
    await world.watchOnce();
    await world.accept();
    const home = (at: number) => world.deed(plan.id, 'later', { home: new Date(at).toISOString() });
    world.set(plan.times.leave);
    expect((await home(plan.times.checkIns[0] - MIN)).body).toMatchObject({ times: { checkIns: [] } });
    expect((await home(plan.times.home + 2 * H)).body).toMatchObject({
      times: { checkIns: plan.times.checkIns },
    });
    await world.command(TRIP, 'trip', 1, {
      kind: 'patch',
      patch: [{ op: 'set', pointer: '/halts/0/minutes', value: 170 }],
    });
    // Later than what was agreed to, though earlier than what the crew said since.
    const changed = await world.file({ amends: plan.id });
    expect(changed.contacts[0].accepted).toBe(false);
  });
  test('an ending can be taken back for an hour: the watch goes on with its times and links, and the contact hears of it', async () => {
    const plan = await world.file();
    await world.watchOnce();
    const link = await world.linkFor('Ada Tolley');
    world.set(plan.times.home - MIN);
    await world.deed(plan.id, 'under-way');
    await world.deed(plan.id, 'closed');
    expect((await world.deed(plan.id, 'reopened')).body).toMatchObject({
      state: 'under-way',
      times: plan.times,
    });
    await world.watchOnce();
    expect((await world.calls())[0].text).toMatch(/took that back: the watch .* goes on/);
    const { things } = await world.get<{ things: { id: string; doc: { status: string } }[] }>('/api/things');
    expect(things.find((t) => t.id === TRIP)?.doc.status).toBe('on');
    world.set(world.clock.now() + 49 * H);
    expect((await world.page(link)).status).toBe(200);
    await world.watchOnce();
    expect(
      kinds(await world.view(plan.id))
        .slice(-3)
        .sort(),
    ).toEqual(['alarm', 'late', 'overdue']);
    // Ended for good, it is too late an hour on.
    await world.deed(plan.id, 'closed');
    world.set(world.clock.now() + H + MIN);
    expect((await world.deed(plan.id, 'reopened')).status).toBe(409);
  });
  test('a plan taken back says nothing twice that its contacts heard before', async () => {
    const plan = await world.file();
    await world.watchOnce();
    await world.silentUntil(plan.times.overdue + MIN);
    await world.deed(plan.id, 'cancelled');
    await world.deed(plan.id, 'reopened');
    await world.silentUntil(plan.times.overdue + 2 * MIN);
    const texts = (await world.calls()).map((c) => c.text);
    expect(texts.filter((t) => t.includes('is overdue'))).toHaveLength(1);
    await world.silentUntil(plan.times.overdue + H);
    expect((await world.calls()).some((c) => c.text.includes('still not back'))).toBe(true);
    await world.deed(plan.id, 'closed');
    await world.watchOnce();
    expect((await world.calls())[0].text).toMatch(/ring again now and say that they are home/);
  });
  test('a trip somebody is watched on can’t be removed until the plan has ended', async () => {
    const plan = await world.file();
    const away = () => world.command(TRIP, 'trip', 1, { kind: 'remove' });
    const refused = await away();
    expect(refused.status).toBe(422);
    expect((refused.body as { title: string }).title).toMatch(/say that you are home/i);
    await world.deed(plan.id, 'cancelled');
    expect((await away()).status).toBe(200);
  });
  test('a plan of a trip that was filed anew can’t come back', async () => {
    const plan = await world.file();
    await world.deed(plan.id, 'cancelled');
    await world.file();
    expect((await world.deed(plan.id, 'reopened')).status).toBe(409);
  });
  test('a device whose clock is off is told; deadlines keep the server’s', async () => {
    const plan = await world.file();
    const answer = await world.deed(plan.id, 'under-way', {
      madeAt: new Date(world.clock.now() - 10 * MIN).toISOString(),
    });
    expect((answer.body as { skew: number }).skew).toBe(10 * MIN);
    expect((await world.view(plan.id)).events[1].at).toBe(world.clock.now());
  });
  test('events are chained: one that is edited is found', async () => {
    const plan = await world.file();
    await world.deed(plan.id, 'under-way');
    await world.deed(plan.id, 'check-in');
    expect(await brokenAt(world.db, plan.id)).toBeUndefined();
    const middle = (await world.view(plan.id)).events[1];
    const change = sql`UPDATE plan_event SET kind = 'closed' WHERE seq = ${middle.seq}`;
    await expect(world.db.execute(change)).rejects.toThrow();
    await world.tamper(change);
    expect(await brokenAt(world.db, plan.id)).toBe(middle.seq);
  });
});
