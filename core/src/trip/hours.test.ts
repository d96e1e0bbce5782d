import { describe, expect, test } from '@jest/globals';
import { figureNamed } from '../verdict';
import { getTimes } from 'suncalc';
import { check } from '../../test/check';
import { anItem, aPerson, aPlace, aWater, inputOf, steady } from '../../test/demo';
import type { Assessment, Forecast, TideStation, Trip, Water } from '../model';
import { render } from '../say';
import { assess, prepare, type AssessInput } from '.';
import { packsFor } from '../rules';

const HOUR = 3_600_000;
const reader = { units: 'metric', zone: 'UTC', locale: 'en-GB' } as const;

interface Given {
  lat?: number;
  lon?: number;
  zone?: string;
  date?: string;
  time?: string;
  /** Minutes at the halt: how long the trip lasts, but for an hour of going. */
  minutes?: number;
  trip?: Partial<Trip>;
  water?: Partial<Water> | null;
  forecast?: Forecast;
  now?: number;
  works?: number;
}

/** Somebody alone in the demo's kayak at a stated speed, an hour of going and a halt, anywhere and at any hour. */
function world({
  lat = 41.2,
  lon = -29.5,
  zone = 'UTC',
  date = '2026-05-12',
  time = '10:00',
  minutes = 60,
  ...more
}: Given = {}) {
  const base = inputOf();
  const water = more.water === null ? undefined : aWater({ zone, class: 'lake', ...more.water });
  const launch = aPlace({
    position: { lat, lon },
    ...(more.works === undefined ? {} : { works: more.works }),
  });
  const halt = aPlace({ kind: 'ground', position: { lat: lat + (lat > 89 ? -0.01 : 0.01), lon } });
  const trip: Trip = {
    ...base.trip,
    water: water?.id,
    launch: launch.id,
    halts: [{ place: halt.id, minutes }],
    leave: { date, time },
    speed: 0.73,
    limits: { wind: 10, gust: 15 },
    stow: [],
    ...more.trip,
  };
  const from = Date.parse(`${date}T00:00:00Z`) - 36 * HOUR;
  const hours = Array.from({ length: 120 }, (_, i) => ({
    at: new Date(from + i * HOUR).toISOString(),
    wind: 4,
    gust: 6,
    from: 220,
    air: 15,
    water: 13.4,
    visibility: 20_000,
    thunder: false,
  }));
  const forecast = more.forecast ?? { issuedAt: new Date(from).toISOString(), source: 'test', hours };
  const input: AssessInput = {
    ...base,
    trip,
    shed: { ...base.shed, places: [launch, halt], waters: water ? [water] : [], debriefs: [] },
    conditions: { forecast },
    packs: packsFor(water?.jurisdiction ?? []),
    now: more.now ?? from,
  };
  const a = assess(input);
  const find = (id: string) => a.findings.find((f) => f.id.startsWith(id));
  return {
    input,
    a,
    find,
    level: (id: string) => find(id)?.level,
    say: (id: string) => (find(id)?.because ?? []).map((b) => render(b, { ...reader, zone })).join(' '),
  };
}

describe('light over the whole span', () => {
  test('leave 23:30, home 03:15: a night trip, never "17 h of daylight left"', () => {
    const w = world({ zone: 'Europe/London', lat: 51, lon: -1, time: '23:30', minutes: 165 });
    expect([w.level('day/light'), w.level('day/dark-leave')]).toEqual(['fix', 'fix']);
    expect(w.say('day/light')).toMatch(/the sun set at/);
    expect(w.a.schedule!.latestTurn).toBeUndefined();
    expect(w.find('day/turn')?.level).toBe('know');
  });
  test('leaving after sunset says so; leaving shortly before sunrise is only known', () => {
    expect(world({ time: '23:00', minutes: 30 }).say('day/dark-leave')).toMatch(/the sun set at/);
    const dawn = world({ lat: 51, lon: 0, date: '2026-09-22', time: '05:20' });
    expect([dawn.level('day/dark-leave'), dawn.level('day/light')]).toEqual(['know', 'ready']);
    expect(
      world({ lat: 51, lon: 0, date: '2026-09-22', time: '03:00', minutes: 300 }).level('day/dark-leave'),
    ).toBe('fix');
  });
  test('a night in between is said, though both ends are in daylight', () => {
    const w = world({ lat: 51, lon: 0, date: '2026-09-22', time: '15:00', minutes: 18 * 60 });
    expect(w.level('day/night')).toBe('fix');
    expect(w.a.requirements.find((r) => r.rule === 'NAV-25D')?.applies).toBe('yes');
  });
  test('polar night: dark at noon, and said; midnight sun: daylight at midnight', () => {
    const night = world({ lat: 78, lon: 15, date: '2026-12-21', time: '12:00' });
    expect([night.level('day/light'), night.level('day/dark-leave')]).toEqual(['fix', 'fix']);
    expect(night.say('day/light')).toMatch(/does not rise/);
    const sun = world({ lat: 78, lon: 15, date: '2026-06-21', time: '23:30' });
    expect([sun.level('day/light'), sun.find('day/dark-leave')]).toEqual(['ready', undefined]);
    expect(sun.say('day/light')).toMatch(/does not set/);
  });
  const PLACES = [
    [51.5, -0.1, 'Europe/London'],
    [-36.8, 174.8, 'Pacific/Auckland'],
    [-13.8, -171.8, 'Pacific/Apia'],
    [64.1, -21.9, 'Atlantic/Reykjavik'],
    [-54.8, -68.3, 'America/Argentina/Ushuaia'],
  ] as const;
  for (const [lat, lon, zone] of PLACES)
    for (const date of ['2026-03-29', '2026-06-21', '2026-12-21'])
      check(
        'run here',
        { title: 'suncalc 2.0.2' },
        `daylight left when landing at ${lat}, ${lon} on ${date}, noon there`,
        () => {
          const w = world({ lat, lon, zone, date, time: '11:00' });
          const home = w.a.schedule!.home!;
          const sunset = [0, 1]
            .map((d) =>
              (
                getTimes(new Date(home + d * 12 * HOUR), lat, lon) as unknown as { sunset: Date }
              ).sunset?.getTime(),
            )
            .filter((t) => t > home)
            .sort((a, b) => a - b)[0];
          expect(
            Math.abs(figureNamed(w.a.figures, 'passage/daylight')!.value * 1000 - (sunset - home)),
          ).toBeLessThan(90_000);
        },
      );
});

