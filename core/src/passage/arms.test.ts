import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { check } from '../../test/check';
import { aBoat, aPerson, inputOf, steady } from '../../test/demo';
import { world } from '../../test/afloat';
import type { Forecast } from '../model';
import { CRAFT, type Craft } from '../model/lists';
import { render } from '../say';
import { assess } from '../trip';
import { KNOT } from '../units';
import { windAtHeight } from '../water';
import { armsOf, hardly, inWind, isStuck, REST_FACTOR, routeOf, scheduleOf, slowed } from '.';

const reader = { units: 'metric', zone: 'UTC', locale: 'en-GB' } as const;
const knots = (v: number) => v / KNOT;

describe('who paddles in a wind', () => {
  const still = 3.9 * KNOT;
  const usual = { power: 33, area: 0.5 };
  check('closed form', 'own-estimate', '33 W into 3.77 v² of water and 0.306 (v + w)² of air', () => {
    const rows: [wind: number, made: number][] = [
      [0, 3.9],
      [5, 3.52],
      [10, 2.91],
      [15, 2.22],
      [20, 1.59],
      [25, 1.13],
      [30, 0.83],
    ];
    for (const [wind, made] of rows) expect(knots(inWind(still, usual, wind * KNOT, 0))).toBeCloseTo(made, 1);
    expect(knots(inWind(still, usual, 10 * KNOT, 180))).toBeCloseTo(4.2, 1);
  });
  test('what is found spends the power, from whichever side it blows', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 2.5, noNaN: true }),
        fc.double({ min: 0, max: 15, noNaN: true }),
        fc.double({ min: 0, max: 360, noNaN: true }),
        (speed, wind, off) => {
          const v = inWind(speed, usual, wind, off);
          const air = Math.min(0.30625, (0.5 * usual.power) / speed ** 3);
          const water = usual.power / speed ** 3 - air;
          const [ahead, across] = [
            wind * Math.cos((off * Math.PI) / 180),
            wind * Math.sin((off * Math.PI) / 180),
          ];
          const spent = v * (water * v * v + air * Math.hypot(v + ahead, across) * (v + ahead));
          if (v < 5) expect(spent).toBeCloseTo(usual.power, 1);
          else expect(spent).toBeLessThanOrEqual(usual.power + 0.1);
        },
      ),
    ));
  test('the band lies below the calm, its slow end below its fast one, for every kind of boat and wind', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...(Object.keys(CRAFT) as Craft[])),
        fc.integer({ min: 1, max: 4 }),
        fc.double({ min: 0.4, max: 3, noNaN: true }),
        fc.double({ min: 0, max: 20, noNaN: true }),
        fc.double({ min: -90, max: 90, noNaN: true }),
        (kind, people, speed, wind, off) => {
          const arms = armsOf(aBoat({ kind, propulsion: [{ kind: 'paddle' }] }), people, speed)!;
          const [slow, fast] = [slowed(arms, wind, off), hardly(arms, wind, off)];
          expect(slow).toBeGreaterThan(0);
          expect(slow).toBeLessThanOrEqual(fast + 1e-3);
          expect(fast).toBeLessThanOrEqual(speed + 1e-3);
          expect(slowed(arms, wind + 1, off)).toBeLessThanOrEqual(slow + 1e-3);
        },
      ),
    ));
  check(
    'common practice',
    'practice',
    'ten knots ahead cost about a knot; force 3 to 4 a fifth to a half more time',
    () => {
      const arms = armsOf(aBoat({ kind: 'sit-inside', propulsion: [{ kind: 'paddle' }] }), 1, 3.5 * KNOT)!;
      const [slow, fast] = [slowed(arms, 10 * KNOT, 0), hardly(arms, 10 * KNOT, 0)].map(knots);
      expect(slow).toBeLessThan(2.5);
      expect(fast).toBeGreaterThan(2.5);
      // The band reaches into a fifth to a half more time.
      expect(3.5 / fast).toBeLessThan(1.2);
      expect(3.5 / slow).toBeGreaterThan(1.35);
      expect(3.5 / slow).toBeLessThan(2);
    },
  );
  check('common practice', 'practice', 'against 25 knots most who paddle get nowhere', () => {
    const arms = armsOf(aBoat({ kind: 'sit-on-top', propulsion: [{ kind: 'paddle' }] }), 1, 3 * KNOT)!;
    expect(knots(slowed(arms, 25 * KNOT, 0))).toBeLessThan(1);
  });
  check('closed form', 'own-estimate', 'wind near the water, by the power law', () => {
    expect(windAtHeight(1, 10)).toBe(1);
    expect(windAtHeight(1, 0.7)).toBeCloseTo(0.746, 3);
    expect(windAtHeight(1, 2)).toBeCloseTo(0.838, 3);
  });
  test('a motor and a sail are no arms; one rows, two paddle', () => {
    const of = (kind: 'outboard' | 'sail' | 'oars' | 'paddle') =>
      armsOf(aBoat({ kind: 'canoe', propulsion: [{ kind }] }), 2, 1.5);
    expect([of('outboard'), of('sail')]).toEqual([undefined, undefined]);
    expect([of('oars')?.strong.power, of('paddle')?.strong.power]).toEqual([50, 100]);
  });
});

