import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { demoBundle } from '@escale/core/formats';
import type { Bundle, Conditions, PlanView } from '@escale/core/model';
import { makeWorld, NOW, TRIP, type World } from '../../test/world';

const H = 3_600_000;
let bare: World, demo: World;
beforeAll(async () => {
  bare = await makeWorld({ standIns: false });
  demo = await makeWorld();
});
beforeEach(async () => {
  await bare.reset();
  await demo.reset();
});
afterAll(async () => {
  await bare.close();
  await demo.close();
});

const conditions = (world: World) => world.get<Conditions>(`/api/conditions/${TRIP}`);
const brought = (more: object = {}): Bundle =>
  ({
    ...demoBundle(NOW),
    conditions: {
      [TRIP]: {
        forecast: {
          issuedAt: new Date(NOW - H).toISOString(),
          source: 'coast radio',
          hours: [{ at: new Date(NOW + 15 * H).toISOString(), wind: 5, gust: 7, from: 220 }],
          ...more,
        },
      },
    },
  }) as Bundle;

describe('without stand-ins', () => {
  test('there is no forecast, for any trip, and nothing is made up', async () =>
    expect(await conditions(bare)).toEqual({}));
  test('with them it is called invented', async () =>
    expect((await conditions(demo)).forecast).toMatchObject({ invented: true }));
  test('a forecast that a bundle brings is kept, and stands before any service’s', async () => {
    for (const world of [bare, demo]) {
      expect((await world.post('/api/import', brought())).status).toBe(200);
      expect((await conditions(world)).forecast).toMatchObject({
        source: 'coast radio',
        hours: [{ wind: 5 }],
      });
      expect((await conditions(world)).forecast?.invented).toBeUndefined();
    }
  });
  test('what a stand-in made up does not come back as a forecast', async () => {
    const bundle = await demo.get<Bundle>('/api/export');
    await bare.post('/api/import', { ...bundle, conditions: brought({ invented: true }).conditions });
    expect(await conditions(bare)).toEqual({});
  });
  test('a hostile forecast is refused whole, with its place', async () => {
    const answer = await bare.post('/api/import', brought({ hours: [{ at: 'yesterday', wind: -3 }] }));
    expect(answer.status).toBe(422);
    expect(JSON.stringify(answer.body)).toMatch(/conditions/);
    expect(await conditions(bare)).toEqual({});
  });
  test('a plan is filed, its clock runs, and it says that no message leaves this machine', async () => {
    const plan = await bare.file();
    bare.set(plan.times.overdue + 60_000);
    await bare.watchOnce();
    expect(await bare.get<PlanView>(`/api/plans/${plan.id}`)).toMatchObject({
      channel: 'none',
      state: 'overdue',
    });
    expect(await bare.get('/api/standins/telephone')).toEqual({ simulated: false, calls: [] });
    const { messages } = await bare.get<{ messages: { delivered?: number }[] }>('/api/messages');
    expect(messages.length).toBeGreaterThan(0);
    expect(messages.filter((m) => m.delivered)).toEqual([]);
  });
  test('with the stand-in it says through what it rings', async () => {
    const plan = await demo.file();
    await demo.watchOnce();
    expect(await demo.get<PlanView>(`/api/plans/${plan.id}`)).toMatchObject({ channel: 'stand-in' });
    expect((await demo.calls()).length).toBe(1);
  });
});
