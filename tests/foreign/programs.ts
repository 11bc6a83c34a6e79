import { spawnSync } from 'node:child_process'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

/* Programs that others wrote read what we write. Where one is not installed, its test is skipped by name. */

const runs = (command: string, args: string[]) => spawnSync(command, args, { stdio: 'ignore' }).status === 0
const PYTHON = '/usr/bin/python3'
const HAS = {
  dot: () => runs('dot', ['-V']),
  xmllint: () => runs('xmllint', ['--version']),
  python: () => runs(PYTHON, ['-c', 'import csv']),
  networkx: () => runs(PYTHON, ['-c', 'import networkx']),
}

/** A test that needs a program. */
export const withProgram = (name: keyof typeof HAS) => (HAS[name]() ? it : it.skip)

/** What a program says of a file, on its standard output. Throws what it complains of. */
export function ask(command: string, args: string[], input = ''): string {
  const { status, stdout, stderr } = spawnSync(command, args, { input, encoding: 'utf8', maxBuffer: 64 * 1024 * 1024 })
  if (status !== 0 || stderr.trim()) throw new Error(`${command}: ${stderr}`)
  return stdout
}

/** What Python prints of a text that it reads from its standard input. */
export const askPython = (script: string, input: string): unknown => JSON.parse(ask(PYTHON, ['-c', script], input))

/** A file with this text, for programs that want one. */
export function fileOf(name: string, text: string | Uint8Array): string {
  const path = join(mkdtempSync(join(tmpdir(), 'ataque-')), name)
  writeFileSync(path, text)
  return path
}
