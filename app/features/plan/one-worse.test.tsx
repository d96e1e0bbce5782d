import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { at } from '../../test/router';
import { fakeServer, fresh, show, TRIP } from '../../test/world';
import { OneWorse } from './one-worse';
import { WORSE } from './words';

const user = userEvent.setup({ delay: null });
let server: ReturnType<typeof fakeServer>;
const limits = (wind: number) => {
  const held = server.things.find(({ id }) => id === TRIP)!;
  Object.assign(held, { doc: { ...held.doc, limits: { wind, gust: 30 } } });
};
beforeEach(async () => {
  server = await fresh();
  at({ id: TRIP });
});

// Four metres a second are force 2.8; a force more are six and a half.
test.each([
  [5, /^Stop: More wind than you set/],
  [9, WORSE.same],
])('a force more than four metres a second, held against %d: %s', async (limit, said) => {
  limits(limit);
  show(<OneWorse />, { trip: TRIP });
  await user.click(await screen.findByRole('button', { name: WORSE.ask }));
  expect(await screen.findByText(said)).toBeTruthy();
  await user.click(screen.getByRole('button', { name: WORSE.hide }));
  expect(screen.queryByText(WORSE.what)).toBeNull();
});
