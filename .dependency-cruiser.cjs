/** The arrows of docs/architecture.md: which layer may know of which. */
const only = (name, from, to) => ({
  name,
  severity: 'error',
  from: { path: from },
  to: { path: '^(src|server|node_modules)', pathNot: to },
})
const npm = (...names) => names.map((name) => `node_modules/${name}(/|$)`)

module.exports = {
  forbidden: [
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true, dependencyTypesNot: ['type-only'] } },
    only('chart-knows-itself', '^src/core/chart', [
      '^src/core/(chart|problem)',
      ...npm('class-validator', 'class-transformer', 'reflect-metadata'),
    ]),
    only('holds-know-charts', '^src/core/holds', ['^src/core/(holds|chart|problem)']),
    only('format-knows-charts', '^src/core/format', ['^src/core/(format|chart|problem)']),
    only('notation-knows-charts', '^src/core/notation', ['^src/core/(notation|chart|problem)']),
    only('game-knows-charts-and-holds', '^src/core/game', ['^src/core/(game|chart|holds|problem)']),
    only('solve-knows-games', '^src/core/solve', ['^src/core/(solve|game|problem)']),
    only('insight-stays-in-core', '^src/core/insight', ['^src/core/(insight|solve|game|holds|chart|problem)']),
    only('questions-ask-plans', '^src/core/questions', [
      '^src/core/(questions|score|insight|pin|solve|game|holds|chart|problem)',
      ...npm('d3-random'),
    ]),
    only('slope-draws-figures', '^src/core/slope', ['^src/core/(slope|insight|game|chart|problem)']),
    only('sides-know-charts', '^src/core/sides', ['^src/core/(sides|chart)']),
    only('pin-knows-holds', '^src/core/pin', ['^src/core/(pin|holds|chart|problem)']),
    only('score-plays-by-the-rules', '^src/core/score', ['^src/core/(score|pin|sides|game|holds|chart|problem)']),
    only('figures-draw-holds', '^src/core/figure', ['^src/core/(figure|score|sides|chart)']),
    only('shelf-joins-charts', '^src/core/shelf', [
      '^src/core/(shelf|sides|chart|format|problem)',
      ...npm('minisearch'),
    ]),
    only('workers-know-core', '^src/workers', ['^src/(workers|core)']),
    only('storage-knows-core', '^src/storage', ['^src/(storage|core)', ...npm('idb', 'immer')]),
    only('cli-knows-core', '^src/cli', ['^src/(cli|core)']),
    {
      name: 'stores-join-the-parts',
      severity: 'error',
      from: { path: '^src/stores' },
      to: { path: '^src/(components|views|cli)' },
    },
    {
      name: 'components-know-core-types',
      severity: 'error',
      from: { path: '^src/components' },
      to: { path: '^src/(stores|views|storage|workers|cli)' },
    },
    {
      name: 'only-views-and-the-app-use-stores',
      severity: 'error',
      from: { path: '^src', pathNot: '^src/(stores|views|app)' },
      to: { path: '^src/stores' },
    },
  ],
  options: {
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    doNotFollow: { path: 'node_modules' },
    enhancedResolveOptions: { extensions: ['.ts', '.vue', '.mjs', '.js'] },
  },
}
