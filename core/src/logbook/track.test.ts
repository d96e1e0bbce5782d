import { describe, expect, test } from '@jest/globals';
import { check } from '../../test/check';
import { pointsOf } from '../chart';
import { distance } from '../earth';
import { Track } from '../model';
import { KNOT } from '../units';
import { readTrack, trackOf } from './track';
import { astrayFrom, flatOf } from './way-gone';

const START = Date.UTC(2026, 4, 12, 7);
const spot = (lat: number, lon = -29.5) => ({ lat, lon });
const gpx = (points: [number, number | undefined][]) =>
  `<?xml version="1.0"?><gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1"><trk><trkseg>${points
    .map(
      ([lat, minute]) =>
        `<trkpt lat="${lat}" lon="-29.5">${
          minute === undefined ? '' : `<time>${new Date(START + minute * 60_000).toISOString()}</time>`
        }</trkpt>`,
    )
    .join('')}</trkseg></trk></gpx>`;
const DAY: [string, string] = ['2026-05-12', '2026-05-12'];

describe('a recorded track', () => {
  check('run here', 'geodesic', 'its way is the sum of geodesics, its time what moved', () => {
    // Ten minutes going, twenty standing, ten back.
    const read = readTrack(
      gpx([
        [41, 0],
        [41.01, 10],
        [41.01, 30],
        [41, 40],
      ]),
      DAY,
      'UTC',
    );
    expect(read.is).toBe('read');
    if (read.is !== 'read') return;
    const one = distance(spot(41), spot(41.01)).metres;
    expect(read.track.metres).toBeCloseTo(2 * one, 6);
    expect(read.track.moving).toBe(1200);
    expect(read.track.from).toBe('2026-05-12T07:00:00.000Z');
    expect(Track.safeParse(read.track).success).toBe(true);
  });
  test('a leap of the receiver is left out; a silence counts with its time, or not at all', () => {
    const at = (lat: number, minute: number) => ({ position: spot(lat), at: START + minute * 60_000 });
    const still = trackOf([at(41, 0), at(43, 1), at(41.002, 2)]);
    expect(still.metres).toBeCloseTo(distance(spot(41), spot(41.002)).metres, 6);
    // The first may be the slip itself.
    const wild = trackOf([at(10, 0), at(41, 1), at(41.002, 2)]);
    expect(wild.metres).toBeCloseTo(still.metres, 6);
    expect(wild.from).toBe('2026-05-12T07:01:00.000Z');
    const gap = trackOf([at(41, 0), at(41.02, 16)]);
    expect(gap.moving).toBe(960);
    expect(gap.metres).toBeCloseTo(distance(spot(41), spot(41.02)).metres, 6);
    // A drift of a metre in ten minutes, or a mile in four hours of silence, is neither way nor time.
    for (const rest of [trackOf([at(41, 0), at(41.00001, 10)]), trackOf([at(41, 0), at(41.0167, 240)])])
      expect(rest).toMatchObject({ metres: 0, moving: 0 });
    expect((0.5 * KNOT).toFixed(3)).toBe('0.257');
  });
  test('at anchor a receiver that wanders each second adds neither way nor time', () => {
    const second = (lat: number, s: number) => ({ position: spot(lat), at: START + s * 1000 });
    // Ten minutes at 2.5 m/s, an hour within two metres, ten minutes back.
    const step = 2.5 / 111_000;
    const out = Array.from({ length: 601 }, (_, s) => second(41 + s * step, s));
    const far = 41 + 600 * step;
    const lying = Array.from({ length: 3600 }, (_, s) => second(far + ((s * 7) % 5) * 4e-6, 601 + s));
    const back = Array.from({ length: 601 }, (_, s) => second(far - s * step, 4201 + s));
    const { metres, moving } = trackOf([...out, ...lying, ...back]);
    expect(Math.abs(moving - 1200)).toBeLessThanOrEqual(20);
    expect(Math.abs(metres / moving - 2.5)).toBeLessThan(0.05);
    expect(Math.abs(metres - 3000)).toBeLessThan(60);
  });
  test('of a receiver that ran on the road too, what lies between the hours that were told counts', () => {
    const minute = (m: number) => START + m * 60_000;
    // Twenty minutes of road at 65 kn, then an hour of water at 3.6 kn.
    const road = gpx([
      [40.6, 0],
      [41, 20],
      [41.03, 50],
      [41.06, 80],
    ]);
    const all = readTrack(road, DAY, 'UTC');
    const water = readTrack(road, DAY, 'UTC', { left: minute(20), home: minute(90) });
    if (all.is !== 'read' || water.is !== 'read') throw new Error('both are read');
    expect(water.track.metres).toBeCloseTo(distance(spot(41), spot(41.06)).metres, 6);
    expect(water.track.moving).toBe(3600);
    expect(all.track.metres).toBeGreaterThan(7 * water.track.metres);
    expect(readTrack(road, DAY, 'UTC', { left: minute(200) })).toEqual({
      is: 'outside',
      from: minute(0),
      until: minute(80),
    });
    // Hours the wrong way round hold nothing.
    expect(readTrack(road, DAY, 'UTC', { left: minute(80), home: minute(20) }).is).toBe('outside');
  });
  test('a time without a zone is UTC, as the format says; what is no time is left out', () => {
    const bare = gpx([
      [41, 0],
      [41.01, 10],
    ]);
    const noZone = readTrack(bare.replaceAll('.000Z', ''), DAY, 'UTC');
    expect(noZone).toEqual(readTrack(bare, DAY, 'UTC'));
    expect(readTrack(bare.replaceAll('2026-05-12T', 'May 12 2026 '), DAY, 'UTC')).toEqual({ is: 'empty' });
  });
  test('of another day, empty, torn, or no GPX: each says so', () => {
    expect(
      readTrack(
        gpx([
          [41, 0],
          [41.01, 10],
        ]),
        ['2026-05-20', '2026-05-20'],
        'UTC',
      ),
    ).toEqual({
      is: 'another',
      from: '2026-05-12',
      until: '2026-05-12',
    });
    expect(
      readTrack(
        gpx([
          [41, undefined],
          [41.01, undefined],
        ]),
        DAY,
        'UTC',
      ),
    ).toEqual({ is: 'empty' });
    expect(readTrack('<gpx><trk>', DAY, 'UTC')).toMatchObject({ is: 'refused' });
    expect(readTrack('<kml/>', DAY, 'UTC')).toMatchObject({
      is: 'refused',
      fault: expect.stringMatching(/no GPX/),
    });
    expect(readTrack('<!DOCTYPE x><gpx/>', DAY, 'UTC')).toMatchObject({ is: 'refused' });
  });
  test('over midnight it belongs to both days of the trip, on the clock of its water', () => {
    const late = gpx([
      [41, 16 * 60 + 30],
      [41.01, 16 * 60 + 45],
      [41.02, 17 * 60 + 15],
    ]);
    const read = readTrack(late, ['2026-05-12', '2026-05-13'], 'UTC');
    expect(read.is === 'read' && read.track.until).toBe('2026-05-13T00:15:00.000Z');
    expect(readTrack(late, ['2026-05-13', '2026-05-13'], 'Asia/Tokyo').is).toBe('read');
  });
  test('a long one is kept small', () => {
    const points = Array.from({ length: 20_000 }, (_, i) => ({
      position: { lat: 41 + i * 1e-6, lon: -29.5 + Math.sin(i / 50) * 1e-3 },
      at: START + i * 1000,
    }));
    const track = trackOf(points);
    expect(track.line.length).toBeLessThan(4000);
    expect(pointsOf(track.line).length).toBeLessThanOrEqual(150);
  });
});

