import type * as z from 'zod';
import { evolve, FIRST, NewerVersion, type DocKind } from '../model';

const MOST_FAULTS = 20;

export type Read = { ok: true; value: unknown } | { ok: false; faults: string[] };

/** JSON from a file's text, a byte-order mark forgiven: its value, or what is wrong with it. */
export function readJson(text: string, mostBytes: number): Read {
  if (text.length > mostBytes)
    return { ok: false, faults: [`The file is larger than ${mostBytes / 1e6} MB.`] };
  try {
    return { ok: true, value: JSON.parse(text.replace(/^\uFEFF/, '')) };
  } catch (error) {
    return {
      ok: false,
      faults: [`This is no JSON: ${error instanceof Error ? error.message : 'unreadable'}.`],
    };
  }
}

/**
 * A parsed document that says its own version, brought up to today; what a later program wrote is refused unread. A version
 * that is none is left for the schema to name.
 */
export function grown(kind: DocKind, raw: unknown): Read {
  const schema = (raw as { schema?: unknown } | null)?.schema;
  if (typeof schema !== 'number' || !Number.isInteger(schema) || schema < FIRST)
    return { ok: true, value: raw };
  try {
    return { ok: true, value: evolve(kind, raw as object, schema) };
  } catch (error) {
    if (error instanceof NewerVersion) return { ok: false, faults: [error.message] };
    throw error;
  }
}

/** Zod's issues as lines that a person can act on: where, and what is wrong. */
export function faultsOf(error: z.ZodError): string[] {
  const lines = error.issues
    .slice(0, MOST_FAULTS)
    .map((issue) => `${pointerOf(issue.path)}: ${issue.message}`);
  return error.issues.length > MOST_FAULTS
    ? [...lines, `and ${error.issues.length - MOST_FAULTS} more`]
    : lines;
}

const pointerOf = (path: PropertyKey[]) =>
  `/${path.map((part) => String(part).replace(/~/g, '~0').replace(/\//g, '~1')).join('/')}`;
