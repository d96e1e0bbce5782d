import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { mutate } from 'swr';
import type { Run, Trip } from '@escale/core/model';
import { fresh, type fakeServer, show } from '../../test/world';
import { at } from '../../test/router';
import { BriefPage } from './brief-page';

const LAMP = '01890000-0000-7000-8000-000000000056';
let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  server = await fresh();
  at({ id: LAMP });
});
const user = userEvent.setup({ delay: null });
const run = () =>
  server.things.find((h) => h.type === 'run' && (h.doc as Run).procedure.startsWith('brief:'))?.doc as Run;

test('made from the trip, shorter than three minutes; each ticks for themselves, and can take it back', async () => {
  show(<BriefPage />, { trip: LAMP });
  expect(await screen.findByText(/^Read aloud about [123] min/)).toBeTruthy();
  for (const name of ['Today', 'Who does what', 'Who sits where', 'Signs', 'If it goes wrong'])
    expect(screen.getByRole('heading', { level: 2, name })).toBeTruthy();
  const heard = screen.getByRole('group', { name: 'Who has heard it' });
  await user.click(within(heard).getByRole('checkbox', { name: 'Tilda Pike' }));
  await waitFor(() => expect(within(heard).getByRole('status').textContent).toBe('1 of 4 have heard it.'));
  await user.click(within(heard).getByRole('checkbox', { name: 'Tilda Pike' }));
  await waitFor(() => expect(within(heard).getByRole('status').textContent).toBe('0 of 4 have heard it.'));
  // What is seen waits for nobody; the server has it a moment later.
  await waitFor(() => expect(run().ticks.map((t) => t.skipped === true)).toEqual([false, true]));
});

test('what has changed since is not yet heard', async () => {
  const first = show(<BriefPage />, { trip: LAMP });
  const heard = await screen.findByRole('group', { name: 'Who has heard it' });
  await user.click(within(heard).getByRole('checkbox', { name: 'Maren Pike' }));
  await waitFor(() => expect(within(heard).getByRole('status').textContent).toBe('1 of 4 have heard it.'));
  first.unmount();
  const held = server.things.find((h) => h.id === LAMP)!;
  const { crew } = held.doc as Trip;
  Object.assign(held, {
    doc: { ...held.doc, crew: crew.map((c, i) => (i === 1 ? { ...c, role: 'crew' } : c)) },
    version: held.version + 1,
  });
  await mutate(() => true);
  show(<BriefPage />, { trip: LAMP });
  const again = await screen.findByRole('group', { name: 'Who has heard it' });
  await waitFor(() => expect(within(again).getByRole('status').textContent).toBe('0 of 4 have heard it.'));
  expect(within(again).getByText('heard it before it changed')).toBeTruthy();
});

test('medical notes open for the leader alone, and stand outside what is printed', async () => {
  const maren = server.things.find(
    (h) => (h.doc as { name?: string }).name === 'Maren Pike' && h.type === 'person',
  )!;
  Object.assign(maren, { doc: { ...maren.doc, medical: 'asthma' } });
  show(<BriefPage />, { trip: LAMP });
  const button = await screen.findByRole('button', { name: 'For the leader alone: 1 medical note' });
  expect(screen.queryByText(/asthma/)).toBeNull();
  await user.click(button);
  expect(screen.getByText('Maren Pike: asthma').closest('[data-screen]')).toBeTruthy();
});
