import { expect, test } from '@jest/globals';
import { WORDS } from './words';
import { clock, dateOf, dayOf, phrase, render, type Reader } from '.';

const metric: Reader = { units: 'metric', zone: 'UTC', locale: 'en-GB' },
  us: Reader = { ...metric, units: 'us', zone: 'America/New_York' };

test('every template renders when it is given what it names', () => {
  const filler = { p: phrase('value.yes') };
  for (const [key, template] of Object.entries(WORDS)) {
    const names = [...template.matchAll(/\{(\w+)(?::([\w-]+))?/g)];
    const values = Object.fromEntries(
      names.map(([, name, as]) => [
        name,
        as === 'list' || as === 'or' ? ['a', filler.p, 'c'] : as === 'date' ? '2026-05-12' : 1,
      ]),
    );
    const said = render({ say: key, with: values }, metric);
    expect(said).not.toMatch(/[{}]|undefined|NaN/);
  }
});
test('a sentence with a hole never reaches a screen', () => {
  expect(() => render({ say: 'load.over', with: { total: 3 } }, metric)).toThrow(
    /needs a value for \{limit\}/,
  );
  expect(() => render({ say: 'no.such.words' }, metric)).toThrow(/no words/);
});
test('the reader’s units, zone and counts', () => {
  const load = phrase('load.persons.plate', { n: 1, most: 4 });
  expect(render(load, metric)).toContain('1 person aboard');
  expect(render(phrase('cold.unknown.why'), metric)).toBe(WORDS['cold.unknown.why']);
  expect(render(phrase('load.within', { total: 100, limit: 200, people: 80, gear: 20 }), us)).toContain(
    '220 lb of 441 lb',
  );
  const at = Date.UTC(2026, 4, 12, 4, 5);
  expect([clock(at, metric), clock(at, us), dayOf(at, us)]).toEqual(['04:05', '00:05', 'Tue 12 May']);
  expect(dateOf('2026-02-01', us)).toBe('1 Feb 2026');
});
