import { describe, expect, test } from '@jest/globals';
import { Catalogue, RulePack } from '../model';
import { check } from '../../test/check';
import { applyPacks, packFaults } from '../rules';
import { SOURCES, sourceOf } from '../sources';
import { CATALOGUE, packsFor, PACKS, PROCEDURES, READY, STARTING_SETS } from '.';

describe('what ships as data', () => {
  test('the catalogue holds against its schema; each kind once, with a known source', () => {
    expect(Catalogue.safeParse(CATALOGUE).error).toBeUndefined();
    expect(new Set(CATALOGUE.kinds.map((k) => k.id)).size).toBe(CATALOGUE.kinds.length);
    for (const kind of CATALOGUE.kinds) expect(sourceOf(kind.source)).toBeDefined();
  });
  for (const pack of PACKS) {
    test(`pack ${pack.id}: schema, facts, sources, and something in the catalogue for each demand`, () => {
      expect(RulePack.safeParse(pack).error).toBeUndefined();
      expect(packFaults(pack)).toEqual([]);
      const supplied = new Set(CATALOGUE.kinds.flatMap((k) => k.supplies.map((s) => s.capability)));
      for (const rule of pack.rules) {
        expect(sourceOf(rule.source)).toBeDefined();
        for (const demand of rule.anyOf.flat()) expect(supplied).toContain(demand.capability);
        expect(rule.section.length).toBeGreaterThan(5);
      }
    });
  }
  check('recalled', 'cfr-33-175-b', 'where a State has ages of its own they hold in place of the federal thirteen (175.25), but not on the open sea', () => {
    const twelve = { id: 'c', name: 'C', facts: { 'person.age': { low: 12, high: 12 } } };
    const asks = (jurisdiction: string[], water: string) => applyPacks(packsFor(jurisdiction), { facts: { 'boat.length': 5, 'water.class': water }, crew: [twelve] }).filter((r) => r.applies !== 'no' && r.rule.declared && /CHILD|PFD-05/.test(r.rule.id)).map((r) => r.rule.id);
    expect(asks(['US'], 'lake')).toEqual(['US-PFD-05']);
    expect(asks(['US', 'US-NY'], 'lake')).toEqual([]);
    expect(asks(['US', 'US-NY'], 'open-sea')).toEqual(['US-PFD-05']);
    expect(asks(['US', 'US-WA'], 'lake')).toEqual(['WA-CHILD']);
  });
  test('starting sets name kinds that are there; at least sixty kinds of gear', () => {
    const kinds = new Set(CATALOGUE.kinds.map((k) => k.id));
    for (const set of STARTING_SETS) for (const kind of set.kinds) expect(kinds).toContain(kind);
    expect(kinds.size).toBeGreaterThanOrEqual(60);
  });
  test('the water chooses the packs; practice holds everywhere', () => {
    expect(packsFor(['US']).map((p) => p.id)).toEqual(['us-federal', 'practice']);
    expect(packsFor([]).map((p) => p.id)).toEqual(['practice']);
  });
  test('procedures: steps once each, leaning only on steps that are there, with a known source', () => {
    for (const p of PROCEDURES) {
      const ids = p.steps.map((s) => s.id);
      expect(new Set(ids).size).toBe(ids.length);
      for (const step of p.steps) for (const before of step.after ?? []) expect(ids.indexOf(before)).toBeLessThan(ids.indexOf(step.id));
      expect(sourceOf(p.source)).toBeDefined();
    }
    expect(new Set(READY.map((r) => r.id)).size).toBe(READY.length);
  });
  test('nothing written down from memory is passed off as verified', () => {
    for (const [id, s] of Object.entries(SOURCES)) if (s.how === 'recalled') expect({ id, verified: s.verified }).toEqual({ id, verified: false });
    for (const pack of PACKS) for (const rule of pack.rules) expect(rule.verified).toBe(false);
  });
});
