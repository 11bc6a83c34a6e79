import { seeded } from '../../bench/generate'
import type { Chart } from '../../src/core/chart/chart'
import { compileGame } from '../../src/core/game/compileGame'
import { Refill } from '../../src/core/game/refill'
import { scenarioOf } from '../../src/core/game/scenario'
import { looseEndsOf, withoutLooseEnd } from '../../src/core/insight/looseEnds'
import { VariantSolver } from '../../src/core/insight/variantSolver'
import { withDrilled } from '../../src/core/questions/gains'
import { shifted, type TriesPart } from '../../src/core/questions/shifted'
import { withTries, type DrillTarget } from '../../src/core/questions/target'
import { startWorth } from '../../src/core/questions/solved'
import { randomChart, randomScenario } from '../reference/randomChart'
import { taken } from '../reference/taken'

function targetsOf(chart: Chart): DrillTarget[] {
  return [
    ...chart.moves.map(({ id }): DrillTarget => ({ of: 'move', move: id })),
    ...chart.answers.flatMap(({ tries }, answer): DrillTarget[] => (tries ? [{ of: 'answer', answer }] : [])),
  ]
}

const withShifted = (chart: Chart, target: DrillTarget, part: TriesPart, by: number) =>
  withTries(chart, target, (tries) => shifted(tries, part, by))

/** Charts that differ from one in a few numbers, and some that differ in more. */
function others(chart: Chart, index: Parameters<typeof looseEndsOf>[0], random: () => number): Chart[] {
  const targets = targetsOf(chart)
  const reaction = () => chart.reactions[Math.floor(random() * chart.reactions.length)]?.id as string
  return [
    ...targets.map((target) => withDrilled(chart, target)),
    ...targets.map((target) => withShifted(chart, target, { of: 'lands' }, random() < 0.5 ? -0.1 : -1)),
    ...targets.map((target) => withShifted(chart, target, { of: 'stalls' }, 2 * random() - 1)),
    ...targets.map((target) => withShifted(chart, target, { of: 'reaction', reaction: reaction() }, 2 * random() - 1)),
    ...targets.map((target) =>
      withTries(chart, target, ({ lands, stalls }) => ({ ...(lands ? { lands } : {}), stalls: (stalls ?? 0) + 1 })),
    ),
    ...looseEndsOf(index).map((end) => withoutLooseEnd(chart, end)),
    { ...chart, moves: chart.moves.slice(1), answers: chart.answers.filter(({ move }) => move !== chart.moves[0].id) },
    { ...chart, positions: chart.positions.map((one) => ({ ...one, breakUp: 7 })) },
    { ...chart, moves: chart.moves.map((one) => ({ ...one, seconds: (one.seconds ?? 3) + 1 })) },
  ]
}

describe('charts near one that has been compiled', () => {
  const filled = { often: 0, never: 0 }

  it.each(Array.from({ length: 30 }, (_, seed) => seed + 1))(
    'are worth what compiling them gives, chart %i',
    (seed) => {
      const chart = randomChart(seed, seed % 3 !== 0)
      // A bait that never lands, in some: without what they do, it could not be tried at all.
      if (seed % 2) chart.moves[0].tries = { stalls: 3, reactions: { [chart.reactions[0].id]: 4 } }
      const probe = seed % 4 ? null : { lands: 0.4, stalls: 1.5, reactions: 1.2 }
      const usual = scenarioOf(chart, { ...randomScenario(chart, seed, true), probe })
      const scenario = seed % 5 ? usual : { ...usual, repeat: 0 }
      const game = taken(compileGame(chart, scenario))
      const near = new VariantSolver(chart, game)
      const refill = new Refill(game, chart)
      for (const other of others(chart, game.meaning.index, seeded(seed))) {
        filled[refill.countsLike(other) ? 'often' : 'never']++
        const [quick, plain] = [near.startWorth(other), startWorth(other, scenario)]
        if (plain === null) expect(quick).toBeNull()
        else expect(quick).toBeCloseTo(plain, 11)
      }
    },
  )

  it('are filled anew where they differ in tries only, and else compiled', () => {
    expect(filled.often).toBeGreaterThan(200)
    expect(filled.never).toBeGreaterThan(90)
  })
})
