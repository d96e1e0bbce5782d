import { describe, expect, test } from '@jest/globals';
import { inputOf, steady } from '../../test/demo';
import { Trip as TripSchema, type Debrief, type Met, type Trip } from '../model';
import { KNOT, NAUTICAL_MILE } from '../units';
import { wholeForce } from '../logbook/envelope';
import { asPlanned } from './as-planned';
import { standsOf, steppingStone, stoneTrip } from './stepping';
import { prepare } from '.';

let n = 0;
const ID = () => `01890000-0000-7000-a000-${String((n += 1)).padStart(12, '0')}`;
/** The kayak’s trip with one debrief of all who go, which says this. */
const withRecord = (met: Met, change: Parameters<typeof inputOf>[1] = {}, who?: string[]) => {
  const { trip } = inputOf(0);
  const debrief: Debrief = {
    id: ID(),
    trip: ID(),
    on: '2026-04-01',
    boat: trip.boat!,
    who: who ?? trip.crew.map((c) => c.person),
    forgotten: [],
    broken: [],
    met,
  };
  return inputOf(0, { shed: { debriefs: [debrief] }, ...change });
};
const all: Met = { off: 20_000, wind: 12, waterTemperature: 5, company: false, dark: true };

describe('the stepping-stone trip', () => {
  test('none where the plan is no leap, or nobody has a record', () => {
    expect(steppingStone(withRecord(all))).toBeUndefined();
    expect(steppingStone(inputOf(0, { shed: { debriefs: [] } }))).toBeUndefined();
  });
  test('along the line in which the plan goes furthest, and within what was done along the others', () => {
    const input = withRecord({ off: 300, wind: 3, waterTemperature: 13, company: true, dark: false });
    const stone = steppingStone(input)!;
    expect(stone.axis).toBe('off');
    expect(stone.limits.off).toBeCloseTo(300 + 0.5 * NAUTICAL_MILE, 6);
    // Force 2 was done: the day’s wind stays within it.
    expect(wholeForce((stone.limits.wind ?? 0) - 0.01)).toBe(2);
    expect(stone.limits.waterTemperature).toBe(13);
    expect(stone).toMatchObject({ company: true, light: true });
  });
  test('is no leap itself, as far as a place of one’s own lies near enough', () => {
    // The ground leads 2,276 m from a landing, the island of the plan 2,881 m; nothing lies within 1,826 m.
    expect(steppingStone(withRecord({ ...all, off: 900, dark: false }))).toMatchObject({
      goes: { nowhere: true },
    });
    const input = withRecord({ ...all, off: 1_500, dark: false });
    const stone = steppingStone(input)!;
    if (!('place' in stone.goes)) throw new Error('a place of one’s own lies near enough');
    expect(stone.goes.place.name).toBe('Heron Reach');
    expect(stone.goes.off).toBeLessThanOrEqual(stone.limits.off!);
    const made = stoneTrip(input.trip, stone, { id: ID(), date: '2026-05-20', title: 'Before', notes: 'x' });
    expect(TripSchema.safeParse(made).success).toBe(true);
    const next = { ...input, trip: { ...made, leave: { date: '2026-05-20', time: '12:00' } } };
    for (const { beyond } of standsOf(next).people)
      expect(beyond.find(({ axis }) => axis === 'off')?.steps ?? 0).toBeLessThanOrEqual(1);
  });
  test('limits of the trip stay where they are stricter', () => {
    const input = withRecord({ off: 300, wind: 3, waterTemperature: 13, company: true, dark: false });
    const strict: Trip = { ...input.trip, limits: { wind: 1, off: 100, waterTemperature: 18 } };
    const made = stoneTrip(strict, steppingStone(input)!, {
      id: ID(),
      date: '2026-05-20',
      title: 'B',
      notes: '',
    });
    expect(made.limits).toMatchObject({ wind: 1, off: 100, waterTemperature: 18 });
  });
  test('limits stay within what a trip can hold: near freezing, in a hurricane, at a landing', () => {
    const input = withRecord({ off: 0, wind: 33, waterTemperature: -1, company: true, dark: false });
    const stone = {
      ...steppingStone(input)!,
      axis: 'cold' as const,
      limits: { off: 0, wind: 60, waterTemperature: -6 },
    };
    const made = stoneTrip({ ...input.trip, limits: {} }, stone, {
      id: ID(),
      date: '2026-05-20',
      title: 'B',
      notes: '',
    });
    expect(TripSchema.safeParse(made).success).toBe(true);
    expect(made.limits).toEqual({ off: 20, wind: 40, waterTemperature: -2 });
  });
  test('who was nowhere near counts for all', () => {
    const { trip, shed } = inputOf(0);
    const other = shed.people.find(({ id }) => !trip.crew.some((c) => c.person === id))!;
    const crew: Trip['crew'] = [...trip.crew, { person: other.id, role: 'crew' }];
    const input = withRecord(all, { trip: { crew } }, [trip.crew[0].person]);
    expect(standsOf(input).people.map(({ is }) => is)).toEqual(['within', 'never']);
  });
});

describe('how it was, if it went as planned', () => {
  const input = inputOf(0, { forecast: steady({ wind: 6, gust: 9, water: 12, waves: 0.4 }) });
  const { schedule } = prepare(input).match();
  const [left, home] = [schedule!.leave, schedule!.home!];
  test('the worst of the forecast between the hours that were, and the sums of the plan', () => {
    const met = asPlanned(input, schedule, left, home);
    expect(met).toMatchObject({
      wind: 6,
      gust: 9,
      waterTemperature: 12,
      waves: 0.4,
      company: false,
      dark: true,
    });
    const halts = input.trip.halts.reduce((sum, halt) => sum + halt.minutes * 60, 0);
    // Ten minutes of rest in the hour: seven sixths.
    expect(met.moving).toBeCloseTo(((home - left) / 1000 - halts) / (7 / 6), 3);
    const { speed } = { speed: (met.metres ?? 0) / (met.moving ?? 1) };
    expect(speed / KNOT).toBeGreaterThan(1.5);
    expect(speed / KNOT).toBeLessThan(4);
  });
  test('without hours, or with invented weather, what hangs on them is left out', () => {
    const without = asPlanned(input, schedule, left, undefined);
    for (const name of ['wind', 'moving', 'dark', 'waterTemperature'])
      expect(without).not.toHaveProperty(name);
    expect(without.metres).toBeGreaterThan(0);
    const invented = inputOf(0, { forecast: { ...steady(), invented: true } });
    expect(asPlanned(invented, schedule, left, home)).not.toHaveProperty('wind');
    expect(asPlanned(input, schedule, home, left)).not.toHaveProperty('moving');
    expect(asPlanned(input, undefined, undefined, undefined)).not.toHaveProperty('off');
  });
  test('a weight that is only guessed is no load', () => {
    const people = input.shed.people.map((person) => ({ ...person, basis: { '/mass': 'guessed' as const } }));
    expect(asPlanned({ ...input, shed: { ...input.shed, people } }, schedule, left, home)).not.toHaveProperty(
      'load',
    );
  });
});
