import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { check } from '../../test/check';
import { runs } from '../../test/runs';
import { tideOf } from '../water';
import { carFromWater, floatDepth, OVERHANG, rampHours, runOut, slopeAngle, wheelsIn } from '.';

const exactly = (value: number) => ({ low: value, high: value });
const degrees = (angle: number) => (angle * 180) / Math.PI;

describe('a ramp as a plane', () => {
  check(
    'closed form',
    'ramp-handbook',
    'for 0.6 m of water: 5.0 m at 12 %, 4.62 m at 13 %, 4.0 m at 15 %',
    () => {
      expect(wheelsIn(exactly(0.6), 0.12).low).toBeCloseTo(5, 9);
      expect(wheelsIn(exactly(0.6), 0.13).low).toBeCloseTo(4.62, 2);
      expect(wheelsIn(exactly(0.6), 0.15).low).toBeCloseTo(4, 9);
    },
  );
  check('closed form', 'ramp-handbook', '12, 13 and 15 % are 6.84°, 7.41° and 8.53°', () => {
    for (const [slope, angle] of [
      [0.12, 6.84],
      [0.13, 7.41],
      [0.15, 8.53],
    ])
      expect(degrees(slopeAngle(slope))).toBeCloseTo(angle, 2);
  });
  check(
    'closed form',
    { title: 'A plane beach: level distance is height over slope' },
    '2.4 m of tide run out 120 m at 1 in 50, 48 m at 1 in 20, 240 m at 1 in 100',
    () => {
      expect([1 / 50, 1 / 20, 1 / 100].map((slope) => Math.round(runOut(-2.4, slope)))).toEqual([
        -120, -48, -240,
      ]);
    },
  );
  test('what does not fall is no ramp', () => {
    for (const slope of [0, -0.1, Number.NaN]) expect(() => wheelsIn(exactly(1), slope)).toThrow(RangeError);
  });
});

describe('trailer, car and water', () => {
  test('she lifts where the water is as deep as her supports are high and she draws, both with their bands', () =>
    expect(floatDepth({ low: 0.5, high: 0.8 }, { low: 0.2, high: 0.3 })).toEqual({ low: 0.7, high: 1.1 }));
  test('a drawbar of 4.5 m keeps the car dry at 12 % and 0.6 m; a short one on a flat ramp does not', () => {
    const far = carFromWater(wheelsIn(exactly(0.6), 0.12), 4.5, OVERHANG);
    expect([far.low, far.high].map((m) => Number(m.toFixed(2)))).toEqual([0.3, 0.9]);
    expect(carFromWater(wheelsIn(exactly(0.6), 0.08), 2.5, OVERHANG).high).toBeLessThan(0);
  });
  test('deeper and flatter only ever go further in', () => {
    const depth = fc.double({ min: 0.1, max: 2, noNaN: true }),
      slope = fc.double({ min: 0.01, max: 0.3, noNaN: true });
    fc.assert(
      fc.property(depth, depth, slope, slope, (a, b, s, t) => {
        const [shallow, deep] = a < b ? [a, b] : [b, a];
        const [flat, steep] = s < t ? [s, t] : [t, s];
        expect(wheelsIn(exactly(deep), s).low).toBeGreaterThanOrEqual(wheelsIn(exactly(shallow), s).low);
        expect(wheelsIn(exactly(a), flat).low).toBeGreaterThanOrEqual(wheelsIn(exactly(a), steep).low);
      }),
      { numRuns: runs(200) },
    );
  });
});

describe('the hours of a ramp', () => {
  const SIX = Date.UTC(2026, 4, 12, 6),
    HOUR = 3_600_000;
  const at = (hours: number) => new Date(SIX + hours * HOUR).toISOString();
  const table = (high: number) =>
    tideOf({
      kind: 'table',
      name: 'North slip',
      datum: 'chart datum',
      rows: [
        { at: at(0), height: 0.5, turn: 'low' },
        { at: at(6), height: high, turn: 'high' },
        { at: at(12), height: 0.5, turn: 'low' },
      ],
    });
  // Cosine between the waters: 0.5 + 4 · ½(1 − cos πt/6) = 2.5 m at t = 3 h, by symmetry again at 9 h.
  check(
    'closed form',
    'tide-cosine',
    'with the foot at 1.35 m and 1 m of depth she is carried from the third hour to the ninth',
    () => {
      const spans = rampHours(table(4.5), 1.35, exactly(1), SIX, SIX + 12 * HOUR);
      expect(spans).toHaveLength(1);
      expect(Math.abs(spans[0].from - (SIX + 3 * HOUR))).toBeLessThan(120_000);
      expect(Math.abs(spans[0].until - (SIX + 9 * HOUR))).toBeLessThan(120_000);
    },
  );
  test('a higher tide never shortens them, and a boat that needs more depth never lengthens them', () => {
    const long = (spans: { from: number; until: number }[]) =>
      spans.reduce((sum, { from, until }) => sum + until - from, 0);
    const high = fc.double({ min: 2, max: 6, noNaN: true }),
      depth = fc.double({ min: 0.3, max: 1.5, noNaN: true });
    fc.assert(
      fc.property(high, high, depth, depth, (a, b, c, d) => {
        const hours = (top: number, deep: number) =>
          long(rampHours(table(top), 0.8, exactly(deep), SIX, SIX + 12 * HOUR));
        const SLACK = 1000;
        expect(hours(Math.max(a, b), c) + SLACK).toBeGreaterThanOrEqual(hours(Math.min(a, b), c));
        expect(hours(a, Math.min(c, d)) + SLACK).toBeGreaterThanOrEqual(hours(a, Math.max(c, d)));
      }),
      { numRuns: runs(60) },
    );
  });
});
