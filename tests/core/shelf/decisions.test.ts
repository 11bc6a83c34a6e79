import { produce } from 'immer'
import { chooseWay, keepAllWays } from '../../../src/core/chart/edits/ways'
import { removeMove } from '../../../src/core/chart/edits/records'
import type { MoveId, PositionId } from '../../../src/core/chart/ids'
import { lookUp } from '../../../src/core/chart/lookUp'
import { readChart } from '../../../src/core/files/chartFile'
import { scenarioOf } from '../../../src/core/game/scenario'
import { figuresOf } from '../../../src/core/insight/figures'
import { DIFFERS, ownMoves, rulesHere, variantsHere, wayOf } from '../../../src/core/shelf/decisions'
import { joinRegions } from '../../../src/core/shelf/shelf'
import { readRegions } from '../../../scripts/shelfDoc'
import { demoPlan } from '../../fixtures/demoPlan'
import { taken } from '../../reference/taken'

const shelf = joinRegions(readRegions())
const demo = demoPlan()
const { figures } = taken(figuresOf(demo, scenarioOf(demo)))
const here = (position: string, chart = demo, valued = figures) =>
  rulesHere(chart, shelf, position as PositionId, valued)

describe('the decision rules of the Shelf', () => {
  const rules = shelf.regions.flatMap((region) => region.rules)

  it('name positions, a cue, moves of the Shelf, and the reason', () => {
    expect(rules.filter(({ prefer }) => prefer).length).toBeGreaterThan(110)
    expect(rules.filter(({ over }) => over).length).toBeGreaterThan(50)
    for (const { id, at, when, then, because, prefer = [], over = [] } of rules) {
      expect([id, at.length > 0 && at.every((one) => lookUp(shelf.positions, one))]).toEqual([id, true])
      expect([id, [...prefer, ...over].filter((one) => !lookUp(shelf.moves, one))]).toEqual([id, []])
      expect([id, prefer.filter((one) => over.includes(one))]).toEqual([id, []])
      expect([id, Math.min(when.length, then.length, because.length) > 3]).toEqual([id, true])
    }
  })

  it('apply where they name the position or a move that is charted there', () => {
    const ids = here('knee-on-belly').map(({ rule }) => rule.id)
    expect(ids).toEqual(expect.arrayContaining(['rule-top-rule-17', 'rule-top-rule-18', 'rule-top-rule-19']))
    expect(ids).not.toContain('rule-back-rule-30')
    expect(here('scarf-hold')).toEqual([])
  })

  it('are held against the values, move against move and answer against answer', () => {
    const kneePushed = here('knee-on-belly').find(({ rule }) => rule.id === 'rule-top-rule-18')!
    const { preferred, rejected, by, says } = kneePushed.compared!
    expect([preferred, rejected, says]).toEqual(['far-side-underhook-spin', 'knee-slide-to-mount', 'no difference'])
    const asMoves = figures.moves[preferred].value! - figures.moves[rejected].value!
    const asAnswers = figures.met
      .filter(({ position }) => position === 'knee-on-belly')
      .map(({ answers }) => new Map(answers.map(({ answer, value }) => [demo.answers[answer].move, value])))
      .flatMap((values) =>
        values.has(preferred) && values.has(rejected) ? values.get(preferred)! - values.get(rejected)! : [],
      )
    expect([asMoves, ...asAnswers]).toContain(by)
  })

  it('are contradicted from two in a hundred on, and that comes first', () => {
    const rows = here('they-have-our-back')
    const first = rows[0].compared!
    expect(first.says).toBe('the other way')
    expect(first.by).toBeLessThanOrEqual(-DIFFERS)
    for (const { compared } of rows) {
      if (compared)
        expect(compared.says).toBe(
          compared.by >= DIFFERS ? 'as the rule' : compared.by <= -DIFFERS ? 'the other way' : 'no difference',
        )
    }
    const better = {
      ...figures,
      moves: { ...figures.moves, [first.preferred]: { ...figures.moves[first.preferred], value: 1 } },
    }
    const now = here('they-have-our-back', demo, better).find(({ rule }) => rule.id === rows[0].rule.id)!
    expect(now.compared!.says).toBe('as the rule')
  })

  it('say nothing of values where one side is not charted', () => {
    const without = produce(demo, (draft) => removeMove(draft, 'knee-slide-to-mount' as MoveId))
    expect(here('knee-on-belly', without).find(({ rule }) => rule.id === 'rule-top-rule-18')!.compared).toBeUndefined()
  })
})

describe('where schools differ', () => {
  const variants = shelf.regions.flatMap((region) => region.variants)

  it('each has two ways or more with reasons, about something that is on the Shelf', () => {
    for (const { id, on, views, question } of variants) {
      expect([id, views.length >= 2 && question.length > 3]).toEqual([id, true])
      expect([id, on.filter((one) => !lookUp(shelf.positions, one) && !lookUp(shelf.moves, one))]).toEqual([id, []])
      expect([id, views.every(({ because }) => because)]).toEqual([id, true])
      for (const { moves = [] } of views)
        expect([id, moves.filter((one) => !lookUp(shelf.moves, one))]).toEqual([id, []])
    }
  })

  it('choosing one way sets the moves of the others aside, as if they were not charted, and is kept in the file', () => {
    const closing = variantsHere(demo, shelf, 'back-hand-at-the-neck' as PositionId).find(
      ({ id }) => id === 'back-variant-15',
    )!
    const [here, roll] = closing.views
    const way = wayOf(demo, shelf, closing, roll)
    expect(way.aside).toEqual(ownMoves(demo, shelf, here.moves!))
    const chosen = produce(demo, (draft) => chooseWay(draft, way))
    const solved = taken(figuresOf(chosen, scenarioOf(chosen))).figures
    for (const id of way.aside) expect(solved.moves[id].value).toBeNull()
    const without = produce(demo, (draft) => way.aside.forEach((id) => removeMove(draft, id)))
    expect(solved.value).toBeCloseTo(taken(figuresOf(without, scenarioOf(without))).figures.value, 10)
    expect(taken(readChart(JSON.parse(JSON.stringify(chosen)))).settings!.ways).toEqual([way])
    const other = produce(chosen, (draft) => chooseWay(draft, wayOf(chosen, shelf, closing, here)))
    expect(other.settings!.ways).toHaveLength(1)
    expect(produce(other, (draft) => keepAllWays(draft, closing.id)).settings).toEqual(demo.settings)
  })

  it('choosing a way of which nothing is charted sets nothing aside', () => {
    const twoElbows = variants.find(({ id }) => id === 'top-variant-2')!
    expect(wayOf(demo, shelf, twoElbows, { id: 'b', says: 'x', moves: [] }).aside).toEqual([])
  })
})
