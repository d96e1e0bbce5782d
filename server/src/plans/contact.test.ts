import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import type { PlanView } from '@escale/core/model';
import { makeWorld, uuid, ADA, TRIP, type World } from '../../test/world';

const MIN = 60_000,
  H = 60 * MIN;
let world: World;
beforeAll(async () => {
  world = await makeWorld();
});
beforeEach(() => world.reset());
afterAll(() => world.close());

const kinds = (plan: PlanView) => plan.events.map((e) => e.kind);

describe('the contact’s page', () => {
  test('one plain page: what to expect, when to worry, whom to ring, to read aloud; no script, under 30 kB', async () => {
    await world.file();
    await world.watchOnce();
    const { text, headers } = await world.page(await world.linkFor('Ada Tolley'));
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
    const { text } = await world.page(await world.linkFor('Ada Tolley'));
    expect(text).not.toMatch(/<img|<script/);
    expect(text).toContain('&lt;img src=x');
  });
  test('accepted once, shown as accepted; overdue it turns to what to do now', async () => {
    const plan = await world.file();
    await world.watchOnce();
    const link = await world.linkFor('Ada Tolley');
    await world.accept();
    await world.accept();
    expect(kinds(await world.view(plan.id)).filter((k) => k === 'accepted')).toHaveLength(1);
    expect((await world.page(link)).text).toContain('You have accepted');
    world.set(plan.times.overdue + MIN);
    expect((await world.page(link)).text).toMatch(/Act now[\s\S]*Do this now/);
  });
  test('a contact can say that they can’t, and that they have rung; the crew hear of both, once', async () => {
    const plan = await world.file();
    await world.watchOnce();
    const link = await world.linkFor('Ada Tolley');
    const say = (answer: string) =>
      world.http.post(`${link}/${answer}`).set('Host', 'localhost:4280').type('form').send('');
    await say('accept');
    await say('cannot');
    await say('cannot');
    expect((await world.view(plan.id)).contacts[0]).toMatchObject({ accepted: false, declined: true });
    expect((await world.page(link)).text).toContain('You said that you can’t');
    await say('accept');
    expect((await world.view(plan.id)).contacts[0]).toMatchObject({ accepted: true });
    expect((await say('anything')).status).toBe(404);
    world.set(plan.times.overdue + MIN);
    expect((await world.page(link)).text).toContain('I have rung for help');
    await say('rung');
    await world.watchOnce();
    expect((await world.page(link)).text).toMatch(/You said at [^<]* that you have rung for help/);
    const toCrew = (await world.calls()).filter((c) => c.to === 'Rowan Pike').map((c) => c.text);
    expect(toCrew.filter((t) => t.includes('can’t be the contact'))).toHaveLength(1);
    expect(toCrew.filter((t) => t.includes('has rung for help'))).toHaveLength(1);
    await world.deed(plan.id, 'closed');
    expect((await world.page(link)).text).toMatch(
      /ring the same number again now and say that nobody is missing/,
    );
    await say('cannot');
    expect(kinds(await world.view(plan.id)).filter((k) => k === 'declined')).toHaveLength(1);
  });
  test('withdrawn is withdrawn: the next alarm, a later home and a change reach the others only', async () => {
    const plan = await world.file();
    await world.watchOnce();
    await world.post(`/api/plans/${plan.id}/withdraw`, { contact: ADA });
    await world.post(`/api/plans/${plan.id}/withdraw`, { contact: ADA });
    const before = (await world.calls()).length;
    await world.deed(plan.id, 'later', { home: new Date(plan.times.home + H).toISOString() });
    await world.file({ amends: plan.id });
    await world.silentUntil(plan.times.overdue + 3 * H);
    const since = (await world.calls()).slice(0, -before);
    expect(since.filter((c) => c.to === 'Ada Tolley')).toEqual([]);
    const seen = await world.view(plan.id);
    expect(seen.contacts).toMatchObject([{ id: ADA, withdrawn: true }]);
    expect(kinds(seen).filter((k) => k === 'withdrawn')).toHaveLength(1);
    expect((await world.post(`/api/plans/${plan.id}/withdraw`, { contact: uuid() })).status).toBe(404);
  });
  test('ages, weights and phones of the crew are there once they are overdue, and not before', async () => {
    const plan = await world.file();
    await world.watchOnce();
    const link = await world.linkFor('Ada Tolley');
    const early = (await world.page(link)).text;
    expect(early).not.toContain('82 kg');
    expect(early).toContain('stand here once they are overdue');
    await world.silentUntil(plan.times.overdue + MIN);
    const late = (await world.page(link)).text;
    expect(late).toContain('82 kg');
    expect(late).not.toContain('stand here once they are overdue');
  });
  test('withdrawn, made up, or two days after the end: nothing to see', async () => {
    const plan = await world.file();
    await world.watchOnce();
    const link = await world.linkFor('Ada Tolley');
    expect((await world.page('/c/AAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAA')).status).toBe(404);
    await world.deed(plan.id, 'closed');
    expect((await world.page(link)).text).toContain('They are home');
    world.set(world.clock.now() + 49 * H);
    expect((await world.page(link)).status).toBe(404);
    await world.reset();
    const other = await world.file();
    await world.watchOnce();
    const second = await world.linkFor('Ada Tolley');
    await world.post(`/api/plans/${other.id}/withdraw`, { contact: ADA });
    expect((await world.page(second)).status).toBe(404);
  });
  test('who tries links is slowed; whoever has one, from the same network, is not shut out', async () => {
    await world.file();
    await world.watchOnce();
    const link = await world.linkFor('Ada Tolley');
    const tries: number[] = [];
    for (let i = 0; i < 125; i += 1) tries.push((await world.page(`/c/${'A'.repeat(40)}${i}`)).status);
    expect([tries[0], tries.at(-1)]).toEqual([404, 429]);
    expect((await world.page(link)).status).toBe(200);
  });
});
