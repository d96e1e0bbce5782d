import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { mutate } from 'swr';
import type { PlanState, PlanView } from '@escale/core/model';
import { fresh, type fakeServer, NOW, show, TRIP } from '../../test/world';
import { at, visited } from '../../test/router';
import { CloseSection } from '../home/close-section';
import { DrillPage, PracticePage } from '../practice/practice-page';
import { UnderWay } from '../go/under-way';
import { PlanPage } from './plan-page';
import { WatchPage } from './watch-page';
import { HEALTH, WATCH } from './words';

const H = 3_600_000;
const sheet = {
  title: 'Tern Holm, at dawn',
  filedAt: new Date(NOW).toISOString(),
  zone: 'Atlantic/Azores',
  lines: [{ head: 'People', rows: [{ label: 'Rowan Pike', text: '82 kg' }] }],
  expect: ['Nothing yet.'],
  ifLate: ['First ring 555 0141.', 'Ring 555 0100.'],
  read: 'This is the float plan of Rowan Pike.',
};
const plan = (state: PlanState, more: Partial<PlanView> = {}): PlanView => ({
  id: '01890000-0000-7000-8000-0000000000aa',
  trip: TRIP,
  version: 1,
  title: 'Tern Holm, at dawn',
  state,
  zone: 'Atlantic/Azores',
  times: {
    leave: NOW - H,
    turnBack: NOW + H,
    home: NOW + 2 * H,
    overdue: NOW + 3 * H,
    checkIns: [NOW + H / 2],
  },
  contacts: [{ id: 'c', name: 'Ada Tolley', accepted: false }],
  sheet,
  events: [{ seq: 1, plan: 'p', kind: 'filed', at: NOW - 2 * H }],
  nextDeadline: { kind: 'check-in', at: NOW + H / 2 },
  ...more,
});

let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  server = await fresh();
  visited.length = 0;
  at({ id: TRIP });
});
const user = userEvent.setup({ delay: null });
const deeds = () =>
  server.sent.filter((s) => s.path.endsWith('/deeds')).map((s) => (s.body as { kind: string }).kind);

describe('the watch itself', () => {
  test('well, it is a line; red, it is loud, names what and whom, and is tried again on a press', async () => {
    show(<WatchPage />);
    expect(await screen.findByText(HEALTH.good)).toBeTruthy();
    server.health = {
      ...server.health,
      ok: false,
      red: ['set-aside', 'clock', 'disk', 'made-later'],
      setAside: 1,
      clock: { standing: 'contradicted', off: 24 * H },
      aside: [
        { plan: 'p', title: 'Tern Holm', kind: 'overdue', to: 'Ada Tolley', trouble: 'no-way', since: NOW },
      ],
    };
    await mutate('/api/watch');
    const alert = within(await screen.findByRole('alert'));
    expect(alert.getByText(HEALTH.bad)).toBeTruthy();
    expect(alert.getByText(/^1 thing failed/)).toBeTruthy();
    expect(alert.getByText(/^The server’s clock is 24 h 00 off/)).toBeTruthy();
    expect(alert.getByText(HEALTH.other)).toBeTruthy();
    expect(
      alert.getByText(/a message to Ada Tolley can’t be delivered.*nothing that is set up here reaches them/),
    ).toBeTruthy();
    fireEvent.click(alert.getByRole('button', { name: HEALTH.again }));
    await waitFor(() => expect(server.sent.at(-1)?.path).toBe('/api/watch/again'));
  });
  test('after the first fifty plans the others are one press away', async () => {
    const later = plan('closed', { id: '01890000-0000-7000-8000-0000000000ac', title: 'Long ago' });
    server.plans = [plan('under-way')];
    server.later = [later];
    show(<WatchPage />);
    fireEvent.click(await screen.findByRole('button', { name: WATCH.more }));
    expect(await screen.findByRole('link', { name: /Long ago/ })).toBeTruthy();
  });
});

