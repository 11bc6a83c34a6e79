import type { Chart } from '../../../src/core/chart/chart'
import { addCue, renameCue, setOrigin, setSeen, setWhen, unsee } from '../../../src/core/chart/edits/cues'
import type { CueId, MoveId, PositionId } from '../../../src/core/chart/ids'
import { readChart } from '../../../src/core/files/chartFile'
import { soundChart } from '../../fixtures/brokenCharts'
import { taken } from '../../reference/taken'

const [side, mount] = ['side', 'mount'] as PositionId[]
const step = 'step' as MoveId

let chart: Chart
beforeEach(() => (chart = taken(readChart(soundChart()))))
afterEach(() => expect(readChart(chart)).toMatchObject({ ok: true }))

describe('what is seen', () => {
  it('is charted by its name, with how often of ten, beside nothing in particular', () => {
    const hand = addCue(chart, side, 'Far hand at our neck', 4)
    expect(chart.positions[0].seen).toEqual({ nothing: 6, [hand]: 4 })
    setSeen(chart, side, 'nothing', 5)
    expect(chart.cues).toEqual([{ id: 'far-hand-at-our-neck', name: 'Far hand at our neck' }])
    expect(chart.positions[0].seen).toEqual({ [hand]: 4, nothing: 5 })
    renameCue(chart, hand, 'Far hand low')
    expect(chart.cues![0]).toEqual({ id: hand, name: 'Far hand low' })
    expect(() => renameCue(chart, 'gone' as CueId, 'Gone')).toThrow('no longer there')
    expect(addCue(chart, mount, 'Nothing', 1)).toBe('nothing-2')
  })

  it('lets a move wait for it, and for another as well', () => {
    const [hand, hip] = ['Hand', 'Hip'].map((name) => addCue(chart, side, name, 4))
    setWhen(chart, step, hand, true)
    setWhen(chart, step, hip, true)
    setWhen(chart, step, hip, true)
    expect(chart.moves[0].when).toEqual([hand, hip])
    setWhen(chart, step, hand, false)
    setWhen(chart, step, hip, false)
    expect(chart.moves[0]).not.toHaveProperty('when')
  })

  it('that is taken away takes along what waited for it, and its cue where it is seen nowhere else', () => {
    const hand = addCue(chart, side, 'Hand', 4)
    setSeen(chart, mount, hand, 2)
    setWhen(chart, step, hand, true)
    unsee(chart, side, hand)
    expect(chart.positions[0]).not.toHaveProperty('seen')
    expect(chart.moves[0]).not.toHaveProperty('when')
    expect(chart.cues).toHaveLength(1)
    unsee(chart, mount, hand)
    unsee(chart, mount, 'gone' as CueId)
    expect(chart.cues).toEqual([])
  })

  it('is no longer waited for by a move that is tried from where it is not seen', () => {
    const [hand, hip] = ['Hand', 'Hip'].map((name) => addCue(chart, side, name, 4))
    setSeen(chart, mount, hip, 2)
    for (const cue of [hand, hip]) setWhen(chart, step, cue, true)
    setOrigin(chart, step, mount)
    expect(chart.moves[0]).toMatchObject({ from: mount, when: [hip] })
  })

  it('is nothing in particular where all else is never seen', () => {
    const hand = addCue(chart, side, 'Hand', 4)
    setSeen(chart, side, 'nothing', 0)
    setSeen(chart, side, hand, 0)
    expect(chart.positions[0].seen).toEqual({ [hand]: 0, nothing: 1 })
  })
})
