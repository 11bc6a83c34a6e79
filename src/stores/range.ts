import { defineStore } from 'pinia'
import { ref, shallowRef, watch } from 'vue'
import type { PositionId } from '../core/chart/ids'
import { rangeOf, type Range, type Sampled } from '../core/questions/range'
import { PlanClient } from '../workers/planClient'
import { useCharts } from './charts'
import { useFigures } from './figures'
import { planWorker } from './questions'

/** So many workers share the samples: one a core, within reason. */
const WORKERS = Math.max(2, Math.min(6, globalThis.navigator?.hardwareConcurrency ?? 2))
/** So many positions, those come to most often, are looked at for whether their best move is clear. */
const PLACES = 12

/** How sure the headline value is: asked for by the coach, worked out beside everything else, gone once anything changes, and begun anew where it was under way. */
export const useRange = defineStore('range', () => {
  const charts = useCharts()
  const figures = useFigures()
  const range = shallowRef<Range | null>(null)
  /** How far it is, 0 to 1; null while nothing is under way. */
  const progress = ref<number | null>(null)
  let parts: (Sampled | null)[] = []
  let shares: number[] = []

  const clients = Array.from(
    { length: WORKERS },
    (_, w) =>
      new PlanClient(planWorker, {
        progress(share) {
          if (share === null || progress.value === null) return
          shares[w] = share
          progress.value = Math.min(...shares)
        },
        answer(found) {
          if (!found) return stop()
          shares[w] = 1
          parts[w] = found as Sampled
          if (!parts.every((part) => part !== null)) return
          range.value = rangeOf(parts as Sampled[])
          progress.value = null
        },
      }),
  )

  function ask() {
    const { chart } = charts
    if (!chart || !figures.scenario || !figures.figures) return
    const visits = Object.entries(figures.figures.positions).filter(([, one]) => one.visits > 0)
    const places = visits
      .sort(([, a], [, b]) => b.visits - a.visits)
      .slice(0, PLACES)
      .map(([id]) => id as PositionId)
    parts = clients.map(() => null)
    shares = clients.map(() => 0)
    progress.value = 0
    const part = (from: number) => ({ of: 'range' as const, places, part: { from, every: WORKERS } })
    clients.forEach((client, w) => client.ask(chart, figures.scenario!, part(w)))
  }

  /** Gives it up. */
  function stop() {
    progress.value = null
    clients.forEach((client) => client.stop())
  }

  watch(
    () => figures.figures,
    () => {
      range.value = null
      if (progress.value === null) return
      stop()
      ask()
    },
  )
  return { range, progress, ask, stop }
})
