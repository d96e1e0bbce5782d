// What a list of conditions may ask, what a pack may be, and what happens where a stranger's asks for more.
import { describe, expect, test } from '@jest/globals';
import type { Condition, RulePack } from '../model';
import { render } from '../say';
import { conditionFaults, conditionPhrase, differences, evaluate, mendFact, packFaults, packsFor } from '.';
import { applyPacks, contentHash, PACKS, type World } from '.';
import { budget, evaluateWithin } from './evaluate';
import { MOST_WORK, workOf } from './conditions';

const reader = { units: 'metric' as const, zone: 'UTC', locale: 'en-GB' };
const world = (facts: World['facts'], crew: World['crew'] = []): World => ({ facts, crew });
const leaf: Condition = { fact: 'boat.length', under: 7 };
const many = (n: number, part: Condition = leaf): Condition => ({
  any: Array.from({ length: n }, () => part),
});
const nested = (deep: number): Condition => (deep === 1 ? leaf : { not: nested(deep - 1) });

describe('what is wrong with a condition', () => {
  const limit = (value: unknown) => ({ fact: 'boat.length', under: value }) as Condition;
  test.each<[string, Condition, string[]]>([
    ['nothing', limit({ value: 7, unit: 'm' }), []],
    ['always', { always: true }, []],
    ['a fact nobody knows', { fact: 'boat.colour', is: 'red' }, ['no fact is called "boat.colour"']],
    ['a unit nobody knows', limit({ value: 7, unit: 'cubits' }), ['unknown unit "cubits"']],
    ['a unit of another quantity', limit({ value: 7, unit: 'kg' }), ['"boat.length" is not measured in kg']],
    ['a word for a limit', limit('long'), ['"long" is no number to compare with']],
    [
      'yes for a limit',
      { fact: 'boat.length', atMost: true } as unknown as Condition,
      ['"true" is no number to compare with'],
    ],
    ['an order of names', { fact: 'boat.kind', over: 3 }, ['"boat.kind" has names and no order']],
    ['a name among names', { fact: 'boat.kind', in: ['canoe'] }, []],
    ['a length that is one of some', { fact: 'boat.length', in: [3, 4] }, []],
    [
      'all its parts',
      { all: [{ fact: 'a.b', is: 1 }, { any: [{ fact: 'c.d', is: 1 }] }] },
      ['no fact is called "a.b"', 'no fact is called "c.d"'],
    ],
    ['what is not so', { not: { fact: 'a.b', is: 1 } }, ['no fact is called "a.b"']],
    [
      'what holds for some of the crew',
      { some: 'crew', where: { fact: 'a.b', is: 1 } } as Condition,
      ['no fact is called "a.b"'],
    ],
    ['twenty deep', nested(20), []],
    ['deeper', nested(21), ['conditions nested deeper than 20']],
    ['as much work as is allowed', many(MOST_WORK), []],
    ['more', many(MOST_WORK + 1), ['asks for more than 5000 comparisons of a crew of 30']],
  ])('%s', (_what, condition, faults) => expect(conditionFaults(condition)).toEqual(faults));
  test.each(['under', 'atLeast', 'over', 'atMost', 'is'])('a strange unit is seen in “%s”', (operator) =>
    expect(
      conditionFaults({ fact: 'boat.length', [operator]: { value: 1, unit: 'rods' } } as Condition),
    ).toEqual(['unknown unit "rods"']),
  );
  test('a question counts where it was asked', () => {
    const asks: Condition = { fact: 'question.wide', is: true };
    expect(conditionFaults(asks, new Set(['wide']))).toEqual([]);
    expect(conditionFaults(asks)).toEqual(['no fact is called "question.wide"']);
  });
  test('work is counted in comparisons with the largest crew', () => {
    const some = (where: Condition): Condition => ({ some: 'crew', where }) as Condition;
    expect(
      [leaf, many(3), some(leaf), some(some(leaf)), { not: many(4) }, { always: true }].map((c) =>
        workOf(c as Condition),
      ),
    ).toEqual([1, 3, 30, 900, 4, 1]);
  });
});

