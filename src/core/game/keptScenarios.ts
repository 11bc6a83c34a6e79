import type { Chart } from '../chart/chart'
import type { KeptScenario } from '../chart/keptScenario'
import { copyOf } from '../typed'
import { goBackToScenario } from './edits/scenario'
import { scenarioOf } from './scenario'

/** The kept scenario that is the one looked at now, whatever has been done to it since; undefined where none is. */
export function keptNow(chart: Chart): KeptScenario | undefined {
  const now = JSON.stringify(scenarioOf(chart))
  return chart.settings?.keptScenarios?.find(({ id }) => {
    const back = { ...chart, settings: copyOf(chart.settings ?? {}) }
    goBackToScenario(back, id)
    return JSON.stringify(scenarioOf(back)) === now
  })
}
