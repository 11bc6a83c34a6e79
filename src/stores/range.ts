import { toPositionId } from '../core/chart/ids'
import { defineStore } from 'pinia'
import { ref, shallowRef, watch } from 'vue'
import { exchangeOf } from '../core/game/scenario'
import { rangeOf, type Range } from '../core/questions/range'
import { played } from './estimates'
import { useCharts } from './charts'
import { useFigures } from './figures'
import { useWorkers } from './workers'

/** For how many positions, the most visited, the range says whether their best move is clear. */
const PLACES = 12

/**
 * How sure the headline value is. Computed by all workers when the coach asks for it; discarded when the figures
 * change, and restarted if it was still being computed.
 */
export const useRange = defineStore('range', () => {
  const charts = useCharts()
  const figures = useFigures()
  const { pool } = useWorkers()
  const range = shallowRef<Range | null>(null)
  /** How far it is, 0 to 1; null while nothing is under way. */
  const progress = ref<number | null>(null)
  let stops: (() => void)[] = []

  async function ask() {
    const { chart } = charts
    const { scenario } = figures
    if (!chart || !scenario || !figures.figures) return
    stop()
    const visited = Object.entries(figures.figures.positions).filter(([, one]) => one.visits > 0)
    const places = visited.sort(([, a], [, b]) => b.visits - a.visits).map(([id]) => toPositionId(id))
    const shares = Array.from({ length: pool.size }, () => 0)
    progress.value = 0
    const parts = shares.map((_, from) => {
      const question = { of: 'range' as const, scenario: exchangeOf(scenario), places: places.slice(0, PLACES) }
      return pool.ask({ ...question, part: { from, every: pool.size } }, played.value(chart), {
        progress(share) {
          shares[from] = share
          progress.value = Math.min(...shares)
        },
      })
    })
    const mine = parts.map((part) => part.stop)
    stops = mine
    const answers = await Promise.all(parts.map((part) => part.answer))
    if (stops !== mine) return
    const sampled = answers.flatMap((answer) => (answer?.ok && answer.value ? [answer.value] : []))
    range.value = sampled.length === parts.length ? rangeOf(sampled) : null
    progress.value = null
  }

  /** Stops the computation, if one is under way. */
  function stop() {
    for (const one of stops) one()
    stops = []
    progress.value = null
  }

  watch(
    () => figures.figures,
    () => {
      range.value = null
      if (progress.value !== null) void ask()
    },
  )
  return { range, progress, ask, stop }
})
