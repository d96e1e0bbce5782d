import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { runs } from '../../test/runs';
import { demo, NOW } from '../../test/demo';
import { Bundle, Trip, type Condition, type Patch, type RulePack } from '../model';
import { assess } from '../trip';
import { applyPatch, checkPack, demoBundle, readBundle, readPack, valueAt, writeBundle } from '.';
import { CATALOGUE } from '../kit';
import { PACKS } from '../rules';

describe('bundle', () => {
  test('the demo holds against its schema on any day, and comes back as it went', () => {
    fc.assert(
      fc.property(fc.integer({ min: Date.UTC(2024, 0, 1), max: Date.UTC(2034, 0, 1) }), (now) => {
        const bundle = demoBundle(now);
        expect(Bundle.safeParse(bundle).error).toBeUndefined();
      }),
      { numRuns: runs(25) },
    );
    expect(readBundle(writeBundle(demo()))).toEqual({ ok: true, bundle: demo() });
  });
  test.each([
    ['no JSON', '{', /no JSON/],
    ['a list', '[]', /no Escale bundle/],
    ['null', 'null', /no Escale bundle/],
    ['another file', '{"a":1}', /no Escale bundle/],
    ['a newer one', JSON.stringify({ ...demo(), schema: 99 }), /newer Escale/],
    ['a byte-order mark and rubbish', '\uFEFF{', /no JSON/],
  ])('%s is refused with a reason', (_name, text, reason) => {
    const read = readBundle(text);
    expect(read.ok).toBe(false);
    if (!read.ok) expect(read.faults.join(' ')).toMatch(reason);
  });
  test('each fault is said with its place; nothing of the file is taken', () => {
    const bad = demo() as unknown as {
      shed: {
        people: Record<string, unknown>[];
        gear: Record<string, unknown>[];
        boats: Record<string, unknown>[];
      };
    };
    bad.shed.people[0].mass = -5;
    bad.shed.people[1].name = 'x'.repeat(200);
    bad.shed.gear[0].minMass = 90;
    bad.shed.gear[0].maxMass = 40;
    bad.shed.boats[0].hull = 'unknown field';
    const read = readBundle(JSON.stringify(bad));
    if (read.ok) throw new Error('taken');
    for (const part of [
      '/shed/people/0/mass',
      '/shed/people/1/name: at most 120 characters',
      '/shed/gear/0/minMass: the lower weight stands above the upper',
      '/shed/boats/0',
    ])
      expect(read.faults.join('\n')).toContain(part);
  });
  test('NaN and infinity can’t be written and don’t pass', () => {
    const trip = demo().trips[0];
    for (const speed of [NaN, Infinity, -1, 0])
      expect(Trip.safeParse({ ...trip, speed }).success).toBe(false);
  });
  test('one id twice is refused', () => {
    const twice = demo();
    twice.shed.people[1].id = twice.shed.people[0].id;
    const read = readBundle(writeBundle(twice));
    expect(!read.ok && read.faults[0]).toMatch(/two things have the id/);
  });
  test('hostile text never throws', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.json(),
          fc.json().map((j) => `{"escale":"bundle","schema":1,"shed":${j},"trips":${j}}`),
        ),
        (text) => {
          expect(readBundle(text).ok).toBe(false);
        },
      ),
      { numRuns: runs(200) },
    );
    const deep = `{"escale":"bundle","schema":1,"x":${'['.repeat(50_000)}${']'.repeat(50_000)}}`;
    expect(readBundle(deep).ok).toBe(false);
  });
});

describe('pointers', () => {
  const doc = { a: { 'b/c': [1, 2, 3] }, list: [{ n: 1 }], 'm~n': 8 };
  // RFC 6901: ~1 is a slash, ~0 a tilde.
  test.each([
    ['/a/b~1c/1', 2],
    ['/m~0n', 8],
    ['/list/0/n', 1],
    ['/nowhere/at/all', undefined],
    ['', doc],
  ])('%s', (pointer, value) => expect(valueAt(doc, pointer)).toEqual(value));
  test('set, unset, append, drop; the document itself is left as it was', () => {
    const done = applyPatch(doc, [
      { op: 'set', pointer: '/answers/x', value: true },
      { op: 'append', pointer: '/list', value: { n: 2 } },
      { op: 'drop', pointer: '/list/0' },
      { op: 'unset', pointer: '/m~0n' },
      { op: 'append', pointer: '/fresh', value: 1 },
    ]) as Record<string, unknown>;
    expect(done).toEqual({ a: doc.a, list: [{ n: 2 }], answers: { x: true }, fresh: [1] });
    expect(doc.list).toHaveLength(1);
  });
  test.each<[string, Patch]>([
    ['through a number', { op: 'set', pointer: '/m~0n/x', value: 1 }],
    ['to the prototype', { op: 'set', pointer: '/__proto__/polluted', value: 1 }],
    ['to a constructor', { op: 'set', pointer: '/constructor/prototype/x', value: 1 }],
    ['outside a list', { op: 'set', pointer: '/list/7', value: 1 }],
    ['nowhere', { op: 'set', pointer: '', value: 1 }],
    ['to a text as a list', { op: 'append', pointer: '/m~0n', value: 1 }],
  ])('a pointer that leads %s is refused', (_name, patch) => {
    expect(() => applyPatch(doc, [patch])).toThrow(RangeError);
    expect(({} as Record<string, unknown>).polluted).toBeUndefined();
  });
});

test('the demo is dated from the day it is made', () =>
  expect(demo().trips[0].leave.date).toBe(new Date(NOW + 86_400_000).toISOString().slice(0, 10)));

