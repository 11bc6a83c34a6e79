import { explain, type Question } from '../../src/core/insight/explain'
import { figuresOf } from '../../src/core/insight/figures'
import { scenarioOf } from '../../src/core/game/scenario'
import { randomChart, randomScenario } from '../reference/randomChart'
import { taken } from '../reference/taken'

describe('every figure opens to terms that sum to it', () => {
  it.each(Array.from({ length: 60 }, (_, i) => i + 1))('chart %i', (seed) => {
    const chart = randomChart(seed, seed % 2 === 0)
    const scenario = scenarioOf(chart, randomScenario(chart, seed, seed % 3 > 0))
    const { figures, solution } = taken(figuresOf(chart, scenario))
    const digits = scenario.seconds === null ? 1e-7 : 1e-9
    const check = (question: Question, figure: number) => {
      const made = explain(solution, question)
      if (!made) return
      const sum = made.terms.reduce((total, { chance, value }) => total + chance * value, 0)
      expect(Math.abs(made.total - figure)).toBeLessThanOrEqual(digits)
      expect(Math.abs(sum - figure)).toBeLessThanOrEqual(digits)
    }
    const worths = Object.values(figures.worths).reduce((total, worth) => total + worth, 0)
    expect(Math.abs(worths - figures.value)).toBeLessThanOrEqual(digits)
    for (const { id } of chart.positions) check({ of: 'position', position: id }, figures.positions[id].value)
    for (const { id } of chart.moves) {
      const { value } = figures.moves[id]
      if (value !== null) check({ of: 'move', move: id }, value)
    }
    for (const { move, position, reaction, net, value, concede, answers } of figures.met) {
      const met = { move, position, reaction }
      check({ of: 'net', ...met }, net)
      check({ of: 'met', ...met }, value)
      check({ of: 'concede', ...met }, concede)
      for (const { answer, value: worth } of answers) check({ of: 'answer', ...met, answer }, worth)
    }
  })
})
