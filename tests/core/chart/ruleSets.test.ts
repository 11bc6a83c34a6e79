import { produce } from 'immer'
import { emptyChart, type Chart } from '../../../src/core/chart/chart'
import { copyRuleSet, removeRuleSet, setForbidden, setPoints, setRule } from '../../../src/core/chart/edits/ruleSets'
import { readChart } from '../../../src/core/files/chartFile'
import { removeMove } from '../../../src/core/chart/edits/records'
import { BUILT_IN_RULES } from '../../../src/core/chart/rules/builtInRules'
import { ruleSetOf } from '../../../src/core/chart/rules/ruleSets'
import { scenarioOf, underRules } from '../../../src/core/game/scenario'
import { explain } from '../../../src/core/insight/explain'
import { figuresOf } from '../../../src/core/insight/figures'
import { randomChart, randomScenario } from '../../reference/randomChart'
import { seeded } from '../../../bench/generate'
import { demoPlan } from '../../fixtures/demoPlan'
import { taken } from '../../reference/taken'

const demo = demoPlan()
const under = (rules: string | null) =>
  produce(demo, (draft) => {
    draft.settings = { ...draft.settings, scenario: { ...draft.settings?.scenario, rules } }
  })

describe('a set of the chart’s own', () => {
  it('is copied from any, changed, and taken away without leaving rules in force that are gone', () => {
    const copied = produce(under('gi-points'), (draft) => {
      expect(copyRuleSet(draft, 'gi-points')).toBe('gi-points-copy')
      expect(copyRuleSet(draft, 'gi-points-copy')).toBe('gi-points-copy-copy')
      setPoints(draft, 'gi-points-copy', 'mount', 9)
      setRule(draft, 'gi-points-copy', 'level', 'masters')
      setRule(draft, 'gi-points-copy', 'notes', '')
      setForbidden(draft, 'gi-points-copy', 'slam', false)
      setForbidden(draft, 'gi-points-copy', 'choke', true)
      draft.settings!.scenario = { ...draft.settings!.scenario, rules: 'gi-points-copy' }
    })
    const own = copied.settings!.ruleSets!
    expect(own.map(({ points }) => points!.mount)).toEqual([9, 4])
    expect(own[0]).toMatchObject({ level: 'masters' })
    expect(own[0]).not.toHaveProperty('notes')
    expect(['slam', 'choke'].map((tag) => own[0].forbids.includes(tag))).toEqual([false, true])
    expect(ruleSetOf('gi-points')!.points!.mount).toBe(4)
    expect(scenarioOf(copied)).toMatchObject(underRules(copied, 'gi-points-copy'))
    expect(taken(readChart(JSON.parse(JSON.stringify(copied)))).settings!.ruleSets).toEqual(own)
    const gone = produce(copied, (draft) => removeRuleSet(draft, 'gi-points-copy'))
    expect(gone.settings!.ruleSets!.map(({ id }) => id)).toEqual(['gi-points-copy-copy'])
    expect(scenarioOf(gone).rules).toBeNull()
    expect(() => copyRuleSet(copied, 'nothing')).toThrow('there is no rule set "nothing"')
    expect(() => setPoints(copied, 'gi-points', 'mount', 3)).toThrow('the chart has no rule set "gi-points"')
  })

  it.each([
    [{ points: { mount: -1 } }, 'points'],
    [{ rounds: { count: 0, seconds: 300 } }, 'count'],
    [{ controlTime: { every: 0.5, points: 1 } }, 'every'],
    [{ strikes: [{ uses: 'hand', says: 'x', left: 2 }] }, 'left'],
    [{ noFinish: 'yes' }, 'noFinish'],
    [{ heldFor: 61 }, 'heldFor'],
    [{ holdDown: [{ seconds: 0, points: 1 }] }, 'seconds'],
    [{ stoodUp: 0 }, 'stoodUp'],
  ])('is refused by the field that is wrong: %j', (wrong, field) => {
    const set = { id: 'house', name: 'House', forbids: [], ...wrong }
    const read = readChart({ ...JSON.parse(JSON.stringify(demo)), settings: { ruleSets: [set] } })
    expect(read.ok).toBe(false)
    if (!read.ok)
      expect(read.problems[0].path.slice(0, 3).concat(read.problems[0].path.at(-1)!)).toEqual([
        'settings',
        'ruleSets',
        0,
        field,
      ])
  })
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
      // An answer may be forced on us by the clock where conceding does not fit it.
      for (const reaction of chart.reactions) reaction.seconds = 1
      for (const move of chart.moves) if (random() < 0.3) move.tags = ['armlock']
      // Against someone who does not read us fewer choices can only cost.
      const scenario = scenarioOf(chart, { ...randomScenario(chart, seed, true), sharpness: 0 })
      const free = taken(figuresOf(chart, scenario)).figures.value
      const bound = taken(figuresOf(chart, { ...scenario, forbids: ['armlock'] })).figures.value
      expect(bound).toBeLessThanOrEqual(free + 1e-9)
    }
  })

  it.each([3, 8, 13, 21])('stand the two up where nobody pins, as if they got away of themselves: chart %i', (seed) => {
    const random = seeded(seed)
    const families = ['guard', 'half-guard', 'turtle', 'ride', 'back', 'crucifix', 'legs']
    const chart = produce(randomChart(seed, true), (draft) => {
      for (const one of draft.positions) {
        one.family = [...families, 'mount', 'side', 'standing'][Math.floor(random() * 10)]
        delete one.out
      }
    })
    const going = produce(chart, (draft) => {
      for (const one of draft.positions) if (families.includes(one.family)) one.out = { every: 9 }
    })
    const scenario = { ...scenarioOf(chart, randomScenario(chart, seed, true)), stoodUp: null }
    const values = (of: Chart, stoodUp: number | null) => {
      const { figures } = taken(figuresOf(of, { ...scenario, stoodUp }))
      return of.positions.map(({ id }) => figures.positions[id]!.value)
    }
    const stood = values(chart, 9)
    values(going, null).forEach((value, i) => expect(stood[i]).toBeCloseTo(value, 12))
    expect(stood).not.toEqual(values(chart, null))
  })

  it('say who ends it: they are gone, or the referee has stood the two up', () => {
    const chart: Chart = {
      ...emptyChart('up', 'Up'),
      positions: [{ id: 'guard', name: 'Guard', family: 'guard', ahead: 'ours', out: { every: 12 } }] as never,
      moves: [
        { id: 'lock', name: 'Lock', kind: 'submission', from: 'guard', to: 'finish', seconds: 4, tries: { lands: 10 } },
      ] as never,
    }
    const chances = (more: object, changed = chart) => {
      const scenario = scenarioOf(changed, { breakUp: null, seconds: 60, ...more })
      const { solution } = taken(figuresOf(changed, scenario))
      const { terms } = explain(solution, { of: 'move', move: 'lock' as never })!
      return Object.fromEntries(terms.map(({ kind, chance }) => [kind, chance]))
    }
    // Second by second: they go first, else the referee.
    const [out, up] = [1 / 12, (11 / 12) * (1 / 9)]
    const alive = 1 - out - up
    const over = 1 + alive + alive ** 2 + alive ** 3
    const found = chances({ stoodUp: 9 })
    expect(Object.keys(found).sort()).toEqual(['lands', 'out', 'stood-up'])
    expect(found.lands).toBeCloseTo(alive ** 4, 12)
    expect(found.out).toBeCloseTo(out * over, 12)
    expect(found['stood-up']).toBeCloseTo(up * over, 12)
    expect(Object.keys(chances({ stoodUp: null })).sort()).toEqual(['lands', 'out'])
    const held = produce(chart, (draft) => void delete draft.positions[0].out)
    expect(Object.keys(chances({ stoodUp: 9 }, held)).sort()).toEqual(['lands', 'stood-up'])
  })

  it('let no finish be tried where control is the goal', () => {
    const chart = under('juniors')
    const { figures } = taken(figuresOf(chart, scenarioOf(chart)))
    for (const { id, to } of chart.moves) if (to === 'finish') expect(figures.moves[id].value).toBeNull()
    expect(figures.endings.finish).toBe(0)
  })

  it('take from their reactions what strikes answer, as if there were less of them', () => {
    const chart = produce(demo, (draft) => {
      draft.settings!.ruleSets = [
        { id: 'hands', name: 'Hands', forbids: [], strikes: [{ uses: 'hand', says: 'The head is open.', left: 0 }] },
      ]
      draft.settings!.scenario = { ...draft.settings!.scenario, rules: 'hands' }
    })
    const { figures } = taken(figuresOf(chart, scenarioOf(chart)))
    const usesHand = new Set(
      chart.reactions
        .filter(({ uses = [] }) => uses.some((one) => one.endsWith('-hand')))
        .map(({ id }) => id as string),
    )
    expect(usesHand.size).toBeGreaterThan(5)
    expect(figures.met.filter(({ reaction }) => usesHand.has(reaction))).toEqual([])
    expect(figures.met.length).toBeGreaterThan(20)
    const half = produce(chart, (draft) => void (draft.settings!.ruleSets![0].strikes![0].left = 0.5))
    const some = taken(figuresOf(half, scenarioOf(half))).figures
    const free = taken(figuresOf(demo, scenarioOf(demo))).figures
    const share = (of: typeof free, key: string) =>
      of.met.find(({ move, reaction }) => `${move} ${reaction}` === key)?.share
    for (const { move, reaction, share: whole } of free.met) {
      if (move === null || !usesHand.has(reaction)) continue
      expect(share(some, `${move} ${reaction}`)).toBeCloseTo(whole / 2, 10)
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
    const both = scenarioOf(
      produce(group({ group: 'beginners' }), (draft) => void (draft.settings!.scenario!.rules = 'no-gi-points')),
    )
    expect(both.forbids).toEqual(expect.arrayContaining(['lapel-grip', 'twisting-leg-lock']))
    expect(new Set(both.forbids).size).toBe(both.forbids.length)
    const { figures } = taken(figuresOf(group({ group: 'minors' }), scenarioOf(group({ group: 'minors' }))))
    expect(figures.endings.finish).toBe(0)
  })
})
