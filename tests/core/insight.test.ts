import type { Chart } from '../../src/core/chart/chart'
import { readChart } from '../../src/core/files/chartFile'
import { scenarioOf, type Scenario } from '../../src/core/game/scenario'
import { indexChart } from '../../src/core/game/chartIndex'
import { costsOf, figuresOf } from '../../src/core/insight/figures'
import { looseEndsOf, withoutLooseEnd } from '../../src/core/insight/looseEnds'
import { soundChart } from '../fixtures/brokenCharts'
import { taken } from '../reference/taken'

type Draft = Record<'positions' | 'moves' | 'reactions' | 'answers', Record<string, unknown>[]>

/** Mount, where they may turn (into the back, or out of it all), and a finish from both. */
function forkChart(change: (draft: Draft) => void = () => undefined): Chart {
  const draft = {
    ...{ format: 'ataque-chart', version: 1, id: 'fork', title: 'Fork' },
    positions: [
      { id: 'mount', name: 'Mount', family: 'mount', ahead: 'ours' },
      { id: 'back', name: 'Back', family: 'back', ahead: 'ours' },
      { id: 'guard', name: 'Guard', family: 'guard', ahead: 'theirs' },
    ],
    moves: [
      {
        ...{ id: 'armbar', name: 'Armbar', kind: 'submission', from: 'mount', to: 'finish', seconds: 5 },
        tries: { lands: 2, stalls: 2, reactions: { turns: 3, bridges: 3 } },
      },
      { id: 'choke', name: 'Choke', kind: 'submission', from: 'back', to: 'finish', tries: { lands: 6, stalls: 4 } },
      { id: 'sweep', name: 'Sweep', kind: 'escape', from: 'guard', to: 'mount', tries: { lands: 1, stalls: 9 } },
    ],
    reactions: [
      { id: 'turns', name: 'Turns', endsIn: 'back' },
      { id: 'bridges', name: 'Bridges', endsIn: 'guard' },
    ],
    answers: [{ reaction: 'turns', move: 'choke', tries: { lands: 8, stalls: 2 } }],
  }
  change(draft as unknown as Draft)
  return taken(readChart(draft))
}

const figures = (chart: Chart, instead: Partial<Scenario> = {}) =>
  taken(figuresOf(chart, scenarioOf(chart, { seconds: 60, ...instead }))).figures

describe('nets', () => {
  it('are a trap where our answer lands, and a leak where they get out', () => {
    const { met } = figures(forkChart())
    const [turns, bridges] = met
    expect(turns.net).toBeGreaterThan(0.03)
    expect(turns).toMatchObject({ best: 'choke', answers: [{ answer: 0 }] })
    expect(turns.saves).toBeCloseTo(turns.value - turns.concede, 12)
    expect(bridges.net).toBeLessThan(-0.03)
    expect(bridges).toMatchObject({ best: 'concede', answers: [], saves: 0 })
  })

  it('share what the move meets, as it usually goes', () => {
    const { met } = figures(forkChart())
    expect(met.map(({ share }) => share)).toEqual([0.3, 0.3])
  })

  it('of what they do unprompted are measured against holding still', () => {
    const chart = forkChart((draft) => {
      draft.positions[0].unprompted = { every: 10, reactions: { bridges: 1 } }
    })
    const found = figures(chart)
    const still = found.met.find(({ move }) => move === null)!
    expect(still).toMatchObject({ position: 'mount', reaction: 'bridges' })
    expect(still.share).toBeCloseTo(0.1)
    expect(still.net).toBeCloseTo(still.value - found.positions['mount' as never].value, 12)
  })

  it('worsen when the answer is taken away', () => {
    const without = forkChart((draft) => void (draft.answers = []))
    expect(figures(without).met[0].net).toBeLessThan(figures(forkChart()).met[0].net)
    expect(figures(without).value).toBeLessThan(figures(forkChart()).value)
  })
})

