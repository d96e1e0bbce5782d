import { afterAll, beforeAll, beforeEach, expect, test } from '@jest/globals';
import { eq } from 'drizzle-orm';
import { wereTold } from '@escale/core/floatplan';
import type { PlanView } from '@escale/core/model';
import { ADA, makeWorld, TRIP, uuid, type World } from '../../test/world';
import { message } from '../db/schema';
import { brokenChains } from './chain';

// Deeds of the crew, answers of two contacts, changes and hours in any order: whatever comes, some things hold.
const MIN = 60_000,
  H = 60 * MIN;
const HOST = 'localhost:4280';
/** Where they go, and it is sealed. */
const SEALED = /Tern Holm/;
const STEPS = 45;

let world: World;
beforeAll(async () => {
  world = await makeWorld();
});
beforeEach(() => world.reset());
afterAll(() => world.close());

/** Numbers in an order that a seed fixes (mulberry32). */
function dice(seed: number): (sides: number) => number {
  let a = seed;
  return (sides) => {
    a = (a + 0x6d2b79f5) | 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return Math.floor((((t ^ (t >>> 14)) >>> 0) / 4294967296) * sides);
  };
}

interface Told {
  id: string;
  kind: string;
  to: string;
  text: string;
}
const told = async (plan: string): Promise<Told[]> =>
  world.db
    .select({ id: message.id, kind: message.kind, to: message.to, text: message.text })
    .from(message)
    .where(eq(message.plan, plan));
const stamp = (at: number) => new Date(at).toISOString();
const over = ({ state }: PlanView) => ['closed', 'cancelled', 'found'].includes(state);

async function begin() {
  const bo = uuid();
  await world.command(bo, 'contact', 0, {
    kind: 'create',
    doc: { id: bo, name: 'Bo Marsh', phone: '555 0178' },
  });
  await world.command(TRIP, 'trip', 1, {
    kind: 'patch',
    patch: [
      { op: 'set', pointer: '/contacts', value: [ADA, bo] },
      { op: 'set', pointer: '/sealSpot', value: true },
    ],
  });
  const plan = await world.file();
  const links = [await world.linkFor('Ada Tolley'), await world.linkFor('Bo Marsh')];
  return { plan, bo, links };
}

test.each([103, 107, 117, 121])(
  'a plan’s life in any order (%i): told once, sealed till it opens, on record',
  async (seed) => {
    const roll = dice(seed);
    const { plan, bo, links } = await begin();
    let now = plan.times.leave - H;
    const answer = (which: number, what: string, form: Record<string, string>) =>
      world.http
        .post(`${links[which]}/${what}`)
        .set('Host', HOST)
        .type('form')
        .send(new URLSearchParams(form).toString());
    const later = () => now + (1 + roll(6)) * 20 * MIN;
    const deeds = [
      'under-way',
      'check-in',
      'later',
      'closed',
      'cancelled',
      'reopened',
      'trouble',
      'unsealed',
    ];
    const answers = ['accept', 'cannot', 'acting', 'rung', 'heard', 'home', 'trouble'];
    const does: (() => PromiseLike<{ status: number }>)[] = [
      () => {
        const kind = deeds[roll(deeds.length)];
        return world.deed(plan.id, kind, {
          madeAt: stamp(now),
          ...(kind === 'later' ? { home: stamp(later()), note: 'the tide' } : {}),
        });
      },
      () => {
        const what = answers[roll(answers.length)];
        const form =
          what === 'home'
            ? { ashore: 'on', self: 'on' }
            : what === 'heard' && roll(2) === 0
              ? { home: stamp(later()).slice(0, 16) }
              : {};
        return answer(roll(2), what, form as Record<string, string>);
      },
      () => world.post('/api/plans', { id: uuid(), trip: TRIP, amends: plan.id, reason: 'another plan' }),
      () =>
        roll(8) === 0
          ? world.post(`/api/plans/${plan.id}/withdraw`, { contact: bo })
          : answer(0, 'accept', {}),
    ];
    const overdues = new Set<number>(),
      alarms = new Set<number>();
    let seen = plan;
    let before: Told[] = await told(plan.id);
    for (let i = 0; i < STEPS; i += 1) {
      // Half of the time nobody says anything.
      if (roll(2) === 0) now += [5, 10, 15, 30, 60, 90][roll(6)] * MIN;
      else expect((await does[roll(does.length)]()).status).toBeLessThan(500);
      world.set(now);
      const wasOver = over(seen);
      await world.watchOnce();
      seen = await world.view(plan.id);
      const { times, state, unsealed } = seen;
      if (!over(seen) && now >= times.overdue) overdues.add(times.overdue);
      if (!over(seen) && now >= (times.alarm ?? times.overdue + H)) alarms.add(times.alarm ?? 0);

      const all = await told(plan.id);
      const fresh = all.filter(({ id }) => !before.some((m) => m.id === id));
      before = all;
      // Nobody is alarmed about people who are home.
      if (wasOver && over(seen))
        expect(
          fresh.filter(({ kind }) => ['overdue', 'alarm', 'unanswered', 'check-in'].includes(kind)),
        ).toEqual([]);
      // Who was told, and may have rung for help, hears how to stand it down, whoever ended it and how.
      if (!wasOver && over(seen) && wereTold(seen.events))
        expect(fresh.map(({ kind }) => kind).join()).toMatch(/\.alarmed/);
      // What is sealed is in no message before it opens, and on no page.
      if (!unsealed) {
        for (const { to, text } of fresh.filter(({ to }) => to !== 'Rowan Pike'))
          expect(`${to}: ${text}`).not.toMatch(SEALED);
        for (const link of links) expect((await world.page(link)).text).not.toMatch(SEALED);
      }
      // An hour that has come was told, to somebody ashore who is still asked.
      if (state === 'overdue' || (state === 'alarm' && now >= times.overdue))
        expect(all.some(({ kind, to }) => /overdue|alarm|trouble/.test(kind) && to !== 'Rowan Pike')).toBe(
          true,
        );
    }
    // Each of them hears of one hour once: of as many hours as there were, at most so often.
    for (const to of ['Ada Tolley', 'Bo Marsh']) {
      const count = (kind: string) => before.filter((m) => m.kind === kind && m.to === to).length;
      expect(count('overdue')).toBeLessThanOrEqual(overdues.size);
      expect(count('alarm')).toBeLessThanOrEqual(alarms.size);
    }
    expect(await brokenChains(world.db)).toEqual([]);
  },
  60_000,
);
