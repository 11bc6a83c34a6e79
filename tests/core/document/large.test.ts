import { generateChart } from '../../../bench/generate'
import { CHART_KIND } from '../../../src/core/chart/chartKind'
import { diffOf } from '../../../src/core/document/diff'
import { checkEdit, makeDocument, parsingJob, readDocument } from '../../../src/core/document/read'
import { parseChart, readChart } from '../../../src/core/files/chartFile'
import { problemText, type Result } from '../../../src/core/problem'
import { soundChart } from '../../fixtures/brokenCharts'
import { taken } from '../../reference/taken'

/* Large files: the work grows with their size and no faster, and there is a limit, which is said. */

/** The data with every value in it counted when it is looked at. */
function counting(data: object) {
  let visits = 0
  const proxies = new WeakMap<object, object>()
  const watched = (value: unknown): unknown => {
    if (typeof value !== 'object' || value === null) return value
    if (!proxies.has(value)) {
      const get = (of: object, key: string | symbol): unknown => {
        visits++
        return watched(Reflect.get(of, key))
      }
      proxies.set(value, new Proxy(value, { get }))
    }
    return proxies.get(value)
  }
  return { data: watched(data), visits: () => visits }
}

/** How often values of the data are looked at while it is read. */
function work(data: object): number {
  const { data: watched, visits } = counting(data)
  readDocument(CHART_KIND, watched)
  return visits()
}

const plan = (positions: number) =>
  generateChart({ positions, moves: 4 * positions, reactions: 2 * positions, seed: 3, holds: 0.3 })
const withUnknown = (fields: number) => ({
  ...soundChart(),
  settings: { more: Object.fromEntries(Array.from({ length: fields }, (_, i) => [`field-${i}`, i])) },
  ...Object.fromEntries(Array.from({ length: fields }, (_, i) => [`unknown-${i}`, { a: i }])),
})
const withTallies = (tallies: number) => {
  const chart = soundChart()
  Object.assign(chart.moves[0].tries, { tallies: Array.from({ length: tallies }, () => ({ worked: true, weight: 1 })) })
  return chart
}
const problemsOf = (read: Result<unknown>) => (read.ok ? [] : read.problems.map(problemText))

it.each<[string, (size: number) => object, size: number]>([
  ['a plan', plan, 150],
  ['fields that this build does not know', withUnknown, 20_000],
  ['tallies', withTallies, 5_000],
  ['records with a fault', (size) => ({ ...plan(size), answers: plan(size).answers.map(() => ({ move: 3 })) }), 150],
])('twice as much of %s takes at most two and a half times the work', (_, made, size) => {
  const once = work(made(size))
  expect(once).toBeGreaterThan(size)
  expect(work(made(2 * size))).toBeLessThan(2.5 * once)
})

it('300,000 fields that this build does not know are kept', () => {
  const file = withUnknown(300_000)
  expect(Object.keys(taken(readChart(file))).length).toBe(Object.keys(file).length)
})

it('any number of problems is told', () => {
  const bad = soundChart()
  Object.assign(bad.moves[0].tries, {
    elsewhere: Object.fromEntries([...Array(250_000).keys()].map((i) => [`p${i}`, -1])),
  })
  expect(problemsOf(readChart(bad))).toHaveLength(250_000)
  const unsafe = [...Array(250_000).keys()].map(() => JSON.parse('{"__proto__":1}') as object)
  expect(problemsOf(readChart({ ...soundChart(), more: unsafe }))).toHaveLength(250_000)
})

it('more than a coach could work with is refused by name', () => {
  const many = (n: number) => Array.from({ length: n }, (_, i) => ({ ...soundChart().positions[1], id: `p${i}` }))
  const reactions = (n: number) => {
    const names = Array.from({ length: n }, (_, i) => `r${i}`)
    const chart = soundChart()
    chart.reactions.push(...names.map((id) => ({ id, name: id, endsIn: 'side' })))
    chart.moves[0].tries.reactions = Object.fromEntries(names.map((id) => [id, 1])) as never
    return chart
  }
  expect(problemsOf(readChart({ ...soundChart(), positions: [...soundChart().positions, ...many(1_998)] }))).toEqual([])
  expect(problemsOf(readChart({ ...soundChart(), positions: many(2_001) }))).toEqual([
    'positions: has 2001 entries: a chart has at most 2000',
  ])
  expect(problemsOf(readChart(reactions(60)))).toEqual([])
  expect(problemsOf(readChart(reactions(61)))).toEqual([
    'moves[0].tries.reactions: (step) must be an object of tries, at most 60 of them',
  ])
})

it('an edit over the limit is refused like the file would be', () => {
  const chart = taken(readChart(soundChart()))
  const card = { position: 'side', reaction: 'bridge', seconds: 30 }
  const cards = Array.from({ length: 5_001 }, (_, i) => ({ ...card, id: `c${i}` }) as never)
  const after = { ...chart, cards }
  expect(checkEdit(CHART_KIND, after, diffOf(CHART_KIND, chart, after))).toMatchObject([
    { code: 'too-many', path: ['cards'] },
  ])
})

it('reading says how far it is, and finds the same in steps as at once', () => {
  const text = makeDocument(plan(120))
  const job = parsingJob(CHART_KIND, text)
  const shares: number[] = []
  let step = job.next()
  for (; !step.done; step = job.next()) shares.push(step.value)
  expect(shares.length).toBeGreaterThan(10)
  expect(shares.every((share, i) => share < 1 && share >= (shares[i - 1] ?? 0))).toBe(true)
  expect(step.value).toEqual(parseChart(text))
})
