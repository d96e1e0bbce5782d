// Mutations of one part of the heart (`ROOM=boat`), in `npm run prove`: every change of its code must make a test fail.
const room = process.env.ROOM ?? 'rules';
/** What is mutated for `core/test/heart/<room>.ts`; what a boat finds is apart from her sums, as its tests take ten times as long. */
const MUTATED = {
  rules: ['core/src/rules/*.ts'],
  kit: ['core/src/kit/*.ts'],
  procedure: ['core/src/procedure/*.ts'],
  boat: ['core/src/boat/*.ts', '!core/src/boat/find*.ts'],
  hold: ['core/src/hold/{anchor,drift,exposed,held,line,over,pole,pull,rig,side,tried}.ts'],
  'boat-findings': ['core/src/boat/find*.ts'],
};
export default {
  packageManager: 'npm',
  testRunner: 'jest',
  mutate: [...MUTATED[room], '!core/src/**/*.test.ts', '!core/src/**/index.ts'],
  jest: { configFile: 'jest.mutate.config.mjs', enableFindRelatedTests: false },
  testRunnerNodeArgs: ['--experimental-vm-modules', '--no-warnings'],
  coverageAnalysis: 'perTest',
  ignoreStatic: true,
  concurrency: 2,
  maxTestRunnerReuse: 25,
  timeoutMS: 20_000,
  reporters: ['clear-text', 'json', 'progress-append-only'],
  jsonReporter: { fileName: `.cache/mutation-${room}.json` },
  tempDirName: `.cache/stryker-${room}`,
  clearTextReporter: { logTests: false, reportTests: false, reportMutants: false },
  ignorePatterns: ['app', 'e2e', 'server/dist', 'docs', '.data', '.cache', 'test-results'],
};
