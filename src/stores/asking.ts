import { onScopeDispose, ref, shallowRef, watch } from 'vue'
import type { Chart } from '../core/chart/chart'
import type { Answer, Question } from '../workers/jobs'
import { Newest } from '../workers/newest'
import { useFigures } from './figures'
import { useWorkers } from './workers'

/**
 * The answer to a question about a chart that need not be the open one; null until it is known, and where nothing is
 * asked. It is asked again when `asked` gives another, and with new figures. `progress`: 0 to 1, or null while nothing
 * is under way.
 */
export function useAsking<Q extends Question>(asked: () => { question: Q; chart: Chart } | null) {
  const figures = useFigures()
  const found = shallowRef<Answer<Q> | null>(null)
  const progress = ref<number | null>(null)
  const newest = new Newest(useWorkers().pool)
  watch(
    [asked, () => figures.figures],
    async ([now]) => {
      newest.stop()
      progress.value = null
      if (!now) return void (found.value = null)
      progress.value = 0
      const answer = await newest.ask<Question>(now.question, now.chart, {
        progress: (share) => (progress.value = share),
      })
      if (!answer) return
      progress.value = null
      found.value = answer.ok ? (answer.value as Answer<Q>) : null
    },
    { immediate: true },
  )
  onScopeDispose(() => newest.stop())
  return { found, progress }
}
