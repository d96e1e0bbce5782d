import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { aPerson, aPlace, steady } from '../../test/demo';
import { skiff, world } from '../../test/afloat';
import { runs } from '../../test/runs';
import { distance, onward } from '../earth';
import type { Boat, Place, Trip } from '../model';
import { render } from '../say';
import { assess, type AssessInput } from '../trip';
import { havenOrHome, speedsStill, type Deciding, type Decision, type Mishap, type Plight } from '.';

// A boat at 1 km, a beach at 3, home at 15: common practice, no source; the times are length over speed, by hand.
const KMH = 1 / 3.6;
const NOON = Date.UTC(2026, 4, 12, 12);
const HERE = { lat: 41.25, lon: -29.5 };
const reader = { units: 'metric', zone: 'UTC', locale: 'en-GB' } as const;
const said = (phrases: Decision['because']) => phrases.map((p) => render(p, reader)).join(' ');

const beach = (metres: number, more: Partial<Place> = {}) =>
  aPlace({
    kind: 'haven',
    shore: 'beach',
    name: 'The beach',
    position: onward(HERE, 270, metres),
    works: undefined,
    ...more,
  });
const ramp = (metres: number, more: Partial<Place> = {}) =>
  aPlace({
    kind: 'launch',
    launchFrom: 'ramp',
    name: 'Home ramp',
    position: onward(HERE, 180, metres),
    works: undefined,
    ...more,
  });
/** Fuel for hours and hours, and what she burns said at every speed. */
const fuelled = (more: Partial<Boat> = {}): Boat =>
  skiff({
    propulsion: [
      {
        kind: 'outboard',
        cruise: 32 * KMH,
        tank: 0.06,
        burn: 4e-6,
        log: [
          { speed: 2, burn: 2e-6 },
          { speed: 4, burn: 3e-6 },
        ],
      },
    ],
    ...more,
  });

interface Scene {
  places?: Place[];
  home?: Place;
  boat?: Boat;
  trip?: Partial<Trip>;
  now?: number;
  water?: Parameters<typeof world>[2] extends infer M ? (M extends { water?: infer W } ? W : never) : never;
  forecast?: AssessInput['conditions']['forecast'] | null;
}
/** A lake unless it is said otherwise: no stream, no tide. */
function laid(scene: Scene): Deciding {
  const { home = ramp(15_000), places = [beach(3000)], boat = fuelled(), now = NOON } = scene;
  const { input } = world(boat, [aPerson()], {
    trip: {
      launch: home.id,
      fuel: 0.06,
      leave: { date: '2026-05-12', time: '11:30' },
      limits: {},
      ...scene.trip,
    },
    water: { class: 'lake', ...scene.water },
  });
  const forecast = scene.forecast === null ? undefined : (scene.forecast ?? steady({ wind: 3, gust: 4 }));
  const whole: AssessInput = {
    ...input,
    now,
    conditions: forecast ? { forecast } : {},
    shed: { ...input.shed, places: input.shed.places.slice(1) },
  };
  const there = withPlaces(whole, [home, ...places]);
  return { input: there, schedule: assess(there).schedule, now, here: HERE };
}
/** Places of the water of the trip, where they are of no other. */
const withPlaces = (input: AssessInput, places: Place[]): AssessInput => {
  const water = input.shed.waters[0].id;
  const all = places.map((place) => ({ ...place, water: place.water ?? water }));
  return { ...input, shed: { ...input.shed, places: [...input.shed.places, ...all] } };
};
const decide = (plight: Plight, scene: Scene = {}): Decision => havenOrHome(laid(scene), plight);
const boat = 1000;

