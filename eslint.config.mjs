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

const WORDS = 'JSXText[value=/[A-Za-z]{2}/]';
const NO_VALUE = 'Literal|JSXEmptyExpression|LogicalExpression|ConditionalExpression';
const VALUE = `JSXExpressionContainer:not([expression.type=/${NO_VALUE}/])`;
/** A sentence made of pieces can't be said in another language: screens fill whole templates (`features/<place>/words.ts`). */
const noJoinedSentences = [
  {
    selector:
      'TemplateLiteral[expressions.length>0] > TemplateElement[value.raw=/[a-z]{2,}[,:;]? [a-z(]|^ [a-z]{2,}|[a-z]{2,}[,:;]? $/]',
    message: 'A sentence with figures in it is a template of words.ts.',
  },
  {
    selector: `${WORDS} ~ ${VALUE}`,
    message: 'A sentence with figures in it is a template of words.ts.',
  },
  {
    selector: `${VALUE} ~ ${WORDS}`,
    message: 'A sentence with figures in it is a template of words.ts.',
  },
];

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
  {
    files: ['app/features/**/*.tsx', 'app/features/**/*.ts', 'app/ui/**/*.tsx'],
    ignores: ['**/*.test.tsx', '**/*.test.ts'],
    rules: { 'no-restricted-syntax': ['error', ...noJoinedSentences] },
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
