import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { fresh, type fakeServer, show } from '../../test/world';
import { Exchange } from './exchange';

const user = userEvent.setup({ delay: null });
let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  server = await fresh();
});

/** The picker makes an input of its own in the page; a file is put into it as a person would. */
async function pick(text: string): Promise<void> {
  await user.click(screen.getByRole('button', { name: 'Load a file' }));
  const input = await waitFor(() => {
    const found = document.querySelector<HTMLInputElement>('input[type=file]');
    if (!found) throw new Error('no picker yet');
    return found;
  });
  const file = new File([text], 'shed.json', { type: 'application/json' });
  Object.defineProperty(file, 'text', { value: () => Promise.resolve(text) });
  await user.upload(input, file);
}

test('a file that is no JSON is told before anything is sent', async () => {
  show(<Exchange />);
  await pick('{');
  expect((await screen.findByRole('alert')).textContent).toContain('no JSON. Nothing was changed.');
  expect(server.sent).toEqual([]);
});

test('what the server refuses is said line by line', async () => {
  server.refuse = { status: 422, title: 'This file can’t be taken. Nothing was changed.' };
  show(<Exchange />);
  await pick('{"escale":"bundle"}');
  expect((await screen.findByRole('alert')).textContent).toContain(
    'This file can’t be taken. Nothing was changed.',
  );
});
