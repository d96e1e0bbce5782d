import { describe, expect, test } from '@jest/globals';
import { aBoat, aPerson, inputOf, steady } from '../../test/demo';
import { check } from '../../test/check';
import { boxOf } from '../../test/hulls';
import { hullOf } from '../boat';
import { KNOT, MS } from '../units';
import { sortForecast } from '../water';
import { HOLD } from './limits';
import { blowOf, blowWithin, drawn, onEdge, reachOn, rigOn, seaAnchorFor } from '.';

const kayak = aBoat({ kind: 'sit-on-top', length: 3.9, beam: 0.8, depth: 0.33, mass: 29 });
const hull = hullOf(kayak)!;

describe('a running rig', () => {
  check(
    'closed form',
    { title: 'Perimeter of a straight edge' },
    'on a box of 4 m: four points, a loop of twice 3.4 m and its knots',
    () => {
      const { points, loop } = rigOn(boxOf(4, 1.5, 0.5));
      expect(points.map(({ x }) => Number(x.toFixed(2)))).toEqual([0.3, 1.33, 2.67, 3.7]);
      expect(loop).toEqual({ low: expect.closeTo(2 * 3.4 + 0.5), high: expect.closeTo(2 * 3.4 + 1) });
    },
  );
  test('on a kayak more points where her edge bends, so that the line rides up nowhere by more than a hand', () => {
    const { points, loop } = rigOn(hull);
    expect(points.length).toBeGreaterThanOrEqual(4);
    expect(points.every(({ y }) => y > 0 && y <= 0.4 + 1e-9)).toBe(true);
    expect(loop.low).toBeGreaterThan(2 * (3.9 - 0.6));
    expect(loop.high).toBeLessThan(2 * 3.9 + 2);
  });
  test('between its points the line lies nowhere further inside of her edge than a hand', () => {
    for (const beam of [0.6, 0.8, 1.2, 2]) {
      const wide = hullOf({ ...kayak, beam })!;
      const { points, loop } = rigOn(wide);
      const spans = points.slice(1).map((b, i) => [points[i], b] as const);
      for (const [a, b] of spans)
        for (const share of [0.25, 0.5, 0.75]) {
          const x = a.x + share * (b.x - a.x);
          const edge = onEdge(wide, x / wide.length, 1).y;
          expect(edge - (a.y + share * (b.y - a.y))).toBeLessThan(HOLD.limit('rig-rides') + 0.005);
          expect(b.x).toBeGreaterThan(a.x);
        }
      const straight = spans.reduce((sum, [a, b]) => sum + Math.hypot(b.x - a.x, b.y - a.y, b.z - a.z), 0);
      expect(loop.low).toBeCloseTo(2 * straight + HOLD.limit('rig-knots'), 6);
    }
    const [few, more] = [0.6, 2].map((beam) => rigOn(hullOf({ ...kayak, beam })!).points.length);
    expect(more).toBeGreaterThan(few);
  });
  test('the ring at either end is out of reach of who sits in the middle, and leaning for it heels her', () => {
    const who = aPerson({ mass: 80 });
    const trip = { ...inputOf().trip, crew: [{ person: who.id, role: 'skipper' as const }], load: [] };
    const reach = reachOn(kayak, hull, trip, [who], 1025)!;
    for (const far of [reach.bow, reach.stern]) expect(far).toBeGreaterThan(reach.arm.high);
    // Pythagoras from the shoulders: 0.45 of her length from the stern, and over her edge.
    expect(reach.stern).toBeGreaterThan(0.45 * 3.9 - 0.3);
    expect(reach.heel === undefined || reach.heel > 0.05).toBe(true);
    expect(reachOn(kayak, hull, { ...trip, crew: [] }, [], 1025)).toBeUndefined();
  });
});

describe('sea anchors', () => {
  for (const [across, told] of [
    [0.5, [8, 33, 131]],
    [0.75, [18, 74, 294]],
    [1, [33, 131, 523]],
    [2, [131, 523, 2093]],
    [2.7, [238, 954, 3815]],
  ] as const)
    check(
      'recalled',
      'wind-force',
      `${across} m at a quarter, a half and one m/s: ${told.join(', ')} N`,
      () =>
        [0.25, 0.5, 1].forEach((speed, i) => {
          const { low, high } = drawn(across, speed, 1025);
          expect(Math.abs((low + high) / 2 / told[i] - 1)).toBeLessThan(0.03);
        }),
    );
  check(
    'recalled',
    'sea-anchor-size',
    'kayak 0.45 to 0.75 m on 10 to 20 m; twenty feet 2.1 to 3 m on ten lengths',
    () => {
      expect(seaAnchorFor(kayak)).toEqual({ across: { low: 0.45, high: 0.75 }, line: { low: 10, high: 20 } });
      const boat = seaAnchorFor(aBoat({ kind: 'trailer-boat', length: 6.1 }))!;
      expect(boat.across).toEqual({ low: expect.closeTo(2.135), high: expect.closeTo(3.05) });
      expect(boat.line).toEqual({ low: 61, high: 100 });
      expect(seaAnchorFor(aBoat({ kind: 'skiff', length: undefined }))).toBeUndefined();
    },
  );
  test('before the blow: the first hour of it, and when it can come back', () => {
    const base = steady({ wind: 5, gust: 7 });
    const hours = base.hours.map((hour) =>
      hour.at >= '2026-05-12T12:00:00' && hour.at < '2026-05-12T18:00:00'
        ? { ...hour, wind: 20 * KNOT }
        : hour,
    );
    const forecast = sortForecast({ ...base, hours })!;
    const noon = Date.UTC(2026, 4, 12, 12);
    expect(blowWithin(forecast, blowOf(kayak), noon - 4 * MS.hour, noon + MS.hour)).toEqual({
      from: noon,
      until: noon + 6 * MS.hour,
      most: 20 * KNOT,
    });
    expect(
      blowWithin(forecast, blowOf(aBoat({ kind: 'skiff' })), noon - 4 * MS.hour, noon + MS.hour),
    ).toBeUndefined();
    expect(blowWithin(forecast, blowOf(kayak), noon - 4 * MS.hour, noon - MS.hour)).toBeUndefined();
    const endless = sortForecast({
      ...base,
      hours: hours.filter(({ at }) => at < '2026-05-12T16:00:00'),
    })!;
    expect(blowWithin(endless, blowOf(kayak), noon, noon + MS.hour)?.until).toBeUndefined();
  });
});
