import type { Chart } from '../chart/chart'
import { climbOf, type Climb } from '../climb/climb'
import { comingsOf } from '../climb/comings'
import { theirClimb } from '../climb/theirs'
import type { Scenario } from '../game/scenario'
import { figuresOf } from '../insight/figures'
import type { Job } from '../job'
import { beatenBy, withMore, type Blow } from './beat'

/** The plan of a chart as a climb in a scenario. */
export interface ClimbFound {
  climb: Climb
  /** From the other chair: the same plan from ours, and what they do twice as often. */
  fromTheirs?: { ours: Climb; blows: Blow[] }
}

/** From which chair the plan is looked at. */
export type Chair = 'ours' | 'theirs'

/**
 * The plan of a chart as a climb. From the other chair it is their best way through us: the chart in which they do the
 * three things that cost us most twice as often (`beatenBy`), and our best plan against that. Null where it cannot be
 * computed.
 */
export function* climbIn(chart: Chart, scenario: Scenario, chair: Chair): Job<ClimbFound | null> {
  const beaten = chair === 'theirs' ? yield* beatenBy(chart, scenario) : null
  const blows = beaten?.blows ?? []
  const played = blows.reduce((now, blow) => withMore(now, blow, blow.times), chart)
  const found = figuresOf(played, scenario)
  if (!found.ok) return null
  const { figures, solution } = found.value
  const comings = comingsOf(solution)
  const ours = climbOf(played, figures, comings)
  if (chair === 'ours') return { climb: ours }
  return { climb: theirClimb(played, figures, comings), fromTheirs: { ours, blows } }
}
