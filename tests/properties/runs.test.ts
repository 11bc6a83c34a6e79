import { seeded } from '../../bench/generate'
import type { Run, RunStep } from '../../src/core/chart/run'
import { NONE, OUTCOME, TERMINAL, TERMINALS, type Game } from '../../src/core/game/game'
import { scenarioOf } from '../../src/core/game/scenario'
import { worthsAlong } from '../../src/core/insight/along'
import { figuresOf } from '../../src/core/insight/figures'
import { nextSteps } from '../../src/core/limbScore/nextSteps'
import { play } from '../../src/core/limbScore/play'
import { randomChart, randomScenario } from '../reference/randomChart'
import { taken } from '../reference/taken'

/** Where a run is in the game, and the steps that led there. */
interface Walk {
  steps: RunStep[]
  states: number[]
}

/** Goes at random from the start through a solved game, and writes down what was done as the steps of a run. */
function walk(game: Game, random: () => number, length: number): Walk {
  const steps: RunStep[] = []
  const states = [game.start]
  for (let state = game.start; steps.length < length && state >= TERMINALS; states.push(state)) {
    const g = game.stateGroup[state]
    const ways: { step: RunStep; to: number }[] = []
    for (let a = game.groupActions[g]; a < game.groupActions[g + 1]; a++) ways.push(...waysOf(game, a))
    if (!ways.length) break
    const { step, to } = ways[Math.floor(random() * ways.length)]
    steps.push(step)
    state = to
  }
  return { steps, states: states.slice(0, steps.length + 1) }
}

function waysOf(game: Game, a: number) {
  const { index, actionMove, outcomeKind, outcomeReaction, groupPlace } = game.meaning
  const move = actionMove[a] === NONE ? undefined : index.moves[actionMove[a]].record.id
  const ways: { step: RunStep; to: number }[] = []
  for (let o = game.outcomes[a]; o < game.outcomes[a + 1]; o++) {
    const to = game.outcomeState[o]
    const kind = outcomeKind[o]
    if (kind === OUTCOME.reaction)
      ways.push({ step: { ...(move ? { move } : {}), reaction: index.reactions[outcomeReaction[o]].record.id }, to })
    else if (!move) ways.push({ step: {}, to })
    else if (kind === OUTCOME.stalls) ways.push({ step: { move, stalls: true }, to })
    else if (kind === OUTCOME.lands) ways.push({ step: { move }, to })
    else if (to === TERMINAL.caught) ways.push({ step: { move, elsewhere: 'caught' }, to })
    else if (to === TERMINAL.over) ways.push({ step: { move, elsewhere: 'over' }, to })
    else if (to >= TERMINALS)
      ways.push({ step: { move, elsewhere: index.positions[groupPlace[game.stateGroup[to]]].record.id }, to })
  }
  return ways
}

/** An answer is known in a run by its move: charts that answer one reaction with one move twice are left out. */
const isPlain = (chart: ReturnType<typeof randomChart>) =>
  new Set(chart.answers.map(({ reaction, move }) => `${reaction} ${move}`)).size === chart.answers.length

describe('a run that is played through', () => {
  const seeds = Array.from({ length: 120 }, (_, i) => i + 1).filter((seed) => isPlain(randomChart(seed, true)))

  it('has charts to be tried on', () => expect(seeds.length).toBeGreaterThan(60))

  it.each(seeds)('has on what the game has on, is where it is, and is worth that: chart %i', (seed) => {
    const chart = randomChart(seed, true)
    const scenario = scenarioOf(chart, { ...randomScenario(chart, seed, true), goal: [] })
    const { solution } = taken(figuresOf(chart, scenario))
    const { game, values } = solution
    const random = seeded(seed)
    for (let n = 0; n < 8; n++) {
      const { steps, states } = walk(game, random, 6)
      const run: Run = { id: 'run', name: 'Run', start: scenario.start, steps }
      const { beats, broken } = play(chart, run)
      expect(broken).toBeNull()
      expect(worthsAlong(solution, run)).toEqual(states.map((state) => values[state]))
      states.forEach((state, i) => {
        if (state < TERMINALS) return expect(['finish', 'caught', 'over']).toContain(beats[i].place.kind)
        const g = game.stateGroup[state]
        const { index, groupPlace, groupHolds } = game.meaning
        const records = game.groupIsReaction[g] ? index.reactions : index.positions
        expect(beats[i].place).toMatchObject({ id: records[groupPlace[g]].record.id })
        // What can no longer matter is left out of the game's states.
        expect(beats[i].holds).toEqual(expect.arrayContaining(index.holds.idsOf(groupHolds[g])))
      })
    }
  })

  it.each(seeds.slice(0, 25))('goes on with every step that is offered: chart %i', (seed) => {
    const chart = randomChart(seed, true)
    const random = seeded(seed)
    const run: Run = { id: 'run', name: 'Run', start: chart.positions[0].id, steps: [] }
    for (let n = 0; n < 5; n++) {
      const offered = nextSteps(chart, play(chart, run).beats.at(-1), run)
      if (!offered.length) break
      for (const { step } of offered) expect(play(chart, { ...run, steps: [...run.steps, step] }).broken).toBeNull()
      run.steps.push(offered[Math.floor(random() * offered.length)].step)
    }
  })
})
