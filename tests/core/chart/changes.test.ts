import { produce } from 'immer'
import { changedSince, touchesPlan, withChanged } from '../../../src/core/chart/changes'
import { readChart } from '../../../src/core/files/chartFile'
import { lookUp } from '../../../src/core/chart/lookUp'
import { soundChart } from '../../fixtures/brokenCharts'
import { taken } from '../../reference/taken'

const chart = taken(readChart(soundChart()))

describe('what changed of a chart', () => {
  const changes: [name: string, edited: typeof chart, fields: string[], touches: boolean][] = [
    ['nothing', chart, [], false],
    ['its title', produce(chart, (draft) => void (draft.title = 'Other')), ['title'], false],
    ['its settings', produce(chart, (draft) => void (draft.settings = { repeat: 1 })), ['settings'], false],
    ['a count', produce(chart, (draft) => void (draft.moves[0].tries!.lands = 4)), ['moves'], true],
    ['its holds gone', produce(chart, (draft) => void delete draft.holds), ['holds'], true],
    ['another chart', { ...chart, id: 'other' }, ['id'], true],
  ]
  it.each(changes)('is %s', (_, edited, fields, touches) => {
    const changed = changedSince(chart, edited)
    expect(Object.keys(changed)).toEqual(fields)
    expect(touchesPlan(changed)).toBe(touches)
    expect(withChanged(chart, structuredClone(changed))).toEqual({ ...edited, holds: edited.holds })
  })

  it('is all of it where there was none before', () => {
    expect(withChanged(null, changedSince(null, chart))).toEqual(chart)
  })
})

describe('looking a record up', () => {
  it('finds it by its id, in this list and not in one made from it', () => {
    const renamed = produce(chart, (draft) => void (draft.positions[0].name = 'Side mount'))
    expect(lookUp(chart.positions, 'side')).toBe(chart.positions[0])
    expect(lookUp(renamed.positions, 'side')?.name).toBe('Side mount')
    expect(lookUp(chart.positions, 'guard')).toBeUndefined()
    expect(lookUp(chart.positions, null)).toBeUndefined()
    expect(lookUp(undefined, 'side')).toBeUndefined()
  })
})
