import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { anItem } from '../../test/demo';
import { applyPatch } from '../formats';
import { GearItem, type BecameKind } from '../model';
import { BECAME } from '../model/lists';
import { becamePatch, takenBack } from './became';

const after = (item: GearItem, became: BecameKind, of: number) =>
  applyPatch(item, becamePatch(item, became, of));

describe('what became of a thing', () => {
  const flares = anItem('flare', { count: 3, state: 'ready' });
  test.each<[string, BecameKind, number, Partial<GearItem>]>([
    ['one of three flares used: two are left, in order', 'used', 1, { count: 2, state: 'ready' }],
    ['all three: used up', 'used', 3, { count: 3, state: 'used-up' }],
    ['more than there were counts as all', 'used', 9, { count: 3, state: 'used-up' }],
    ['two broken: one is left', 'broken', 2, { count: 1, state: 'ready' }],
    ['all broken: failed', 'broken', 3, { count: 3, state: 'failed' }],
    ['all lost: none is left', 'lost', 3, { count: 0, state: 'ready' }],
    ['needs looking after: all of it is due', 'due', 1, { count: 3, state: 'due' }],
  ])('%s', (_name, became, of, is) => expect(after(flares, became, of)).toMatchObject(is));

  test('taken back, it stands as before, whatever it was and however many', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...(Object.keys(BECAME) as BecameKind[])),
        fc.integer({ min: 1, max: 6 }),
        fc.integer({ min: 1, max: 8 }),
        fc.constantFrom<GearItem['state']>('ready', 'unknown', 'due'),
        (became, count, of, state) => {
          const item = anItem('flare', { count, state });
          const then = after(item, became, of);
          expect(GearItem.safeParse(then).success).toBe(true);
          const was = { count, state };
          expect(applyPatch(then, takenBack(then, { became, of, was }))).toEqual(item);
        },
      ),
    ));
  test('what another phone changed since stays: a new flare is counted, a state that was set anew holds', () => {
    const was = { count: 3, state: 'ready' };
    expect(
      applyPatch(
        { count: 4, state: 'ready' },
        takenBack({ count: 4, state: 'ready' }, { became: 'used', of: 1, was }),
      ),
    ).toEqual({
      count: 5,
      state: 'ready',
    });
    expect(takenBack({ count: 3, state: 'ready' }, { became: 'broken', of: 3, was })).toEqual([]);
  });
});
