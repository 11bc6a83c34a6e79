import { lookUp } from '../core/chart/lookUp'
import { compileGame } from '../core/game/compileGame'
import { scenarioOf } from '../core/game/scenario'
import { scriptFrom } from '../core/questions/script'
import { hundred } from '../core/say/figureText'
import { sayLoop, sayScript, scriptAsMarkdown } from '../core/say/script'
import { solve } from '../core/solve/solve'
import { write } from './convert'
import { number, refuse, SCENARIO_OPTIONS, scenarioFrom } from './scenario'
import { fileAndOptions, readChartFile, UsageError } from './usage'

const OPTIONS = {
  ...SCENARIO_OPTIONS,
  share: { type: 'string', default: '0.9' },
  out: { type: 'string' },
} as const

/** More paragraphs than this nobody says. */
const MOST = 40

/** `say FILE [--start ID]`: the chain as one says it, as Markdown. */
export function sayCommand(args: string[]): number {
  const { file, values } = fileAndOptions(args, OPTIONS)
  const share = number('share', values.share)
  if (share <= 0 || share > 1) throw new UsageError('--share wants a number above 0, to 1')
  const instead = scenarioFrom(values)
  const read = readChartFile(file)
  if (!read.ok) return refuse(read.problems)
  const chart = read.value
  const game = compileGame(chart, scenarioOf(chart, instead), { roots: 'start' })
  if (!game.ok) return refuse(game.problems)
  const solution = solve(game.value, { everySecond: true })
  if (!solution.ok) return refuse(solution.problems)
  const { start } = game.value.scenario
  const script = scriptFrom(chart, solution.value, start, { share, steps: MOST })
  if (!script) {
    console.error(`nothing is played from "${start}"`)
    return 1
  }
  const title = `The chain from ${lookUp(chart.positions, start)?.name ?? start}`
  const loops = script.loops.slice(0, 2).map((loop) => sayLoop(chart, script, loop))
  write(scriptAsMarkdown(title, loops, sayScript(chart, script), hundred), values.out)
  return 0
}
