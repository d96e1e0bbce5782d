import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Place, PlanState, PlanView } from '@escale/core/model';
import { newId } from '../../data/outbox';
import { fresh, type fakeServer, NOW, show, TRIP } from '../../test/world';
import { at } from '../../test/router';
import { FloatPlanSection } from '../pack/float-plan-section';

const H = 3_600_000;
const PLAN = '01890000-0000-7000-8000-0000000000aa';
const filed = (state: PlanState): PlanView => ({
  id: PLAN,
  trip: TRIP,
  version: 1,
  title: 'Tern Holm, at dawn',
  state,
  zone: 'UTC',
  times: { leave: NOW + H, home: NOW + 4 * H, overdue: NOW + 4.5 * H, checkIns: [] },
  contacts: [{ id: 'c', name: 'Ada Tolley', accepted: true }],
  sheet: { title: '', filedAt: '', zone: 'UTC', lines: [], expect: [], ifLate: [], read: '' },
  events: [],
});
let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  server = await fresh();
  at({ id: TRIP });
});
const user = userEvent.setup({ delay: null });
const open = async (state: PlanState) => {
  server.plans = [filed(state)];
  show(<FloatPlanSection />, { trip: TRIP });
  await user.click(await screen.findByRole('button', { name: 'Change of plan' }));
};
const offered = () => screen.getAllByRole('button').map((b) => b.textContent ?? '');

test('another ramp in two taps: the trip is changed, and the change filed with its reason, once', async () => {
  // A second ramp of the same water.
  const [first] = server.things.filter(({ doc }) => (doc as Partial<Place>).kind === 'launch');
  const other = newId();
  server.things.push({ ...first, id: other, doc: { ...first.doc, id: other, name: 'Mill slip' } as Place });
  await open('filed');
  const ramp = offered().find((text) => text.startsWith('We launch from'))!;
  await user.dblClick(screen.getByRole('button', { name: ramp }));
  await waitFor(() => expect(server.sent.some((s) => s.path === '/api/plans')).toBe(true));
  const [change, filing, ...more] = server.sent.filter((s) => /commands|plans/.test(s.path));
  expect(change.body).toMatchObject({
    thing: TRIP,
    deed: { kind: 'patch', patch: [{ op: 'set', pointer: '/launch' }] },
  });
  expect(filing.body).toMatchObject({ trip: TRIP, amends: PLAN, reason: ramp });
  expect(more).toEqual([]);
});
test('who has left is offered another landing and another way, and no ramp to leave from', async () => {
  await open('under-way');
  expect(offered().filter((text) => text.startsWith('We launch'))).toEqual([]);
  expect(offered().some((text) => text.startsWith('We land at'))).toBe(true);
  expect(offered().some((text) => text.startsWith('We go to'))).toBe(true);
});
test('half an hour later is a deed of its own: nothing of the trip is changed', async () => {
  await open('under-way');
  await user.click(screen.getByRole('button', { name: /^Home half an hour later/ }));
  await waitFor(() => expect(server.sent.some((s) => s.path === `/api/plans/${PLAN}/deeds`)).toBe(true));
  const said = server.sent.find((s) => s.path.endsWith('/deeds'))!.body as { kind: string; home: string };
  expect([said.kind, said.home]).toEqual(['later', new Date(NOW + 4.5 * H).toISOString()]);
  expect(server.sent.some((s) => s.path === '/api/commands')).toBe(false);
});
