import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import * as speech from 'expo-speech';
import { fresh, show } from '../../test/world';
import { at } from '../../test/router';
import { RunPage } from './run-page';

jest.mock('expo-speech', () => ({
  getAvailableVoicesAsync: jest.fn(),
  speak: jest.fn(),
  stop: jest.fn(async () => undefined),
}));
const voices = (...all: { identifier: string; localService: boolean; language: string }[]) =>
  (speech.getAvailableVoicesAsync as jest.Mock).mockResolvedValue(all);
const LAMP = '01890000-0000-7000-8000-000000000056';
beforeEach(async () => {
  await fresh();
  jest.clearAllMocks();
  Object.defineProperty(window, 'speechSynthesis', { value: {}, configurable: true });
  at({ id: LAMP, procedure: 'ramp-launch' });
});
const user = userEvent.setup({ delay: null });

test('a step is read by the voice of the device, never by one of a service; the next one after it; and hushed', async () => {
  voices(
    { identifier: 'service', localService: false, language: 'en-GB' },
    { identifier: 'own', localService: true, language: 'en-GB' },
  );
  show(<RunPage />, { trip: LAMP });
  await user.click(await screen.findByRole('button', { name: 'Begin' }));
  await user.click(await screen.findByRole('button', { name: 'Read aloud' }));
  await waitFor(() => expect(speech.speak).toHaveBeenCalledTimes(1));
  const [said, { voice }] = (speech.speak as jest.Mock).mock.calls[0] as [string, { voice: string }];
  expect([said, voice]).toEqual([expect.stringContaining('Hold it in your hand'), 'own']);
  await user.click(screen.getByRole('button', { name: 'Done' }));
  await waitFor(() => expect(speech.speak).toHaveBeenCalledTimes(2));
  await user.click(await screen.findByRole('button', { name: 'Stop reading' }));
  expect(await screen.findByRole('button', { name: 'Read aloud' })).toBeTruthy();
});

test('with none but a service’s voice nothing is read, and it says so', async () => {
  voices({ identifier: 'service', localService: false, language: 'en-GB' });
  show(<RunPage />, { trip: LAMP });
  await user.click(await screen.findByRole('button', { name: 'Begin' }));
  await user.click(await screen.findByRole('button', { name: 'Read aloud' }));
  expect(screen.getByText('This device has no voice of its own to read with.')).toBeTruthy();
  expect(speech.speak).not.toHaveBeenCalled();
});
