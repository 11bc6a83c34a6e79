/** Unit and property tests; the real interface is tested by Playwright. */
const swc = {
  jsc: {
    parser: { syntax: 'typescript', decorators: true },
    transform: { legacyDecorator: true, decoratorMetadata: false, useDefineForClassFields: true },
    target: 'es2022',
  },
  module: { type: 'es6' },
}

export default {
  testEnvironment: 'node',
  // Two cores: the default would leave one idle.
  maxWorkers: 2,
  // A starved machine must not fail a test.
  testTimeout: 60_000,
  testMatch: ['<rootDir>/tests/{core,properties,cli,storage,stores,workers,views,components,server}/**/*.test.ts'],
  extensionsToTreatAsEsm: ['.ts', '.vue'],
  moduleFileExtensions: ['js', 'mjs', 'ts', 'json', 'vue'],
  // What the build tells Vue of itself.
  globals: { __VUE_OPTIONS_API__: true, __VUE_PROD_DEVTOOLS__: false, __VUE_PROD_HYDRATION_MISMATCH_DETAILS__: false },
  setupFiles: ['reflect-metadata/lite'],
  moduleNameMapper: { '^\\./shelfFiles$': '<rootDir>/tests/fixtures/shelfFiles.ts' },
  transform: { '^.+\\.ts$': ['@swc/jest', swc], '^.+\\.vue$': ['<rootDir>/tests/vueTransform.mjs', swc] },
}
