import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { GearItem } from '@escale/core/model';
import { at } from '../../test/router';
import { fresh, show, type fakeServer } from '../../test/world';
import { LockerPage } from './locker-page';

let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  server = await fresh();
  at({});
});
const user = userEvent.setup({ delay: null });
const named = (name: string) =>
  server.things
    .filter((h) => h.type === 'gear' && (h.doc as { name: string }).name === name)
    .map((h) => h.doc as unknown as GearItem);
const press = (name: string | RegExp) => user.click(screen.getByLabelText(name));

test('found by words and by state; how many are told', async () => {
  show(<LockerPage />);
  await screen.findByLabelText(/^Red jacket/);
  await user.type(screen.getByLabelText('Find by name, kind, owner, lender'), 'rowan jacket');
  await waitFor(() => expect(screen.queryByLabelText(/^Blue jacket/)).toBeNull());
  expect(screen.getByLabelText(/^Red jacket/)).toBeTruthy();
  await user.clear(screen.getByLabelText('Find by name, kind, owner, lender'));
  await user.click(screen.getByLabelText(/^Failed \d/));
  expect(await screen.findByLabelText(/^Old orange jacket/)).toBeTruthy();
  expect(screen.queryByLabelText(/^Red jacket/)).toBeNull();
});

test('changed where it stands; lent with a day, and back', async () => {
  show(<LockerPage />);
  await screen.findByLabelText(/^Air horn/);
  await press(/^Air horn/);
  await user.selectOptions(screen.getByLabelText('Travels: Air horn'), 'hatch');
  await waitFor(() => expect(named('Air horn')[0].stowage).toBe('hatch'));
  await press('One more: Air horn');
  await waitFor(() => expect(named('Air horn')[0].count).toBe(2));
  await press('Lend it: Air horn');
  expect(await screen.findByText('First write to whom.')).toBeTruthy();
  await user.type(screen.getByLabelText('Lent to: Air horn'), 'Bram');
  await user.type(screen.getByLabelText('Back by: Air horn'), '2026-05-20');
  await press('Lend it: Air horn');
  await waitFor(() =>
    expect(named('Air horn')[0]).toMatchObject({
      lentTo: 'Bram',
      lentOn: '2026-05-11',
      backBy: '2026-05-20',
    }),
  );
  await user.click(await screen.findByLabelText('It is back: Air horn'));
  await waitFor(() => expect(named('Air horn')[0]).not.toHaveProperty('lentTo'));
});

test('what was found is copied as a set, for a boat, and nobody has looked at the copies', async () => {
  show(<LockerPage />);
  await screen.findByLabelText(/^Red jacket/);
  await user.type(screen.getByLabelText('Find by name, kind, owner, lender'), 'red jacket');
  await waitFor(() => expect(screen.queryByLabelText(/^Blue jacket/)).toBeNull());
  await press(/^Copy these as a set/);
  const whom = screen.getByLabelText('For whom');
  await user.selectOptions(whom, within(whom).getByText('Plover'));
  await press('Copy 1');
  expect(await screen.findByText('1 added. Look at them.')).toBeTruthy();
  await waitFor(() => expect(named('Red jacket')).toHaveLength(2));
  expect(named('Red jacket')[1]).toMatchObject({
    state: 'unknown',
    fittedTo: '01890000-0000-7000-8000-000000000007',
  });
});

test('five hundred things: sixty at first, the rest by a press', async () => {
  const one = named('Air horn')[0];
  for (let i = 0; i < 449; i += 1)
    server.things.push({
      id: `01890000-0000-7000-9000-${String(i).padStart(12, '0')}`,
      type: 'gear',
      version: 1,
      deleted: false,
      doc: { ...one, id: `01890000-0000-7000-9000-${String(i).padStart(12, '0')}`, name: `Thing ${i}` },
    } as unknown as (typeof server.things)[number]);
  show(<LockerPage />);
  expect(await screen.findByText('500 of 500')).toBeTruthy();
  await press('Show more (440 left)');
  expect(await screen.findByLabelText('Show more (380 left)')).toBeTruthy();
  await user.type(screen.getByLabelText('Find by name, kind, owner, lender'), 'thing 448');
  expect(await screen.findByText('1 of 500')).toBeTruthy();
});
