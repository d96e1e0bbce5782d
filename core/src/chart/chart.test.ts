import { describe, expect, test } from '@jest/globals';
import { booleanPointInPolygon } from '@turf/boolean-point-in-polygon';
import { lineString, polygon } from '@turf/helpers';
import { lineIntersect } from '@turf/line-intersect';
import fc from 'fast-check';
import { check } from '../../test/check';
import { distance, type LatLon } from '../earth';
import type { Chart } from '../model';
import { depthsOf, lineOf, metresAt, pointsOf, positionOf, shoreOf, spotOf } from '.';

const chartOf = (...shore: Chart['shore']): Chart => ({ source: 'a test', shore, depths: [] });
const at = (lat: number, lon: number): LatLon => ({ lat, lon });
const ring = (...corners: [number, number][]) => lineOf(corners.map(([lat, lon]) => at(lat, lon)));
const square = (lat: number, lon: number, half: number) =>
  ring(
    [lat - half, lon - half],
    [lat - half, lon + half],
    [lat + half, lon + half],
    [lat + half, lon - half],
  );

const position = fc.record({
  lat: fc.double({ min: -80, max: 80, noNaN: true }),
  lon: fc.double({ min: -180, max: 180, noNaN: true }),
});

describe('lines as they are kept', () => {
  check(
    'recalled',
    { title: 'the encoded polyline algorithm: its published example' },
    'three points in 27 letters',
    () => {
      expect(lineOf([at(38.5, -120.2), at(40.7, -120.95), at(43.252, -126.453)])).toBe(
        '_p~iF~ps|U_ulLnnqC_mqNvxq`@',
      );
    },
  );
  test('come back to a metre, wherever they go', () => {
    fc.assert(
      fc.property(fc.array(position, { minLength: 1, maxLength: 40 }), (points) => {
        const back = pointsOf(lineOf(points));
        expect(back).toHaveLength(points.length);
        back.forEach((p, i) => expect(distance(p, points[i]).metres).toBeLessThan(1.2));
      }),
    );
  });
  test('go on across the antimeridian without a jump, and what is torn gives what stands before the tear', () => {
    const [a, b] = pointsOf(lineOf([at(-17, 179.9), at(-17, -179.9)]));
    expect(b.lon - a.lon).toBeCloseTo(0.2, 6);
    const torn = pointsOf(`${lineOf([at(50, -5), at(50.1, -5.1)])}\u007f`);
    expect(torn.slice(0, 2)).toHaveLength(2);
    expect(pointsOf('~~~~~~~~~~~~~')).toEqual([]);
  });
});

describe('the plane of the chart', () => {
  check(
    'run here',
    { title: 'geographiclib-geodesic on WGS 84' },
    'is as long as the ellipsoid for a short way east and a short way north alike',
    () => {
      fc.assert(
        fc.property(position, (p) => {
          const small = 1e-4;
          const here = spotOf(p, p.lon),
            east = spotOf({ ...p, lon: p.lon + small }, p.lon),
            north = spotOf({ ...p, lat: p.lat + small }, p.lon);
          const scale = metresAt(p.lat + small / 2);
          expect((east.x - here.x) * metresAt(p.lat)).toBeCloseTo(
            distance(p, { ...p, lon: p.lon + small }).metres,
            4,
          );
          expect((north.y - here.y) * scale).toBeCloseTo(distance(p, { ...p, lat: p.lat + small }).metres, 4);
        }),
      );
    },
  );
  test('and back to a tenth of a millimetre', () => {
    fc.assert(
      fc.property(position, (p) => {
        expect(distance(positionOf(spotOf(p, p.lon)), p).metres).toBeLessThan(1e-4);
      }),
    );
  });
});

/** A ragged island of so many points: a ring that goes once round, in and out. */
const ragged = (points: number, seed: number, lat = 50, lon = -5): LatLon[] =>
  Array.from({ length: points }, (_, i) => {
    const turn = (2 * Math.PI * i) / points;
    const out = 0.1 + 0.04 * Math.sin(seed + 7 * turn) + 0.01 * Math.sin(3 * seed + 91 * turn);
    return at(lat + out * Math.cos(turn), lon + 1.5 * out * Math.sin(turn));
  });
