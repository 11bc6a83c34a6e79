import { nextTick, ref, shallowRef } from 'vue'
import type { Figures } from '../core/insight/figures'
import type { ExpectedScore } from '../core/insight/points'
import type { Problem } from '../core/problem'
import { CostsClient } from '../workers/costsClient'
import { SolverClient } from '../workers/solverClient'

const solverWorker = () => new Worker(new URL('../workers/solver.worker.ts', import.meta.url), { type: 'module' })
const costsWorker = () => new Worker(new URL('../workers/costs.worker.ts', import.meta.url), { type: 'module' })

/** What the background workers have found, as the screens see it. `chartId`: of the chart that is open. */
export function useSolving(chartId: () => string | undefined) {
  const figures = shallowRef<Figures | null>(null)
  /** What each loose end costs, by its place in the figures; undefined while it is being computed. */
  const costs = shallowRef<(number | null | undefined)[]>([])
  const costsLeft = ref(0)
  /** What an exchange scores under the rules in force, where they score; of the newest figures for which it is known. */
  const scored = shallowRef<ExpectedScore | null>(null)
  const problems = shallowRef<Problem[]>([])
  const isBusy = ref(false)
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
    costs.value = next.looseEnds.map((_, i) => (isSame ? costs.value[i] : undefined))
    costsLeft.value = next.looseEnds.length
    if (!isSame) scored.value = null
    problems.value = []
    void markRepainted()
  }

  function clear(found: Problem[] = []) {
    problems.value = found
    figures.value = scored.value = null
    costs.value = []
    costsLeft.value = 0
  }

  const costing = new CostsClient(costsWorker, (message) => {
    if (message.kind === 'scored') return void (scored.value = message.scored)
    costs.value = costs.value.with(message.end, message.cost)
    costsLeft.value = message.left
  })
  const client = new SolverClient(solverWorker, {
    figures(next, { chart, scenario }) {
      show(next)
      costing.ask(chart, scenario, next)
    },
    problems: clear,
    busy(is) {
      isBusy.value = is
      if (is) costing.stop()
    },
  })

  return { figures, costs, costsLeft, scored, problems, isBusy, change, client, clear }
}

export const CHANGE_MARK = 'ataque-change'
const REPAINT_MEASURE = 'ataque-repaint'

/** The browser's own marks, which the bench reads: from a change to all figures on the screen. */
async function markRepainted() {
  await nextTick()
  requestAnimationFrame(() =>
    setTimeout(() => {
      if (performance.getEntriesByName(CHANGE_MARK).length) performance.measure(REPAINT_MEASURE, CHANGE_MARK)
    }),
  )
}
