import { describe, expect, test } from '@jest/globals';
import { LEVELS, type Finding, type Level } from '../model';
import { phrase } from '../say';
import {
  countLevels,
  doTo,
  figureNamed,
  figuresNamed,
  figuresOf,
  goTo,
  guessed,
  inOrder,
  leaning,
  leanOnPace,
  roomOf,
  sure,
  worstLevel,
  type Figures,
} from '.';

const ROOM = roomOf({
  kinds: {
    'day/fog': {
      section: 'plan/day',
      varies: 'hour',
      harm: 'life',
      cases: {
        poor: { level: 'fix', value: 1, unit: 'nm', source: 'own-estimate', confidence: 'L' },
        fair: { level: 'ready' },
      },
    },
  },
  limits: {
    narrow: { value: 3, unit: 'ft' },
    turn: { value: 180, unit: '°' },
    cold: { value: 50, unit: '°F' },
  },
});
const said = { title: phrase('fog.title'), because: [] };

describe('a room', () => {
  test('finds by kind, case and subject; level, section, source and what it varies with come from the data', () => {
    expect(ROOM.finding('day/fog', 'poor', 'trip-1', said)).toEqual({
      ...said,
      id: 'day/fog/trip-1',
      level: 'fix',
      section: 'plan/day',
      varies: 'hour',
      harm: 'life',
      figures: [],
      assumed: [],
      source: { id: 'own-estimate' },
    });
    expect(ROOM.finding('day/fog', 'fair', 'trip-1', said)).not.toHaveProperty('source');
  });
  test('a row of data may be a kind of its own; a source that was compared stands before the threshold’s', () => {
    const own = ROOM.finding('day/fog', 'fair', 'x', {
      ...said,
      id: 'day/own/x',
      level: 'stop',
      source: 'tide',
    });
    expect([own.id, own.level, own.source]).toEqual(['day/own/x', 'stop', { id: 'tide' }]);
    const cited = ROOM.finding('day/fog', 'poor', 'x', { ...said, source: { id: 'colregs', section: '35' } });
    expect(cited.source).toEqual({ id: 'colregs', section: '35' });
  });
  test('thresholds and limits are in SI, whatever unit the source writes', () => {
    expect(ROOM.at('day/fog', 'poor')).toBe(1852);
    expect(ROOM.limit('narrow')).toBeCloseTo(0.9144, 12);
    expect(ROOM.limit('turn')).toBeCloseTo(Math.PI, 12);
    expect(ROOM.limit('cold')).toBeCloseTo(10, 12);
    expect(() => ROOM.at('day/fog', 'fair')).toThrow(RangeError);
  });
  test('no other ways, no list of them', () => {
    expect(ROOM.finding('day/fog', 'poor', 'x', { ...said, others: [] })).not.toHaveProperty('others');
  });
});

describe('levels', () => {
  const f = (id: string, level: Level, section: Finding['section'] = 'plan/day'): Finding => ({
    ...ROOM.finding('day/fog', 'poor', 'x', said),
    id,
    level,
    section,
  });
  test('the worst is the worst, Ready when there is nothing; counts are of all four', () => {
    expect(LEVELS.map((level) => worstLevel([f('a', 'ready'), f('b', level)]))).toEqual([...LEVELS]);
    expect(worstLevel([])).toBe('ready');
    expect(countLevels([f('a', 'fix'), f('b', 'fix'), f('c', 'ready')])).toEqual({
      stop: 0,
      fix: 2,
      know: 0,
      ready: 1,
    });
  });
  test('worst first, then in the order of the day, then by id; one id once, at its worst', () => {
    const mixed = [
      f('b', 'fix', 'home/close'),
      f('a', 'fix', 'plan/boat'),
      f('z', 'stop', 'go/launch'),
      f('b', 'know', 'home/close'),
      f('c', 'ready'),
    ];
    expect(inOrder(mixed).map((x) => [x.id, x.level])).toEqual([
      ['z', 'stop'],
      ['a', 'fix'],
      ['b', 'fix'],
      ['c', 'ready'],
    ]);
    expect(inOrder([...mixed].reverse())).toEqual(inOrder(mixed));
  });
});

