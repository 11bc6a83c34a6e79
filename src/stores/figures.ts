import { defineStore } from 'pinia'
import { computed, nextTick, ref, shallowRef, watch } from 'vue'
import { scenarioOf, type Scenario } from '../core/game/scenario'
import type { Explanation, Question } from '../core/insight/explain'
import type { Figures, MetFigure } from '../core/insight/figures'
import type { Problem } from '../core/problem'
import { SolverClient, type WorkerLike } from '../workers/solverClient'
import { useCharts } from './charts'

/** The scenario of the open chart and what the chart is worth in it, always for the newest of both. */
export const useFigures = defineStore('figures', () => {
  const charts = useCharts()
  const figures = shallowRef<Figures | null>(null)
  /** What each loose end costs, by its place in the figures; undefined while it is being computed. */
  const costs = shallowRef<(number | null | undefined)[]>([])
  const costsLeft = ref(0)
  const problems = shallowRef<Problem[]>([])
  const isBusy = ref(false)
  /** The start's value before the last change, and when that was. */
  const change = ref<{ from: number; at: number } | null>(null)

  const scenario = computed<Scenario | null>(() => (charts.chart ? scenarioOf(charts.chart) : null))
  let shownChart = ''

  const client = new SolverClient(
    () => new Worker(new URL('../workers/solver.worker.ts', import.meta.url), { type: 'module' }) as WorkerLike,
    {
      figures(next) {
        const before = figures.value
        const isSame = charts.chart?.id === shownChart
        if (before && isSame && before.value !== next.value) change.value = { from: before.value, at: Date.now() }
        else if (!isSame) change.value = null
        shownChart = charts.chart?.id ?? ''
        figures.value = next
        costs.value = next.looseEnds.map((_, i) => (isSame ? costs.value[i] : undefined))
        costsLeft.value = next.looseEnds.length
        problems.value = []
        void markRepainted()
      },
      cost(end, cost, left) {
        costs.value = costs.value.with(end, cost)
        costsLeft.value = left
      },
      problems(found) {
        problems.value = found
        figures.value = null
        costs.value = []
      },
      busy(is) {
        isBusy.value = is
      },
    },
  )

  watch(
    () => charts.chart,
    (chart) => {
      if (!chart || !chart.positions.length) {
        client.cancel()
        figures.value = null
        problems.value = []
        return
      }
      performance.mark('ataque-change')
      client.solve(chart, scenarioOf(chart))
    },
    { immediate: true },
  )

  /** The browser's own marks, which the bench reads: from a change to all figures on the screen. */
  async function markRepainted() {
    await nextTick()
    requestAnimationFrame(() =>
      setTimeout(() => {
        if (performance.getEntriesByName('ataque-change').length) performance.measure('ataque-repaint', 'ataque-change')
      }),
    )
  }

  const metByMove = computed(() => {
    const byMove = new Map<string, MetFigure>()
    for (const met of figures.value?.met ?? []) byMove.set(`${met.move ?? met.position} ${met.reaction}`, met)
    return byMove
  })

  /** The figure of a reaction met by a move, or (with a position's id) unprompted there. */
  function met(moveOrPosition: string, reaction: string): MetFigure | undefined {
    return metByMove.value.get(`${moveOrPosition} ${reaction}`)
  }

  /** Changes the scenario of the open chart, as a step that can be undone. */
  function setScenario(instead: Partial<Scenario>, join?: string) {
    const { breakUp, repeat, ...rest } = instead
    charts.edit(
      'Scenario',
      (draft) => {
        const { start, goal, seconds, sharpness, objective } = { ...scenarioOf(draft), ...rest }
        draft.settings = {
          ...draft.settings,
          ...(breakUp === undefined ? {} : { breakUp }),
          ...(repeat === undefined ? {} : { repeat }),
          scenario: { ...draft.settings?.scenario, start, goal: [...goal], seconds, sharpness, objective },
        }
      },
      join,
    )
  }

  const explain = (question: Question): Promise<Explanation | null> => client.explain(question)

  return {
    figures,
    costs,
    costsLeft,
    problems,
    isBusy,
    change,
    scenario,
    met,
    setScenario,
    explain,
    cancel: () => client.cancel(),
  }
})
