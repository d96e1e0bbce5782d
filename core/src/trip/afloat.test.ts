import { describe, expect, test } from '@jest/globals';
import { figureNamed } from '../verdict';
import { aBoat, aPerson } from '../../test/demo';
import { lastLook } from '../kit';
import { Boat } from '../model';
import { render } from '../say';
import { HORSEPOWER } from '../units';
import { assess } from '.';
import { skiff, world } from '../../test/afloat';

const reader = { units: 'metric', zone: 'UTC', locale: 'en-GB' } as const;

describe('how she lies', () => {
  test('freeboard, trim and list are figures; enough of it is Ready', () => {
    const { figures, level } = world(skiff(), [aPerson()]);
    expect(level('lie/edge')).toBe('ready');
    expect(figureNamed(figures, 'boat/freeboard')!.value).toBeGreaterThan(0.2);
    expect(figureNamed(figures, 'boat/freeboard-bow')!.value).toBeGreaterThan(
      figureNamed(figures, 'boat/freeboard-stern')!.value,
    );
  });
  test('two at the stern bring her down by the stern, one at the side lists her, and the mend opens the plan', () => {
    const people = [aPerson({ mass: 95 }), aPerson({ mass: 95 })];
    const aft = world(skiff(), people, {
      crew: [{ seat: { x: 0.02, y: 0.1 } }, { seat: { x: 0.02, y: -0.1 } }],
    });
    expect(aft.say('lie/trim')[0]).toMatch(/down by the stern/);
    const side = world(skiff(), [aPerson({ mass: 70 })], { crew: [{ seat: { x: 0.45, y: 0.8 } }] });
    expect(side.say('lie/heel')[0]).toMatch(/to port/);
    expect(side.find('lie/heel')?.mend).toMatchObject({ open: 'pack/load' });
  });
  test('guessed measures never make a Stop, however heavy; stated ones do where the edge is at the water', () => {
    const crowd = Array.from({ length: 12 }, () => aPerson({ mass: 170 }));
    const lies = (basis?: Boat['basis']) =>
      world(skiff({ plate: 'none', advisedLoad: undefined, basis }), crowd).findings.filter((f) =>
        f.id.startsWith('lie/'),
      );
    expect(lies({ '/depth': 'guessed' }).filter((f) => f.level === 'stop')).toEqual([]);
    expect(lies({ '/depth': 'guessed' }).find((f) => f.id.startsWith('lie/awash'))?.level).toBe('fix');
    expect(lies().find((f) => f.id.startsWith('lie/awash'))?.level).toBe('stop');
  });
  test('without beam nothing is drawn from the air: the measure is asked for', () =>
    expect(world(skiff({ beam: undefined }), [aPerson()]).find('lie/measures')?.mend).toMatchObject({
      go: { type: 'boat', pointer: '/beam' },
    }));
  test('what rests on a guess, or leaves somebody out, is said and is no pass', () => {
    const guessed = world(skiff({ depth: undefined, mass: undefined }), [aPerson()]).find('lie/edge')!;
    expect(guessed.level).toBe('know');
    expect(guessed.assumed.map((a) => render(a, reader))).toEqual(['Of her measures only guessed: 2.']);
    const unweighed = world(skiff(), [aPerson(), aPerson({ name: 'Bo', mass: undefined })]).find('lie/edge')!;
    expect([unweighed.level, unweighed.assumed.map((a) => render(a, reader))]).toEqual([
      'know',
      ['Bo left out: no weight was entered.'],
    ]);
    expect([guessed.mend, unweighed.mend]).toMatchObject([
      { go: { type: 'boat', pointer: '/depth' } },
      { go: { type: 'person', pointer: '/mass' } },
    ]);
  });
});

