import { describe, expect, test } from '@jest/globals';
import { anItem, inputOf } from '../../test/demo';
import type { Boat, Finding, GearItem, Trip } from '../model';
import { render } from '../say';
import { assess, prepare } from '../trip';
import { ledgerOf } from '../trip/energy';
import { FLARE_OUT } from '.';

const words = (f: Finding | undefined) =>
  f
    ? [f.title, ...f.because]
        .map((p) => render(p, { units: 'metric', zone: 'UTC', locale: 'en-GB' }))
        .join(' ')
    : '';
function found(
  n: number,
  gear: GearItem[],
  {
    trip = {},
    ticks = new Map<string, number>(),
    without = (_g: GearItem) => false,
  }: { trip?: Partial<Trip>; ticks?: Map<string, number>; without?: (g: GearItem) => boolean } = {},
) {
  const input = inputOf(n);
  return assess({
    ...input,
    ticks,
    trip: { ...input.trip, ...trip },
    shed: { ...input.shed, gear: [...input.shed.gear.filter((g) => !without(g)), ...gear] },
  }).findings;
}
const one = (all: Finding[], begins: string) => all.find((f) => f.id.startsWith(begins));

describe('what counts only with its companion', () => {
  const noCall = (g: GearItem) => ['phone', 'vhf', 'beacon'].includes(g.kind);
  const call = (more: Partial<GearItem>) =>
    one(
      found(0, [anItem('phone', { stowage: 'on-body', charge: 1, ...more })], { without: noCall }),
      'kit/P-CALL/',
    );
  test('a phone in its case, out of it, and not said', () => {
    expect([call({ cased: true })?.level, call({ cased: false })?.level]).toEqual(['ready', 'fix']);
    expect(call({})).toMatchObject({ open: true });
    expect(words(call({ cased: false }))).toContain('no case that floats');
    expect(call({ cased: true, charge: 0.5 })?.level).toBe('fix');
  });
  test('six people with one phone: not each of them has a way to call', () => {
    const input = inputOf(1);
    expect(input.trip.crew.length).toBeGreaterThan(1);
    const all = found(1, [anItem('phone', { stowage: 'on-body', charge: 1, cased: true })], {
      without: noCall,
    });
    expect(one(all, 'kit/P-CALL-EACH/')?.level).not.toBe('ready');
    const each = input.trip.crew.map((c) =>
      anItem('phone', { stowage: 'on-body', charge: 1, cased: true, owner: c.person }),
    );
    expect(one(found(1, each, { without: noCall }), 'kit/P-CALL-EACH/')?.level).toBe('ready');
  });
});

describe('flares and what is used with care', () => {
  const flares = (count: number) => [
    anItem('hand-flare', { count, expires: '2027-01-01', stowage: 'in-reach' }),
  ];
  const without = (g: GearItem) => g.kind.includes('flare') || g.kind.includes('smoke');
  test('more than one aboard: is one out of the bag; said, it is Ready; one alone is not asked', () => {
    const out = (count: number, ticks?: Map<string, number>) =>
      one(found(0, flares(count), { without, ...(ticks ? { ticks } : {}) }), 'kit/flare-out/');
    expect(out(3)).toMatchObject({ level: 'know', open: true });
    expect(out(3, new Map([[FLARE_OUT, 1]]))?.level).toBe('ready');
    expect(out(1)).toBeUndefined();
  });
  test('a live well that goes along is told with its rules; one that stays at home or is lent is not', () => {
    const well = (more: Partial<GearItem>) =>
      one(found(0, [anItem('live-well', { stowage: 'in-reach', ...more })]), 'kit/use/');
    expect(words(well({}))).toMatch(/low end.*battery of its own.*other/s);
    expect([well({ stowage: 'home' }), well({ lentTo: 'Bram' })]).toEqual([undefined, undefined]);
  });
});

describe('fuel: its age, the third kept back, the spare can', () => {
  const without = (g: GearItem) => g.kind === 'fuel-can';
  const age = (fuelOn: string | undefined, cans: GearItem[] = []) =>
    one(found(1, cans, { without, trip: { fuelOn } }), 'energy/fuel-age/');
  // The demo’s second trip leaves on 16 May.
  test('thirty days are fresh, thirty-one are not; not said is open, and so is a day that lies ahead', () => {
    expect([age('2026-04-16')?.level, age('2026-04-15')?.level]).toEqual(['ready', 'fix']);
    expect(age(undefined)).toMatchObject({ level: 'know', open: true });
    expect(age('2026-05-17')).toMatchObject({ level: 'know', open: true });
  });
  test('each can is asked for its own day', () => {
    const can = (more: Partial<GearItem>) => anItem('fuel-can', { stowage: 'hatch', ...more });
    expect(age('2026-05-10', [can({ filledOn: '2026-05-01' }), can({ filledOn: '2026-01-01' })])?.level).toBe(
      'fix',
    );
    expect(age('2026-05-10', [can({})])).toMatchObject({ open: true });
    expect(age('2026-05-10', [can({ stowage: 'home' })])?.level).toBe('ready');
  });
  test('a kayak has no fuel', () => expect(one(found(0, []), 'energy/fuel-age/')).toBeUndefined());
  test('in the ledger by hand: 30 L at 15 L/h run two hours, the third is reached after 80 minutes, 10 L of cans bring 40', () => {
    const input = inputOf(1);
    const LITRE = 1e-3;
    const boats: Boat[] = input.shed.boats.map((b) =>
      b.id === input.trip.boat
        ? {
            ...b,
            basis: {},
            propulsion: [{ kind: 'outboard', cruise: 3, tank: 60 * LITRE, burn: (15 * LITRE) / 3600 }],
          }
        : b,
    );
    const cans = [
      anItem('fuel-can', { stowage: 'hatch', count: 2, holds: 5 * LITRE, filledOn: '2026-05-10' }),
    ];
    const full = {
      ...input,
      trip: { ...input.trip, fuel: 30 * LITRE, speed: 3, load: [] },
      shed: { ...input.shed, boats, gear: [...input.shed.gear.filter((g) => !without(g)), ...cans] },
    };
    const { kit, schedule } = prepare(full).match();
    const row = ledgerOf(full, schedule, kit.pieces).find((r) => r.by === 'fuel')!;
    expect(row.holds).toBeCloseTo(2 * 3600, 3);
    expect(row.spare).toBeCloseTo(40 * 60, 3);
    // Running on the legs alone, and after home all the time: 80 minutes of it are used up then.
    const legs = schedule!.legs.map(({ departs, arrives }) => [departs, arrives] as const);
    const until = Math.max(...legs.map(([, b]) => b), schedule!.home!);
    const ran = (at: number) =>
      legs.reduce((sum, [a, b]) => sum + Math.max(0, Math.min(at, b) - a), 0) + Math.max(0, at - until);
    expect(ran(row.keeps!) / 60_000).toBeCloseTo(80, 0);
  });
});
