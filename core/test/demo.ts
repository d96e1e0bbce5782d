import { demoBundle } from '../src/formats';
import type { Boat, Forecast, GearItem, Person, Place, Trip, Water } from '../src/model';
import { type AssessInput } from '../src/trip';
import { CATALOGUE } from '../src/kit';
import { packsFor } from '../src/rules';

/** The demo on a fixed day: what tests and pictures look at. */
export const NOW = Date.UTC(2026, 4, 11, 15);
export const demo = () => demoBundle(NOW);

/** A forecast of one steady weather over days around NOW. */
export function steady(hour: Partial<Forecast['hours'][number]> = {}, days = 12): Forecast {
  const from = Date.UTC(2026, 4, 8);
  return {
    issuedAt: new Date(NOW - 3 * 3_600_000).toISOString(),
    source: 'test',
    hours: Array.from({ length: days * 24 }, (_, i) => ({
      at: new Date(from + i * 3_600_000).toISOString(),
      wind: 4,
      gust: 6,
      from: 220,
      air: 15,
      water: 13.4,
      visibility: 20_000,
      ...hour,
    })),
  };
}

/** Input for the demo's trip n: 0 the kayak at dawn, 1 four in the trailer boat, 2 done. */
export function inputOf(
  n = 0,
  change: {
    trip?: Partial<Trip>;
    shed?: Partial<AssessInput['shed']>;
    forecast?: Forecast | null;
    now?: number;
  } = {},
): AssessInput {
  const bundle = demo();
  const shed = { ...bundle.shed, ...change.shed };
  const trip = { ...bundle.trips[n], ...change.trip };
  const water = shed.waters.find((w) => w.id === trip.water);
  return {
    trip,
    shed,
    conditions: change.forecast === null ? {} : { forecast: change.forecast ?? steady() },
    packs: packsFor(water?.jurisdiction ?? [], undefined, water?.without),
    catalogue: CATALOGUE,
    now: change.now ?? NOW,
  };
}

let n = 0;
/** Ids that pass the schema, each once. */
export const id = () => `01890000-0000-7000-9000-${String((n += 1)).padStart(12, '0')}`;

export const aBoat = (more: Partial<Boat> = {}): Boat => ({
  id: id(),
  name: 'Tern',
  kind: 'skiff',
  propulsion: [{ kind: 'outboard', cruise: 5 }],
  openings: [],
  length: 4.5,
  ...more,
});
export const aPerson = (more: Partial<Person> = {}): Person => ({
  id: id(),
  name: 'Ash',
  born: '1990-01-01',
  mass: 75,
  ...more,
});
export const anItem = (kind: string, more: Partial<GearItem> = {}): GearItem => ({
  id: id(),
  kind,
  name: kind,
  count: 1,
  stowage: 'in-reach',
  state: 'ready',
  inspected: '2026-05-01',
  approval: 'USCG 160.064',
  ...more,
});
export const aPlace = (more: Partial<Place> = {}): Place => ({
  id: id(),
  name: 'Slip',
  kind: 'launch',
  position: { lat: 41.2, lon: -29.5 },
  ...more,
});
export const aWater = (more: Partial<Water> = {}): Water => ({
  id: id(),
  name: 'Mere',
  class: 'coastal',
  jurisdiction: ['US'],
  zone: 'UTC',
  answers: { 'us-signal-waters': true },
  ...more,
});
