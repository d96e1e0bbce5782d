import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { check } from '../../test/check';
import { distance } from '../earth';
import type { Place, Schedule } from '../model';
import { farOff, reachesOf } from '.';

const HOUR = 3_600_000;
const place = (id: string, lat: number, lon: number, more: Partial<Place> = {}): Place => ({
  id,
  name: id,
  kind: 'haven',
  shore: 'beach',
  water: 'w',
  position: { lat, lon },
  ...more,
});
const schedule = {
  legs: [{ from: 'A', to: 'B', departs: 0, arrives: HOUR, metres: 1, bearing: 0 }],
} as unknown as Schedule;
const far = (from: Place, to: Place, landings: Place[], heightAt = (): number | undefined => undefined) =>
  farOff(reachesOf([from, to]), landings, { id: 'w' }, heightAt)(schedule);
const A = place('A', 50, -5, { kind: 'waypoint' }),
  B = place('B', 50, -4.9, { kind: 'waypoint' });

describe('how far off a way leads', () => {
  const degrees = (from: number, until: number) => fc.double({ min: from, max: until, noNaN: true });
  check('run here', 'geodesic', 'as far as by geodesics, on 100 random ways', () =>
    fc.assert(
      fc.property(
        degrees(-65, 65),
        fc.array(fc.tuple(degrees(-0.1, 0.1), degrees(-0.1, 0.1)), { minLength: 3, maxLength: 8 }),
        (lat, spots) => {
          const [from, to, ...landings] = spots.map(([up, along], i) =>
            place(`p${i}`, lat + up, 10 + along, i < 2 ? { kind: 'waypoint' } : {}),
          );
          const found = far(from, to, landings);
          if (found === undefined || found === 'unknown') return;
          const part = found.at / HOUR;
          const here = {
            lat: from.position.lat + part * (to.position.lat - from.position.lat),
            lon: from.position.lon + part * (to.position.lon - from.position.lon),
          };
          const plain = Math.min(...landings.map(({ position }) => distance(here, position).metres));
          expect(Math.abs(found.metres - plain)).toBeLessThan(2 + plain * 3e-3);
        },
      ),
      { numRuns: 100 },
    ),
  );
  test('in the middle between two beaches, at the hour one is there', () =>
    expect(far(A, B, [place('X', 50, -5), place('Y', 50, -4.9)])).toMatchObject({
      at: HOUR / 2,
      sure: true,
      metres: expect.closeTo(3583, -1),
    }));
  test('a landing that is dry then, or of which no tide is known, is none', () => {
    const dries = [place('X', 50, -5), place('Y', 50, -4.9, { works: 1 })];
    // What is known to be dry is no doubt; what is not known is one.
    expect(far(A, B, dries, () => 0.5)).toMatchObject({ landing: { id: 'X' }, at: HOUR, sure: true });
    expect(far(A, B, dries)).toMatchObject({ landing: { id: 'X' }, sure: false });
    expect(far(A, B, dries, () => 1.2)).toMatchObject({ at: HOUR / 2 });
  });
  test('rocks are none; a shore that nobody named may be one, and then it is not sure', () => {
    const X = place('X', 50, -5);
    expect(far(A, B, [X, place('Y', 50, -4.9, { shore: 'rocks' })])).toMatchObject({ at: HOUR, sure: true });
    expect(far(A, B, [X, place('Y', 50, -4.9, { shore: undefined })])).toMatchObject({
      at: HOUR,
      sure: false,
    });
    expect(far(A, B, [X, place('Y', 50, -4.9, { water: 'other' })])).toMatchObject({ at: HOUR, sure: true });
    expect(far(A, B, [])).toBe('unknown');
  });
});
