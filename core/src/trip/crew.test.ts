import { describe, expect, test } from '@jest/globals';
import { figureNamed } from '../verdict';
import { aBoat, aPerson } from '../../test/demo';
import { Person, Trip } from '../model';
import { KNOT } from '../units';
import { towing } from '../boat';
import { sweep } from '.';
import { skiff, world, type Member } from '../../test/afloat';

describe('the crew meets this water and wind', () => {
  const kayak = aBoat({ kind: 'sit-on-top', propulsion: [{ kind: 'paddle', cruise: 1.4 }] });
  test.each<[string, Partial<Person>, Member, number, string, string | undefined]>([
    ['a weak swimmer in a light wind', { swimming: 'weak' }, {}, 3, 'crew/swim-wind', undefined],
    ['a weak swimmer at Beaufort 4', { swimming: 'weak' }, {}, 5.5, 'crew/swim-wind', 'fix'],
    ['a strong one at Beaufort 4', { swimming: 'strong' }, {}, 5.5, 'crew/swim-wind', undefined],
    ['a child at Beaufort 4', { born: '2016-01-01' }, {}, 5.5, 'crew/child-wind', 'fix'],
    ['thirteen years old that day', { born: '2013-05-12' }, {}, 5.5, 'crew/child-wind', undefined],
    ['a hangover', {}, { today: 'hung-over' }, 3, 'crew/unfit', 'fix'],
    ['tired', {}, { today: 'tired' }, 3, 'crew/tired', 'know'],
    ['a bad shoulder', { weakArm: true }, {}, 3, 'crew/weak-arm', 'know'],
    ['never in the water', { inWater: 'never' }, {}, 3, 'crew/never-in', 'know'],
    [
      'new to it, on the coast',
      { skills: [{ craft: 'sit-on-top', level: 'new' }] },
      {},
      3,
      'crew/new-skipper',
      'fix',
    ],
    [
      'new to another craft',
      { skills: [{ craft: 'canoe', level: 'new' }] },
      {},
      3,
      'crew/new-skipper',
      undefined,
    ],
    [
      'a recovery practised last week',
      { skills: [{ craft: 'sit-on-top', level: 'sure', practised: '2026-05-05' }] },
      {},
      3,
      'crew/stale',
      undefined,
    ],
    [
      'one practised two years ago',
      { skills: [{ craft: 'sit-on-top', level: 'sure', practised: '2024-05-05' }] },
      {},
      3,
      'crew/stale',
      'know',
    ],
  ])('%s', (_name, person, member, wind, id, level) =>
    expect(world(kayak, [aPerson({ swimming: 'fair', ...person })], { wind, crew: [member] }).level(id)).toBe(
      level,
    ),
  );
  test('somebody keeps an eye on the weak swimmer, or it is said that nobody does', () => {
    const [a, b] = [aPerson({ swimming: 'strong' }), aPerson({ name: 'Bo', swimming: 'none' })];
    expect(world(kayak, [a, b]).level('crew/swim-near')).toBe('know');
    expect(world(kayak, [a, b], { crew: [{ buddy: b.id }] }).level('crew/swim-near')).toBeUndefined();
    const seats = (x: number) =>
      world(skiff(), [a, b], { crew: [{ seat: { x: 0.3, y: 0 } }, { seat: { x, y: 0 } }] }).level(
        'crew/swim-near',
      );
    expect([seats(0.5), seats(0.9)]).toEqual([undefined, 'know']);
  });
  test('a second driver: named, able, unable, and nobody said', () => {
    const pair = (more: Partial<Person>, member: Member = {}) =>
      world(skiff(), [aPerson(), aPerson({ name: 'Bo', ...more })], { crew: [{}, member] }).level(
        'crew/second-driver',
      );
    expect([pair({}, { role: 'driver' }), pair({ drives: true }), pair({ drives: false }), pair({})]).toEqual(
      [undefined, undefined, 'fix', 'know'],
    );
    expect(world(skiff(), [aPerson()]).level('crew/second-driver')).toBeUndefined();
  });
});

