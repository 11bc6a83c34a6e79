import { defineStore } from 'pinia'
import { computed, watch } from 'vue'
import { readChart } from '../core/files/chartFile'
import { makeDocument } from '../core/document/read'
import { problemText, success, type Result } from '../core/problem'
import { answersOf } from '../core/rehearse/answersKind'
import { keepInPack } from '../core/rehearse/edits/keepInPack'
import { PACK_KIND, type Pack } from '../core/rehearse/packKind'
import type { Rehearsed } from '../core/club/rehearsed'
import { readKept } from '../storage/documents'
import { showsDocument } from './acting'
import { useCharts } from './charts'
import { useDocumentList } from './documentList'
import { useKeeping } from './keeping'
import { useOpenDocument } from './openDocument'
import { useReading } from './reading'

/** Homework that somebody was given: its part of a chart is a chart of this browser, how it goes is kept beside it. */
export const useHomework = defineStore('homework', () => {
  const charts = useCharts()
  const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('ataque-homework')
  const announce = (id: string) => channel?.postMessage({ id })

  const { store, load } = useKeeping(
    async () => {
      await list.refresh()
      await follow()
    },
    () => current.flush(),
  )
  const list = useDocumentList(PACK_KIND, store, announce)
  const current = useOpenDocument(PACK_KIND, { tell: charts.tell, announce, saved: list.touch })
  /** That of the open chart; null where this is none that was given. */
  const pack = computed(() => (current.document.value?.id === charts.chart?.id ? current.document.value : null))

  let starting: Promise<void> | null = null
  const start = (): Promise<void> => (starting ??= begin())

  async function begin() {
    channel?.addEventListener('message', () => void load().then(() => current.refresh()))
    await charts.start()
    await load()
    await forgetLeft()
  }

  /** What is of a chart that was forgotten for good goes with it; charts that cannot be read are not gone. */
  async function forgetLeft() {
    if (charts.trouble) return
    const known = new Set(charts.entries.map(({ id }) => id))
    for (const { id } of list.entries.value) if (!known.has(id)) await list.forget(id).catch(() => undefined)
  }

  /** Opens the homework of the chart that is open, if it is any. */
  async function follow(): Promise<void> {
    const id = charts.chart?.id
    if (id === undefined || id === current.document.value?.id) return
    if (!list.entries.value.some((one) => one.id === id) || current.resume(id)) return
    const kept = await store.run((db) => readKept(db, PACK_KIND, id))
    if (kept && !kept.ok) charts.tell(kept.problems.map(problemText).join('; '), 'warning')
    if (kept?.ok) current.begin(store, kept.value)
  }
  watch(() => charts.chart?.id, follow)

  /**
   * Takes in a file of homework and opens its chart; one that is here already is opened as it stands. Null where the
   * reading was stopped.
   */
  async function importText(text: string): Promise<Result<Pack> | null> {
    const read = await useReading().read('pack', text)
    if (!read?.ok) return read
    await start()
    const { id } = read.value
    const isHere = list.entries.value.some((one) => one.id === id)
    if (isHere && (await charts.open(id))) return success(read.value)
    // The chart passes its own door, which also counts its records.
    const chart = readChart(read.value.chart)
    if (!chart.ok) return chart
    // The chart first: homework without one counts as left behind, in another tab too.
    await charts.add(chart.value)
    if (!isHere) await list.add(read.value)
    await follow()
    return success(read.value)
  }

  /** Keeps in the open homework how a question went, as one step that can be undone. */
  const keep = (label: string, fact: Omit<Rehearsed, 'id'>): boolean =>
    current.edit(label, (draft) => keepInPack(draft, fact))

  /** What goes back to the coach, as a file's text; '' where no homework is open. */
  const answersText = (): string => (pack.value ? makeDocument(answersOf(pack.value)) : '')

  const { steps, saving, unsaved, undo, redo } = current
  const acting = { steps, saving, unsaved, undo, redo, retry: () => current.flush() }
  /** From now on Undo and what is kept are about the homework; returns what is to be called when that ends. */
  const shows = () => showsDocument(acting)

  return { pack, shows, start, importText, keep, answersText }
})
