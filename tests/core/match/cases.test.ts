import { readFileSync } from 'node:fs'
import type { Chart } from '../../../src/core/chart/chart'
import { adjusted, type Athlete } from '../../../src/core/match/adjust'
import { betterOf, landingOf, type Beta } from '../../../src/core/match/better'
import type { Variant } from '../../../src/core/match/recordOf'
import type { LoggedTry } from '../../../src/core/match/tryLog'

interface Case {
  name: string
  input: {
    do: 'adjust' | 'better'
    chart: Chart
    us: Athlete & string
    them: Athlete | null
    log?: LoggedTry[]
    now?: string
    halfLife?: number
    first: Beta & Variant
    second: Beta & Variant
  }
  output: { chart: Chart; first: Beta; second: Beta; chance: number; words: string; more: number }
}

const CASES = JSON.parse(
  readFileSync(new URL('../../fixtures/cases/expected-match.json', import.meta.url), 'utf8'),
) as Case[]

/** In the cases the weight of a guess stands beside its tries. */
function asOurs(chart: Chart): Chart {
  const withWeight = <R extends object>(record: R): R => {
    const { weight, ...rest } = record as R & { weight?: number; tries?: object }
    return (weight === undefined ? record : { ...rest, tries: { ...rest.tries, weight } }) as R
  }
  return { ...chart, moves: chart.moves.map(withWeight), answers: chart.answers.map(withWeight) }
}

/** Every number of a record that is near another, with its path. */
function numbersOf(value: unknown, path = ''): [string, number][] {
  if (typeof value === 'number') return [[path, value]]
  if (typeof value !== 'object' || value === null) return []
  return Object.entries(value)
    .filter(([, inner]) => inner !== 0)
    .flatMap(([key, inner]) => numbersOf(inner, `${path}.${key}`))
    .sort(([a], [b]) => (a < b ? -1 : 1))
}

const WORDS = { first: 'the first lands more', second: 'the second lands more' }

describe('who against whom, and what has happened: worked cases', () => {
  it.each(CASES.filter(({ input }) => input.do === 'adjust'))('$name', ({ input, output }) => {
    const { us, them, log = [], now = '2026-01-01', halfLife } = input
    const chart = asOurs(input.chart)
    const found = adjusted(chart, { us, them, log: { tries: log, now, ...(halfLife ? { halfLife } : {}) } })
    const wanted = numbersOf(asOurs(output.chart))
    expect(numbersOf(found).map(([path]) => path)).toEqual(wanted.map(([path]) => path))
    numbersOf(found).forEach(([path, n], i) => expect([path, n]).toEqual([path, expect.closeTo(wanted[i][1], 9)]))
    if (!us && !them && !log.length) expect(found).toBe(chart)
  })

  it.each(CASES.filter(({ input }) => input.do === 'better'))('$name', ({ input, output }) => {
    const { chart, log = [], now = '2026-01-01', us } = input
    const of = (one: Beta & Variant): Beta =>
      'move' in one ? landingOf(asOurs(chart), one, { tries: log, now }, us)! : (one as Beta)
    const [first, second] = [of(input.first), of(input.second)]
    const found = betterOf(first, second)
    first.forEach((n, i) => expect(n).toBeCloseTo(output.first[i], 9))
    second.forEach((n, i) => expect(n).toBeCloseTo(output.second[i], 9))
    expect(found.chance).toBeCloseTo(output.chance, 9)
    expect(found.better ? WORDS[found.better] : 'not enough rounds yet').toBe(output.words)
    expect(found.more).toBe(output.more)
  })
})
