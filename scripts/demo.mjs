// Builds the application and serves it with the demo plan ready to open.
import { spawnSync } from 'node:child_process'
import { fileURLToPath } from 'node:url'

const root = fileURLToPath(new URL('..', import.meta.url))
const built = spawnSync('npm', ['run', '-s', 'build', '--', '--logLevel', 'warn'], {
  cwd: root,
  stdio: 'inherit',
  shell: process.platform === 'win32',
})
if (built.status !== 0) process.exit(built.status ?? 1)
process.env.ATAQUE_OPEN = '/#/demo'
await import('../server/main.mjs')
