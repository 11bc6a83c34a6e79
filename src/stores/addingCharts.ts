import { emptyChart, type Chart } from '../core/chart/chart'
import { NEW_SETTINGS } from '../core/chart/guesses'
import { CHART_KIND } from '../core/chart/chartKind'
import { present } from '../core/sure'
import type { Store } from '../storage/connection'
import { readKept, type Kept } from '../storage/documents'
import type { useDocumentList } from './documentList'
import type { useOpenDocument } from './openDocument'

/** Makes whole charts, each of which is open then. `opened` hears which. */
export function useAddingCharts(
  store: Store,
  list: ReturnType<typeof useDocumentList<Chart>>,
  current: ReturnType<typeof useOpenDocument<Chart>>,
  opened: (id: string) => void,
) {
  /** Opens a new chart and keeps it; returns its id. Where it cannot be kept it is open all the same, and unsaved. */
  async function add(added: Chart): Promise<string> {
    list.expect(added)
    current.begin(store, unkept(added))
    await current.flush()
    opened(added.id)
    return added.id
  }

  const create = (title: string) => add({ ...emptyChart(list.freshId(title), title), settings: NEW_SETTINGS })

  async function duplicate(id: string): Promise<void> {
    const { value: open } = current.document
    const chart = open?.id === id ? open : await sound(id)
    if (!chart) return
    const title = `${chart.title} (copy)`
    await add({ ...chart, id: list.freshId(title), title })
  }

  async function sound(id: string): Promise<Chart | null> {
    const kept = await store.run((db) => readKept(db, CHART_KIND, id))
    return kept?.ok ? kept.value.document : null
  }

  /** Keeps the open chart, which another tab has forgotten for good, as a new one. */
  async function keepAsNew(): Promise<void> {
    const forgotten = present(current.document.value)
    current.drop(forgotten.id)
    await add({ ...forgotten, id: list.freshId(forgotten.title) })
  }

  return { add, create, duplicate, keepAsNew }
}

/** A chart that the store does not have yet. */
const unkept = (document: Chart): Kept<Chart> => ({
  ...{ document, steps: [], done: 0 },
  ...{ revision: 0, savedAt: 0, isModern: true },
})
