import { useTimeoutFn } from '@vueuse/core'
import { computed, watch } from 'vue'
import { useCharts } from '../../stores/charts'
import { useFigures } from '../../stores/figures'

/** So long are the first figures of a chart waited for, in milliseconds: a large one is worked on without them. */
const PATIENCE = 3000

/**
 * Whether a chart that has just been opened is still without figures. A screen that is drawn before them jumps as they
 * come in; one that waits a moment does not.
 */
export function useWaitsForFigures() {
  const charts = useCharts()
  const figures = useFigures()
  const { isPending, start } = useTimeoutFn(() => undefined, PATIENCE)
  watch(() => charts.chart?.id, start)
  return computed(() => {
    const cannotCome = !charts.chart?.positions.length || figures.problems.length > 0 || figures.stale
    return !figures.figures && !cannotCome && isPending.value
  })
}
