const swc = (react) => [
  '@swc/jest',
  {
    jsc: {
      target: 'es2022',
      parser: { syntax: 'typescript', tsx: true, decorators: true },
      transform: {
        legacyDecorator: true,
        decoratorMetadata: true,
        useDefineForClassFields: false,
        ...(react ? { react: { runtime: 'automatic' } } : {}),
      },
    },
    module: { type: 'commonjs' },
  },
];

/** Packages that ship as ES modules only and have to be turned for Jest. */
const ES_ONLY = [
  'ml-[^/]+',
  'is-any-array',
  'cheminfo-types',
  'highs',
  'comlink',
  'pure-rand',
  '@tanstack',
  'file-type',
  'strtok3',
  'token-types',
  '@tokenizer',
  '@borewit',
  'uint8array-extras',
  'fast-check',
  '@fontsource-variable',
];

const shared = (name, { react = false, root = `packages/${name}/src` } = {}) => ({
  displayName: name,
  rootDir: '.',
  roots: [`<rootDir>/${root}`],
  testMatch: ['**/*.test.ts', '**/*.test.tsx'],
  setupFiles: ['<rootDir>/scripts/lib/propertySeed.cjs'],
  transform: { '^.+\\.(t|j|mj)sx?$': swc(react) },
  transformIgnorePatterns: [`/node_modules/(?!(${ES_ONLY.join('|')})/)`],
  moduleNameMapper: {
    '^@wheat-ledger/(core|contract|demo)$': '<rootDir>/packages/$1/src/index.ts',
    '^(\\.{1,2}/.*)\\.js$': '$1',
  },
});

const database = {
  globalSetup: '<rootDir>/scripts/lib/testDatabase.mjs',
  globalTeardown: '<rootDir>/scripts/lib/testDatabaseDown.mjs',
};

const unit = [
  shared('core'),
  shared('contract'),
  shared('demo'),
  { ...shared('server'), ...database },
  {
    ...shared('web', { react: true }),
    testEnvironment: '<rootDir>/scripts/lib/jsdomWithFetch.cjs',
    setupFilesAfterEnv: ['<rootDir>/packages/web/test/patience.ts'],
    moduleNameMapper: {
      ...shared('web').moduleNameMapper,
      '\\.(?:css|png)(?:\\?url)?$': '<rootDir>/scripts/lib/emptyModule.cjs',
      '^(node-fetch|sync-fetch)$': '<rootDir>/packages/web/src/references/noFetch.ts',
    },
  },
];
const e2e = [{ ...shared('e2e', { root: 'e2e' }), ...database, testMatch: ['**/*.e2e.ts'] }];

/** `E2E=1` runs the browser tests, which need a built app, `CORE_FOLDER=price` those of one folder of the core (`.` for all); without them, everything but the browser runs. */
export default {
  projects: process.env.E2E
    ? e2e
    : process.env.CORE_FOLDER
      ? [shared('core', { root: `packages/core/src/${process.env.CORE_FOLDER}` })]
      : unit,
  ...(process.env.E2E ? { maxWorkers: 2 } : {}),
  testTimeout: process.env.E2E ? 240_000 : 60_000,
};