describe('a condition that asks for too much', () => {
  test('what the budget does not reach is unknown, and says so', () => {
    const found = evaluate(
      many(3, { fact: 'boat.length', under: 2 }),
      world({ 'boat.length': 5 }),
      undefined,
      budget(2),
    );
    expect(found.truth).toBe('unknown');
    expect(found.missing).toEqual([]);
    expect(found.because.map((b) => render(b.phrase, reader))).toContain(
      'Asks for more than can be looked at: not settled.',
    );
    expect(
      evaluate(many(3, { fact: 'boat.length', under: 2 }), world({ 'boat.length': 5 }), undefined, budget(3))
        .truth,
    ).toBe('no');
  });
  test('out of a budget for many each takes what it looked at', () => {
    const work = budget(10);
    evaluateWithin(work, many(4, { fact: 'boat.length', under: 2 }), world({ 'boat.length': 5 }));
    expect(work.left).toBe(6);
    const greedy = budget(3 * MOST_WORK);
    evaluateWithin(
      greedy,
      many(2 * MOST_WORK, { fact: 'boat.length', under: 2 }),
      world({ 'boat.length': 5 }),
    );
    expect(greedy.left).toBe(2 * MOST_WORK);
  });
  test('a unit nobody knows settles nothing, and is named', () => {
    const found = evaluate(
      { fact: 'boat.length', under: { value: 7, unit: 'rods' } } as unknown as Condition,
      world({ 'boat.length': 5 }),
    );
    expect(found).toMatchObject({ truth: 'unknown', missing: [], because: [{ truth: 'unknown' }] });
    expect(render(found.because[0].phrase, reader)).toMatch(/compared in “rods”/);
  });
  test.each<[boolean | undefined, string, string[], string]>([
    [undefined, 'unknown', ['boat.plate'], 'not'],
    [true, 'yes', [], 'taken for yes'],
    [false, 'no', [], 'taken for no'],
  ])('what nobody said, where a rule takes it for %s', (taken, truth, missing, words) => {
    const unsaid = taken === undefined ? {} : { unsaid: taken ? 'yes' : 'no' };
    const found = evaluate({ fact: 'boat.plate', is: true, ...unsaid } as Condition, world({}));
    expect(found).toMatchObject({ truth, missing });
    expect(found.because[0].truth).toBe(truth);
    expect(render(found.because[0].phrase, reader)).toContain(words);
  });
});