describe('plates', () => {
  test('people heavier than the plate allows, and a motor stronger than it, are Stops of the maker', () => {
    const heavy = world(skiff(), [aPerson({ mass: 170 }), aPerson({ mass: 170 })]);
    expect(heavy.level('load/people')).toBe('stop');
    expect(
      world(skiff({ plate: { persons: 4, totalMass: 400, power: 10 * HORSEPOWER } }), [aPerson()]).level(
        'load/power',
      ),
    ).toBe('stop');
    expect(
      world(skiff({ plate: { persons: 4, totalMass: 400, power: 15 * HORSEPOWER } }), [aPerson()]).level(
        'load/power',
      ),
    ).toBeUndefined();
  });
  test('without any limit the federal formula gives an estimate, never a Stop; over it a Fix', () => {
    const bare = (people: number) =>
      world(
        skiff({ plate: 'none' }),
        Array.from({ length: people }, () => aPerson({ mass: 90 })),
      );
    expect(bare(1).level('load/limit')).toBe('know');
    expect(figureNamed(bare(1).figures, 'boat/estimate')!.guessed).toBe(true);
    expect(bare(6).level('load/limit')).toBe('fix');
  });
  test('a plate that allows more than the hull could float with is called a contradiction', () => {
    expect(
      world(skiff({ plate: { persons: 4, totalMass: 9000 } }), [aPerson()]).level('lie/contradiction'),
    ).toBe('know');
    expect(world(skiff(), [aPerson()]).level('lie/contradiction')).toBeUndefined();
  });
  test('without a plate the federal table speaks, as a Fix; never for an inflatable', () => {
    const strong = {
      propulsion: [{ kind: 'outboard' as const, cruise: 5, power: 60 * HORSEPOWER }],
      plate: 'none' as const,
    };
    const tiller = { controls: { steering: 'tiller' as const }, bottom: 'other' as const };
    expect(world(skiff({ ...strong, ...tiller }), [aPerson()]).find('load/power')).toMatchObject({
      level: 'fix',
      assumed: [],
    });
    // What hangs on steering and transom that nobody entered is open, and says so.
    expect(world(skiff(strong), [aPerson()]).find('load/power')).toMatchObject({
      level: 'know',
      assumed: [{ say: 'load.power.assumed' }],
    });
    expect(world(skiff({ ...strong, kind: 'inflatable' }), [aPerson()]).level('load/power')).toBeUndefined();
  });
  test('a trailer over its plate is a Stop; a light hitch a Fix, a fair one Ready', () => {
    const trailer = (more: object) =>
      world(skiff({ trailer: { mass: 150, most: 400, tongue: 26, ...more } }), [aPerson()]);
    expect(trailer({}).level('trailer/tongue')).toBe('ready');
    expect(trailer({ tongue: 10 }).say('trailer/tongue')[0]).toMatch(/snakes/);
    expect(trailer({ tongue: 60 }).say('trailer/tongue')[0]).toMatch(/lifts/);
    expect(trailer({ most: 200 }).level('trailer/most')).toBe('stop');
    expect(trailer({ car: 200 }).level('trailer/car')).toBe('stop');
  });
});

