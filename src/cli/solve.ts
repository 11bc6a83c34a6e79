import { sure } from '../core/sure'
import type { Chart } from '../core/chart/chart'
import { compileGame } from '../core/game/compileGame'
import { actionName } from '../core/game/describe'
import { NONE, TERMINALS } from '../core/game/game'
import { scenarioOf, type Scenario } from '../core/game/scenario'
import { costsOf } from '../core/insight/figures'
import { looseEndsOf, visitsOf } from '../core/insight/looseEnds'
import { netsOf } from '../core/insight/nets'
import { seenFigures } from '../core/insight/seen'
import type { Result } from '../core/problem'
import { occupancyOf } from '../core/solve/occupancy'
import { solve } from '../core/solve/solve'
import { fullClock, tieTolerance, type Solution } from '../core/solve/solution'
import { refuse, SCENARIO_OPTIONS, scenarioFrom } from './scenario'
import { fileAndOptions, readChartFile, UsageError } from './usage'

const OPTIONS = { ...SCENARIO_OPTIONS, json: { type: 'boolean', default: false } } as const

/** `solve FILE --start ID … --json`: what a chart is worth, as one JSON object. */
export function solveCommand(args: string[]): number {
  const { file, values } = fileAndOptions(args, OPTIONS)
  if (!values.json) throw new UsageError('solve prints JSON: add --json')
  if (!values.start) throw new UsageError('--start ID is missing')
  const instead = scenarioFrom(values)
  const read = readChartFile(file)
  if (!read.ok) return refuse(read.problems)
  const chart = read.value
  const scenario = scenarioOf(chart, instead)
  const solution = solved(chart, scenario)
  if (!solution.ok) return refuse(solution.problems)
  console.log(JSON.stringify(reportOf(chart, solution.value), null, 2))
  return 0
}

function solved(chart: Chart, scenario: Scenario): Result<Solution> {
  const game = compileGame(chart, scenario, { roots: 'start' })
  return game.ok ? solve(game.value, { everySecond: true }) : game
}

function bestIn(solution: Solution, state: number): string | null {
  if (state < TERMINALS) return null
  const action = solution.evaluator.bestAction(fullClock(solution), state, tieTolerance(solution))
  return action === NONE ? null : actionName(solution.game, action)
}

/** What is seen on coming to a position, as it is dealt at the full clock. */
function seenIn(solution: Solution, state: number) {
  if (state < solution.game.arrivalsFrom) return {}
  const seen = seenFigures(solution, state).map(({ cue, value, best, share }) => [cue, { value, best, share }] as const)
  return { seen: Object.fromEntries(seen) }
}

function reportOf(chart: Chart, solution: Solution) {
  const { game, values, bounds } = solution
  const { index, ownState } = game.meaning
  const { start, seconds, sharpness, objective, goal, breakUp, repeat, slips } = game.scenario
  const occupancy = occupancyOf(solution)
  const value = sure(values[game.start])
  const ends = looseEndsOf(index)
  const visits = visitsOf(game, occupancy, ends)
  const costOf = costsOf(chart, game.scenario, value)
  const reached = index.positions.flatMap(({ record }, p) =>
    sure(ownState[p]) === NONE ? [] : ([[record.id, sure(ownState[p])]] as const),
  )
  return {
    ...{ start, states: game.reachedCount, seconds, sharpness, objective, goal, breakUp, repeat, slips, value },
    ...(bounds ? { lower: bounds.lower, upper: bounds.upper } : {}),
    best: bestIn(solution, game.start),
    finish: occupancy.finish,
    caught: occupancy.caught,
    ahead: occupancy.ended[0],
    even: occupancy.ended[1],
    behind: occupancy.ended[2],
    positions: Object.fromEntries(
      reached.map(([id, state]) => [
        id,
        { value: sure(values[state]), best: bestIn(solution, state), ...seenIn(solution, state) },
      ]),
    ),
    nets: netsOf(solution).map(({ move, reaction, value, net, saves, best }) => ({
      ...{ move, reaction, value, net, saves, best },
    })),
    looseEnds: ends.map((end, i) => {
      const move = 'move' in end.met ? end.met.move : 'wait'
      return {
        ...{ move, reaction: end.reaction, visits: visits[i], cost: costOf(end) },
        ...{ position: end.position, met: end.met.by },
      }
    }),
  }
}
