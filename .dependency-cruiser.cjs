const STAGES = 'ground|shelf|season|price|release|mix|rounds|claims|trials|book';
/** Rooms of the core below the stages, each standing on those before it. */
const BELOW = 'quantity|nutrient|figure|reading|solve';

/** What stands above each room of the core and is not known there. */
const ABOVE = [
  ['quantity', `nutrient|figure|reading|solve|${STAGES}`],
  ['nutrient', `figure|reading|solve|${STAGES}`],
  ['figure', `reading|solve|${STAGES}`],
  ['reading', `solve|${STAGES}`],
  ['solve', `nutrient|figure|reading|${STAGES}`],
  ['season', 'price|release|mix|rounds|claims|trials|book'],
];

/** Dependencies point one way; a stage reaches another only through its index. */
module.exports = {
  forbidden: [
    {
      name: 'no-circular',
      severity: 'error',
      from: { path: '^packages', pathNot: '\\.test\\.' },
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    { name: 'core-alone', severity: 'error', from: { path: '^packages/core' }, to: { path: '^packages/(?!core)' } },
    {
      name: 'contract-on-core',
      severity: 'error',
      from: { path: '^packages/contract' },
      to: { path: '^packages/(?!core|contract)' },
    },
    {
      name: 'web-not-server',
      severity: 'error',
      from: { path: '^packages/web', pathNot: '(\\.test\\.|/test/)' },
      to: { path: '^packages/(server|demo)' },
    },
    { name: 'server-not-web', severity: 'error', from: { path: '^packages/server' }, to: { path: '^packages/web' } },
    {
      name: 'demo-not-apps',
      severity: 'error',
      from: { path: '^packages/demo' },
      to: { path: '^packages/(server|web)' },
    },
    ...ABOVE.map(([room, above]) => ({
      name: `core-${room}`,
      severity: 'error',
      from: { path: `^packages/core/src/${room}/`, pathNot: '\\.test\\.' },
      to: { path: `^packages/core/src/(${above})/` },
    })),
    {
      name: 'stage-by-index',
      severity: 'error',
      from: { path: `^packages/core/src/(${STAGES}|${BELOW})/`, pathNot: '\\.test\\.' },
      to: {
        path: `^packages/core/src/(${STAGES}|${BELOW})/`,
        pathNot: ['/index\\.ts$', '^packages/core/src/$1/'],
      },
    },
    {
      name: 'web-stages-apart',
      severity: 'error',
      from: { path: `^packages/web/src/(${STAGES})/`, pathNot: '\\.test\\.' },
      to: { path: `^packages/web/src/(${STAGES})/`, pathNot: '^packages/web/src/$1/' },
    },
    {
      name: 'ui-below-stages',
      severity: 'error',
      from: { path: '^packages/web/src/(ui|workers)/' },
      to: { path: `^packages/web/src/(${STAGES}|frame)/` },
    },
    {
      name: 'no-unlisted',
      severity: 'error',
      from: { path: '^packages' },
      to: { path: '^(?!highs/runtime\\?url)', dependencyTypes: ['npm-no-pkg', 'unknown'] },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules|dist' },
    exclude: { path: 'node_modules|/dist/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.test.json' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'types', 'default'] },
  },
};
