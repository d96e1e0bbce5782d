import type { ThingType } from './common';
import { SHELF } from './shelf';

/**
 * Documents grow old. Each kind of document counts its own versions; a pure step leads from each to the next, and the same
 * steps run on a database row, a file, a filed plan and a device's copy. A frozen example of every released version is a
 * test. What was filed is grown when it is read and never written back: its bytes stay what they were.
 */
export type DocKind =
  ThingType | 'rule-pack' | 'bundle' | 'conditions' | 'plan-version' | 'plan-event' | 'ticks';

/** What was written before versions were counted is the first. */
export const FIRST = 1;

type Doc = Record<string, unknown>;
type Step = (doc: Doc) => Doc;

/** The n-th step of a kind leads from version n to n + 1. */
const STEPS: Partial<Record<DocKind, Step[]>> = {
  pack: [(doc) => (isDoc(doc.pack) ? { ...doc, pack: levelsOfPack(doc.pack) } : doc)],
  'rule-pack': [levelsOfPack],
  bundle: [(doc) => ({ ...shelvesOf(doc, 'pack', FIRST), schema: 2 })],
  'plan-version': [levelsOfVersion],
  // The first ticks were names alone: that something was ticked, not when.
  ticks: [
    (doc) => ({
      ...doc,
      items: list(doc.items).map((item) => (typeof item === 'string' ? { item, at: 0 } : item)),
    }),
  ],
};

/** Today's version of a kind of document. */
export const schemaOf = (kind: DocKind): number => FIRST + (STEPS[kind]?.length ?? 0);

export class NewerVersion extends Error {
  constructor(
    readonly found: number,
    kind: DocKind,
  ) {
    const known = schemaOf(kind);
    super(
      `This was written by a newer Escale (version ${found}; this one knows ${known}). It was left unchanged.`,
    );
  }
}

/**
 * Bring a document of a kind up to today's version; the document itself is not touched.
 * @param schema the version it was written under, 1 or more
 * @throws NewerVersion when a later program wrote it; the caller leaves it untouched
 * @throws RangeError when the version is no whole number from 1
 */
export function evolve<D extends object>(kind: DocKind, doc: D, schema: number): D {
  if (!Number.isInteger(schema) || schema < FIRST)
    throw new RangeError(`no document has the version ${schema}`);
  if (schema > schemaOf(kind)) throw new NewerVersion(schema, kind);
  return (STEPS[kind] ?? []).slice(schema - FIRST).reduce<Doc>((grown, step) => step(grown), doc as Doc) as D;
}

const list = (value: unknown): unknown[] => (Array.isArray(value) ? value : []);
const isDoc = (value: unknown): value is Doc =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** The documents of one type in a bundle, or in the shed of a filed plan, each grown from a version. */
function shelvesOf<D extends Doc>(doc: D, type: keyof typeof SHELF, schema: number): D {
  const { shed } = doc;
  if (!isDoc(shed) || !Array.isArray(shed[SHELF[type]])) return doc;
  const grown = list(shed[SHELF[type]]).map((one) => (isDoc(one) ? evolve(type, one, schema) : one));
  return { ...doc, shed: { ...shed, [SHELF[type]]: grown } };
}

/** Version 1 called the two lower levels by other names. */
const RENAMED: Record<string, string> = { mind: 'know', set: 'ready' };
const renamed = (level: unknown) => (typeof level === 'string' ? (RENAMED[level] ?? level) : level);

function levelsOfPack(pack: Doc): Doc {
  const rules = list(pack.rules).map((rule) =>
    isDoc(rule) && 'weight' in rule ? { ...rule, weight: renamed(rule.weight) } : rule,
  );
  // A change made under version 1 may be done to a pack of today: that stays as new as it is.
  const schema = typeof pack.schema === 'number' ? { schema: Math.max(2, pack.schema) } : {};
  return { ...pack, ...schema, ...(Array.isArray(pack.rules) ? { rules } : {}) };
}

function levelsOfVersion({ inputs, assessment, ...rest }: Doc): Doc {
  const findings = isDoc(assessment) ? list(assessment.findings) : [];
  return {
    ...rest,
    inputs: isDoc(inputs) ? shelvesOf(inputs, 'pack', FIRST) : inputs,
    assessment: isDoc(assessment)
      ? { ...assessment, findings: findings.map((f) => (isDoc(f) ? { ...f, level: renamed(f.level) } : f)) }
      : assessment,
  };
}
