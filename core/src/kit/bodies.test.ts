import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { anItem } from '../../test/demo';
import type { Person } from '../model';
import { CATALOGUE, indexCatalogue } from '.';
import { bodyAnswer } from './bodies';
import { reason, type Piece } from './count';

const whistle = indexCatalogue(CATALOGUE).get('whistle')!;
const PEOPLE = ['a', 'b', 'c', 'd'].map((id): Person => ({ id, name: id }));
const thing = fc.record({
  count: fc.integer({ min: 1, max: 2 }),
  owner: fc.constantFrom(undefined, undefined, 'a', 'b', 'c', 'ashore'),
  fault: fc.constantFrom('none', 'open', 'hard'),
});
type Thing = { count: number; owner: string | undefined; fault: string };

const candidate = ({ count, owner, fault }: Thing) => ({
  piece: {
    item: anItem('whistle', { count, ...(owner ? { owner } : {}) }),
    kind: whistle,
    place: 'on-body',
    faults: [],
  } as unknown as Piece,
  faults: fault === 'none' ? [] : [reason('failed', undefined, fault === 'open')],
});

/** Every way to hand units to bodies, tried: how many bodies can be served at most by these. */
function mostServed(people: Person[], things: Thing[], i = 0): number {
  if (i === people.length) return 0;
  const skip = mostServed(people, things, i + 1);
  return things.reduce((most, one, n) => {
    const whose = one.owner === 'ashore' ? undefined : one.owner;
    const mine = whose === undefined || !people.some((p) => p.id === whose) || whose === people[i].id;
    if (one.count === 0 || !mine) return most;
    const rest = things.map((t, m) => (m === n ? { ...t, count: t.count - 1 } : t));
    return Math.max(most, 1 + mostServed(people, rest, i + 1));
  }, skip);
}

describe('one unit on each body, against every way there is', () => {
  test('as many are served as can be; Ready only where things that surely count serve everybody', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 4 }), fc.array(thing, { maxLength: 4 }), (n, things) => {
        const people = PEOPLE.slice(0, n);
        const { met, metBy, missing } = bodyAnswer(
          { capability: 'sound', forWhom: 'each' },
          people,
          things.map(candidate),
        );
        const may = things.filter((t) => t.fault !== 'hard');
        const sure = things.filter((t) => t.fault === 'none');
        const served = mostServed(people, may);
        expect(metBy).toHaveLength(served);
        expect(new Set(metBy.map((use) => use.person)).size).toBe(served);
        expect(missing.flatMap((m) => m.persons ?? [])).toHaveLength(n - served);
        const want = served < n ? 'no' : mostServed(people, sure) === n ? 'yes' : 'unknown';
        expect(met).toBe(want);
      }),
    );
  });
});
