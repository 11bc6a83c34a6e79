import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { emptyChart, type Chart } from '../core/chart/chart'
import { idFromName } from '../core/chart/ids'
import { makeChart, parseChart } from '../core/format/chartFile'
import type { Problem, Result } from '../core/problem'
import { ChartSession, type Edit, type Saving } from '../storage/chartSession'
import { openDatabase, type Database } from '../storage/database'
import { addChart, forgetChart, listCharts, readStored, setRemoved, type ChartEntry } from '../storage/shelfOfCharts'

const OPEN_KEY = 'ataque-open'

/** What became of a file that was to be imported. */
export type Imported =
  | { state: 'refused'; problems: Problem[] }
  /** A chart with this id is kept already: the coach must say which to do. */
  | { state: 'taken'; chart: Chart; title: string }
  | { state: 'added'; id: string }

/** The charts that are kept, and the one that is open. */
export const useCharts = defineStore('charts', () => {
  const entries = ref<ChartEntry[]>([])
  const chart = shallowRef<Chart | null>(null)
  const saving = ref<Saving>({ state: 'saved', at: 0 })
  const steps = ref<{ undo?: string; redo?: string }>({})
  /** Something to tell the coach once; the frame shows it. */
  const news = ref<{ text: string; kind: 'info' | 'warning'; at: number } | null>(null)
  const isReady = ref(false)
  /** True where the browser keeps nothing, as in some private modes. */
  const isForgetful = ref(false)

  let db: Database | null = null
  let session: ChartSession | null = null
  let starting: Promise<void> | null = null
  const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('ataque')

  const kept = computed(() => entries.value.filter(({ removedAt }) => !removedAt))
  const bin = computed(() => entries.value.filter(({ removedAt }) => removedAt))

  function tell(text: string, kind: 'info' | 'warning' = 'info') {
    news.value = { text, kind, at: Date.now() }
  }

  /** Opens the store of charts and the chart that was open last. */
  function start(): Promise<void> {
    starting ??= begin()
    return starting
  }

  async function begin() {
    try {
      db = await openDatabase()
      await refreshList()
      const last = localStorage.getItem(OPEN_KEY)
      const id = kept.value.find((entry) => entry.id === last)?.id ?? kept.value[0]?.id
      if (id) await open(id)
    } catch {
      isForgetful.value = true
    }
    channel?.addEventListener('message', ({ data }) => void hear(data as { id: string }))
    isReady.value = true
  }

  async function hear({ id }: { id: string }) {
    await refreshList()
    if (id !== chart.value?.id) return
    if (!kept.value.some((entry) => entry.id === id)) tell('This chart was put in the bin in another tab.', 'warning')
    await session?.refresh()
  }

  async function refreshList() {
    if (db) entries.value = await listCharts(db)
  }

  function show() {
    chart.value = session?.chart ?? null
    steps.value = { undo: session?.undoLabel, redo: session?.redoLabel }
  }

  async function open(id: string): Promise<void> {
    await session?.flush()
    const stored = db && (await readStored(db, id))
    if (stored) begunWith(stored)
  }

  function begunWith(stored: ConstructorParameters<typeof ChartSession>[1]) {
    session = new ChartSession(
      db,
      stored,
      {
        changed(by) {
          show()
          if (by === 'another tab') tell('Another tab changed this chart: you see it as it is now.')
        },
        saving(status) {
          saving.value = status
          if (status.state === 'saved') void refreshList()
        },
        lost(label, reason) {
          tell(`“${label}” could not be kept: ${reason}.`, 'warning')
        },
      },
      {
        now: () => Date.now(),
        later: (run, ms) => setTimeout(run, ms),
        announce: (changed) => channel?.postMessage({ id: changed }),
      },
    )
    saving.value = { state: 'saved', at: stored.stored.savedAt }
    remember(stored.stored.id)
    show()
  }

  function remember(id: string) {
    try {
      localStorage.setItem(OPEN_KEY, id)
    } catch {
      // A browser that keeps nothing has nothing to remember.
    }
  }

  /** Does an edit as one step that can be undone. Returns whether anything changed. */
  function edit(label: string, change: Edit, join?: string): boolean {
    try {
      return session?.edit(label, change, join) ?? false
    } catch (error) {
      tell((error as Error).message, 'warning')
      return false
    }
  }

  async function add(added: Chart): Promise<string> {
    if (db) {
      await addChart(db, added, Date.now())
      await refreshList()
      channel?.postMessage({ id: added.id })
      await open(added.id)
    } else begunWith({ stored: { id: added.id, chart: added, revision: 0, savedAt: 0, done: 0 }, steps: [] })
    return added.id
  }

  const takenIds = () => new Set(entries.value.map(({ id }) => id))

  function create(title: string): Promise<string> {
    return add(emptyChart(idFromName(title, takenIds()), title))
  }

  async function duplicate(id: string): Promise<void> {
    const stored = db && (await readStored(db, id))
    if (!stored) return
    const title = `${stored.stored.chart.title} (copy)`
    await add({ ...stored.stored.chart, id: idFromName(title, takenIds()), title })
  }

  async function remove(id: string): Promise<void> {
    if (!db) return
    if (id === chart.value?.id) await session?.flush()
    await setRemoved(db, id, Date.now())
    await refreshList()
    channel?.postMessage({ id })
    if (id !== chart.value?.id) return
    session = null
    show()
    if (kept.value[0]) await open(kept.value[0].id)
  }

  async function restore(id: string): Promise<void> {
    if (!db) return
    await setRemoved(db, id, null)
    await refreshList()
    channel?.postMessage({ id })
    await open(id)
  }

  async function forget(id: string): Promise<void> {
    if (!db) return
    await forgetChart(db, id)
    await refreshList()
  }

  /** Reads a chart file's text. Nothing that is kept changes unless it is `added`. */
  async function importText(text: string): Promise<Imported> {
    const read: Result<Chart> = parseChart(text)
    if (!read.ok) return { state: 'refused', problems: read.problems }
    const entry = entries.value.find(({ id }) => id === read.value.id)
    if (entry && !entry.removedAt) return { state: 'taken', chart: read.value, title: entry.title }
    if (entry) await forget(entry.id)
    return { state: 'added', id: await add(read.value) }
  }

  /** Beside the chart that has its id, under another. */
  async function importBeside(imported: Chart): Promise<void> {
    await add({ ...imported, id: idFromName(imported.id, takenIds()) })
  }

  /** In place of the chart that has its id, as one step of that chart that can be undone. */
  async function importOver(imported: Chart): Promise<void> {
    if (chart.value?.id !== imported.id) await open(imported.id)
    edit('Import', (draft) => {
      for (const key of Object.keys(draft)) delete (draft as unknown as Record<string, unknown>)[key]
      Object.assign(draft, imported)
    })
  }

  /** The open chart as a file's text; works whether or not it could be kept. */
  const exportText = () => (chart.value ? makeChart(chart.value) : '')

  return {
    ...{ entries, kept, bin, chart, saving, steps, news, isReady, isForgetful },
    ...{ start, open, edit, create, add, duplicate, remove, restore, forget, tell },
    ...{ importText, importBeside, importOver, exportText },
    undo: () => session?.undo() ?? false,
    redo: () => session?.redo() ?? false,
    retry: () => session?.flush(),
  }
})
