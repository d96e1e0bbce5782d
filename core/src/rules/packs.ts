import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import type { Because, Condition, Demand, Rule, RulePack, Truth } from '../model';
import { phrase } from '../say';
import { isUnit } from '../units';
import { conditionFaults } from './conditions';
import { questionsOf } from './words';
import { budget, evaluateWithin, type Budget, type World } from './evaluate';

export interface RuleResult {
  rule: Rule;
  pack: RulePack;
  applies: Truth;
  because: Because[];
  missing: string[];
  /** What it asks for under these facts: demands whose own condition fails are gone, one that can't be told is marked. */
  anyOf: Asked[][];
}

/** A demand as it stands under the facts at hand. */
export interface Asked extends Demand {
  /** Whether it stands at all hangs on these missing facts. */
  hangsOn?: string[];
}

/**
 * Which rules of the packs hold for these facts, and why. Rules that don't apply are returned too, with the reason.
 * @param work what the evaluator may look at for all of them; what is left over after it is *unknown*, never no
 */
export function applyPacks(
  packs: RulePack[],
  world: Omit<World, 'questions'>,
  work: Budget = budget(MOST_WORK_OF_PACKS),
): RuleResult[] {
  // Two packs may name a rule alike: the second is told apart by its pack, so that no finding stands twice.
  const named = new Set<string>();
  return packs.flatMap((pack) => {
    const questions = questionsOf(pack);
    const inPack = { ...world, questions };
    return pack.rules.map((original): RuleResult => {
      const instead = packs.find((other) =>
        other.displaces?.some(
          (d) =>
            (d.pack === pack.id || d.pack === pack.replaces) &&
            d.rule === original.id &&
            evaluateWithin(work, d.when, world).truth === 'yes',
        ),
      );
      if (instead) {
        const because: Because[] = [
          { phrase: phrase('because.displaced', { pack: instead.title }), truth: 'no' },
        ];
        return { rule: original, pack, applies: 'no', because, missing: [], anyOf: [] };
      }
      const rule = named.has(original.id) ? { ...original, id: `${pack.id}.${original.id}` } : original;
      named.add(rule.id);
      const holds: Condition = rule.unless ? { all: [rule.when, { not: rule.unless }] } : rule.when;
      const result = evaluateWithin(work, holds, inPack);
      const { truth: applies, because, missing } = result;
      return {
        rule,
        pack,
        applies,
        because,
        missing,
        anyOf: applies === 'no' ? [] : askedOf(rule, inPack, work),
      };
    });
  });
}

/** The alternatives that stand under these facts. */
function askedOf({ anyOf }: Rule, world: World, work: Budget): Asked[][] {
  return anyOf.flatMap((demands): Asked[][] => {
    const asked = demands.map((demand) => ({
      demand,
      found: demand.when && evaluateWithin(work, demand.when, world),
    }));
    if (asked.some(({ found }) => found?.truth === 'no')) return [];
    return [
      asked.map(({ demand, found }) =>
        found?.truth === 'unknown' ? { ...demand, hangsOn: found.missing } : demand,
      ),
    ];
  });
}

/** Leaves that all packs of a trip may make the evaluator look at. The largest pack that ships needs under a thousand. */
const MOST_WORK_OF_PACKS = 200_000;

/** JSON with sorted keys, so that the same content has the same hash on every machine. */
function canonical(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(canonical).join(',')}]`;
  if (value && typeof value === 'object')
    return `{${Object.entries(value)
      .filter(([, v]) => v !== undefined)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([k, v]) => `${JSON.stringify(k)}:${canonical(v)}`)
      .join(',')}}`;
  return JSON.stringify(value);
}

const hashes = new WeakMap<object, string>();
/** Content hash of a document (SHA-256 over canonical JSON, first 16 hex digits). */
export function contentHash(content: object): string {
  let hash = hashes.get(content);
  if (!hash) hashes.set(content, (hash = bytesToHex(sha256(utf8ToBytes(canonical(content)))).slice(0, 16)));
  return hash;
}

/** What is wrong with a pack that a schema can't see: facts nobody knows, questions never asked, depth, units. Empty when all is well. */
export function packFaults(pack: RulePack): string[] {
  const asked = new Set((pack.questions ?? []).map((q) => q.id));
  const displaced = (pack.displaces ?? []).flatMap(({ rule, when }) =>
    conditionFaults(when).map((fault) => `displaces ${rule}: ${fault}`),
  );
  const twice = pack.rules.filter(({ id }, i) => pack.rules.findIndex((other) => other.id === id) < i);
  return [
    ...displaced,
    ...twice.map(({ id }) => `${id}: two rules have this id`),
    ...pack.rules.flatMap((rule) => ruleFaults(rule, asked).map((fault) => `${rule.id}: ${fault}`)),
  ];
}

function ruleFaults(
  { layer, weight, anyOf, declared, when, unless }: Rule,
  asked: ReadonlySet<string>,
): string[] {
  const demands = anyOf.flat();
  const conditions = [when, unless, declared?.worn, declared?.cord, ...demands.map((d) => d.when)];
  return [
    ...(layer === 'advice' && !weight ? ['advice needs a weight'] : []),
    ...(anyOf.length === 0 && !declared ? ['asks for nothing'] : []),
    ...demands.flatMap(({ leastLength }) =>
      leastLength && !isUnit(leastLength.unit) ? [`unknown unit "${leastLength.unit}"`] : [],
    ),
    ...(anyOf.length > 1 ? demands : [])
      .filter((d) => d.forWhom === 'each')
      .map((d) => `${d.capability} is asked for each body, and has other ways beside it; write two rules`),
    ...conditions.flatMap((condition) => (condition ? conditionFaults(condition, asked) : [])),
  ];
}
