import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { fresh, type fakeServer, show } from '../../test/world';
import { Exchange } from './exchange';
import { SHED } from './words';

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

test('what a file would change is seen before anything is, a contact’s number named; left, nothing is sent', async () => {
  server.changes = [
    {
      type: 'contact',
      id: 'a',
      name: 'Ada Tolley',
      what: 'changed',
      fields: [{ field: 'phone', was: '555 0177', is: '555 9999' }],
    },
    { type: 'gear', id: 'b', name: 'A whistle', what: 'added', fields: [] },
  ];
  show(<Exchange />);
  await pick('{"escale":"bundle"}');
  expect(await screen.findByText(SHED.whoIsRung)).toBeTruthy();
  expect(screen.getByText('Phone: 555 0177 becomes 555 9999')).toBeTruthy();
  expect(screen.getByText('A whistle: new')).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Leave it' }));
  expect(server.sent.map((s) => s.path)).toEqual(['/api/import/preview']);
  await pick('{"escale":"bundle"}');
  await user.click(await screen.findByRole('button', { name: 'Take it in' }));
  await waitFor(() => expect(server.sent.at(-1)?.path).toBe('/api/import'));
});
