import { seeded } from '../../bench/generate'
import { compileGame } from '../../src/core/game/compileGame'
import { NONE, TERMINAL, TERMINALS, type Game } from '../../src/core/game/game'
import { scenarioOf } from '../../src/core/game/scenario'
import { follow, Ways } from '../../src/core/solve/follow'
import { occupancyOf } from '../../src/core/solve/occupancy'
import type { Solution } from '../../src/core/solve/solution'
import { solve } from '../../src/core/solve/solve'
import { randomChart, randomScenario } from '../reference/randomChart'
import { taken } from '../reference/taken'

const EXCHANGES = 6000

/** Plays exchanges one by one, second by second, with dice; counts how they end and what they are worth. */
class Exchanges {
  readonly tried: Float64Array
  finished = 0
  caught = 0
  worth = 0
  private readonly ways = new Ways()

  constructor(
    private readonly solution: Solution,
    private readonly random: () => number,
  ) {
    this.tried = new Float64Array(solution.game.actionSeconds.length)
    for (let i = 0; i < EXCHANGES; i++) this.play()
  }

  private play(): void {
    const { game, evaluator } = this.solution
    let state = game.start
    let waited = false
    for (let t = this.solution.seconds!; ;) {
      if (state < TERMINALS) return this.end(state)
      const action = t > 0 ? evaluator.bestAction(t, state) : NONE
      const group = game.stateGroup[state]
      if (action === NONE) return void (this.worth += game.groupWorth[group])
      const waits = evaluator.isWaiting(action, state)
      if (!(waits && waited)) this.tried[action]++
      for (let s = 0; s < game.actionSeconds[action]; s++) {
        if (this.random() < game.groupBreak[group]) return void (this.worth += game.groupWorth[group])
        if (this.random() < game.groupThreat[group]) return this.end(TERMINAL.caught)
      }
      follow(evaluator, action, t, state, this.ways)
      t -= game.actionSeconds[action]
      const way = this.pick()
      waited = waits && this.ways.outcome[way] === NONE
      state = this.ways.state[way]
    }
  }

  private pick(): number {
    let left = this.random()
    for (let i = 0; i < this.ways.count - 1; i++) if ((left -= this.ways.chance[i]) < 0) return i
    return this.ways.count - 1
  }

  private end(terminal: number): void {
    if (terminal === TERMINAL.caught) this.caught++
    else this.finished++
    this.worth += terminal === TERMINAL.caught ? (this.solution.game.scenario.objective === 'careful' ? -1 : 0) : 1
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
