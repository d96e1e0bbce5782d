import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { startBoat, STARTING_POINTS } from '@escale/core/boat/start';
import { THINGS } from '@escale/core/model';
import { visited } from '../../test/router';
import { fakeServer, fresh, NOW, show } from '../../test/world';
import { setting, setSetting } from '../../data/store';
import { BeginPage } from './begin-page';
import { EMPTY, madeFrom, type Draft } from './draft';
import { faultOf } from './faults';
import { pointsIn } from '../where/file-points';

const user = userEvent.setup({ delay: null });
let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  server = await fresh();
  visited.length = 0;
  await setSetting('begin', null);
});

let n = 0;
const newId = () => `01890000-0000-7000-9000-${String((n += 1)).padStart(12, '0')}`;
const whole: Draft = {
  step: 3,
  boat: { kind: 'sit-on-top', like: 'sot-long', name: 'Tern' },
  people: [
    { name: 'Ada ', child: false },
    { name: 'Lena', child: true, age: '9' },
  ],
  place: { name: 'North slip', where: '', water: 'coastal' },
  when: { date: '2026-05-12', time: '06:30', hours: 3 },
};
const known = {
  shed: { boats: [], people: [], places: [], waters: [] },
  newId,
  today: '2026-05-11',
  position: { lat: 50.1, lon: -4.5 },
  zone: 'Europe/London',
  zoneGuessed: false,
  country: 'GB',
  points: STARTING_POINTS,
  startBoat,
  title: 'North slip',
  last: undefined,
};

describe('what the answers become', () => {
  test('things that pass their schemas, and every default marked a guess', () => {
    const made = madeFrom(whole, known);
    expect(THINGS.boat.safeParse(made.boat).success).toBe(true);
    for (const person of made.people) expect(THINGS.person.safeParse(person).error).toBeUndefined();
    expect(THINGS.water.safeParse(made.water).error).toBeUndefined();
    expect(THINGS.place.safeParse(made.place).error).toBeUndefined();
    expect(THINGS.trip.safeParse(made.trip).error).toBeUndefined();
    expect(made.people).toEqual([
      expect.objectContaining({ name: 'Ada', mass: expect.closeTo(83.9, 1), basis: { '/mass': 'guessed' } }),
      expect.not.objectContaining({ mass: expect.anything() }),
    ]);
    expect(made.people[1].born).toBe('2017');
    expect(made.water).toMatchObject({ jurisdiction: ['GB'], basis: { '/jurisdiction': 'guessed' } });
    expect(Object.values(made.boat!.basis!).every((basis) => basis === 'guessed')).toBe(true);
    expect(made.trip).toMatchObject({
      launch: made.place!.id,
      water: made.water!.id,
      leave: { date: '2026-05-12', time: '06:30' },
      halts: [{ place: made.place!.id, minutes: 180 }],
      crew: [{ role: 'skipper' }, { role: 'crew' }],
    });
  });
  test('without a position there is a water and no launch, and its zone is a guess', () => {
    const made = madeFrom(whole, { ...known, position: undefined, zoneGuessed: true, country: undefined });
    expect(made.place).toBeUndefined();
    expect(made.trip).not.toHaveProperty('launch');
    expect(made.trip.halts).toEqual([]);
    expect(made.water).toMatchObject({ jurisdiction: [], basis: { '/zone': 'guessed' } });
  });
  test('what is here already is taken and not made again', () => {
    const [boat] = [startBoat(STARTING_POINTS[0], newId(), 'Sprat')];
    const again = { ...whole, boat: { id: boat.id }, people: [{ id: 'p', name: 'Ada', child: false }] };
    const made = madeFrom(again, known);
    expect(made.boat).toBeUndefined();
    expect(made.people).toEqual([]);
    expect(made.trip).toMatchObject({ boat: boat.id, crew: [{ person: 'p' }] });
  });
});

