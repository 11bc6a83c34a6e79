import { seeded } from '../../../bench/generate'
import { compileGame } from '../../../src/core/game/compileGame'
import { NONE, TERMINALS } from '../../../src/core/game/game'
import { scenarioOf } from '../../../src/core/game/scenario'
import { CompiledPlay, POLICIES, type Policy } from '../../../src/core/simulate/compiledPlay'
import { playOut } from '../../../src/core/simulate/playOut'
import { occupancyOf } from '../../../src/core/solve/occupancy'
import { solve } from '../../../src/core/solve/solve'
import { demoPlan } from '../../fixtures/demoPlan'
import { randomChart, randomScenario } from '../../reference/randomChart'
import { taken } from '../../reference/taken'

/** The demo for seed 1, else a random chart. */
function solutionOf(seed: number, sharpness: number) {
  const chart = seed === 1 ? demoPlan() : randomChart(seed, seed % 2 === 0)
  const other = seed === 1 ? {} : randomScenario(chart, seed, true)
  return taken(solve(taken(compileGame(chart, scenarioOf(chart, { ...other, sharpness }))), { everySecond: true }))
}

const RUNS = Array.from({ length: 51 }, (_, i) => i + 1).flatMap((seed) =>
  [0, 0.5].map((sharpness) => ({ seed, sharpness })),
)
const EXCHANGES = Math.ceil(1_000_000 / RUNS.length)

it('a million exchanges come to what the demo and fifty charts are worth', () => {
  const runs = RUNS.map(({ seed, sharpness }) => {
    const solution = solutionOf(seed, sharpness)
    const value = solution.values[solution.game.start]!
    const { worth, error } = new CompiledPlay(solution).play(EXCHANGES, seeded(seed))
    return { seed, sharpness, worth, value, error }
  })
  // Where an exchange cannot but end in one way, it must be worth just that.
  const [sure, open] = [runs.filter(({ error }) => error < 1e-9), runs.filter(({ error }) => error >= 1e-9)]
  for (const { worth, value } of sure) expect(worth).toBeCloseTo(value, 9)
  expect(open.length).toBeGreaterThan(70)
  const z = open.map(({ worth, value, error }) => (worth - value) / error)
  expect(z.filter((one) => Math.abs(one) > 4.5)).toEqual([])
  expect(z.filter((one) => Math.abs(one) > 3).length).toBeLessThanOrEqual(2)
  const square = z.reduce((sum, one) => sum + one * one, 0) / z.length
  expect(square).toBeGreaterThan(0.6)
  expect(square).toBeLessThan(1.4)
})

describe('an exchange that is made ready to be played often', () => {
  it.each([1, 4, 9, 16, 25])('ends on chart %i as often in each way as occupancy says', (seed) => {
    const solution = solutionOf(seed, 0.5)
    const { finish, caught } = occupancyOf(solution)
    const { ended, games } = new CompiledPlay(solution).play(50_000, seeded(seed))
    const close = (share: number, p: number) =>
      expect(Math.abs(share - p)).toBeLessThan(4.5 * Math.sqrt((p * (1 - p)) / games) + 1e-9)
    close(ended[0]! + ended[2]!, finish)
    close(ended[1]!, caught)
    expect(ended.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 12)
  })

  it.each([2, 3])('goes on chart %i as the plain one, which plays second by second', (seed) => {
    const solution = solutionOf(seed, 0.5)
    const random = seeded(seed)
    const N = 20_000
    const plain = Array.from({ length: TERMINALS + 1 }, () => 0)
    for (let i = 0; i < N; i++) {
      const { terminal } = playOut(solution, random, {})
      plain[terminal === NONE ? TERMINALS : terminal]! += 1 / N
    }
    const { ended } = new CompiledPlay(solution).play(N, seeded(seed + 100))
    ended.forEach((share, i) => {
      const p = (share + plain[i]!) / 2
      expect(Math.abs(share - plain[i]!)).toBeLessThan(4.5 * Math.sqrt((2 * p * (1 - p)) / N) + 1e-9)
    })
  })

  it('is the same again with the same seed, and worth less when choices are left to chance', () => {
    const solution = solutionOf(1, 0.2)
    const worth = (policy: Policy, seed: number) => new CompiledPlay(solution, policy).play(20_000, seeded(seed)).worth
    expect(worth('best', 7)).toBe(worth('best', 7))
    expect(worth('best', 7)).not.toBe(worth('best', 8))
    const [best, random] = POLICIES.map((policy) => worth(policy, 7))
    expect(random!).toBeLessThan(best! - 0.1)
  })
})
