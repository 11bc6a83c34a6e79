import { readFileSync } from 'node:fs'
import { parseChart } from '../../../src/core/files/chartFile'
import { compileGame } from '../../../src/core/game/compileGame'
import { actionName } from '../../../src/core/game/describe'
import { NONE, TERMINALS } from '../../../src/core/game/game'
import { scenarioOf, type Scenario } from '../../../src/core/game/scenario'
import { seenFigures } from '../../../src/core/insight/seen'
import { netsOf } from '../../../src/core/insight/nets'
import { occupancyOf } from '../../../src/core/solve/occupancy'
import { solve } from '../../../src/core/solve/solve'
import { fullClock, tieTolerance } from '../../../src/core/solve/solution'
import { taken } from '../../reference/taken'

/** What is seen on coming to a position: its worth then, what is best, and the share as dealt. */
interface Seen {
  value: number
  best: string | null
  share: number
}

/** Values worked out by a separate program; `null` seconds is no clock, `null` break-up never. */
interface Run extends Omit<Scenario, 'ends' | 'holds'> {
  chart: string
  value: number
  best: string | null
  finish?: number
  caught?: number
  ahead?: number
  even?: number
  behind?: number
  positions?: Record<string, { value: number; best: string | null; seen?: Record<string, Seen> }>
  nets?: { move: string; reaction: string; value: number; net: number; best: string }[]
}

const folder = new URL('../../fixtures/cases/', import.meta.url)
const read = (name: string) => readFileSync(new URL(name, folder), 'utf8')
const runs: Run[] = ['expected.json', 'expected-fourth.json'].flatMap((name) => JSON.parse(read(name)) as Run[])

const title = (run: Run, i: number) =>
  `${i} ${run.chart} ${run.start} ${run.seconds ?? 'no clock'} sharpness ${run.sharpness} ${run.objective}`

test.each(runs.map((run, i) => [title(run, i), run] as const))('%s', (_, run) => {
  const { chart: file, start, goal, seconds, sharpness, objective, breakUp, repeat, slips = 0 } = run
  const chart = taken(parseChart(read(file)))
  const scenario = scenarioOf(chart, { start, goal, seconds, sharpness, objective, breakUp, repeat, slips })
  const game = taken(compileGame(chart, scenario, { roots: 'start' }))
  const solution = taken(solve(game, { everySecond: true }))
  const digits = seconds === null ? 1e-7 : 1e-9
  const near = (got: number, wanted: number) => expect(Math.abs(got - wanted)).toBeLessThanOrEqual(digits)
  const best = (state: number) => {
    if (state < TERMINALS) return null
    const action = solution.evaluator.bestAction(fullClock(solution), state, tieTolerance(solution))
    return action === NONE ? null : actionName(game, action)
  }

  near(solution.values[game.start], run.value)
  expect(best(game.start)).toBe(run.best)
  if (run.finish !== undefined) {
    const occupancy = occupancyOf(solution)
    near(occupancy.finish, run.finish)
    near(occupancy.caught, run.caught!)
    ;[run.ahead, run.even, run.behind].forEach((wanted, i) => near(occupancy.ended[i], wanted ?? occupancy.ended[i]))
  }
  Object.entries(run.positions ?? {}).forEach(([id, wanted]) => {
    const state = game.meaning.ownState[game.meaning.index.positionOf.get(id)!]
    near(solution.values[state], wanted.value)
    expect([id, best(state)]).toEqual([id, wanted.best])
    const seen = state < game.arrivalsFrom ? [] : seenFigures(solution, state)
    expect(seen.map(({ cue }) => cue as string).sort()).toEqual(Object.keys(wanted.seen ?? {}).sort())
    for (const { cue, ...got } of seen) {
      const { value, best, share } = wanted.seen![cue]
      near(got.value, value)
      expect([id, cue, got.best]).toEqual([id, cue, best])
      if (seconds !== null) near(got.share, share)
    }
  })
  if (run.nets) {
    const nets = netsOf(solution)
    expect(nets.map(({ move, reaction }) => `${move} ${reaction}`).sort()).toEqual(
      run.nets.map(({ move, reaction }) => `${move} ${reaction}`).sort(),
    )
    for (const wanted of run.nets) {
      const got = nets.find(({ move, reaction }) => move === wanted.move && reaction === wanted.reaction)!
      near(got.value, wanted.value)
      near(got.net, wanted.net)
      expect(got.best).toBe(wanted.best)
    }
  }
})
