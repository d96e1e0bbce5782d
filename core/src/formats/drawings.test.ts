import { describe, expect, test } from '@jest/globals';
import { DOMParser } from '@xmldom/xmldom';
import { parseGPXWithCustomParser } from '@we-gold/gpxjs';
import fc from 'fast-check';
import { GeoJSONSchema } from 'zod-geojson';
import { check } from '../../test/check';
import { lineOf, pointsOf, shoreOf } from '../chart';
import { distance } from '../earth';
import type { Place } from '../model';
import { emptyDrawing, lightened, MOST_POINTS, wayOf, type Drawing } from './drawing';
import { readGeoJson, writeGeoJson } from './geojson';
import { readGpx } from './gpx';
import { writeGpx } from './gpx-out';

const read = (result: ReturnType<typeof readGpx>): Drawing => {
  if (!result.ok) throw new Error(result.faults.join(' '));
  return result.drawing;
};
const faults = (result: ReturnType<typeof readGpx>) => (result.ok ? [] : result.faults);
const gpx = (inside: string, head = '') =>
  `<?xml version="1.0"?>${head}<gpx version="1.1" creator="x" xmlns="http://www.topografix.com/GPX/1/1">${inside}</gpx>`;

const point = fc.record({
  name: fc.string({ unit: 'grapheme', minLength: 1, maxLength: 20 }),
  position: fc.record({
    lat: fc.double({ min: -90, max: 90, noNaN: true }),
    lon: fc.double({ min: -180, max: 180, noNaN: true }),
  }),
});

