import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { PlanView } from '@escale/core/model';
import { fresh, type fakeServer, NOW, show } from '../../test/world';
import { setSettings } from '../../data/settings';
import { InstallHint, RemindHere } from '../device/install';
import { Reminders } from './reminders';

let server: ReturnType<typeof fakeServer>;
const shown = jest.fn();
let leave: NotificationPermission = 'granted';
beforeEach(async () => {
  server = await fresh();
  shown.mockReset();
  leave = 'granted';
  const Fake = Object.assign(
    function (title: string, options: { body: string }) {
      shown(title, options.body);
    },
    { requestPermission: () => Promise.resolve(leave) },
  );
  Object.defineProperty(Fake, 'permission', { get: () => leave });
  Object.defineProperty(globalThis, 'Notification', { value: Fake, configurable: true });
  Object.defineProperty(navigator, 'serviceWorker', { value: undefined, configurable: true });
  await setSettings({ remind: false, hinted: false });
});
const user = userEvent.setup({ delay: null });
const plan = (id: string, turnBack: number) =>
  ({
    id,
    trip: 't',
    title: 'Tern Holm',
    zone: 'UTC',
    state: 'under-way',
    times: { leave: NOW - 36e5, turnBack, home: NOW + 36e5, overdue: NOW + 72e5, checkIns: [] },
    contacts: [],
    events: [],
  }) as unknown as PlanView;

test('who asked for it is reminded when the hour comes, once; what passed while it slept is not', async () => {
  server.plans.push(plan('01890000-0000-7000-9000-0000000000a1', NOW - 60_000));
  server.plans.push(plan('01890000-0000-7000-9000-0000000000a2', NOW - 36e5));
  await setSettings({ remind: true });
  const first = show(<Reminders />);
  await waitFor(() => expect(shown).toHaveBeenCalledTimes(1));
  expect(shown).toHaveBeenCalledWith(
    'Tern Holm',
    expect.stringMatching(/turn back now, to be home at 16:00/),
  );
  first.unmount();
  show(
    <>
      <Reminders />
      <RemindHere />
    </>,
  );
  await screen.findByRole('button', { name: 'No more reminders here' });
  expect(shown).toHaveBeenCalledTimes(1);
});
test('nobody is asked before they press, and the truth stands beside it', async () => {
  show(<RemindHere />);
  expect(await screen.findByText(/only while Escale is open/)).toBeTruthy();
  leave = 'denied';
  await user.click(screen.getByRole('button', { name: 'Remind me on this device' }));
  expect((await screen.findByRole('status')).textContent).toMatch(/calendar instead/);
  leave = 'granted';
  await user.click(screen.getByRole('button', { name: 'Remind me on this device' }));
  expect(await screen.findByRole('button', { name: 'No more reminders here' })).toBeTruthy();
});
test('the hint to keep it is read once', async () => {
  const first = show(<InstallHint />);
  await user.click(await screen.findByRole('button', { name: 'Not again' }));
  await waitFor(() => expect(screen.queryByRole('group')).toBeNull());
  first.unmount();
  show(<InstallHint />);
  expect(screen.queryByRole('group', { name: /Keep Escale/ })).toBeNull();
});
