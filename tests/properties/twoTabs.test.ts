import 'fake-indexeddb/auto'
import { produce } from 'immer'
import { seeded } from '../../bench/generate'
import type { Chart } from '../../src/core/chart/chart'
import { CHART_KIND } from '../../src/core/chart/chartKind'
import type { Edit } from '../../src/core/document/history'
import { readDocument } from '../../src/core/document/read'
import { openDatabase, type Database } from '../../src/storage/database'
import { DocumentEditor } from '../../src/storage/documentEditor'
import { addDocument, readKept } from '../../src/storage/documents'
import { randomChart } from '../reference/randomChart'
import { drawWith, RANDOM_EDITS } from '../reference/randomEdits'
import { taken } from '../reference/taken'

/**
 * What the coach does in a tab: an edit of its own seed, so that done again it draws the same way; or undo, or redo.
 */
type Deed = { label: string; edit: Edit<Chart> } | 'undo' | 'redo'

/** The reference: a plain list of edits, all done again from the first chart whenever the chart is asked for. */
class ListOfEdits {
  edits: { label: string; edit: Edit<Chart> }[] = []
  done = 0

  constructor(private readonly first: Chart) {}

  get chart(): Chart {
    return this.edits.slice(0, this.done).reduce((chart, { edit }) => produce(chart, edit), this.first)
  }

  do(deed: Deed): void {
    if (deed === 'undo') this.done = Math.max(0, this.done - 1)
    else if (deed === 'redo') this.done = Math.min(this.edits.length, this.done + 1)
    else if (isSound(deed.edit, this.chart)) {
      this.edits = [...this.edits.slice(0, this.done), deed]
      this.done++
    }
  }
}

/** Whether an edit changes a chart into another that the reader of files accepts. */
function isSound(edit: Edit<Chart>, chart: Chart): boolean {
  try {
    const after = produce(chart, edit)
    return JSON.stringify(after) !== JSON.stringify(chart) && readDocument(CHART_KIND, after).ok
  } catch {
    return false
  }
}

function randomDeed(random: () => number): Deed {
  const kind = random()
  if (kind < 0.15) return 'undo'
  if (kind < 0.25) return 'redo'
  const seed = Math.floor(random() * 2 ** 31)
  const wild = random() < 0.08
  const edit = (draft: Chart) => {
    const draw = drawWith(seeded(seed))
    if (wild) draw.one(draft.moves).tries = { lands: 5000 }
    else if (draft.moves.length && draft.reactions.length) draw.one(RANDOM_EDITS)(draft, draw)
  }
  return { label: `edit ${seed}`, edit }
}

const events = { changed() {}, saving() {}, refused() {}, lost() {} }
const clock = { now: () => 1, later: () => undefined, announce() {} }
const tab = async (db: Database, id: string) =>
  new DocumentEditor(db, CHART_KIND, taken((await readKept(db, CHART_KIND, id))!), events, clock)

/** Whether the deed did something in the tab: only then is it written. */
function doIn(editor: DocumentEditor<Chart>, deed: Deed): boolean {
  if (deed === 'undo') return editor.undo()
  if (deed === 'redo') return editor.redo()
  return editor.edit(deed.label, deed.edit)
}

it.each(Array.from({ length: 12 }, (_, i) => i + 1))(
  'two tabs that take turns, each on what it last knew, keep what a list of edits gives: %i',
  async (seed) => {
    const random = seeded(seed)
    const first = randomChart(seed, seed % 2 === 0)
    const db = await openDatabase(`fuzz-${seed}`)
    await addDocument(db, CHART_KIND, first, 1)
    const reference = new ListOfEdits(first)
    const tabs = [await tab(db, first.id), await tab(db, first.id)]
    for (let round = 0; round < 14; round++) {
      const at = random() < 0.5 ? 0 : 1
      if (random() < 0.3) await tabs[at].refresh()
      if (random() < 0.15) tabs[at] = await tab(db, first.id)
      const deeds = Array.from({ length: 1 + Math.floor(random() * 3) }, () => randomDeed(random))
      const taken = deeds.filter((deed) => doIn(tabs[at], deed))
      await tabs[at].flush()
      taken.forEach((deed) => reference.do(deed))
      const { document, steps, done } = await keptNow(db, first.id)
      expect(document).toEqual(reference.chart)
      expect([steps.map(({ label }) => label), done]).toEqual([
        reference.edits.map(({ label }) => label),
        reference.done,
      ])
      if (!taken.length) await tabs[at].refresh()
      expect(tabs[at].document).toEqual(reference.chart)
    }
    const last = await tab(db, first.id)
    const [whole, { done }] = [last.document, reference]
    for (let n = 0; n < done; n++) expect(last.undo()).toBe(true)
    expect(last.document).toEqual(first)
    for (let n = 0; n < done; n++) expect(last.redo()).toBe(true)
    expect(last.document).toEqual(whole)
    await last.flush()
    db.close()
  },
)

const keptNow = async (db: Database, id: string) => taken((await readKept(db, CHART_KIND, id))!)
