import { readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { expect, test } from '@jest/globals';
import { CAPABILITIES } from '../model';
import { FACTS } from '../rules';
import { WORDS } from './words';
import { GAP_WORDS } from './words/gaps';
import { HAVEN_WORDS } from './words/haven';
import { WHATIF_WORDS } from './words/whatif';

const root = fileURLToPath(new URL('../../../', import.meta.url));
const sourcesOf = (folder: string): string =>
  readdirSync(root + folder, { recursive: true, encoding: 'utf8' })
    .filter(
      (name) =>
        /(?<!\.test)\.tsx?$/.test(name) && !/node_modules|dist|say\/words\//.test(`${folder}/${name}`),
    )
    .map((name) => readFileSync(`${root}${folder}/${name}`, 'utf8'))
    .join('\n');
const code = ['core/src', 'server/src', 'app/features', 'app/data', 'app/ui'].map(sourcesOf).join('\n');

/** Templates whose last part is chosen: `wears.${clothing}`, `${key}.title`. */
const heads = [...code.matchAll(/`([a-zA-Z.-]+)\$\{/g)].map((m) => m[1]);
const tails = [...code.matchAll(/\$\{\w+\}([a-zA-Z.-]+)`/g)].map((m) => m[1]);
const middles = [...code.matchAll(/`([a-z.]+)\$\{[^}]+\}([a-z.]+)`/g)].map((m) => [m[1], m[2]] as const);

test('every template is said somewhere: what nobody says goes', () => {
  const chosen = new Set([
    ...CAPABILITIES.map((c) => `capability.${c}`),
    ...Object.values(FACTS).map((f) => f.word),
  ]);
  const dead = Object.keys({ ...WORDS, ...HAVEN_WORDS, ...WHATIF_WORDS, ...GAP_WORDS }).filter((key) => {
    if (code.includes(`'${key}'`) || chosen.has(key as never)) return false;
    if (middles.some(([head, tail]) => key.startsWith(head) && key.endsWith(tail))) return false;
    if (heads.some((head) => head.includes('.') && key.startsWith(head))) return false;
    return !tails.some((tail) => key.endsWith(tail) && code.includes(`'${key.slice(0, -tail.length)}'`));
  });
  expect(dead).toEqual([]);
});
