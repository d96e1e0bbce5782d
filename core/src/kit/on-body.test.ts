import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { anItem, aPerson } from '../../test/demo';
import { runs } from '../../test/runs';
import type { GearItem, Person } from '../model';
import { applyPacks, PACKS } from '../rules';
import { onBodies } from './on-body';
import { CATALOGUE, matchKit } from '.';

const PRACTICE = PACKS.find(({ id }) => id === 'practice')!;
const match = (people: Person[], gear: GearItem[]) =>
  matchKit({
    rules: applyPacks([PRACTICE], {
      facts: { 'crew.count': people.length },
      crew: people.map(({ id, name }) => ({ id, name, facts: {} })),
    }),
    trip: { stow: [], crew: people.map(({ id }) => ({ person: id, role: 'crew', wearsJacket: true })) },
    people,
    gear,
    catalogue: CATALOGUE,
    on: '2026-05-12',
    endsOn: '2026-05-12',
  });
const bodies = (people: Person[], gear: GearItem[]) => onBodies(match(people, gear), people);
const on = (found: ReturnType<typeof bodies>, person: Person, purpose: string) =>
  found.bodies
    .find((body) => body.person.id === person.id)!
    .has.find((each) => each.purpose.id === purpose)!
    .things.map(({ item }) => item.name);
const [ada, ben] = [aPerson({ name: 'Ada', mass: 70 }), aPerson({ name: 'Ben', mass: 80 })];
const onBody = (kind: string, more: Partial<GearItem> = {}) =>
  anItem(kind, { name: kind, stowage: 'on-body', state: 'ready', ...more });

describe('what is on whom', () => {
  test('alone all of it is on that one', () => {
    const found = bodies([ada], [onBody('beacon', { registered: 'yes' }), onBody('knife')]);
    expect([on(found, ada, 'found'), on(found, ada, 'cuts')]).toEqual([['beacon'], ['knife']]);
    expect(found.unsaid).toEqual([]);
  });
  test('of two, what belongs to one is on that one, what nobody gave out is on nobody known', () => {
    const found = bodies([ada, ben], [onBody('phone', { owner: ben.id, charge: 1 }), onBody('beacon')]);
    expect([on(found, ada, 'calls'), on(found, ben, 'calls')]).toEqual([[], ['phone']]);
    expect(found.unsaid.map(({ name }) => name)).toEqual(['beacon']);
  });
  test('what rules give out to each body stands on each, and one whistle on one of two', () => {
    const found = bodies([ada, ben], [onBody('footwear', { count: 2 }), onBody('whistle')]);
    expect([on(found, ada, 'feet'), on(found, ben, 'feet')]).toEqual([['footwear'], ['footwear']]);
    expect([...on(found, ada, 'heard'), ...on(found, ben, 'heard')]).toEqual(['whistle']);
  });
  test('what is fixed to a jacket is on its wearer; what failed or lies in a hatch is on nobody', () => {
    const jacket = onBody('foam-jacket', { minMass: 60, maxMass: 90, owner: ben.id });
    const found = bodies(
      [ada, ben],
      [
        jacket,
        onBody('whistle', { on: jacket.id }),
        onBody('knife', { state: 'failed' }),
        onBody('hand-light', { stowage: 'hatch', charge: 1 }),
      ],
    );
    expect([on(found, ben, 'floats'), on(found, ben, 'heard'), on(found, ada, 'heard')]).toEqual([
      ['foam-jacket'],
      ['whistle'],
      [],
    ]);
    expect([...on(found, ben, 'cuts'), ...on(found, ben, 'seen-night')]).toEqual([]);
  });
  test('no unit is on two bodies, whatever there is', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 6 }),
        fc.array(fc.constantFrom('whistle', 'knife', 'footwear', 'helmet', 'multi-tool', 'beacon'), {
          maxLength: 8,
        }),
        fc.integer({ min: 1, max: 3 }),
        (n, kinds, count) => {
          const people = Array.from({ length: n }, (_, i) => aPerson({ name: `P${i}`, mass: 70 }));
          const gear = kinds.map((kind) => onBody(kind, { count }));
          const found = bodies(people, gear);
          for (const { id } of gear) {
            const wearers = found.bodies.filter(({ has }) =>
              has.some(({ things }) => things.some(({ item }) => item.id === id)),
            );
            expect(wearers.length).toBeLessThanOrEqual(count);
          }
        },
      ),
      { numRuns: runs(40) },
    ));
});
