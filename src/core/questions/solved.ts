import { sure } from '../sure'
import type { Chart } from '../chart/chart'
import { compileGame, type CompileOptions } from '../game/compileGame'
import type { Scenario } from '../game/scenario'
import { solve, type SolveOptions } from '../solve/solve'
import type { Solution } from '../solve/solution'

/** A checked chart solved in a scenario; null where that cannot be computed. */
export function solved(chart: Chart, scenario: Scenario, how: CompileOptions & SolveOptions = {}): Solution | null {
  const game = compileGame(chart, scenario, how)
  const solution = game.ok ? solve(game.value, how) : null
  return solution?.ok ? solution.value : null
}

/** The worth of the start in a chart; null where it cannot be computed. */
export function startWorth(chart: Chart, scenario: Scenario): number | null {
  const solution = solved(chart, scenario, { roots: 'start' })
  return solution && sure(solution.values[solution.game.start])
}
