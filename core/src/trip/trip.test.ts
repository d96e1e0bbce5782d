import { describe, expect, test } from '@jest/globals';
import { figureNamed, countLevels, worstLevel } from '../verdict';
import { aBoat, aPerson, aPlace, aWater, inputOf, steady } from '../../test/demo';
import { dayLight } from '../earth';
import { applyPatch } from '../formats';
import { LEVELS, type Assessment, type Finding, type Trip } from '../model';
import { assess, type AssessInput } from '.';

const find = (a: Assessment, prefix: string): Finding | undefined =>
  a.findings.find((f) => f.id.startsWith(prefix));
const HOUR = 3_600_000;

describe('the demo morning', () => {
  const input = inputOf();
  const a = assess(input);
  test('the whistle rides on the jacket that stays home: Stop, and one tap moves it', () => {
    const stop = find(a, 'kit/NAV-33')!;
    expect(stop.level).toBe('stop');
    if (!stop.mend || !('do' in stop.mend)) throw new Error('no tap');
    const { id, patch } = stop.mend.do;
    const gear = input.shed.gear.map((g) => (g.id === id ? applyPatch(g, patch) : g));
    const after = assess({ ...input, shed: { ...input.shed, gear } });
    expect(find(after, 'kit/NAV-33')?.level).toBe('ready');
    // On the body only while the jacket is: that has to be said.
    expect(find(after, 'kit/P-WHISTLE')?.level).toBe('know');
    const worn = { ...input.trip, crew: input.trip.crew.map((c) => ({ ...c, wearsJacket: true })) };
    expect(
      find(assess({ ...input, trip: worn, shed: { ...input.shed, gear } }), 'kit/P-WHISTLE')?.level,
    ).toBe('ready');
  });
  test('the light is asked for before sunrise and not by day', () => {
    expect(find(a, 'kit/NAV-25D')?.level).toBe('ready');
    const day = assess(inputOf(0, { trip: { leave: { date: input.trip.leave.date, time: '09:00' } } }));
    expect(day.requirements.find((r) => r.rule === 'NAV-25D')?.applies).toBe('no');
    expect(find(day, 'kit/NAV-25D')).toBeUndefined();
  });
  test('a question of the pack that nobody answered leaves the law open: Fix, with the field', () => {
    const f = find(a, 'kit/US-VDS-03')!;
    expect(f.level).toBe('fix');
    expect(f.mend).toMatchObject({ go: { type: 'water', pointer: '/answers/us-signal-waters' } });
  });
  test('home is leave + legs at the speed with rest + halts in a calm, reckoned apart', () => {
    const s = assess(inputOf(0, { forecast: steady({ wind: 0, gust: 0 }) })).schedule!;
    const metres = s.legs.reduce((sum, leg) => sum + leg.metres, 0);
    const seconds = (metres / figureNamed(a.figures, 'passage/speed')!.value) * (70 / 60) + 80 * 60;
    expect(s.home! - s.leave).toBeCloseTo(seconds * 1000, -3);
    expect(s.overdue! - s.home!).toBe(HOUR);
  });
  test('the latest turn is an hour before sunset less the way back', () => {
    const { sunset } = dayLight({ lat: 41.2, lon: -29.5 }, a.schedule!.leave);
    const back = a.schedule!.legs.at(-1)!;
    expect(a.schedule!.latestTurn).toBeCloseTo(sunset! - HOUR - (back.arrives - back.departs), -3);
  });
  test('the same input gives the same answer to the letter', () =>
    expect(JSON.stringify(assess(inputOf()))).toBe(JSON.stringify(assess(inputOf()))));
  test('worst first, and the counts are those of the findings', () => {
    const ranks = a.findings.map((f) => LEVELS.indexOf(f.level));
    expect(ranks).toEqual([...ranks].sort((x, y) => x - y));
    expect(Object.values(countLevels(a.findings)).reduce((x, y) => x + y)).toBe(a.findings.length);
    expect(worstLevel([])).toBe('ready');
  });
});

