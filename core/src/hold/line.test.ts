import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { check } from '../../test/check';
import { runs } from '../../test/runs';
import { anItem } from '../../test/demo';
import { chainWeight, leadOf, needed, rodeOf, shapeOf, stretch, type Rode } from '.';

const DEGREE = Math.PI / 180;
const rope = (line: number): Rode => ({ line, chain: 0, weight: 0 });
const chain = (metres: number, weight = 12): Rode => ({ line: 0, chain: metres, weight });

/**
 * The same line as two thousand straight links hung one to the next from the boat down: at each joint the pull along is the same and
 * the pull down is less by a link's weight. Nothing of it is a catenary's formula.
 */
function byLinks({ line, chain: links, weight }: Rode, pull: number, top: number, n = 2000) {
  let [up, along, slope] = [(line * top) / Math.hypot(1, top), line / Math.hypot(1, top), top];
  const link = links / n;
  let hung = 0;
  for (let i = 0; i < n && slope > 0; i += 1) {
    const middle = slope - (weight * link) / (2 * pull);
    if (middle <= 0) break;
    up += (link * middle) / Math.hypot(1, middle);
    along += link / Math.hypot(1, middle);
    slope -= (weight * link) / pull;
    hung += link;
  }
  return { up, along: along + (links - hung), foot: Math.max(0, slope) };
}

describe('scope', () => {
  check('recalled', 'scope', 'five metres and a bow of 0.8: 29.0 m at five, 40.6 m at seven to one', () => {
    expect([needed('least', 5.8), needed('usual', 5.8)]).toEqual([29, expect.closeTo(40.6, 9)]);
    expect(needed('usual', 3 + 2.2 + 0.8)).toBeCloseTo(42, 9);
  });
  check(
    'closed form',
    { title: 'Right triangle' },
    'they lie 28.4 and 40.2 m level; 3, 5, 7, 10 to one lead up by 19.5, 11.5, 8.2, 5.7°',
    () => {
      expect(leadOf(rope(29), 5.8, 500)?.reach).toBeCloseTo(28.4, 1);
      expect(leadOf(rope(40.6), 5.8, 500)?.reach).toBeCloseTo(40.2, 1);
      const angles = [3, 5, 7, 10].map((scope) => (leadOf(rope(scope), 1, 100)?.anchor ?? 0) / DEGREE);
      expect(angles.map((a) => a.toFixed(1))).toEqual(['19.5', '11.5', '8.2', '5.7']);
    },
  );
  test('a line no longer than the height does not reach', () => {
    expect(leadOf(rope(5.8), 5.8, 100)).toBeUndefined();
    expect(leadOf(chain(5), 5.8, 100)).toBeUndefined();
    expect(leadOf({ line: 3, chain: 2.8, weight: 12 }, 5.8, 0)).toBeUndefined();
  });
  test('without a pull it hangs and the rest lies about', () =>
    expect(leadOf(chain(20), 5, 0)).toEqual({
      anchor: 0,
      boat: Math.PI / 2,
      reach: 15,
      lying: 15,
      hanging: 0,
    }));
});

