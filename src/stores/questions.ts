import { onScopeDispose, ref, shallowRef, watch } from 'vue'
import type { AnswerTo, PlanQuestion } from '../workers/planProtocol'
import { PlanClient } from '../workers/planClient'
import { useCharts } from './charts'
import { useFigures } from './figures'

export const planWorker = () => new Worker(new URL('../workers/plan.worker.ts', import.meta.url), { type: 'module' })

/** A question waits until nothing has changed for so long. */
const QUIET_MS = 250

/**
 * The answer to a question about the open chart, asked anew whenever there are new figures or the question is another;
 * null until it is known. `progress`: how far it is, 0 to 1, or null. A question of null asks nothing.
 */
export function useQuestion<Q extends PlanQuestion>(question: () => Q | null) {
  const charts = useCharts()
  const figures = useFigures()
  const answer = shallowRef<AnswerTo<Q> | null>(null)
  const progress = ref<number | null>(null)
  const client = new PlanClient(planWorker, {
    progress: (share) => (progress.value = share),
    answer: (found) => (answer.value = found as AnswerTo<Q> | null),
  })
  let timer: ReturnType<typeof setTimeout> | undefined

  const cancel = () => {
    clearTimeout(timer)
    client.stop()
  }
  watch(
    () => [figures.figures, JSON.stringify(question())] as const,
    ([solved]) => {
      cancel()
      const asked = question()
      if (!solved || !asked) return void (answer.value = null)
      timer = setTimeout(
        () => charts.chart && figures.scenario && client.ask(charts.chart, figures.scenario, asked),
        QUIET_MS,
      )
    },
    { immediate: true },
  )
  onScopeDispose(() => {
    clearTimeout(timer)
    client.end()
  })
  return { answer, progress, cancel }
}
