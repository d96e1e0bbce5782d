import { beforeEach, describe, expect, test } from '@jest/globals';
import type { PlanView } from '@escale/core/model';
import { TRIP, uuid, type World } from '../../test/world';
import { onBothDrivers } from '../../test/drivers';

const H = 3_600_000;
onBothDrivers((at) => {
  let world: World;
  beforeEach(() => {
    world = at();
  });

  const plansOf = async (more = '') => world.get<{ plans: PlanView[]; next?: number }>(`/api/plans${more}`);
  const another = async () => {
    const id = uuid();
    const { things } = await world.get<{ things: { id: string; doc: object }[] }>('/api/things');
    const doc = { ...things.find((t) => t.id === TRIP)!.doc, id, title: 'Again' };
    await world.command(id, 'trip', 0, { kind: 'create', doc });
    return id;
  };

  describe('the same id', () => {
    test('with another body is refused and said so, for a command, a filing and a deed', async () => {
      const id = uuid(),
        thing = uuid();
      const create = (name: string) =>
        world.post('/api/commands', {
          id,
          device: world.device,
          type: 'contact',
          thing,
          baseVersion: 0,
          deed: { kind: 'create', doc: { id: thing, name } },
        });
      expect((await create('Bo')).status).toBe(200);
      expect((await create('Bo')).status).toBe(200);
      const other = await create('Cy');
      expect([other.status, other.body.title]).toEqual([
        409,
        expect.stringContaining('used for something else'),
      ]);
      const filing = { id: uuid(), trip: TRIP };
      const plan = (await world.post('/api/plans', filing)).body as PlanView;
      expect((await world.post('/api/plans', { ...filing, reason: 'x' })).status).toBe(409);
      const deed = { id: uuid(), kind: 'check-in', madeAt: new Date(world.clock.now()).toISOString() };
      const send = (body: object) => world.post(`/api/plans/${plan.id}/deeds`, body);
      expect((await send(deed)).status).toBe(200);
      expect((await send({ ...deed, kind: 'closed' })).status).toBe(409);
      expect((await send(deed)).status).toBe(200);
      expect((await plansOf()).plans[0].state).toBe('under-way');
    });
    test('of a filing whose answer was lost is answered with its plan, overdue or changed since', async () => {
      const filing = { id: uuid(), trip: TRIP };
      const plan = (await world.post('/api/plans', filing)).body as PlanView;
      world.set(plan.times.overdue + H);
      const again = await world.post('/api/plans', filing);
      expect([again.status, again.body.id]).toEqual([201, plan.id]);
      await world.command(TRIP, 'trip', 1, { kind: 'patch', patch: [{ op: 'unset', pointer: '/boat' }] });
      expect((await world.post('/api/plans', filing)).status).toBe(201);
    });
    test('at one instant, twenty times over: filed once, and each is answered with it', async () => {
      const filing = { id: uuid(), trip: TRIP };
      const answers = await Promise.all(Array.from({ length: 20 }, () => world.post('/api/plans', filing)));
      expect(answers.map((a) => [a.status, a.body.id])).toEqual(answers.map(() => [201, filing.id]));
      expect((await plansOf()).plans).toHaveLength(1);
    });
  });

  test('one trip filed at one instant under twenty ids: one stands, the others are told of it', async () => {
    const answers = await Promise.all(
      Array.from({ length: 20 }, () => world.post('/api/plans', { id: uuid(), trip: TRIP })),
    );
    const made = answers.filter((a) => a.status === 201);
    expect(made).toHaveLength(1);
    expect(answers.filter((a) => a.status === 409)).toHaveLength(19);
    expect(answers.filter((a) => a.status === 409).every((a) => a.body.plan === made[0].body.id)).toBe(true);
  });
  test('a change that names another trip is refused', async () => {
    const plan = await world.file();
    const other = await another();
    const answer = await world.post('/api/plans', { id: uuid(), trip: other, amends: plan.id });
    expect([answer.status, answer.body.title]).toEqual([409, 'This plan is of another trip.']);
  });
  test('with sixty plans a crew finds its own, and all of them page by page', async () => {
    const mine = await world.file();
    for (let i = 0; i < 60; i += 1) {
      const trip = await another();
      const { status } = await world.post('/api/plans', { id: uuid(), trip });
      expect(status).toBe(201);
    }
    const first = await plansOf();
    expect([first.plans.length, first.next]).toEqual([50, 50]);
    const second = await plansOf(`?from=${first.next}`);
    expect(second.plans).toHaveLength(11);
    expect(new Set([...first.plans, ...second.plans].map((p) => p.id)).size).toBe(61);
    expect((await plansOf(`?trip=${TRIP}`)).plans.map((p) => p.id)).toEqual([mine.id]);
  }, 60_000);
});
