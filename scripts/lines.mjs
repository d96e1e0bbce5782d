// `npm run lines`: how much of the code is tests. Lines with something on them; data and documents are not counted.
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';

const tracked = execFileSync(
  'git',
  ['ls-files', '-co', '--exclude-standard', '*.ts', '*.tsx', '*.mjs', '*.cjs', '*.js'],
  { encoding: 'utf8' },
)
  .split('\n')
  .filter((f) => f && !f.endsWith('.d.ts'));
const isTest = (file) => /\.test\.tsx?$|^e2e\//.test(file);
const lines = (file) =>
  readFileSync(file, 'utf8')
    .split('\n')
    .filter((l) => l.trim()).length;
const sum = new Map();
let tests = 0,
  all = 0;
for (const file of tracked) {
  const n = lines(file),
    room = file.split('/')[0];
  const row = sum.get(room) ?? { code: 0, tests: 0 };
  row[isTest(file) ? 'tests' : 'code'] += n;
  sum.set(room, row);
  all += n;
  if (isTest(file)) tests += n;
}
for (const [room, row] of sum)
  console.log(
    `${room.padEnd(12)} ${String(row.code).padStart(6)} code ${String(row.tests).padStart(6)} tests`,
  );
console.log(`tests are ${((100 * tests) / all).toFixed(1)} % of ${all} lines`);
