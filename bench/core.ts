import type { Chart } from '../src/core/chart/chart'
import { compileGame } from '../src/core/game/compileGame'
import { Compiler } from '../src/core/game/compiler'
import { TERMINALS, type Game } from '../src/core/game/game'
import { scenarioOf, type Scenario } from '../src/core/game/scenario'
import { solveClocked } from '../src/core/solve/clocked'
import { solve } from '../src/core/solve/solve'
import { PlainGame } from '../tests/reference/plainGame'
import { solvePlain } from '../tests/reference/plainSolve'
import { taken } from '../tests/reference/taken'
import { generateChart } from './generate'
import { solveByLinearProgramme } from './linearProgramme'
import { best, bestInTurn, row, timed, type Row } from './measure'

const SIZE = { positions: 2000, moves: 10_000, reactions: 4000, seed: 11 }
const SECONDS = 300
const PLAIN_SECONDS = 20

const LENGTH = 1 << 15
const left = Float64Array.from({ length: LENGTH }, (_, i) => 1 / (i + 1))
const right = Float64Array.from({ length: LENGTH }, (_, i) => i % 7)

function dot(a: Float64Array, b: Float64Array, count: number): number {
  let sum = 0
  for (let i = 0; i < count; i++) sum += a[i] * b[i]
  return sum
}

/** A bare multiply-add over `count` pairs, a stretch at a time so that it stays in the cache as ours may. */
function multiplyAdd(count: number): number {
  let sum = 0
  for (let done = 0; done < count; done += LENGTH) sum += dot(left, right, Math.min(LENGTH, count - done))
  return sum
}

const compiled = (scenario: Partial<Scenario>, size: typeof SIZE & { holds?: number; seen?: number } = SIZE): Game => {
  const chart = generateChart(size)
  return taken(compileGame(chart, scenarioOf(chart, scenario)))
}

/**
 * Outcomes that the states' equations name in one second. The states of a group share their actions, so the solver
 * reads each outcome once for all of them: this is the work that there is, `outcomeState` the work that is left.
 */
function outcomesOfEquations({ groupCount, groupStates, groupActions, outcomes }: Game): number {
  let count = 0
  for (let g = 0; g < groupCount; g++) {
    const ofGroup = outcomes[groupActions[g + 1]] - outcomes[groupActions[g]]
    count += (groupStates[g + 1] - groupStates[g]) * ofGroup
  }
  return count
}

/** One more landing in the first move of a chart. */
const withOtherTries = (chart: Chart): Chart => ({
  ...chart,
  moves: chart.moves.map((move, i) =>
    i ? move : { ...move, tries: { ...move.tries, lands: 1 + (move.tries!.lands ?? 0) } },
  ),
})

/** The clocked solve against a bare loop over as many outcomes and against the plain second implementation. */
export function benchClocked(): Row[] {
  return [0, 0.5].flatMap((sharpness) => {
    const chart = generateChart(SIZE)
    const scenario = scenarioOf(chart, { seconds: SECONDS, sharpness })
    const [game] = timed(() => taken(compileGame(chart, scenario)))
    const visited = outcomesOfEquations(game) * SECONDS
    const read = game.outcomeState.length * SECONDS
    const compiler = new Compiler()
    taken(compiler.compile(chart, scenario))
    const edited = withOtherTries(chart)
    const [compileMs, refillMs, ours, bare, bareRead] = bestInTurn(
      8,
      () => taken(compileGame(chart, scenario)),
      () => taken(compiler.compile(edited, scenario)),
      () => solveClocked(game, SECONDS),
      () => multiplyAdd(visited),
      () => multiplyAdd(read),
    )
    const small = { ...scenario, seconds: PLAIN_SECONDS }
    const plain = new PlainGame(chart, small)
    chart.positions.forEach(({ id }) => plain.own(id))
    plain.exhaust()
    const [, plainMs] = timed(() => solvePlain(plain, PLAIN_SECONDS))
    const [, shortMs] = timed(() => solveClocked(game, PLAIN_SECONDS))
    const name = `clock ${SECONDS} s, sharpness ${sharpness}`
    return [
      row(name, 'states', game.stateCount),
      row(name, "outcomes in the states' equations", visited / SECONDS),
      row(name, 'outcomes read, once for all states of a group', read / SECONDS),
      row(name, 'compile, ms', compileMs),
      row(name, 'compile, in solves', compileMs / ours, { most: 1 }),
      row(name, 'after an edit of tries, in solves', refillMs / ours, { most: 1 }),
      row(name, 'solve, ms', ours),
      row(name, 'ns an outcome of the equations', (ours * 1e6) / visited),
      row(name, 'ratio to a bare multiply-add over as many', ours / bare, sharpness === 0 ? { most: 5 } : undefined),
      row(name, 'the same, by outcomes read', ours / bareRead),
      row(name, `times faster than the plain one (${PLAIN_SECONDS} s)`, plainMs / shortMs, { least: 20 }),
    ]
  })
}

