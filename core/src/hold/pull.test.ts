import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { check } from '../../test/check';
import { runs } from '../../test/runs';
import { aBoat, aPerson, inputOf } from '../../test/demo';
import { crafts, SIZES } from '../../test/lies';
import windage from '../../data/passage/windage.json';
import type { Craft } from '../model/lists';
import { FOOT, KNOT, POUND_FORCE } from '../units';
import {
  buildersLoad,
  fasteningOf,
  lyingOf,
  pullOn,
  surge,
  withStream,
  withWind,
  type Comes,
  type Exposed,
  type Face,
} from '.';
import { exactly } from '../numeric';

const face = (bow: number, beam: number, z: number): Face => ({
  bow: exactly(bow),
  beam: exactly(beam),
  x: 2,
  z,
});
/** Areas × coefficients as they stand in the worked examples, the wind told at its own height. */
const shown = (air: [number, number], water: [number, number]): Exposed => ({
  air: face(air[0], air[1], 10),
  water: face(water[0], water[1], 0),
  height: 10,
  waterline: 0,
});
const bow = { x: 4, y: 0, z: 0.5 };
const side = { x: 2, y: 0.5, z: 0.3 };
const wind = (knots: number, from = 0, gust = knots): Comes['wind'] => ({
  speed: knots * KNOT,
  gust: gust * KNOT,
  direction: from,
});
const least = (exposed: Exposed, at: typeof bow, comes: Comes, density = 1025) =>
  pullOn(exposed, at, comes, density).steady.low;

describe('sheering', () => {
  check('closed form', 'wind-force', 'in a stream who sheers by 25° shows more of her side', () => {
    const [ahead, abeam] = [0.02, 0.2];
    const exposed = shown([0.5, 1], [ahead, abeam]);
    const { steady } = pullOn(exposed, bow, { stream: { speed: 0.8, direction: 0 }, wave: 0 }, 1025);
    // ½ρv², on what each part of the flow meets: (A·cos²)² and (A·sin²)².
    const q = (1025 / 2) * 0.8 ** 2,
      off = (25 * Math.PI) / 180;
    expect(steady.low).toBeCloseTo(q * ahead, 1);
    expect(steady.high).toBeCloseTo(
      q * Math.hypot(ahead * Math.cos(off) ** 2, abeam * Math.sin(off) ** 2),
      1,
    );
    expect(steady.high).toBeGreaterThan(1.9 * steady.low);
  });
  test('to either hand it is the same', () => {
    const exposed = shown([0.5, 1], [0.02, 0.2]);
    const high = (from: number) =>
      pullOn(exposed, bow, { wind: wind(15, from), stream: { speed: 0.5, direction: 0 }, wave: 0 }, 1025)
        .steady.high;
    expect(high(60)).toBeCloseTo(high(300), 2);
  });
});

describe('steady loads', () => {
  check(
    'recalled',
    'wind-force',
    'wind: kayak, skiff and trailer boat, head to it and beam-on, at 15 to 30 knots',
    () => {
      for (const [head, beam, ahead, abeam] of [
        [0.5, 1, [18, 32, 51, 73], [37, 65, 101, 146]],
        [1.6 * 0.8, 3.5, [47, 83, 130, 187], [128, 227, 355, 511]],
        [3.2 * 0.8, 8, [93, 166, 259, 374], [292, 519, 811, 1167]],
      ] as const)
        [15, 20, 25, 30].forEach((knots, i) => {
          const exposed = shown([head, beam], [0, 0]);
          const within = (value: number, told: number) =>
            expect(Math.abs(value - told)).toBeLessThanOrEqual(Math.max(1, told * 0.005));
          within(least(exposed, bow, { wind: wind(knots) }), ahead[i]);
          within(least(exposed, side, { wind: wind(knots) }), abeam[i]);
        });
    },
  );
  check(
    'recalled',
    'wind-force',
    'stream: a kayak beam-on 65, 258 and 1033 N, a skiff head to it 33 and 133 N',
    () => {
      const kayak = shown([0, 0], [0.01, 4.2 * 0.12]),
        skiff = shown([0, 0], [1.3 * 0.2 * 0.25, 1]);
      const stream = (speed: number): Comes => ({ stream: { speed, direction: 90 } });
      expect([0.5, 1, 2].map((v) => Math.round(least(kayak, side, stream(v))))).toEqual([65, 258, 1033]);
      expect([1, 2].map((v) => Math.round(least(skiff, bow, stream(v))))).toEqual([33, 133]);
    },
  );
  check(
    'recalled',
    'builders-loads',
    'twenty feet in 30 knots: 360 lbf, 1601 N; a quarter of it in 15, twice in 42',
    () => {
      const feet20 = 20 * FOOT;
      expect(buildersLoad(feet20, 30 * KNOT)).toBeCloseTo(1601, 0);
      expect(buildersLoad(feet20, 15 * KNOT)).toBeCloseTo(90 * POUND_FORCE, 6);
      expect((buildersLoad(feet20, 42 * KNOT) ?? 0) / 1601).toBeCloseTo(2, 1);
      expect(buildersLoad(12.5 * FOOT, 30 * KNOT)).toBeCloseTo(205 * POUND_FORCE, 6);
      expect([9, 31].map((feet) => buildersLoad(feet * FOOT, 10))).toEqual([undefined, undefined]);
    },
  );
  test('waves, sheering and gusts raise it two to four times; waves of which nothing is known by the most', () =>
    expect([0, 0.1, 0.2, 0.31, 3, undefined].map(surge)).toEqual([2, 2, 3, 4, 4, 4]));
});

