import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { fresh, type fakeServer, show } from '../../test/world';
import { at, visited } from '../../test/router';
import { setSetting } from '../../data/store';
import type { Run } from '@escale/core/model';
import { RunPage } from './run-page';

const LAMP = '01890000-0000-7000-8000-000000000056';
let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  server = await fresh();
  visited.length = 0;
  await setSetting('whose-phone', '');
  at({ id: LAMP, procedure: 'ramp-launch' });
});
const user = userEvent.setup({ delay: null });
const runs = () => server.things.filter((h) => h.type === 'run' && !h.deleted).map((h) => h.doc as Run);

test('two people share a launch: who does what is kept with the run, and each phone shows its own', async () => {
  show(<RunPage />, { trip: LAMP });
  const helper = await screen.findByRole('radiogroup', { name: 'Who is Helper' });
  expect((within(helper).getByRole('radio', { name: 'Maren Pike' }) as HTMLInputElement).checked).toBe(true);
  await user.click(within(helper).getByRole('radio', { name: 'Bram Tolley' }));
  const phone = screen.getByRole('radiogroup', { name: 'Whose phone is this?' });
  await user.click(within(phone).getByRole('radio', { name: 'Bram Tolley' }));
  await user.click(screen.getByRole('button', { name: 'Begin' }));
  await waitFor(() => expect(runs()).toHaveLength(1));
  const { hands } = runs()[0];
  expect(hands?.map((h) => [h.who, h.person.slice(-2)])).toEqual([
    ['Driver', '01'],
    ['Helper', '04'],
  ]);
  // What was forgotten before is everybody's; then the driver's walk down the ramp is left to the driver.
  for (const forgotten of await screen.findAllByRole('heading', {
    level: 2,
    name: /^Hold it in your hand/,
  })) {
    await user.click(screen.getByRole('button', { name: 'Done' }));
    await waitFor(() => expect(forgotten.isConnected).toBe(false));
  }
  expect(await screen.findByRole('heading', { level: 2 })).toBeTruthy();
  expect(screen.queryByRole('heading', { level: 2, name: /^Walk down the ramp/ })).toBeNull();
});

test('two phones that began apart are one run; both are ended', async () => {
  const run = (n: string, step: string): Run => ({
    id: `01890000-0000-7000-8000-0000000000${n}`,
    procedure: 'ramp-launch',
    trip: LAMP,
    startedAt: `2026-05-11T14:00:0${n[1]}.000Z`,
    ticks: [{ step, at: '2026-05-11T14:10:00.000Z', by: n }],
  });
  for (const doc of [run('91', 'look'), run('92', 'load')])
    server.things.push({ id: doc.id, type: 'run', version: 1, deleted: false, doc } as never);
  show(<RunPage />, { trip: LAMP });
  expect(await screen.findByText(/^2 of \d+ done$/)).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Done' }));
  await waitFor(() => expect(runs().map((each) => each.ticks.length)).toEqual([2, 1]));
});

test('a device without a voice says so; the cards of trouble are one tap away', async () => {
  show(<RunPage />, { trip: LAMP });
  await user.click(await screen.findByRole('button', { name: 'Begin' }));
  await user.click(await screen.findByRole('button', { name: 'Read aloud' }));
  expect(screen.getByText('This device has no voice of its own to read with.')).toBeTruthy();
  await user.click(screen.getByRole('link', { name: 'Trouble' }));
  expect(visited.at(-1)).toBe(`/trips/${LAMP}/go/trouble`);
});
