import { readFileSync } from 'node:fs'
import Ajv from 'ajv/dist/2020'
import { makeChart, parseChart } from '../../../src/core/files/chartFile'
import { CHART_KIND } from '../../../src/core/chart/chartKind'
import { oldestVersion } from '../../../src/core/document/kind'
import { modernised } from '../../../src/core/document/read'
import { CHART_VERSION } from '../../../src/core/chart/chart'
import { problemText } from '../../../src/core/problem'
import { chartSchemaText } from '../../../scripts/chartSchema'
import { BROKEN, soundChart } from '../../fixtures/brokenCharts'
import { randomChart } from '../../reference/randomChart'
import { taken } from '../../reference/taken'

const fixture = (path: string) => readFileSync(new URL(`../../fixtures/${path}`, import.meta.url), 'utf8')

describe('a chart file', () => {
  it('comes back to the same bytes', () => {
    for (let seed = 1; seed <= 40; seed++) {
      const text = makeChart(randomChart(seed, seed % 2 === 0))
      expect(makeChart(taken(parseChart(text)))).toBe(text)
    }
  })

  it('keeps fields that this build does not know, wherever they are', () => {
    const chart = soundChart()
    Object.assign(chart, { theme: { dark: true } })
    Object.assign(chart.moves[0], { rating: 3 })
    Object.assign(chart.moves[0].tries, { filmed: ['a'] })
    const text = JSON.stringify(chart, null, 2) + '\n'
    expect(makeChart(taken(parseChart(text)))).toBe(text)
  })

  it('may begin with a byte order mark', () => {
    expect(taken(parseChart('\uFEFF' + JSON.stringify(soundChart()))).title).toBe('Sound')
  })

  it('of an older version is migrated, step by step, and nothing of it is lost', () => {
    for (let version = oldestVersion(CHART_KIND); version < CHART_VERSION; version++) {
      const file = JSON.parse(fixture(`charts/version-${version}.json`))
      expect(taken(modernised(CHART_KIND, file)).version).toBe(CHART_VERSION)
      const chart = taken(parseChart(JSON.stringify(file)))
      expect(chart.title).toBe('An old plan')
      expect(chart.positions[0]).toHaveProperty('colour', 'blue')
    }
  })
})

describe('a broken chart', () => {
  it.each(BROKEN)('%s is refused by name and place', (_, text, names) => {
    const result = parseChart(text)
    expect(result.ok).toBe(false)
    if (!result.ok) expect(result.problems.map(problemText).join('\n')).toMatch(names)
  })

  it('has all its problems reported at once', () => {
    const chart = soundChart()
    chart.moves[0].tries.lands = -1
    chart.moves[0].seconds = 0
    Object.assign(chart.positions[1], { ahead: 'nobody' })
    const result = parseChart(JSON.stringify(chart))
    expect(result.ok ? [] : result.problems.map(({ path }) => path.join('.')).sort()).toEqual([
      'moves.0.seconds',
      'moves.0.tries.lands',
      'positions.1.ahead',
    ])
  })
})

describe('the published schema', () => {
  it('is the one that the validator gives', async () => {
    expect(readFileSync(new URL('../../../docs/chart.schema.json', import.meta.url), 'utf8')).toBe(
      await chartSchemaText(),
    )
  })

  const schema = JSON.parse(readFileSync(new URL('../../../docs/chart.schema.json', import.meta.url), 'utf8'))
  const validate = new Ajv({ strict: false }).compile(schema)

  it('takes what the validator takes', () => {
    for (let seed = 1; seed <= 40; seed++) expect(validate(randomChart(seed, true))).toBe(true)
    for (const file of ['1-two-moves', '3-holds', '6-away']) {
      expect(validate(JSON.parse(fixture(`cases/${file}.json`)))).toBe(true)
    }
  })

  it('refuses nothing that the validator takes, and much that it refuses', () => {
    const readable = BROKEN.flatMap(([, text]) => {
      try {
        return [JSON.parse(text)]
      } catch {
        return []
      }
    })
    const refused = readable.filter((data) => !validate(data))
    expect(refused.length).toBeGreaterThan(readable.length / 2)
    expect(validate(soundChart())).toBe(true)
  })
})
