import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { PlanView } from '@escale/core/model';
import { fresh, type fakeServer, NOW, show, TRIP } from '../../test/world';
import { at } from '../../test/router';
import { HavenPage } from './haven-page';
import { TroubleSection } from './trouble-section';

let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  server = await fresh();
  at({ id: TRIP });
});
const user = userEvent.setup({ delay: null });
const choose = (name: string | RegExp) => user.click(screen.getByRole('radio', { name }));
const told = () =>
  screen
    .getAllByRole('status')
    .map((each) => each.textContent ?? '')
    .join(' ');

test('one tap from Trouble', async () => {
  show(<TroubleSection />, { trip: TRIP });
  const link = await screen.findByRole('link', { name: 'Haven or home?' });
  expect(link.getAttribute('href')).toBe(`/trips/${TRIP}/trouble/haven`);
});
test('call first; nothing is recommended before both questions are answered, none is answered by itself', async () => {
  show(<HavenPage />, { trip: TRIP });
  await screen.findByText(/^Call first, before it is urgent/);
  expect(told()).toMatch(/Say what happened/);
  await choose('Water comes in, or may');
  expect(told()).toMatch(/How fast she still goes was not said/);
  await choose(/^Half/);
  // At the halt one turns from one can land.
  await waitFor(() => expect(told()).toMatch(/^Nearest landing: Tern Holm.*You are there, by what is known/));
  expect(told()).toMatch(/Water may still come in.*What would make it home: the hole shut, and felt/);
  await choose('Not at all');
  expect(told()).toMatch(/She goes nowhere by herself/);
});
test('a boat in sight is a way of its own, the soonest first; beforehand any hour of the plan is asked', async () => {
  show(<HavenPage />, { trip: TRIP });
  await screen.findByText(/^Call first/);
  await choose('Water came in; shut, and felt');
  await choose(/^As usual/);
  await user.click(screen.getByRole('button', { name: /^A boat in sight/ }));
  await choose('200 m off');
  const ways = screen.getAllByRole('listitem').map((each) => each.textContent ?? '');
  expect(ways.some((way) => way.startsWith('The boat near by'))).toBe(true);
  expect(ways.some((way) => /^Home: .*there at \d\d:\d\d/.test(way))).toBe(true);
  // The demo leaves tomorrow: its plan is asked, not this hour.
  expect(NOW).toBeLessThan(Date.parse('2026-05-12T00:00Z'));
  expect(screen.getByRole('slider', { name: 'At which hour of the plan' })).toBeTruthy();
  expect(screen.getByText(/^From where the plan has you at Tue 12 May/)).toBeTruthy();
});
test('late, no plan tells where one is: it is not taken to be the launch', async () => {
  server.now = Date.parse('2026-05-12T16:00Z');
  server.plans = [
    {
      id: '01890000-0000-7000-8000-0000000000aa',
      trip: TRIP,
      state: 'overdue',
      zone: 'UTC',
      times: { leave: 0, home: 0, overdue: 0, checkIns: [] },
      contacts: [],
      events: [{ seq: 1, plan: '', kind: 'under-way', at: 0 }],
    } as unknown as PlanView,
  ];
  show(<HavenPage />, { trip: TRIP });
  await screen.findByText(/^Where you are is not known/);
  expect(screen.queryByRole('slider')).toBeNull();
  expect(screen.getByRole('button', { name: 'Use this device’s position' })).toBeTruthy();
});
test('where one is can’t be told: it says so, and the words for help stand', async () => {
  const trip = server.things.find((each) => each.id === TRIP)!;
  Object.assign(trip, { doc: { ...trip.doc, launch: undefined } });
  show(<HavenPage />, { trip: TRIP });
  await screen.findByText(/^Where you are is not known/);
  expect(screen.getByText(/^Call first/)).toBeTruthy();
  expect(screen.getByRole('link', { name: 'The words to say' })).toBeTruthy();
});
