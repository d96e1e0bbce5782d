import { describe, expect, test } from '@jest/globals';
import { figureNamed , countLevels, worstLevel } from '../verdict';
import fc from 'fast-check';
import { runs } from '../../test/runs';
import { aBoat, aPerson, aPlace, aWater, inputOf, steady } from '../../test/demo';
import { dayLight } from '../earth';
import { applyPatch } from '../formats';
import { LEVELS, THINGS, type Assessment, type Finding, type Trip } from '../model';
import { render } from '../say';
import { sourceOf } from '../sources';
import { assess, prepare, stripAxis, stripOf, sweep, type AssessInput } from '.';
import { PACKS, packsFor, packsOf } from '../rules';

const find = (a: Assessment, prefix: string): Finding | undefined => a.findings.find((f) => f.id.startsWith(prefix));
const HOUR = 3_600_000;
const reader = { units: 'metric', zone: 'UTC', locale: 'en-GB' } as const;

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
    expect(find(assess({ ...input, trip: worn, shed: { ...input.shed, gear } }), 'kit/P-WHISTLE')?.level).toBe('ready');
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
  test('home is leave + legs at the speed with rest + halts, reckoned apart', () => {
    const s = a.schedule!;
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
  test('the same input gives the same answer to the letter', () => expect(JSON.stringify(assess(inputOf()))).toBe(JSON.stringify(assess(inputOf()))));
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
  interface Given { feet?: number; motor?: boolean; kind?: 'skiff' | 'canoe' | 'catamaran'; night?: boolean; signals?: boolean; born?: string }
  const made = ({ feet = 14, motor = false, kind = 'skiff', night = false, signals = true, born = '1990-01-01' }: Given) => {
    const water = aWater({ answers: { 'us-signal-waters': signals } }), launch = aPlace(), halt = aPlace({ kind: 'ground', position: { lat: 41.21, lon: -29.5 } });
    const boat = aBoat({ kind, length: feet * FT, propulsion: [{ kind: motor ? 'outboard' : kind === 'catamaran' ? 'sail' : 'paddle', cruise: 2 }] });
    const person = aPerson({ born });
    const trip: Trip = { ...inputOf().trip, boat: boat.id, crew: [{ person: person.id, role: 'skipper' }], water: water.id, launch: launch.id, halts: [{ place: halt.id, minutes: 10 }], leave: { date, time: night ? '03:00' : '12:00' }, stow: [] };
    const input = inputOf(0, { trip, shed: { boats: [boat], people: [person], gear: [], places: [launch, halt], waters: [water] } });
    return Object.fromEntries(assess({ ...input, trip }).requirements.map((r) => [r.rule, r.applies]));
  };
  test.each<[string, Given, string, string]>([
    ['throwable', { feet: 15 + 11 / 12 }, 'US-PFD-04', 'no'], ['throwable', { feet: 16 }, 'US-PFD-04', 'yes'], ['throwable, canoe', { feet: 17, kind: 'canoe' }, 'US-PFD-04', 'no'],
    ['child of 12', { born: '2013-05-13' }, 'US-PFD-05', 'yes'], ['child of 13', { born: '2013-05-12' }, 'US-PFD-05', 'no'], ['born that year', { born: '2013' }, 'US-PFD-05', 'unknown'],
    ['day signals', { feet: 16, motor: true }, 'US-VDS-02', 'yes'], ['day signals, short', { feet: 15.9, motor: true }, 'US-VDS-02', 'no'], ['day signals, by hand', { feet: 17 }, 'US-VDS-02', 'no'], ['day signals, lake', { feet: 17, motor: true, signals: false }, 'US-VDS-02', 'no'],
    ['night signals, short, by day', { feet: 14, motor: true }, 'US-VDS-03', 'no'], ['night signals, short, by night', { feet: 14, motor: true, night: true }, 'US-VDS-03', 'yes'], ['night signals, long by hand', { feet: 17, night: true }, 'US-VDS-03', 'yes'], ['night signals, open sail', { feet: 20, kind: 'catamaran', night: true }, 'US-VDS-03', 'yes'],
    ['lights under power', { motor: true, night: true }, 'NAV-23D', 'yes'], ['lights under power, day', { motor: true }, 'NAV-23D', 'no'], ['hand light', { night: true }, 'NAV-25D', 'yes'], ['hand light under power', { motor: true, night: true }, 'NAV-25D', 'no'], ['sound', {}, 'NAV-33', 'yes'],
  ])('%s %j: %s %s', (_name, facts, rule, applies) => expect(made(facts)[rule]).toBe(applies));
});

