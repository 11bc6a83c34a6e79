// `npm run sweep`: every screen at every size, in both themes and on both papers: what has no room, what axe finds, what
// jumps, what leaves its page. Pictures of all of them lie in test-results/sweep afterwards, to be looked at.
import { spawnSync } from 'node:child_process'

const run = (command, ...args) =>
  spawnSync(command, args, { stdio: 'inherit', env: { ...process.env, ATAQUE_SWEEP: 'all' } }).status ?? 1

const built = run('npx', 'vite', 'build', '--logLevel', 'error')
process.exit(built || run('npx', 'playwright', 'test', 'everyScreen', 'sizes', 'steady', 'paper', 'forced'))
