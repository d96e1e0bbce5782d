import { describe, expect, test } from '@jest/globals';
import { check } from '../../test/check';
import { aBoat, anItem, aPerson, id } from '../../test/demo';
import { skiff } from '../../test/afloat';
import { beachAt, gapOf, happens, scene, told } from '../../test/what-if';
import { haywardSurvival } from '../body';
import { distance } from '../earth';
import { INCIDENTS, MEASURES, gapBetween, incidentsFor, phasesOf, standingOf, type Body } from '.';

const MINUTE = 60,
  HOUR = 3600;
const one = (more: Partial<Body> = {}): Body => ({
  person: aPerson(),
  jacket: 'yes',
  clothing: 'light',
  signals: [],
  driver: true,
  ...more,
});
const at = (temperature: number) => ({ low: temperature, high: temperature });
const minutes = ({ low, high }: { low: number; high: number }) => [low / MINUTE, high / MINUTE];

check(
  'recalled',
  'cold-table',
  'worn out within the published minutes, by the temperature of the water',
  () => {
    const worn = (t: number) => minutes(phasesOf(one(), at(t)).worn!);
    expect([worn(0), worn(2), worn(8), worn(12), worn(18), worn(25)]).toEqual([
      [0, 15],
      [15, 30],
      [30, 60],
      [60, 120],
      [120, 420],
      [180, 720],
    ]);
    expect(phasesOf(one(), at(27)).worn).toBeUndefined();
  },
);
check(
  'recalled',
  'cold-1-10-1',
  'ten minutes of hands are stated up to ten degrees; above only that it is no sooner',
  () => {
    const hands = (t: number) => phasesOf(one(), at(t)).hands;
    expect(minutes(hands(8)!)).toEqual([10, 30]);
    expect(minutes(hands(12)!)).toEqual([10, 60]);
    expect(hands(18)).toBeUndefined();
    expect([phasesOf(one(), at(10)).gasps, phasesOf(one(), at(18)).gasps]).toEqual([true, false]);
  },
);
check(
  'recalled',
  'hayward',
  'the mean of survival lies inside the band that is told, at each temperature of its range',
  () => {
    for (const t of [1, 5, 10, 15, 19]) {
      const { survives } = phasesOf(one(), at(t));
      // Its mean lies above what the table calls the least; for cold water above its most as well, and no mean is told here.
      expect(haywardSurvival(t)!).toBeGreaterThan(survives!.low);
    }
  },
);
test('without a jacket one may go under from the start; where nobody said so, nobody knows until when', () => {
  expect(minutes(phasesOf(one({ jacket: 'no' }), at(8)).under!)).toEqual([0, 30]);
  expect(minutes(phasesOf(one({ jacket: 'unknown' }), at(8)).under!)).toEqual([0, Infinity]);
  expect(phasesOf(one(), at(8)).under).toBeUndefined();
});
test('clothes put the near end off and leave the far one open; what nobody said is light', () => {
  expect(minutes(phasesOf(one({ clothing: 'dry-suit' }), at(8)).worn!)).toEqual([60, Infinity]);
  const { clothing: _, ...unsaid } = one();
  expect([minutes(phasesOf(unsaid, at(8)).worn!), phasesOf(unsaid, at(8)).unsaid]).toEqual([[30, 60], true]);
});

