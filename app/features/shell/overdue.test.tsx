import { screen } from '@testing-library/react';
import type { PlanState } from '@escale/core/model';
import { fakeServer, fresh, NOW, show } from '../../test/world';
import { Overdue } from './overdue';

let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  server = await fresh();
});
const plan = (state: PlanState) =>
  ({
    id: `01890000-0000-7000-9000-${state.padStart(12, '0')}`,
    trip: 't',
    title: 'Tern Holm',
    zone: 'UTC',
    state,
    times: { leave: NOW, home: NOW + 36e5, overdue: NOW + 72e5, checkIns: [] },
    contacts: [],
    events: [],
  }) as unknown as (typeof server.plans)[number];

test.each<[PlanState, RegExp]>([
  ['late', /^Tern Holm: late since Mon 11 May 16:00\. Say how you are\.$/],
  ['overdue', /overdue since Mon 11 May 17:00/],
  ['alarm', /alarm, overdue since/],
])('a plan that is %s stands over every page; those that run as planned do not', async (state, words) => {
  server.plans.push(plan('filed'), plan('under-way'), plan('closed'), plan(state));
  show(<Overdue />);
  const link = await screen.findByRole('link', { name: words });
  expect(link.getAttribute('href')).toBe(`/watch/${plan(state).id}`);
  expect(screen.getAllByRole('link')).toEqual([link]);
});
