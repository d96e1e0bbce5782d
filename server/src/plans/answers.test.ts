import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { eq } from 'drizzle-orm';
import type { PlanView, RulePack } from '@escale/core/model';
import { contentHash } from '@escale/core/rules';
import { keptPack, planVersion } from '../db/schema';
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
const say = async (link: string, answer: string, form: Record<string, string> = {}) =>
  world.http
    .post(`${link}/${answer}`)
    .set('Host', 'localhost:4280')
    .type('form')
    .send(new URLSearchParams(form).toString());

const BO = uuid();
/** The demo's trip with a second contact, filed; and the link of the first. */
async function filed(patch: unknown[] = []): Promise<{ plan: PlanView; link: string }> {
  await world.command(BO, 'contact', 0, {
    kind: 'create',
    doc: { id: BO, name: 'Bo Marsh', phone: '555 0178' },
  });
  await world.command(TRIP, 'trip', 1, {
    kind: 'patch',
    patch: [{ op: 'set', pointer: '/contacts', value: [ADA, BO] }, ...patch],
  });
  const plan = await world.file();
  await world.watchOnce();
  return { plan, link: await world.linkFor('Ada Tolley') };
}
const told = async (to: string) => (await world.calls()).filter((c) => c.to === to).map((c) => c.text);

describe('a contact who heard from them', () => {
  test('moves nothing, and the crew hears of it', async () => {
    const { plan, link } = await filed();
    world.set(plan.times.leave + H);
    expect((await say(link, 'heard', { note: 'by phone, all dry' })).status).toBe(303);
    const seen = await world.view(plan.id);
    expect(kinds(seen)).toEqual(['filed', 'heard']);
    expect(seen.times).toEqual(plan.times);
    await world.watchOnce();
    expect((await told('Rowan Pike'))[0]).toMatch(
      /Ada Tolley says that they heard.*by phone, all dry.*Nothing was moved/,
    );
    // Nor does it keep a check-in: that is the crew's own word.
    await world.silentUntil(plan.times.checkIns[0] + 15 * MIN);
    expect(kinds(await world.view(plan.id))).toContain('check-in-missed');
  });
  test('with an hour moves home and all that hangs on it; the others hear', async () => {
    const { plan, link } = await filed();
    world.set(plan.times.leave + H);
    // The times of the demo's water are an hour behind in summer: 12:30 there.
    expect((await say(link, 'heard', { home: '2026-05-12T12:30' })).status).toBe(303);
    const { times, state } = await world.view(plan.id);
    const home = Date.UTC(2026, 4, 12, 12, 30);
    expect(times).toMatchObject({ home, overdue: home + H, alarm: home + 2 * H });
    expect(state).toBe('filed');
    await world.watchOnce();
    for (const who of ['Rowan Pike', 'Bo Marsh'])
      expect((await told(who))[0]).toMatch(/home Tue 12 May 12:30/);
    expect((await world.page(link)).text).toMatch(/Tue 12 May 12:30[\s\S]*it was Tue 12 May 10:05/);
  });
  test.each([
    ['past', '2026-05-12T05:00', /past/],
    ['more than a day off', '2026-05-14T12:00', /more than a day/],
    ['no hour at all', 'soon', /could not be read/],
  ])('an hour that is %s is refused on the page itself, and nothing is lost', async (_name, home, words) => {
    const { plan, link } = await filed();
    world.set(plan.times.leave + H);
    const answer = await say(link, 'heard', { home, note: 'x' });
    expect([answer.status, words.test(answer.text)]).toEqual([400, true]);
    expect(kinds(await world.view(plan.id))).toEqual(['filed']);
  });
  test('pressed twice it stands once; said again later it stands again', async () => {
    const { plan, link } = await filed();
    await say(link, 'heard', { note: 'ok' });
    await say(link, 'heard', { note: 'ok' });
    expect(kinds(await world.view(plan.id))).toEqual(['filed', 'heard']);
    world.set(world.clock.now() + 5 * MIN);
    await say(link, 'heard', { note: 'ok' });
    expect(kinds(await world.view(plan.id))).toEqual(['filed', 'heard', 'heard']);
  });
});

