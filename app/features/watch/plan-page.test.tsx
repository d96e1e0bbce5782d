import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { PlanView } from '@escale/core/model';
import { fresh, type fakeServer, NOW, show, TRIP } from '../../test/world';
import { at } from '../../test/router';
import { PlanPage } from './plan-page';
import { WatchPage } from './watch-page';
import { DRIFT, WAYS } from './words';

const H = 3_600_000;
const ID = '01890000-0000-7000-8000-0000000000aa';
const plan = (more: Partial<PlanView> = {}): PlanView => ({
  id: ID,
  trip: TRIP,
  version: 1,
  title: 'Sallow Water, Tue 12 May',
  state: 'under-way',
  zone: 'UTC',
  times: { leave: NOW - H, home: NOW + 2 * H, overdue: NOW + 2.5 * H, alarm: NOW + 3 * H, checkIns: [] },
  contacts: [
    { id: 'c', name: 'Ada Tolley', accepted: true },
    { id: 'd', name: 'Bo Marsh', accepted: false, acting: NOW },
  ],
  sheet: {
    title: 'Sallow Water, Tue 12 May',
    filedAt: new Date(NOW).toISOString(),
    zone: 'UTC',
    lines: [],
    expect: [],
    ifLate: [],
    read: 'to a sealed place',
    late: { ifLate: [], read: 'to Tern Holm' },
  },
  events: [{ seq: 1, plan: ID, kind: 'filed', at: NOW - 2 * H }],
  channel: 'real',
  ...more,
});
let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  server = await fresh();
  at({ id: ID });
});
const user = userEvent.setup({ delay: null });
const sent = () =>
  server.sent.filter((s) => s.path.endsWith('/deeds')).map((s) => s.body as Record<string, unknown>);

test('who hears what and when, the crew before anybody ashore; with two contacts, one after the other', async () => {
  server.plans = [plan()];
  show(<PlanPage />);
  const list = within(await screen.findByRole('list', { name: 'If nobody hears from you' }));
  expect(list.getAllByRole('listitem').map((row) => row.textContent)).toEqual([
    'Mon 11 May 16:45You are reminded that home is near',
    'Mon 11 May 17:00You are reminded to close the plan, or to say how much later',
    'Mon 11 May 17:30Ada Tolley is told: try to reach you, look for the car',
    'Mon 11 May 18:00Ada Tolley and Bo Marsh: the whole sheet, the number and the words to ring with',
  ]);
  expect(screen.getByText(/does not answer within ten minutes/)).toBeTruthy();
  expect(screen.getByText(/Bo Marsh has read it and acts/)).toBeTruthy();
});

test('help is asked for in two presses, with a word and without a position unless it is ticked', async () => {
  server.plans = [plan()];
  show(<PlanPage />);
  await user.click(await screen.findByRole('button', { name: 'We need help' }));
  const sheet = within(await screen.findByRole('dialog'));
  expect(sheet.getByText(/call for help first/)).toBeTruthy();
  await user.type(sheet.getByRole('textbox'), 'rudder gone');
  await user.click(sheet.getByRole('button', { name: 'Tell them now' }));
  await waitFor(() => expect(sent()).toMatchObject([{ kind: 'trouble', note: 'rudder gone' }]));
  expect(sent()[0].position).toBeUndefined();
});

test('what is sealed is opened by the crew’s own tap, asked once more', async () => {
  server.plans = [plan()];
  show(<PlanPage />);
  await user.click(await screen.findByRole('button', { name: 'Open what is sealed' }));
  await user.click(await screen.findByRole('button', { name: 'Open it' }));
  await waitFor(() => expect(sent()).toMatchObject([{ kind: 'unsealed' }]));
});

