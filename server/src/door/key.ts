import { randomBytes, randomUUID } from 'node:crypto';
import { chmodSync, linkSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';

/** A key that nobody guesses: 256 bits, in letters that an address takes. */
const BYTES = 32;
const WHOLE = /^[\w-]{43}$/;
/** Only who owns the file comes in by what is in it. */
const OWNERS = 0o600;

const madeBeside = (file: string): string => {
  const making = `${file}.${process.pid}-${randomUUID()}.making`;
  writeFileSync(making, `${newKey()}\n`, { mode: OWNERS, flag: 'wx' });
  return making;
};

export const newKey = () => randomBytes(BYTES).toString('base64url');

/** The key in a file, as it stands there. */
export const readKey = (file: string): string => readFileSync(file, 'utf8').trim();

/**
 * The key of a memory, made where there is none. It is written whole beside its place and linked there: of two that make one at
 * the same instant both have the one that came first.
 * @throws Error where the file holds something else
 */
export function keyIn(file: string): string {
  const making = madeBeside(file);
  try {
    linkSync(making, file);
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error;
  } finally {
    rmSync(making);
  }
  chmodSync(file, OWNERS);
  const key = readKey(file);
  if (!WHOLE.test(key))
    throw new Error(`${file} holds no key. Remove it: another is made, and every browser is let in anew.`);
  return key;
}

/** Another key in its place: whoever came in by the one before is out. */
export function changeKey(file: string): string {
  renameSync(madeBeside(file), file);
  return readKey(file);
}
