import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Boat } from '@escale/core/model';
import { fresh, show, TRIP, type fakeServer } from '../../test/world';
import { Backwards } from './backwards';

const SPRAT = '01890000-0000-7000-8000-000000000005';
let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  server = await fresh();
});
const user = userEvent.setup({ delay: null });
const sprat = () => server.things.find((h) => h.id === SPRAT)!.doc as unknown as Boat;
const press = (name: string | RegExp) => user.click(screen.getByLabelText(name));

test('what waits for another can’t be ticked; done, it can', async () => {
  show(<Backwards />, { trip: TRIP });
  await screen.findByLabelText(/^\d\d:\d\d Pack against the list/);
  expect(screen.queryByLabelText(/^\d\d:\d\d Load the car/)).toBeNull();
  expect(screen.getByText(/waits for: Charge batteries/)).toBeTruthy();
  await user.click(screen.getByLabelText(/^\d\d:\d\d Charge batteries/));
  await user.click(screen.getByLabelText(/^\d\d:\d\d Pack against the list/));
  expect(await screen.findByLabelText(/^\d\d:\d\d Load the car/)).toBeTruthy();
});

test('put off, it stands in the morning; left out, it takes no time; both are taken back', async () => {
  show(<Backwards />, { trip: TRIP });
  await screen.findByLabelText(/^\d\d:\d\d Pack against the list/);
  await press('Put off: Pack against the list');
  expect(await screen.findByLabelText('03:20 Pack against the list')).toBeTruthy();
  await press('Not put off: Pack against the list');
  expect(await screen.findByLabelText('19:45 Pack against the list')).toBeTruthy();
  await press('Leave out: Breakfast and something warm');
  expect(await screen.findByLabelText('Do it after all: Breakfast and something warm')).toBeTruthy();
  await waitFor(() => expect(server.ticks.has('out:breakfast')).toBe(true));
});

test('how long it took is kept for the boat, with how many people, and reckoned with', async () => {
  show(<Backwards />, { trip: TRIP });
  await user.click(await screen.findByLabelText(/^\d\d:\d\d Rig and stow/));
  await user.click(await screen.findByLabelText('How long did it take?: Rig and stow'));
  for (let i = 0; i < 3; i += 1) await press('Five minutes more: Rig and stow');
  await press('Keep: Rig and stow');
  await waitFor(() => expect(sprat().minutes?.rig).toEqual([{ on: '2026-05-11', minutes: 35, people: 1 }]));
  expect(await screen.findByText(/35 min, as it took you/)).toBeTruthy();
});

test('ticked is not full: what is not known to be full is named, and filled by one tap', async () => {
  show(<Backwards />, { trip: TRIP });
  await user.click(await screen.findByLabelText(/^\d\d:\d\d Charge batteries/));
  expect((await screen.findByText(/Not known to be full/)).textContent).toMatch(/Head light at 20%/);
  await press('All of them are full now');
  await waitFor(() => expect(screen.queryByText(/Not known to be full/)).toBeNull());
});
