import { produce } from 'immer'
import { seeded } from '../../bench/generate'
import type { Chart } from '../../src/core/chart/chart'
import { CHART_KIND } from '../../src/core/chart/chartKind'
import { applyDiff, diffOf, inverted } from '../../src/core/document/diff'
import { checkEdit } from '../../src/core/document/read'
import { readChart } from '../../src/core/files/chartFile'
import { problemText } from '../../src/core/problem'
import { randomChart } from '../reference/randomChart'
import { drawWith, RANDOM_EDITS } from '../reference/randomEdits'

describe('edits in any order', () => {
  it.each(Array.from({ length: 30 }, (_, i) => i + 1))('keep chart %i sound, and can be taken back', (seed) => {
    const random = seeded(seed)
    const draw = drawWith(random)
    const first = randomChart(seed, seed % 2 === 0)
    let chart = first
    const diffs = []
    for (let n = 0; n < 40; n++) {
      if (!chart.moves.length || !chart.reactions.length) break
      const after = produce(chart, (draft) => void draw.one(RANDOM_EDITS)(draft as Chart, draw))
      const checked = readChart(after)
      expect(checked.ok ? [] : checked.problems.map(problemText)).toEqual([])
      const diff = diffOf(CHART_KIND, chart, after)
      expect(applyDiff(CHART_KIND, chart, diff)).toEqual(after)
      expect(checkEdit(CHART_KIND, after, diff)).toEqual([])
      diffs.push(diff)
      chart = after
    }
    for (const diff of diffs.reverse()) chart = applyDiff(CHART_KIND, chart, inverted(diff))
    expect(chart).toEqual(first)
  })
})
