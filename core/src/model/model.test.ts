import { describe, expect, test } from '@jest/globals';
import { GearItem, PartialDate, THINGS, Zone } from '.';

describe('edges', () => {
  test.each(['2014', '2014-06', '2014-06-30'])('born %s', (born) =>
    expect(PartialDate.safeParse(born).success).toBe(true),
  );
  test.each(['14', '2014-13', '2014-6', '1899', '2014-06-31x', ''])('not born %s', (born) =>
    expect(PartialDate.safeParse(born).success).toBe(false),
  );
  test('a zone is one that exists', () =>
    expect([Zone.safeParse('Atlantic/Azores').success, Zone.safeParse('Atlantic/Escale').success]).toEqual([
      true,
      false,
    ]));
  test('an expiry that is no date, a count below nought, a jacket upside down', () => {
    const item = {
      id: '01890000-0000-7000-8000-000000000001',
      kind: 'horn',
      name: 'Horn',
      count: 1,
      stowage: 'in-reach',
      state: 'ready',
    };
    expect(GearItem.safeParse(item).success).toBe(true);
    for (const bad of [
      { expires: 'August' },
      { expires: '2026-02-30' },
      { count: -1 },
      { count: 1.5 },
      { minMass: 90, maxMass: 40 },
      { charge: 1.2 },
    ])
      expect(GearItem.safeParse({ ...item, ...bad }).success).toBe(false);
  });
  test('every type of thing has a schema that refuses fields nobody knows', () => {
    for (const schema of Object.values(THINGS)) expect(schema.safeParse({ surprise: 1 }).success).toBe(false);
  });
});