describe('a boat at 1 km, a beach at 3, home at 15', () => {
  test.each<[number, Mishap, string, number]>([
    // km/h, what happened, where to, minutes
    [8, 'water', 'boat', 7.5],
    [14, 'water', 'boat', 4.29],
    [32, 'water', 'boat', 1.875],
    [8, 'shut', 'boat', 7.5],
    [14, 'shut', 'boat', 4.29],
    [32, 'shut', 'home', 28.1],
    [8, 'tow', 'boat', 7.5],
    [32, 'worn', 'home', 28.1],
    [32, 'weather', 'boat', 1.875],
  ])('at %i km/h, %s: to the %s, %f min', (speed, what, to, minutes) => {
    const { choose, changes } = decide({ what, speed: speed * KMH, boat });
    expect(choose?.to).toBe(to);
    expect(choose!.seconds! / 60).toBeCloseTo(minutes, 1);
    // It always says what would change its mind.
    expect(changes.length).toBeGreaterThan(0);
  });
  test.each([
    [8, 22.5],
    [14, 12.9],
    [32, 5.6],
  ])('at %i km/h with no boat about and water that may come in: the beach, %f min', (speed, minutes) => {
    const { choose, because, changes } = decide({ what: 'water', speed: speed * KMH });
    expect([choose?.to, choose?.place?.name]).toEqual(['shore', 'The beach']);
    expect(choose!.seconds! / 60).toBeCloseTo(minutes, 1);
    expect(said(because)).toMatch(/^Water may still come in/);
    expect(said(changes)).toMatch(
      /^What would make it home: the hole shut, and felt that no more water comes/,
    );
  });
  test('fuel, daylight and the time left are told as what home asks for', () => {
    const slow = decide({ what: 'shut', speed: 14 * KMH, boat }, { trip: { fuel: 0.0001 } });
    expect(said(slow.changes)).toMatch(
      /no more than 45 min to get there \(it takes 1 h 04\).*fuel for twice the way \(by the plan there is less\)/,
    );
    const late = decide({ what: 'shut', speed: 32 * KMH, boat }, { now: Date.UTC(2026, 4, 12, 21, 50) });
    expect(late.choose?.to).toBe('boat');
    expect(said(late.changes)).toMatch(/daylight until there/);
  });
  test('fuel that nobody said, or burns by a rule of thumb, leaves home open and is told', () => {
    for (const scene of [
      { trip: { fuel: undefined } },
      { boat: skiff({ propulsion: [{ kind: 'outboard', cruise: 32 * KMH, tank: 0.06, power: 11_000 }] }) },
      { boat: fuelled({ basis: { '/propulsion/0/burn': 'guessed' } }) },
    ] satisfies Scene[]) {
      const { choose, changes } = decide({ what: 'shut', speed: 32 * KMH }, scene);
      expect(choose?.to).toBe('shore');
      expect(said(changes)).toMatch(/how much is left is not known/);
    }
    // With the motor dead it is not asked.
    const rowed = decide(
      { what: 'drive', speed: 1 },
      { home: ramp(2000), places: [], trip: { fuel: undefined } },
    );
    expect([rowed.choose?.to, said(rowed.changes)]).not.toContain('fuel');
    expect(rowed.choose?.place?.name).toBe('Home ramp');
  });
  test('no forecast, invented weather, thunder or too much wind: home is not recommended for them', () => {
    const forecasts: [Scene['forecast'], RegExp][] = [
      [null, /a forecast for the hours until there/],
      [
        { ...steady(), invented: true } as unknown as Scene['forecast'],
        /a forecast for the hours until there/,
      ],
      [steady({ thunder: true }), /without thunder/],
      [steady({ wind: 25, gust: 30 }), /no wind or waves over the limits/],
    ];
    for (const [forecast, words] of forecasts) {
      const { choose, changes } = decide({ what: 'shut', speed: 32 * KMH }, { forecast: forecast! });
      expect(choose?.to).toBe('shore');
      expect(said(changes)).toMatch(words);
    }
  });
});

describe('what is not known', () => {
  test('a speed that nobody said is asked for: nothing is recommended, lengths are told without times', () => {
    const { choose, because, ways } = decide({ what: 'shut', boat });
    expect(choose).toBeUndefined();
    expect(said(because)).toMatch(/How fast she still goes was not said/);
    expect(ways.map(({ to, seconds }) => [to, seconds])).toEqual([
      ['boat', undefined],
      ['shore', undefined],
      ['home', undefined],
    ]);
    expect(ways.map(({ metres }) => Math.round(metres / 100))).toEqual([10, 30, 150]);
  });
  test('she goes nowhere: hold her and call; a boat near by is called to her', () => {
    expect(decide({ what: 'drive', speed: 0 }).choose).toBeUndefined();
    const { choose, because } = decide({ what: 'drive', speed: 0, boat });
    expect(choose?.to).toBe('boat');
    expect(said(because)).toMatch(/call the boat near by to you/);
  });
  test('a shore of which nobody said what it is like comes after one that can surely be landed on', () => {
    const rocks = beach(500, { name: 'Rocks', shore: 'cliff' }),
      unsaid = beach(800, { name: 'Unsaid', shore: undefined });
    const { choose, ways } = decide({ what: 'water', speed: 3 }, { places: [rocks, unsaid, beach(3000)] });
    expect(choose?.place?.name).toBe('The beach');
    expect(ways.map(({ place }) => place?.name)).not.toContain('Rocks');
    const only = decide(
      { what: 'water', speed: 3 },
      { places: [unsaid], home: ramp(15_000, { shore: 'cliff' }) },
    );
    expect(only.choose?.place?.name).toBe('Unsaid');
    expect(said(only.because)).toMatch(/Not sure: its kind of shore was not entered/);
  });
  test('a landing that was only guessed is no sure one', () => {
    const guess = beach(800, { name: 'Guess', basis: { '/shore': 'guessed' } });
    const { choose } = decide({ what: 'water', speed: 3 }, { places: [guess, beach(3000)] });
    expect(choose?.place?.name).toBe('The beach');
    const only = decide(
      { what: 'water', speed: 3 },
      { places: [guess], home: ramp(15_000, { shore: 'cliff' }) },
    );
    expect(said(only.because)).toMatch(/what was entered of it is a guess/);
    // Nor is fuel that was guessed.
    const fuel = decide({ what: 'shut', speed: 32 * KMH }, { trip: { basis: { '/fuel': 'guessed' } } });
    expect(said(fuel.changes)).toMatch(/how much is left is not known/);
  });
  test('no landing at all is said, and nothing is made up', () => {
    const { choose, because } = decide(
      { what: 'water', speed: 3 },
      { places: [], home: ramp(15_000, { shore: 'cliff' }) },
    );
    expect(choose).toBeUndefined();
    expect(said(because)).toMatch(/No landing is known/);
  });
  test('home that is dry when one gets there is no home; nor is one behind land that no known way leads round', () => {
    const dry = decide(
      { what: 'shut', speed: 32 * KMH },
      { home: ramp(15_000, { works: 9 }), water: { class: 'coastal' } },
    );
    expect(dry.choose?.to).toBe('shore');
    expect(said(dry.changes)).toMatch(/this settled/);
  });
});

