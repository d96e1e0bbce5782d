import { RulePack } from '../model';
import { exampleFaults, packFaults } from '../rules';
import { faultsOf, grown, readJson } from './json';

/** Largest pack that is read, and how deep its JSON may nest: bounds on what a stranger's file can ask of a parser. */
const MOST_BYTES = 2_000_000,
  DEEPEST = 60;

export type PackResult =
  | {
      ok: true;
      pack: RulePack;
      /** Examples of its own that do not hold: said, not refused. */ broken: string[];
    }
  | { ok: false; faults: string[] };

/** Read a rule pack from text: whole, or the list of what is wrong and where. */
export function readPack(text: string): PackResult {
  const read = readJson(text, MOST_BYTES);
  return read.ok ? checkPack(read.value) : read;
}

/** The same for what is already parsed. */
export function checkPack(raw: unknown): PackResult {
  if (deeperThan(raw, DEEPEST)) return { ok: false, faults: tooDeep(raw) };
  const today = grown('rule-pack', raw);
  if (!today.ok) return today;
  const read = RulePack.safeParse(today.value);
  if (!read.success) return { ok: false, faults: faultsOf(read.error) };
  const faults = packFaults(read.data);
  return faults.length > 0
    ? { ok: false, faults }
    : { ok: true, pack: read.data, broken: exampleFaults(read.data) };
}

/** The rules that are nested too deep, by where they stand; where it is none of them, the file. */
function tooDeep(raw: unknown): string[] {
  const rules = (raw as { rules?: unknown } | null)?.rules;
  const deep = Array.isArray(rules)
    ? rules.flatMap((rule, i) =>
        deeperThan(rule, DEEPEST - 2) ? [`/rules/${i}: nested deeper than ${DEEPEST} levels`] : [],
      )
    : [];
  return deep.length > 0 ? deep : [`The file is nested deeper than ${DEEPEST} levels.`];
}

/** Nested deeper than so many levels? Without recursion, so that depth can't break it. */
function deeperThan(value: unknown, most: number): boolean {
  let level: unknown[] = [value];
  for (let depth = 0; level.length > 0; depth += 1) {
    if (depth > most) return true;
    level = level.flatMap((v) => (v !== null && typeof v === 'object' ? Object.values(v) : []));
  }
  return false;
}
