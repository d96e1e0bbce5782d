import { describe, expect, test } from '@jest/globals';
import { aPlace, inputOf } from '../../test/demo';
import { procedureOf, proceduresFor } from '../procedure';
import { render, type Reader } from '../say';
import { figureNamed } from '../verdict';
import { prepare } from '.';
import { PROCEDURES } from '../procedure/library';

const reader: Reader = { units: 'metric', zone: 'UTC', locale: 'en-GB' };
const FOUR = 1;
const titles = (group: string, input = inputOf(FOUR)) => {
  const { world, home, steps } = prepare(input).match();
  const rows = PROCEDURES.filter((row) => row.group === group);
  return proceduresFor(rows, group === 'home' ? home : world, steps).map((made) => made.id);
};

describe('the steps of a trip', () => {
  test('the trailer boat at the ramp is backed in, and comes out where she went in', () =>
    expect([titles('go'), titles('home')]).toEqual([['ramp-launch'], ['ramp-retrieve']]));
  test('one way from the ramp to a beach she comes out by the steps of the beach', () => {
    const beach = aPlace({ kind: 'launch', launchFrom: 'beach' });
    const { shed } = inputOf(FOUR);
    const input = inputOf(FOUR, { trip: { return: beach.id }, shed: { places: [...shed.places, beach] } });
    expect([titles('go', input), titles('home', input)]).toEqual([['ramp-launch'], ['beach-retrieve']]);
  });
  test('her numbers stand in them; a guess takes them away and says it in words', () => {
    const stop = (input: ReturnType<typeof inputOf>) => {
      const { world, steps } = prepare(input).match();
      const row = PROCEDURES.find((each) => each.id === 'ramp-launch')!;
      const found = procedureOf(row, world, [], steps).steps.find((step) => step.id === 'stop')!;
      return render(found.what, reader);
    };
    const input = inputOf(FOUR);
    // Supports at 0.62 m; she draws 0.28 m and 15 % more at the most: 0.94 m, at 13 % 7.2 m in.
    expect(stop(input)).toMatch(/0\.9 m of water, 7\.2 m in from the edge\.$/);
    const boats = input.shed.boats.map((boat) => ({ ...boat, basis: { '/mass': 'guessed' as const } }));
    expect(stop(inputOf(FOUR, { shed: { boats } }))).toMatch(/what she draws together of water, as far as/);
  });
  test('depth over slope: the two figures agree with each other', () => {
    const { figures } = prepare(inputOf(FOUR)).whole();
    const [depth, run] = ['ramp/depth', 'ramp/run'].map((name) => figureNamed(figures, name)!);
    expect(depth.value / run.value).toBeCloseTo(0.13, 9);
    expect(depth.range![0] / run.range![0]).toBeCloseTo(0.13, 9);
  });
  test('the kayak beside it is carried, and nobody speaks to her of wheels', () => {
    expect(titles('go', inputOf(0))).toEqual(['hand-launch']);
    expect(Object.keys(prepare(inputOf(0)).whole().figures).filter((id) => id.startsWith('ramp'))).toEqual(
      [],
    );
  });
});