test('the row of departures shows the hours at which a rising wind meets a weak swimmer', () => {
  const { input } = world(aBoat({ kind: 'canoe', propulsion: [{ kind: 'paddle', cruise: 1.2 }] }), [
    aPerson({ swimming: 'weak' }),
    aPerson({ swimming: 'fair' }),
  ]);
  const noon = Date.UTC(2026, 4, 12, 12);
  const forecast = {
    ...input.conditions.forecast!,
    hours: input.conditions.forecast!.hours.map((h) =>
      Date.parse(h.at) >= noon ? { ...h, wind: 7, gust: 9 } : h,
    ),
  };
  const rows = sweep(
    { ...input, conditions: { forecast } },
    Date.UTC(2026, 4, 12, 7),
    Date.UTC(2026, 4, 12, 14),
    36e5,
  );
  const fix = rows.filter((r) => r.worst === 'fix').map((r) => new Date(r.leave).getUTCHours());
  expect(fix).toContain(13);
  expect(fix).not.toContain(8);
});

describe('in company', () => {
  const [tern, gull, wren] = [
    aBoat({ name: 'Tern', kind: 'sit-on-top', propulsion: [{ kind: 'paddle', cruise: 1.6 }] }),
    aBoat({ name: 'Gull', kind: 'canoe', propulsion: [{ kind: 'paddle', cruise: 1.2 }] }),
    aBoat({ name: 'Wren', kind: 'sit-inside', propulsion: [{ kind: 'paddle', cruise: 1.7 }] }),
  ];
  const [a, b, c] = [aPerson({ name: 'Ann' }), aPerson({ name: 'Bo' }), aPerson({ name: 'Cy' })];
  const together = (company: Trip['company'], more: Partial<Trip> = {}) => {
    const w = world(tern, [a, b, c], {
      boats: [gull, wren],
      trip: { company, ...more, crew: [{ person: a.id, role: 'skipper' }] },
    });
    return w;
  };
  test('heads are counted; the slowest sets the pace of the plan', () => {
    const w = together([{ boat: gull.id, people: [b.id] }]);
    expect(w.say('company/count')[0]).toBe('2 heads in 2 boats. Count them at every halt.');
    expect(figureNamed(w.figures, 'passage/speed')!.value).toBe(1.2);
    expect(together([{ boat: gull.id, people: [b.id] }], { speed: 1.5 }).level('company/pace')).toBe('fix');
  });
  test('somebody in two boats, a boat with nobody, a boat without a pair', () => {
    expect(together([{ boat: gull.id, people: [a.id] }]).say('company/twice')[0]).toBe('Ann.');
    expect(together([{ boat: gull.id, people: [] }]).level('company/empty')).toBe('fix');
    expect(
      together([
        { boat: gull.id, people: [b.id], with: tern.id },
        { boat: wren.id, people: [c.id] },
      ]).say('company/pairs')[0],
    ).toMatch(/^Wren/);
    expect(together([{ boat: gull.id, people: [b.id] }]).level('company/pairs')).toBeUndefined();
  });
  test('who can tow: a paddler makes way in a calm, none in a gale; a motor her slow speed; nobody said, not known', () => {
    expect(towing(tern, 0)!).toBeGreaterThan(towing(tern, 8)!);
    expect(towing(tern, 60 * KNOT)).toBe(0);
    expect(towing(skiff({ propulsion: [{ kind: 'outboard', slow: 2 }] }), 8)).toBe(2);
    expect(towing(aBoat({ propulsion: [] }), 0)).toBeUndefined();
  });
  test('a boat that left the shed breaks nothing', () =>
    expect(
      together([{ boat: '01890000-0000-7000-8000-00000000dead', people: [b.id] }]).findings.length,
    ).toBeGreaterThan(0));
});
