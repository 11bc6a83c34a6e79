/** The arrows of docs/architecture.md: which layer may know of which. */
const only = (name, from, to) => ({
  name,
  severity: 'error',
  from: { path: from },
  to: { path: '^(src|server|node_modules)', pathNot: to },
})
const npm = (...names) => names.map((name) => `node_modules/${name}(/|$)`)
/** Folders of the core, with those that every one of them stands on. */
const core = (...folders) => [
  `^src/core/(${[...folders, 'document', 'job', 'problem', 'seed', 'sure', 'typed'].join('|')})`,
]
const RECORDS = npm('class-validator')

module.exports = {
  forbidden: [
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true, dependencyTypesNot: ['type-only'] } },
    only('documents-know-no-kind', '^src/core/document', [...core(), ...RECORDS, ...npm('immer')]),
    only('chart-knows-itself', '^src/core/chart', [...core('chart'), ...RECORDS]),
    only('sides-know-charts', '^src/core/sides', [...core('sides', 'chart'), ...npm('immer')]),
    only('holds-know-charts', '^src/core/holds', core('holds', 'chart')),
    only('notation-knows-charts', '^src/core/notation', [...core('notation', 'chart'), ...npm('fastest-levenshtein')]),
    only('game-knows-charts-and-holds', '^src/core/game', core('game', 'chart', 'holds')),
    only('solve-knows-games', '^src/core/solve', core('solve', 'game')),
    only('insight-reads-solutions', '^src/core/insight', core('insight', 'solve', 'game', 'holds', 'chart')),
    only('limb-score-plays-by-the-rules', '^src/core/limbScore', core('limbScore', 'sides', 'game', 'holds', 'chart')),
    only('questions-ask-plans', '^src/core/questions', [
      ...core('questions', 'climb', 'limbScore', 'insight', 'solve', 'game', 'holds', 'chart'),
      ...npm('d3-random'),
    ]),
    only('matches-know-charts', '^src/core/match', core('match', 'chart')),
    only('clubs-know-charts', '^src/core/club', [
      ...core('club', 'match', 'chart'),
      ...RECORDS,
      ...npm('edmonds-blossom-fixed'),
    ]),
    only('what-was-learned-stands-on-clubs-and-plans', '^src/core/learn', [
      ...core('learn', 'club', 'match', 'questions', 'insight', 'solve', 'game', 'chart'),
    ]),
    only('rehearsing-stands-on-plans-and-clubs', '^src/core/rehearse', [
      ...core('rehearse', 'simulate', 'club', 'insight', 'solve', 'game', 'chart'),
      ...RECORDS,
      ...npm('ts-fsrs', 'd3-random'),
    ]),
    only('dice-play-solutions', '^src/core/simulate', core('simulate', 'match', 'solve', 'game')),
    only('slope-draws-figures', '^src/core/slope', core('slope', 'insight', 'game', 'chart')),
    only('climb-draws-figures', '^src/core/climb', core('climb', 'slope', 'solve', 'insight', 'game', 'chart')),
    only('bodies-show-holds', '^src/core/body', core('body', 'limbScore', 'sides', 'chart')),
    only('files-know-every-kind', '^src/core/files', [
      ...core('files', 'chart', 'shelf', 'club', 'rehearse', 'notation'),
      ...npm('papaparse', 'fast-xml-builder', 'fast-xml-parser', 'fast-xml-validator', 'fflate', '@noble/hashes'),
    ]),
    only('shelf-joins-charts', '^src/core/shelf', [
      ...core('shelf', 'sides', 'chart'),
      ...RECORDS,
      ...npm('minisearch'),
    ]),
    only('say-stands-on-all-of-core', '^src/core/say', ['^src/core', ...npm('dayjs')]),
    only('workers-know-core', '^src/workers', ['^src/(workers|core)']),
    only('storage-knows-core', '^src/storage', ['^src/(storage|core)', ...npm('idb')]),
    only('cli-knows-core', '^src/cli', ['^src/(cli|core)', ...npm('d3-random')]),
    only('words-stand-alone', '^src/words', ['^src/words', ...npm('vue-i18n')]),
    {
      name: 'nothing-in-the-core-says-but-say',
      comment: 'Words that a reader sees live in core/say, which stands on all the rest of the core.',
      severity: 'error',
      from: { path: '^src/core', pathNot: '^src/core/say' },
      to: { path: '^src/core/say' },
    },
    {
      name: 'only-the-interface-says-words',
      comment: 'What the core says is in core/say; it has no language of the interface.',
      severity: 'error',
      from: { path: '^src/(core|workers|storage|cli|kernel)' },
      to: { path: '^src/words' },
    },
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
    {
      name: 'only-stores-start-workers',
      severity: 'error',
      from: { path: '^src/(views|components|app)' },
      to: { path: '^src/workers' },
    },
    {
      name: 'a-screen-knows-no-other-screen',
      comment: 'A screen imports its own folder, parts and frame.',
      severity: 'error',
      from: { path: '^src/views/(plan|train|learn|keep)/([^/]+)/' },
      to: { path: '^src/views/(plan|train|learn|keep)/', pathNot: '^src/views/$1/$2/' },
    },
    {
      name: 'parts-know-parts',
      severity: 'error',
      from: { path: '^src/views/parts' },
      to: { path: '^src/views', pathNot: '^src/views/parts' },
    },
    {
      name: 'the-frame-knows-parts',
      severity: 'error',
      from: { path: '^src/views/frame' },
      to: { path: '^src/views', pathNot: '^src/views/(frame|parts)' },
    },
  ],
  options: {
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    doNotFollow: { path: 'node_modules' },
    enhancedResolveOptions: { extensions: ['.ts', '.vue', '.mjs', '.js'] },
  },
}
