// Mutations of the heart, in `npm run prove`: every change of a rule's or a match's code must make a test fail.
export default {
  packageManager: 'npm', testRunner: 'jest', mutate: ['core/src/rules/evaluate.ts', 'core/src/rules/packs.ts', 'core/src/rules/examples.ts', 'core/src/kit/*.ts', '!core/src/kit/*.test.ts', '!core/src/kit/index.ts'],
  jest: { configFile: 'jest.mutate.config.mjs', enableFindRelatedTests: false }, testRunnerNodeArgs: ['--experimental-vm-modules', '--no-warnings'],
  coverageAnalysis: 'perTest', ignoreStatic: true, concurrency: 2, maxTestRunnerReuse: 25, timeoutMS: 20_000, reporters: ['clear-text', 'json', 'progress-append-only'], jsonReporter: { fileName: '.cache/mutation.json' }, tempDirName: '.cache/stryker', clearTextReporter: { logTests: false, reportTests: false, reportMutants: false },
  ignorePatterns: ['app', 'e2e', 'server/dist', 'docs', '.data', '.cache', 'test-results'],
};
