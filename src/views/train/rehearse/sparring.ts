import { useStorage } from '@vueuse/core'
import { computed, shallowRef } from 'vue'
import type { Chart } from '../../../core/chart/chart'
import type { Move } from '../../../core/chart/move'
import { exchangeOf, type Scenario } from '../../../core/game/scenario'
import { useAsking } from '../../../stores/asking'
import { useCharts } from '../../../stores/charts'
import { played } from '../../../stores/estimates'
import { useFigures } from '../../../stores/figures'

/** Seconds within which one chooses; 0: as long as one likes. */
export const SHOT_CLOCKS = [5, 10, 20, 0] as const

/** How one spars: kept in this browser. */
export const useSparringHow = () => ({
  sharpness: useStorage('ataque-spar-sharpness', 0),
  shotClock: useStorage('ataque-spar-clock', 20),
})

/** An exchange that is being sparred: which, what was chosen, and what the worker says of it. */
export interface Bout {
  seed: number
  sharpness: number
  chosen: number[]
  /** As they were when it began: what was chosen means nothing in others. */
  chart: Chart
  scenario: Scenario
}

/** A seed that can be read out and typed. */
export const newSeed = () => 1 + Math.floor(Math.random() * 9999)

/** Asks the worker for the exchange so far. */
export function useSparring() {
  const charts = useCharts()
  const figures = useFigures()
  const bout = shallowRef<Bout | null>(null)
  const { found } = useAsking(() => {
    if (!bout.value) return null
    const { chart, scenario, seed, chosen } = bout.value
    return { question: { of: 'spar' as const, scenario, seed, chosen: [...chosen] }, chart }
  })
  /** What is known of the newest choice; null while it is asked. */
  const spar = computed(() => (found.value?.choices.length === bout.value?.chosen.length ? found.value : null))
  /** Begins an exchange of the plan that is open, without the moves that who spars may not do. */
  function begin(seed: number, sharpness: number, may: (move: Move) => boolean) {
    if (!charts.chart || !figures.scenario) return
    const chart = played.value(charts.chart)
    const { aside, seconds, ...scenario } = exchangeOf(figures.scenario)
    const barred = chart.moves.filter((move) => !may(move)).map(({ id }) => id)
    // Where the scenario has no clock the exchange has four minutes: somebody waits for its end.
    const limits = { aside: [...aside, ...barred], seconds: seconds ?? 240, sharpness }
    bout.value = { seed, sharpness, chosen: [], chart, scenario: { ...scenario, ...limits } }
  }
  const choose = (action: number) => {
    if (bout.value && spar.value) bout.value = { ...bout.value, chosen: [...bout.value.chosen, action] }
  }
  return { bout, spar, choose, begin }
}
