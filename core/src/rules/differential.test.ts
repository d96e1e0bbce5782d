import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { runs } from '../../test/runs';
import { LogicEngine } from 'json-logic-engine';
import { Engine } from 'json-rules-engine';
import { check } from '../../test/check';
import type { Condition as Expression } from '../model';
import { evaluate, type World } from '.';

const world = (facts: World['facts'], crew: World['crew'] = []): World => ({ facts, crew });

describe('differential', () => {
  const NAMES = ['boat.length', 'crew.count', 'day.hours'];
  const expression = fc.letrec<{ node: Expression; leaf: Expression }>((tie) => ({
    node: fc.oneof(
      { maxDepth: 4 },
      tie('leaf'),
      fc.array(tie('node'), { minLength: 1, maxLength: 3 }).map((all) => ({ all })),
      fc.array(tie('node'), { minLength: 1, maxLength: 3 }).map((any) => ({ any })),
      tie('node').map((not) => ({ not })),
    ),
    leaf: fc.oneof(
      fc
        .tuple(fc.constantFrom(...NAMES), fc.integer({ min: 0, max: 5 }))
        .map(([fact, under]) => ({ fact, under })),
      fc
        .tuple(fc.constantFrom(...NAMES), fc.integer({ min: 0, max: 5 }))
        .map(([fact, atLeast]) => ({ fact, atLeast })),
      fc
        .tuple(fc.constantFrom(...NAMES), fc.integer({ min: 0, max: 5 }))
        .map(([fact, over]) => ({ fact, over })),
      fc
        .tuple(fc.constantFrom(...NAMES), fc.integer({ min: 0, max: 5 }))
        .map(([fact, atMost]) => ({ fact, atMost })),
      fc.tuple(fc.constantFrom(...NAMES), fc.integer({ min: 0, max: 5 })).map(([fact, is]) => ({ fact, is })),
      fc
        .tuple(
          fc.constantFrom(...NAMES),
          fc.array(fc.integer({ min: 0, max: 5 }), { minLength: 1, maxLength: 3 }),
        )
        .map(([fact, list]) => ({ fact, in: list })),
    ),
  })).node;
  const theirs = (c: Expression): unknown => {
    if ('all' in c) return { and: c.all.map(theirs) };
    if ('any' in c) return { or: c.any.map(theirs) };
    if ('not' in c) return { '!': [theirs(c.not)] };
    if (!('fact' in c)) return true;
    const value = { var: c.fact.replace('.', '_') };
    return 'under' in c
      ? { '<': [value, c.under] }
      : 'atLeast' in c
        ? { '>=': [value, c.atLeast] }
        : 'over' in c
          ? { '>': [value, c.over] }
          : 'atMost' in c
            ? { '<=': [value, c.atMost] }
            : 'in' in c
              ? { in: [value, c.in] }
              : { '===': [value, c.is] };
  };
  const engine = new LogicEngine();
  const values = fc.record(Object.fromEntries(NAMES.map((n) => [n, fc.integer({ min: 0, max: 5 })])));
  check('run here', { title: 'json-logic-engine 5.0.7' }, 'generated conditions over complete facts', () => {
    fc.assert(
      fc.property(expression, values, (condition, given) => {
        const said = engine.run(
          theirs(condition),
          Object.fromEntries(Object.entries(given).map(([k, v]) => [k.replace('.', '_'), v])),
        ) as unknown;
        expect(evaluate(condition, world(given)).truth).toBe(said ? 'yes' : 'no');
      }),
      { numRuns: runs(400) },
    );
  });
  check(
    'run here',
    { title: 'json-rules-engine 7.3.1' },
    'a few conditions with and, or, not over complete facts',
    async () => {
      const theirTree = (c: Expression): Record<string, unknown> => {
        if ('all' in c) return { all: c.all.map(theirTree) };
        if ('any' in c) return { any: c.any.map(theirTree) };
        if ('not' in c) return { not: theirTree(c.not) };
        if (!('fact' in c)) throw new Error('not asked here');
        const [operator, value] =
          'under' in c
            ? ['lessThan', c.under]
            : 'atLeast' in c
              ? ['greaterThanInclusive', c.atLeast]
              : 'over' in c
                ? ['greaterThan', c.over]
                : 'atMost' in c
                  ? ['lessThanInclusive', c.atMost]
                  : 'in' in c
                    ? ['in', c.in]
                    : ['equal', c.is];
        return { fact: c.fact, operator, value };
      };
      await fc.assert(
        fc.asyncProperty(expression, values, async (condition, given) => {
          const rules = new Engine();
          rules.addRule({ conditions: { all: [theirTree(condition)] } as never, event: { type: 'yes' } });
          const { events } = await rules.run(given);
          expect(evaluate(condition, world(given)).truth).toBe(events.length > 0 ? 'yes' : 'no');
        }),
        { numRuns: runs(60) },
      );
    },
  );
  test('taking a fact away never turns yes into no: it may only become unknown', () => {
    fc.assert(
      fc.property(expression, values, fc.constantFrom(...NAMES), (condition, given, gone) => {
        const whole = evaluate(condition, world(given)).truth;
        const less = evaluate(condition, world({ ...given, [gone]: undefined })).truth;
        expect([whole, 'unknown']).toContain(less);
      }),
      { numRuns: runs(300) },
    );
  });
});
