import { defineStore } from 'pinia'
import { ref } from 'vue'
import { CHART_KIND } from '../core/chart/chartKind'
import { everythingKept } from '../storage/everything'
import { useChartViews } from './chartViews'
import { useDocumentList } from './documentList'
import { useImporting } from './importing'
import { useKeeping } from './keeping'
import { useNews } from './news'
import { useOpenDocument } from './openDocument'
import { useOpeningCharts } from './openingCharts'
import { useSeenSide } from './seenSide'
import { t } from '../words'

/** The charts that are kept, and the one that is open. */
export const useCharts = defineStore('charts', () => {
  const isReady = ref(false)
  const { news, tell, telling, settling } = useNews()
  const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('ataque')
  const announce = (id: string) => channel?.postMessage({ id })

  const { store, trouble, load, retry } = useKeeping(
    async () => {
      await list.refresh()
      if (!current.document.value) await openLast()
    },
    () => current.flush(),
  )
  const list = useDocumentList(CHART_KIND, store, announce)
  const current = useOpenDocument(CHART_KIND, { tell, announce, saved: list.touch })
  const { unreadable, openLast, add, create, ...opening } = useOpeningCharts(store, list, current)
  const open = telling(opening.open, 'opened')
  const { isFlipped, chart, edit } = useSeenSide(current)

  let starting: Promise<void> | null = null
  /** Opens the store of charts and the chart that was open last. */
  function start(): Promise<void> {
    starting ??= begin()
    return starting
  }

  async function begin() {
    channel?.addEventListener('message', ({ data }) => void hear(data as { id: string }))
    await load()
    isReady.value = true
  }

  /** Another tab saved or removed a chart. */
  async function hear({ id }: { id: string }) {
    await list.refresh().catch(() => undefined)
    if (id !== chart.value?.id) return
    await current.refresh().catch(() => undefined)
    // Said last: it matters more than that something changed.
    if (list.bin.value.some((entry) => entry.id === id)) {
      tell(t('keeping.thisChartWasPutInThe'), 'warning')
    }
  }

  const openId = () => chart.value?.id
  const forget = telling(opening.forget, 'forgotten')
  const importing = useImporting({
    ...{ store, list, add, open, forget, edit: current.edit, openId },
    chart: () => current.document.value,
  })
  const whole = {
    ...{ open, openLast, add, create, forget, keepAsNew: opening.keepAsNew, letGo: opening.letGo },
    peek: opening.peek,
    duplicate: telling(opening.duplicate, 'duplicated'),
    remove: telling(opening.remove, t('keeping.putInTheBin')),
    restore: telling(opening.restore, t('keeping.broughtBack')),
  }
  const { entries, kept, bin } = list
  const { saving, steps, refused, unsaved, redo, exportText } = current
  const { isExpected } = opening
  return {
    ...{ entries, kept, bin, chart, keptChart: current.document, saving, steps, refused, unsaved, isFlipped },
    ...{ news, isReady, trouble, unreadable },
    ...{
      start,
      edit,
      editKept: current.edit,
      undo: settling('undo', current.undo),
      redo,
      tell,
      exportText,
      retry,
      isExpected,
    },
    everythingKept: () => everythingKept(),
    ...whole,
    ...importing,
    ...useChartViews(store),
  }
})
