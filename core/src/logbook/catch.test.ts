import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { Catch, CatchLimit, type Catch as ACatch, type CatchLimit as ALimit } from '../model';
import { render } from '../say';
import { keepOrRelease, type OnCatch } from './catch';

const READER = { units: 'metric', zone: 'UTC', locale: 'en-GB' } as const;
const ADA = '01890000-0000-7000-a000-00000000ada0';
const BEN = '01890000-0000-7000-a000-00000000be00';
const INCH = 0.0254;
// A slot as many waters have one: 15 to 20 inches pinched, one over 27, five in all.
const slot: ALimit = {
  species: 'Grey bass',
  measured: 'pinched',
  least: 15 * INCH,
  most: 20 * INCH,
  over: 27 * INCH,
  overBag: 1,
  bag: 5,
  source: 'the harbour’s board',
  on: '2026-03-01',
};
const fish = (inches: number | undefined, more: Partial<ACatch> = {}): ACatch => ({
  species: 'Grey bass',
  ...(inches === undefined ? {} : { length: inches * INCH }),
  measured: 'pinched',
  kept: true,
  by: ADA,
  ...more,
});
const told = (caught: ACatch, limit: ALimit | null = slot, day: Partial<OnCatch> = {}) =>
  keepOrRelease(caught, {
    limits: limit ? [limit] : [],
    water: 'Tern Sound',
    before: [],
    who: 'Ada',
    on: '2026-05-12',
    ...day,
  });
const words = (...of: Parameters<typeof told>) =>
  told(...of)
    .because.map((line) => render(line, READER))
    .join(' ');

describe('keep or release', () => {
  test.each<[string, number, 'keep' | 'release']>([
    ['under the slot', 14.9, 'release'],
    ['exactly at its lower end', 15, 'release'],
    ['just in it', 15.1, 'keep'],
    ['just under its upper end', 19.9, 'keep'],
    ['exactly at it', 20, 'release'],
    ['between slot and trophy', 24, 'release'],
    ['exactly at the trophy’s length: not over it', 27, 'release'],
    ['over it, the first', 27.1, 'keep'],
  ])('%s', (_name, inches, say) => expect(told(fish(inches)).say).toBe(say));
  test('one of exactly a length may be kept where the text says so', () =>
    expect(told(fish(15), { ...slot, atLimit: 'kept' }).say).toBe('keep'));
  test('one over the length for each person, not for the boat', () => {
    const before = [fish(28)];
    expect(told(fish(28), slot, { before })).toMatchObject({ say: 'release' });
    expect(words(fish(28), slot, { before })).toBe('Ada may keep 1 over 68.6 cm and has kept 1.');
    expect(told(fish(28, { by: BEN }), slot, { before, who: 'Ben' }).say).toBe('keep');
    expect(told(fish(28), slot, { before: [fish(28, { kept: false })] }).say).toBe('keep');
  });
  test('the sixth of five goes back, whoever caught the others of theirs', () => {
    const five = Array.from({ length: 5 }, () => fish(16));
    expect(told(fish(16), slot, { before: five }).say).toBe('release');
    expect(told(fish(16, { by: BEN }), slot, { before: five }).say).toBe('keep');
    expect(told(fish(16), slot, { before: five.map((f) => ({ ...f, species: 'Pollack' })) }).say).toBe(
      'keep',
    );
    // Whose they were, or how long, nobody said: they may be hers.
    expect(told(fish(16), slot, { before: five.map(({ by: _by, ...f }) => f) }).say).toBe('look-up');
    expect(told(fish(28), slot, { before: [fish(undefined)] }).say).toBe('look-up');
  });
  test('what is not known is never kept', () => {
    expect(told(fish(16), null)).toMatchObject({ say: 'look-up' });
    expect(words(fish(16), null)).toMatch(/No limit for this kind is entered for Tern Sound/);
    const { on: _on, ...undated } = slot;
    expect(words(fish(16), undated)).toBe('Nobody said when this limit was read: look it up.');
    const { source: _source, ...unsourced } = slot;
    expect(told(fish(16), unsourced).say).toBe('look-up');
    expect(told(fish(16), { ...slot, on: '2025-05-12' }).say).toBe('look-up');
    expect(told(fish(16), { ...slot, on: '2025-05-13' }).say).toBe('keep');
    expect(told(fish(undefined)).say).toBe('look-up');
    expect(words(fish(16, { measured: 'fork' }))).toMatch(/mouth shut, tail pinched/);
    expect(told(fish(16, { measured: undefined })).say).toBe('look-up');
    expect(told(fish(16, { by: undefined })).say).toBe('look-up');
    const { overBag: _few, ...few } = slot;
    expect(told(fish(28), few).say).toBe('look-up');
    expect(
      keepOrRelease(fish(16), { limits: [slot, slot], water: 'x', before: [], on: '2026-05-12' }).say,
    ).toBe('look-up');
  });
  test('what is too small goes back even by an old limit', () =>
    expect(told(fish(10), { ...slot, on: '2019-01-01' }).say).toBe('release'));
  test('a fish of minus ten, and limits upside down: told, each in its words', () => {
    const { error } = Catch.safeParse(fish(-10));
    expect(error?.issues.map(({ message }) => message)).toEqual(['is less than 0.005']);
    expect(CatchLimit.safeParse({ ...slot, least: 1, most: 0.5 }).error?.issues[0].message).toBe(
      'the lower length stands above the upper',
    );
  });
  test('of a plain least length no longer fish goes back where a shorter one may stay', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 60, noNaN: true }),
        fc.double({ min: 1, max: 60, noNaN: true }),
        (a, b) => {
          const { most: _most, over: _over, overBag: _overBag, ...plain } = slot;
          const [short, long] = a < b ? [a, b] : [b, a];
          if (told(fish(short), plain).say === 'keep') expect(told(fish(long), plain).say).toBe('keep');
        },
      ),
    ));
});
