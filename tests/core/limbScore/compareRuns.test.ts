import type { Run } from '../../../src/core/chart/run'
import { lookUp } from '../../../src/core/chart/lookUp'
import { compareRuns, sayDifferences } from '../../../src/core/limbScore/compareRuns'
import { demoPlan } from '../../fixtures/demoPlan'

const demo = demoPlan()
const run = (steps: object[], start = 'side-control-head-and-far-arm', name = 'A'): Run =>
  ({ id: name.toLowerCase(), name, start, steps }) as Run

describe('runs side by side', () => {
  it('count time, what can injure, what has no answer and the arms at the end', () => {
    const [trap] = compareRuns(demo, [lookUp(demo.runs, 'two-arms-then-the-choke')!])
    expect(trap.steps).toHaveLength(trap.run.steps.length)
    expect(trap.seconds).toBe(
      trap.run.steps.reduce((sum, { move }) => sum + (lookUp(demo.moves, move)!.seconds ?? 5), 0),
    )
    expect(trap.hazards).toContain('neck')
    expect(trap.arms.attack).toBeGreaterThan(trap.arms.defend)
    expect(trap.broken).toBeNull()
    const [snap] = compareRuns(demo, [run([{ move: 'snap-from-the-underhook' }], 'underhook-head-clear')])
    expect(snap.open).toEqual(['Steps around'])
  })

  it('say why one ends early', () => {
    const [broken] = compareRuns(demo, [run([{ move: 'snap-from-the-underhook' }])])
    expect([broken.steps, broken.broken === null]).toEqual([[], false])
  })

  it('are told apart in words, both ways about the same, and not where nothing differs', () => {
    const [a, b] = compareRuns(demo, [
      run([{ move: 'americana' }]),
      run([{ move: 'snap-from-the-underhook' }], 'underhook-head-clear', 'B'),
    ])
    const said = sayDifferences(a, b, [0.76, 0.4], (value) => (value * 100).toFixed(0))
    expect(said[0]).toBe('“A” begins where it is worth 36 more than where “B” begins.')
    expect(said).toContain('Only “B” meets something without an answer: Steps around.')
    expect(said.some((one) => /^Only “A” can injure: /.test(one))).toBe(true)
    const back = sayDifferences(b, a, [0.4, 0.76], (value) => (value * 100).toFixed(0))
    expect([...back].sort()).toEqual([...said].sort())
    expect(sayDifferences(a, { ...a }, [0.5, 0.5], String)).toEqual(['Nothing that is counted here sets them apart.'])
  })
})
