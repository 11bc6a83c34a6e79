import { onScopeDispose, ref, shallowRef, watch, type ComputedRef } from 'vue'
import type { Chart } from '../../../core/chart/chart'
import { layoutTask } from '../../../core/slope/ledges'
import type { SlopeGraph } from '../../../core/slope/graph'
import type { LayoutTask, SlopeLayout } from '../../../core/slope/places'
import { useCharts } from '../../../stores/charts'
import { LayoutClient } from '../../../workers/layoutClient'
import { facesLoaded, measureText } from './measureText'

const layoutWorker = () => new Worker(new URL('../../../workers/layout.worker.ts', import.meta.url), { type: 'module' })

/** The layout of the open chart, made in the background, kept as it is, and grown by what is new. */
export function useLayout(chart: ComputedRef<Chart>, graph: ComputedRef<SlopeGraph>) {
  const charts = useCharts()
  const { id } = chart.value
  const layout = shallowRef<SlopeLayout | null>(null)
  const folded = ref(new Set<string>())
  const isRead = ref(false)
  let asked: LayoutTask | undefined

  const client = new LayoutClient(
    layoutWorker,
    (next) => {
      layout.value = next
      keep()
    },
    (message) => charts.tell(message, 'warning'),
  )
  onScopeDispose(() => client.stop())

  void charts.viewOf(id).then((view) => {
    layout.value = view?.layout ?? null
    folded.value = new Set(view?.folded)
    isRead.value = true
  })

  watch(
    [graph, facesLoaded, isRead],
    () => {
      if (isRead.value) ask(layout.value ?? undefined)
    },
    { immediate: true },
  )

  /** Asks only when what the layout depends on is another than it was. */
  function ask(known: SlopeLayout | undefined) {
    const task = layoutTask(chart.value, graph.value, measureText, known)
    const isSame = asked && JSON.stringify({ ...asked, known: 0 }) === JSON.stringify({ ...task, known: 0 })
    if (isSame && known) return
    asked = task
    client.ask(task)
  }

  function keep() {
    void charts.keepView({ chart: id, layout: layout.value, folded: [...folded.value] })
  }

  function toggleFold(band: string) {
    const next = new Set(folded.value)
    if (!next.delete(band)) next.add(band)
    folded.value = next
    keep()
  }

  /** Lays everything out anew; what was put by hand stays. */
  const tidy = () => ask(undefined)
  return { layout, folded, toggleFold, tidy }
}
