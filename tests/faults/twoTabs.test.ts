import 'fake-indexeddb/auto'
import { seeded } from '../../bench/generate'
import type { Chart } from '../../src/core/chart/chart'
import { CHART_KIND } from '../../src/core/chart/chartKind'
import type { Edit } from '../../src/core/document/history'
import { openDatabase, type Database } from '../../src/storage/database'
import { DocumentEditor } from '../../src/storage/documentEditor'
import { addDocument, readKept } from '../../src/storage/documents'
import { inAnyOrder, PlainTabs, type Done } from '../reference/plainTabs'
import { randomChart } from '../reference/randomChart'
import { drawWith, RANDOM_EDITS } from '../reference/randomEdits'
import { taken } from '../reference/taken'
import { storeOf, tabName } from '../storage/storeOf'
import { amount, report } from './amount'

/**
 * What the coach does in a tab: an edit of its own seed, so that done again it draws the same way; or undo, or redo.
 */
type Deed = { label: string; edit: Edit<Chart> } | 'undo' | 'redo'

function randomDeed(random: () => number): Deed {
  const kind = random()
  if (kind < 0.2) return 'undo'
  if (kind < 0.3) return 'redo'
  const seed = Math.floor(random() * 2 ** 31)
  const wild = random() < 0.08
  const edit = (draft: Chart) => {
    const draw = drawWith(seeded(seed))
    if (!draft.moves.length) return
    if (wild) draw.one(draft.moves).tries = { lands: 5000 }
    else if (draft.reactions.length) draw.one(RANDOM_EDITS)(draft, draw)
  }
  return { label: `edit ${seed}`, edit }
}

/** A tab: its editor, what it was told is lost, and the chart as it last knew it to be kept. */
class Tab {
  private constructor(
    readonly name: string,
    readonly lost: string[],
    readonly editor: DocumentEditor<Chart>,
    public synced: Chart,
  ) {}

  static async open(db: Database, id: string, reference: PlainTabs): Promise<Tab> {
    const name = tabName()
    const lost: string[] = []
    const events = { changed() {}, saving() {}, refused() {}, lost: (label: string) => void lost.push(label) }
    const clock = { tab: name, now: () => 1, later: () => undefined, announce() {} }
    const editor = new DocumentEditor(storeOf(db), CHART_KIND, await keptNow(db, id), events, clock)
    reference.open(name)
    return new Tab(name, lost, editor, editor.document)
  }

  /** Does the deed, and returns it if it did something here. */
  do(deed: Deed): Done | null {
    const { editor } = this
    const before = editor.document
    if (deed === 'undo' || deed === 'redo') {
      const label = deed === 'undo' ? editor.undoLabel : editor.redoLabel
      return editor[deed]() ? { do: deed, label: label! } : null
    }
    return editor.edit(deed.label, deed.edit) ? { do: 'edit', ...deed, before, after: editor.document } : null
  }
}

const nameOf = (deed: Done) =>
  deed.do === 'edit' ? deed.label : `${deed.do === 'undo' ? 'Undo' : 'Redo'}: ${deed.label}`

/** Of an edit done, taken back, done again …, all in vain, only the last is missed: none, where that is its undo. */
function isMissed(lost: readonly Done[], { label }: Done, at: number): boolean {
  const ofStep = lost.flatMap((deed, i) => (deed.label === label ? i : []))
  return ofStep.length % 2 === 1 && ofStep.at(-1) === at
}

const GAMES = amount(12, 100)
let saidLost = 0
let most = 0
let sound = 0
afterAll(() =>
  report('two tabs', GAMES, GAMES - sound, `${most} edits of a game fell, all ${saidLost} in all games said`),
)

it.each(Array.from({ length: GAMES }, (_, i) => i + 1))(
  'two tabs that take turns, each on what it last knew, keep what a plain list of steps gives: %i',
  async (seed) => {
    const random = seeded(seed)
    const first = randomChart(seed, seed % 2 === 0)
    const db = await openDatabase(`fuzz-${seed}`)
    await addDocument(db, CHART_KIND, first, 1)
    const reference = new PlainTabs(first)
    const open = () => Tab.open(db, first.id, reference)
    const tabs = [await open(), await open()]
    let fell = 0
    for (let round = 0; round < 14; round++) {
      const at = random() < 0.5 ? 0 : 1
      if (random() < 0.3) await sync(tabs[at]!)
      if (random() < 0.15) tabs[at] = await open()
      const tab = tabs[at]!
      const { synced } = tab
      const theirs = reference.chart
      const drawn = Array.from({ length: 1 + Math.floor(random() * 3) }, () => randomDeed(random))
      // What follows an undo would draw other records where another order is as good.
      const deeds = drawn.slice(0, drawn.indexOf('undo') + 1 || drawn.length)
      const done = deeds.flatMap((deed) => tab.do(deed) ?? [])
      await sync(tab)
      const said = tab.lost.splice(0)
      const lost = done.filter((deed) => reference.loses(tab.name, deed, synced, theirs, said.includes(nameOf(deed))))
      expect(said).toEqual(lost.filter((deed, i) => isMissed(lost, deed, i)).map(nameOf))
      fell += said.length
      const kept = await keptNow(db, first.id)
      const same = reference.isLoose ? inAnyOrder : (chart: Chart) => chart
      expect(same(kept.document)).toEqual(same(reference.chart))
      reference.chart = kept.document
      expect([kept.steps.map(({ label }) => label), kept.done]).toEqual(reference.labels)
      expect(tab.editor.document).toEqual(kept.document)
    }
    const last = await open()
    const whole = last.editor.document
    const [, done] = reference.labels
    for (let n = 0; n < done; n++) expect(last.editor.undo()).toBe(true)
    expect(inAnyOrder(last.editor.document)).toEqual(inAnyOrder(first))
    for (let n = 0; n < done; n++) expect(last.editor.redo()).toBe(true)
    expect(inAnyOrder(last.editor.document)).toEqual(inAnyOrder(whole))
    await last.editor.flush()
    db.close()
    sound++
    saidLost += fell
    most = Math.max(most, fell)
  },
)

/** Writes what the tab has, and takes over what others have written. */
async function sync(tab: Tab): Promise<void> {
  await tab.editor.flush()
  await tab.editor.refresh()
  tab.synced = tab.editor.document
}

const keptNow = async (db: Database, id: string) => taken((await readKept(db, CHART_KIND, id))!)
