import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { fresh, type fakeServer, show } from '../../test/world';
import { at, visited } from '../../test/router';
import { ShedPage } from './shed-page';
import { ThingPage } from './thing-page';

let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  server = await fresh();
  visited.length = 0;
});
const user = userEvent.setup({ delay: null });
const WHISTLE = '01890000-0000-7000-8000-000000000013';
const doc = (id: string) =>
  server.things.find((h) => h.id === id)?.doc as unknown as Record<string, unknown> | undefined;

test('shelves list what is there, with what matters of each', async () => {
  at({});
  show(<ShedPage />);
  expect(await screen.findByRole('link', { name: 'Sprat. Sit-on-top kayak' })).toBeTruthy();
  expect(
    screen.getByRole('link', { name: /^Old hand flare\. in reach of the seat · ended 10 Feb 2026/ }),
  ).toBeTruthy();
});

test('a person is added by the form of the schema; what is missing is told at its field', async () => {
  at({ type: 'person', id: 'new' });
  show(<ThingPage />);
  await user.click(await screen.findByRole('button', { name: 'Add' }));
  expect(await screen.findByText('Name: is needed')).toBeTruthy();
  await user.type(screen.getByLabelText('Name'), 'Ines');
  await user.type(screen.getByLabelText('Weight, kg'), '61');
  await user.click(screen.getByRole('radio', { name: 'Weak' }));
  await user.click(screen.getByRole('button', { name: 'Add' }));
  await waitFor(() =>
    expect(server.things.find((h) => (h.doc as { name?: string }).name === 'Ines')?.doc).toMatchObject({
      mass: 61,
      swimming: 'weak',
    }),
  );
  expect(visited.at(-1)).toMatch(/^\/shed\/person\//);
});

test('kit for a requirement starts from its kind and leads back to the trip', async () => {
  at({ type: 'gear', id: 'new', kind: 'horn', back: '/trips/x/pack/kit' });
  show(<ThingPage />);
  expect(await screen.findByDisplayValue('Horn')).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Add' }));
  await waitFor(() => expect(visited.at(-1)).toBe('/trips/x/pack/kit'));
});

test('a field is saved as it is left; emptied, it is unknown again', async () => {
  at({ type: 'gear', id: WHISTLE });
  show(<ThingPage />);
  await user.click(await screen.findByRole('button', { name: /^Label and tests/ }));
  const approval = await screen.findByLabelText('Approval on the label');
  await user.type(approval, 'none');
  await user.tab();
  await waitFor(() => expect(doc(WHISTLE)?.approval).toBe('none'));
  await user.clear(approval);
  await user.tab();
  await waitFor(() => expect(doc(WHISTLE)).not.toHaveProperty('approval'));
  const expires = screen.getByLabelText('Ends');
  // A day that does not exist can't be typed: the browser's own field has no such value.
  fireEvent.change(expires, { target: { value: '2027-02-31' } });
  fireEvent.blur(expires);
  expect(doc(WHISTLE)).not.toHaveProperty('expires');
  fireEvent.change(expires, { target: { value: '2027-02-28' } });
  fireEvent.blur(expires);
  await waitFor(() => expect(doc(WHISTLE)?.expires).toBe('2027-02-28'));
});

test('removed with a way back', async () => {
  at({ type: 'gear', id: WHISTLE });
  show(<ThingPage />);
  await user.click(await screen.findByRole('button', { name: 'Remove Whistle' }));
  await waitFor(() => expect(server.things.find((h) => h.id === WHISTLE)?.deleted).toBe(true));
  await user.click(await screen.findByRole('button', { name: 'Undo' }));
  await waitFor(() => expect(server.things.find((h) => h.id === WHISTLE)?.deleted).toBe(false));
});

test('the plate: "none" is a fact, not a blank', async () => {
  at({ type: 'boat', id: '01890000-0000-7000-8000-000000000007' });
  show(<ThingPage />);
  await user.click(
    within(await screen.findByRole('radiogroup', { name: 'Capacity plate' })).getByRole('radio', {
      name: 'None',
    }),
  );
  await waitFor(() => expect(doc('01890000-0000-7000-8000-000000000007')?.plate).toBe('none'));
});

test('the pack’s question about the water is asked on the water’s page', async () => {
  at({ type: 'water', id: '01890000-0000-7000-8000-000000000046', at: '/answers/us-signal-waters' });
  show(<ThingPage />);
  const group = await screen.findByRole('radiogroup', { name: /entrance two miles wide/ });
  await user.click(group.querySelector('[aria-label="Yes"]')!);
  await waitFor(() =>
    expect(doc('01890000-0000-7000-8000-000000000046')?.answers).toEqual({ 'us-signal-waters': true }),
  );
});

describe('whose rules hold', () => {
  const WATER = () => server.things.find((h) => h.type === 'water')!;
  const doc = () => WATER().doc as unknown as Record<string, unknown>;
  test('a guess is confirmed by one tap; “none of these” is an answer, and can be taken back', async () => {
    Object.assign(doc(), { jurisdiction: ['IE'], basis: { '/jurisdiction': 'guessed' } });
    at({ type: 'water', id: WATER().id });
    show(<ThingPage />);
    expect(await screen.findByText(/Guessed from the time zone: Ireland/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'It is so' }));
    await waitFor(() => expect(doc().basis).toEqual({ '/jurisdiction': 'stated' }));
    expect(screen.queryByText(/Guessed from the time zone/)).toBeNull();
    await user.click(screen.getByRole('checkbox', { name: 'None of these' }));
    await waitFor(() =>
      expect(doc()).toMatchObject({ jurisdiction: [], basis: { '/jurisdiction': 'stated' } }),
    );
    await user.click(screen.getByRole('checkbox', { name: 'None of these' }));
    await waitFor(() => expect(doc().basis).not.toHaveProperty('/jurisdiction'));
  });
  test('a water of which nothing was said yet takes a list, and that is said', async () => {
    Object.assign(doc(), { jurisdiction: [] });
    delete doc().basis;
    at({ type: 'water', id: WATER().id });
    show(<ThingPage />);
    await user.click(await screen.findByRole('checkbox', { name: /^Canada/ }));
    await waitFor(() =>
      expect(doc()).toMatchObject({ jurisdiction: ['CA'], basis: { '/jurisdiction': 'stated' } }),
    );
  });
});
