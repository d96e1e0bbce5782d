import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { check } from '../../test/check';
import { runs } from '../../test/runs';
import { assign } from './assign';
import { cover, type Ask, type Row, type Unit } from './cover';

const units = (table: Record<string, [count: number, cost: number]>) =>
  new Map<string, Unit>(Object.entries(table).map(([id, [count, cost]]) => [id, { count, cost }]));
const row = (need: number, ids: string, pool?: string): Row => ({
  need,
  from: ids.split('').map((id) => ({ id, open: false })),
  ...(pool ? { pool } : {}),
});
const ask = (id: string, rank: number, ...alternatives: Row[][]): Ask => ({ id, rank, alternatives });
const used = (c: ReturnType<typeof cover>, id: string) =>
  c.answers
    .get(id)
    ?.uses.map((u) => `${u.count}${u.id}`)
    .sort()
    .join(' ');

describe('by hand', () => {
  test('one thing serves two asks; the dearer way is left', () => {
    const c = cover(
      [ask('day', 0, [row(3, 'ab')]), ask('night', 0, [row(3, 'bc')])],
      units({ a: [3, 1], b: [3, 1], c: [3, 1] }),
    );
    expect([used(c, 'day'), used(c, 'night')]).toEqual(['3b', '3b']);
  });
  test('two extinguishers asked for by two rules are two; from one pool nothing serves twice', () => {
    const asks = [ask('one', 0, [row(1, 'a', 'fire')]), ask('two', 0, [row(1, 'a', 'fire')])];
    expect(cover(asks, units({ a: [1, 1] })).answers.size).toBe(1);
    expect(cover(asks, units({ a: [2, 1] })).answers.size).toBe(2);
    expect(
      cover(
        asks.map((a) => ({ ...a, alternatives: [[row(1, 'a')]] })),
        units({ a: [1, 1] }),
      ).answers.size,
    ).toBe(2);
  });
  test('law before advice before one’s own when there is not enough for all', () => {
    const c = cover(
      [
        ask('advice', 1, [row(1, 'a', 'p')]),
        ask('own', 2, [row(1, 'a', 'p')]),
        ask('law', 0, [row(1, 'a', 'p')]),
      ],
      units({ a: [1, 1] }),
    );
    expect([...c.answers.keys()]).toEqual(['law']);
  });
  test('what surely counts is taken before what may count', () => {
    const c = cover(
      [
        ask('x', 0, [
          [
            {
              need: 1,
              from: [
                { id: 'a', open: true },
                { id: 'b', open: false },
              ],
            },
          ][0],
        ]),
      ],
      units({ a: [1, 1], b: [1, 9] }),
    );
    expect(used(c, 'x')).toBe('1b');
  });
  test('an alternative that costs less is taken', () =>
    expect(
      used(cover([ask('x', 0, [row(3, 'a')], [row(1, 'b')])], units({ a: [3, 1], b: [1, 2] })), 'x'),
    ).toBe('1b'));
  test('ties resolve by id', () =>
    expect(used(cover([ask('x', 0, [row(1, 'cab')])], units({ a: [1, 1], b: [1, 1], c: [1, 1] })), 'x')).toBe(
      '1a',
    ));
  test('a bound on the search says that it is not proved, and the answer still holds', () => {
    const many = 'abcdefghijkl';
    const asks = Array.from({ length: 12 }, (_, i) =>
      ask(`r${i}`, 0, [row(2, many.slice(i % 6, (i % 6) + 6))]),
    );
    const c = cover(
      asks,
      units(Object.fromEntries([...many].map((id, i) => [id, [1, 1 + ((i * 7) % 5)]]))),
      40,
    );
    expect(c.proved).toBe(false);
    expect(c.answers.size).toBe(12);
  });
  test('five hundred things that could all serve are no trouble', () => {
    const from = Array.from({ length: 500 }, (_, i) => ({ id: `i${i}`, open: false }));
    const c = cover(
      [{ id: 'x', rank: 0, alternatives: [[{ need: 3, from }]] }],
      new Map(from.map(({ id }, i) => [id, { count: 1, cost: 1000 + ((i * 37) % 500) }])),
    );
    expect(c.proved).toBe(true);
    expect(c.nodes).toBeLessThan(2000);
  });
});

/** Brute force: every way of taking units, each ask met or not by any alternative, pools by trying every split. */
function brute(asks: Ask[], table: ReadonlyMap<string, Unit>): number[] {
  const ids = [...table.keys()];
  let best: number[] | undefined;
  const less = (a: number[], b: number[]) => {
    for (let i = 0; i < a.length; i += 1) if (a[i] !== b[i]) return a[i] < b[i];
    return false;
  };
  const take = (i: number, x: Map<string, number>): void => {
    if (i === ids.length) {
      const cost = ids.reduce((sum, id) => sum + (x.get(id) ?? 0) * table.get(id)!.cost, 0);
      for (const unmetRows of outcomes(x)) {
        const score = [...unmetRows, cost];
        if (!best || less(score, best)) best = score;
      }
      return;
    }
    for (let n = 0; n <= table.get(ids[i])!.count; n += 1) take(i + 1, new Map(x).set(ids[i], n));
  };
  /** Unmet counts by rank, for every choice of alternative (or none) of every ask that the taken units allow. */
  function outcomes(x: Map<string, number>): number[][] {
    const found: number[][] = [];
    const go = (i: number, left: Map<string, Map<string, number>>, unmet: number[]): void => {
      if (i === asks.length) return void found.push(unmet);
      const a = asks[i];
      go(
        i + 1,
        left,
        unmet.map((n, r) => (r === a.rank ? n + 1 : n)),
      );
      for (const rows of a.alternatives) for (const after of rowsMet(rows, 0, left)) go(i + 1, after, unmet);
    };
    const rowsMet = (
      rows: Row[],
      r: number,
      left: Map<string, Map<string, number>>,
    ): Map<string, Map<string, number>>[] => {
      if (r === rows.length) return [left];
      const { need, from, pool } = rows[r];
      if (!pool)
        return from.reduce((sum, f) => sum + (x.get(f.id) ?? 0), 0) >= need ? rowsMet(rows, r + 1, left) : [];
      const splits: Map<string, Map<string, number>>[] = [];
      const split = (f: number, still: number, used: Map<string, number>): void => {
        if (still === 0) return void splits.push(new Map(left).set(pool, used));
        if (f === from.length) return;
        const { id } = from[f];
        for (let n = 0; n <= Math.min(still, (x.get(id) ?? 0) - (used.get(id) ?? 0)); n += 1)
          split(f + 1, still - n, new Map(used).set(id, (used.get(id) ?? 0) + n));
      };
      split(0, need, left.get(pool) ?? new Map());
      return splits.flatMap((after) => rowsMet(rows, r + 1, after));
    };
    go(0, new Map(), [0, 0, 0]);
    return found;
  }
  take(0, new Map());
  return best!;
}

