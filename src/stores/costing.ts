import { ref, shallowRef } from 'vue'
import type { Chart } from '../core/chart/chart'
import { ruleSetOf, scores } from '../core/chart/rules/ruleSets'
import type { Scenario } from '../core/game/scenario'
import type { Figures } from '../core/insight/figures'
import type { ExpectedScore } from '../core/insight/points/points'
import type { CostPart } from '../workers/jobs'
import { Newest } from '../workers/newest'
import { useWorkers } from './workers'

/** Milliseconds without a change before costs are asked, so that they do not slow down the dragging of a slider. */
const QUIET_MS = 120

/** What takes longer than the figures: what loose ends cost, and what an exchange scores where the rules score. */
export function useCosting() {
  /** What each loose end costs, by its place in the figures; undefined while it is being computed. */
  const costs = shallowRef<(number | null | undefined)[]>([])
  const costsLeft = ref(0)
  /** Of the newest figures for which it is known. */
  const scored = shallowRef<ExpectedScore | null>(null)
  const costing = new Newest(useWorkers().pool)
  let quiet: ReturnType<typeof setTimeout> | undefined

  function stop() {
    clearTimeout(quiet)
    costing.stop()
  }

  /** What could not be worked out is not waited for. */
  function giveUp() {
    stop()
    costsLeft.value = 0
  }

  /** There are no figures. */
  function empty() {
    stop()
    scored.value = null
    costs.value = []
    costsLeft.value = 0
  }

  /** There are new figures. `isSame`: of the same chart as before, so that what is known stays until it is replaced. */
  function renew({ looseEnds }: Figures, isSame: boolean) {
    costs.value = looseEnds.map((_, i) => (isSame ? costs.value[i] : undefined))
    costsLeft.value = looseEnds.length
    if (!isSame) scored.value = null
  }

  /** Asks, after a while, those first that are met most often. */
  function ask(chart: Chart, scenario: Scenario, figures: Figures) {
    quiet = setTimeout(() => askNow(chart, scenario, figures), QUIET_MS)
  }

  function askNow(chart: Chart, scenario: Scenario, { looseEnds, value }: Figures) {
    const rules = ruleSetOf(scenario.rules, chart.settings?.ruleSets)
    const isMatch = scenario.objective === 'win'
    // The chance to win has the points in it.
    const isScored = !isMatch && Boolean(rules && scores(rules))
    const ends = looseEnds
      .map((looseEnd, end) => ({ end, looseEnd }))
      // Each takes seconds in a match: what the plan never meets is not asked.
      .filter(({ looseEnd }) => !isMatch || looseEnd.visits > 0)
      .sort((a, b) => b.looseEnd.visits - a.looseEnd.visits)
    if (!ends.length && !isScored) return void (costsLeft.value = 0)
    void costing.ask({ of: 'costs', scenario, ends, value, scores: isScored }, chart, { part: heard })
  }

  function heard(part: CostPart) {
    if (part.of === 'score') return void (scored.value = part.score)
    costs.value = costs.value.with(part.end, part.cost)
    costsLeft.value = part.left
  }

  return { costs, costsLeft, scored, stop, giveUp, empty, renew, ask }
}