/** 33 CFR 175 B and C and the Navigation Rules for the kit of this thread, both sides of each boundary (recalled, sections in the pack). */
describe('federal rules on the facts', () => {
  const FT = 0.3048;
  const date = '2026-05-12';
  interface Given {
    feet?: number;
    motor?: boolean;
    kind?: 'skiff' | 'canoe' | 'catamaran';
    night?: boolean;
    signals?: boolean;
    born?: string;
  }
  const made = ({
    feet = 14,
    motor = false,
    kind = 'skiff',
    night = false,
    signals = true,
    born = '1990-01-01',
  }: Given) => {
    const water = aWater({ answers: { 'us-signal-waters': signals } }),
      launch = aPlace(),
      halt = aPlace({ kind: 'ground', position: { lat: 41.21, lon: -29.5 } });
    const boat = aBoat({
      kind,
      length: feet * FT,
      propulsion: [{ kind: motor ? 'outboard' : kind === 'catamaran' ? 'sail' : 'paddle', cruise: 2 }],
    });
    const person = aPerson({ born });
    const trip: Trip = {
      ...inputOf().trip,
      boat: boat.id,
      crew: [{ person: person.id, role: 'skipper' }],
      water: water.id,
      launch: launch.id,
      halts: [{ place: halt.id, minutes: 10 }],
      leave: { date, time: night ? '03:00' : '12:00' },
      stow: [],
    };
    const input = inputOf(0, {
      trip,
      shed: { boats: [boat], people: [person], gear: [], places: [launch, halt], waters: [water] },
    });
    return Object.fromEntries(assess({ ...input, trip }).requirements.map((r) => [r.rule, r.applies]));
  };
  test.each<[string, Given, string, string]>([
    ['throwable', { feet: 15 + 11 / 12 }, 'US-PFD-04', 'no'],
    ['throwable', { feet: 16 }, 'US-PFD-04', 'yes'],
    ['throwable, canoe', { feet: 17, kind: 'canoe' }, 'US-PFD-04', 'no'],
    ['child of 12', { born: '2013-05-13' }, 'US-PFD-05', 'yes'],
    ['child of 13', { born: '2013-05-12' }, 'US-PFD-05', 'no'],
    ['born that year', { born: '2013' }, 'US-PFD-05', 'unknown'],
    ['day signals', { feet: 16, motor: true }, 'US-VDS-02', 'yes'],
    ['day signals, short', { feet: 15.9, motor: true }, 'US-VDS-02', 'no'],
    ['day signals, by hand', { feet: 17 }, 'US-VDS-02', 'no'],
    ['day signals, lake', { feet: 17, motor: true, signals: false }, 'US-VDS-02', 'no'],
    ['night signals, short, by day', { feet: 14, motor: true }, 'US-VDS-03', 'no'],
    ['night signals, short, by night', { feet: 14, motor: true, night: true }, 'US-VDS-03', 'yes'],
    ['night signals, long by hand', { feet: 17, night: true }, 'US-VDS-03', 'yes'],
    ['night signals, open sail', { feet: 20, kind: 'catamaran', night: true }, 'US-VDS-03', 'yes'],
    ['lights under power', { motor: true, night: true }, 'NAV-23D', 'yes'],
    ['lights under power, day', { motor: true }, 'NAV-23D', 'no'],
    ['hand light', { night: true }, 'NAV-25D', 'yes'],
    ['hand light under power', { motor: true, night: true }, 'NAV-25D', 'no'],
    ['sound', {}, 'NAV-33', 'yes'],
  ])('%s %j: %s %s', (_name, facts, rule, applies) => expect(made(facts)[rule]).toBe(applies));
});

