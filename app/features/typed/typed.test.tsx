import { fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { KNOT, MS } from '@escale/core/units';
import { at } from '../../test/router';
import { fakeServer, fresh, show, TRIP } from '../../test/world';
import { ForecastBlock } from './forecast-block';
import { HeardForecast } from './heard';
import { StreamBlock } from './stream-block';
import { TideBlock } from './tide-block';
import { HEARD, STATIONS, STREAM } from './words';

const user = userEvent.setup({ delay: null });
let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  server = await fresh();
  at({ id: TRIP });
});
const doc = (id: string) => server.things.find((h) => h.id === id)!.doc as unknown as Record<string, unknown>;
const write = async (label: string, text: string) => {
  const field = screen.getByLabelText(label);
  await user.clear(field);
  await user.type(field, text);
};

describe('a forecast by hand', () => {
  test('typed row by row; what lacks is told and nothing is lost; kept with the trip in SI', async () => {
    show(<ForecastBlock />, { trip: TRIP });
    await user.click(await screen.findByRole('button', { name: 'Type it in' }));
    // The rows begin at the hour of leaving.
    expect((screen.getByLabelText('Hour, row 1') as HTMLInputElement).value).toBe('06:00');
    await write('Wind, row 1', 'F3');
    await write('From, row 1', 'sw');
    await user.click(screen.getByRole('button', { name: 'Keep it' }));
    const alert = await screen.findByRole('alert');
    expect(alert.textContent).toMatch(/Where does it come from/);
    expect(alert.textContent).toMatch(/Gusts are asked for/);
    expect((screen.getByLabelText('Wind, row 1') as HTMLInputElement).value).toBe('F3');
    await write('Gust, row 1', '15');
    await write('Where it comes from', 'Radio at five');
    await write('Water, °C', '12,5');
    await user.selectOptions(screen.getByRole('combobox', { name: 'Visibility in row 1' }), 'Good');
    await user.click(screen.getByRole('checkbox', { name: 'Thunder in row 1' }));
    await user.click(screen.getByRole('button', { name: 'Keep it' }));
    await waitFor(() => expect(doc(TRIP).forecast).toBeDefined());
    expect(doc(TRIP).forecast).toMatchObject({
      source: 'Radio at five',
      hours: [{ wind: 10 * KNOT, gust: 15 * KNOT, from: 225, water: 12.5, visibility: 9260, thunder: true }],
    });
    expect(await screen.findByText(/^Radio at five, issued .* 1 hour typed in\.$/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Take it away' }));
    await waitFor(() => expect(doc(TRIP)).not.toHaveProperty('forecast'));
  });
  test('pasted, it fills the rows', async () => {
    show(<ForecastBlock />, { trip: TRIP });
    await user.click(await screen.findByRole('button', { name: 'Type it in' }));
    await user.click(screen.getByRole('button', { name: 'Paste as text or CSV' }));
    await user.click(screen.getByLabelText(/^Text: hour/));
    await user.paste('time,wind,gust,from\n06:00,12,18,SW\n09:00,16,24,WSW');
    await user.click(screen.getByRole('button', { name: 'Read it into the rows' }));
    expect((screen.getByLabelText('Gust, row 2') as HTMLInputElement).value).toBe('24');
    expect(screen.queryByLabelText('Gust, row 3')).toBeNull();
  });
});

test('at a place on the way: hours of its own, begun with those of the water, kept with them and taken away', async () => {
  const hour = { wind: 5, gust: 7, from: 220 };
  Object.assign(doc(TRIP), {
    forecast: {
      issuedAt: '2026-05-11T12:00:00Z',
      source: 'Radio',
      hours: [6, 9].map((h) => ({ at: `2026-05-12T0${h}:00:00Z`, ...hour })),
    },
  });
  show(<ForecastBlock />, { trip: TRIP });
  await user.click(await screen.findByRole('button', { name: 'Hours for Tern Holm' }));
  expect((screen.getByLabelText('From, row 2') as HTMLInputElement).value).toBe('220');
  await write('Wind, row 2', '20');
  await user.click(screen.getByRole('button', { name: 'Keep it' }));
  expect((await screen.findByRole('alert')).textContent).toMatch(/gust/i);
  await write('Gust, row 2', '26');
  await user.click(screen.getByRole('button', { name: 'Keep it' }));
  const points = () =>
    (doc(TRIP).forecast as { points?: { name: string; hours: { wind: number }[] }[] }).points;
  await waitFor(() => expect(points()?.[0].name).toBe('Tern Holm'));
  expect(points()![0].hours[1].wind).toBeCloseTo(20 * KNOT, 6);
  expect(await screen.findByText('Tern Holm: 2 hours')).toBeTruthy();
  expect(screen.queryByRole('button', { name: 'Hours for Tern Holm' })).toBeNull();
  await user.click(screen.getByRole('button', { name: 'Take away the forecast for Tern Holm' }));
  await waitFor(() => expect(points()).toBeUndefined());
});

test('on the strip: an hour chosen, added and changed by steps, and kept', async () => {
  show(<ForecastBlock />, { trip: TRIP });
  await user.click(await screen.findByRole('button', { name: 'Type it in' }));
  const hour = screen.getByRole('slider', { name: 'Hour on the strip' });
  expect(hour.getAttribute('aria-valuetext')).toBe('06:00: wind not said, gusts not said, from not said');
  await write('Wind, row 1', '12');
  await write('Gust, row 1', '12');
  await write('From, row 1', 'N');
  await user.click(screen.getByRole('button', { name: 'More wind' }));
  expect((screen.getByLabelText('Wind, row 1') as HTMLInputElement).value).toBe('13');
  expect((screen.getByLabelText('Gust, row 1') as HTMLInputElement).value).toBe('13');
  await user.click(screen.getByRole('button', { name: 'From further left' }));
  expect(hour.getAttribute('aria-valuetext')).toBe('06:00: wind 13.0 kn, gusts 13.0 kn, from NNW');
  fireEvent.change(hour, { target: { value: Number((hour as HTMLInputElement).value) + MS.hour } });
  expect(hour.getAttribute('aria-valuetext')).toBe('07:00: no row');
  await user.click(screen.getByRole('button', { name: 'Add 07:00' }));
  expect((screen.getByLabelText('Hour, row 2') as HTMLInputElement).value).toBe('07:00');
  expect((screen.getByLabelText('Wind, row 2') as HTMLInputElement).value).toBe('13');
  await user.click(screen.getByRole('button', { name: 'More gust' }));
  await write('Where it comes from', 'Radio');
  await user.click(screen.getByRole('button', { name: 'Keep it' }));
  await waitFor(() =>
    expect(doc(TRIP).forecast).toMatchObject({ hours: [{ gust: 13 * KNOT }, { gust: 14 * KNOT }] }),
  );
});

test('a turn of the tide on the strip: its time and height by steps', async () => {
  const water = doc(TRIP).water as string;
  delete doc(water).tide;
  show(<TideBlock />, { trip: TRIP });
  await user.click(await screen.findByRole('button', { name: 'Type it in' }));
  const time = screen.getByRole('slider', { name: 'Time on the strip' });
  expect(time.getAttribute('aria-valuetext')).toBe('06:15: no turn near');
  await user.click(screen.getByRole('button', { name: 'Add 06:15' }));
  expect(time.getAttribute('aria-valuetext')).toBe('High 06:15, not said');
  await user.click(screen.getByRole('button', { name: 'Higher' }));
  await user.click(screen.getByRole('button', { name: 'Later' }));
  expect(time.getAttribute('aria-valuetext')).toBe('High 06:20, 0.1 m');
});

test('a tide table by hand: kept with the water, in the order of its turns', async () => {
  const water = doc(TRIP).water as string;
  delete doc(water).tide;
  show(<TideBlock />, { trip: TRIP });
  await user.click(await screen.findByRole('button', { name: 'Type it in' }));
  await write('Station or place', 'North slip');
  await write('Hour, row 1', '0410');
  await write('Height, row 1', '4.6');
  await write('Hour, row 2', '1020');
  await write('Height, row 2', '5.2');
  await user.click(screen.getByRole('button', { name: 'Keep it' }));
  expect((await screen.findByRole('alert')).textContent).toMatch(/High and low follow each other/);
  await write('Height, row 2', '0.9');
  await user.click(screen.getByRole('button', { name: 'Keep it' }));
  await waitFor(() =>
    expect(doc(water).tide).toMatchObject({
      kind: 'table',
      name: 'North slip',
      rows: [
        { height: 4.6, turn: 'high' },
        { height: 0.9, turn: 'low' },
      ],
    }),
  );
});

describe('a tide station that is carried', () => {
  const begin = async () => {
    const water = doc(TRIP).water as string;
    delete doc(water).tide;
    show(<TideBlock />, { trip: TRIP });
    await user.click(await screen.findByRole('button', { name: STATIONS.look }));
    await screen.findByLabelText(STATIONS.find);
    return water;
  };
  test('is looked for by name, shows its turns around the hour of leaving, and is kept with the water', async () => {
    const water = await begin();
    // The nearest stand there before anything is typed, however far they are.
    expect(screen.getAllByRole('listitem').length).toBeGreaterThan(3);
    await write(STATIONS.find, 'boston');
    await user.click((await screen.findAllByRole('button', { name: /^Boston, / }))[0]);
    expect((await screen.findAllByText(/^(High|Low) (Mon|Tue|Wed) /)).length).toBeGreaterThan(2);
    expect(screen.getByText(/^Heights over MLLW, by its own constants/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: STATIONS.use }));
    await waitFor(() =>
      expect(doc(water).tide).toMatchObject({ kind: 'constants', name: 'Boston', datum: 'MLLW' }),
    );
    expect(await screen.findByText(/^Boston, .* from .*\. Heights over MLLW\.$/)).toBeTruthy();
    expect(screen.getByText(/public domain/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Take it away' }));
    await waitFor(() => expect(doc(water)).not.toHaveProperty('tide'));
  });
  test('that is not there is said, with what to do instead; one of offsets names the other', async () => {
    const water = await begin();
    await write(STATIONS.find, 'qqqq');
    expect((await screen.findByRole('status')).textContent).toBe(STATIONS.none);
    await write(STATIONS.find, 'nonopapa');
    await user.click(await screen.findByRole('button', { name: /^Nonopapa, / }));
    expect(await screen.findByText(/^Heights over MLLW, from the turns of Honolulu/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: STATIONS.use }));
    await waitFor(() => expect(doc(water).tide).toMatchObject({ kind: 'offsets', heights: 'times' }));
  });
});

describe('a stream', () => {
  const WATER = '01890000-0000-7000-8000-000000000046';
  const stream = () => (doc(WATER) as { stream?: { kind: string; rows?: object[] } }).stream;
  const open = async () => {
    show(<StreamBlock />, { trip: TRIP });
    await user.click(await screen.findByRole('button', { name: 'Type it in' }));
  };
  test('typed by its turns: what lacks is told and nothing is lost; kept in SI; typed again from what is kept', async () => {
    await open();
    await write(STREAM.turnLines, '05:10 slack\n08:05 flod 1.2');
    await user.click(screen.getByRole('button', { name: 'Keep it' }));
    const alert = await screen.findByRole('alert');
    for (const word of [/Where is it/, /Line 2/, /Where flood and ebb go/])
      expect(alert.textContent).toMatch(word);
    expect(stream()).toBeUndefined();
    await write(STREAM.name, 'The narrows');
    await write(STREAM.flood, '115');
    await write(STREAM.ebb, '295°');
    await write(STREAM.turnLines, '05:10 slack\n08:05 flood 1.2');
    await user.click(screen.getByRole('button', { name: 'Keep it' }));
    await waitFor(() => expect(stream()?.kind).toBe('turns'));
    expect(stream()).toMatchObject({
      flood: 115,
      ebb: 295,
      rows: [
        { at: '2026-05-12T05:10:00.000Z', speed: 0 },
        { at: '2026-05-12T08:05:00.000Z', speed: 1.2 * KNOT },
      ],
    });
    await user.click(await screen.findByRole('button', { name: 'Change it' }));
    expect((screen.getByLabelText(STREAM.turnLines) as HTMLTextAreaElement).value).toBe(
      '2026-05-12 05:10 slack\n2026-05-12 08:05 flood 1.2',
    );
  });
  test('typed by hours around high water, with both ranges or neither', async () => {
    await open();
    await user.click(screen.getByRole('radio', { name: STREAM.byHours }));
    await write(STREAM.name, 'Atlas');
    await write(STREAM.springRange, '4,2');
    await write(STREAM.hourLines, '-1 45 1.4 0.7\nHW 60 0.9');
    await user.click(screen.getByRole('button', { name: 'Keep it' }));
    expect((await screen.findByRole('alert')).textContent).toMatch(/Both ranges or neither/);
    await write(STREAM.neapRange, '2.1');
    await user.click(screen.getByRole('button', { name: 'Keep it' }));
    await waitFor(() => expect(stream()).toMatchObject({ kind: 'hours', springRange: 4.2, neapRange: 2.1 }));
    await user.click(await screen.findByRole('button', { name: 'Take it away' }));
    await waitFor(() => expect(stream()).toBeUndefined());
  });
  test('of a station that is carried: what it says from the hour of leaving on, and it is taken', async () => {
    show(<StreamBlock />, { trip: TRIP });
    await user.click(await screen.findByRole('button', { name: STREAM.look }));
    await user.type(await screen.findByLabelText(STATIONS.find), 'pollock rip');
    await user.click((await screen.findAllByRole('button', { name: /^Pollock Rip Channel/ }))[0]);
    expect((await screen.findAllByText(/kn towards \d+°/)).length).toBe(7);
    await user.click(screen.getByRole('button', { name: STREAM.use }));
    await waitFor(() => expect(stream()?.kind).toBe('constants'));
    expect(await screen.findByText(/Pollock Rip Channel.*by its constants/)).toBeTruthy();
  });
});

describe('a forecast heard afloat', () => {
  const forecast = () =>
    doc(TRIP).forecast as { source: string; hours: { at: string; wind: number; from: number }[] } | undefined;
  test('in two taps, a force and from when: it stands at once, and can be taken back', async () => {
    show(<HeardForecast />, { trip: TRIP });
    await user.click(await screen.findByRole('button', { name: HEARD.title }));
    await user.click(screen.getByRole('button', { name: 'Force 6' }));
    await user.click(screen.getByRole('button', { name: /^In 2 h/ }));
    await waitFor(() => expect(forecast()?.source).toMatch(/^Heard afloat: force 6 from/));
    const last = forecast()!.hours.at(-1)!;
    expect(last.wind).toBeCloseTo(27 * KNOT, 9);
    expect(last.from).toBe(220);
    await user.click(await screen.findByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(doc(TRIP)).not.toHaveProperty('forecast'));
  });
});
