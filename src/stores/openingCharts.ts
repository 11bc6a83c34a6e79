import { shallowRef } from 'vue'
import type { Chart } from '../core/chart/chart'
import { CHART_KIND } from '../core/chart/chartKind'
import type { Problem } from '../core/problem'
import type { Store } from '../storage/connection'
import { rawDocument, readKept } from '../storage/documents'
import { useAddingCharts } from './addingCharts'
import type { useDocumentList } from './documentList'
import type { useOpenDocument } from './openDocument'

const OPEN_KEY = 'ataque-open'

/** A chart that is kept and cannot be opened, with what is wrong with it and what is kept, as a file's text. */
export interface Unreadable {
  id: string
  problems: Problem[]
  text: string
}

/** Opens, adds, duplicates, removes and restores whole charts. */
export function useOpeningCharts(
  store: Store,
  list: ReturnType<typeof useDocumentList<Chart>>,
  current: ReturnType<typeof useOpenDocument<Chart>>,
) {
  const unreadable = shallowRef<Unreadable | null>(null)
  const openId = () => current.document.value?.id
  const read = (id: string) => store.run((db) => readKept(db, CHART_KIND, id))

  /**
   * Opens a chart and returns whether it is open: as it was left, where it has edits that are not kept. One that is not
   * sound is left as it is and put into `unreadable`. Rejects where the store cannot be read.
   */
  async function open(id: string): Promise<boolean> {
    await current.flush()
    if (current.resume(id)) return opened(id)
    const kept = await read(id)
    if (!kept) return false
    if (!kept.ok) {
      const raw = await store.run((db) => rawDocument(db, CHART_KIND, id))
      unreadable.value = { id, problems: kept.problems, text: JSON.stringify(raw, null, 2) }
      return false
    }
    current.begin(store, kept.value)
    return opened(id)
  }

  /** A kept chart, to look at beside the one that is open; null where there is none that is sound. */
  async function peek(id: string): Promise<Chart | null> {
    const kept = await read(id)
    return kept?.ok ? kept.value.document : null
  }

  function opened(id: string): true {
    rememberOpen(id)
    return true
  }

  /** Opens the chart that was open last, or else the last saved one that can be opened. */
  async function openLast(): Promise<void> {
    const last = lastOpen()
    const entries = list.kept.value.toSorted((a, b) => Number(b.id === last) - Number(a.id === last))
    for (const { id } of entries) if (await open(id)) return
  }

  /** Rejects for a chart that is not saved: the bin is a place in the store. */
  async function remove(id: string): Promise<void> {
    await current.flush()
    const unsaved = current.unsaved.value.find((one) => one.id === id)
    if (unsaved) throw new Error('it is not saved')
    await list.setInBin(id, true)
    if (id !== openId()) return
    current.end()
    await openLast()
  }

  /** Leaves the open chart, which another tab has forgotten for good, to be forgotten here too. */
  async function letGo(): Promise<void> {
    const id = openId()
    if (id !== undefined) current.drop(id)
    await openLast()
  }

  async function restore(id: string): Promise<void> {
    await list.setInBin(id, false)
    await open(id)
  }

  async function forget(id: string): Promise<void> {
    await list.forget(id)
    current.drop(id)
  }

  const adding = useAddingCharts(store, list, current, rememberOpen)
  const isExpected = lastOpen() !== null
  return { unreadable, open, peek, openLast, letGo, remove, restore, forget, isExpected, ...adding }
}

/** Which chart was open is no loss where site data is blocked. */
function rememberOpen(id: string): void {
  try {
    localStorage.setItem(OPEN_KEY, id)
  } catch {
    // Reading it throws as well, and then the last saved one is opened.
  }
}

function lastOpen(): string | null {
  try {
    return localStorage.getItem(OPEN_KEY)
  } catch {
    return null
  }
}
