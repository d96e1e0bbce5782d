// core and server, as ES modules. Run: node --experimental-vm-modules node_modules/jest/bin/jest.js -c jest.node.config.mjs
export default {
  rootDir: '.',
  roots: ['<rootDir>/core', '<rootDir>/server', '<rootDir>/scripts'],
  testMatch: ['**/*.test.ts'],
  testEnvironment: 'node',
  extensionsToTreatAsEsm: ['.ts'],
  testTimeout: 30_000,
  maxWorkers: 2,
  transform: {
    '^.+\\.ts$': [
      'babel-jest',
      {
        babelrc: false,
        configFile: false,
        presets: [['@babel/preset-typescript', { onlyRemoveTypeImports: false }]],
      },
    ],
  },
  setupFiles: ['<rootDir>/core/test/setup.ts'],
  globalSetup: '<rootDir>/server/test/template.mjs',
  moduleNameMapper: {
    '^astronomy-engine$': '<rootDir>/node_modules/astronomy-engine/astronomy.js',
    '^@escale/core/data/(.*)$': '<rootDir>/core/data/$1',
    '^@escale/core/([a-z]+)/([a-z-]+)$': '<rootDir>/core/src/$1/$2.ts',
    '^@escale/core/(.*)$': '<rootDir>/core/src/$1/index.ts',
  },
};
