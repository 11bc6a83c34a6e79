import { runInNewContext } from 'node:vm'

// Jest runs each test file in a context of its own, in which every look-up of a global asks Node's interceptor first:
// a core that computes spends three quarters of its time there. What a module takes from the language it therefore
// takes once, into names of its own. Left out is what tests put something else in the place of: the clock, and what
// starts the compiled equations.
const LEFT_OUT = ['globalThis', 'undefined', 'eval', 'Date', 'WebAssembly']
const LANGUAGE = runInNewContext('Object.getOwnPropertyNames(globalThis)').filter((name) => !LEFT_OUT.includes(name))
const uses = new Map(LANGUAGE.map((name) => [name, new RegExp(`\\b${name}\\b`)]))

/** The code of a module, led by names of its own for the globals of the language that it names; lines stay as they are. */
export function withOwnGlobals(code) {
  const used = LANGUAGE.filter((name) => uses.get(name).test(code))
  return used.length ? `const { ${used.join(', ')} } = globalThis;${code}` : code
}
