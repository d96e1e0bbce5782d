import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { THINGS, type ThingType } from '@escale/core/model';
import { CRAFT } from '@escale/core/model/lists';
import { CATALOGUE } from '@escale/core/kit';
import { fresh, show, TRIP } from '../../test/world';
import { SHED_TYPES } from '../../data/where';
import { ThingForm as ThingFormPart } from './form';
import { groupsOf } from './groups';
import { fieldsOf } from './schema';

beforeEach(async () => {
  await fresh();
});
const user = userEvent.setup({ delay: null });
const fieldNames = (type: ThingType) => fieldsOf(THINGS[type]).map(([name]) => name);
const placedIn = (type: ThingType, doc: Record<string, unknown>) =>
  groupsOf(type, doc, fieldNames(type)).flatMap((g) => g.fields);

describe('what a form asks', () => {
  const docs = [
    ...Object.keys(CRAFT).map((kind) => ['boat', { kind }] as const),
    ...CATALOGUE.kinds.map(({ id }) => ['gear', { kind: id }] as const),
    ...['launch', 'haven', 'hazard', 'ground', 'waypoint', 'parking'].map(
      (kind) => ['place', { kind }] as const,
    ),
    ['water', { class: 'river' }] as const,
    ['person', {}] as const,
    ['contact', {}] as const,
  ];
  test.each(docs)(
    'a %s of %j: each field once, what must be said in sight, and nothing said is out of reach',
    (type, doc) => {
      const placed = placedIn(type, doc);
      expect(new Set(placed).size).toBe(placed.length);
      const first = groupsOf(type, doc, fieldNames(type))[0].fields;
      const must = fieldsOf(THINGS[type]).filter(
        ([, schema]) => !schema.safeParse(undefined).success && !schema.safeParse([]).success,
      );
      for (const [name] of must) expect(first).toContain(name);
      const full = Object.fromEntries(fieldNames(type).map((name) => [name, 'said']));
      expect(placedIn(type, { ...full, ...doc }).sort()).toEqual(fieldNames(type).sort());
    },
  );
  test('a kayak is not asked for a trailer, a tank or a motor’s plate; a trailer boat is', () => {
    const kayak = placedIn('boat', { kind: 'sit-on-top', propulsion: [{ kind: 'paddle' }] });
    for (const name of ['trailer', 'fuelTank', 'plate', 'transom']) expect(kayak).not.toContain(name);
    const trailed = placedIn('boat', { kind: 'trailer-boat' });
    for (const name of ['trailer', 'fuelTank', 'plate', 'transom']) expect(trailed).toContain(name);
    expect(placedIn('boat', { kind: 'canoe', propulsion: [{ kind: 'electric' }] })).toContain('controls');
  });
  test('a jacket is asked whom it fits, a lamp for its charge, a flare for its end', () => {
    const first = (kind: string) => groupsOf('gear', { kind }, fieldNames('gear'))[0].fields;
    expect(first('foam-jacket')).toEqual(expect.arrayContaining(['minMass', 'maxMass', 'approval']));
    expect(first('head-light')).toContain('charge');
    expect(first('hand-flare')).toContain('expires');
    expect(first('knife')).toEqual(['kind', 'name', 'count', 'stowage', 'state']);
  });
  test('every shelf has its form', () => {
    for (const type of SHED_TYPES) expect(placedIn(type, {}).length).toBeGreaterThan(2);
  });
});

