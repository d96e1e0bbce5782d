import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { getDocumentAsync } from 'expo-document-picker';
import { onward } from '@escale/core/earth';
import type { Place, Trip, Water } from '@escale/core/model';
import { at } from '../../test/router';
import { fakeServer, fresh, show, TRIP } from '../../test/world';
import { TripChart, WaterChart } from './chart-page';
import { CHART } from './words';

jest.mock('expo-document-picker', () => ({ getDocumentAsync: jest.fn() }));
const user = userEvent.setup({ delay: null });
let server: ReturnType<typeof fakeServer>;

beforeAll(() => {
  // The map library asks by it whether pictures of lines can be drawn.
  Object.defineProperty(SVGSVGElement.prototype, 'createSVGRect', { value: () => ({}) });
  window.scrollTo = () => undefined;
  // What lays out nothing has no size: the map is given that of a phone.
  for (const [side, size] of [
    ['clientWidth', 390],
    ['clientHeight', 400],
  ] as const)
    Object.defineProperty(HTMLElement.prototype, side, { configurable: true, get: () => size });
});
beforeEach(async () => {
  server = await fresh();
  at({ id: TRIP });
});

const docs = <D,>(type: string) =>
  server.things.filter((h) => h.type === type && !h.deleted).map((h) => h.doc as D);
const trip = () => docs<Trip>('trip').find(({ id }) => id === TRIP)!;
const named = (name: string) => docs<Place>('place').find((place) => place.name === name)!;

const WATER = '01890000-0000-7000-8000-000000000046';
const water = () => docs<Water>('water').find(({ id }) => id === WATER)!;
const open = async () => {
  show(<TripChart />, { trip: TRIP });
  const map = await screen.findByRole('region', { name: /Chart of Sallow Water/ });
  return within(map);
};
/** A file as the picker gives it. */
const bring = async (name: string, text: string) => {
  const file = { name, text: () => Promise.resolve(text) };
  jest.mocked(getDocumentAsync).mockResolvedValue({ canceled: false, assets: [{ file }] } as never);
  await user.click(screen.getByRole('button', { name: CHART.load }));
};

describe('the chart of a trip', () => {
  test('shows its places as buttons with their names; choosing one tells where it is and what can be done', async () => {
    const map = await open();
    await user.click(await map.findByRole('button', { name: 'Heron Reach' }));
    const card = within(screen.getByRole('group', { name: 'Heron Reach' }));
    expect(card.getByText(/nm from Gannow ramp, on 5\d° true/)).toBeTruthy();
    await user.click(card.getByRole('button', { name: CHART.halt }));
    await waitFor(() => expect(trip().halts.map(({ place }) => place)).toContain(named('Heron Reach').id));
    await user.click(await card.findByRole('button', { name: CHART.out }));
    await waitFor(() => expect(trip().halts).toHaveLength(1));
  });
  test('a place is moved by keyboard as by dragging, fifty metres a tap, and the move can be taken back', async () => {
    await open();
    const before = named('Heron Reach').position;
    await user.click(await screen.findByRole('button', { name: 'Heron Reach, Fishing ground' }));
    await user.click(screen.getByRole('button', { name: 'Move Heron Reach' }));
    await user.click(screen.getByRole('button', { name: CHART.north }));
    const there = onward(before, 0, 50);
    await waitFor(() => expect(named('Heron Reach').position.lat).toBeCloseTo(there.lat, 9));
    await user.click(await screen.findByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(named('Heron Reach').position).toEqual(before));
  });
  test('a position that is typed is a spot: what is charted there, and a place or a point of the way is made of it', async () => {
    await open();
    await user.click(screen.getByRole('button', { name: CHART.position }));
    await user.type(screen.getByLabelText(CHART.where), '41.196, -29.464');
    await user.click(screen.getByRole('button', { name: CHART.show }));
    const spot = within(await screen.findByRole('group', { name: CHART.spot }));
    expect(spot.getByText('Dries 0.8 m above chart datum.')).toBeTruthy();
    expect(spot.getByText(/nearest landing is/)).toBeTruthy();
    await user.click(spot.getByRole('button', { name: CHART.make }));
    await user.click(spot.getByRole('button', { name: CHART.makeIt }));
    expect(await spot.findByText(CHART.unnamed)).toBeTruthy();
    await user.click(spot.getByRole('radio', { name: 'Hazard' }));
    await user.type(spot.getByLabelText(CHART.name), 'The bank');
    await user.click(spot.getByRole('button', { name: CHART.makeIt }));
    await waitFor(() => expect(named('The bank')).toMatchObject({ kind: 'hazard', water: WATER }));
    // One does not halt at it.
    const card = within(await screen.findByRole('group', { name: 'The bank' }));
    expect(card.queryByRole('button', { name: CHART.halt })).toBeNull();
  });
  test('going there makes a point of the way behind what was there', async () => {
    await open();
    await user.click(screen.getByRole('button', { name: CHART.position }));
    await user.type(screen.getByLabelText(CHART.where), '41.17, -29.46');
    await user.click(screen.getByRole('button', { name: CHART.show }));
    await user.click(await screen.findByRole('button', { name: CHART.goThere }));
    await waitFor(() => expect(trip().halts).toHaveLength(2));
    expect(trip().halts[1].place).toBe(named('Point 1').id);
  });
  test('legs are told with their hours and where a landing is farthest', async () => {
    await open();
    await user.click(await screen.findByRole('button', { name: CHART.way }));
    expect(await screen.findByText('Gannow ramp to Tern Holm')).toBeTruthy();
    expect(screen.getAllByText(/^06:20 to 07:3\d · 3.1 nm on 11\d° true, 12\d° by compass$/)).toHaveLength(1);
    expect(
      screen.getAllByText(/Farthest from a landing: 1.[56] nm, nearest (Gannow ramp|Tern Holm), \d+ min/),
    ).toHaveLength(2);
    expect(screen.getAllByText(/^\d\d:\d\d to .* true, \d+° by compass$/).length).toBeGreaterThan(0);
    expect(screen.getAllByText(/^Makes \d\.\d kn over the ground, rests included\./).length).toBeGreaterThan(
      0,
    );
  });
  test('numbers to ring stand as links with the day on which somebody tried them', async () => {
    await open();
    expect(screen.getByRole('link', { name: /Ring the invented coast watch/ }).getAttribute('href')).toBe(
      'tel:5550100',
    );
    expect(screen.getAllByText(/last confirmed 1 Apr 2026/)).toHaveLength(2);
  });
});

