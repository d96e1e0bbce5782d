import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Trip } from '@escale/core/model';
import { fresh, type fakeServer, show } from '../../test/world';
import { at } from '../../test/router';
import { ShareBlock } from './share-block';

const LAMP = '01890000-0000-7000-8000-000000000056';
const GULL = '01890000-0000-7000-8000-000000000006';
let server: ReturnType<typeof fakeServer>;
const trip = () => server.things.find((h) => h.id === LAMP)!.doc as Trip;
beforeEach(async () => {
  server = await fresh();
  at({ id: LAMP });
});
const user = userEvent.setup({ delay: null });
const withGull = () =>
  Object.assign(
    server.things.find((h) => h.id === LAMP)!,
    {
      doc: { ...trip(), company: [{ boat: GULL, people: [] }] },
    },
  );

test('one boat: nothing to share out', () => {
  const { container } = show(<ShareBlock />, { trip: LAMP });
  expect(container.querySelector('[data-drop]')).toBeNull();
});

test('moved by the list, shared out evenly, and undone with all that was said of them', async () => {
  withGull();
  const before = trip().crew;
  show(<ShareBlock />, { trip: LAMP });
  expect(await screen.findByText('Nobody is in Grey Gull.')).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'By list' }));
  const choice = screen.getByRole('radiogroup', { name: 'Tilda Pike goes in' });
  await user.click(within(choice).getByRole('radio', { name: 'Grey Gull' }));
  await waitFor(() => expect(trip().company?.[0].people).toHaveLength(1));
  expect(trip().crew).toHaveLength(3);
  expect(await screen.findByText(/^Nobody in Grey Gull is known to lead/)).toBeTruthy();
  await user.click(await screen.findByRole('button', { name: 'Undo' }));
  await waitFor(() => expect(trip().crew).toEqual(before));
  await user.click(screen.getByRole('button', { name: 'Share out evenly' }));
  await waitFor(() => expect(trip().company?.[0].people.length).toBeGreaterThan(0));
  // One who leads in each.
  expect(screen.queryByText(/is known to lead/)).toBeNull();
});
