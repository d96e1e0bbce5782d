import { act, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { fresh, type fakeServer, show, TRIP } from '../../test/world';
import { at, visited } from '../../test/router';
import { mutate } from 'swr';
import { setting } from '../../data/store';
import { KitSection } from '../pack/kit-section';
import { ReadySection } from '../pack/ready-section';
import { LoadSection } from '../load/load-section';
import { FloatPlanSection } from '../pack/float-plan-section';
import { BoatSection } from '../plan/boat-section';
import { DaySection } from '../plan/day-section';
import { LaunchSection } from '../go/procedure-sections';
import { TroubleSection } from '../trouble/trouble-section';
import { RunPage } from '../go/run-page';
import { UnderWay } from '../go/under-way';
import { AnswerPage } from './answer-page';
import { VerdictBar } from './verdict-bar';

let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  server = await fresh();
  visited.length = 0;
  at({ id: TRIP });
});
const FOUR = '01890000-0000-7000-8000-000000000056';
const user = userEvent.setup({ delay: null });
const trip = () => server.things.find((h) => h.id === TRIP)!.doc as unknown as Record<string, unknown>;
const group = (name: RegExp) => screen.findByRole('group', { name });

describe('kit', () => {
  test('law, advice and one’s own are never mixed; open things stand first', async () => {
    show(<KitSection />, { trip: TRIP });
    await group(/^Stop: A sound signal/);
    const heads = screen.getAllByRole('heading', { level: 3 }).map((h) => h.textContent);
    const order = [
      'Law here',
      'A sound signal',
      'Advised for this trip',
      'A whistle on each body',
      'Your own',
    ].map((t) => heads.indexOf(t));
    expect(order).toEqual([...order].sort((a, b) => a - b));
    expect(order.every((i) => i >= 0)).toBe(true);
  });
  test('it says why the whistle does not count, and one tap moves it; undo puts it back', async () => {
    show(<KitSection />, { trip: TRIP });
    const stop = await group(/^Stop: A sound signal/);
    expect(
      within(stop).getByText('Whistle doesn’t count: it is fixed to Blue jacket, which does not come.'),
    ).toBeTruthy();
    await user.click(within(stop).getByRole('button', { name: /^Move .* to Red jacket$/ }));
    await screen.findByRole('button', { name: /^Ready: A sound signal/ });
    await user.click(await screen.findByRole('button', { name: 'Undo' }));
    await group(/^Stop: A sound signal/);
  });
  test('why: the comparison, the source with how sure, and the authority', async () => {
    show(<KitSection />, { trip: TRIP });
    const stop = await group(/^Stop: A sound signal/);
    await user.click(within(stop).getByRole('button', { name: /^Why/ }));
    expect(
      within(stop).getByText(/Inland Navigation Rules.*Rules 33, 35.*from memory.*not verified/),
    ).toBeTruthy();
    expect(within(stop).getByText(/Ask the local authority/)).toBeTruthy();
  });
});

describe('since the last look', () => {
  const held = () => server.things.find((h) => h.id === TRIP)!;
  test('another boat: what came is marked new, what went is named, until it is seen', async () => {
    const first = show(<KitSection />, { trip: TRIP });
    await group(/^Stop: A sound signal/);
    expect(screen.queryByText('Since your last look')).toBeNull();
    await waitFor(async () => expect(await setting(`seen:${TRIP}`)).toBeTruthy());
    first.unmount();
    Object.assign(held(), {
      doc: { ...held().doc, boat: '01890000-0000-7000-8000-000000000007' },
      version: 2,
    });
    await mutate(() => true);
    show(<KitSection />, { trip: TRIP });
    const box = await group(/^Since your last look/);
    expect(box.textContent).toMatch(/things more are asked for.*No longer:.*spare paddle/);
    expect(within(await group(/A throwable device$/)).getByText('new')).toBeTruthy();
    await user.click(within(box).getByRole('button', { name: 'Mark what changed as seen' }));
    await waitFor(() => expect(screen.queryByText('Since your last look')).toBeNull());
    expect(within(await group(/A throwable device$/)).queryByText('new')).toBeNull();
  });
  test('other ways stand under why: what is common is found or bought before it is borrowed', async () => {
    show(<KitSection />, { trip: TRIP });
    const stop = await group(/^Stop: A sound signal/);
    await user.click(within(stop).getByRole('button', { name: /^Why/ }));
    const names = within(stop)
      .getAllByRole('button')
      .map((b) => b.textContent);
    expect(names.indexOf('Buy or find: whistle or horn')).toBeGreaterThan(
      names.findIndex((n) => n?.startsWith('Move')),
    );
    expect(names.indexOf('Borrow: whistle or horn')).toBeGreaterThan(
      names.indexOf('Buy or find: whistle or horn'),
    );
  });
});

