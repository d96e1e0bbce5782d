import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { fresh, type fakeServer, show } from '../../test/world';
import { at, visited } from '../../test/router';
import { CardPage, HandoverPage } from '../boat/boat-pages';
import { BoatSection } from '../plan/boat-section';
import { ThingPage } from '../shed/thing-page';
import { saysTo } from '@escale/core/say';
import { leakWord } from './ask-three';
import { LoadSection } from './load-section';

const FOUR = '01890000-0000-7000-8000-000000000056',
  PLOVER = '01890000-0000-7000-8000-000000000007',
  SPRAT = '01890000-0000-7000-8000-000000000005';
let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  server = await fresh();
  visited.length = 0;
  at({ id: FOUR });
});
const user = userEvent.setup({ delay: null });
const doc = (id: string) => server.things.find((h) => h.id === id)!.doc as unknown as Record<string, unknown>;
const crew = () =>
  doc(FOUR).crew as { person: string; seat?: { x: number; y: number }; today?: string; buddy?: string }[];
const bram = () => screen.findByRole('button', { name: /^Bram Tolley, 96 kg, .*Arrow keys move it/ });

describe('the plan of the boat', () => {
  test('an arrow key moves somebody by a fiftieth of the length, and undo puts them back', async () => {
    show(<LoadSection />, { trip: FOUR });
    fireEvent.keyDown(await bram(), { key: 'ArrowRight' });
    await waitFor(() => expect(crew()[3].seat?.x).toBeCloseTo(0.22, 3));
    await user.click(await screen.findByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(crew()[3].seat).toBeUndefined());
  });
  test('nobody is moved out of the boat', async () => {
    show(<LoadSection />, { trip: FOUR });
    for (let i = 0; i < 4; i += 1) fireEvent.keyDown(await bram(), { key: 'ArrowDown', shiftKey: true });
    await waitFor(() => expect(crew()[3].seat?.y).toBe(-1));
  });
  test('by list: a seat is chosen, and the pictures say how she lies', async () => {
    show(<LoadSection />, { trip: FOUR });
    expect((await screen.findByRole('img', { name: /^Trim/ })).getAttribute('aria-label')).toMatch(
      /by the stern, list .* to starboard/,
    );
    await user.click(screen.getByRole('button', { name: 'Place them by list' }));
    await user.click(
      within(await screen.findByRole('radiogroup', { name: 'Place of Bram Tolley' })).getByRole('radio', {
        name: 'Bow, port',
      }),
    );
    await waitFor(() => expect(crew()[3].seat).toEqual({ x: 0.68, y: 0.25 }));
  });
  test('what if: leaning, swamped, leaking, each with its numbers', async () => {
    show(<LoadSection />, { trip: FOUR });
    await user.click(await screen.findByRole('radio', { name: 'Someone leans over the side' }));
    expect((await screen.findByRole('list', { name: 'Someone leans over the side' })).textContent).toMatch(
      /Bram Tolley.*° of heel/,
    );
    await user.click(screen.getByRole('radio', { name: 'She is swamped' }));
    expect((await screen.findByRole('list', { name: 'She is swamped' })).textContent).toMatch(
      /As she isfloats on end.*Nobody can sit in her.*bears 3 people.*bags of 50 L fore and aftfloats/,
    );
    await user.click(screen.getByRole('radio', { name: 'She leaks' }));
    const leaks = await screen.findByRole('list', { name: 'She leaks' });
    await waitFor(() => expect(leaks.textContent).toMatch(/Drain plug open.*(to swamped|to capsize)/));
  });
  test('how sure: the range, and what to measure first', async () => {
    show(<LoadSection />, { trip: FOUR });
    await user.click(await screen.findByRole('button', { name: 'How sure is that?' }));
    expect(screen.getByText(/^Lowest edge between \d+ cm and \d+ cm/)).toBeTruthy();
    expect(screen.getByRole('link', { name: 'depth of the hull' })).toBeTruthy();
  });
  test('one more aboard, and the ways home with what is missing to reckon them', async () => {
    show(<LoadSection />, { trip: FOUR });
    expect(
      await screen.findByText(/^With a rescued 90 kg low in the middle \d+ cm of freeboard is left/),
    ).toBeTruthy();
    expect(screen.getByRole('list', { name: 'Ways home' }).textContent).toMatch(/outboard.*kn · [\d.]+ nm/);
  });
  test('without length and beam she is not drawn, and the way to her page is shown', async () => {
    Object.assign(doc(PLOVER), { beam: undefined });
    show(<LoadSection />, { trip: FOUR });
    expect(await screen.findByText(/Length and beam are needed/)).toBeTruthy();
  });
});

test('the time that is left is told whole', () => {
  const says = saysTo({ units: 'metric', zone: 'UTC', locale: 'en-GB' });
  const told = (swamped: number) => leakWord({ inflow: 0.001, aboard: 1, end: 'swamped', swamped }, says);
  expect([20, 60, 600, 1800, 7200].map(told)).toEqual([
    'under a minute to swamped',
    '1 min to swamped',
    '10 min to swamped',
    '30 min to swamped',
    '2 h 00 to swamped',
  ]);
});

