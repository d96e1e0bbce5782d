import { describe, expect, test } from '@jest/globals';
import { aboard, type Aboard } from '../../test/aboard';
import { anItem, aPerson } from '../../test/demo';

const FT = 0.3048;
const CANADA: Aboard = {
  water: { jurisdiction: ['CA'], answers: { 'ca-marks': true, 'ca-near-shore': false } },
};
const kit = (...kinds: string[]) =>
  kinds.map((kind) =>
    anItem(
      kind,
      kind.startsWith('extinguisher') ? { approval: '162.028', made: '2020-01-01' } : { charge: 1 },
    ),
  );
/** Level by rule, `undefined` where it asks for nothing. */
const level = (rule: string, world: Aboard) => aboard(world).level(`kit/${rule}/`);

describe('Canada', () => {
  test.each<[number, string[], string[]]>([
    [9, ['CA-FIRE-9', 'CA-FLARES-9'], ['CA-FIRE-12', 'CA-LINE-12']],
    [
      9.01,
      ['CA-FIRE-12', 'CA-LINE-12', 'CA-PROPEL-12', 'CA-FLARES-12', 'CA-LIGHT-12'],
      ['CA-FIRE-9', 'CA-PROPEL-24'],
    ],
    [12, ['CA-PROPEL-12', 'CA-FIRE-12'], ['CA-AXE', 'CA-PROPEL-24']],
    [12.01, ['CA-AXE', 'CA-PROPEL-24', 'CA-LINE-12'], ['CA-PROPEL-12', 'CA-FIRE-9']],
  ])('a motor boat of %d m with nothing aboard lacks what her length asks for', (length, stop, none) => {
    const w = aboard({ ...CANADA, boat: { kind: 'trailer-boat', length, fuelTank: 'fixed' } });
    expect(stop.map((rule) => [rule, w.level(`kit/${rule}/`)])).toEqual(stop.map((rule) => [rule, 'stop']));
    expect(none.map((rule) => w.level(`kit/${rule}/`))).toEqual(none.map(() => undefined));
  });
  test('an inflatable jacket counts while it is worn, and only then', () => {
    const jacket = anItem('inflatable-jacket', {
      minMass: 40,
      maxMass: 120,
      stowage: 'on-body',
      approval: 'Transport Canada',
      cylinder: 'green',
    });
    const worn = (wearsJacket: boolean | undefined) =>
      level('CA-LJ', {
        ...CANADA,
        boat: { cabin: false },
        gear: [jacket],
        crew: [{ jacket: jacket.id, wearsJacket }],
      });
    expect([worn(true), worn(false), worn(undefined)]).toEqual(['ready', 'stop', 'fix']);
  });
  test('a sealed catamaran is asked for no bailer, an open skiff is', () => {
    const sail = { propulsion: [{ kind: 'sail' as const, cruise: 2 }] };
    expect(
      level('CA-BAIL', { ...CANADA, boat: { kind: 'catamaran', flotation: 'sealed-hull', ...sail } }),
    ).toBeUndefined();
    expect(level('CA-BAIL', { ...CANADA, boat: { kind: 'skiff', flotation: 'none', cabin: false } })).toBe(
      'stop',
    );
  });
  test('at night a flashlight is enough in a sailing boat under 7 m, not in one of 7 m', () => {
    const at = (length: number) => {
      const w = aboard({
        ...CANADA,
        night: true,
        boat: { length, kind: 'catamaran', propulsion: [{ kind: 'sail', cruise: 2 }] },
        gear: kit('hand-light'),
      });
      return [w.level('kit/CA-LIGHTS-H/'), w.level('kit/CA-LIGHTS-S/')];
    };
    expect([at(6.99), at(7)]).toEqual([
      ['ready', undefined],
      [undefined, 'stop'],
    ]);
  });
});

