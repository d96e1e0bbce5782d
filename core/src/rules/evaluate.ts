import type { Because, Condition, Truth } from '../model';
import { phrase, phraseOf, type WordKey } from '../say';
import { limitInSI } from '../units';
import { MOST_WORK, strangeUnit, type Leaf } from './conditions';
import type { Facts, FactValue } from './facts';
import { factPhrase, valuePhrase } from './words';

export interface Person {
  id: string;
  name: string;
  facts: Facts;
}

export interface Evaluation {
  truth: Truth;
  /** The leaves that decided it, in the order of the condition. */
  because: Because[];
  /** Names of facts that were missing where they mattered. */
  missing: string[];
}

export interface World {
  facts: Facts;
  crew: Person[];
  /** Facts that follow from weather invented for show, by name: every sentence about them says so. */
  invented?: ReadonlySet<string>;
  /** Words of the questions of the pack at hand, by id. */
  questions?: Record<string, string>;
}

/** How many leaves may still be looked at. */
export interface Budget {
  left: number;
}
export const budget = (left: number): Budget => ({ left });

/** One condition out of a budget for many: it takes its own share at most, so that a greedy one starves nobody. */
export function evaluateWithin(work: Budget, condition: Condition, world: World): Evaluation {
  const share = Math.min(MOST_WORK, work.left);
  const mine = budget(share);
  const found = evaluate(condition, world, undefined, mine);
  work.left -= share - mine.left;
  return found;
}

/**
 * Three-valued truth of a condition over facts, with the leaves that decided it (Kleene's strong logic: a missing fact
 * makes *unknown*, and unknown only matters where the rest does not settle it). The sentence on the screen is made from this.
 * @param work bounds it; what it does not reach is unknown
 */
export function evaluate(
  condition: Condition,
  world: World,
  person?: Person,
  work: Budget = budget(MOST_WORK),
): Evaluation {
  const inner = (part: Condition, who = person) => evaluate(part, world, who, work);
  if ('always' in condition)
    return { truth: 'yes', because: [{ phrase: phrase('because.always'), truth: 'yes' }], missing: [] };
  if ('all' in condition)
    return combine(
      condition.all.map((part) => inner(part)),
      'no',
      'yes',
    );
  if ('any' in condition)
    return combine(
      condition.any.map((part) => inner(part)),
      'yes',
      'no',
    );
  if ('not' in condition) {
    const found = inner(condition.not);
    return { ...found, truth: NOT[found.truth] };
  }
  if (work.left <= 0)
    return {
      truth: 'unknown',
      because: [{ phrase: phrase('because.too-much'), truth: 'unknown' }],
      missing: [],
    };
  if ('some' in condition)
    return combine(
      world.crew.map((p) => inner(condition.where, p)),
      'yes',
      'no',
    );
  work.left -= 1;
  return leaf(condition, world, person);
}

const NOT: Record<Truth, Truth> = { yes: 'no', no: 'yes', unknown: 'unknown' };

/** `settles` is the truth that decides alone; without it and without unknowns the other holds. */
function combine(parts: Evaluation[], settles: Truth, otherwise: Truth): Evaluation {
  const deciding = parts.filter((p) => p.truth === settles);
  if (deciding.length > 0) return { truth: settles, because: deciding[0].because, missing: [] };
  const unsettled = parts.filter((p) => p.truth === 'unknown');
  const shown = unsettled.length > 0 ? unsettled : parts;
  return {
    truth: unsettled.length > 0 ? 'unknown' : otherwise,
    because: shown.flatMap((p) => p.because),
    missing: [...new Set(unsettled.flatMap((p) => p.missing))],
  };
}

function leaf(condition: Leaf, world: World, person?: Person): Evaluation {
  const own = person && condition.fact.startsWith('person.');
  const value = own ? person.facts[condition.fact] : world.facts[condition.fact];
  const fact = factPhrase(condition.fact, world, person?.name);
  const missing = own ? `${condition.fact}@${person.id}` : condition.fact;
  if (value === undefined) {
    const truth: Truth = 'is' in condition && condition.unsaid !== undefined ? condition.unsaid : 'unknown';
    const word =
      truth === 'unknown' ? 'because.unknown' : truth === 'yes' ? 'because.unsaid.yes' : 'because.unsaid.no';
    return {
      truth,
      because: [{ phrase: phrase(word, { fact }), truth }],
      missing: truth === 'unknown' ? [missing] : [],
    };
  }
  // A pack from before the gate may compare in a unit that nobody knows: that settles nothing.
  const strange = strangeUnit(condition);
  if (strange !== undefined) {
    const said = phrase('because.unit', { fact, unit: strange });
    return { truth: 'unknown', because: [{ phrase: said, truth: 'unknown' }], missing: [] };
  }
  const { truth, word, limit } = compare(condition, value);
  const because: Because = {
    phrase: phraseOf(word, {
      fact,
      value: valuePhrase(condition.fact, value),
      ...(limit === undefined ? {} : { limit: valuePhrase(condition.fact, limit) }),
    }),
    truth,
  };
  return { truth, because: [because], missing: truth === 'unknown' ? [missing] : [] };
}

function compare(condition: Leaf, value: FactValue): { truth: Truth; word: WordKey; limit?: FactValue } {
  if ('is' in condition) return { truth: oneOf([inSI(condition.is)], value), word: 'because.is' };
  if ('in' in condition) return { truth: oneOf(condition.in, value), word: 'because.is' };
  const { low, high } = typeof value === 'object' ? value : { low: Number(value), high: Number(value) };
  const [operator, limit] = limitOf(condition);
  // Of a range all of it has to lie on one side.
  const { below, words } = SIDES[operator];
  const inclusive = operator === 'over' || operator === 'atMost';
  if (inclusive ? high <= limit : high < limit) return { truth: yesNo(below), word: words[0], limit };
  if (inclusive ? low > limit : low >= limit) return { truth: yesNo(!below), word: words[1], limit };
  return { truth: 'unknown', word: 'because.straddles', limit };
}

/** Is it one of these? A range that may be one, and may not, settles nothing. */
function oneOf(wanted: (boolean | number | string)[], value: FactValue): Truth {
  if (typeof value !== 'object') return yesNo(wanted.includes(value));
  const { low, high } = value;
  const within = wanted.some((w) => typeof w === 'number' && w >= low && w <= high);
  return !within ? 'no' : low === high ? 'yes' : 'unknown';
}

type Operator = 'under' | 'atLeast' | 'over' | 'atMost';
/** Whether a comparison holds below its limit, and what is said below and above it. */
const SIDES: Record<Operator, { below: boolean; words: [WordKey, WordKey] }> = {
  under: { below: true, words: ['because.under', 'because.notUnder'] },
  atLeast: { below: false, words: ['because.notAtLeast', 'because.atLeast'] },
  atMost: { below: true, words: ['because.atMost', 'because.over'] },
  over: { below: false, words: ['because.atMost', 'because.over'] },
};

function limitOf(condition: Exclude<Leaf, { is: unknown } | { in: unknown }>): [Operator, number] {
  if ('under' in condition) return ['under', Number(inSI(condition.under))];
  if ('atLeast' in condition) return ['atLeast', Number(inSI(condition.atLeast))];
  return 'over' in condition
    ? ['over', Number(inSI(condition.over))]
    : ['atMost', Number(inSI(condition.atMost))];
}

const yesNo = (holds: boolean): Truth => (holds ? 'yes' : 'no');

function inSI(value: boolean | number | string | { value: number; unit: string }): boolean | number | string {
  return typeof value === 'object' ? limitInSI(value) : value;
}
