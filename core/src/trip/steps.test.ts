import { describe, expect, test } from '@jest/globals';
import { inputOf } from '../../test/demo';
import type { Person, Trip } from '../model';
import { MS } from '../units';
import { assess, type AssessInput } from '.';

const scheduleOf = (input: AssessInput) => assess(input).schedule!;
/** The demo's dawn trip without a word of its own about the steps, in warm water, with a grown crew. */
function plain(trip: Partial<Trip> = {}, person: Partial<Person> = {}): AssessInput {
  const input = inputOf();
  const { graceMinutes: _grace, alarmMinutes: _alarm, ...rest } = input.trip;
  const { conditions, shed } = input;
  const forecast = conditions.forecast && {
    ...conditions.forecast,
    hours: conditions.forecast.hours.map((hour) => ({ ...hour, water: 20 })),
  };
  return {
    ...input,
    trip: { ...rest, ...trip },
    conditions: { ...conditions, ...(forecast ? { forecast } : {}) },
    shed: { ...shed, people: shed.people.map((who) => ({ ...who, ...person })) },
  };
}
const after = (input: AssessInput) => {
  const { home, overdue, alarm, sooner } = scheduleOf(input);
  return [(overdue! - home!) / MS.minute, (alarm! - home!) / MS.minute, sooner];
};

describe('how long those ashore wait', () => {
  test('half an hour and an hour, where nothing speaks for sooner', () =>
    expect(after(plain())).toEqual([30, 60, []]));
  test('half of it with a child aboard, by the day of the trip, and where one may be a child', () => {
    expect(after(plain({}, { born: '2012' }))).toEqual([15, 30, ['child']]);
    // Sixteen the day before: no child any more.
    expect(after(plain({}, { born: '2010-05-11' }))[2]).toEqual([]);
    expect(after(plain({}, { born: '2010-05-13' }))[2]).toEqual(['child']);
    expect(after(plain({}, { born: '2010' }))[2]).toEqual(['child']);
  });
  test('in cold water, from just under the limit', () => {
    const cold = (water: number) => {
      const input = plain();
      const { forecast } = input.conditions;
      const hours = forecast!.hours.map((hour) => ({ ...hour, water }));
      return after({ ...input, conditions: { ...input.conditions, forecast: { ...forecast!, hours } } });
    };
    expect(cold(14.9)).toEqual([15, 30, ['cold']]);
    expect(cold(15)).toEqual([30, 60, []]);
  });
  test('weather that was made up moves no hour', () => {
    const input = plain();
    const { forecast } = input.conditions;
    const hours = forecast!.hours.map((hour) => ({ ...hour, water: 5 }));
    const conditions = { ...input.conditions, forecast: { ...forecast!, hours, invented: true } };
    expect(after({ ...input, conditions })).toEqual([30, 60, []]);
  });
  test('near dark, and after it', () => {
    const leaving = (time: string) => after(plain({ leave: { date: '2026-05-12', time } }))[2];
    expect(leaving('15:30')).toEqual(['dusk']);
    expect(leaving('20:00')).toEqual(['dusk']);
    expect(leaving('12:00')).toEqual([]);
  });
  test('what is chosen is kept to its bounds, and told', () => {
    const long = plain({ graceMinutes: 240 });
    expect(after(long).slice(0, 2)).toEqual([60, 120]);
    expect(assess(long).findings.find((f) => f.id.startsWith('plan/steps/'))?.level).toBe('fix');
  });
});
