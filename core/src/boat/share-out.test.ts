import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { runs } from '../../test/runs';
import { seated, shareFaults, shareOut, type Berth, type Rider } from './share-out';

const who = (id: string, mass: number | undefined, more: Partial<Rider> = {}): Rider => ({
  id,
  name: id.toUpperCase(),
  ...(mass === undefined ? {} : { mass }),
  weak: false,
  shoulder: false,
  leads: false,
  ...more,
});
const boats: Berth[] = [
  { id: 'red', name: 'Red', seats: 4 },
  { id: 'blue', name: 'Blue', seats: 4 },
];
const people = [
  who('a', 90, { leads: true }),
  who('b', 85),
  who('c', 80, { leads: true }),
  who('d', 75),
  who('e', 60, { weak: true }),
  who('f', 55, { weak: true }),
  who('g', 70, { shoulder: true }),
  who('h', 65, { shoulder: true }),
];
const masses = (shares: ReadonlyMap<string, readonly string[]>, all = people) =>
  [...shares.values()].map((ids) =>
    ids.reduce((sum, id) => sum + (all.find((p) => p.id === id)?.mass ?? 0), 0),
  );

describe('who goes in which boat', () => {
  test('eight in two rafts: one leads in each, weak and shoulders spread, masses within a bag of each other', () => {
    const shares = shareOut(people, boats);
    const [red, blue] = masses(shares);
    expect(Math.abs(red - blue)).toBeLessThanOrEqual(10);
    for (const ids of shares.values()) {
      const group = ids.map((id) => people.find((p) => p.id === id)!);
      expect([group.length, group.filter((p) => p.leads).length]).toEqual([4, 1]);
      expect([group.filter((p) => p.weak).length, group.filter((p) => p.shoulder).length]).toEqual([1, 1]);
    }
    expect(shareFaults(shares, people, boats)).toEqual([]);
  });
  test('nobody is lost or doubled, seats hold where they can, and the order of names changes nothing', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            mass: fc.option(fc.integer({ min: 20, max: 120 }), { nil: undefined }),
            weak: fc.boolean(),
            shoulder: fc.boolean(),
            leads: fc.boolean(),
          }),
          { minLength: 1, maxLength: 10 },
        ),
        fc.integer({ min: 1, max: 3 }),
        (rows, n) => {
          const all = rows.map(({ mass, ...rest }, i) => who(`p${i}`, mass, rest));
          const fleet = Array.from({ length: n }, (_, i) => ({ id: `b${i}`, name: `B${i}`, seats: 4 }));
          const shares = shareOut(all, fleet);
          expect([...shares.values()].flat().sort()).toEqual(all.map((p) => p.id).sort());
          if (all.length <= 4 * n)
            for (const ids of shares.values()) expect(ids.length).toBeLessThanOrEqual(4);
          expect([...shareOut([...all].reverse(), fleet)]).toEqual([...shares]);
        },
      ),
      { numRuns: runs(120), seed: 21 },
    ));
  test('a weak swimmer sits right before the one who leads, who sits last', () =>
    expect(seated(people.filter((p) => 'aeg'.includes(p.id) || p.id === 'b')).map((p) => p.id)).toEqual([
      'b',
      'g',
      'e',
      'a',
    ]));
  test('what is missing is said: an empty boat, no one who leads, no seat, all weak, a mass nobody entered', () => {
    const say = (red: string[], blue: string[], all = people) =>
      shareFaults(
        new Map([
          ['red', red],
          ['blue', blue],
        ]),
        all,
        boats,
      ).map((p) => p.say);
    expect(say(['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h'], [])).toEqual(['share.seats', 'share.empty']);
    expect(say(['a', 'b', 'c', 'd', 'g', 'h'], ['e', 'f'])).toEqual([
      'share.seats',
      'share.no-leader',
      'share.all-weak',
    ]);
    expect(say(['a'], ['c'], [who('a', undefined, { leads: true }), people[2], people[1]])).toEqual([
      'share.left',
      'share.unweighed',
    ]);
    expect([...shareOut(people, [])]).toEqual([]);
  });
});