describe('what can go wrong', () => {
  const trip = inputOf().trip;
  test('an hour that the clocks leave out', () => {
    const waters = inputOf().shed.waters.map((w) => ({ ...w, zone: 'Europe/Paris' }));
    const a = assess(inputOf(0, { trip: { leave: { date: '2026-03-29', time: '02:30' } }, shed: { waters } }));
    expect(a.leave).toBeUndefined();
    expect(find(a, 'day/gap')?.level).toBe('fix');
    expect(find(assess(inputOf(0, { trip: { leave: { date: '2026-10-25', time: '02:30' } }, shed: { waters } })), 'day/twice')?.level).toBe('know');
  });
  test('a departure in the past', () => expect(find(assess(inputOf(0, { trip: { leave: { date: '2026-05-10', time: '08:00' } } })), 'day/past')?.level).toBe('fix'));
  test('no forecast, an old one, one that ends too early', () => {
    expect(find(assess(inputOf(0, { forecast: null })), 'day/forecast/')?.level).toBe('fix');
    expect(find(assess(inputOf(0, { forecast: null })), 'day/cold/')?.level).toBe('know');
    expect(find(assess(inputOf(0, { forecast: { ...steady(), issuedAt: '2026-05-11T02:59:00Z' } })), 'day/forecast-age')?.level).toBe('know');
    const cut = steady();
    expect(find(assess(inputOf(0, { forecast: { ...cut, hours: cut.hours.filter((h) => h.at < '2026-05-12T08') } })), 'day/forecast-part')?.level).toBe('fix');
  });
  test('wind and gust over what the person set are a Stop, at the limit they are not', () => {
    const limits = { wind: 7.2, gust: 10.3 };
    expect(find(assess(inputOf(0, { trip: { limits, speed: 1.5 }, forecast: steady({ wind: 7.2, gust: 10.3 }) })), 'day/wind-ok')?.level).toBe('ready');
    expect(find(assess(inputOf(0, { trip: { limits }, forecast: steady({ wind: 7.2, gust: 10.3 }) })), 'day/wind-ok')?.level).toBe('know');
    expect(find(assess(inputOf(0, { trip: { limits }, forecast: steady({ wind: 7.3 }) })), 'day/wind/')?.level).toBe('stop');
    expect(find(assess(inputOf(0, { trip: { limits }, forecast: steady({ gust: 10.4 }) })), 'day/gust/')?.level).toBe('stop');
  });
  test('over the plate is a Stop; over a guessed figure is a Fix', () => {
    const over = (basis?: Record<string, 'guessed'>) => inputOf(0, { trip: { load: [{ name: 'stones', mass: 300 }] }, shed: { boats: inputOf().shed.boats.map((b) => (b.id === trip.boat ? { ...b, basis } : b)) } });
    expect(find(assess(over()), 'load/over')?.level).toBe('stop');
    expect(find(assess(over({ '/advisedLoad': 'guessed' })), 'load/over')?.level).toBe('fix');
  });
  test('a trip with nothing in it is all findings and no crash', () => {
    const a = assess(inputOf(0, { trip: { boat: undefined, crew: [], water: undefined, launch: undefined, halts: [], contacts: [], load: [] } }));
    for (const id of ['trip/no-boat', 'trip/no-crew', 'trip/no-water', 'trip/no-launch', 'trip/no-route', 'plan/contact']) expect(find(a, id)?.level).toBe('fix');
    expect(a.schedule).toBeUndefined();
  });
  test('things that are gone from the shed are said', () => {
    const a = assess(inputOf(0, { shed: { boats: [], people: [], places: [] } }));
    for (const id of ['trip/no-boat', 'trip/crew-gone', 'trip/no-launch', 'trip/route-gone']) expect(find(a, id)?.level).toBe('fix');
  });
  test('the plan that was filed and no longer fits is said', () => {
    const input = inputOf();
    const s = assess(input).schedule!;
    const plan = (home: number, accepted: boolean): AssessInput['plan'] => ({ state: 'filed', times: { leave: s.leave, home, overdue: home + HOUR, checkIns: [] }, contacts: [{ id: 'c', name: 'Ada', accepted }] });
    expect(find(assess({ ...input, plan: plan(s.home!, true) }), 'plan/filed')?.level).toBe('ready');
    expect(find(assess({ ...input, plan: plan(s.home!, false) }), 'plan/accept')?.level).toBe('fix');
    expect(find(assess({ ...input, plan: plan(s.home! - HOUR, true) }), 'plan/changed')?.level).toBe('fix');
  });
});

