import { onScopeDispose, ref, shallowRef, watch } from 'vue'
import type { Chart } from '../core/chart/chart'
import type { Scenario } from '../core/game/scenario'
import type { Chair, ClimbFound } from '../core/questions/climbs'
import { Newest } from '../workers/newest'
import { played } from './estimates'
import { useFigures } from './figures'
import { useWorkers } from './workers'

/** A plan to look at: of a chart, in a scenario, from a chair. */
export interface Looked {
  chart: Chart
  scenario: Scenario
  chair: Chair
}

/**
 * The climb of another plan than the open one; null until it is known, and where nothing is looked at. It is worked out
 * anew with the figures. `progress`: 0 to 1, or null while nothing is under way.
 */
export function useOtherClimb(looked: () => Looked | null) {
  const figures = useFigures()
  const found = shallowRef<ClimbFound | null>(null)
  const progress = ref<number | null>(null)
  const newest = new Newest(useWorkers().pool)
  watch(
    [looked, () => figures.figures],
    async ([asked]) => {
      newest.stop()
      progress.value = null
      if (!asked) return void (found.value = null)
      progress.value = 0
      const { chart, scenario, chair } = asked
      const answer = await newest.ask({ of: 'climb', scenario, chair }, played.value(chart), {
        progress: (share) => (progress.value = share),
      })
      if (!answer) return
      progress.value = null
      found.value = answer.ok ? answer.value : null
    },
    { immediate: true },
  )
  onScopeDispose(() => newest.stop())
  return { found, progress }
}
