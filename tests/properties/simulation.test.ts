import { seeded } from '../../bench/generate'
import { compileGame } from '../../src/core/game/compileGame'
import { NONE, TERMINAL, TERMINALS, type Game } from '../../src/core/game/game'
import { scenarioOf } from '../../src/core/game/scenario'
import { occupancyOf } from '../../src/core/solve/occupancy'
import type { Solution } from '../../src/core/solve/solution'
import { solve } from '../../src/core/solve/solve'
import { playOut } from '../../src/core/simulate/playOut'
import { randomChart, randomScenario } from '../reference/randomChart'
import { taken } from '../reference/taken'

const EXCHANGES = 6000

/** Plays exchanges one by one, second by second, with dice; counts how they end and what they are worth. */
class Exchanges {
  readonly tried: Float64Array
  finished = 0
  caught = 0
  worth = 0

  constructor(solution: Solution, random: () => number) {
    this.tried = new Float64Array(solution.game.actionSeconds.length)
    for (let i = 0; i < EXCHANGES; i++) {
      const { terminal, worth } = playOut(solution, random, {
        tried: (action, again) => void (this.tried[action] += again ? 0 : 1),
      })
      this.worth += worth
      if (terminal === TERMINAL.caught) this.caught++
      else if (terminal !== NONE && terminal !== TERMINAL.over) this.finished++
    }
  }
}

/** Five standard errors of a mean of that many draws within a range of two. */
const WITHIN = (5 * 1) / Math.sqrt(EXCHANGES)

describe('exchanges played with dice', () => {
  it.each([3, 8, 15, 21, 34, 55])('come out on chart %i as the values and the occupancy say', (seed) => {
    const chart = randomChart(seed, seed % 2 === 0)
    const scenario = scenarioOf(chart, randomScenario(chart, seed, true))
    const game: Game = taken(compileGame(chart, scenario))
    const solution = taken(solve(game, { everySecond: true }))
    const occupancy = occupancyOf(solution)
    const played = new Exchanges(solution, seeded(seed + 1000))
    expect(Math.abs(played.worth / EXCHANGES - solution.values[game.start])).toBeLessThan(WITHIN)
    expect(Math.abs(played.finished / EXCHANGES - occupancy.finish)).toBeLessThan(WITHIN)
    expect(Math.abs(played.caught / EXCHANGES - occupancy.caught)).toBeLessThan(WITHIN)
    played.tried.forEach((times, action) => {
      const expected = occupancy.actions[action]
      expect(Math.abs(times / EXCHANGES - expected)).toBeLessThan(WITHIN * Math.max(1, 2 * Math.sqrt(expected)))
    })
  })
})

describe('the policy that is recorded', () => {
  it.each(Array.from({ length: 30 }, (_, i) => i + 1))(
    'on chart %i is the best action wherever an exchange comes',
    (seed) => {
      const chart = randomChart(seed, seed % 2 === 0)
      const scenario = scenarioOf(chart, randomScenario(chart, seed, true))
      const game = taken(compileGame(chart, scenario))
      const solution = taken(solve(game, { everySecond: true }))
      const short = taken(solve(game))
      expect(Array.from(short.values)).toEqual(Array.from(solution.values))
      for (let t = 1; t <= solution.seconds!; t++) {
        for (let state = TERMINALS; state < game.stateCount; state++) {
          if (!game.reached[state]) continue
          const recorded = solution.policy![t * game.stateCount + state]
          const best = solution.evaluator.bestAction(t, state)
          if (recorded === best) continue
          const worth = (action: number) => solution.evaluator.actionInState(action, t, state)
          expect(Math.abs(worth(recorded) - worth(best))).toBeLessThan(3e-12)
        }
      }
    },
  )
})
