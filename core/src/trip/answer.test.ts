import { describe, expect, test } from '@jest/globals';
import type { Assessment, Finding, Level } from '../model';
import { phrase, render } from '../say';
import { MS } from '../units';
import { inOrder } from '../verdict';
import { inputOf, steady } from '../../test/demo';
import { answerOf, assess, bestOf, type Departure } from '.';

const NOW = Date.UTC(2026, 4, 12, 5);
const reader = { units: 'metric' as const, zone: 'UTC', locale: 'en-GB' };
const found = (level: Level, title: string, more: Partial<Finding> = {}): Finding => ({
  id: `${level}/${title}`,
  level,
  section: 'plan/day',
  title: phrase('kit.title', { title }),
  because: [],
  figures: [],
  assumed: [],
  ...more,
});
const daylight = (value: number) => ({
  'passage/daylight/t': {
    label: 'figure.daylight',
    value,
    quantity: 'duration' as const,
    inputs: {},
    formula: 'formula.daylight',
    source: 'sun',
  },
});
const HOME = Date.UTC(2026, 4, 12, 11, 55);
const told = (findings: Finding[], more: Partial<Assessment> = {}, extra = {}) =>
  answerOf(
    {
      now: NOW,
      findings: inOrder(findings),
      figures: daylight(4 * 3600),
      schedule: { leave: NOW, legs: [], halts: [], home: HOME, checkIns: [] },
      ...more,
    },
    { issuedAt: NOW - 3 * MS.hour, ...extra },
  )
    .map((sentence) => render(sentence, reader))
    .join(' ');

describe('the answer', () => {
  const ready = found('ready', 'Light'),
    know = found('know', 'Alone'),
    open = found('know', 'Not said of Lena', { open: true }),
    fix = found('fix', 'No jacket fits Lena'),
    stop = found('stop', 'Too heavy');
  test.each<[string, Finding[], string]>([
    ['a stop before everything', [ready, fix, stop, open], 'Not like this. Too heavy.'],
    ['then what is to be mended', [know, fix, open], 'Not yet. No jacket fits Lena.'],
    ['then what nobody said', [know, ready, open], 'Not settled. Not said of Lena.'],
    [
      'only then that nothing known is against it',
      [ready, know],
      'Nothing known stops you. Home 11:55 with 4 h 00 of light; forecast 3 h 00 old.',
    ],
  ])('%s', (_what, findings, sentence) => expect(told(findings)).toBe(sentence));
  test('a hole is never said: without a time home, a forecast or a sum of light less is', () => {
    expect(told([ready], { schedule: { leave: NOW, legs: [], halts: [], checkIns: [] } })).toBe(
      'Nothing known stops you.',
    );
    expect(told([ready], {}, { issuedAt: undefined })).toBe('Nothing known stops you.');
    expect(told([ready], { figures: {} })).toBe('Nothing known stops you. Home 11:55; forecast 3 h 00 old.');
  });
  test('the best hours follow where they are known, and never beside what is open', () => {
    const best = { from: Date.UTC(2026, 4, 12, 8, 10), until: Date.UTC(2026, 4, 12, 9, 40) };
    expect(told([ready], {}, { best })).toMatch(/old\. Best from 08:10 to 09:40\.$/);
    for (const against of [open, fix, stop]) expect(told([ready, against], {}, { best })).not.toMatch(/Best/);
  });
  test('a forecast that says it was issued later than now is none old', () =>
    expect(told([ready], {}, { issuedAt: NOW + MS.hour })).toMatch(/forecast 0 min old/));
  test('the invented weather of the demo never lets it say that nothing stops', () => {
    for (const n of [0, 1, 2])
      expect(
        answerOf(assess(inputOf(n, { forecast: { ...steady(), invented: true } })), { issuedAt: NOW }).map(
          (p) => p.say,
        ),
      ).not.toContainEqual(expect.stringMatching(/^answer\.clear/));
  });
});

test('of what weighs alike the worse harm stands first, whatever phase it belongs to', () => {
  const fix = (title: string, harm: Finding['harm'], section: Finding['section']) =>
    found('fix', title, { harm, section });
  const list = [
    fix('paper', 'order', 'plan/boat'),
    fix('late', 'day', 'plan/day'),
    fix('jacket', 'life', 'pack/kit'),
    fix('whistle', 'hurt', 'pack/kit'),
    fix('no boat', 'ground', 'plan/boat'),
    found('stop', 'registration', { harm: 'order', section: 'pack/kit' }),
  ];
  expect(inOrder(list).map((f) => render(f.title, reader))).toEqual([
    'registration',
    'no boat',
    'jacket',
    'whistle',
    'late',
    'paper',
  ]);
});

describe('the best departures', () => {
  const row = (...levels: Level[]): Departure[] =>
    levels.map((worst, i) => ({ leave: NOW + i * 10 * MS.minute, worst, count: 1 }));
  const at = (i: number) => NOW + i * 10 * MS.minute;
  test.each<[string, Departure[], number, [number, number, Level] | undefined]>([
    ['one run', row('stop', 'know', 'know', 'stop'), 0, [1, 2, 'know']],
    ['the first of two', row('know', 'fix', 'know', 'know'), 0, [0, 0, 'know']],
    ['nothing is better', row('fix', 'fix'), 0, [0, 1, 'fix']],
    ['what is past is no choice', row('ready', 'fix', 'know'), 1, [2, 2, 'know']],
    ['a day without hours', [], 0, undefined],
    ['a day that is over', row('ready', 'ready'), 5, undefined],
  ])('%s', (_what, departures, now, wanted) =>
    expect(bestOf(departures, at(now))).toEqual(
      wanted && { from: at(wanted[0]), until: at(wanted[1]), worst: wanted[2] },
    ),
  );
});
