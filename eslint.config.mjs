import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/** Longer or more branched than the rest, each for a reason. */
const LONG = [
  'packages/core/src/shelf/materials.ts', // a table
];
const BRANCHED = [
  // Readers of what people write: a branch for every way of writing it, which read best one under the other.
  'packages/core/src/quantity/rate.ts',
  'packages/core/src/ground/readSoilSlip.ts',
  'packages/core/src/shelf/label/*.ts',
  // A condition for each property of a soil; a boundary for each side of a class in the texture triangle.
  'packages/core/src/ground/conditions.ts',
  'packages/core/src/ground/jarTest.ts',
  // Views whose states stand side by side.
  'packages/web/src/shelf/CsvView.tsx',
  'packages/web/src/release/ReleaseView.tsx',
];

const TESTS = ['**/*.test.ts', '**/*.test.tsx', '**/*.e2e.ts', 'e2e/**/*.ts', 'packages/*/test/**/*.ts'];

export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', '.data/**', 'coverage/**'] },
  js.configs.recommended,
  {
    files: ['**/*.ts', '**/*.tsx'],
    extends: [...tseslint.configs.recommendedTypeChecked],
    languageOptions: {
      parserOptions: {
        project: ['packages/*/tsconfig.json', 'tsconfig.test.json'],
        tsconfigRootDir: import.meta.dirname,
      },
    },
    rules: {
      '@typescript-eslint/no-non-null-assertion': 'error',
      '@typescript-eslint/consistent-type-imports': ['error', { disallowTypeAnnotations: false }],
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_' }],
      '@typescript-eslint/switch-exhaustiveness-check': 'error',
      // A method may be asynchronous because its signature is, without having to wait for anything itself.
      '@typescript-eslint/require-await': 'off',
    },
  },
  {
    files: ['**/*.ts', '**/*.tsx', '**/*.mjs'],
    rules: { 'max-lines': ['error', 350], complexity: ['error', 20], 'max-depth': ['error', 4] },
  },
  { files: LONG, rules: { 'max-lines': 'off' } },
  { files: BRANCHED, rules: { complexity: 'off' } },
  // Nest reads constructor and parameter types at run time, so they must stay values.
  { files: ['packages/server/**/*.ts'], rules: { '@typescript-eslint/consistent-type-imports': 'off' } },
  {
    files: ['packages/web/**/*.ts', 'packages/web/**/*.tsx'],
    plugins: { 'react-hooks': reactHooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  {
    // The computation: no I/O, no framework, no clock, no randomness of its own.
    files: ['packages/core/src/**/*.ts'],
    ignores: TESTS,
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: ['node:*', 'react*', '@nestjs/*', '@mikro-orm/*', '@wheat-ledger/*'] },
      ],
      'no-restricted-globals': ['error', 'window', 'document', 'fetch', 'process', 'localStorage'],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random' },
        { object: 'Date', property: 'now' },
      ],
    },
  },
  {
    files: TESTS,
    rules: {
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/unbound-method': 'off',
      '@typescript-eslint/no-unsafe-assignment': 'off',
      '@typescript-eslint/no-unsafe-member-access': 'off',
      '@typescript-eslint/no-unsafe-argument': 'off',
      '@typescript-eslint/no-unsafe-call': 'off',
      '@typescript-eslint/no-unsafe-return': 'off',
    },
  },
  {
    files: ['**/*.mjs', '**/*.cjs'],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        URL: 'readonly',
        fetch: 'readonly',
        setTimeout: 'readonly',
        setInterval: 'readonly',
        AbortSignal: 'readonly',
        clearTimeout: 'readonly',
        performance: 'readonly',
        Buffer: 'readonly',
        globalThis: 'readonly',
        module: 'writable',
        require: 'readonly',
        document: 'readonly',
        localStorage: 'readonly',
        requestAnimationFrame: 'readonly',
        HTMLInputElement: 'readonly',
        Event: 'readonly',
      },
    },
  },
  prettier,
);
