import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { check } from '../../test/check';
import { aBoat, aPerson, inputOf, steady } from '../../test/demo';
import type { Debrief, Met } from '../model';
import { render } from '../say';
import { assess } from '../trip';
import { NAUTICAL_MILE } from '../units';
import { farther, provenBy, standsTo, stepsAlong, wholeForce, windier, type Outing } from './envelope';

const READER = { units: 'metric', zone: 'UTC', locale: 'en-GB' } as const;
const ada = aPerson({ name: 'Ada' });
const kayak = aBoat({ kind: 'sit-on-top' });
let n = 0;
const ID = () => `01890000-0000-7000-a000-${String((n += 1)).padStart(12, '0')}`;
const debrief = (on: string, met: Met, more: Partial<Debrief> = {}): Debrief => ({
  id: ID(),
  trip: ID(),
  on,
  boat: kayak.id,
  who: [ada.id],
  forgotten: [],
  broken: [],
  met,
  ...more,
});
const NM = NAUTICAL_MILE;
const been = (...all: Met[]) =>
  provenBy(
    all.map((met) => debrief('2026-05-01', met)),
    ada,
    kayak,
    '2026-05-12',
  )!;

describe('what somebody has really done in a boat', () => {
  test('is the farthest along each axis, of trips up to the day, in her alone', () => {
    const debriefs = [
      debrief('2025-06-01', { off: 900, wind: 7, waterTemperature: 14, company: true, dark: false }),
      debrief('2026-04-01', { off: 1500, wind: 4, waterTemperature: 9, company: false, dark: false }),
      debrief('2026-06-01', { off: 9000, wind: 12 }),
      debrief('2026-04-02', { off: 9000 }, { who: [ID()] }),
      debrief('2026-04-02', { off: 9000 }, { boat: ID() }),
    ];
    expect(provenBy(debriefs, ada, kayak, '2026-05-12')).toEqual({
      trips: 2,
      last: '2026-04-01',
      off: 1500,
      wind: 7,
      cold: 9,
      alone: true,
      dark: false,
    });
    expect(provenBy(debriefs, ada, kayak, '2025-05-31')).toBeUndefined();
  });
  test('a guess is nothing; never is only never where each trip says so', () => {
    const guess = debrief('2026-04-01', { off: 5000, wind: 9 }, { basis: { '/met/off': 'guessed' } });
    expect(provenBy([guess], ada, kayak, '2026-05-12')).toMatchObject({ off: undefined, wind: 9 });
    expect(been({ dark: false }, {}).dark).toBeUndefined();
    expect(been({ dark: true }, {}).dark).toBe(true);
    const whose = debrief('2026-04-01', { off: 1 }, { basis: { '/who': 'guessed' } });
    expect(provenBy([whose], ada, kayak, '2026-05-12')).toBeUndefined();
  });
});

