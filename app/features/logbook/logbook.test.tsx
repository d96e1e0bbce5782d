import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Boat, Debrief, Trip } from '@escale/core/model';
import { at, visited } from '../../test/router';
import { fresh, type fakeServer, show, TRIP } from '../../test/world';
import { fetchProcedures } from '../../data/procedures';
import { EnvelopePage, LogbookPage, LogbookPaper } from './pages';

const SPRAT = '01890000-0000-7000-8000-000000000005';
let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  server = await fresh();
  await fetchProcedures();
  at({});
});
const user = userEvent.setup({ delay: null });
const docs = <T,>(type: string) => server.things.filter((h) => h.type === type).map((h) => h.doc as T);

describe('the logbook', () => {
  test('sums what was told, says what is not in the sum, and shows what each boat taught', async () => {
    show(<LogbookPage />);
    const sums = within(await screen.findByRole('group', { name: 'In all' }));
    expect(sums.getByText('9')).toBeTruthy();
    expect(sums.getByText('1 trip without hours, not in the sum.')).toBeTruthy();
    expect(screen.getByRole('img', { name: 'Sprat: speed against wind, 8 trips' })).toBeTruthy();
    expect(screen.getByText(/^In moderate winds 2\.\d kn, give or take 0\.\d kn: 6 trips/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: /^The same as a table/ }));
    expect(
      within(screen.getByRole('table', { name: 'Speed against wind' })).getAllByRole('row'),
    ).toHaveLength(9);
    // What is forgotten, the most first.
    expect(screen.getAllByText(/^4 times, last/).length).toBeGreaterThan(0);
  });
  test('what is learnt is refused for a boat, and taken back', async () => {
    show(<LogbookPage />);
    const she = () => docs<Boat>('boat').find(({ id }) => id === SPRAT);
    const group = within(await screen.findByRole('group', { name: 'What is learnt of Sprat' }));
    await user.click(group.getByRole('radio', { name: 'No, by what was said of her' }));
    await waitFor(() => expect(she()?.unlearnt).toBe(true));
    await user.click(group.getByRole('radio', { name: 'Yes' }));
    await waitFor(() => expect(she()).not.toHaveProperty('unlearnt'));
  });
  test('shows twenty trips and the next with a tap; each leads to its debrief', async () => {
    const [one] = docs<Debrief>('debrief').filter(({ met }) => met !== undefined);
    for (let i = 0; i < 30; i += 1) {
      const id = `01890000-0000-7000-8000-0000000f00${String(10 + i)}`;
      server.things.push({ id, type: 'debrief', version: 1, deleted: false, doc: { ...one, id } } as never);
    }
    show(<LogbookPage />);
    const list = await screen.findByRole('list', { name: 'The trips' });
    expect(within(list).getAllByRole('listitem')).toHaveLength(20);
    await user.click(screen.getByRole('button', { name: 'Show 19 more' }));
    expect(within(list).getAllByRole('listitem')).toHaveLength(39);
    await user.click(within(list).getAllByRole('link')[0]);
    expect(visited.at(-1)).toMatch(/\/home\/debrief$/);
  });
  test('an empty household is told what belongs here', async () => {
    server.things.splice(0);
    show(<LogbookPage />);
    expect(await screen.findByRole('heading', { name: 'No trip was told of yet' })).toBeTruthy();
    expect(screen.getByRole('button', { name: 'To the trips' })).toBeTruthy();
  });
  test('on paper every trip is a row', async () => {
    show(<LogbookPaper />);
    await waitFor(() => expect(screen.getAllByRole('row')).toHaveLength(10));
    const rows = screen.getAllByRole('row');
    expect(rows[0].textContent).toBe('DateTripBoatPeopleOutWayWindWaterOffKept');
  });
});

describe('the proven envelope', () => {
  test('by person and boat: what was done and what one step on would be', async () => {
    show(<EnvelopePage />);
    const table = within(await screen.findByRole('table', { name: 'Rowan Pike in Sprat' }));
    const cells = table.getAllByRole('row').map((row) => row.textContent);
    expect(cells).toContain('Off a landing1.6 nm2.4 nm');
    expect(cells).toContain('Windforce 4force 5');
    expect(cells).toContain('Coldest water9.0 °C4.0 °C');
    expect(screen.getAllByText('No debrief tells of a trip.')).toHaveLength(3);
  });
  test('of a trip that is a leap the smaller one before it is planned with a tap', async () => {
    for (const debrief of docs<Debrief>('debrief'))
      if (debrief.met) Object.assign(debrief.met, { off: 200, wind: 2, dark: false, company: true });
    at({ trip: TRIP });
    show(<EnvelopePage />);
    expect(await screen.findByText(/^It goes more than one step further\. A smaller one first/)).toBeTruthy();
    expect(screen.getByText('with another boat along')).toBeTruthy();
    const before = docs<Trip>('trip').length;
    await user.click(screen.getByRole('button', { name: 'Plan that trip' }));
    await waitFor(() => expect(docs<Trip>('trip')).toHaveLength(before + 1));
    const made = docs<Trip>('trip').at(-1);
    expect(made?.title).toBe('Before Tern Holm, at dawn');
    expect(made?.limits.off).toBeCloseTo(200 + 926, 6);
    expect(visited.at(-1)).toBe(`/trips/${String(made?.id)}/plan/day`);
  });
  test('of a trip within it that is said, and of what nothing is on record', async () => {
    at({ trip: TRIP });
    const { unmount } = show(<EnvelopePage />);
    expect(await screen.findByText('It stays within what all of you have done.')).toBeTruthy();
    unmount();
    for (const held of server.things) if (held.type === 'debrief') held.deleted = true;
    server = await fresh();
    server.things.splice(0, server.things.length, ...server.things.filter(({ type }) => type !== 'debrief'));
    show(<EnvelopePage />);
    expect(await screen.findByText(/^Nothing is on record of some of you/)).toBeTruthy();
  });
});