describe('a route in a wind', () => {
  const there = { lat: 50, lon: -5 },
    east = { lat: 50, lon: -4.95 };
  const points = [
    { id: 'a', position: there, minutes: 0 },
    { id: 'b', position: east, minutes: 0 },
    { id: 'a', position: there, minutes: 0 },
  ];
  const kayak = aBoat({ kind: 'sit-inside', propulsion: [{ kind: 'paddle', cruise: 1.6 }] });
  const legs = (from: number, wind = 6, arms = [armsOf(kayak, 1, 1.6)!]) => {
    const timed = scheduleOf(routeOf(points, 1.6, REST_FACTOR, arms), 0, undefined, {
      windAt: () => ({ wind, from }),
    });
    return isStuck(timed) ? timed : timed.legs;
  };
  test('out against it takes longer, and between two ends; home before it takes what a calm does', () => {
    const [out, back] = legs(90) as Exclude<ReturnType<typeof legs>, object & { stuck: unknown }>;
    const calm = routeOf(points, 1.6, REST_FACTOR).legs[0].seconds * 1000;
    expect(out.arrives - out.departs).toBeGreaterThan(calm * 1.2);
    expect(out.soonest! - out.departs).toBeGreaterThan(calm);
    expect(out.soonest!).toBeLessThan(out.arrives);
    expect((back.arrives - back.departs) / calm).toBeCloseTo(1, 3);
  });
  test('a motor is not slowed, and carries no band', () => {
    const [out] = legs(90, 6, []) as Exclude<ReturnType<typeof legs>, object & { stuck: unknown }>;
    expect([out.soonest, out.arrives]).toEqual([
      undefined,
      Math.round((out.metres / 1.6) * REST_FACTOR * 1000),
    ]);
  });
  test('where she is held up it is said when, and against what', () =>
    expect(legs(90, 24)).toMatchObject({ stuck: { from: 'a', to: 'b', at: 0, wind: 24 } }));
});

