import { seeded } from '../../../bench/generate'
import { compileGame } from '../../../src/core/game/compileGame'
import { NONE, TERMINALS, type Game } from '../../../src/core/game/game'
import { scenarioOf } from '../../../src/core/game/scenario'
import { makeBatches } from '../../../src/core/solve/batches'
import { chancesOf } from '../../../src/core/solve/chances'
import { solveClocked } from '../../../src/core/solve/clocked'
import { randomChart, randomScenario } from '../../reference/randomChart'
import { taken } from '../../reference/taken'

const SEEDS = [1, 2, 3, 5, 8, 13, 21, 34]
const SHARPNESS = [0, 0.3, 0.9]

function gameOf(seed: number, sharpness: number): Game {
  const chart = randomChart(seed, seed % 2 === 0)
  const probe = seed % 3 ? null : { lands: 0.4, stalls: 1.5, reactions: 1.2 }
  const scenario = { ...randomScenario(chart, seed, true), sharpness, seconds: 60, probe }
  return taken(compileGame(chart, scenarioOf(chart, scenario)))
}

const cases = SEEDS.flatMap((seed) => SHARPNESS.map((sharpness) => [seed, sharpness] as const))

describe('batches', () => {
  it.each(cases)('hold each try once, alike side by side, chart %i, sharpness %d', (seed, sharpness) => {
    const game = gameOf(seed, sharpness)
    const made = makeBatches(game)
    const { actions, places, firsts, repeatState } = made
    const waits = [...game.groupActions.slice(0, game.groupCount)].filter((_, g) => !game.groupIsReaction[g])
    expect(waits.every((a) => places[a] === NONE)).toBe(true)
    expect(places.filter((place) => place === NONE)).toHaveLength(waits.length)
    places.forEach((place, a) => place !== NONE && expect(actions[place]).toBe(game.actionLike[a]))
    let next = 0
    for (let i = 0; i < made.batches.length; i += 8) {
      const [seconds, width, dealt, from, repeats, to, outcome, reaction] = made.batches.slice(i, i + 8)
      expect([from, outcome, reaction]).toEqual([next, firsts[2 * from], firsts[2 * from + 1]])
      for (next = from; next < to; next++) {
        const a = actions[next]
        expect([game.actionSeconds[a], game.outcomes[a + 1] - game.outcomes[a]]).toEqual([seconds, width + dealt])
        expect(dealt === 0 || sharpness > 0).toBe(true)
        expect(repeatState[next] > 0).toBe(next >= repeats)
      }
    }
    expect(next).toBe(actions.length)
  })

  it.each(cases)('leave no chance out, chart %i, sharpness %d', (seed, sharpness) => {
    const game = gameOf(seed, sharpness)
    const batches = makeBatches(game)
    const { outcomeChance, dealtMass } = chancesOf(game, batches)
    batches.actions.forEach((a, place) => {
      const [from, to] = [batches.firsts[2 * place], batches.firsts[2 * place + 2]]
      const plain = outcomeChance.slice(from, to).reduce((sum, chance) => sum + chance, 0)
      const deals = batches.firsts[2 * place + 1] < batches.firsts[2 * place + 3]
      expect(plain + (deals ? dealtMass[place] : 0)).toBeCloseTo(game.actionAlive[a], 12)
    })
  })
})

describe('what is seen', () => {
  it.each(cases)('is dealt worst for us first, each as much as may be, chart %i, sharpness %d', (seed, sharpness) => {
    const game = gameOf(seed, sharpness)
    const { evaluator } = solveClocked(game, 60, true)
    for (let state = game.arrivalsFrom; state < game.stateCount; state++) {
      const [from, to] = game.sights.slice(state - game.arrivalsFrom)
      for (const t of [1, 17, 60]) {
        const shares = [...evaluator.dealtSights(state, t).slice(0, to - from)]
        const values = [...game.sightState.slice(from, to)].map((seen) => evaluator.table.at(seen, t))
        expect(shares.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 12)
        expect(evaluator.table.at(state, t)).toBeCloseTo(
          shares.reduce((sum, share, i) => sum + share * values[i], 0),
          12,
        )
        shares.forEach((share, i) => {
          const most = game.sightShare[from + i] / (1 - sharpness)
          expect(share).toBeLessThanOrEqual(most + 1e-12)
          // What is worse for us is dealt out before anything better comes.
          if (share > 1e-12)
            shares.forEach(
              (other, j) =>
                values[j] < values[i] - 1e-12 &&
                expect(other).toBeCloseTo(game.sightShare[from + j] / (1 - sharpness), 12),
            )
        })
      }
    }
  })
})

describe('the steps of the equations', () => {
  it.each(cases)('give the best of what each action is worth alone, chart %i, sharpness %d', (seed, sharpness) => {
    const game = gameOf(seed, sharpness)
    const { evaluator, policy } = solveClocked(game, 60, true)
    const random = seeded(seed)
    for (let i = 0; i < 300; i++) {
      const t = 1 + Math.floor(random() * 60)
      const state = TERMINALS + Math.floor(random() * (game.arrivalsFrom - TERMINALS))
      const g = game.stateGroup[state]
      let best = -Infinity
      for (let a = game.groupActions[g]; a < game.groupActions[g + 1]; a++) {
        best = Math.max(best, evaluator.actionInState(a, t, state))
      }
      const value = best === -Infinity ? game.groupWorth[g] : best
      expect(evaluator.table.at(state, t)).toBeCloseTo(value, 12)
      const planned = policy![t * game.stateCount + state]
      if (planned !== NONE) expect(evaluator.actionInState(planned, t, state)).toBeCloseTo(value, 11)
      else expect(best === -Infinity || !game.reached[state]).toBe(true)
    }
  })
})