describe('watch', () => {
  test('an open plan counts down; one that is overdue is the loud one', async () => {
    server.plans = [
      plan('under-way'),
      plan('overdue', {
        id: '01890000-0000-7000-8000-0000000000ab',
        title: 'Lamp Rock',
        nextDeadline: { kind: 'alarm', at: NOW + 20 * 60_000 },
      }),
    ];
    show(<WatchPage />);
    const calm = await screen.findByRole('link', { name: 'Tern Holm, at dawn, under way' });
    expect(await within(calm).findByText('30 min')).toBeTruthy();
    expect(within(calm).getByText('Ada Tolley: not accepted yet')).toBeTruthy();
    const loud = screen.getByRole('link', { name: 'Lamp Rock, overdue' });
    expect(within(loud).getByText(/until the alarm/)).toBeTruthy();
  });
  test('nothing open: what belongs here and why', async () => {
    show(<WatchPage />);
    expect(await screen.findByText('No open plan')).toBeTruthy();
    expect(await screen.findByText(/the simulated telephone rings your contact/)).toBeTruthy();
  });
  test('one plan: what happened, its sheet, and what can be said', async () => {
    at({ id: plan('filed').id });
    server.plans = [
      plan('filed', {
        events: [
          { seq: 1, plan: 'p', kind: 'filed', at: NOW - H },
          { seq: 2, plan: 'p', kind: 'accepted', at: NOW, contact: 'c' },
        ],
      }),
    ];
    show(<PlanPage />);
    expect(await screen.findByText('Ada Tolley accepted')).toBeTruthy();
    expect(screen.getByText('This is the float plan of Rowan Pike.')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'We have left' }));
    await waitFor(() => {
      expect(deeds()).toEqual(['under-way']);
      expect(screen.getByRole('button', { name: 'I’m fine' }).getAttribute('aria-disabled')).not.toBe('true');
    });
    await user.click(screen.getByRole('button', { name: 'I’m fine' }));
    await user.click(await screen.findByRole('button', { name: 'Home stays 17:00' }));
    await waitFor(() => expect(deeds()).toEqual(['under-way', 'check-in']));
  });
  test('a plan that is not here', async () => {
    at({ id: 'nothing' });
    show(<PlanPage />);
    await user.click(await screen.findByRole('button', { name: 'All plans' }));
    expect(visited).toEqual(['/watch']);
  });
});