describe('in the whole of a trip', () => {
  const kayak = aBoat({ kind: 'sit-on-top', propulsion: [{ kind: 'paddle', cruise: 1.5 }] });
  /** The halt of this world lies due north of its launch. */
  const against = (wind: number, more: object = {}) => {
    const w = world(kayak, [aPerson()], { trip: { limits: { wind: 5 } } });
    // Three miles out: what the wind takes is worth telling.
    const places = w.input.shed.places.map((place) =>
      place.kind === 'ground' ? { ...place, position: { lat: 41.25, lon: -29.5 } } : place,
    );
    const input = {
      ...w.input,
      shed: { ...w.input.shed, places },
      conditions: { forecast: steady({ wind, gust: wind + 2, from: 0, ...more }) },
    };
    const { findings, schedule, figures } = assess(input);
    const find = (kind: string) => findings.find((f) => f.id.startsWith(`${kind}/`));
    return {
      find,
      schedule,
      figures,
      say: (kind: string) => find(kind)?.because.map((p) => render(p, reader)),
    };
  };
  test('a wind over the limit stays a Stop where it also holds her up, and the hours are those of a calm', () => {
    const storm = against(24);
    expect([storm.find('day/wind')?.level, storm.find('way/wind')?.level]).toEqual(['stop', 'fix']);
    expect(
      storm
        .find('way/wind')!
        .assumed.map((p) => render(p, reader))
        .join(' '),
    ).toMatch(/hours shown are those of a calm/);
    expect(storm.schedule!.home! / 1000).toBeCloseTo(against(0).schedule!.home! / 1000, 0);
  });
  test('a fresh wind is told as two ends; home is planned by the longer', () => {
    const fresh = against(7);
    expect(fresh.find('way/wind')?.level).toBe('know');
    expect(fresh.say('way/wind')!.join(' ')).toMatch(/takes 1 h \d+ to 2 h \d+ in the wind.*at the earliest/);
    const [id] = Object.keys(fresh.figures).filter((key) => key.startsWith('passage/home/'));
    const { value, range } = fresh.figures[id];
    expect(range![1]).toBe(value);
    expect(range![0]).toBeLessThan(value);
    expect(value).toBe(fresh.schedule!.home);
  });
  test('in a calm that nobody forecast, and on a stream that nobody knows, no hour is settled', () => {
    const on = (what: 'lake' | 'coastal', forecast?: Forecast, boat = kayak) => {
      const w = world(boat, [aPerson()], { water: { class: what } });
      const { findings } = assess({ ...w.input, conditions: forecast ? { forecast } : {} });
      const light = findings.find(({ id }) => id.startsWith('day/light/'))!;
      return [light.level, light.assumed.map((p) => render(p, reader)).join(' ')];
    };
    const calm = steady({ wind: 0, gust: 1 });
    const until = (hour: string) => ({ ...calm, hours: calm.hours.filter(({ at }) => at <= hour) });
    expect(on('lake', calm)).toEqual(['ready', '']);
    const unknown = ['know', expect.stringMatching(/^The wind is not known for all of these hours/)];
    expect([
      on('lake'),
      on('lake', until('2026-05-12T12:00')),
      on('lake', { ...calm, invented: true }),
    ]).toEqual([unknown, unknown, unknown]);
    expect(on('coastal', calm)).toEqual(['know', 'The stream is not known for all of these hours.']);
    // A motor is held up by neither so that it would be reckoned.
    const skiff = aBoat({ basis: {} });
    expect(on('lake', undefined, skiff)).toEqual(['ready', '']);
  });
  test('hours by an estimate of our own settle nothing, and stop only where both ends of it do', () => {
    const on = (wind: number, hours: number) => {
      const water = { class: 'lake' as const };
      const w = world(kayak, [aPerson()], { water, trip: { limits: { hours, wind: 20 } } });
      const places = w.input.shed.places.map((place) =>
        place.kind === 'ground' ? { ...place, position: { lat: 41.25, lon: -29.5 } } : place,
      );
      return assess({
        ...w.input,
        shed: { ...w.input.shed, places },
        conditions: { forecast: steady({ wind, gust: wind + 1, from: 0 }) },
      });
    };
    const level = (a: ReturnType<typeof assess>) =>
      a.findings.find(({ id }) => id.startsWith('trip/hours/'))!.level;
    const { schedule } = on(7, 36_000);
    const slow = (schedule!.home! - schedule!.leave) / 1000;
    const fast = slow - schedule!.legs.reduce((sum, leg) => sum + leg.arrives - leg.soonest!, 0) / 1000;
    expect([level(on(0, 36_000)), level(on(7, 36_000))]).toEqual(['ready', 'know']);
    // Over it at the slow end alone it is to be mended; over it at both it stops.
    expect([level(on(7, (slow + fast) / 2)), level(on(7, fast * 0.8))]).toEqual(['fix', 'stop']);
    const calm = on(24, 36_000).findings.find(({ id }) => id.startsWith('trip/hours/'))!;
    expect([calm.level, calm.assumed.map((p) => render(p, reader)).join(' ')]).toEqual([
      'know',
      expect.stringMatching(/those of a calm/),
    ]);
  });
  test('the slowest of those who go together counts, in her own kind of boat only', () => {
    const slow = aPerson({ name: 'Bo', skills: [{ craft: 'sit-on-top', level: 'new', speed: 1 }] });
    const other = aPerson({ name: 'Cy', skills: [{ craft: 'canoe', level: 'new', speed: 0.5 }] });
    const pace = (people: (typeof slow)[], trip = {}) => {
      const w = world(kayak, people, { trip });
      return Object.entries(w.figures).find(([id]) => id.startsWith('passage/speed/'))![1].value;
    };
    expect([pace([aPerson()]), pace([aPerson(), slow]), pace([aPerson(), other])]).toEqual([1.5, 1, 1.5]);
    const said = world(kayak, [aPerson(), slow], { trip: { speed: 1.5 } });
    expect(pace([aPerson(), slow], { speed: 1.5 })).toBe(1.5);
    expect([said.level('day/pace'), said.say('day/pace')[0]]).toEqual([
      'fix',
      expect.stringMatching(/^Bo makes/),
    ]);
  });
  test('of a boat in company whose speed nobody said it is told that she may be slower', () => {
    const [fellow, known] = [
      aBoat({ kind: 'canoe', name: 'Dab', propulsion: [{ kind: 'paddle' }] }),
      aBoat({ kind: 'canoe', propulsion: [{ kind: 'paddle', cruise: 1.2 }] }),
    ];
    const of = (boat: typeof fellow, trip = {}) =>
      world(kayak, [aPerson()], {
        boats: [boat],
        trip: { company: [{ boat: boat.id, people: [] }], ...trip },
      });
    expect(of(fellow).find('boat/speed/')).toMatchObject({
      level: 'know',
      open: true,
      mend: { go: { type: 'boat', id: fellow.id } },
    });
    expect(of(fellow, { speed: 1.3 }).find('boat/speed/')).toBeUndefined();
    const bo = aPerson({ name: 'Bo', skills: [{ craft: 'canoe', level: 'new', speed: 0.8 }] });
    const inCompany = world(kayak, [aPerson(), bo], {
      boats: [known],
      crew: [{}],
      trip: { speed: 1.2, crew: [], company: [{ boat: known.id, people: [bo.id] }] },
    });
    expect(inCompany.say('day/pace')[0]).toMatch(/^Bo makes/);
    expect(of(known).find('boat/speed/')).toBeUndefined();
  });
  test('weather that was made up for show moves no hour', () => {
    const at = (invented: boolean, wind: number) =>
      assess(inputOf(0, { forecast: { ...steady({ wind, from: 0 }), ...(invented ? { invented } : {}) } }));
    expect(at(true, 7).schedule!.home).toBe(at(true, 0).schedule!.home);
    expect(at(false, 7).schedule!.home).toBeGreaterThan(at(true, 7).schedule!.home!);
  });
});
