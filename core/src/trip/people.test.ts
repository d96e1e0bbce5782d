import { describe, expect, test } from '@jest/globals';
import { aboard, type Aboard } from '../../test/aboard';
import { aBoat, anItem, aPerson } from '../../test/demo';
import { assess } from '.';

const NAMES = ['Ann', 'Ben', 'Cat', 'Dov', 'Eva', 'Fin'];
const six = () => NAMES.map((name) => aPerson({ name, born: '1990-01-01', mass: 75 }));
const jackets = (people: { id: string }[], more = {}) =>
  people.map((p, i) =>
    anItem('foam-jacket', {
      name: `Jacket ${i + 1}`,
      owner: p.id,
      minMass: 40,
      maxMass: 120,
      buoyancy: 100,
      stowage: 'on-body',
      ...more,
    }),
  );
const BOAT = { kind: 'trailer-boat' as const, length: 5, seats: 6 };

describe('each body by itself', () => {
  test.each([
    ['whistle', 'P-WHISTLE', 'fix'],
    ['knife', 'P-KNIFE', 'know'],
  ])('one %s for six people is never Ready; one fixed to each worn jacket is', (kind, rule, short) => {
    const people = six();
    const worn = jackets(people);
    const crew = people.map((_, i) => ({ jacket: worn[i].id, wearsJacket: true }));
    const on = (n: number) =>
      worn
        .slice(0, n)
        .map((jacket, i) => anItem(kind, { name: `${kind} ${i + 1}`, on: jacket.id, stowage: 'on-body' }));
    const level = (gear: ReturnType<typeof on>, more: Partial<Aboard> = {}) =>
      aboard({
        boat: { ...BOAT, kind: 'sit-on-top' },
        people,
        crew,
        gear: [...worn, ...gear],
        ...more,
      }).level(`kit/${rule}/`);
    expect([0, 1, 5, 6].map((n) => level(on(n)))).toEqual([short, short, short, 'ready']);
    // Six of them in one jacket's pocket serve one body.
    expect(level([anItem(kind, { count: 6, on: worn[0].id, stowage: 'on-body' })])).toBe(short);
    // One who does not wear it does not carry it.
    expect(level(on(6), { crew: crew.map((c, i) => (i === 3 ? { ...c, wearsJacket: false } : c)) })).toBe(
      short,
    );
    expect(level(on(6), { crew: crew.map((c, i) => (i === 3 ? { jacket: c.jacket } : c)) })).not.toBe(
      'ready',
    );
  });
  test('a jacket in a hatch that nobody wears takes its whistle along', () => {
    const [ann] = six();
    const [jacket] = jackets([ann], { stowage: 'buried' });
    const whistle = anItem('whistle', { on: jacket.id, stowage: 'on-body' });
    const say = (wearsJacket: boolean | undefined) => {
      const w = aboard({
        boat: BOAT,
        people: [ann],
        crew: [{ jacket: jacket.id, ...(wearsJacket === undefined ? {} : { wearsJacket }) }],
        gear: [jacket, whistle],
      });
      return [w.level('kit/NAV-33/'), w.level('kit/US-PFD-03/')];
    };
    expect(say(true)).toEqual(['ready', 'ready']);
    for (const said of [false, undefined]) expect(say(said)).not.toContain('ready');
  });
});

