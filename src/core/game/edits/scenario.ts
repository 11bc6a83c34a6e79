import type { Chart } from '../../chart/chart'
import { scenarioOf, type Scenario } from '../scenario'

/** Changes the scenario that the chart's settings describe, in the given parts. */
export function setScenario(chart: Chart, instead: Partial<Scenario>): void {
  const { breakUp, repeat, slips, ...rest } = instead
  const { start, goal, seconds, sharpness, objective, rules, probe } = { ...scenarioOf(chart), ...rest }
  chart.settings = {
    ...chart.settings,
    ...(breakUp === undefined ? {} : { breakUp }),
    ...(repeat === undefined ? {} : { repeat }),
    ...(slips === undefined ? {} : { slips }),
    scenario: {
      ...chart.settings?.scenario,
      start,
      goal: [...goal],
      seconds,
      sharpness,
      objective,
      rules: rules ?? undefined,
      probes: probe ? true : undefined,
    },
  }
}
