import { check } from './check'
import { convert } from './convert'
import { mergeCommand } from './merge'
import { sayCommand } from './say'
import { shelfCheck } from './shelfCheckCommand'
import { solveCommand } from './solve'
import { sparCommand } from './spar'
import { UsageError } from './usage'

const SCENARIO = `[--start ID] [--seconds N|none] [--sharpness K] [--objective careful|finish|win] [--score N]
             [--goal ID,ID] [--break-up S|never] [--repeat F] [--slips F] [--no-holds]`

interface Command {
  run: (args: string[]) => number
  help: string
}

/** Every command, with what it says of itself. Exit codes are the same for all. */
const COMMANDS: Record<string, Command> = {
  check: {
    run: check,
    help: `ataque check FILE [--json]
    Says every problem of a chart, one a line.`,
  },
  solve: {
    run: solveCommand,
    help: `ataque solve FILE --start ID ${SCENARIO} --json
    What the chart is worth from a position, as one JSON object.`,
  },
  spar: {
    run: sparCommand,
    help: `ataque spar FILE [--policy best|random] [--games N] [--seed N] [--json] ${SCENARIO}
    Plays exchanges with dice, in the chart's own scenario unless told otherwise, and says what they came to: the mean
    worth with its standard error beside the value that the plan foretells, and how they ended, as shares.`,
  },
  say: {
    run: sayCommand,
    help: `ataque say FILE [--share F] [--out FILE] ${SCENARIO}
    The chain as one says it, as Markdown: until it covers a share of all exchanges (0.9).`,
  },
  convert: {
    run: convert,
    help: `ataque convert FILE [--to json|csv|graphml|dot|markdown|lines] [--table NAME] [--out FILE|FOLDER]
    A chart in another form; or a table (CSV), a graph (GraphML) or lines of the notation as a chart. Of csv, --table
    says which (positions, moves, reactions, answers, tries), or --out the folder for all of them.`,
  },
  merge: {
    run: mergeCommand,
    help: `ataque merge MINE THEIRS [--base FILE] [--choose mine|theirs] [--out FILE]
    Two charts that began as one, as one again. What both have changed is listed, and nothing is written, unless --choose
    says whose stands. What they began as is --base, or what the files bring along.`,
  },
  'shelf-check': {
    run: shelfCheck,
    help: `ataque shelf-check [FILE ...] [--json]
    What is wrong with shelves of one's own, or with ours where no FILE is named, as written and as played.`,
  },
}

const HELP = `${Object.values(COMMANDS)
  .map(({ help }) => help)
  .join('\n')}
Exit 0: done; 1: there are problems, or what was to be decided is not; 2: wrong usage.`

/** Runs the command line; returns the exit code. */
export function main(args: string[]): number {
  const [name = '', ...rest] = args
  if (['--help', '-h', 'help'].includes(name)) {
    console.log(HELP)
    return 0
  }
  const command = Object.hasOwn(COMMANDS, name) ? COMMANDS[name] : undefined
  if (command && (rest.includes('--help') || rest.includes('-h'))) {
    console.log(command.help)
    return 0
  }
  try {
    if (!command) throw new UsageError(name ? `there is no command "${name}"` : 'which command?')
    return command.run(rest)
  } catch (error) {
    if (!(error instanceof UsageError)) throw error
    console.error(`ataque: ${error.message}\n\n${command?.help ?? HELP}`)
    return 2
  }
}
