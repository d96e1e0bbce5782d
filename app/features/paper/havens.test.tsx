import { screen, within } from '@testing-library/react';
import { at } from '../../test/router';
import { fakeServer, fresh, show, TRIP } from '../../test/world';
import { HavensPage } from './havens-page';
import { HAVENS } from './words';

let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  server = await fresh();
  at({ id: TRIP });
});

test('a row for each half hour: where to at the planned speed, and how long when tired and full of water', async () => {
  show(<HavensPage />, { trip: TRIP });
  const rows = await screen.findAllByRole('row');
  // Leaves 06:20, home 10:12: eight half hours, three of them at the halt, and the head.
  expect(rows).toHaveLength(7);
  expect(screen.getByRole('rowheader', { name: '07:50 to 08:50' })).toBeTruthy();
  const second = within(rows[2]);
  expect(second.getByRole('rowheader').textContent).toBe('06:50');
  expect(second.getByText(/^Gannow ramp \(Bank or ramp\): 29\d°, 1\.\d nm, 2\d min$/)).toBeTruthy();
  expect(second.getAllByText(/^the same, /)).toHaveLength(2);
});
test('without a halt there are no hours to tell it for', async () => {
  const held = server.things.find(({ id }) => id === TRIP)!;
  Object.assign(held, { doc: { ...held.doc, halts: [] } });
  show(<HavensPage />, { trip: TRIP });
  expect(await screen.findByText(HAVENS.none)).toBeTruthy();
});
