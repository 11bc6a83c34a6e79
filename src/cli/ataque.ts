import { check } from './check'
import { solveCommand } from './solve'
import { sparCommand } from './spar'
import { UsageError } from './usage'

const HELP = `ataque check FILE [--json]
    Says every problem of a chart, one a line. Exit 0: none; 1: some; 2: wrong usage.
ataque solve FILE --start ID [--seconds N|none] [--sharpness K] [--objective careful|finish|win] [--score N]
             [--goal ID,ID] [--break-up S|never] [--repeat F] [--slips F] [--no-holds]
             --json
    What the chart is worth from a position, as one JSON object.
ataque spar FILE [--policy best|random] [--games N] [--seed N] [--start ID and the other options of solve] [--json]
    Plays exchanges with dice, in the chart's own scenario unless told otherwise, and says what they came to: the mean
    worth with its standard error beside the value that the plan foretells, and how they ended, as shares.`

const COMMANDS: Record<string, (args: string[]) => number> = { check, solve: solveCommand, spar: sparCommand }

/** Runs the command line; returns the exit code. */
export function main(args: string[]): number {
  const [name, ...rest] = args
  if (name === '--help' || name === '-h' || name === 'help') {
    console.log(HELP)
    return 0
  }
  const command = COMMANDS[name ?? '']
  try {
    if (!command) throw new UsageError(name ? `there is no command "${name}"` : 'which command?')
    return command(rest)
  } catch (error) {
    if (!(error instanceof UsageError)) throw error
    console.error(`ataque: ${error.message}\n\n${HELP}`)
    return 2
  }
}