describe('under way with a plan', () => {
  test('counts to the turn that was filed and names the later limit with what to do first', async () => {
    server.plans = [
      plan('under-way', {
        events: [
          { seq: 1, plan: 'p', kind: 'filed', at: NOW - H },
          { seq: 2, plan: 'p', kind: 'under-way', at: NOW - H },
        ],
      }),
    ];
    show(<UnderWay />, { trip: TRIP });
    expect(await screen.findByText('1:00')).toBeTruthy();
    expect(screen.getByText(/to be home at .* as you filed/)).toBeTruthy();
    expect(screen.getByText(/send a change first/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'I’m fine' }));
    // The alarm that stands is said, and nothing of it is ended by a tap beside.
    expect(screen.getByText(/Until this is through they are told at 18:00/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Half an hour later, 17:30' }));
    await waitFor(() => expect(deeds()).toEqual(['later']));
    expect(server.sent.at(-1)?.body).toMatchObject({ home: new Date(NOW + 2.5 * H).toISOString() });
  });
  test('another time home is the next hour of that name; put off three times, the contact is owed a word', async () => {
    const later = { seq: 3, plan: 'p', kind: 'later' as const, at: NOW };
    server.plans = [
      plan('under-way', {
        events: [
          { seq: 1, plan: 'p', kind: 'filed', at: NOW - H, times: plan('filed').times },
          { seq: 2, plan: 'p', kind: 'under-way', at: NOW - H },
          ...[1, 2, 3].map(() => ({ ...later, times: plan('filed').times })),
        ],
      }),
    ];
    show(<UnderWay />, { trip: TRIP });
    await user.click(await screen.findByRole('button', { name: 'I’m fine' }));
    const half = await screen.findByRole('button', { name: 'Half an hour later, 17:30' });
    expect(half.getAttribute('aria-disabled')).toBe('true');
    await user.click(half);
    expect(screen.getByText('First say why, above.')).toBeTruthy();
    await user.type(screen.getByLabelText('Why, for your contacts'), 'towing a friend');
    await user.click(screen.getByRole('button', { name: 'Home by another time' }));
    fireEvent.change(screen.getByLabelText('Home by'), { target: { value: '14:30' } });
    // 14:30 is past: it is tomorrow's, and says so before it is sent.
    expect(await screen.findByText(/Home by Tue 12 May 14:30/)).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Home by'), { target: { value: '18:10' } });
    await user.click(screen.getByRole('button', { name: 'Say so' }));
    await waitFor(() => expect(deeds()).toEqual(['later']));
    expect(server.sent.at(-1)?.body).toMatchObject({
      home: new Date(NOW + 3 * H + 10 * 60_000).toISOString(),
      note: 'towing a friend',
    });
  });
  test('of a plan for another day an hour means that day’s', async () => {
    const day = 24 * H;
    const times = { ...plan('filed').times, leave: NOW + 4 * day, home: NOW + 4 * day + 3 * H };
    server.plans = [plan('filed', { times, events: [{ seq: 1, plan: 'p', kind: 'under-way', at: NOW }] })];
    show(<UnderWay />, { trip: TRIP });
    await user.click(await screen.findByRole('button', { name: 'I’m fine' }));
    await user.click(await screen.findByRole('button', { name: 'Home by another time' }));
    fireEvent.change(screen.getByLabelText('Home by'), { target: { value: '19:10' } });
    expect(await screen.findByText(/Home by Fri 15 May 19:10/)).toBeTruthy();
  });
  test('late: home can’t stay; without signal it says at what hour those ashore are told', async () => {
    const times = { ...plan('late').times, home: NOW - H / 2, overdue: NOW + H / 2 };
    server.plans = [plan('late', { times, events: [{ seq: 1, plan: 'p', kind: 'under-way', at: NOW - H }] })];
    show(<UnderWay />, { trip: TRIP });
    await user.click(await screen.findByRole('button', { name: 'I’m fine' }));
    expect(screen.queryByRole('button', { name: /Home stays/ })).toBeNull();
    server.up = false;
    await user.click(screen.getByRole('button', { name: 'Half an hour later, 15:30' }));
    expect(await screen.findByText(/Not sent: your contacts are told at Mon 11 May 15:30/)).toBeTruthy();
  });
});

describe('home', () => {
  test('closing says so once; without signal it says that the contact still counts', async () => {
    server.plans = [plan('under-way')];
    show(<CloseSection />, { trip: TRIP });
    const close = await screen.findByRole('button', { name: 'We’re home, close the plan' });
    server.up = false;
    await user.click(close);
    // A cold thumb must not end the watch: it asks, and “not yet” leaves it running.
    await user.click(await screen.findByRole('button', { name: 'Not yet' }));
    expect(close.getAttribute('aria-disabled')).not.toBe('true');
    await user.click(close);
    await user.click(await screen.findByRole('button', { name: 'Yes, everyone is ashore' }));
    expect(await screen.findByText(/Not sent: your contacts are told at Mon 11 May 18:00/)).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Undo' })).toBeTruthy();
    expect(close.getAttribute('aria-disabled')).toBe('true');
  });
  test('an ending that was none is taken back within the hour, and not after it', async () => {
    const closed = (at: number) =>
      plan('closed', {
        events: [
          { seq: 1, plan: 'p', kind: 'filed', at: NOW - H },
          { seq: 2, plan: 'p', kind: 'closed', at },
        ],
      });
    server.plans = [closed(NOW - H / 2)];
    const page = show(<CloseSection />, { trip: TRIP });
    await user.click(await screen.findByRole('button', { name: 'Take it back' }));
    await user.click(await screen.findByRole('button', { name: 'Yes, the watch goes on' }));
    await waitFor(() => expect(deeds()).toEqual(['reopened']));
    page.unmount();
    server = await fresh();
    server.plans = [closed(NOW - 2 * H)];
    show(<CloseSection />, { trip: TRIP });
    expect(await screen.findByText(/The plan ended/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Take it back' })).toBeNull();
  });
  test('without a plan the trip can still be over', async () => {
    show(<CloseSection />, { trip: TRIP });
    await user.click(await screen.findByRole('button', { name: 'This trip is over' }));
    await waitFor(() =>
      expect((server.things.find((h) => h.id === TRIP)?.doc as unknown as { status: string }).status).toBe(
        'done',
      ),
    );
  });
});

describe('practice', () => {
  test('a procedure is walked through at home without a trip, and its day is kept', async () => {
    at({ procedure: 'capsize-sit-on-top' });
    const page = show(<DrillPage />);
    await user.click(await screen.findByRole('button', { name: 'Begin' }));
    for (let i = 0; i < 60 && !screen.queryByText('All done.'); i += 1) {
      const button = await screen.findByRole('button', { name: /^(Done|Seen again)$/ });
      const before = screen.getByRole('main').textContent;
      await user.click(button);
      await waitFor(() => expect(screen.getByRole('main').textContent).not.toBe(before));
    }
    await user.click(screen.getByRole('button', { name: 'Close' }));
    await waitFor(() => expect(server.things.find((h) => h.type === 'run')?.doc).toHaveProperty('endedAt'));
    page.unmount();
    show(<PracticePage />);
    expect(await screen.findByText(/Last walked through Mon 11 May/)).toBeTruthy();
  });
});
