#!/usr/bin/env node
import { existsSync } from 'node:fs'
import { fileURLToPath } from 'node:url'

// The built command line where there is one; else the sources, compiled on the way in.
const built = new URL('../dist-cli/ataque.js', import.meta.url)
const isBuilt = existsSync(fileURLToPath(built)) && !process.env.ATAQUE_UNBUILT
if (!isBuilt) {
  const { register } = await import('tsx/esm/api')
  register({ tsconfig: fileURLToPath(new URL('../tsconfig.base.json', import.meta.url)) })
}
const { main } = await import(isBuilt ? built.href : new URL('../src/cli/ataque.ts', import.meta.url).href)
process.exitCode = main(process.argv.slice(2))
