import { join } from 'node:path';
import { readKey } from '../src/door/key';

/** What a program says that can read the key of a memory’s folder. */
export const keyed = (folder: string) => ({ Authorization: `Bearer ${readKey(join(folder, 'key'))}` });