describe('what can go wrong', () => {
  const trip = inputOf().trip;
  test('an hour that the clocks leave out', () => {
    const waters = inputOf().shed.waters.map((w) => ({ ...w, zone: 'Europe/Paris' }));
    const a = assess(
      inputOf(0, { trip: { leave: { date: '2026-03-29', time: '02:30' } }, shed: { waters } }),
    );
    expect(a.leave).toBeUndefined();
    expect(find(a, 'day/gap')?.level).toBe('fix');
    expect(
      find(
        assess(inputOf(0, { trip: { leave: { date: '2026-10-25', time: '02:30' } }, shed: { waters } })),
        'day/twice',
      )?.level,
    ).toBe('know');
  });
  test('a departure in the past', () =>
    expect(
      find(assess(inputOf(0, { trip: { leave: { date: '2026-05-10', time: '08:00' } } })), 'day/past')?.level,
    ).toBe('fix'));
  test('no forecast, an old one, one that ends too early', () => {
    expect(find(assess(inputOf(0, { forecast: null })), 'day/forecast/')?.level).toBe('fix');
    expect(find(assess(inputOf(0, { forecast: null })), 'day/cold/')?.level).toBe('know');
    expect(
      find(
        assess(inputOf(0, { forecast: { ...steady(), issuedAt: '2026-05-11T02:59:00Z' } })),
        'day/forecast-age',
      )?.level,
    ).toBe('know');
    const cut = steady();
    expect(
      find(
        assess(inputOf(0, { forecast: { ...cut, hours: cut.hours.filter((h) => h.at < '2026-05-12T08') } })),
        'day/forecast-part',
      )?.level,
    ).toBe('fix');
  });
  test('wind and gust over what the person set are a Stop, at the limit they are not', () => {
    const limits = { wind: 7.2, gust: 10.3 };
    expect(
      find(
        assess(inputOf(1, { trip: { limits, speed: 1.5 }, forecast: steady({ wind: 7.2, gust: 10.3 }) })),
        'day/wind-ok',
      )?.level,
    ).toBe('ready');
    expect(
      find(
        assess(inputOf(0, { trip: { limits }, forecast: steady({ wind: 7.2, gust: 10.3 }) })),
        'day/wind-ok',
      )?.level,
    ).toBe('know');
    expect(
      find(assess(inputOf(0, { trip: { limits }, forecast: steady({ wind: 7.3 }) })), 'day/wind/')?.level,
    ).toBe('stop');
    expect(
      find(assess(inputOf(0, { trip: { limits }, forecast: steady({ gust: 10.4 }) })), 'day/gust/')?.level,
    ).toBe('stop');
  });
  test('over the plate is a Stop; over a guessed figure is a Fix', () => {
    const over = (basis?: Record<string, 'guessed'>) =>
      inputOf(0, {
        trip: { load: [{ name: 'stones', mass: 300 }] },
        shed: { boats: inputOf().shed.boats.map((b) => (b.id === trip.boat ? { ...b, basis } : b)) },
      });
    expect(find(assess(over()), 'load/over')?.level).toBe('stop');
    expect(find(assess(over({ '/advisedLoad': 'guessed' })), 'load/over')?.level).toBe('fix');
  });
  test('a trip with nothing in it is all findings and no crash', () => {
    const a = assess(
      inputOf(0, {
        trip: {
          boat: undefined,
          crew: [],
          water: undefined,
          launch: undefined,
          halts: [],
          contacts: [],
          load: [],
        },
      }),
    );
    for (const id of [
      'trip/no-boat',
      'trip/no-crew',
      'trip/no-water',
      'trip/no-launch',
      'trip/no-route',
      'plan/contact',
    ])
      expect(find(a, id)?.level).toBe('fix');
    expect(a.schedule).toBeUndefined();
  });
  test('things that are gone from the shed are said', () => {
    const a = assess(inputOf(0, { shed: { boats: [], people: [], places: [] } }));
    for (const id of ['trip/no-boat', 'trip/crew-gone', 'trip/no-launch', 'trip/route-gone'])
      expect(find(a, id)?.level).toBe('fix');
  });
  test('the plan that was filed and no longer fits is said', () => {
    const input = inputOf();
    const s = assess(input).schedule!;
    const plan = (home: number, accepted: boolean): AssessInput['plan'] => ({
      state: 'filed',
      times: { leave: s.leave, home, overdue: home + HOUR, checkIns: [] },
      contacts: [{ id: 'c', name: 'Ada', accepted }],
    });
    expect(find(assess({ ...input, plan: plan(s.home!, true) }), 'plan/filed')?.level).toBe('ready');
    expect(find(assess({ ...input, plan: plan(s.home!, false) }), 'plan/accept')?.level).toBe('fix');
    expect(find(assess({ ...input, plan: plan(s.home! - HOUR, true) }), 'plan/changed')?.level).toBe('fix');
  });
});
