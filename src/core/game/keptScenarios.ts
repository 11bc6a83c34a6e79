import type { Chart } from '../chart/chart'
import type { KeptScenario } from '../chart/keptScenario'
import { copyOf } from '../typed'
import { goBackToScenario } from './edits/scenario'
import { scenarioOf, type Scenario } from './scenario'

/** The kept scenario that is the one looked at now, whatever has been done to it since; undefined where none is. */
export function keptNow(chart: Chart): KeptScenario | undefined {
  const now = JSON.stringify(scenarioOf(chart))
  return chart.settings?.keptScenarios?.find(({ id }) => JSON.stringify(scenarioOfKept(chart, id)) === now)
}

/** The scenario of a chart as it was kept under an id. Throws a `Refusal` where there is none of that id. */
export function scenarioOfKept(chart: Chart, id: string): Scenario {
  const back = { ...chart, settings: copyOf(chart.settings ?? {}) }
  goBackToScenario(back, id)
  return scenarioOf(back)
}
