import { describe, expect, test } from '@jest/globals';
import { check } from '../../test/check';
import type { Condition as Expression, Truth } from '../model';
import { render } from '../say';
import { evaluate, type World } from '.';

const world = (facts: World['facts'], crew: World['crew'] = []): World => ({ facts, crew });
const leaf = (truth: Truth): Expression =>
  truth === 'unknown' ? { fact: 'boat.sail', is: true } : { fact: 'boat.motor', is: truth === 'yes' };
const facts = { 'boat.motor': true };
const T: Truth[] = ['yes', 'no', 'unknown'];

describe('three values', () => {
  // Kleene's strong tables, written out.
  const and: Record<string, Truth> = {
    'yes yes': 'yes',
    'yes no': 'no',
    'yes unknown': 'unknown',
    'no yes': 'no',
    'no no': 'no',
    'no unknown': 'no',
    'unknown yes': 'unknown',
    'unknown no': 'no',
    'unknown unknown': 'unknown',
  };
  const or: Record<string, Truth> = {
    'yes yes': 'yes',
    'yes no': 'yes',
    'yes unknown': 'yes',
    'no yes': 'yes',
    'no no': 'no',
    'no unknown': 'unknown',
    'unknown yes': 'yes',
    'unknown no': 'unknown',
    'unknown unknown': 'unknown',
  };
  for (const a of T)
    for (const b of T)
      check('closed form', { title: 'Kleene, strong three-valued logic' }, `${a} with ${b}`, () => {
        expect(evaluate({ all: [leaf(a), leaf(b)] }, world(facts)).truth).toBe(and[`${a} ${b}`]);
        expect(evaluate({ any: [leaf(a), leaf(b)] }, world(facts)).truth).toBe(or[`${a} ${b}`]);
        expect(evaluate({ not: { all: [leaf(a), leaf(b)] } }, world(facts)).truth).toBe(
          evaluate({ any: [{ not: leaf(a) }, { not: leaf(b) }] }, world(facts)).truth,
        );
      });
  test('a missing fact is named, but only where it decides', () => {
    expect(evaluate({ all: [leaf('no'), leaf('unknown')] }, world(facts))).toMatchObject({
      truth: 'no',
      missing: [],
    });
    expect(evaluate({ all: [leaf('yes'), leaf('unknown')] }, world(facts))).toMatchObject({
      truth: 'unknown',
      missing: ['boat.sail'],
    });
  });
  test('a range that straddles a limit settles nothing; one beside it does', () => {
    const under13: Expression = {
      some: 'crew',
      where: { fact: 'person.age', under: { value: 13, unit: 'years' } },
    };
    const child = (low: number, high: number) =>
      world({}, [{ id: 'p', name: 'P', facts: { 'person.age': { low, high } } }]);
    expect(evaluate(under13, child(12, 12)).truth).toBe('yes');
    expect(evaluate(under13, child(13, 13)).truth).toBe('no');
    expect(evaluate(under13, child(12, 13))).toMatchObject({ truth: 'unknown', missing: ['person.age@p'] });
    expect(evaluate(under13, world({})).truth).toBe('no');
  });
});

/** Boundary values on both sides: 15 ft 11 in, 16 ft 0 in, 16 ft 1 in. */
for (const [feet, truth] of [
  [15 + 11 / 12, 'no'],
  [16, 'yes'],
  [16 + 1 / 12, 'yes'],
] as const)
  test(`${feet.toFixed(2)} ft against "16 ft and more"`, () =>
    expect(
      evaluate(
        { fact: 'boat.length', atLeast: { value: 16, unit: 'ft' } },
        world({ 'boat.length': feet * 0.3048 }),
      ).truth,
    ).toBe(truth));

