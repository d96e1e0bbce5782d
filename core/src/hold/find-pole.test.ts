import { describe, expect, test } from '@jest/globals';
import { steady } from '../../test/demo';
import { flows, lying, refused, type Lies } from '../../test/lies';

describe('on a pole', () => {
  const calm = steady({ wind: 1.5, gust: 2 });
  const staked = (given: Lies = {}) =>
    lying({
      pole: {},
      forecast: calm,
      ...given,
      place: { depth: 0.6, ...given.place },
      halt: { hold: 'pole', ...given.halt },
    });
  test('in still shallows and a light air it may hold, never Ready, and nothing is refused', () => {
    const at = staked();
    expect(refused(at)).toEqual([]);
    expect(at.at('pole')).toBe('know');
    expect(at.found.every(({ level }) => level !== 'ready')).toBe(true);
  });
  test.each([
    [0.9, 'know'],
    [1.2, 'know'],
    [1.25, 'fix'],
    [1.9, 'fix'],
  ])('%s m of water: %s', (depth, level) => expect(staked({ place: { depth } }).at('pole')).toBe(level));
  test('more wind than it holds is a Fix and says to use an anchor', () => {
    const at = staked({ forecast: steady({ wind: 14, gust: 18 }), place: { seabed: 'gravel' } });
    expect([at.at('pole'), at.of('pole')?.open]).toEqual(['fix', true]);
    expect(at.says('pole')).toContain('use an anchor');
  });
  test('refused as an anchor is: a stream, a river, no knife, a knot', () => {
    expect(
      refused(staked({ water: { class: 'sheltered-tidal', stream: flows(0.6) }, place: { depth: 0.6 } })),
    ).toEqual(['stream']);
    expect(refused(staked({ water: { class: 'river' } }))).toEqual(['river']);
    expect(refused(staked({ knife: null }))).toEqual(['knife']);
    expect(refused(staked({ pole: { release: 'knot' } }))).toEqual(['release']);
    expect(staked({ knife: null }).title('knife')).toBe('Do not stake out at Hole');
  });
  test('across on it: both schools in a light air, refused beyond', () => {
    expect(staked({ halt: { fast: 'side' } }).at('side')).toBe('know');
    expect(refused(staked({ halt: { fast: 'side' }, forecast: steady({ wind: 6, gust: 8 }) }))).toEqual([
      'side',
    ]);
    expect(
      refused(staked({ halt: { fast: 'side' }, water: { class: 'coastal', stream: flows(0.2) } })),
    ).toContain('side');
  });
  test('no pole, no measures, a short line', () => {
    expect(lying({ halt: { hold: 'pole' } }).at('pole')).toBe('fix');
    expect(staked({ pole: { thick: undefined } }).of('pole')).toMatchObject({ level: 'know', open: true });
    expect(staked({ pole: { line: 1.5 } }).at('pole-line')).toBe('know');
    expect(staked().of('pole-line')).toBeUndefined();
    expect(staked({ pole: { long: 0.5 } }).says('pole')).toContain('does not stand');
  });
});
test('a chop of more than half a metre keeps a small boat from lying held', () => {
  expect(refused(lying({ forecast: steady({ waves: 0.7 }) }))).toEqual(['breakers']);
  expect(refused(lying({ forecast: steady({ waves: 0.5 }) }))).toEqual([]);
  expect(refused(lying({ kind: 'skiff', forecast: steady({ waves: 0.7 }) }))).toEqual([]);
});
