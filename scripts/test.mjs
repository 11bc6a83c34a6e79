// Runs every check there is and counts them: each of types, lint, layers and dead code is one, then the tests.
import { spawnSync } from 'node:child_process'
import { fileURLToPath } from 'node:url'

const root = fileURLToPath(new URL('..', import.meta.url))
const count = { passed: 0, failed: 0 }

/** Runs a script of package.json, echoes what it prints and returns it. */
function npmRun(script) {
  console.log(`\n— ${script}`)
  const { status, stdout, stderr } = spawnSync('npm', ['run', '-s', script], {
    cwd: root,
    encoding: 'utf8',
    maxBuffer: 1 << 28,
    shell: process.platform === 'win32',
  })
  process.stdout.write(stdout + stderr.replace(/^npm warn .*\n/gm, ''))
  return { ok: status === 0, text: stdout + stderr }
}

function check(script) {
  const { ok } = npmRun(script)
  count[ok ? 'passed' : 'failed']++
}

/** A test runner counts for itself; if it fails without having counted a failure, that is one. */
function suite(script, passed, failed) {
  const { ok, text } = npmRun(script)
  const read = (pattern) => Number([...text.matchAll(pattern)].at(-1)?.[1] ?? 0)
  const failures = read(failed)
  count.passed += read(passed)
  count.failed += !ok && failures === 0 ? 1 : failures
}

check('typecheck')
check('lint')
check('layers')
check('dead')
suite('unit', /^Tests:.*?(\d+) passed/gm, /^Tests:\s+(\d+) failed/gm)
check('build')
suite('e2e', /^\s+(\d+) passed/gm, /^\s+(\d+) failed/gm)
console.log(`\n${count.passed} passed, ${count.failed} failed`)
process.exit(count.failed ? 1 : 0)
