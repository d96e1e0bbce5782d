import { closeSync, existsSync, fsyncSync, openSync, readFileSync, writeSync } from 'node:fs';
import { THING_TYPES, type ThingType } from '@escale/core/model';
import type { Gone } from '../erase/erase';

/**
 * What was erased, noted outside the database: a copy of before that is put back has it still. A line for each thing, its id and
 * its kind; nothing of what was in it.
 */
export function erasedIn(file: string): Gone[] {
  if (!existsSync(file)) return [];
  const all = new Map<string, Gone>();
  for (const line of readFileSync(file, 'utf8').split('\n')) {
    const [id, type] = line.split(' ');
    // A line that was cut by a kill is the last; what it was to say did not happen.
    if (id && THING_TYPES.includes(type as ThingType)) all.set(id, { id, type: type as ThingType });
  }
  return [...all.values()];
}

/** Noted and forced to disk: it stands before anything is erased. */
export function noteErased(file: string, gone: readonly Gone[]): void {
  const fd = openSync(file, 'a', 0o600);
  // A line of before that was cut is ended first.
  writeSync(fd, `\n${gone.map(({ id, type }) => `${id} ${type}`).join('\n')}\n`);
  fsyncSync(fd);
  closeSync(fd);
}