describe('a gap', () => {
  test.each([
    // limit, remedies, gap
    [[10, 30], [[40, 60]], [10, 50]],
    [[10, 30], [[5, 8]], [0, 0]],
    [[10, 30], [[5, 20]], [0, 10]],
    // The surest of several ends it, the soonest of them may.
    [
      [10, 30],
      [
        [50, 60],
        [1, Infinity],
      ],
      [0, 50],
    ],
    [[10, Infinity], [[40, 60]], [0, 50]],
    [[10, 30], [], [Infinity, Infinity]],
    [[0, Infinity], [[Infinity, Infinity]], [0, Infinity]],
  ] as [number[], number[][], number[]][])('of %j against %j is %j', (limit, remedies, gap) => {
    const band = ([low, high]: number[]) => ({ low, high });
    expect(gapBetween(band(limit), remedies.map(band))).toEqual(band(gap));
  });

  test('capsized alone at ten degrees, told ashore: hands against the hour at which they are asked to ring', () => {
    const input = scene();
    const { schedule } = standingOf(input).assessment;
    const after = (instant: number) => (instant - schedule!.leave) / 1000 - HOUR;
    const { known } = happens(input, 'capsized');
    expect(known).toEqual({ low: after(schedule!.overdue!), high: after(schedule!.alarm!) });
    // An hour after leaving; ten minutes of hands at least, sixty at most before one is worn out.
    expect(gapOf(input, 'capsized', 'hands')!.gap.high).toBeCloseTo(after(schedule!.alarm!) - 10 * MINUTE, 3);
    expect(told(input, 'capsized').worst).toMatch(/^Hands may fail .* before anybody knows\.$/);
  });
  test('a check-in that is missed tells sooner than the hour home', () => {
    const input = scene({ trip: { checkInMinutes: 60 } });
    const { known } = happens(input, 'capsized', 30 * MINUTE);
    // At an hour, and the grace that a check-in has; ten minutes more until somebody acts.
    expect(known.high).toBeLessThan(HOUR + 15 * MINUTE);
    expect(told(input, 'capsized', 30 * MINUTE).said('know-check-in')).toMatch(/Ada is told/);
  });
  test('whoever checked in early has kept the next one: at the worst the one after it tells', () => {
    const known = (minutes: number) =>
      happens(scene({ trip: { checkInMinutes: 60 } }), 'capsized', minutes * MINUTE).known.high / MINUTE;
    // Twenty minutes after leaving nobody has kept the check-in of the first hour; forty minutes after, somebody may have.
    expect(known(40) + 40 - (known(20) + 20)).toBeCloseTo(60, 6);
  });
  test('nobody ashore: nothing sure ends it, and that is said', () => {
    const input = scene({ trip: { contacts: [] } });
    const gap = gapOf(input, 'capsized', 'hands')!;
    expect([gap.gap.high, gap.grade]).toEqual([Infinity, 3]);
    expect(told(input, 'capsized').said('know-ashore')).toBe('Nobody ashore is told.');
  });
  test('a plan that was filed and not accepted is counted on by nobody', () => {
    const filed = (accepted: boolean) => {
      const input = scene();
      const { schedule } = standingOf(input).assessment;
      const times = { leave: 0, home: 0, overdue: 0, alarm: 0, ...schedule, checkIns: [] };
      const contacts = [{ id: id(), name: 'Ada', accepted }];
      return {
        ...input,
        plan: { state: 'filed', times, contacts, channel: 'real' } as unknown as typeof input.plan,
      } as typeof input;
    };
    expect(gapOf(filed(false), 'capsized', 'hands')!.gap.high).toBe(Infinity);
    expect(gapOf(filed(true), 'capsized', 'hands')!.gap.high).toBeLessThan(Infinity);
    expect(told(filed(false), 'capsized').said('know-ashore')).toMatch(/has not said yes/);
  });
  test('a telephone that is simulated is told as one; where no message leaves nobody is counted on', () => {
    const simulated = scene({ more: { channels: [{ name: 'telephone', simulated: true }] } });
    expect(told(simulated, 'capsized').said('know-ashore')).toMatch(/simulated here and reaches nobody/);
    expect(gapOf(simulated, 'capsized', 'hands')!.leans.map(({ say }) => say)).toEqual([
      'gap.leans.simulated',
    ]);
    const nothing = scene({ more: { channels: [] } });
    expect(gapOf(nothing, 'capsized', 'hands')!.gap.high).toBe(Infinity);
    expect(told(nothing, 'capsized').said('know-ashore')).toMatch(/^No message leaves this machine/);
  });
});

