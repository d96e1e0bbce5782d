import { describe, expect, test } from '@jest/globals';
import { stations as dataset } from '@neaps/tide-database';
import { check } from '../../test/check';
import rows from '../../data/water/streams.json';
import { StreamStation } from '../model';
import { findStreams, streamStation } from './streams';

const KNOT = 1852 / 3600;
const byId = new Map(dataset.map((s) => [s.id, s]));
const ids = (rows.stations as (string | number)[][]).map(([id]) => id as string);

describe('the current stations that are carried', () => {
  check(
    'run here',
    { title: 'the open dataset @neaps/tide-database' },
    'are in the public domain and have its constants, in m/s',
    () => {
      for (const id of ids) {
        const theirs = byId.get(id)!,
          ours = streamStation(id)!;
        expect(theirs.license).toMatchObject({ type: 'public domain', commercial_use: true });
        const kept = theirs.harmonic_constituents.filter((c) => Math.round(c.amplitude * KNOT * 1000) > 0);
        expect(ours.constituents.map((c) => c.name)).toEqual(kept.map((c) => c.name));
        ours.constituents.forEach(({ amplitude, phase }, i) => {
          expect(Math.abs(amplitude - kept[i].amplitude * KNOT)).toBeLessThan(0.00051);
          const turn = Math.abs(phase - kept[i].phase) % 360;
          expect(Math.min(turn, 360 - turn)).toBeLessThan(0.0501);
        });
        const off = Math.abs(ours.flood - theirs.current!.flood_direction!) % 360;
        expect(Math.min(off, 360 - off)).toBeLessThan(0.51);
      }
    },
  );
  test('each is a stream that a water may keep', () => {
    for (let i = 0; i < ids.length; i += 40)
      expect(StreamStation.safeParse(streamStation(ids[i])).error).toBeUndefined();
    expect(streamStation('nowhere')).toBeUndefined();
  });
  test('are found by name and by nearness', () => {
    expect(findStreams('deception pass', undefined, 3)[0].name).toContain('Deception Pass');
    const near = findStreams('', { lat: 48.4, lon: -122.6 }, 5);
    expect(near).toHaveLength(5);
    expect(near[0].metres!).toBeLessThan(near[4].metres!);
    expect(near[0].metres!).toBeLessThan(10_000);
    expect(findStreams('', undefined, 5)).toEqual([]);
  });
});
