import { describe, expect, test } from '@jest/globals';
import { inputOf, NOW, steady } from '../../test/demo';
import { render } from '../say';
import { prepare, sweep, type AssessInput } from '.';
import {
  bestWindows,
  inWindowOrder,
  windowsOf,
  windowSteps,
  WINDOW_STEP,
  type LeavingWindow,
} from './windows';

const HOUR = 3_600_000;
const reader = { units: 'metric', zone: 'UTC', locale: 'en-GB' } as const;
const words = (phrase: LeavingWindow['opens']) => (phrase ? render(phrase, reader) : undefined);
function all(...args: Parameters<typeof windowSteps>) {
  const told: LeavingWindow[][] = [];
  const steps = windowSteps(...args);
  let next = steps.next();
  while (!next.done) {
    if (next.value.week) told.push(next.value.week.windows);
    next = steps.next();
  }
  return { told, ...next.value };
}

describe('windows of leaving', () => {
  const input = inputOf(0, {
    forecast: steady({ waves: 0.2, thunder: false }),
    trip: { limits: { wind: 8, gust: 10 } },
  });
  const from = NOW,
    until = NOW + 48 * HOUR;
  const { told, windows } = all(input, from, until, 20 * 60_000);
  test('cover every departure once, side by side, and each neighbour differs', () => {
    expect(windows[0].from).toBe(from);
    expect(windows.at(-1)!.until).toBe(until);
    windows.slice(1).forEach((w, i) => {
      expect(w.from - windows[i].until).toBe(20 * 60_000);
      expect([w.worst, w.open]).not.toEqual([windows[i].worst, windows[i].open]);
    });
  });
  test('each departure has the level that the assessment of its own day gives, but for what is alike at all hours', () => {
    const prepared = prepare({
      ...input,
      trip: { ...input.trip, leave: { date: '2026-05-12', time: '06:20' } },
    });
    const noon = Date.UTC(2026, 4, 12, 12);
    const night = Date.UTC(2026, 4, 12, 23);
    const at = (ms: number) => windows.find((w) => w.from <= ms && ms <= w.until)!;
    const fixes = (ms: number) =>
      prepared.at(ms).findings.filter((f) => f.varies === 'hour' && f.level === 'fix').length;
    expect(fixes(night)).toBeGreaterThan(fixes(noon));
    expect([at(night).worst, at(noon).worst]).toEqual(['fix', 'know']);
  });
  test('what opens and what closes a window is a finding of its neighbour that is worse', () => {
    const [best] = bestWindows(windows, 1);
    const beside = (ms: number) => {
      const date = new Date(ms).toISOString().slice(0, 10);
      const at = prepare({ ...input, trip: { ...input.trip, leave: { date, time: '06:20' } } }).at(ms);
      return at.findings.filter((f) => f.level === 'fix').map((f) => render(f.title, reader));
    };
    expect(beside(best.from - 20 * 60_000)).toContain(words(best.opens));
    expect(beside(best.until + 20 * 60_000)).toContain(words(best.closes));
  });
  test('what came so far is told as it comes, the last of it whole', () => {
    expect(told.length).toBeGreaterThan(2);
    expect(told[0].at(-1)!.until).toBeLessThan(told[1].at(-1)!.until);
  });
  test('a wanted hour at home is that of the day one leaves on', () => {
    const home = inputOf(0, { forecast: steady(), trip: { homeBy: '20:00' } });
    const { windows: days } = all(home, Date.UTC(2026, 4, 13, 9), Date.UTC(2026, 4, 15, 9), HOUR);
    const noon = (day: number) =>
      days.find((w) => w.from <= Date.UTC(2026, 4, day, 11) && Date.UTC(2026, 4, day, 11) <= w.until)!;
    expect([noon(13).worst, noon(14).worst]).toEqual(['know', 'know']);
  });
  test('hours that no forecast reaches are open, and stand behind those that it does', () => {
    const short = { ...steady({}, 4), hours: steady({}, 4).hours };
    const { windows: half } = all(inputOf(0, { forecast: short }), NOW, NOW + 72 * HOUR, HOUR);
    const beyond = half.filter((w) => w.from > Date.UTC(2026, 4, 12, 4));
    expect(beyond.every((w) => w.open || w.worst === 'stop')).toBe(true);
    expect(bestWindows(half, 5).map((w) => w.open)).toEqual(
      [...bestWindows(half, 5).map((w) => w.open)].sort((a, b) => Number(a) - Number(b)),
    );
  });
});

describe('what stands at every hour alike', () => {
  const week = (forecast: AssessInput['conditions']['forecast'], trip: object = {}) =>
    all(inputOf(0, { ...(forecast ? { forecast } : {}), trip }), NOW, NOW + 30 * HOUR, HOUR);
  test('is told beside the windows, the worst first, and counted by none of them', () => {
    const { always, kit, windows } = all({ ...inputOf(0), conditions: {} }, NOW, NOW + 30 * HOUR, HOUR);
    expect(words(always[0].title)).toBe('No forecast');
    expect(always[0].level).toBe('fix');
    // The demo has no whistle, at no hour.
    expect(kit.filter(({ level }) => level === 'stop')).toHaveLength(1);
    expect(windows.some(({ limits }) => words(limits) === 'No forecast')).toBe(false);
  });
  test('a wind beyond the limit from the first hour to the last leaves no hour', () => {
    const { always, windows } = week(steady({ wind: 15, gust: 20 }), { limits: { wind: 8, gust: 10 } });
    expect(windows.every(({ worst }) => worst === 'stop')).toBe(true);
    expect(bestWindows(windows, 3)).toEqual([]);
    expect(always.some(({ level }) => level === 'stop')).toBe(false);
    const blown = inputOf(0, {
      forecast: steady({ wind: 15, gust: 20 }),
      trip: { limits: { wind: 8, gust: 10 } },
    });
    expect(new Set(sweep(blown, NOW, NOW + 12 * HOUR, HOUR).map(({ worst: level }) => level))).toEqual(
      new Set(['stop']),
    );
  });
});

describe('the order of windows', () => {
  const w = (worst: LeavingWindow['worst'], hours: number, open = false, from = 0): LeavingWindow => ({
    from: from * HOUR,
    until: (from + hours) * HOUR,
    worst,
    open,
  });
  test('level, then known before open, then length, then the earlier', () => {
    const list = [
      w('know', 1),
      w('ready', 1, false, 5),
      w('ready', 2, true, 1),
      w('ready', 1, false, 2),
      w('stop', 9),
      w('ready', 3, false, 7),
    ];
    expect([...list].sort(inWindowOrder)).toEqual([list[5], list[3], list[1], list[2], list[0], list[4]]);
    expect(bestWindows(list, 3)).toEqual([list[5], list[3], list[1]]);
    expect(bestWindows([w('stop', 3)], 3)).toEqual([]);
  });
  test('rows with a hole between them are two windows', () => {
    const rows = [0, WINDOW_STEP, 3 * WINDOW_STEP].map((leave) => ({
      leave,
      worst: 'ready' as const,
      open: false,
      at: [],
    }));
    expect(windowsOf(rows, WINDOW_STEP).map(({ from, until }) => [from, until])).toEqual([
      [0, WINDOW_STEP],
      [3 * WINDOW_STEP, 3 * WINDOW_STEP],
    ]);
    expect(windowsOf([], WINDOW_STEP)).toEqual([]);
  });
});
