import { useStorage } from '@vueuse/core'
import { computed, ref } from 'vue'
import { exchangeOf } from '../../../core/game/scenario'
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
}

/** A seed that can be read out and typed. */
export const newSeed = () => 1 + Math.floor(Math.random() * 9999)

/** Asks the worker for the exchange so far. */
export function useSparring() {
  const charts = useCharts()
  const figures = useFigures()
  const bout = ref<Bout | null>(null)
  const chart = computed(() => (charts.chart ? played.value(charts.chart) : null))
  const { found } = useAsking(() => {
    if (!bout.value || !chart.value || !figures.scenario) return null
    const { seed, sharpness, chosen } = bout.value
    const scenario = { ...exchangeOf(figures.scenario), sharpness }
    // Where the scenario has no clock the exchange has four minutes: somebody waits for its end.
    const clocked = { ...scenario, seconds: scenario.seconds ?? 240 }
    return { question: { of: 'spar' as const, scenario: clocked, seed, chosen: [...chosen] }, chart: chart.value }
  })
  /** What is known of the newest choice; null while it is asked. */
  const spar = computed(() => (found.value?.choices.length === bout.value?.chosen.length ? found.value : null))
  const choose = (action: number) => {
    if (bout.value && spar.value) bout.value = { ...bout.value, chosen: [...bout.value.chosen, action] }
  }
  return { bout, spar, choose, chart }
}