describe('steps', () => {
  check('closed form', { title: 'the steps by hand' }, 'half a mile, or half as far again', () => {
    expect(farther(0.4 * NM)).toBeCloseTo(0.9 * NM, 6);
    expect(farther(2 * NM)).toBeCloseTo(3 * NM, 6);
    const steps = (was: number, will: number) => stepsAlong('off', { off: was * NM }, { off: will * NM });
    expect([steps(1, 1), steps(1, 1.5), steps(1, 1.6), steps(1, 2.4), steps(0, 0.5), steps(2, 4.6)]).toEqual([
      0, 1, 2, 3, 1, 3,
    ]);
  });
  check('recalled', 'beaufort', 'a force by its mean speeds, and one of them more', () => {
    // Upper ends of forces 2 to 6: 3.3, 5.4, 7.9, 10.7, 13.8 m/s.
    [3.3, 5.4, 7.9, 10.7, 13.8].forEach((upTo, i) => {
      expect(wholeForce(upTo - 0.1)).toBe(i + 2);
      expect(wholeForce(upTo + 0.2)).toBe(i + 3);
    });
    const steps = (was: number, will: number) => stepsAlong('wind', { wind: was }, { wind: will });
    expect([steps(4, 5), steps(4, 7), steps(4, 9), steps(9, 4)]).toEqual([0, 1, 2, 0]);
    expect(wholeForce(windier(4))).toBe(4);
  });
  test('five degrees colder each, as they are read', () => {
    const steps = (was: number, will: number) => stepsAlong('cold', { cold: was }, { cold: will });
    expect([steps(12, 14), steps(12, 7), steps(12, 6.9), steps(12, 1), steps(12.04, 7)]).toEqual([
      0, 1, 2, 3, 1,
    ]);
  });
  test('what was never done, or never said', () => {
    expect(stepsAlong('alone', { alone: false }, { alone: true })).toBe(1);
    expect(stepsAlong('alone', { alone: false }, { alone: false })).toBe(0);
    expect(stepsAlong('dark', {}, { dark: true })).toBeUndefined();
    expect(stepsAlong('dark', {}, { dark: false })).toBe(0);
    expect(stepsAlong('dark', { dark: true }, {})).toBe(0);
    expect(stepsAlong('off', {}, { off: 100 })).toBeUndefined();
  });
  const known: Outing = { off: NM, wind: 4, cold: 12, alone: false, dark: false };
  const proven = { ...known, trips: 3, last: '2026-04-01' };
  test.each<[string, Outing, string]>([
    ['as before', known, 'within'],
    ['half a mile more', { ...known, off: 1.5 * NM }, 'step'],
    ['two at once', { ...known, off: 1.5 * NM, alone: true }, 'leap'],
    ['two forces', { ...known, wind: 9 }, 'leap'],
    ['one step, and the water not known', { ...known, dark: true, cold: undefined }, 'unknown'],
    ['a leap, whatever else is not known', { ...known, off: 3 * NM, cold: undefined }, 'leap'],
  ])('%s', (_name, planned, is) => expect(standsTo(proven, planned).is).toBe(is));
  test('more of anything never makes it less', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 20_000, noNaN: true }),
        fc.double({ min: 0, max: 20_000, noNaN: true }),
        fc.double({ min: 0, max: 20_000, noNaN: true }),
        (was, a, b) => {
          const [less, more] = a < b ? [a, b] : [b, a];
          const steps = (off: number) => stepsAlong('off', { off: was }, { off }) ?? 0;
          expect(steps(more)).toBeGreaterThanOrEqual(steps(less));
        },
      ),
    ));
});

describe('a plan that goes beyond it', () => {
  const of = (met: Met | undefined, change: Parameters<typeof inputOf>[1] = {}) => {
    const { trip } = inputOf(0);
    const debriefs = met
      ? [debrief('2026-04-01', met, { boat: trip.boat!, who: trip.crew.map((c) => c.person) })]
      : [];
    return assess(inputOf(0, { shed: { debriefs }, ...change })).findings.find(({ id }) =>
      id.startsWith('proven/'),
    );
  };
  const all: Met = { off: 20_000, wind: 12, waterTemperature: 5, company: false, dark: true };
  test('of nobody’s trips on record: open, and never a Fix', () =>
    expect(of(undefined)).toMatchObject({ level: 'know', open: true }));
  test('within all of it: Ready', () => expect(of(all)).toMatchObject({ level: 'ready' }));
  test('one step: to be known; two: a Fix that leads to the step before, never a Stop', () => {
    expect(of({ ...all, dark: false })).toMatchObject({ level: 'know' });
    const leap = of({ ...all, dark: false, company: true });
    expect(leap).toMatchObject({ level: 'fix', mend: { go: { type: 'debrief', pointer: '/met' } } });
    expect(leap?.because.map((line) => render(line, READER)).join('\n')).toMatch(/always by light/);
    expect(of({ off: 10, wind: 0.3, waterTemperature: 30, company: true, dark: false })?.level).toBe('fix');
  });
  test('what nobody said, or weather that was invented, leaves it open', () => {
    const { wind: _wind, ...calm } = all;
    expect(of(calm)).toMatchObject({ level: 'know', open: true });
    const forecast = { ...steady(), invented: true as const };
    expect(of(all, { forecast })).toMatchObject({ level: 'know', open: true });
    expect(of(all, { forecast: null })).toMatchObject({ level: 'know', open: true });
  });
});