describe('the United States', () => {
  const sailing = (length: number, gear: string[]) =>
    level('NAV-25A', {
      night: true,
      boat: { length, kind: 'catamaran', propulsion: [{ kind: 'sail', cruise: 2 }] },
      gear: kit(...gear),
    });
  test('a sailing boat of 7 m and more shows a sternlight with her sidelights, or one lantern', () => {
    expect([
      sailing(7, ['sidelights']),
      sailing(7, ['sidelights', 'stern-light']),
      sailing(7, ['tricolour']),
      sailing(6.99, ['sidelights']),
    ]).toEqual(['stop', 'ready', 'ready', undefined]);
  });
  test('a motor vessel of 12 m shows three lights, carries the rules and a fitted whistle; none falls between two rules', () => {
    for (const length of [11.99, 12, 15]) {
      const w = aboard({ night: true, boat: { kind: 'trailer-boat', length } });
      expect([w.level('kit/NAV-23D/'), w.level('kit/NAV-23A/')]).toEqual(
        length < 12 ? ['stop', undefined] : [undefined, 'stop'],
      );
      expect([w.level('kit/NAV-COPY/'), w.level('kit/NAV-33-12/')]).toEqual(
        length < 12 ? [undefined, undefined] : ['stop', 'stop'],
      );
    }
    expect(
      level('NAV-23A', {
        night: true,
        boat: { kind: 'trailer-boat', length: 12 },
        gear: kit('masthead-light', 'sidelights', 'stern-light'),
      }),
    ).toBe('ready');
  });
  test('under 7 m and 7 knots one all-round light is enough seaward of the line, not inside it, and not where nobody said', () => {
    const slow = (seaward: boolean | undefined, knots = 7, length = 6.9) => {
      const answers: Record<string, boolean> = {
        'us-signal-waters': true,
        ...(seaward === undefined ? {} : { 'us-seaward': seaward }),
      };
      const w = aboard({
        night: true,
        boat: { length, maxSpeed: (knots * 1852) / 3600 },
        water: { answers },
        gear: kit('all-round-light'),
      });
      return w.level('kit/NAV-23D/') ?? w.level('kit/NAV-23D-SLOW/');
    };
    expect([slow(true), slow(false), slow(undefined), slow(true, 7.1), slow(true, 7, 7)]).toEqual([
      'ready',
      'stop',
      'stop',
      'stop',
      'stop',
    ]);
  });
  test.each<[string, number, number | undefined, string[], string]>([
    [
      'one 5-B and one B-I serve a boat of 26 ft of an old year',
      26,
      2017,
      ['extinguisher', 'extinguisher-old'],
      'ready',
    ],
    ['but not a newer one', 26, 2018, ['extinguisher', 'extinguisher-old'], 'stop'],
    ['whose year nobody said: open', 26, undefined, ['extinguisher', 'extinguisher-old'], 'fix'],
    ['two of the new class always do', 26, undefined, ['extinguisher', 'extinguisher'], 'ready'],
    ['one large one does', 26, 2020, ['extinguisher-large'], 'ready'],
    ['one alone is not two', 26, 2020, ['extinguisher'], 'stop'],
    ['at 40 ft it takes three', 40, 2020, ['extinguisher', 'extinguisher'], 'stop'],
    ['or a large one and another', 40, 2020, ['extinguisher-large', 'extinguisher'], 'ready'],
    ['under 26 ft the old class is enough for an old boat', 25, 2017, ['extinguisher-old'], 'ready'],
    ['under 26 ft the old class is not enough for a new boat', 25, 2018, ['extinguisher-old'], 'stop'],
    ['nothing aboard is a Stop, whatever her year', 25, undefined, [], 'stop'],
  ])('extinguishers: %s', (_name, feet, modelYear, kinds, wanted) => {
    const w = aboard({
      boat: {
        kind: 'trailer-boat',
        length: feet * FT,
        fuelTank: 'fixed',
        ...(modelYear === undefined ? {} : { modelYear }),
      },
      gear: kit(...kinds),
    });
    expect(w.level(`kit/US-FIRE-${feet < 26 ? 'S' : feet < 40 ? 'M' : 'L'}/`)).toBe(wanted);
  });
  test('a disposable extinguisher older than twelve years counts no more, whatever other date stands on it', () => {
    const at = (made: string, expires?: string) =>
      level('US-FIRE-S', {
        boat: { length: 5, fuelTank: 'fixed', modelYear: 2020 },
        gear: [anItem('extinguisher', { approval: '162.028', made, ...(expires ? { expires } : {}) })],
      });
    expect([
      at('2014-05-13'),
      at('2014-05-11'),
      at('2013-01-01', '2030-01-01'),
      at('2020-01-01', '2026-05-01'),
    ]).toEqual(['ready', 'stop', 'stop', 'stop']);
  });
  test('by day an open sailing boat under 26 ft without a motor is asked for no signals; by night she is', () => {
    const open = (boat: Aboard['boat'], night = false) => {
      const w = aboard({
        night,
        boat: { kind: 'skiff', length: 20 * FT, propulsion: [{ kind: 'sail', cruise: 2 }], ...boat },
      });
      return [w.level('kit/US-VDS-02/'), w.level('kit/US-VDS-03/')];
    };
    expect(open({ cabin: false })).toEqual([undefined, undefined]);
    expect(open({ cabin: true })).toEqual(['stop', undefined]);
    expect(open({ kind: 'trailer-boat' })[0]).toBe('fix');
    expect(open({ cabin: false }, true)[1]).toBe('stop');
    expect(open({ cabin: false, length: 26 * FT })[0]).toBe('stop');
    expect(open({ kind: 'catamaran' })).toEqual([undefined, undefined]);
  });
  test('the link is worn by whoever drives, declared; a cord in a locker is not worn', () => {
    const cord = (said: boolean | undefined) =>
      level('US-ECOS', {
        boat: { length: 5, cutOffSwitch: true, propulsion: [{ kind: 'outboard', cruise: 5, power: 9000 }] },
        gear: kit('kill-cord'),
        people: [aPerson()],
        crew: [said === undefined ? {} : { cord: said }],
      });
    expect([cord(true), cord(false), cord(undefined)]).toEqual(['ready', 'stop', 'fix']);
  });
});