describe('against brute force', () => {
  const ids = ['a', 'b', 'c', 'd'];
  const rows = fc.array(
    fc.record({
      need: fc.integer({ min: 1, max: 2 }),
      from: fc.subarray(ids, { minLength: 1 }).map((some) => some.map((id) => ({ id, open: false }))),
      pool: fc.constantFrom(undefined, undefined, 'p'),
    }),
    { minLength: 1, maxLength: 2 },
  );
  const asks = fc
    .array(
      fc.record({
        rank: fc.integer({ min: 0, max: 2 }),
        alternatives: fc.array(rows, { minLength: 1, maxLength: 2 }),
      }),
      { minLength: 1, maxLength: 3 },
    )
    .map((list) => list.map((a, i) => ({ id: `r${i}`, ...a })) as Ask[]);
  const table = fc
    .tuple(...ids.map(() => fc.tuple(fc.integer({ min: 0, max: 2 }), fc.integer({ min: 1, max: 9 }))))
    .map((list) => units(Object.fromEntries(list.map((u, i) => [ids[i], u]))));
  test('what is met, in its order of importance, and at what cost', () => {
    fc.assert(
      fc.property(asks, table, (some, there) => {
        const c = cover(some, there);
        expect(c.proved).toBe(true);
        const unmet = [0, 1, 2].map(
          (rank) => some.filter((a) => a.rank === rank && !c.answers.has(a.id)).length,
        );
        const expected = brute(some, there);
        expect(unmet).toEqual(expected.slice(0, 3));
        // Nothing more is used than there is, and the least cost is reached: what is used, counted once where it is shared.
        for (const { uses } of c.answers.values())
          for (const u of uses) expect(u.count).toBeLessThanOrEqual(there.get(u.id)!.count);
      }),
      { numRuns: runs(120) },
    );
  });
  test('the cost reached is the least when nothing is pooled', () => {
    const free = asks.map((list) =>
      list.map((a) => ({
        ...a,
        alternatives: a.alternatives.map((r) => r.map(({ pool: _pool, ...rest }) => rest)),
      })),
    );
    fc.assert(
      fc.property(free, table, (some, there) => {
        const c = cover(some, there);
        const most = new Map<string, number>();
        for (const { uses } of c.answers.values())
          for (const u of uses) most.set(u.id, Math.max(most.get(u.id) ?? 0, u.count));
        const cost = [...most].reduce((sum, [id, n]) => sum + n * there.get(id)!.cost, 0);
        expect(cost).toBe(brute(some, there)[3]);
      }),
      { numRuns: runs(120) },
    );
  });
  test('the answer does not hang on the order of what is asked', () => {
    fc.assert(
      fc.property(asks, table, (some, there) => {
        const say = (list: Ask[]) => {
          const c = cover(list, there);
          return some.map((a) => [a.id, used(c, a.id)]);
        };
        expect(say([...some].reverse())).toEqual(say(some));
      }),
      { numRuns: runs(80) },
    );
  });
});

describe('assignment', () => {
  check('closed form', { title: 'Munkres 1957, by hand' }, 'three by three, cost 5', () => {
    const cost = [
      [4, 1, 3],
      [2, 0, 5],
      [3, 2, 2],
    ];
    const columns = assign(cost);
    expect(columns.reduce((sum, j, i) => sum + cost[i][j], 0)).toBe(5);
  });
  const least = (cost: number[][], i: number, free: number[]): number =>
    i === cost.length
      ? 0
      : Math.min(
          ...free.map(
            (j) =>
              cost[i][j] +
              least(
                cost,
                i + 1,
                free.filter((k) => k !== j),
              ),
          ),
        );
  for (const n of [1, 2, 3, 4, 5]) {
    check(
      'closed form',
      { title: 'Every permutation tried' },
      `${n} rows and six columns: never dearer than any, each column once`,
      () => {
        const row = fc.array(fc.integer({ min: 0, max: 30 }), { minLength: 6, maxLength: 6 });
        fc.assert(
          fc.property(fc.array(row, { minLength: n, maxLength: n }), (cost) => {
            const columns = assign(cost);
            expect(new Set(columns).size).toBe(n);
            expect(columns.reduce((sum, j, i) => sum + cost[i][j], 0)).toBe(
              least(cost, 0, [0, 1, 2, 3, 4, 5]),
            );
          }),
          { numRuns: runs(40) },
        );
      },
    );
  }
  test('more rows than columns is an error, not a wrong answer', () =>
    expect(() => assign([[1], [2]])).toThrow(RangeError));
});
