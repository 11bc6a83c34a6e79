import { onScopeDispose, ref, shallowRef, watch } from 'vue'
import type { Answer, Question, QuestionOf } from '../workers/jobs'
import { Newest } from '../workers/newest'
import { useCharts } from './charts'
import { useFigures } from './figures'
import { useWorkers } from './workers'

/** A question waits until nothing has changed for so long. */
const QUIET_MS = 250

type PlanQuestionName = 'gains' | 'beaten' | 'depends' | 'whatIf' | 'limit' | 'runs' | 'giveUps'
/** What is asked of the plan of the open chart, in its scenario. */
type PlanQuestion = { [N in PlanQuestionName]: Omit<QuestionOf<N>, 'scenario'> }[PlanQuestionName]

/**
 * The answer to a question about the open chart, asked anew whenever there are new figures or the question is another;
 * null until it is known, and where there is none. `progress`: how far it is, 0 to 1, or null. A question of null asks
 * nothing.
 */
export function useQuestion<Q extends PlanQuestion>(question: () => Q | null) {
  const charts = useCharts()
  const figures = useFigures()
  const answer = shallowRef<Answer<Q> | null>(null)
  const progress = ref<number | null>(null)
  const newest = new Newest(useWorkers().pool)
  let timer: ReturnType<typeof setTimeout> | undefined

  function cancel() {
    clearTimeout(timer)
    newest.stop()
    progress.value = null
  }

  async function ask(asked: Q) {
    if (!charts.chart || !figures.scenario) return
    progress.value = 0
    const whole = { ...asked, scenario: figures.scenario } as Question
    const found = await newest.ask(whole, charts.chart, { progress: (share) => (progress.value = share) })
    if (!found) return
    progress.value = null
    answer.value = found.ok ? (found.value as Answer<Q>) : null
  }

  watch(
    () => [figures.figures, JSON.stringify(question())] as const,
    ([solved]) => {
      cancel()
      const asked = question()
      if (!solved || !asked) return void (answer.value = null)
      timer = setTimeout(() => void ask(asked), QUIET_MS)
    },
    { immediate: true },
  )
  onScopeDispose(cancel)
  return { answer, progress, cancel }
}
