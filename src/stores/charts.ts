import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import { openDatabase, type Database, type StoredView } from '../storage/database'
import { useImporting } from './importing'
import { useLibrary } from './chartList'
import { useOpenChart, type Tell } from './openChart'

/** The charts that are kept, and the one that is open. */
export const useCharts = defineStore('charts', () => {
  const db = shallowRef<Database | null>(null)
  const isReady = ref(false)
  /** True where the browser keeps nothing, as in some private modes. */
  const isForgetful = ref(false)
  /** Something to tell the coach once; the frame shows it. */
  const news = ref<{ text: string; kind: 'info' | 'warning'; at: number } | null>(null)
  const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('ataque')
  const announce = (id: string) => channel?.postMessage({ id })
  const tell: Tell = (text, kind = 'info') => (news.value = { text, kind, at: Date.now() })

  const current = useOpenChart({ tell, announce, saved: (saved, at) => library.touch(saved, at) })
  const library = useLibrary(db, current, announce)
  const { add, open, forget } = library
  const importing = useImporting({
    ...{ add, open, forget, edit: current.editKept },
    entries: () => library.entries.value,
    openId: () => current.chart.value?.id,
  })

  let starting: Promise<void> | null = null
  /** Opens the store of charts and the chart that was open last. */
  function start(): Promise<void> {
    starting ??= begin()
    return starting
  }

  async function begin() {
    try {
      db.value = await openDatabase()
      await library.refresh()
      await library.openLast()
    } catch {
      db.value = null
      isForgetful.value = true
    }
    channel?.addEventListener('message', ({ data }) => void hear(data as { id: string }))
    isReady.value = true
  }

  async function hear({ id }: { id: string }) {
    await library.refresh()
    if (id !== current.chart.value?.id) return
    if (!library.kept.value.some((entry) => entry.id === id)) {
      tell('This chart was put in the bin in another tab.', 'warning')
    }
    await current.refresh()
  }

  /** How a chart was last looked at, if the browser keeps it. */
  const viewOf = async (id: string) => (db.value ? await db.value.get('views', id) : undefined)
  /** Keeps how a chart is looked at; a view that cannot be kept is no loss worth telling. */
  const keepView = async (view: StoredView) => void (await db.value?.put('views', view).catch(() => undefined))

  const { chart, saving, steps, isFlipped, edit, undo, redo, exportText } = current
  const { entries, kept, bin, create, duplicate, remove, restore } = library
  return {
    ...{ entries, kept, bin, chart, saving, steps, isFlipped, news, isReady, isForgetful },
    ...{ start, open, edit, undo, redo, create, add, duplicate, remove, restore, forget, tell, exportText },
    ...importing,
    ...{ viewOf, keepView },
    retry: current.flush,
  }
})