describe('full of water', () => {
  test('nobody said: asked; foam without litres: asked how much; nothing at all and heavy stuff: she sinks', () => {
    expect(world(skiff({ flotation: undefined }), [aPerson()]).find('lie/swamped')?.mend).toMatchObject({
      go: { pointer: '/flotation' },
    });
    expect(
      world(skiff({ flotation: 'foam', material: 'alloy' }), [aPerson()]).find('lie/swamped')?.mend,
    ).toMatchObject({ go: { pointer: '/reserve' } });
    expect(world(skiff({ flotation: 'none', material: 'alloy' }), [aPerson()]).level('lie/swamped')).toBe(
      'fix',
    );
  });
  test('foam along both sides keeps her level in the end; that she may roll over while she fills is said, and is no pass', () => {
    const { level, say } = world(
      skiff({
        flotation: 'foam',
        material: 'alloy',
        reserve: [{ what: 'foam', where: 'sides', litres: 220 }],
      }),
      [aPerson(), aPerson()],
    );
    expect([level('lie/swamped'), say('lie/swamped').join(' ')]).toEqual([
      'know',
      expect.stringMatching(/level\..*carries everyone.*roll over first/),
    ]);
  });
  test('tubes carry her crew level, on stated facts alone; a guess is no pass', () => {
    const tubes = (basis?: Boat['basis']) =>
      world(
        aBoat({
          kind: 'inflatable',
          length: 3.8,
          beam: 1.8,
          depth: 0.45,
          mass: 70,
          material: 'fabric',
          flotation: 'air-bags',
          basis,
        }),
        [aPerson(), aPerson()],
        { crew: [{ seat: { x: 0.45, y: 0.2 } }, { seat: { x: 0.5, y: -0.2 } }] },
      ).level('lie/swamped');
    expect(tubes()).toBe('ready');
    for (const pointer of ['/flotation', '/mass', '/length', '/beam', '/depth', '/material'])
      expect(tubes({ [pointer]: 'guessed' })).toBe('know');
  });
  test('a sealed hull is as good as its hatches: with them she is never Ready, and both halves are said', () => {
    const kayak = (more: Partial<Boat> = {}) =>
      world(
        aBoat({
          kind: 'sit-on-top',
          length: 3.9,
          beam: 0.8,
          depth: 0.33,
          mass: 30,
          material: 'polyethylene',
          flotation: 'sealed-hull',
          seats: 1,
          ...more,
        }),
        [aPerson()],
      );
    expect(kayak().level('lie/swamped')).toBe('ready');
    const hatch = kayak({ openings: [{ name: 'Front hatch', kind: 'hatch', where: 'bow' }] });
    expect([hatch.level('lie/swamped'), hatch.say('lie/swamped').join(' ')]).toEqual([
      'know',
      expect.stringMatching(/With Front hatch shut: She floats.*With her hull full.*bears nobody/),
    ]);
    expect(kayak({ basis: { '/flotation': 'guessed' } }).level('lie/swamped')).toBe('know');
  });
  test('one bag in the bow alone is no seat for anybody', () => {
    const bag = world(
      aBoat({
        kind: 'sit-inside',
        length: 4.2,
        beam: 0.62,
        depth: 0.32,
        mass: 25,
        material: 'polyethylene',
        flotation: 'air-bags',
        reserve: [{ what: 'bag', where: 'bow', litres: 60 }],
      }),
      [aPerson()],
    );
    expect([bag.level('lie/swamped'), bag.say('lie/swamped').join(' ')]).toEqual([
      'know',
      expect.stringMatching(/Nobody can sit in her/),
    ]);
  });
  test('foam in the bow alone: she stands on end, and nobody is promised a seat', () => {
    const { level, say } = world(
      skiff({ flotation: 'foam', material: 'alloy', reserve: [{ what: 'foam', where: 'bow', litres: 300 }] }),
      [aPerson(), aPerson()],
    );
    expect([level('lie/swamped'), say('lie/swamped').join(' ')]).toEqual([
      'know',
      expect.stringMatching(/one end.*Nobody can sit in her/),
    ]);
  });
});

describe('openings', () => {
  const LEAVE = Date.UTC(2026, 4, 12, 12);
  const with_ = (worked: 'inside' | 'underneath' | undefined, felt?: number) => {
    const { input } = world(
      skiff({ openings: [{ name: 'Plug', kind: 'plug', ...(worked ? { worked } : {}) }] }),
      [aPerson()],
    );
    return assess({
      ...input,
      ...(felt === undefined ? {} : { ticks: new Map([['last:plug', felt]]) }),
    }).findings.find((f) => f.id.startsWith('openings/'));
  };
  test('not felt shut is a Know, only reached from underneath a Fix, ticked at the last look Ready; none listed, none asked', () => {
    expect([
      with_('inside')?.level,
      with_(undefined)?.level,
      with_('underneath')?.level,
      with_('underneath', LEAVE - 20 * 60_000)?.level,
    ]).toEqual(['know', 'know', 'fix', 'ready']);
    // Felt shut the evening before is not shut at the water.
    expect(
      with_('underneath', LEAVE - 15 * 3_600_000)
        ?.because.map((b) => render(b, reader))
        .join(' '),
    ).toMatch(/too long before you leave/);
    expect([4, 4.02].map((h) => with_('inside', LEAVE - h * 3_600_000)?.level)).toEqual(['ready', 'know']);
    expect(with_('underneath')?.because.map((b) => render(b, reader))[1]).toMatch(
      /^Plug: only reached from underneath/,
    );
    expect(lastLook(new Set()).map((row) => `last:${row.id}`)).toContain('last:plug');
    expect(world(skiff(), [aPerson()]).find('openings/')).toBeUndefined();
  });
});

describe('ways home', () => {
  test('one is a finding, two are Ready; a way too long for arms is a Fix', () => {
    expect(
      world(skiff({ propulsion: [{ kind: 'outboard', cruise: 5 }] }), [aPerson()]).level('ways/count'),
    ).toBe('know');
    expect(world(skiff(), [aPerson()]).level('ways/count')).toBe('ready');
    expect(
      world(skiff({ propulsion: [{ kind: 'oars', cruise: 0.1 }] }), [aPerson()]).say('ways/range'),
    ).toEqual([expect.stringMatching(/5.5 h with the oars/)]);
  });
});
