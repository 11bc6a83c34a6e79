import { onScopeDispose, reactive, watch } from 'vue'
import { changedSince } from '../core/chart/changes'
import type { Chart } from '../core/chart/chart'
import type { PositionId } from '../core/chart/ids'
import type { Scenario } from '../core/game/scenario'
import type { Worths } from '../core/insight/figures'
import { played } from './estimates'
import { useFigures } from './figures'
import { useWorkers } from './workers'

/** A chart to solve in place of the open one. `instead`: parts of the scenario to replace. */
export interface Trial {
  key: string
  chart: Chart
  instead?: Partial<Scenario>
}

/** The trials that a screen asks for, each valued at the start and in `position`. */
export interface TrialQuestion {
  chart: Chart
  position: PositionId
  trials: Trial[]
}

/**
 * The worths of changed charts, by key of the trial, filled in as each is solved. Asked again whenever there are new
 * figures or the value of `also` changes. `toTry` returns null where there is nothing to try.
 */
export function useTrials(toTry: () => TrialQuestion | null, also: () => unknown = () => null) {
  const figures = useFigures()
  const { pool } = useWorkers()
  const worths = reactive(new Map<string, Worths | null>())
  let stops: (() => void)[] = []

  function stop() {
    for (const one of stops) one()
    stops = []
  }

  function start({ chart, position, trials }: TrialQuestion, scenario: Scenario) {
    stops = trials.map(({ key, chart: other, instead }) => {
      const question = {
        of: 'trial' as const,
        position,
        changed: changedSince(played.value(chart), played.value(other)),
      }
      const asked = pool.ask({ ...question, scenario: { ...scenario, ...instead } }, played.value(chart))
      void asked.answer.then((answer) => answer && worths.set(key, answer.ok ? answer.value : null))
      return asked.stop
    })
  }

  watch(
    () => [figures.figures, also()] as const,
    ([solved]) => {
      stop()
      worths.clear()
      const asked = solved && toTry()
      if (asked && figures.scenario) start(asked, figures.scenario)
    },
    { immediate: true },
  )
  onScopeDispose(stop)
  return worths
}