test.each<[string, number, Partial<Draft>, RegExp | undefined]>([
  ['a boat', 0, { boat: {} }, /Choose a boat/],
  ['a boat of a kind alone', 0, { boat: { kind: 'canoe' } }, /Choose a boat/],
  ['a name', 1, { people: [{ name: ' ', child: false }] }, /name/],
  ['an age that is none', 1, { people: [{ name: 'Lena', child: true, age: 'ten' }] }, /age/],
  ['a child of forty', 1, { people: [{ name: 'Lena', child: true, age: '40' }] }, /age/],
  ['nobody', 1, { people: [] }, /Somebody/],
  ['a place without a name', 2, { place: { water: 'lake' } }, /name/],
  ['a place that is gone', 2, { place: { id: 'gone' } }, /name/],
  ['a position that is none', 2, { place: { name: 'Slip', where: 'over there', water: 'lake' } }, /position/],
  ['which water', 2, { place: { name: 'Slip' } }, /water/],
  ['a day', 3, { when: { time: '09:00', hours: 2 } }, /day/],
  ['an hour', 3, { when: { date: '2026-05-12', time: '', hours: 2 } }, /06:30/],
  ['how long', 3, { when: { date: '2026-05-12', time: '09:00' } }, /how long/],
  ['nothing', 3, {}, undefined],
])('a question says what it lacks: %s', (_what, step, more, wanted) => {
  const found = faultOf({ ...whole, ...more, step }, []);
  if (wanted) expect(found).toMatch(wanted);
  else expect(found).toBeUndefined();
});

test('a GPX file: points by name; a document type, or no XML at all, is nothing', async () => {
  const file =
    '<gpx><wpt lat="50.1" lon="-4.5"><name>Slip</name></wpt><trk><trkseg><trkpt lat="1" lon="2"/>' +
    '<trkpt lat="3" lon="4"/><trkpt lat="95" lon="4"/></trkseg></trk></gpx>';
  expect(await pointsIn(file)).toEqual([
    { name: 'Slip', lat: 50.1, lon: -4.5 },
    { name: '1.00000, 2.00000', lat: 1, lon: 2 },
    { name: '3.00000, 4.00000', lat: 3, lon: 4 },
  ]);
  expect(await pointsIn(`<!DOCTYPE x [<!ENTITY a "b">]>${file}`)).toEqual([]);
  expect(await pointsIn('no xml <')).toEqual([]);
});

describe('from an empty household', () => {
  beforeEach(() => {
    server.things.length = 0;
  });
  const pick = async (group: string, name: string) =>
    user.click(within(await screen.findByRole('radiogroup', { name: group })).getByRole('radio', { name }));
  const press = (name: string) => user.click(screen.getByRole('button', { name }));

  test('four questions make a boat, people, a water, a launch and a trip, and lead to its answer', async () => {
    const { unmount } = show(<BeginPage />);
    await screen.findByRole('heading', { name: 'Which boat?' });
    await press('Next');
    expect((await screen.findByRole('alert')).textContent).toMatch(/Choose a boat/);
    await pick('What is she?', 'Sit-on-top kayak');
    await user.click(await screen.findByRole('radio', { name: /^Long fishing kayak/ }));
    await press('Next');
    await user.type(await screen.findByLabelText('Name of person 1'), 'Ada');
    // Leaving and coming back loses nothing.
    await waitFor(async () => expect(JSON.stringify(await setting('begin'))).toContain('"Ada"'));
    unmount();
    show(<BeginPage />);
    expect(((await screen.findByLabelText('Name of person 1')) as HTMLInputElement).value).toBe('Ada');
    await press('Next');
    await user.type(await screen.findByLabelText('What is it called'), 'North slip');
    await user.type(screen.getByLabelText('Its position'), '50 07.4 N 4 34.1 W');
    expect(
      await screen.findByText(
        /Time zone Europe\/London\. Whose rules hold is guessed from it: United Kingdom/,
      ),
    ).toBeTruthy();
    await pick('What water is it?', 'Coastal');
    await press('Next');
    await pick('Day', 'Tomorrow');
    await pick('Hours on the water', '3 h');
    await press('See the answer');
    await waitFor(() => expect(visited.at(-1)).toMatch(/^\/trips\/[0-9a-f-]{36}$/), { timeout: 8000 });
    await waitFor(() =>
      expect(server.things.map((h) => h.type)).toEqual(['boat', 'person', 'water', 'place', 'trip']),
    );
    expect(await setting('begin')).toBeNull();
  });
});

test('a household that has been out before is asked what it said last time', async () => {
  show(<BeginPage />);
  const boats = await screen.findByRole('radiogroup', { name: 'Which boat?' });
  await waitFor(() =>
    expect(
      within(boats)
        .getAllByRole('radio')
        .some((r) => (r as HTMLInputElement).checked),
    ).toBe(true),
  );
  for (const _question of [1, 2, 3]) await user.click(screen.getByRole('button', { name: 'Next' }));
  expect(await screen.findByRole('heading', { name: 'When, and for how long?' })).toBeTruthy();
  expect(EMPTY.when.date).toBeUndefined();
  expect(NOW).toBeGreaterThan(0);
});
