import type { Condition, Phrase, RulePack } from '../model';
import { phrase, phraseOf, type WordKey } from '../say';
import { FACTS, QUESTION, type FactValue } from './facts';

/** Words of the questions that a pack asks, by id. */
export type Questions = Readonly<Record<string, string>>;
export const questionsOf = ({ questions = [] }: Pick<RulePack, 'questions'>): Questions =>
  Object.fromEntries(questions.map((q) => [q.id, q.ask]));

interface Naming {
  questions?: Questions;
  /** Facts that follow from weather invented for show. */
  invented?: ReadonlySet<string>;
}

/** What a fact is called. @param person whose it is, where it is one of a person */
export function factPhrase(fact: string, { questions, invented }: Naming, person?: string): Phrase {
  if (fact.startsWith(QUESTION)) {
    return phrase('fact.question', { ask: questions?.[fact.slice(QUESTION.length)] ?? fact });
  }
  const name = phraseOf(FACTS[fact]?.word ?? 'fact.question', {
    person: person ?? phrase('person.nobody'),
    ask: fact,
  });
  return invented?.has(fact) ? phrase('fact.invented', { fact: name }) : name;
}

/** A fact's value as it is read, in the reader's units. */
export function valuePhrase(fact: string, value: FactValue): Phrase | string {
  const spec = FACTS[fact];
  if (typeof value === 'boolean') return phrase(value ? 'value.yes' : 'value.no');
  if (typeof value === 'string') return spec?.words?.[value] ?? value;
  const number = (v: number) => phraseOf(NUMBER_WORDS[spec?.quantity ?? ''] ?? 'value.plain', { v });
  if (typeof value === 'number') return number(value);
  const { low, high } = value;
  if (high === Infinity) return phrase('value.more', { v: number(low) });
  if (low === -Infinity) return phrase('value.less', { v: number(high) });
  return low === high ? number(low) : phrase('value.range', { low: number(low), high: number(high) });
}

const NUMBER_WORDS: Partial<Record<string, WordKey>> = {
  length: 'value.length',
  temperature: 'value.temperature',
  duration: 'value.duration',
  distance: 'value.distance',
  power: 'value.power',
  speed: 'value.speed',
  age: 'value.age',
  days: 'value.days',
};

/** A condition as it is read, in the names by which the evaluator explains itself; limits in the units of its text. */
export function conditionPhrase(condition: Condition, naming: Naming): Phrase {
  const inner = (part: Condition) => conditionPhrase(part, naming);
  if ('always' in condition) return phrase('when.always');
  if ('all' in condition) return phrase('when.all', { parts: condition.all.map(inner) });
  if ('any' in condition) return phrase('when.any', { parts: condition.any.map(inner) });
  if ('not' in condition) return phrase('when.not', { part: inner(condition.not) });
  if ('some' in condition) return phrase('when.some', { part: inner(condition.where) });
  const fact = factPhrase(condition.fact, naming);
  const written = (limit: Written) =>
    typeof limit === 'object'
      ? phrase('value.written', { v: limit.value, unit: limit.unit })
      : valuePhrase(condition.fact, limit);
  if ('in' in condition) return phrase('when.in', { fact, values: condition.in.map(written) });
  if ('under' in condition) return phrase('when.under', { fact, limit: written(condition.under) });
  if ('atLeast' in condition) return phrase('when.atLeast', { fact, limit: written(condition.atLeast) });
  if ('over' in condition) return phrase('when.over', { fact, limit: written(condition.over) });
  if ('atMost' in condition) return phrase('when.atMost', { fact, limit: written(condition.atMost) });
  return phrase('when.is', { fact, value: written(condition.is) });
}
type Written = boolean | number | string | { value: number; unit: string };
