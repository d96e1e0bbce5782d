import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { runs } from '../../test/runs';
import { LogicEngine } from 'json-logic-engine';
import { Engine } from 'json-rules-engine';
import { check } from '../../test/check';
import type { Condition as Expression, RulePack as Pack, Truth } from '../model';
import { Condition } from '../model';
import { render } from '../say';
import { applyPacks, contentHash, evaluate, packFaults, type World } from '.';

const world = (facts: World['facts'], crew: World['crew'] = []): World => ({ facts, crew });
const leaf = (truth: Truth): Expression => (truth === 'unknown' ? { fact: 'boat.sail', is: true } : { fact: 'boat.motor', is: truth === 'yes' });
const facts = { 'boat.motor': true };
const T: Truth[] = ['yes', 'no', 'unknown'];

describe('three values', () => {
  // Kleene's strong tables, written out.
  const and: Record<string, Truth> = { 'yes yes': 'yes', 'yes no': 'no', 'yes unknown': 'unknown', 'no yes': 'no', 'no no': 'no', 'no unknown': 'no', 'unknown yes': 'unknown', 'unknown no': 'no', 'unknown unknown': 'unknown' };
  const or: Record<string, Truth> = { 'yes yes': 'yes', 'yes no': 'yes', 'yes unknown': 'yes', 'no yes': 'yes', 'no no': 'no', 'no unknown': 'unknown', 'unknown yes': 'yes', 'unknown no': 'unknown', 'unknown unknown': 'unknown' };
  for (const a of T) for (const b of T)
    check('closed form', { title: 'Kleene, strong three-valued logic' }, `${a} with ${b}`, () => {
      expect(evaluate({ all: [leaf(a), leaf(b)] }, world(facts)).truth).toBe(and[`${a} ${b}`]);
      expect(evaluate({ any: [leaf(a), leaf(b)] }, world(facts)).truth).toBe(or[`${a} ${b}`]);
      expect(evaluate({ not: { all: [leaf(a), leaf(b)] } }, world(facts)).truth).toBe(evaluate({ any: [{ not: leaf(a) }, { not: leaf(b) }] }, world(facts)).truth);
    });
  test('a missing fact is named, but only where it decides', () => {
    expect(evaluate({ all: [leaf('no'), leaf('unknown')] }, world(facts))).toMatchObject({ truth: 'no', missing: [] });
    expect(evaluate({ all: [leaf('yes'), leaf('unknown')] }, world(facts))).toMatchObject({ truth: 'unknown', missing: ['boat.sail'] });
  });
  test('a range that straddles a limit settles nothing; one beside it does', () => {
    const under13: Expression = { some: 'crew', where: { fact: 'person.age', under: { value: 13, unit: 'years' } } };
    const child = (low: number, high: number) => world({}, [{ id: 'p', name: 'P', facts: { 'person.age': { low, high } } }]);
    expect(evaluate(under13, child(12, 12)).truth).toBe('yes');
    expect(evaluate(under13, child(13, 13)).truth).toBe('no');
    expect(evaluate(under13, child(12, 13))).toMatchObject({ truth: 'unknown', missing: ['person.age@p'] });
    expect(evaluate(under13, world({})).truth).toBe('no');
  });
});

/** Boundary values on both sides: 15 ft 11 in, 16 ft 0 in, 16 ft 1 in. */
for (const [feet, truth] of [[15 + 11 / 12, 'no'], [16, 'yes'], [16 + 1 / 12, 'yes']] as const)
  test(`${feet.toFixed(2)} ft against "16 ft and more"`, () => expect(evaluate({ fact: 'boat.length', atLeast: { value: 16, unit: 'ft' } }, world({ 'boat.length': feet * 0.3048 })).truth).toBe(truth));

test.each([[5.99, 'yes', 'no'], [6, 'yes', 'no'], [6.01, 'no', 'yes']] as [number, Truth, Truth][])('%d m: six at most %s, over six %s', (metres, most, over) => {
  const limit = { value: 6, unit: 'm' };
  expect(evaluate({ fact: 'boat.length', atMost: limit }, world({ 'boat.length': metres })).truth).toBe(most);
  expect(evaluate({ fact: 'boat.length', over: limit }, world({ 'boat.length': metres })).truth).toBe(over);
});