const input = inputOf();
const lyingOn = (kind: Craft, more = {}, n = 1) => {
  const [length, beam, depth] = SIZES[kind];
  const people = Array.from({ length: n }, () => aPerson());
  const boat = aBoat({ kind, length, beam, depth, ...more });
  const trip = { crew: people.map(({ id: person }) => ({ person, role: 'crew' as const })), load: [] };
  const lying = lyingOf(boat, { ...input.trip, ...trip }, people, 1025);
  if (!lying) throw new Error(kind);
  return lying;
};

describe('what wind and stream push on', () => {
  test.each(crafts)(
    '%s: agrees with what paddling against a wind takes, and is more from the side',
    (kind) => {
      const { air, water } = lyingOn(kind).exposed;
      const [low, high] = windage.metres2[kind];
      expect(air.bow.low).toBeLessThanOrEqual(high);
      expect(air.bow.high).toBeGreaterThanOrEqual(low);
      for (const each of [air, water]) {
        expect(each.bow.low).toBeGreaterThan(0);
        expect(each.bow.high).toBeLessThanOrEqual(each.beam.high);
        expect(each.bow.low).toBeLessThanOrEqual(each.beam.low);
      }
    },
  );
  check(
    'recalled',
    'wind-force',
    'guessed areas of the examples lie within the bands, or within a third of them: kayak, skiff and trailer boat',
    () => {
      const within = (value: number, { low, high }: { low: number; high: number }) => {
        expect(value).toBeGreaterThanOrEqual(low * 0.67);
        expect(value).toBeLessThanOrEqual(high * 1.33);
      };
      const kayak = lyingOn('sit-on-top').exposed,
        skiff = lyingOn('skiff', { length: 4, beam: 1.5 }, 2).exposed,
        trailer = lyingOn('trailer-boat', {}, 4).exposed;
      within(0.5, kayak.air.bow);
      within(1, kayak.air.beam);
      within(1.6 * 0.8, skiff.air.bow);
      within(3.2 * 0.8, trailer.air.bow);
      within(8, trailer.air.beam);
    },
  );
  test('wind is told at her own height: the middle of a kayak and its paddler is under a metre up', () =>
    expect(lyingOn('sit-on-top').exposed.height).toBeLessThan(0.8));
});

