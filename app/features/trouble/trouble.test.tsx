import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { fresh, type fakeServer, show, TRIP } from '../../test/world';
import { at, visited } from '../../test/router';
import { CardPage } from './card-page';
import { TroubleSection } from './trouble-section';
import { WrongPage } from './wrong-page';

const LAMP = '01890000-0000-7000-8000-000000000056';
const CAT = '01890000-0000-7000-8000-000000000062';
let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  server = await fresh();
  visited.length = 0;
});
const user = userEvent.setup({ delay: null });
const card = (trip: string, id: string) => {
  at({ id: trip, card: id });
  show(<CardPage />, { trip });
};

describe('the cards', () => {
  test('stand under heads, those that suit the boat, each a link; the words to say and whom to ring below', async () => {
    at({ id: LAMP });
    show(<TroubleSection />, { trip: LAMP });
    expect(await screen.findByRole('link', { name: 'The engine stops' })).toBeTruthy();
    expect(screen.getByRole('link', { name: 'The driver is overboard' })).toBeTruthy();
    expect(screen.queryByRole('link', { name: 'Mast or rigging is down' })).toBeNull();
    expect(screen.getByRole('heading', { name: 'Water and weather' })).toBeTruthy();
    expect(screen.getByText(/^Mayday, mayday, mayday/)).toBeTruthy();
    await user.click(screen.getByRole('link', { name: 'Something is wrong' }));
    expect(visited.at(-1)).toBe(`/trips/${LAMP}/trouble/wrong`);
  });
  test('first ten seconds, then here and now, then the words with what is the matter, then the steps', async () => {
    card(LAMP, 'engine-dead');
    const first = await screen.findByRole('group', { name: 'First' });
    expect(first.textContent).toBe('Jackets. Look where you drift. Near a shore: anchor.');
    const now = await screen.findByRole('group', { name: 'Here, now' });
    expect(now.textContent).toMatch(/Wind.*Landing.*Tide.*Light.*Signals.*Who knows/);
    expect(screen.getByText(/^Pan-pan, pan-pan, pan-pan\. All stations/)).toBeTruthy();
    expect(
      screen.getByText(/Our engine has stopped and we are drifting\. We need assistance\./),
    ).toBeTruthy();
    const order = ['First', 'Here, now', 'Whom to ring'].map((name) =>
      screen.getByRole('group', { name }).compareDocumentPosition(screen.getByRole('list')),
    );
    expect(order).toEqual([4, 4, 4]);
    await user.click(screen.getByRole('button', { name: 'One step at a time' }));
    expect(visited.at(-1)).toBe(`/trips/${LAMP}/run/engine-dead`);
  });
  test('a card that is not there says so, and leads back to all', async () => {
    card(LAMP, 'ramp-launch');
    await user.click(await screen.findByRole('button', { name: 'All cards' }));
    expect(visited.at(-1)).toBe(`/trips/${LAMP}/go/trouble`);
  });
});

describe('can we right her', () => {
  test('the crew of two can, each alone is told; one who leaves the line changes it at once', async () => {
    card(CAT, 'capsize-catamaran');
    const view = await screen.findByRole('group', { name: 'Can we right her?' });
    expect(within(view).getByRole('status').textContent).toBe(
      'By our estimate yes: Rowan Pike and Maren Pike can give what she asks for.',
    );
    expect(within(view).getByRole('img').getAttribute('aria-label')).toMatch(/leaning out 6\d°/);
    await user.click(within(view).getByRole('checkbox', { name: 'Rowan Pike' }));
    expect(within(view).getByRole('status').textContent).toMatch(
      /^By our estimate no: what Maren Pike can give/,
    );
    expect(within(view).getByText('A second one on the line: then she comes, by our estimate.')).toBeTruthy();
    await user.click(within(view).getByRole('button', { name: 'More water in the sail' }));
    expect(within(view).getByText(/The water run out of the sail/)).toBeTruthy();
  });
  test('nobody’s weight: nothing is promised', async () => {
    for (const held of server.things)
      if (held.type === 'person') {
        const { mass: _, ...doc } = held.doc as { mass?: number };
        Object.assign(held, { doc });
      }
    card(CAT, 'capsize-catamaran');
    const view = await screen.findByRole('group', { name: 'Can we right her?' });
    expect(within(view).getByRole('status').textContent).toMatch(/can’t be reckoned/);
    expect(within(view).getByText(/^Without a weight: Rowan Pike and Maren Pike/)).toBeTruthy();
  });
  test('a kayak with a strap from her edge, without one by hand', async () => {
    card(TRIP, 'capsize-sit-on-top');
    const view = await screen.findByRole('group', { name: 'Can we right her?' });
    expect(within(view).getByRole('status').textContent).toMatch(/^By our estimate yes/);
    await user.click(within(view).getByRole('checkbox', { name: /strap/ }));
    expect(within(view).getByRole('status').textContent).toMatch(/^Open/);
    expect(within(view).getByRole('img').getAttribute('aria-label')).toMatch(/legs in the water/);
  });
});

test('from symptom to cause: her own openings first, how to look, and when to stop saving the catch', async () => {
  at({ id: LAMP });
  show(<WrongPage />, { trip: LAMP });
  await user.click(await screen.findByRole('button', { name: 'Stern heavy' }));
  expect(await screen.findByRole('heading', { name: 'Stern heavy' })).toBeTruthy();
  expect(screen.getByText(/Drain plug/)).toBeTruthy();
  expect(screen.getByText(/nobody goes aft/)).toBeTruthy();
  expect(screen.getByRole('heading', { name: 'Stop saving the catch when' })).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Another sign' }));
  expect(screen.getByRole('button', { name: 'The pump never stops' })).toBeTruthy();
});
