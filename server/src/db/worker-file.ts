import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The nearest folder upwards of this file in which `inside` is: found from the source and from the bundle alike. */
export function upwards(...inside: string[]): string {
  let folder = dirname(fileURLToPath(import.meta.url));
  while (!existsSync(join(folder, ...inside))) {
    const up = dirname(folder);
    if (up === folder)
      throw new Error(`${inside.join('/')} was not found beside the server: build it first.`);
    folder = up;
  }
  return join(folder, ...inside);
}

/** A thread's program lies built in `dist`, whoever starts it. */
export const workerFile = (name: string) => upwards('server', 'dist', `${name}.js`);
