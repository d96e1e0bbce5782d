import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { check } from '../../test/check';
import { inputOf, steady } from '../../test/demo';
import { render, type Reader } from '../say';
import { prepare } from '../trip';
import { crossOf } from '.';

const reader: Reader = { units: 'metric', zone: 'UTC', locale: 'en-GB' };
const LAMP = 1;
type Input = ReturnType<typeof inputOf>;
const told = (input: Input) =>
  prepare(input)
    .match()
    .notes.map((said) => render(said, reader));
/** The launch of the trip with something said or unsaid of it. */
const ramp = (more: Record<string, unknown>, rest: Parameters<typeof inputOf>[1] = {}): Input => {
  const { shed, trip } = inputOf(LAMP);
  const places = shed.places.map((p) => (p.id === trip.launch ? { ...p, ...more } : p));
  return inputOf(LAMP, { ...rest, shed: { ...rest.shed, places } });
};

describe('wind across a ramp', () => {
  test('looking down a ramp that falls to the south: east is left, west is right, south blows up it', () => {
    expect([90, 270, 180, 0].map((from) => crossOf(180, from))).toEqual(['left', 'right', 'on', 'off']);
    expect([209, 211, 149, 151].map((from) => crossOf(180, from))).toEqual(['on', 'right', 'left', 'on']);
  });
  test('turning ramp and wind together changes nothing; the other way round left is right', () =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 359 }), fc.integer({ min: 0, max: 359 }), (faces, whole) => {
        // Between whole degrees, so that no rounding stands on a border.
        const from = whole + 0.5;
        expect(crossOf((faces + 90) % 360, (from + 90) % 360)).toBe(crossOf(faces, from));
        const mirrored = crossOf(360 - faces, 360 - from);
        const turned = { left: 'right', right: 'left', on: 'on', off: 'off' }[crossOf(faces, from)];
        expect(mirrored).toBe(turned);
      }),
      { numRuns: 300, seed: 8 },
    ));
});

describe('what is told at a launch', () => {
  test('hours, edge, wind, car, and how she came off: each where it is known', () => {
    const said = told(inputOf(LAMP, { forecast: steady({ wind: 8, from: 230 }) }));
    expect(said[0]).toBe('The ramp carries her at every hour around leaving.');
    expect(said[1]).toMatch(/^(When you come back the water is|The water’s edge is where it was)/);
    expect(said.join(' ')).toMatch(/from the right, looking down/);
    expect(said.join(' ')).toMatch(/Park at Gannow field, \d+ m away/);
    expect(said.join(' ')).toMatch(/Keep the car above the highest water until then: \d\.\d m at/);
  });
  check(
    'closed form',
    { title: 'Change of height over slope' },
    'edge moves by the change of the tide over 13 %',
    () => {
      const line = told(inputOf(LAMP)).find((said) => said.startsWith('When you come back'))!;
      const [by, far] = [...line.matchAll(/(\d+\.\d) m/g)].map((m) => Number(m[1]));
      expect(Math.abs(far * 0.13 - by)).toBeLessThan(0.06);
    },
  );
  test('a guess says so; what nobody said is left out', () => {
    expect(told(ramp({ basis: { '/foot': 'guessed' } }))[0]).toMatch(/^By a guess: The ramp carries her/);
    expect(told(ramp({ foot: 0.2 }))[0]).toMatch(/^The ramp carries her \d\d:\d\d to \d\d:\d\d/);
    const bare = told(ramp({ foot: undefined, slope: undefined, faces: undefined }));
    expect(bare.join(' ')).not.toMatch(/carries|edge|looking down/);
    expect(told(inputOf(LAMP, { forecast: null })).join(' ')).not.toMatch(/Wind/);
    expect(told(inputOf(LAMP, { forecast: steady({ wind: 2, from: 230 }) })).join(' ')).not.toMatch(/Wind/);
  });
  test('how she came off her trailer is told with its day', () => {
    const { shed } = inputOf(LAMP);
    const boats = shed.boats.map((b) =>
      b.trailer ? { ...b, trailer: { ...b.trailer, letsGo: 'sticks' as const, letsGoOn: '2026-04-30' } } : b,
    );
    expect(told(inputOf(LAMP, { shed: { boats } })).at(-1)).toBe(
      'She stuck to her trailer until she floated on 30 Apr 2026.',
    );
  });
  test('a ramp that is too short at every hour says that', () =>
    expect(told(ramp({ foot: 9 }))[0]).toMatch(/does not carry her at any hour/));
});