describe('how she lies', () => {
  const turnedTo = (from: 'bow' | 'stern' | 'side', comes: Comes, kind: Craft = 'skiff') => {
    const lying = lyingOn(kind);
    return pullOn(lying.exposed, fasteningOf(lying, from), comes, 1025).lies;
  };
  test('by the bow head to wind, by the stern with her back to it, by the side beam-on; downwind of her anchor', () => {
    const comes = { wind: wind(12, 230) };
    expect(turnedTo('bow', comes).heading).toBeCloseTo(230, 0);
    expect(turnedTo('stern', comes).heading).toBeCloseTo(50, 0);
    // Made fast to port, port is to windward.
    // The wind’s centre is not quite amidships, so she lies a little off it.
    const beam = turnedTo('side', comes).heading ?? 0;
    expect(Math.abs(beam - 320)).toBeLessThan(35);
    for (const from of ['bow', 'stern', 'side'] as const)
      expect(Math.abs((turnedTo(from, comes).towards ?? 0) - 50)).toBeLessThan(from === 'side' ? 30 : 5);
  });
  test('a stream towards the east is headed from the east, a kayak by its bow even in a light cross wind', () => {
    const stream = { speed: 0.8, direction: 90 };
    expect(turnedTo('bow', { stream }, 'sit-on-top').heading).toBeCloseTo(270, 0);
    const both = turnedTo('bow', { stream, wind: wind(5, 0) }, 'sit-on-top').heading ?? 0;
    expect(both).toBeGreaterThan(270);
    expect(both).toBeLessThan(315);
  });
  test('nothing comes: nothing pulls, and nobody says how she lies', () => {
    const lies = turnedTo('bow', {});
    expect([lies.force, lies.heading]).toEqual([0, undefined]);
  });
  test('forces have no moment about where she is made fast, reckoned once more by vectors', () => {
    for (const from of ['bow', 'side', 'stern'] as const) {
      const lying = lyingOn('canoe');
      const { exposed } = lying;
      const at = fasteningOf(lying, from);
      const comes = { wind: wind(11, 40), stream: { speed: 0.4, direction: 300 } };
      const { lies } = pullOn(exposed, at, comes, 1025);
      const { air, water } = lies.across;
      // Level parts along her follow from the whole and the heading.
      const turned = (((lies.towards ?? 0) - (lies.heading ?? 0)) * Math.PI) / 180;
      const along = lies.force * Math.cos(turned),
        across = -lies.force * Math.sin(turned);
      expect(across).toBeCloseTo(air + water, 4);
      const moment = (exposed.air.x - at.x) * air + (exposed.water.x - at.x) * water + at.y * along;
      expect(Math.abs(moment)).toBeLessThan(0.02 * lies.force);
    }
  });
  const some = fc.double({ min: 0, max: 15, noNaN: true });
  test('from one side more wind or more stream never pulls less, and bow-on never more than beam-on', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...crafts),
        some,
        some,
        fc.double({ min: 0, max: 2, noNaN: true }),
        (kind, a, b, speed) => {
          const lying = lyingOn(kind);
          const from = 20;
          const pull = (by: number, end: 'bow' | 'side', flow = speed) =>
            pullOn(
              lying.exposed,
              fasteningOf(lying, end),
              {
                wind: { speed: by, gust: by * 1.3, direction: from },
                stream: { speed: flow, direction: from + 180 },
              },
              1025,
            ).load;
          const [less, more] = [pull(Math.min(a, b), 'bow'), pull(Math.max(a, b), 'bow')];
          expect(less.low).toBeLessThanOrEqual(more.low + 1e-6);
          expect(less.high).toBeLessThanOrEqual(more.high + 1e-6);
          expect(pull(a, 'bow', speed * 1.2).high).toBeGreaterThanOrEqual(pull(a, 'bow').high - 1e-6);
          expect(pull(a, 'bow').high).toBeLessThanOrEqual(pull(a, 'side').high + 1e-6);
          expect(pull(a, 'bow').low).toBeLessThanOrEqual(pull(a, 'side').low + 1e-6);
          expect(less.low).toBeLessThanOrEqual(less.high);
        },
      ),
      { numRuns: runs(60) },
    ));
});

describe('what is tried', () => {
  test('a wind where none is known is as gusty as winds are; one that is known stays as gusty as it is', () => {
    expect(withWind({}, 10).wind).toEqual({ speed: 10, gust: expect.closeTo(14), direction: 0 });
    const known = { wind: { speed: 5, gust: 6, direction: 200 } };
    expect(withWind(known, 10).wind).toEqual({ speed: 10, gust: expect.closeTo(12), direction: 200 });
  });
  test('a stream where none is known goes with the wind, and the wind with the stream', () => {
    expect(withStream({ wind: { speed: 5, gust: 6, direction: 200 } }, 1).stream?.direction).toBe(20);
    expect(withWind({ stream: { speed: 1, direction: 90 } }, 5).wind?.direction).toBe(270);
  });
});