describe('what a range is', () => {
  const is = (wanted: number, low: number, high: number) => [evaluate({ fact: 'boat.modelYear', is: wanted }, world({ 'boat.modelYear': { low, high } })).truth, evaluate({ fact: 'boat.modelYear', in: [1, wanted] }, world({ 'boat.modelYear': { low, high } })).truth];
  test.each([[5, 5, 5, 'yes'], [5, 4, 6, 'unknown'], [5, 5, 6, 'unknown'], [5, 4, 5, 'unknown'], [5, 6, 9, 'no'], [5, 2, 4, 'no']] as [number, number, number, Truth][])('%d of %d to %d: %s', (wanted, low, high, truth) => expect(is(wanted, low, high)).toEqual([truth, truth]));
  const sides = (low: number, high: number) => (['under', 'atLeast', 'over', 'atMost'] as const).map((operator) => evaluate({ fact: 'boat.length', [operator]: 5 } as Expression, world({ 'boat.length': { low, high } })).truth);
  test.each([[4, 4.9, ['yes', 'no', 'no', 'yes']], [4, 5, ['unknown', 'unknown', 'no', 'yes']], [5, 5, ['no', 'yes', 'no', 'yes']], [5, 6, ['no', 'yes', 'unknown', 'unknown']], [5.1, 6, ['no', 'yes', 'yes', 'no']], [4, 6, ['unknown', 'unknown', 'unknown', 'unknown']]] as [number, number, Truth[]][])('%d to %d beside 5: under, at least, over, at most', (low, high, truths) => expect(sides(low, high)).toEqual(truths));
});

describe('the sentence is made from the explanation', () => {
  const crew = [{ id: 'p1', name: 'Ann', facts: { 'person.age': { low: 11, high: 12 }, 'person.swims': 'weak' } }];
  const facts2 = { 'boat.length': 4.88, 'boat.motor': true, 'boat.sail': false, 'boat.kind': 'canoe', 'day.water': 12.3, 'day.hours': 3 * 3600, 'boat.modelYear': 2017, 'boat.power': { low: 7000, high: 8000 }, 'question.q': true };
  const said = (condition: Expression, who = crew[0]) => evaluate(condition, { facts: facts2, crew, questions: { q: 'Wide mouth' } }, who).because.map((b) => `${b.truth}: ${render(b.phrase, { units: 'metric', zone: 'UTC', locale: 'en-GB' })}`);
  test.each<[string, Expression, string[]]>([
    ['always', { always: true }, ['yes: Holds for every boat.']],
    ['a yes', { fact: 'boat.motor', is: true }, ['yes: Has a motor: yes.']],
    ['a no', { fact: 'boat.sail', is: true }, ['no: Has a sail: no.']],
    ['a word of a list', { fact: 'boat.kind', in: ['canoe', 'raft'] }, ['yes: Kind of boat: Canoe.']],
    ['under', { fact: 'boat.length', under: { value: 16, unit: 'ft' } }, ['no: Length: 4.88 m, not under 4.88 m.']],
    ['at least', { fact: 'boat.length', atLeast: { value: 16, unit: 'ft' } }, ['yes: Length: 4.88 m, 4.88 m or more.']],
    ['over', { fact: 'boat.length', over: 6 }, ['no: Length: 4.88 m, 6.00 m at most.']],
    ['at most', { fact: 'day.hours', atMost: { value: 2, unit: 'h' } }, ['no: Time out: 3.0 h, over 2.0 h.']],
    ['a temperature', { fact: 'day.water', under: { value: 15, unit: '°C' } }, ['yes: Water temperature: 12.3 °C, under 15.0 °C.']],
    ['a plain number', { fact: 'boat.modelYear', atLeast: 2018 }, ['no: Model year: 2017, less than 2018.']],
    ['a range that can’t settle it', { fact: 'boat.power', over: 7500 }, ['unknown: Power: somewhere in 7.0 kW to 8.0 kW, which can’t settle 7.5 kW.']],
    ['a range on one side', { fact: 'boat.power', over: 6000 }, ['yes: Power: 7.0 kW to 8.0 kW, over 6.0 kW.']],
    ['not known', { fact: 'boat.inboard', is: true }, ['unknown: Has an inboard engine: not known.']],
    ['a question of the pack', { fact: 'question.q', is: true }, ['yes: Wide mouth: yes.']],
    ['a question that another pack asked', { fact: 'question.z', is: true }, ['unknown: question.z: not known.']],
    ['of a person', { fact: 'person.swims', in: ['weak', 'none'] }, ['yes: Swimming of Ann: weak.']],
    ['an age', { fact: 'person.age', under: { value: 13, unit: 'years' } }, ['yes: Age of Ann: 11 years to 12 years, under 13 years.']],
    ['somebody aboard', { some: 'crew', where: { fact: 'person.age', under: 13 } }, ['yes: Age of Ann: 11 years to 12 years, under 13 years.']],
    ['all: every one that held', { all: [{ fact: 'boat.motor', is: true }, { fact: 'boat.sail', is: false }] }, ['yes: Has a motor: yes.', 'yes: Has a sail: no.']],
    ['all: the one that failed', { all: [{ fact: 'boat.motor', is: true }, { fact: 'boat.sail', is: true }] }, ['no: Has a sail: no.']],
    ['all: only what is open', { all: [{ fact: 'boat.motor', is: true }, { fact: 'boat.inboard', is: true }] }, ['unknown: Has an inboard engine: not known.']],
    ['any: the first that held', { any: [{ fact: 'boat.sail', is: true }, { fact: 'boat.motor', is: true }] }, ['yes: Has a motor: yes.']],
    ['not: what it was decided by', { not: { fact: 'boat.motor', is: true } }, ['yes: Has a motor: yes.']],
  ])('%s', (_name, condition, sentences) => expect(said(condition)).toEqual(sentences));
  test('a person’s fact asked of nobody is not known; a boat’s fact is the boat’s whoever is asked', () => {
    expect(evaluate({ fact: 'person.age', under: 13 }, world({}))).toMatchObject({ truth: 'unknown', missing: ['person.age'] });
    expect(evaluate({ fact: 'boat.motor', is: true }, world(facts), { id: 'p', name: 'P', facts: { 'boat.motor': false } }).truth).toBe('yes');
    expect(evaluate({ fact: 'boat.motor', is: true }, world(facts)).missing).toEqual([]);
  });
  test('what is missing is named once', () => expect(evaluate({ all: [{ fact: 'boat.sail', is: true }, { fact: 'boat.sail', is: false }] }, world({})).missing).toEqual(['boat.sail']));
});

