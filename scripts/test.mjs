// `npm test`: sets up, then every check: types, lint, floors, unit tests of core and server, of the app, and the whole thing in a browser.
import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { buildApp, buildServer, chromium, install, pdfReader, postgres, ROOT, run, say } from './setup.mjs';

const began = Date.now();
const bin = (name) => join(ROOT, 'node_modules/.bin', name);
const results = { passed: 0, failed: 0 };
const failures = [];

async function step(name, work) {
  const from = Date.now();
  say(`${name} …`);
  try {
    await work();
  } catch (error) {
    failures.push(`${name}: ${error instanceof Error ? error.message : error}`);
  }
  say(`${name}: ${((Date.now() - from) / 1000).toFixed(0)} s`);
}

/** Jest and Playwright write what they counted; we add it up for the last line. */
function count(file, read) {
  if (!existsSync(file)) return;
  const { passed, failed } = read(JSON.parse(readFileSync(file, 'utf8')));
  results.passed += passed;
  results.failed += failed;
  rmSync(file);
}
const jestCount = (r) => ({ passed: r.numPassedTests, failed: r.numFailedTests + r.numFailedTestSuites });
const out = (name) => join(ROOT, '.cache', `${name}.json`);

/** The layer check passes falsely when it sees nothing: it must have seen every room. */
function layers() {
  const found = spawnSync(
    bin('depcruise'),
    ['--config', '.dependency-cruiser.cjs', '--output-type', 'json', 'core/src', 'server/src', 'app'],
    { cwd: ROOT, encoding: 'utf8', maxBuffer: 1e9 },
  );
  const { summary, modules } = JSON.parse(found.stdout);
  for (const v of summary.violations) console.log(`  ${v.rule.name}: ${v.from} → ${v.to}`);
  const rooms = new Set(modules.map((m) => /^core\/src\/([a-z]+)\//.exec(m.source)?.[1]).filter(Boolean));
  if (rooms.size < 15 || modules.length < 150)
    throw new Error(`only ${modules.length} modules in ${rooms.size} rooms of core were seen`);
  if (summary.error > 0) throw new Error(`${summary.error} imports climb the wrong way`);
  say(`floors: ${modules.length} modules, ${rooms.size} rooms of core`);
}

await install();
await chromium();
await postgres();
await pdfReader();
const types = step('types', async () => {
  for (const room of ['core', 'server', 'app', 'e2e', 'scripts']) await run(bin('tsc'), ['-p', room]);
});
// What only reads runs beside it.
await step('lint', () => run(bin('eslint'), ['.', '--max-warnings', '0']));
await step('format', () => run(bin('prettier'), ['--check', '--log-level', 'warn', '.']));
await step('floors', async () => layers());
await types;
await step('core and server', () =>
  run(process.execPath, [
    '--no-warnings',
    '--experimental-vm-modules',
    'node_modules/jest/bin/jest.js',
    '-c',
    'jest.node.config.mjs',
    '--json',
    '--outputFile',
    out('node'),
  ]),
);
count(out('node'), jestCount);
await step('app', () =>
  run(process.execPath, ['../node_modules/jest/bin/jest.js', '--json', '--outputFile', out('app')], {
    cwd: join(ROOT, 'app'),
  }),
);
count(out('app'), jestCount);
await step('build', async () => {
  await buildApp();
  await buildServer();
});
await step('in the browser', () =>
  run(bin('playwright'), ['test', '-c', 'e2e/playwright.config.ts'], {
    env: { PLAYWRIGHT_JSON_OUTPUT_NAME: out('e2e') },
  }),
);
count(out('e2e'), ({ stats }) => ({ passed: stats.expected, failed: stats.unexpected + stats.flaky }));
spawnSync(process.execPath, ['scripts/lines.mjs'], { cwd: ROOT, stdio: 'inherit' });

for (const failure of failures) console.log(`FAILED ${failure}`);
results.failed = Math.max(results.failed, failures.length);
say(`all of it: ${((Date.now() - began) / 1000).toFixed(0)} s`);
console.log(`${results.passed} passed, ${results.failed} failed`);
process.exit(results.failed > 0 || results.passed === 0 ? 1 : 0);
