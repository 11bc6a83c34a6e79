import { emptyChart } from '../../../src/core/chart/chart'
import { readChart } from '../../../src/core/files/chartFile'
import { compileGame } from '../../../src/core/game/compileGame'
import { forgetScenario, goBackToScenario, keepScenario, setScenario } from '../../../src/core/game/edits/scenario'
import { checkScenario, scenarioOf } from '../../../src/core/game/scenario'
import { solve } from '../../../src/core/solve/solve'
import { soundChart } from '../../fixtures/brokenCharts'
import { taken } from '../../reference/taken'

const sound = () => taken(readChart(soundChart()))

describe('the scenario of a chart', () => {
  it('has defaults, and begins in the first position', () => {
    expect(scenarioOf(sound())).toMatchObject({
      ...{ start: 'side', goal: [], seconds: 240, sharpness: 0, objective: 'careful', breakUp: 60, repeat: 0.5 },
      ends: { ours: 0.2, even: 0, theirs: -0.2 },
    })
  })

  it('is what was saved, as far as that is still charted', () => {
    const chart = sound()
    const scenario = { start: 'mount', goal: ['moon', 'side'], seconds: null, sharpness: 0.3, objective: 'finish' }
    chart.settings = { breakUp: null, repeat: 1, ends: { even: 0.1 }, scenario }
    expect(scenarioOf(chart)).toMatchObject({ start: 'mount', goal: ['side'], seconds: null, breakUp: null, repeat: 1 })
    expect(scenarioOf(chart).ends).toEqual({ ours: 0.2, even: 0.1, theirs: -0.2 })
    chart.settings.scenario = { start: 'moon' }
    expect(scenarioOf(chart).start).toBe('side')
  })

  it.each([
    [{ start: 'moon' }, 'start'],
    [{ goal: ['moon'] }, 'goal'],
    [{ seconds: 2.5 }, 'seconds'],
    [{ seconds: -1 }, 'seconds'],
    [{ seconds: 4000 }, 'seconds'],
    [{ sharpness: 0.95 }, 'sharpness'],
    [{ sharpness: NaN }, 'sharpness'],
    [{ breakUp: 0.5 }, 'breakUp'],
    [{ repeat: 1.5 }, 'repeat'],
    [{ objective: 'draw' }, 'objective'],
  ])('%j cannot be computed with', (instead, field) => {
    const problems = checkScenario(sound(), scenarioOf(sound(), instead as never))
    expect(problems.map(({ path }) => path[1])).toEqual([field])
  })

  it('of an empty chart cannot be computed with, and says so', () => {
    const chart = emptyChart('empty', 'Empty')
    expect(compileGame(chart, scenarioOf(chart))).toMatchObject({ ok: false, problems: [{ code: 'bad-scenario' }] })
  })
})

describe('what the scenario decides', () => {
  const worth = (instead: object) => {
    const game = taken(compileGame(sound(), scenarioOf(sound(), instead)))
    return taken(solve(game)).values[game.start]
  }

  it('no time left is worth what the position is', () => expect(worth({ seconds: 0 })).toBe(0.2))
  it('a start that is the goal is worth 1', () => expect(worth({ goal: ['side'] })).toBe(1))
  it('where only finishes count, a chart without one is worth nothing', () =>
    expect(worth({ objective: 'finish' })).toBe(0))
  it('reaching the goal counts as a finish', () =>
    expect(worth({ objective: 'finish', goal: ['mount'], breakUp: null })).toBeGreaterThan(0.99))
  it('a sharper defender is never better for us', () => {
    const goal = ['mount']
    const values = [0, 0.3, 0.6, 0.9].map((sharpness) => worth({ sharpness, goal }))
    values.slice(1).forEach((value, i) => expect(value).toBeLessThanOrEqual(values[i] + 1e-12))
  })
  it('more time is never worse where only finishes count', () => {
    const values = [10, 20, 40, 80].map((seconds) => worth({ seconds, objective: 'finish', goal: ['mount'] }))
    values.slice(1).forEach((value, i) => expect(value).toBeGreaterThanOrEqual(values[i]))
  })
  it('no clock and no break-up never ends, and says so', () => {
    const game = taken(compileGame(sound(), scenarioOf(sound(), { seconds: null, breakUp: null })))
    expect(solve(game)).toMatchObject({ ok: false, problems: [{ code: 'needs-an-end' }] })
  })
})

describe('scenarios that are kept', () => {
  it('come back whole, with what was as usual then', () => {
    const chart = sound()
    setScenario(chart, { seconds: 40, sharpness: 0.5, repeat: 0.25 })
    const final = scenarioOf(chart)
    expect(keepScenario(chart, 'The final')).toBe('the-final')
    setScenario(chart, { seconds: null, sharpness: 0, slips: 0.5, breakUp: null })
    const monday = scenarioOf(chart)
    keepScenario(chart, 'Monday')

    goBackToScenario(chart, 'the-final')
    expect(scenarioOf(chart)).toEqual(final)
    setScenario(chart, { seconds: 300 })
    goBackToScenario(chart, 'the-final')
    expect(scenarioOf(chart)).toEqual(final)
    goBackToScenario(chart, 'monday')
    expect(scenarioOf(chart)).toEqual(monday)
    expect(readChart(JSON.parse(JSON.stringify(chart)))).toMatchObject({ ok: true })
  })

  it('are replaced by one of the same name, in their place, and forgotten by themselves', () => {
    const chart = sound()
    keepScenario(chart, 'Final')
    keepScenario(chart, 'Class')
    setScenario(chart, { seconds: 40 })
    expect(keepScenario(chart, 'FINAL')).toBe('final')
    expect(chart.settings?.keptScenarios).toMatchObject([
      { id: 'final', name: 'FINAL', scenario: { seconds: 40 } },
      { id: 'class', name: 'Class', scenario: { seconds: 240 } },
    ])
    const now = scenarioOf(chart)
    forgetScenario(chart, 'final')
    forgetScenario(chart, 'class')
    expect(chart.settings).not.toHaveProperty('keptScenarios')
    expect(scenarioOf(chart)).toEqual(now)
    expect(() => goBackToScenario(chart, 'final')).toThrow('there is no scenario "final"')
  })

  it('are refused in a file by record and field', () => {
    const broken = { ...sound(), settings: { keptScenarios: [{ id: 'final', name: '', scenario: {} }] } }
    expect(readChart(broken)).toMatchObject({ problems: [{ path: ['settings', 'keptScenarios', 0, 'name'] }] })
  })
})