describe('differential', () => {
  const NAMES = ['boat.length', 'crew.count', 'day.hours'];
  const expression = fc.letrec<{ node: Expression; leaf: Expression }>((tie) => ({
    node: fc.oneof({ maxDepth: 4 }, tie('leaf'), fc.array(tie('node'), { minLength: 1, maxLength: 3 }).map((all) => ({ all })), fc.array(tie('node'), { minLength: 1, maxLength: 3 }).map((any) => ({ any })), tie('node').map((not) => ({ not }))),
    leaf: fc.oneof(
      fc.tuple(fc.constantFrom(...NAMES), fc.integer({ min: 0, max: 5 })).map(([fact, under]) => ({ fact, under })),
      fc.tuple(fc.constantFrom(...NAMES), fc.integer({ min: 0, max: 5 })).map(([fact, atLeast]) => ({ fact, atLeast })),
      fc.tuple(fc.constantFrom(...NAMES), fc.integer({ min: 0, max: 5 })).map(([fact, over]) => ({ fact, over })),
      fc.tuple(fc.constantFrom(...NAMES), fc.integer({ min: 0, max: 5 })).map(([fact, atMost]) => ({ fact, atMost })),
      fc.tuple(fc.constantFrom(...NAMES), fc.integer({ min: 0, max: 5 })).map(([fact, is]) => ({ fact, is })),
      fc.tuple(fc.constantFrom(...NAMES), fc.array(fc.integer({ min: 0, max: 5 }), { minLength: 1, maxLength: 3 })).map(([fact, list]) => ({ fact, in: list })),
    ),
  })).node;
  const theirs = (c: Expression): unknown => {
    if ('all' in c) return { and: c.all.map(theirs) };
    if ('any' in c) return { or: c.any.map(theirs) };
    if ('not' in c) return { '!': [theirs(c.not)] };
    if (!('fact' in c)) return true;
    const value = { var: c.fact.replace('.', '_') };
    return 'under' in c ? { '<': [value, c.under] } : 'atLeast' in c ? { '>=': [value, c.atLeast] } : 'over' in c ? { '>': [value, c.over] } : 'atMost' in c ? { '<=': [value, c.atMost] } : 'in' in c ? { in: [value, c.in] } : { '===': [value, c.is] };
  };
  const engine = new LogicEngine();
  const values = fc.record(Object.fromEntries(NAMES.map((n) => [n, fc.integer({ min: 0, max: 5 })])));
  check('run here', { title: 'json-logic-engine 5.0.7' }, 'generated conditions over complete facts', () => {
    fc.assert(fc.property(expression, values, (condition, given) => {
      const said = engine.run(theirs(condition), Object.fromEntries(Object.entries(given).map(([k, v]) => [k.replace('.', '_'), v]))) as unknown;
      expect(evaluate(condition, world(given)).truth).toBe(said ? 'yes' : 'no');
    }), { numRuns: runs(400) });
  });
  check('run here', { title: 'json-rules-engine 7.3.1' }, 'a few conditions with and, or, not over complete facts', async () => {
    const theirTree = (c: Expression): Record<string, unknown> => {
      if ('all' in c) return { all: c.all.map(theirTree) };
      if ('any' in c) return { any: c.any.map(theirTree) };
      if ('not' in c) return { not: theirTree(c.not) };
      if (!('fact' in c)) throw new Error('not asked here');
      const [operator, value] = 'under' in c ? ['lessThan', c.under] : 'atLeast' in c ? ['greaterThanInclusive', c.atLeast] : 'over' in c ? ['greaterThan', c.over] : 'atMost' in c ? ['lessThanInclusive', c.atMost] : 'in' in c ? ['in', c.in] : ['equal', c.is];
      return { fact: c.fact, operator, value };
    };
    await fc.assert(fc.asyncProperty(expression, values, async (condition, given) => {
      const rules = new Engine();
      rules.addRule({ conditions: { all: [theirTree(condition)] } as never, event: { type: 'yes' } });
      const { events } = await rules.run(given);
      expect(evaluate(condition, world(given)).truth).toBe(events.length > 0 ? 'yes' : 'no');
    }), { numRuns: runs(60) });
  });
  test('taking a fact away never turns yes into no: it may only become unknown', () => {
    fc.assert(fc.property(expression, values, fc.constantFrom(...NAMES), (condition, given, gone) => {
      const whole = evaluate(condition, world(given)).truth;
      const less = evaluate(condition, world({ ...given, [gone]: undefined })).truth;
      expect([whole, 'unknown']).toContain(less);
    }), { numRuns: runs(300) });
  });
});

