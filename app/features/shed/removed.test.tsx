import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { RemovedThing } from '@escale/core/model';
import { fresh, type fakeServer, NOW, show } from '../../test/world';
import { useSending } from '../../data/hooks';
import { plainly } from '../../data/settings';
import { keep, kept } from '../../data/store';
import { RemovedPage } from './removed-page';
import { REMOVED } from './words';

const ROWAN: RemovedThing = {
  id: '01890000-0000-7000-8000-000000000a01',
  type: 'person',
  version: 3,
  name: 'Rowan',
  at: NOW,
};
const PUMP: RemovedThing = {
  ...ROWAN,
  id: '01890000-0000-7000-8000-000000000a02',
  type: 'gear',
  name: 'Pump',
};
let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  server = await fresh();
  server.removed = [ROWAN, PUMP];
});
const user = userEvent.setup({ delay: null });
const press = async (name: string) => user.click(await screen.findByRole('button', { name }));

test('each can be put back: on top of its removal', async () => {
  show(<RemovedPage />);
  await press(`${REMOVED.back}: Pump`);
  await waitFor(() => expect(server.sent).toHaveLength(1));
  expect(server.sent[0].body).toMatchObject({ thing: PUMP.id, baseVersion: 3, deed: { kind: 'restore' } });
});

test('erasing says first what goes and what stays, and can be let be', async () => {
  show(<RemovedPage />);
  await press(`${REMOVED.erase}: Rowan`);
  const asked = within(await screen.findByRole('dialog'));
  expect(asked.getByText(plainly(REMOVED.plans, { name: 'Rowan' }))).toBeTruthy();
  expect(asked.getByText(REMOVED.copies)).toBeTruthy();
  await press(REMOVED.no);
  await press(`${REMOVED.erase}: Pump`);
  expect(await screen.findByText(plainly(REMOVED.thing, { name: 'Pump' }))).toBeTruthy();
  await press(REMOVED.yes);
  expect((await screen.findByRole('status')).textContent).toBe(plainly(REMOVED.gone, { name: 'Pump' }));
  expect(server.sent.map((s) => [s.path, s.body])).toEqual([['/api/erase', { thing: PUMP.id }]]);
  await waitFor(() => expect(screen.queryByText('Pump')).toBeNull());
  expect(screen.getByText('Rowan')).toBeTruthy();
});

test('what stands against it is said, and the thing is still there', async () => {
  server.refuse = { status: 409, title: 'A float plan that is open names this.' };
  show(<RemovedPage />);
  await press(`${REMOVED.erase}: Rowan`);
  await press(REMOVED.yes);
  expect((await screen.findByRole('alert')).textContent).toBe(
    'Rowan was not erased. A float plan that is open names this.',
  );
  server.refuse = undefined;
  server.up = false;
  await press(`${REMOVED.erase}: Rowan`);
  await press(REMOVED.yes);
  expect(await screen.findByText(`Rowan was not erased. ${REMOVED.unheard}`)).toBeTruthy();
  expect(server.removed).toHaveLength(2);
});

test('nothing removed says what would stand here', async () => {
  server.removed = [];
  show(<RemovedPage />);
  expect(await screen.findByText(REMOVED.noneWhy)).toBeTruthy();
});

test('what was erased on another device is forgotten on this one', async () => {
  const Sends = () => {
    useSending();
    return null;
  };
  await keep('/api/plans/an-old-one', { sheet: 'Rowan, 64 kg' });
  server.erased = 1;
  show(<Sends />);
  await waitFor(async () => expect(await kept('/api/plans/an-old-one')).toBeUndefined());
  // Known by now: what is kept from here on stays.
  await keep('/api/plans/another', { sheet: 'x' });
  show(<Sends />);
  await waitFor(async () => expect(await kept('/api/things')).toBeTruthy());
  expect(await kept('/api/plans/another')).toBeTruthy();
});
