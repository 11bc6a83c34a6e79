import type { Chart } from '../../../src/core/chart/chart'
import { removeMove, removePosition, removeReaction } from '../../../src/core/chart/edits/records'
import * as runs from '../../../src/core/chart/edits/runs'
import type { MoveId, PositionId, ReactionId } from '../../../src/core/chart/ids'
import type { RunStep } from '../../../src/core/chart/run'
import { readChart } from '../../../src/core/files/chartFile'
import { soundChart } from '../../fixtures/brokenCharts'
import { taken } from '../../reference/taken'

const [side, mount] = ['side', 'mount'] as PositionId[]
const step = 'step' as MoveId
const MET = { move: 'step', reaction: 'bridge' } as RunStep
const LANDS = { move: 'step' } as RunStep
const AWAY = { move: 'step', elsewhere: 'mount' } as RunStep

let chart: Chart
beforeEach(() => {
  chart = taken(readChart(soundChart()))
  chart.moves[0].tries!.elsewhere = { mount: 1 }
})
afterEach(() => expect(readChart(chart)).toMatchObject({ ok: true }))
const ids = () => chart.runs?.map(({ id }) => id)

describe('runs', () => {
  it('are added under free ids, put up and down, and removed', () => {
    expect([runs.addRun(chart, 'Up', side), runs.addRun(chart, 'Up', mount, [])]).toEqual(['up', 'up-2'])
    runs.addRun(chart, 'Third', side, [LANDS])
    expect(chart.runs![0]).toEqual({ id: 'up', name: 'Up', start: side, steps: [] })
    runs.shiftRun(chart, 'third', -1)
    expect(ids()).toEqual(['up', 'third', 'up-2'])
    runs.shiftRun(chart, 'up', 1)
    expect(ids()).toEqual(['third', 'up', 'up-2'])
    runs.shiftRun(chart, 'third', -1)
    runs.shiftRun(chart, 'up-2', 1)
    expect(ids()).toEqual(['third', 'up', 'up-2'])
    runs.removeRun(chart, 'up')
    expect(ids()).toEqual(['third', 'up-2'])
    expect(() => runs.removeRun(chart, 'up')).toThrow('the run "up" is no longer there')
    expect(() => runs.shiftRun(chart, 'up', 1)).toThrow('the run "up" is no longer there')
    runs.removeRun(chart, 'third')
    runs.removeRun(chart, 'up-2')
    expect(chart).not.toHaveProperty('runs')
  })

  it('go on from what the coach saw, and not where another tab has led them elsewhere', () => {
    const id = runs.addRun(chart, 'Up', side, [MET, LANDS])
    runs.continueRun(chart, id, [MET], AWAY)
    expect(runs.runIn(chart, id).steps).toEqual([MET, AWAY])
    runs.continueRun(chart, id, [MET])
    expect(runs.runIn(chart, id).steps).toEqual([MET])
    expect(() => runs.continueRun(chart, id, [LANDS], MET)).toThrow('the run “Up” goes another way by now')
    expect(() => runs.continueRun(chart, id, [MET, LANDS])).toThrow('goes another way by now')
    runs.continueRun(chart, id, [], LANDS)
    expect(runs.runIn(chart, id).steps).toEqual([LANDS])
  })

  it('keep why a remark is meant so, once a remark, until no reason is given', () => {
    const id = runs.addRun(chart, 'Up', side)
    runs.intend(chart, id, 'a', ' on purpose ')
    runs.intend(chart, id, 'b', 'too')
    runs.intend(chart, id, 'a', 'still')
    expect(runs.runIn(chart, id).intended).toEqual([
      { remark: 'b', reason: 'too' },
      { remark: 'a', reason: 'still' },
    ])
    runs.intend(chart, id, 'b', '  ')
    runs.intend(chart, id, 'a', '')
    expect(runs.runIn(chart, id)).not.toHaveProperty('intended')
  })

  it.each<[string, (chart: Chart) => void, RunStep[]]>([
    ['move', (all) => removeMove(all, step), []],
    ['reaction', (all) => removeReaction(all, 'bridge' as ReactionId), [LANDS]],
  ])('end before a %s that is removed', (_, remove, left) => {
    const id = runs.addRun(chart, 'Up', side, [LANDS, MET, LANDS])
    remove(chart)
    expect(runs.runIn(chart, id).steps).toEqual(left)
  })

  it('end before a place that is removed, and go where they begin in it', () => {
    const other = { id: 'guard' as PositionId, name: 'Guard', family: 'guard', ahead: 'even' as const }
    chart.positions.push(other)
    chart.moves[0].tries!.elsewhere = { guard: 1 }
    const id = runs.addRun(chart, 'Up', side, [LANDS, { ...AWAY, elsewhere: other.id }, LANDS])
    const gone = runs.addRun(chart, 'From there', other.id)
    removePosition(chart, other.id)
    expect([runs.runIn(chart, id).steps, ids()?.includes(gone)]).toEqual([[LANDS], false])
  })
})
