import { screen, waitFor, within } from '@testing-library/react';
import { mutate } from 'swr';
import userEvent from '@testing-library/user-event';
import type { Run } from '@escale/core/model';
import { fresh, type fakeServer, NOW, show, TRIP } from '../../test/world';
import { at } from '../../test/router';
import { HaltCheck } from './halt-check';
import { Looks } from './looks';

const HOUR = 3_600_000;
let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  server = await fresh();
  at({ id: TRIP });
});
const user = userEvent.setup({ delay: null });
const runs = () => server.things.filter((h) => h.type === 'run').map((h) => h.doc as Run);
/** The trip of the demo leaves at dawn of the day after NOW and comes to its halt an hour later. */
const AT_HALT = NOW + 16.75 * HOUR;

/** The look that is asked for, beside what is told of looks left out. */
async function atTheHalt(): Promise<HTMLElement> {
  show(
    <>
      <HaltCheck />
      <Looks />
    </>,
    { trip: TRIP },
  );
  return screen.findByRole('group', { name: 'A short look' });
}

test('nothing is asked before its time; at the halt one tap keeps the whole look', async () => {
  const early = show(<HaltCheck />, { trip: TRIP });
  await waitFor(() => expect(early.container.textContent).not.toMatch(/loading/));
  expect(screen.queryByRole('group', { name: 'A short look' })).toBeNull();
  early.unmount();
  server.now = AT_HALT;
  await mutate(() => true);
  const look = await atTheHalt();
  expect(within(look).getByText('People counted, jackets closed.')).toBeTruthy();
  expect(look.textContent).not.toMatch(/cord/);
  await user.click(within(look).getByRole('button', { name: 'All looked at' }));
  await waitFor(() => expect(screen.queryByRole('group', { name: 'A short look' })).toBeNull());
  await waitFor(() =>
    expect(runs().map((r) => [r.procedure, r.halt, r.ticks.length > 3])).toEqual([['halt-arrive', 0, true]]),
  );
});

test('put off, it is not asked again, and is known afterwards', async () => {
  server.now = AT_HALT;
  const look = await atTheHalt();
  await user.click(within(look).getByRole('button', { name: 'Not now' }));
  expect(await screen.findByText('Short looks left out: arriving at Tern Holm.')).toBeTruthy();
  expect(screen.queryByRole('group', { name: 'A short look' })).toBeNull();
});