describe('a contact who says that they are home', () => {
  test('ends the watch only with both words; crew and others hear, and the crew can take it back', async () => {
    const { plan, link } = await filed();
    world.set(plan.times.home);
    expect((await say(link, 'home', { ashore: 'yes' })).status).toBe(400);
    expect((await say(link, 'home', { self: 'yes' })).text).toContain('heard so from them yourself');
    expect((await world.view(plan.id)).state).toBe('late');
    expect((await say(link, 'home', { ashore: 'yes', self: 'yes' })).status).toBe(303);
    expect((await world.view(plan.id)).state).toBe('closed');
    await world.watchOnce();
    for (const who of ['Rowan Pike', 'Bo Marsh'])
      expect((await told(who))[0]).toMatch(/Ada Tolley says that Rowan Pike and everybody aboard are ashore/);
    await world.deed(plan.id, 'reopened');
    expect((await world.view(plan.id)).state).toBe('late');
    await world.silentUntil(plan.times.overdue);
    expect((await told('Ada Tolley'))[0]).toContain('is overdue');
  });
  test('after an alarm everybody is told to stand rescue down', async () => {
    const { plan, link } = await filed();
    await world.silentUntil(plan.times.overdue);
    await say(link, 'rung');
    await say(link, 'home', { ashore: 'yes', self: 'yes' });
    await world.watchOnce();
    expect((await told('Bo Marsh'))[0]).toMatch(/ring again now and say so/);
    expect((await world.page(link)).text).toContain('say that nobody is missing');
  });
});

describe('a contact who believes that they are in trouble', () => {
  const seal = [{ op: 'set', pointer: '/sealSpot', value: true }];
  test('opens what is sealed, is on record, and the crew and the others hear', async () => {
    const { plan, link } = await filed(seal);
    expect((await world.page(link)).text).not.toMatch(/Tern Holm/);
    expect(await told('Ada Tolley')).toEqual([expect.not.stringMatching(/Tern Holm/)]);
    world.set(plan.times.leave + H);
    await say(link, 'trouble', { note: 'their dog came home alone' });
    const { text } = await world.page(link);
    expect(text).toMatch(/believed to be in trouble[\s\S]*Tern Holm/);
    await world.watchOnce();
    expect((await told('Rowan Pike'))[0]).toMatch(/believes that you are in trouble/);
    expect((await told('Bo Marsh'))[0]).toMatch(
      /believes that Rowan Pike is in trouble.*their dog.*Ring 555 0100/s,
    );
    expect((await world.view(plan.id)).state).toBe('alarm');
    // A sign of life from aboard settles it.
    await world.deed(plan.id, 'check-in');
    expect((await world.view(plan.id)).state).toBe('under-way');
    expect((await world.page(link)).text).not.toMatch(/Tern Holm/);
  });
  test('the crew asks for help itself, with where it is', async () => {
    const { plan, link } = await filed(seal);
    world.set(plan.times.leave + H);
    await world.deed(plan.id, 'trouble', { position: { lat: 41.19, lon: -29.47 }, note: 'rudder gone' });
    await world.watchOnce();
    expect((await told('Ada Tolley'))[0]).toMatch(
      /Rowan Pike asks for help.*They are at 41° 11.400′ N, 29° 28.200′ W\. rudder gone.*Ring 555 0100/s,
    );
    expect((await world.page(link)).text).toContain('Tern Holm');
    expect((await world.page(`${link}/drift`)).text).toMatch(/never a search area[\s\S]*<svg/);
  });
  test('what is sealed opens by the crew’s own tap, and shuts with the plan', async () => {
    const { plan, link } = await filed(seal);
    expect((await world.page(`${link}/drift`)).status).toBe(404);
    for (const kind of ['txt', 'gpx', 'geojson'])
      expect((await world.page(`${link}/paper/${kind}`)).text ?? '').not.toMatch(/Tern Holm|41\.178/);
    await world.deed(plan.id, 'unsealed');
    expect((await world.page(link)).text).toContain('Tern Holm');
    expect((await world.page(`${link}/paper/txt`)).text).toContain('Tern Holm');
    await world.deed(plan.id, 'closed');
    expect((await world.page(link)).text).not.toMatch(/Tern Holm/);
  });
});

