import type { Chart } from '../core/chart/chart'
import type { Scenario } from '../core/game/scenario'
import type { Chair } from '../core/questions/climbs'
import { useAsking } from './asking'
import { played } from './estimates'

/** A plan to look at: of a chart, in a scenario, from a chair. */
export interface Looked {
  chart: Chart
  scenario: Scenario
  chair: Chair
}

/** The climb of another plan than the open one; null until it is known, and where nothing is looked at. */
export const useOtherClimb = (looked: () => Looked | null) =>
  useAsking(() => {
    const asked = looked()
    if (!asked) return null
    const { chart, scenario, chair } = asked
    return { question: { of: 'climb' as const, scenario, chair }, chart: played.value(chart) }
  })