describe('a position', () => {
  const onCreate = jest.fn();
  const blank = { id: '01890000-0000-7000-8000-0000000000f2', name: 'Slip', kind: 'launch' };
  test('is typed as people have it; what can’t be read is not kept, and the one of before neither', async () => {
    show(<ThingFormPart type="place" doc={blank} onCreate={onCreate} />);
    const add = await screen.findByRole('button', { name: 'Add' });
    await user.click(add);
    expect(await screen.findByRole('button', { name: 'Look at Position' })).toBeTruthy();
    const field = screen.getByLabelText('Position');
    await user.type(field, '50°07.4′N 4°34.1′W');
    expect(await screen.findByText('Read as 50.12333, -4.56833')).toBeTruthy();
    await user.clear(field);
    await user.type(field, 'behind the church');
    expect(screen.getByText(/not read as a position/)).toBeTruthy();
    await user.click(add);
    expect(onCreate).not.toHaveBeenCalled();
    await user.clear(field);
    await user.type(field, '38,53 -28,65');
    await user.click(add);
    // 50°07.4′ is 50 + 7.4 / 60; the comma is a decimal one, as nothing else parts the halves but a blank.
    await waitFor(() => expect(onCreate).toHaveBeenCalledTimes(1));
    expect(onCreate.mock.calls[0][0]).toMatchObject({ position: { lat: 38.53, lon: -28.65 } });
  });
  test('a kept one is changed in place', async () => {
    const onPatch = jest.fn();
    const doc = { ...blank, position: { lat: 38.5, lon: -28.6 } };
    show(<ThingFormPart type="place" doc={doc} onPatch={onPatch} />);
    const field = await screen.findByLabelText<HTMLInputElement>('Position');
    expect(field.value).toBe('38.50000, -28.60000');
    await user.clear(field);
    await user.type(field, '38.51 N, 28.6 W');
    await user.tab();
    await waitFor(() =>
      expect(onPatch).toHaveBeenCalledWith([
        { op: 'set', pointer: '/position', value: { lat: 38.51, lon: -28.6 } },
      ]),
    );
  });
});

describe('a new thing', () => {
  const onCreate = jest.fn();
  beforeEach(() => onCreate.mockReset());
  const blank = { id: '01890000-0000-7000-8000-0000000000f1', name: '' };
  test('what is lacking stands at the button, leads to its field, and goes when it is mended', async () => {
    show(<ThingFormPart type="person" doc={blank} onCreate={onCreate} />);
    await user.click(await screen.findByRole('button', { name: 'Add' }));
    await screen.findByText(/^Not added yet/);
    const way = screen.getByRole('button', { name: 'Look at Name' });
    await user.click(way);
    expect(document.activeElement).toBe(screen.getByLabelText('Name'));
    await user.keyboard('Lena');
    await waitFor(() => expect(screen.queryByText(/^Not added yet/)).toBeNull());
    await user.click(screen.getByRole('button', { name: 'Add' }));
    await waitFor(() => expect(onCreate).toHaveBeenCalledWith(expect.objectContaining({ name: 'Lena' })));
  });
  test.each([
    ['28', 28],
    ['28 kg', 28],
    ['60 lb', 27.2155422],
    ['27,5', 27.5],
  ])('a weight of %s is understood', async (typed, mass) => {
    show(<ThingFormPart type="person" doc={{ ...blank, name: 'Lena' }} onCreate={onCreate} />);
    await user.type(await screen.findByLabelText('Weight, kg'), typed);
    await user.click(screen.getByRole('button', { name: 'Add' }));
    await waitFor(() => expect(onCreate).toHaveBeenCalledWith(expect.objectContaining({ mass })));
  });
  test.each([
    ['Weight, kg', 'heavy', /Weight is a number in kg/],
    ['Weight, kg', '900', /Weight: at most 250 kg/],
    ['Born', '2050', /Born: lies in the future/],
    ['Born', '2014-02-31', /there is no such day/],
    ['Born', 'in May', /a year, a month or a day/],
  ])('%s %s is explained, and is not added as if it had not been typed', async (label, typed, words) => {
    show(<ThingFormPart type="person" doc={{ ...blank, name: 'Lena' }} onCreate={onCreate} />);
    await user.type(await screen.findByLabelText(label), typed);
    await user.tab();
    expect((await screen.findByRole('alert')).textContent).toMatch(words);
    await user.click(screen.getByRole('button', { name: 'Add' }));
    expect(await screen.findByText(/^Not added yet/)).toBeTruthy();
    expect(onCreate).not.toHaveBeenCalled();
    expect(screen.getByLabelText<HTMLInputElement>(label).value).toBe(typed);
  });
  test('today is the day of whoever holds the device: east of Greenwich it has begun', async () => {
    // 15:00 UTC on the 11th is the 12th in Auckland.
    const zone = jest
      .spyOn(Intl.DateTimeFormat.prototype, 'resolvedOptions')
      .mockReturnValue({ timeZone: 'Pacific/Auckland' } as Intl.ResolvedDateTimeFormatOptions);
    show(<ThingFormPart type="person" doc={{ ...blank, name: 'Lena' }} onCreate={onCreate} />);
    await user.type(await screen.findByLabelText('Born'), '2026-05-12');
    await user.click(screen.getByRole('button', { name: 'Add' }));
    await waitFor(() =>
      expect(onCreate).toHaveBeenCalledWith(expect.objectContaining({ born: '2026-05-12' })),
    );
    zone.mockRestore();
  });
  test('an error comes after the finger is up, so that the tap that leaves a field is not lost', async () => {
    show(<ThingFormPart type="person" doc={{ ...blank, name: 'Lena' }} onCreate={onCreate} />);
    await user.type(await screen.findByLabelText('Weight, kg'), 'heavy');
    const add = screen.getByRole('button', { name: 'Add' });
    await user.pointer({ keys: '[MouseLeft>]', target: add });
    await new Promise((later) => setTimeout(later, 60));
    expect(screen.queryByRole('alert')).toBeNull();
    await user.pointer({ keys: '[/MouseLeft]', target: add });
    expect((await screen.findAllByRole('alert')).length).toBeGreaterThan(0);
  });
});