describe('a new boat', () => {
  test('kind, likeness, name: added with every figure a guess; without a name nothing is sent', async () => {
    at({
      type: 'boat',
      id: 'new',
      trip: FOUR.split('/').at(-1)!,
      back: `/trips/${FOUR.split('/').at(-1)}/plan/boat`,
    });
    show(<ThingPage />);
    await user.click(await screen.findByRole('radio', { name: 'Canoe' }));
    await user.click(screen.getByRole('radio', { name: /^Canoe for two/ }));
    const add = screen.getByRole('button', { name: 'Add her' });
    expect(add.getAttribute('aria-disabled')).toBe('true');
    // It is come to by Tab, and says why it can't act.
    add.focus();
    await user.keyboard('{Enter}');
    expect(screen.getByText('First give her a name.')).toBeTruthy();
    expect(server.sent).toHaveLength(0);
    await user.type(screen.getByLabelText('Her name'), 'Heron');
    await user.click(screen.getByRole('button', { name: 'Add her' }));
    await waitFor(() =>
      expect(
        server.things.some((h) => h.type === 'boat' && (h.doc as { name: string }).name === 'Heron'),
      ).toBe(true),
    );
    const made = server.things.find((h) => (h.doc as { name?: string }).name === 'Heron')!.doc as {
      basis: Record<string, string>;
      length: number;
    };
    expect(made.basis['/length']).toBe('guessed');
    // Asked for by a trip it is used on that trip, and leads back to it.
    expect(visited.at(-1)).toMatch(/\/plan\/boat$/);
    const { id } = made as unknown as { id: string };
    await waitFor(() => expect(doc(FOUR.split('/').at(-1)!)).toMatchObject({ boat: id }));
  });
  test('her page shows where to measure; "measured" is kept, and a changed value is a guess no more', async () => {
    Object.assign(doc(SPRAT), { basis: { '/length': 'guessed', '/beam': 'guessed' } });
    at({ type: 'boat', id: SPRAT });
    show(<ThingPage />);
    expect(await screen.findByRole('img', { name: /^Where to measure/ })).toBeTruthy();
    const beam = screen.getByRole('radiogroup', { name: 'How beam is known' });
    await user.click(within(beam).getByRole('radio', { name: 'Measured' }));
    await waitFor(() => expect((doc(SPRAT).basis as Record<string, string>)['/beam']).toBe('measured'));
    const length = screen.getByLabelText('Length over all, m');
    await user.clear(length);
    await user.type(length, '3.95');
    await user.tab();
    await waitFor(() => expect(doc(SPRAT)).toMatchObject({ length: 3.95, basis: { '/beam': 'measured' } }));
    expect(doc(SPRAT).basis).not.toHaveProperty('/length');
  });
  test('card and handover: what is not entered is asked for; entered once it stands on the card', async () => {
    Object.assign(doc(PLOVER), { controls: undefined });
    at({ boat: PLOVER });
    const card = show(<CardPage />);
    expect((await screen.findByRole('list', { name: 'Steps' })).textContent).toMatch(
      /how is not entered for this boat yet/,
    );
    card.unmount();
    const walk = show(<HandoverPage />);
    await user.click(
      within(await screen.findByRole('radiogroup', { name: 'Started by' })).getByRole('radio', {
        name: 'A key',
      }),
    );
    await waitFor(() => expect(doc(PLOVER).controls).toEqual({ start: 'key' }));
    walk.unmount();
    show(<CardPage />);
    await waitFor(() =>
      expect(screen.getByRole('list', { name: 'Steps' }).textContent).toMatch(/Turn the key/),
    );
  });
  test('a card of a boat that is not there says so', async () => {
    at({ boat: 'nobody' });
    show(<CardPage />);
    expect(await screen.findByText('No such boat')).toBeTruthy();
  });
});

describe('crew and company', () => {
  test('today and who watches whom are said on the crew’s cards, and taken back', async () => {
    show(<BoatSection />, { trip: FOUR });
    const card = await screen.findByRole('group', { name: 'Bram Tolley' });
    await user.click(within(card).getByRole('button', { name: 'More about Bram Tolley' }));
    await user.click(within(card).getByRole('radio', { name: 'Tired' }));
    await waitFor(() => expect(crew()[3].today).toBe('tired'));
    await user.click(within(card).getByRole('radio', { name: 'Tired' }));
    await waitFor(() => expect(crew()[3].today).toBeUndefined());
    await user.click(
      within(within(card).getByRole('radiogroup', { name: 'Bram Tolley keeps an eye on' })).getByRole(
        'radio',
        { name: 'Tilda Pike' },
      ),
    );
    await waitFor(() => expect(crew()[3].buddy).toBe('01890000-0000-7000-8000-000000000003'));
  });
  test('boats in company are listed with what each can tow', async () => {
    Object.assign(doc(FOUR), {
      company: [{ boat: SPRAT, people: ['01890000-0000-7000-8000-000000000001'] }],
    });
    show(<BoatSection />, { trip: FOUR });
    const list = await screen.findByRole('list', { name: 'Who can tow whom' });
    expect(
      within(list)
        .getAllByRole('listitem')
        .map((r) => r.textContent),
    ).toEqual([
      expect.stringMatching(/^Plover, 4 aboard.*with one in tow/),
      expect.stringMatching(/^Sprat, 1 aboard/),
    ]);
  });
});