describe('properties', () => {
  type Doc = Record<string, unknown>;
  const KEEP = new Set(['id', 'name', 'kind', 'count', 'stowage', 'state', 'propulsion', 'openings', 'position', 'class', 'zone', 'jurisdiction', 'title', 'crew', 'halts', 'leave', 'load', 'limits', 'contacts', 'graceMinutes', 'stow', 'status', 'on', 'fittedTo', 'owner', 'homeBy', 'basis']);
  /** Every optional fact of the demo's things and of a trip, as a place from which it can be taken away. */
  const facts = (input: AssessInput) => [...input.shed.boats, ...input.shed.people, ...input.shed.gear, ...input.shed.places, ...input.shed.waters, input.trip].flatMap((doc) => Object.keys(doc).filter((key) => !KEEP.has(key)).map((key) => ({ id: doc.id, key })));
  const without = (input: AssessInput, gone: { id: string; key: string }[]): AssessInput => {
    const strip = <D extends { id: string }>(doc: D): D => {
      const copy: Doc = { ...doc };
      for (const g of gone) if (g.id === doc.id) delete copy[g.key];
      return copy as D;
    };
    const { boats, people, gear, places, waters } = input.shed;
    return { ...input, trip: strip(input.trip), shed: { ...input.shed, boats: boats.map(strip), people: people.map(strip), gear: gear.map(strip), places: places.map(strip), waters: waters.map(strip) } };
  };
  const ticks = new Map<string, number>();

  test('with any facts taken away nothing throws and every sentence is whole; what is not met is never Ready', () => {
    for (const n of [0, 1, 2]) {
      const input = { ...inputOf(n), ticks };
      const all = facts(input);
      fc.assert(fc.property(fc.subarray(all, { maxLength: 12 }), (gone) => {
        const less = assess(without(input, gone));
        for (const f of less.findings) {
          expect([f.title, ...f.because, ...f.assumed].map((p) => render(p, reader)).join(' ')).not.toMatch(/undefined|NaN|null/);
        }
        for (const r of less.requirements) if (r.applies !== 'no' && r.met !== 'yes') expect(find(less, `kit/${r.rule}/`)?.level).not.toBe('ready');
      }), { numRuns: runs(120) });
    }
  });
  test('assess never throws on a valid model: any departure, any speed, any mix of crew and halts', () => {
    const base = inputOf();
    const ids = { people: base.shed.people.map((p) => p.id), places: base.shed.places.map((p) => p.id), boats: base.shed.boats.map((b) => b.id) };
    const trip = fc.record({
      date: fc.integer({ min: 0, max: 4000 }).map((d) => new Date(Date.UTC(2020, 0, 1) + d * 86_400_000).toISOString().slice(0, 10)), time: fc.tuple(fc.integer({ min: 0, max: 23 }), fc.integer({ min: 0, max: 59 })).map(([h, m]) => `${String(h).padStart(2, '0')}:${String(m).padStart(2, '0')}`),
      boat: fc.constantFrom(...ids.boats), crew: fc.uniqueArray(fc.constantFrom(...ids.people), { maxLength: 4 }), halts: fc.array(fc.constantFrom(...ids.places), { maxLength: 4 }), speed: fc.double({ min: 0.1, max: 40, noNaN: true }), minutes: fc.integer({ min: 0, max: 2880 }), grace: fc.integer({ min: 15, max: 1440 }), check: fc.integer({ min: 0, max: 1440 }),
    });
    fc.assert(fc.property(trip, (t) => {
      const made: Trip = { ...base.trip, boat: t.boat, crew: t.crew.map((person) => ({ person, role: 'crew' })), halts: t.halts.map((place) => ({ place, minutes: t.minutes })), speed: t.speed, leave: { date: t.date, time: t.time }, graceMinutes: t.grace, checkInMinutes: t.check };
      expect(THINGS.trip.safeParse(made).success).toBe(true);
      const a = assess({ ...base, trip: made });
      for (const f of a.findings) for (const p of [f.title, ...f.because]) render(p, reader);
      for (const figure of Object.values(a.figures)) expect(Number.isFinite(figure.value)).toBe(true);
    }), { numRuns: runs(120) });
  });
  test('every finding leans on figures that are there and sources that are known; ids are never twice', () => {
    for (const n of [0, 1, 2]) {
      const a = assess(inputOf(n));
      expect(new Set(a.findings.map((f) => f.id)).size).toBe(a.findings.length);
      for (const f of a.findings) {
        for (const name of f.figures) expect(Object.keys(a.figures)).toContain(name);
        if (f.source) expect(sourceOf(f.source.id)).toBeDefined();
      }
      for (const figure of Object.values(a.figures)) expect(sourceOf(figure.source)).toBeDefined();
    }
  });
  test('every mend that is done on the spot leaves a valid thing', () => {
    let n = 0;
    for (const trip of [0, 1, 2]) {
      const input = inputOf(trip);
      for (const mend of assess(input).findings.flatMap((f) => [f.mend, ...(f.others ?? [])])) {
        if (!mend || !('do' in mend)) continue;
        const { type, id, patch } = mend.do;
        const doc = type === 'trip' ? input.trip : input.shed.gear.find((g) => g.id === id)!;
        expect(THINGS[type].safeParse(applyPatch(doc, patch)).success).toBe(true);
        n += 1;
      }
    }
    expect(n).toBeGreaterThan(4);
  });
});

