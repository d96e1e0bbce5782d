// `npm run prove`: the heavy proofs, and dated figures in docs/measured.md. Not part of `npm test`, which carries a small sample of each.
import { spawnSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { cpus } from 'node:os';
import { buildApp, buildServer, install, pdfReader, postgres, ROOT, say } from './setup.mjs';

await install();
await postgres();
await pdfReader();
await buildApp();
await buildServer();

const lines = [];
const note = (text) => {
  lines.push(text);
  say(text);
};
const node = (args, env = {}) =>
  spawnSync(process.execPath, args, {
    cwd: ROOT,
    encoding: 'utf8',
    env: { ...process.env, ...env },
    maxBuffer: 1e9,
  });

note(
  `Measured ${new Date().toISOString().slice(0, 10)} on Node ${process.versions.node}, ${cpus().length} cores.`,
);
lines.push(
  '',
  '## Speed, beside a reference in the same run',
  '',
  '| what | median ms | p95 ms | ratio | to |',
  '| --- | --- | --- | --- | --- |',
);
const bench = node(['scripts/bench.mjs', '--json']);
for (const row of bench.stdout
  .trim()
  .split('\n')
  .map((l) => JSON.parse(l)))
  lines.push(
    `| ${row.name} | ${row.median.toFixed(3)} | ${row.p95.toFixed(3)} | ` +
      `${row.ratio === undefined ? '' : row.ratio.toFixed(2)} | ${row.reference ?? ''} |`,
  );

lines.push('', '## Crashes and many plans', '');
let failed = bench.status !== 0;
for (const proof of ['prove-clock', 'prove-watch', 'prove-crowd', 'prove-kills', 'prove-restore']) {
  const { status, stdout, stderr } = node(['--import', 'tsx', `scripts/${proof}.mts`]);
  for (const line of stdout.trim().split('\n')) note(`- ${line}`);
  failed ||= status !== 0;
  if (status !== 0) console.error(stderr);
}

lines.push('', '## How quickly a trip’s page answers', '');
const quick = node(['scripts/prove-page.mjs']);
for (const line of quick.stdout
  .trim()
  .split('\n')
  .filter((l) => l.includes('verdict')))
  note(`- ${line}`);
failed ||= quick.status !== 0;

lines.push('', '## Every page, every width, every theme', '');
const everyone = node(
  ['node_modules/.bin/playwright', 'test', '-c', 'e2e/playwright.config.ts', 'e2e/everyone.spec.ts'],
  { ESCALE_WHOLE: '1' },
);
note(
  `- ${everyone.status === 0 ? 'nothing too small, beyond the edge or covered; all reached by hand' : 'A PAGE FAILED'}`,
);
if (everyone.status !== 0) console.error(everyone.stdout);
failed ||= everyone.status !== 0;

lines.push('', '## Checks', '');
const checks = node(['scripts/checks.mjs']);
for (const line of checks.stdout.trim().split('\n').slice(-3)) note(`- ${line}`);
failed ||= checks.status !== 0;

lines.push('', '## Properties, ten times as long', '');
const properties = node(
  [
    '--no-warnings',
    '--experimental-vm-modules',
    'node_modules/jest/bin/jest.js',
    '-c',
    'jest.node.config.mjs',
    'core',
    '--json',
    '--outputFile',
    '.cache/prove.json',
    '--testTimeout',
    '600000',
  ],
  { ESCALE_RUNS: '10' },
);
note(`- core: ${properties.status === 0 ? 'every property held' : 'A PROPERTY FAILED'}`);
failed ||= properties.status !== 0;

// Half a second a mutant: asked for by name, all rooms (`--mutations`) or some (`--mutations=rules,kit`).
const HEART = ['rules', 'kit', 'procedure', 'boat', 'boat-findings', 'hold'];
const asked = process.argv.find((word) => word.startsWith('--mutations'));
if (asked) {
  lines.push('', '## Mutations', '');
  for (const room of asked.split('=')[1]?.split(',') ?? HEART) {
    const mutated = spawnSync('node_modules/.bin/stryker', ['run', 'stryker.config.mjs'], {
      cwd: ROOT,
      encoding: 'utf8',
      maxBuffer: 1e9,
      env: { ...process.env, ROOM: room },
    });
    const report = new URL(`../.cache/mutation-${room}.json`, import.meta.url);
    const scores = mutated.status === 0 ? scoresOf(room, JSON.parse(readFileSync(report, 'utf8')).files) : [];
    for (const { file, caught, of } of scores)
      note(`- ${file}: ${((100 * caught) / of).toFixed(1)} % of ${of} mutants were caught`);
    if (scores.length === 0) note(`- ${room}: the run ended without a score`);
    failed ||= scores.length === 0;
  }
}

/** Mutants caught of those that could be, by file and for all; what runs only while a module loads is left out. */
function scoresOf(room, files) {
  const rows = Object.entries(files)
    .map(([file, { mutants }]) => {
      const count = (...states) => mutants.filter((m) => states.includes(m.status)).length;
      return {
        file: file.replace('core/src/', ''),
        caught: count('Killed', 'Timeout'),
        of: count('Killed', 'Timeout', 'Survived', 'NoCoverage'),
      };
    })
    .filter((row) => row.of > 0);
  return [
    ...rows,
    {
      file: `${room} together`,
      caught: rows.reduce((sum, r) => sum + r.caught, 0),
      of: rows.reduce((sum, r) => sum + r.of, 0),
    },
  ];
}

writeFileSync(
  new URL('../docs/measured.md', import.meta.url),
  '# Measured\n\nWritten by `npm run prove`. This kind of machine swings 1.8 times between runs: ratios count, ' +
    `milliseconds don’t.\n\n${lines.join('\n')}\n`,
);
console.log(failed ? 'FAILED' : 'proved; see docs/measured.md');
process.exit(failed ? 1 : 0);
