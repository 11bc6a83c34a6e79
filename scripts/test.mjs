// Runs every check there is and counts them: each of types, lint, layers and dead code is one, then the tests.
import { spawn } from 'node:child_process'
import { fileURLToPath } from 'node:url'

const root = fileURLToPath(new URL('..', import.meta.url))
const count = { passed: 0, failed: 0 }

/** Runs a script of package.json; prints what it printed once it has ended, and returns it. */
async function npmRun(script) {
  const run = spawn('npm', ['run', '-s', script], { cwd: root, shell: process.platform === 'win32' })
  let text = ''
  for (const stream of [run.stdout, run.stderr]) stream.setEncoding('utf8').on('data', (part) => (text += part))
  const status = await new Promise((ended) => run.on('close', ended))
  process.stdout.write(`\n— ${script}\n${text.replace(/^npm warn .*\n/gm, '')}`)
  return { ok: status === 0, text }
}

async function check(script) {
  const { ok } = await npmRun(script)
  count[ok ? 'passed' : 'failed']++
}

/** A test runner counts for itself; if it fails without having counted a failure, that is one. */
async function suite(script, passed, failed) {
  const { ok, text } = await npmRun(script)
  const read = (pattern) => Number([...text.matchAll(pattern)].at(-1)?.[1] ?? 0)
  const failures = read(failed)
  count.passed += read(passed)
  count.failed += !ok && failures === 0 ? 1 : failures
}

async function readAndUnit() {
  for (const script of ['typecheck', 'lint', 'layers', 'dead']) await check(script)
  await suite('unit', /^Tests:.*?(\d+) passed/gm, /^Tests:\s+(\d+) failed/gm)
}

async function buildAndUse() {
  await check('build')
  await suite('e2e', /^\s+(\d+) passed/gm, /^\s+(\d+) failed/gm)
}

// Side by side: what is read and computed leaves a core half idle, and so does what waits for a browser.
await Promise.all([readAndUnit(), buildAndUse()])
console.log(`\n${count.passed} passed, ${count.failed} failed`)
process.exit(count.failed ? 1 : 0)