describe('packs of one’s own', () => {
  const [federal] = PACKS;
  const own = (more: object) => ({ packs: [{ id: '01890000-0000-7000-8000-0000000000d1', pack: { ...federal, id: 'us-federal-own', ...more } }] });
  test('an edited copy stands in for its original; of two with one id the newer holds', () => {
    expect(packsOf(own({ replaces: 'us-federal' })).map((p) => p.id)).not.toContain('us-federal');
    expect(packsOf(own({ id: 'us-federal', version: '2026.10' })).find((p) => p.id === 'us-federal')?.version).toBe('2026.10');
    expect(packsOf(own({ id: 'us-federal', version: '2025.9' })).find((p) => p.id === 'us-federal')?.version).toBe(federal.version);
  });
  test('two packs that name a rule alike give two findings, told apart', () => {
    const input = inputOf();
    const a = assess({ ...input, packs: packsFor(['US'], packsOf(own({}))) });
    expect(new Set(a.findings.map((f) => f.id)).size).toBe(a.findings.length);
    expect(a.findings.filter((f) => f.id.includes('NAV-33')).map((f) => f.id.split('/')[1])).toEqual(['NAV-33', 'us-federal-own.NAV-33']);
  });
});

describe('strip and sweep', () => {
  const input = inputOf();
  const axis = stripAxis(input, assess(input))!;
  test('the axis holds first light to overdue and at least twelve hours, and stands still for the same day', () => {
    const s = assess(input).schedule!;
    expect(axis.from).toBeLessThanOrEqual(s.leave - HOUR);
    expect(axis.until).toBeGreaterThanOrEqual(s.overdue! + HOUR);
    expect(axis.until - axis.from).toBeGreaterThanOrEqual(12 * HOUR);
    const strip = stripOf(input, axis);
    expect(strip.sky[0].from).toBe(axis.from);
    expect(strip.tide.length).toBeGreaterThan(40);
    expect(strip.works.every((w) => w.from >= axis.from && w.until <= axis.until)).toBe(true);
  });
  test('the sweep says what each departure would say, less what no hour changes', () => {
    const rows = sweep(input, axis.from, axis.until, HOUR);
    const prepared = prepare(input);
    rows.forEach((row) => {
      const at = prepared.at(row.leave).findings.filter((f) => /^(day|kit|ready)\//.test(f.id));
      if (row.worst === 'stop') expect(worstLevel(at)).toBe('stop');
      expect(LEVELS.indexOf(row.worst)).toBeGreaterThanOrEqual(LEVELS.indexOf(worstLevel(at)));
    });
    expect(rows[0].worst).not.toBe(rows[5].worst);
  });
  test('at() and assess() agree on the departure that the trip names', () => {
    const prepared = prepare(input);
    expect(prepared.at(prepared.leave!)).toEqual(assess(input));
  });
  test('time only runs one way: without a forecast or a place nothing is drawn, nothing throws', () => expect(stripOf({ ...input, conditions: {}, shed: { ...input.shed, waters: [] } }, axis)).toMatchObject({ tide: [], wind: [], works: [] }));
});
