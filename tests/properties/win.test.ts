import { seeded } from '../../bench/generate'
import type { Chart } from '../../src/core/chart/chart'
import { checkReferences } from '../../src/core/chart/references'
import { compileGame } from '../../src/core/game/compileGame'
import { scenarioOf, type Scenario } from '../../src/core/game/scenario'
import { solve } from '../../src/core/solve/solve'
import { PlainGame } from '../reference/plainGame'
import { PlainWin } from '../reference/plainWin'
import { randomChart, randomScenario } from '../reference/randomChart'
import { taken } from '../reference/taken'

const FAMILIES = [
  ...['standing', 'clinch', 'headlock', 'guard', 'half-guard', 'side', 'knee-ride', 'mount', 'back', 'turtle', 'legs'],
]

/** A random chart whose positions are where something scores, under rules that score it. */
function match(seed: number): { chart: Chart; scenario: Scenario } {
  const random = seeded(seed * 31 + 7)
  const one = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]
  const chart = structuredClone(randomChart(seed, seed % 3 === 0))
  for (const position of chart.positions) {
    position.family = position.id === chart.positions[0].id ? 'standing' : one(FAMILIES)
    if (['guard', 'half-guard'].includes(position.family))
      position.orientation = { ...position.orientation, below: one(['ours', 'theirs'] as const) }
  }
  for (const move of chart.moves) {
    if (random() < 0.4) move.kind = 'takedown'
    // In half of them nothing finishes, so that points decide.
    if (seed % 2 && move.to === 'finish') move.to = one(chart.positions).id
  }
  const points = { takedown: 2, sweep: 2, pass: 3, kneeRide: 2, mount: 4, back: 4, exposure: one([0, 2]) }
  const heldFor = one([0, 0, 2, 3])
  const rules = { id: 'ours', name: 'Ours', forbids: [], points, ...(heldFor ? { heldFor } : {}) }
  chart.settings = { ...chart.settings, ruleSets: [rules] }
  const part = { ...randomScenario(chart, seed, true), ...(random() < 0.6 ? { start: chart.positions[0].id } : {}) }
  const scenario = scenarioOf(chart, {
    ...{ ...part, goal: [], objective: 'win', rules: 'ours', stoodUp: null },
    ...{ seconds: 6 + Math.floor(random() * 18), score: one([-4, -2, 0, 0, 2]) },
    restart: random() < 0.3 ? one(chart.positions).id : null,
  })
  return { chart, scenario }
}

const seeds = Array.from({ length: 150 }, (_, i) => i + 1)
let scored = 0

test.each(seeds)('the chance to win chart %d is what the equations say, asked one by one', (seed) => {
  const { chart, scenario } = match(seed)
  expect(checkReferences(chart)).toEqual([])
  const solution = taken(solve(taken(compileGame(chart, scenario))))
  const value = solution.values[solution.game.start]
  const plain = new PlainGame(chart, { ...scenario, objective: 'finish', goal: [] })
  const [rules] = chart.settings!.ruleSets!
  const slow = new PlainWin(plain, rules, scenario.restart)
  expect(Math.abs(value - slow.startValue(scenario.seconds!, scenario.score))).toBeLessThan(1e-9)
  expect(value).toBeGreaterThanOrEqual(0)
  expect(value).toBeLessThanOrEqual(1 + 1e-12)
  const flat = new PlainWin(plain, {}, scenario.restart).startValue(scenario.seconds!, scenario.score)
  scored += Number(Math.abs(flat - value) > 1e-6)
})

test('points decided in many of them', () => {
  expect(scored).toBeGreaterThan(20)
})
