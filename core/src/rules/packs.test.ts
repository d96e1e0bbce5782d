import { describe, expect, test } from '@jest/globals';
import type { RulePack as Pack } from '../model';
import { Condition } from '../model';
import { applyPacks, contentHash, packFaults, type World } from '.';

const world = (facts: World['facts'], crew: World['crew'] = []): World => ({ facts, crew });

describe('packs', () => {
  const rule = (more: object) => ({
    id: 'R-1',
    layer: 'law',
    title: 'R',
    text: 't',
    source: 's',
    section: '1',
    confidence: 'H',
    verified: false,
    noted: '2026-01-01',
    when: { always: true },
    anyOf: [[{ capability: 'sound' }]],
    ...more,
  });
  const pack = (...rules: object[]) =>
    ({
      schema: 2,
      id: 'p',
      title: 'P',
      authority: 'A',
      jurisdiction: '*',
      version: '1',
      rules,
    }) as unknown as Pack;
  test('what a schema can’t see is said rule by rule', () => {
    let deep: unknown = { always: true };
    for (let i = 0; i < 30; i += 1) deep = { not: deep };
    const faults = packFaults(
      pack(
        rule({}),
        rule({}),
        rule({ id: 'R-2', when: { fact: 'boat.colour', is: 'red' } }),
        rule({ id: 'R-3', layer: 'advice' }),
        rule({ id: 'R-4', when: { fact: 'question.nobody-asked', is: true } }),
        rule({ id: 'R-5', anyOf: [] }),
        rule({ id: 'R-6', when: deep }),
      ),
    );
    for (const part of [
      'R-1: two rules',
      'R-2: no fact is called "boat.colour"',
      'R-3: advice needs a weight',
      'R-4: no fact',
      'R-5: asks for nothing',
      'R-6: conditions nested deeper',
    ])
      expect(faults.join('\n')).toContain(part);
  });
  test('an unknown operator is refused by the schema', () => {
    expect(Condition.safeParse({ fact: 'boat.length', beyond: 3 }).success).toBe(false);
    expect(Condition.safeParse({ all: [] }).success).toBe(false);
  });
  test('an exemption that can’t be told leaves the rule open', () => {
    const [result] = applyPacks([pack(rule({ unless: { fact: 'boat.manual', is: true } }))], world({}));
    expect(result).toMatchObject({ applies: 'unknown', missing: ['boat.manual'] });
  });
  test('a rule gives way to the pack that stands in its place, only where that pack says so', () => {
    const state = {
      ...pack(rule({ id: 'S-1' })),
      id: 's',
      title: 'State',
      displaces: [{ pack: 'p', rule: 'R-1', when: { not: { fact: 'water.class', is: 'open-sea' } } }],
    } as unknown as Pack;
    const says = (facts2: World['facts']) =>
      applyPacks([pack(rule({})), state], world(facts2)).map((r) => r.applies);
    expect(says({ 'water.class': 'lake' })).toEqual(['no', 'yes']);
    expect(says({ 'water.class': 'open-sea' })).toEqual(['yes', 'yes']);
    // Nobody said which water: nothing gives way.
    expect(says({})).toEqual(['yes', 'yes']);
    expect(applyPacks([pack(rule({}))], world({ 'water.class': 'lake' }))[0].applies).toBe('yes');
    expect(
      packFaults({
        ...state,
        displaces: [{ pack: 'p', rule: 'R-1', when: { fact: 'water.colour', is: 'green' } }],
      } as Pack),
    ).toContain('displaces R-1: no fact is called "water.colour"');
  });
  test('the same content has the same hash whatever the order of its fields', () => {
    expect(contentHash({ a: 1, b: [{ c: 2, d: 3 }] })).toBe(contentHash({ b: [{ d: 3, c: 2 }], a: 1 }));
    expect(contentHash({ a: 1 })).not.toBe(contentHash({ a: 2 }));
  });
});
