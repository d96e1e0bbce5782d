import * as z from 'zod';
import { Bundle, BUNDLE_SCHEMA, NewerVersion } from '../model';

/** Largest bundle that is read: a shed of thousands of things is under a tenth of it. */
export const MOST_BYTES = 20_000_000;
const MOST_FAULTS = 20;

export type BundleResult = { ok: true; bundle: Bundle } | { ok: false; faults: string[] };

/** JSON from a file's text, a byte-order mark forgiven: its value, or what is wrong with it. */
export function readJson(text: string, mostBytes: number): { ok: true; value: unknown } | { ok: false; faults: string[] } {
  if (text.length > mostBytes) return { ok: false, faults: [`The file is larger than ${mostBytes / 1e6} MB.`] };
  try {
    return { ok: true, value: JSON.parse(text.replace(/^\uFEFF/, '')) };
  } catch (error) {
    return { ok: false, faults: [`This is no JSON: ${error instanceof Error ? error.message : 'unreadable'}.`] };
  }
}

/**
 * Read a bundle from text. Nothing is taken from a file with a fault: the answer is the whole bundle or a list of what is
 * wrong and where (JSON pointer and a sentence).
 */
export function readBundle(text: string): BundleResult {
  const read = readJson(text, MOST_BYTES);
  return read.ok ? checkBundle(read.value) : read;
}

/** The same for what is already parsed. */
export function checkBundle(raw: unknown): BundleResult {
  if (typeof raw !== 'object' || raw === null || (raw as { escale?: unknown }).escale !== 'bundle') return { ok: false, faults: ['This is no Escale bundle: it lacks "escale": "bundle".'] };
  const schema = (raw as { schema?: unknown }).schema;
  if (typeof schema === 'number' && schema > BUNDLE_SCHEMA) return { ok: false, faults: [new NewerVersion(schema).message] };
  const result = Bundle.safeParse(raw);
  if (!result.success) return { ok: false, faults: faultsOf(result.error) };
  const twice = duplicateIds(result.data);
  return twice.length > 0 ? { ok: false, faults: twice } : { ok: true, bundle: result.data };
}

/** Zod's issues as lines that a person can act on: where, and what is wrong. */
export function faultsOf(error: z.ZodError): string[] {
  const lines = error.issues.slice(0, MOST_FAULTS).map((issue) => `${pointerOf(issue.path)}: ${issue.message}`);
  return error.issues.length > MOST_FAULTS ? [...lines, `and ${error.issues.length - MOST_FAULTS} more`] : lines;
}

const pointerOf = (path: PropertyKey[]) => `/${path.map((part) => String(part).replace(/~/g, '~0').replace(/\//g, '~1')).join('/')}`;

function duplicateIds(bundle: Bundle): string[] {
  const seen = new Set<string>();
  const twice: string[] = [];
  for (const { id } of [...Object.values(bundle.shed).flat(), ...bundle.trips]) {
    if (seen.has(id)) twice.push(`two things have the id ${id}`);
    seen.add(id);
  }
  return twice;
}

/** A bundle as text, two spaces deep so that a person can read it and a diff stays small. */
export function writeBundle(bundle: Bundle): string {
  return `${JSON.stringify(bundle, null, 2)}\n`;
}