describe('who would know', () => {
  const beacon = anItem('beacon', { stowage: 'on-body', registered: true, expires: '2028-01-01' } as never);
  test('a phone is counted on only where somebody said that it is heard on this water, and when', () => {
    const phone = anItem('phone', { stowage: 'on-body', cased: true, charge: 1 } as never);
    const heard = (help: object) =>
      happens(scene({ gear: [phone], water: { help } as never }), 'capsized').known.high;
    expect(heard({ phone: 'all', on: '2026-05-01' })).toBe(10 * MINUTE);
    for (const help of [
      {},
      { phone: 'all' },
      { phone: 'part', on: '2026-05-01' },
      { phone: 'none', on: '2026-05-01' },
    ])
      expect(heard(help)).toBeGreaterThan(HOUR);
  });
  test('a beacon on the body is, one in a hatch of a boat that is over is not', () => {
    const known = (stowage: 'on-body' | 'hatch') =>
      happens(scene({ gear: [{ ...beacon, stowage }] }), 'capsized').known.high;
    expect([known('on-body') <= HOUR, known('hatch') <= HOUR]).toEqual([true, false]);
  });
  test('boats that go together miss each other by day; at night as far as a light or a noise tells', () => {
    const other = aBoat({ name: 'Gull' }),
      mate = aPerson({ name: 'Mate' });
    const input = scene();
    const withCompany = (time: string) => ({
      ...input,
      shed: {
        ...input.shed,
        boats: [...input.shed.boats, other],
        people: [...input.shed.people, mate],
      },
      trip: {
        ...input.trip,
        leave: { date: '2026-05-12', time },
        company: [{ boat: other.id, people: [mate.id] }],
      },
    });
    expect(happens(withCompany('12:00'), 'capsized').known.high).toBe(10 * MINUTE);
    expect(happens(withCompany('01:00'), 'capsized').known.high).toBeGreaterThan(HOUR);
  });
  test('help is planned on only by a time that somebody said, and when they said it', () => {
    const said = (help: object) => happens(scene({ water: { help } as never }), 'capsized');
    const { known, help } = said({ minutes: 40, source: 'Harbour office', on: '2026-05-01' });
    expect(help).toEqual({ low: known.low + 40 * MINUTE, high: known.high + 40 * MINUTE });
    for (const lacking of [{ minutes: 40 }, { minutes: 40, source: 'X' }, { minutes: 40, on: '2026-05-01' }])
      expect(said(lacking).help).toBeUndefined();
    expect(told(scene(), 'capsized').said('help')).toMatch(/plan on none/);
  });
});

describe('where she goes', () => {
  check(
    'recalled',
    'leeway',
    'an open flat-bottomed skiff in four metres a second: 0.034 of it and 0.04 kn, for an hour',
    () => {
      const { moment } = happens(scene(), 'drive');
      const { points } = moment.drift('afloat')!.middle;
      const metres = distance(moment.here, points[6].position).metres;
      // By its published middle, within the scatter of the tests.
      expect(metres / HOUR / 4).toBeGreaterThan(0.02);
      expect(metres / HOUR / 4).toBeLessThan(0.05);
    },
  );
  test('to the nearest landing at the speed that is left: a paddle that is spare drives at half', () => {
    const input = scene({ gear: [anItem('spare-paddle')], places: [beachAt(0.02)] });
    const { landed, nearest, speed } = happens(input, 'drive');
    expect(speed).toEqual({ low: 0.375, high: 0.75 });
    expect(landed!.low).toBeCloseTo(nearest!.landing.metres / 0.75, 6);
    expect(landed!.high).toBeCloseTo(nearest!.landing.metres / 0.375, 6);
  });
  test('the stream helps at best and holds up at worst; where it runs as fast nobody gets there', () => {
    const river = (speed: number) =>
      happens(scene({ water: { class: 'river', stage: { speed, downstream: 0 } } }), 'thunder').landed!;
    expect(river(0.5).high).toBeGreaterThan(river(0.1).high);
    expect(river(0.8).high).toBe(Infinity);
  });
});