describe('contacts, one after the other', () => {
  test('overdue is told to the first alone; who does not answer within ten minutes is passed over, and the crew hears', async () => {
    const { plan } = await filed();
    await world.silentUntil(plan.times.overdue);
    expect((await told('Ada Tolley'))[0]).toContain('is overdue');
    expect(await told('Bo Marsh')).toHaveLength(1);
    await world.silentUntil(plan.times.overdue + 10 * MIN - 1);
    expect(await told('Bo Marsh')).toHaveLength(1);
    await world.silentUntil(plan.times.overdue + 10 * MIN);
    expect((await told('Bo Marsh'))[0]).toMatch(/Ada Tolley was told.*has not answered\. You are the next/);
    expect((await told('Rowan Pike'))[0]).toMatch(/has not answered; we try/);
    await world.silentUntil(plan.times.overdue + 12 * MIN);
    expect(await told('Bo Marsh')).toHaveLength(2);
  });
  test('who has read it and acts is not passed over; opening the page is no answer', async () => {
    const { plan } = await filed();
    await world.silentUntil(plan.times.overdue);
    const link = await world.linkFor('Ada Tolley');
    await world.page(link);
    await say(link, 'acting');
    await world.silentUntil(plan.times.overdue + 20 * MIN);
    expect((await told('Bo Marsh')).filter((t) => t.includes('You are the next'))).toEqual([]);
    expect((await world.page(link)).text).not.toContain('I have read this');
    expect((await told('Rowan Pike'))[0]).toContain('acts');
  });
  test('who acts goes on acting: the alarm that follows asks for no second word', async () => {
    const { plan } = await filed();
    await world.silentUntil(plan.times.overdue);
    await say(await world.linkFor('Ada Tolley'), 'acting');
    await world.silentUntil(plan.times.overdue + H);
    await world.silentUntil(plan.times.overdue + H + 10 * MIN);
    const silent = (await world.view(plan.id)).events.filter((e) => e.kind === 'unanswered');
    expect(silent.map((e) => e.contact)).toEqual([BO]);
  });
  test('who accepted is told before who said nothing', async () => {
    const { plan } = await filed();
    await world.accept('Bo Marsh');
    await world.silentUntil(plan.times.overdue);
    expect((await told('Bo Marsh'))[0]).toContain('is overdue');
    expect(await told('Ada Tolley')).toHaveLength(1);
    await world.silentUntil(plan.times.overdue + H);
    for (const who of ['Ada Tolley', 'Bo Marsh'])
      expect((await told(who)).filter((t) => t.includes('still not back'))).toHaveLength(1);
  });
});

test('a change of plan is told line by line, on the page and in the message', async () => {
  const { plan, link } = await filed();
  await world.command(TRIP, 'trip', 2, {
    kind: 'patch',
    patch: [{ op: 'set', pointer: '/parked', value: 'red estate, Heron lane' }],
  });
  await world.file({ amends: plan.id, reason: 'the ramp was full' });
  await world.watchOnce();
  const [message] = await told('Ada Tolley');
  expect(message).toContain(
    'the ramp was full Changed: Car: red estate, Heron lane (it was: green van, Gannow car park)',
  );
  expect((await world.page(link)).text).toMatch(/What changed[\s\S]*Car: red estate, Heron lane/);
});

test('the very text of the rules that a plan leaned on is kept, once for all plans', async () => {
  const { plan } = await filed();
  const [version] = await world.db.select().from(planVersion).where(eq(planVersion.plan, plan.id));
  const { packs } = version.inputs as { packs: { id: string; hash: string }[] };
  expect(packs.length).toBeGreaterThan(0);
  const kept = async () => world.db.select().from(keptPack);
  const before = await kept();
  for (const { id, hash } of packs) {
    const text = before.find((row) => row.hash === hash)?.doc as unknown as RulePack;
    expect([text.id, contentHash(text)]).toEqual([id, hash]);
  }
  await world.file({ amends: plan.id });
  expect(await kept()).toHaveLength(before.length);
});

test('a link that the crew hands over: its own each time, for one contact, ended with the others', async () => {
  const { plan } = await filed();
  const make = async (contact: string) => world.post(`/api/plans/${plan.id}/link`, { contact });
  const made = (await make(ADA)).body as { url: string; reaches: boolean };
  expect(made).toEqual({ url: expect.stringMatching(/\/c\/[\w-]{43}$/), reaches: false });
  const path = new URL(made.url).pathname;
  expect((await world.page(path)).text).toContain('Ada Tolley, you are the contact');
  expect(((await make(ADA)).body as { url: string }).url).not.toBe(made.url);
  expect((await make(uuid())).status).toBe(404);
  await world.post(`/api/plans/${plan.id}/withdraw`, { contact: ADA });
  expect((await world.page(path)).status).toBe(404);
  expect((await make(ADA)).status).toBe(404);
});
