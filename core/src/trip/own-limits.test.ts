import { describe, expect, test } from '@jest/globals';
import { check } from '../../test/check';
import { aBoat, aPerson, aPlace, aWater, inputOf, steady } from '../../test/demo';
import { world } from '../../test/afloat';
import type { Forecast, Limits, Person, Place, Trip } from '../model';
import { CRAFT, type Craft } from '../model/lists';
import { render } from '../say';
import { KNOT } from '../units';
import { assess, LIMIT_NAMES, usualLimits } from '.';
import { heldAgainst, keptDays } from './kept-forecasts';

const kayak = aBoat({ kind: 'sit-on-top', propulsion: [{ kind: 'paddle', cruise: 1.5 }] });
const skilled = (more: object, name = 'Ash'): Person =>
  aPerson({ name, skills: [{ craft: 'sit-on-top', level: 'sure', ...more }] });
const reader = { units: 'metric', zone: 'UTC', locale: 'en-GB' } as const;

describe('limits of each who goes', () => {
  const wind = (people: Person[], limits: Limits, blows = 7) =>
    world(kayak, people, { wind: blows, trip: { limits } });
  test('the strictest counts, and it is said whose it is', () => {
    const own = skilled({ limits: { wind: 6 } }, 'Bo');
    const w = wind([aPerson(), own], { wind: 9 });
    expect(w.level('day/wind')).toBe('stop');
    expect(w.say('day/wind').join(' ')).toMatch(/you set 11\.7 kn\. That is the limit of Bo\./);
    expect(wind([aPerson(), own], { wind: 5 }).say('day/wind').join(' ')).not.toMatch(/Bo/);
    expect(wind([aPerson()], { wind: 9 }).level('day/wind-ok')).toBe('ready');
  });
  test('a limit in another kind of boat is none here', () => {
    const other = aPerson({ skills: [{ craft: 'canoe', level: 'new', limits: { wind: 2 } }] });
    expect(wind([other], { wind: 9 }).level('day/wind/')).toBeUndefined();
  });
  test('of the water the warmest limit counts', () => {
    const warm = skilled({ limits: { waterTemperature: 15 } });
    expect(wind([aPerson(), warm], { waterTemperature: 8 }).level('day/cold-limit')).toBeDefined();
    expect(
      wind([aPerson(), skilled({ limits: { waterTemperature: 5 } })], { waterTemperature: 8 }).level(
        'day/cold-limit',
      ),
    ).toBeUndefined();
  });
});

describe('how far off and how long', () => {
  /** One launch; the halt 1.1 km north of it, and no other landing. */
  const on = (limits: Limits, more: { people?: Person[]; trip?: Partial<Trip> } = {}) =>
    world(kayak, more.people ?? [skilled({})], {
      wind: 0,
      water: { class: 'lake' },
      trip: { limits, ...more.trip },
    });
  const off = (limit: number, place: Partial<Place>) => {
    const { input } = on({ off: limit });
    const [launch, halt] = input.shed.places;
    const water = input.trip.water;
    const places = [{ ...launch, launchFrom: 'beach' as const, water, works: undefined, ...place }, halt];
    const found = assess({ ...input, shed: { ...input.shed, places } }).findings;
    return found.find(({ id }) => id.startsWith('trip/off/'))!;
  };
  test('over is a Stop and says where, within is Ready; where nobody said that one can land it is not known', () => {
    const over = off(1000, {});
    expect([over.level, render(over.because[0], reader)]).toEqual([
      'stop',
      expect.stringMatching(/^From Slip to Slip at .* the nearest landing, Slip, is .* off; the limit is/),
    ]);
    expect(off(1300, {}).level).toBe('ready');
    expect(off(5000, { launchFrom: undefined }).level).toBe('know');
    expect(off(5000, { shore: 'rocks' }).level).toBe('know');
    expect(off(5000, { basis: { '/launchFrom': 'guessed' } }).level).toBe('know');
  });
  test('out longer than set is a Stop, within it Ready, and on a guessed speed neither', () => {
    expect([on({ hours: 1200 }).level('trip/hours'), on({ hours: 7200 }).level('trip/hours')]).toEqual([
      'stop',
      'ready',
    ]);
    const guess = { trip: { speed: 1.5, basis: { '/speed': 'guessed' as const } } };
    expect([
      on({ hours: 1200 }, guess).level('trip/hours'),
      on({ hours: 7200 }, guess).level('trip/hours'),
    ]).toEqual(['fix', 'know']);
  });
});