describe('what is not known', () => {
  test('no forecast: what cold does, where she drifts and the wind are not told, and say what would settle it', () => {
    const { answer, said, all } = told(scene({ cold: null }), 'capsized');
    expect(said('cold')).toMatch(/not known/);
    expect(said('drift')).toMatch(/can’t be told/);
    expect(answer.told.map(({ id: about }) => about)).not.toContain('worn');
    expect(all).not.toMatch(/Hands no longer|Worn out/);
    expect(answer.gaps[0].leans.map(({ say }) => say)).toContain('gap.leans.water');
    expect(answer.told.find(({ id: about }) => about === 'cold')?.mend).toBeDefined();
  });
  test('weather that was made up widens what cold does by three degrees either way, and says so', () => {
    const input = scene({ cold: 12 });
    const shown = {
      ...input,
      conditions: { forecast: { ...input.conditions.forecast!, invented: true as const } },
    };
    expect(minutes(happens(input, 'capsized').phases!.worn!)).toEqual([60, 120]);
    expect(minutes(happens(shown, 'capsized').phases!.worn!)).toEqual([30, 120]);
    expect(told(shown, 'capsized').said('worn')).toMatch(/made up for show/);
  });
  test('no opening, no measures: how soon she is full is not told', () => {
    const bare = aBoat({ length: undefined, openings: [{ name: 'Plug', kind: 'plug' }] as never });
    expect(told(scene({ boat: bare, trip: { speed: 2 } }), 'flooding').said('full')).toMatch(/can’t be told/);
  });
  test('a jacket, a cord and clothes that were only guessed count as not said', () => {
    const input = scene({ crew: [{ wearsJacket: true, clothing: 'dry-suit' }] });
    const basis = { '/crew/0/wearsJacket': 'guessed', '/crew/0/clothing': 'guessed' } as const;
    const [body] = standingOf({ ...input, trip: { ...input.trip, basis } }).bodies;
    expect([body.jacket, body.clothing]).toEqual(['unknown', undefined]);
  });
  test('what one climbs in by is named only where it is aboard, and in reach', () => {
    const boat = aBoat({
      kind: 'sit-on-top',
      length: 3.8,
      beam: 0.8,
      mass: 32,
      propulsion: [{ kind: 'paddle', cruise: 1.4 }],
    });
    const gear = [
      anItem('re-entry-strap', { name: 'Strap' }),
      anItem('paddle-float', { name: 'Float at home', stowage: 'home' }),
      anItem('righting-line', { name: 'Line of another', fittedTo: id() }),
    ];
    expect(told(scene({ boat, gear }), 'capsized').said('out')).toMatch(/To climb in by: Strap\./);
    expect(told(scene({ boat, gear: gear.slice(1) }), 'capsized').said('out')).toMatch(
      /Nothing to climb in by/,
    );
  });
  test('no anchor, no depth, no landing: each is said, none is filled in', () => {
    const { said } = told(scene(), 'drive');
    expect(said('anchor')).toBe('No anchor is aboard.');
    const anchor = anItem('anchor', { mass: 4 } as never);
    expect(told(scene({ gear: [anchor] }), 'drive').said('anchor')).toMatch(/The depth is not known here/);
  });
});

describe('which incidents', () => {
  const ids = (input: ReturnType<typeof scene>) =>
    incidentsFor(standingOf(input).context).map(({ id: each }) => each);
  test('by what she has and who goes', () => {
    const alone = ids(scene());
    expect(alone).toEqual(expect.arrayContaining(['drive', 'capsized', 'fog', 'thunder', 'hurt', 'silence']));
    for (const never of ['engine', 'overboard', 'driver', 'companion', 'flooding'])
      expect(alone).not.toContain(never);
    const two = ids(
      scene({
        boat: skiff({ openings: [{ name: 'Plug', kind: 'plug' }] as never }),
        people: [aPerson(), aPerson()],
        crew: [{}, {}],
      }),
    );
    expect(two).toEqual(expect.arrayContaining(['engine', 'overboard', 'unseen', 'driver', 'flooding']));
    // Where a motor drives her nobody has to go on by their own strength; two who paddle may.
    expect(two).not.toContain('companion');
    expect(ids(scene({ people: [aPerson(), aPerson()], crew: [{}, {}] }))).toContain('companion');
  });
  test('each is measured by something that there is', () => {
    const known = new Set(MEASURES.map(({ id: each }) => each));
    for (const { measures } of INCIDENTS) for (const each of measures) expect(known.has(each)).toBe(true);
  });
  test('overboard and seen: those aboard come back; without a way in again nothing sure ends it', () => {
    const pair = {
      people: [aPerson(), aPerson()],
      crew: [{ role: 'skipper' as const, wearsJacket: true }, { wearsJacket: true }],
    };
    const out = (gear: ReturnType<typeof anItem>[]) => happens(scene({ ...pair, gear }), 'overboard').out!;
    expect(minutes(out([]))).toEqual([2, Infinity]);
    const three = scene({
      people: [aPerson(), aPerson(), aPerson()],
      crew: [{ wearsJacket: true }, { wearsJacket: true }, { wearsJacket: true }],
      gear: [anItem('boarding-ladder')],
    });
    expect(minutes(happens(three, 'overboard').out!)).toEqual([2, 10]);
  });
});
