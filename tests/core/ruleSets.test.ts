import { produce } from 'immer'
import { removeMove } from '../../src/core/chart/edits/records'
import { BUILT_IN_RULES, ruleSetOf } from '../../src/core/chart/ruleSets'
import { scenarioOf } from '../../src/core/game/scenario'
import { figuresOf } from '../../src/core/insight/figures'
import { randomChart, randomScenario } from '../reference/randomChart'
import { seeded } from '../../bench/generate'
import { demoPlan } from '../fixtures/demoPlan'
import { taken } from '../reference/taken'

const demo = demoPlan()
const under = (rules: string | null) =>
  produce(demo, (draft) => {
    draft.settings = { ...draft.settings, scenario: { ...draft.settings?.scenario, rules } }
  })

describe('rules in force', () => {
  it.each(BUILT_IN_RULES.map(({ id }) => id))('leave out what they forbid, as if it were not charted: %s', (id) => {
    const chart = under(id)
    const { forbids } = ruleSetOf(id)!
    const { figures } = taken(figuresOf(chart, scenarioOf(chart)))
    const gone = chart.moves.filter(({ tags }) => tags?.some((tag) => forbids.includes(tag)))
    const without = produce(chart, (draft) => gone.forEach((move) => removeMove(draft, move.id)))
    expect(figures.value).toBeCloseTo(taken(figuresOf(without, scenarioOf(without))).figures.value, 10)
    for (const { id: move } of gone) expect(figures.moves[move].value).toBeNull()
  })

  it('are the coach’s own where the chart brings some, and none where they are not known', () => {
    const own = { id: 'house', name: 'House rules', forbids: ['armlock'] }
    const chart = produce(under('house'), (draft) => void (draft.settings!.ruleSets = [own]))
    expect(scenarioOf(chart)).toMatchObject({ rules: 'house', forbids: ['armlock'] })
    expect(scenarioOf(under('house'))).toMatchObject({ rules: null, forbids: [] })
    expect(scenarioOf(demo)).toMatchObject({ rules: null, forbids: [] })
  })

  it('never make a plan worth more, on random charts', () => {
    const random = seeded(9)
    for (let seed = 1; seed <= 30; seed++) {
      const chart = randomChart(seed, true)
      for (const move of chart.moves) if (random() < 0.3) move.tags = ['armlock']
      // Against someone who does not read us fewer choices can only cost.
      const scenario = scenarioOf(chart, { ...randomScenario(chart, seed, true), sharpness: 0 })
      const free = taken(figuresOf(chart, scenario)).figures.value
      const bound = taken(figuresOf(chart, { ...scenario, forbids: ['armlock'] })).figures.value
      expect(bound).toBeLessThanOrEqual(free + 1e-9)
    }
  })

  it('protect minors and beginners by default, and until a coach says why not', () => {
    const group = (settings: object) =>
      produce(demo, (draft) => void (draft.settings = { ...draft.settings, ...settings }))
    const forbids = (settings: object) => scenarioOf(group(settings)).forbids
    expect(forbids({})).toEqual([])
    expect(forbids({ group: 'minors' })).toEqual(expect.arrayContaining(['choke', 'armlock', 'neck-crank']))
    expect(forbids({ group: 'beginners' })).toContain('twisting-leg-lock')
    expect(forbids({ group: 'beginners' })).not.toContain('choke')
    expect(forbids({ group: 'minors', shownBecause: '  ' })).toContain('choke')
    expect(forbids({ group: 'minors', shownBecause: 'supervised by two coaches' })).toEqual([])
    const both = scenarioOf(produce(group({ group: 'beginners' }), (draft) => void (draft.settings!.scenario!.rules = 'no-gi-points'))) // prettier-ignore
    expect(both.forbids).toEqual(expect.arrayContaining(['lapel-grip', 'twisting-leg-lock']))
    expect(new Set(both.forbids).size).toBe(both.forbids.length)
    const { figures } = taken(figuresOf(group({ group: 'minors' }), scenarioOf(group({ group: 'minors' }))))
    expect(figures.endings.finish).toBe(0)
  })
})
