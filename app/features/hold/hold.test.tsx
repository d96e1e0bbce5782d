import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { fresh, type fakeServer, show, TRIP } from '../../test/world';
import { at } from '../../test/router';
import { HoldSection } from './hold-section';
import { RigPage } from './rig-page';

const LAMP = '01890000-0000-7000-8000-000000000056';
let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  server = await fresh();
});
const user = userEvent.setup({ delay: null });
const open = (trip: string) => {
  at({ id: trip });
  show(<HoldSection />, { trip });
};
const slide = (name: string, value: number) =>
  fireEvent.change(screen.getByRole('slider', { name }), { target: { value: String(value) } });
/** The band that stands on the line, newtons. */
const pull = () => {
  const [, low, high] = /^(\d+) N to (\d+) N$/.exec(screen.getAllByText(/^\d+ N to \d+ N$/)[0].textContent)!;
  return { low: Number(low), high: Number(high) };
};
const heels = ({ textContent }: HTMLElement) => {
  const [, least, most] = /heels her by ([\d.]+)° to ([\d.]+)°/.exec(textContent)!;
  return { least: Number(least), most: Number(most) };
};
const atLamp = async () => {
  open(LAMP);
  await user.click(await screen.findByRole('radio', { name: /Lamp Rock/ }));
  await screen.findByText('Folding anchor holds');
};

describe('at anchor', () => {
  test('what pulls follows wind and stream, from the side it is more, and she heels', async () => {
    await atLamp();
    // Without the stream it is that much or more, and no band.
    expect(screen.getByText(/Not known: stream/)).toBeTruthy();
    expect(screen.getByText(/^\d+ N or more$/)).toBeTruthy();
    slide('Stream', 0);
    expect(screen.queryByText(/Not known: stream/)).toBeNull();
    const calm = pull();
    slide('Wind, mean', 15);
    const windy = pull();
    expect(windy.low).toBeGreaterThan(calm.low);
    expect(windy.high).toBeGreaterThan(calm.high);
    expect(screen.getByText(/heels her by nothing/)).toBeTruthy();
    slide('Made fast', 0.5);
    await waitFor(() => expect(pull().high).toBeGreaterThan(windy.high));
    const inWind = heels(await screen.findByText(/That heels her by/));
    // In a stream alone a lower point, nearer to the middle of the water, heels her less.
    slide('Wind, mean', 0);
    slide('Stream', 0.8);
    await waitFor(() => expect(heels(screen.getByText(/That heels her by/))).not.toEqual(inWind));
    const edge = heels(screen.getByText(/That heels her by/));
    slide('Made fast, above the water', 0.1);
    await waitFor(() => expect(heels(screen.getByText(/That heels her by/)).most).toBeLessThan(edge.most));
    // Elsewhere along her it is her edge there again.
    slide('Made fast', 0.52);
    slide('Made fast', 0.5);
    await waitFor(() => expect(heels(screen.getByText(/That heels her by/))).toEqual(edge));
    await user.click(screen.getByRole('button', { name: 'As it is then' }));
    expect(screen.getByText(/heels her by nothing/)).toBeTruthy();
  });
  test('line: what is out, what is needed and what there is; with too little out it does not reach', async () => {
    await atLamp();
    expect(
      screen.getByText(/Seven to one at high water of the stay: 7\d\.\d m\. There are 38\.0 m\./),
    ).toBeTruthy();
    expect(screen.getByText(/^38\.0 m out over 10\.\d m/)).toBeTruthy();
    expect(screen.getByRole('img', { name: /circle over which she swings/ })).toBeTruthy();
    slide('Line and chain out', 5);
    expect(screen.getAllByText('Its line does not reach the ground.')).toHaveLength(2);
    expect(screen.queryByRole('img', { name: /circle over which she swings/ })).toBeNull();
  });
  test('hour by hour, and what was said of the place is kept with the halt', async () => {
    await atLamp();
    const table = screen.getByRole('table', { name: 'Hour by hour' });
    expect(within(table).getAllByRole('row').length).toBeGreaterThanOrEqual(4);
    await user.click(screen.getByRole('button', { name: 'What holds her there: At anchor' }));
    await user.click(screen.getByRole('radio', { name: 'Amidships, or the side' }));
    await waitFor(() =>
      expect(
        server.sent.some(({ body }) => JSON.stringify(body).includes('"/halts/1/fast","value":"side"')),
      ).toBe(true),
    );
    await user.click(screen.getByRole('checkbox', { name: 'Boats come through' }));
    await waitFor(() =>
      expect(JSON.stringify(server.sent)).toContain('"/halts/1/comes","value":["traffic"]'),
    );
  });
});

