import { nextTick, ref, shallowRef } from 'vue'
import type { Chart } from '../core/chart/chart'
import { ruleSetOf, scores } from '../core/chart/rules/ruleSets'
import type { Scenario } from '../core/game/scenario'
import type { Figures } from '../core/insight/figures'
import type { ExpectedScore } from '../core/insight/points'
import type { Problem } from '../core/problem'
import type { CostPart } from '../workers/jobs'
import { Newest } from '../workers/newest'
import { Solver } from '../workers/solver'
import { newWorker, useWorkers } from './workers'

/** Milliseconds without a change before costs are asked, so that they do not slow down the dragging of a slider. */
const QUIET_MS = 120

/** What the background workers have found, as the screens see it. `chartId`: of the chart that is open. */
export function useSolving(chartId: () => string | undefined) {
  const figures = shallowRef<Figures | null>(null)
  /** What each loose end costs, by its place in the figures; undefined while it is being computed. */
  const costs = shallowRef<(number | null | undefined)[]>([])
  const costsLeft = ref(0)
  /**
   * What an exchange scores under the rules in force, where they score; of the newest figures for which it is known.
   */
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

  const costing = new Newest(useWorkers().pool)
  let quiet: ReturnType<typeof setTimeout> | undefined

  /** What an exchange scores, where the rules score; and what the loose ends cost, those met most often first. */
  function askCosts(chart: Chart, scenario: Scenario, { looseEnds, value }: Figures) {
    const rules = ruleSetOf(scenario.rules, chart.settings?.ruleSets)
    const isScored = Boolean(rules && scores(rules))
    if (!looseEnds.length && !isScored) return
    const ends = looseEnds
      .map((looseEnd, end) => ({ end, looseEnd }))
      .sort((a, b) => b.looseEnd.visits - a.looseEnd.visits)
    void costing.ask({ of: 'costs', scenario, ends, value, scores: isScored }, chart, { part: heard })
  }

  function heard(part: CostPart) {
    if (part.of === 'score') return void (scored.value = part.score)
    costs.value = costs.value.with(part.end, part.cost)
    costsLeft.value = part.left
  }

  function stopCosts() {
    clearTimeout(quiet)
    costing.stop()
  }

  const solver = new Solver(newWorker, {
    figures(next, { chart, scenario }) {
      show(next)
      quiet = setTimeout(() => askCosts(chart, scenario, next), QUIET_MS)
    },
    problems: clear,
    busy(is) {
      isBusy.value = is
      if (is) stopCosts()
    },
  })

  return { figures, costs, costsLeft, scored, problems, isBusy, change, solver, clear }
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
