import { onScopeDispose, reactive, watch } from 'vue'
import type { Chart } from '../core/chart/chart'
import type { PositionId } from '../core/chart/ids'
import type { Worths } from '../core/insight/figures'
import { TrialsClient, type Trial } from '../workers/trialsClient'
import { useFigures } from './figures'

/** The worker that solves a chart as it could be; a screen that tries something has one of its own. */
const trialsWorker = () => new Worker(new URL('../workers/trials.worker.ts', import.meta.url), { type: 'module' })

/** What a screen has tried out: of the open chart, seen from a position. */
export interface TrialQuestion {
  chart: Chart
  position: PositionId
  trials: Trial[]
}

/**
 * What charts that are otherwise would be worth, by key, once each is solved; tried anew whenever there are new figures,
 * or something that it depends on `also` is another. `toTry` gives null where there is nothing to try.
 */
export function useTrials(toTry: () => TrialQuestion | null, also: () => unknown = () => null) {
  const store = useFigures()
  const worths = reactive(new Map<string, Worths | null>())
  const client = new TrialsClient(trialsWorker, (key, found) => worths.set(key, found))
  onScopeDispose(() => client.stop())
  watch(
    () => [store.figures, also()] as const,
    ([figures]) => {
      worths.clear()
      const asked = figures && toTry()
      if (!asked?.trials.length || !store.scenario) return client.stop()
      client.ask(asked.chart, store.scenario, asked.position, asked.trials)
    },
    { immediate: true },
  )
  return worths
}