const kept = (points: LatLon[]) => pointsOf(lineOf(points));
/** On the plane, as the other code wants it. */
const flat = (points: LatLon[]) => points.map((p) => spotOf(p, -5)).map(({ x, y }) => [x, y]);
const flatRing = (points: LatLon[]) => [...flat(points), flat(points)[0]];

describe('the shore', () => {
  const near = fc.record({
    lat: fc.double({ min: 49.8, max: 50.2, noNaN: true }),
    lon: fc.double({ min: -5.3, max: -4.7, noNaN: true }),
  });
  const islands = [1, 2, 3].map((seed) => {
    const points = kept(ragged(240, seed));
    return { points, shore: shoreOf(chartOf({ inside: 'land', rings: [lineOf(points)] }))! };
  });
  const island = fc.constantFrom(...islands);

  check('run here', { title: '@turf/line-intersect' }, 'is met as often, and where', () => {
    fc.assert(
      fc.property(island, near, near, ({ points, shore }, from, to) => {
        const theirs = lineIntersect(lineString(flat([from, to])), lineString(flatRing(points))).features.map(
          (f) => f.geometry.coordinates,
        );
        const [a, b] = [spotOf(from, -5), spotOf(to, -5)];
        const ours = shore.meets(from, to);
        expect(ours).toHaveLength(theirs.length);
        const along = theirs
          .map(([x, y]) => Math.hypot(x - a.x, y - a.y) / Math.hypot(b.x - a.x, b.y - a.y))
          .sort((p, q) => p - q);
        ours.forEach((share, i) => expect(share).toBeCloseTo(along[i], 6));
      }),
      { numRuns: 300 },
    );
  });
  check('run here', { title: '@turf/boolean-point-in-polygon' }, 'tells land from water alike', () => {
    fc.assert(
      fc.property(island, near, ({ points, shore }, p) => {
        const inside = booleanPointInPolygon(flat([p])[0], polygon([flatRing(points)]));
        expect(shore.groundAt(p)).toBe(inside ? 'land' : 'water');
      }),
      { numRuns: 500 },
    );
  });
  check(
    'run here',
    { title: 'a ray marched in steps of five metres through @turf/boolean-point-in-polygon' },
    'is reached as soon on every course',
    () => {
      const { points, shore } = islands[0];
      const from = at(49.97, -5.35);
      const land = polygon([flatRing(points)]);
      for (let bearing = 0; bearing < 360; bearing += 10) {
        const a = spotOf(from, -5),
          turn = (bearing * Math.PI) / 180;
        let marched: number | undefined;
        for (let m = 0; m <= 60_000 && marched === undefined; m += 5) {
          const step = m / metresAt(50);
          if (booleanPointInPolygon([a.x + step * Math.sin(turn), a.y + step * Math.cos(turn)], land))
            marched = m;
        }
        const reached = shore.reach(from, bearing, 60_000);
        if (marched === undefined) expect(reached).toBeUndefined();
        // The march takes one scale for the whole ray: half a percent at its end.
        else expect(Math.abs(reached! - marched)).toBeLessThan(10 + marched * 0.005);
      }
    },
  );
  test('a way over an island is told as the stretch on it, and a hole in it is water again', () => {
    const atoll = shoreOf(chartOf({ inside: 'land', rings: [square(50, -5, 0.1), square(50, -5, 0.05)] }))!;
    const stretches = atoll.overLand(at(50, -5.2), at(50, -4.8));
    expect(stretches).toHaveLength(2);
    [0.25, 0.375, 0.625, 0.75].forEach((share, i) =>
      expect([stretches[0].from, stretches[0].until, stretches[1].from, stretches[1].until][i]).toBeCloseTo(
        share,
        4,
      ),
    );
    expect(atoll.groundAt(at(50, -5))).toBe('water');
    expect(atoll.groundAt(at(50, -5.07))).toBe('land');
  });
  test('a lake is water within its ring and land around it; with land and lakes both, what neither holds is not known', () => {
    const lake = shoreOf(chartOf({ inside: 'water', rings: [square(50, -5, 0.1)] }))!;
    expect([lake.groundAt(at(50, -5)), lake.groundAt(at(51, -5))]).toEqual(['water', 'land']);
    const both = shoreOf(
      chartOf(
        { inside: 'water', rings: [square(50, -5, 0.1)] },
        { inside: 'land', rings: [square(50, -5, 0.02)] },
      ),
    )!;
    expect([at(50, -5), at(50, -5.05), at(51, -5)].map(both.groundAt)).toEqual(['land', 'water', undefined]);
  });
  test('an open line of shore is crossed and has no inside', () => {
    const line = shoreOf(chartOf({ rings: [ring([49.9, -5], [50.1, -5])] }))!;
    expect(line.groundAt(at(50, -4.9))).toBeUndefined();
    const [cross] = line.overLand(at(50, -5.1), at(50, -4.9));
    expect([cross.from, cross.until]).toEqual([cross.from, cross.from]);
    expect(cross.from).toBeCloseTo(0.5, 6);
  });
  test('a ring that crosses itself, one of two points and one that is torn stop nothing', () => {
    const knot = shoreOf(
      chartOf({ inside: 'land', rings: [ring([50, -5], [50.1, -4.9], [50.1, -5], [50, -4.9])] }),
    )!;
    expect(knot.groundAt(at(50.01, -4.95))).toBe('land');
    expect(knot.groundAt(at(50.05, -4.99))).toBe('water');
    expect(shoreOf(chartOf({ inside: 'land', rings: ['?'] }))).toBeUndefined();
    expect(
      shoreOf(chartOf({ inside: 'land', rings: [ring([50, -5], [50.1, -4.9])] }))!.groundAt(at(50, -4.8)),
    ).toBe('water');
  });
  test('across the antimeridian it is one shore', () => {
    const shore = shoreOf(chartOf({ inside: 'land', rings: [square(-17, 180, 0.1)] }))!;
    expect(shore.groundAt(at(-17, 179.95))).toBe('land');
    expect(shore.groundAt(at(-17, -179.95))).toBe('land');
    expect(shore.overLand(at(-17, 179.7), at(-17, -179.7))).toHaveLength(1);
    expect(shore.reach(at(-17, -179.7), 270, 100_000)).toBeCloseTo(
      distance(at(-17, -179.7), at(-17, -179.9)).metres,
      -2,
    );
  });
  test('the nearest of it is as far as the ellipsoid says', () => {
    const shore = shoreOf(chartOf({ inside: 'land', rings: [square(50, -5, 0.1)] }))!;
    const near = shore.nearest(at(50.2, -5))!;
    expect(near.metres).toBeCloseTo(distance(at(50.2, -5), at(50.1, -5)).metres, -0.5);
    expect(near.bearing).toBeCloseTo(180, 1);
  });
});

describe('depths', () => {
  const bank = { least: -1.2, rings: [square(50, -5, 0.02)] };
  const shelf = { least: 2, rings: [square(50, -5, 0.1)] };
  const depths = depthsOf({ source: 'a test', shore: [], depths: [shelf, bank] })!;
  test('where areas lie over each other the least counts; where none lies nothing is known', () => {
    expect([at(50, -5), at(50.05, -5), at(51, -5)].map(depths.at)).toEqual([-1.2, 2, undefined]);
  });
  test('a way is told where it goes over less than is wanted', () => {
    const [over, ...others] = depths.under(at(50, -5.2), at(50, -4.8), 0.5);
    expect(others).toEqual([]);
    expect(over.least).toBe(-1.2);
    expect(over.from).toBeCloseTo(0.45, 4);
    expect(over.until).toBeCloseTo(0.55, 4);
    expect(depths.under(at(50, -5.2), at(50, -4.8), 3)).toHaveLength(2);
  });
  test('a chart without depths answers nothing', () => {
    expect(depthsOf({ source: 'a test', shore: [], depths: [] })).toBeUndefined();
  });
});
