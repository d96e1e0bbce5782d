import type { Condition } from '../model';
import { isUnit, measures } from '../units';
import { FACTS, QUESTION } from './facts';

export type Leaf = Extract<Condition, { fact: string }>;

/** Conditions nested deeper than this are refused: a bound on what a stranger's file can ask of the evaluator. */
const DEEPEST = 20;
/** The largest crew that a trip or an example may have: `some` looks at each of them. */
const MOST_CREW = 30;
/** Leaves that one condition may make the evaluator look at, with the largest crew. Our longest rule needs 300. */
export const MOST_WORK = 5_000;

/** The parts of a condition that is made of others. */
export function partsOf(condition: Condition): Condition[] {
  if ('all' in condition) return condition.all;
  if ('any' in condition) return condition.any;
  if ('not' in condition) return [condition.not];
  return 'some' in condition ? [condition.where] : [];
}

/** How many nested levels a condition has, 1 or more. */
export const depthOf = (condition: Condition): number => 1 + Math.max(0, ...partsOf(condition).map(depthOf));

/** Leaves that are looked at when nothing settles it early, with the largest crew. */
export function workOf(condition: Condition): number {
  const parts = partsOf(condition).reduce((sum, part) => sum + workOf(part), 0);
  return 'some' in condition ? MOST_CREW * parts : Math.max(1, parts);
}

/** Every leaf of a condition, in its order. */
export function leavesOf(condition: Condition): Leaf[] {
  return 'fact' in condition ? [condition] : partsOf(condition).flatMap(leavesOf);
}

/** The limit that a leaf compares with, where it has one. */
function limitOf(leaf: Leaf): boolean | number | string | { value: number; unit: string } | undefined {
  if ('under' in leaf) return leaf.under;
  if ('atLeast' in leaf) return leaf.atLeast;
  if ('over' in leaf) return leaf.over;
  if ('atMost' in leaf) return leaf.atMost;
  return 'is' in leaf ? leaf.is : undefined;
}

/** The unit that a leaf compares in, where nobody knows it. */
export function strangeUnit(leaf: Leaf): string | undefined {
  const limit = limitOf(leaf);
  return typeof limit === 'object' && !isUnit(limit.unit) ? limit.unit : undefined;
}

/** What an order can't be asked of: a limit that is a word, a fact that has names instead of numbers. */
function orderFaults(leaf: Leaf): string[] {
  if ('is' in leaf || 'in' in leaf) return [];
  const limit = limitOf(leaf);
  return [
    ...(typeof limit === 'number' || typeof limit === 'object'
      ? []
      : [`"${limit}" is no number to compare with`]),
    ...(FACTS[leaf.fact]?.words ? [`"${leaf.fact}" has names and no order`] : []),
  ];
}

/** A limit in a unit that measures something else: a length in kilograms. */
function unitFaults(leaf: Leaf): string[] {
  const limit = limitOf(leaf);
  const quantity = FACTS[leaf.fact]?.quantity;
  if (typeof limit !== 'object' || !isUnit(limit.unit) || quantity === undefined) return [];
  return measures(limit.unit, quantity) ? [] : [`"${leaf.fact}" is not measured in ${limit.unit}`];
}

/**
 * What is wrong with a condition that its schema can't see: facts and questions nobody knows, units nobody knows, too deep,
 * too much work. Every list of conditions passes here: packs, procedures, what is asked of a crew.
 * @param questions ids of the questions that may be asked here
 */
export function conditionFaults(condition: Condition, questions: ReadonlySet<string> = new Set()): string[] {
  if (depthOf(condition) > DEEPEST) return [`conditions nested deeper than ${DEEPEST}`];
  if (workOf(condition) > MOST_WORK)
    return [`asks for more than ${MOST_WORK} comparisons of a crew of ${MOST_CREW}`];
  return leavesOf(condition).flatMap((leaf) => {
    const { fact } = leaf;
    const unit = strangeUnit(leaf);
    const known = fact.startsWith(QUESTION) ? questions.has(fact.slice(QUESTION.length)) : fact in FACTS;
    return [
      ...(unit === undefined ? [] : [`unknown unit "${unit}"`]),
      ...(known ? [] : [`no fact is called "${fact}"`]),
      ...orderFaults(leaf),
      ...unitFaults(leaf),
    ];
  });
}
