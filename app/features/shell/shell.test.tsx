import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { fresh, type fakeServer, NOW, show, TRIP } from '../../test/world';
import { at, visited } from '../../test/router';
import { readMerged } from '../../data/merged';
import { change } from '../../data/outbox';
import { setSettings } from '../../data/settings';
import { outbox } from '../../data/store';
import { readThings, type Held } from '../../data/things';
import { Nav } from './nav';
import { Shortcuts } from './shortcuts';
import { SignalBar } from './signal';

let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  server = await fresh();
  visited.length = 0;
  at({});
  await setSettings({ shortcuts: true, theme: 'day', units: 'metric' });
});
const user = userEvent.setup({ delay: null });
const trip = () =>
  readThings({ now: NOW, simulated: true, done: [], things: server.things }).things.find(
    (h) => h.id === TRIP,
  ) as Held<'trip'>;
const rename = (title: string) =>
  change(trip(), [{ op: 'set', pointer: '/title', value: title }], 'the name of the trip');

test('the four places, and which one is here', async () => {
  show(<Nav />);
  const links = await screen.findAllByRole('link');
  expect(links.map((l) => l.textContent)).toEqual(['Trips', 'Shed', 'Practice', 'Watch']);
  expect(links[0].getAttribute('aria-current')).toBe('page');
});

describe('keys', () => {
  const press = (key: string, more: object = {}) => fireEvent.keyDown(window, { key, ...more });
  test('g then a letter goes to a place; a letter alone, or with a modifier, does not', async () => {
    show(<Shortcuts />);
    await waitFor(() => {
      press('g');
      press('w');
      expect(visited).toContain('/watch');
    });
    visited.length = 0;
    press('s');
    press('g', { ctrlKey: true });
    press('t');
    expect(visited).toEqual([]);
  });
  test('in a trip numbers are phases and the dot is the verdict', () => {
    at({ id: TRIP, phase: 'plan' });
    show(<Shortcuts />);
    press('2');
    press('.');
    press('5');
    expect(visited).toEqual([`/trips/${TRIP}/pack`, `/trips/${TRIP}`]);
  });
  test('never inside a field, and not at all when switched off', async () => {
    show(
      <>
        <Shortcuts />
        <input aria-label="field" />
      </>,
    );
    fireEvent.keyDown(screen.getByLabelText('field'), { key: 'n', bubbles: true });
    expect(visited).toEqual([]);
    await act(() => setSettings({ shortcuts: false }));
    press('n');
    expect(visited).toEqual([]);
  });
  test('the question mark lists them', async () => {
    show(<Shortcuts />);
    press('?');
    expect(await screen.findByRole('dialog', { name: 'Keys' })).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Close' }));
  });
});

describe('the signal bar', () => {
  test('says nothing while all is well', async () => {
    show(<SignalBar />);
    await waitFor(() => expect(screen.queryByRole('status')).toBeNull());
  });
  test('without signal and without anything kept it says so plainly', async () => {
    server.up = false;
    const { indexedDB: store } = globalThis;
    await new Promise((done) => {
      const open = store.open('escale');
      open.onsuccess = () => {
        const tx = open.result.transaction('kept', 'readwrite');
        tx.objectStore('kept').clear();
        tx.oncomplete = () => {
          open.result.close();
          done(undefined);
        };
      };
    });
    show(<SignalBar />);
    expect(await screen.findByText(/nothing kept yet/)).toBeTruthy();
  });
  test('a quarrel is put to the person: mine, or what is there', async () => {
    show(<SignalBar />);
    server.refuse = { status: 409, title: 'This was changed on another device in the meantime.' };
    await act(() => rename('Mine'));
    const alert = await screen.findByRole('alert');
    expect(alert.textContent).toMatch(/Not saved: the name of the trip.*changed on another device/);
    server.refuse = undefined;
    await user.click(screen.getByRole('button', { name: 'Keep mine' }));
    await waitFor(() => expect(trip().doc.title).toBe('Mine'));
    await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
  });
  test('what the server found wrong is said line by line, and can be let go', async () => {
    show(<SignalBar />);
    server.refuse = { status: 422, title: 'Some of this can’t be taken.' };
    await act(() => rename('x'));
    await user.click(await screen.findByRole('button', { name: 'Let it go' }));
    await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
    expect((await outbox()).filter((s) => !s.sent)).toHaveLength(0);
    expect(trip().doc.title).toBe('Tern Holm, at dawn');
  });
});

test('a change that went in beside another’s is told until it was read, also after the page is opened again', async () => {
  server.merged = { by: ['Ada’s phone'], fields: ['halts', 'basis', 'leave'] };
  const { unmount } = show(<SignalBar />);
  await act(() => rename('Mine'));
  const words =
    'Saved: the name of the trip. Meanwhile Ada’s phone changed “Halts on the way”, “Leave at” of the same; both stand.';
  await screen.findByText(words);
  unmount();
  show(<SignalBar />);
  await screen.findByText(words);
  await user.click(screen.getByRole('button', { name: 'I have read it' }));
  await waitFor(() => expect(screen.queryByText(words)).toBeNull());
});
test('what nobody else touched is told of by nothing', async () => {
  await readMerged();
  show(<SignalBar />);
  await act(() => rename('Mine'));
  expect(screen.queryByRole('status')).toBeNull();
});
