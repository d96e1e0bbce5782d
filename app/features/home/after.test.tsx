import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { debriefIdOf } from '@escale/core/logbook/debrief-id';
import { at } from '../../test/router';
import { fresh, type fakeServer, show, TRIP } from '../../test/world';
import { AfterSection } from './after-section';

/** The trailer boat with an engine; the trip is planned in the kayak. */
const PLOVER = '01890000-0000-7000-8000-000000000007';

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
  test('is made from the boat in which one went, where that was another', async () => {
    const id = debriefIdOf(TRIP);
    const doc = { id, trip: TRIP, on: '2026-05-12', boat: PLOVER, forgotten: [], broken: [] };
    server.things.push({ id, type: 'debrief', version: 1, deleted: false, doc } as never);
    show(<AfterSection />, { trip: TRIP });
    expect(await screen.findByRole('checkbox', { name: /^Flush the motor/ })).toBeTruthy();
    expect(screen.getByRole('checkbox', { name: /^Every plug out/ })).toBeTruthy();
  });
});
