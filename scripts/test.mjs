// Runs every check there is and counts them: each of types, lint, styles, layers, dead code and the Shelf is one, then the tests.
import { spawn } from 'node:child_process'
import { fileURLToPath } from 'node:url'

const cwd = fileURLToPath(new URL('..', import.meta.url))
const count = { passed: 0, failed: 0 }
const failedIn = []

/** Runs a script of package.json; prints what it says once it has ended, and returns it. */
function npmRun(script) {
  return new Promise((end) => {
    const child = spawn('npm', ['run', '-s', script], { cwd, shell: process.platform === 'win32' })
    let text = ''
    const hear = (said) => (text += said)
    child.stdout.setEncoding('utf8').on('data', hear)
    child.stderr.setEncoding('utf8').on('data', hear)
    child.on('error', hear)
    child.on('close', (status) => {
      console.log(`\n— ${script}\n${text.replace(/^npm warn .*\n/gm, '')}`)
      end({ ok: status === 0, text })
    })
  })
}

/** Runs scripts one after the other, each of which is one check. */
async function checks(...scripts) {
  for (const script of scripts) {
    const { ok } = await npmRun(script)
    count[ok ? 'passed' : 'failed']++
    if (!ok) failedIn.push(script)
  }
}

/** A test runner counts for itself; if it fails without having counted a failure, that is one. */
async function suite(script, passed, failed) {
  const { ok, text } = await npmRun(script)
  const read = (pattern) => Number([...text.matchAll(pattern)].at(-1)?.[1] ?? 0)
  const failures = read(failed)
  count.passed += read(passed)
  count.failed += !ok && failures === 0 ? 1 : failures
  if (!ok) failedIn.push(script)
}

// Each of these keeps one core busy; the runners of tests take two.
await Promise.all([checks('lint'), checks('typecheck', 'styles', 'layers', 'dead', 'shelf-check')])
await suite('unit', /^Tests:.*?(\d+) passed/gm, /^Tests:\s+(\d+) failed/gm)
await checks('build')
await suite('e2e', /^\s+(\d+) passed/gm, /^\s+(\d+) failed/gm)
// Said again at the end: what failed first has long scrolled away.
if (failedIn.length) console.log(`\nFailed: ${failedIn.join(', ')}`)
console.log(`\n${count.passed} passed, ${count.failed} failed`)
process.exit(count.failed ? 1 : 0)