describe('hours of the clock across midnight', () => {
  test('home by 01:30 after leaving at 20:00 is the next day; dragged past it, it does not run away', () => {
    const w = world({ time: '20:00', minutes: 5 * 60, trip: { homeBy: '01:30' } });
    expect(w.level('day/home-by')).toBe('fix');
    expect(
      world({ time: '20:00', minutes: 120, trip: { homeBy: '01:30' } }).find('day/home-by'),
    ).toBeUndefined();
    const day = world({ time: '10:00', trip: { homeBy: '13:00' } });
    const late = prepare(day.input).at(Date.parse('2026-05-12T17:30:00Z'));
    expect(late.findings.find((f) => f.id.startsWith('day/home-by'))?.level).toBe('fix');
  });
  test('up at 21:55 for a start past midnight is no night’s sleep', () => {
    const w = world({ time: '00:40', trip: { driveMinutes: 35 } });
    expect(w.level('ready/up')).toBe('know');
    expect(w.say('ready/up')).toMatch(/short night/);
  });
  test('an hour that is left out has no departure; a span over the change is as long as it is', () => {
    expect(world({ zone: 'Europe/Paris', date: '2026-03-29', time: '02:30' }).level('day/gap')).toBe('fix');
    const over = world({ zone: 'Europe/Paris', date: '2026-10-25', time: '01:00', minutes: 180 });
    const { leave, home } = over.a.schedule!;
    expect(home! - leave).toBeGreaterThan(3 * HOUR);
    expect(new Date(leave).toISOString()).toBe('2026-10-24T23:00:00.000Z');
  });
  test('without a water no zone is known: no hours, and nothing about them is Ready', () => {
    const w = world({ water: null });
    expect([w.a.leave, w.a.schedule]).toEqual([undefined, undefined]);
    expect(w.level('trip/no-water')).toBe('fix');
    expect(w.a.findings.filter((f) => f.id.startsWith('day/') && f.level === 'ready')).toEqual([]);
  });
});