test('the ramp that the trip itself comes back to is a landing, whatever water it was entered for', () => {
  const elsewhere = ramp(800, { water: '01890000-0000-7000-9000-00000000ffff' });
  expect(decide({ what: 'water', speed: 3 }, { home: elsewhere, places: [] }).choose?.place?.name).toBe(
    'Home ramp',
  );
});
test('the nearest that is home stands once, and is told to be home', () => {
  const { choose, because, ways } = decide({ what: 'water', speed: 3 }, { home: ramp(800), places: [] });
  expect(choose?.place?.name).toBe('Home ramp');
  expect(said(because)).toMatch(/Water may still come in.*It is home as well/);
  expect(ways.map(({ place }) => place?.name)).toEqual(['Home ramp']);
});
test('a hull that planes is told that she may not plane again', () => {
  expect(said(decide({ what: 'shut', speed: 32 * KMH }).because)).toMatch(/may not plane again/);
  expect(said(decide({ what: 'shut', speed: 8 * KMH }).because)).not.toMatch(/plane/);
  expect(said(decide({ what: 'worn', speed: 32 * KMH }).because)).not.toMatch(/plane/);
});

const MISHAP: Mishap[] = ['water', 'shut', 'drive', 'worn', 'tow', 'weather'];
test('a nearer haven never lengthens; a faster boat is never later; with water home only where it is the nearest', () => {
  const bare = laid({ places: [] });
  fc.assert(
    fc.property(
      fc.constantFrom(...MISHAP),
      fc.integer({ min: 3, max: 120 }),
      fc.integer({ min: 200, max: 12_000 }),
      fc.integer({ min: 0, max: 200 }),
      (what, speed, metres, nearer) => {
        const at = (away: number, fast: number) =>
          havenOrHome({ ...bare, input: withPlaces(bare.input, [beach(away)]) }, { what, speed: fast / 10 });
        const first = at(metres, speed);
        const near = at(metres - nearer, speed);
        const fast = at(metres, speed + 10);
        if (what === 'water' || what === 'weather') expect(first.choose?.to).not.toBe('home');
        // Of one choice both compare; home may be chosen in place of a beach, and then within its limit.
        if (near.choose?.to === first.choose?.to)
          expect(near.choose!.seconds!).toBeLessThanOrEqual(first.choose!.seconds! + 1e-6);
        if (fast.choose?.to === first.choose?.to)
          expect(fast.choose!.seconds!).toBeLessThan(first.choose!.seconds!);
        if (first.choose?.to === 'home') expect(first.choose.seconds!).toBeLessThanOrEqual(45 * 60);
      },
    ),
    { numRuns: runs(40) },
  );
});
test('in standing water the time is the length over the ellipsoid by her speed', () => {
  const [shore] = decide({ what: 'water', speed: 2 }).ways;
  expect(shore.seconds).toBeCloseTo(distance(HERE, shore.place!.position).metres / 2, 6);
});

describe('how fast she still goes', () => {
  test('is offered from nothing up: shares of her usual speed, and her other ways of moving', () => {
    const offered = speedsStill(skiff());
    expect(offered.map(({ as, speed }) => [as, speed])).toEqual([
      ['none', 0],
      ['other', 0.9],
      ['crawl', 1.25],
      ['half', 2.5],
      ['usual', 5],
    ]);
    expect(offered[1].by).toBe('oars');
  });
  test('names one speed once', () => {
    const pedals = { kind: 'pedals' as const, cruise: 2.5 };
    const offered = speedsStill(skiff({ propulsion: [{ kind: 'outboard', cruise: 5 }, pedals] }));
    expect(offered.map(({ as }) => as)).toEqual(['none', 'crawl', 'other', 'usual']);
  });
  test('is a ladder where nobody ever said what she makes', () => {
    const offered = speedsStill(skiff({ propulsion: [{ kind: 'outboard' }] }));
    expect(offered.map(({ as }) => as)).toEqual(['none', 'told', 'told', 'told', 'told']);
    expect(speedsStill(undefined)).toHaveLength(5);
  });
});