test('jackets: each body beside its jacket, and why the others don’t fit', async () => {
  show(<KitSection />, { trip: '01890000-0000-7000-8000-000000000056' });
  const list = await screen.findByRole('list', { name: 'Jackets' });
  const rows = within(list)
    .getAllByRole('listitem')
    .map((r) => r.textContent);
  expect(rows.find((r) => r?.startsWith('Maren Pike'))).toContain('Blue jacket');
  expect(rows.find((r) => r?.startsWith('Tilda Pike'))).toMatch(/none that counts.*weighs 38 kg/);
});

test('verdict: the answer, the counts, the next thing, and where it leads', async () => {
  show(<VerdictBar />, { trip: TRIP });
  const bar = await screen.findByRole('region', { name: 'Verdict' });
  await waitFor(() => expect(bar.textContent).toMatch(/^Not like this\. .*1 Stop · \d Fix · next: /));
  await user.click(within(bar).getByRole('link'));
  expect(visited.at(-1)).toBe(`/trips/${TRIP}`);
});

test('trouble: whom to ring, as links of the phone; only digits are dialled', async () => {
  const water = server.things.find((h) => h.id === trip().water)!.doc as unknown as Record<string, unknown>;
  Object.assign(water, { rescueNumber: '+351 214 401 919 (day and night)', rescueName: 'Coastguard' });
  const contact = server.things.find((h) => h.type === 'contact')!;
  Object.assign(contact.doc as object, { name: 'Maren', phone: '+44 (0)1752 456, evenings 9' });
  Object.assign(trip(), { contacts: [contact.id] });
  show(<TroubleSection />, { trip: TRIP });
  const numbers = await group(/^Whom to ring/);
  const links = within(numbers)
    .getAllByRole('link')
    .map((a) => [a.textContent, a.getAttribute('href')]);
  expect(links).toEqual([
    ['Ring Coastguard: +351 214 401 919 (day and night)', 'tel:+351214401919'],
    ['Ring Harbour hut at Gannow: 555 0122', 'tel:5550122'],
    ['Ring Maren: +44 (0)1752 456, evenings 9', 'tel:+441752456'],
    ['Text Maren', 'sms:+441752456'],
  ]);
});

