// `npm run bench`: bundled first, as the program itself runs; a loader that renames functions as it goes would be measured along.
import { spawnSync } from 'node:child_process';
import { ROOT } from './setup.mjs';

const built = spawnSync(
  'node_modules/.bin/esbuild',
  [
    'scripts/bench.mts',
    '--bundle',
    '--platform=node',
    '--format=esm',
    '--target=node20',
    '--packages=external',
    '--alias:@escale/core=./core/src',
    '--outfile=.cache/bench.mjs',
    '--log-level=warning',
  ],
  { cwd: ROOT, stdio: 'inherit' },
);
process.exit(
  built.status ||
    spawnSync(process.execPath, ['.cache/bench.mjs', ...process.argv.slice(2)], {
      cwd: ROOT,
      stdio: 'inherit',
    }).status ||
    0,
);
