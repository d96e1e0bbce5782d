import { defineConfig } from 'eslint/config';
import expo from 'eslint-config-expo/flat.js';
import prettier from 'eslint-config-prettier';

const noClock = [
  {
    selector: "CallExpression[callee.object.name='Date'][callee.property.name='now']",
    message: 'Core never reads the clock: time is an argument.',
  },
  {
    selector: 'NewExpression[callee.name="Date"][arguments.length=0]',
    message: 'Core never reads the clock: time is an argument.',
  },
  {
    selector: "CallExpression[callee.object.name='Math'][callee.property.name='random']",
    message: 'Chance is seeded and comes in as an argument.',
  },
];

const levelsAreData = {
  selector: "Property[key.name='level'] > Literal[value=/^(stop|fix|know|ready)$/]",
  message: 'What a finding weighs is data: core/data/limits/<room>.json.',
};

export default defineConfig([
  { ignores: ['**/dist/**', '**/node_modules/**', '.cache/**', '.data/**', 'app/.expo/**', 'e2e/*.tmp.mjs'] },
  ...expo,
  prettier,
  {
    settings: {
      'import/resolver': {
        typescript: {
          project: ['tsconfig.cruise.json', 'server/tsconfig.json', 'app/tsconfig.json', 'e2e/tsconfig.json'],
        },
      },
    },
    rules: {
      'no-empty': ['error', { allowEmptyCatch: false }],
      'import/no-named-as-default-member': 'off',
      'no-console': ['error', { allow: ['warn', 'error'] }],
      'max-lines': ['error', { max: 400, skipBlankLines: true, skipComments: true }],
    },
  },
  {
    files: ['**/*.ts', '**/*.tsx'],
    rules: {
      // A schema and the type it gives share their name on purpose.
      '@typescript-eslint/no-redeclare': 'off',
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/ban-ts-comment': ['error', { 'ts-expect-error': 'allow-with-description' }],
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_', ignoreRestSiblings: true },
      ],
    },
  },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-syntax': ['error', ...noClock, levelsAreData],
      'no-console': 'error',
      'no-restricted-globals': ['error', 'window', 'document', 'process', 'fetch', 'localStorage'],
    },
  },
  // Playwright's fixtures take a function that is called `use`; it is no hook.
  { files: ['e2e/**'], rules: { 'react-hooks/rules-of-hooks': 'off', 'no-empty-pattern': 'off' } },
  {
    files: ['scripts/**', 'server/src/cli/**', '**/*.mjs', '**/*.cjs'],
    rules: { 'no-console': 'off' },
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        URL: 'readonly',
        Buffer: 'readonly',
        fetch: 'readonly',
        setTimeout: 'readonly',
        module: 'writable',
        require: 'readonly',
      },
    },
  },
]);
