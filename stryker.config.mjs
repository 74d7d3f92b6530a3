/** Mutation testing of the core, started by `npm run mutants -- FOLDER`. */
export default {
  testRunner: 'jest',
  jest: { projectType: 'custom', configFile: 'jest.config.mjs' },
  plugins: ['@stryker-mutator/jest-runner'],
  coverageAnalysis: 'perTest',
  ignoreStatic: true,
  concurrency: 2,
  timeoutMS: 20_000,
  tempDirName: '.data/stryker-tmp',
  reporters: ['json'],
  jsonReporter: { fileName: process.env.MUTANTS_JSON ?? '.data/mutants/last.json' },
  ignorePatterns: [
    '.data',
    'dist',
    'docs/screenshots',
    'docs/decisions',
    'e2e',
    'packages/server',
    'packages/web',
    'packages/demo',
    'packages/contract',
  ],
};
