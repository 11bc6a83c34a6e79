// The areas whose tests are tried with faults: what is changed in each, and the tests that should notice.
// stores/shelfFiles.ts is left out: only the bundler can run it.
export const AREAS = {
  limbScore: {
    mutate: ['src/core/limbScore/**/*.ts'],
    tests: ['core/limbScore', 'properties/limbScore*'],
  },
  chart: {
    mutate: ['src/core/chart/**/*.ts'],
    tests: ['core/chart', 'core/document', 'properties/edits*'],
  },
  shelf: { mutate: ['src/core/shelf/**/*.ts'], tests: ['core/shelf'] },
  files: { mutate: ['src/core/files/**/*.ts'], tests: ['core/files', 'foreign'] },
  rehearse: { mutate: ['src/core/rehearse/**/*.ts'], tests: ['core/rehearse'] },
  storage: { mutate: ['src/storage/**/*.ts'], tests: ['storage', 'faults/twoTabs*', 'faults/brokenWrites*'] },
  stores: { mutate: ['src/stores/**/*.ts', '!src/stores/shelfFiles.ts'], tests: ['stores'] },
  workers: { mutate: ['src/workers/**/*.ts'], tests: ['workers', 'stores'] },
  components: { mutate: ['src/components/**/*.{ts,vue}'], tests: ['components', 'views'], drawn: true },
}
