import type { Finding, Forecast, GearItem, Place, Trip, Water } from '../src/model';
import { CRAFT, type Craft } from '../src/model/lists';
import { render } from '../src/say';
import { assess, type AssessInput } from '../src/trip';
import { aBoat, anItem, aPerson, aPlace, aWater, inputOf, steady } from './demo';

const READER = { units: 'metric', zone: 'UTC', locale: 'en-GB' } as const;
/** Length, beam and depth of one of each kind, metres. */
export const SIZES: Record<Craft, [number, number, number]> = {
  'sit-on-top': [3.6, 0.8, 0.36],
  'sit-inside': [4.8, 0.6, 0.32],
  canoe: [4.9, 0.88, 0.36],
  paddleboard: [3.5, 0.84, 0.15],
  inflatable: [3.2, 1.6, 0.42],
  skiff: [4.2, 1.6, 0.6],
  'trailer-boat': [6, 2.3, 1],
  'personal-watercraft': [3.3, 1.2, 0.7],
  catamaran: [4.3, 2.2, 0.5],
  raft: [4.2, 2, 0.5],
};
export const crafts = Object.keys(CRAFT) as Craft[];
export const SMALL: readonly Craft[] = ['sit-on-top', 'sit-inside', 'canoe', 'paddleboard'];

/** A steady stream towards the east, m/s. */
export const flows = (mean: number): Water['stream'] => ({
  kind: 'constants',
  name: 'Race',
  flood: 90,
  ebb: 270,
  mean,
  constituents: [{ name: 'M2', amplitude: 0, phase: 0 }],
});

export interface Lies {
  kind?: Craft;
  halt?: Partial<Trip['halts'][number]>;
  place?: Partial<Place>;
  water?: Partial<Water>;
  anchor?: Partial<GearItem> | null;
  knife?: GearItem['stowage'] | null;
  pole?: Partial<GearItem>;
  forecast?: Forecast | null;
  others?: Place[];
  time?: string;
  trip?: Partial<Trip>;
}

/** An hour and a half at anchor on a lake, with all that is needed for it said; what differs is given. */
export function lying(given: Lies = {}) {
  const { kind = 'sit-on-top', anchor = {}, knife = 'on-body', others = [] } = given;
  const [length, beam, depth] = SIZES[kind];
  const paddled = SMALL.includes(kind) || kind === 'raft';
  const boat = aBoat({
    kind,
    length,
    beam,
    depth,
    mass: paddled ? 30 : 200,
    propulsion: [paddled ? { kind: 'paddle', cruise: 1.5 } : { kind: 'outboard', cruise: 5 }],
  });
  const water = aWater({ class: 'lake', ...given.water });
  const launch = aPlace({ works: 0, water: water.id });
  const ground = aPlace({
    kind: 'ground',
    name: 'Hole',
    position: { lat: 41.21, lon: -29.5 },
    water: water.id,
    seabed: 'mud',
    depth: 2,
    ...given.place,
  });
  const who = aPerson();
  const gear = [
    ...(anchor === null
      ? []
      : [
          anItem('anchor', {
            name: 'Grapnel',
            anchor: 'plough',
            weighs: 5,
            line: 40,
            chain: 1,
            release: 'quick',
            float: true,
            ...anchor,
          }),
        ]),
    ...(knife === null ? [] : [anItem('knife', { stowage: knife })]),
    ...(given.pole
      ? [
          anItem('stake-pole', {
            name: 'Pole',
            long: 2.4,
            thick: 0.025,
            poleOf: 'glassfibre',
            line: 4,
            release: 'quick',
            ...given.pole,
          }),
        ]
      : []),
  ];
  const base = inputOf();
  const input: AssessInput = {
    ...base,
    trip: {
      ...base.trip,
      boat: boat.id,
      crew: [{ person: who.id, role: 'skipper' }],
      water: water.id,
      launch: launch.id,
      halts: [{ place: ground.id, minutes: 90, hold: 'anchor', fast: 'bow', ...given.halt }],
      leave: { date: '2026-05-12', time: given.time ?? '12:00' },
      speed: 1.5,
      stow: [],
      load: [],
      ...given.trip,
    },
    shed: {
      ...base.shed,
      boats: [boat],
      people: [who],
      gear,
      places: [launch, ground, ...others],
      waters: [water],
      debriefs: [],
    },
    conditions: given.forecast === null ? {} : { forecast: given.forecast ?? steady() },
  };
  const { findings, schedule } = assess(input);
  const found = findings.filter(({ id }) => id.startsWith('hold/'));
  const of = (id: string): Finding | undefined => found.find((f) => f.id.startsWith(`hold/${id}/`));
  return {
    input,
    schedule,
    found,
    of,
    at: (id: string) => of(id)?.level,
    says: (id: string) =>
      [...(of(id)?.because ?? []), ...(of(id)?.assumed ?? [])].map((b) => render(b, READER)).join(' '),
    title: (id: string) => render(of(id)!.title, READER),
  };
}
export const refused = ({ found }: ReturnType<typeof lying>) =>
  found
    .filter(({ level, title }) => level === 'fix' && title.say.startsWith('hold.not.'))
    .map(({ id }) => id.split('/')[1]);
