import { describe, expect, test } from '@jest/globals';
import { check } from '../../test/check';
import type { Capability, Truth } from '../model';
import table from './practice.table.json';
import { applyPacks, PACKS, type Facts, type RuleResult } from '.';

const PRACTICE = PACKS.find(({ id }) => id === 'practice')!;
const ENGINE: readonly string[] = ['inflatable', 'skiff', 'trailer-boat', 'personal-watercraft'];
const PADDLED: readonly string[] = ['sit-on-top', 'sit-inside', 'canoe', 'paddleboard', 'raft'];

/** A boat of a kind on a water, with all that rules ask for answered. */
function factsOf([craft, water, company, hour, more]: string[]): Facts {
  return {
    'boat.kind': craft,
    'boat.motor': ENGINE.includes(craft),
    'boat.combustion': ENGINE.includes(craft),
    'boat.sail': craft === 'catamaran',
    'boat.manual': PADDLED.includes(craft),
    'boat.endFlotation': false,
    'boat.trailed': true,
    'boat.ownTank': false,
    'boat.trapeze': craft === 'catamaran',
    'water.class': water,
    'water.rapids': water === 'river',
    'water.grade': water === 'river' ? 2 : 0,
    'launch.from': more === 'jetty' ? 'jetty' : 'beach',
    'trip.company': company === 'boats',
    'trip.alone': company === 'alone',
    'trip.fishing': more === 'fishing',
    'crew.alone': company === 'alone',
    'crew.count': 1,
    'day.dark': hour === 'night',
    'day.hours': 3 * 3600,
    'day.water': 8,
    'day.wind': 5,
  };
}
const applied = (facts: Facts): RuleResult[] =>
  applyPacks([PRACTICE], { facts, crew: [{ id: 'a', name: 'A', facts: { 'person.role': 'skipper' } }] });

const asks = (results: RuleResult[], ...all: Capability[]): boolean =>
  results.some(({ anyOf }) =>
    anyOf.some((demands) => all.every((c) => demands.some(({ capability }) => capability === c))),
  );
/** Asked on each body. */
const onEach = (results: RuleResult[], capability: Capability): boolean =>
  results.some(({ anyOf }) =>
    anyOf.flat().some((d) => d.capability === capability && d.forWhom === 'each' && d.within === 'on-body'),
  );
const counted = (results: RuleResult[], capability: Capability, count: number): boolean =>
  results.some(({ anyOf }) =>
    anyOf.flat().some((d) => d.capability === capability && (d.count ?? 1) >= count),
  );

/** What the words of the table stand for. */
const TOPICS: Record<string, (results: RuleResult[]) => boolean> = {
  worn: (r) => r.some(({ rule }) => rule.declared?.worn !== undefined),
  whistle: (r) => onEach(r, 'sound'),
  call: (r) => asks(r, 'call'),
  knife: (r) => onEach(r, 'knife'),
  aid: (r) => asks(r, 'first-aid'),
  drink: (r) => asks(r, 'drink'),
  food: (r) => asks(r, 'food'),
  light: (r) => asks(r, 'white-light'),
  sun: (r) => asks(r, 'sun-wear'),
  watch: (r) => asks(r, 'timepiece'),
  licence: (r) => asks(r, 'licence'),
  toilet: (r) => asks(r, 'toilet'),
  repair: (r) => asks(r, 'repair'),
  warm: (r) => asks(r, 'warm-wear'),
  footwear: (r) => onEach(r, 'footwear'),
  'spare-drive': (r) => asks(r, 'spare-drive'),
  bail: (r) => asks(r, 'bail'),
  tow: (r) => asks(r, 'tow'),
  're-entry': (r) => asks(r, 're-entry'),
  leash: (r) => asks(r, 'leash'),
  seat: (r) => asks(r, 'seat'),
  flotation: (r) => counted(r, 'flotation', 2),
  'mast-light': (r) => asks(r, 'mast-light'),
  'call-beyond': (r) => r.some(({ rule }) => rule.id === 'P-CALL2'),
  way: (r) => asks(r, 'direction', 'find-way'),
  locate: (r) => asks(r, 'locate'),
  flares: (r) => counted(r, 'pyro-night', 3),
  mirror: (r) => asks(r, 'mirror'),
  'pump-and-bailer': (r) => asks(r, 'pump-out', 'scoop'),
  'spare-jacket': (r) => asks(r, 'spare-jacket'),
  cords: (r) => counted(r, 'kill-cord', 2),
  fire: (r) => asks(r, 'extinguisher-5b'),
  spares: (r) => asks(r, 'engine-spares'),
  anchor: (r) => asks(r, 'anchor'),
  'both-pumps': (r) => asks(r, 'inflate', 'inflate-power'),
  patch: (r) => asks(r, 'patch'),
  tether: (r) => asks(r, 'tether'),
  'long-cord': (r) => asks(r, 'long-cord'),
  'two-calls': (r) => asks(r, 'call', 'call-beyond-phone', 'phone-case'),
  'righting-line': (r) => asks(r, 'righting-line'),
  'righting-bag': (r) => asks(r, 'righting-bag'),
  'pocket-kit': (r) => asks(r, 'pocket-kit'),
  harness: (r) => onEach(r, 'harness'),
  'throw-bags': (r) => counted(r, 'throw-line', 2),
  'flip-line': (r) => asks(r, 'flip-line'),
  'outside-line': (r) => asks(r, 'outside-line'),
  helmet: (r) => onEach(r, 'helmet'),
  'night-light': (r) => onEach(r, 'white-light'),
  'spare-cells': (r) => asks(r, 'spare-cells'),
  suit: (r) => onEach(r, 'float-suit'),
  rod: (r) => asks(r, 'rod'),
  'landing-net': (r) => asks(r, 'landing-net'),
  gaff: (r) => asks(r, 'gaff'),
  'hook-pliers': (r) => asks(r, 'hook-cutter'),
  'line-cutter': (r) => asks(r, 'line-cutter'),
  'fish-bag': (r) => asks(r, 'fish-bag'),
  fenders: (r) => asks(r, 'fend'),
};

