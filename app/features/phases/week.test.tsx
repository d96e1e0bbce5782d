import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { at } from '../../test/router';
import { fakeServer, fresh, show, TRIP, tripOf } from '../../test/world';
import { runIn } from '../../data/jobs';
import { plainly } from '../../data/settings';
import { run } from '../../workers/run';
import type { SweepJob } from '../../workers/jobs';
import { WeekPage } from './week-page';
import { WEEK } from './words';

const user = userEvent.setup({ delay: null });
let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  server = await fresh();
  at({ id: TRIP });
  // Without a worker a week takes long: hours of a day and a bit stand for it.
  runIn(((...[name, input, ...rest]: Parameters<typeof run>) =>
    run(name, name === 'windows' ? shortened(input as SweepJob) : input, ...rest)) as typeof run);
});
const HOUR = 3_600_000;
const shortened = (job: SweepJob): SweepJob => ({
  ...job,
  until: Math.min(job.until, job.from + 26 * HOUR),
  step: HOUR / 3,
});

test('the week: the best hours in words, one tap from being taken, why not the trip’s own, and all as a list', async () => {
  show(<WeekPage />, { trip: TRIP });
  expect(await screen.findByText(/^Looking, \d+ of \d+ departures$/)).toBeTruthy();
  await user.click(await screen.findByRole('button', { name: WEEK.list }, { timeout: 25_000 }));
  expect(await screen.findByRole('img', { name: WEEK.rowsSaid })).toBeTruthy();
  expect(screen.getByRole('heading', { name: 'Why not at 06:20 on Tue 12 May?' })).toBeTruthy();
  expect(screen.getAllByText(/^\d\d:\d\d to \d\d:\d\d: (Stop|Fix|Know|Ready)/).length).toBeGreaterThan(2);
  const [leave] = screen.getAllByRole('button', { name: /^Leave \w+ \d+ May \d\d:\d\d$/ });
  const [, time] = /(\d\d:\d\d)$/.exec(leave.textContent ?? '')!;
  await user.click(leave);
  await waitFor(() => expect(tripOf(server).doc.leave.time).toBe(time));
});
test('stopped, it says how far it looked and begins anew when asked', async () => {
  // It is never through.
  runIn(() => new Promise<boolean>(() => undefined));
  show(<WeekPage />, { trip: TRIP });
  await user.click(await screen.findByRole('button', { name: WEEK.stop }));
  expect((await screen.findByRole('status')).textContent).toMatch(/^Stopped at \d+ of/);
  await user.click(within(document.body).getByRole('button', { name: WEEK.again }));
  expect(await screen.findByText(/^Looking/)).toBeTruthy();
});
test('where no weather of the days ahead is to be had, that of the trip’s own day counts', async () => {
  const { fetch } = globalThis;
  globalThis.fetch = ((path: string, init?: RequestInit) =>
    /days=/.test(path) ? Promise.reject(new TypeError('no signal')) : fetch(path, init)) as typeof fetch;
  show(<WeekPage />, { trip: TRIP });
  expect(await screen.findByRole('button', { name: WEEK.list }, { timeout: 25_000 })).toBeTruthy();
  expect(screen.queryByText('Fix: No forecast.')).toBeNull();
});
test('without a water no hour is looked at', async () => {
  const held = server.things.find(({ id }) => id === TRIP)!;
  Object.assign(held, { doc: { ...held.doc, water: undefined } });
  show(<WeekPage />, { trip: TRIP });
  expect(await screen.findByText(WEEK.noHour)).toBeTruthy();
  expect(plainly(WEEK.lead, { days: 7 })).toContain('7 days');
});
