import { describe, expect, test } from '@jest/globals';
import { lying, type Lies } from '../../test/lies';
import { onHold } from '../trip/on-hold';
import { stepLengths } from './step-lengths';

const lengths = (given: Lies = {}) => {
  const { input, schedule } = lying(given);
  return stepLengths(onHold(input), schedule);
};

describe('what steps of anchoring name', () => {
  test('seven times the height to her bow, over still water of two metres', () => {
    const { rode } = lengths();
    expect(rode).toBeGreaterThan(7 * 2.2);
    expect(rode).toBeLessThan(7 * 2.6);
  });
  test('nobody lets out more than there is', () => {
    expect(lengths({ anchor: { line: 9, chain: 1 } }).rode).toBe(10);
    expect(lengths({ anchor: { line: undefined } }).rode).toBe(lengths().rode);
  });
  test('her circle is what is out and her length', () => {
    const { rode, swing } = lengths();
    expect(swing).toBeGreaterThan(rode!);
    expect(swing).toBeLessThan(rode! + 2 * 3.6);
  });
  test.each([
    ['a guessed depth', { place: { basis: { '/depth': 'guessed' } } }],
    ['no depth', { place: { depth: undefined } }],
    ['nothing said of what holds her', { halt: { hold: undefined } }],
  ] as [string, Lies][])('%s gives no figure', (_what, given) => {
    expect(lengths(given)).toEqual({});
  });
});
