import { present } from '../core/sure'
import { shallowRef, type Ref } from 'vue'
import { emptyChart, type Chart } from '../core/chart/chart'
import { CHART_KIND } from '../core/chart/chartKind'
import type { Problem } from '../core/problem'
import type { Database } from '../storage/database'
import { rawDocument, readKept, type Kept } from '../storage/documents'
import type { useDocumentList } from './documentList'
import type { useOpenDocument } from './openDocument'

const OPEN_KEY = 'ataque-open'

/** A chart that is kept and cannot be opened, with what is wrong with it and what is kept, as a file's text. */
export interface Unreadable {
  id: string
  problems: Problem[]
  text: string
}

/** Opens, adds, duplicates, removes and restores whole charts. `db` is null where the browser keeps nothing. */
export function useOpeningCharts(
  db: Ref<Database | null>,
  list: ReturnType<typeof useDocumentList<Chart>>,
  current: ReturnType<typeof useOpenDocument<Chart>>,
) {
  const unreadable = shallowRef<Unreadable | null>(null)

  /**
   * Opens a kept chart and returns whether it is open. One that is not sound is left as it is and put into
   * `unreadable`.
   */
  async function open(id: string): Promise<boolean> {
    await current.flush()
    const kept = db.value && (await readKept(db.value, CHART_KIND, id))
    if (!kept) return false
    if (!kept.ok) {
      const raw = await rawDocument(present(db.value), CHART_KIND, id)
      unreadable.value = { id, problems: kept.problems, text: JSON.stringify(raw, null, 2) }
      return false
    }
    localStorage.setItem(OPEN_KEY, id)
    current.begin(db.value, kept.value)
    return true
  }

  /** Opens the chart that was open last, or else the last saved one that can be opened. */
  async function openLast(): Promise<void> {
    const last = localStorage.getItem(OPEN_KEY)
    const entries = list.kept.value.toSorted((a, b) => Number(b.id === last) - Number(a.id === last))
    for (const { id } of entries) if (await open(id)) return
  }

  /** Keeps a new chart and opens it; returns its id. */
  async function add(added: Chart): Promise<string> {
    await list.add(added)
    if (db.value) await open(added.id)
    else current.begin(null, unkept(added))
    return added.id
  }

  const create = (title: string) => add(emptyChart(list.freshId(title), title))

  async function duplicate(id: string): Promise<void> {
    const kept = db.value && (await readKept(db.value, CHART_KIND, id))
    if (!kept?.ok) return
    const title = `${kept.value.document.title} (copy)`
    await add({ ...kept.value.document, id: list.freshId(title), title })
  }

  async function remove(id: string): Promise<void> {
    if (!db.value) return
    const isOpen = id === current.document.value?.id
    await current.flush()
    await list.setInBin(id, true)
    if (!isOpen) return
    current.end()
    await openLast()
  }

  async function restore(id: string): Promise<void> {
    await list.setInBin(id, false)
    await open(id)
  }

  return { unreadable, open, openLast, add, create, duplicate, remove, restore }
}

/** A chart that the browser does not keep. */
const unkept = (document: Chart): Kept<Chart> => ({
  ...{ document, steps: [], done: 0 },
  ...{ revision: 0, savedAt: 0, isModern: true },
})
