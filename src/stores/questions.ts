import { onScopeDispose, ref, shallowRef, watch } from 'vue'
import type { Answer, Question, QuestionOf } from '../workers/jobs'
import { Newest } from '../workers/newest'
import { exchangeOf } from '../core/game/scenario'
import { played } from './estimates'
import { useCharts } from './charts'
import { useFigures } from './figures'
import { useWorkers } from './workers'

/** Milliseconds without a change before a question is asked. */
const QUIET_MS = 250

/** Asked of the match where that is to be won; all others are of the exchange alone. */
const OF_THE_MATCH: readonly string[] = ['gains', 'matchTable', 'otherScore'] satisfies PlanQuestionName[]
type PlanQuestionName =
  | 'gains'
  | 'curves'
  | 'beaten'
  | 'brakes'
  | 'depends'
  | 'whatIf'
  | 'limit'
  | 'runs'
  | 'giveUps'
  | 'matchTable'
  | 'otherScore'
/** Questions about the plan of the open chart, without the scenario, which is added here. */
type PlanQuestion = { [N in PlanQuestionName]: Omit<QuestionOf<N>, 'scenario'> }[PlanQuestionName]

/**
 * The answer to a question about the open chart: null until it is known and where there is none. The question is asked
 * again whenever there are new figures or `question` returns another; null asks nothing. Where a worker has died
 * over it, the answer before stays, and the figures are said to be of before. `progress`: 0 to 1, or null
 * while nothing is under way.
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
    const scenario = OF_THE_MATCH.includes(asked.of) ? figures.scenario : exchangeOf(figures.scenario)
    const whole = { ...asked, scenario } as Question
    const found = await newest.ask(whole, played.value(charts.chart), { progress: (share) => (progress.value = share) })
    if (!found) return
    progress.value = null
    if (found.ok) answer.value = found.value as Answer<Q>
    else if (!figures.keepWhere(found.problems)) answer.value = null
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