describe('what a trip opens with', () => {
  test('one sentence, then what stops, then what is to be fixed; the rest folded to a row with its count', async () => {
    show(<AnswerPage />, { trip: TRIP });
    await group(/^Stop: A sound signal/);
    const [answer, ...cards] = screen.getAllByRole('heading').map((h) => h.textContent);
    expect(answer).toMatch(/^Not like this\. Not met: A sound signal/);
    expect(cards[0]).toMatch(/^A sound signal/);
    expect(screen.queryByRole('group', { name: /^Know: / })).toBeNull();
    const know = screen.getByRole('button', { name: /^Know this, \d+$/ });
    await user.click(know);
    expect(screen.getAllByRole('group', { name: /^Know: / })).toHaveLength(
      Number(know.textContent!.match(/\d+/)![0]),
    );
    const levels = screen
      .getAllByRole('group', { name: /^(Stop|Fix|Know): / })
      .map((g) => ['Stop', 'Fix', 'Know'].indexOf(g.getAttribute('aria-label')!.split(':')[0]));
    expect(levels).toEqual([...levels].sort((a, b) => a - b));
  });
  test('every section is one tap away, with all its counts', async () => {
    show(<AnswerPage />, { trip: TRIP });
    const kit = await screen.findByRole('link', { name: /^Kit/ });
    expect(kit.textContent).toMatch(/1 Stop · \d+ Fix · \d+ Know/);
    await user.click(kit);
    expect(visited.at(-1)).toBe(`/trips/${TRIP}/pack/kit`);
  });
});

test('ready: backwards from leaving, and a tick that is sent', async () => {
  show(<ReadySection />, { trip: TRIP });
  const hat = await screen.findByRole('checkbox', { name: 'Hat' });
  expect(screen.getByRole('checkbox', { name: /^\d\d:\d\d Breakfast and something warm$/ })).toBeTruthy();
  await user.click(hat);
  await waitFor(() => expect(server.ticks.has('forgotten:hat')).toBe(true));
});

describe('edited in place', () => {
  test('crew: clothing is chosen, saved by itself', async () => {
    show(<BoatSection />, { trip: TRIP });
    const wears = await screen.findByRole('radiogroup', { name: 'Clothing of Rowan Pike' });
    await user.click(within(wears).getByRole('radio', { name: 'Dry suit with layers' }));
    await waitFor(() => expect(trip().crew).toEqual([expect.objectContaining({ clothing: 'dry-suit' })]));
  });
  test('a number is typed in the person’s unit and kept in SI; a word instead is told at the field and never sent', async () => {
    show(<DaySection />, { trip: TRIP });
    const speed = await screen.findByLabelText('Speed today, kn');
    await user.type(speed, 'fast');
    await user.tab();
    expect(await screen.findByText('Speed today is a number in kn')).toBeTruthy();
    await user.clear(speed);
    await user.type(speed, '900');
    await user.tab();
    expect(await screen.findByText(/^Speed today: at most [\d.]+ kn$/)).toBeTruthy();
    await user.clear(speed);
    await user.type(speed, '3,5');
    await user.tab();
    await waitFor(() => expect(trip().speed).toBeCloseTo(1.80056, 4));
    const grace = screen.getByLabelText('Minutes of driving to the launch');
    await user.clear(grace);
    await user.type(grace, '-5');
    await user.tab();
    expect((await screen.findByRole('alert')).textContent).toMatch(/: at least 0/);
    expect(trip().driveMinutes).toBe(35);
  });
  test('load: a thing is added and counted', async () => {
    show(<LoadSection />, { trip: TRIP });
    expect(await screen.findByRole('img', { name: /Loaded to 66\s?%/ })).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Add to What goes in' }));
    const names = await screen.findAllByLabelText('What');
    await user.type(names.at(-1)!, 'Anchor');
    await user.type(screen.getAllByLabelText('Weight, kg').at(-1)!, '6');
    await user.tab();
    await waitFor(() => expect(trip().load).toHaveLength(5));
  });
});

test('float plan: the sheet as the contact will read it; pressed twice it is filed once', async () => {
  show(<FloatPlanSection />, { trip: TRIP });
  await user.click(await screen.findByRole('button', { name: 'What they see' }));
  expect(await screen.findByText(/This is the float plan of Rowan Pike/)).toBeTruthy();
  await user.dblClick(screen.getByRole('button', { name: 'File' }));
  await waitFor(() => expect(server.sent.filter((s) => s.path === '/api/plans').length).toBeGreaterThan(0));
  const ids = server.sent.filter((s) => s.path === '/api/plans').map((s) => (s.body as { id: string }).id);
  expect(new Set(ids).size).toBe(1);
});