describe('seasons, ages and dates over the days of the trip', () => {
  test('what is reckoned from a guessed speed is called a guess, daylight left among it', () => {
    const { a } = world({ trip: { speed: 1, basis: { '/speed': 'guessed' } } });
    for (const name of ['home', 'turn-back', 'daylight'])
      expect([name, figureNamed(a.figures, `passage/${name}`)?.guessed]).toEqual([name, true]);
    expect(figureNamed(world().a.figures, 'passage/daylight')!.guessed).toBeUndefined();
  });
  test('whoever has a birthday on the way is asked on both sides of it', () => {
    const grown = aPerson({ born: '2008-05-13', mass: 70 });
    const w = world({ time: '22:00', minutes: 240 });
    const [pack] = w.input.packs;
    const rule = {
      ...pack.rules[0],
      id: 'OWN-18',
      when: {
        some: 'crew' as const,
        where: { fact: 'person.age', atLeast: { value: 18, unit: 'years' as const } },
      },
    };
    const input = {
      ...w.input,
      packs: [{ ...pack, rules: [rule] }],
      trip: { ...w.input.trip, crew: [{ person: grown.id, role: 'skipper' as const }] },
      shed: { ...w.input.shed, people: [grown] },
    };
    expect(assess(input).requirements.find((r) => r.rule === 'OWN-18')?.applies).toBe('yes');
  });
  const NY = { jurisdiction: ['US', 'US-NY'] };
  const cold = (a: Assessment) => a.requirements.find((r) => r.rule === 'NY-COLD')?.applies;
  test.each<[string, string, number, string]>([
    ['2026-10-31', '12:00', 60, 'no'],
    ['2026-10-31', '22:00', 180, 'yes'],
    ['2026-11-01', '00:00', 60, 'yes'],
    ['2026-05-01', '23:00', 180, 'yes'],
    ['2026-05-02', '00:30', 60, 'no'],
    ['2026-12-31', '22:00', 300, 'yes'],
  ])('worn from 1 November to 1 May: %s %s for %i minutes: %s', (date, time, minutes, applies) => {
    expect(
      cold(world({ zone: 'America/New_York', lat: 43, lon: -76, date, time, minutes, water: NY }).a),
    ).toBe(applies);
  });
  test('where nobody knows when it ends, a season that is near is open', () => {
    const w = world({
      zone: 'America/New_York',
      date: '2026-10-31',
      time: '12:00',
      water: NY,
      trip: { halts: [] },
    });
    expect(cold(w.a)).toBe('unknown');
  });
  test('a flare that ends that evening counts only when home is known', () => {
    const flares = (more: Given) => {
      const w = world({ ...more, water: { class: 'coastal', answers: { 'us-signal-waters': true } } });
      const gear = [anItem('hand-flare', { count: 3, approval: '160.021', expires: '2026-05-12' })];
      const a = assess({ ...w.input, shed: { ...w.input.shed, gear } });
      return a.findings.find((f) => f.id.startsWith('kit/P-SIGNAL'))?.level;
    };
    expect([flares({}), flares({ trip: { halts: [] } }), flares({ time: '22:00', minutes: 180 })]).toEqual([
      'ready',
      'know',
      'know',
    ]);
  });
  test('a child who turns thirteen at midnight wears it all the way', () => {
    const child = aPerson({ born: '2013-05-13', mass: 45 });
    const w = world({ time: '22:00', minutes: 240 });
    const input = {
      ...w.input,
      trip: { ...w.input.trip, crew: [{ person: child.id, role: 'skipper' as const }] },
      shed: { ...w.input.shed, people: [child] },
    };
    expect(assess(input).requirements.find((r) => r.rule === 'US-PFD-05')?.applies).toBe('yes');
  });
});

describe('a forecast for part of the hours', () => {
  const cut = (
    keep: (at: string) => boolean,
    change: (h: Forecast['hours'][number]) => object = (h) => h,
  ): Forecast => {
    const all = steady({ thunder: false });
    return {
      ...all,
      hours: all.hours.filter((h) => keep(h.at)).map((h) => change(h) as Forecast['hours'][number]),
    };
  };
  const NOW = Date.UTC(2026, 4, 11, 15);
  const at = (forecast: Forecast, more: Given = {}) => world({ forecast, now: NOW, ...more });
  test('whole: wind within the limit is Ready; cut at either end or with a hole: open, and never within the limit', () => {
    expect(at(cut(() => true)).level('day/wind-ok')).toBe('ready');
    for (const keep of [
      (t: string) => t < '2026-05-12T11',
      (t: string) => t > '2026-05-12T10:30',
      (t: string) => t < '2026-05-12T12' || t > '2026-05-12T16',
    ]) {
      const w = at(cut(keep), { minutes: 8 * 60 });
      expect([w.find('day/wind-ok'), w.level('day/forecast-part')]).toEqual([undefined, 'fix']);
    }
  });
  test('what is bad in the part that is known is bad', () => {
    const w = at(
      cut(
        (t) => t < '2026-05-12T11',
        (h) => ({ ...h, wind: 12 }),
      ),
    );
    expect(w.level('day/wind/')).toBe('stop');
  });
  test('visibility for part of the hours gives no "no poor visibility": lights are open', () => {
    const w = at(
      cut(
        () => true,
        (h) => (h.at > '2026-05-12T10:30' ? { ...h, visibility: undefined } : h),
      ),
    );
    expect(w.a.requirements.find((r) => r.rule === 'NAV-25D')?.applies).toBe('unknown');
    expect(w.level('day/forecast-lacks')).toBe('know');
    const fog = at(
      cut(
        () => true,
        (h) => (h.at > '2026-05-12T10:30' ? { ...h, visibility: undefined } : { ...h, visibility: 500 }),
      ),
    );
    expect(fog.a.requirements.find((r) => r.rule === 'NAV-25D')?.applies).toBe('yes');
  });
  test('invented weather settles nothing and says so in every sentence that leans on it', () => {
    const w = at({ ...cut(() => true), invented: true });
    expect(w.level('day/wind-ok')).toBe('know');
    for (const id of ['day/wind-ok', 'day/cold/', 'day/dress/'])
      expect(w.say(id)).toMatch(/[Ii]nvented weather/);
    const warm = w.a.findings.find((f) => f.id.startsWith('kit/P-WARM'));
    expect(warm?.because.map((b) => render(b, reader)).join(' ')).toMatch(/invented weather/);
  });
});

