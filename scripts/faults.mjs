// Puts Ataque under many more faults than `npm test` does, and says in a line for each kind what came of them.
import { spawnSync } from 'node:child_process'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'

const cwd = fileURLToPath(new URL('..', import.meta.url))
const report = join(mkdtempSync(join(tmpdir(), 'ataque-faults-')), 'report.txt')
const env = { ...process.env, FAULTS: 'all', FAULTS_REPORT: report }
writeFileSync(report, '')

let read = 0
let failed = 0
for (const command of [
  ['npm', 'run', '-s', 'unit', '--', 'tests/faults', '--silent'],
  ['npm', 'run', '-s', 'build'],
  ['npx', 'playwright', 'test', 'kills'],
]) {
  const { status, stdout, stderr } = spawnSync(command[0], command.slice(1), { cwd, env, encoding: 'utf8' })
  if (status !== 0) {
    failed++
    console.error(stdout + stderr)
  }
  const lines = readFileSync(report, 'utf8')
  process.stdout.write(lines.slice(read))
  read = lines.length
}
process.exit(failed ? 1 : 0)