describe('GPX', () => {
  check('run here', { title: '@we-gold/gpxjs' }, 'what is written is read alike by other code', () => {
    const text = writeGpx({
      name: 'Round & back <home>',
      at: Date.UTC(2026, 4, 12, 4),
      points: [
        {
          name: 'Ramp',
          position: { lat: 41.2, lon: -29.5 },
          note: 'mind the "toe"',
          place: { kind: 'launch' },
        },
      ],
      routes: [
        {
          name: 'Out',
          points: [
            { name: 'Ramp', position: { lat: 41.2, lon: -29.5 }, at: Date.UTC(2026, 4, 12, 5) },
            { name: 'Holm', position: { lat: 41.178, lon: -29.4378 } },
          ],
        },
      ],
    });
    const [theirs, fault] = parseGPXWithCustomParser(
      text,
      (xml) => new DOMParser().parseFromString(xml, 'text/xml') as never,
    );
    expect(fault).toBeNull();
    expect(theirs!.metadata.name).toBe('Round & back <home>');
    expect(theirs!.waypoints).toMatchObject([
      { name: 'Ramp', latitude: 41.2, longitude: -29.5, description: 'mind the "toe"' },
    ]);
    expect(theirs!.routes[0].points.map((p) => [p.latitude, p.longitude])).toEqual([
      [41.2, -29.5],
      [41.178, -29.4378],
    ]);
  });
  check(
    'recalled',
    { title: 'GPX 1.1 schema: wptType is a sequence, ele, time, …, name, cmt, desc, src, link, sym, type' },
    'elements stand in its order',
    () => {
      const text = writeGpx({
        name: 'x',
        at: 0,
        points: [],
        routes: [
          {
            name: 'r',
            points: [{ name: 'a', note: 'n', at: 0, place: { kind: 'haven' }, position: { lat: 1, lon: 2 } }],
          },
        ],
      });
      expect(text).toContain(
        '<rtept lat="1.0000000" lon="2.0000000"><time>1970-01-01T00:00:00.000Z</time><name>a</name><desc>n</desc><type>haven</type></rtept>',
      );
    },
  );
  test('what is written comes back, whatever it is called', () => {
    fc.assert(
      fc.property(fc.array(point, { maxLength: 20 }), (points) => {
        const back = read(readGpx(writeGpx({ name: 'x', at: 0, points, routes: [{ name: 'r', points }] })));
        expect(back.points).toHaveLength(points.length);
        expect(back.routes[0].points).toHaveLength(points.length);
        back.points.forEach((p, i) =>
          expect(distance(p.position, points[i].position).metres).toBeLessThan(0.02),
        );
      }),
    );
  });
  test('a point without a position, or with one that is nowhere, is left out and counted', () => {
    const { points, leftOut } = read(
      readGpx(
        gpx(
          '<wpt lat="50" lon="-5"><name> A </name></wpt><wpt lat="" lon="1"/><wpt lat="91" lon="0"/><wpt lon="0"/><wpt lat="1e2" lon="0"/>',
        ),
      ),
    );
    expect(points).toEqual([{ name: 'A', position: { lat: 50, lon: -5 } }]);
    expect(leftOut).toEqual([{ why: 'position', n: 4 }]);
  });
  test('each stretch of a track is a track', () => {
    const { tracks } = read(
      readGpx(
        gpx(
          '<trk><name>T</name><trkseg><trkpt lat="1" lon="2"/><trkpt lat="1.1" lon="2"/></trkseg><trkseg/></trk>',
        ),
      ),
    );
    expect(tracks.map(({ name, points }) => [name, points.length])).toEqual([
      ['T', 2],
      ['T', 0],
    ]);
  });
  test.each([
    [
      'an entity bomb',
      gpx(
        '<wpt lat="1" lon="2"><name>&b;</name></wpt>',
        '<!DOCTYPE gpx [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;">]>',
      ),
      'DOCTYPE',
    ],
    ['a tag that is not closed', '<gpx><wpt lat="1" lon="2">', 'torn'],
    ['nothing', '', 'torn'],
    ['something else', '<kml><Placemark/></kml>', 'no GPX'],
    ['no XML', 'position;50;-5', 'torn'],
    ['an entity nobody declared', gpx('<wpt lat="1" lon="2"><name>&nobody;</name></wpt>'), 'torn'],
  ])('%s is refused in words', (_what, text, word) => {
    expect(faults(readGpx(text)).join(' ')).toContain(word);
  });
  test('twenty thousand points are read whole', () => {
    const text = gpx(
      `<trk><trkseg>${Array.from({ length: 20_000 }, (_, i) => `<trkpt lat="${(50 + i / 1e5).toFixed(5)}" lon="-5"><time>2026-05-12T04:00:00Z</time></trkpt>`).join('')}</trkseg></trk>`,
    );
    const { tracks } = read(readGpx(text));
    expect(tracks[0].points).toHaveLength(20_000);
    const way = wayOf(tracks[0].points, 30);
    // A straight line needs its ends and no more.
    expect(way.length).toBeLessThanOrEqual(3);
    expect([way[0], way.at(-1)]).toEqual([tracks[0].points[0], tracks[0].points.at(-1)]);
  });
});

const square = (lat: number, lon: number, half: number): [number, number][] => [
  [lon - half, lat - half],
  [lon + half, lat - half],
  [lon + half, lat + half],
  [lon - half, lat + half],
  [lon - half, lat - half],
];
const collection = (...features: unknown[]) => JSON.stringify({ type: 'FeatureCollection', features });
const feature = (geometry: unknown, properties: unknown = {}) => ({ type: 'Feature', geometry, properties });

