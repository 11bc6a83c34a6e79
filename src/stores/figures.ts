import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import { ruleSetOf, scores } from '../core/chart/rules/ruleSets'
import { setScenario as changeScenario } from '../core/game/edits/scenario'
import { scenarioOf, type Scenario } from '../core/game/scenario'
import type { Question } from '../core/insight/explain'
import type { MetFigure } from '../core/insight/figures'
import { pointsOf } from '../core/insight/points/points'
import { lacksOf } from '../core/insight/trust'
import { played } from './estimates'
import { useCharts } from './charts'
import type { PositionId } from '../core/chart/ids'
import type { ScriptLength } from '../core/questions/script'
import type { RunPath } from '../core/chart/run'
import { CHANGE_MARK, useSolving } from './solving'
import { wantEstimates } from './wantEstimates'
import { t } from '../words'

/** The scenario of the open chart and what the chart is worth in it, always for the newest of both. */
export const useFigures = defineStore('figures', () => {
  const charts = useCharts()
  const { solver, clear, ...found } = useSolving(() => charts.chart?.id)
  const scenario = computed<Scenario | null>(() => (charts.chart ? scenarioOf(charts.chart) : null))

  /** The log of a club is read first, where there is one: no figure is shown that changes a moment later. */
  const club = wantEstimates()
  const waits = ref(club !== null)
  void club?.then(() => (waits.value = false))

  /** Computes all figures of the chart as it is now. */
  function solve() {
    const { chart } = charts
    if (waits.value) return
    if (!chart?.positions.length) {
      solver.cancel()
      return void clear()
    }
    performance.mark(CHANGE_MARK)
    solver.solve(played.value(chart), scenarioOf(chart))
  }
  watch([() => charts.chart, played, waits], solve, { immediate: true })

  /** The rules in force, if any; and the points that they give an exchange, for us and against us. */
  const rules = computed(() => ruleSetOf(scenario.value?.rules, charts.chart?.settings?.ruleSets))
  const points = computed(() => {
    const { scored } = found
    if (!scored.value || !rules.value || !scores(rules.value)) return null
    return { ours: pointsOf(scored.value.ours, rules.value), theirs: pointsOf(scored.value.theirs, rules.value) }
  })

  /** What is still missing before the worth can be believed. */
  const lacks = computed(() => (charts.chart && found.figures.value ? lacksOf(charts.chart, found.figures.value) : []))

  const metByMove = computed(() => {
    const byMove = new Map<string, MetFigure>()
    for (const met of found.figures.value?.met ?? []) byMove.set(`${met.move ?? met.position} ${met.reaction}`, met)
    return byMove
  })

  /** The figure of a reaction met by a move, or (with a position's id) unprompted there. */
  function met(moveOrPosition: string, reaction: string): MetFigure | undefined {
    return metByMove.value.get(`${moveOrPosition} ${reaction}`)
  }

  /** Changes the scenario of the open chart, as a step that can be undone. */
  const setScenario = (instead: Partial<Scenario>, join?: string) =>
    void charts.edit(t('common.scenario'), (draft) => changeScenario(draft, instead), join)

  const explain = (question: Question) => solver.explain(question)
  const along = (run: RunPath) => solver.along(run)
  const script = (from: PositionId, length: ScriptLength) => solver.script(from, length)
  const comings = () => solver.comings()
  return { ...found, solve, scenario, rules, points, lacks, met, setScenario, explain, along, script, comings }
})
