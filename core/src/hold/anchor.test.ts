import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { check } from '../../test/check';
import { runs } from '../../test/runs';
import { anItem } from '../../test/demo';
import { ANCHORS as KINDS, SEABEDS, type AnchorKind, type Seabed } from '../model/lists';
import { POUND, POUND_FORCE } from '../units';
import { anchorOf, dragged, goodOn, gradeOf, holding, leadShare, type Anchor } from '.';

const DEGREE = Math.PI / 180;
const kinds = Object.keys(KINDS) as AnchorKind[];
const beds = Object.keys(SEABEDS) as Seabed[];
const an = (kind: AnchorKind, weighs: number): Anchor => ({ kind, weighs, usual: { low: 1, high: 2 } });

describe('a weight on the ground', () => {
  const weight = (mass: number, submerged: number) => mass * submerged * 9.80665;
  for (const [name, mass, submerged, low, high, least, most] of [
    ['15 kg of concrete', 15, 0.57, 0.5, 0.7, 42, 59],
    ['15 kg of steel', 15, 0.87, 0.5, 0.7, 64, 90],
    ['2 kg of steel', 2, 0.87, 0.6, 0.8, 10, 14],
  ] as const)
    check('recalled', 'dead-weight', `${name} holds ${least} to ${most} N`, () => {
      expect(Math.round(dragged(weight(mass, submerged), low, 0))).toBe(least);
      expect(Math.round(dragged(weight(mass, submerged), high, 0))).toBe(most);
    });
  check(
    'closed form',
    { title: 'Coulomb friction with a line that leads up' },
    'level and upright parts of the pull balance',
    () => {
      const [w, mu, angle] = [100, 0.6, 20 * DEGREE];
      const level = dragged(w, mu, angle);
      expect(level).toBeCloseTo(mu * (w - level * Math.tan(angle)), 9);
    },
  );
  test('it is as its material is: lead holds most, sand least, and none of it is graded', () => {
    const hold = (kind: AnchorKind) => holding(an(kind, 10), 'sand', 0).high;
    expect(hold('weight-lead')).toBeGreaterThan(hold('weight-steel'));
    expect(hold('weight-steel')).toBeGreaterThan(hold('weight-concrete'));
    expect(hold('weight-concrete')).toBeGreaterThan(hold('weight-sand'));
    expect(gradeOf('weight-lead', 'sand')).toBeUndefined();
  });
});

describe('an anchor that digs or hooks', () => {
  check(
    'recalled',
    { title: 'NCEL: H = 1000·a·(W/1000/10)^b pounds for flukes, extrapolated below its tests' },
    'flukes of 20 lb: 286 lbf in soft mud and 873 in sand lie within the band',
    () => {
      const kg = 20 * POUND;
      for (const [bed, force] of [
        ['silt', 286],
        ['sand', 873],
      ] as const) {
        const { low, high } = holding(an('fluke', kg), bed, 0);
        expect(force * POUND_FORCE).toBeGreaterThan(low);
        expect(force * POUND_FORCE).toBeLessThan(high);
      }
    },
  );
  check(
    'recalled',
    'anchor-tests',
    'which is good where: flukes in sand, grapnel on rock and weed, mushroom in soft mud',
    () => {
      expect(goodOn('sand')).toEqual(['fluke', 'plough']);
      expect(goodOn('rock')).toEqual(['folding', 'fisherman']);
      expect(goodOn('weed')).toEqual(['folding', 'fisherman']);
      expect(goodOn('silt')).toContain('mushroom');
      expect(['folding', 'mushroom'].map((kind) => gradeOf(kind as AnchorKind, 'sand'))).toEqual([
        'poor',
        'poor',
      ]);
    },
  );
  test('what may not bite still lies there by its weight', () => {
    const { low } = holding(an('fluke', 10), 'rock', 0);
    expect(low).toBeCloseTo(10 * 9.80665 * 0.86 * 0.5, 6);
  });
  test('what nobody said widens the band: bottom, kind, weight', () => {
    const known = holding(an('claw', 5), 'sand', 0);
    for (const wider of [
      holding(an('claw', 5), undefined, 0),
      holding(an('claw', 5), 'mixed', 0),
      holding({ weighs: 5, usual: { low: 5, high: 5 } }, 'sand', 0),
      holding({ kind: 'claw', usual: { low: 1, high: 9 } }, 'sand', 0),
    ]) {
      expect(wider.low).toBeLessThan(known.low);
      expect(wider.high).toBeGreaterThanOrEqual(known.high);
    }
    const guess = anItem('anchor', { anchor: 'claw', weighs: 5, basis: { '/weighs': 'guessed' } });
    expect(anchorOf(guess, true)).toEqual({ kind: 'claw', usual: { low: 0.7, high: 1.5 } });
  });
  check('recalled', 'anchor-lead', 'a level line leaves all of it, three to one about a half or less', () => {
    expect(leadShare(0)).toEqual({ low: 1, high: 1 });
    expect(leadShare(19.5 * DEGREE)).toEqual({ low: expect.closeTo(0.3), high: expect.closeTo(0.6) });
    expect(leadShare(Math.PI / 2)).toEqual({ low: 0, high: 0 });
  });
  test('a line that leads up more never holds more, more weight never less, and a band is a band', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...kinds),
        fc.constantFrom(...beds),
        fc.double({ min: 0.2, max: 60, noNaN: true }),
        fc.double({ min: 0, max: 1.5, noNaN: true }),
        (kind, bed, mass, angle) => {
          const { low, high } = holding(an(kind, mass), bed, angle);
          expect(low).toBeLessThanOrEqual(high + 1e-9);
          const steeper = holding(an(kind, mass), bed, Math.min(1.55, angle + 0.1));
          expect(steeper.low).toBeLessThanOrEqual(low + 1e-9);
          expect(steeper.high).toBeLessThanOrEqual(high + 1e-9);
          expect(holding(an(kind, mass * 1.2), bed, angle).low).toBeGreaterThanOrEqual(low);
        },
      ),
      { numRuns: runs(200) },
    ));
});
