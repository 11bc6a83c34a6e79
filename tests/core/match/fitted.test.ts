import { fittedBy } from '../../../src/core/match/fitted'
import { demoPlan } from '../../fixtures/demoPlan'

/** The plan, of which nothing is said about builds. */
const plan = structuredClone(demoPlan())
for (const record of [...plan.moves, ...plan.reactions]) delete record.fit
const [, , hip] = plan.moves.filter(({ tries }) => tries?.lands)
hip.fit = [{ trait: 'legs', of: 'ours', per: 0.5, says: 'length of leg helps' }]
const long = { id: 'ada', traits: { legs: 2 } }
const plain = { id: 'ben', traits: {} }

describe('what two people change of a plan', () => {
  it('is nothing against nobody in particular, or where nothing is known of them', () => {
    expect(fittedBy(plan, { us: null, them: null })).toEqual({ moves: [], reactions: [] })
    expect(fittedBy(plan, { us: plain, them: plain })).toEqual({ moves: [], reactions: [] })
  })

  it('is told of each move that fits them, with how it lands then, by the log-odds of the chart', () => {
    const { moves } = fittedBy(plan, { us: long, them: null })
    expect(moves.map(({ move }) => move)).toEqual([hip.id])
    for (const { move, before, after, says } of moves) {
      const { fit = [], tries } = plan.moves.find(({ id }) => id === move)!
      const by = fit.reduce((sum, { trait, of, per }) => sum + (trait === 'legs' && of === 'ours' ? 2 * per : 0), 0)
      const total = [tries?.lands, tries?.stalls, ...Object.values({ ...tries?.reactions, ...tries?.elsewhere })]
      expect(before).toBeCloseTo((tries?.lands ?? 0) / total.reduce((sum: number, n) => sum + (n ?? 0), 0), 9)
      const odds = Math.log(before / (1 - before)) + Math.max(-2, Math.min(2, by))
      expect(after).toBeCloseTo(1 / (1 + Math.exp(-odds)), 9)
      expect(says.length).toBeGreaterThan(0)
    }
  })

  it('is told of the largest change first, and of what they do more', () => {
    const chart = structuredClone(plan)
    chart.moves[0].fit = [{ trait: 'arms', of: 'theirs', per: -1, says: 'long arms get round it' }]
    chart.reactions[0].fit = [{ trait: 'arms', of: 'theirs', per: 0.5 }]
    const { moves, reactions } = fittedBy(chart, { us: null, them: { id: 'cem', traits: { arms: 1 } } })
    expect(moves[0]).toMatchObject({ move: chart.moves[0].id, says: ['long arms get round it'] })
    expect(moves[0].after).toBeLessThan(moves[0].before)
    expect(reactions).toEqual([{ reaction: chart.reactions[0].id, isMore: true, says: [] }])
  })
})