test.each([
  [5.99, 'yes', 'no'],
  [6, 'yes', 'no'],
  [6.01, 'no', 'yes'],
] as [number, Truth, Truth][])('%d m: six at most %s, over six %s', (metres, most, over) => {
  const limit = { value: 6, unit: 'm' };
  expect(evaluate({ fact: 'boat.length', atMost: limit }, world({ 'boat.length': metres })).truth).toBe(most);
  expect(evaluate({ fact: 'boat.length', over: limit }, world({ 'boat.length': metres })).truth).toBe(over);
});

describe('what a range is', () => {
  const is = (wanted: number, low: number, high: number) => [
    evaluate({ fact: 'boat.modelYear', is: wanted }, world({ 'boat.modelYear': { low, high } })).truth,
    evaluate({ fact: 'boat.modelYear', in: [1, wanted] }, world({ 'boat.modelYear': { low, high } })).truth,
  ];
  test.each([
    [5, 5, 5, 'yes'],
    [5, 4, 6, 'unknown'],
    [5, 5, 6, 'unknown'],
    [5, 4, 5, 'unknown'],
    [5, 6, 9, 'no'],
    [5, 2, 4, 'no'],
  ] as [number, number, number, Truth][])('%d of %d to %d: %s', (wanted, low, high, truth) =>
    expect(is(wanted, low, high)).toEqual([truth, truth]),
  );
  const sides = (low: number, high: number) =>
    (['under', 'atLeast', 'over', 'atMost'] as const).map(
      (operator) =>
        evaluate(
          { fact: 'boat.length', [operator]: 5 } as Expression,
          world({ 'boat.length': { low, high } }),
        ).truth,
    );
  test.each([
    [4, 4.9, ['yes', 'no', 'no', 'yes']],
    [4, 5, ['unknown', 'unknown', 'no', 'yes']],
    [5, 5, ['no', 'yes', 'no', 'yes']],
    [5, 6, ['no', 'yes', 'unknown', 'unknown']],
    [5.1, 6, ['no', 'yes', 'yes', 'no']],
    [4, 6, ['unknown', 'unknown', 'unknown', 'unknown']],
  ] as [number, number, Truth[]][])(
    '%d to %d beside 5: under, at least, over, at most',
    (low, high, truths) => expect(sides(low, high)).toEqual(truths),
  );
});

