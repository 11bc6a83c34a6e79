// Installs what is missing, with Node's built-in modules only, so that it runs on a fresh checkout.
// With --browser also Chromium, where this machine lets us.
import { execFileSync, spawnSync } from 'node:child_process'
import { existsSync, readFileSync, statSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { chromiumPath, SHELL } from './chromium.mjs'

const root = fileURLToPath(new URL('..', import.meta.url))
const npm = process.platform === 'win32' ? 'npm.cmd' : 'npm'
const run = (command, args) =>
  spawnSync(command, args, { cwd: root, stdio: 'inherit', shell: process.platform === 'win32' }).status === 0

function isInstalled() {
  const stamp = `${root}node_modules/.package-lock.json`
  return existsSync(stamp) && statSync(stamp).mtimeMs >= statSync(`${root}package-lock.json`).mtimeMs
}

function installPackages() {
  if (isInstalled()) return
  console.log('Installing packages …')
  if (run(npm, ['ci', '--no-audit', '--no-fund'])) return
  console.log('npm ci did not go through; trying npm install …')
  if (!run(npm, ['install', '--no-save', '--no-audit', '--no-fund'])) process.exit(1)
}

const isDebian = () =>
  process.platform === 'linux' &&
  existsSync('/etc/os-release') &&
  /debian/i.test(readFileSync('/etc/os-release', 'utf8'))

function installBrowser() {
  const isChosen = process.env.CHROMIUM_PATH || existsSync(SHELL)
  const mayInstall = isDebian() && process.getuid?.() === 0
  if (!isChosen && mayInstall) {
    console.log('Installing Chromium …')
    run('apt-get', ['update', '-qq'])
    const install = (name) => run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', name])
    if (!install('chromium-headless-shell') && !chromiumPath()) install('chromium')
  }
  if (chromiumPath()) return
  console.error('The end-to-end tests need Chromium: install it, or set CHROMIUM_PATH to where it is.')
  process.exit(1)
}

/** Programs that read in tests what we write: Graphviz, xmllint, networkx. Without one its test is skipped by name. */
function installReaders() {
  const isThere = (command, args) => spawnSync(command, args, { stdio: 'ignore' }).status === 0
  const missing = [
    [['dot', ['-V']], 'graphviz'],
    [['xmllint', ['--version']], 'libxml2-utils'],
    [['/usr/bin/python3', ['-c', 'import networkx']], 'python3-networkx'],
  ].flatMap(([[command, args], name]) => (isThere(command, args) ? [] : [name]))
  if (!missing.length || !isDebian() || process.getuid?.() !== 0) return
  console.log(`Installing ${missing.join(', ')} …`)
  run('apt-get', ['update', '-qq'])
  run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', ...missing])
}

const major = Number(process.versions.node.split('.')[0])
if (major < 20) {
  console.error(`Ataque needs Node 20.19 or later; this is ${process.versions.node}.`)
  process.exit(1)
}
installPackages()
if (process.argv.includes('--browser')) {
  installBrowser()
  execFileSync(chromiumPath(), ['--version'], { stdio: 'inherit' })
  installReaders()
}