describe('packs', () => {
  const [shipped] = packsFor(['US']);
  const rule = shipped.rules[0];
  const pack = (rules: object[], more: object = {}) =>
    ({
      ...shipped,
      id: 'p',
      title: 'P',
      questions: [],
      displaces: [],
      rules,
      ...more,
    }) as unknown as RulePack;
  test.each<[string, object, string[]]>([
    ['advice without a weight', { layer: 'advice', weight: undefined }, ['R: advice needs a weight']],
    [
      'a length in no unit',
      { anyOf: [[{ capability: 'sound', leastLength: { value: 2, unit: 'rods' } }]] },
      ['R: unknown unit "rods"'],
    ],
    [
      'for each body, or otherwise',
      { anyOf: [[{ capability: 'sound', forWhom: 'each' }], [{ capability: 'light' }]] },
      ['R: sound is asked for each body, and has other ways beside it; write two rules'],
    ],
    ['for each body, one way', { anyOf: [[{ capability: 'sound', forWhom: 'each' }]] }, []],
    ['two ways for all', { anyOf: [[{ capability: 'sound' }], [{ capability: 'light' }]] }, []],
    [
      'a demand that hangs on nothing known',
      { anyOf: [[{ capability: 'sound', when: { fact: 'a.b', is: 1 } }]] },
      ['R: no fact is called "a.b"'],
    ],
    ['an exemption nobody knows', { unless: { fact: 'a.b', is: 1 } }, ['R: no fact is called "a.b"']],
    ['nothing is asked', { anyOf: [], declared: undefined }, ['R: asks for nothing']],
  ])('%s', (_what, more, faults) =>
    expect(
      packFaults(
        pack([
          {
            ...rule,
            id: 'R',
            layer: 'law',
            when: { always: true },
            unless: undefined,
            anyOf: [[{ capability: 'sound' }]],
            ...more,
          },
        ]),
      ),
    ).toEqual(faults),
  );
  test('the second of two rules with one id is named, once', () => {
    const two = pack([
      { ...rule, id: 'A' },
      { ...rule, id: 'B' },
      { ...rule, id: 'A' },
    ]);
    expect(packFaults(two).filter((f) => f.includes('two rules'))).toEqual(['A: two rules have this id']);
  });
  test('a rule that gave way says to whom; a copy stands for what it replaces', () => {
    const mine = pack([{ ...rule, id: 'A', when: { always: true }, unless: undefined }]);
    const state = (displaces: object[]) =>
      ({ ...pack([]), id: 's', title: 'State', displaces }) as unknown as RulePack;
    const gave = { pack: 'p', rule: 'A', when: { always: true } };
    const applied = (packs: RulePack[]) =>
      applyPacks(packs, world({})).map((r) => [r.applies, ...r.because.map((b) => render(b.phrase, reader))]);
    expect(applied([mine, state([gave])])).toEqual([['no', 'State stands in its place here.']]);
    for (const other of [
      { ...gave, pack: 'q' },
      { ...gave, rule: 'B' },
    ])
      expect(applied([mine, state([other])])[0][0]).toBe('yes');
    expect(
      applied([
        { ...mine, id: 'p-own', replaces: 'p' } as RulePack,
        state([{ ...gave, rule: 'B' }, gave]),
      ])[0][0],
    ).toBe('no');
  });
  test('two packs that call a rule alike keep both apart', () => {
    const one = pack([{ ...rule, id: 'A' }]);
    expect(applyPacks([one, { ...one, id: 'q' }], world({})).map((r) => r.rule.id)).toEqual(['A', 'q.A']);
  });
  test('a hash is 16 hexadecimal digits of the content, whatever is not there left out', () => {
    // SHA-256 of {"a":[1,2],"b":"x"}, by another tool: sha256sum.
    expect(contentHash({ b: 'x', a: [1, 2], c: undefined })).toBe('d0f56dda38d34376');
    expect(contentHash({ a: [12] })).not.toBe(contentHash({ a: [1, 2] }));
  });
  test('two versions are told apart rule by rule, field by field', () => {
    const [a, b, c] = ['A', 'B', 'C'].map((id) => ({ ...rule, id, title: id }));
    expect(differences(pack([a, b]), pack([{ ...b, text: 'other', why: 'since' }, c]))).toEqual([
      { id: 'B', what: 'changed', title: 'B', fields: expect.arrayContaining(['text']) },
      { id: 'C', what: 'new', title: 'C', fields: [] },
      { id: 'A', what: 'gone', title: 'A', fields: [] },
    ]);
    expect(differences(pack([a]), pack([{ ...a }]))).toEqual([]);
  });
  test('every pack that ships passes the gate', () => expect(PACKS.flatMap(packFaults)).toEqual([]));
});

describe('where a missing fact is settled', () => {
  const on = { trip: { id: 't' }, boatId: 'b', waterId: 'w' };
  test.each<[string, object | undefined]>([
    ['boat.length', { type: 'boat', id: 'b', pointer: '/length' }],
    ['person.age@p1', { type: 'person', id: 'p1', pointer: '/born' }],
    ['question.wide', { type: 'water', id: 'w', pointer: '/answers/wide' }],
    ['nobody.knows', undefined],
  ])('%s', (fact, go) => {
    const mend = mendFact(fact, on);
    expect(mend && 'go' in mend ? mend.go : undefined).toEqual(go);
  });
  test('without a boat or a water there is nowhere to go', () => {
    expect(mendFact('question.wide', { trip: { id: 't' } })).toBeUndefined();
    expect(mendFact('boat.length', { trip: { id: 't' } })).toMatchObject({
      go: { type: 'boat', pointer: '/length' },
    });
    expect(render(mendFact('question.wide', on)!.label, reader)).not.toBe('');
    expect(render(mendFact('boat.length', on)!.label, reader)).toMatch(/length/i);
  });
  test('a condition in words names what it compares', () =>
    expect(
      render(
        conditionPhrase(
          { all: [{ fact: 'boat.length', under: 7 }, { not: { fact: 'day.dark', is: true } }] },
          { questions: {} },
        ),
        reader,
      ),
    ).toMatch(/length.*7.*m/i));
});
