import { expect, test } from '@jest/globals';
import type { Condition } from '../model';
import { render } from '../say';
import { conditionPhrase, PACKS, questionsOf } from '.';

const reader = { units: 'metric', zone: 'UTC', locale: 'en-GB' } as const;
const read = (condition: Condition, questions = {}) =>
  render(conditionPhrase(condition, { questions }), reader);
const wide: Condition = { fact: 'question.wide', is: true };

test.each<[string, Condition, string]>([
  ['always', { always: true }, 'always'],
  [
    'a limit, in the unit of its text',
    { fact: 'boat.length', under: { value: 16, unit: 'ft' } },
    'Length under 16 ft',
  ],
  [
    'the other sides',
    {
      any: [
        { fact: 'boat.power', over: { value: 3, unit: 'hp' } },
        { fact: 'crew.count', atMost: 2 },
      ],
    },
    '(Power over 3 hp or People aboard 2 at most)',
  ],
  [
    'words of a list',
    { fact: 'water.class', in: ['coastal', 'open-sea'] },
    'Kind of water: Coastal or Open sea',
  ],
  [
    'not, and somebody aboard',
    {
      all: [
        { not: { fact: 'day.dark', is: true } },
        { some: 'crew', where: { fact: 'person.age', atLeast: 13 } },
      ],
    },
    'not: On the water between sunset and sunrise: yes and for someone aboard Age of anyone aboard 13 years or more',
  ],
])('%s', (_name, condition, words) => expect(read(condition)).toBe(words));
test('a question in its own words; one that nobody asked by its name', () => {
  expect(read(wide, { wide: 'Is the entrance over two miles wide?' })).toBe(
    'Is the entrance over two miles wide?: yes',
  );
  expect(read(wide)).toBe('question.wide: yes');
});
test('every condition of every pack can be read', () => {
  for (const pack of PACKS)
    for (const rule of pack.rules)
      for (const condition of [rule.when, rule.unless, ...rule.anyOf.flat().map((d) => d.when)])
        if (condition) expect(read(condition, questionsOf(pack))).toMatch(/^\S.*[^\s{}]$/);
});