describe('what is usual for somebody', () => {
  check(
    'recalled',
    'beaufort',
    'new to a kayak: force 3; the most for most who paddle: force 4; open boats to force 5',
    () => {
      const knots = (kind: Craft, level: 'new' | 'sure') => Math.round(usualLimits(kind, level).wind / KNOT);
      expect([knots('sit-inside', 'new'), knots('sit-inside', 'sure'), knots('skiff', 'sure')]).toEqual([
        10, 16, 21,
      ]);
    },
  );
  test('for every kind of boat it grows with skill, and gusts lie above the wind', () => {
    for (const kind of Object.keys(CRAFT) as Craft[]) {
      const [a, b, c] = (['new', 'some', 'sure'] as const).map((level) => usualLimits(kind, level));
      for (const name of LIMIT_NAMES) {
        const way = name === 'waterTemperature' ? -1 : 1;
        expect(way * (b[name] - a[name])).toBeGreaterThan(0);
        expect(way * (c[name] - b[name])).toBeGreaterThan(0);
      }
      expect(a.gust).toBeGreaterThan(a.wind);
    }
  });
  const said = (people: Person[], limits: Limits, blows: number) => {
    const w = world(kayak, people, { wind: blows, trip: { limits } });
    return {
      level: w.level('trip/usual'),
      say: w.say('trip/usual').join(' '),
      mend: w.find('trip/usual')?.mend,
    };
  };
  const all = { wind: 20, gust: 30, waterTemperature: 1, waves: 5, off: 50_000, hours: 40_000 };
  test('beyond it is a Fix where nobody set a limit, and only known where somebody did', () => {
    expect(said([aPerson({ name: 'Bo' })], {}, 7)).toMatchObject({
      level: 'fix',
      say: expect.stringMatching(
        /How well Bo knows it nobody said.*wind up to 10\.0 kn is usual; it blows 13\.6 kn/,
      ),
      mend: { go: { type: 'person', pointer: '/skills' } },
    });
    expect(said([aPerson()], all, 7).level).toBe('know');
    expect(said([skilled({})], {}, 3).say).not.toMatch(/wind up to/);
  });
  test('a wind beyond what is usual for anybody stops, until somebody goes beyond it knowingly', () => {
    const found = said([aPerson({ name: 'Bo' })], {}, 9);
    expect([found.level, found.say]).toEqual([
      'stop',
      expect.stringMatching(/has 16\.0 kn as the upper end\.$/),
    ]);
    expect(said([skilled({})], { gust: 30 }, 9).level).toBe('stop');
    expect(said([aPerson()], all, 9).level).toBe('know');
    // At the upper end itself one is still within what is usual for whoever is sure of her.
    expect(said([aPerson()], {}, usualLimits('sit-inside', 'sure').wind).level).toBe('fix');
    // Cold water, waves, distance and hours are our own estimate and stop nobody.
    const cold = world(kayak, [aPerson()], { wind: 1, trip: { limits: {} } });
    expect(cold.level('trip/usual')).toBe('fix');
  });
  test('the latest turn comes before a wind that nobody is usually out in, where nobody set a limit', () => {
    const rising = steady({ wind: 2, gust: 3 });
    const hours = rising.hours.map((h) => (h.at >= '2026-05-12T15' ? { ...h, wind: 13 } : h));
    const { input } = world(kayak, [aPerson()], { trip: { limits: {} } });
    const turn = (limits: Limits) =>
      assess({ ...input, trip: { ...input.trip, limits }, conditions: { forecast: { ...rising, hours } } })
        .schedule!.latestTurn!;
    expect(turn({})).toBeLessThan(Date.UTC(2026, 4, 12, 15));
    expect(turn(all)).toBeGreaterThan(Date.UTC(2026, 4, 12, 16));
  });
  test('a limit of one speaks for nobody else', () => {
    const bold = skilled({ limits: { wind: 9 } }, 'Bo');
    expect(said([aPerson({ name: 'Ash' }), bold], { ...all, wind: undefined }, 7)).toMatchObject({
      level: 'fix',
      say: expect.stringMatching(/How well Ash/),
    });
  });
  test('who said a limit of their own is asked no more', () =>
    expect(said([skilled({ limits: all })], {}, 7).level).toBeUndefined());
  test('in a motorboat it is that of whoever drives', () => {
    const skiff = aBoat();
    const sure = aPerson({ name: 'Di', skills: [{ craft: 'skiff', level: 'sure' }] });
    const w = world(skiff, [sure, aPerson({ name: 'Guest' })], { wind: 8, trip: { limits: {} } });
    expect(w.say('trip/usual').join(' ')).not.toMatch(/Guest|wind up to/);
  });
});