describe('what hangs on what is gone', () => {
  const [ann] = six();
  const [jacket] = jackets([ann]);
  const horn = (more: object) =>
    aboard({
      boat: BOAT,
      people: [ann],
      crew: [{ jacket: jacket.id, wearsJacket: true }],
      gear: [
        jacket,
        anItem('horn', more),
        anItem('dry-bag', {
          id: '01890000-0000-7000-9000-0000000000ba',
          on: '01890000-0000-7000-9000-0000000000cc',
        }),
        anItem('cool-box', { id: '01890000-0000-7000-9000-0000000000cc', stowage: 'home' }),
      ],
    }).level('kit/NAV-33/');
  test.each<[string, object]>([
    ['a host that is not in the shed', { on: '01890000-0000-7000-9000-00000000dead' }],
    ['a bag on a crate that stays home', { on: '01890000-0000-7000-9000-0000000000ba' }],
    ['an owner who is not in the shed', { owner: '01890000-0000-7000-9000-00000000dead' }],
  ])('%s', (_name, more) => expect(horn(more)).not.toBe('ready'));
  test('without any of it, it counts', () => expect(horn({})).toBe('ready'));
  test('somebody in the crew who was deleted from the shed still wants a jacket', () => {
    const w = aboard({
      boat: BOAT,
      people: [ann],
      crew: [{ jacket: jacket.id, wearsJacket: true }],
      gear: [jacket],
    });
    const gone = { person: '01890000-0000-7000-9000-00000000dead', role: 'crew' as const };
    const a = assess({ ...w.input, trip: { ...w.input.trip, crew: [...w.input.trip.crew, gone] } });
    expect(w.level('kit/US-PFD-03/')).toBe('ready');
    expect(a.findings.find((f) => f.id.startsWith('kit/US-PFD-03/'))?.level).not.toBe('ready');
    expect(a.findings.filter((f) => f.level === 'ready' && f.id.startsWith('lie/'))).toEqual([]);
  });
});

describe('approvals', () => {
  const level = (approval: string | undefined, jurisdiction = 'US') => {
    const [ann] = six();
    const [jacket] = jackets([ann], { approval });
    const w = aboard({
      boat: BOAT,
      people: [ann],
      crew: [{ jacket: jacket.id, wearsJacket: true }],
      gear: [jacket],
      water: { jurisdiction: [jurisdiction] },
    });
    return w.level(`kit/${jurisdiction === 'US' ? 'US-PFD-03' : 'CA-LJ'}/`);
  };
  test.each<[string | undefined, string, string]>([
    ['USCG 160.064', 'US', 'ready'],
    ['not approved', 'US', 'stop'],
    ['none', 'US', 'stop'],
    ['unknown', 'US', 'fix'],
    ['', 'US', 'fix'],
    [undefined, 'US', 'fix'],
    ['?', 'US', 'fix'],
    ['CE 0158', 'US', 'stop'],
    ['ISO 12402-5', 'US', 'stop'],
    ['ISO 12402-5', 'CA', 'stop'],
    ['Transport Canada', 'CA', 'ready'],
    ['not approved', 'CA', 'stop'],
  ])('%s in %s: %s', (approval, jurisdiction, wanted) => expect(level(approval, jurisdiction)).toBe(wanted));
});

describe('boats in company', () => {
  const together = (child: object, wears: string[] | undefined, jacketed = true) => {
    const [ann] = six();
    const kid = aPerson({ name: 'Kit', mass: 25, ...child });
    const other = aBoat({ name: 'Gull', length: 4 });
    const own = jackets([ann])[0];
    const small = anItem('child-jacket', { owner: kid.id, minMass: 15, maxMass: 35, stowage: 'on-body' });
    const company = [
      { boat: other.id, people: [kid.id], ...(wears ? { wears: wears.map(() => kid.id) } : {}) },
    ];
    const w = aboard({
      boat: BOAT,
      people: [ann, kid],
      boats: [other],
      gear: [own, ...(jacketed ? [small] : [])],
      trip: { crew: [{ person: ann.id, role: 'skipper', jacket: own.id, wearsJacket: true }], company },
    });
    return { w, at: (rule: string) => w.level(`kit/${rule}/${other.id}`) };
  };
  test('a child there needs a jacket of her own and wears it', () => {
    expect(together({ born: '2019-01-01' }, ['wears'], false).at('US-PFD-03')).toBe('stop');
    expect(together({ born: '2019-01-01' }, ['wears']).at('US-PFD-05')).toBe('ready');
    expect(together({ born: '2019-01-01' }, undefined).at('US-PFD-05')).toBe('fix');
    // Who is not named among those who wear theirs has not said so.
    expect(together({ born: '2019-01-01' }, []).at('US-PFD-05')).toBe('fix');
  });
  test('of unknown age the duty to wear it is open; a grown person has none', () => {
    expect(together({ born: undefined }, undefined).at('US-PFD-05')).toBe('fix');
    expect(together({ born: '1990-01-01', mass: 30 }, undefined).at('US-PFD-05')).toBeUndefined();
  });
});

