import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { Chart } from '../core/chart/chart'
import { CHART_KIND } from '../core/chart/chartKind'
import type { Edit } from '../core/document/history'
import { mirroredEdit } from '../core/sides/edits/mirroredEdit'
import { mirrorChart } from '../core/sides/mirror'
import { openDatabase, type Database, type StoredView } from '../storage/database'
import { keepView, readView } from '../storage/views'
import { useDocumentList } from './documentList'
import { useImporting } from './importing'
import { useNews } from './news'
import { useOpenDocument } from './openDocument'
import { useOpeningCharts } from './openingCharts'

/** The charts that are kept, and the one that is open. */
export const useCharts = defineStore('charts', () => {
  const db = shallowRef<Database | null>(null)
  const isReady = ref(false)
  /** True where the browser keeps nothing, as in some private modes. */
  const isForgetful = ref(false)
  const { news, tell } = useNews()
  const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('ataque')
  const announce = (id: string) => channel?.postMessage({ id })

  const list = useDocumentList(CHART_KIND, db, announce)
  const current = useOpenDocument(CHART_KIND, { tell, announce, saved: list.touch })
  const { open, openLast, ...opening } = useOpeningCharts(db, list, current)
  const isFlipped = useLocalStorage('ataque-flipped', false)
  /** As it is seen: from the side that it was charted for, or (flipped) from the other. */
  const chart = computed(() => {
    const kept = current.document.value
    return kept && isFlipped.value ? mirrorChart(kept) : kept
  })

  /** Does an edit of the chart as it is seen, as one step that can be undone. Returns whether anything changed. */
  const edit = (label: string, change: Edit<Chart>, join?: string): boolean =>
    current.edit(label, isFlipped.value ? mirroredEdit(change) : change, join)

  let starting: Promise<void> | null = null
  /** Opens the store of charts and the chart that was open last. */
  function start(): Promise<void> {
    starting ??= begin()
    return starting
  }

  async function begin() {
    try {
      db.value = await openDatabase()
      await list.refresh()
      await openLast()
    } catch {
      db.value = null
      isForgetful.value = true
    }
    channel?.addEventListener('message', ({ data }) => void hear(data as { id: string }))
    isReady.value = true
  }

  /** Another tab saved or removed a chart. */
  async function hear({ id }: { id: string }) {
    await list.refresh()
    if (id !== chart.value?.id) return
    await current.refresh()
    // Said last: it matters more than that something changed.
    if (!list.kept.value.some((entry) => entry.id === id)) {
      tell('This chart was put in the bin in another tab.', 'warning')
    }
  }

  /** How a chart was last looked at, if the browser keeps it. */
  const viewOf = async (id: string) => (db.value ? await readView(db.value, id) : undefined)
  /** Keeps how a chart is looked at; a view that cannot be kept is no loss worth telling. */
  const keepViewOf = async (view: StoredView) => {
    if (db.value) await keepView(db.value, view).catch(() => undefined)
  }

  const openId = () => chart.value?.id
  const importing = useImporting({ list, add: opening.add, open, edit: current.edit, openId })
  const { entries, kept, bin, forget } = list
  const { saving, steps, refused, undo, redo, exportText, flush } = current
  return {
    ...{ entries, kept, bin, chart, saving, steps, refused, isFlipped, news, isReady, isForgetful },
    ...{ start, open, edit, undo, redo, forget, tell, exportText, retry: flush },
    ...opening,
    ...importing,
    ...{ viewOf, keepView: keepViewOf },
  }
})
