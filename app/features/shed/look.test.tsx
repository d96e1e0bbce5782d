import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { GearItem } from '@escale/core/model';
import { fresh, type fakeServer, show } from '../../test/world';
import { visited } from '../../test/router';
import { LookPage } from './look-page';
import { StartingSet } from './starting-set';

let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  server = await fresh();
  visited.length = 0;
});
const user = userEvent.setup({ delay: null });
const gear = () => server.things.filter((h) => h.type === 'gear').map((h) => h.doc as unknown as GearItem);

test('a set is put in the locker and looked at on one page: what is ticked counts from today, the rest stays open', async () => {
  const rest = server.things.filter((h) => h.type !== 'gear');
  server.things.splice(0, server.things.length, ...rest);
  const set = show(<StartingSet />);
  await user.click(await screen.findByRole('button', { name: 'Start from a set' }));
  await user.click(screen.getAllByRole('radio')[0]);
  await user.click(await screen.findByRole('button', { name: /^Add [1-9]/ }));
  await waitFor(() => expect(visited.at(-1)).toBe('/shed/look'));
  const many = gear().length;
  expect(many).toBeGreaterThan(8);
  expect(gear().every((g) => g.state === 'unknown')).toBe(true);
  set.unmount();
  show(<LookPage />);
  await user.click(await screen.findByRole('button', { name: 'All of these are in order' }));
  const [left] = screen.getAllByRole('checkbox');
  const name = left.getAttribute('aria-label')!;
  await user.click(left);
  await user.selectOptions(screen.getByLabelText(`Where ${name} travels`), 'buried');
  await user.click(screen.getByRole('button', { name: `Looked at and in order: ${many - 1}` }));
  await waitFor(() => expect(gear().filter((g) => g.state === 'ready')).toHaveLength(many - 1));
  const open = gear().filter((g) => g.state !== 'ready');
  expect(open).toMatchObject([{ name, state: 'unknown', stowage: 'buried' }]);
  // What has a test is on record as tested today.
  expect(gear().filter((g) => g.tests?.length === 1 && g.inspected === '2026-05-11').length).toBeGreaterThan(
    0,
  );
  expect(await screen.findAllByRole('checkbox')).toHaveLength(1);
});
