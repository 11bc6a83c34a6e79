import { produce } from 'immer'
import type { Chart } from '../../../src/core/chart/chart'
import { CHART_KIND } from '../../../src/core/chart/chartKind'
import * as diffs from '../../../src/core/document/diff'
import { inverted, isEmptyDiff } from '../../../src/core/document/diff'
import { readChart } from '../../../src/core/files/chartFile'
import { soundChart } from '../../fixtures/brokenCharts'
import { taken } from '../../reference/taken'

const chart: Chart = taken(readChart(soundChart()))
const diffOf = (before: Chart, after: Chart) => diffs.diffOf(CHART_KIND, before, after)
const applyDiff = (to: Chart, diff: diffs.DocumentDiff) => diffs.applyDiff(CHART_KIND, to, diff)
const edited = (edit: (draft: Chart) => void) => produce(chart, (draft) => void edit(draft as Chart))

describe('a diff', () => {
  it('of a chart with itself is empty', () => {
    expect(isEmptyDiff(diffOf(chart, chart))).toBe(true)
    expect(
      isEmptyDiff(
        diffOf(
          chart,
          edited(() => undefined),
        ),
      ),
    ).toBe(true)
  })

  it('of one changed record is that record, before and after', () => {
    const after = edited((draft) => void (draft.positions[1].name = 'Low mount'))
    const records = [{ key: 'mount', before: chart.positions[1], after: after.positions[1] }]
    expect(diffOf(chart, after)).toEqual({ lists: { positions: { records } }, fields: {} })
  })

  it('of an added or removed record says what it stands before', () => {
    const fresh = { ...chart.positions[0], id: 'new' as never }
    const added = edited((draft) => void draft.positions.splice(1, 0, fresh))
    expect(diffOf(chart, added).lists.positions).toEqual({ records: [{ key: 'new', after: fresh, next: 'mount' }] })
    const removed = edited((draft) => void draft.positions.splice(0, 1))
    expect(diffOf(chart, removed).lists.positions).toEqual({
      records: [{ key: 'side', before: chart.positions[0], next: 'mount' }],
    })
  })

  it('of records put in another order is that order', () => {
    const after = edited((draft) => void draft.positions.reverse())
    const order = { before: ['side', 'mount'], after: ['mount', 'side'] }
    expect(diffOf(chart, after).lists.positions).toEqual({ records: [], order })
    expect(applyDiff(after, inverted(diffOf(chart, after)))).toEqual(chart)
  })

  it('tells answers apart that answer the same with the same', () => {
    const twice = edited((draft) => void draft.answers.push({ ...draft.answers[0], tries: { lands: 1 } }))
    const after = produce(twice, (draft) => void draft.answers.splice(0, 1))
    expect(applyDiff(twice, diffOf(twice, after))).toEqual(after)
    expect(applyDiff(after, inverted(diffOf(twice, after)))).toEqual(twice)
  })

  it('can be applied to a document in which other records have come and gone', () => {
    const renamed = edited((draft) => void (draft.positions[1].name = 'Low mount'))
    const other = edited((draft) => void draft.positions.unshift({ ...draft.positions[0], id: 'new' as never }))
    const both = applyDiff(other, diffOf(chart, renamed))
    expect(both.positions.map(({ id, name }) => [id, name])).toEqual([
      ['new', 'Side control'],
      ['side', 'Side control'],
      ['mount', 'Low mount'],
    ])
  })

  it('keeps fields that come and go', () => {
    const after = edited((draft) => {
      draft.notes = 'for Tuesday'
      draft.settings = { repeat: 1 }
    })
    const diff = diffOf(chart, after)
    expect(applyDiff(chart, diff)).toEqual(after)
    const back = applyDiff(after, inverted(diff))
    expect(back).toEqual(chart)
    expect(back).not.toHaveProperty('notes')
  })

  it('inverted twice is itself', () => {
    const diff = diffOf(
      chart,
      edited((draft) => {
        draft.title = 'Other'
        draft.moves = []
        draft.answers = []
      }),
    )
    expect(inverted(inverted(diff))).toEqual(diff)
  })

  it('does not touch the chart that it is applied to', () => {
    const before = JSON.stringify(chart)
    const after = edited((draft) => void (draft.moves[0].tries!.lands = 9))
    applyDiff(chart, diffOf(chart, after))
    expect(JSON.stringify(chart)).toBe(before)
    expect(applyDiff(chart, diffOf(chart, after)).positions).toBe(chart.positions)
  })
})