describe('one rounding for what is compared and what is printed', () => {
  const table = (height: number): TideStation => ({
    kind: 'table',
    name: 't',
    datum: 'chart datum',
    rows: [
      { at: '2026-05-12T09:00:00Z', height },
      { at: '2026-05-12T15:00:00Z', height: height + 0.001 },
    ],
  });
  const tide = (height: number) => world({ works: 0.7, water: { class: 'coastal', tide: table(height) } });
  test('0.698 m reads 0.7 m and is enough; 0.64 m reads 0.6 m and is not', () => {
    expect(tide(0.698).level('day/tide/')).toBe('ready');
    const low = tide(0.64);
    expect([low.level('day/tide-leave'), low.say('day/tide-leave')]).toEqual([
      'stop',
      expect.stringMatching(/0\.6 m; .* works from 0\.7 m/),
    ]);
  });
  test('wind that reads like its limit is at it, not over it', () => {
    const wind = (value: number) =>
      world({
        trip: { limits: { wind: 7.2, gust: 30 } },
        forecast: steady({ wind: value, thunder: false }),
        now: Date.UTC(2026, 4, 11),
      }).level('day/wind/');
    expect([wind(7.21), wind(7.3)]).toEqual([undefined, 'stop']);
  });
});

describe('a tide station that lies off the launch', () => {
  const off = (degrees: number | undefined, works: number) =>
    world({
      works,
      water: {
        class: 'coastal',
        tide: {
          kind: 'constants',
          name: 'Outer Pier',
          datum: 'MLLW',
          z0: 2,
          constituents: [{ name: 'M2', amplitude: 0.1, phase: 0 }],
          ...(degrees === undefined
            ? {}
            : {
                station: { id: 'x', where: '', position: { lat: 41.2 + degrees, lon: -29.5 }, source: 's' },
              }),
        },
      },
    });
  test('14.4 km off it stands for the launch, 15.5 km off it settles nothing and says how far it is', () => {
    expect([off(undefined, 1), off(0.13, 1)].map((w) => w.level('day/tide/'))).toEqual(['ready', 'ready']);
    const far = off(0.14, 1).find('day/tide/')!;
    expect([far.level, far.open, render(far.assumed[0], reader)]).toEqual([
      'know',
      true,
      expect.stringMatching(/^The tide is that of Outer Pier, .* from /),
    ]);
  });
  test('and stops nobody', () => {
    expect([off(0.13, 5), off(0.14, 5)].map((w) => w.level('day/tide-leave'))).toEqual(['stop', 'fix']);
  });
});

describe('a typed tide table', () => {
  const row = (h: number, height: number, turn?: 'high' | 'low') => ({
    at: new Date(Date.UTC(2026, 4, 12, 0) + h * HOUR).toISOString(),
    height,
    ...(turn ? { turn } : {}),
  });
  const tideAt = (rows: ReturnType<typeof row>[], time: string) => {
    const w = world({
      works: 1,
      time,
      water: { class: 'coastal', tide: { kind: 'table', name: 't', datum: 'chart datum', rows } },
    });
    return [w.level('day/tide/'), figureNamed(w.a.figures, 'water/tide-leave')?.value];
  };
  const whole = [row(2, 4.8), row(8.2, 0.4), row(14.4, 4.9), row(20.6, 0.5)];
  test('with a row missing, low water is not 4.8 m: it is not known', () => {
    expect(tideAt(whole, '08:12')[1]).toBeCloseTo(0.4, 6);
    const missing = whole.filter((_, i) => i !== 1);
    expect(tideAt(missing, '08:12')).toEqual(['fix', undefined]);
    const told = [row(2, 4.8, 'high'), row(14.4, 4.9, 'high'), row(20.6, 0.5, 'low')];
    expect(tideAt(told, '08:12')).toEqual(['fix', undefined]);
  });
  test('only high waters typed are no diurnal tide; one high a day is, where it was said', () => {
    const highs = [row(2, 4.8), row(14.4, 4.6), row(26.8, 4.9)];
    expect(tideAt(highs, '08:12')).toEqual(['fix', undefined]);
    const diurnal = [row(2, 1.8, 'high'), row(14.4, 0.6, 'low'), row(26.8, 1.9, 'high')];
    expect(tideAt(diurnal, '08:12')[1]).toBeCloseTo(1.2, 2);
  });
});