describe('catenary', () => {
  check('recalled', { title: 'Chain of 8 mm: 1.4 kg a metre' }, '12 N a metre in water', () =>
    expect(chainWeight(0.008)).toBeCloseTo(1.4 * 0.87 * 9.81, 1),
  );
  for (const [hanging, pull] of [
    [20, 377],
    [30, 892],
    [40, 1613],
  ] as const)
    check(
      'closed form',
      { title: 'H = w·(S² − h²)/2h' },
      `at ${pull} N ${hanging} m of 50 hang over 5.8 m`,
      () => {
        const weight = 1.4 * 0.87 * 9.81;
        const lead = leadOf(chain(50, weight), 5.8, pull);
        expect(lead?.hanging).toBeCloseTo(hanging, 1);
        expect((weight * ((lead?.hanging ?? 0) ** 2 - 5.8 ** 2)) / (2 * 5.8)).toBeCloseTo(pull, 3);
        expect(lead?.anchor).toBe(0);
        // Level length of a catenary that begins level: a·arcosh(1 + h/a).
        const a = pull / weight;
        expect((lead?.reach ?? 0) - (lead?.lying ?? 0)).toBeCloseTo(a * Math.acosh(1 + 5.8 / a), 6);
      },
    );
  check(
    'run here',
    { title: 'Two thousand links hung one to the next' },
    'chain and line together, on the ground and lifted',
    () => {
      for (const [line, links, weight, height, pull] of [
        [20, 5, 12, 4, 60],
        [20, 5, 12, 4, 400],
        [10, 10, 8, 6, 30],
        [40, 3, 5, 12, 800],
        [0, 30, 12, 10, 250],
      ]) {
        const rode = { line, chain: links, weight };
        const lead = leadOf(rode, height, pull);
        const by = byLinks(rode, pull, Math.tan(lead?.boat ?? 0));
        expect(by.up).toBeCloseTo(height, 2);
        expect(by.along).toBeCloseTo(lead?.reach ?? 0, 2);
        expect(Math.atan(by.foot)).toBeCloseTo(lead?.anchor ?? 0, 2);
      }
    },
  );
  test('its drawing begins at the anchor, ends at the boat and is as long as the line', () => {
    const rode: Rode = { line: 12, chain: 8, weight: 12 };
    for (const pull of [20, 90, 700]) {
      const lead = leadOf(rode, 4, pull);
      const points = shapeOf(rode, lead!, 4, pull);
      const long = points
        .slice(1)
        .reduce((sum, p, i) => sum + Math.hypot(p.x - points[i].x, p.z - points[i].z), 0);
      expect(points[0]).toEqual({ x: 0, z: 0 });
      expect(points.at(-1)).toEqual({ x: lead?.reach, z: 4 });
      expect(long).toBeCloseTo(20, 1);
    }
  });
  test('more pull never leads up less, and more line never more', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 60, noNaN: true }),
        fc.double({ min: 0, max: 30, noNaN: true }),
        fc.double({ min: 1, max: 25, noNaN: true }),
        fc.double({ min: 0.3, max: 20, noNaN: true }),
        fc.double({ min: 1, max: 2000, noNaN: true }),
        (line, links, weight, height, pull) => {
          const rode = { line, chain: links, weight };
          const lead = leadOf(rode, height, pull);
          if (!lead) return;
          expect((leadOf(rode, height, pull * 1.5)?.anchor ?? 0) + 1e-7).toBeGreaterThanOrEqual(lead.anchor);
          const longer = leadOf({ ...rode, line: line + 5 }, height, pull);
          expect(longer!.anchor).toBeLessThanOrEqual(lead.anchor + 1e-7);
          expect(lead.reach).toBeLessThanOrEqual(line + links + 1e-9);
        },
      ),
      { numRuns: runs(200) },
    ));
});

describe('stretch', () => {
  check('closed form', { title: 'Hooke: T·L/EA' }, '30 m of nylon of 10 mm under 500 N: 0.3 to 0.6 m', () => {
    const rode = rodeOf(anItem('anchor', { line: 30, lineOf: 'nylon', lineThick: 0.01 }));
    const { low, high } = stretch(rode!, { low: 500, high: 500 });
    expect([low, high]).toEqual([expect.closeTo((500 * 30) / 50_000), expect.closeTo((500 * 30) / 25_000)]);
  });
  check('recalled', 'scope', 'of a line of which nothing is known a fifth at most', () => {
    expect(stretch(rope(30), { low: 10, high: 5000 })).toEqual({ low: 0, high: 6 });
    const thin = rodeOf(anItem('anchor', { line: 30, lineOf: 'nylon', lineThick: 0.004 }));
    expect(stretch(thin!, { low: 0, high: 5000 }).high).toBe(6);
  });
  test('what was only guessed of a line is not known', () => {
    const guess = anItem('anchor', { line: 30, basis: { '/line': 'guessed' } });
    expect(rodeOf(guess)).toBeUndefined();
    expect(rodeOf(anItem('anchor', { line: 30, lineOf: 'nylon' }))?.stiff).toBeUndefined();
    expect(rodeOf(anItem('anchor', { line: 30, chain: 2, basis: { '/chain': 'guessed' } }))?.chain).toBe(0);
  });
});
