import { describe, expect, test } from '@jest/globals';
import { check } from '../../test/check';
import { applyPacks, packsFor } from '.';

describe('which packs hold', () => {
  check(
    'recalled',
    'cfr-33-175-b',
    'where a State has ages of its own they hold in place of the federal thirteen (175.25), but not on the open sea',
    () => {
      const twelve = { id: 'c', name: 'C', facts: { 'person.age': { low: 12, high: 12 } } };
      const asks = (jurisdiction: string[], water: string) =>
        applyPacks(packsFor(jurisdiction), {
          facts: { 'boat.length': 5, 'water.class': water },
          crew: [twelve],
        })
          .filter((r) => r.applies !== 'no' && r.rule.declared && /CHILD|PFD-05/.test(r.rule.id))
          .map((r) => r.rule.id);
      expect(asks(['US'], 'lake')).toEqual(['US-PFD-05']);
      expect(asks(['US', 'US-NY'], 'lake')).toEqual([]);
      expect(asks(['US', 'US-NY'], 'open-sea')).toEqual(['US-PFD-05']);
      expect(asks(['US', 'US-WA'], 'lake')).toEqual(['WA-CHILD']);
    },
  );
  test('the water chooses the packs; practice holds everywhere', () => {
    expect(packsFor(['US']).map((p) => p.id)).toEqual(['us-federal', 'practice']);
    expect(packsFor([]).map((p) => p.id)).toEqual(['practice']);
  });
});
