import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { anItem } from '../../test/demo';
import { check } from '../../test/check';
import { runs } from '../../test/runs';
import { SEABEDS, type Seabed } from '../model/lists';
import { inLoose, inSoft, poleLine, poleOf, stakedAt, type Pole } from '.';

const rod: Pole = { kind: 'glassfibre', long: 2, thick: 0.02 };

describe('a short pole in the ground', () => {
  check(
    'closed form',
    { title: 'Forces and moments of two blocks of pressure, summed slice by slice' },
    'soft ground: level forces and moments about the line balance',
    () => {
      for (const [shear, thick, depth, height] of [
        [5000, 0.02, 0.5, 1],
        [2000, 0.03, 0.8, 0.6],
        [20_000, 0.025, 0.3, 1.3],
      ]) {
        const force = inSoft(shear, thick, depth, height);
        // The depth about which it turns is found anew by halving: ten thousand slices, each with nine times the shear strength.
        const n = 10_000,
          slice = depth / n,
          push = 9 * shear * thick * slice;
        const sums = (turns: number) => {
          let [level, moment] = [0, 0];
          for (let i = 0; i < n; i += 1) {
            const z = (i + 0.5) * slice;
            const p = z < turns ? push : -push;
            level += p;
            moment += p * (height + z);
          }
          return { level, moment };
        };
        let [low, high] = [depth / 2, depth];
        for (let i = 0; i < 40; i += 1) {
          const middle = (low + high) / 2;
          if (sums(middle).moment < 0) low = middle;
          else high = middle;
        }
        expect(sums((low + high) / 2).level / force).toBeCloseTo(1, 2);
      }
    },
  );
  check('recalled', 'short-pile', 'loose ground: ½·γ·d·e³·Kp/(a + e), with Kp 3 at 30°', () => {
    const force = inLoose(9000, Math.PI / 6, 0.02, 0.4, 1);
    expect(force).toBeCloseTo((0.5 * 9000 * 0.02 * 0.064 * 3) / 1.4, 6);
    // Some twelve newtons: a kayak bow-on in less than 15 knots.
    expect(force).toBeGreaterThan(10);
    expect(force).toBeLessThan(15);
  });
  check('closed form', 'beam', 'it breaks at σ·W/arm and bends by a³/3EI', () => {
    const staked = stakedAt({ kind: 'wood', long: 3, thick: 0.03 }, 'sand', 1);
    const arm = { low: 1.3 + 0.2 / 3, high: 1.3 + 0.4 / 3 };
    const w = (Math.PI * 0.03 ** 3) / 32,
      i = (Math.PI * 0.03 ** 4) / 64;
    expect(staked?.breaks.low).toBeCloseTo((30e6 * w) / arm.high, 6);
    expect(staked?.breaks.high).toBeCloseTo((60e6 * w) / arm.low, 6);
    expect(staked?.bend.high).toBeCloseTo(arm.high ** 3 / (3 * 8e9 * i), 9);
  });
  test('a tube is weaker than a rod, and rock holds nothing', () => {
    const tube = stakedAt({ ...rod, kind: 'aluminium' }, 'mud', 0.8)!;
    expect(tube.breaks.low).toBeLessThan(stakedAt({ ...rod, kind: 'steel' }, 'mud', 0.8)!.breaks.low * 1.01);
    expect(stakedAt(rod, 'rock', 0.8)?.hold).toEqual({ low: 0, high: 0 });
  });
  test('what does not stand or is not known is not told', () => {
    expect(stakedAt(rod, 'mud', 1.8)).toBeUndefined();
    expect(stakedAt({ ...rod, thick: undefined } as Pole, 'mud', 0.5)).toBeUndefined();
    const guess = anItem('stake-pole', {
      long: 2,
      thick: 0.02,
      poleOf: 'wood',
      basis: { '/long': 'guessed' },
    });
    expect(poleOf(guess)).toEqual({ kind: 'wood', thick: 0.02 });
  });
  test('deeper water never holds more, thicker never less, an unknown bottom is as wide as all of them', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...(Object.keys(SEABEDS) as Seabed[])),
        fc.double({ min: 0.1, max: 1.2, noNaN: true }),
        fc.double({ min: 0.012, max: 0.05, noNaN: true }),
        (bed, depth, thick) => {
          const at = (d: number, t: number, b: Seabed | undefined = bed) =>
            stakedAt({ kind: 'glassfibre', long: 2.4, thick: t }, b, d)!.hold;
          expect(at(depth, thick).low).toBeLessThanOrEqual(at(depth, thick).high);
          expect(at(depth + 0.1, thick).high).toBeLessThanOrEqual(at(depth, thick).high + 1e-9);
          expect(at(depth, thick * 1.1).low).toBeGreaterThanOrEqual(at(depth, thick).low - 1e-9);
          const any = stakedAt({ kind: 'glassfibre', long: 2.4, thick }, undefined, depth)!.hold;
          expect(any.low).toBeLessThanOrEqual(at(depth, thick).low);
          expect(any.high).toBeGreaterThanOrEqual(at(depth, thick).high);
        },
      ),
      { numRuns: runs(100) },
    ));
  check(
    'recalled',
    'small-craft-hold',
    'its line: half the hull and two to three feet, and the waves',
    () => {
      expect(poleLine(3.9)).toEqual({ low: expect.closeTo(2.55), high: expect.closeTo(2.85) });
      expect(poleLine(3.9, 0.3).low).toBeCloseTo(2.85);
    },
  );
});
