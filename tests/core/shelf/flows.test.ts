import { readRegions } from '../../../scripts/shelfDoc'
import { emptyChart } from '../../../src/core/chart/chart'
import { checkReferences } from '../../../src/core/chart/references'
import { pullIn } from '../../../src/core/shelf/edits/pull'
import { checkFlows, flowHolds } from '../../../src/core/shelf/flows'
import { idsOnShelf, withFreshIds } from '../../../src/core/shelf/freshIds'
import { joinRegions } from '../../../src/core/shelf/shelf'

const shelf = joinRegions(readRegions())
const mount = () => structuredClone(shelf.regions.find(({ id }) => id === 'knee-and-mount')!)

describe('a flow drill', () => {
  it('goes round, through at least three positions, without a finish', () => {
    expect(shelf.flows.length).toBeGreaterThanOrEqual(3)
    for (const flow of shelf.flows) {
      expect([flow.id, flowHolds(flow, shelf.moves)]).toEqual([flow.id, true])
      expect(new Set(flow.steps.map(({ position }) => position)).size).toBeGreaterThanOrEqual(3)
      for (const { calls } of flow.steps) expect(calls).toMatch(/^(they|the) /)
    }
  })

  it('does not go round where a move begins or lands elsewhere, or where it has one step', () => {
    const [flow] = mount().flows!
    const { steps } = flow
    expect(flowHolds({ ...flow, steps: [steps[1], steps[0], steps[2]] }, shelf.moves)).toBe(false)
    expect(flowHolds({ ...flow, steps: steps.slice(0, 1) }, shelf.moves)).toBe(false)
    expect(flowHolds({ ...flow, steps: steps.slice(0, 2) }, shelf.moves)).toBe(false)
  })

  it('is refused in a shelf of one’s own where it names what is not there, or does not go round', () => {
    const region = mount()
    expect(checkFlows(region)).toEqual([])
    region.flows![0].steps[1].position = 'nowhere' as never
    region.flows![0].steps[2].move = 'nothing' as never
    expect(checkFlows(region).map(({ path }) => path.join('.'))).toEqual([
      'flows.0.steps.1.position',
      'flows.0.steps.2.move',
    ])
    const turned = mount()
    turned.flows![0].steps.reverse()
    expect(checkFlows(turned)).toMatchObject([
      { path: ['flows', 0, 'steps'], message: expect.stringMatching(/does not go round/) },
    ])
  })

  it('keeps its moves when its shelf gets new ids', () => {
    const fresh = withFreshIds(mount(), idsOnShelf(shelf.regions))
    expect(checkFlows(fresh)).toEqual([])
    expect(fresh.flows![0].steps[0].move).not.toBe(mount().flows![0].steps[0].move)
  })

  it('comes into a chart as its moves', () => {
    for (const { steps } of shelf.flows) {
      const chart = emptyChart('new', 'New')
      const moves = steps.map(({ move }) => move)
      expect(pullIn(chart, shelf, { moves })).toEqual(expect.arrayContaining(moves))
      expect(checkReferences(chart)).toEqual([])
    }
  })
})
