import { seeded } from '../../../bench/generate'
import { TERMINAL, TERMINALS, type Game } from '../../../src/core/game/game'
import { scenarioOf } from '../../../src/core/game/scenario'
import { figuresOf } from '../../../src/core/insight/figures'
import { scriptOf } from '../../../src/core/questions/script'
import { sayLoop } from '../../../src/core/say/script'
import { demoPlan } from '../../fixtures/demoPlan'
import { playOut } from '../../../src/core/simulate/playOut'
import { randomChart, randomScenario } from '../../reference/randomChart'
import { taken } from '../../reference/taken'

/** Id of the position that a state is in, or that what they do there ends in. */
function placeOf({ stateGroup, groupIsReaction, meaning }: Game, state: number): string | undefined {
  if (state < TERMINALS) return undefined
  const { record } =
    meaning.index[groupIsReaction[stateGroup[state]] ? 'reactions' : 'positions'][meaning.groupPlace[stateGroup[state]]]
  return 'endsIn' in record ? record.endsIn : record.id
}

const EXCHANGES = 4000

describe('loops of the plan', () => {
  let seen = 0

  it.each([7, 11, 12, 16, 18, 24, 30, 36, 41])('end on chart %i as exchanges played with dice do', (seed) => {
    const chart = randomChart(seed, false)
    const scenario = scenarioOf(chart, { ...randomScenario(chart, seed, true), seconds: 60 })
    const { solution } = taken(figuresOf(chart, scenario))
    const script = scriptOf(solution, { share: 0.99, steps: 40 })
    for (const { position, finish, again } of script?.loops ?? []) {
      const random = seeded(seed)
      let [came, finished, back] = [0, 0, 0]
      for (let i = 0; i < EXCHANGES; i++) {
        const visited = [solution.game.start]
        const { terminal } = playOut(solution, random, { arrived: (state) => void visited.push(state) })
        const there = visited.map((state) => placeOf(solution.game, state) === position)
        const entries = there.filter((isThere, n) => isThere && !there[n - 1]).length
        if (!entries) continue
        came++
        if (terminal === TERMINAL.finish || terminal === TERMINAL.goal) finished++
        if (entries > 1) back++
      }
      if (came < 200) continue
      seen++
      const within = (share: number) => 5 * Math.sqrt((share * (1 - share)) / came) + 0.002
      expect(Math.abs(finished / came - finish)).toBeLessThan(within(finish))
      expect(Math.abs(back / came - again)).toBeLessThan(within(again))
    }
  })

  it('were there to be played', () => expect(seen).toBeGreaterThan(2))

  it('in the demo plan are said', () => {
    const demo = demoPlan()
    const { solution } = taken(figuresOf(demo, scenarioOf(demo)))
    const told = scriptOf(solution, { share: 0.9, steps: 60 })!
    expect(told.loops.length).toBeGreaterThan(0)
    for (const loop of told.loops) {
      expect(sayLoop(demo, told, loop)).toMatch(
        /^You will cycle between “.+: of a hundred exchanges that come to “.+”, \d+ come round to it again, and \d+ end in a finish\.$/,
      )
    }
  })
})