describe('packs', () => {
  const rule = (more: object) => ({ id: 'R-1', layer: 'law', title: 'R', text: 't', source: 's', section: '1', confidence: 'H', verified: false, noted: '2026-01-01', when: { always: true }, anyOf: [[{ capability: 'sound' }]], ...more });
  const pack = (...rules: object[]) => ({ schema: 2, id: 'p', title: 'P', authority: 'A', jurisdiction: '*', version: '1', rules }) as unknown as Pack;
  test('what a schema can’t see is said rule by rule', () => {
    let deep: unknown = { always: true };
    for (let i = 0; i < 30; i += 1) deep = { not: deep };
    const faults = packFaults(pack(rule({}), rule({}), rule({ id: 'R-2', when: { fact: 'boat.colour', is: 'red' } }), rule({ id: 'R-3', layer: 'advice' }), rule({ id: 'R-4', when: { fact: 'question.nobody-asked', is: true } }), rule({ id: 'R-5', anyOf: [] }), rule({ id: 'R-6', when: deep })));
    for (const part of ['R-1: two rules', 'R-2: no fact is called "boat.colour"', 'R-3: advice needs a weight', 'R-4: no fact', 'R-5: asks for nothing', 'R-6: conditions nested deeper']) expect(faults.join('\n')).toContain(part);
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
    const state = { ...pack(rule({ id: 'S-1' })), id: 's', title: 'State', displaces: [{ pack: 'p', rule: 'R-1', when: { not: { fact: 'water.class', is: 'open-sea' } } }] } as unknown as Pack;
    const says = (facts2: World['facts']) => applyPacks([pack(rule({})), state], world(facts2)).map((r) => r.applies);
    expect(says({ 'water.class': 'lake' })).toEqual(['no', 'yes']);
    expect(says({ 'water.class': 'open-sea' })).toEqual(['yes', 'yes']);
    // Nobody said which water: nothing gives way.
    expect(says({})).toEqual(['yes', 'yes']);
    expect(applyPacks([pack(rule({}))], world({ 'water.class': 'lake' }))[0].applies).toBe('yes');
    expect(packFaults({ ...state, displaces: [{ pack: 'p', rule: 'R-1', when: { fact: 'water.colour', is: 'green' } }] } as Pack)).toContain('displaces R-1: no fact is called "water.colour"');
  });
  test('the same content has the same hash whatever the order of its fields', () => {
    expect(contentHash({ a: 1, b: [{ c: 2, d: 3 }] })).toBe(contentHash({ b: [{ d: 3, c: 2 }], a: 1 }));
    expect(contentHash({ a: 1 })).not.toBe(contentHash({ a: 2 }));
  });
});
