import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Debrief, Trip } from '@escale/core/model';
import { fresh, type fakeServer, show, TRIP } from '../../test/world';
import { at } from '../../test/router';
import { runIn } from '../../data/jobs';
import { runnerOf } from '../../workers/runner';
import { JOBS } from '../../workers/jobs';
import { WHAT_IF } from '../../workers/what-if';
import { DebriefSection } from '../debrief/debrief-section';
import { HavenPage } from '../trouble/haven-page';
import { TroubleSection } from '../trouble/trouble-section';
import { WhatIfPage } from './what-if-page';

// In the browser these run in workers.
runIn(runnerOf({ ...JOBS, ...WHAT_IF }));

let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  server = await fresh();
  at({ id: TRIP });
});
const user = userEvent.setup({ delay: null });
const LONG = { timeout: 35_000 };
const trip = () => server.things.find(({ id }) => id === TRIP)!.doc as unknown as Trip;
const debrief = () =>
  server.things.find(({ type, doc }) => type === 'debrief' && (doc as unknown as Debrief).trip === TRIP)!
    .doc as unknown as Debrief;
const worst = () => screen.findAllByText(/^(Who wears|Hands may|They may be)/, {}, LONG);
const chosen = () =>
  screen.getByRole<HTMLSelectElement>('combobox', { name: 'What goes wrong' }).selectedOptions[0].textContent;
const show_ = () => show(<WhatIfPage />, { trip: TRIP });

test('one tap from Trouble', async () => {
  show(<TroubleSection />, { trip: TRIP });
  const link = await screen.findByRole('link', { name: 'What if?' });
  expect(link.getAttribute('href')).toBe(`/trips/${TRIP}/whatif`);
});

test('an incident at an hour of the plan: the worst gap, what happens, who knows, and what is not known', async () => {
  show_();
  await worst();
  const happens = within(screen.getByRole('list', { name: 'What happens' }));
  expect(happens.getByText('She is over. Everybody is in the water.')).toBeTruthy();
  expect(happens.getByText(/^Hands no longer do what they should/)).toBeTruthy();
  expect(happens.getByText(/^Ada Tolley (is|would be) told at /)).toBeTruthy();
  const besides = within(screen.getByRole('list', { name: 'Besides' }));
  expect(besides.getByText(/plan on none/)).toBeTruthy();
  const settle = besides.getByRole('link', { name: 'Enter how soon help comes here' });
  expect(settle.getAttribute('href')).toMatch(/^\/shed\/water\/.*\?at=%2Fhelp$/);
  // Every number opens to what it was reckoned from, and by which source.
  await user.click(happens.getByRole('button', { name: /^why\? Hands no longer/ }));
  expect(happens.getByText(/^The water is .* reckoned with/)).toBeTruthy();
  expect(happens.getByText('1 minute, 10 minutes, 1 hour')).toBeTruthy();
  // Another incident tells of another thing.
  await user.selectOptions(screen.getByRole('combobox', { name: 'What goes wrong' }), 'fog');
  await screen.findByText('Fog comes down.', {}, LONG);
  expect(screen.queryByText('She is over. Everybody is in the water.')).toBeNull();
});

test('the change that shrinks it most is one tap, changes the trip, and can be undone', async () => {
  show_();
  await worst();
  const [main] = await screen.findAllByRole('button', { name: /^Do it: / }, LONG);
  const label = main.getAttribute('aria-label')!.replace('Do it: ', '');
  expect(label).toMatch(/^Take Grey Gull along, with .* in it$/);
  await user.click(main);
  await waitFor(() => expect(trip().company).toHaveLength(1));
  // What was reckoned of the trip before is gone: another change stands first now.
  await waitFor(() => expect(screen.queryByRole('button', { name: `Do it: ${label}` })).toBeNull(), LONG);
});

test('the whole day: worst moments in words lead there, and the same stands as a list', async () => {
  show_();
  const moments = within(await screen.findByRole('list', { name: 'The worst moments' }, LONG));
  expect(moments.getAllByRole('listitem')).toHaveLength(3);
  const [, second] = moments.getAllByRole('button');
  const [, hour, what] = /(\d\d:\d\d) · (.*)$/.exec(second.textContent ?? '')!;
  await user.click(second);
  await waitFor(() => expect(chosen()).toBe(what));
  expect(screen.getByRole('slider', { name: 'When' }).getAttribute('aria-valuetext')).toContain(hour);
  await user.click(screen.getByRole('button', { name: /^As a list/ }));
  const list = within(screen.getByRole('list', { name: 'The day at a glance' }));
  expect(list.getByText(/^Capsized: very long at worst, .*\d\d:\d\d/)).toBeTruthy();
  expect(list.getAllByRole('listitem').length).toBe(7);
}, 75_000);

