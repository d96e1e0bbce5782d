import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { fresh, type fakeServer, NOW, show } from '../../test/world';
import { at } from '../../test/router';
import { DevicesPage } from './devices-page';
import { GuestLink } from './guest-link';
import { DEVICES, DOOR } from './words';

let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  server = await fresh();
  server.devices = [
    { id: 'a'.repeat(43), name: 'Rowan’s phone', since: NOW, seen: NOW, here: true },
    { id: 'b'.repeat(43), name: 'Old phone', since: NOW, seen: NOW },
  ];
  at({});
});
const user = userEvent.setup({ delay: null });
const last = () => server.sent.at(-1);

test('who is in: this one is named, another is thrown out, asked once more', async () => {
  show(<DevicesPage />);
  const name = await screen.findByRole('textbox', { name: DEVICES.name });
  await user.clear(name);
  await user.type(name, 'The blue phone');
  await user.click(screen.getByRole('button', { name: DEVICES.save }));
  await waitFor(() =>
    expect(last()).toEqual({ path: `/api/door/devices/${'a'.repeat(43)}`, body: { name: 'The blue phone' } }),
  );
  await user.click(screen.getByRole('button', { name: 'Throw Old phone out' }));
  expect(screen.getByText(DEVICES.outFollows)).toBeTruthy();
  await user.click(screen.getByRole('button', { name: DEVICES.outYes }));
  await waitFor(() => expect(last()?.path).toBe(`/api/door/devices/${'b'.repeat(43)}/end`));
});

test('another phone is let in by a code, and is told where that leads nowhere', async () => {
  show(<DevicesPage />);
  await user.click(await screen.findByRole('button', { name: DOOR.make }));
  expect(await screen.findByRole('img', { name: DOOR.codeIs })).toBeTruthy();
  expect(screen.getByText(server.address)).toBeTruthy();
  expect(screen.getByText(DOOR.here)).toBeTruthy();
});

test('without the server nobody is said to be in', async () => {
  server.up = false;
  show(<DevicesPage />);
  expect(await screen.findByText(DEVICES.failed)).toBeTruthy();
});

test('somebody is asked themselves, by a link of their own', async () => {
  show(<GuestLink person={{ id: '01890000-0000-7000-8000-000000000001', name: 'Rowan Pike' }} />);
  await user.click(screen.getByRole('button', { name: 'A link for Rowan Pike' }));
  expect(await screen.findByRole('img', { name: 'The link of Rowan Pike as a code' })).toBeTruthy();
  expect(last()?.body).toEqual({ person: '01890000-0000-7000-8000-000000000001' });
  await user.click(screen.getByRole('button', { name: 'Copy the link' }));
  expect(await navigator.clipboard.readText()).toBe('https://plans.example/g/abc');
});