describe('wearing', () => {
  test('declared without a jacket that counts is not Ready, under any list', () => {
    for (const jurisdiction of [['US'], ['GB'], []]) {
      const w = aboard({ boat: BOAT, crew: [{ wearsJacket: true }], water: { jurisdiction } });
      expect(
        w.findings
          .filter((f) => f.level === 'ready' && /worn|jacket/i.test(JSON.stringify(f.title)))
          .map((f) => f.id),
      ).toEqual([]);
    }
  });
  test('of two lists of one country that are switched by themselves, the one that is off says so', () => {
    const w = aboard({ boat: BOAT, water: { jurisdiction: ['GB'], without: ['united-kingdom-advice'] } });
    expect(w.find('rules/off')?.level).toBeDefined();
    expect(w.level('kit/UKA-WORN')).toBeUndefined();
    expect(w.level('kit/UK-SOUND')).toBe('stop');
    expect(aboard({ boat: BOAT, water: { jurisdiction: ['GB'] } }).find('rules/off')).toBeUndefined();
  });
});

describe('seats, lists and what vanishes', () => {
  const measures = {
    beam: 2,
    depth: 0.8,
    mass: 400,
    plate: { persons: 4, totalMass: 500, personsMass: 320 },
  };
  test('more people than stated seats is a Stop, than guessed seats a Fix; unknown seats are never Ready', () => {
    const at = (boat: Aboard['boat']) =>
      aboard({ boat: { kind: 'sit-on-top', length: 4, beam: 0.8, ...boat }, people: six().slice(0, 2) });
    const both = (boat: Aboard['boat']) => ['load/seats', 'load/persons'].map((id) => at(boat).level(id));
    expect(both({ seats: 1 })).toEqual(['stop', undefined]);
    expect(both({ seats: 1, basis: { '/seats': 'guessed' } })).toEqual(['fix', 'know']);
    expect(both({ seats: 2, plate: 'none' })).toEqual([undefined, 'ready']);
    // A plate that nobody spoke of may allow fewer than there are seats.
    expect(both({ seats: 2 })).toEqual([undefined, 'know']);
    expect(both({})).toEqual(['fix', 'know']);
  });
  test('eight degrees of list at rest are a Fix, and freeboard beside it is no pass', () => {
    const heavy = six()
      .slice(0, 3)
      .map((p) => ({ ...p, mass: 110 }));
    const w = aboard({
      boat: { ...BOAT, ...measures, mass: 400 },
      people: heavy,
      crew: heavy.map(() => ({ seat: { x: 0.45, y: 0.5 } })),
    });
    expect([w.level('lie/heel'), w.level('lie/edge')]).toEqual(['fix', expect.not.stringMatching('ready')]);
  });
  test.each<[string, Aboard['boat'], Aboard['boat'], string]>([
    [
      'the plate’s persons',
      { ...measures, plate: { persons: 1, totalMass: 500 } },
      { ...measures, plate: { totalMass: 500 } },
      'load/persons',
    ],
    [
      'the plate’s power',
      {
        ...measures,
        plate: { persons: 4, totalMass: 500, power: 10_000 },
        propulsion: [{ kind: 'outboard', cruise: 5, power: 50_000 }],
      },
      {
        ...measures,
        plate: { persons: 4, totalMass: 500 },
        propulsion: [{ kind: 'outboard', cruise: 5, power: 50_000 }],
      },
      'load/power',
    ],
    [
      'the mass on the trailer',
      { ...measures, trailer: { mass: 200, most: 500, car: 2000 } },
      { ...measures, trailer: { most: 500, car: 2000 } },
      'trailer/',
    ],
  ])('%s taken away: unknown, never silence', (_name, before, after, id) => {
    const people = six().slice(0, 2);
    const [was, is] = [before, after].map((boat) => aboard({ boat: { ...BOAT, ...boat }, people }));
    expect(['stop', 'fix']).toContain(was.level(id));
    expect(['fix', 'know']).toContain(is.level(id));
  });
});