describe('endings', () => {
  it('are of a hundred exchanges, and their worths sum to the value', () => {
    for (const sharpness of [0, 0.5]) {
      for (const seconds of [0, 7, 60, null]) {
        const { endings, worths, value } = figures(forkChart(), { seconds, sharpness })
        const total = Object.values(endings).reduce((sum, n) => sum + n, 0)
        expect(total).toBeCloseTo(1, 7)
        expect(Object.values(worths).reduce((sum, n) => sum + n, 0)).toBeCloseTo(value, 7)
      }
    }
  })

  it('count being caught where they threaten', () => {
    const chart = forkChart((draft) => void (draft.positions[2].threat = { every: 5 }))
    expect(figures(chart).endings.caught).toBeGreaterThan(0.02)
    expect(figures(forkChart()).endings.caught).toBe(0)
  })
})

describe('loose ends', () => {
  const endsOf = (chart: Chart) => looseEndsOf(indexChart(chart))

  it('are reactions without an answer that fits: to a move, to an answer, unprompted', () => {
    const chart = forkChart((draft) => {
      draft.answers.push({ reaction: 'turns', move: 'armbar', tries: { lands: 1, reactions: { bridges: 2 } } })
      draft.positions[1].unprompted = { every: 10, reactions: { bridges: 1, turns: 1 } }
    })
    expect(endsOf(chart)).toEqual([
      { met: { by: 'move', move: 'armbar' }, position: 'mount', reaction: 'bridges' },
      { met: { by: 'answer', move: 'armbar', answer: 1 }, position: 'mount', reaction: 'bridges' },
      { met: { by: 'unprompted' }, position: 'back', reaction: 'bridges' },
    ])
  })

  it('close with an answer, and cost what the start would gain if nothing came of it', () => {
    const chart = forkChart()
    const scenario = scenarioOf(chart, { seconds: 60 })
    const [end] = endsOf(chart)
    const cost = costsOf(chart, scenario, figures(chart).value)(end)
    const stalled = forkChart((draft) => {
      draft.moves[0].tries = { lands: 2, stalls: 5, reactions: { turns: 3 } }
    })
    expect(cost).toBeCloseTo(figures(stalled).value - figures(chart).value, 12)
    expect(cost).toBeGreaterThan(0)
    const answered = forkChart((draft) => void draft.answers.push({ reaction: 'bridges', move: 'sweep' }))
    expect(endsOf(answered)).toEqual([])
  })

  it('unprompted go without the others coming more often', () => {
    const chart = forkChart((draft) => {
      draft.positions[1].unprompted = { every: 10, reactions: { bridges: 1, turns: 3 } }
    })
    const end = endsOf(chart).find(({ met }) => met.by === 'unprompted')!
    const { unprompted } = withoutLooseEnd(chart, end).positions[1]
    expect(unprompted).toEqual({ every: 40 / 3, reactions: { turns: 3 } })
    expect(unprompted!.reactions.turns / unprompted!.every / 3).toBeCloseTo(3 / 4 / 10, 12)
  })

  it('are there too where the plan never goes, because they are', () => {
    const chart = forkChart((draft) => {
      draft.moves[0].tries = { lands: 1, stalls: 1, reactions: { bridges: 20 } }
      draft.moves.push({
        ...{ id: 'spin', name: 'Spin', kind: 'advance', from: 'mount', to: 'back', seconds: 3 },
        tries: { lands: 8, stalls: 2 },
      })
    })
    const found = figures(chart)
    expect(found.best).toBe('spin')
    expect(found.looseEnds).toMatchObject([{ reaction: 'bridges', visits: 0 }])
  })
})

describe('what the plan uses', () => {
  it('adds up by where a move is tried', () => {
    const { moves, positions } = figures(forkChart())
    for (const { uses, usedAs } of Object.values(moves)) {
      expect(usedAs.reduce((sum, as) => sum + as.uses, 0)).toBeCloseTo(uses, 12)
    }
    expect(moves['choke' as never].usedAs.map(({ answer }) => answer).sort()).toEqual([0, null])
    expect(positions['mount' as never].visits).toBeGreaterThanOrEqual(1)
    expect(positions['mount' as never].best).toBe('armbar')
  })

  it('is nothing where a need is missing', () => {
    const chart = taken(readChart(soundChart()))
    chart.moves[0].needs = ['cross' as never]
    chart.positions[0].holds = []
    expect(figures(chart).moves['step' as never]).toEqual({ value: null, uses: 0, usedAs: [] })
  })
})
