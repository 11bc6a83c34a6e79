import { main } from '../../src/cli/ataque'

/** The command line without the time that it takes to start: its exit code, and what it says. */
export function ataque(...args: string[]) {
  const said = { out: '', err: '' }
  const { log, error } = console
  console.log = (text: string) => void (said.out += `${text}\n`)
  console.error = (text: string) => void (said.err += `${text}\n`)
  try {
    return { status: main(args), ...said }
  } finally {
    Object.assign(console, { log, error })
  }
}