describe('what leans on a guess', () => {
  const ready = ROOM.finding('day/fog', 'fair', 'x', said);
  const poor = ROOM.finding('day/fog', 'poor', 'x', said);
  test('is known at best, and says what it leans on; what is worse stays as it is', () => {
    const mend = { label: phrase('light.mend'), ...goTo.trip('t', '/leave/time') };
    expect(leaning(ready, phrase('weather.show'), mend)).toMatchObject({
      level: 'know',
      assumed: [{ say: 'weather.show' }],
      mend,
    });
    expect(leaning(poor, phrase('weather.show'))).toBe(poor);
  });
  test('a guessed speed leaves hours open; a stated one does not', () => {
    const trip = { id: 't' };
    expect(leanOnPace({ trip, speed: { value: 2, guessed: true } }, ready).level).toBe('know');
    for (const speed of [{ value: 2, guessed: false }, undefined])
      expect(leanOnPace({ trip, speed }, ready)).toBe(ready);
  });
  test('a thing without its guesses: fields go, a guessed state is unknown, deeper guesses stay', () => {
    const thing = {
      name: 'Tern',
      length: 4,
      state: 'ready',
      plate: { persons: 3 },
      basis: { '/length': 'guessed', '/state': 'guessed', '/name': 'stated', '/plate/persons': 'guessed' },
    };
    expect(sure(thing)).toEqual({
      name: 'Tern',
      state: 'unknown',
      plate: { persons: 3 },
      basis: thing.basis,
    });
    expect([guessed(thing, '/length'), guessed(thing, '/name'), guessed(undefined, '/x')]).toEqual([
      true,
      false,
      false,
    ]);
    const plain = { name: 'Tern', basis: {} };
    expect(sure(plain)).toBe(plain);
  });
});

describe('mends', () => {
  test('lead to a field of a thing, to where such things are kept, to a section, or are done', () => {
    expect(goTo.trip('t', '/leave/time')).toEqual({ go: { type: 'trip', id: 't', pointer: '/leave/time' } });
    expect(goTo.person(undefined, '/mass')).toEqual({ go: { type: 'person', pointer: '/mass' } });
    expect(goTo.section('pack/ready')).toEqual({ open: 'pack/ready' });
    expect(doTo('gear', 'g', [{ op: 'set', pointer: '/on', value: 'j' }])).toEqual({
      do: { type: 'gear', id: 'g', patch: [{ op: 'set', pointer: '/on', value: 'j' }] },
    });
    // @ts-expect-error a boat has no such field
    goTo.boat('b', '/leave/time');
  });
});

describe('figures', () => {
  const book = figuresOf({
    'boat/load': { label: 'figure.load', quantity: 'mass', formula: 'formula.load', source: 'your-word' },
  });
  test('two boats each have theirs; an id names room, name and subject', () => {
    const into: Figures = {};
    const ids = ['a', 'b'].map((boat, i) =>
      book.put(into, 'boat/load', boat, { value: 100 + i, guessed: i === 1 }),
    );
    expect(ids).toEqual(['boat/load/a', 'boat/load/b']);
    expect(book.idOf('boat/load', 'a')).toBe('boat/load/a');
    expect(figuresNamed(into, 'boat/load').map(([id, f]) => [id, f.value, f.guessed])).toEqual([
      ['boat/load/a', 100, undefined],
      ['boat/load/b', 101, true],
    ]);
    expect([figureNamed(into, 'boat/load')?.label, figureNamed(into, 'boat/lo')]).toEqual([
      'figure.load',
      undefined,
    ]);
  });
  test('formula and source may hang on the facts', () => {
    const into: Figures = {};
    book.put(into, 'boat/load', 'a', {
      value: 1,
      formula: 'formula.advised',
      source: 'plate',
      range: [0, 2],
    });
    expect(into['boat/load/a']).toMatchObject({
      formula: 'formula.advised',
      source: 'plate',
      range: [0, 2],
      quantity: 'mass',
    });
  });
});
