import type { Chart } from '../../src/core/chart/chart'
import type { Move } from '../../src/core/chart/move'
import type { MoveId } from '../../src/core/chart/ids'
import { probeOf, type ProbeFactors } from '../../src/core/chart/probe'
import { isOwn, reactionsMet, type Goes, type Tries } from '../../src/core/chart/tries'
import { compileGame } from '../../src/core/game/compileGame'
import { scenarioOf, type Scenario } from '../../src/core/game/scenario'
import { startWorth } from '../../src/core/questions/solved'
import { figuresOf } from '../../src/core/insight/figures'
import { demoPlan } from '../fixtures/demoPlan'
import { PlainGame } from '../reference/plainGame'
import { solvePlain } from '../reference/plainSolve'
import { randomChart, randomScenario } from '../reference/randomChart'
import { taken } from '../reference/taken'

const FACTORS: ProbeFactors = { lands: 0.3, stalls: 1.5, reactions: 1.2 }

function shown({ lands = 0, stalls = 0, elsewhere, reactions }: Tries, by: ProbeFactors): Tries {
  const times = (map: Record<string, number> = {}, factor: number) =>
    Object.fromEntries(Object.entries(map).map(([id, n]) => [id, n * factor]))
  return {
    ...{ lands: lands * by.lands, stalls: stalls * by.stalls },
    ...{ elsewhere: times(elsewhere, by.lands), reactions: times(reactions, by.reactions) },
  }
}

/** Where nothing comes of it, it stays where it is, and nothing slips. */
function staying(move: Move): Move {
  const copy = { ...move, slips: 0 }
  delete copy.stallsIn
  return copy
}

const shownTries = ({ tries, race }: Goes, by: ProbeFactors) => ({
  ...(tries ? { tries: shown(tries, by) } : {}),
  ...(race ? { race: { ...race, tries: race.tries * by.reactions } } : {}),
})

/** The chart with each move that meets something written down once more, as it goes when it is only shown. */
function writtenOut(chart: Chart, usual: ProbeFactors): Chart {
  const name = (id: string) => `${id}-shown` as MoveId
  const met = (move: Move) =>
    [move, ...chart.answers.filter((answer) => answer.move === move.id)].some((one) => reactionsMet(one).length)
  const shownBy = (move: Move) => (met(move) ? probeOf(move.probe, usual) : null)
  const moves = chart.moves.flatMap((move) => {
    const by = shownBy(move)
    return by ? [{ ...staying(move), id: name(move.id), ...shownTries(move, by) }] : []
  })
  const answers = chart.answers.flatMap((answer) => {
    const { reaction, move } = answer
    const by = shownBy(chart.moves.find(({ id }) => id === move)!)
    return by ? [{ reaction, move: name(move), ...shownTries(answer, by) }] : []
  })
  return { ...chart, moves: [...chart.moves, ...moves], answers: [...chart.answers, ...answers] }
}

describe('moves that may be only shown', () => {
  it.each([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16])(
    'are worth what the second implementation makes of them once written down as moves of their own, chart %i',
    (seed) => {
      const chart = randomChart(seed, seed % 2 === 0)
      if (seed % 3 === 0) chart.moves[0].probe = { lands: 0.8, reactions: 2 }
      if (seed % 5 === 0) chart.moves[1].probe = { never: true }
      const scenario = scenarioOf(chart, { ...randomScenario(chart, seed, true), probe: FACTORS })
      const plain = new PlainGame(writtenOut(chart, FACTORS), { ...scenario, probe: null })
      solvePlain(plain, scenario.seconds!)
      expect(startWorth(chart, scenario)).toBeCloseTo(plain.start.values[scenario.seconds!], 9)
    },
  )

  it.each([3, 4, 7, 11, 19, 23])('is chosen as enumerating every choice finds it best, chart %i', (seed) => {
    const chart = randomChart(seed, false)
    // Where nothing is tried again worse and there is no clock, a place has one best choice: each way to try each move.
    const plainScenario: Scenario = scenarioOf(chart, {
      ...randomScenario(chart, seed, false),
      repeat: 1,
      sharpness: 0,
    })
    const tries = chart.moves.length + chart.answers.length
    const worths = Array.from(
      { length: 2 ** tries },
      (_, picked) => startWorth(asPicked(chart, picked), plainScenario) ?? NaN,
    )
    const found = startWorth(chart, { ...plainScenario, probe: FACTORS })!
    expect(found).toBeCloseTo(Math.max(...worths), 6)
    expect(found).toBeGreaterThanOrEqual(worths[0] - 1e-7)
  })

  it('are counted once for all groups of a position in which they are the same', () => {
    const chart = demoPlan()
    const game = taken(compileGame(chart, scenarioOf(chart, { probe: FACTORS })))
    const { actionLike, outcomes, outcomeState, outcomeChance, meaning } = game
    const row = (column: Int32Array | Float64Array, a: number) => [...column.slice(outcomes[a], outcomes[a + 1])]
    const again = [...actionLike.keys()].filter((a) => actionLike[a] !== a)
    expect(again.length).toBeGreaterThan(100)
    for (const a of again) {
      const first = actionLike[a]
      expect(row(outcomeState, a)).toEqual(row(outcomeState, first))
      expect(row(outcomeChance, a)).toEqual(row(outcomeChance, first))
      for (const column of [game.actionSeconds, game.actionToll, game.actionAlive, game.actionMass, meaning.actionMove])
        expect(column[a]).toBe(column[first])
    }
  })

  it('change nothing where the scenario does not try them, and never make the demo plan worse', () => {
    const chart = demoPlan()
    const plain = taken(figuresOf(chart, scenarioOf(chart))).figures
    const tried = taken(figuresOf(chart, scenarioOf(chart, { probe: FACTORS }))).figures
    expect(Object.values(plain.moves).some(({ isShown }) => isShown)).toBe(false)
    expect(tried.value).toBeGreaterThanOrEqual(plain.value)
    for (const { id } of chart.moves) expect(tried.moves[id]).toBeDefined()
    const best = Object.values(tried.positions).filter(({ isShown }) => isShown)
    for (const { best: move, value } of best)
      expect(tried.moves[move as MoveId]).toMatchObject({ isShown: true, value: expect.closeTo(value, 12) })
    expect(tried.looseEnds.map(({ reaction }) => reaction)).toEqual(plain.looseEnds.map(({ reaction }) => reaction))
  })
})

/** The chart with some moves, tried cold, and some answers only shown, the others in full: a bit each in `picked`. */
function asPicked(chart: Chart, picked: number): Chart {
  const isShown = (i: number) => (picked & (2 ** i)) !== 0
  const moves = chart.moves.map((move, i) => {
    if (!isShown(i)) return move
    return { ...staying(move), ...shownTries(move, FACTORS) }
  })
  const answers = chart.answers.map((answer, i) => {
    const { tries, race } = isOwn(answer) ? answer : chart.moves.find(({ id }) => id === answer.move)!
    if (!isShown(chart.moves.length + i)) return { ...answer, ...(tries ? { tries } : {}), ...(race ? { race } : {}) }
    return { reaction: answer.reaction, move: answer.move, ...shownTries({ ...answer, tries, race }, FACTORS) }
  })
  return { ...chart, moves, answers }
}
