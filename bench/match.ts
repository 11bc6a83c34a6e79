import type { Chart } from '../src/core/chart/chart'
import { compileGame } from '../src/core/game/compileGame'
import { scenarioOf, underRules, type Objective } from '../src/core/game/scenario'
import { solve } from '../src/core/solve/solve'
import { taken } from '../tests/reference/taken'
import { bestInTurn, row, type Row } from './measure'

const RULES = 'gi-points'
const TIMES = 5

/** What it takes to win the match, against the careful solve of the same chart under the same rules and clock. */
export function benchMatch(chart: Chart): Row[] {
  const scenario = (objective: Objective) => scenarioOf(chart, { ...underRules(chart, RULES), objective })
  const compiled = (objective: Objective) => taken(compileGame(chart, scenario(objective)))
  const solved = (objective: Objective) => taken(solve(compiled(objective)))
  const [careful, win] = [compiled('careful'), compiled('win')]
  const [carefulMs, winMs] = bestInTurn(
    TIMES,
    () => taken(solve(careful)),
    () => taken(solve(win)),
  )
  const [carefulWhole, winWhole] = bestInTurn(
    TIMES,
    () => solved('careful'),
    () => solved('win'),
  )
  const about = `the demo under ${RULES}, ${careful.stateCount} and ${win.stateCount} situations`
  return [
    row('match, compiled and solved', `times careful: ${about}`, winWhole / carefulWhole, { most: 100 }),
    row('match, solved', `times careful: ${about}`, winMs / carefulMs),
  ]
}
