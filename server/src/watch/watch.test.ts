import { beforeEach, describe, expect, test } from '@jest/globals';
import { and, eq, isNotNull, isNull, sql } from 'drizzle-orm';
import type { PlanView } from '@escale/core/model';
import { deadline, message, phoneCall, plan, planEvent } from '../db/schema';
import type { Outgoing } from '../channels/channel';
import { ADA, NOW, TRIP, uuid, type World } from '../../test/world';
import { onBothDrivers } from '../../test/drivers';
import { ATTEMPTS, MOST_WAIT } from '../tries';
import { pulseOf } from './pulse';
import { lookOnce } from './watcher';

const MIN = 60_000,
  H = 60 * MIN,
  DAY = 24 * H;
onBothDrivers((at) => {
  let world: World;
  beforeEach(() => {
    world = at();
  });

  const look = async (at: number) => {
    world.set(at);
    await world.watchOnce();
  };
  const view = (id: string) => world.get<PlanView>(`/api/plans/${id}`);
  const texts = async () => (await world.calls()).map((c) => c.text);
  const overdue = async () => {
    const rows = await world.db.select({ text: phoneCall.text }).from(phoneCall);
    return rows.filter((row) => row.text.includes('Pike is overdue')).length;
  };

  /** Copies of a filed plan under other ids, all overdue at one instant. */
  async function copies(of: PlanView, n: number, at = of.times.overdue): Promise<string[]> {
    const ids = Array.from({ length: n }, () => uuid());
    const made = sql`unnest(${sql.param(`{${ids.join(',')}}`)}::uuid[]) WITH ORDINALITY AS made (id, n)`;
    await world.db.execute(sql`
      INSERT INTO plan (id, household, trip, title, zone, version, is_open, created_at, updated_at)
      SELECT made.id, household, gen_random_uuid(), 'plan ' || n, zone, 1, true, created_at, updated_at
      FROM plan, ${made} WHERE plan.id = ${of.id}`);
    await world.db.execute(sql`
      INSERT INTO plan_version (plan, version, inputs, assessment, sheet, contacts, skipper, created_at, schema)
      SELECT made.id, 1, '{}', '{}', sheet, contacts, skipper, created_at, schema
      FROM plan_version, ${made} WHERE plan_version.plan = ${of.id}`);
    await world.db.execute(sql`
      INSERT INTO plan_event (id, plan, kind, at, data, hash, schema)
      SELECT gen_random_uuid(), made.id, kind, at, data, hash, schema
      FROM plan_event, ${made} WHERE plan_event.plan = ${of.id} AND kind = 'filed'`);
    await world.db.execute(sql`
      INSERT INTO deadline (id, plan, kind, due_at, is_open)
      SELECT gen_random_uuid(), made.id, 'overdue', ${new Date(at).toISOString()}::timestamptz, true FROM ${made}`);
    return ids;
  }

  describe('one that can’t be acted on', () => {
    test.each([
      ['a plan without its version', (id: string) => sql`DELETE FROM plan_version WHERE plan = ${id}`],
      [
        'contacts that are none',
        (id: string) => sql`UPDATE plan_version SET contacts = '7' WHERE plan = ${id}`,
      ],
      [
        'an event that can’t be read',
        (id: string) => sql`UPDATE plan_event SET data = '{"times":"x"}' WHERE plan = ${id}`,
      ],
      [
        'a version from the future',
        (id: string) => sql`UPDATE plan_version SET schema = 999 WHERE plan = ${id}`,
      ],
    ])('%s: the others are told on time, it is tried again, set aside and loud', async (name, spoil) => {
      const first = await world.file();
      await world.watchOnce();
      const [bad, ...good] = await copies(first, 60);
      // The worst place: before all the others.
      await world.db
        .update(deadline)
        .set({ dueAt: new Date(NOW) })
        .where(eq(deadline.plan, bad));
      await world.tamper(spoil(bad));
      let at = first.times.overdue + 1000;
      await look(at);
      expect(await overdue()).toBe(good.length + 1);
      for (let i = 1; i < ATTEMPTS; i += 1) await look((at += MOST_WAIT / 2));
      const [row] = await world.db.select().from(deadline).where(eq(deadline.plan, bad));
      expect(row).toMatchObject({ open: true, attempts: ATTEMPTS, setAsideAt: expect.any(Date) });
      expect(await pulseOf(world.services, at)).toEqual({ setAside: 1 });
      expect(await overdue()).toBe(good.length + 1);
      // Whom it concerns is told what is known of it, once, wherever it is known who that is.
      const known = ['a plan without its version', 'contacts that are none'].includes(name) ? 0 : 1;
      expect((await texts()).filter((t) => t.includes('can’t read the plan'))).toHaveLength(known);
    });
    test('put right, it goes out after all: nothing that concerns a life is given up', async () => {
      const first = await world.file();
      const [bad] = await copies(first, 1);
      await world.tamper(sql`UPDATE plan_version SET schema = 999 WHERE plan = ${bad}`);
      let at = first.times.overdue + 1000;
      for (let i = 0; i < ATTEMPTS; i += 1) await look((at += MOST_WAIT / 2));
      await world.tamper(sql`UPDATE plan_version SET schema = 2 WHERE plan = ${bad}`);
      await look(at + MOST_WAIT + 1000);
      expect(await overdue()).toBe(2);
      expect((await pulseOf(world.services, at + 2 * MOST_WAIT)).setAside).toBe(0);
    });
    test('a sheet that can’t be read keeps back its words and not the alarm', async () => {
      const first = await world.file();
      await world.tamper(sql`UPDATE plan_version SET sheet = '{"lines":7}' WHERE plan = ${first.id}`);
      await look(first.times.overdue + 1000);
      expect(await overdue()).toBe(1);
    });
    test('a deadline whose plan is gone is seen, and tried no more', async () => {
      const lost = { id: uuid(), plan: uuid(), kind: 'overdue', dueAt: new Date(NOW), open: true };
      await world.db.insert(deadline).values(lost);
      await look(NOW + 1000);
      const [row] = await world.db.select().from(deadline).where(eq(deadline.id, lost.id));
      expect(row).toMatchObject({ open: false, trouble: 'no-plan' });
      expect((await pulseOf(world.services, NOW + 1000)).setAside).toBe(1);
    });
  });

  describe('a telephone', () => {
    const ringing = (send: (call: Outgoing) => Promise<void>) => ({
      ...world.services,
      channels: [{ name: 'telephone' as const, reaches: () => true, send }],
    });
    test('that fails for one call brings the others, and tries that one again', async () => {
      const first = await world.file();
      await world.watchOnce();
      await copies(first, 40);
      let failing = true;
      let tries = 0;
      const heard: string[] = [];
      const services = ringing(async ({ key, text }) => {
        if (text.includes('plan 7,') && failing) {
          tries += 1;
          throw new Error('engaged');
        }
        heard.push(key);
      });
      let at = first.times.overdue + 1000;
      world.set(at);
      await lookOnce(services);
      expect([new Set(heard).size, tries]).toEqual([40, 1]);
      for (let i = 1; i < ATTEMPTS; i += 1) {
        world.set((at += MIN));
        await lookOnce(services);
      }
      expect(tries).toBe(ATTEMPTS);
      const aside = await world.db.select().from(message).where(isNotNull(message.setAsideAt));
      expect(aside.map((m) => m.text)).toEqual([expect.stringContaining('plan 7,')]);
      failing = false;
      world.set(at + MOST_WAIT);
      await lookOnce(services);
      expect(new Set(heard).size).toBe(heard.length);
      expect(await world.db.select().from(message).where(isNotNull(message.setAsideAt))).toEqual([]);
    });
    test('the most urgent is told first', async () => {
      const plan = await world.file();
      const heard: string[] = [];
      const services = ringing(async ({ text }) => void heard.push(text));
      await copies(plan, 60);
      world.set(plan.times.overdue + H + 1000);
      await lookOnce(services);
      expect(heard[0]).toMatch(/still not back/);
    });
  });

  describe('a contact without a way to be reached', () => {
    test('is undeliverable, on record; the crew and the next contact hear of it', async () => {
      const next = uuid();
      await world.command(next, 'contact', 0, {
        kind: 'create',
        doc: { id: next, name: 'Bo Marsh', phone: '555 0177' },
      });
      await world.command(ADA, 'contact', 1, { kind: 'patch', patch: [{ op: 'unset', pointer: '/phone' }] });
      await world.command(TRIP, 'trip', 1, {
        kind: 'patch',
        patch: [{ op: 'set', pointer: '/contacts', value: [ADA, next] }],
      });
      const plan = await world.file();
      await look(plan.times.overdue + 1000);
      const calls = await world.calls();
      expect(calls.filter((c) => c.to === 'Ada Tolley')).toEqual([]);
      expect(calls.filter((c) => c.to === 'Bo Marsh').map((c) => c.text)).toEqual(
        expect.arrayContaining([
          expect.stringMatching(/Ada Tolley could not be reached.*You are the next.*\/c\//),
        ]),
      );
      expect(
        calls.find((c) => c.to === 'Rowan Pike' && c.text.includes('could not be reached')),
      ).toBeDefined();
      const seen = await view(plan.id);
      expect(seen.events.map((e) => e.kind)).toContain('unreached');
      expect(seen.contacts.map((c) => c.unreached ?? false)).toEqual([true, false]);
      const once = calls.length;
      await look(plan.times.overdue + 2000);
      expect((await world.calls()).length).toBe(once);
    });
  });

  test('an alarm of a plan that can’t be read is passed on to nobody, and keeps no other message waiting', async () => {
    const first = await world.file();
    const [bad] = await copies(first, 1);
    await world.tamper(sql`UPDATE plan_event SET data = '{}' WHERE plan = ${bad}`);
    const stuck = {
      household: '01890000-0000-7000-8000-00000000ffff',
      contact: ADA,
      to: 'Ada Tolley',
      kind: 'overdue',
      text: 'x',
      madeAt: new Date(NOW),
    };
    await world.db.insert(message).values(
      Array.from({ length: 30 }, () => ({
        ...stuck,
        id: uuid(),
        plan: bad,
        setAsideAt: new Date(NOW),
        trouble: 'no-way',
      })),
    );
    await look(first.times.overdue + 1000);
    expect(await overdue()).toBe(1);
    const left = await world.db.select().from(message).where(isNull(message.passedOnAt));
    expect(left.filter((m) => m.setAsideAt)).toEqual([]);
  });

  describe('a clock that was wrong', () => {
    test.each([MIN + H, DAY])(
      'ahead for two seconds by %d ms: what was said is taken back, and said again when it is true',
      async (by) => {
        const plan = await world.file();
        await look(plan.times.overdue - 30 * MIN);
        await look(plan.times.overdue - 30 * MIN + by);
        expect(await overdue()).toBe(by > 2 * H ? 0 : 1);
        await look(plan.times.overdue - 30 * MIN + 2000);
        expect((await texts()).some((t) => t.includes('Our clock was wrong'))).toBe(true);
        expect((await view(plan.id)).state).toBe('late');
        const before = (await texts()).length;
        await look(plan.times.overdue + 1000);
        const after = await texts();
        expect(after.length).toBeGreaterThan(before);
        expect(after.filter((t) => /Pike is overdue/.test(t)).length).toBe(by > 2 * H ? 1 : 2);
        await look(plan.times.overdue + H + 1000);
        expect((await texts()).filter((t) => /still not back/.test(t)).length).toBe(by > 2 * H ? 2 : 1);
        expect((await view(plan.id)).state).toBe('alarm');
      },
    );
    test('who are overdue in truth are not said to be home safe: only the step that came early is taken back', async () => {
      const plan = await world.file();
      await look(plan.times.overdue + 30 * MIN);
      await look(plan.times.overdue + 2 * H);
      await look(plan.times.overdue + 30 * MIN + 2000);
      const early = (await texts()).filter((t) => t.includes('Our clock was wrong'));
      expect(early).toEqual([expect.stringContaining('They are overdue since')]);
      expect(early[0]).not.toContain('Nobody is overdue');
      await look(plan.times.overdue + H + 1000);
      expect((await texts()).filter((t) => /still not back/.test(t))).toHaveLength(2);
    });
    test('a plan that has ended meanwhile is not spoken of again', async () => {
      const plan = await world.file();
      await look(plan.times.overdue + 1000);
      await world.deed(plan.id, 'closed');
      await world.watchOnce();
      const before = await texts();
      await look(plan.times.overdue - H);
      expect(await texts()).toEqual(before);
    });
    test('thirty that can’t be taken back keep no alarm from going out', async () => {
      const first = await world.file();
      const bad = await copies(first, 30, NOW);
      await look(NOW + DAY);
      const among = sql`plan = ANY (${sql.param(`{${bad.join(',')}}`)}::uuid[])`;
      await world.tamper(sql`UPDATE plan_version SET schema = 999 WHERE ${among}`);
      const fresh = await copies(first, 1, first.times.overdue + 1000);
      await look(first.times.overdue + 2000);
      const [row] = await world.db.select().from(deadline).where(eq(deadline.plan, fresh[0]));
      expect(row.open).toBe(false);
    });
    test('what is sent after an unconfirmed leap says so', async () => {
      const plan = await world.file();
      world.set(plan.times.overdue + 1000);
      await lookOnce({ ...world.services, leapt: () => 'unconfirmed' });
      expect((await texts()).find((t) => t.includes('is overdue'))).toMatch(
        /Our clock jumped; this may be early\.$/,
      );
    });
  });

  test('asleep eight hours past overdue, or two days: the gravest is said, once', async () => {
    const plan = await world.file();
    await look(plan.times.overdue + 8 * H);
    await look(plan.times.overdue + 2 * DAY);
    expect((await texts()).filter((t) => /overdue:|still not back/.test(t))).toHaveLength(1);
  });

  test('deeds, filings and the sweep at one instant: none fails, each alarm or ending stands', async () => {
    const first = await world.file();
    await world.watchOnce();
    const ids = await copies(first, 30);
    world.set(first.times.overdue + 1000);
    const [, ...answers] = await Promise.all([
      world.watchOnce(),
      ...ids.map((id) => world.deed(id, 'closed')),
      ...ids.map((id) => world.deed(id, 'check-in')),
    ]);
    expect(answers.map((a) => a.status).filter((s) => s !== 200 && s !== 409)).toEqual([]);
    await world.watchOnce();
    const open = await world.db
      .select()
      .from(plan)
      .where(and(eq(plan.open, true)));
    expect(open.map((p) => p.id)).toEqual([first.id]);
    const twice = (await world.db.execute(sql`
      SELECT plan FROM plan_event WHERE kind = 'overdue' GROUP BY plan HAVING count(*) > 1`)) as unknown as {
      rows: unknown[];
    };
    expect(twice.rows).toEqual([]);
    expect(await world.db.select().from(planEvent).where(eq(planEvent.kind, 'closed'))).toHaveLength(30);
  });
});
