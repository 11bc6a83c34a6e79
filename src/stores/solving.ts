import { nextTick, ref, shallowRef } from 'vue'
import type { Figures } from '../core/insight/figures'
import type { Problem } from '../core/problem'
import { Solver } from '../workers/solver'
import { useCosting } from './costing'
import { newWorker } from './workers'

/** What the background workers have found, as the screens see it. `chartId`: of the chart that is open. */
export function useSolving(chartId: () => string | undefined) {
  const figures = shallowRef<Figures | null>(null)
  const { costs, costsLeft, scored, ...costing } = useCosting()
  const problems = shallowRef<Problem[]>([])
  const isBusy = ref(false)
  /** Why what is shown is of an earlier chart, where a worker has died over the newest; else null. */
  const stale = ref<string | null>(null)
  /** The start's value before the last change, and when that was. */
  const change = ref<{ from: number; at: number } | null>(null)
  let shownChart: string | undefined

  function show(next: Figures) {
    const before = figures.value
    const isSame = chartId() === shownChart
    if (!isSame) change.value = null
    else if (before && before.value !== next.value) change.value = { from: before.value, at: Date.now() }
    shownChart = chartId()
    figures.value = next
    costing.renew(next, isSame)
    problems.value = []
    stale.value = null
    void markRepainted()
  }

  function clear(found: Problem[] = []) {
    problems.value = found
    figures.value = stale.value = null
    costing.empty()
  }

  /** Where a worker has died, what is shown stays, and is said to be of before. Returns whether one has. */
  function keepWhere(found: readonly Problem[]): boolean {
    const died = found.find(({ code }) => code === 'worker-died')
    if (died) stale.value = died.message
    return died !== undefined
  }

  const solver = new Solver(newWorker, {
    figures(next, { chart, scenario }) {
      show(next)
      costing.ask(chart, scenario, next)
    },
    problems(found) {
      if (keepWhere(found)) costing.giveUp()
      else clear(found)
    },
    busy(is) {
      isBusy.value = is
      if (is) costing.stop()
    },
  })

  return { figures, costs, costsLeft, scored, problems, isBusy, stale, change, solver, clear, keepWhere }
}

export const CHANGE_MARK = 'ataque-change'
const REPAINT_MEASURE = 'ataque-repaint'

/** The browser's own marks, which the bench reads: from a change to all figures on the screen. */
async function markRepainted() {
  await nextTick()
  requestAnimationFrame(() =>
    setTimeout(() => {
      if (performance.getEntriesByName(CHANGE_MARK).length) performance.measure(REPAINT_MEASURE, CHANGE_MARK)
      performance.clearMarks(CHANGE_MARK)
    }),
  )
}