describe('GeoJSON', () => {
  const area = { type: 'Polygon', coordinates: [square(50, -5, 0.1)] };
  test('areas are land, water or a depth by what the file says of them; where it says nothing that is left to be asked', () => {
    const drawing = read(
      readGeoJson(
        collection(
          feature(area, { escale: 'shore', inside: 'land' }),
          feature(area, { place: 'islet', name: 'Skerry' }),
          feature(area, { natural: 'water' }),
          feature(area, { DRVAL1: -0.5 }),
          feature(area, { escale: 'depth', least: 3 }),
          feature(area, { name: 'Somewhere' }),
        ),
      ),
    );
    expect(drawing.shore.map(({ inside }) => inside)).toEqual(['land', 'land', 'water']);
    expect(drawing.depths.map(({ least }) => least)).toEqual([-0.5, 3]);
    expect(drawing.areas.map(({ name }) => name)).toEqual(['Somewhere']);
  });
  test('parts of what is called Multi and of collections are taken one by one', () => {
    const drawing = read(
      readGeoJson(
        collection(
          feature(
            {
              type: 'MultiPolygon',
              coordinates: [[square(50, -5, 0.1)], [square(51, -5, 0.1), square(51, -5, 0.02)]],
            },
            { natural: 'coastline' },
          ),
          feature({
            type: 'GeometryCollection',
            geometries: [
              { type: 'Point', coordinates: [-5, 50, 12] },
              {
                type: 'LineString',
                coordinates: [
                  [-5, 50],
                  [-5, 51],
                ],
              },
            ],
          }),
        ),
      ),
    );
    expect(drawing.shore.map(({ rings }) => rings.length)).toEqual([1, 2]);
    expect(drawing.points.map(({ position }) => position)).toEqual([{ lat: 50, lon: -5 }]);
    expect(drawing.tracks).toHaveLength(1);
  });
  test('what can’t be used is counted and the rest is taken', () => {
    const { leftOut, points } = read(
      readGeoJson(
        collection(
          feature({ type: 'Point', coordinates: [500_000, 4_600_000] }),
          feature({ type: 'Point', coordinates: ['x', null] }),
          feature({ type: 'Line', coordinates: [] }),
          feature({ type: 'LineString', coordinates: [[1, 2]] }),
          feature({
            type: 'Polygon',
            coordinates: [
              [
                [0, 0],
                [0, 91],
                [1, 1],
              ],
            ],
          }),
          feature(null),
          feature(
            { type: 'Point', coordinates: [1, 2] },
            { name: 'A', kind: 'hazard', hazard: 'rock', reach: 50 },
          ),
          feature({ type: 'Point', coordinates: [1, 2] }, { kind: 'toString', hazard: 7, depth: 'deep' }),
        ),
      ),
    );
    expect(leftOut).toEqual([
      { why: 'position', n: 3 },
      { why: 'kind', n: 1 },
      { why: 'short', n: 1 },
    ]);
    expect(points).toEqual([
      { position: { lat: 2, lon: 1 }, name: 'A', place: { kind: 'hazard', hazard: 'rock', reach: 50 } },
      { position: { lat: 2, lon: 1 } },
    ]);
  });
  test.each([
    ['no JSON', '{', 'no JSON'],
    ['a list', '[]', 'no GeoJSON'],
    [
      'another datum',
      JSON.stringify({
        type: 'FeatureCollection',
        features: [],
        crs: { type: 'name', properties: { name: 'urn:ogc:def:crs:EPSG::27700' } },
      }),
      'another datum',
    ],
  ])('%s is refused in words', (_what, text, word) => {
    expect(faults(readGeoJson(text)).join(' ')).toContain(word);
  });

  const haven: Place = {
    id: '01890000-0000-7000-8000-000000000001',
    name: 'Holm “beach”',
    kind: 'haven',
    position: { lat: 41.178, lon: -29.4378 },
    shore: 'beach',
  };
  const chart = {
    source: 'a test',
    shore: [
      { inside: 'land' as const, rings: [lineOf(square(50, -5, 0.1).map(([lon, lat]) => ({ lat, lon })))] },
      {
        rings: [
          lineOf([
            { lat: 50, lon: 179.9 },
            { lat: 50, lon: -179.9 },
          ]),
        ],
      },
    ],
    depths: [{ least: -1.5, rings: [lineOf(square(50, -4, 0.1).map(([lon, lat]) => ({ lat, lon })))] }],
  };
  check('run here', { title: 'zod-geojson' }, 'what is written is GeoJSON to other code', () => {
    const text = writeGeoJson({
      name: 'Sallow Water',
      places: [haven],
      chart,
      routes: [{ name: 'Out', points: [haven.position, { lat: 41.2, lon: -29.5 }] }],
    });
    expect(GeoJSONSchema.safeParse(JSON.parse(text)).error).toBeUndefined();
  });
  test('and comes back as it was', () => {
    const back = read(
      readGeoJson(writeGeoJson({ name: 'Sallow Water', places: [haven], chart, routes: [] })),
    );
    expect(back.name).toBe('Sallow Water');
    expect(back.points).toEqual([
      { position: haven.position, name: haven.name, place: { kind: 'haven', shore: 'beach' } },
    ]);
    expect(back.depths[0].least).toBe(-1.5);
    expect(back.shore.map(({ inside }) => inside)).toEqual(['land', undefined]);
    const [a, b] = pointsOf(back.shore[1].rings[0]);
    expect(b.lon - a.lon).toBeCloseTo(0.2, 6);
    const ground = shoreOf({ source: '', shore: back.shore, depths: [] })!;
    expect(ground.groundAt({ lat: 50, lon: -5 })).toBe('land');
  });
});

