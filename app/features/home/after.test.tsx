import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { at } from '../../test/router';
import { fresh, type fakeServer, show, TRIP } from '../../test/world';
import { AfterSection } from './after-section';

let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  server = await fresh();
  at({ id: TRIP });
});
const user = userEvent.setup({ delay: null });

describe('after the trip', () => {
  test('is made from boat and water, ticked one by one, and the last tick says that all is done', async () => {
    show(<AfterSection />, { trip: TRIP });
    expect(await screen.findByText(/^\d+ things still to do\.$/)).toBeTruthy();
    expect(screen.getByRole('checkbox', { name: /^Rinse boat, trailer/ })).toBeTruthy();
    expect(screen.queryByRole('checkbox', { name: /^Flush the motor/ })).toBeNull();
    for (const box of screen.getAllByRole('checkbox')) await user.click(box);
    expect(await screen.findByText('All of it is done.')).toBeTruthy();
    await waitFor(() => expect([...server.ticks.keys()]).toContain('all-done'));
    expect(screen.queryByRole('button', { name: 'Put what is open into a calendar' })).toBeNull();
  });
  test('whose plan was not closed here counts from the planned hour, and says so', async () => {
    show(<AfterSection />, { trip: TRIP });
    expect(await screen.findByText(/^The hours count from the planned hour home/)).toBeTruthy();
  });
});