test('looking through the day can be stopped: what was found stays, and it goes on when it is asked', async () => {
  show_();
  await user.click(await screen.findByRole('button', { name: 'Stop' }, LONG));
  const go = await screen.findByRole('button', { name: 'Look through the day' });
  expect(screen.queryByRole('list', { name: 'The worst moments' })).toBeNull();
  await user.click(go);
  await screen.findByRole('list', { name: 'The worst moments' }, LONG);
}, 75_000);

test('three questions: what was lacking is kept with the trip, and what was known is not lacking', async () => {
  show_();
  await user.click(await screen.findByRole('button', { name: 'Ask them' }, LONG));
  const group = within(screen.getByRole('group', { name: 'Before you leave: ask the crew' }));
  expect(group.getAllByRole('button', { name: /^What a good answer holds/ })).toHaveLength(3);
  await user.click(group.getAllByRole('radio', { name: 'Something was lacking' })[0]);
  await waitFor(() => expect(Object.values(trip().asked ?? {})[0]?.answer).toBe('lacking'));
  await user.type(await group.findByLabelText('What was lacking'), 'nobody knew the lamp');
  await user.tab();
  await waitFor(() => expect(Object.values(trip().asked ?? {})[0]?.lacks).toBe('nobody knew the lamp'));
  await user.click(group.getAllByRole('radio', { name: 'We knew' })[0]);
  await waitFor(() => expect(Object.values(trip().asked ?? {})[0]?.answer).toBe('known'));
  expect(Object.values(trip().asked ?? {})[0]).not.toHaveProperty('lacks');
}, 75_000);

test('without a boat, and without a day, it says what it needs', async () => {
  const held = server.things.find(({ id }) => id === TRIP)!;
  Object.assign(held, { doc: { ...held.doc, halts: [] } });
  const { unmount } = show_();
  await screen.findByText(/^The day can’t be looked through/, {}, LONG);
  await screen.findByText(/^Where you are at that hour is not known/, {}, LONG);
  unmount();
  server = await fresh();
  const bare = server.things.find(({ id }) => id === TRIP)!;
  Object.assign(bare, { doc: { ...bare.doc, boat: undefined } });
  show_();
  await screen.findByRole('link', { name: 'Choose a boat first: what goes wrong hangs on her.' });
});

test('a near miss is run back: what the model says, which checks stood open, what would have caught it', async () => {
  show(<DebriefSection />, { trip: TRIP });
  await user.click(await screen.findByRole('button', { name: 'Begin' }));
  await user.click(await screen.findByRole('button', { name: 'Tell a near miss' }, LONG));
  await user.selectOptions(await screen.findByRole('combobox', { name: 'What it was' }, LONG), 'capsized');
  await user.click(screen.getByRole('button', { name: 'Add what came then' }));
  await waitFor(() => expect(debrief().miss?.deeds).toHaveLength(1));
  await user.selectOptions(await screen.findByRole('combobox', { name: 'What came' }), 'out');
  await waitFor(() =>
    expect(debrief().miss).toMatchObject({ incident: 'capsized', deeds: [{ what: 'out' }] }),
  );
  const things = within(
    await screen.findByRole('list', { name: 'What would have caught it, the most first' }, LONG),
  );
  const remember = await waitFor(
    () => things.getByRole('button', { name: /^Remember it: Tell them after 15 minutes/ }),
    LONG,
  );
  expect(things.getAllByText(/^Somebody would have known at \d\d:\d\d/).length).toBeGreaterThan(0);
  const checks = within(screen.getByRole('list', { name: 'Checks that stood open as you left' }));
  expect(checks.getByText(/A sound signal/)).toBeTruthy();
  await user.click(remember);
  await waitFor(() => expect(debrief().forgotten).toContain('Tell them after 15 minutes'));
}, 60_000);

test('haven or home, with water that comes in: how long she has stands beside the time to each way', async () => {
  show(<HavenPage />, { trip: TRIP });
  await user.click(await screen.findByRole('radio', { name: 'Water comes in, or may' }));
  const fills = within(await screen.findByRole('group', { name: 'How long she has' }));
  await fills.findByText(/Nobody is counted on to bail or pump/, {}, LONG);
  expect(fills.getByText(/^(after )?\d+ min( to \d+ min)? · \d\d:\d\d$/)).toBeTruthy();
  await user.click(screen.getByRole('radio', { name: 'Somebody is worn out, cold or hurt' }));
  expect(screen.queryByRole('group', { name: 'How long she has' })).toBeNull();
});