describe('go', () => {
  test('one big step at a time, a second look where it sank boats, not-now kept open, ticks kept', async () => {
    at({ id: TRIP, procedure: 'hand-launch' });
    show(<RunPage />, { trip: TRIP });
    await user.click(await screen.findByRole('button', { name: 'Begin' }));
    // What was forgotten before is asked first.
    await screen.findByRole('heading', { name: 'Hold it in your hand: Fishing licence.' });
    await user.click(screen.getByRole('button', { name: 'Not now' }));
    await screen.findByRole('heading', { name: 'Hold it in your hand: Hat.' });
    await user.click(screen.getByRole('button', { name: 'Done' }));
    await screen.findByRole('heading', { name: 'Feel every plug and hatch shut with your own hand.' });
    // Cold hands press twice: the second press is not meant for the step that comes.
    await user.dblClick(screen.getByRole('button', { name: 'Done' }));
    // The second look comes later, after something else.
    await screen.findByRole('heading', { name: /Whistle, phone or radio/ });
    const run = () => server.things.find((h) => h.type === 'run')?.doc as { ticks: unknown[] } | undefined;
    await waitFor(() => expect(run()?.ticks).toHaveLength(3));
  });
  test('the words to say, with boat, people and place filled in', async () => {
    show(<TroubleSection />, { trip: TRIP });
    expect(await screen.findByText('Mayday, mayday, mayday. This is Sprat, Sprat, Sprat.')).toBeTruthy();
    expect(screen.getByText(/41° 12.000′ N, 029?° ?30.000′ W|41° 12.000′ N, 29° 30.000′ W/)).toBeTruthy();
    expect(screen.getByText(/Stay with the boat/)).toBeTruthy();
  });
  test('a trailer boat at a ramp: drawn, with its figures, and the steps with this boat’s numbers', async () => {
    show(<LaunchSection />, { trip: '01890000-0000-7000-8000-000000000056' });
    expect(await screen.findByText('Launch from a ramp')).toBeTruthy();
    expect(screen.getByRole('button', { name: /^of water at the wheels: 0\.9 m/ })).toBeTruthy();
    expect(
      screen.getByText(/^Stop when her stern begins to lift: the wheels stand in 0\.9 m of water, 7\.2 m in/),
    ).toBeTruthy();
    expect(screen.queryByText(/^Chocks/)).toBeNull();
  });
  test('from a jetty she is left and come to afloat', async () => {
    const ramp = server.things.find((h) => h.id === '01890000-0000-7000-8000-000000000048')!;
    (ramp.doc as { launchFrom?: string }).launchFrom = 'jetty';
    show(<LaunchSection />, { trip: FOUR });
    expect(await screen.findByText('Leave a jetty or a mooring')).toBeTruthy();
    expect(screen.queryByText('Launch from a ramp')).toBeNull();
  });
  test('without a boat no steps are made', async () => {
    delete (server.things.find((h) => h.id === FOUR)!.doc as { boat?: string }).boat;
    show(<LaunchSection />, { trip: FOUR });
    expect(await screen.findByText(/^Choose the boat first/)).toBeTruthy();
  });
  test('under way: the time to turn, no plan said plainly, Trouble across the screen', async () => {
    show(<UnderWay />, { trip: TRIP });
    expect(await screen.findByText('Leave in')).toBeTruthy();
    expect(screen.getByText(/nobody is watching the clock/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Trouble' }));
    expect(visited.at(-1)).toBe(`/trips/${TRIP}/go/trouble`);
  });
});

test('without signal the page goes on with what the device has kept', async () => {
  const first = show(<KitSection />, { trip: TRIP });
  await group(/^Stop: A sound signal/);
  first.unmount();
  await act(async () => {
    server.up = false;
  });
  show(<KitSection />, { trip: TRIP });
  await group(/^Stop: A sound signal/);
});
