import { createHash } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';

/** What a program's own sheet begins as: it fills it by rules afterwards. */
const EMPTY = '';

const hashOf = (css: string) => `'sha256-${createHash('sha256').update(css).digest('base64')}'`;

/** The styles that stand in a page of ours, as a policy names them: no other may stand there, from wherever it came. */
export const stylesOf = (html: string): string[] =>
  [...html.matchAll(/<style[^>]*>([\s\S]*?)<\/style>/g)].map(([, css]) => hashOf(css));

/** Those of the application's page, where it lies there, and of the sheet that it makes itself. */
export const stylesIn = (page: string): string[] => [
  hashOf(EMPTY),
  ...(existsSync(page) ? stylesOf(readFileSync(page, 'utf8')) : []),
];
