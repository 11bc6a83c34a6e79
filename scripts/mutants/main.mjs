// Puts faults into the source, one at a time, and counts how many the unit tests notice. Usage: `npm run mutants` for
// every area, `npm run mutants -- storage stores` for some. Each area takes up to half an hour.
import { fileURLToPath } from 'node:url'
import { Stryker } from '@stryker-mutator/core'
import { DRAWN, PLAIN, shared } from '../../jest.config.js'
import { AREAS } from './areas.mjs'
import { report } from './report.mjs'
import { sampleOf } from './sample.mjs'
import { tryTemplates } from './templates.mjs'

process.chdir(fileURLToPath(new URL('../..', import.meta.url)))

function settingsOf({ mutate, tests, drawn }) {
  const folders = drawn ? DRAWN : PLAIN
  if (!tests.every((test) => folders.includes(test.split('/')[0]))) throw new Error('Tests of one area share a page.')
  const testMatch = tests.map((test) => `<rootDir>/tests/${test}{,/**/*}.test.ts`)
  return {
    ...{ mutate, testRunner: 'jest', checkers: ['sample'], ignorers: ['vue-macros'], coverageAnalysis: 'perTest' },
    plugins: ['@stryker-mutator/jest-runner', fileURLToPath(new URL('sample.mjs', import.meta.url))],
    jest: {
      projectType: 'custom',
      config: {
        ...shared,
        ...{ testMatch, testTimeout: 60_000, maxWorkers: 1 },
        testEnvironment: `@stryker-mutator/jest-runner/jest-env/${drawn ? 'jsdom' : 'node'}`,
      },
    },
    testRunnerNodeArgs: ['--experimental-vm-modules', '--no-warnings'],
    ...{ concurrency: 2, reporters: ['progress-append-only'], logLevel: 'warn' },
    ...{ timeoutMS: 8_000, dryRunTimeoutMinutes: 15, allowEmpty: true },
    ignorePatterns: ['dist*', 'test-results', '.cache'],
    tempDirName: '.cache/mutants',
  }
}

/** A result with its place counted from 0, as Stryker itself counts while it samples. */
function fromZero({ location: { start, end }, ...rest }) {
  const before = ({ line, column }) => ({ line: line - 1, column: column - 1 })
  return { ...rest, location: { start: before(start), end: before(end) } }
}

async function tryArea(name) {
  const all = await new Stryker(settingsOf(AREAS[name])).runMutationTest()
  return report(name, sampleOf(all.filter(({ status }) => status !== 'Ignored').map(fromZero)))
}

const asked = process.argv.slice(2)
const names = asked.length ? asked : [...Object.keys(AREAS), 'templates']
let passed = true
for (const name of names) {
  if (name !== 'templates' && !AREAS[name])
    throw new Error(`No area "${name}": ${Object.keys(AREAS).join(', ')}, templates.`)
  const good = name === 'templates' ? tryTemplates() : await tryArea(name)
  passed &&= good
}
process.exitCode = passed ? 0 : 1
