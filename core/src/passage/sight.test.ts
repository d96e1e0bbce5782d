import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { check } from '../../test/check';
import { steady } from '../../test/demo';
import { distance, sunAt } from '../earth';
import type { Finding, Place, Schedule, Trip } from '../model';
import { render } from '../say';
import { sortForecast } from '../water';
import { reachesOf, withinReach } from '.';
import { sightFindings, type OnSight } from './find-sight';

const HOUR = 3_600_000;
const reader = { units: 'metric', zone: 'UTC', locale: 'en-GB' } as const;
const said = ({ title, because, assumed }: Finding) =>
  [title, ...because, ...assumed].map((p) => render(p, reader)).join(' ');
const place = (id: string, lat: number, lon: number, more: Partial<Place> = {}): Place => ({
  id,
  name: id,
  kind: 'waypoint',
  water: 'w',
  position: { lat, lon },
  ...more,
});
/** Seven kilometres along the fiftieth parallel. */
const A = place('A', 50, -5),
  B = place('B', 50, -4.9);
const lane = (more: Partial<Place> = {}) =>
  place('Lane', 50, -4.95, { kind: 'hazard', hazard: 'traffic', reach: 500, ...more });
const going = (departs: number, way = [A, B], lasts = HOUR): Schedule => ({
  leave: departs,
  legs: reachesOf(way).map(({ from, to, metres }, i) => ({
    from: from.id,
    to: to.id,
    departs: departs + i * lasts,
    arrives: departs + (i + 1) * lasts,
    metres,
    bearing: distance(from.position, to.position).bearing,
  })),
  halts: [],
  home: departs + lasts,
  checkIns: [],
});
const found = (departs: number, places: Place[], more: Partial<OnSight> = {}, way = [A, B], lasts = HOUR) =>
  sightFindings(
    { trip: { id: 't', water: 'w' } as Trip, launch: A, places, zone: 'UTC', ...more },
    reachesOf(way),
  )(going(departs, way, lasts));
const by = (findings: Finding[], kind: string) => findings.filter(({ id }) => id.startsWith(`${kind}/`));
const NOON = Date.UTC(2026, 4, 12, 12);

describe('where a leg lies within the reach of something', () => {
  check(
    'closed form',
    'own-estimate',
    'a line through the middle of a circle is inside for its diameter',
    () => {
      const reach = reachesOf([A, B])[0];
      const within = withinReach(reach, lane(), 500)!;
      expect((within.until - within.from) * reach.metres).toBeCloseTo(1000, -1);
      expect((within.until + within.from) / 2).toBeCloseTo(0.5, 4);
    },
  );
  test('what is inside is inside, what is outside is not, on random ways', () =>
    fc.assert(
      fc.property(
        fc.double({ min: -0.05, max: 0.05, noNaN: true }),
        fc.double({ min: -0.05, max: 0.05, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (up, along, share) => {
          const to = place('X', 50 + up, -5 + along);
          const [reach] = reachesOf([A, to]);
          if (!reach) return;
          const spot = place('S', 50.01, -4.99);
          const here = { lat: 50 + share * up, lon: -5 + share * along };
          const metres = distance(here, spot.position).metres;
          const within = withinReach(reach, spot, 1500);
          const inside = within !== undefined && share >= within.from && share <= within.until;
          if (Math.abs(metres - 1500) > 10) expect(inside).toBe(metres < 1500);
        },
      ),
    ));
});

describe('traffic on the way', () => {
  const traffic = (busy: Place['busy'], departs = NOON, more: Partial<OnSight> = {}) =>
    by(found(departs, [lane(busy ? { busy } : {})], more), 'way/traffic')[0];
  test('when one is in it, and that nobody said its hours', () => {
    const one = traffic(undefined);
    expect([one.level, one.open]).toEqual(['know', true]);
    expect(said(one)).toMatch(/in Lane from 12:25 to 12:34: ships go there/);
    expect(one.mend).toMatchObject({ go: { type: 'place', pointer: '/busy' } });
  });
  test.each<[string, Place['busy'], string]>([
    ['within its hours', { what: 'ferry', from: '12:00', until: '13:00' }, 'fix'],
    ['outside of them', { what: 'ferry', from: '14:00', until: '15:00' }, 'know'],
    ['that pass midnight', { what: 'ferry', from: '22:00', until: '12:30' }, 'fix'],
    ['on the day of a race', { what: 'race', on: '2026-05-12' }, 'fix'],
    ['on another', { what: 'race', on: '2026-05-13', from: '09:00', until: '17:00' }, 'know'],
    ['from an hour on', { what: 'fast', from: '12:30' }, 'fix'],
  ])('%s', (_, busy, level) => expect(traffic(busy).level).toBe(level));
  test('hours are those of the water', () => {
    const busy = { what: 'ferry' as const, from: '14:00', until: '15:00' };
    expect(traffic(busy, NOON, { zone: 'Europe/Berlin' }).level).toBe('fix');
  });
  test('in the dark, or in fog, nobody is seen', () => {
    expect(said(traffic(undefined, Date.UTC(2026, 4, 12, 1)))).toMatch(/dark/);
    const forecast = sortForecast(steady({ visibility: 300 }))!;
    expect(traffic(undefined, NOON, { forecast }).level).toBe('fix');
    expect(said(traffic(undefined, NOON, { forecast }))).toMatch(/too thick/);
  });
  test('each leg that crosses it at its own hour; another water has none', () => {
    const both = by(found(NOON, [lane()], {}, [A, B, A]), 'way/traffic');
    expect(both.map((f) => said(f).match(/from (\d\d:\d\d)/)![1])).toEqual(['12:25', '13:25']);
    expect(by(found(NOON, [lane({ water: 'other' })]), 'way/traffic')).toEqual([]);
  });
});

describe('the sun ahead', () => {
  test('east in the morning one looks into it, west who comes does', () => {
    const six = Date.UTC(2026, 4, 12, 6);
    const sun = sunAt(A.position, six);
    expect(sun.altitude).toBeGreaterThan(0);
    const [out] = by(found(six, [], {}, [A, B]), 'way/glare');
    expect(said(out)).toMatch(/You look into the sun.*06:00 to 07:00.*If the sky is clear/);
    expect(said(by(found(six, [], {}, [B, A]), 'way/glare')[0])).toMatch(/behind you/);
  });
  test('high at noon, or below the horizon, it is not in the way', () => {
    expect(by(found(NOON, [], {}, [A, B]), 'way/glare')).toEqual([]);
    expect(by(found(Date.UTC(2026, 4, 12, 0), [], {}, [A, B]), 'way/glare')).toEqual([]);
  });
  test('under a midnight sun too', () => {
    const [north, south] = [place('N', 71, 25), place('S', 70.95, 25)];
    const at = Date.UTC(2026, 5, 21, 21, 50);
    expect(by(found(at, [], { launch: south }, [south, north]), 'way/glare')[0]).toBeDefined();
  });
});
