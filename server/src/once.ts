import { createHash } from 'node:crypto';
import { codeOf } from './db/transact';
import { Refusal } from './refusal';
import { stableJson } from './stable-json';

/** Of what was asked, so that an id can be held against what it first came with. */
export const bodyHash = (body: unknown): string =>
  createHash('sha256').update(stableJson(body)).digest('hex');

/**
 * The same id once more: with the same in it, it was done; with something else it is refused, never dropped. What was done before
 * hashes were kept has none, and counts as the same.
 */
export function refuseOther(known: { bodyHash: string | null }, hash: string): void {
  if (known.bodyHash !== null && known.bodyHash !== hash)
    throw new Refusal(
      'conflict',
      'This id was used for something else already. Nothing was changed: send it under an id of its own.',
    );
}

/** PostgreSQL's word for “there is one like it already”. */
const TWICE = '23505';
export const isTwice = (error: unknown): boolean => codeOf(error) === TWICE;
