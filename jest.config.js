/** Unit and property tests; the real interface is tested by Playwright. */
const swc = {
  jsc: {
    parser: { syntax: 'typescript', decorators: true },
    transform: { legacyDecorator: true, decoratorMetadata: false, useDefineForClassFields: true },
    target: 'es2022',
    experimental: { keepImportAttributes: true },
  },
  module: { type: 'es6' },
}

/** What every test file needs, whether it has a page to draw on or not. */
export const shared = {
  extensionsToTreatAsEsm: ['.ts', '.vue'],
  moduleFileExtensions: ['js', 'mjs', 'ts', 'json', 'vue'],
  // What the build tells Vue of itself.
  globals: { __VUE_OPTIONS_API__: true, __VUE_PROD_DEVTOOLS__: false, __VUE_PROD_HYDRATION_MISMATCH_DETAILS__: false },
  // Copies of the project in which faults are tried.
  modulePathIgnorePatterns: ['<rootDir>/.cache/'],
  setupFiles: ['reflect-metadata/lite'],
  moduleNameMapper: { '^\\./shelfFiles$': '<rootDir>/tests/fixtures/shelfFiles.ts' },
  transform: {
    '^.+\\.ts$': ['<rootDir>/tests/tsTransform.mjs', swc],
    '^.+\\.vue$': ['<rootDir>/tests/vueTransform.mjs', swc],
  },
}

/** Folders whose tests draw on a page, and those whose tests do not. */
export const DRAWN = ['views', 'components']
export const PLAIN = ['core', 'properties', 'cli', 'storage', 'stores', 'workers', 'server', 'faults', 'foreign']

const ON_A_PAGE = { setupFilesAfterEnv: ['<rootDir>/tests/drawn.setup.ts'] }

const project = (displayName, testEnvironment, folders, more = {}) => ({
  ...shared,
  displayName,
  testEnvironment,
  testMatch: [`<rootDir>/tests/{${folders.join(',')}}/**/*.test.ts`],
  ...more,
})

export default {
  // Two cores: the default would leave one idle.
  maxWorkers: 2,
  // A starved machine must not fail a test.
  testTimeout: 300_000,
  projects: [project('plain', 'node', PLAIN), project('drawn', 'jsdom', DRAWN, ON_A_PAGE)],
}