describe('what practice carries', () => {
  for (const row of table.rows) {
    const asked = row[row.length - 1];
    check('recalled', 'practice', row.slice(0, -1).filter(Boolean).join(', '), () => {
      const yes = applied(factsOf(row)).filter(({ applies }) => applies === 'yes');
      const found = Object.keys(TOPICS).filter((topic) => TOPICS[topic](yes));
      expect(found.sort()).toEqual(asked.split(' '));
    });
  }
  test('nothing of it hangs on what nobody asked in these rows', () => {
    for (const row of table.rows)
      expect(
        applied(factsOf(row)).flatMap(({ rule, applies }) => (applies === 'unknown' ? [rule.id] : [])),
      ).toEqual([]);
  });
});

/** What one rule says of a situation that differs from a plain day on a lake. */
const says = (id: string, craft: string, more: Facts): Truth =>
  applied({ ...factsOf([craft, 'lake', 'boats', 'day', '']), ...more }).find(({ rule }) => rule.id === id)!
    .applies;

describe('what hangs on the boat and the day', () => {
  test.each([
    ['P-FUEL', 'skiff', { 'day.hours': 6 * 3600 }, { 'day.hours': 4 * 3600 }],
    ['P-WHEELS', 'inflatable', { 'boat.trailed': false }, { 'boat.trailed': true }],
    ['P-FUEL-PUMP', 'inflatable', { 'boat.ownTank': true }, { 'boat.ownTank': false }],
    ['P-WIND-HELMET', 'catamaran', { 'day.wind': 9 }, { 'day.wind': 8 }],
    ['P-HELMET-GRADE', 'raft', { 'water.grade': 3 }, { 'water.grade': 2 }],
    ['P-HELMET', 'raft', { 'water.rapids': true }, { 'water.rapids': false }],
    ['P-SUIT', 'skiff', { 'trip.alone': true }, { 'trip.alone': true, 'day.water': 11 }],
    ['P-FLOAT', 'sit-inside', {}, { 'boat.endFlotation': true }],
    ['P-FLOAT-CANOE', 'canoe', {}, { 'boat.endFlotation': true }],
    ['P-HARNESS', 'catamaran', { 'boat.trapeze': true }, { 'boat.trapeze': false }],
  ] as [string, string, Facts, Facts][])('%s for a %s', (id, craft, on, off) => {
    expect([says(id, craft, on), says(id, craft, off)]).toEqual(['yes', 'no']);
    // Where nobody said it, it may be so.
    const open = Object.fromEntries(Object.keys({ ...on, ...off }).map((fact) => [fact, undefined]));
    expect(says(id, craft, open)).toBe('unknown');
  });
  test('a grade within limits leaves the louder helmet open', () => {
    expect(says('P-HELMET-GRADE', 'raft', { 'water.rapids': true, 'water.grade': { low: 1, high: 6 } })).toBe(
      'unknown',
    );
  });
});