describe('limits against forecasts that were kept', () => {
  const lake = aWater({ zone: 'Europe/Berlin' });
  /** Days from 8 May on; each hour of a day with a wind of its own. */
  const forecast = (winds: number[], more: Partial<Forecast> = {}): Forecast => ({
    ...steady({}, winds.length + 1),
    hours: steady({}, winds.length + 1).hours.map((hour, i) => ({
      ...hour,
      wind: winds[Math.min(winds.length - 1, Math.floor(i / 24))],
    })),
    ...more,
  });
  const trip = (forecast: Forecast | undefined, water = lake.id): Trip => ({
    ...inputOf().trip,
    water,
    ...(forecast ? { forecast } : {}),
  });
  test('days by the calendar of the water, each once, by the forecast that was issued last', () => {
    const days = keptDays([trip(forecast([3, 9, 5]))], [lake]);
    expect(days.map(({ date, limits }) => [date, limits.wind])).toEqual([
      ['2026-05-08', 3],
      ['2026-05-09', 9],
      ['2026-05-10', 5],
      ['2026-05-11', 5],
    ]);
    const later = forecast([1], { issuedAt: '2026-05-12T00:00:00Z' });
    expect(keptDays([trip(forecast([3, 9])), trip(later)], [lake])[0].limits.wind).toBe(1);
    expect(keptDays([trip(later), trip(forecast([3, 9]))], [lake])[0].limits.wind).toBe(1);
  });
  test('what would have been said no to, of the days that tell of it', () => {
    const days = keptDays([trip(forecast([3, 9, 5]))], [lake]);
    expect(heldAgainst({ wind: 4, gust: 12, waves: 1, waterTemperature: 14, hours: 1 }, days)).toEqual({
      wind: { no: 3, of: 4 },
      gust: { no: 0, of: 4 },
      waterTemperature: { no: 4, of: 4 },
    });
  });
  test('none kept, made up for show, a water that is gone, a day half told: no day', () => {
    expect(keptDays([trip(undefined)], [lake])).toEqual([]);
    expect(keptDays([trip(forecast([3], { invented: true }))], [lake])).toEqual([]);
    expect(keptDays([trip(forecast([3]), aPlace().id)], [lake])).toEqual([]);
    const half = forecast([3]);
    expect(keptDays([trip({ ...half, hours: half.hours.slice(0, 12) })], [lake])).toEqual([]);
  });
});

test('the reader of these sentences sees no template', () => {
  const w = world(kayak, [aPerson()], { wind: 9, trip: { limits: { off: 300, hours: 600, wind: 3 } } });
  for (const finding of w.findings.filter(({ id }) => /^(trip|way)\//.test(id)))
    expect(finding.because.map((p) => render(p, reader)).join(' ')).not.toMatch(/[{}]|undefined|NaN/);
});