/** Some of the crew for whom some of the crew …: thirty people make thirty times as much of it with each level. */
const nestedSome = (deep: number): Condition =>
  deep === 0 ? { fact: 'person.age', atLeast: 150 } : { some: 'crew', where: nestedSome(deep - 1) };

describe('rule packs', () => {
  const good = () =>
    JSON.parse(JSON.stringify(PACKS.find((p) => p.id === 'ireland'))) as {
      rules: Record<string, unknown>[];
    } & Record<string, unknown>;
  test('a shipped pack is read back', () =>
    expect(readPack(JSON.stringify(good()))).toMatchObject({ ok: true, broken: [] }));
  test.each<[string, (pack: ReturnType<typeof good>) => void, RegExp]>([
    [
      'a rule without a source',
      (p) => {
        delete p.rules[0].source;
      },
      /rules\/0\/source/,
    ],
    [
      'an unknown operator',
      (p) => {
        p.rules[0].when = { all: [{ always: true }, { not: { fact: 'boat.length', beyond: 3 } }] };
      },
      /rules\/0\/when: \/all\/1\/not no operator is called "beyond"/,
    ],
    [
      'a condition that is none',
      (p) => {
        p.rules[0].when = { any: [{ unless: true }] };
      },
      /when: \/any\/0 a condition is always/,
    ],
    [
      'a fact nobody knows',
      (p) => {
        p.rules[0].when = { fact: 'boat.smell', is: true };
      },
      /no fact is called "boat.smell"/,
    ],
    [
      'the same rule twice',
      (p) => {
        p.rules.push(p.rules[0]);
      },
      /two rules have this id/,
    ],
    [
      'a rule nested five deep over a crew',
      (p) => {
        p.rules[0].when = nestedSome(5);
      },
      /IE-[A-Z0-9-]+: asks for more than 5000 comparisons of a crew of 30/,
    ],
    [
      'an order of names',
      (p) => {
        p.rules[0].when = { fact: 'boat.kind', under: 3 };
      },
      /"boat.kind" has names and no order/,
    ],
    [
      'a length in kilograms',
      (p) => {
        p.rules[0].when = { fact: 'boat.length', under: { value: 7, unit: 'kg' } };
      },
      /"boat.length" is not measured in kg/,
    ],
    [
      'a word for a limit',
      (p) => {
        p.rules[0].when = { fact: 'boat.length', under: 'long' };
      },
      /"long" is no number/,
    ],
    [
      'a unit nobody knows in what it displaces',
      (p) => {
        p.displaces = [
          { pack: 'a', rule: 'R-1', when: { fact: 'boat.length', under: { value: 7, unit: 'feet' } } },
        ];
      },
      /displaces R-1: unknown unit "feet"/,
    ],
    [
      'a huge tree',
      (p) => {
        let c: unknown = { always: true };
        for (let i = 0; i < 5000; i += 1) c = { not: c };
        p.rules[0].when = c;
      },
      /rules\/0: nested deeper/,
    ],
    [
      'an unknown unit in a limit',
      (p) => {
        p.rules[0].when = { fact: 'boat.length', under: { value: 7, unit: 'cubits' } };
      },
      /unknown unit "cubits"/,
    ],
  ])('%s is refused, with where', (_name, spoil, reason) => {
    const pack = good();
    spoil(pack);
    const read = checkPack(pack);
    expect(!read.ok && read.faults.join('\n')).toMatch(reason);
  });
  test('a bundle is no way round the gate: its packs are looked at as well', () => {
    const pack = { ...good(), id: 'ours' };
    pack.rules[0].when = { fact: 'boat.length', under: { value: 7, unit: 'feet' } };
    const own = { id: '01890000-0000-7000-8000-00000000aa02', pack: pack as unknown as RulePack };
    const read = readBundle(writeBundle({ ...demo(), shed: { ...demo().shed, packs: [own] } }));
    expect(!read.ok && read.faults).toEqual([
      expect.stringMatching(/^\/shed\/packs\/0\/pack .*unknown unit "feet"/),
    ]);
  });
  test('a pack that got in before there was a gate ends soon, throws nothing and settles nothing', () => {
    const shipped = good() as unknown as RulePack;
    const worst = [nestedSome(9), { fact: 'boat.length', under: { value: 7, unit: 'feet' } }];
    const rules = worst.map((when, i) => ({
      ...shipped.rules[0],
      id: `W-${i}`,
      layer: 'law' as const,
      when,
      anyOf: [[{ capability: 'sound' as const, leastLength: { value: 2, unit: 'feet' } }]],
    }));
    const bundle = demo();
    const crew = Array.from({ length: 30 }, (_, i) => ({
      person: bundle.shed.people[i % 4].id,
      role: 'crew' as const,
    }));
    const found = assess({
      trip: { ...bundle.trips[0], crew },
      shed: bundle.shed,
      conditions: {},
      packs: [{ ...shipped, rules }],
      catalogue: CATALOGUE,
      now: NOW,
    });
    const levels = found.findings.filter((f) => f.id.startsWith('kit/W-')).map((f) => f.level);
    expect(levels).toEqual(['fix', 'fix']);
  });
  test('a pack whose own examples fail is taken, and said', () =>
    expect(
      checkPack({
        ...good(),
        examples: [{ title: 'Wrong', facts: { 'boat.length': 9 }, applies: ['IE-WORN-7'] }],
      }),
    ).toMatchObject({ ok: true, broken: ['Wrong: IE-WORN-7 should be yes and is no'] }));
});
