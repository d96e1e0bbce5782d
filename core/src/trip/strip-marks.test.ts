import { expect, test } from '@jest/globals';
import { inputOf } from '../../test/demo';
import { skyAt } from '../earth';
import { MS } from '../units';
import { assess, marksOf, stripAxis, stripOf, type Strip } from '.';

const input = inputOf(0);
const assessment = assess(input);
const { schedule } = assessment;
const strip = stripOf(input, stripAxis(input, assessment)!);
const bare: Strip = { ...strip, sky: [], turns: [], works: [] };

test('the plan, the light, the turns of the tide and the launch stand in the order of the day', () => {
  const marks = marksOf(strip, schedule);
  expect(marks.map(({ at }) => at)).toEqual(marks.map(({ at }) => at).sort((a, b) => a - b));
  const kinds = marks.map(({ kind }) => kind);
  for (const kind of ['dawn', 'sunrise', 'leave', 'reach', 'turn-back', 'home', 'overdue', 'high'] as const)
    expect(kinds.filter((k) => k === kind)).toHaveLength(1);
});
test('a turn of the tide is higher or lower than what is drawn beside it', () => {
  for (const { at, height, high } of strip.turns) {
    const beside = strip.tide.filter((t) => Math.abs(t.at - at) < MS.hour);
    expect(beside.length).toBeGreaterThan(3);
    for (const other of beside) expect((high ? 1 : -1) * (height - other.height)).toBeGreaterThan(-0.002);
  }
});
test('the light turns where its marks stand', () => {
  const where = input.shed.places.find(({ id }) => id === input.trip.launch)!.position;
  const sunrise = marksOf(strip, undefined).find(({ kind }) => kind === 'sunrise')!.at;
  expect([skyAt(where, sunrise - MS.minute), skyAt(where, sunrise + MS.minute)]).toEqual(['twilight', 'day']);
});
test('evening and morning are told apart; one tone all day has no mark', () => {
  const span = (sky: 'day' | 'twilight' | 'night', from: number) => ({ sky, from, until: from + 1 });
  const at = strip.from;
  const light = { ...bare, sky: [span('day', at), span('twilight', at + 1), span('day', at + 2)] };
  expect(marksOf(light, undefined).map(({ kind }) => kind)).toEqual(['sunset', 'sunrise']);
  const night = { ...bare, sky: [span('twilight', at), span('night', at + 1), span('twilight', at + 2)] };
  expect(marksOf(night, undefined).map(({ kind }) => kind)).toEqual(['dusk', 'dawn']);
  expect(marksOf({ ...bare, sky: [span('day', at)] }, undefined)).toEqual([]);
});
test('hours in which the launch works begin and end within what is drawn only', () => {
  const { from, until } = strip;
  const kinds = (works: Strip['works']) => marksOf({ ...bare, works }, undefined).map(({ kind }) => kind);
  expect(kinds([{ from, until: from + MS.hour }])).toEqual(['works-no-more']);
  expect(kinds([{ from: from + MS.hour, until }])).toEqual(['works']);
  expect(kinds([{ from, until }])).toEqual([]);
});
test('a place come to twice stands twice; what lies beyond the axis is not told', () => {
  const [leg] = schedule!.legs;
  const again = { ...leg, departs: leg.arrives, arrives: leg.arrives + MS.hour };
  const round = { ...schedule!, legs: [leg, again, again], overdue: strip.until + MS.hour };
  const marks = marksOf(bare, round);
  expect(marks.filter(({ kind }) => kind === 'reach')).toHaveLength(2);
  expect(marks.some(({ kind }) => kind === 'overdue')).toBe(false);
  expect(marksOf(bare, undefined)).toEqual([]);
});
