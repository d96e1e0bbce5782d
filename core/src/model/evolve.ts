/**
 * Documents grow old. Each released version of a document has a pure step to the next one; the same steps run on a
 * database row, a bundle and a device's copy. A frozen example of every released version is a test.
 */
export const DOC_SCHEMA = 1;

type Doc = Record<string, unknown>;
/** `STEPS[n]` turns a document of schema n into one of schema n + 1. */
const STEPS: Record<number, (doc: Doc) => Doc> = {};

export class NewerVersion extends Error {
  constructor(readonly found: number) {
    super(`This was written by a newer Escale (version ${found}; this one knows ${DOC_SCHEMA}). It was left unchanged.`);
  }
}

/**
 * Bring a stored document up to today's schema.
 * @throws NewerVersion when it was written by a later program; the caller leaves it untouched.
 */
export function evolve(doc: Doc, schema: number): Doc {
  if (schema > DOC_SCHEMA) throw new NewerVersion(schema);
  let grown = doc;
  for (let n = schema; n < DOC_SCHEMA; n += 1) grown = STEPS[n](grown);
  return grown;
}
