import { ref, shallowRef, watch, type ComputedRef } from 'vue'
import type { Chart } from '../../../core/chart/chart'
import { layoutTask } from '../../../core/slope/ledges'
import type { SlopeGraph } from '../../../core/slope/graph'
import type { LayoutTask, SlopeLayout } from '../../../core/slope/places'
import { problemText } from '../../../core/problem'
import { useCharts } from '../../../stores/charts'
import { useNewest } from '../../../stores/workers'
import { facesLoaded, measureText } from './measureText'
import { t } from '../../../words/slope'

/** The layout of the open chart: computed by a worker, stored, and updated with new places. */
export function useLayout(chart: ComputedRef<Chart>, graph: ComputedRef<SlopeGraph>) {
  const charts = useCharts()
  const { id } = chart.value
  const layout = shallowRef<SlopeLayout | null>(null)
  const folded = ref(new Set<string>())
  const isRead = ref(false)
  let asked: LayoutTask | undefined

  const newest = useNewest()

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

  /** Asks the worker only where the inputs of the layout have changed. */
  function ask(known: SlopeLayout | undefined) {
    const task = layoutTask(chart.value, graph.value, measureText, known)
    const isSame = asked && JSON.stringify({ ...asked, known: 0 }) === JSON.stringify({ ...task, known: 0 })
    if (isSame && known) return
    asked = task
    void lay(task)
  }

  async function lay(task: LayoutTask) {
    const found = await newest.ask({ of: 'layout', task })
    if (!found) return
    if (!found.ok) {
      return void charts.tell(
        t('slope.thePictureCouldNotBeLaid', { problems: found.problems.map(problemText).join('; ') }),
        'warning',
      )
    }
    layout.value = found.value
    keep()
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

  /** Computes the whole layout again; places put by hand stay. */
  const tidy = () => ask(undefined)
  return { layout, folded, toggleFold, tidy }
}
