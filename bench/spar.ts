import type { Chart } from '../src/core/chart/chart'
import { compileGame } from '../src/core/game/compileGame'
import { scenarioOf } from '../src/core/game/scenario'
import { CompiledPlay } from '../src/core/simulate/compiledPlay'
import { playOut } from '../src/core/simulate/playOut'
import { solve } from '../src/core/solve/solve'
import { taken } from '../tests/reference/taken'
import { seeded } from './generate'
import { bestInTurn, row, type Row } from './measure'

const [TIMES, EXCHANGES] = [3, 500_000]

/** Exchanges of the demo a second, made ready and played, against those that are played second by second. */
export function benchSpar(chart: Chart): Row[] {
  const solution = taken(solve(taken(compileGame(chart, scenarioOf(chart))), { everySecond: true }))
  const [plainMs, compiledMs] = bestInTurn(
    TIMES,
    () => {
      const random = seeded(1)
      for (let i = 0; i < EXCHANGES; i++) playOut(solution, random, {})
    },
    () => void new CompiledPlay(solution).play(EXCHANGES, seeded(1)),
  )
  const about = `${EXCHANGES} exchanges of the demo, making ready counted`
  return [
    row('exchanges, made ready', `times as fast as one by one: ${about}`, plainMs / compiledMs, { least: 20 }),
    row('exchanges, made ready', `thousands a second: ${about}`, EXCHANGES / compiledMs, { least: 100 }),
  ]
}
