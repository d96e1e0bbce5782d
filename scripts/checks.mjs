// `npm run checks`: every check against something outside the project, by class and source; the count at the end.
import { spawnSync } from 'node:child_process';
import { readFileSync, rmSync } from 'node:fs';
import { install, ROOT } from './setup.mjs';

await install();
const file = `${ROOT}.cache/checks.json`;
spawnSync(
  process.execPath,
  [
    '--no-warnings',
    '--experimental-vm-modules',
    'node_modules/jest/bin/jest.js',
    '-c',
    'jest.node.config.mjs',
    '--testNamePattern',
    '\\[(run here|closed form|recalled|common practice)\\]',
    '--json',
    '--outputFile',
    file,
    'core',
  ],
  { cwd: ROOT, stdio: ['ignore', 'ignore', 'ignore'] },
);
const { testResults } = JSON.parse(readFileSync(file, 'utf8'));
rmSync(file);

const CLASSES = ['run here', 'closed form', 'recalled', 'common practice'];
const PROVES = {
  'run here': 'other code or published rows, run here',
  'closed form': 'follows by arithmetic',
  recalled: 'a published text, from memory',
  'common practice': 'no published source',
};
const checks = testResults
  .flatMap((suite) => suite.assertionResults)
  .filter((a) => a.status !== 'pending')
  .flatMap((a) => {
    const found = /\[(run here|closed form|recalled|common practice)\] \{(.+?)\} (.*)$/.exec(a.title);
    return found ? [{ how: found[1], source: found[2], name: found[3], ok: a.status === 'passed' }] : [];
  });
for (const how of CLASSES) {
  const some = checks.filter((c) => c.how === how);
  console.log(`\n${how.toUpperCase()} (${PROVES[how]}): ${some.length}`);
  for (const source of [...new Set(some.map((c) => c.source))].sort()) {
    console.log(`  ${source}`);
    for (const c of some.filter((x) => x.source === source))
      console.log(`    ${c.ok ? 'holds ' : 'FAILS '} ${c.name}`);
  }
}
const failed = checks.filter((c) => !c.ok).length;
const count = (how) => checks.filter((c) => c.how === how).length;
const [run, closed, recalled, common] = CLASSES.map(count);
// Two counts, never one: what was held against something outside, and what only holds us to what we wrote down.
console.log(`\n${run + closed} checks prove something outside: ${run} run here, ${closed} closed form.`);
console.log(
  `${recalled + common} hold us to what we wrote down and prove nothing outside: ${recalled} recalled, ${common} common practice.`,
);
console.log(`${failed} fail.`);
process.exit(failed > 0 || checks.length === 0 ? 1 : 0);