describe('the sentence is made from the explanation', () => {
  const crew = [
    { id: 'p1', name: 'Ann', facts: { 'person.age': { low: 11, high: 12 }, 'person.swims': 'weak' } },
  ];
  const facts2 = {
    'boat.length': 4.88,
    'boat.motor': true,
    'boat.sail': false,
    'boat.kind': 'canoe',
    'day.water': 12.3,
    'day.hours': 3 * 3600,
    'boat.modelYear': 2017,
    'boat.power': { low: 7000, high: 8000 },
    'question.q': true,
  };
  const said = (condition: Expression, who = crew[0]) =>
    evaluate(condition, { facts: facts2, crew, questions: { q: 'Wide mouth' } }, who).because.map(
      (b) => `${b.truth}: ${render(b.phrase, { units: 'metric', zone: 'UTC', locale: 'en-GB' })}`,
    );
  test.each<[string, Expression, string[]]>([
    ['always', { always: true }, ['yes: Asked on every trip.']],
    ['a yes', { fact: 'boat.motor', is: true }, ['yes: Has a motor: yes.']],
    ['a no', { fact: 'boat.sail', is: true }, ['no: Has a sail: no.']],
    ['a word of a list', { fact: 'boat.kind', in: ['canoe', 'raft'] }, ['yes: Kind of boat: Canoe.']],
    [
      'under',
      { fact: 'boat.length', under: { value: 16, unit: 'ft' } },
      ['no: Length: 4.88 m, not under 4.88 m.'],
    ],
    [
      'at least',
      { fact: 'boat.length', atLeast: { value: 16, unit: 'ft' } },
      ['yes: Length: 4.88 m, 4.88 m or more.'],
    ],
    ['over', { fact: 'boat.length', over: 6 }, ['no: Length: 4.88 m, 6.00 m at most.']],
    ['at most', { fact: 'day.hours', atMost: { value: 2, unit: 'h' } }, ['no: Time out: 3.0 h, over 2.0 h.']],
    [
      'a temperature',
      { fact: 'day.water', under: { value: 15, unit: '°C' } },
      ['yes: Water temperature: 12.3 °C, under 15.0 °C.'],
    ],
    ['a plain number', { fact: 'boat.modelYear', atLeast: 2018 }, ['no: Model year: 2017, less than 2018.']],
    [
      'a range that can’t settle it',
      { fact: 'boat.power', over: 7500 },
      ['unknown: Power: somewhere in 7.0 kW to 8.0 kW, which can’t settle 7.5 kW.'],
    ],
    [
      'a range on one side',
      { fact: 'boat.power', over: 6000 },
      ['yes: Power: 7.0 kW to 8.0 kW, over 6.0 kW.'],
    ],
    ['not known', { fact: 'boat.inboard', is: true }, ['unknown: Has an inboard engine: not known.']],
    ['a question of the pack', { fact: 'question.q', is: true }, ['yes: Wide mouth: yes.']],
    [
      'a question that another pack asked',
      { fact: 'question.z', is: true },
      ['unknown: question.z: not known.'],
    ],
    ['of a person', { fact: 'person.swims', in: ['weak', 'none'] }, ['yes: Swimming of Ann: Weak.']],
    [
      'an age',
      { fact: 'person.age', under: { value: 13, unit: 'years' } },
      ['yes: Age of Ann: 11 years to 12 years, under 13 years.'],
    ],
    [
      'somebody aboard',
      { some: 'crew', where: { fact: 'person.age', under: 13 } },
      ['yes: Age of Ann: 11 years to 12 years, under 13 years.'],
    ],
    [
      'all: every one that held',
      {
        all: [
          { fact: 'boat.motor', is: true },
          { fact: 'boat.sail', is: false },
        ],
      },
      ['yes: Has a motor: yes.', 'yes: Has a sail: no.'],
    ],
    [
      'all: the one that failed',
      {
        all: [
          { fact: 'boat.motor', is: true },
          { fact: 'boat.sail', is: true },
        ],
      },
      ['no: Has a sail: no.'],
    ],
    [
      'all: only what is open',
      {
        all: [
          { fact: 'boat.motor', is: true },
          { fact: 'boat.inboard', is: true },
        ],
      },
      ['unknown: Has an inboard engine: not known.'],
    ],
    [
      'any: the first that held',
      {
        any: [
          { fact: 'boat.sail', is: true },
          { fact: 'boat.motor', is: true },
        ],
      },
      ['yes: Has a motor: yes.'],
    ],
    ['not: what it was decided by', { not: { fact: 'boat.motor', is: true } }, ['yes: Has a motor: yes.']],
  ])('%s', (_name, condition, sentences) => expect(said(condition)).toEqual(sentences));
  test('a person’s fact asked of nobody is not known; a boat’s fact is the boat’s whoever is asked', () => {
    expect(evaluate({ fact: 'person.age', under: 13 }, world({}))).toMatchObject({
      truth: 'unknown',
      missing: ['person.age'],
    });
    expect(
      evaluate({ fact: 'boat.motor', is: true }, world(facts), {
        id: 'p',
        name: 'P',
        facts: { 'boat.motor': false },
      }).truth,
    ).toBe('yes');
    expect(evaluate({ fact: 'boat.motor', is: true }, world(facts)).missing).toEqual([]);
  });
  test('what is missing is named once', () =>
    expect(
      evaluate(
        {
          all: [
            { fact: 'boat.sail', is: true },
            { fact: 'boat.sail', is: false },
          ],
        },
        world({}),
      ).missing,
    ).toEqual(['boat.sail']));
});
