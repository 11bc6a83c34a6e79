import { produce } from 'immer'
import type { Chart } from '../../src/core/chart/chart'
import { applyDiff, diffOf, inverted, isEmptyDiff } from '../../src/core/chart/diff'
import { readChart } from '../../src/core/files/chartFile'
import { soundChart } from '../fixtures/brokenCharts'
import { taken } from '../reference/taken'

const chart: Chart = taken(readChart(soundChart()))
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
    const diff = diffOf(chart, after)
    expect(diff).toEqual({
      lists: { positions: { at: 1, removed: [chart.positions[1]], added: [after.positions[1]] } },
      fields: {},
    })
  })

  it('of an added or removed record is one stretch, wherever it is', () => {
    const added = edited((draft) => void draft.positions.splice(1, 0, { ...draft.positions[0], id: 'new' as never }))
    expect(diffOf(chart, added).lists.positions).toMatchObject({ at: 1, removed: [], added: [{ id: 'new' }] })
    const removed = edited((draft) => void draft.positions.splice(0, 1))
    expect(diffOf(chart, removed).lists.positions).toMatchObject({ at: 0, removed: [{ id: 'side' }], added: [] })
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
    const after = edited((draft) => void (draft.moves[0].tries.lands = 9))
    applyDiff(chart, diffOf(chart, after))
    expect(JSON.stringify(chart)).toBe(before)
    expect(applyDiff(chart, diffOf(chart, after)).positions).toBe(chart.positions)
  })
})
