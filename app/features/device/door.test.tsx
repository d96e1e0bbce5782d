import { act, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { fresh, type fakeServer, show, TRIP } from '../../test/world';
import { at } from '../../test/router';
import { change, deed, flush, newId } from '../../data/outbox';
import { outbox } from '../../data/store';
import { readThings, type Held } from '../../data/things';
import { AnotherBrowser } from './door';
import { Frame } from '../shell/frame';
import { DOOR } from './words';
import { SIGNAL } from '../shell/words';

let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  server = await fresh();
  at({});
});
const frame = () =>
  show(
    <Frame>
      <main>the page</main>
    </Frame>,
  );
const again = () => act(() => flush(true));

test('a browser that was never let in hears how it is, and sees no empty household', async () => {
  server.shut = true;
  frame();
  expect(await screen.findByRole('heading', { name: DOOR.title })).toBeTruthy();
  expect(screen.getByText(DOOR.command)).toBeTruthy();
  expect(screen.queryByText('the page')).toBeNull();
  expect(screen.queryByText(SIGNAL.nothingKept)).toBeNull();
  server.shut = false;
  await again();
  expect(await screen.findByText('the page', {}, { timeout: 8000 })).toBeTruthy();
}, 20_000);

test('put out while something is written: it waits, is told as such, and goes when the browser is in again', async () => {
  frame();
  expect(await screen.findByText('the page')).toBeTruthy();
  server.shut = true;
  const trip = readThings({ things: server.things }).things.find((h) => h.id === TRIP) as Held<'trip'>;
  await act(() => change(trip, [{ op: 'set', pointer: '/title', value: 'Later' }], 'the name of the trip'));
  const home = { id: newId(), kind: 'closed' as const, madeAt: new Date().toISOString() };
  await act(() => deed(newId(), home, 'home'));
  expect(await screen.findByText(/^This browser is not let in any more: 2 things wait here/)).toBeTruthy();
  expect(screen.getByText(DOOR.brief)).toBeTruthy();
  expect(screen.getByText('the page')).toBeTruthy();
  // Neither is taken for refused, nor made to wait the longer the more often it was tried.
  for (let i = 0; i < 3; i += 1) await again();
  expect((await outbox()).map((s) => [s.refused, s.tries])).toEqual([
    [undefined, undefined],
    [undefined, undefined],
  ]);
  server.shut = false;
  await again();
  await waitFor(() => expect(screen.queryByText(DOOR.brief)).toBeNull());
  expect(server.sent.map((s) => s.path)).toEqual(expect.arrayContaining(['/api/commands']));
});

test('an address for another browser, or why there is none', async () => {
  const user = userEvent.setup({ delay: null });
  show(<AnotherBrowser />);
  server.up = false;
  await user.click(screen.getByRole('button', { name: DOOR.make }));
  expect((await screen.findByRole('alert')).textContent).toBe(DOOR.failed);
  server.up = true;
  await user.click(screen.getByRole('button', { name: DOOR.make }));
  expect(await screen.findByText(server.address)).toBeTruthy();
  expect(screen.queryByRole('alert')).toBeNull();
});