describe('a drawing that is too heavy', () => {
  const far = (ring: { lat: number; lon: number }[], shore: Drawing['shore']) => {
    const drawn = shoreOf({ source: '', shore, depths: [] })!;
    return Math.max(...ring.filter((_, i) => i % 997 === 0).map((p) => drawn.nearest(p)!.metres));
  };
  test('is thinned as little as does it, and says by how much', () => {
    const fine = Array.from({ length: 60_000 }, (_, i) => {
      const turn = (2 * Math.PI * i) / 60_000;
      return {
        lat: 50 + 0.2 * Math.sin(turn) + 0.0005 * Math.sin(400 * turn),
        lon: -5 + 0.3 * Math.cos(turn),
      };
    });
    const shore = [{ inside: 'land' as const, rings: [lineOf(fine)] }];
    const light = lightened({ ...emptyDrawing(), shore });
    const left = pointsOf(light.shore[0].rings[0]);
    expect(left.length).toBeLessThanOrEqual(MOST_POINTS);
    expect(left.length).toBeGreaterThan(1000);
    expect(light.off).toBeLessThan(10);
    expect(far(fine, light.shore)).toBeLessThan(light.off! + 2);
  });
  test('one of thirty thousand rocks comes to an end: the largest are kept, and how many are not is told', () => {
    const rock = (i: number, size: number) =>
      lineOf([0, 1, 2, 3].map((n) => ({ lat: 50 + i / 1000 + (n % 2) * size, lon: -5 + (n >> 1) * size })));
    const shore = Array.from({ length: 30_000 }, (_, i) => ({
      inside: 'land' as const,
      rings: [rock(i, i < 10 ? 0.5 : 0.0004)],
    }));
    const light = lightened({ ...emptyDrawing(), shore });
    expect(light.shore.length).toBeLessThanOrEqual(1000);
    expect(light.leftOut).toEqual([{ why: 'many', n: 30_000 - light.shore.length }]);
    for (const big of shore.slice(0, 10)) expect(light.shore).toContainEqual(big);
  });
  test('tracks and routes keep the points that shape them, with their names', () => {
    const points = Array.from({ length: 20_000 }, (_, i) => ({
      lat: 50 + Math.sin(i / 900) / 10,
      lon: -5 + i / 1e5,
    }));
    const named = points.map((position, i) => ({ name: String(i), position }));
    const light = lightened({ ...emptyDrawing(), tracks: [{ points }], routes: [{ points: named }] });
    expect([light.tracks[0].of, light.routes[0].of]).toEqual([20_000, 20_000]);
    expect(light.tracks[0].points.length).toBeLessThanOrEqual(500);
    for (const { name, position } of light.routes[0].points) expect(points[Number(name)]).toBe(position);
  });
  test('a light one is left as it is', () => {
    const light = {
      ...emptyDrawing(),
      shore: [
        {
          rings: [
            lineOf([
              { lat: 1, lon: 2 },
              { lat: 1, lon: 3 },
            ]),
          ],
        },
      ],
    };
    expect(lightened(light)).toEqual(light);
  });
});