test('a field that a finding points at is in sight, also where its group is folded', async () => {
  const boat = {
    id: '01890000-0000-7000-8000-0000000000f2',
    name: 'Tub',
    kind: 'skiff',
    propulsion: [],
    openings: [],
  };
  show(<ThingFormPart type="boat" doc={boat} at="/fuelTank" onPatch={() => undefined} />);
  expect(await screen.findByRole('radiogroup', { name: 'Fuel tank' })).toBeTruthy();
  expect(
    screen.getByRole('button', { name: /^Motor and fuel, 0 of 9 said/ }).getAttribute('aria-expanded'),
  ).toBe('true');
  expect(screen.queryByRole('radiogroup', { name: 'Bottom' })).toBeNull();
});

test('what is said about a group leads to it, folded or not; kinds of boat are marked; a distance is asked in metres', async () => {
  const place = {
    id: '01890000-0000-7000-8000-0000000000f3',
    name: 'Slip',
    kind: 'launch',
    position: { lat: 50, lon: -5 },
  };
  const patches: unknown[] = [];
  show(<ThingFormPart type="place" doc={place} at="/byLaws" onPatch={(patch) => patches.push(...patch)} />);
  const group = await screen.findByRole('group', { name: 'What is allowed here' });
  await waitFor(() => expect(document.activeElement).toBe(group));
  await user.click(within(group).getByRole('checkbox', { name: 'Canoe' }));
  await waitFor(() =>
    expect(patches).toEqual([{ op: 'set', pointer: '/byLaws', value: { craft: ['canoe'] } }]),
  );
  cleanup();
  show(
    <ThingFormPart
      type="place"
      doc={{ ...place, kind: 'hazard', reach: 100 }}
      at="/reach"
      onPatch={() => undefined}
    />,
  );
  expect(await screen.findByText('Keep off by, m')).toBeTruthy();
});

test('a hazard is not offered as a halt; one that was chosen before stays to be seen', async () => {
  const halts = (place: string) => ({
    id: TRIP,
    title: 'x',
    crew: [],
    halts: [{ place, minutes: 10 }],
    leave: { date: '2026-05-12', time: '06:20' },
    load: [],
    limits: {},
    contacts: [],
    graceMinutes: 60,
    stow: [],
    status: 'planned',
  });
  const { things } = await fresh();
  const named = (name: string) => things.find((h) => (h.doc as { name?: string }).name === name)!.id;
  const calm = show(
    <ThingFormPart type="trip" doc={halts(named('Tern Holm'))} only={['halts']} onPatch={() => undefined} />,
  );
  expect(await screen.findByRole('radio', { name: 'Tern Holm' })).toBeTruthy();
  expect(screen.queryByRole('radio', { name: 'The Knuckles' })).toBeNull();
  calm.unmount();
  show(
    <ThingFormPart
      type="trip"
      doc={halts(named('The Knuckles'))}
      only={['halts']}
      onPatch={() => undefined}
    />,
  );
  expect(await screen.findByRole('radio', { name: 'The Knuckles' })).toBeTruthy();
});