test('a contact’s own link is made when it is asked for: a code, and a copy with what it is', async () => {
  server.plans = [plan()];
  show(<PlanPage />);
  await user.click(await screen.findByRole('button', { name: 'A link for Bo Marsh' }));
  expect(await screen.findByRole('img', { name: 'The link of Bo Marsh as a code' })).toBeTruthy();
  expect(server.sent.find((s) => s.path.endsWith('/link'))?.body).toEqual({ contact: 'd' });
  await user.click(screen.getByRole('button', { name: 'Copy the link' }));
  expect(await navigator.clipboard.readText()).toContain('https://plans.example/c/abc');
});

test('the record is verified as it is shown, and loud where it does not hold together', async () => {
  server.plans = [plan()];
  server.record = { links: [{ seq: 1, kind: 'filed', at: NOW, hash: 'abcdef123456' }] };
  const { unmount } = show(<PlanPage />);
  expect(await screen.findByText(/each of its 1 link follows/)).toBeTruthy();
  unmount();
  server.record = { links: [], broken: { what: 'an event was changed', seq: 1 } };
  show(<PlanPage />);
  expect(await screen.findByText(/does not hold together: an event was changed/)).toBeTruthy();
});

test('what became of each message: by which way it went, whether it was opened, why it did not go', async () => {
  server.plans = [plan()];
  const message = { plan: ID, to: 'Ada Tolley', kind: 'filed', text: 'A plan. [link]', made: NOW };
  server.messages = [
    { ...message, id: '1', delivered: NOW, channel: 'mail', opened: NOW + H },
    { ...message, id: '2', delivered: NOW, channel: 'mail' },
    { ...message, id: '3', setAside: NOW, trouble: 'bounced' },
    { ...message, id: '4' },
  ];
  show(<PlanPage />);
  expect(await screen.findByText('Went by mail; opened Mon 11 May 16:00.')).toBeTruthy();
  expect(screen.getByText('Went by mail, Mon 11 May 15:00; not opened yet.')).toBeTruthy();
  expect(screen.getByText('Did not go: the address takes nothing.')).toBeTruthy();
  expect(screen.getByText('Waits to be sent.')).toBeTruthy();
});

test('where they may have drifted is drawn of what the server reckoned, and marked as an estimate', async () => {
  const picture = {
    as: 'afloat',
    says: ['Last known at A.', 'The bar in the picture is 1.0 nm long.'],
    width: 340,
    height: 240,
    land: [],
    shore: [],
    fan: [[0, 0]],
    middle: [[0, 0]],
    rings: [{ at: [1, 1], radius: 3 }],
    from: [0, 0],
    bar: { metres: 1852, length: 50 },
  };
  server.drift = { says: [], pictures: [picture, { ...picture, as: 'person', says: ['In the water.'] }] };
  server.plans = [plan()];
  const { unmount } = show(<PlanPage />);
  expect(await screen.findByText(DRIFT.none)).toBeTruthy();
  unmount();
  server.plans = [
    plan({ events: [{ seq: 1, plan: ID, kind: 'check-in', at: NOW, position: { lat: 41, lon: -29 } }] }),
  ];
  show(<PlanPage />);
  expect(await screen.findByText(DRIFT.never)).toBeTruthy();
  expect(await screen.findByRole('img', { name: DRIFT.drawn })).toBeTruthy();
  await user.click(screen.getByRole('radio', { name: DRIFT.as.person }));
  expect(screen.getByText('In the water.')).toBeTruthy();
});

test('each way out is shown with how it last fared', async () => {
  server.health = {
    ...server.health,
    channels: [
      { name: 'mail', failing: NOW, trouble: 'ECONNREFUSED' },
      { name: 'telephone', simulated: true, worked: NOW },
    ],
  } as typeof server.health;
  show(<WatchPage />);
  expect(await screen.findByText(WAYS.title)).toBeTruthy();
  expect(screen.getByText(/^Mail to contacts: does not go since .*ECONNREFUSED/)).toBeTruthy();
  expect(screen.getByText(/simulated.*last went/)).toBeTruthy();
});
