/** Unit and property tests; the real interface is tested by Playwright. */
export default {
  testEnvironment: 'node',
  // Two cores: the default would leave one idle.
  maxWorkers: 2,
  testMatch: ['<rootDir>/tests/{core,properties,cli,storage,stores,workers,views,server}/**/*.test.ts'],
  extensionsToTreatAsEsm: ['.ts'],
  setupFiles: ['reflect-metadata/lite'],
  transform: {
    '^.+\\.ts$': [
      '@swc/jest',
      {
        jsc: {
          parser: { syntax: 'typescript', decorators: true },
          transform: { legacyDecorator: true, decoratorMetadata: false, useDefineForClassFields: true },
          target: 'es2022',
        },
        module: { type: 'es6' },
      },
    ],
  },
}
