import type { RulePack, Truth } from '../model';
import { budget } from './evaluate';
import { applyPacks } from './packs';

export interface ExampleResult {
  title: string;
  rule: string;
  wanted: Truth;
  came?: Truth;
}

/** Leaves that all examples of a pack may make the evaluator look at: 300 of our largest pack need half of it. */
const MOST_WORK = 1_000_000;

/** A pack's own table of situations, run: one line for each rule that an example names. */
export function runExamples(pack: RulePack): ExampleResult[] {
  const work = budget(MOST_WORK);
  return (pack.examples ?? []).flatMap((example) => {
    const crew = (example.crew ?? []).map((facts, i) => ({ id: `p${i}`, name: `Person ${i + 1}`, facts }));
    const results = new Map(
      applyPacks([pack], { facts: example.facts, crew }, work).map((r) => [r.rule.id, r.applies]),
    );
    const lines = (rules: string[] | undefined, wanted: Truth): ExampleResult[] =>
      (rules ?? []).map((rule) => {
        const came = results.get(rule);
        return { title: example.title, rule, wanted, ...(came ? { came } : {}) };
      });
    return [...lines(example.applies, 'yes'), ...lines(example.not, 'no'), ...lines(example.open, 'unknown')];
  });
}

/** The examples that do not hold, in words. Empty when the pack keeps its word. */
export function exampleFaults(pack: RulePack): string[] {
  return runExamples(pack)
    .filter((r) => r.came !== r.wanted)
    .map((r) =>
      r.came === undefined
        ? `${r.title}: there is no rule ${r.rule}`
        : `${r.title}: ${r.rule} should be ${r.wanted} and is ${r.came}`,
    );
}