const GPX =
  '<gpx xmlns="http://www.topografix.com/GPX/1/1"><wpt lat="41.19" lon="-29.45"><name>Perch</name></wpt><wpt lat="x" lon="1"/>' +
  '<rte><name>Round</name><rtept lat="41.19" lon="-29.46"><name>One</name></rtept><rtept lat="41.18" lon="-29.45"/></rte>' +
  '<trk><name>Last week</name><trkseg><trkpt lat="41.19" lon="-29.49"/><trkpt lat="41.18" lon="-29.47"/></trkseg></trk></gpx>';

describe('a file', () => {
  test('is looked at first; left, it changes nothing; taken, its points, its way and its track are here', async () => {
    await open();
    const before = docs<Place>('place').length;
    await bring('a.gpx', GPX);
    const look = within(await screen.findByRole('status'));
    expect(look.getByText('1 part is left out: no position, or one that is nowhere.')).toBeTruthy();
    await user.click(look.getByRole('button', { name: CHART.leaveIt }));
    expect(docs<Place>('place')).toHaveLength(before);
    await bring('a.gpx', GPX);
    const again = within(await screen.findByRole('status'));
    await user.click(again.getByRole('radio', { name: 'Haven' }));
    await user.click(again.getByRole('radio', { name: 'The way “Round”, 2 points' }));
    await user.click(again.getByRole('checkbox', { name: 'Draw 1 track on the chart' }));
    await user.click(again.getByRole('button', { name: CHART.take }));
    await waitFor(() => expect(water().chart?.tracks).toHaveLength(1));
    expect(named('Perch').kind).toBe('haven');
    const way = trip().halts.map(({ place }) => docs<Place>('place').find(({ id }) => id === place)?.name);
    expect(way).toEqual(['One', 'Point 1']);
    // What was drawn before stays.
    expect(water().chart!.shore.length).toBeGreaterThan(0);
    expect(water().chart!.source).toContain('invented coast');
  });
  test('points without a name get one each; what a place can’t have is left out; the way and the shore can be taken back', async () => {
    await open();
    const before = { halts: trip().halts, chart: water().chart };
    const point = (lon: number, properties: object = {}) => ({
      type: 'Feature',
      properties,
      geometry: { type: 'Point', coordinates: [lon, 41.19] },
    });
    const line = {
      type: 'LineString',
      coordinates: [
        [-29.48, 41.19],
        [-29.47, 41.18],
      ],
    };
    const shore = {
      type: 'Polygon',
      coordinates: [
        [
          [-29.5, 41],
          [-29.4, 41],
          [-29.4, 41.1],
          [-29.5, 41],
        ],
      ],
    };
    const features = [
      point(-29.45),
      point(-29.46),
      point(-29.47, { name: 'Deep', kind: 'ground', depth: 9000, seabed: 'sand' }),
      { type: 'Feature', properties: { name: 'Out' }, geometry: line },
      { type: 'Feature', properties: { natural: 'land' }, geometry: shore },
    ];
    await bring('a.geojson', JSON.stringify({ type: 'FeatureCollection', features }));
    const look = within(await screen.findByRole('status'));
    await user.click(look.getByRole('radio', { name: /“Out”/ }));
    await user.click(look.getByRole('button', { name: CHART.take }));
    await waitFor(() => expect(water().chart?.source).toBe('a.geojson'));
    const names = docs<Place>('place').map(({ name }) => name);
    expect(names).toEqual(expect.arrayContaining(['Point 1', 'Point 2', 'Point 3', 'Point 4', 'Deep']));
    expect(named('Deep')).toMatchObject({ kind: 'ground', seabed: 'sand' });
    expect(named('Deep')).not.toHaveProperty('depth');
    await user.click(await screen.findByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(water().chart).toEqual(before.chart));
    expect(trip().halts).toEqual(before.halts);
  });
  test('a way with as many halts as a trip may have takes no more, and says so', async () => {
    const held = server.things.find(({ id }) => id === TRIP)!;
    const [halt] = trip().halts;
    Object.assign(held, {
      doc: { ...held.doc, halts: Array.from({ length: 30 }, () => ({ ...halt, minutes: 0 })) },
    });
    const map = await open();
    await user.click(await map.findByRole('button', { name: 'Heron Reach' }));
    const card = within(screen.getByRole('group', { name: 'Heron Reach' }));
    await user.click(card.getByRole('button', { name: CHART.halt }));
    expect(await card.findByText(/no more than 30 halts/)).toBeTruthy();
    expect(trip().halts).toHaveLength(30);
  });
  test('a track of many points becomes a way of few, and that is said', async () => {
    await open();
    const points = Array.from(
      { length: 400 },
      (_, i) => `<trkpt lat="${41.17 + 0.01 * Math.sin(i / 20)}" lon="${-29.5 + i / 5000}"/>`,
    ).join('');
    await bring('day.gpx', `<gpx><trk><trkseg>${points}</trkseg></trk></gpx>`);
    const look = within(await screen.findByRole('status'));
    await user.click(look.getByRole('radio', { name: /400 points/ }));
    expect(look.getByText(/^It is led by the \d\d points that shape it/)).toBeTruthy();
    await user.click(look.getByRole('button', { name: CHART.take }));
    await waitFor(() => expect(trip().halts.length).toBeGreaterThan(5));
    expect(trip().halts.length).toBeLessThanOrEqual(30);
    expect(trip().halts.every(({ minutes }) => minutes === 0)).toBe(true);
  });
  test('of areas it is asked what they are; they take the place of the shore that is drawn', async () => {
    await open();
    const ring = [
      [-29.5, 41],
      [-29.4, 41],
      [-29.4, 41.1],
      [-29.5, 41],
    ];
    const text = JSON.stringify({
      type: 'FeatureCollection',
      features: [{ type: 'Feature', properties: {}, geometry: { type: 'Polygon', coordinates: [ring] } }],
    });
    await bring('land.geojson', text);
    const look = within(await screen.findByRole('status'));
    await user.click(look.getByRole('radio', { name: CHART.areasLand }));
    await user.click(look.getByRole('button', { name: CHART.take }));
    await waitFor(() => expect(water().chart?.source).toBe('land.geojson'));
    expect(water().chart!.shore).toHaveLength(1);
    expect(water().chart!.shore[0].inside).toBe('land');
    expect(water().chart!.depths.length).toBeGreaterThan(0);
  });
  test.each([
    ['an entity bomb', '<!DOCTYPE x [<!ENTITY a "b">]><gpx/>', /document type/],
    ['torn', '<gpx><wpt', /torn/],
    ['nothing of use', '{"type":"FeatureCollection","features":[]}', CHART.nothing],
  ])('%s is told in words and changes nothing', async (_what, text, said) => {
    await open();
    await bring('x', text);
    expect(await screen.findByText(said)).toBeTruthy();
    expect(screen.queryByRole('button', { name: CHART.take })).toBeNull();
  });
});

describe('from an empty household', () => {
  test('the chart says what belongs on it and takes a file without a water for its points alone', async () => {
    server.things.length = 0;
    at({});
    show(<WaterChart />);
    expect(await screen.findByText(CHART.emptyTitle)).toBeTruthy();
    await bring('a.gpx', GPX);
    const look = within(await screen.findByRole('status'));
    expect(look.queryByRole('checkbox', { name: /Draw/ })).toBeNull();
    await user.click(look.getByRole('button', { name: CHART.take }));
    await waitFor(() => expect(named('Perch')).toMatchObject({ kind: 'waypoint' }));
  });
});
