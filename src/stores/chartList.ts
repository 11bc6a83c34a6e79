import { computed, ref, type Ref } from 'vue'
import type { Chart } from '../core/chart/chart'
import { emptyChart } from '../core/chart/chart'
import { idFromName } from '../core/chart/ids'
import type { Database } from '../storage/database'
import { addChart, forgetChart, listCharts, readStored, setRemoved, type ChartEntry } from '../storage/charts'
import type { useOpenChart } from './openChart'

const OPEN_KEY = 'ataque-open'

/** All charts that are kept, and which of them is open. `db` is null where the browser keeps nothing. */
export function useLibrary(
  db: Ref<Database | null>,
  current: ReturnType<typeof useOpenChart>,
  announce: (id: string) => void,
) {
  const entries = ref<ChartEntry[]>([])
  const kept = computed(() => entries.value.filter(({ removedAt }) => !removedAt))
  const bin = computed(() => entries.value.filter(({ removedAt }) => removedAt))
  const takenIds = () => new Set(entries.value.map(({ id }) => id))

  async function refresh(): Promise<void> {
    if (db.value) entries.value = await listCharts(db.value)
  }

  /** The open chart was saved: its line in the list follows without reading all charts again. */
  function touch(chart: Chart, at: number): void {
    entries.value = [entryOf(chart, at), ...entries.value.filter(({ id }) => id !== chart.id)]
  }

  async function open(id: string): Promise<void> {
    await current.flush()
    const stored = db.value && (await readStored(db.value, id))
    if (!stored) return
    localStorage.setItem(OPEN_KEY, id)
    current.begin(db.value, stored)
  }

  /** The chart that was open last, or the last one saved. */
  async function openLast(): Promise<void> {
    const entry = kept.value.find(({ id }) => id === localStorage.getItem(OPEN_KEY)) ?? kept.value[0]
    if (entry) await open(entry.id)
  }

  async function add(chart: Chart): Promise<string> {
    if (db.value) {
      await addChart(db.value, chart, Date.now())
      await changed(chart.id)
      await open(chart.id)
    } else current.begin(null, { stored: { id: chart.id, chart, revision: 0, savedAt: 0, done: 0 }, steps: [] })
    return chart.id
  }

  async function changed(id: string): Promise<void> {
    await refresh()
    announce(id)
  }

  const create = (title: string) => add(emptyChart(idFromName(title, takenIds()), title))

  async function duplicate(id: string): Promise<void> {
    const stored = db.value && (await readStored(db.value, id))
    if (stored) await add(copyOf(stored.stored.chart, takenIds()))
  }

  async function remove(id: string): Promise<void> {
    if (!db.value) return
    const isOpen = id === current.chart.value?.id
    await current.flush()
    await setRemoved(db.value, id, Date.now())
    await changed(id)
    if (isOpen) {
      current.end()
      await openLast()
    }
  }

  async function restore(id: string): Promise<void> {
    if (!db.value) return
    await setRemoved(db.value, id, null)
    await changed(id)
    await open(id)
  }

  async function forget(id: string): Promise<void> {
    if (db.value) await forgetChart(db.value, id)
    await refresh()
  }

  return { entries, kept, bin, refresh, touch, open, openLast, add, create, duplicate, remove, restore, forget }
}

const entryOf = ({ id, title, positions }: Chart, savedAt: number): ChartEntry => ({
  ...{ id, title, savedAt },
  positions: positions.length,
})

function copyOf(chart: Chart, taken: Set<string>): Chart {
  const title = `${chart.title} (copy)`
  return { ...chart, id: idFromName(title, taken), title }
}
