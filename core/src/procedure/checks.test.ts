import { describe, expect, test } from '@jest/globals';
import { checksOf, dueCheck, missedChecks } from '.';

const MINUTE = 60_000;
const NINE = Date.UTC(2026, 4, 12, 9);
const at = (minutes: number) => NINE + minutes * MINUTE;
const schedule = {
  halts: [
    { place: 'a', from: at(60), until: at(90) },
    { place: 'b', from: at(120), until: at(150) },
  ],
};
const checks = checksOf(schedule);
const run = (procedure: string, halt: number, skipped = false) => ({
  procedure,
  halt,
  ticks: [{ step: 'people', at: new Date(NINE).toISOString(), ...(skipped ? { skipped } : {}) }],
});
const due = (minutes: number, runs: ReturnType<typeof run>[] = []) => {
  const found = dueCheck(checks, runs, at(minutes));
  return found && `${found.place} ${found.procedure}`;
};

describe('short looks at halts', () => {
  test('two at each halt, at their hours; a trip that left later has them later', () => {
    expect(checks.map((c) => (c.at - NINE) / MINUTE)).toEqual([60, 90, 120, 150]);
    expect(checksOf(schedule, 15 * MINUTE).map((c) => (c.at - NINE) / MINUTE)).toEqual([75, 105, 135, 165]);
    expect(checksOf({ halts: [] })).toEqual([]);
  });
  test('due when its time comes, a little before; once it is taken nothing is until the next', () => {
    expect([due(30), due(56), due(70)]).toEqual([undefined, 'a halt-arrive', 'a halt-arrive']);
    expect(due(70, [run('halt-arrive', 0)])).toBeUndefined();
    expect(due(91, [run('halt-arrive', 0)])).toBe('a halt-leave');
  });
  test('an hour later, and days after the trip, nobody is asked any more; it was left out', () => {
    expect([due(209), due(211), due(3 * 24 * 60)]).toEqual(['b halt-leave', undefined, undefined]);
    expect(missedChecks(checks, [], at(3 * 24 * 60))).toHaveLength(4);
  });
  test('who puts it off is not asked again; it is known afterwards, as is one passed by', () => {
    expect(due(70, [run('halt-arrive', 0, true)])).toBeUndefined();
    const missed = (minutes: number, ...runs: ReturnType<typeof run>[]) =>
      missedChecks(checks, runs, at(minutes)).map((c) => `${c.place} ${c.procedure}`);
    expect(missed(70, run('halt-arrive', 0, true))).toEqual(['a halt-arrive']);
    expect(missed(70)).toEqual([]);
    expect(missed(95)).toEqual(['a halt-arrive']);
    expect(missed(300, run('halt-arrive', 0), run('halt-leave', 0), run('halt-leave', 1))).toEqual([
      'b halt-arrive',
    ]);
  });
});
