import { produce } from 'immer'
import { seeded } from '../../bench/generate'
import type { Chart } from '../../src/core/chart/chart'
import { CHART_KIND } from '../../src/core/chart/chartKind'
import { applyDiff, diffOf, inverted } from '../../src/core/document/diff'
import type { Edit } from '../../src/core/document/history'
import { checkEdit, makeDocument } from '../../src/core/document/read'
import { parseChart } from '../../src/core/files/chartFile'
import { problemText, Refusal } from '../../src/core/problem'
import { mirroredEdit } from '../../src/core/sides/edits/mirroredEdit'
import { EVERY_EDIT } from '../reference/everyEdit'
import { randomChart } from '../reference/randomChart'
import { drawWith, SOUND_EDITS, type RandomEdit } from '../reference/randomEdits'

/* Whatever edit falls on whatever chart: a sound chart comes of it, or a refusal that says why and changes nothing. */

const edits = Object.entries<RandomEdit>(EVERY_EDIT)
const done = new Set<string>()

/** Takes out or puts in, and sets nothing that the coach types: never refused. */
const isSound = (name: string) => name in SOUND_EDITS || /^(remove|drop|shift|leave|takeOff|letGo|keepAll)/.test(name)

/** The chart after the edit; null where the edit itself refuses. */
function edited(chart: Chart, edit: Edit<Chart>): Chart | null {
  try {
    return produce(chart, (draft) => void edit(draft as Chart))
  } catch (error) {
    if (!(error instanceof Refusal)) throw error
    expect(error.message.length).toBeGreaterThan(5)
    return null
  }
}

describe('edits in any order', () => {
  it.each(Array.from({ length: 60 }, (_, i) => i + 1))('keep chart %i sound, and can be taken back', (seed) => {
    const draw = drawWith(seeded(seed))
    const first = randomChart(seed, seed % 2 === 0)
    let chart = first
    const diffs = []
    for (let n = 0; n < 60; n++) {
      if (!chart.moves.length || !chart.reactions.length) break
      const [name, change] = draw.one(edits)
      const plain: Edit<Chart> = (draft) => void change(draft, draw)
      const after = edited(chart, draw.below(4) ? plain : mirroredEdit(plain))
      if (!after) continue
      const diff = diffOf(CHART_KIND, chart, after)
      const refused = checkEdit(CHART_KIND, after, diff).map(problemText)
      const read = parseChart(makeDocument(after))
      expect([name, read.ok ? [] : read.problems.map(problemText)]).toEqual([name, refused])
      if (isSound(name)) expect([name, refused]).toEqual([name, []])
      if (refused.length) continue
      done.add(name)
      expect(applyDiff(CHART_KIND, chart, diff)).toEqual(after)
      diffs.push(diff)
      chart = after
    }
    for (const diff of diffs.reverse()) chart = applyDiff(CHART_KIND, chart, inverted(diff))
    expect(chart).toEqual(first)
  })

  it('were each done at least once', () => {
    expect(Object.keys(EVERY_EDIT).filter((name) => !done.has(name))).toEqual([])
  })
})