describe('beside the plan', () => {
  check('run here', 'geodesic', 'how far astray, as by geodesics', () => {
    const planned = [spot(41), spot(41.05)];
    const gone = [spot(41), { lat: 41.02, lon: -29.48 }, spot(41.05)];
    const by = distance(spot(41.02), gone[1]).metres;
    expect(Math.abs((astrayFrom(gone, planned) ?? 0) - by)).toBeLessThan(by * 2e-3);
    expect(astrayFrom(planned, planned)).toBeCloseTo(0, 6);
    expect(astrayFrom(gone, [spot(41)])).toBeUndefined();
    // Beyond the end of the plan it is as far as from its end.
    const on = distance(spot(41.05), spot(41.06)).metres;
    expect(Math.abs((astrayFrom([spot(41.06)], planned) ?? 0) - on)).toBeLessThan(on * 2e-3);
  });
  test('is drawn north up, within its square, also over the date line and for one point', () => {
    const { lines, height } = flatOf([[spot(41), spot(41.05)], []], 320);
    const [[, south], [, north]] = lines[0].split(' ').map((pair) => pair.split(',').map(Number));
    expect(north).toBeLessThan(south);
    expect(height).toBeLessThanOrEqual(320);
    const over = flatOf(
      [
        [
          { lat: 0, lon: 179.99 },
          { lat: 0, lon: -179.99 },
        ],
      ],
      320,
    ).lines[0];
    for (const pair of over.split(' ')) expect(Number(pair.split(',')[0])).toBeLessThanOrEqual(320);
    expect(flatOf([[spot(41)]], 320).lines[0]).not.toMatch(/NaN|Infinity/);
    expect(flatOf([[], []], 320).lines).toEqual(['', '']);
  });
});