describe('from a kayak', () => {
  test('where nobody said that she anchors, it is told as what if, with what stands against it first', async () => {
    open(TRIP);
    expect(await screen.findByRole('heading', { name: 'If you anchored there' })).toBeTruthy();
    expect(screen.getByText('Do not anchor at Tern Holm')).toBeTruthy();
    expect(screen.getByText(/Not here: what follows shows why/)).toBeTruthy();
    expect(screen.getByText('Can’t be vouched for.')).toBeTruthy();
    expect(screen.queryByText(/it may drag from a wind/)).toBeNull();
    await user.click(screen.getByRole('radio', { name: 'A pole' }));
    expect(await screen.findByRole('heading', { name: 'If you staked out there' })).toBeTruthy();
    slide('Depth', 0.8);
    slide('Stream', 0);
    expect(screen.getByText(/By hand it goes/)).toBeTruthy();
    expect(screen.getByRole('img', { name: /The pole in the ground/ })).toBeTruthy();
  });
  test('on a river that flows nothing of it is offered', async () => {
    const water = server.things.find(({ id }) => id.endsWith('046'))!;
    Object.assign(water.doc, { class: 'river', stage: { speed: 0.6, downstream: 90 } });
    delete (water.doc as { tide?: unknown }).tide;
    open(TRIP);
    expect(await screen.findByText(/In a river that flows an anchor holds small boats under/)).toBeTruthy();
    expect(screen.queryByRole('slider')).toBeNull();
  });
  test('letting go, the schools and the sea anchor open; steps are read one by one', async () => {
    open(TRIP);
    await user.click(await screen.findByRole('button', { name: 'Let go in a second' }));
    expect(screen.getByText('A release that opens with one hand: yes.')).toBeTruthy();
    expect(screen.getByText('A knife on somebody or in reach: no.')).toBeTruthy();
    expect(screen.getByText(/To the ring: at the bow it is [12]\.\d m from your shoulders/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Weight, anchor or pole: the schools' }));
    expect(screen.getByText(/2 kg of steel hold 10 N to 12 N on sand/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Sea anchor and sock' }));
    expect(screen.getByText(/^For her: 0\.[45]\d? m to 0\.8 m across/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Anchoring by a running line' }));
    expect(screen.getByText(/Line through the ring/)).toBeTruthy();
  });
  test('drift: ashore when and on what; a person in the water is not the boat', async () => {
    open(TRIP);
    const drift = await screen.findByRole('group', { name: 'If she drifts' });
    expect(within(drift).getByRole('status').textContent).toMatch(
      /^Ashore between .*Tern Holm \(Beach one can land on\)/,
    );
    await user.click(within(drift).getByRole('radio', { name: 'Somebody in the water' }));
    expect(within(drift).getByText(/person in a jacket/)).toBeTruthy();
    await user.click(within(drift).getByRole('radio', { name: 'With a sock or sea anchor' }));
    expect(within(drift).getByText(/Nobody vouches for a figure/)).toBeTruthy();
  });
});

test('the cut list names each part in order, with its length and how it is joined', async () => {
  at({ id: TRIP, halt: '0' });
  show(<RigPage />, { trip: TRIP });
  const [line, rig] = await screen.findAllByRole('list');
  const parts = within(line)
    .getAllByRole('listitem')
    .map((each) => each.textContent);
  expect(parts[0]).toBe('Small grapnel');
  expect(parts.some((part) => /^Line, 3\d\.\d m: seven times/.test(part))).toBe(true);
  expect(within(rig).getByText(/^4 fixed points along one side, from the stern at 0\.30 m/)).toBeTruthy();
  await user.click(screen.getByRole('radio', { name: 'Starboard' }));
  expect(screen.getByText(/^Starboard: the side/)).toBeTruthy();
});

test('without halts it says what is missing', async () => {
  Object.assign(server.things.find(({ id }) => id === TRIP)!.doc, { halts: [] });
  open(TRIP);
  expect(await screen.findByText(/There is no halt with hours yet/)).toBeTruthy();
});
