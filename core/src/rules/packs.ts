import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import type { Because, Condition, Demand, Rule, RulePack, Truth } from '../model';
import { phrase } from '../say';
import { isUnit } from '../units';
import { evaluate, type World } from './evaluate';
import { FACTS, QUESTION } from './facts';

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

/** Which rules of the packs hold for these facts, and why. Rules that don't apply are returned too, with the reason. */
export function applyPacks(packs: RulePack[], world: Omit<World, 'questions'>): RuleResult[] {
  // Two packs may name a rule alike: the second is told apart by its pack, so that no finding stands twice.
  const named = new Set<string>();
  return packs.flatMap((pack) => {
    const questions = Object.fromEntries((pack.questions ?? []).map((q) => [q.id, q.ask]));
    const inPack = { ...world, questions };
    return pack.rules.map((original): RuleResult => {
      const instead = packs.find((other) => other.displaces?.some((d) => (d.pack === pack.id || d.pack === pack.replaces) && d.rule === original.id && evaluate(d.when, world).truth === 'yes'));
      if (instead) {
        const because: Because[] = [{ phrase: phrase('because.displaced', { pack: instead.title }), truth: 'no' }];
        return { rule: original, pack, applies: 'no', because, missing: [], anyOf: [] };
      }
      const rule = named.has(original.id) ? { ...original, id: `${pack.id}.${original.id}` } : original;
      named.add(rule.id);
      const result = evaluate(rule.unless ? { all: [rule.when, { not: rule.unless }] } : rule.when, inPack);
      const { truth: applies, because, missing } = result;
      return { rule, pack, applies, because, missing, anyOf: applies === 'no' ? [] : askedOf(rule, inPack) };
    });
  });
}

/** The alternatives that stand under these facts. */
function askedOf({ anyOf }: Rule, world: World): Asked[][] {
  return anyOf.flatMap((demands): Asked[][] => {
    const asked = demands.map((demand) => ({ demand, found: demand.when && evaluate(demand.when, world) }));
    if (asked.some(({ found }) => found?.truth === 'no')) return [];
    return [asked.map(({ demand, found }) => (found?.truth === 'unknown' ? { ...demand, hangsOn: found.missing } : demand))];
  });
}

/** JSON with sorted keys, so that the same content has the same hash on every machine. */
function canonical(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(canonical).join(',')}]`;
  if (value && typeof value === 'object') return `{${Object.entries(value).filter(([, v]) => v !== undefined).sort(([a], [b]) => (a < b ? -1 : 1)).map(([k, v]) => `${JSON.stringify(k)}:${canonical(v)}`).join(',')}}`;
  return JSON.stringify(value);
}

const hashes = new WeakMap<object, string>();
/** Content hash of a document (SHA-256 over canonical JSON, first 16 hex digits). */
export function contentHash(content: object): string {
  let hash = hashes.get(content);
  if (!hash) hashes.set(content, (hash = bytesToHex(sha256(utf8ToBytes(canonical(content)))).slice(0, 16)));
  return hash;
}

/** Conditions nested deeper than this are refused: a bound on what a hostile pack can ask of the evaluator. */
const DEEPEST_CONDITION = 20;

/** How many nested levels a condition has. */
function depthOf(condition: Condition): number {
  if ('all' in condition) return 1 + Math.max(...condition.all.map(depthOf));
  if ('any' in condition) return 1 + Math.max(...condition.any.map(depthOf));
  if ('not' in condition) return 1 + depthOf(condition.not);
  if ('some' in condition) return 1 + depthOf(condition.where);
  return 1;
}

/** What is wrong with a pack that a schema can't see: facts nobody knows, questions never asked, depth, units. Empty when all is well. */
export function packFaults(pack: RulePack): string[] {
  const asked = new Set((pack.questions ?? []).map((q) => q.id));
  const faults: string[] = [];
  const seen = new Set<string>();
  for (const { rule, when } of pack.displaces ?? []) {
    if (depthOf(when) > DEEPEST_CONDITION) faults.push(`displaces ${rule}: conditions nested deeper than ${DEEPEST_CONDITION}`);
    else walk(when, ({ fact }) => { if (!(fact in FACTS)) faults.push(`displaces ${rule}: no fact is called "${fact}"`); });
  }
  for (const rule of pack.rules) {
    if (seen.has(rule.id)) faults.push(`${rule.id}: two rules have this id`);
    seen.add(rule.id);
    if (rule.layer === 'advice' && !rule.weight) faults.push(`${rule.id}: advice needs a weight`);
    if (rule.anyOf.length === 0 && !rule.declared) faults.push(`${rule.id}: asks for nothing`);
    for (const demand of rule.anyOf.flat()) if (demand.leastLength && !isUnit(demand.leastLength.unit)) faults.push(`${rule.id}: unknown unit "${demand.leastLength.unit}"`);
    for (const { capability } of rule.anyOf.length > 1 ? rule.anyOf.flat().filter((d) => d.forWhom === 'each') : [])
      faults.push(`${rule.id}: ${capability} is asked for each body, and has other ways beside it; write two rules`);
    const conditions = [rule.when, rule.unless, rule.declared?.worn, rule.declared?.cord, ...rule.anyOf.flat().map((d) => d.when)];
    for (const condition of conditions.filter((c) => c !== undefined)) {
      if (depthOf(condition) > DEEPEST_CONDITION) { faults.push(`${rule.id}: conditions nested deeper than ${DEEPEST_CONDITION}`); continue; }
      walk(condition, (leaf) => {
        const { fact } = leaf;
        const limit = 'under' in leaf ? leaf.under : 'atLeast' in leaf ? leaf.atLeast : 'over' in leaf ? leaf.over : 'atMost' in leaf ? leaf.atMost : 'is' in leaf ? leaf.is : undefined;
        if (typeof limit === 'object' && !isUnit(limit.unit)) faults.push(`${rule.id}: unknown unit "${limit.unit}"`);
        const known = fact.startsWith(QUESTION) ? asked.has(fact.slice(QUESTION.length)) : fact in FACTS;
        if (!known) faults.push(`${rule.id}: no fact is called "${fact}"`);
      });
    }
  }
  return faults;
}

function walk(condition: Condition, visit: (leaf: Extract<Condition, { fact: string }>) => void): void {
  if ('all' in condition) condition.all.forEach((c) => walk(c, visit));
  else if ('any' in condition) condition.any.forEach((c) => walk(c, visit));
  else if ('not' in condition) walk(condition.not, visit);
  else if ('some' in condition) walk(condition.where, visit);
  else if ('fact' in condition) visit(condition);
}