/** Peak memory of the clocked solve's table, in bytes a state, with only the rows needed and with all of them. */
export function benchMemory(): Row[] {
  const game = compiled({ seconds: SECONDS })
  const megabytes = (solution: { evaluator: { table: { values: Float64Array } } }) =>
    solution.evaluator.table.values.byteLength / 1e6
  return [
    row('memory', 'table with the rows needed, MB', megabytes(solveClocked(game, SECONDS))),
    row('memory', 'table with every second, MB', megabytes(solveClocked(game, SECONDS, true))),
    row('memory', 'most the process held, MB', process.resourceUsage().maxRSS / 1e3),
  ]
}

/** Value iteration against the same equations as a linear programme. */
export async function benchUnclocked(): Promise<Row[]> {
  const rows: Row[] = []
  for (const positions of [100, 300]) {
    const size = { positions, moves: positions * 4, reactions: positions * 2, seed: 5 }
    const game = compiled({ seconds: null }, size)
    const [solution] = timed(() => taken(solve(game)))
    const ours = best(5, () => taken(solve(game)))
    const { ms, value } = await solveByLinearProgramme(game)
    const name = `no clock, ${game.stateCount - TERMINALS} states`
    rows.push(
      row(name, 'solve, ms', ours),
      row(name, 'times faster than a linear programme', ms / ours, { least: 20 }),
      row(name, 'apart from its value', Math.abs(value - solution.values[game.start]), { most: 1e-6 }),
    )
  }
  return rows
}

/** What cues cost: states and seconds, against the same chart in which nothing is seen. */
export function benchSeen(): Row[] {
  return [0, 0.5].flatMap((sharpness) => {
    const scenario = { seconds: SECONDS, sharpness }
    const [plain, seeing] = [compiled(scenario), compiled(scenario, { ...SIZE, seen: 0.4 })]
    const visited = (game: Game) => (outcomesOfEquations(game) + game.sightState.length) * SECONDS
    const [without, ours, bare] = bestInTurn(
      5,
      () => solveClocked(plain, SECONDS),
      () => solveClocked(seeing, SECONDS),
      () => multiplyAdd(visited(seeing)),
    )
    const name = `cues in four of ten positions, sharpness ${sharpness}`
    return [
      row(name, 'states, per state without', seeing.reachedCount / plain.reachedCount, { most: 3 }),
      row(name, 'solve, ms', ours),
      row(name, 'solve, in solves without', ours / without),
      row(name, 'ns an outcome, in those without', ours / visited(seeing) / (without / visited(plain)), { most: 2 }),
      row(name, 'ratio to a bare multiply-add over as many', ours / bare, sharpness === 0 ? { most: 5 } : undefined),
    ]
  })
}

/** What holds cost: states with and without them on the same chart. */
export function benchHolds(): Row[] {
  const chart = generateChart({ ...SIZE, positions: 300, moves: 1200, reactions: 600, holds: 0.7 })
  const states = (holds: boolean) => taken(compileGame(chart, scenarioOf(chart, { holds }))).stateCount
  return [row('holds', 'states with holds, per state without', states(true) / states(false))]
}
