import type { Chart } from '../../src/core/chart/chart'
import { talliedOf, wilson } from '../../src/core/insight/tallied'
import { demoPlan } from '../fixtures/demoPlan'

/** The chance of at most k of n, at a share p, summed term by term. */
function atMost(k: number, n: number, p: number): number {
  let [sum, term] = [0, (1 - p) ** n]
  for (let i = 0; i <= k; i++) {
    sum += term
    term *= ((n - i) / (i + 1)) * (p / (1 - p))
  }
  return sum
}

test('the interval is about where one of ten would have seen less, and one of ten more', () => {
  for (const [worked, of] of [
    [5, 12],
    [20, 50],
    [3, 40],
    [140, 200],
  ]) {
    const { low, high } = wilson(worked, of)
    expect(low).toBeLessThan(worked / of)
    expect(high).toBeGreaterThan(worked / of)
    // Halfway between counting what was seen and not: the usual correction of a count.
    const above = 1 - (atMost(worked, of, low) + atMost(worked - 1, of, low)) / 2
    const below = (atMost(worked, of, high) + atMost(worked - 1, of, high)) / 2
    expect(Math.abs(above - 0.1)).toBeLessThan(0.025)
    expect(Math.abs(below - 0.1)).toBeLessThan(0.025)
  }
  expect(wilson(0, 0)).toEqual({ low: 0, high: 1 })
  expect(wilson(0, 10).low).toBeCloseTo(0, 12)
  expect(wilson(10, 10).high).toBeCloseTo(1, 12)
})

test('tallies stand beside the guess of the move or the answer for which they were counted', () => {
  const chart = structuredClone(demoPlan()) as Chart
  for (const one of [...chart.moves, ...chart.answers]) delete one.tries?.tallies
  expect(talliedOf(chart)).toEqual([])
  const [move] = chart.moves.filter(({ tries }) => tries)
  const [answer] = chart.answers.filter(({ tries }) => tries)
  move.tries = {
    lands: 3,
    stalls: 7,
    tallies: [
      { worked: true, weight: 2 },
      { worked: false, weight: 4 },
    ],
  }
  answer.tries = { lands: 6, stalls: 4, tallies: [{ worked: true, weight: 9 }] }
  const [first, second] = talliedOf(chart)
  expect(first).toMatchObject({ move: answer.move, reply: answer.reaction, guess: 0.6, worked: 9, of: 9 })
  expect(second).toMatchObject({ move: move.id, reply: null, guess: 0.3, worked: 2, of: 6 })
})
